import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Rig } from "../design/rig";
import { measureExtent } from "../geometry/solid";
import { computeTankLoads } from "../tanks/axleLoads";
import { computeFullKg } from "../tanks/shell";

const kranich = readDemo("kranich");

test("an axle that carries just what it may is kept; one kilogram less may be carried and it is told", () => {
  const axles = kranich.rig.axles.map((axle) => ({ ...axle, spareKg: 10_000 }));
  const rig: Rig = { ...kranich.rig, axles };
  const loads = computeTankLoads({ ...kranich, rig })!;
  const with_ = (spareKg: number | null): Design => ({
    ...kranich,
    rig: { ...rig, axles: axles.map((axle, i) => (i === 0 ? { ...axle, spareKg } : axle)) },
  });
  const { name } = axles[0]!;
  const { mostKg: fullKg } = loads.axles.find((axle) => axle.name === name)!;
  expect(findAll(with_(fullKg), "axleOverloaded")).toEqual([]);
  expect(findAll(with_(null), "axleOverloaded")).toEqual([]);
  expect(findAll(with_(fullKg - 1), "axleOverloaded")).toMatchObject([{ axleName: name, spareKg: fullKg - 1 }]);
});

test("an axle whose plate was not looked up is told, the heaviest of them; so is a rig without axles, and no boat", () => {
  const rate = (spares: readonly (number | null)[]): Design => ({
    ...kranich,
    rig: { ...kranich.rig, axles: kranich.rig.axles.map((axle, i) => ({ ...axle, spareKg: spares[i]! })) },
  });
  expect(findAll(rate([900, 900]), "axleUnrated")).toEqual([]);
  expect(findAll(rate([900, null]), "axleUnrated")).toMatchObject([{ severity: "note", axleName: "Front axle" }]);
  const [told] = findAll(rate([null, null]), "axleUnrated");
  const loads = computeTankLoads(kranich)!.axles;
  expect(told!.fullKg).toBe(Math.max(...loads.map(({ mostKg }) => mostKg)));
  expect(findAll({ ...kranich, rig: { ...kranich.rig, axles: [] } }, "axleUnrated")).toMatchObject([
    { axleName: null },
  ]);
  expect(findAll({ ...kranich, rig: { ...kranich.rig, axles: [], kind: "boat" } }, "axleUnrated")).toEqual([]);
  // one axle is enough for a trailer, whose other support is its coupling, and for nothing else
  const single = { ...kranich.rig, axles: kranich.rig.axles.slice(0, 1) };
  expect(findAll({ ...kranich, rig: single }, "axleUnrated")).toMatchObject([{ axleName: null }]);
  expect(findAll({ ...kranich, rig: { ...single, kind: "trailer" } }, "axleUnrated")).toEqual([]);
});

test("a tank behind a trailer's axle lifts the coupling, and none before it that may be empty holds it down", () => {
  const trailer = readDemo("puppenwagen");
  const [axle] = trailer.rig.axles;
  const [tank] = trailer.tanks;
  const middle = (measureExtent(tank!.solid).max.x + measureExtent(tank!.solid).min.x) / 2;
  const at = (aheadMm: number): Design => ({
    ...trailer,
    tanks: [{ ...tank!, atMm: { ...tank!.atMm, x: axle!.xMm + aheadMm - middle } }],
  });
  expect(findAll(at(0), "couplingLifted")).toEqual([]);
  expect(findAll(at(400), "couplingLifted")).toEqual([]);
  // the lever is as long as the axle and the ball are apart; 10 kg are let pass
  const leverMm = trailer.rig.couplingXMm! - axle!.xMm;
  const liftMm = (10 * leverMm) / computeFullKg(tank!);
  expect(findAll(at(1 - liftMm), "couplingLifted")).toEqual([]);
  const [told] = findAll(at(-liftMm - 1), "couplingLifted");
  expect(told!.byKg).toBeCloseTo(10 + computeFullKg(tank!) / leverMm, 6);
  // a van has no coupling that could be lifted
  const far = at(-900);
  expect(findAll({ ...far, rig: { ...far.rig, kind: "van" } }, "couplingLifted")).toEqual([]);
  // a fresh tank before the axle that balances it may be empty
  const fresh = {
    ...tank!,
    id: "fresh",
    holds: "fresh" as const,
    atMm: { ...tank!.atMm, x: axle!.xMm + 900, y: -600 },
  };
  expect(findAll({ ...far, tanks: [...far.tanks, fresh] }, "couplingLifted")).toEqual(findAll(far, "couplingLifted"));
});
