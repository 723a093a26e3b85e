import type { Design } from "../design/design";
import { buildGearGraph } from "../gear/gearGraph";
import { solveTapLpm } from "../gear/tapFlows";
import { createRecall } from "../quantity/recall";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Less than this is no shower, and less than that fills no cup, L/min [T: a short shower takes 3]. */
const LEAST_LPM = { shower: 2, other: 1 } as const;

const recallFlows = createRecall<Design["gear"], readonly Finding[]>();

/** Taps out of which next to nothing comes in a state that opens them: pump, hoses, filters and lift together are too little. */
export function checkTapFlows(design: Design): readonly Finding[] {
  if (!design.gear.some(({ spec }) => spec.kind === "tap") || design.states.length === 0) return [];
  const hoses = design.lines.filter(({ kind }) => kind === "hose");
  return recallFlows(design.gear, [design.states, design.tanks, design.rig, ...hoses], () => findWeak(design));
}

function findWeak(design: Design): Finding[] {
  const graph = buildGearGraph(design);
  const pumps = new Set(design.gear.flatMap(({ id, spec }) => (spec.kind === "pump" ? [id] : [])));
  return design.gear.flatMap((piece): Finding[] => {
    if (piece.spec.kind !== "tap") return [];
    const leastLpm = piece.spec.use === "shower" ? LEAST_LPM.shower : LEAST_LPM.other;
    const opening = design.states.filter(({ openTaps }) => openTaps.includes(piece.id));
    // a state that opens it with every pump off lets it run empty, unless there is none but such
    const driven = opening.filter(({ on }) => on.some((id) => pumps.has(id)));
    const flows = (driven.length > 0 ? driven : opening).map((state) => ({
      lpm: solveTapLpm(design, graph, state, piece.id),
      name: state.name,
    }));
    const [worst] = [...flows].sort((a, b) => a.lpm - b.lpm);
    if (!worst || worst.lpm >= leastLpm) return [];
    const numbers = { code: "tapWeak", lps: worst.lpm / 60, leastLps: leastLpm / 60, stateName: worst.name } as const;
    return [createFinding({ kind: "gear", id: piece.id }, numbers)];
  });
}
