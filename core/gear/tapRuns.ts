import type { Design } from "../design/design";
import type { Gear, GearOf } from "../design/gear";
import { buildGearGraph, toPortNode } from "./gearGraph";
import { listHot } from "./hotWays";
import { buildArcs, listReached } from "./reach";
import { ALL_OPEN } from "./settings";

/** The pump or the tap outside that pushes fresh water, and the taps it comes to with nothing between that has to be opened. */
export type TapRun = { readonly push: Gear; readonly taps: readonly GearOf<"tap">[] };
export type WarmRun = TapRun & { readonly heater: Gear };

/** Behind these a tap is served by hand or by a circuit of its own. */
const PARTS: ReadonlySet<Gear["spec"]["kind"]> = new Set(["pump", "valve", "diverter", "airGap"]);

const parts = ({ spec }: Gear): boolean => PARTS.has(spec.kind);
const isWarmed = ({ spec }: Gear): boolean => spec.kind === "heater" || spec.kind === "mixer";
const isPump = ({ spec }: Gear): boolean => spec.kind === "pump";
const isTap = (piece: Gear): piece is GearOf<"tap"> => piece.spec.kind === "tap";

type Runs = { readonly cold: readonly TapRun[]; readonly warm: readonly WarmRun[] };

/** Where fresh water comes to taps, cold and past a heater; those with most taps first. Followed with every valve open [C]. */
export function listTapRuns(design: Design): Runs {
  const pushes = design.gear.filter(({ spec }) => spec.kind === "pump" || spec.kind === "coupling");
  if (pushes.length === 0) return { cold: [], warm: [] };
  const graph = buildGearGraph(design);
  const arcs = buildArcs(graph, ALL_OPEN);
  const comesIn = (piece: Gear): boolean => {
    if (piece.spec.kind === "coupling") return piece.spec.supplyKPa !== null;
    const inlet = toPortNode(piece.id, "in");
    const feeds = graph.ends.filter(({ node, holds }) => holds !== null && listReached(arcs, node, isPump).has(inlet));
    return feeds.length > 0 && feeds.every(({ holds }) => holds === "fresh");
  };
  const listTaps = (reached: ReadonlySet<string>) =>
    design.gear.filter(isTap).filter(({ id }) => reached.has(toPortNode(id, "in")));
  const cold: TapRun[] = [];
  const warm: WarmRun[] = [];
  for (const push of pushes.filter(comesIn)) {
    const reached = listReached(arcs, toPortNode(push.id, "out"), (piece) => parts(piece) || isWarmed(piece));
    cold.push({ push, taps: listTaps(reached) });
    for (const heater of design.gear) {
      if (heater.spec.kind !== "heater" || !reached.has(toPortNode(heater.id, "in"))) continue;
      warm.push({ push, heater, taps: listTaps(listHot(design.gear, arcs, [heater], parts)) });
    }
  }
  return { cold: sortByTaps(cold), warm: sortByTaps(warm) };
}

const sortByTaps = <R extends TapRun>(runs: readonly R[]): R[] =>
  runs.filter(({ taps }) => taps.length > 0).sort((a, b) => b.taps.length - a.taps.length);
