import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import { withTrap } from "../design/lineItems";
import { toNodes } from "../design/nodes";
import { evaluate } from "../evaluate/evaluate";
import { computeStability } from "../heads/stability";
import { listFloods } from "./flood";
import { measureFitting } from "./holes";
import { HOSE_BORES, judgeTail, matchStub } from "./stubs";

const boat = readDemo("setzkasten");
type Fitting = GearOf<"skinFitting">;
const codesOf = (design: Design, id: string) =>
  evaluate(design).findings.flatMap(({ at, code }) => ("id" in at && at.id === id ? [code] : []));
const withSpec = (design: Design, id: string, given: Partial<Fitting["spec"]>): Design => ({
  ...design,
  gear: design.gear.map((piece) =>
    piece.id === id ? ({ ...piece, spec: { ...piece.spec, ...given } } as Fitting) : piece,
  ),
});
const move = (design: Design, id: string, by: { readonly y?: number; readonly z?: number }): Design => ({
  ...design,
  gear: design.gear.map((piece) =>
    piece.id === id
      ? { ...piece, atMm: { ...piece.atMm, y: piece.atMm.y + (by.y ?? 0), z: piece.atMm.z + (by.z ?? 0) } }
      : piece,
  ),
});
const ASKED = [
  "fittingOffHull",
  "fittingDomestic",
  "metalsMeet",
  "backingMissing",
  "tailUnfit",
  "fittingShared",
] as const;

test("the moulded boat's fittings sit in her skin and want nothing; each thing taken away is told at its place", () => {
  const seacock = boat.gear.find(({ id }) => id === "seacock") as Fitting;
  for (const piece of boat.gear)
    if (piece.spec.kind === "skinFitting")
      for (const code of ASKED) expect(codesOf(boat, piece.id)).not.toContain(code);
  const hose = boat.lines.find(
    (line) =>
      line.kind === "hose" && [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === "seacock"),
  )!;
  const told = (design: Design) => codesOf(design, "seacock");
  expect(told(move(boat, "seacock", { y: 300 }))).toContain("fittingOffHull");
  expect(told(withSpec(boat, "seacock", { metal: "domestic" }))).toContain("fittingDomestic");
  expect(told(withSpec(boat, "seacock", { hasBacking: false }))).toContain("backingMissing");
  expect(told(withSpec(boat, "seacock", { tailMm: hose.pipe.innerMm - 6 }))).toContain("tailUnfit");
  expect(told(withSpec(boat, "seacock", { tailMm: hose.pipe.innerMm }))).not.toContain("tailUnfit");
  const alloy = { ...boat, rig: { ...boat.rig, hull: { ...boat.rig.hull!, material: "aluminium" as const } } };
  expect(told(withSpec(alloy, "seacock", { metal: "bronze" }))).toContain("metalsMeet");
  expect(told(alloy)).not.toContain("metalsMeet");
  expect(measureFitting(boat, seacock).worstOverMm).toBeLessThan(0);
});

test("sinks may share a fitting above the water, nothing may share an intake, a bilge pump's or a toilet's", () => {
  const otter = readDemo("otter-heads");
  expect(codesOf(otter, "galley-out")).not.toContain("fittingShared");
  for (const serves of ["intake", "cockpit", "bilge"] as const)
    expect(codesOf(withSpec(otter, "galley-out", { serves }), "galley-out")).toContain("fittingShared");
  expect(codesOf(move(otter, "galley-out", { z: -420 }), "galley-out")).toContain("fittingShared");
  const onToilet = {
    ...otter,
    lines: otter.lines.map((line) =>
      line.kind === "drain" && line.to.kind === "overboard"
        ? { ...line, to: { kind: "overboard" as const, gearId: "seacock" } }
        : line,
    ),
  };
  expect(codesOf(onToilet, "seacock")).toContain("fittingShared");
});

test("an icebox without a seal in its drain loses its cold", () => {
  const otter = readDemo("otter-heads");
  const icebox = otter.fixtures.find(({ kind }) => kind === "iceboxDrain")!;
  expect(codesOf(otter, icebox.id)).not.toContain("iceboxOpen");
  const open = {
    ...otter,
    lines: otter.lines.map((line) =>
      line.kind === "drain" && line.fromFixture === icebox.id ? withTrap(line, null) : line,
    ),
  };
  expect(codesOf(open, icebox.id)).toContain("iceboxOpen");
});

test("a line through her skin, water over her deck, and a tank that reaches through it are told", () => {
  const codes = (design: Design) => new Set(evaluate(design).findings.map(({ code }) => code));
  const own = codes(boat);
  for (const code of ["lineOffHull", "waterOverDeck", "floatsNowhere", "tankHitsObstacle", "weightDiffers"] as const)
    expect([code, own.has(code)]).toEqual([code, false]);
  const sunk = { ...boat, rig: { ...boat.rig, waterlineZMm: 940 } };
  expect(codes(sunk)).toContain("waterOverDeck");
  expect(codes({ ...boat, rig: { ...boat.rig, displacementKg: 12_000 } })).toContain("weightDiffers");
  const out = {
    ...boat,
    tanks: boat.tanks.map((tank) =>
      tank.id === "grey" ? { ...tank, atMm: { ...tank.atMm, z: tank.atMm.z - 160 } } : tank,
    ),
  };
  expect(codes(out)).toContain("tankHitsObstacle");
  const hose = boat.lines.find(({ id }) => id === "h-waste")!;
  const led = {
    ...boat,
    lines: boat.lines.map((line) =>
      line === hose && line.kind === "hose" ? { ...line, pointsMm: toNodes([{ x: 1_800, y: 1_300, z: 100 }]) } : line,
    ),
  };
  expect(codes(led)).toContain("lineOffHull");
});

test("every hose fits its own bore; what is odd gets an answer near it, and the nearest first", () => {
  for (const { boreMm } of HOSE_BORES) expect(matchStub(boreMm)[0]).toEqual({ kind: "fits", boreMm });
  fc.assert(
    fc.property(fc.double({ min: 10, max: 79, noNaN: true }), (outside) => {
      for (const fit of matchStub(outside)) {
        if (fit.kind === "fits") expect(judgeTail(outside, fit.boreMm)).toBe("fits");
        else expect(judgeTail(fit.toMm, fit.boreMm)).toBe("fits");
        if (fit.kind === "turn") expect(fit.toMm).toBeLessThan(outside);
        if (fit.kind === "sleeve") expect(fit.toMm).toBeGreaterThan(outside);
      }
    }),
  );
  expect(matchStub(40)[0]).toMatchObject({ kind: "turn", boreMm: 38 });
});

test("a tank ahead of her middle puts her down by the bow, its mirror aft by the stern; both alike deeper", () => {
  const middle = computeStability(boat)!;
  expect(middle.sinkMm).toBeGreaterThan(0);
  const at = (x: number) =>
    computeStability({
      ...boat,
      tanks: boat.tanks.slice(0, 1).map((tank) => ({ ...tank, atMm: { ...tank.atMm, x } })),
    })!.tanks[0]!;
  expect(at(4_500).trimDeg!).toBeGreaterThan(0);
  expect(at(0).trimDeg!).toBeLessThan(0);
  expect(at(4_500).sinkMm).toBeCloseTo(at(0).sinkMm!, 9);
  expect(computeStability(readDemo("otter-heads"))!.sinkMm).toBeNull();
});

test("a hull that floods: what comes in by hand, less what the bilge pumps send; without power never later", () => {
  const floods = listFloods(boat);
  const seacock = boat.gear.find(({ id }) => id === "seacock") as Fitting;
  const own = floods.find(({ gearId }) => gearId === "seacock")!;
  const { worstOverMm } = measureFitting(boat, seacock);
  // 0.8 A √(2 g h) by hand
  const byHand = 0.8 * (Math.PI / 4) * 0.038 ** 2 * Math.sqrt(2 * 9.80665 * (-worstOverMm / 1_000)) * 60_000;
  expect(own.inLpm).toBeCloseTo(byHand, 1);
  expect(own.outLpm).toBe(0);
  expect(own.minutes).toBeCloseTo(own.roomL! / own.inLpm, 9);
  // a pump on the bilge: the sump's pump and its way out, called so
  const pumped = withSpec(boat, "sump-out", { serves: "bilge" });
  const after = listFloods(pumped).find(({ gearId }) => gearId === "seacock")!;
  expect(after.outLpm).toBeGreaterThan(5);
  expect(after.minutesWithoutPower).toBeCloseTo(own.minutes!, 9);
  if (after.minutes !== null) expect(after.minutes).toBeGreaterThan(own.minutes!);
  // no sections, no time, and that is said by null
  expect(listFloods(readDemo("otter-heads")).every(({ minutes, roomL }) => minutes === null && roomL === null)).toBe(
    true,
  );
});
