import fc from "fast-check";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { gearDesigns } from "@/tests/gearArbitraries";
import type { Design } from "../design/design";
import { toPartKey } from "../design/part";
import { evaluate } from "../evaluate/evaluate";
import { listDrainDown } from "../frost/drainDown";
import { findFlushedHoses } from "../heads/flushedHoses";
import { findFoulHoses } from "../heads/permeation";
import { listSumps } from "../heads/sumpFigures";
import { proveEveryPosition } from "./everyPosition";
import { buildGearGraph } from "./gearGraph";
import { computeLoopFigures } from "./loopFigures";
import { toSetting } from "./settings";
import { solveFlows } from "./solveFlows";

/** A hose is the same from whichever end it was drawn. */
function turnHose(design: Design, id: string): Design {
  const lines = design.lines.map((line) =>
    line.id === id && line.kind === "hose"
      ? { ...line, from: line.to, to: line.from, pointsMm: line.pointsMm.toReversed() }
      : line,
  );
  return { ...design, lines };
}

/** All that is reckoned of pumped water, in an order of its own. */
function reckon(design: Design): unknown {
  const evaluation = evaluate(design);
  const text = (list: Iterable<unknown>) => [...list].map((one) => JSON.stringify(one)).sort();
  return {
    findings: evaluation.findings
      .map((finding) => {
        const { code, severity, at } = finding;
        const state = "stateName" in finding ? finding.stateName : "";
        return `${severity} ${code} ${"lineId" in at ? at.lineId : toPartKey(at)} ${state}`;
      })
      .sort(),
    loop: computeLoopFigures(design),
    sumps: listSumps(design),
    ways: design.gear.length > 0 ? text(proveEveryPosition(design)!.ways) : [],
    flushed: text(findFlushedHoses(design)),
    foul: text(findFoulHoses(design)),
    drainDown: listDrainDown(design, evaluation),
  };
}

test("a hose drawn from its other end changes nothing: not what is found, nor loop, sump, proof, flushes and drain-down", () => {
  for (const design of ALL_DEMOS) {
    const hoses = design.lines.filter(({ kind }) => kind === "hose");
    if (hoses.length === 0) continue;
    const before = reckon(design);
    for (const { id } of hoses) expect(reckon(turnHose(design, id))).toEqual(before);
  }
});

test("flows through random gear are the same, whichever hose was drawn against the water", () => {
  fc.assert(
    fc.property(gearDesigns, fc.nat(), ({ design, state }, which) => {
      const hoses = design.lines.filter(({ kind }) => kind === "hose");
      const other = turnHose(design, hoses[which % hoses.length]!.id);
      const ends = (one: Design) =>
        [...solveFlows(one, buildGearGraph(one), toSetting(state)).ends].sort((a, b) => a.node.localeCompare(b.node));
      const [a, b] = [ends(design), ends(other)];
      expect(b.map(({ node }) => node)).toEqual(a.map(({ node }) => node));
      a.forEach(({ lpm }, i) => {
        expect(b[i]!.lpm).toBeCloseTo(lpm, 4);
      });
    }),
    { numRuns: 60 },
  );
});
