import type { Design } from "../design/design";
import type { Hose } from "../design/plumbing";
import { listHoseCourse } from "../fit/lineLegs";
import { measureUnderFloorMm } from "../fit/underFloor";
import { buildGearGraph } from "../gear/gearGraph";
import { measureHeldL } from "../gear/heldWater";
import { buildBothWays, listReached } from "../gear/reach";
import { listHoseRuns } from "../heads/hoseRun";
import { MM3_PER_L } from "../quantity/convert";
import { computeHoursToFreezing } from "./freezing";
import { byHours, type FrostPart } from "./frostPart";
import { type Night, readNight } from "./night";
import { computePipeLoss } from "./pipeLoss";

/** Less stands in a hose that is let run empty: it has room to grow, L [T]. */
const NO_HARM_L = 0.05;

/**
 * Gear and hoses that hold water under the floor, with the hours until it is at 0 °C; the thinnest first. Hoses that fresh
 * water or the loop's stands in are full; of others only what their low places keep. In the wind of the night, gear bare; of
 * a boat as she lies ashore. Source: `computeHoursToFreezing` [C on T].
 */
export function listGearFrost(design: Design): FrostPart[] {
  const night = readNight(design.rules);
  if (night.airC >= 0) return [];
  const full = listFullHoses(design);
  const sags = new Map(listHoseRuns(design).map(({ lineId, sagL }) => [lineId, sagL]));
  const gear = design.gear.flatMap((piece): FrostPart[] => {
    const litres = measureHeldL(piece);
    const { x, y, z } = piece.sizeMm;
    if (litres === null || piece.atMm.z + z / 2 >= 0) return [];
    const areaM2 = (2 * (x * y + y * z + z * x)) / 1e6;
    return [{ kind: "gear", at: { kind: "gear", id: piece.id }, litres, hours: chill(litres, areaM2, night) }];
  });
  const hoses = design.lines.flatMap((line): FrostPart[] => {
    if (line.kind !== "hose") return [];
    const lengthMm = measureCourseMm(design, line);
    const areaMm2 = (Math.PI / 4) * line.pipe.innerMm ** 2;
    const litres = full.has(line.id) ? (areaMm2 * lengthMm) / MM3_PER_L : (sags.get(line.id) ?? 0);
    if (lengthMm === 0 || litres <= (full.has(line.id) ? 0 : NO_HARM_L)) return [];
    const wetMm = (litres * MM3_PER_L) / areaMm2;
    const lossWPerK = (computePipeLoss(line.pipe.outerMm, line.insulationMm ?? 0, night) * wetMm) / 1000;
    const hours = computeHoursToFreezing({ ...night, massKg: litres, lossWPerK }) ?? 0;
    return [{ kind: "hose", at: { kind: "line", id: line.id }, litres, hours }];
  });
  return [...gear, ...hoses].sort(byHours);
}

const chill = (litres: number, areaM2: number, night: Night): number =>
  computeHoursToFreezing({ ...night, massKg: litres, lossWPerK: night.outerFilm * areaM2 }) ?? 0;

// How much of a hose's course lies below the finished floor.
function measureCourseMm(design: Design, hose: Hose): number {
  const course = listHoseCourse(design, hose);
  return course.slice(1).reduce((sum, to, i) => sum + measureUnderFloorMm(course[i]!, to), 0);
}

// Hoses that clean water comes to by any way, whatever is shut or off: valves keep it in them.
function listFullHoses(design: Design): ReadonlySet<string> {
  const graph = buildGearGraph(design);
  const ways = buildBothWays(graph);
  const nodes = new Set(
    graph.ends
      .filter(({ holds }) => holds === "fresh" || holds === "loop")
      .flatMap(({ node }) => [...listReached(ways, node, ({ spec }) => ENDS.has(spec.kind))]),
  );
  return new Set(
    graph.links.flatMap(({ kind, id, from, to }) => (kind === "hose" && nodes.has(from) && nodes.has(to) ? [id] : [])),
  );
}

/** Behind these no pressure stands. */
const ENDS: ReadonlySet<string> = new Set(["airGap", "bowl", "sump"]);
