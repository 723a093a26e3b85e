import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { gearDesigns } from "@/tests/gearArbitraries";
import { loopSystems, withGap, withLoop } from "@/tests/loopSystems";
import type { Design } from "../design/design";
import { buildGearGraph, type GearEnd } from "./gearGraph";
import { listEveryHazard, proveInterlock } from "./interlock";
import { findPassing, listFailures, toSetting } from "./settings";

// Brute force: every simple way from a source through what is open, one after the other, without any memory.
function isReached(design: Design, source: GearEnd, target: string, setting: ReturnType<typeof toSetting>): boolean {
  const graph = buildGearGraph(design);
  const end = graph.ends.find(({ node }) => node === target)!;
  const walk = (node: string, seen: readonly string[], driven: boolean): boolean => {
    if (node === target && (driven || source.headMm + 400 + source.overKPa * 102 >= end.headMm)) return true;
    return [...graph.links, ...graph.drops].some((link) => {
      const { forward, back, isDriven } = findPassing(link, setting);
      const go = (from: string, to: string, open: boolean, pumps: boolean) => {
        if (!open || from !== node || seen.includes(to)) return false;
        const rise = graph.nodes.get(to)!.atMm.z - source.headMm - source.overKPa * 102;
        const next = driven || pumps;
        if (
          !next &&
          (rise > 9_000 || (link.kind === "inside" && /ventedLoop|airGap/.test(link.gear.spec.kind) && rise > 400))
        )
          return false;
        return walk(to, [...seen, to], next);
      };
      return go(link.from, link.to, forward, isDriven) || go(link.to, link.from, back, false);
    });
  };
  return walk(source.node, [source.node], false);
}

test("every way that is found is there, and every way that is there is found: against brute force", () => {
  fc.assert(
    fc.property(loopSystems, (design) => {
      const found = new Set(
        listEveryHazard(design)
          .filter(({ kind }) => kind === "fouls")
          .map(({ stateId, failure, from, to }) => JSON.stringify([stateId, failure, from, to])),
      );
      const graph = buildGearGraph(design);
      for (const failure of [null, ...listFailures(design.gear)]) {
        for (const state of design.states) {
          const setting = toSetting(state, failure);
          for (const source of graph.ends) {
            if (!source.isEverWet || !["grey", "black", "loop", "sea"].includes(source.holds ?? "")) continue;
            for (const target of graph.ends) {
              const spec = design.gear.find(({ id }) => id === target.gearId)?.spec;
              const isTarget =
                target.tankId !== null ? target.holds === "fresh" : spec?.kind === "tap" && spec.use === "drinking";
              if (!isTarget || target.node === source.node) continue;
              const key = JSON.stringify([state.id, failure, source.node, target.node]);
              expect([key, found.has(key)]).toEqual([key, isReached(design, source, target.node, setting)]);
            }
          }
        }
      }
    }),
    { numRuns: 25 },
  );
}, 60_000);

test("nothing comes back over an air gap, and what falls over it does foul what it falls into", () => {
  const met = { back: 0, on: 0 };
  fc.assert(
    fc.property(loopSystems, (design) => {
      const gapped = withGap(design);
      // hoses x1 to x3 lead from the tank "other" by valve and gap into the first one
      const isFoul = design.tanks.find(({ id }) => id === "other")!.holds === "loop";
      const over = listEveryHazard(gapped).filter(({ kind, way }) => kind === "fouls" && way.includes("guard"));
      if (!isFoul) expect(over).toEqual([]);
      for (const { from, to, way } of over) {
        expect([from, way.indexOf("x1") < way.indexOf("guard")]).toEqual(["tank:other:p", true]);
        expect(to).not.toBe("tank:other:p");
      }
      met[isFoul ? "on" : "back"] += isFoul ? over.length : 1;
    }),
    { numRuns: 40 },
  );
  expect(met.on).toBeGreaterThan(0);
  expect(met.back).toBeGreaterThan(0);
});

test("one stuck valve between loop and drinking water is found, and named", () => {
  const [base] = fc.sample(
    gearDesigns.filter(({ design }) => design.tanks.at(-1)!.holds === "fresh"),
    { numRuns: 1, seed: 7 },
  );
  const design = withLoop(base!.design, 900, false);
  const fouls = proveInterlock(design).filter(({ kind, failure }) => kind === "fouls" && failure?.kind === "stuck");
  expect(
    fouls.some(({ failure }) => failure?.kind === "stuck" && failure.gearId === "cross" && failure.at === "open"),
  ).toBe(true);
  // shut and sound, nothing comes
  expect(proveInterlock(design).filter(({ kind, failure }) => kind === "fouls" && failure === null)).toEqual([]);
});

test("a pump with a timer is not left on by anybody, and everything else that fails with it still does", () => {
  for (const name of ["kranich-loop", "lesesaal-loop", "otter-heads"] as const) {
    const { gear } = readDemo(name);
    const timed = gear.map((piece) =>
      piece.spec.kind === "pump" ? { ...piece, spec: { ...piece.spec, timerS: 20 } } : piece,
    );
    const kinds = (of: typeof gear) => listFailures(of).map((failure) => JSON.stringify(failure));
    expect(listFailures(timed).filter(({ kind }) => kind === "leftOn")).toEqual([]);
    expect(kinds(gear).filter((one) => !one.includes("leftOn"))).toEqual(kinds(timed));
  }
});
