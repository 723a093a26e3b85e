import type { Tank } from "../design/plumbing";
import { isWeldedIn } from "../templates/portHole";
import { listPortHoles } from "../templates/tankFaces";
import type { Counter, Good, Ware } from "./goods";

/** Turns of tape on a thread, m for each [T]. */
const TAPE_M = 0.5;

/**
 * What is bought for the ports of a tank: a bulkhead, a grommet or a fitting with a thread, and what seals it; where no nut has room
 * a socket that is welded in; and the valve behind an outlet. Source: the drawing [C].
 */
export function listPortGoods(tank: Tank): Good[] {
  const good = (ware: Ware, amount: number, counter: Counter): Good => ({
    ware,
    amount,
    assembly: { kind: "tank", id: tank.id },
    counter,
  });
  const holes = listPortHoles(tank);
  return tank.ports.flatMap(({ id, kind, thread, boreMm, valve }): Good[] => {
    const isWelded = isWeldedIn(holes.get(id)!.toEdgeMm);
    return [
      good({ kind: "portFitting", thread, boreMm, port: kind, ...(isWelded ? { isWelded } : {}) }, 1, "tank"),
      // into a socket goes a thread that is taped; a fitting with a nut has a washer
      ...(thread === null
        ? []
        : isWelded || thread.startsWith("npt")
          ? [good({ kind: "threadTape" }, TAPE_M, "sealing")]
          : [good({ kind: "sealWasher", thread, boreMm, port: kind }, 1, "sealing")]),
      ...(valve ? [good({ kind: "dumpValve", drive: valve.kind, boreMm: valve.boreMm }, 1, "tank")] : []),
    ];
  });
}
