import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import { freeId } from "../design/freeId";
import type { Gear, HoseEnd } from "../design/gear";
import { isCourseClear } from "../fit/clearCourse";
import { isClearOfParts } from "../fit/clearOfParts";
import { clearPort } from "../fit/clearPort";
import { placeGearPort } from "../gear/gearPorts";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { measureExtent } from "../geometry/solid";
import { add, type Vec3, vec } from "../geometry/vec";
import { findSide, findSideMm, setInSide, setLoop } from "./boatGear";
import type { EditChain } from "./editChain";
import { hangTank } from "./hangTank";
import { USUAL_HOSE } from "./hosePipe";
import { toGear } from "./putPiece";
import { placeClear, toUsual } from "./setDown";
import { listFitStopValve } from "./stopValve";

/** A funnel's rim so far over the bowl's, so that no bowl floods it, mm [T]. */
const OVER_BOWL_MM = 80;
/** The top of a vented loop over the water she floats in and over the bowl, mm: heeled it stays above both [T]. */
const OVER_WATER_MM = 400;
/** A skin fitting so far under the water, where she rolls no air into it, mm [T]. */
const UNDER_WATER_MM = 240;
const INTAKE_MM = 19;
/** A draw so far over the bottom, and where its hose has come up through the floor, mm [T]. */
const DRAW_OVER_MM = 20;
const COMES_UP_MM = 60;
/** An intake so far ahead of what is let out, behind the bowl where there is no room for that, and from her ends, mm [T]. */
const AHEAD_MM = 1_050;
const AFT_MM = 420;
const FROM_END_MM = 120;

/** A strainer so far over the sole, that its bowl comes off, mm. */
const OPENED_BELOW_MM = USUAL_GEAR.strainer.openBelowMm;

/** What a bowl is flushed with. */
export type FlushWater = {
  /** What is on while it is flushed. */
  readonly on: readonly string[];
  /** Shuts what would run by itself in every state in which nothing is on. */
  readonly shutAtRest: () => void;
};

/**
 * Fresh water for a bowl: drawn from the fresh tank, one is hung where there is none, by a pump of its own into a funnel over
 * the bowl's rim, so that nothing of the bowl comes back. Tells what is on while it is flushed; `shutAtRest` puts a stop valve at the tank
 * once the states are named.
 */
export function takeFresh(chain: EditChain, bowl: Gear): FlushWater {
  const from = findFreshDraw(chain);
  const flush = placeGearPort(bowl, "flush");
  const pump = usualSpec("pump");
  const beside = vec(bowl.atMm.x - 260, bowl.atMm.y, 40);
  const pumpId = chain.addGear(
    { key: "flush-pump", name: "Flush pump", spec: pump },
    placeClear(chain.now(), toUsual(pump), beside),
  );
  const gap = usualSpec("airGap");
  const over = vec(flush.x - 90, flush.y - 30, bowl.atMm.z + bowl.sizeMm.z + OVER_BOWL_MM);
  const gapId = chain.addGear(
    { key: "flush-gap", name: "Flush air gap", spec: gap },
    placeClear(chain.now(), toUsual(gap), over),
  );
  const hoseId = chain.addHose(from, toGear(pumpId, "in"));
  chain.addHose(toGear(pumpId, "out"), toGear(gapId, "in"));
  chain.addHose(toGear(gapId, "out"), toGear(bowl.id, "flush"));
  const shutAtRest = () => {
    const [edit] = listFitStopValve(chain.now(), hoseId, from.tankId, "Flush stop valve");
    chain.add(edit ?? null);
  };
  return { on: [pumpId], shutAtRest };
}

/** A draw of its own in the fresh tank; one is hung where there is none. */
export function findFreshDraw(chain: EditChain): Extract<HoseEnd, { kind: "tank" }> {
  const find = () => chain.now().tanks.find(({ holds }) => holds === "fresh");
  if (!find()) {
    hangTank(chain, { holds: "fresh", name: "Fresh tank", near: null });
  }
  const tank = find()!;
  const { min, max } = measureExtent(tank.solid);
  const [x, y, z] = [(min.x + max.x) / 2, (min.y + max.y) / 2, min.z + DRAW_OVER_MM];
  const spots = [vec(x, min.y, z), vec(x, max.y, z), vec(max.x, y, z), vec(min.x, y, z)];
  // in the wall from which the hose comes up clear of what is under the floor
  const isClear = (spot: Vec3) => {
    const foot = add(tank.atMm, spot);
    const way = [foot, vec(foot.x, foot.y, Math.max(foot.z, COMES_UP_MM))];
    return isCourseClear(chain.now(), way, USUAL_HOSE) && isClearOfParts(chain.now(), way, USUAL_HOSE, tank.id);
  };
  // a port of its own: what is there may have its hose
  const port = clearPort(
    tank,
    createPort({
      id: freeId("draw", tank.ports),
      kind: "draw",
      atMm: spots.find(isClear) ?? spots[0]!,
      boreMm: 13,
    }),
  );
  chain.push([{ op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: port }]);
  return { kind: "tank", tankId: tank.id, portId: port.id };
}

/**
 * Sea water for a bowl: in through a skin fitting with seacock at the nearer side, through a strainer, and over a vented loop.
 * Nothing is on while it is flushed: the bowl pumps it.
 */
export function takeInSea(chain: EditChain, bowl: Gear): FlushWater {
  const side = findSide(bowl);
  const flush = placeGearPort(bowl, "flush");
  const water = chain.now().rig.waterlineZMm ?? 0;
  const xMm = findIntakeX(chain.now(), bowl, side);
  const intakeId = setInSide(chain, {
    key: "intake",
    name: "Flush intake",
    serves: "intake",
    boreMm: INTAKE_MM,
    side,
    xMm,
    zMm: water - UNDER_WATER_MM,
  });
  const half = findSideMm(chain, xMm, water - UNDER_WATER_MM);
  const strainer = usualSpec("strainer");
  const strainerId = chain.addGear(
    { key: "strainer", name: "Flush strainer", spec: strainer },
    placeClear(
      chain.now(),
      toUsual(strainer),
      vec(xMm + 60, side * (half - 200) - 30, Math.max(OPENED_BELOW_MM, water - 150)),
    ),
  );
  const loopId = setLoop(chain, {
    key: "flush-loop",
    name: "Flush vented loop",
    side,
    xMm: flush.x - 200,
    zMm: Math.max(water + OVER_WATER_MM, bowl.atMm.z + bowl.sizeMm.z + OVER_WATER_MM / 2),
  });
  chain.addHose(toGear(intakeId, "in"), toGear(strainerId, "in"));
  chain.addHose(toGear(strainerId, "out"), toGear(loopId, "in"));
  chain.addHose(toGear(loopId, "out"), toGear(bowl.id, "flush"));
  return { on: [], shutAtRest: () => undefined };
}

// Ahead of all that is let out on that side, so that what goes overboard is not drawn in again; else behind the bowl.
function findIntakeX({ rig, gear }: Design, { atMm, sizeMm }: Gear, side: number): number {
  const outs = gear.filter(
    ({ spec, atMm: p }) => spec.kind === "skinFitting" && spec.serves === "discharge" && Math.sign(p.y) === side,
  );
  const ahead = Math.max(atMm.x + sizeMm.x, ...outs.map((out) => out.atMm.x)) + AHEAD_MM;
  return ahead <= rig.lengthMm - FROM_END_MM ? ahead : Math.max(FROM_END_MM, atMm.x - AFT_MM);
}
