import type { Design } from "@/core/design/design";
import { measureFloorMm } from "@/core/design/floor";
import type { Drain } from "@/core/design/plumbing";
import { buildDrainPath, type DrainPath } from "@/core/falls/drainPath";
import { buildNetwork } from "@/core/falls/network";
import { measureExtent } from "@/core/geometry/solid";
import { measureLength, measurePlanLength, subtract } from "@/core/geometry/vec";
import { formatLength, type Units } from "@/words/units";
import type { At, Field, Pen } from "../drawing/pen";

/** One drain unrolled, its heights drawn taller than its lengths where that helps: floor, trap, every leg with its mark, length and fall, the tank. The scale of its lengths comes back. */
export function drawSection(
  pen: Pen,
  design: Design,
  drain: Drain,
  marks: ReadonlyMap<string, string>,
  units: Units,
  field: Field,
): number {
  const { pdf, words, measure } = pen;
  const path = buildDrainPath(design, drain, buildNetwork(design));
  const points = unroll(path);
  const last = points.at(-1)!;
  const { tank, inlet } = path;
  const tankLow = tank ? tank.atMm.z + measureExtent(tank.solid).min.z : last.z - 60;
  const tankHigh = tank ? tank.atMm.z + measureExtent(tank.solid).max.z : last.z;
  const floorMm = measureFloorMm(design);
  const tankWide = tank ? 0.18 * last.s + 250 : 60;
  const [low, high] = [
    Math.min(tankLow, -floorMm, ...points.map(({ z }) => z)) - 40,
    Math.max(...points.map(({ z }) => z), 0) + 60,
  ];
  const scaleX = field.width / (last.s + tankWide + 60);
  const scaleZ = field.height / (high - low);
  const at = (s: number, z: number): At => [field.left + (s + 30) * scaleX, field.top + (high - z) * scaleZ];
  const stroke = (from: At, to: At) => pdf.line(from[0], from[1], to[0], to[1]);
  pdf.setLineWidth(0.25);
  stroke(at(-30, 0), at(last.s + tankWide + 30, 0));
  stroke(at(-30, -floorMm), at(last.s + tankWide + 30, -floorMm));
  words(design.rig.kind === "boat" ? "sole" : "floor", at(-28, -floorMm / 2 - 8), 7);
  pdf.setLineWidth(0.7);
  points.slice(1).forEach((to, i) => {
    stroke(at(points[i]!.s, points[i]!.z), at(to.s, to.z));
  });
  pdf.setLineWidth(0.3);
  for (const { s, z } of points) pdf.circle(...at(s, z), 0.8, "S");
  path.legs.forEach((leg, i) => {
    const [from, to] = [points[i + 1]!, points[i + 2]!];
    if (!from || !to) return;
    const [x, y] = at((from.s + to.s) / 2, (from.z + to.z) / 2);
    const fall = leg.from.z - leg.to.z;
    const mark = marks.get(`${leg.lineId} ${leg.index}`) ?? "";
    const isDrop = leg.kind === "drop";
    words(mark, [isDrop ? x + 1.5 : x, isDrop ? y : y - 1.4], 8, isDrop ? "left" : "middle", "bold");
    const told = `${formatLength(leg.lengthMm, units)}, falls ${formatLength(fall, units)}`;
    // a short leg has no room for it; its figures stand in the cut list
    if (!isDrop && (to.s - from.s) * scaleX < measure(told, 7)) return;
    words(told, [isDrop ? x + 1.5 : x, isDrop ? y + 3.6 : y + 4], 7, isDrop ? "left" : "middle");
  });
  if (tank && inlet) {
    pdf.setLineWidth(0.5);
    const [x0, y0] = at(last.s, tankHigh);
    const [x1, y1] = at(last.s + tankWide, tankLow);
    pdf.rect(x0, y0, x1 - x0, y1 - y0, "S");
    words(tank.name, [(x0 + x1) / 2, (y0 + y1) / 2], 8, "middle");
  }
  words(path.fixture.name, [at(0, high)[0], at(0, points[0]!.z)[1] - 2], 8, "left", "bold");
  const ratio = scaleZ / scaleX;
  words(
    Math.abs(ratio - 1) < 0.02
      ? "Heights and lengths in one scale."
      : `Heights are drawn ${ratio.toFixed(1)} times as tall as lengths.`,
    [field.left + field.width, field.top + field.height + 2],
    7,
    "right",
  );
  return scaleX;
}

type Unrolled = { readonly s: number; readonly z: number };

// Outlet, weir and every node by the way along the floor plan and its height.
function unroll({ outletMm, nodesMm }: DrainPath): Unrolled[] {
  let s = 0;
  let before = outletMm;
  const points: Unrolled[] = [{ s: 0, z: outletMm.z }];
  for (const node of nodesMm) {
    const step = subtract(node, before);
    // a drop of no length in plan still wants a place of its own where the node stays
    s += measureLength(step) === 0 ? 0 : measurePlanLength(step);
    points.push({ s, z: node.z });
    before = node;
  }
  return points;
}
