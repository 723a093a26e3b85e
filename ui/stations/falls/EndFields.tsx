"use client";
import type { Drain, Fitting, Outfall } from "@/core/design/plumbing";
import { FITTINGS } from "@/core/design/plumbing";
import { buildRedirect, type Goal, listGoals } from "@/core/edits/drainEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { FITTING_NAMES } from "@/words/drainLabels";
import { describeChoice } from "@/words/goals";
import * as WORDS from "@/words/panels/falls/endFields";
import { PlaceFields } from "../../fields/PlaceFields";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Pick } from "../../kit/Pick";

/** Where the drain ends: in a tank, or in another drain and by which fitting. */
export function EndFields({ drain }: { readonly drain: Drain }) {
  // what a drain can end in does not change while something is pulled
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { apply, set } = useEdits();
  const goals = listGoals(design, drain.id);
  const byKey = new Map(goals.map((goal) => [toKey(goal), goal]));
  const names = Object.fromEntries(goals.map((goal) => [toKey(goal), describeChoice(goal, drain, design, units)]));
  const { to } = drain;
  const redirect = (key: string) => {
    const goal = byKey.get(key);
    const edit = goal && buildRedirect(workbench.getState().history!.design, drain.id, goal);
    if (edit) apply(edit);
  };
  return (
    <>
      <Pick label={WORDS.endsIn} value={toKey(toGoal(to))} names={names} onPick={redirect} />
      {(to.kind === "ground" || to.kind === "vessel") && (
        <fieldset>
          <legend className="sr-only">{WORDS.whereItEnds}</legend>
          <PlaceFields part={{ kind: "end", lineId: drain.id }} />
        </fieldset>
      )}
      {(to.kind === "ground" || to.kind === "vessel") && (
        <p className="text-[12px] leading-snug text-faint">
          <Trade>{WORDS.orPullItsEndIn}</Trade>
        </p>
      )}
      {to.kind === "junction" && (
        <>
          <Pick<Fitting>
            label={WORDS.joinsByA}
            value={to.fitting}
            names={{ wye: FITTING_NAMES.wye.name, tee: FITTING_NAMES.tee.name }}
            order={FITTINGS}
            onPick={(fitting) => set({ kind: "line", id: drain.id }, ["lines", drain.id, "to", "fitting"], fitting)}
          />
          <p className="text-[12px] leading-snug text-faint">{FITTING_NAMES[to.fitting].plain}</p>
        </>
      )}
    </>
  );
}

function toGoal(to: Outfall): Goal {
  switch (to.kind) {
    case "inlet":
      return to;
    case "junction":
      return { kind: "line", lineId: to.lineId };
    case "ground":
      return { kind: "ground" };
    case "overboard":
    case "sump":
      return to;
    case "vessel":
      return { kind: "vessel", vesselId: to.vesselId };
  }
}

const toKey = (goal: Goal): string => Object.values(goal).join(":");
