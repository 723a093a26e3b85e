import type { Design } from "../design/design";
import type { Gear, GearOf, WorkingState } from "../design/gear";
import { buildGearGraph, type GearGraph } from "../gear/gearGraph";
import { findBestDose } from "../gear/loopFigures";
import { listLoopShowers } from "../gear/loopShower";
import { type Arc, buildArcs, findWays } from "../gear/reach";
import { toSetting } from "../gear/settings";
import { LOG_DOSES } from "../gear/waterQuality";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** A filter that lets coarser grains through leaves germs their shade, µm [T]. */
const FINE_UM = 5;
/** Three log steps of the germ that stands chlorine, at the lamp's end of life, mJ/cm² [P: as the table, from memory, 97 %]. */
const LEAST_DOSE = LOG_DOSES.cryptosporidium[3];

/** Used shower water that comes out of a head as it went in: past no lamp that is lit, past no filter, too fast or too dim. */
export function checkLoopWater(design: Design): Finding[] {
  const { states, tanks, gear } = design;
  if (!tanks.some(({ holds }) => holds === "loop")) return [];
  const graph = buildGearGraph(design);
  const heads = gear.filter(
    (piece): piece is GearOf<"tap"> => piece.spec.kind === "tap" && piece.spec.use === "shower",
  );
  const told = new Map<string, Finding>();
  for (const state of states) {
    for (const head of heads) {
      if (!state.openTaps.includes(head.id)) continue;
      for (const finding of checkHead(graph, state, head)) if (!told.has(finding.id)) told.set(finding.id, finding);
    }
    for (const lamp of gear.filter(({ id }) => state.on.includes(id))) {
      if (lamp.spec.kind !== "uvLamp" || isMoved(design, state)) continue;
      const finding = createFinding({ kind: "gear", id: lamp.id }, { code: "lampCooks", stateName: state.name });
      if (!told.has(finding.id)) told.set(finding.id, finding);
    }
  }
  return [...told.values(), ...checkDose(design)];
}

function checkHead(graph: GearGraph, state: WorkingState, head: GearOf<"tap">): Finding[] {
  const arcs = buildArcs(graph, toSetting(state));
  const sources = graph.ends.filter(({ holds, isEverWet }) => holds === "loop" && isEverWet);
  // what runs by itself while pipes are emptied is not showered in
  const comes = (isLeftOut: (gear: Gear) => boolean) => {
    const open = leaveOut(arcs, isLeftOut);
    return sources.some((source) => findWays(graph, open, source).get(`${head.id}:in`)?.isDriven);
  };
  const isLit = ({ id, spec }: Gear) => spec.kind === "uvLamp" && state.on.includes(id);
  const isFine = ({ spec }: Gear) => spec.kind === "filter" && spec.micron <= FINE_UM;
  const at = { kind: "gear", id: head.id } as const;
  const numbers = { stateName: state.name, otherId: state.id } as const;
  return [
    ...(comes(isLit) ? [createGraded("must", at, { code: "loopUntreated", lacks: "lamp", ...numbers })] : []),
    ...(comes(isFine) ? [createGraded("should", at, { code: "loopUntreated", lacks: "filter", ...numbers })] : []),
  ];
}

const leaveOut = (
  arcs: ReadonlyMap<string, readonly Arc[]>,
  isLeftOut: (gear: Gear) => boolean,
): ReadonlyMap<string, readonly Arc[]> =>
  new Map(
    [...arcs].map(([node, list]) => [
      node,
      list.filter(({ link }) => !(link.kind === "inside" && isLeftOut(link.gear))),
    ]),
  );

export const isMoved = ({ gear }: Design, { on, openTaps }: WorkingState): boolean =>
  openTaps.length > 0 || gear.some(({ id, spec }) => spec.kind === "pump" && on.includes(id));

// Each lamp is held against the most that runs past it to any shower; of several on one way the one that gives the most counts.
function checkDose(design: Design): Finding[] {
  if (!design.gear.some(({ spec }) => spec.kind === "uvLamp")) return [];
  const showers = listLoopShowers(design).toSorted((a, b) => b.lpm - a.lpm);
  const told = new Map<string, Finding>();
  for (const shower of showers) {
    const { lpm } = shower;
    const dose = findBestDose(shower);
    const lamp = dose && design.gear.find(({ id }) => id === dose.lampId);
    // one that lets nothing through is told by itself
    if (!dose || told.has(dose.lampId) || (lamp?.spec.kind === "uvLamp" && lamp.spec.transmittance === 0)) continue;
    const { leastMjPerCm2, lampId } = dose;
    if (leastMjPerCm2 >= LEAST_DOSE) continue;
    const numbers = { code: "uvWeak", doseMjPerCm2: leastMjPerCm2, wantedMjPerCm2: LEAST_DOSE, lpm } as const;
    told.set(lampId, createFinding({ kind: "gear", id: lampId }, numbers));
  }
  return [...told.values()];
}
