import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { withTrap } from "../design/lineItems";
import type { Tank } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { buildNetwork } from "../falls/network";
import { computeWaterColumn } from "./waterColumn";

const kranich = readDemo("kranich");
const [tank] = kranich.tanks;
const compute = (design: Design, one: Tank = design.tanks[0]!) => computeWaterColumn(design, buildNetwork(design), one);

const box: Tank = {
  ...tank!,
  atMm: { ...tank!.atMm, z: -400 },
  solid: { shape: "box", lengthMm: 800, widthMm: 400, heightMm: 200 },
};
const endAt = (zMm: number, design: Design = kranich): Design => ({
  ...design,
  tanks: [box],
  fixtures: [],
  lines: design.lines.flatMap((line) =>
    line.kind === "vent" ? [{ ...line, pointsMm: line.pointsMm.map((p) => ({ ...p, z: zMm })) }] : [],
  ),
});

// Common practice, no source; anybody can work it out: ρ g h of 2.2 m is 21.5 kPa, and 6.9 kN on 800 × 400 mm.
test("a breather's end 2.2 m over the tank: 21.5 kPa, 6.9 kN on its top", () => {
  const column = compute(endAt(2000))!;
  expect(column).toMatchObject({ overMm: 2200, outAt: "vent" });
  expect(column.pressureKPa).toBeCloseTo(21.5, 1);
  expect(column.forceKN).toBeCloseTo(6.9, 1);
  expect(findAll(endAt(2000), "tankPressed")).toMatchObject([
    { severity: "note", overMm: 2200, limit: { value: 15, standing: "T" } },
  ]);
  const rated: Design = { ...endAt(2000), rules: { ...kranich.rules, limits: { tankColumn: 30 } } };
  expect(findAll(rated, "tankPressed")).toEqual([]);
});

test("the lowest way out counts: the rim of a sink, unless a membrane valve may hold it shut", () => {
  const design: Design = { ...kranich, tanks: [box] };
  const sink = kranich.fixtures[0]!;
  expect(compute(design)).toMatchObject({ overMm: sink.outletMm.z + sink.rimMm + 200, outAt: "fixture" });
  const held: Design = {
    ...design,
    lines: design.lines.map((line) => (line.kind === "drain" ? withTrap(line, USUAL_TRAPS.membrane) : line)),
  };
  expect(compute(held)!.outAt).toBe("vent");
  expect(compute(held)!.overMm).toBeGreaterThan(compute(design)!.overMm);
});

test("an open filler lets it out, one a tap presses into does not; nowhere, or no higher than its top, is no column", () => {
  const neck: Gear = {
    id: "neck",
    name: "Filler",
    atMm: { x: 0, y: 800, z: 100 },
    sizeMm: { x: 50, y: 50, z: 50 },
    openBelowMm: 0,
    spec: { kind: "coupling", supplyKPa: null } as Gear["spec"],
  };
  const loop = readDemo("kranich-loop");
  const hose = loop.lines.find((line) => line.kind === "hose")!;
  const filled = (supplyKPa: number | null): Design => ({
    ...endAt(2000),
    gear: [{ ...neck, spec: { ...neck.spec, supplyKPa } as Gear["spec"] }],
    lines: [
      ...endAt(2000).lines,
      {
        ...hose,
        from: { kind: "gear", gearId: "neck", port: "out" },
        to: { kind: "tank", tankId: box.id, portId: "any" },
      } as Design["lines"][number],
    ],
  });
  expect(compute(filled(null))).toMatchObject({ overMm: 350, outAt: "filler" });
  expect(compute(filled(300))).toMatchObject({ overMm: 2200, outAt: "vent" });
  // the filler of another tank is none of its own
  const beside = filled(null);
  const elsewhere: Design = {
    ...beside,
    lines: beside.lines.map((line) =>
      line.kind === "hose" ? { ...line, to: { kind: "tank", tankId: "other", portId: "any" } } : line,
    ),
  };
  expect(compute(elsewhere)).toMatchObject({ overMm: 2200, outAt: "vent" });
  expect(compute(endAt(-200))).toBeNull();
  expect(compute({ ...endAt(0), lines: [] })).toBeNull();
});

test("a breather of another tank lets nothing out of this one, but of one that shares its level", () => {
  const other: Tank = { ...box, id: "other", name: "Other", link: null };
  const two = endAt(2000);
  const low: Design = {
    ...two,
    tanks: [box, other],
    lines: two.lines.flatMap((line) =>
      line.kind === "vent"
        ? [line, { ...line, id: "low", fromTank: "other", pointsMm: line.pointsMm.map((p) => ({ ...p, z: 300 })) }]
        : [],
    ),
  };
  expect(compute(low)!.overMm).toBe(2200);
  expect(compute(low, other)!.overMm).toBe(500);
  const joined: Design = { ...low, tanks: [{ ...box, link: { kind: "communicating", toTank: "other" } }, other] };
  expect(compute(joined)).toMatchObject({ overMm: 500, outAt: "vent" });
});

test("any network: another way out never makes it stand higher", () => {
  fc.assert(
    fc.property(networks, (design) => {
      for (const one of design.tanks) {
        const all = compute(design, one);
        const fewer = compute({ ...design, lines: design.lines.filter((line) => line.kind !== "vent") }, one);
        if (all && fewer) expect(all.overMm).toBeLessThanOrEqual(fewer.overMm);
        if (all) expect(all.forceKN).toBeGreaterThan(0);
      }
    }),
    { numRuns: 60 },
  );
});
