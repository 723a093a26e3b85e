import fc from "fast-check";
import { gearDesigns } from "@/tests/gearArbitraries";
import type { Design } from "../design/design";
import type { WorkingState } from "../design/gear";
import { buildGearGraph } from "./gearGraph";
import { toSetting } from "./settings";
import { solveFlows } from "./solveFlows";

const RUNS = { numRuns: 60 };
const solve = (design: Design, state: WorkingState) => solveFlows(design, buildGearGraph(design), toSetting(state));
const flowsOf = (design: Design, state: WorkingState) =>
  new Map(solve(design, state).links.map(({ id, lpm }) => [id, lpm]));

test("in which order pieces and hoses were drawn changes no flow", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design, state }) => {
      const turned = { ...design, gear: [...design.gear].reverse(), lines: [...design.lines].reverse() };
      const [one, other] = [flowsOf(design, state), flowsOf(turned, state)];
      for (const [id, lpm] of one) expect(other.get(id)).toBeCloseTo(lpm, 4);
    }),
    RUNS,
  );
});

test("the whole rig standing higher changes no flow and no pressure a gauge shows", () => {
  fc.assert(
    fc.property(gearDesigns, fc.integer({ min: -500, max: 500 }), ({ design, state }, byMm) => {
      const lift = <T extends { readonly z: number }>(p: T): T => ({ ...p, z: p.z + byMm });
      const lifted = {
        ...design,
        gear: design.gear.map((piece) => ({ ...piece, atMm: lift(piece.atMm) })),
        tanks: design.tanks.map((tank) => ({ ...tank, atMm: lift(tank.atMm) })),
        lines: design.lines.map((line) =>
          line.kind === "hose" ? { ...line, pointsMm: line.pointsMm.map(lift) } : line,
        ),
      };
      const [one, other] = [solve(design, state), solve(lifted, state)];
      for (const [i, { lpm }] of one.links.entries()) expect(other.links[i]!.lpm).toBeCloseTo(lpm, 4);
      for (const [i, { kPa }] of one.nodes.entries()) expect(other.nodes[i]!.kPa ?? 0).toBeCloseTo(kPa ?? 0, 2);
    }),
    RUNS,
  );
});

test("a tap that is shut lets no more out of all of them together, and the others get no less", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design, state }) => {
      if (state.openTaps.length < 2) return;
      const [shut, ...left] = state.openTaps;
      const out = (of: WorkingState) => new Map(solve(design, of).ends.map(({ node, lpm }) => [node, lpm]));
      const [both, one] = [out(state), out({ ...state, openTaps: left })];
      const sum = (flows: ReadonlyMap<string, number>) =>
        [...flows].reduce((all, [node, lpm]) => all + (node.startsWith("tank:") ? 0 : lpm), 0);
      expect(sum(one)).toBeLessThanOrEqual(sum(both) + 1e-4);
      for (const [node, lpm] of one) {
        if (node.startsWith("tank:") || node.startsWith(`${shut}:`)) continue;
        expect(lpm).toBeGreaterThanOrEqual((both.get(node) ?? 0) - 1e-4);
      }
    }),
    RUNS,
  );
});

test("a filter that is loaded more never lets more through", () => {
  fc.assert(
    fc.property(gearDesigns, ({ design, state }) => {
      const graph = buildGearGraph(design);
      const total = (load: number) =>
        solveFlows(design, graph, toSetting(state), load).ends.reduce((all, { lpm }) => all + Math.max(0, lpm), 0);
      expect(total(0.9)).toBeLessThanOrEqual(total(0.1) + 1e-6);
    }),
    RUNS,
  );
});
