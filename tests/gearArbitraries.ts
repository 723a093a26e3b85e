import fc from "fast-check";
import type { Design } from "@/core/design/design";
import type { Gear, GearSpec, WorkingState } from "@/core/design/gear";
import { toNodes } from "@/core/design/nodes";
import type { Hose, Port, Tank } from "@/core/design/plumbing";
import { readDemo } from "./demoRigs";

const loss = fc.record({
  dropKPa: fc.double({ min: 1, max: 40, noNaN: true }),
  atLpm: fc.double({ min: 5, max: 20, noNaN: true }),
});

const inLine: fc.Arbitrary<GearSpec> = fc.oneof(
  loss.map((l): GearSpec => ({ kind: "strainer", ...l, openingUm: 400 })),
  loss.map((l): GearSpec => ({ kind: "nonReturn", ...l, crackKPa: 0 })),
  loss.map((l): GearSpec => ({ kind: "valve", ...l, drive: "hand", atRest: "stays" })),
  loss.map((l): GearSpec => ({ kind: "flowMeter", ...l })),
  fc
    .record({
      cleanKPa: fc.double({ min: 1, max: 20, noNaN: true }),
      loadedKPa: fc.double({ min: 21, max: 90, noNaN: true }),
    })
    .map(
      (l): GearSpec => ({
        kind: "filter",
        ...l,
        atLpm: 10,
        medium: "sediment",
        micron: 5,
        lifeL: null,
        holdsG: null,
        lifeDays: 180,
      }),
    ),
);

const pump = fc
  .record({
    shutOffKPa: fc.double({ min: 150, max: 500, noNaN: true }),
    share: fc.double({ min: 0.3, max: 0.8, noNaN: true }),
    midLpm: fc.double({ min: 4, max: 12, noNaN: true }),
    freeLpm: fc.double({ min: 14, max: 30, noNaN: true }),
  })
  .map(
    ({ shutOffKPa, share, midLpm, freeLpm }): GearSpec => ({
      kind: "pump",
      pump: "diaphragm",
      shutOffKPa,
      midLpm,
      midKPa: shutOffKPa * share,
      freeLpm,
      cutInKPa: null,
      cutOutKPa: null,
      watts: 60,
      mayRunDry: false,
    }),
  );

const height = fc.double({ min: -200, max: 1_500, noNaN: true });

/** A tank, a pump, gear in line, a tee, and two branches with gear that end at open taps: as loops of hoses are built. */
export const gearDesigns: fc.Arbitrary<{ readonly design: Design; readonly state: WorkingState }> = fc
  .record({
    pump,
    before: fc.array(inLine, { maxLength: 2 }),
    after: fc.array(inLine, { maxLength: 4 }),
    one: fc.array(inLine, { maxLength: 3 }),
    two: fc.array(inLine, { maxLength: 3 }),
    heights: fc.array(height, { minLength: 16, maxLength: 16 }),
    bores: fc.array(fc.constantFrom(9.5, 12.7, 16, 19), { minLength: 16, maxLength: 16 }),
    holds: fc.constantFrom("fresh" as const, "loop" as const),
  })
  .map(({ pump: pumpSpec, before, after, one, two, heights, bores, holds }) => {
    const base = readDemo("kranich");
    const gear: Gear[] = [];
    const lines: Hose[] = [];
    const put = (spec: GearSpec): string => {
      const id = `g${gear.length + 1}`;
      gear.push({
        id,
        name: id,
        atMm: { x: 300 + 150 * gear.length, y: 100 * (gear.length % 3), z: heights[gear.length % heights.length]! },
        sizeMm: { x: 100, y: 100, z: 100 },
        openBelowMm: 0,
        spec,
      });
      return id;
    };
    const join = (from: Hose["from"], to: Hose["to"]) => {
      const n = lines.length;
      const bore = bores[n % bores.length]!;
      lines.push({
        id: `h${n + 1}`,
        name: `Hose ${n + 1}`,
        kind: "hose",
        pipe: { innerMm: bore, outerMm: bore + 5, manningN: 0.009 },
        from,
        to,
        pointsMm: toNodes(n % 3 === 0 ? [{ x: 900, y: 0, z: 200 }] : []),
      });
    };
    const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
    const chain = (start: Hose["from"], specs: readonly GearSpec[]): Hose["from"] => {
      let last = start;
      for (const spec of specs) {
        const id = put(spec);
        join(last, at(id, "in"));
        last = at(id, "out");
      }
      return last;
    };
    const port: Port = {
      id: "draw",
      kind: "draw",
      atMm: { x: 0, y: 100, z: 20 },
      boreMm: 12,
      thread: null,
      fittingMm: 0,
      valve: null,
    };
    const tank: Tank = {
      ...base.tanks[0]!,
      id: "store",
      name: "Store",
      holds,
      atMm: { x: 100, y: -300, z: 100 },
      ports: [port],
      link: null,
    };
    const trunk = chain({ kind: "tank", tankId: "store", portId: "draw" }, [...before, pumpSpec, ...after]);
    const tee = put({ kind: "tee" });
    join(trunk, at(tee, "a"));
    const taps = ([one, two] as const).map((specs, i) => {
      const last = chain(at(tee, i === 0 ? "b" : "c"), specs);
      const tap = put({ kind: "tap", dropKPa: 20, atLpm: 6, use: i === 0 ? "drinking" : "shower", fixtureId: null });
      join(last, at(tap, "in"));
      return tap;
    });
    const state: WorkingState = {
      id: "all",
      name: "All open",
      on: gear.flatMap(({ id, spec }) => (spec.kind === "pump" ? [id] : [])),
      positions: gear.flatMap(({ id, spec }) => (spec.kind === "valve" ? [{ gearId: id, at: "open" as const }] : [])),
      openTaps: taps,
    };
    const design: Design = {
      ...base,
      tanks: [...base.tanks, tank],
      gear,
      states: [state],
      lines: [...base.lines, ...lines],
    };
    return { design, state };
  });
