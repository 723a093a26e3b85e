import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import { proveEveryPosition } from "@/core/gear/everyPosition";
import { buildGearGraph } from "@/core/gear/gearGraph";
import { proveInterlock } from "@/core/gear/interlock";
import { listJoins } from "@/core/gear/joins";
import { computeLoopFigures } from "@/core/gear/loopFigures";
import { toSetting } from "@/core/gear/settings";
import { solveFlows } from "@/core/gear/solveFlows";
import { computeTapFlows } from "@/core/gear/tapFlows";
import { toEpanet } from "@/core/gear/toEpanet";
import { describeFinding } from "@/words/findings";
import { describeDose, describeLoop } from "@/words/gear";
import {
  describeEveryPosition,
  describeJoin,
  describePumpProof,
  describePumpTurns,
  describeWrongTurns,
  NOTHING_PUMPED,
} from "@/words/interlock";
import { formatQuantity, type Units } from "@/words/units";

/** States, flows, pressures, hazards, dose and change interval of the pumped side, for a program to read. */
export function reportLoop(design: Design, stateId: string | null) {
  const graph = buildGearGraph(design);
  const states = stateId === null ? design.states : design.states.filter(({ id }) => id === stateId);
  return {
    design: { id: design.id, name: design.name, version: design.version },
    states: states.map((state) => {
      const { links, nodes, ends, residualLpm } = solveFlows(design, graph, toSetting(state));
      return { ...state, links, nodes, ends, residualLpm };
    }),
    hazards: proveInterlock(design).filter((hazard) => stateId === null || hazard.stateId === stateId),
    everyPosition: proveEveryPosition(design),
    joins: listJoins(design),
    taps: computeTapFlows(design),
    loop: computeLoopFigures(design),
  };
}

/** The same as lines for a terminal. */
export function printLoop(design: Design, stateId: string | null, units: Units): string {
  const { states, loop, everyPosition, joins } = reportLoop(design, stateId);
  const nameOf = (node: string) => {
    const [first = "", tankId] = node.split(":");
    return (
      (first === "tank" ? design.tanks.find(({ id }) => id === tankId) : design.gear.find(({ id }) => id === first))
        ?.name ?? node
    );
  };
  const lines = states.flatMap((state) => [
    `${state.name}:`,
    ...state.ends
      .filter(({ lpm }) => Math.abs(lpm) > 0.01)
      .map(
        ({ node, lpm }) =>
          `  ${lpm > 0 ? "into" : "out of"} ${nameOf(node)}: ${formatQuantity(Math.abs(lpm) / 60, "flow", units)}`,
      ),
  ]);
  const told = evaluate(design)
    .findings.filter(({ at }) => at.kind === "gear" || at.kind === "state")
    .map((finding) => {
      const { title, why } = describeFinding(finding, design, units);
      return `${finding.severity.toUpperCase()}  ${title}. ${why}`;
    });
  const sums = loop
    ? [describeLoop(loop, units), ...(describeDose(loop, units) ? [describeDose(loop, units)!] : [])]
    : [];
  const isPumped = design.gear.length > 0;
  const proof = !isPumped
    ? [NOTHING_PUMPED]
    : everyPosition
      ? [
          describeEveryPosition(everyPosition),
          ...everyPosition.ways.map((way) => describeWrongTurns(design, way)),
          describePumpProof(everyPosition),
          ...everyPosition.pumps.map((pump) => describePumpTurns(design, pump)),
        ]
      : [];
  const met = joins.map((join) => describeJoin(design, join));
  const cautions = isPumped ? ["Loop water is never drunk."] : [];
  return `${[design.name, ...lines, ...told, ...proof, ...met, ...sums, ...cautions].join("\n")}\n`;
}

/** The network of one working state as an EPANET input file. */
export function exportEpanet(design: Design, stateId: string | null): string {
  const state = design.states.find(({ id }) => id === stateId) ?? design.states[0] ?? null;
  return toEpanet(design, buildGearGraph(design), toSetting(state));
}
