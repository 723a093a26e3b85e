import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findUseEnd, listStores } from "../days/stores";
import { toNodes } from "../design/nodes";
import type { Hose, Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork } from "../falls/network";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { computeBendRadiusMm, countFlushes, listHoseRuns, measureHoseRun } from "./hoseRun";
import { computeSmellYears, findFoulHoses } from "./permeation";
import { listSentOn } from "./sentOn";
import { computeStability } from "./stability";
import { countCycles, listSumps } from "./sumpFigures";
import { listToiletWays } from "./toiletWays";

const otter = readDemo("otter-heads");

// The trade's handbook: 38 mm hose holds 1.134 L a metre.
test("38 mm hose holds 1.134 L a metre, and a flush of 2 L moves 3 m of it in two", () => {
  for (const run of listHoseRuns(otter)) {
    const hose = otter.lines.find(({ id }) => id === run.lineId)!;
    if (hose.pipe.innerMm !== 38) continue;
    expect(run.volumeL / (run.lengthMm / 1_000)).toBeCloseTo(1.134, 3);
  }
  expect(countFlushes(3 * 1.134, 2)).toBe(2);
  expect(countFlushes(2, 2)).toBe(1);
});

test("a right angle between legs of 300 mm has room for a radius of 300; the flatter the turn, the wider the curve", () => {
  expect(computeBendRadiusMm(300, 90)).toBeCloseTo(300, 9);
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 170 }), fc.integer({ min: 1, max: 500 }), (turn, room) => {
      expect(computeBendRadiusMm(room, turn)).toBeGreaterThan(computeBendRadiusMm(room, turn + 5));
      expect(computeBendRadiusMm(room + 1, turn)).toBeGreaterThan(computeBendRadiusMm(room, turn));
    }),
  );
});

test("a hose that only falls has no sag; one with a low place between two high ones holds water there, by hand", () => {
  const rise = otter.lines.find(({ id }) => id === "h-rise")!;
  if (rise.kind !== "hose") throw new Error("no hose");
  expect(measureHoseRun(otter, rise).sagL).toBe(0);
  const [from, to] = [
    { x: 0, y: 0, z: 500 },
    { x: 2_000, y: 0, z: 500 },
  ];
  const gear = otter.gear.map((piece) =>
    piece.id === "sump-pump"
      ? { ...piece, atMm: { ...from, x: -piece.sizeMm.x, y: -piece.sizeMm.y / 2, z: 500 - piece.sizeMm.z / 2 } }
      : piece.id === "sump-loop"
        ? { ...piece, atMm: { ...to, y: -piece.sizeMm.y / 2, z: 500 - piece.sizeMm.z / 2 } }
        : piece,
  );
  // down 300 mm over the first metre and up again over the second: both legs stand full
  const bent = { ...rise, pointsMm: toNodes([{ x: 1_000, y: 0, z: 200 }]) };
  const run = measureHoseRun({ ...otter, gear }, bent);
  expect(run.sagMm).toBeCloseTo(300, 6);
  expect(run.sagL).toBeCloseTo(run.volumeL, 6);
});

// Worked by hand: a band of 6 L, 1 L comes back, 6 L/min in and 12 out: 5/6 min to fill, 1 min to empty.
test("a sump's starts by hand, and never where the pump is outrun", () => {
  expect(countCycles(6, 1, 6, 12)).toBeCloseTo(60 / (5 / 6 + 1), 9);
  expect(countCycles(6, 1, 6, 6)).toBeNull();
  expect(countCycles(6, 1, 6, null)).toBeNull();
  const [sump] = listSumps(otter);
  expect(sump!.bandL).toBeCloseTo(7, 9);
  // basin and shower both run into it, and at least as much as washing up
  const taps = ["basin", "showertray"].map((id) => otter.fixtures.find((one) => one.id === id)!.inflowLps * 60);
  expect(sump!.inflowLpm).toBeCloseTo(Math.max(6, taps[0]! + taps[1]!), 9);
  // the rated 47 L/min is at no head
  expect(sump!.pumpLpm!).toBeLessThan(47);
  expect(sump!.pumpLpm!).toBeGreaterThan(sump!.inflowLpm);
  // the power goes just before it starts, and the last of the water is lifted from where the float stops it
  const box = otter.gear.find(({ id }) => id === "sump")!;
  if (box.spec.kind !== "sump") throw new Error("no sump");
  const { litres, onMm, offMm, areaCm2 } = box.spec;
  expect(sump!.overflowMin).toBeCloseTo((litres - (onMm * areaCm2) / 10_000) / sump!.inflowLpm, 9);
  const deeper = { ...box, spec: { ...box.spec, offMm: offMm - 5 } };
  const gear = otter.gear.map((piece) => (piece === box ? deeper : piece));
  expect(listSumps({ ...otter, gear })[0]!.liftMm).toBeCloseTo(sump!.liftMm + 5, 9);
});

test("more lift never sends more", () => {
  const higher = otter.gear.map((piece) =>
    piece.id === "sump-loop" ? { ...piece, atMm: { ...piece.atMm, z: piece.atMm.z + 400 } } : piece,
  );
  expect(listSumps({ ...otter, gear: higher })[0]!.pumpLpm!).toBeLessThan(listSumps(otter)[0]!.pumpLpm!);
});

// The trade's handbook: 0.8 × 0.4 m, 4,000 kg: 1.06 mm, turned athwart 4.26.
test("free surface by hand; port and starboard mirror", () => {
  const tank = { ...otter.tanks[0]!, solid: { shape: "box", lengthMm: 800, widthMm: 400, heightMm: 200 } as const };
  const rig = { ...otter.rig, displacementKg: 4_000, gmMm: 500 };
  const port = computeStability({ ...otter, rig, tanks: [{ ...tank, atMm: { x: 0, y: 100, z: 0 } }] })!.tanks[0]!;
  expect(port.lossMm).toBeCloseTo(1.06, 2);
  expect(port.turnedMm).toBeCloseTo(4.26, 2);
  const starboard = computeStability({ ...otter, rig, tanks: [{ ...tank, atMm: { x: 0, y: -500, z: 0 } }] })!.tanks[0]!;
  expect(starboard.heelDeg).toBeCloseTo(-port.heelDeg!, 9);
  expect(computeStability(readDemo("kranich"))).toBeNull();
});

test("what the sump pumps goes overboard, what the toilet sends fills the tank, and every litre has its end", () => {
  const network = buildNetwork(otter);
  expect(listSentOn(network, "sump")).toEqual({ tankIds: [], isOverboard: true });
  // by its valve it may go to the tank or to the sea; the fresh tank it is flushed from lies before it
  expect(listSentOn(network, "bowl")).toEqual({ tankIds: ["black"], isOverboard: true });
  // whichever hose stands first, and whichever way it was drawn
  const turned = network.hoses.toReversed().map((hose) => ({ ...hose, from: hose.to, to: hose.from }));
  expect(listSentOn({ ...network, hoses: turned }, "bowl")).toEqual({ tankIds: ["black"], isOverboard: true });
  const toilet = otter.habits.ways.flatMap(({ uses }) => uses).find(({ kind }) => kind === "toilet")!;
  expect(findUseEnd(network, listStores(otter), toilet)).toEqual({ kind: "store", id: "black" });
  const basin = { ...toilet, kind: "handsTeeth" as const, fixtureId: "basin" };
  expect(findUseEnd(network, listStores(otter), basin)).toEqual({ kind: "overboard" });
});

test("the fault left in is found, and raising the loop settles it", () => {
  const codes = (design: typeof otter) => evaluate(design).findings.map(({ code }) => code);
  expect(codes(otter)).toContain("loopLow");
  const gear = otter.gear.map((piece) =>
    piece.id === "out-loop" ? { ...piece, atMm: { ...piece.atMm, z: 320 } } : piece,
  );
  expect(codes({ ...otter, gear })).not.toContain("loopLow");
});

test("hoses that sewage can come into are those beyond the bowl and about the black tank, however valves stand", () => {
  expect([...findFoulHoses(otter)].sort()).toEqual(["h-deck", "h-loop", "h-over", "h-tank", "h-waste"]);
  // turned the other way round on the paper, the same hoses
  const mirrored = {
    ...otter,
    lines: otter.lines.map((line) => (line.kind === "hose" ? { ...line, from: line.to, to: line.from } : line)),
  };
  expect([...findFoulHoses(mirrored)].sort()).toEqual([...findFoulHoses(otter)].sort());
  const withoutBlack = { ...otter, gear: otter.gear.filter(({ spec }) => spec.kind !== "bowl"), tanks: [], lines: [] };
  expect(findFoulHoses(withoutBlack).size).toBe(0);
});

test("vinyl smells through first, standing sewage halves it, rigid pipe never does; one press mends it", () => {
  const hose = otter.lines.find(({ id }) => id === "h-waste") as Hose;
  const years = (["plain", "sanitation", "barrier"] as const).map(
    (wall) => computeSmellYears(otter, { ...hose, wall })!,
  );
  expect([...years].sort((a, b) => a - b)).toEqual(years);
  expect(computeSmellYears(otter, { ...hose, wall: "rigid" })).toBeNull();
  const { wall: _, ...unsaid } = hose;
  expect(computeSmellYears(otter, unsaid)).toBeUndefined();
  const of = (wall: Hose["wall"]) => {
    const lines = otter.lines.map((line) =>
      line.id === hose.id ? ({ ...unsaid, ...(wall ? { wall } : {}) } as Hose) : line,
    );
    const design = { ...otter, lines };
    return {
      design,
      evaluation: evaluate(design),
      found: evaluate(design).findings.find(({ code }) => code === "hoseSmells"),
    };
  };
  expect(of("barrier").found).toBeUndefined();
  expect(of(undefined).found).toMatchObject({ severity: "note", years: null });
  const plain = of("plain");
  expect(plain.found).toMatchObject({ severity: "should" });
  const remedies = proposeRemedies(plain.design, plain.evaluation, plain.found!);
  expect(remedies.map(({ edit }) => edit.code)).toEqual(["barrierHose"]);
});

test("a toilet over its tank is drawn from its outlet to the tank's inlet, a dry one down to its canister", () => {
  const lesesaal = readDemo("lesesaal-heads");
  const [bowl] = listToiletWays(lesesaal);
  const black = lesesaal.tanks.find(({ holds }) => holds === "black")!;
  expect(bowl!.courseMm[0]).toEqual(bowl!.fixture.outletMm);
  expect(bowl!.courseMm.at(-1)!.z).toBe(black.atMm.z + black.ports.find(({ kind }) => kind === "inlet")!.atMm.z);
  // a seat of usual height over the floor
  expect(bowl!.atMm.z + bowl!.sizeMm.z).toBe(460);
  const [dry] = listToiletWays(readDemo("puppenwagen-heads"));
  expect(dry!.vesselMm).toEqual(dry!.courseMm.at(-1));
  expect(listToiletWays(readDemo("kranich"))).toEqual([]);
});

test("a vented loop under its bowl is a must, on the side of the flush by the rim, on the other by the outlet", () => {
  const otter = readDemo("otter-heads");
  const lower = (id: string, z: number) => ({
    ...otter,
    gear: otter.gear.map((piece) => (piece.id === id ? { ...piece, atMm: { ...piece.atMm, z } } : piece)),
  });
  const said = (design: typeof otter) =>
    evaluate(design).findings.flatMap((f) => (f.code === "loopUnderBowl" ? [[f.at, Math.round(f.underMm)]] : []));
  expect(said(otter)).toEqual([]);
  // the bowl's rim stands at 360, the loop is 110 high
  expect(said(lower("flush-loop", 251))).toEqual([]);
  expect(said(lower("flush-loop", 200))).toEqual([[{ kind: "gear", id: "flush-loop" }, 50]]);
  // its outlet at a tenth of its height, 36
  expect(said(lower("out-loop", -73))).toEqual([]);
  expect(said(lower("out-loop", -100))).toEqual([[{ kind: "gear", id: "out-loop" }, 26]]);
});

test("two tanks joined across her are as bad as the one they make, and apart as the two they are", () => {
  const [tank] = otter.tanks as [Tank];
  const box = (widthMm: number) => ({ shape: "box" as const, lengthMm: 800, widthMm, heightMm: 200 });
  const rig = { ...otter.rig, displacementKg: 4_000, gmMm: 500 };
  const at = (y: number) => ({ x: 0, y, z: 0 });
  const lossOf = (tanks: readonly Tank[]) => computeStability({ ...otter, rig, tanks: [...tanks] })!;
  const port: Tank = { ...tank, id: "port", solid: box(400), atMm: at(0), link: null };
  const starboard: Tank = { ...port, id: "starboard", atMm: at(-400) };
  const one = lossOf([{ ...port, solid: box(800), atMm: at(-400) }]).lossMm;
  const apart = lossOf([port, starboard]);
  expect(apart.tanks.map(({ sharedMm }) => sharedMm)).toEqual([0, 0]);
  expect(apart.lossMm).toBeCloseTo(one / 4, 9);
  const link = { kind: "communicating" as const, toTank: "port" };
  const joined = lossOf([port, { ...starboard, link }]);
  expect(joined.lossMm).toBeCloseTo(one, 9);
  // wing tanks 1.2 m apart: 800 × 400 mm, each 600 mm off the middle
  const wide = lossOf([
    { ...port, atMm: at(400) },
    { ...starboard, atMm: at(-800), link },
  ]);
  expect(wide.tanks[0]!.sharedMm).toBeCloseTo(28.7, 1);
  expect(
    lossOf([
      { ...port, atMm: at(400) },
      { ...starboard, atMm: at(-800), link: { ...link, kind: "pumped" } },
    ]).lossMm,
  ).toBeCloseTo(one / 4, 9);
});
