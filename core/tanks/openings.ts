import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { Tank } from "../design/plumbing";
import type { Network } from "../falls/network";
import { add, type Vec3 } from "../geometry/vec";
import { lookUpValue } from "../rules/lookUpLimit";
import { listLevelGroup } from "./linkedTanks";

/** A way by which water that rises in a tank can come out of it. */
export type Opening = {
  readonly id: string;
  /** The tank the port is in, or the fixture's water ends in. */
  readonly tankId: string;
  readonly by: "inlet" | "vent" | "fixture";
  readonly atMm: Vec3;
  /** What holds the water back there, mm of head over the opening: a membrane valve up to its rating, else nothing. */
  readonly heldMm: number;
};

/**
 * The openings of a tank, and of those that share its level: inlets, breather ports, and the outlet of every fixture
 * whose water ends in one of them.
 */
export function listOpenings(design: Design, network: Network, tank: Tank): Opening[] {
  return listLevelGroup(design, tank).flatMap((one) => listOwnOpenings(design, network, one));
}

function listOwnOpenings(design: Design, network: Network, tank: Tank): Opening[] {
  const heldMm = Math.max(0, lookUpValue(design.rules, "backHead"));
  return [
    ...tank.ports.flatMap(({ id, kind, atMm }): Opening[] =>
      // hatch, sender and plug are shut
      kind === "inlet" || kind === "vent"
        ? [{ id, tankId: tank.id, by: kind, atMm: add(tank.atMm, atMm), heldMm: 0 }]
        : [],
    ),
    ...(network.drainsByTank.get(tank.id) ?? []).flatMap((drain): Opening[] => {
      const fixture = network.fixtures.get(drain.fromFixture);
      if (!fixture) return [];
      return [
        {
          id: fixture.id,
          tankId: tank.id,
          by: "fixture",
          atMm: fixture.outletMm,
          heldMm: findTrap(drain)?.kind === "membrane" ? heldMm : 0,
        },
      ];
    }),
  ];
}
