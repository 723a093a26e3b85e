import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findTrap } from "../design/lineItems";
import { evaluate } from "../evaluate/evaluate";
import { listDrainDown, listTrapWaters, sortGear } from "./drainDown";
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
