import fc from "fast-check";
import { evaluate } from "@/core/evaluate/evaluate";
import { buildWaterway, type Waterway } from "@/core/waterway/buildWaterway";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { layOutWaterway, READABLE } from "./layOutWaterway";

const SHEETS: readonly (readonly [aspect: number, widthPx: number | null])[] = [
  [0.5, null],
  [0.5, 350],
  [0.9, 340],
  [1.6, 700],
  [2.4, null],
];

const LABEL = "88 mm in hand";
/** Room its letters take, px. */
const figureOf = ([x, y]: readonly [number, number]) => ({ x, y, width: LABEL.length * 6.2, height: 14 });

type Points = ReturnType<typeof layOutWaterway>["edges"][number]["points"];
type Box = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

// Looked at every few pixels along it; grazing a side is none.
const runsThrough = (points: Points, { x, y, width, height }: Box): boolean =>
  points.slice(1).some(([bx, by], i) => {
    const [ax, ay] = points[i]!;
    const steps = Math.ceil(Math.hypot(bx - ax, by - ay) / 3);
    return Array.from({ length: steps + 1 }, (_, k) => (steps === 0 ? 0 : k / steps)).some(
      (t) => Math.abs(ax + (bx - ax) * t - x) < width / 2 - 1 && Math.abs(ay + (by - ay) * t - y) < height / 2 - 1,
    );
  });

const toLabels = ({ edges }: Waterway) =>
  new Map(edges.flatMap(({ id, figure }) => (figure ? [[id, LABEL] as const] : [])));

function expectReadable(waterway: Waterway): void {
  const labels = toLabels(waterway);
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
    for (const { id, from, to, points, labelAt } of edges) {
      // no line runs through a part it doesn't belong to
      const through = nodes.filter((node) => node.id !== from && node.id !== to && runsThrough(points, node));
      expect([aspect, id, through.map((node) => node.id)]).toEqual([aspect, id, []]);
      // nor through the figure of another
      const read = edges.filter(
        (edge) => edge.id !== id && edge.labelAt && runsThrough(points, figureOf(edge.labelAt)),
      );
      expect([aspect, id, read.map((edge) => edge.id)]).toEqual([aspect, id, []]);
      expect(points.length).toBeGreaterThan(1);
      expect(points.flat().every(Number.isFinite)).toBe(true);
      expect(labelAt !== null).toBe(labels.has(id));
    }
  }
}

test("the Waterway of every sample lies in its sheet, on a desk and on a phone, and no two parts on one another", () => {
  for (const design of ALL_DEMOS) {
    const waterway = buildWaterway(design, evaluate(design));
    expectReadable(waterway);
    // and its letters are large enough where it can be scrolled
    for (const [aspect, widthPx] of SHEETS) {
      const { width } = layOutWaterway(waterway, toLabels(waterway), aspect, widthPx);
      expect([design.id, (widthPx ?? width) / width >= READABLE]).toEqual([design.id, true]);
    }
  }
});

test("so does that of any network, and of one with nothing in it", () => {
  fc.assert(
    fc.property(networks, (design) => expectReadable(buildWaterway(design, evaluate(design)))),
    { numRuns: 25 },
  );
  expectReadable({ nodes: [], edges: [] });
});
