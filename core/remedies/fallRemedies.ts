import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { findBranchVent } from "../design/lineItems";
import { roundTenth } from "../design/moves";
import type { Drain } from "../design/plumbing";
import { computeLayToleranceMm } from "../evaluate/layTolerance";
import { measureLegSlacks } from "../evaluate/legSlack";
import { listParkedStandings } from "../evaluate/parkedAttitudes";
import { buildDrainPath, type DrainPath, type Leg } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";
import { add, scale, subtract, vec } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { lookUpLimit } from "../rules/lookUpLimit";
import type { Remedy } from "./remedy";

/**
 * Ways to give a drain the fall it lacks: share what there is, raise the fixture, lower the tank or its inlet,
 * or bring the tank nearer. Each asks for no more than the legs lack, in whole millimetres.
 */
export function proposeFallRemedies(design: Design, drain: Drain): Remedy[] {
  const path = buildDrainPath(design, drain);
  const slacks = measureSpare(design, path);
  const remedies = [
    ...proposeLift(design, path, slacks),
    ...proposeLowering(design, path, slacks),
    ...proposeShortening(design, path),
  ];
  // sharing costs nothing, so it goes first
  return [...remedies.filter(isSharing), ...remedies.filter((remedy) => !isSharing(remedy))];
}

const isSharing = ({ edit }: Remedy): boolean => edit.code === "shareFall";

// What each leg can give (positive) or lacks (negative), in whole millimetres on the safe side.
function measureSpare(design: Design, path: DrainPath): number[] {
  const boreMm = toCodeBoreMm(path.pipe);
  const vented = findBranchVent(path.drain) !== null;
  const toLeast = ({ pipe }: Leg) =>
    lookUpLimit(design.rules, "minFall", { boreMm: toCodeBoreMm(pipe), vented }).value ?? 0;
  const parkedLeast = lookUpLimit(design.rules, "parkedFall", { boreMm }).value ?? 0;
  return measureLegSlacks(path, listParkedStandings(design.rig), toLeast, parkedLeast).map((slack, i) =>
    path.ownLegs[i]!.kind === "drop" ? measureDropSpare(path.ownLegs[i]!) : toWhole(slack.leastMm, path.ownLegs[i]!),
  );
  // what a hand is off by is not there to be given away
  function toWhole(leastMm: number, { planLengthMm }: Leg): number {
    return Math.floor(leastMm - computeLayToleranceMm(design.rules, planLengthMm) - 0.5);
  }
}

// A drop may lose height as long as it stays a drop.
const measureDropSpare = (leg: Leg): number => Math.max(0, Math.floor(leg.from.z - leg.to.z - leg.planLengthMm - 1));

// Walks up from the inlet, or from the junction: each point rises by what the legs below it lack and cannot give.
function proposeLift(design: Design, path: DrainPath, spare: readonly number[]): Remedy[] {
  const lift = new Array<number>(path.ownLegs.length + 1).fill(0);
  for (let i = path.ownLegs.length - 1; i >= 0; i--) lift[i] = Math.max(0, lift[i + 1]! - spare[i]!);
  const underside = -measureFloorMm(design) - path.pipe.outerMm;
  const blocked = path.drain.bendsMm.some((bend, i) => bend.z <= underside && bend.z + lift[i + 1]! > underside);
  if (blocked) return [];
  const ops = path.drain.bendsMm.flatMap((_bend, i): EditOp[] =>
    lift[i + 1] === 0 ? [] : [shift(path.drain, i, lift[i + 1]!)],
  );
  const byMm = lift[0]!;
  const at = { kind: "fixture", id: path.fixture.id } as const;
  if (byMm === 0) {
    return ops.length === 0
      ? []
      : [{ byMm: null, edit: { code: "shareFall", at: { kind: "line", id: path.drain.id }, ops } }];
  }
  const { outletMm } = path.fixture;
  const raised = roundTenth(add(outletMm, vec(0, 0, byMm)));
  ops.push({ op: "set", path: ["fixtures", path.fixture.id, "outletMm"], value: raised });
  return [{ byMm, edit: { code: "raiseOutlet", at, ops } }];
}

// The mirror of the lift: walks down from the trap.
function proposeLowering(_design: Design, path: DrainPath, spare: readonly number[]): Remedy[] {
  const low = new Array<number>(path.ownLegs.length + 1).fill(0);
  path.ownLegs.forEach((_, i) => {
    low[i + 1] = Math.max(0, low[i]! - spare[i]!);
  });
  const byMm = low[low.length - 1]!;
  const bends = path.drain.bendsMm.flatMap((_bend, i): EditOp[] =>
    low[i + 1] === 0 ? [] : [shift(path.drain, i, -low[i + 1]!)],
  );
  const stuck = path.drain.bendsMm.some((bend, i) => bend.z > 0 && bend.z - low[i + 1]! <= 0);
  if (stuck) return [];
  if (byMm === 0) {
    const at = { kind: "line", id: path.drain.id } as const;
    return bends.length === 0 ? [] : [{ byMm: null, edit: { code: "shareFall", at, ops: bends } }];
  }
  // a junction is a bend of another drain, and stays where that one needs it
  if (path.drain.to.kind === "junction") return [];
  const { tank, inlet, drain } = path;
  if (!tank || !inlet) return proposeLowerEnd(drain, bends, byMm);
  const lowered = roundTenth(add(tank.atMm, vec(0, 0, -byMm)));
  const remedies: Remedy[] = [
    {
      byMm,
      edit: {
        code: "lowerTank",
        at: { kind: "tank", id: tank.id },
        ops: [...bends, { op: "set", path: ["tanks", tank.id, "atMm"], value: lowered }],
      },
    },
  ];
  if (inlet.atMm.z - byMm >= 0) {
    const port = roundTenth(add(inlet.atMm, vec(0, 0, -byMm)));
    remedies.push({
      byMm,
      edit: {
        code: "lowerInlet",
        at: { kind: "port", tankId: tank.id, id: inlet.id },
        ops: [...bends, { op: "set", path: ["tanks", tank.id, "ports", inlet.id, "atMm"], value: port }],
      },
    });
  }
  return remedies;
}

// An end in the open or over a vessel hangs free.
function proposeLowerEnd({ id, to }: Drain, bends: readonly EditOp[], byMm: number): Remedy[] {
  if (to.kind !== "ground" && to.kind !== "vessel") return [];
  const atMm = roundTenth(add(to.atMm, vec(0, 0, -byMm)));
  const at = { kind: "end", lineId: id } as const;
  return [
    {
      byMm,
      edit: { code: "lowerEnd", at, ops: [...bends, { op: "set", path: ["lines", id, "to", "atMm"], value: atMm }] },
    },
  ];
}

function shift(drain: Drain, bend: number, byMm: number): EditOp {
  const point = drain.bendsMm[bend]!;
  return { op: "set", path: ["lines", drain.id, "bendsMm", bend], value: roundTenth(add(point, vec(0, 0, byMm))) };
}

// The last leg keeps its height and loses length: fall = a + b L ≥ s L, so L ≤ a / (s − b).
function proposeShortening(design: Design, path: DrainPath): Remedy[] {
  const last = path.ownLegs.at(-1)!;
  const { tank } = path;
  if (path.drain.to.kind === "junction" || !tank) return [];
  if (last.kind === "drop" || last.planLengthMm === 0 || last.from.z <= last.to.z) return [];
  const boreMm = toCodeBoreMm(path.pipe);
  const vented = findBranchVent(path.drain) !== null;
  const least = (lookUpLimit(design.rules, "minFall", { boreMm, vented }).value ?? 0) / 1000;
  const parkedLeast = (lookUpLimit(design.rules, "parkedFall", { boreMm }).value ?? 0) / 1000;
  const conditions = [
    { up: computeUp(LEVEL), slope: least },
    ...listParkedStandings(design.rig).map(({ up }) => ({ up, slope: parkedLeast })),
  ];
  // and what a hand is off by
  const height = last.from.z - last.to.z - computeLayToleranceMm(design.rules, last.planLengthMm);
  if (height <= 0) return [];
  const allowed = Math.min(
    ...conditions.map(({ up, slope }) => {
      const fall = measureLegFallMm(last, up);
      const gained = (fall - up.z * (last.from.z - last.to.z)) / last.planLengthMm;
      const asked = (slope * measureLevelLengthMm(last, fall)) / last.planLengthMm;
      return asked > gained ? (up.z * height) / (asked - gained) : Infinity;
    }),
  );
  const byMm = Math.ceil(last.planLengthMm - allowed + 1);
  if (!(byMm > 0) || byMm > last.planLengthMm - 50) return [];
  const back = scale(subtract(last.from, last.to), byMm / last.planLengthMm);
  const nearer = roundTenth(add(tank.atMm, vec(back.x, back.y, 0)));
  const vents = design.lines.flatMap((line): EditOp[] => {
    if (line.kind !== "vent" || line.fromTank !== tank.id) return [];
    const pointsMm = line.pointsMm.map((p) => roundTenth(add(p, vec(back.x, back.y, 0))));
    return [{ op: "set", path: ["lines", line.id, "pointsMm"], value: pointsMm }];
  });
  return [
    {
      byMm,
      edit: {
        code: "shorten",
        at: { kind: "tank", id: tank.id },
        ops: [{ op: "set", path: ["tanks", tank.id, "atMm"], value: nearer }, ...vents],
      },
    },
  ];
}
