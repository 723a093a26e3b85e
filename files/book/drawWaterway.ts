import type { Design } from "@/core/design/design";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { buildWaterway } from "@/core/waterway/buildWaterway";
import type { Units } from "@/words/units";
import { describeWaterFigure, nameWaterNode } from "@/words/waterway";
import type { Field, Pen } from "../drawing/pen";
import { layOutWaterway } from "../layOutWaterway";

/** Below this the diagram would be laid from the top down, and a page of paper reads better from the left. */
const LEAST_ASPECT = 0.85;

/** The whole rig as a diagram on one page. */
export function drawWaterway(pen: Pen, design: Design, evaluation: Evaluation, units: Units, field: Field): void {
  const { pdf, words, measure } = pen;
  const waterway = buildWaterway(design, evaluation);
  if (waterway.nodes.length === 0) return;
  const labels = new Map(
    waterway.edges.flatMap((edge): [string, string][] =>
      edge.figure ? [[edge.id, describeWaterFigure(edge.figure, units)]] : [],
    ),
  );
  const laid = layOutWaterway(waterway, labels, Math.max(LEAST_ASPECT, field.width / field.height));
  const scale = Math.min(field.width / laid.width, field.height / laid.height, 0.32);
  const x = (px: number) => field.left + (field.width - laid.width * scale) / 2 + px * scale;
  const y = (px: number) => field.top + px * scale;
  const size = (pt: number) => Math.max(5, pt * Math.min(1, scale / 0.26));
  for (const { points, carries, labelAt, id } of laid.edges) {
    pdf.setLineWidth(carries === "air" ? 0.15 : carries === "black" ? 0.8 : 0.4);
    pdf.setLineDashPattern(carries === "air" ? [0.4, 0.8] : carries === "grey" ? [1.6, 0.7] : [], 0);
    points.slice(1).forEach(([px, py], i) => {
      const [fromX, fromY] = points[i]!;
      pdf.line(x(fromX), y(fromY), x(px), y(py));
    });
    pdf.setLineDashPattern([], 0);
    const label = labels.get(id);
    if (!labelAt || !label) continue;
    const wide = measure(label, size(7));
    pdf.setFillColor(255, 255, 255);
    pdf.rect(x(labelAt[0]) - wide / 2 - 0.6, y(labelAt[1]) - 1.6, wide + 1.2, 3.2, "F");
    pdf.setFillColor(0, 0, 0);
    words(label, [x(labelAt[0]), y(labelAt[1]) + 1], size(7), "middle");
  }
  pdf.setLineWidth(0.3);
  for (const node of laid.nodes) {
    const [w, h] = [node.width * scale, node.height * scale];
    if (node.kind === "junction") {
      pdf.circle(x(node.x), y(node.y), w / 2, "F");
      continue;
    }
    // paper under the words, so that no line runs through them
    pdf.setFillColor(255, 255, 255);
    pdf.rect(x(node.x) - w / 2, y(node.y) - h / 2, w, h, node.kind === "tank" || node.kind === "fixture" ? "FD" : "F");
    pdf.setFillColor(0, 0, 0);
    words(nameWaterNode(node), [x(node.x), y(node.y) + (node.figure ? -0.4 : 1)], size(8), "middle");
    if (node.figure) words(describeWaterFigure(node.figure, units), [x(node.x), y(node.y) + 3.2], size(7), "middle");
  }
}
