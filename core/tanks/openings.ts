import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Network } from "../falls/network";
import { add, type Vec3 } from "../geometry/vec";
import { lookUpValue } from "../rules/lookUpLimit";

/** A way by which water that rises in a tank can come out of it. */
export type Opening = {
  readonly id: string;
  readonly by: "inlet" | "vent" | "fixture";
  readonly atMm: Vec3;
  /** What holds the water back there, mm of head over the opening: a membrane valve up to its rating, else nothing. */
  readonly heldMm: number;
};

/** The openings of a tank: its inlets and breather ports, and the outlet of every fixture whose water ends in it. */
export function listOpenings(design: Design, network: Network, tank: Tank): Opening[] {
  const heldMm = Math.max(0, lookUpValue(design.rules, "backHead"));
  return [
    ...tank.ports.flatMap(({ id, kind, atMm }): Opening[] =>
      kind === "outlet" ? [] : [{ id, by: kind, atMm: add(tank.atMm, atMm), heldMm: 0 }],
    ),
    ...(network.drainsByTank.get(tank.id) ?? []).flatMap(({ fromFixture, trap }): Opening[] => {
      const fixture = network.fixtures.get(fromFixture);
      if (!fixture) return [];
      return [
        { id: fixture.id, by: "fixture", atMm: fixture.outletMm, heldMm: trap?.kind === "membrane" ? heldMm : 0 },
      ];
    }),
  ];
}
