import type { Design } from "../design/design";
import type { Rig } from "../design/rig";
import { createRecall } from "../quantity/recall";
import { computeFullKg } from "../tanks/shell";
import { computeHydrostatics } from "./hydrostatics";

/**
 * How much deeper a boat lies with all her tanks full than at the waterline that was given, mm ≥ 0; null without a hull's
 * sections or a waterline. Weight over what a centimetre takes, at the given line or at the deeper one, whichever takes
 * less, on the safe side. Source: hydrostatics [C].
 */
export const measureLoadedSinkMm = ({ rig, tanks }: Pick<Design, "rig" | "tanks">): number | null =>
  recallSink(rig, [tanks], () => solveSinkMm(rig, tanks));

const recallSink = createRecall<Rig, number | null>();

function solveSinkMm({ hull, waterlineZMm }: Rig, tanks: Design["tanks"]): number | null {
  if (!hull || waterlineZMm === null) return null;
  const rest = computeHydrostatics(hull, waterlineZMm);
  if (!rest) return null;
  const kg = tanks.reduce((sum, tank) => sum + computeFullKg(tank), 0);
  const sinkMm = (kg / rest.kgPerCm) * 10;
  const deeper = computeHydrostatics(hull, waterlineZMm + sinkMm);
  return deeper && deeper.kgPerCm < rest.kgPerCm ? (kg / deeper.kgPerCm) * 10 : sinkMm;
}
