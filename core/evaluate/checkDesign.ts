import { isLevel } from "../attitude/attitude";
import type { Balance } from "../days/balance";
import { FRESH_ID } from "../days/stores";
import type { Design } from "../design/design";
import type { Obstacle } from "../design/rig";
import { toBlock } from "../fit/obstacleBlock";
import { findRole } from "../fit/roles";
import { createRecall } from "../quantity/recall";
import { checkAxles } from "./checkAxles";
import { checkCrash } from "./checkFixing";
import { checkPlaces } from "./checkPlaces";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";
import { listParkedStandings } from "./parkedAttitudes";

/** What concerns the whole design rather than one drain or tank. */
export function checkDesign(design: Design, balance: Balance): Finding[] {
  const findings = design.fixtures
    .filter((fixture) => !design.lines.some((line) => line.kind === "drain" && line.fromFixture === fixture.id))
    .map((fixture) => createFinding({ kind: "fixture", id: fixture.id }, { code: "fixtureUndrained" }));
  findings.push(
    ...checkBeginnings(design),
    ...checkPlaces(design),
    ...checkOverlaps(design),
    ...checkAxles(design),
    ...checkCrash(design),
  );
  findings.push(
    ...checkWaterline(design),
    ...checkStandings(design),
    ...checkStay(balance),
    ...checkLiving(design, balance),
  );
  return findings;
}

// Without a waterline every check of the sea is silent, and silence would read as no fault.
function checkWaterline({ rig, gear }: Design): Finding[] {
  if (rig.kind !== "boat" || rig.waterlineZMm !== null) return [];
  const severity = gear.some(({ spec }) => spec.kind === "skinFitting") ? "must" : "should";
  return [createGraded(severity, { kind: "rig" }, { code: "noWaterline" })];
}

// Nobody parks dead level. With nothing else asked the fall holds on level ground alone.
function checkStandings({ rig, fixtures }: Design): Finding[] {
  if (fixtures.length === 0 || listParkedStandings(rig).some(({ attitude }) => !isLevel(attitude))) return [];
  return [createFinding({ kind: "rig" }, { code: "parkedLevelOnly", isAfloat: rig.kind === "boat" })];
}

// A waste tank that is full while there is water left.
function checkStay({ endsBy, stores }: Balance): Finding[] {
  const first = stores.find(({ store }) => store.id === endsBy.level?.storeId);
  if (!first || first.holds === "fresh" || first.days.level === null) return [];
  const fresh = stores.find(({ store }) => store.id === FRESH_ID);
  const freshDays = fresh?.days.level ?? null;
  if (freshDays !== null && freshDays <= first.days.level) return [];
  const numbers = { code: "wasteEndsStay", wasteDays: first.days.level, freshDays, holds: first.holds } as const;
  return [createFinding({ kind: "store", id: first.store.id }, numbers)];
}

// What people do with water, held against what is there to take it from and to send it to.
function checkLiving({ habits, tanks, fixtures, lines }: Design, { stores, groundLPerDay }: Balance): Finding[] {
  const findings: Finding[] = [];
  const at = { kind: "habits" } as const;
  const freshL = stores.find(({ store }) => store.id === FRESH_ID)?.roomL.level ?? 0;
  const lived = new Set(habits.stretches.map(({ wayId }) => wayId));
  const ways = habits.ways.filter(({ id }) => lived.has(id));
  const told = new Set<string>();
  for (const { id: otherId, name: useName, from, takesL, times } of ways.flatMap(({ uses }) => uses)) {
    if (from !== "fresh" || takesL <= freshL || times === 0 || told.has(otherId)) continue;
    told.add(otherId);
    findings.push(createFinding(at, { code: "useBeyondFresh", otherId, useName, takesL, freshL }));
  }
  // a rig without a tank or a fixture has been told so
  const hasEnd =
    tanks.some(({ holds }) => holds !== "fresh") ||
    lines.some(({ to }) => to.kind === "ground" || to.kind === "vessel");
  const isBegun = hasEnd && fixtures.length > 0;
  const idle = ways.find(({ uses }) => uses.every(({ times }) => times === 0));
  if (idle && isBegun) findings.push(createFinding(at, { code: "nothingUsed", wayName: idle.name }));
  if (groundLPerDay > 0 && isBegun)
    findings.push(createFinding(at, { code: "ontoGround", litresPerDay: groundLPerDay }));
  return findings;
}

// A rig with nothing to judge is not a rig with nothing against it.
function checkBeginnings({ fixtures, tanks, lines }: Design): Finding[] {
  const findings: Finding[] = [];
  // who lets all of it go in the open or into vessels needs none
  const isFree = lines.some(({ kind, to }) => kind === "drain" && to.kind !== "inlet" && to.kind !== "junction");
  if (!isFree && !tanks.some(({ holds }) => holds !== "fresh")) {
    findings.push(createFinding({ kind: "rig" }, { code: "noTankYet" }));
  }
  if (fixtures.length === 0) findings.push(createFinding({ kind: "rig" }, { code: "noFixtureYet" }));
  return findings;
}

/** More than this share of the smaller one within the other is one thing measured twice, or measured wrongly. */
const MOST_SHARED = 0.5;

const recallOverlaps = createRecall<Design["obstacles"], readonly Finding[]>();

// Members cross and touch; two solids in one place do not.
const checkOverlaps = ({ obstacles }: Design): readonly Finding[] =>
  recallOverlaps(obstacles, [], () => findOverlaps(obstacles));

function findOverlaps(obstacles: Design["obstacles"]): Finding[] {
  const solids = obstacles.filter(({ kind }) => findRole(kind) === "solid");
  return solids.flatMap((one, i) => {
    const other = solids.slice(0, i).find((before) => measureShared(before, one) > MOST_SHARED);
    if (!other) return [];
    const numbers = { code: "obstaclesOverlap", otherName: other.name } as const;
    return [createFinding({ kind: "obstacle", id: one.id }, numbers)];
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
