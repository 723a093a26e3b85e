import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import { buildGearGraph, toPortNode } from "../gear/gearGraph";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN, toSetting } from "../gear/settings";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/**
 * Charged over the pressure at which its pump starts an accumulator is empty by then: the pump runs for each drop that is
 * drawn. Common practice, no source.
 */
export function checkCharge(design: Design): Finding[] {
  const { gear } = design;
  const accumulators = gear.filter((piece): piece is GearOf<"accumulator"> => piece.spec.kind === "accumulator");
  const pumps = gear.flatMap((piece) =>
    piece.spec.kind === "pump" && piece.spec.cutInKPa !== null ? [{ id: piece.id, cutInKPa: piece.spec.cutInKPa }] : [],
  );
  if (accumulators.length === 0 || pumps.length === 0) return [];
  const graph = buildGearGraph(design);
  const on = pumps.map(({ id }) => id);
  // as it stands with every valve at rest; what no pump comes to then is filled through one that is opened
  const settings = [toSetting({ id: "", name: "", on, positions: [], openTaps: [] }), ALL_OPEN];
  const ways = settings.map((setting) => buildArcs(graph, setting));
  return accumulators.flatMap(({ id, spec: { prechargeKPa } }) => {
    const cutIns = ways
      .map((arcs) => pumps.filter((pump) => listReached(arcs, toPortNode(pump.id, "out")).has(toPortNode(id, "in"))))
      .find((own) => own.length > 0)
      ?.map(({ cutInKPa }) => cutInKPa);
    // joined to none yet, it is held against all there are
    const cutInKPa = cutIns ? Math.min(...cutIns) : Math.max(...pumps.map((pump) => pump.cutInKPa));
    return prechargeKPa > cutInKPa
      ? [createFinding({ kind: "gear", id }, { code: "accumulatorHard", prechargeKPa, cutInKPa })]
      : [];
  });
}
