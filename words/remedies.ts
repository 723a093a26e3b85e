import type { Design } from "@/core/design/design";
import type { Edit, EditPath } from "@/core/design/editOps";
import type { Fixing } from "@/core/design/plumbing";
import type { Vec3 } from "@/core/geometry/vec";
import type { Remedy, Way } from "@/core/remedies/remedy";
import { describePart } from "./describePart";
import { describeEdit } from "./edits";
import { formatLength, formatNumber, formatQuantity, type Units } from "./units";

/** What a remedy does, as an instruction. */
export function describeRemedy(
  { edit, byMm, way }: Pick<Remedy, "edit" | "byMm" | "way">,
  design: Design,
  units: Units,
): string {
  const part = describePart(edit.at, design);
  const by = byMm === null ? "" : formatLength(byMm, units);
  switch (edit.code) {
    case "addTank":
      return "Hang a grey tank where there is room";
    case "addFixture":
      return "Add a kitchen sink";
    case "addDrain":
      return "Draw its drain";
    case "ownInlet":
      return `Cut a hole of its own for ${part}`;
    case "joinBefore":
      return `Let ${part} join the other one before the tank`;
    case "redirect":
      return "Let it join at another place";
    case "resize":
      return sayResize(part, by, way, design);
    case "reroute":
      return sayReroute(part, by, way, design);
    case "shareFall":
      return "Share the fall out over the bends";
    case "raiseOutlet":
      return `Raise the outlet of ${part} by ${by}`;
    case "lowerTank":
      return edit.ops.some(({ path }) => path[2] === "ports")
        ? `Hang ${part} ${by} lower and set its inlet as much higher, so that the drain stays`
        : `Hang ${part} ${by} lower`;
    case "lowerInlet":
      return `Set the inlet ${by} lower in the tank`;
    case "shorten":
      return `Bring ${part} ${by} nearer`;
    case "hangTrap":
      return `Hang it under the ${design.rig.kind === "boat" ? "sole" : "floor"} on a tailpiece, ${by} lower, with a cleanout`;
    case "lowerTrap":
      return sayLowerTrap(edit, by);
    case "addTrap":
      return byMm === null ? "Fit a P-trap and share the fall out" : `Fit a P-trap and raise the outlet by ${by}`;
    case "deepenSeal":
      return `Fit a trap with ${by} more seal`;
    case "setSeal":
      return `Fit a trap with ${by} of seal`;
    case "takeDown":
      return `Lay it flat, and straight down by ${by} ${nameWay(way ?? "lowerEnd", design)}`;
    case "widenVents":
      return `Use a bore of ${by} for every breather`;
    case "widenHoses":
      return `Use hose of ${by} bore all the way to it`;
    case "widenFloat":
      return `Let its float move ${by} more between on and off`;
    case "addState":
      return "Add a working state in which it runs";
    case "setEnvelope":
      return `Judge it as far as ${describeEnvelope(edit, units)}`;
    case "addStates":
      return "Add a working state for each tap, and one at rest";
    case "usualClarity":
      return "Count on a usual figure until you have measured it";
    case "useLamp":
      return `Use a lamp of ${formatNumber(findPut(edit, "uvcWatts"), 1)}\u00a0W of UV-C`;
    case "standCanister":
      return "Stand a canister under its end";
    case "openInState":
      return `Open ${part} in that state`;
    case "setInDeck":
      return "Set it in the deck above";
    case "breakHose":
      return "Let its water fall into the tank through an air gap";
    case "straighten":
      return `Lay it straight past ${part}, from the point before the bends to the one behind`;
    case "drawIn":
      return `Draw ${part} ${by} in towards her middle`;
    case "removeBend":
      return `Take ${part} out`;
    case "widenFitting":
      return `Use one of ${by} bore`;
    case "setRelief":
      return `Use a relief valve set to ${formatQuantity(findPut(edit, "setKPa"), "waterPressure", units)}`;
    case "lowerSwitch":
      return `Let the switch of ${part} stop it at ${formatQuantity(findPut(edit, "cutOutKPa"), "waterPressure", units)}`;
    case "fitReducer":
      return `Fit ${part} with a pressure reducer set to ${formatQuantity(findPut(edit, "reducedToKPa"), "waterPressure", units)}`;
    case "lowerOutlet":
      return `Set the outlet at the bottom of the tank, ${by} ${nameWay(way ?? "down", design)}`;
    case "fitDumpValve":
      return "Fit a hand valve at the outlet";
    case "plumbToilet":
      return "Give it a tank, breather, pipes and water";
    case "fitPumpOut":
      return "Fit a pump-out: a draw, a hose and a deck fitting";
    case "addPort":
      return "Add a port for it, where it sits";
    case "seatPort":
      return `Set it ${by} farther in`;
    case "removePort":
      return "Leave the hole out";
    case "fitStrainer":
      return "Put a strainer in the hose to it";
    case "fitAirGap":
      return "Let the fresh water fall into the loop's tank through an air gap, and take the tee out";
    case "fitStopValve":
      return "Fit a stop valve at the tank, shut while nothing is on";
    case "fitLoop":
      return "Lead the hose over a vented loop";
    case "regradeDumpLine":
      return "Lay it over the same points with the least fall all the way";
    case "openDumpLine":
      return "Give it a coupling of its own at the nearest edge";
    case "barrierHose":
      return "Use a barrier hose";
    case "countFixtures":
      return "Count what is usual there, to be changed under Days";
    case "countFlush":
      return "Count the whole flush, and what goes along with it";
    case "fitRelief":
      return "Fit a relief valve on a tee right before it";
    case "fitMixer":
      return "Fit a mixer right behind it, with cold water from before it";
    case "swapFilters":
      return "Let the two filters change places";
    case "turnRound":
      return "Turn it round";
    case "turnOff":
      return "Turn it off where the water stands";
    case "turnOn":
      return "Light it in every state in which a pump is on and a tap open";
    case "secureValve":
      return `Secure ${part}: lock it, tie it or take its handle off`;
    case "useComposite":
      return "Use one of rated composite";
    case "fitTail":
      return `Use a tail for a hose of ${by} bore`;
    case "enlargeSump":
      return `Use a larger box for ${part}`;
    case "setFloat":
      return "Let its float start the pump lower";
    case "setSender":
      return "Use one that ends inside the tank";
    case "widenValve":
      return `Use a valve of ${by} bore`;
    case "fitSeacock":
      return "Fit a seacock";
    case "fitBacking":
      return "Put a backing block behind it";
    case "fitClamps":
      return "Put two clamps on its hose";
    case "useBronze":
      return "Use one of bronze";
    case "swapMarks":
      return "Swap the two heights";
    case "setCharge":
      return "Let air out until it holds less than the pump starts at";
    case "setSwitch":
      return "Set its switch under what it reaches";
    case "fitPlates":
      return "Put a plate behind each bolt";
    case "fitEndStops":
      return "Put an end stop before and behind it";
    case "throughBolts":
      return "Use through bolts with plates";
    case "holdTank":
      return `Hold it with ${describeHold(edit)}`;
    case "moveBolts":
      return way ? `Move its bolts ${by} ${nameWay(way, design)}` : `Move its bolts by ${by}`;
    case "shiftPort":
      return `Move ${part} ${by} ${way ? nameWay(way, design) : "along its wall"}`;
    case "makeRoom":
      return `Move ${part} by ${by}, to make room for the fittings`;
    case "fitPad":
      return "Fit a stronger heating pad";
    case "countLoads":
      return "Count what the machine takes";
    case "useToilet":
      return "Count its usual use, to be changed under Days";
    case "addBranchVent":
      return byMm === null ? "Put an air-admittance valve on the branch" : `Set its air ${by} behind the trap`;
    case "addVent":
      return "Fit a breather and take it up the wall";
    case "widenPipe":
      return "Use the next wider pipe";
    case "liftVent":
    case "liftTee":
      return `Lift ${part} by ${by}`;
    case "openVent":
      return "Take this breather to the open air by itself";
    case "moveClear":
      return edit.at.kind === "tank" && way === "up" && edit.ops.some(({ path }) => isPointOfDumpLine(path, design))
        ? `Hang ${part} ${by} higher, its dump line with it`
        : sayMove(part, by, way, design);
    case "clearLeg":
      return sayMove(part, by, way, design);
    case "moveVentEnd":
      return way ? `Take the open end ${by} ${nameWay(way, design)}` : `Take the open end ${by} further off`;
    case "fitMesh":
      return "Put a mesh on it";
    case "reckonCrash":
      return "Count the crash of its usual class";
    case "addDumpLine":
      return "Lay a dump line to the nearest edge";
    case "raiseGap":
      return `Raise the spout until the water falls ${by}`;
    case "widenInlet":
      return `Use ${isInlet(edit, design) ? "an inlet" : "a port"} of ${by} bore`;
    case "keepPipe":
      return "Keep the wider pipe from there on";
    case "addOwnVessel":
      return `Hang a small tank of its own under ${part}, with a breather`;
    case "widenHole":
      return `Widen the hole to ${by}`;
    case "fitBottleTrap":
      return "Fit a bottle trap: its legs stand nearer together";
    case "turnBranch":
      return "Turn the last bend the way the water runs";
    case "useLess":
      return `Let it take no more than ${formatQuantity(byMm ?? 0, "volume", units)} at a time`;
    case "moveInside":
      return edit.at.kind === "fixture" ? `Move ${part} onto the floor, by ${by}` : `Move ${part} in by ${by}`;
    case "ventAlongWall":
      return sayAlongWall(edit);
    case "removeLineTrap":
      return "Take the trap in the line out";
    case "addCleanout":
      return "Fit a cleanout that can be reached";
    case "removeTrap":
      return "Take the trap under the fixture out";
    case "widenVent":
      return `Use a bore of ${by} for ${part}`;
    case "lowerEnd":
      return `Hang the open end ${by} lower`;
    case "addOutlet":
      return "Fit a dump outlet at the bottom edge";
    case "move":
      return edit.at.kind === "bend" ? `Take the end of the breather up by ${by}` : `Set ${part} ${by} higher`;
    default:
      return describeEdit(edit, design);
  }
}

function sayLowerTrap(edit: Edit, by: string): string {
  const fitted = isMembrane(edit)
    ? "Fit a membrane valve in its place: it holds no water and takes next to no height"
    : "Fit a low running trap in its place, which takes less height";
  return by === "" ? fitted : `${fitted}, and raise the outlet by ${by}`;
}

const isMembrane = ({ ops }: Edit): boolean =>
  ops.some((op) => op.op === "set" && JSON.stringify(op.value).includes('"membrane"'));

// What an edit of a tank's fixing puts in.
function describeHold({ ops }: Edit): string {
  const fixing = ops.find(({ op }) => op === "set") as { readonly value: Fixing } | undefined;
  return fixing
    ? `${fixing.value.bolts} bolts ${fixing.value.size}${fixing.value.hasPlate ? ", with plates" : ""}`
    : "more bolts";
}

// A figure of the piece that an edit puts in.
function findPut({ ops }: Edit, key: string): number {
  const put = ops.find(({ op }) => op === "set") as { readonly value: Readonly<Record<string, unknown>> } | undefined;
  const value = put?.value[key];
  return typeof value === "number" ? value : 0;
}

// Its two larger angles, along and across.
function describeEnvelope({ ops }: Edit, units: Units): string {
  const put = ops.find(({ op }) => op === "set") as { readonly value: Design["rig"]["envelope"] } | undefined;
  if (!put) return "usual";
  const { noseDownDeg, noseUpDeg, leftLowDeg, rightLowDeg } = put.value;
  const angle = (deg: number) => formatQuantity(deg, "angle", units);
  return `${angle(Math.max(noseDownDeg, noseUpDeg))} along and ${angle(Math.max(leftLowDeg, rightLowDeg))} across`;
}

const isInlet = ({ at }: Edit, { tanks }: Design): boolean =>
  at.kind === "port" &&
  tanks.some(({ id, ports }) => id === at.tankId && ports.some((port) => port.id === at.id && port.kind === "inlet"));

/** Which way, as one says it on such a rig. */
const sayMove = (part: string, by: string, way: Way | undefined, design: Design): string =>
  way ? `Move ${part} ${nameWay(way, design)} by ${by}` : `Move ${part} clear by ${by}`;

// Under the floor it stays until it is at the wall; else it comes through the floor first.
function sayAlongWall({ ops }: Edit): string {
  const points = ops.flatMap((op) => (op.op === "set" && op.path.at(-1) === "pointsMm" ? [op.value as Vec3[]] : []))[0];
  return points && points.length > 2 && points[0]!.z > 0
    ? "Take it up through the floor, along the floor to the wall, then up"
    : "Lead it to the wall under the floor, then up";
}

const isPointOfDumpLine = ([list, id, key, point]: EditPath, { lines }: Design): boolean =>
  list === "lines" &&
  key === "pointsMm" &&
  point !== undefined &&
  lines.some((line) => line.id === id && line.kind === "dumpLine");

function sayResize(part: string, by: string, way: Way | undefined, { rig }: Design): string {
  const isAfloat = rig.kind === "boat";
  switch (way) {
    case "left":
      return `Make ${part} ${by} narrower on its ${isAfloat ? "port" : "left"} side`;
    case "right":
      return `Make ${part} ${by} narrower on its ${isAfloat ? "starboard" : "right"} side`;
    case "forward":
      return `Make ${part} ${by} shorter at its front end`;
    case "aft":
      return `Make ${part} ${by} shorter at its ${isAfloat ? "after" : "rear"} end`;
    default:
      return `Make ${part} ${by} flatter`;
  }
}

// What stands at its ends may have to move for it: the tank down, the outlet any other way.
function sayReroute(part: string, by: string, way: Way | undefined, design: Design): string {
  if (way === undefined) return `Lay ${part} another way`;
  if (way === "down") return `Hang its tank ${by} lower and lay ${part} another way`;
  return `Move its outlet ${by} ${nameWay(way, design)} and lay ${part} another way`;
}

function nameWay(way: Way, { rig }: Design): string {
  const isAfloat = rig.kind === "boat";
  const names: Readonly<Record<Way, string>> = {
    lowerEnd: "at its lower end",
    upperEnd: "at its upper end",
    outAlong: "farther out, along the rig",
    inAlong: "farther in, along the rig",
    outAcross: "farther out, across the rig",
    inAcross: "farther in, across the rig",
    left: isAfloat ? "to port" : "to the left",
    right: isAfloat ? "to starboard" : "to the right",
    forward: "forward",
    aft: isAfloat ? "aft" : "to the rear",
    up: "up",
    down: "down",
  };
  return names[way];
}
