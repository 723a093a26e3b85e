import fc from "fast-check";
import { evaluate } from "@/core/evaluate/evaluate";
import { buildWaterway, type Waterway } from "@/core/waterway/buildWaterway";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { layOutWaterway } from "./layOutWaterway";

const SHEETS: readonly (readonly [aspect: number, widthPx: number | null])[] = [
  [0.5, null],
  [0.9, 340],
  [1.6, 700],
  [2.4, null],
];

function expectReadable(waterway: Waterway): void {
  const labels = new Map(waterway.edges.flatMap(({ id, figure }) => (figure ? [[id, "88 mm in hand"] as const] : [])));
  for (const [aspect, widthPx] of SHEETS) {
    const { nodes, edges, width, height } = layOutWaterway(waterway, labels, aspect, widthPx);
    expect(nodes.map(({ id }) => id)).toEqual(waterway.nodes.map(({ id }) => id));
    expect(edges.map(({ id }) => id)).toEqual(waterway.edges.map(({ id }) => id));
    expect(width > 0 && height > 0 && Number.isFinite(width + height)).toBe(true);
    nodes.forEach((node, i) => {
      expect(node.x - node.width / 2).toBeGreaterThanOrEqual(-1e-6);
      expect(node.x + node.width / 2).toBeLessThanOrEqual(width + 1e-6);
      expect(node.y - node.height / 2).toBeGreaterThanOrEqual(-1e-6);
      expect(node.y + node.height / 2).toBeLessThanOrEqual(height + 1e-6);
      for (const other of nodes.slice(0, i)) {
        const apart =
          Math.abs(node.x - other.x) >= (node.width + other.width) / 2 - 1e-6 ||
          Math.abs(node.y - other.y) >= (node.height + other.height) / 2 - 1e-6;
        expect([node.id, other.id, apart]).toEqual([node.id, other.id, true]);
      }
    });
    for (const { id, points, labelAt } of edges) {
      expect(points.length).toBeGreaterThan(1);
      expect(points.flat().every(Number.isFinite)).toBe(true);
      expect(labelAt !== null).toBe(labels.has(id));
    }
  }
}

test("the Waterway of every sample lies in its sheet, on a desk and on a phone, and no two parts on one another", () => {
  for (const design of ALL_DEMOS) expectReadable(buildWaterway(design, evaluate(design)));
});

test("so does that of any network, and of one with nothing in it", () => {
  fc.assert(
    fc.property(networks, (design) => expectReadable(buildWaterway(design, evaluate(design)))),
    { numRuns: 25 },
  );
  expectReadable({ nodes: [], edges: [] });
});
