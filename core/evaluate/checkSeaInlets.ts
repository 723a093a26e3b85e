import type { Design } from "../design/design";
import { listLineLegs } from "../fit/lineLegs";
import { placeGearPort } from "../gear/gearPorts";
import { add, vec } from "../geometry/vec";
import { measureWorstOverWater, SAFE_OVER_WATER_MM } from "../hull/overWater";
import { listFittings } from "../through/fittings";
import { listSharers } from "../through/sharing";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** An intake so near to where waste leaves, on the same side, draws it in again, mm [T]. */
const APART_MM = 1_000;

/** Where the sea comes in by ways that are open for good: up a drain into a sink, and waste into an intake. */
export const checkSeaInlets = (design: Design): Finding[] =>
  design.rig.waterlineZMm === null ? [] : [...checkFixtures(design), ...checkIntakes(design), ...checkEnds(design)];

function checkFixtures(design: Design): Finding[] {
  const over = new Set(listSharers(design).flatMap(({ fixtures }) => fixtures.map(({ id }) => id)));
  return design.fixtures.flatMap(({ id, outletMm, rimMm }): Finding[] => {
    if (!over.has(id)) return [];
    const outlet = measureWorstOverWater(design, outletMm);
    const rim = measureWorstOverWater(design, add(outletMm, vec(0, 0, rimMm)));
    const worst = rim.overMm < 0 ? rim : outlet;
    if (worst.overMm >= 0) return [];
    return [
      createGraded(
        rim.overMm < 0 ? "must" : "should",
        { kind: "fixture", id },
        { code: "seaInFixture", underMm: -worst.overMm, isOverRim: rim.overMm < 0, attitude: worst.at },
      ),
    ];
  });
}

// A breather is open for good: where its end goes under, the sea runs through it into the tank; a dump line has a valve.
function checkEnds(design: Design): Finding[] {
  return design.lines.flatMap((line): Finding[] => {
    const isVent = line.kind === "vent" && line.to.kind === "openAir";
    if (!isVent && (line.kind !== "dumpLine" || line.to.kind !== "coupling")) return [];
    const end = listLineLegs(design, line).at(-1)?.to;
    if (!end) return [];
    const { overMm, at } = measureWorstOverWater(design, end);
    if (overMm >= (isVent ? SAFE_OVER_WATER_MM : 0)) return [];
    return [
      createGraded(
        isVent && overMm < 0 ? "must" : "should",
        { kind: "line", id: line.id },
        { code: "seaAtEnd", overMm, wantedMm: SAFE_OVER_WATER_MM, attitude: at, isVent },
      ),
    ];
  });
}

function checkIntakes(design: Design): Finding[] {
  const fittings = listFittings(design);
  const intakes = fittings.filter(({ spec }) => spec.serves === "intake");
  return intakes.flatMap((intake): Finding[] => {
    const at = placeGearPort(intake, "in");
    const near = fittings
      .filter(({ spec }) => spec.serves === "discharge")
      .map((other) => ({ other, p: placeGearPort(other, "in") }))
      .filter(({ p }) => Math.sign(p.y) === Math.sign(at.y))
      .map(({ other, p }) => ({ other, apartMm: Math.hypot(p.x - at.x, p.y - at.y, p.z - at.z) }))
      .filter(({ apartMm }) => apartMm < APART_MM)
      .sort((a, b) => a.apartMm - b.apartMm)[0];
    if (!near) return [];
    const { other, apartMm } = near;
    return [
      createFinding(
        { kind: "gear", id: intake.id },
        { code: "intakeNearWaste", apartMm, wantedMm: APART_MM, otherName: other.name, otherId: other.id },
      ),
    ];
  });
}
