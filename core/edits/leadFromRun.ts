import type { Design } from "../design/design";
import { freeId } from "../design/freeId";
import { type Gear, MOST_STATES, type WorkingState } from "../design/gear";
import { roundTenth } from "../design/moves";
import { placeGearPort } from "../gear/gearPorts";
import type { TapRun } from "../gear/tapRuns";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { scale, subtract, vec } from "../geometry/vec";
import { cutHose } from "./cutHose";
import type { EditChain } from "./editChain";
import { leadToTaps, ON_FLOOR_MM, TEE_BESIDE_MM } from "./leadToTaps";
import { findHoseAt, isSameEnd, toGear } from "./putPiece";
import { placeClear, toUsual } from "./setDown";

/** A tap that is to have water, and the fixture it is called after. */
export type MoreTap = { readonly tapId: string; readonly name: string };
type Names = { readonly tee: (name: string) => string; readonly state: (name: string) => string };

/**
 * Leads water of a run on to more taps: from a tee at the one of its taps that stands nearest, to each in turn, and opens each in a working
 * state like that tap's own. Common practice, no source [T].
 */
export function leadFromRun(chain: EditChain, run: TapRun, more: readonly MoreTap[], names: Names): void {
  const measure = (a: string, b: string) => away(chain.now(), a, b);
  const likes = run.taps.flatMap(({ id }) => more.map(({ tapId }) => ({ id, mm: measure(id, tapId) })));
  const likeId = likes.reduce((least, one) => (one.mm < least.mm ? one : least)).id;
  // the nearest to it first, so that no hose goes back past a tap it has served
  const sorted = [...more].sort((a, b) => measure(a.tapId, likeId) - measure(b.tapId, likeId));
  const teeId = setTeeAtTap(chain, likeId, names.tee(sorted[0]!.name));
  leadToTaps(
    chain,
    toGear(teeId, "c"),
    sorted.map(({ tapId, name }) => ({ tapId, teeName: `${names.tee(name)}, on` })),
  );
  openLike(chain, { likeId, run, more: sorted, toName: names.state });
}

function away({ gear }: Design, a: string, b: string): number {
  const [one, other] = [a, b].map((id) => gear.find((piece) => piece.id === id)!.atMm) as [Gear["atMm"], Gear["atMm"]];
  return Math.hypot(one.x - other.x, one.y - other.y);
}

/** What stands so far over the tee is the way up to the tap, mm. */
const UP_MM = 150;

// Where the hose turns up to the tap, which is led anew from there: else it would go up to the tap and come down again. Beside the tap where
// it does not turn.
function setTeeAtTap(chain: EditChain, tapId: string, name: string): string {
  const design = chain.now();
  const end = toGear(tapId, "in");
  const hose = findHoseAt(design, end);
  if (!hose) return chain.refuse("no hose comes to the tap");
  const tap = placeGearPort(design.gear.find(({ id }) => id === tapId)!, "in");
  const isToTap = isSameEnd(hose.to, end);
  const low = hose.pointsMm.map(({ z }) => z <= ON_FLOOR_MM + UP_MM);
  const turn = isToTap ? low.lastIndexOf(true) : low.indexOf(true);
  const turnMm = hose.pointsMm[turn];
  // from under the floor it is led to the tee as it comes
  const isTurn = turnMm !== undefined && turnMm.z >= 0;
  const half = scale(USUAL_GEAR.tee.sizeMm, 0.5);
  const wanted = isTurn
    ? subtract(turnMm, half)
    : vec(tap.x + USUAL_GEAR.tap.sizeMm.x / 2 - TEE_BESIDE_MM, tap.y, ON_FLOOR_MM);
  const atMm = placeClear(design, toUsual(usualSpec("tee")), roundTenth(wanted));
  const id = freeId("more-taps-tee", design.gear);
  const tee: Gear = { id, name: name.slice(0, 60), atMm, ...USUAL_GEAR.tee };
  const count = hose.pointsMm.length;
  const kept = isTurn ? 0 : 1;
  chain.push(
    isToTap
      ? cutHose(design, hose, [turn + kept, count], tee, ["a", "b"])
      : cutHose(design, hose, [0, turn < 0 ? count : turn + 1 - kept], tee, ["b", "a"]),
  );
  return id;
}

type Like = {
  readonly likeId: string;
  readonly run: TapRun;
  readonly more: readonly MoreTap[];
  readonly toName: (name: string) => string;
};

// Each in a state of its own, while there is room for as many; else with the like one. Where the pump rests, as in a drain-down, they stand
// open with it.
function openLike(chain: EditChain, { likeId, run, more, toName }: Like): void {
  const { states } = chain.now();
  const ids = more.map(({ tapId }) => tapId);
  const isPump = run.push.spec.kind === "pump";
  // a tap outside presses with nothing on
  const isRest = ({ on }: WorkingState) => isPump && on.length === 0;
  const isOn = ({ on }: WorkingState) => !isPump || on.includes(run.push.id);
  const like = states.find((state) => !isRest(state) && state.openTaps.includes(likeId)) ?? states.find(isOn);
  const isRoom = states.length + more.length <= MOST_STATES;
  const opensBoth = (state: WorkingState) =>
    (isRest(state) && state.openTaps.includes(likeId)) || (!isRoom && state === like);
  const value = states.map((state) => (opensBoth(state) ? { ...state, openTaps: [...state.openTaps, ...ids] } : state));
  chain.push([{ op: "set", path: ["states"], value }]);
  if (!isRoom) return;
  const { on, positions, place } = like ?? { on: isPump ? [run.push.id] : [], positions: [], place: undefined };
  for (const { tapId, name } of more) {
    const state = { name: toName(name).slice(0, 60), on, positions, openTaps: [tapId] };
    chain.addState(place === undefined ? state : { ...state, place });
  }
}
