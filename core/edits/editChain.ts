import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear, GearSpec, HoseEnd, WorkingState } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { USUAL_GEAR } from "../gear/usualGear";
import { chooseHosePipe } from "./hosePipe";
import { riseThroughFloor } from "./putPiece";

/** A piece to be set down: what its id is made from, its name and what it is. */
export type WantedPiece = { readonly key: string; readonly name: string; readonly spec: GearSpec };

export type EditChain = ReturnType<typeof startChain>;

/** One of a chain of edits is refused: what was to be fitted cannot be fitted so. */
class ChainRefused extends Error {}

/** What a chain makes; null where one of its edits is refused. */
export function tryChain<T>(build: () => T): T | null {
  try {
    return build();
  } catch (error) {
    if (error instanceof ChainRefused) return null;
    throw error;
  }
}

/** Edits one after the other, each made on the design as the one before left it, and gathered as one. `tryChain` stands round it. */
export function startChain(design: Design) {
  let now = design;
  const ops: EditOp[] = [];
  const push = (more: readonly EditOp[]) => {
    const outcome = applyEdit(now, { code: "addLoop", at: { kind: "rig" }, ops: more });
    if (!outcome.ok) throw new ChainRefused(`a part of what is fitted does not fit: ${JSON.stringify(outcome.faults)}`);
    now = outcome.design;
    ops.push(...more);
  };
  const insert = (list: "gear" | "lines" | "states", value: { readonly id: string }) =>
    push([{ op: "insert", path: [list], index: now[list].length, value }]);
  return {
    /** What was to be fitted cannot be fitted so. */
    refuse: (why: string): never => {
      throw new ChainRefused(why);
    },
    now: () => now,
    ops: () => ops,
    add: (edit: Edit | null) => edit && push(edit.ops),
    push,
    addGear: ({ key, name, spec }: WantedPiece, atMm: Gear["atMm"]): string => {
      const id = freeId(toIdWord(key), now.gear);
      const { sizeMm, openBelowMm } = USUAL_GEAR[spec.kind];
      const value: Gear = { id, name, atMm, sizeMm, openBelowMm, spec };
      insert("gear", value);
      return id;
    },
    /** A hose as wide as its ends ask for, through the floor at right angles; along the points given where there are some. */
    addHose: (from: HoseEnd, to: HoseEnd, more: Partial<Pick<Hose, "name" | "pointsMm" | "wall">> = {}): string => {
      const id = freeId("hose", now.lines);
      const value: Hose = {
        id,
        name: `Hose ${now.lines.filter(({ kind }) => kind === "hose").length + 1}`,
        kind: "hose",
        pipe: chooseHosePipe(now, from, to),
        from,
        to,
        pointsMm: riseThroughFloor(now, from, to),
        ...more,
      };
      insert("lines", value);
      return id;
    },
    addState: (state: Omit<WorkingState, "id">) =>
      insert("states", { id: freeId(toIdWord(state.name), now.states), ...state }),
  };
}

/** A word an id may be. */
export const toIdWord = (key: string): string =>
  key
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .slice(0, 30);
