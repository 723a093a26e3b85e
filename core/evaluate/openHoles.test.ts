import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Port, Tank, Vent } from "../design/plumbing";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

test("an outlet that nothing shuts is told, unless a line or hose leads on from it; the valve proposed settles it", () => {
  const outlets = (design: Design) =>
    design.tanks.flatMap(({ id: tankId, ports }) =>
      ports.flatMap(({ kind, id }) => (kind === "outlet" ? [{ kind: "port", tankId, id }] : [])),
    );
  for (const design of ALL_DEMOS) {
    expect(findAll(design, "outletOpen")).toEqual([]);
    const open: Design = {
      ...design,
      tanks: design.tanks.map((tank) => ({ ...tank, ports: tank.ports.map((port) => ({ ...port, valve: null })) })),
    };
    const led = open.lines.flatMap((line) => (line.kind === "dumpLine" ? [`${line.fromTank} ${line.fromPort}`] : []));
    const said = findAll(open, "outletOpen");
    expect(said.map(({ at }) => at)).toEqual(
      outlets(open).filter(({ tankId, id }) => !led.includes(`${tankId} ${id}`)),
    );
    for (const finding of said) {
      const [remedy] = proposeRemedies(open, evaluate(open), finding);
      const outcome = applyEdit(open, remedy!.edit);
      if (!outcome.ok) throw new Error("the valve proposed is not allowed");
      expect(findAll(outcome.design, "outletOpen")).toHaveLength(said.length - 1);
    }
  }
});

const kranich = readDemo("kranich");
const withPort = (design: Design, tankId: string, kind: Port["kind"]): Design => ({
  ...design,
  tanks: design.tanks.map((tank) =>
    tank.id === tankId
      ? { ...tank, ports: [...tank.ports, { ...tank.ports[0]!, id: "spare", kind, boreMm: 25, valve: null }] }
      : tank,
  ),
});

test("a hole that nothing is joined to is told, and left out by one press; what shuts by itself is not", () => {
  for (const design of ALL_DEMOS) expect(findAll(design, "portFree")).toEqual([]);
  for (const kind of ["inlet", "vent"] as const) {
    const open = withPort(kranich, "grey", kind);
    const [told, ...more] = findAll(open, "portFree");
    expect({ told, more }).toMatchObject({
      told: { severity: "should", at: { tankId: "grey", id: "spare" } },
      more: [],
    });
    const [remedy] = proposeRemedies(open, evaluate(open), told!);
    const outcome = applyEdit(open, remedy!.edit);
    expect(outcome.ok && outcome.design.tanks).toEqual(kranich.tanks);
  }
  for (const kind of ["hatch", "sender", "plug"] as const)
    expect(isSaid(withPort(kranich, "grey", kind), "portFree")).toBe(false);
});

test("a hole for a hose is told where hoses are planned; a filler of clean water has its cap", () => {
  const van = readDemo("kranich-loop");
  const told = (design: Design, tankId: string, kind: Port["kind"]) =>
    isSaid(withPort(design, tankId, kind), "portFree");
  for (const tankId of ["fresh", "loop"]) {
    expect(told(van, tankId, "draw")).toBe(true);
    expect(told(van, tankId, "fill")).toBe(false);
  }
  expect(told(van, "grey", "fill")).toBe(true);
  expect(told(kranich, "grey", "draw")).toBe(false);
});

const endAt = (x: number, y: number, z: number, holds: Tank["holds"] = "grey"): Design => ({
  ...kranich,
  tanks: kranich.tanks.map((tank) => ({ ...tank, holds })),
  lines: kranich.lines.map((line) =>
    line.kind === "vent"
      ? ({ ...line, pointsMm: [...line.pointsMm.slice(0, -1), { id: "end", x, y, z }] } as Vent)
      : line,
  ),
});

test("a breather of waste must not end indoors: over the floor, under any roof, further in than a wall", () => {
  const { lengthMm, widthMm } = kranich.rig;
  const half = widthMm / 2;
  const isIn = (x: number, y: number, z: number, holds?: Tank["holds"]) =>
    isSaid(endAt(x, y, z, holds), "ventEndsInside");
  expect(findAll(endAt(1550, 0, 600), "ventEndsInside")).toMatchObject([{ severity: "must" }]);
  for (const side of [1, -1]) {
    expect(isIn(1550, side * (half - 151), 600)).toBe(true);
    expect(isIn(1550, side * (half - 150), 600)).toBe(false);
  }
  expect(isIn(151, 0, 600)).toBe(true);
  expect(isIn(150, 0, 600)).toBe(false);
  expect(isIn(lengthMm - 151, 0, 600)).toBe(true);
  expect(isIn(lengthMm - 150, 0, 600)).toBe(false);
  expect([isIn(1550, 0, 1), isIn(1550, 0, 0), isIn(1550, 0, 1_199), isIn(1550, 0, 1_200)]).toEqual([
    true,
    false,
    true,
    false,
  ]);
  // a cabinet is indoors as well, and over drinking water it is no gas
  expect(isIn(1550, 395, 300)).toBe(true);
  expect(findAll(endAt(1550, 0, 600, "fresh"), "ventEndsInside")).toMatchObject([{ severity: "note", isFresh: true }]);
  expect(isIn(1550, 0, 600, "black")).toBe(true);
  for (const design of ALL_DEMOS) expect(isSaid(design, "ventEndsInside")).toBe(false);
});

test("a breather that ends indoors is led out by one press", () => {
  const design = endAt(1550, 0, 600);
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find(({ code }) => code === "ventEndsInside")!;
  const [remedy] = proposeRemedies(design, evaluation, finding);
  const outcome = applyEdit(design, remedy!.edit);
  expect(outcome.ok && isSaid(outcome.design, "ventEndsInside")).toBe(false);
});

test("an open end without a mesh is a word, and one press puts one on", () => {
  const bare: Design = {
    ...kranich,
    lines: kranich.lines.map((line) =>
      line.kind === "vent" ? ({ ...line, to: { kind: "openAir", hasMesh: false } } as Vent) : line,
    ),
  };
  expect(isSaid(kranich, "ventNoMesh")).toBe(false);
  const evaluation = evaluate(bare);
  const finding = evaluation.findings.find(({ code }) => code === "ventNoMesh")!;
  expect(finding.severity).toBe("note");
  const [remedy] = proposeRemedies(bare, evaluation, finding);
  const outcome = applyEdit(bare, remedy!.edit);
  expect(outcome.ok && outcome.design.lines).toEqual(kranich.lines);
});
