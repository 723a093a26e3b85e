"use client";
import { Lock } from "lucide-react";
import { useMemo, useState } from "react";
import { listBuiltParts } from "@/core/build/builtParts";
import { listGoods } from "@/core/build/goods";
import { settleOwnWork } from "@/core/build/ownSteps";
import { listBuilt } from "@/core/build/progress";
import { listRedrawn } from "@/core/build/redrawn";
import { findStepSpot, listStepMarks } from "@/core/build/stepSpot";
import { type BuildStep, isUnderRig, listOpenSteps, listSteps, moveStep, orderSteps } from "@/core/build/steps";
import { listUnsettled } from "@/core/build/unsettled";
import type { Movable } from "@/core/design/moves";
import { buildLockAll } from "@/core/edits/lockAll";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell } from "@/store/workbench";
import { BUILD_WHEN_NAMES, BUILD_WHENS, type BuildWhen, describeHours, describeMoveRefused } from "@/words/build";
import { listMissing } from "@/words/goods";
import * as WORDS from "@/words/panels/build/buildStage";
import { describeGone, describeRedrawn } from "@/words/redrawn";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { StagePick } from "../../kit/StagePick";
import { useSay } from "../../kit/useSay";
import { StageHeader } from "../StageHeader";
import { useRecords } from "../useRecords";
import { BuildDrawing } from "./BuildDrawing";
import { StepList } from "./StepList";

const NOT_KEPT = WORDS.thatCouldNotBeKept;

/** What can be done now, what waits for it, and what is done; ticked with a thumb, drawn beside as it grows. */
export function BuildStage() {
  const say = useSay();
  const { apply } = useEdits();
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const units = useWorkbench((state) => state.units);
  const build = useRecords((state) => state.build);
  const phase = useRecords((state) => state.phase);
  const [when, setWhen] = useState<BuildWhen>("any");
  const [pickedId, setPicked] = useState<string | null>(null);
  const { steps: own, rules } = build;
  const listed = useMemo(
    () => settleOwnWork(listSteps(design, evaluation), { steps: own, rules }).steps,
    [design, evaluation, own, rules],
  );
  const order = useMemo(() => orderSteps(listed, build.order), [listed, build.order]);
  const goods = useMemo(() => listGoods(design, evaluation, build.saws), [design, evaluation, build.saws]);
  const unsettled = useMemo(() => listUnsettled(design, listed, evaluation.findings), [design, listed, evaluation]);
  const done = useMemo(() => new Set(build.done.map(({ stepId }) => stepId)), [build.done]);
  const { redrawn, gone } = useMemo(
    () => listRedrawn(listed, build.done, design, evaluation),
    [listed, build.done, design, evaluation],
  );
  const open = order.ok ? listOpenSteps(order.steps, done) : [];
  const [clear, held] = [open.filter(({ id }) => !unsettled.has(id)), open.filter(({ id }) => unsettled.has(id))];
  const unbuilt = order.ok ? order.steps.filter(({ id }) => !done.has(id)) : [];
  const current = unbuilt.find(({ id }) => id === pickedId) ?? clear[0] ?? held[0] ?? null;
  const lock = useMemo(() => buildLockAll(design, listBuiltParts(listed, done), true), [design, listed, done]);
  const built = useMemo(() => listBuilt(design, done, current), [design, done, current]);
  if (!order.ok) {
    return (
      <section aria-label={WORDS.theBuilding} className="flex flex-1 items-center justify-center bg-sheet p-8">
        <p role="alert">
          {WORDS.theseStepsNeedEachOther} {order.circle.join(", ")}
          {WORDS.changeTheDesignSoThat}
        </p>
      </section>
    );
  }
  const missingOf = (step: BuildStep) => listMissing(goods, step, build, design, units);
  const fits = (step: BuildStep) =>
    when === "any" || (when === "rain" ? !isUnderRig(step, design) : missingOf(step).length === 0);
  const now = clear.filter(fits);
  const waiting = order.steps.filter((step) => !done.has(step.id) && !open.includes(step));
  const finished = order.steps.filter((step) => done.has(step.id));
  const redrawnOf = new Map(redrawn.map(({ step, redrawn: how }) => [step.id, describeRedrawn(step.kind, how, units)]));
  const move = (stepId: string, targetId: string, side: "before" | "after") => {
    const moved = moveStep(order.steps, stepId, targetId, side);
    if (!moved.ok) return tell(describeMoveRefused(moved, order.steps, design), { tone: "warning" });
    records.setOrder(moved.wished).catch(() => tell(NOT_KEPT, { tone: "warning" }));
  };
  const pick = (step: BuildStep) => {
    setPicked(step.id);
    look({ selection: toPart(step) });
  };
  const common = {
    design,
    evaluation,
    build,
    unsettled,
    redrawnOf,
    missingOf,
    onMove: move,
    onPick: pick,
    pickedId: current?.id ?? null,
  };
  return (
    <section aria-label={WORDS.theBuilding} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={WORDS.build}
        choice={
          <StagePick
            label={WORDS.whatCanBeDone}
            value={when}
            options={BUILD_WHENS.map((id) => ({ id, name: BUILD_WHEN_NAMES[id] }))}
            onPick={(id) => setWhen(id as BuildWhen)}
          />
        }
        text={
          order.steps.length === 0
            ? WORDS.nothingToBuildYetDraw
            : WORDS.ofStepsDone(finished.length, order.steps.length, describeHours(order.steps, build.done))
        }
      />
      {phase === "failed" && (
        <p role="alert" className="px-3 py-2 text-signal">
          {WORDS.whatIsDoneCannotBe}
        </p>
      )}
      <div className="flex min-h-0 flex-1 phone:flex-col">
        <div
          className="min-h-0 flex-[3] overflow-y-auto px-3 pb-3 phone:flex-none phone:overflow-visible"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
          tabIndex={0}
          role="group"
          aria-label={WORDS.steps}
        >
          <StepList
            title={WORDS.builtAndDrawnAnewSince}
            steps={finished.filter(({ id }) => redrawnOf.has(id))}
            isDone
            {...common}
          />
          {gone.map((one) => (
            <p key={one.stepId} className="flex items-start gap-2 border-t border-rule py-1.5 text-[14px] text-warn">
              <span className="flex-1">{describeGone(one)}</span>
              <Button
                onClick={() => {
                  records.tickStep(one.stepId, null).catch(() => tell(NOT_KEPT, { tone: "warning" }));
                }}
              >
                {WORDS.seenTo}
              </Button>
            </p>
          ))}
          <StepList title={WORDS.now} steps={now} isDone={false} {...common} />
          {now.length === 0 && clear.length > 0 && (
            <p className="pt-3 text-[14px]">
              {when === "rain" ? say(WORDS.everythingThatComesNextIs) : WORDS.forEverythingThatComesNext}
            </p>
          )}
          {clear.length === 0 && held.length > 0 && (
            <p className="pt-3 text-[14px]">
              <Trade>{WORDS.nothingCanBeDoneYet}</Trade>
            </p>
          )}
          <StepList title={WORDS.settleFirst} steps={held.filter(fits)} isDone={false} {...common} />
          <StepList title={WORDS.waitsForThat} steps={waiting.filter(fits)} isDone={null} {...common} />
          {lock && (
            <p className="flex flex-wrap items-center gap-2 pt-3 text-[13.5px]">
              <span className="min-w-0 flex-1">
                {lock.ops.length === 1 ? WORDS.oneBuiltPart : WORDS.builtParts(lock.ops.length)}{" "}
                {WORDS.canStillBeMovedIn}
              </span>
              <Button onClick={() => apply(lock)}>
                <Lock size={13} aria-hidden /> {lock.ops.length === 1 ? WORDS.lockIt : WORDS.lockThem}
              </Button>
            </p>
          )}
          <StepList title={WORDS.done} steps={finished.filter(({ id }) => !redrawnOf.has(id))} isDone {...common} />
        </div>
        <div
          className="min-h-0 min-w-0 flex-[2] overflow-y-auto border-l border-rule p-2 phone:border-t phone:border-l-0"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
          tabIndex={0}
          role="group"
          aria-label={WORDS.drawingOfTheBuilding}
        >
          <BuildDrawing
            design={design}
            built={built}
            spot={current && findStepSpot(current, design, evaluation)}
            marks={current ? listStepMarks(current, design) : []}
            units={units}
          />
        </div>
      </div>
    </section>
  );
}

// The part lights up in the drawings.
function toPart({ at }: BuildStep): Movable | null {
  return at.kind === "tank" || at.kind === "gear" || at.kind === "fixture" || at.kind === "line" ? at : null;
}
