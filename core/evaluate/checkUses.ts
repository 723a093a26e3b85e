import type { Design } from "../design/design";
import type { Network } from "../falls/network";
import { listStoreGroup } from "../tanks/linkedTanks";
import { createGraded } from "./createFinding";
import type { TankResult } from "./evaluation";
import type { Finding } from "./findings";
import { listPumped } from "./pumped";

/**
 * A single use that the tank it runs into, or is pumped up into out of a sump, with all that stores along with it cannot hold even
 * when it is empty.
 */
export function checkUses(design: Design, network: Network, results: readonly TankResult[]): Finding[] {
  const pumped = listPumped(network);
  const byId = new Map(results.map((result) => [result.tankId, result]));
  return design.tanks.flatMap((tank) => {
    const drains = [...(network.drainsByTank.get(tank.id) ?? []), ...(pumped.get(tank.id) ?? [])];
    if (drains.length === 0) return [];
    const group = listStoreGroup(design, tank).flatMap(({ id }) => byId.get(id) ?? []);
    const sum = (pick: (result: TankResult) => number) => group.reduce((all, result) => all + pick(result), 0);
    const [levelL, worstL] = [sum((r) => r.usableLevelL), sum((r) => r.usableWorstL)];
    return drains.flatMap(({ fromFixture }): Finding[] => {
      const fixture = network.fixtures.get(fromFixture);
      if (!fixture || fixture.volumePerUseL <= worstL) return [];
      const isMust = fixture.volumePerUseL > levelL;
      const numbers = {
        code: "useOverfillsTank",
        useL: fixture.volumePerUseL,
        holdsL: isMust ? levelL : worstL,
        safeL: worstL,
        otherId: tank.id,
        tankName: tank.name,
      } as const;
      return [createGraded(isMust ? "must" : "should", { kind: "fixture", id: fixture.id }, numbers)];
    });
  });
}
