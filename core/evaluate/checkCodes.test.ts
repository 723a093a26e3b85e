import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { LEVEL } from "../attitude/attitude";
import type { Design, RulesChoice } from "../design/design";
import { withBranchVent } from "../design/lineItems";
import type { Drain, FixtureKind } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { FIXTURE_UNITS } from "../rules/fixtureUnits";
import { PACK_IDS } from "../rules/packIds";
import { countBends, measureDropMm } from "./checkCodes";
import { evaluate } from "./evaluate";
import "./fitted";

const kranich = readDemo("kranich");
const isDrain = (line: Design["lines"][number]): line is Drain => line.kind === "drain";
const [sinkDrain] = kranich.lines.filter(isDrain);

const under = (rules: Partial<RulesChoice>, design: Design): Design => ({
  ...design,
  rules: { ...design.rules, ...rules },
});

/** The sink's drain alone, along the points given from its outlet on; no trap, no vent. */
const along = (...points: (readonly [number, number, number])[]): Design => ({
  ...kranich,
  fixtures: kranich.fixtures.filter(({ id }) => id === sinkDrain!.fromFixture),
  lines: kranich.lines
    .filter((line) => !isDrain(line) || line.id === sinkDrain!.id)
    .map((line) =>
      line.id === sinkDrain!.id && isDrain(line)
        ? { ...line, items: [], bendsMm: points.map(([x, y, z], i) => ({ id: `n${i + 1}`, x, y, z })) }
        : line,
    ),
});

const { x, y, z } = kranich.fixtures.find(({ id }) => id === sinkDrain!.fromFixture)!.outletMm;
const tell = (design: Design, code: string) => evaluate(design, LEVEL).findings.filter((f) => f.code === code);

// DIN 1986-100, from memory, 90 %: an unvented branch is at most 4 m long, has three bends and goes down 1 m at most.
test("in Germany a branch without air of its own has three bends at most; with air, or elsewhere, any number", () => {
  const three = along([x - 200, y, z - 10], [x - 200, y - 100, z - 20], [x - 400, y - 100, z - 30]);
  const path = buildDrainPath(three, three.lines.find(isDrain)!);
  expect(countBends(path)).toBe(3);
  const four = along(
    [x - 200, y, z - 10],
    [x - 200, y - 100, z - 20],
    [x - 400, y - 100, z - 30],
    [x - 400, y, z - 40],
  );
  expect(countBends(buildDrainPath(four, four.lines.find(isDrain)!))).toBe(4);
  expect(tell(under({ pack: "germany" }, three), "branchBends")).toEqual([]);
  expect(tell(under({ pack: "germany" }, four), "branchBends")).toMatchObject([
    { bends: 4, severity: "should", limit: { value: 3, source: "din1986", standing: "P" } },
  ]);
  for (const pack of PACK_IDS.filter((id) => id !== "germany"))
    expect(tell(under({ pack }, four), "branchBends")).toEqual([]);
  const vented = {
    ...four,
    lines: four.lines.map((line) =>
      isDrain(line) ? withBranchVent(line, { kind: "admittanceValve", fromWeirMm: 100 }) : line,
    ),
  };
  expect(tell(under({ pack: "germany" }, vented), "branchBends")).toEqual([]);
  // a builder's own limit holds under any pack
  expect(tell(under({ pack: "builders", limits: { branchBends: 2 } }, three), "branchBends")).toMatchObject([
    { bends: 3, limit: { standing: "own" } },
  ]);
});

test("a point in a straight pipe is no bend, nor is one point twice", () => {
  const straight = along([x - 100, y, z - 2], [x - 200, y, z - 4], [x - 200, y, z - 4], [x - 300, y, z - 6]);
  const bent = along([x - 100, y, z - 2], [x - 300, y, z - 6]);
  const count = (design: Design) => countBends(buildDrainPath(design, design.lines.find(isDrain)!));
  expect(count(straight)).toBe(count(bent));
});

test("in Germany it goes down a metre at most, and its remedy gives it air", () => {
  const drain = (design: Design) => buildDrainPath(design, design.lines.find(isDrain)!);
  const raise = (mm: number) => {
    const design = along([x - 300, y, z + mm - 10], [x - 300, y, z - 60]);
    return { ...design, fixtures: design.fixtures.map((f) => ({ ...f, outletMm: { ...f.outletMm, z: z + mm } })) };
  };
  const endZ = drain(raise(0)).nodesMm.at(-1)!.z;
  const over = raise(endZ + 1000 - z + 2);
  expect(measureDropMm(drain(over))).toBeCloseTo(1002, 6);
  expect(tell(under({ pack: "germany" }, raise(endZ + 1000 - z)), "branchDrops")).toEqual([]);
  const judged = under({ pack: "germany" }, over);
  const [finding] = tell(judged, "branchDrops");
  expect(finding).toMatchObject({ limit: { value: 1000, source: "din1986" } });
  const remedies = proposeRemedies(judged, evaluate(judged, LEVEL), finding!);
  expect(remedies.map(({ edit }) => edit.code)).toContain("addBranchVent");
});

test("bends and drop are counted to the next air: a vent on the drain that is joined ends both, half way down a leg", () => {
  const main = along([x - 200, y, z - 10], [x - 600, y, z - 410], [x - 600, y - 100, z - 420]);
  const sink = main.fixtures[0]!;
  const second = { ...sink, id: "second", name: "Second", outletMm: { x: x - 200, y: y + 300, z: z + 5 } };
  const branch: Drain = {
    ...sinkDrain!,
    id: "second",
    name: "Second",
    fromFixture: "second",
    to: { kind: "junction", lineId: sinkDrain!.id, node: "n1", fitting: "wye" },
    items: [],
    bendsMm: [],
  };
  const joined = (fromWeirMm: number | null): Design => ({
    ...main,
    fixtures: [...main.fixtures, second],
    lines: [
      ...main.lines.map((line) =>
        isDrain(line) && fromWeirMm !== null ? withBranchVent(line, { kind: "openPipe", fromWeirMm }) : line,
      ),
      branch,
    ],
  });
  const read = (design: Design) => {
    const path = buildDrainPath(design, design.lines.find(({ id }) => id === "second") as Drain);
    return [countBends(path), measureDropMm(path)];
  };
  const [bends, dropMm] = read(joined(null));
  expect(bends).toBe(3);
  const first = Math.hypot(200, 10);
  const slant = Math.hypot(400, 400);
  // half way down the slant: the turn into it is left, and the drop to its middle
  const [few, part] = read(joined(first + slant / 2));
  expect(few).toBe(1);
  expect(part!).toBeCloseTo(15 + 200, 6);
  expect(dropMm!).toBeGreaterThan(part!);
  // what is said goes by the branch's own vent alone
  expect(
    tell(under({ pack: "germany", limits: { branchBends: 2 } }, joined(null)), "branchBends").map(({ at }) => at),
  ).toContainEqual({
    kind: "line",
    id: "second",
  });
});

// IPC tables 709.1 and 710.1(2), from memory, 95 %: 1½ in takes 3 units, 2 in takes 6; a sink 2, a basin 1, a shower 2.
test("US fixture units: what a pipe gathers is held against its nominal size, where it first is too much", () => {
  const rules = { pack: "usModelCode" as const, limits: {} };
  const inch = (innerMm: number, outerMm: number) => ({ innerMm, outerMm, manningN: 0.009 });
  const [two, oneAndHalf, oneAndQuarter] = [inch(52.5, 60.33), inch(40.89, 48.26), inch(35.05, 42.16)];
  const sink = kranich.fixtures.find(({ id }) => id === sinkDrain!.fromFixture)!;
  const build = (kinds: readonly [FixtureKind, FixtureKind], pipe: Drain["pipe"]): Design => {
    const main = along([x - 200, y, z - 10], [x - 400, y, z - 20]);
    const branch: Drain = {
      ...sinkDrain!,
      id: "second",
      name: "Second",
      pipe,
      fromFixture: "second",
      to: { kind: "junction", lineId: sinkDrain!.id, node: "n2", fitting: "wye" },
      items: [],
      bendsMm: [],
    };
    const second = { ...sink, id: "second", name: "Second", kind: kinds[1], outletMm: { x: x - 400, y: y + 300, z } };
    return {
      ...main,
      rules,
      fixtures: [{ ...sink, kind: kinds[0] }, second],
      lines: [...main.lines.map((line) => (isDrain(line) ? { ...line, pipe } : line)), branch],
    };
  };
  expect(tell(build(["kitchenSink", "basin"], oneAndHalf), "branchOverloaded")).toEqual([]);
  expect(tell(build(["kitchenSink", "showerTray"], oneAndHalf), "branchOverloaded")).toMatchObject([
    { units: 4, at: { kind: "leg", lineId: sinkDrain!.id, index: 2 }, limit: { value: 3, source: "ipc710" } },
  ]);
  expect(tell(build(["kitchenSink", "showerTray"], two), "branchOverloaded")).toEqual([]);
  // each alone is too much for 1¼ in but a basin
  expect(tell(build(["basin", "kitchenSink"], oneAndQuarter), "branchOverloaded")).toHaveLength(2);
  expect(FIXTURE_UNITS).toMatchObject({ basin: 1, kitchenSink: 2, showerTray: 2, gravityToilet: 4 });
});

test("any network: with wider pipes no more of them are told", () => {
  fc.assert(
    fc.property(networks, fc.constantFrom(32, 46, 60), (any, outerMm) => {
      const laid = (outer: number): Design => ({
        ...under({ pack: "usModelCode", limits: {} }, any),
        lines: any.lines.map((line) =>
          isDrain(line)
            ? {
                ...line,
                items: line.items.filter(({ kind }) => kind !== "pipeChange"),
                pipe: { innerMm: outer - 4, outerMm: outer, manningN: 0.009 },
              }
            : line,
        ),
      });
      const told = (design: Design) => new Set(tell(design, "branchOverloaded").map(({ at }) => JSON.stringify(at)));
      const wide = tell(laid(outerMm + 40), "branchOverloaded").length;
      expect(wide).toBeLessThanOrEqual(told(laid(outerMm)).size);
    }),
    { numRuns: 60 },
  );
});

// UPC 1002.2, from memory, 95 %: at least two bores behind the weir.
test("a branch vent stands two bores behind the trap's weir, and is moved there where the first run is long enough", () => {
  const trapped = kranich.lines.find((line): line is Drain => isDrain(line) && line.id === sinkDrain!.id)!;
  const at = (fromWeirMm: number): Design => ({
    ...kranich,
    lines: kranich.lines.map((line) =>
      line.id === trapped.id && isDrain(line) ? withBranchVent(line, { kind: "admittanceValve", fromWeirMm }) : line,
    ),
  });
  const bore = trapped.pipe.innerMm;
  expect(tell(at(Math.ceil(2 * bore)), "ventAtTrap")).toEqual([]);
  const close = at(Math.floor(2 * bore) - 1);
  const [finding] = findAll(close, "ventAtTrap");
  expect(finding).toMatchObject({ leastMm: 2 * bore, limit: { source: "upc1002", value: 2 } });
  if (finding?.code !== "ventAtTrap") throw new Error("not told");
  const remedies = proposeRemedies(close, evaluate(close, LEVEL), finding);
  expect(remedies.length > 0).toBe(finding.hasRoom);
});
