import type { Design } from "../design/design";
import type { Rig } from "../design/rig";
import { MM3_PER_L } from "../quantity/convert";
import { createRecall } from "../quantity/recall";
import { computeFullKg } from "../tanks/shell";
import { computeHydrostatics, type Hydrostatics, SEA_KG_PER_L } from "./hydrostatics";

/** Fresh water in summer, kg/L [C]. */
const FRESH_KG_PER_L = 0.998;

/**
 * How much deeper a boat lies with all her tanks full, and in fresh water, than at the waterline that was given, which is taken as
 * hers at sea, mm ≥ 0; null without a hull's sections or a waterline. What she has to displace more over what a centimetre takes
 * there, at the given line or at the deeper one, whichever takes less, on the safe side. Source: hydrostatics [C].
 * Example: box of 4 × 2 m, 0.5 m deep, no tanks: 13.5 mm.
 */
export const measureLoadedSinkMm = ({ rig, tanks }: Pick<Design, "rig" | "tanks">): number | null =>
  recallSink(rig, [tanks], () => solveSinkMm(rig, tanks));

const recallSink = createRecall<Rig, number | null>();

function solveSinkMm({ hull, waterlineZMm }: Rig, tanks: Design["tanks"]): number | null {
  if (!hull || waterlineZMm === null) return null;
  const rest = computeHydrostatics(hull, waterlineZMm);
  if (!rest) return null;
  const kg = tanks.reduce((sum, tank) => sum + computeFullKg(tank), 0);
  const moreL = (rest.displacementKg + kg) / FRESH_KG_PER_L - rest.displacementKg / SEA_KG_PER_L;
  const sinkAt = ({ planeMm2 }: Hydrostatics) => (moreL * MM3_PER_L) / planeMm2;
  const sinkMm = sinkAt(rest);
  const deeper = computeHydrostatics(hull, waterlineZMm + sinkMm);
  return deeper && deeper.planeMm2 < rest.planeMm2 ? sinkAt(deeper) : sinkMm;
}
