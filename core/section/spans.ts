import { USUAL_FIXTURES } from "../design/usualFixtures";
import type { DrainPath } from "../falls/drainPath";
import { measureExtent } from "../geometry/solid";
import { interpolate, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { NO_LENGTH_MM } from "../quantity/tolerance";
import { type Heading, outlineTank } from "./tankOutline";

/** A stretch of the section that follows one straight line on the plan. */
export type Span = { readonly fromS: number; readonly toS: number; readonly from: Vec3; readonly to: Vec3 };

/** Stations by plan length: 0 at the fixture's outlet, then the weir, the bends and the inlet. */
export function listStations(path: DrainPath): number[] {
  let s = measurePlanLength(subtract(path.nodesMm[0]!, path.outletMm));
  return [s, ...path.legs.map((leg) => (s += leg.planLengthMm))];
}

/** Past the inlet the section goes on along the rig's own axes, toward the dump outlet. */
export function findHeading(path: DrainPath): Heading {
  if (!path.tank || !path.inlet) return { axis: "x", sense: -1 };
  const outlet = path.tank.ports.find((port) => port.kind === "outlet");
  const { min, max } = measureExtent(path.tank.solid);
  const aim = outlet ?? { atMm: vec((min.x + max.x) / 2, (min.y + max.y) / 2, 0) };
  const way = subtract(aim.atMm, path.inlet.atMm);
  if (Math.abs(way.x) >= Math.abs(way.y)) return { axis: "x", sense: way.x < 0 ? -1 : 1 };
  return { axis: "y", sense: way.y < 0 ? -1 : 1 };
}

/** Drawn past an end that hangs free, mm. */
const FREE_END_MM = 200;

export function layOutSpans(path: DrainPath, heading: Heading, beyondMm: number): Span[] {
  const points = [path.outletMm, ...path.nodesMm].filter(
    (p, i, all) => i === 0 || measurePlanLength(subtract(p, all[i - 1]!)) > NO_LENGTH_MM,
  );
  const spans: Span[] = [];
  let s = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const length = measurePlanLength(subtract(points[i + 1]!, points[i]!));
    spans.push({ fromS: s, toS: s + length, from: points[i]!, to: points[i + 1]! });
    s += length;
  }
  const tip = points[points.length - 1]!;
  const far = path.tank && path.inlet ? outlineTank(path.tank, path.inlet, heading).far : FREE_END_MM;
  const reach = Math.max(far, 0) + beyondMm;
  const end =
    heading.axis === "x" ? vec(tip.x + heading.sense * reach, tip.y, 0) : vec(tip.x, tip.y + heading.sense * reach, 0);
  const first = spans[0];
  const back = USUAL_FIXTURES[path.fixture.kind].halfMm + beyondMm;
  const lead = first
    ? interpolate(first.from, first.to, -back / (first.toS - first.fromS))
    : vec(tip.x - back, tip.y, 0);
  return [
    { fromS: -back, toS: 0, from: lead, to: path.outletMm },
    ...spans,
    { fromS: s, toS: s + reach, from: tip, to: end },
  ];
}

export function placeOnSpan(span: Span, s: number): Vec3 {
  const length = span.toS - span.fromS;
  return length === 0 ? span.from : interpolate(span.from, span.to, (s - span.fromS) / length);
}
