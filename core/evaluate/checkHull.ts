import type { Design } from "../design/design";
import { findInsulationMm } from "../design/lagging";
import type { PartRef } from "../design/part";
import type { Line } from "../design/plumbing";
import type { Hull } from "../design/rig";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { listBoltEnds } from "../fixing/boltEnds";
import { DRILL_MM } from "../fixing/boltHits";
import { placeGearPort } from "../gear/gearPorts";
import { add, measureLength, scale, subtract, type Vec3, vec } from "../geometry/vec";
import { computeHydrostatics } from "../hull/hydrostatics";
import { measureLoadedSinkMm } from "../hull/loadedLine";
import { findHalfBreadthMm, sectionAt } from "../hull/loft";
import { measureOverWater } from "../hull/overWater";
import { listFittings } from "../through/fittings";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";
import { listParkedStandings } from "./parkedAttitudes";

/** Her weight by the sections and the one that was given may differ by this, a share, before it is said [T]. */
const WEIGHT_OFF = 0.15;

/** What the hull's sections say against the waterline and the weight that were given. */
export function checkHull(design: Design): Finding[] {
  const { rig } = design;
  const { hull, waterlineZMm, displacementKg } = rig;
  if (!hull || waterlineZMm === null) return [];
  const at = { kind: "rig" } as const;
  const sheer = hull.sections.flatMap(({ xMm, pointsMm }) => {
    const { y, z } = pointsMm.at(-1)!;
    return [vec(xMm, y, z), vec(xMm, -y, z)];
  });
  const sinkMm = measureLoadedSinkMm(design) ?? 0;
  const least = Math.min(
    ...[{ pitchDeg: 0, rollDeg: 0 }, ...listParkedStandings(rig).map(({ attitude }) => attitude)].flatMap((attitude) =>
      sheer.map((p) => measureOverWater(design, p, attitude, sinkMm) ?? Infinity),
    ),
  );
  const findings: Finding[] = [
    ...checkLines(design, hull),
    ...checkParts(design, hull),
    ...checkTankBolts(design, hull),
  ];
  if (least < 0) findings.push(createFinding(at, { code: "waterOverDeck", byMm: -least }));
  const afloat = computeHydrostatics(hull, waterlineZMm);
  if (!afloat) findings.push(createFinding(at, { code: "floatsNowhere" }));
  else if (displacementKg !== null && Math.abs(afloat.displacementKg - displacementKg) > WEIGHT_OFF * displacementKg) {
    const numbers = { code: "weightDiffers", reckonedKg: afloat.displacementKg, saidKg: displacementKg } as const;
    findings.push(createFinding(at, numbers));
  }
  return findings;
}

/** A hose comes to a skin fitting through the last of the room before her skin, mm [T]. */
const NEAR_FITTING_MM = 260;
/** Places along a leg at which it is held against her skin. */
const PLACES = 6;

// Lines run inside her skin; where one goes through it, a skin fitting or the end of a breather says so.
function checkLines(design: Design, hull: Hull): Finding[] {
  const fittings = listFittings(design).map((piece) => placeGearPort(piece, "in"));
  return design.lines.flatMap((line): Finding[] => {
    const legs = listCourse(design, line);
    const own = line.kind === "vent" && line.to.kind === "openAir" ? legs.slice(0, -1) : legs;
    let worst = 0;
    for (const [from, to] of own) {
      for (let i = 0; i <= PLACES; i++) {
        const p = scaleBetween(from, to, i / PLACES);
        if (fittings.some((at) => measureLength(subtract(at, p)) < NEAR_FITTING_MM)) continue;
        worst = Math.max(worst, findOutsideMm(hull, p) + line.pipe.outerMm / 2 + findInsulationMm(line));
      }
    }
    if (worst <= 0) return [];
    return [createFinding({ kind: "line", id: line.id }, { code: "lineOffHull", byMm: worst })];
  });
}

// What stands in her stands within her skin, by its middle; what goes through it is told elsewhere.
function checkParts({ gear, fixtures }: Design, hull: Hull): Finding[] {
  const tell = (at: PartRef, p: Vec3): Finding[] => {
    const byMm = findOutsideMm(hull, p);
    return byMm > 0 ? [createFinding(at, { code: "partOffHull", byMm })] : [];
  };
  return [
    ...gear.flatMap(({ id, spec, atMm, sizeMm }) =>
      spec.kind === "skinFitting" ? [] : tell({ kind: "gear", id }, add(atMm, scale(sizeMm, 0.5))),
    ),
    ...fixtures.flatMap(({ id, outletMm }) => tell({ kind: "fixture", id }, outletMm)),
  ];
}

// A tank is bolted to bearers; where her skin lies close under its foot, drill or bolt comes out in the water.
function checkTankBolts({ tanks, rig }: Design, hull: Hull): Finding[] {
  if (rig.kind !== "boat") return [];
  return tanks.flatMap((tank): Finding[] => {
    const bolts = listBoltEnds(tank).filter(({ atMm, reachMm }) => findOutsideMm(hull, atMm) + reachMm > 0).length;
    if (bolts === 0) return [];
    return [createFinding({ kind: "tank", id: tank.id }, { code: "boltThroughSkin", bolts, reachMm: DRILL_MM })];
  });
}

function listCourse(design: Design, line: Line): (readonly [Vec3, Vec3])[] {
  if (line.kind !== "drain") return listLineLegs(design, line).map(({ from, to }) => [from, to] as const);
  const network = buildNetwork(design);
  return buildDrainPath(design, line, network).ownLegs.map(({ from, to }) => [from, to] as const);
}

const scaleBetween = (a: Vec3, b: Vec3, share: number): Vec3 =>
  vec(a.x + share * (b.x - a.x), a.y + share * (b.y - a.y), a.z + share * (b.z - a.z));

// How far a point lies out of her inside, mm; far below nothing where it lies over her sheer, where there is no skin.
function findOutsideMm({ sections, thicknessMm }: Hull, { x, y, z }: Vec3): number {
  const section = sectionAt({ sections }, x);
  if (!section) return Number.NEGATIVE_INFINITY;
  if (z > section.at(-1)!.z) return Number.NEGATIVE_INFINITY;
  const half = findHalfBreadthMm({ sections }, x, z);
  if (half === null) return section[0]!.z - z + thicknessMm;
  return Math.abs(y) - (half - thicknessMm);
}
