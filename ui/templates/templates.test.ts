import DxfParser, { type ICircleEntity, type ILwpolylineEntity, type IPolylineEntity } from "dxf-parser";
import { listTankFaces } from "@/core/templates/tankFaces";
import { PAPERS, type Paper } from "@/core/templates/tileSheet";
import { readDemo } from "@/tests/demoRigs";
import { describeOrder } from "@/words/templates";
import { writeDxf } from "./writeDxf";
import { writeOrderPdf, writeTemplatePdf } from "./writePdf";

const kranich = readDemo("kranich").tanks[0]!;
const faces = listTankFaces(kranich);
const front = faces.find(({ face }) => face === "front")!;
const MM_PER_PT = 25.4 / 72;

// What a PDF reader measures: page boxes and straight lines, in points, straight from the file.
function readPdf(bytes: ArrayBuffer) {
  const text = Buffer.from(bytes).toString("latin1");
  const boxes = [...text.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [Number(m[1]), Number(m[2])]);
  const pages = [...text.matchAll(/stream\n([\s\S]*?)endstream/g)]
    .map((m) => m[1]!)
    .filter((body) => body.includes(" l"));
  const lines = pages.map((body) =>
    [...body.matchAll(/(-?[\d.]+) (-?[\d.]+) m\n(-?[\d.]+) (-?[\d.]+) l/g)].map((m) => {
      const [x0, y0, x1, y1] = m.slice(1).map(Number) as [number, number, number, number];
      return { x0, y0, x1, y1, mm: Math.hypot(x1 - x0, y1 - y0) * MM_PER_PT };
    }),
  );
  return { boxes, lines, text };
}

test.each(["a4", "letter"] as const)(
  "Kranich's front end on %s: page boxes and lines measure true to 0.1 mm",
  (paper: Paper) => {
    const { boxes, lines } = readPdf(writeTemplatePdf("Grey tank", front, paper, "metric"));
    const { widthMm, heightMm } = PAPERS[paper];
    for (const [w, h] of boxes) {
      const [short, long] = [Math.min(w!, h!) * MM_PER_PT, Math.max(w!, h!) * MM_PER_PT];
      expect(short).toBeCloseTo(Math.min(widthMm, heightMm), 1);
      expect(long).toBeCloseTo(Math.max(widthMm, heightMm), 1);
    }
    expect(lines.length).toBe(boxes.length);
    for (const page of lines) {
      // the ruler at the foot, the four walls of the outside (462 × 202 mm), and of the inside (450 × 190 mm)
      for (const mm of [100, 462, 202, 450, 190]) {
        expect(page.some((line) => Math.abs(line.mm - mm) < 0.05)).toBe(true);
      }
    }
  },
);

test("glued by their crosses the pages join: a wall drawn on two pages lies on one line", () => {
  const { lines } = readPdf(writeTemplatePdf("Grey tank", front, "a4", "metric"));
  expect(lines.length).toBeGreaterThan(1);
  // crosses are 8 mm long; the left pair of a page lies over the right pair of the page before
  const uprights = (page: (typeof lines)[number]) =>
    [...new Set(page.filter(({ x0, x1, mm }) => x0 === x1 && Math.abs(mm - 8) < 0.01).map(({ x0 }) => x0))].sort(
      (a, b) => a - b,
    );
  const wall = (page: (typeof lines)[number]) =>
    page.find(({ x0, x1, mm }) => x0 === x1 && Math.abs(mm - 202) < 0.05)!.x0;
  const [one, two] = [lines[0]!, lines[1]!];
  const fromCross = (page: typeof one, cross: number) => (wall(page) - cross) * MM_PER_PT;
  expect(fromCross(one, uprights(one).at(-1)!)).toBeCloseTo(fromCross(two, uprights(two)[0]!), 2);
});

test("the same tank gives the same bytes", () => {
  const make = () => Buffer.from(writeTemplatePdf("Grey tank", front, "a4", "metric")).toString("base64");
  expect(make()).toBe(make());
});

test("in inches the ruler is 4 in long", () => {
  const { lines } = readPdf(writeTemplatePdf("Grey tank", front, "letter", "imperial"));
  expect(lines[0]!.some(({ mm }) => Math.abs(mm - 101.6) < 0.05)).toBe(true);
});

test("the DXF file, read back: millimetres, outline and holes in full size", () => {
  const read = new DxfParser().parseSync(writeDxf(faces, "metric"))!;
  expect(read.header["$INSUNITS"]).toBe(4);
  const on = (layer: string) => read.entities.filter((entity) => entity.layer === layer);
  const sizes = on("OUTSIDE").map((entity) => {
    const { vertices } = entity as IPolylineEntity | ILwpolylineEntity;
    const [xs, ys] = [vertices.map((p) => p.x), vertices.map((p) => p.y)];
    return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)].map(Math.round).join(" × ");
  });
  expect(sizes.sort()).toEqual(["462 × 202", "462 × 202", "812 × 202", "812 × 202", "812 × 462", "812 × 462"]);
  const radii = on("HOLES").map((entity) => (entity as ICircleEntity).radius);
  expect(radii.sort()).toEqual(kranich.ports.map(({ boreMm }) => boreMm / 2).sort());
});

test("the order sheet names every port with its side and measures", () => {
  const order = describeOrder(kranich, "metric");
  expect(order.ports).toHaveLength(kranich.ports.length);
  expect(order.ports.find(([name]) => name === "Inlet")!.slice(1, 2)).toEqual(["Front end"]);
  const { text, boxes } = readPdf(writeOrderPdf(order, "a4"));
  expect(boxes).toHaveLength(1);
  for (const [name] of order.ports) expect(text).toContain(`(${name})`);
});
