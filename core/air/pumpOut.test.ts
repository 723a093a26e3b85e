import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { Drain, Hose, Line, Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork } from "../falls/network";
import { lookUpValue } from "../rules/lookUpLimit";
import { computeAirPressurePa } from "./airPressure";
import { computePumpOut, isPumpedOut, PUMP_OUT_LPS } from "./pumpOut";

const boat = readDemo("setzkasten");
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

test("what a station sucks is told from the limit on, with the bore that would do and what it does to a trap", () => {
  expect(told(boat)).toEqual([]);
  const network = buildNetwork(boat);
  const mostPa = lookUpValue(boat.rules, "ventSuction");
  const { suctionPa, ventId } = computePumpOut(boat, black, mostPa, network)!;
  const at = (ventSuction: number): Design => ({
    ...boat,
    rules: { ...boat.rules, limits: { ...boat.rules.limits, ventSuction } },
  });
  expect(told(at(suctionPa))).toEqual([]);
  expect(told(at(suctionPa * 0.99))).toMatchObject([{ severity: "should", at: { kind: "line", id: ventId } }]);
  const tight = narrow(9.5);
  const [finding] = told(tight);
  expect(finding).toMatchObject({ severity: "should" });
  const { leastBoreMm } = computePumpOut(tight, black, mostPa, buildNetwork(tight))!;
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
