import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Port } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { computeRunEmpty } from "../tanks/runEmpty";

const kranich = readDemo("kranich");
const [tank] = kranich.tanks as [Design["tanks"][number]];
const own = tank.ports.find(({ kind }) => kind === "outlet")!;
const others = tank.ports.filter((port) => port !== own);
const outlet = (id: string, boreMm: number, z: number): Port => ({
  ...own,
  id,
  boreMm,
  atMm: { x: 400, y: 0, z },
  valve: { kind: "manual", boreMm },
});
const rig = (ports: readonly Port[]): Design => ({ ...kranich, tanks: [{ ...tank, ports: [...others, ...ports] }] });
const airOf = (design: Design) => evaluate(design).tanks[0]!.air!;

test("of several outlets the one that sucks the most counts, wherever it sits and whichever stands first", () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ boreMm: fc.integer({ min: 15, max: 90 }), z: fc.integer({ min: 0, max: 90 }) }), {
        minLength: 2,
        maxLength: 3,
      }),
      (made) => {
        const ports = made.map(({ boreMm, z }, i) => outlet(`o${i}`, boreMm, z));
        const alone = ports.map((port) => airOf(rig([port])).suctionPa);
        for (const order of [ports, ports.toReversed()]) {
          const air = airOf(rig(order));
          expect(air.suctionPa).toBeCloseTo(Math.max(...alone), 6);
          // what is told beside it is that outlet's own
          const which = alone.indexOf(Math.max(...alone));
          expect(air.outletBoreMm).toBeCloseTo(airOf(rig([ports[which]!])).outletBoreMm, 6);
        }
      },
    ),
    { numRuns: 40 },
  );
});

test("a wide gate over a narrow outlet is told to suck the traps dry", () => {
  const narrow = outlet("narrow", 20, 0);
  const gate = outlet("gate", 100, 20);
  const codes = (ports: readonly Port[]) => evaluate(rig(ports)).findings.map(({ code }) => code);
  const sucked = ["sealSucked", "ventThrottles", "sealTogether"] as const;
  const told = (ports: readonly Port[]) => sucked.filter((code) => codes(ports).includes(code));
  expect(told([narrow])).toEqual([]);
  expect(told([gate]).length).toBeGreaterThan(0);
  expect(told([narrow, gate])).toEqual(told([gate]));
});

test("it is run empty through the lowest outlet, of two as low through the wider one", () => {
  const seconds = (ports: readonly Port[]) => {
    const design = rig(ports);
    return computeRunEmpty(design, design.tanks[0]!, evaluate(design).tanks[0]!)!;
  };
  const [low, high, wide] = [outlet("low", 38, 0), outlet("high", 76, 60), outlet("wide", 50, 0)];
  const air = (ports: readonly Port[]) => seconds(ports).leftL;
  for (const ports of [
    [low, high],
    [high, low],
  ])
    expect(air(ports)).toBeCloseTo(air([low]), 6);
  expect(air([high])).toBeGreaterThan(air([low]) + 5);
  for (const ports of [
    [low, wide],
    [wide, low],
  ])
    expect(seconds(ports).seconds).toBeCloseTo(seconds([wide]).seconds, 6);
});
