import { ALL_DEMOS } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { listDrainDown } from "./drainDown";
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
