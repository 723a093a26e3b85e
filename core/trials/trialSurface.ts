import type { BuildStep } from "../build/steps";
import type { Design } from "../design/design";
import { measureBowlMm2 } from "../design/usualFixtures";
import { measureExtent } from "../geometry/solid";

/** A pipe of 36 mm: where water stands in nothing wider. */
const PIPE_MM2 = 1_040;

/**
 * Surface, mm², that sinks in a trial with water, the widest it can be, so that no leak is made small: a tank's whole top, the
 * bowl of the fixture a drain is filled from, else a pipe. Whoever sees the water stand in a neck or a pipe puts in less.
 * Source: geometry [C on T].
 */
export function measureTrialSurfaceMm2({ tanks, lines, fixtures }: Design, { kind, at }: BuildStep): number {
  if (at.kind === "tank") {
    const tank = tanks.find(({ id }) => id === at.id);
    if (!tank) return PIPE_MM2;
    const { min, max } = measureExtent(tank.solid);
    return (max.x - min.x) * (max.y - min.y);
  }
  const line = at.kind === "line" ? lines.find(({ id }) => id === at.id) : undefined;
  if (kind !== "trialDrain" || line?.kind !== "drain") return PIPE_MM2;
  const fixture = fixtures.find(({ id }) => id === line.fromFixture);
  return fixture ? measureBowlMm2(fixture.kind) : PIPE_MM2;
}
