import { readFileSync } from "node:fs";
import DxfParser, { type ICircleEntity, type ILwpolylineEntity, type IPolylineEntity } from "dxf-parser";
import { listTankFaces } from "@/core/templates/tankFaces";
import { MOST_PAGES, PAPERS, type Paper, tileSheet } from "@/core/templates/tileSheet";
import { readDemo } from "@/tests/demoRigs";
import { describeOrder } from "@/words/templates";
import { type Letters, loadLetters } from "./letters";
import { writeDxf } from "./tankDxf";
import { writeOrderPdf, writeTemplatePdf } from "./tankPdf";
import { writeSvg } from "./tankSvg";

let letters: Letters;
beforeAll(async () => {
  letters = await loadLetters(async (file) => {
    const bytes = readFileSync(`node_modules/@fontsource/barlow-semi-condensed/files/${file}`);
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length) as ArrayBuffer;
  });
});

// What a general reader makes of the letters on the pages.
async function readWords(bytes: ArrayBuffer): Promise<string> {
  const { getDocument } = await import("pdfjs-dist/legacy/build/pdf.mjs");
  const pdf = await getDocument({ data: new Uint8Array(bytes.slice(0)), useSystemFonts: false, isEvalSupported: false })
    .promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent();
      return items.map((item) => ("str" in item ? item.str : "")).join("");
    }),
  );
  await pdf.destroy();
  return pages.join("\n");
}

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
  async (paper: Paper) => {
    const { boxes, lines } = readPdf((await writeTemplatePdf("Grey tank", front, paper, "metric", letters))!);
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

test("glued by their crosses the pages join: a wall drawn on two pages lies on one line", async () => {
  const { lines } = readPdf((await writeTemplatePdf("Grey tank", front, "a4", "metric", letters))!);
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

test("the same tank gives the same bytes", async () => {
  const make = () =>
    writeTemplatePdf("Grey tank", front, "a4", "metric", letters).then((pdf) => Buffer.from(pdf!).toString("base64"));
  expect(await make()).toBe(await make());
});

test("a side of many pages tells how far it is, can be stopped, and is bounded", async () => {
  const tank = readDemo("kranich").tanks[0]!;
  const large = { ...tank, solid: { shape: "box", lengthMm: 2400, widthMm: 1800, heightMm: 400 } as const };
  const top = listTankFaces(large).find(({ face }) => face === "top")!;
  const shares: number[] = [];
  const whole = await writeTemplatePdf("Large", top, "a4", "metric", letters, async (share) => shares.push(share) > 0);
  expect(readPdf(whole!).boxes).toHaveLength(tileSheet(top, "a4").tiles.length);
  expect(shares.length).toBeGreaterThan(5);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(await writeTemplatePdf("Large", top, "a4", "metric", letters, async (share) => share < 0.5)).toBeNull();
  expect(tileSheet({ widthMm: 6000, heightMm: 2500 }, "a4").tiles.length).toBeGreaterThan(MOST_PAGES);
});

test("in inches the ruler is 4 in long", async () => {
  const { lines } = readPdf((await writeTemplatePdf("Grey tank", front, "letter", "imperial", letters))!);
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
  const radii = (layer: string) => on(layer).map((entity) => (entity as ICircleEntity).radius);
  expect(radii("BORES").sort()).toEqual(kranich.ports.map(({ boreMm }) => boreMm / 2).sort());
  // nothing that nobody knows is given to a machine to cut
  expect(radii("HOLES")).toEqual([]);
});

test("with threads the hole is cut for the thread, in DXF, SVG and on paper, and the maker is told which", async () => {
  // each where a nut has room
  const tank = {
    ...kranich,
    ports: kranich.ports.map((port) => ({
      ...port,
      thread: "g112" as const,
      atMm: port.kind === "vent" ? port.atMm : { ...port.atMm, z: 70 },
    })),
  };
  const drawings = listTankFaces(tank);
  const read = new DxfParser().parseSync(writeDxf(drawings, "metric"))!;
  const cut = read.entities.flatMap((entity) => (entity.layer === "HOLES" ? [(entity as ICircleEntity).radius] : []));
  expect(cut).toHaveLength(kranich.ports.length);
  for (const radius of cut) expect(radius).toBeCloseTo(24.4, 1);
  const rings = [...writeSvg(drawings, "metric").matchAll(/<circle class="hole"[^>]* r="([\d.]+)"/g)].map((m) =>
    Number(m[1]),
  );
  expect(rings).toHaveLength(kranich.ports.length);
  const side = drawings.find(({ holes }) => holes.length > 0)!;
  const words = await readWords((await writeTemplatePdf("Grey tank", side, "a4", "metric", letters))!);
  expect(words).toContain("hole Ø 48.8 mm");
  expect(describeOrder(tank, "metric").ports[0]).toEqual(
    expect.arrayContaining([expect.stringContaining("G 1½ parallel")]),
  );
});

test("the order sheet names every port with its side and measures", () => {
  const order = describeOrder(kranich, "metric");
  expect(order.ports).toHaveLength(kranich.ports.length);
  // 3.6 mm from its bore to the top is no room for a nut
  expect(order.ports.find(([name]) => name === "Inlet")!.slice(1, 2)).toEqual(["Front end, welded in"]);
  expect(order.ports.find(([name]) => name?.startsWith("Breather"))!.slice(1, 2)).toEqual(["Top"]);
  const bytes = writeOrderPdf(order, "a4", letters);
  expect(readPdf(bytes).boxes).toHaveLength(1);
});

test("the order sheet reads back as it was written: minus signs, umlauts, other letters; what has no letter is a box", async () => {
  const name = "Möwe Łódź Żółw Řeka";
  const stepped = {
    ...kranich,
    name,
    solid: {
      shape: "prism" as const,
      axis: "x" as const,
      lengthMm: 800,
      profileMm: [
        { u: -200, v: 0 },
        { u: 250, v: 0 },
        { u: 250, v: 190 },
        { u: -200, v: 190 },
      ],
    },
  };
  const order = describeOrder(stepped, "metric");
  // from the same corner as the ports: no corner lies at less than nothing
  expect(order.corners[0]).toBe("1: 0\u00a0mm, 0\u00a0mm");
  expect(order.corners[2]).toBe("3: 450\u00a0mm, 190\u00a0mm");
  const words = await readWords(
    writeOrderPdf({ ...order, facts: [...order.facts, ["A height", "\u2212200 mm"]] }, "a4", letters),
  );
  const plain = (text: string) => text.replace(/[\s\u00a0]/g, "");
  for (const text of [name, "\u2212200 mm", order.cornerHead, ...order.corners, ...order.ports.flat()]) {
    expect(plain(words)).toContain(plain(text));
  }
  const boxed = readPdf(writeOrderPdf({ ...order, title: "漢字 tank" }, "a4", letters)).text;
  const without = readPdf(writeOrderPdf({ ...order, title: "tank" }, "a4", letters)).text;
  const count = (text: string) => (text.match(/ re\n?S?/g) ?? []).length;
  expect(count(boxed) - count(without)).toBe(2);
});
