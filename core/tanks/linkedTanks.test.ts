import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { computeUp } from "../attitude/attitude";
import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import { parseDesign } from "../design/parseDesign";
import type { Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { measureExtent } from "../geometry/solid";
import { dot, vec } from "../geometry/vec";
import { listLevelGroup, listStoreGroup } from "./linkedTanks";
import { findOutletWay } from "./outletWay";
import { buildTankField, measureTankVolumeL } from "./tankLevels";

const kranich = readDemo("kranich");
const [grey] = kranich.tanks;

// Kranich with a second tank beside the first, at a height and of a length, joined to it.
function pair(kind: "communicating" | "pumped", { lengthMm = 400, riseMm = 0 } = {}): Design {
  const second: Tank = {
    ...grey!,
    id: "second",
    name: "Second",
    atMm: { ...grey!.atMm, x: grey!.atMm.x - 700, z: grey!.atMm.z + riseMm },
    solid: { shape: "box", lengthMm, widthMm: 300, heightMm: 190 },
    ports: [createPort({ id: "air", kind: "vent", atMm: vec(lengthMm / 2, 150, 190), boreMm: 19 })],
  };
  return { ...kranich, tanks: [{ ...grey!, link: { kind, toTank: "second" } }, second] };
}

const joined = fc.record({ lengthMm: fc.integer({ min: 150, max: 900 }), riseMm: fc.integer({ min: -60, max: 60 }) });

test("tanks joined at the bottom share a level: full at one surface, whichever opening drowns first", () => {
  fc.assert(
    fc.property(joined, attitudes, (sizes, attitude) => {
      const design = pair("communicating", sizes);
      const [one, other] = evaluate(design, attitude).tanks;
      const up = computeUp(attitude);
      const topOf = (tank: Tank) => dot(up, tank.atMm) + buildTankField(tank, up).highestMm;
      const surface = Math.min(one!.here.surfaceMm, other!.here.surfaceMm);
      // the same water line, unless one of them is full to its top before
      design.tanks.forEach((tank, i) => {
        const { surfaceMm, litres } = [one, other][i]!.here;
        expect(
          Math.abs(surfaceMm - Math.min(topOf(tank), Math.max(one!.here.surfaceMm, other!.here.surfaceMm))),
        ).toBeLessThan(1e-6);
        expect(litres).toBeCloseTo(measureTankVolumeL(tank, buildTankField(tank, up), up, surfaceMm), 6);
      });
      expect(Number.isFinite(surface)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test("dumping conserves: what is full is what can be used and what stays, in both; neither is below nothing", () => {
  fc.assert(
    fc.property(joined, attitudes, (sizes, attitude) => {
      for (const tank of evaluate(pair("communicating", sizes), attitude).tanks) {
        expect(tank.leftL).toBeGreaterThanOrEqual(0);
        expect(tank.usableHereL).toBeCloseTo(Math.max(0, tank.here.litres - tank.leftL!), 9);
      }
    }),
    { numRuns: 40 },
  );
});

test("one beside it that shares its level makes the stay longer; so does one it is pumped into; by itself it does not", () => {
  const stay = (design: Design) => evaluate(design).balance.stores.find(({ holds }) => holds === "grey")!.days.level!;
  const alone = { ...pair("pumped"), tanks: pair("pumped").tanks.map((tank) => ({ ...tank, link: null })) };
  expect(stay(pair("communicating"))).toBeGreaterThan(stay(alone));
  expect(stay(pair("pumped"))).toBeGreaterThan(stay(alone));
  expect(stay(alone)).toBeCloseTo(stay(kranich), 9);
});

test("who is joined to whom does not depend on which of them names the other", () => {
  const design = pair("communicating");
  const [one, other] = design.tanks;
  const turned = {
    ...design,
    tanks: [
      { ...one!, link: null },
      { ...other!, link: { kind: "communicating" as const, toTank: one!.id } },
    ],
  };
  for (const set of [design, turned]) {
    for (const tank of set.tanks) expect(listLevelGroup(set, tank).map(({ id }) => id)).toEqual(["grey", "second"]);
  }
  const pumped = pair("pumped");
  expect(listLevelGroup(pumped, pumped.tanks[0]!)).toHaveLength(1);
  expect(listStoreGroup(pumped, pumped.tanks[1]!)).toHaveLength(2);
});

test("a tank joined to none that is there, to itself, or to other water is refused with its place", () => {
  const withLink = (toTank: string, holds: Tank["holds"] = "grey") => {
    const design = pair("communicating");
    const [one, other] = design.tanks;
    return parseDesign({
      ...design,
      tanks: [
        { ...one!, link: { kind: "communicating", toTank } },
        { ...other!, holds },
      ],
    });
  };
  for (const [outcome, code] of [
    [withLink("gone"), "danglingReference"],
    [withLink("grey"), "danglingReference"],
    [withLink("second", "black"), "linkedWaters"],
  ] as const) {
    expect(outcome).toMatchObject({ ok: false, faults: [{ code, path: ["tanks", 0, "link", "toTank"] }] });
  }
});

// Common practice, no source: the narrowest part decides, a long hose passes less, one that hangs down pulls.
test("outlet, valve and hose: bare it is the outlet; the narrowest decides; friction takes, drop gives", () => {
  const outlet = { boreMm: 38, valve: null };
  expect(findOutletWay(outlet, null)).toMatchObject({ boreMm: 38, dropMm: 0, narrowest: "outlet" });
  expect(findOutletWay({ boreMm: 38, valve: { kind: "manual", boreMm: 25 } }, null)).toMatchObject({
    boreMm: 25,
    narrowest: "valve",
  });
  const hose = (lengthMm: number) => findOutletWay(outlet, { lengthMm, dropMm: 300, innerMm: 38 });
  expect(hose(1000).boreMm).toBeLessThan(38);
  expect(hose(5000).boreMm).toBeLessThan(hose(1000).boreMm);
  expect(hose(1000).dropMm).toBe(300);
  const { max } = measureExtent(grey!.solid);
  expect(max.z).toBe(190);
  const suction = (dumpHose: Design["rig"]["dumpHose"]) =>
    evaluate({ ...kranich, rig: { ...kranich.rig, dumpHose } }).tanks[0]!.air!.suctionPa;
  expect(suction({ lengthMm: 600, dropMm: 600, innerMm: 50 })).toBeGreaterThan(suction(null));
});
