import fc from "fast-check";
import { DEMO_NAMES, FURNISHED, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { parseDesignText, writeDesignText } from "../design/parseDesign";
import type { Supply } from "../design/rig";
import { evaluate } from "../evaluate/evaluate";
import { listGoods } from "./goods";
import { takeDrawn } from "./redrawn";
import { listSteps, toCableStepId } from "./steps";
import { type Load, listLoads, listWires, readSupply, sizeWire } from "./wiring";

const at = (x: number): Load => ({
  id: "a",
  kind: "gear",
  at: { kind: "gear", id: "a" },
  name: "Pump",
  watts: 70,
  atMm: { x, y: 0, z: 0 },
  isOutside: false,
  goesThroughFloor: false,
  startedBy: "switch",
});
const supply: Supply = { volts: 12, boxMm: { x: 0, y: 0, z: 0 }, dropShare: 0.03 };

// Worked by hand: 2 × 5 m × 0.0192 × 5.83 A / 0.36 V = 3.11 mm².
test("70 W at 12 V over 5 m at 3 %: 5.83 A, 3.11 mm², so 4 mm² and 7.5 A", () => {
  const wire = sizeWire(at(5_000 / 1.15), supply);
  expect(wire.amps).toBeCloseTo(5.833, 3);
  expect(wire.lengthMm).toBeCloseTo(5_000, 6);
  expect(wire.leastMm2).toBeCloseTo(3.11, 2);
  expect(wire).toMatchObject({ sizeMm2: 4, fuseA: 7.5, wantsRelay: false });
});

test("the drop is kept, the fuse never lets through more than the cable bears, 24 V never wants more copper", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 600 }), fc.integer({ min: 100, max: 12_000 }), (watts, x) => {
      const wire = sizeWire({ ...at(x), watts }, supply);
      const high = sizeWire({ ...at(x), watts }, { ...supply, volts: 24 });
      expect(high.leastMm2).toBeLessThan(wire.leastMm2);
      if (wire.sizeMm2 === null) return expect(wire.fuseA).toBeNull();
      expect(wire.dropShare).toBeLessThanOrEqual(supply.dropShare + 1e-9);
      expect(wire.fuseA!).toBeGreaterThanOrEqual(wire.amps * 1.25 - 1e-9);
      if (high.sizeMm2 !== null) expect(high.sizeMm2).toBeLessThanOrEqual(wire.sizeMm2);
    }),
  );
});

test("a cable runs along, across and up from the fuse box, wherever that sits", () => {
  const place = fc.integer({ min: -3_000, max: 6_000 });
  const places = fc.record({ x: place, y: place, z: place });
  fc.assert(
    fc.property(places, places, (atMm, boxMm) => {
      const far = Math.abs(atMm.x - boxMm.x) + Math.abs(atMm.y - boxMm.y) + Math.abs(atMm.z - boxMm.z);
      expect(sizeWire({ ...at(0), atMm }, { ...supply, boxMm }).lengthMm).toBeCloseTo(1.15 * far, 6);
    }),
  );
});

const ALL = [...DEMO_NAMES, ...LOOP_NAMES, FURNISHED, ...HEADS_NAMES] as const;

test("every pump and lamp of a loop has its cable, a tank its sender's, and its pad's where one is fitted", () => {
  for (const name of LOOP_NAMES) {
    const design = readDemo(name);
    const ids = listLoads(design).map(({ id }) => id);
    for (const { id, spec } of design.gear)
      if (spec.kind === "pump" || spec.kind === "uvLamp") expect(ids).toContain(id);
    expect(listWires(design).every(({ lengthMm, amps }) => lengthMm > 0 && amps > 0)).toBe(true);
  }
  for (const name of ALL) {
    const design = readDemo(name);
    const senders = listLoads(design).flatMap((load) => (load.kind === "sender" ? [load.at.id] : []));
    expect(senders).toEqual(design.tanks.flatMap(({ id, sender }) => (sender ? [id] : [])));
  }
  const padsOf = (design: Design) => listLoads(design).filter(({ kind }) => kind === "pad");
  const kranich = readDemo("kranich-loop");
  expect(padsOf(kranich)).toEqual([]);
  const warm = { ...kranich, tanks: kranich.tanks.map((tank, i) => ({ ...tank, padW: 40 * i })) };
  expect(padsOf(warm).map(({ id, watts }) => [id, watts])).toEqual(
    kranich.tanks.slice(1).map(({ id }, i) => [`pad-${id}`, 40 * (i + 1)]),
  );
});

test("a cable that leaves a vehicle through the floor has its gland, no narrower for thicker copper; a boat's bilge is within her", () => {
  let through = 0;
  for (const name of ALL) {
    const drawn = readDemo(name);
    const design = { ...drawn, tanks: drawn.tanks.map((tank, i) => ({ ...tank, padW: 60 + 90 * i })) };
    const wires = listWires(design);
    const glands = listGoods(design, evaluate(design)).flatMap(({ ware, loadId }) =>
      ware.kind === "gland" ? [[loadId, ware.holeMm]] : [],
    );
    const wanted = wires.filter(
      ({ load, sizeMm2 }) => load.isOutside && design.rig.kind !== "boat" && sizeMm2 !== null,
    );
    expect(glands).toEqual(wanted.map(({ load, glandMm }) => [load.id, glandMm]));
    expect(wanted.every(({ glandMm }) => glandMm !== null)).toBe(true);
    through += wanted.length;
    const bySize = [...wanted].sort((a, b) => a.sizeMm2! - b.sizeMm2!).map(({ glandMm }) => glandMm!);
    expect(bySize).toEqual([...bySize].sort((a, b) => a - b));
  }
  expect(through).toBeGreaterThan(3);
});

test("an electric dump valve has its cable, one by hand has none, and is emptied through only when it is there", () => {
  const kranich = readDemo("kranich");
  const turn = (kind: "manual" | "electric") => ({
    ...kranich,
    tanks: kranich.tanks.map((tank) => ({
      ...tank,
      ports: tank.ports.map((port) =>
        port.kind === "outlet" ? { ...port, valve: { kind, boreMm: port.boreMm } } : port,
      ),
    })),
  });
  const valves = (design: typeof kranich) => listLoads(design).filter(({ kind }) => kind === "dumpValve");
  expect(valves(turn("manual"))).toEqual([]);
  const [valve, ...more] = valves(turn("electric"));
  expect(more).toEqual([]);
  const steps = listSteps(turn("electric"), evaluate(turn("electric")));
  expect(steps.find(({ kind }) => kind === "trialDump")!.after).toContain(toCableStepId(valve!.id));
});

test("each load has a step of its own after what it runs to; pumps are tried and boards closed only after it", () => {
  for (const name of ALL) {
    const design = readDemo(name);
    const steps = listSteps(design, evaluate(design));
    const cables = steps.filter(({ kind }) => kind === "layCable");
    const loads = listLoads(design);
    expect(cables.map(({ id }) => id)).toEqual(loads.map(({ id }) => toCableStepId(id)));
    expect(new Set(cables.map(({ id }) => id)).size).toBe(cables.length);
    for (const { id, at, after } of cables) {
      const partId = "id" in at ? at.id : "";
      expect(after).toEqual([`${at.kind === "gear" ? "mountGear" : "hangTank"}:${partId}`]);
      expect(steps.find(({ kind }) => kind === "closeUp")!.after).toContain(id);
      const hoses = steps.find(({ kind }) => kind === "trialHoses");
      if (hoses) expect(hoses.after.includes(id)).toBe(at.kind === "gear");
    }
  }
});

test("a pump at a sump is started by its float, one with a pressure switch by itself, all else by a hand", () => {
  const otter = readDemo("otter-heads");
  const sump = otter.gear.find(({ spec }) => spec.kind === "sump")!;
  const floated = listLoads(otter).filter(({ startedBy }) => typeof startedBy === "object");
  expect(floated.map(({ startedBy }) => startedBy)).toEqual([{ floatOf: sump.id }]);
  expect(otter.gear.find(({ id }) => id === floated[0]!.id)!.spec.kind).toBe("pump");
  for (const name of ALL) {
    const design = readDemo(name);
    for (const { id, startedBy } of listLoads(design)) {
      const spec = design.gear.find((piece) => piece.id === id)?.spec;
      if (spec?.kind === "pump" && startedBy === "itself") expect(spec.cutInKPa).not.toBeNull();
      if (spec?.kind === "uvLamp" || spec?.kind === "heater") expect(startedBy).toBe("switch");
    }
  }
});

test("what is said of the battery goes into the list, and a cable that is laid is told when it is too thin then", () => {
  const design = readDemo("kranich-loop");
  expect(parseDesignText(writeDesignText(design))).toMatchObject({ ok: true });
  const far: Supply = { ...readSupply(design), boxMm: { x: 20_000, y: 0, z: 0 } };
  const moved = { ...design, rig: { ...design.rig, supply: far } };
  expect(parseDesignText(writeDesignText(moved))).toMatchObject({ ok: true });
  const copper = (of: typeof design) =>
    listGoods(of, evaluate(of)).reduce(
      (sum, { ware, amount }) => sum + (ware.kind === "cable" ? ware.mm2 * amount : 0),
      0,
    );
  expect(copper(moved)).toBeGreaterThan(copper(design));
  const [thicker] = listWires(moved).filter(({ sizeMm2 }, i) => sizeMm2 !== listWires(design)[i]!.sizeMm2);
  const step = listSteps(design, evaluate(design)).find(({ id }) => id === toCableStepId(thicker!.load.id))!;
  expect(takeDrawn(step, moved, evaluate(moved))!.word).not.toBe(takeDrawn(step, design, evaluate(design))!.word);
  for (const bad of [
    { ...far, volts: 48 },
    { ...far, dropShare: 0.5 },
    { ...far, dropShare: 0 },
  ])
    expect(parseDesignText(writeDesignText({ ...design, rig: { ...design.rig, supply: bad as Supply } })).ok).toBe(
      false,
    );
});

test("a cable bears its own fuse and no thicker one is asked for: 24 A over a hand's length, 30 A and 6 mm²", () => {
  expect(sizeWire({ ...at(100), watts: 24 * 12 }, supply)).toMatchObject({ sizeMm2: 6, fuseA: 30, wantsRelay: true });
  expect(sizeWire({ ...at(100), watts: 10 * 12 }, supply)).toMatchObject({ fuseA: 15, wantsRelay: false });
});

test("a heater wants current and a hand pump none; what lies under the floor is outside, what stands on it is not", () => {
  const base = readDemo("kranich-loop");
  const [pump] = base.gear.filter(({ spec }) => spec.kind === "pump");
  const put = (z: number, spec: (typeof base.gear)[number]["spec"]) =>
    listLoads({ ...base, gear: [{ ...pump!, atMm: { ...pump!.atMm, z }, spec }] }).filter(
      ({ kind }) => kind === "gear",
    );
  const heater = { kind: "heater", dropKPa: 5, atLpm: 8, litres: 10, watts: 400 } as const;
  expect(put(0, heater)).toMatchObject([
    { watts: 400, isOutside: false, goesThroughFloor: false, startedBy: "switch" },
  ]);
  expect(put(-pump!.sizeMm.z - 1, heater)).toMatchObject([{ isOutside: true }]);
  if (pump!.spec.kind === "pump") expect(put(0, { ...pump!.spec, pump: "hand", watts: 50 })).toEqual([]);
});

test("a motor valve and a pad are switched by hand, a gauge runs by itself", () => {
  const design = readDemo("kranich");
  const [tank] = design.tanks;
  const fitted = {
    ...tank!,
    padW: 40,
    sender: { kind: "probes", xMm: 100, yMm: 100, lowMm: 20, highMm: 150 } as never,
    ports: tank!.ports.map((port) =>
      port.kind === "outlet" ? { ...port, valve: { kind: "electric", boreMm: 38 } as const } : port,
    ),
  };
  const loads = listLoads({ ...design, tanks: [fitted] }).filter(({ at: place }) => place.kind === "tank");
  expect(loads.map(({ kind, startedBy }) => [kind, startedBy])).toEqual([
    ["dumpValve", "switch"],
    ["sender", "itself"],
    ["pad", "switch"],
  ]);
});
