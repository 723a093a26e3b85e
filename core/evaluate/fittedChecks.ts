import { checkAboard } from "./checkAboard";
import { checkAirGaps } from "./checkAirGaps";
import { checkBowlHoses } from "./checkBowlHoses";
import { checkCodes } from "./checkCodes";
import { checkCounted } from "./checkCounted";
import { checkBlackOutlets, checkDumpLines } from "./checkDumpLines";
import { checkFillPressure } from "./checkFillPressure";
import { checkFittingRoom } from "./checkFittingRoom";
import { checkFittings } from "./checkFittings";
import { checkGear } from "./checkGear";
import { checkGearFrost } from "./checkGearFrost";
import { checkGearRoom } from "./checkGearRoom";
import { checkHeads } from "./checkHeads";
import { checkHull } from "./checkHull";
import { checkJunctions } from "./checkJunctions";
import { checkPads } from "./checkPads";
import { checkSeaInlets } from "./checkSeaInlets";
import { checkSharedAir } from "./checkSharedAir";
import { checkSumps } from "./checkSumps";
import { checkTapFlows } from "./checkTapFlows";
import { checkThrough } from "./checkThrough";
import { checkWaysOut } from "./checkWaysOut";
import type { Check, FittedId } from "./domains";

/** What each of the areas has to say that only some rigs have anything of; `fitted` puts them in place. */
export const FITTED_CHECKS: Readonly<Record<FittedId, Check>> = {
  junctions: ({ design, network, paths }) => [
    ...checkJunctions(design, network, paths),
    ...checkFittingRoom(design, network, paths),
  ],
  codes: ({ design, network, paths }) => checkCodes(design, network, paths),
  gear: ({ design }) => [
    ...checkGear(design),
    ...checkAirGaps(design),
    ...checkGearRoom(design),
    ...checkGearFrost(design),
    ...checkTapFlows(design),
    ...checkFillPressure(design),
  ],
  through: ({ design }) => [...checkThrough(design), ...checkSeaInlets(design)],
  counted: ({ design, network }) => checkCounted(design, network),
  fittings: ({ design }) => checkFittings(design),
  pads: ({ design }) => checkPads(design),
  sharedAir: (judged) => checkSharedAir(judged),
  dumpLines: ({ design }) => checkDumpLines(design),
  hull: ({ design }) => checkHull(design),
  heads: ({ design }) => [
    ...checkHeads(design),
    ...checkBowlHoses(design),
    ...checkSumps(design),
    ...checkWaysOut(design),
    ...checkAboard(design),
    ...checkBlackOutlets(design),
  ],
};
