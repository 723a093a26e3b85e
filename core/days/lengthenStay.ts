import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Use, Vessel } from "../design/habits";
import { buildResize } from "../design/resizeTank";
import { evaluate } from "../evaluate/evaluate";
import { measureCapacityL } from "../geometry/solid";

/** What would lengthen the stay, as an edit, with the days it brings. */
export type Rung = {
  readonly code: "shorterShowers" | "bowlNotTap" | "fewerRinses" | "moreFresh" | "largerTank" | "ownVessel";
  readonly edit: Edit;
  readonly gainedDays: number;
  readonly days: number;
  /** Where it is done: a use's or tank's name. */
  readonly name: string;
};

/** A shower cut to this share of its water; a washing-up in a bowl, L [T]. */
const SHORTER = 0.7;
const BOWL_L = 5;
/** Larger by so much, L: a step a builder can feel [T]. */
const STEP_L = 10;
/** Gains below this are not worth a rung, days. */
const LEAST_DAYS = 0.05;

/** The ladder: every single change that lengthens the stay, standing level, most days first; each tried by the whole evaluation. */
export function listRungs(design: Design): Rung[] {
  const before = evaluate(design).balance.endsBy.level?.days ?? null;
  if (before === null) return [];
  return listCandidates(design)
    .flatMap(({ code, edit, name }): Rung[] => {
      const outcome = applyEdit(design, edit);
      if (!outcome.ok) return [];
      const days = evaluate(outcome.design).balance.endsBy.level?.days ?? null;
      if (days === null || days - before < LEAST_DAYS) return [];
      return [{ code, edit, name, days, gainedDays: days - before }];
    })
    .sort((a, b) => b.gainedDays - a.gainedDays);
}

type Candidate = Pick<Rung, "code" | "edit" | "name">;

const AT = { kind: "habits" } as const;

function listCandidates(design: Design): Candidate[] {
  const { habits, tanks } = design;
  const wayId = habits.stretches[0]?.wayId;
  const uses = habits.ways.find(({ id }) => id === wayId)?.uses ?? [];
  const set = (use: Use, change: Partial<Use>): Edit => ({
    code: "change",
    at: AT,
    ops: [{ op: "set", path: ["habits", "ways", wayId!, "uses", use.id], value: { ...use, ...change } }],
  });
  const cut = (use: Use, takesL: number) =>
    set(use, { takesL, sendsL: use.takesL > 0 ? (use.sendsL * takesL) / use.takesL : 0 });
  const habitsRungs = uses.flatMap((use): Candidate[] => {
    const { name, kind, takesL } = use;
    if (kind === "shower") return [{ code: "shorterShowers", name, edit: cut(use, round(takesL * SHORTER)) }];
    if (kind === "washUpRunning" && takesL > BOWL_L)
      return [{ code: "bowlNotTap", name, edit: cut({ ...use, kind: "washUpBowl" }, BOWL_L) }];
    if (kind === "rinseOutside") return [{ code: "fewerRinses", name, edit: set(use, { times: use.times / 2 }) }];
    if (kind === "urine" && use.vesselId === null && use.fixtureId !== null)
      return [{ code: "ownVessel", name, edit: giveVessel(design, wayId!, use) }];
    return [];
  });
  const larger = tanks.flatMap((tank): Candidate[] => {
    if (tank.holds === "fresh") return [];
    const litres = measureCapacityL(tank.solid);
    const lengthMm = Math.ceil(tank.solid.lengthMm * (1 + STEP_L / litres));
    return [{ code: "largerTank", name: tank.name, edit: buildResize(tank, { lengthMm }) }];
  });
  return [...habitsRungs, ...larger, { code: "moreFresh", name: `${STEP_L}`, edit: carryMore(design) }];
}

const round = (litres: number): number => Math.round(litres * 10) / 10;

function carryMore({ habits: { vessels } }: Design): Edit {
  const fresh = vessels.find(({ holds }) => holds === "fresh");
  const op: EditOp = fresh
    ? { op: "set", path: ["habits", "vessels", fresh.id, "litres"], value: fresh.litres + STEP_L }
    : {
        op: "insert",
        path: ["habits", "vessels"],
        index: vessels.length,
        value: { id: freeId("fresh-can", vessels), name: "Fresh water can", holds: "fresh", litres: STEP_L, on: "rig" },
      };
  return { code: "change", at: AT, ops: [op] };
}

function giveVessel({ habits: { vessels } }: Design, wayId: string, use: Use): Edit {
  const known = vessels.find(({ holds }) => holds === "black");
  const vessel: Vessel = known ?? {
    id: freeId("urine-canister", vessels),
    name: "Urine canister",
    holds: "black",
    litres: 10,
    on: "rig",
  };
  return {
    code: "change",
    at: AT,
    ops: [
      ...(known ? [] : [{ op: "insert", path: ["habits", "vessels"], index: vessels.length, value: vessel } as const]),
      {
        op: "set",
        path: ["habits", "ways", wayId, "uses", use.id],
        value: { ...use, vesselId: vessel.id, fixtureId: null },
      },
    ],
  };
}
