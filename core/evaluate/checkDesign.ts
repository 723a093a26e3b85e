import type { Design } from "../design/design";
import type { Obstacle } from "../design/rig";
import { toBlock } from "../fit/obstacleGaps";
import { findRole } from "../fit/roles";
import { computeTankLoads } from "../tanks/axleLoads";
import { checkPlaces } from "./checkPlaces";
import { createFinding } from "./createFinding";
import type { StayResult } from "./evaluation";
import type { Finding } from "./findings";

/** What concerns the whole design rather than one drain or tank. */
export function checkDesign(design: Design, stay: StayResult | null): Finding[] {
  const findings = design.fixtures
    .filter((fixture) => !design.lines.some((line) => line.kind === "drain" && line.fromFixture === fixture.id))
    .map((fixture) => createFinding("must", { kind: "fixture", id: fixture.id }, { code: "fixtureUndrained" }));
  findings.push(...checkBeginnings(design), ...checkPlaces(design), ...checkOverlaps(design), ...checkAxles(design));
  if (stay && stay.level.endedBy === "grey") {
    const { daysToGreyFull, daysToFreshEmpty } = stay.level;
    const numbers = { code: "greyEndsStay", greyDays: daysToGreyFull, freshDays: daysToFreshEmpty } as const;
    findings.push(createFinding("note", { kind: "habits" }, numbers));
  }
  return findings;
}

// A rig with nothing to judge is not a rig with nothing against it.
function checkBeginnings({ fixtures, tanks }: Design): Finding[] {
  const findings: Finding[] = [];
  if (!tanks.some(({ holds }) => holds !== "fresh")) {
    findings.push(createFinding("note", { kind: "rig" }, { code: "noTankYet" }));
  }
  if (fixtures.length === 0) findings.push(createFinding("note", { kind: "rig" }, { code: "noFixtureYet" }));
  return findings;
}

// Water is the heaviest thing a builder adds, and an axle's rating the first he forgets.
function checkAxles(design: Design): Finding[] {
  return (computeTankLoads(design)?.axles ?? []).flatMap(({ name: axleName, fullKg, spareKg }) =>
    spareKg === null || fullKg <= spareKg
      ? []
      : [createFinding("must", { kind: "rig" }, { code: "axleOverloaded", axleName, fullKg, spareKg })],
  );
}

/** More than this share of the smaller one within the other is one thing measured twice, or measured wrongly. */
const MOST_SHARED = 0.5;

// Members cross and touch; two solids in one place do not.
function checkOverlaps({ obstacles }: Design): Finding[] {
  const solids = obstacles.filter(({ kind }) => findRole(kind) === "solid");
  return solids.flatMap((one, i) => {
    const other = solids.slice(0, i).find((before) => measureShared(before, one) > MOST_SHARED);
    if (!other) return [];
    const numbers = { code: "obstaclesOverlap", otherName: other.name } as const;
    return [createFinding("note", { kind: "obstacle", id: one.id }, numbers)];
  });
}

function measureShared(a: Obstacle, b: Obstacle): number {
  const [p, q] = [toBlock(a), toBlock(b)];
  const along = (axis: "x" | "y" | "z") =>
    Math.max(0, Math.min(p.max[axis], q.max[axis]) - Math.max(p.min[axis], q.min[axis]));
  const shared = along("x") * along("y") * along("z");
  const smaller = Math.min(a.lengthMm * a.widthMm * a.heightMm, b.lengthMm * b.widthMm * b.heightMm);
  return shared / smaller;
}
