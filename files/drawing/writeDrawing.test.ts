import DxfParser from "dxf-parser";
import { XMLParser } from "fast-xml-parser";
import { evaluate } from "@/core/evaluate/evaluate";
import { listHoles } from "@/core/through/holes";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { DRAWINGS, writeDrawing } from "./writeDrawing";

const ALL = [...DEMO_NAMES, ...LOOP_NAMES, FURNISHED, HEADS_NAME, ...HEADS_NAMES] as const;

const readDxf = (text: string) => new DxfParser().parseSync(text)!.entities as readonly Entity[];
type Entity = {
  readonly type: string;
  readonly radius?: number;
  readonly vertices?: readonly { x: number; y: number }[];
};

const readSvg = (text: string) =>
  new XMLParser({ ignoreAttributes: false, attributeNamePrefix: "" }).parse(text).svg as Record<string, unknown>;

test.each(ALL)("%s: every drawing is read back as SVG and as DXF, with no figure that is no number", (name) => {
  const design = readDemo(name);
  for (const kind of DRAWINGS) {
    const svg = writeDrawing(design, kind, "svg", "metric");
    expect(svg).not.toMatch(/NaN|Infinity|undefined/);
    expect(readSvg(svg)).toHaveProperty("width");
    const dxf = writeDrawing(design, kind, "dxf", "imperial");
    expect(dxf).not.toMatch(/NaN|Infinity|undefined/);
    expect(readDxf(dxf).length).toBeGreaterThan(0);
  }
});

test.each(ALL)("%s: the plan is in full size: its floor is as long and as wide as the rig's", (name) => {
  const design = readDemo(name);
  const { lengthMm, widthMm } = design.rig;
  const shapes = readDxf(writeDrawing(design, "plan", "dxf", "metric"));
  const boxes = shapes.flatMap(({ vertices }) => {
    if (!vertices || vertices.length < 4) return [];
    const [xs, ys] = [vertices.map(({ x }) => x), vertices.map(({ y }) => y)];
    return [[Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)] as const];
  });
  expect(boxes.some(([x, y]) => Math.abs(x - lengthMm) < 0.5 && Math.abs(y - widthMm) < 0.5)).toBe(true);
});

test("holes come in full size, round ones as circles and slanted ones as long as they are", () => {
  for (const name of ALL) {
    const design = readDemo(name);
    const holes = listHoles(design, evaluate(design));
    const shapes = readDxf(writeDrawing(design, "holes", "dxf", "metric")).filter(
      ({ type }) => type !== "TEXT" && type !== "LINE",
    );
    const sizes = shapes.map(({ radius, vertices }) => {
      if (radius !== undefined) return 2 * radius;
      const xs = vertices!.map(({ x }) => x);
      return Math.max(...xs) - Math.min(...xs);
    });
    expect(sizes).toHaveLength(holes.length);
    for (const [i, { lengthMm }] of holes.entries()) expect(sizes[i]).toBeCloseTo(lengthMm, 1);
  }
});
