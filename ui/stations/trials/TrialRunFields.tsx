"use client";
import { useState } from "react";
import { takeDrawnTrial } from "@/core/build/redrawn";
import type { BuildStep } from "@/core/build/steps";
import type { TrialRun } from "@/core/record/record";
import { toTickedAs } from "@/core/record/ticks";
import { takeFingerprint } from "@/core/trials/fingerprint";
import { standsUnderPressure } from "@/core/trials/pressed";
import { findTrialOf } from "@/core/trials/proof";
import { measureTrialSurfaceMm2 } from "@/core/trials/trialSurface";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeStep, tellStep } from "@/words/build";
import * as WORDS from "@/words/panels/trials/trialRunFields";
import { RESULT_NAMES } from "@/words/trialRuns";
import { Group } from "../../fields/Group";
import { PhotoField, PhotoStrip } from "../../fields/PhotoField";
import { Pick } from "../../kit/Pick";
import { thisMinute } from "../now";
import { useRecords } from "../useRecords";
import { AirTrial } from "./AirTrial";
import { BucketTrial } from "./BucketTrial";
import { SeenTrial } from "./SeenTrial";
import { WaterTrial } from "./WaterTrial";

const NOTHING: readonly TrialRun[] = [];

/** A trial as it is run: the watch, the readings, what comes of them, kept with the building and held against the last one. */
export function TrialRunFields({ trials }: { readonly trials: readonly BuildStep[] }) {
  const design = useWorkbench((state) => state.history!.design);
  const runs = useRecords((state) => state.build.trials ?? NOTHING);
  const selection = useWorkbench((state) => state.selection);
  const [picked, setPicked] = useState<string | null>(null);
  const [shots, setShots] = useState<readonly string[]>([]);
  const [signed, setSigned] = useState("");
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
      .addTrial({
        id,
        trialId: step.id,
        at: thisMinute(),
        result,
        note: note.slice(0, 400),
        on: takeFingerprint(design, step.id),
        ...(shots.length > 0 ? { photos: [...shots] } : {}),
        ...(signed.trim() ? { signed: signed.trim().slice(0, 80) } : {}),
      })
      .then(() => {
        const as = toTickedAs(describeStep(step, design), takeDrawnTrial(design, step.id));
        return result === "held" ? records.tickStep(step.id, thisMinute().slice(0, 10), as) : undefined;
      })
      .then(() => setShots([]))
      .catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
  };
  return (
    <Group title={WORDS.runATrial}>
      <Pick
        label={WORDS.trial}
        isWide
        value={step.id}
        names={Object.fromEntries(trials.map((one) => [one.id, describeStep(one, design)]))}
        onPick={setPicked}
      />
      {step.kind === "trialHoses" && standsUnderPressure(design) ? (
        <AirTrial key={step.id} onResult={write} />
      ) : step.kind === "trialLaunch" ||
        step.kind === "trialHoses" ||
        (step.kind === "trialDump" && design.rig.kind === "boat") ? (
        <SeenTrial key={step.id} caution={tellStep(step, design).caution ?? ""} onResult={write} />
      ) : step.kind === "trialDump" && step.at.kind === "tank" ? (
        <BucketTrial key={step.id} tankId={step.at.id} onResult={write} />
      ) : (
        <WaterTrial key={step.id} surfaceMm2={measureTrialSurfaceMm2(design, step)} onResult={write} />
      )}
      <PhotoField ids={shots} onChange={setShots} label={WORDS.photographOfIt} />
      <label className="flex min-h-8 items-center justify-between gap-2 text-[13px] text-faint">
        {WORDS.signedBy}
        <input
          value={signed}
          maxLength={80}
          onChange={(event) => setSigned(event.target.value)}
          className="w-40 border-b border-edge bg-sheet px-2 text-[14px] text-ink phone:min-h-11"
        />
      </label>
      {own.length > 0 && (
        <ul aria-label={WORDS.trialsThatWereRun} className="pt-1 text-[13px] leading-snug">
          {[...own].reverse().map(({ id, at, result, note, photos: taken, signed: by }) => (
            <li key={id} className="border-t border-rule py-1">
              <span className="figures text-[14px] text-faint">{at.replace("T", " ")}</span> {RESULT_NAMES[result]}
              {note && `: ${note}`}
              {by && (
                <span className="text-faint">
                  {" "}
                  {WORDS.signed} {by}.
                </span>
              )}
              {taken && <PhotoStrip ids={taken} />}
            </li>
          ))}
        </ul>
      )}
    </Group>
  );
}
