import { listOwnCourse } from "@/core/air/ventPath";
import type { Design } from "@/core/design/design";
import { buildDrainPath } from "@/core/falls/drainPath";
import { buildNetwork } from "@/core/falls/network";
import { listDumpCourse } from "@/core/fit/lineLegs";
import { toBlock } from "@/core/fit/obstacleBlock";
import { toTankBlock } from "@/core/fit/obstacleGaps";
import { findRole } from "@/core/fit/roles";
import { type Label, placeLabels } from "@/core/geometry/placeLabels";
import type { Vec3 } from "@/core/geometry/vec";
import type { HoleEntry } from "@/core/through/holes";
import type { At, Field, Pen } from "../drawing/pen";

/** Names on the plan, points and mm. */
const WORDS_PT = 7.5;
const WORDS_MM = 3;

/** The rig from above, forward to the right: floor, what is under it, tanks, drains with their legs, breathers, holes by number. Its scale comes back, mm on paper a mm. */
export function drawPlan(pen: Pen, design: Design, holes: readonly HoleEntry[], field: Field): number {
  const { pdf, words, measure } = pen;
  const { rig } = design;
  const network = buildNetwork(design);
  const reach = [0, rig.lengthMm, ...design.obstacles.flatMap((one) => [toBlock(one).min.x, toBlock(one).max.x])];
  const [left, right] = [Math.min(...reach), Math.max(...reach)];
  const half = Math.max(
    rig.widthMm / 2,
    ...design.obstacles.flatMap((one) => [-toBlock(one).min.y, toBlock(one).max.y]),
  );
  const scale = Math.min(field.width / (right - left), field.height / (2 * half));
  const at = ({ x, y }: Pick<Vec3, "x" | "y">): At => [
    field.left + (field.width - (right - left) * scale) / 2 + (x - left) * scale,
    field.top + field.height / 2 - y * scale,
  ];
  // words keep clear of them where they can
  const lines: (readonly [At, At])[] = [];
  const box = (min: Pick<Vec3, "x" | "y">, max: Pick<Vec3, "x" | "y">) => {
    const [x0, y0] = at(min);
    const [x1, y1] = at(max);
    pdf.rect(x0, y1, x1 - x0, y0 - y1, "S");
    lines.push(
      [
        [x0, y0],
        [x1, y0],
      ],
      [
        [x0, y1],
        [x1, y1],
      ],
      [
        [x0, y0],
        [x0, y1],
      ],
      [
        [x1, y0],
        [x1, y1],
      ],
    );
  };
  pdf.setLineWidth(0.4);
  box({ x: 0, y: -rig.widthMm / 2 }, { x: rig.lengthMm, y: rig.widthMm / 2 });
  pdf.setLineWidth(0.12);
  pdf.setLineDashPattern([1.2, 0.8], 0);
  for (const obstacle of design.obstacles) {
    if (findRole(obstacle.kind) === "opening") continue;
    const { min, max } = toBlock(obstacle);
    box(min, max);
  }
  pdf.setLineDashPattern([], 0);
  pdf.setLineWidth(0.5);
  for (const tank of design.tanks) {
    const { min, max } = toTankBlock(tank);
    box(min, max);
    const [x, y] = at({ x: (min.x + max.x) / 2, y: (min.y + max.y) / 2 });
    words(tank.name, [x, y + 1], 8, "middle");
  }
  const course = (points: readonly Vec3[]) =>
    points.slice(1).forEach((to, i) => {
      const [from, end] = [at(points[i]!), at(to)];
      pdf.line(from[0], from[1], end[0], end[1]);
      lines.push([from, end]);
    });
  pdf.setLineWidth(0.6);
  for (const drain of network.drains.values()) {
    const path = buildDrainPath(design, drain, network);
    course([path.outletMm, ...path.ownLegs.flatMap((leg, i) => (i === 0 ? [leg.from, leg.to] : [leg.to]))]);
  }
  for (const line of design.lines) if (line.kind === "dumpLine") course(listDumpCourse(design, line));
  pdf.setLineWidth(0.25);
  pdf.setLineDashPattern([0.4, 0.8], 0);
  for (const line of design.lines) if (line.kind === "vent") course(listOwnCourse(design, line));
  pdf.setLineDashPattern([2.4, 0.8], 0);
  for (const line of design.lines) if (line.kind === "hose") course(line.pointsMm);
  pdf.setLineDashPattern([], 0);
  pdf.setLineWidth(0.3);
  const label = (text: string, p: Pick<Vec3, "x" | "y">, radius: number): Label => ({
    text,
    at: at(p),
    radius,
    width: measure(text, WORDS_PT) + 1,
    height: WORDS_MM,
  });
  const labels = [
    ...holes.map(({ facesMm: [face] }, i) => label(`H${i + 1}`, face, 2.2)),
    ...design.fixtures.map(({ name, outletMm }) => label(name, outletMm, 1.6)),
  ];
  placeLabels(labels, lines).forEach((middle, i) => {
    const { text, at: centre, radius } = labels[i]!;
    pdf.circle(...centre, radius, "S");
    words(text, [middle[0], middle[1] + WORDS_MM * 0.3], WORDS_PT, "middle", i < holes.length ? "bold" : undefined);
  });
  const [noseX, noseY] = at({ x: right, y: 0 });
  words(
    design.rig.kind === "boat" ? "bow" : "front",
    [Math.min(noseX, field.left + field.width) - 1, noseY - 1],
    7.5,
    "right",
  );
  return scale;
}
