"use client";
import { useEffect, useState } from "react";
import type { BuildStep } from "@/core/build/steps";
import { TRIAL_RESULTS, type TrialRun } from "@/core/record/record";
import { computeLeak, computeWaterLoss } from "@/core/trials/leakRate";
import { findTrialOf } from "@/core/trials/proof";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeStep } from "@/words/build";
import { describeLeak, RESULT_NAMES } from "@/words/trialRuns";
import { Group } from "../../fields/Group";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { thisMinute } from "../now";
import { useRecords } from "../useRecords";

const NOTHING: readonly TrialRun[] = [];

/** A trial as it is run: the watch, the readings, what comes of them, kept with the building and held against the last one. */
export function TrialRunFields({ trials }: { readonly trials: readonly BuildStep[] }) {
  const design = useWorkbench((state) => state.history!.design);
  const runs = useRecords((state) => state.build.trials ?? NOTHING);
  const selection = useWorkbench((state) => state.selection);
  const [picked, setPicked] = useState<string | null>(null);
  const [seen, setSeen] = useState(selection);
  // what is pressed in the drawing has its trial laid ready
  if (selection !== seen) {
    setSeen(selection);
    const asked = selection && findTrialOf(design, selection);
    if (asked) setPicked(asked);
  }
  const step = trials.find(({ id }) => id === picked) ?? trials[0];
  if (!step) return null;
  const own = runs.filter(({ trialId }) => trialId === step.id);
  const write = (result: TrialRun["result"], note: string) => {
    const id = `t${Date.now().toString(36)}`;
    records
      .addTrial({ id, trialId: step.id, at: thisMinute(), result, note: note.slice(0, 400) })
      .then(() => (result === "held" ? records.tickStep(step.id, thisMinute().slice(0, 10)) : undefined))
      .catch(() => tell("That could not be kept in this browser.", { tone: "warning" }));
  };
  return (
    <Group title="Run a trial">
      <Pick
        label="Trial"
        value={step.id}
        names={Object.fromEntries(trials.map((one) => [one.id, describeStep(one, design)]))}
        onPick={setPicked}
      />
      {step.kind === "trialHoses" ? (
        <AirTrial key={step.id} onResult={write} />
      ) : (
        <WaterTrial key={step.id} onResult={write} />
      )}
      {own.length > 0 && (
        <ul aria-label="Trials that were run" className="pt-1 text-[13px] leading-snug">
          {[...own].reverse().map(({ id, at, result, note }) => (
            <li key={id} className="border-t border-rule py-1">
              <span className="figures text-[14px] text-faint">{at.replace("T", " ")}</span> {RESULT_NAMES[result]}
              {note && `: ${note}`}
            </li>
          ))}
        </ul>
      )}
    </Group>
  );
}

type TrialProps = { readonly onResult: (result: TrialRun["result"], note: string) => void };

function WaterTrial({ onResult }: TrialProps) {
  const [minutes, setMinutes] = useState<number>(15);
  const [sankMm, setSank] = useState<number>(0);
  const [areaCm2, setArea] = useState<number>(10.4);
  const units = useWorkbench((state) => state.units);
  const loss = computeWaterLoss({ areaCm2, minutes, sankMm, rulerErrorMm: 1 });
  return (
    <>
      <p className="text-[12.5px] leading-snug text-faint">
        Fill to the brim, mark the level, dry paper under each joint. Then read how far it sank.
      </p>
      <Watch onMinutes={setMinutes} />
      <NumberField
        label="Minutes"
        value={minutes}
        quantity="times"
        onCommit={(value) => keep(value, 0.1, 1_440, setMinutes)}
      />
      <NumberField
        label="Level sank by"
        value={sankMm}
        quantity="length"
        onCommit={(value) => keep(value, 0, 2_000, setSank)}
      />
      <NumberField
        label="Surface that sank"
        help="A 36 mm pipe is 10 cm²; a bowl or a tank many times that, and shows less."
        value={areaCm2 * 100}
        quantity="area"
        onCommit={(value) => keep(value === null ? null : value / 100, 0.1, 100_000, setArea)}
      />
      {loss && <Outcome text={describeLeak(loss, units)} verdict={loss.verdict} onResult={onResult} />}
    </>
  );
}

function AirTrial({ onResult }: TrialProps) {
  const units = useWorkbench((state) => state.units);
  const [minutes, setMinutes] = useState(10);
  const [volumeL, setVolume] = useState(2);
  const [startKPa, setStart] = useState(100);
  const [endKPa, setEnd] = useState(100);
  const [startC, setStartC] = useState(20);
  const [endC, setEndC] = useState(20);
  const [barometerKPa, setBarometer] = useState(101.3);
  const leak = computeLeak({
    volumeL,
    minutes,
    startKPa,
    endKPa,
    startC,
    endC,
    startBarometerKPa: barometerKPa,
    endBarometerKPa: barometerKPa,
    gaugeErrorKPa: 0.5,
    thermometerErrorK: 0.2,
  });
  return (
    <>
      <p className="text-[12.5px] leading-snug text-faint">
        Pumped side only, shut off from every tank and drain. Air or water to the pump's cut-out, soap on every joint.
      </p>
      <Watch onMinutes={setMinutes} />
      <NumberField
        label="Minutes"
        value={minutes}
        quantity="times"
        onCommit={(value) => keep(value, 0.1, 1_440, setMinutes)}
      />
      <NumberField
        label="Air shut in"
        value={volumeL}
        quantity="volume"
        onCommit={(value) => keep(value, 0.05, 500, setVolume)}
      />
      <NumberField
        label="Gauge, first"
        value={startKPa}
        quantity="waterPressure"
        onCommit={(value) => keep(value, 0, 800, setStart)}
      />
      <NumberField
        label="Gauge, last"
        value={endKPa}
        quantity="waterPressure"
        onCommit={(value) => keep(value, 0, 800, setEnd)}
      />
      <NumberField
        label="Air at first"
        value={startC}
        quantity="temperature"
        onCommit={(value) => keep(value, -40, 60, setStartC)}
      />
      <NumberField
        label="Air at last"
        value={endC}
        quantity="temperature"
        onCommit={(value) => keep(value, -40, 60, setEndC)}
      />
      <NumberField
        label="Barometer"
        value={barometerKPa}
        quantity="waterPressure"
        onCommit={(value) => keep(value, 50, 110, setBarometer)}
      />
      {leak && <Outcome text={describeLeak(leak, units)} verdict={leak.verdict} onResult={onResult} />}
    </>
  );
}

// A figure within its bounds is kept; another is refused with the bounds.
function keep(value: number | null, least: number, most: number, set: (value: number) => void): string | null {
  if (value === null || !(value >= least && value <= most)) return `From ${least} to ${most}.`;
  set(value);
  return null;
}

function Outcome({
  text,
  verdict,
  onResult,
}: TrialProps & { readonly text: string; readonly verdict: TrialRun["result"] }) {
  return (
    <div className="pt-1">
      <p data-testid="trial-outcome" className={`text-[14px] leading-snug ${verdict === "leaks" ? "text-signal" : ""}`}>
        {text}
      </p>
      <div className="flex flex-wrap gap-1.5 pt-1">
        {TRIAL_RESULTS.map((result) => (
          <Button
            key={result}
            look={result === verdict ? "plate" : "line"}
            className="phone:min-h-14"
            onClick={() => onResult(result, text)}
          >
            {RESULT_NAMES[result]}
          </Button>
        ))}
      </div>
    </div>
  );
}

// Counts the minutes while the paper is watched.
function Watch({ onMinutes }: { readonly onMinutes: (minutes: number) => void }) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setNow(Date.now()), 1_000);
    return () => clearInterval(timer);
  }, [since]);
  const seconds = since === null ? 0 : Math.max(0, Math.floor((now - since) / 1_000));
  return (
    <div className="flex items-center gap-3 py-1">
      <Button
        className="phone:min-h-14"
        onClick={() => {
          if (since === null) {
            setNow(Date.now());
            setSince(Date.now());
          } else {
            onMinutes(Math.max(0.1, Math.round(((Date.now() - since) / 60_000) * 10) / 10));
            setSince(null);
          }
        }}
      >
        {since === null ? "Start the watch" : "Stop"}
      </Button>
      {since !== null && (
        <span className="figures text-[20px]" role="timer">
          {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, "0")}
        </span>
      )}
    </div>
  );
}
