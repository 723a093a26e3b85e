import type { Design } from "@/core/design/design";
import type { UsualState } from "@/core/edits/loopEdits";
import type { EveryPosition, WrongTurns } from "@/core/gear/everyPosition";
import { MOST_TURNS, type PumpTurns } from "@/core/gear/everyPump";
import type { Hazard, HazardKind } from "@/core/gear/hazard";
import type { Join } from "@/core/gear/joins";
import type { LoopWater } from "@/core/gear/loopWater";
import type { Failure } from "@/core/gear/settings";
import type { Turn } from "@/core/gear/turns";
import { speakFor } from "./afloat";
import { POSITION_NAMES } from "./gear";
import { describeFailure } from "./gearFindings";
import { formatNumber } from "./units";

export const USUAL_STATE_NAMES: Readonly<Record<UsualState, string>> = {
  standby: "Standby",
  sink: "Sink",
  shower: "Shower",
  refill: "Refill",
  dump: "Dump",
  campHose: "Camp hose on",
  winter: "Winter",
};

const WATERS = { grey: "Grey", black: "Black", fresh: "Fresh", loop: "Loop", sea: "Sea" } as const;

const VERBS: Readonly<Record<HazardKind, string>> = {
  fouls: "water gets to",
  floods: "water comes in at",
  spills: "water runs onto the floor at",
  runsOut: "water runs out at",
  discharges: "water goes overboard at",
  overfills: "water goes on filling",
  runsDry: "runs dry",
  deadHead: "pumps against a shut line",
};

/** A node of the pumped side by the part it belongs to. */
export function nameNode({ tanks, gear }: Design, node: string): string {
  const [first = "", tankId] = node.split(":");
  return (first === "tank" ? tanks.find(({ id }) => id === tankId) : gear.find(({ id }) => id === first))?.name ?? node;
}

const nameFailed = ({ gear, lines }: Design, failure: Failure): string => {
  if (failure.kind === "hoseOff") return lines.find(({ id }) => id === failure.lineId)?.name ?? "";
  return "gearId" in failure ? (gear.find(({ id }) => id === failure.gearId)?.name ?? "") : "";
};

const nameState = ({ states }: Design, stateId: string): string =>
  states.find(({ id }) => id === stateId)?.name ?? "Everything at rest";

/** One way of the states, in a line. */
export function describeHazard(design: Design, hazard: Hazard, alike = 0): string {
  const { kind, water, to, from, stateId, failure, stored } = hazard;
  const what =
    kind === "runsDry" || kind === "deadHead"
      ? `${nameNode(design, from)} ${VERBS[kind]}`
      : kind === "spills" && failure
        ? `${nameNode(design, from)} runs onto the ${design.rig.kind === "boat" ? "sole" : "floor"}`
        : `${WATERS[water ?? "grey"]} water ${speakFor(design.rig.kind)(VERBS[kind].replace("water ", ""))} ${nameNode(design, to)}${kind === "floods" ? ` by ${nameNode(design, from)}` : ""}`;
  const why = failure ? `${describeFailure(failure, nameFailed(design, failure))}` : "no failure needed";
  const more = alike === 0 ? "" : ` ${alike} more like it.`;
  const pressed = stored
    ? `, out of ${nameNode(design, `${stored.gearId}:in`)}, pressed in by “${nameState(design, stored.stateId)}”`
    : "";
  return `${what}${pressed}: ${nameState(design, stateId)}, ${why}.${more}`;
}

// Who turns what, away from which working state.
function describeTurns(design: Design, stateId: string, turns: readonly Turn[]): string {
  const turned = turns.map(
    ({ gearId, to: at }) =>
      `${design.gear.find(({ id }) => id === gearId)?.name ?? gearId} ${at === "on" ? "on" : POSITION_NAMES[at]}`,
  );
  if (turned.length === 0) return `as “${nameState(design, stateId)}” stands`;
  return `from “${nameState(design, stateId)}”, ${turned.length === 1 ? "one turn" : `${turned.length} turns`}: ${turned.join(", ")}`;
}

/** One way over all positions: who turns what, and what fails. */
export function describeWrongTurns(
  design: Design,
  { water, to, stateId, turns, failure, storedIn }: WrongTurns,
): string {
  const stored = storedIn === null ? "" : `, out of ${nameNode(design, `${storedIn}:in`)}, where a pump has pressed it`;
  const fails = failure ? `, with ${describeFailure(failure, nameFailed(design, failure))}` : "";
  return `${WATERS[water]} water gets to ${nameNode(design, to)}${stored}: ${describeTurns(design, stateId, turns)}${fails}.`;
}

/** How a pump comes to run dry or against a shut line. */
export const describePumpTurns = (design: Design, { kind, gearId, stateId, turns }: PumpTurns): string =>
  `${nameNode(design, gearId)} ${VERBS[kind]}: ${describeTurns(design, stateId, turns)}.`;

/** What was proven, in one line. */
export function describeEveryPosition({ positions, failures, ways }: EveryPosition): string {
  const stands = positions === 1 ? "In its one position" : `Over all ${formatNumber(positions, 0)} positions`;
  const fails = failures === 1 ? "the one single failure" : `each of ${failures} single failures`;
  const over = failures === 0 ? stands : `${stands}, alone and with ${fails}`;
  return ways.length === 0
    ? `${over}: no foul water gets to fresh water or a tap.`
    : `${over}: ${ways.length === 1 ? "one way" : `${ways.length} ways`} for foul water, each with the fewest turns it takes.`;
}

/** Where nothing is pumped or turned: what there is to prove. */
export const NOTHING_PUMPED = "Nothing is pumped and no valve is turned here: there is nothing to prove.";

/** What was proven of pumps, in one line; a valve that sticks is the same to a pump as one that is turned. */
export const describePumpProof = ({ pumps }: EveryPosition): string =>
  pumps.length === 0
    ? `While its tank holds water, no pump runs dry or against a shut line by up to ${MOST_TURNS} turns.`
    : "Pumps, while their tanks hold water, each with the fewest turns it takes. A valve that sticks is the same as one turned:";

/** Where two waters meet, and whether what stands between is what is asked. */
export function describeJoin(
  design: Design,
  { water, from, to, category, keptApartBy, isEnough, turnedGaps }: Join,
): string {
  const list = (ids: readonly string[]) =>
    ids.map((id) => design.gear.find((piece) => piece.id === id)?.name ?? id).join(", ");
  const kept = list(keptApartBy);
  const turned =
    turnedGaps.length === 0 ? "" : ` Over ${list(turnedGaps)} the foul water falls to the fresh: turn the flow round.`;
  const between =
    kept === "" ? "Nothing stands between" : `${kept} ${keptApartBy.length === 1 ? "stands" : "stand"} between`;
  return `${WATERS[water]} (fluid category ${category}) from ${nameNode(design, from)} to ${nameNode(design, to)}. ${between}. ${
    isEnough ? "The air gap is what is asked." : "Asked is an air gap; valves and non-returns are no protection."
  }${turned}`;
}

/** What the tests of the water say, or how to begin. */
export function describeLoopWater({ shedShare, tests, unused, last }: LoopWater): string {
  if (!last) {
    const why =
      unused > 0 ? ` ${unused === 1 ? "One test has" : `${unused} tests have`} no shower before it in the book.` : "";
    return `Not tested yet: usual figures are used.${why} Dip a strip, take off what fresh water shows, and write it down at Road as “Loop water tested”.`;
  }
  return `By ${tests === 1 ? "one test" : `${tests} tests`} a shower sheds ${formatNumber(shedShare, 2)} times the usual. The last read ${formatNumber(last.gPerL * 1000, 0)} mg/L where ${formatNumber(last.reckonedGPerL * 1000, 0)} were worked out.`;
}
