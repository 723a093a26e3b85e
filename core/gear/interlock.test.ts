import fc from "fast-check";
import { gearDesigns } from "@/tests/gearArbitraries";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Hose, Tank } from "../design/plumbing";
import { buildGearGraph, type GearEnd } from "./gearGraph";
import { listEveryHazard, proveInterlock } from "./interlock";
import { findPassing, listFailures, toSetting } from "./settings";

// Brute force: every simple way from a source through what is open, one after the other, without any memory.
function isReached(design: Design, source: GearEnd, target: string, setting: ReturnType<typeof toSetting>): boolean {
  const graph = buildGearGraph(design);
  const end = graph.ends.find(({ node }) => node === target)!;
  const walk = (node: string, seen: readonly string[], driven: boolean): boolean => {
    if (node === target && (driven || source.headMm + 400 + source.overKPa * 102 >= end.headMm)) return true;
    return graph.links.some((link) => {
      const { forward, back, isDriven } = findPassing(link, setting);
      const go = (from: string, to: string, open: boolean, pumps: boolean) => {
        if (!open || from !== node || seen.includes(to)) return false;
        const rise = graph.nodes.get(to)!.atMm.z - source.headMm;
        const next = driven || pumps;
        if (!next && (rise > 9_000 || (link.kind === "inside" && link.gear.spec.kind === "ventedLoop" && rise > 400)))
          return false;
        return walk(to, [...seen, to], next);
      };
      return go(link.from, link.to, forward, isDriven) || go(link.to, link.from, back, false);
    });
  };
  return walk(source.node, [source.node], false);
}

/** The random network with a loop tank joined to it by a valve and a non-return: what builders do. */
function withLoop(design: Design, height: number, hasNonReturn: boolean): Design {
  const common = { sizeMm: { x: 80, y: 80, z: 80 }, openBelowMm: 0 };
  const gear: Gear[] = [
    ...design.gear,
    {
      id: "cross",
      name: "Cross valve",
      ...common,
      atMm: { x: 0, y: 0, z: height },
      spec: { kind: "valve", dropKPa: 1, atLpm: 10, drive: "motor", atRest: "opens" },
    },
    hasNonReturn
      ? {
          id: "guard",
          name: "Guard",
          ...common,
          atMm: { x: 100, y: 0, z: height },
          spec: { kind: "nonReturn", dropKPa: 1, atLpm: 10, crackKPa: 2 },
        }
      : {
          id: "guard",
          name: "Guard",
          ...common,
          atMm: { x: 100, y: 0, z: height },
          spec: { kind: "flowMeter", dropKPa: 1, atLpm: 10 },
        },
  ];
  const loop: Tank = {
    ...design.tanks.at(-1)!,
    id: "other",
    name: "Other",
    holds: design.tanks.at(-1)!.holds === "fresh" ? "loop" : "fresh",
    atMm: { x: 500, y: -300, z: height },
    ports: [
      { id: "p", kind: "draw", atMm: { x: 0, y: 50, z: 10 }, boreMm: 12, thread: null, fittingMm: 0, valve: null },
    ],
  };
  const hose = (id: string, from: Hose["from"], to: Hose["to"]): Hose => ({
    id,
    name: id,
    kind: "hose",
    pipe: { innerMm: 12.7, outerMm: 18, manningN: 0.009 },
    from,
    to,
    pointsMm: [],
  });
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  // cut into the first hose: the tank's own port takes a second one
  const own = {
    ...design.tanks.at(-1)!,
    ports: [...design.tanks.at(-1)!.ports, { ...design.tanks.at(-1)!.ports[0]!, id: "second" }],
  };
  return {
    ...design,
    gear,
    tanks: [...design.tanks.slice(0, -1), own, loop],
    lines: [
      ...design.lines,
      hose("x1", { kind: "tank", tankId: "other", portId: "p" }, at("cross", "in")),
      hose("x2", at("cross", "out"), at("guard", "in")),
      hose("x3", at("guard", "out"), { kind: "tank", tankId: own.id, portId: "second" }),
    ],
  };
}

const systems = fc
  .record({ base: gearDesigns, height: fc.integer({ min: -400, max: 1_200 }), guarded: fc.boolean() })
  .map(({ base, height, guarded }) => withLoop(base.design, height, guarded));

test("every way that is found is there, and every way that is there is found: against brute force", () => {
  fc.assert(
    fc.property(systems, (design) => {
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
            if (source.isDry || !["grey", "black", "loop", "sea"].includes(source.holds ?? "")) continue;
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

test("an air gap on the way removes every way back", () => {
  fc.assert(
    fc.property(systems, (design) => {
      const gapped = {
        ...design,
        gear: design.gear.map((piece) =>
          piece.id === "guard" ? { ...piece, spec: { kind: "airGap" as const, gapMm: 40 } } : piece,
        ),
      };
      const over = proveInterlock(gapped).filter(({ kind, way }) => kind === "fouls" && way.includes("guard"));
      expect(over).toEqual([]);
      const crossed = proveInterlock(gapped).filter(({ way }) => way.includes("x1") && way.includes("x3"));
      expect(crossed).toEqual([]);
    }),
    { numRuns: 40 },
  );
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
