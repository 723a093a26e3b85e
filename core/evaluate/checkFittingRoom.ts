import type { Design } from "../design/design";
import { findJunctionBend } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { type DrainPath, findPipeOf } from "../falls/drainPath";
import type { Network } from "../falls/network";
import { listShortPieces } from "../falls/shortPieces";
import { listLinePieces } from "../parts/linePieces";
import { findBranchEnd, listPointFittings, measureIntoDeg } from "../parts/pointFittings";
import { createRecall } from "../quantity/recall";
import { createFinding } from "./createFinding";
import { takesRoom } from "./domains";
import type { Finding } from "./findings";

// A drain whose way and branches are the same is as it was.
const recallRoom = createRecall<Drain, readonly Finding[]>();

/** Pieces of drain too short for the branches, valves and running traps at their ends; two bends alone are told with the drain. */
export const checkFittingRoom = (design: Design, network: Network, paths: readonly DrainPath[]): Finding[] =>
  paths.flatMap((path) => {
    const branches = network.branches.get(path.drain.id) ?? [];
    const { to, items } = path.drain;
    if (to.kind !== "junction" && branches.length === 0 && !items.some(takesRoom)) return [];
    return recallRoom(path.drain, [path, ...branches], () => checkOne(design, network, path));
  });

function checkOne(design: Design, network: Network, path: DrainPath): Finding[] {
  const { drain, ownLegs } = path;
  const points = listPointFittings(design, drain, ownLegs, network);
  return listShortPieces(listLinePieces(ownLegs, points), findEndTakeOff(path)).map(({ leg, lengthMm, needsMm }) =>
    createFinding({ kind: "leg", lineId: drain.id, index: leg.index }, { code: "legTooShort", lengthMm, needsMm }),
  );
}

function findEndTakeOff({ drain: { to }, chain: [, main], ownLegs, legs }: DrainPath): number | null {
  if (to.kind !== "junction" || !main) return null;
  const turnedDeg = measureIntoDeg(ownLegs, legs.slice(ownLegs.length));
  return findBranchEnd(to.fitting, ownLegs.at(-1)!.pipe, findPipeOf(main, findJunctionBend(main, to)), turnedDeg)
    .takeOffMm;
}
