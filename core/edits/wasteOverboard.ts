import type { Gear, HoseEnd, WorkingState } from "../design/gear";
import { placeGearPort } from "../gear/gearPorts";
import { usualSpec } from "../gear/usualGear";
import { vec } from "../geometry/vec";
import { findSide, setInSide, setLoop } from "./boatGear";
import type { EditChain } from "./editChain";
import { toGear } from "./putPiece";
import { placeClear, toUsual } from "./setDown";

const BORE_MM = 38;
/** The loop's top over the water, and the skin fitting under it, mm [T]. */
const OVER_WATER_MM = 400;
const UNDER_WATER_MM = 200;
/** A skin fitting so far from her bow, mm [T]. */
const FROM_END_MM = 120;

/**
 * Leads a bowl's waste to a valve that sends it into the tank, or over a vented loop and a seacock overboard; the valve's handle
 * is secured until one is where that is allowed. Tells how the valve stands while the tank is used.
 */
export function leadOverboard(chain: EditChain, bowl: Gear, waste: HoseEnd, tank: HoseEnd): WorkingState["positions"] {
  const from = placeGearPort(bowl, "waste");
  const { rig } = chain.now();
  const side = findSide(bowl);
  const water = rig.waterlineZMm ?? 0;
  const diverter = usualSpec("diverter");
  const valveId = chain.addGear(
    { key: "y-valve", name: "Tank or sea", spec: diverter },
    placeClear(chain.now(), toUsual(diverter), vec(from.x + 220, from.y - 30, 40)),
  );
  chain.push([{ op: "set", path: ["gear", valveId, "isSecured"], value: true }]);
  const loopId = setLoop(chain, {
    key: "out-loop",
    name: "Waste vented loop",
    side,
    xMm: from.x + 320,
    zMm: water + OVER_WATER_MM,
  });
  const outId = setInSide(chain, {
    key: "seacock",
    name: "Waste overboard",
    serves: "discharge",
    boreMm: BORE_MM,
    side,
    xMm: Math.min(rig.lengthMm - FROM_END_MM, from.x + 620),
    zMm: water - UNDER_WATER_MM,
  });
  const lead = (a: HoseEnd, b: HoseEnd, name: string) => chain.addHose(a, b, { name, wall: "sanitation" });
  lead(waste, toGear(valveId, "common"), `${bowl.name}, waste`.slice(0, 80));
  lead(toGear(valveId, "a"), tank, "Waste into the tank");
  lead(toGear(valveId, "b"), toGear(loopId, "in"), "Waste up to the loop");
  lead(toGear(loopId, "out"), toGear(outId, "in"), "Waste overboard");
  chain.addState({
    name: "Overboard, offshore",
    on: [],
    positions: [{ gearId: valveId, at: "b" }],
    openTaps: [],
    place: "offshore",
  });
  return [{ gearId: valveId, at: "a" }];
}
