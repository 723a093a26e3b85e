import type { Design } from "../design/design";
import type { GearKind } from "../design/gear";
import { type Join, listJoins } from "../gear/joins";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What a hand or a switch changes. */
const MOVES = new Set<GearKind>(["pump", "valve", "diverter", "tap", "coupling"]);

/** Gear that is used in ways nobody has said, and waters that nothing but valves and pumps keeps apart. */
export const checkStates = (design: Design): Finding[] => [...checkStated(design), ...checkJoins(design)];

// Without a working state all is judged at rest, every pump off and every tap shut, and that is not how it is used.
function checkStated({ gear, states }: Design): Finding[] {
  const moving = gear.filter(({ spec }) => MOVES.has(spec.kind)).length;
  if (states.length > 0 || moving === 0) return [];
  return [createFinding({ kind: "rig" }, { code: "noState", pieces: moving })];
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
