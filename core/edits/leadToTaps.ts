import type { GearSpec, HoseEnd } from "../design/gear";
import { placeGearPort } from "../gear/gearPorts";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { type Vec3, vec } from "../geometry/vec";
import type { EditChain } from "./editChain";
import { toGear } from "./putPiece";
import { placeClear, toUsual } from "./setDown";

/** Gear on the floor, mm [T]. */
export const ON_FLOOR_MM = 40;
/** A tee so far beside the tap it serves, mm [T]. */
export const TEE_BESIDE_MM = 150;

/** A tap that is to have water, and what its tee is called. */
export type Served = { readonly tapId: string; readonly teeName: string };

/** Leads water on from an end to each tap in turn, on a tee for each but the last. Common practice, no source [T]. */
export function leadToTaps(chain: EditChain, from: HoseEnd, served: readonly Served[]): void {
  let last = from;
  for (const [i, { tapId, teeName }] of served.entries()) {
    if (i === served.length - 1) {
      chain.addHose(last, toGear(tapId, "in"));
      return;
    }
    const tap = chain.now().gear.find(({ id }) => id === tapId)!;
    const { x, y } = placeGearPort(tap, "in");
    const teeId = setBeside(
      chain,
      teeName,
      usualSpec("tee"),
      vec(x + USUAL_GEAR.tap.sizeMm.x / 2 - TEE_BESIDE_MM, y, ON_FLOOR_MM),
    );
    chain.addHose(last, toGear(teeId, "a"));
    chain.addHose(toGear(teeId, "c"), toGear(tapId, "in"));
    last = toGear(teeId, "b");
  }
}

/** Sets a piece down clear of all else, as near as can be to where it is wanted, high enough to be opened below. */
export function setBeside(chain: EditChain, name: string, spec: GearSpec, wanted: Vec3): string {
  const z = Math.max(wanted.z, USUAL_GEAR[spec.kind].openBelowMm);
  const short = name.slice(0, 60);
  const key = short.toLowerCase().replaceAll(" ", "-");
  return chain.addGear({ key, name: short, spec }, placeClear(chain.now(), toUsual(spec), vec(wanted.x, wanted.y, z)));
}
