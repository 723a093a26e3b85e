import type { Design } from "@/core/design/design";
import { applyEdit } from "@/core/design/edit";
import type { RIG_KINDS } from "@/core/design/rig";
import { evaluate } from "@/core/evaluate/evaluate";
import type { Finding } from "@/core/evaluate/findings";
import { buildFirstDesign } from "@/core/routes/firstDesign";
import { fitWanted, type Wanted } from "@/core/routes/fitWanted";
import { toFirst } from "./firstRigs";

type Kind = (typeof RIG_KINDS)[number];

/** Names for what comes with a toilet. */
export const TOILET_NAMES = {
  toilet: "Toilet",
  urineVessel: "Bottle",
  restVessel: "Bin",
  urineUse: "Urine",
  restUse: "Rest",
};

const begun = new Map<string, Design>();

/** A new design of a kind, as it is begun; worked out once. */
export function begin(kind: Kind, isFull: boolean): Design {
  const known = begun.get(`${kind} ${isFull}`);
  if (known) return known;
  const outcome = buildFirstDesign(toFirst(kind, isFull));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  begun.set(`${kind} ${isFull}`, outcome.design);
  return outcome.design;
}

const taken = new WeakMap<Design, Map<string, Design>>();

/** What is wanted, fitted, worked out once for each design; a refusal fails the test. */
export function take(design: Design, wanted: Wanted): Design {
  const known = taken.get(design) ?? new Map<string, Design>();
  taken.set(design, known);
  const asked = JSON.stringify(wanted);
  const after = known.get(asked) ?? takeAnew(design, wanted);
  known.set(asked, after);
  return after;
}

function takeAnew(design: Design, wanted: Wanted): Design {
  const { edit } = fitWanted(design, wanted);
  const outcome = edit && applyEdit(design, edit);
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome));
  return outcome.design;
}

/** What is told of a design that was not before. */
export const listNew = (before: Design, after: Design): Finding[] => {
  const known = new Set(evaluate(before).findings.map(({ id }) => id));
  return evaluate(after).findings.filter(({ id }) => !known.has(id));
};
export const listNewMusts = (before: Design, after: Design): Finding[] =>
  listNew(before, after).filter(({ severity }) => severity === "must");
export const listUnsettled = (before: Design, after: Design): Finding[] =>
  listNew(before, after).filter(({ severity }) => severity !== "note");

/** What was there is as it was, but for what a tank is drilled for. */
export function expectKept(before: Design, after: Design): void {
  expect(after.lines.slice(0, before.lines.length)).toEqual(before.lines);
  expect(after.gear.slice(0, before.gear.length)).toEqual(before.gear);
  expect(after.fixtures.slice(0, before.fixtures.length)).toEqual(before.fixtures);
  for (const [i, tank] of before.tanks.entries()) {
    expect({ ...after.tanks[i]!, ports: after.tanks[i]!.ports.slice(0, tank.ports.length) }).toEqual(tank);
  }
}
