import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import { evaluate } from "../evaluate/evaluate";
import { listDrainDown, listTrapWaters, sortGear } from "./drainDown";
import { listFrostParts } from "./frostParts";
import { listSpringUp } from "./springUp";

test("heat goes off before anything is emptied and comes back after water; every switch, valve and seacock is said both ways", () => {
  const seen = new Set<string>();
  for (const design of ALL_DEMOS) {
    const evaluation = evaluate(design);
    const [down, up] = [listDrainDown(design, evaluation), listSpringUp(design, evaluation)];
    const at = (steps: readonly { readonly kind: string }[], kind: string) =>
      steps.findIndex((step) => step.kind === kind);
    for (const { id, spec } of design.gear) {
      const names = (steps: readonly object[]) =>
        steps.filter(
          (step) =>
            ("gearId" in step && step.gearId === id) ||
            ("gearIds" in step && (step.gearIds as readonly string[]).includes(id)),
        );
      // what holds water, turns, or starts by a fuse is spoken of before frost and after it
      const isTold = ![
        "tee",
        "nonReturn",
        "coupling",
        "flowMeter",
        "gauge",
        "airGap",
        "ventedLoop",
        "relief",
        "deckFitting",
      ].includes(spec.kind);
      const isBare = spec.kind === "skinFitting" && !spec.hasSeacock;
      if (isTold && !isBare) {
        expect([design.id, id, names(down).length > 0]).toEqual([design.id, id, true]);
        expect([design.id, id, names(up).length > 0]).toEqual([design.id, id, true]);
      }
      seen.add(spec.kind);
    }
    const heat = at(down, "heatOff");
    if (heat >= 0) {
      expect(heat).toBe(0);
      expect(at(up, "heatLast")).toBeGreaterThan(at(up, "sanitise"));
      expect(at(up, "heatLast")).toBeGreaterThan(at(up, "fuseIn"));
    }
    // a fuse is out when the pumps have run dry, and in again only with water
    if (at(down, "fuseOut") >= 0) {
      expect(at(down, "fuseOut")).toBeGreaterThan(down.findLastIndex(({ kind }) => kind === "drainGear"));
      expect(at(down, "fuseOut")).toBeGreaterThan(at(down, "pumpOver"));
      expect(at(up, "fuseIn")).toBeGreaterThan(up.findLastIndex(({ kind }) => kind === "closeGear"));
    }
  }
  for (const kind of ["uvLamp", "pump", "valve", "diverter", "skinFitting", "sump"]) expect(seen).toContain(kind);
});

test("a tank that is pumped over is pumped first; a toilet's motor has a fuse, a hand pump has none; a trap gets twice its water", () => {
  const van = readDemo("kranich");
  const linked = {
    ...van,
    tanks: [
      { ...van.tanks[0]!, link: { kind: "pumped" as const, toTank: "second" } },
      { ...van.tanks[0]!, id: "second", name: "Second", ports: [] },
    ],
  };
  const steps = listDrainDown(linked, evaluate(linked));
  expect(steps[0]).toEqual({ kind: "pumpOver", tankId: van.tanks[0]!.id, toTank: "second" });
  expect(listDrainDown(van, evaluate(van)).some(({ kind }) => kind === "pumpOver")).toBe(false);
  const boat = readDemo("otter-heads");
  const fused = (bowl: "handPump" | "macerating" | "vacuum") => {
    const gear = boat.gear.map((piece) =>
      piece.spec.kind === "bowl" ? { ...piece, spec: { ...piece.spec, bowl } } : piece,
    );
    const id = boat.gear.find(({ spec }) => spec.kind === "bowl")!.id;
    return sortGear({ gear }).driven.includes(id);
  };
  expect([fused("handPump"), fused("macerating"), fused("vacuum")]).toEqual([false, true, true]);
  for (const design of ALL_DEMOS) {
    const evaluation = evaluate(design);
    const waters = listTrapWaters(design, evaluation);
    const treated = listDrainDown(design, evaluation).flatMap((step) => (step.kind === "treatTrap" ? [step] : []));
    expect(treated.map(({ lineId, inLine }) => [lineId, inLine])).toEqual(
      waters.map((one) => [one.lineId, one.inLine]),
    );
    treated.forEach(({ litres }, i) => {
      expect(litres).toBeCloseTo(2 * waters[i]!.litres, 9);
      expect(litres).toBeGreaterThan(0.05);
    });
    // every trap with a seal of water is among them
    for (const line of design.lines)
      if (line.kind === "drain" && (findTrap(line)?.sealMm ?? 0) > 0)
        expect(waters.map(({ lineId }) => lineId)).toContain(line.id);
  }
});

/** Less than this has room to grow, L: 50 mL of water that freezes grow by 5. */
const HARMLESS_L = 0.05;

const listSags = (design: Design) =>
  listDrainDown(design, evaluate(design)).flatMap((step) => (step.kind === "emptySag" ? [step] : []));

test("every sag that holds more than does no harm is emptied by the drain that owns it, once, and no other is", () => {
  let [sags, shared, small] = [0, 0, 0];
  const expectTold = (design: Design) => {
    const told = listSags(design);
    const drains = design.lines.flatMap(({ id, kind }) => (kind === "drain" ? [id] : []));
    const wanted = evaluate(design).drains.flatMap(({ lineId, legs, ponds }) =>
      ponds.flatMap(({ legIndex, litres }) => {
        // a leg it runs on through belongs to the drain it joined, which tells of it
        const isOwn = legs[legIndex]!.lineId === lineId;
        if (!isOwn) shared += 1;
        if (litres <= HARMLESS_L) small += 1;
        return isOwn && litres > HARMLESS_L ? [{ kind: "emptySag", lineId, leg: legIndex, litres }] : [];
      }),
    );
    sags += wanted.length;
    expect(told.filter(({ lineId }) => drains.includes(lineId))).toEqual(wanted);
    // what is on the list of what freezes lies under the floor, and is one of them or too little
    for (const part of listFrostParts(design, evaluate(design), 0.5)) {
      if (part.kind !== "sag" || part.at.kind !== "leg") continue;
      const { lineId, index } = part.at;
      const pond = evaluate(design)
        .drains.find((drain) => drain.lineId === lineId)!
        .ponds.find(({ legIndex }) => legIndex === index)!;
      expect(pond.litres).toBeGreaterThan(0);
      expect(part.litres).toBe(pond.litres);
      expect(design.lines.find(({ id }) => id === lineId)).toBeDefined();
      expect(told.some((one) => one.lineId === lineId && one.leg === index)).toBe(pond.litres > HARMLESS_L);
    }
  };
  fc.assert(fc.property(networks, expectTold), { numRuns: 60 });
  for (const design of ALL_DEMOS) expectTold(design);
  expect([sags > 5, shared > 5, small > 5]).toEqual([true, true, true]);
});

test("on the way back the fresh side is sanitised where there is fresh water to draw, and taps are shut where there are any", () => {
  const van = readDemo("kranich");
  const kinds = (design: Design) => listSpringUp(design, evaluate(design)).map(({ kind }) => kind);
  // nothing is pumped in it, and its water is carried
  expect(van.tanks.some(({ holds }) => holds === "fresh")).toBe(false);
  for (const design of ALL_DEMOS) {
    const carried = design.habits.vessels.filter(({ holds }) => holds === "fresh").length;
    const fresh = design.tanks.filter(({ holds }) => holds === "fresh").length + carried;
    const told = kinds(design);
    expect([design.id, told.includes("sanitise")]).toEqual([design.id, fresh > 0]);
    expect([design.id, told.includes("shutTaps")]).toEqual([
      design.id,
      design.gear.some(({ spec }) => spec.kind === "tap" || spec.kind === "mixer"),
    ]);
  }
  const dry = {
    ...van,
    habits: { ...van.habits, vessels: van.habits.vessels.filter(({ holds }) => holds !== "fresh") },
  };
  expect(kinds(dry)).not.toContain("sanitise");
});

test("a float's fuse is pulled with the others, a hand pump has none", () => {
  const { gear } = readDemo("otter-heads");
  const { driven } = sortGear({ gear });
  const of = (kind: "sump" | "pump") => gear.filter(({ spec }) => spec.kind === kind).map(({ id }) => id);
  expect(of("sump").length).toBeGreaterThan(0);
  for (const id of of("sump")) expect(driven).toContain(id);
  for (const { id, spec } of gear) {
    if (spec.kind === "pump") expect([id, driven.includes(id)]).toEqual([id, spec.pump !== "hand"]);
  }
});
