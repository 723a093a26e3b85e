import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Hose } from "../design/plumbing";
import { listGearFrost } from "./gearFrost";

const van = readDemo("kranich-loop");
const withLimits = (design: Design, limits: Design["rules"]["limits"]): Design => ({
  ...design,
  rules: { ...design.rules, limits: { ...design.rules.limits, ...limits } },
});
const lower = (design: Design, id: string, byMm: number): Design => ({
  ...design,
  gear: design.gear.map((one) => (one.id === id ? { ...one, atMm: { ...one.atMm, z: one.atMm.z - byMm } } : one)),
});
const inside = (design: Design): Design => ({
  ...design,
  tanks: design.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z: 100 } })),
});

// Worked by hand: a full pipe of 12.7 mm inside and 16 outside holds 0.1267 kg a metre and loses 9 · π · 0.016 W/K; from 10 °C at
// −10 °C it is at freezing point after 0.1267 · 4186 · ln 2 / 0.4524 s = 0.226 h, however long it is.
test("a full hose under the floor freezes as quickly as its bore says, whatever its length", () => {
  const bare = { ...van, lines: van.lines.map((line) => (line.kind === "hose" ? { ...line, insulationMm: 0 } : line)) };
  const frost = listGearFrost(withLimits(bare, { nightAir: -10 }));
  const hose = frost.find(({ kind }) => kind === "hose")!;
  const line = van.lines.find(({ id }) => "id" in hose.at && id === hose.at.id) as Hose;
  const { innerMm, outerMm } = line.pipe;
  const kg = (Math.PI / 4) * (innerMm / 1000) ** 2 * 1000;
  expect(hose.hours).toBeCloseTo((kg * 4186 * Math.LN2) / (9 * Math.PI * (outerMm / 1000)) / 3600, 6);
  expect(hose.litres).toBeGreaterThan(0);
  // drawn with 9 mm of foam it loses a tenth of that, and nine tenths of 1/(ln(37/19)/(2 π 0.034) + 1/(9 π 0.037)) = 0.2454
  const lagged = listGearFrost(withLimits(van, { nightAir: -10 })).find(({ kind }) => kind === "hose")!;
  expect(lagged.hours / hose.hours).toBeCloseTo(0.5372 / (0.1 * 0.5372 + 0.9 * 0.2454), 3);
});

test("what is inside and a mild night freeze nothing; a boat only where she lies ashore", () => {
  expect(listGearFrost(withLimits(van, { nightAir: 1 }))).toEqual([]);
  expect(listGearFrost(inside(van)).filter(({ kind }) => kind === "gear")).toEqual([]);
  const boat = readDemo("otter-heads");
  expect(listGearFrost(boat).length).toBeGreaterThan(0);
  expect(findAll(boat, "gearFreezes")).toMatchObject([{ severity: "note", isAfloat: true }]);
  expect(findAll(withLimits(van, { nightAir: 1 }), "gearFreezes")).toEqual([]);
});

test("a pump or a housing under the floor is told; what holds nothing is not", () => {
  expect(findAll(van, "gearFreezes")).toMatchObject([{ severity: "note" }]);
  const cold = lower(van, "coarse", 700);
  const parts = listGearFrost(cold);
  expect(parts.filter(({ kind }) => kind === "gear").map(({ at }) => "id" in at && at.id)).toEqual(["coarse"]);
  expect(findAll(cold, "gearFreezes")).toMatchObject([{ severity: "should", others: parts.length - 1 }]);
  // a housing of 130 · 130 · 330 mm, half of it water: 2.79 kg over 0.2054 m²
  const [housing] = parts.filter(({ kind }) => kind === "gear");
  expect(housing!.litres).toBeCloseTo(2.7885, 6);
  expect(housing!.hours).toBeCloseTo((2.7885 * 4186 * Math.LN2) / (9 * 0.2054) / 3600, 3);
  expect(listGearFrost(lower(van, "guard", 700)).filter(({ kind }) => kind === "gear")).toEqual([]);
});

test("the thinnest comes first, and a hose that is let run empty is no water", () => {
  const hours = listGearFrost(lower(van, "pump", 700)).map((part) => part.hours);
  expect(hours).toEqual([...hours].sort((a, b) => a - b));
  // nothing fills a hose whose tank is gone from it
  const dry = { ...van, tanks: van.tanks.map((tank) => ({ ...tank, holds: "grey" as const })) };
  expect(listGearFrost(dry).filter(({ litres }) => litres === null || litres <= 0.05)).toEqual([]);
});

test("of a full hose only what lies under the floor counts: all of a leg, or its lower part", () => {
  const waste = van.lines.find((line): line is Hose => line.kind === "hose" && line.from.kind === "tank")!;
  const tank = van.tanks.find(({ id }) => waste.from.kind === "tank" && id === waste.from.tankId)!;
  const port = tank.ports.find(({ id }) => waste.from.kind === "tank" && id === waste.from.portId)!;
  const from = { x: tank.atMm.x + port.atMm.x, y: tank.atMm.y + port.atMm.y, z: tank.atMm.z + port.atMm.z };
  const litresOf = (points: { x: number; y: number; z: number }[]) => {
    const pointsMm = points.map((point, i) => ({ ...point, id: `p${i}` }));
    const lines = van.lines.map((line) => (line === waste ? { ...waste, pointsMm } : line));
    return listGearFrost({ ...van, lines }).find(({ at }) => "id" in at && at.id === waste.id)!.litres!;
  };
  const areaMm2 = (Math.PI / 4) * waste.pipe.innerMm ** 2;
  // straight up from the tank's port through the floor, and all the rest inside: as long as the port is deep
  const up = { ...from, z: 300 };
  expect(litresOf([up])).toBeCloseTo((areaMm2 * -from.z) / 1e6, 6);
  // 500 mm more along under the floor first
  expect(
    litresOf([
      { ...from, x: from.x + 500 },
      { ...up, x: from.x + 500 },
    ]),
  ).toBeCloseTo((areaMm2 * (500 - from.z)) / 1e6, 6);
  expect(litresOf([{ ...from, x: from.x + 500, z: 0 }])).toBeCloseTo((areaMm2 * Math.hypot(500, from.z)) / 1e6, 6);
});
