import type { Design } from "../design/design";
import type { GearKind } from "../design/gear";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { type Join, listJoins } from "../gear/joins";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** What a hand or a switch changes. */
const MOVES = new Set<GearKind>(["pump", "valve", "diverter", "tap", "coupling"]);

/** Gear that is used in ways nobody has said, and waters that nothing but valves and pumps keeps apart. */
export const checkStates = (design: Design): Finding[] => [
  ...checkStated(design),
  ...checkUnused(design),
  ...checkJoins(design),
];

// Without a working state all is judged at rest, every pump off and every tap shut, and that is not how it is used.
function checkStated({ gear, states }: Design): Finding[] {
  const moving = gear.filter(({ spec }) => MOVES.has(spec.kind)).length;
  if (states.length > 0 || moving === 0) return [];
  return [createFinding({ kind: "rig" }, { code: "noState", pieces: moving })];
}

// What no state ever starts or opens is judged only as it rests: nothing is said of it running. A sump's float starts its pump.
function checkUnused(design: Design): Finding[] {
  const { gear, states } = design;
  if (states.length === 0) return [];
  const floats = findFloatPumps(design);
  return gear.flatMap(({ id, spec }): Finding[] => {
    const at = { kind: "gear", id } as const;
    switch (spec.kind) {
      case "pump":
        if (floats.has(id) || states.some(({ on }) => on.includes(id))) return [];
        return [createGraded("should", at, { code: "neverUsed", how: "on" })];
      case "tap":
        if (states.some(({ openTaps }) => openTaps.includes(id))) return [];
        return [createGraded("should", at, { code: "neverUsed", how: "open" })];
      case "valve":
        if (states.some(({ positions }) => positions.some((one) => one.gearId === id && one.at === "open"))) return [];
        return [createGraded("note", at, { code: "neverUsed", how: "open" })];
      default:
        return [];
    }
  });
}

function findFloatPumps(design: Design): ReadonlySet<string> {
  const sumps = design.gear.filter(({ spec }) => spec.kind === "sump");
  if (sumps.length === 0) return new Set();
  const arcs = buildArcs(buildGearGraph(design), ALL_OPEN);
  const wet = sumps.map(({ id }) => listReached(arcs, toPortNode(id, "out")));
  return new Set(
    design.gear.flatMap(({ id, spec }) =>
      spec.kind === "pump" && wet.some((nodes) => nodes.has(toPortNode(id, "in"))) ? [id] : [],
    ),
  );
}

// Two waters that must not meet want air between them; whether a valve holds today says nothing about tomorrow.
function checkJoins(design: Design): Finding[] {
  const bowls = new Set(design.gear.flatMap(({ id, spec }) => (spec.kind === "bowl" ? [id] : [])));
  const worst = new Map<string, Join>();
  for (const join of listJoins(design)) {
    // a flush comes in over a bowl's rim; what stands between is judged there
    if (join.isEnough || !isDrunk(design, join) || join.way.some((id) => bowls.has(id))) continue;
    const key = [join.water, join.tankId ?? join.gearId].join("|");
    const known = worst.get(key);
    if (!known || join.keptApartBy.length < known.keptApartBy.length) worst.set(key, join);
  }
  return [...worst.values()].map(({ water, tankId, gearId, keptApartBy, from }) =>
    createFinding(tankId === null ? { kind: "gear", id: gearId! } : { kind: "tank", id: tankId }, {
      code: "joinedWithoutGap",
      water,
      otherId: from,
      keptApartBy: keptApartBy.map((id) => design.gear.find((piece) => piece.id === id)!.name),
    }),
  );
}

// A fresh tank, or the tap outside that others drink from too; an own tap is judged with the states.
const isDrunk = ({ tanks, gear }: Design, { tankId, gearId }: Join): boolean =>
  tankId === null
    ? gear.some(({ id, spec }) => id === gearId && spec.kind === "coupling")
    : tanks.some(({ id, holds }) => id === tankId && holds === "fresh");
