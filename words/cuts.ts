import type { Cut, CutEnd, EndThing } from "@/core/build/cuts";
import { FITTING_NAMES, INLINE_NAMES, JOINT_NAMES } from "./drainLabels";
import { formatLength, type Units } from "./units";

/** What a bend that is sold leaves over of the drawn angle may be, degrees: the joints take up so much [T]. */
const JOINTS_TAKE_DEG = 6;

/** Below this nobody measures it, mm. */
const NOTHING_MM = 0.5;

/** One end of a piece: what it goes into, and how far from the middle as drawn it ends there. */
export function describeCutEnd({ things, takeOffMm }: CutEnd, units: Units): string {
  const what = things.map((thing) => describeThing(thing, units)).join(" and ");
  if (takeOffMm >= NOTHING_MM) return `${what}, ${formatLength(takeOffMm, units)} off`;
  return takeOffMm <= -NOTHING_MM ? `${what}, ${formatLength(-takeOffMm, units)} in` : what;
}

function describeThing(thing: EndThing, units: Units): string {
  switch (thing.kind) {
    case "bend": {
      const left = Math.round(thing.leftDeg);
      if (Math.abs(left) < 1) return `bend ${thing.bendDeg}°`;
      const over = Math.abs(left) > JOINTS_TAKE_DEG ? ", more than joints take: turn the bend out of the plane" : "";
      return `bend ${thing.bendDeg}° (${Math.abs(left)}° ${left > 0 ? "missing" : "too much"}${over})`;
    }
    case "socket":
      return `union, turned ${Math.round(thing.leftDeg)}°`;
    case "wye":
    case "tee":
      return FITTING_NAMES[thing.kind].name.toLowerCase();
    case "cleanout":
    case "shutOff":
    case "nonReturn":
      return INLINE_NAMES[thing.kind].name.toLowerCase();
    case "union":
    case "reducer":
    case "hoseBarb":
      return JOINT_NAMES[thing.kind];
    case "airTee":
      return `a tee for its air ${formatLength(thing.alongMm, units)} along, sawn in there`;
    case "runningTrap":
      return "running trap";
    case "trap":
    case "waste":
    case "tank":
    case "coupling":
      return thing.kind;
    case "gear":
      return "fitting";
    case "open":
      return thing.sawDeg > 89 ? "open, sawn square" : `open, sawn at ${Math.round(thing.sawDeg)}°`;
  }
}

/** Both ends of a piece; empty for hose. */
export const describeCutEnds = ({ ends }: Pick<Cut, "ends">, units: Units): string =>
  ends ? ends.map((end) => describeCutEnd(end, units)).join(" – ") : "";

/** What is sawn of a piece. */
export const describeCutLength = ({ cutMm }: Pick<Cut, "cutMm">, units: Units): string =>
  cutMm === null ? "none" : formatLength(cutMm, units);

/** What stands under a list in which a piece has nothing left to be sawn. */
export const NO_PIPE_BETWEEN =
  "None: the fittings leave no pipe between them. Put one into the other, with a plain end, or move the point.";

/** What the figures are, on screen and on paper. */
export const CUT_NOTE =
  "Middle to middle as drawn, less what the fittings take to the foot of their sockets. Common figures, and at a trap or a tank rather too long: hold each piece up before you saw it.";
