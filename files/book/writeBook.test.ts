import { readFileSync } from "node:fs";
import { listCuts } from "@/core/build/cuts";
import { stripPlumbing } from "@/core/design/stripPlumbing";
import { evaluate } from "@/core/evaluate/evaluate";
import { PAPERS, type Paper } from "@/core/templates/tileSheet";
import { listHoles } from "@/core/through/holes";
import { DEMO_NAMES, FURNISHED, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { readLetters } from "../letters";
import { BOOK_PARTS, writeBook } from "./writeBook";

const letters = readLetters((file) => {
  const bytes = readFileSync(`node_modules/@fontsource/barlow-semi-condensed/files/${file}`);
  return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length) as ArrayBuffer;
});
const PT = 25.4 / 72;

// Read back by a general reader: the size of each page in points, and its words.
async function readBook(bytes: ArrayBuffer) {
  const { getDocument } = await import("pdfjs-dist/legacy/build/pdf.mjs");
  const pdf = await getDocument({ data: new Uint8Array(bytes.slice(0)), useSystemFonts: false, isEvalSupported: false })
    .promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const page = await pdf.getPage(i + 1);
      const { items } = await page.getTextContent();
      return { view: page.view, text: items.map((item) => ("str" in item ? item.str : "")).join(" ") };
    }),
  );
  await pdf.destroy();
  return pages;
}

test.each([...DEMO_NAMES, ...LOOP_NAMES, FURNISHED] as const)(
  "%s: every part, every page of the paper, every cut and hole on it",
  async (name) => {
    const design = readDemo(name);
    const pages = await readBook(writeBook(design, { paper: "a4", units: "metric", parts: BOOK_PARTS }, letters));
    for (const { view } of pages) {
      expect(view[2]! * PT).toBeCloseTo(PAPERS.a4.widthMm, 0);
      expect(view[3]! * PT).toBeCloseTo(PAPERS.a4.heightMm, 0);
    }
    const text = pages.map((page) => page.text).join(" ");
    for (const title of [
      "Waterway",
      "Plan",
      "Drains unrolled",
      "Holes in full size",
      "Cut list",
      "Parts",
      "Order of work",
      "Trials",
      "Cautions",
    ])
      expect(text).toContain(title);
    for (const { mark } of listCuts(design)) expect(text).toContain(mark);
    listHoles(design, evaluate(design)).forEach((_, i) => {
      expect(text).toContain(`H${i + 1}`);
    });
    // the pages are numbered through
    pages.forEach(({ text: own }, i) => {
      expect(own).toContain(`${i + 1} of ${pages.length}`);
    });
  },
  30_000,
);

test.each(["a4", "letter"] as const)(
  "on %s a hole is as large as it is drilled, and the ruler is 100 mm",
  (paper: Paper) => {
    const design = readDemo("kranich");
    const bytes = writeBook(design, { paper, units: "metric", parts: ["holes"] }, letters);
    const body = Buffer.from(bytes).toString("latin1");
    const lines = [...body.matchAll(/(-?[\d.]+) (-?[\d.]+) m\n(-?[\d.]+) (-?[\d.]+) l/g)].map((m) => {
      const [x0, y0, x1, y1] = m.slice(1).map(Number) as [number, number, number, number];
      return Math.hypot(x1 - x0, y1 - y0) * PT;
    });
    expect(lines.some((mm) => Math.abs(mm - 100) < 0.05)).toBe(true);
    // the centre marks of a hole reach 5 mm past it on both sides along, 4 across
    for (const { lengthMm, widthMm } of listHoles(design, evaluate(design))) {
      expect(lines.some((mm) => Math.abs(mm - (lengthMm + 10)) < 0.05)).toBe(true);
      expect(lines.some((mm) => Math.abs(mm - (widthMm + 8)) < 0.05)).toBe(true);
    }
  },
);

test("only the parts that were chosen; an empty rig has a book too; the same design gives the same bytes", async () => {
  const design = readDemo("kranich");
  const write = () => writeBook(design, { paper: "letter", units: "imperial", parts: ["parts"] }, letters);
  const pages = await readBook(write());
  expect(pages.length).toBeGreaterThan(0);
  for (const { text } of pages) expect(text).toMatch(/^Parts/);
  expect(pages.map(({ text }) => text).join(" ")).not.toContain("Cautions");
  expect(Buffer.from(write()).equals(Buffer.from(write()))).toBe(true);
  const bare = await readBook(
    writeBook(stripPlumbing(design), { paper: "a4", units: "metric", parts: BOOK_PARTS }, letters),
  );
  expect(bare.map(({ text }) => text).join(" ")).toContain("No drain yet");
});

test("what is not settled stands beside the holes and the steps it holds, whichever part is printed", async () => {
  const design = readDemo("lesesaal-heads");
  for (const part of ["holes", "order"] as const) {
    const pages = await readBook(writeBook(design, { paper: "a4", units: "metric", parts: [part] }, letters));
    const text = pages.map((page) => page.text).join(" ");
    expect(text.replace(/\s+/g, " ")).toContain("Settle first: Sink drain");
  }
  const bare = writeBook(readDemo("kranich"), { paper: "a4", units: "metric", parts: ["holes", "order"] }, letters);
  expect((await readBook(bare)).map((page) => page.text).join(" ")).not.toContain("Settle first");
});
