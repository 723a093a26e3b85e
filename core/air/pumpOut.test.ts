import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { findTrap } from "../design/lineItems";
import type { Drain, Hose, Line, Tank, Vent } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork } from "../falls/network";
import { usualSpec } from "../gear/usualGear";
import { lookUpValue } from "../rules/lookUpLimit";
import { computeSealAfterMm } from "../traps/sealPressure";
import { computeAirPressurePa, computeAirwayPressurePa } from "./airPressure";
import { sumFillLps } from "./filling";
import { computePumpDraws, isPumpedOut, listPumpsOn, PUMP_OUT_LPS } from "./pumpOut";
import { buildVentPath } from "./ventPath";

// with one tank that is pumped out
const given = readDemo("setzkasten");
const boat: Design = { ...given, lines: given.lines.filter(({ id }) => id !== "h-grey-deck") };
const black = boat.tanks.find(({ holds }) => holds === "black") as Tank;
const narrow = (innerMm: number, design = boat): Design => ({
  ...design,
  lines: design.lines.map(
    (line): Line =>
      line.kind === "vent" && line.fromTank === black.id ? { ...line, pipe: { ...line.pipe, innerMm } } : line,
  ),
});
const told = (design: Design) => evaluate(design).findings.filter(({ code }) => code === "pumpOutSucks");

// Published in the trade's handbook, recomputable by anyone: 135 Pa.
test("a station at 1.5 L/s through 3 m of 19 mm, ΣK 2.5, sucks 135 Pa", () => {
  expect(
    Math.abs(computeAirPressurePa(PUMP_OUT_LPS / 1000, { boreM: 0.019, lengthM: 3, lossK: 2.5 }) - 135),
  ).toBeLessThan(1);
});

test("a hose to the deck is followed through valves, and not through a bowl, a sump or the hull", () => {
  for (const { id, holds } of boat.tanks) expect([id, isPumpedOut(boat, id)]).toEqual([id, holds === "black"]);
  for (const name of ["kranich", "kranich-loop", "lesesaal-heads"] as const)
    for (const { id } of readDemo(name).tanks) expect(isPumpedOut(readDemo(name), id)).toBe(false);
  const to = boat.lines.find((line): line is Hose => line.kind === "hose" && line.id === "h-deck")!;
  const without = { ...boat, lines: boat.lines.filter((line) => line !== to) };
  expect(isPumpedOut(without, black.id)).toBe(false);
  // turned round it is the same hose
  const turned = {
    ...boat,
    lines: boat.lines.map((line) => (line === to ? { ...to, from: to.to, to: to.from } : line)),
  };
  expect(isPumpedOut(turned, black.id)).toBe(true);
  // by way of the valve the bowl's water comes through
  const [deck] = [to.from, to.to].filter((end) => end.kind === "gear");
  const over = {
    ...boat,
    lines: boat.lines.map(
      (line): Line =>
        line === to ? { ...to, from: { kind: "gear", gearId: "y-valve", port: "common" }, to: deck! } : line,
    ),
  };
  expect(isPumpedOut(over, black.id)).toBe(true);
});

test("against a pump or a non-return nothing is pumped out: another tank's way to the deck is none of a tank that is filled from there", () => {
  const deck = boat.lines.find((line): line is Hose => line.kind === "hose" && line.id === "h-deck")!;
  const [own, out] = [deck.from, deck.to].sort((a) => (a.kind === "tank" ? -1 : 1));
  for (const kind of ["pump", "nonReturn", "valve"] as const) {
    const piece: Gear = {
      id: "between",
      name: "Between",
      atMm: { x: 900, y: 0, z: 20 },
      sizeMm: { x: 60, y: 60, z: 60 },
      openBelowMm: 0,
      spec: usualSpec(kind),
    };
    const at = (port: string) => ({ kind: "gear" as const, gearId: "between", port });
    const lead = (first: string, last: string): Design => ({
      ...boat,
      gear: [...boat.gear, piece],
      lines: boat.lines.flatMap((line): Line[] =>
        line === deck
          ? [
              { ...deck, from: own!, to: at(first), pointsMm: [] },
              { ...deck, id: "on", from: at(last), to: out!, pointsMm: [] },
            ]
          : [line],
      ),
    });
    expect([kind, isPumpedOut(lead("in", "out"), black.id)]).toEqual([kind, true]);
    expect([kind, isPumpedOut(lead("out", "in"), black.id)]).toEqual([kind, kind === "valve"]);
  }
});

test("what a station sucks is told from the limit on, with the bore that would do and what it does to a trap", () => {
  expect(told(boat)).toEqual([]);
  const network = buildNetwork(boat);
  const mostPa = lookUpValue(boat.rules, "ventSuction");
  const { suctionPa, ventId } = computePumpDraws(boat, black, mostPa, network).find(({ pumps }) => pumps.length === 0)!;
  const at = (ventSuction: number): Design => ({
    ...boat,
    rules: { ...boat.rules, limits: { ...boat.rules.limits, ventSuction } },
  });
  expect(told(at(suctionPa))).toEqual([]);
  expect(told(at(suctionPa * 0.99))).toMatchObject([{ severity: "should", at: { kind: "line", id: ventId } }]);
  const tight = narrow(9.5);
  const [finding] = told(tight);
  expect(finding).toMatchObject({ severity: "should" });
  const { leastBoreMm } = computePumpDraws(tight, black, mostPa, buildNetwork(tight)).find(
    ({ pumps }) => pumps.length === 0,
  )!;
  // the bore that is named just does, a hair less does not
  expect(told(narrow(leastBoreMm + 0.01))).toEqual([]);
  expect(told(narrow(leastBoreMm - 0.05))).toHaveLength(1);
  // with a trap on the tank that cannot hold it, it is a must
  const kranich = readDemo("kranich");
  const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
  const sink = { ...kranich.fixtures[0]!, id: "sink-x" };
  const inlet = { ...black.ports[0]!, id: "inlet-x", kind: "inlet" as const };
  const trapped: Design = {
    ...tight,
    fixtures: [...tight.fixtures, sink],
    tanks: tight.tanks.map((tank) => (tank.id === black.id ? { ...tank, ports: [...tank.ports, inlet] } : tank)),
    lines: [
      ...tight.lines,
      { ...drain, id: "x", fromFixture: "sink-x", to: { kind: "inlet", tankId: black.id, portId: "inlet-x" } },
    ],
  };
  expect(told(trapped)).toMatchObject([{ severity: "must", breaksSeal: true, sealMm: findTrap(drain)!.sealMm }]);
});

test("a tank that is only pumped out needs no outlet of its own, and is still judged", () => {
  const ports = black.ports.filter(({ kind }) => kind !== "outlet");
  const only: Design = {
    ...narrow(8),
    tanks: boat.tanks.map((tank) => (tank.id === black.id ? { ...tank, ports } : tank)),
    lines: narrow(8).lines.filter((line) => line.kind !== "dumpLine"),
  };
  const codes = evaluate(only).findings.flatMap(({ code, at }) =>
    at.kind === "tank" && at.id === black.id ? [code] : [],
  );
  expect(codes).not.toContain("tankNoOutlet");
  expect(told(only)).toHaveLength(1);
  const cut = { ...only, lines: only.lines.filter(({ id }) => id !== "h-deck") };
  expect(
    evaluate(cut).findings.some(({ code, at }) => code === "tankNoOutlet" && at.kind === "tank" && at.id === black.id),
  ).toBe(true);
});

const piece = (id: string, spec: Gear["spec"]): Gear => ({
  id,
  name: `Own ${id}`,
  atMm: { x: 3_000, y: 0, z: 100 },
  sizeMm: { x: 100, y: 100, z: 100 },
  openBelowMm: 0,
  spec,
});
const pump = (id: string, freeLpm: number) => piece(id, usualSpec("pump", { freeLpm }));
type End = Hose["from"];
const fromTank: End = { kind: "tank", tankId: black.id, portId: black.ports[0]!.id };
const to = (gearId: string, port: string): End => ({ kind: "gear", gearId, port });
const hose = (from: End, end: End): Hose => {
  const { pipe } = boat.lines.find((line): line is Hose => line.kind === "hose")!;
  return { kind: "hose", id: `${JSON.stringify([from, end])}`, name: "Own hose", from, to: end, pointsMm: [], pipe };
};
// no way to the deck, so that nothing but its own pumps draws
const withGear = (gear: readonly Gear[], hoses: readonly Hose[], design = boat): Design => ({
  ...design,
  gear: [...design.gear, ...gear],
  lines: [...design.lines.filter(({ id }) => id !== "h-deck"), ...hoses],
});
const pumpsOn = (gear: readonly Gear[], ...hoses: readonly Hose[]) =>
  listPumpsOn(withGear(gear, hoses), black.id).map(({ id }) => id);

test("a tank's pumps are those whose inlet a hose comes to from it, by whatever lies between but another pump", () => {
  const one = pump("one", 45);
  const valve = piece("valve", usualSpec("valve"));
  expect(pumpsOn([one], hose(fromTank, to("one", "in")))).toEqual(["one"]);
  expect(pumpsOn([one], hose(to("one", "in"), fromTank))).toEqual(["one"]);
  expect(pumpsOn([one], hose(to("one", "out"), fromTank))).toEqual([]);
  expect(pumpsOn([one, valve], hose(fromTank, to("valve", "in")), hose(to("valve", "out"), to("one", "in")))).toEqual([
    "one",
  ]);
  // round and back into the tank it draws from
  expect(pumpsOn([one], hose(to("one", "out"), fromTank), hose(fromTank, to("one", "in")))).toEqual(["one"]);
  const two = pump("two", 20);
  expect(pumpsOn([one, two], hose(fromTank, to("one", "in")), hose(to("one", "out"), to("two", "in")))).toEqual([
    "one",
  ]);
  expect(pumpsOn([one, two], hose(fromTank, to("one", "in")), hose(fromTank, to("two", "in")))).toEqual(["one", "two"]);
  // through a tap no pump draws
  const tap = piece("tap", usualSpec("tap"));
  expect(pumpsOn([one, tap], hose(fromTank, to("tap", "in")), hose(to("tap", "in"), to("one", "in")))).toEqual([]);
});

test("a pump sucks as hard as a station that draws as much; two together as hard as one of both", () => {
  const network = buildNetwork(boat);
  const mostPa = lookUpValue(boat.rules, "ventSuction");
  const [station] = computePumpDraws(boat, black, mostPa, network);
  const drawn = (...flows: readonly number[]) => {
    const gear = flows.map((lpm, i) => pump(`p${i}`, lpm));
    const design = withGear(
      gear,
      gear.map(({ id }) => hose(fromTank, to(id, "in"))),
    );
    return computePumpDraws(design, black, mostPa, buildNetwork(design));
  };
  const [own] = drawn(PUMP_OUT_LPS * 60);
  expect(own).toMatchObject({ ...station, flowLps: PUMP_OUT_LPS, pumps: [{ id: "p0" }] });
  expect(drawn(50, 40)[0]!.suctionPa).toBeCloseTo(station!.suctionPa, 9);
  expect(drawn()).toEqual([]);
  // with the deck too, both are told of
  const both: Design = {
    ...boat,
    gear: [...boat.gear, pump("p", 30)],
    lines: [...boat.lines, hose(fromTank, to("p", "in"))],
  };
  expect(computePumpDraws(both, black, mostPa, network).map(({ pumps }) => pumps.length)).toEqual([0, 1]);
});

test("a breather too narrow for a tank's own pump is told, with the bore that would do", () => {
  const led = (innerMm: number) =>
    withGear([pump("one", 90)], [hose(fromTank, to("one", "in"))], { ...narrow(innerMm), id: `b${innerMm}` });
  const sucks = (design: Design) => evaluate(design).findings.filter(({ code }) => code === "pumpSucks");
  expect(sucks(led(19))).toEqual([]);
  const [finding] = sucks(led(9.5));
  expect(finding).toMatchObject({ severity: "should", pumpNames: "Own one", flowLps: 1.5 });
  expect(told(led(9.5))).toEqual([]);
  const { leastBoreMm } = finding as Extract<typeof finding, { code: "pumpSucks" }> & { leastBoreMm: number };
  expect(sucks(led(leastBoreMm + 0.01))).toEqual([]);
  expect(sucks(led(leastBoreMm - 0.05))).toHaveLength(1);
});

test("a tank whose own pump takes it overboard needs no outlet; a pump that only draws, or draws in from the sea, lets nothing out", () => {
  const ports = black.ports.filter(({ kind }) => kind !== "outlet");
  const bare: Design = {
    ...boat,
    tanks: boat.tanks.map((tank) => (tank.id === black.id ? { ...tank, ports } : tank)),
    lines: boat.lines.filter((line) => line.kind !== "dumpLine"),
  };
  const first: End = { kind: "tank", tankId: black.id, portId: ports[0]!.id };
  const lacks = (serves: "discharge" | "intake", ...hoses: readonly Hose[]) =>
    evaluate(
      withGear([pump("one", 45), piece("sea", usualSpec("skinFitting", { serves }))], hoses, bare),
    ).findings.some(({ code, at }) => code === "tankNoOutlet" && at.kind === "tank" && at.id === black.id);
  const draws = hose(first, to("one", "in"));
  expect(lacks("discharge", draws)).toBe(true);
  expect(lacks("discharge", draws, hose(to("one", "out"), to("sea", "in")))).toBe(false);
  expect(lacks("discharge", draws, hose(to("sea", "in"), to("one", "out")))).toBe(false);
  expect(lacks("intake", draws, hose(to("one", "out"), to("sea", "in")))).toBe(true);
  // both hang on its inlet: it draws from one or the other
  expect(lacks("discharge", draws, hose(to("one", "in"), to("sea", "in")))).toBe(true);
});

test("a pump that fills a tank presses on its air with the flow it gives running free; one that draws does not", () => {
  const fillLps = (...hoses: readonly Hose[]) => {
    const design = withGear([pump("one", 90), piece("valve", usualSpec("valve"))], hoses);
    return { design, lps: sumFillLps(design, buildNetwork(design), black.id) };
  };
  const none = fillLps().lps;
  expect(fillLps(hose(fromTank, to("one", "in"))).lps).toBe(none);
  const { design, lps } = fillLps(hose(fromTank, to("valve", "out")), hose(to("valve", "in"), to("one", "out")));
  expect(lps).toBeCloseTo(none + 1.5, 12);
  const { ventId, fillPa } = evaluate(design).tanks.find(({ tankId }) => tankId === black.id)!.air!;
  const vent = design.lines.find((line): line is Vent => line.kind === "vent" && line.id === ventId)!;
  const airway = buildVentPath(design, vent).stretches.map(({ pipe: own }) => own);
  expect(fillPa).toBeCloseTo(computeAirwayPressurePa(lps / 1000, airway), 9);
});

test("of two breathers the better is counted, whichever comes first; of the traps the shallowest, and none where no trap holds water", () => {
  const mostPa = lookUpValue(boat.rules, "ventSuction");
  const own = boat.lines.find((line): line is Vent => line.kind === "vent" && line.fromTank === black.id)!;
  const drawn = (lines: readonly Line[], sealsMm: readonly number[] = []) => {
    const kranich = readDemo("kranich");
    const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
    const portId = black.ports[0]!.id;
    const drains = sealsMm.map(
      (sealMm, i): Drain => ({
        ...drain,
        id: `d${i}`,
        fromFixture: `f${i}`,
        to: { kind: "inlet", tankId: black.id, portId },
        items: drain.items.map((item) => (item.kind === "trap" ? { ...item, trap: { ...item.trap, sealMm } } : item)),
      }),
    );
    const design: Design = {
      ...boat,
      fixtures: [...boat.fixtures, ...drains.map(({ fromFixture }) => ({ ...kranich.fixtures[0]!, id: fromFixture }))],
      lines: [...boat.lines.filter((line) => line !== own), ...lines, ...drains],
    };
    return computePumpDraws(design, black, mostPa, buildNetwork(design))[0]!;
  };
  const tight = { ...own, id: "tight", pipe: { ...own.pipe, innerMm: own.pipe.innerMm / 2 } };
  const alone = drawn([own]);
  expect(drawn([tight]).suctionPa).toBeGreaterThan(alone.suctionPa);
  for (const lines of [
    [own, tight],
    [tight, own],
  ])
    expect(drawn(lines)).toMatchObject({ ventId: own.id, suctionPa: alone.suctionPa });
  expect(alone).toMatchObject({ weakestSealMm: null, sealAfterMm: null, breaksSeal: false });
  for (const seals of [
    [40, 75],
    [75, 40],
  ]) {
    const { weakestSealMm, sealAfterMm, suctionPa } = drawn([own], seals);
    expect(weakestSealMm).toBe(40);
    expect(sealAfterMm).toBeCloseTo(computeSealAfterMm(40, suctionPa), 9);
  }
});
