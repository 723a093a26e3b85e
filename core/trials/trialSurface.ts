import type { BuildStep } from "../build/steps";
import type { Design } from "../design/design";
import type { Drain } from "../design/plumbing";
import { measureBowlMm2 } from "../design/usualFixtures";
import { measureExtent } from "../geometry/solid";
import { listLevelGroup } from "../tanks/linkedTanks";

/** A pipe of 36 mm: where water stands in nothing wider. */
const PIPE_MM2 = 1_040;

/**
 * Surface, mm², that sinks in a trial with water, the widest it can be, so that no leak is made small: the whole top of a tank and of those it shares its level with, the
 * bowls of all fixtures whose drains join, else a pipe. Whoever sees the water stand in a neck or a pipe puts in less.
 * Source: geometry [C on T].
 */
export function measureTrialSurfaceMm2({ tanks, lines, fixtures }: Design, { kind, at }: BuildStep): number {
  if (at.kind === "tank") {
    const tank = tanks.find(({ id }) => id === at.id);
    if (!tank) return PIPE_MM2;
    // all that share its level sink together
    return listLevelGroup({ tanks }, tank).reduce((sum, { solid }) => {
      const { min, max } = measureExtent(solid);
      return sum + (max.x - min.x) * (max.y - min.y);
    }, 0);
  }
  if (kind !== "trialDrain" || at.kind !== "line") return PIPE_MM2;
  const together = listJoined(lines, at.id);
  const bowls = fixtures.filter(({ id }) => together.some(({ fromFixture }) => fromFixture === id));
  return Math.max(
    PIPE_MM2,
    bowls.reduce((sum, fixture) => sum + measureBowlMm2(fixture.kind), 0),
  );
}

// A drain with all that join it and all it joins: filled to a rim, water stands in every bowl among them.
function listJoined(lines: Design["lines"], id: string): Drain[] {
  const drains = lines.filter((line): line is Drain => line.kind === "drain");
  const found = new Set([id]);
  for (let before = 0; before < found.size; ) {
    before = found.size;
    for (const drain of drains) {
      if (drain.to.kind !== "junction") continue;
      if (found.has(drain.id) || found.has(drain.to.lineId)) found.add(drain.id).add(drain.to.lineId);
    }
  }
  return drains.filter((drain) => found.has(drain.id));
}
