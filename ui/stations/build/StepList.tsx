"use client";
import { ChevronDown, ChevronUp } from "lucide-react";
import { useState } from "react";
import { takeDrawn } from "@/core/build/redrawn";
import type { BuildStep } from "@/core/build/steps";
import type { Unsettled } from "@/core/build/unsettled";
import type { Design } from "@/core/design/design";
import type { Evaluation } from "@/core/evaluate/evaluation";
import type { BuildRecord } from "@/core/record/record";
import { toTickedAs } from "@/core/record/ticks";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeMissing, describeStep, tellStep } from "@/words/build";
import * as WORDS from "@/words/panels/build/stepList";
import { listStepFigures, type StepFigure } from "@/words/stepFigures";
import { formatNumber, parsePlain } from "@/words/units";
import { PhotoField } from "../../fields/PhotoField";
import { SettleFirst } from "../../findings/SettleFirst";
import { Button } from "../../kit/Button";
import { today } from "../now";

type StepListProps = {
  readonly title: string;
  readonly steps: readonly BuildStep[];
  readonly design: Design;
  readonly evaluation: Evaluation;
  readonly build: BuildRecord;
  readonly unsettled: Unsettled;
  /** What became of the drawing of a done step since, by its id. */
  readonly redrawnOf: ReadonlyMap<string, string>;
  /** Null where it cannot be ticked yet. */
  readonly isDone: boolean | null;
  readonly pickedId: string | null;
  readonly missingOf: (step: BuildStep) => readonly string[];
  readonly onMove: (stepId: string, targetId: string, side: "before" | "after") => void;
  readonly onPick: (step: BuildStep) => void;
};

const lost = () => tell(WORDS.thatCouldNotBeKept, { tone: "warning" });

/** Steps in their order: pulled to another place or moved by one, ticked, with what they want and what is missing. */
export function StepList(props: StepListProps) {
  const { title, steps, onMove } = props;
  const [pulled, setPulled] = useState<string | null>(null);
  if (steps.length === 0) return null;
  return (
    <>
      <h3 className="plate pt-3 pb-1 text-[17px]">{title}</h3>
      <ul aria-label={title}>
        {steps.map((step, i) => (
          <li
            key={step.id}
            draggable={props.isDone !== true}
            onDragStart={() => setPulled(step.id)}
            onDragOver={(event) => pulled && event.preventDefault()}
            onDrop={() => {
              if (pulled && pulled !== step.id)
                onMove(pulled, step.id, steps.findIndex(({ id }) => id === pulled) < i ? "after" : "before");
              setPulled(null);
            }}
            className={`flex gap-3 border-t border-rule py-1.5 ${props.isDone === null ? "text-faint" : ""} ${step.id === props.pickedId && props.isDone !== true ? "bg-pick/50" : ""}`}
          >
            <Step {...props} step={step} before={steps[i - 1]?.id ?? null} after={steps[i + 1]?.id ?? null} />
          </li>
        ))}
      </ul>
    </>
  );
}

type StepProps = StepListProps & {
  readonly step: BuildStep;
  readonly before: string | null;
  readonly after: string | null;
};

function Step({
  step,
  design,
  evaluation,
  build,
  unsettled,
  redrawnOf,
  isDone,
  pickedId,
  missingOf,
  onMove,
  onPick,
  before,
  after,
}: StepProps) {
  const units = useWorkbench((state) => state.units);
  const { tools, caution } = tellStep(step, design);
  const against = isDone === false ? (unsettled.get(step.id) ?? []) : [];
  const name = describeStep(step, design);
  // one that still waits can be read beforehand
  const isPicked = isDone !== true && step.id === pickedId;
  const redrawn = isDone === true ? redrawnOf.get(step.id) : undefined;
  const tick = (on: string | null) => {
    const drawn = takeDrawn(step, design, evaluation);
    records.tickStep(step.id, on, toTickedAs(name, drawn)).catch(lost);
  };
  const missing = isDone === false ? missingOf(step) : [];
  return (
    <>
      <input
        type="checkbox"
        aria-label={name}
        checked={isDone === true}
        disabled={isDone === null}
        onChange={(event) => tick(event.target.checked ? today() : null)}
        className="mt-0.5 size-6 shrink-0 accent-enamel phone:size-9"
      />
      <div className="min-w-0 flex-1">
        <button
          type="button"
          className="w-full text-left"
          onClick={() => onPick(step)}
          {...(isDone === true ? {} : { "aria-expanded": isPicked })}
        >
          <span
            className={`block text-[15px] leading-snug phone:text-[18px] ${isDone && !redrawn ? "line-through" : ""}`}
          >
            {name}
          </span>
          {(isDone === false || isPicked) && <Figures figures={listStepFigures(step, { design, evaluation, units })} />}
          {isPicked && (
            <span className="block text-[12.5px] leading-snug text-faint">
              {tools}
              {WORDS.about} {formatNumber(step.hours, 1)} h.
              {caution && <strong className="text-warn"> {caution}</strong>}
            </span>
          )}
        </button>
        {against.length > 0 && <SettleFirst findings={against} design={design} />}
        {missing.length > 0 && <p className="text-[12.5px] leading-snug text-warn">{describeMissing(missing)}</p>}
        {redrawn && (
          <p className="flex items-start gap-2 text-[13.5px] leading-snug text-warn phone:text-[16px]">
            <span className="flex-1">{redrawn}</span>
            <Button onClick={() => tick(today())}>{WORDS.doneOver}</Button>
          </p>
        )}
        {isDone === true && (
          <div className="flex flex-wrap items-start gap-x-3">
            <HoursField stepId={step.id} name={name} build={build} />
            <PhotoField
              label={WORDS.photograph}
              of={name}
              ids={build.done.find(({ stepId }) => stepId === step.id)?.photos ?? []}
              onChange={(ids) => records.setStepPhotos(step.id, ids).catch(lost)}
            />
          </div>
        )}
      </div>
      {isDone !== true && (
        <span className="flex shrink-0">
          <Button
            look="bare"
            className="min-h-6 px-1"
            aria-label={WORDS.earlier(name)}
            disabled={before === null}
            onClick={() => before && onMove(step.id, before, "before")}
          >
            <ChevronUp size={14} aria-hidden />
          </Button>
          <Button
            look="bare"
            className="min-h-6 px-1"
            aria-label={WORDS.later(name)}
            disabled={after === null}
            onClick={() => after && onMove(step.id, after, "after")}
          >
            <ChevronDown size={14} aria-hidden />
          </Button>
        </span>
      )}
    </>
  );
}

function Figures({ figures }: { readonly figures: readonly StepFigure[] }) {
  return figures.map(([what, figure]) => (
    <span key={what} className="mr-3 inline-block text-[13.5px] leading-snug phone:text-[16px]">
      <span className="text-faint">{what}</span> <span className="figures">{figure}</span>
    </span>
  ));
}

function HoursField({
  stepId,
  name,
  build,
}: {
  readonly stepId: string;
  readonly name: string;
  readonly build: BuildRecord;
}) {
  const kept = build.done.find((one) => one.stepId === stepId);
  const [text, setText] = useState(kept?.hours === undefined ? "" : String(kept.hours));
  const write = () => {
    const read = text.trim() === "" ? null : parsePlain(text);
    if (read && (!read.ok || read.value < 0 || read.value > 1_000)) {
      setText(kept?.hours === undefined ? "" : String(kept.hours));
      return;
    }
    records.setHours(stepId, read?.ok ? read.value : null).catch(lost);
  };
  return (
    <label className="flex items-center gap-1 text-[12.5px] text-faint">
      {kept?.on}
      {WORDS.took}
      <input
        aria-label={WORDS.hoursFor(name)}
        value={text}
        inputMode="decimal"
        onChange={(event) => setText(event.target.value)}
        onBlur={write}
        className="figures w-10 border-b border-edge bg-sheet text-right text-[14px] text-ink phone:min-h-11"
      />
      h
    </label>
  );
}
