import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { RIG_KINDS, type RigKind } from "../design/rig";
import { toTankBlock } from "../fit/obstacleGaps";
import { checkPlaces } from "./checkPlaces";

const OFF: Readonly<Record<RigKind, number>> = { van: 800, bus: 800, trailer: 1_500, boat: 1_500 };
const told = (design: Design) => checkPlaces(design).filter(({ code }) => code === "partOutside");
const loop = readDemo("kranich-loop");
const of = (kind: RigKind): Design => ({ ...loop, rig: { ...loop.rig, kind } });

test("the samples have nothing off the rig", () => {
  for (const design of ALL_DEMOS) expect(findAll(design, "partOutside")).toEqual([]);
});

test.each(RIG_KINDS)("on a %s a tank may hang so far out and no further, whichever way", (kind) => {
  const design = of(kind);
  const [tank] = design.tanks;
  const { min, max } = toTankBlock(tank!);
  const { lengthMm, widthMm } = design.rig;
  const off = OFF[kind];
  for (const [axis, edgeMm] of [
    ["x", -off - min.x],
    ["x", lengthMm + off - max.x],
    ["y", widthMm / 2 + off - max.y],
    ["y", -widthMm / 2 - off - min.y],
  ] as const) {
    const moved = (by: number): Design => ({
      ...design,
      tanks: [{ ...tank!, atMm: { ...tank!.atMm, [axis]: tank!.atMm[axis] + by } }],
      lines: [],
      gear: [],
    });
    expect(told(moved(edgeMm))).toEqual([]);
    const beyond = told(moved(edgeMm + Math.sign(edgeMm)));
    expect(beyond).toMatchObject([{ severity: "must", at: { kind: "tank", id: tank!.id } }]);
    expect(beyond[0]).toMatchObject({ byMm: expect.closeTo(off + 1, 6) });
  }
});

test("gear and every kind of line are told of by themselves, at their furthest point", () => {
  const design = of("van");
  const { widthMm } = design.rig;
  const [pump] = design.gear;
  const apart = { ...design, gear: [{ ...pump!, atMm: { ...pump!.atMm, y: 4_000 } }], lines: [], tanks: [] };
  expect(told(apart)).toMatchObject([
    { at: { kind: "gear", id: pump!.id }, byMm: expect.closeTo(4_000 + pump!.sizeMm.y - widthMm / 2, 6) },
  ]);
  for (const line of design.lines) {
    const far = <T extends { readonly y: number }>(points: readonly T[]): T[] =>
      points.map((point, i) => (i === points.length - 1 ? { ...point, y: -5_000 } : point));
    const one =
      line.kind === "drain" ? { ...line, bendsMm: far(line.bendsMm) } : { ...line, pointsMm: far(line.pointsMm) };
    const hasPoints = (line.kind === "drain" ? line.bendsMm : line.pointsMm).length > 0;
    const said = told({ ...design, gear: [], tanks: [], lines: [one] });
    if (hasPoints) expect(said).toMatchObject([{ at: { kind: "line", id: line.id }, byMm: 5_000 - widthMm / 2 }]);
    else expect(said).toEqual([]);
  }
});

test.each(RIG_KINDS)(
  "past the side of a %s for the road a tank, gear and pipes are told before they are off it",
  (kind) => {
    const design = of(kind);
    const sticking = (one: Design) => checkPlaces(one).filter(({ code }) => code === "partSticksOut");
    const [tank] = design.tanks;
    const { max } = toTankBlock(tank!);
    const edgeMm = design.rig.widthMm / 2 - max.y;
    const moved = (by: number): Design => ({
      ...design,
      tanks: [{ ...tank!, atMm: { ...tank!.atMm, y: tank!.atMm.y + by } }],
      lines: [],
      gear: [],
    });
    expect(sticking(moved(edgeMm + 200))).toEqual([]);
    const beyond = sticking(moved(edgeMm + 201));
    if (kind === "boat") expect(beyond).toEqual([]);
    else expect(beyond).toMatchObject([{ severity: "should", at: { kind: "tank" }, byMm: expect.closeTo(201, 6) }]);
    for (const one of ALL_DEMOS) expect(sticking(one)).toEqual([]);
  },
);

test("a boat with known sections reaches as far as they do", () => {
  const boat = readDemo("setzkasten");
  const long = boat.rig.hull!.sections.map((section, i, all) =>
    i === all.length - 1 ? { ...section, xMm: 9_000 } : section,
  );
  const [tank] = boat.tanks;
  const at = (x: number, sections = boat.rig.hull!.sections): Design => ({
    ...boat,
    rig: { ...boat.rig, hull: { ...boat.rig.hull!, sections } },
    tanks: [{ ...tank!, atMm: { ...tank!.atMm, x } }],
    lines: [],
    gear: [],
  });
  const bow = boat.rig.lengthMm + 1_500 - 500;
  expect(told(at(bow)).length).toBe(1);
  expect(told(at(bow, long))).toEqual([]);
});
