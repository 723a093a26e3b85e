"use client";
import { useEffect, useRef, useState } from "react";
import { USUAL_MEASURES } from "@/core/design/createDesign";
import type { FirstMeasures } from "@/core/design/firstMeasures";
import {
  ASKED_UNDER,
  type FirstObstacleKind,
  type FirstObstacles,
  listUsualUnder,
  NOTHING_UNDER,
} from "@/core/design/firstObstacles";
import { RIG_KINDS, type RigKind } from "@/core/design/rig";
import type { Quantity } from "@/core/workings/working";
import { createDesignId } from "@/store/library";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeFault } from "@/words/faults";
import { RIG_NAMES } from "@/words/labels";
import { describeMeasure, listMeasureSteps, type MeasureStep, UNDER_WORDS } from "@/words/measuring";
import * as WORDS from "@/words/panels/library/newDesignSheet";
import { ask } from "@/workers/client";
import { Trade } from "../glossary/Trade";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/NumberField";
import { Sheet } from "../kit/Sheet";
import { Tick } from "../kit/Tick";
import { session } from "../shell/browserSession";
import { type Aboard, AboardStep, listWanted, NOTHING_ABOARD } from "./AboardStep";
import { TapeDrawing } from "./TapeDrawing";

/** What has been measured so far; it outlives the sheet, so that closing it loses nothing. */
type Measured = {
  readonly name: string;
  readonly kind: RigKind | null;
  readonly measures: FirstMeasures;
  readonly under: FirstObstacles;
  readonly aboard: Aboard;
  readonly step: number;
};

const NOTHING: Measured = {
  name: "",
  kind: null,
  measures: USUAL_MEASURES.van,
  under: NOTHING_UNDER,
  aboard: NOTHING_ABOARD,
  step: 0,
};
let measured = NOTHING;

/** Leads through the few measures that matter, and draws a first drain from them. */
export function NewDesignSheet({ onClose }: { readonly onClose: () => void }) {
  const [now, setNow] = useState(measured);
  const [refused, setRefused] = useState<ReadonlySet<string>>(new Set());
  const [refusal, setRefusal] = useState<string | null>(null);
  const [isFitting, setIsFitting] = useState(false);
  const fitting = useRef<AbortController | null>(null);
  useEffect(() => () => fitting.current?.abort(), []);
  const library = useWorkbench((state) => state.library);
  const bin = useWorkbench((state) => state.bin);
  const units = useWorkbench((state) => state.units);
  const { kind, step, measures, under, aboard } = now;
  const steps = kind ? listMeasureSteps(kind) : [];
  const change = (part: Partial<Measured>) => {
    measured = { ...now, ...part };
    setNow(measured);
  };
  const hear = (key: string) => (why: string | null) =>
    setRefused((before) => {
      const next = new Set(before);
      if (why === null) next.delete(key);
      else next.add(key);
      return next;
    });
  const begin = (picked: RigKind) =>
    change(
      picked === kind ? { step: 1 } : { kind: picked, measures: USUAL_MEASURES[picked], under: NOTHING_UNDER, step: 1 },
    );
  const go = (to: number) => {
    // what was not understood is not passed over
    if (refused.size > 0 && to > step) return;
    setRefused(new Set());
    setRefusal(null);
    change({ step: to });
  };
  const finish = async () => {
    if (!kind || refused.size > 0 || isFitting) return;
    const title = now.name.trim() || WORDS.my(RIG_NAMES[kind].toLowerCase());
    const id = createDesignId(
      title,
      [...library, ...bin].map((entry) => entry.id),
    );
    const controller = new AbortController();
    fitting.current = controller;
    setIsFitting(true);
    setRefusal(null);
    const asked = await ask(
      "firstRig",
      { first: { id, name: title, kind, measures, under }, wanted: listWanted(aboard) },
      controller,
    );
    // closed meanwhile, nothing is drawn
    if (asked.status === "cancelled") return;
    setIsFitting(false);
    if (asked.status !== "ready") {
      setRefusal(WORDS.theFittingDidNotCome);
      return;
    }
    const outcome = asked.answer;
    if (!outcome.ok) {
      setRefusal(WORDS.thisCannotBeBuilt(describeFault(outcome.faults[0]!, units)));
      return;
    }
    measured = NOTHING;
    onClose();
    look({ station: "falls", pane: "section" });
    void session.adopt(outcome.design);
  };
  const at = steps[step - 1];

  return (
    <Sheet
      title={step === 0 ? WORDS.aNewDesign : (at?.title ?? "")}
      about={step === 0 ? WORDS.fiveMinutesWithATape : WORDS.stepOf(step, steps.length, sayHow(at))}
      onClose={onClose}
    >
      {step === 0 ? (
        <KindStep name={now.name} kind={kind} onName={(name) => change({ name })} onKind={begin} />
      ) : (
        kind &&
        at && (
          <div key={step}>
            {at.isAboard ? (
              <AboardStep aboard={aboard} isBoat={kind === "boat"} onPick={(next) => change({ aboard: next })} />
            ) : at.isUnder ? (
              <UnderStep
                kind={kind}
                measures={measures}
                under={under}
                onUnder={(next) => change({ under: next })}
                onRefusal={hear}
              />
            ) : (
              <MeasureStepFields
                kind={kind}
                keys={at.keys}
                measures={measures}
                onMeasure={(key, value) => change({ measures: { ...measures, [key]: value } })}
                onRefusal={hear}
              />
            )}
          </div>
        )
      )}
      {refusal && (
        <p role="alert" className="mt-3 border-l-[6px] border-signal pl-3 text-signal">
          {refusal}
        </p>
      )}
      {refused.size > 0 && (
        <p role="status" className="mt-3 text-[13px] text-signal">
          {WORDS.oneOfTheFieldsIs}
        </p>
      )}
      {step > 0 && (
        <div className="mt-4 flex justify-between border-t border-rule pt-3">
          <Button onClick={() => go(step - 1)}>{WORDS.back}</Button>
          {step < steps.length ? (
            <Button look="plate" onClick={() => go(step + 1)}>
              {WORDS.next} {steps[step]!.title.toLowerCase()}
            </Button>
          ) : (
            <Button look="plate" onClick={() => void finish()}>
              {isFitting ? WORDS.fitting : WORDS.drawIt}
            </Button>
          )}
        </div>
      )}
    </Sheet>
  );
}

const sayHow = (step: MeasureStep | undefined): string => {
  if (step?.isAboard) return WORDS.tickWhatYouWant;
  return step?.isUnder ? WORDS.whatIsThereBars : WORDS.pickAField;
};

type KindProps = {
  readonly name: string;
  readonly kind: RigKind | null;
  readonly onName: (name: string) => void;
  readonly onKind: (kind: RigKind) => void;
};

function KindStep({ name, kind: chosen, onName, onKind }: KindProps) {
  return (
    <>
      <label className="flex items-center gap-3 pb-4">
        <span className="text-faint">{WORDS.itsName}</span>
        <input
          value={name}
          maxLength={80}
          onChange={(event) => onName(event.target.value)}
          className="h-9 flex-1 rounded-[2px] border border-edge bg-sheet px-2 text-[16px]"
        />
      </label>
      <p className="pb-2 text-faint">
        {chosen ? WORDS.whatIsItPickAgain(RIG_NAMES[chosen].toLowerCase()) : WORDS.whatIsIt}
      </p>
      <div className="grid grid-cols-2 gap-3 desk:grid-cols-4">
        {RIG_KINDS.map((kind) => (
          <button
            key={kind}
            type="button"
            aria-pressed={kind === chosen}
            onClick={() => onKind(kind)}
            className={`flex flex-col gap-1 border bg-sheet p-1.5 hover:border-enamel hover:bg-pick ${kind === chosen ? "border-2 border-enamel" : "border-edge"}`}
          >
            <TapeDrawing measure="sinkHeightMm" kind={kind} />
            <span className="plate text-[17px]">{RIG_NAMES[kind]}</span>
          </button>
        ))}
      </div>
    </>
  );
}

type Hear = (key: string) => (why: string | null) => void;

type FieldsProps = {
  readonly kind: RigKind;
  readonly keys: readonly (keyof FirstMeasures)[];
  readonly measures: FirstMeasures;
  readonly onMeasure: (key: keyof FirstMeasures, value: number | null) => void;
  readonly onRefusal: Hear;
};

const CLEARABLE = new Set<keyof FirstMeasures>(["sillBelowMm", "waterlineMm", "tankForwardMm", "tankLeftMm"]);

function MeasureStepFields({ kind, keys, measures, onMeasure, onRefusal }: FieldsProps) {
  const [active, setActive] = useState<keyof FirstMeasures>(keys[0]!);
  return (
    <div className="grid gap-5 desk:grid-cols-2">
      <div>
        <TapeDrawing measure={active} kind={kind} />
        <p className="mt-2 text-[13.5px]">{describeMeasure(active, kind).tape}</p>
      </div>
      <div>
        {keys.map((key) => (
          <div key={key} onFocusCapture={() => setActive(key)}>
            <NumberField
              label={describeMeasure(key, kind).label}
              value={measures[key]}
              quantity={toQuantity(key)}
              clearable={CLEARABLE.has(key)}
              onRefusal={onRefusal(key)}
              onCommit={(value) => {
                if (key === "people" && !(Number.isInteger(value) && value! >= 1)) return WORDS.atLeastOnePerson;
                onMeasure(key, value);
                return null;
              }}
            />
          </div>
        ))}
      </div>
    </div>
  );
}

type UnderProps = {
  readonly kind: RigKind;
  readonly measures: FirstMeasures;
  readonly under: FirstObstacles;
  readonly onUnder: (under: FirstObstacles) => void;
  readonly onRefusal: Hear;
};

/** What bars the way: each thing ticked, then measured. More of them can be added at the station Rig. */
function UnderStep({ kind, measures, under, onUnder, onRefusal }: UnderProps) {
  return (
    <div className="flex flex-col gap-1">
      {ASKED_UNDER[kind].map((what) => (
        <div key={what} className="border-b border-rule pb-1">
          <Tick
            label={UNDER_WORDS[what].label}
            value={under[what] !== null}
            onPick={(isThere) => onUnder({ ...under, [what]: isThere ? listUsualUnder(measures)[what] : null })}
          />
          {under[what] && (
            <div className="grid gap-x-5 pl-5 desk:grid-cols-2">
              {Object.entries(UNDER_WORDS[what].fields).map(([key, label]) => (
                <NumberField
                  key={key}
                  label={label}
                  value={readMeasure(under, what, key)}
                  quantity="length"
                  onRefusal={onRefusal(`${what} ${key}`)}
                  onCommit={(value) => {
                    if (value === null) return WORDS.typeItsMeasure;
                    onUnder({ ...under, [what]: { ...under[what], [key]: value } });
                    return null;
                  }}
                />
              ))}
            </div>
          )}
        </div>
      ))}
      <p className="pt-1 text-[12.5px] text-faint">
        <Trade>{WORDS.whatElseIsThereSuch}</Trade>
      </p>
    </div>
  );
}

const readMeasure = (under: FirstObstacles, what: FirstObstacleKind, key: string): number =>
  (under[what] as unknown as Readonly<Record<string, number>>)[key] ?? 0;

function toQuantity(key: keyof FirstMeasures): Quantity {
  if (key === "people") return "count";
  if (key === "sinkLPerPersonDay") return "volumePerDay";
  return key === "freshL" ? "volume" : "length";
}
