import fc from "fast-check";
import { attitudes, designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { LEVEL } from "../attitude/attitude";
import { withBranchVent } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildLeg } from "../falls/drainPath";
import { vec } from "../geometry/vec";
import { layOutFoam } from "./foam";
import { layOutLongSection } from "./longSection";

const drainOf = (design: { readonly lines: readonly { kind: string }[] }) =>
  design.lines.find((l) => l.kind === "drain") as Drain;

test("differences of height in the section are the falls of the budget, at any attitude", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const section = layOutLongSection(design, drainOf(design), attitude, 5);
      const { here } = evaluate(design, attitude).drains[0]!;
      here.legs.forEach((leg, i) => {
        expect(section.nodes[i]!.h - section.nodes[i + 1]!.h).toBeCloseTo(leg.fallMm, 6);
      });
      expect(section.outlet.h - section.nodes[section.nodes.length - 1]!.h).toBeCloseTo(here.availableMm, 6);
    }),
  );
});

test("stations are plan lengths, and water in the tank is level and below its opening", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const section = layOutLongSection(design, drainOf(design), attitude, 5);
      const { legs } = evaluate(design, attitude).drains[0]!;
      legs.forEach((leg, i) => {
        expect(section.nodes[i + 1]!.s - section.nodes[i]!.s).toBeCloseTo(leg.planLengthMm, 6);
      });
      for (const point of section.tank!.water) expect(point.h).toBeLessThanOrEqual(section.tank!.waterH + 1e-6);
    }),
  );
});

test("Kranich: floor on top, ground below it by what was measured, the rail cut where the drain passes", () => {
  const design = readDemo("kranich");
  const section = layOutLongSection(design, drainOf(design), LEVEL, 20);
  expect(section.floorTop[0]!.h).toBe(0);
  expect(section.floorUnder[0]!.h).toBeCloseTo(-44, 6);
  expect(section.ground[0]!.h).toBe(-620);
  expect(section.sill[0]!.h).toBe(-390);
  expect(section.tank!.ports.map((p) => p.kind)).toEqual(["inlet", "vent", "outlet"]);
  expect(section.tank!.fullH).toBeCloseTo(-140, 6);
  expect(section.obstacles.map((o) => o.obstacle.id)).toContain("rail-left");
});

test("Otter: the bilge tank shows its length, the waterline stands over the sole", () => {
  const design = readDemo("otter");
  const section = layOutLongSection(design, drainOf(design), LEVEL, 0);
  expect(section.waterline).toBeCloseTo(120, 6);
  expect(section.tank!.water).toEqual([]);
  const width = Math.max(...section.tank!.outline.map((p) => p.s)) - Math.min(...section.tank!.outline.map((p) => p.s));
  expect(width).toBeCloseTo(900, 6);
});

test("the branch vent stands so far behind the weir, on the pipe", () => {
  const kranich = readDemo("kranich");
  const drain = kranich.lines.find((line) => line.kind === "drain") as Drain;
  for (const fromWeirMm of [0, 40, 75]) {
    const line = withBranchVent(drain, { kind: "admittanceValve", fromWeirMm });
    const layout = layOutLongSection({ ...kranich, lines: [line] }, line, LEVEL, 0);
    const [weir, bend] = layout.nodes;
    const share = fromWeirMm / Math.hypot(bend!.s - weir!.s, bend!.h - weir!.h);
    expect(layout.branchVent!.s).toBeCloseTo(weir!.s + (bend!.s - weir!.s) * share, 6);
    expect(layout.branchVent!.h).toBeCloseTo(weir!.h + (bend!.h - weir!.h) * share, 6);
  }
  const far = withBranchVent(drain, { kind: "openPipe", fromWeirMm: 19_000 });
  expect(layOutLongSection({ ...kranich, lines: [far] }, far, LEVEL, 0).branchVent).toBeNull();
});

test("drawn further past sink and tank, nothing of the drain moves", () => {
  const kranich = readDemo("kranich");
  const drain = kranich.lines.find((line) => line.kind === "drain") as Drain;
  const near = layOutLongSection(kranich, drain, { pitchDeg: 2, rollDeg: 1 }, 20);
  const far = layOutLongSection(kranich, drain, { pitchDeg: 2, rollDeg: 1 }, 20, 5000);
  expect(far.nodes).toEqual(near.nodes);
  expect(far.tank).toEqual(near.tank);
  expect([far.nearS, far.farS]).toEqual([near.fromS, near.toS]);
  expect(far.lowH).toBeCloseTo(near.lowH, 6);
  expect(far.fromS).toBeLessThan(near.fromS - 4000);
});

test("water that goes overboard falls to the water outside, a sump stands at its own height, a canister on the floor", () => {
  const endOf = (name: Parameters<typeof readDemo>[0], lineId: string) => {
    const design = readDemo(name);
    const drain = design.lines.find(({ id }) => id === lineId) as Drain;
    return { design, ...layOutLongSection(design, drain, LEVEL, 5) };
  };
  const galley = endOf("otter-heads", "sink-drain");
  // level, heights in the section are heights over the sole
  expect(galley.freeEnd).toMatchObject({
    into: "overboard",
    name: "Galley outlet",
    lowH: galley.design.rig.waterlineZMm,
  });
  const basin = endOf("otter-heads", "basin-drain");
  const sump = basin.design.gear.find(({ id }) => id === "sump")!;
  expect(basin.freeEnd).toMatchObject({ into: "sump", lowH: sump.atMm.z, rimH: sump.atMm.z + sump.sizeMm.z });
  expect(endOf("puppenwagen-heads", "urinediverter-drain").freeEnd).toMatchObject({ into: "vessel", lowH: 0 });
  expect(endOf("kranich", "sink-drain").freeEnd).toBeNull();
});

test("foam is drawn where a leg lies under the floor: all of it, from the floor down, or up to it", () => {
  const [from, to] = [vec(0, 0, 300), vec(0, 0, -100)];
  const of = {
    lineId: "d",
    index: 0,
    pipe: { innerMm: 36.4, outerMm: 40, manningN: 0.009 },
    inflowLps: 0,
    surgeLps: 0,
  };
  expect(layOutFoam(buildLeg(from, to, of))).toBeNull();
  expect(layOutFoam(buildLeg(from, to, of, 13))).toEqual({ mm: 26, from: 0.75, to: 1 });
  expect(layOutFoam(buildLeg(to, from, of, 13))).toEqual({ mm: 26, from: 0, to: 0.25 });
  expect(layOutFoam(buildLeg(to, vec(500, 0, -110), of, 13))).toEqual({ mm: 26, from: 0, to: 1 });
  expect(layOutFoam(buildLeg(from, vec(500, 0, 10), of, 13))).toBeNull();
});
