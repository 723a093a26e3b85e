import type { Design } from "@/core/design/design";
import type { Fault, FaultPath } from "@/core/design/faults";
import type { FileOutcome } from "@/core/record/file";
import { PORT_NAMES } from "./labels";
import { quote, quoteList } from "./quote";
import { formatLength, formatNumber, type Units } from "./units";

/** Of what a drain has one at most. */
const SINGLE = {
  trap: "trap under its fixture",
  branchVent: "vent for its branch",
  runningTrap: "running trap",
} as const;

/**
 * Why a file or a change is refused: what, where, what to do. One sentence or two. Where the design that was to be changed
 * is given, its parts are called by their names.
 */
export function describeFault(fault: Fault, units: Units = "metric", design: Design | null = null): string {
  const place = describePlace(fault.path, design);
  const at = place === "" ? "" : ` at ${place}`;
  switch (fault.code) {
    case "notJson":
      return "This is not a Schleuse design: the text is not JSON. Choose a file that Schleuse saved.";
    case "tooLarge":
      return `The file is larger than a design can be (${formatNumber(fault.most / 1e6, 0)} MB). Choose a file that Schleuse saved.`;
    case "tooDeep":
      return `The file is nested deeper than a design can be${at}. Choose a file that Schleuse saved.`;
    case "forbiddenKey":
      return `The file holds the name ${quote(fault.key)}${at}, which a design never has. It was not opened.`;
    case "notOurs":
      return "This is not a Schleuse design. Choose a file that Schleuse saved.";
    case "newerVersion":
      return `The file was saved by a newer Schleuse (version ${fault.found}; this one reads up to ${fault.newest}). Update Schleuse, then open it again.`;
    case "unknownVersion":
      return "The file does not say which version it is. Choose a file that Schleuse saved.";
    case "missing":
      return `Something is missing${at}. Put the value in, or choose another file.`;
    case "wrongType":
      return `A ${fault.expected} is needed${at}.`;
    case "notOneOf":
      return fault.options.length > 0
        ? `The value${at} is not known here. It can be: ${quoteList(fault.options)}.`
        : `The value${at} is not of a kind known here.`;
    case "tooSmall":
      return fault.what === "number"
        ? `The value${at} is too small: at least ${formatBound(fault.least, fault.path, units)}.`
        : `There is too little${at}: at least ${fault.least}.`;
    case "tooBig":
      return fault.what === "number"
        ? `The value${at} is too large: at most ${formatBound(fault.most, fault.path, units)}.`
        : `There is too much${at}: at most ${fault.most}.`;
    case "badText":
      return `The text${at} is not allowed there.`;
    case "unknownKeys":
      return `There is something here that a design does not have${at}: ${quoteList(fault.keys)}.`;
    case "duplicateId":
      return `Two parts bear the same id ${quote(fault.id)}${at}.`;
    case "danglingReference":
      return `The part ${quote(fault.id)} named${at} does not exist.`;
    case "wrongPortKind":
      return `The port ${quote(fault.id)} named${at} is not a ${fault.wanted}.`;
    case "joinsNoBend":
      return `The line ${quote(fault.id)} has no such bend to join${at}: it has ${fault.bends}. Join it at a bend that is there.`;
    case "waysTooLong":
      return `The drains, breathers and dump lines of this design have ${fault.legs} legs, each followed through all it joins; at most ${fault.most} can be worked out. Let fewer lines join one after another, or take bends out.`;
    case "drainLoop":
      return `The line${at} runs in a circle through ${quote(fault.id)} and never ends. Let one of them end in a tank, in the open air or at a coupling of its own.`;
    case "ventWithoutEnd":
      return `The breather${at} ends nowhere. Give it an open end, or let it end in another breather.`;
    case "dumpWithoutEnd":
      return `The dump line${at} ends nowhere. Give it an end, or let it join another dump line.`;
    case "linkedWaters":
      return `The tank ${quote(fault.id)}${at} holds another kind of water. Only tanks that hold the same may be joined.`;
    case "drainIntoFresh":
      return `The drain${at} would run into the fresh water tank ${quote(fault.id)}. Let it end in a tank for waste water.`;
    case "portTaken":
      return `Two lines would sit on one port${at}, ${quote(fault.id)} among them. Fit a tee, or put one of them elsewhere.`;
    case "atNoBend":
      return `There is no such bend${at}: the drain has ${fault.bends}. Traps, valves, holes and changes of pipe sit at bends that are there.`;
    case "twoAtBend":
      if (fault.what === "trap" || fault.what === "branchVent" || fault.what === "runningTrap")
        return `A drain has one ${SINGLE[fault.what]}${at}, not two. Take the other one out.`;
      return fault.what === "inline"
        ? `Two pieces sit at one bend${at}. Put one of them at another bend.`
        : `Two changes of pipe stand at one bend${at}. Keep one of them.`;
    case "locked":
      return `${quote(fault.name)} is locked where it is. Unlock it, then move it.`;
    case "portOutsideTank":
      return `The port lies outside its tank${at}. Move it onto the tank.`;
    case "fittingLargerThanTank":
      return `The tank is smaller than its fitting${at}: a bore of ${formatLength(fault.boreMm, units)} in ${formatLength(fault.roomMm, units)} of tank. Choose a larger tank or a smaller fitting.`;
    case "pipeWithoutWall":
      return `The outside of the pipe${at} must be wider than its bore.`;
    case "profileCrossesItself":
      return `The outline of the tank${at} crosses itself between its edges ${fault.edges[0] + 1} and ${fault.edges[1] + 1}.`;
    case "profileWithoutArea":
      return `The outline of the tank${at} encloses nothing.`;
    case "sectionsCross":
      return fault.isOrder
        ? `Section ${fault.section} does not lie before the one behind it. Give the sections from stern to bow, each further forward.`
        : `Section ${fault.section} turns down on its way up. Give its points from the keel to the sheer, none lower than the one before.`;
    case "belowGround":
      return `The height${at} is below the ground: ${formatLength(fault.zMm, units)}, where the ground is at ${formatLength(fault.groundZMm, units)}.`;
    case "unknownLimit":
      return `The limit ${quote(fault.id)} is not known here.`;
  }
}

// Bounds are written with the unit that the field's name carries.
function formatBound(value: number, path: FaultPath, units: Units): string {
  const key = String(path[path.length - 1] ?? "");
  const isLength = /Mm$/.test(key) || (/^[xyzuv]$/.test(key) && /Mm/.test(path.join(".")));
  return isLength ? formatLength(value, units) : formatNumber(value, Number.isInteger(value) ? 0 : 2);
}

const PLACE_NAMES: Readonly<Record<string, string>> = {
  rig: "Rig",
  obstacles: "Obstacles",
  fixtures: "Fixtures",
  tanks: "Tanks",
  lines: "Lines",
  gear: "Gear",
  states: "Working states",
  from: "beginning",
  sizeMm: "size",
  spec: "figures",
  positions: "positions",
  openTaps: "open taps",
  gearId: "piece of gear",
  vesselId: "vessel",
  habits: "Habits",
  rules: "Rules",
  limits: "limits",
  ports: "ports",
  to: "end",
  bendsMm: "bends",
  items: "what sits at its bends",
  node: "bend",
  hasMesh: "mesh",
  hasCleanout: "cleanout",
  pointsMm: "points",
  atMm: "place",
  outletMm: "outlet",
  solid: "shape",
  profileMm: "outline",
  lengthMm: "length",
  widthMm: "width",
  heightMm: "height",
  boreMm: "bore",
  innerMm: "bore",
  outerMm: "outside diameter",
  wallMm: "wall",
  material: "material",
  insulationMm: "lagging",
  padW: "heating pad",
  sender: "gauge",
  fixing: "fixing",
  heldKN: "rating",
  bolts: "bolts",
  lowMm: "lowest height",
  highMm: "greatest height",
  diameterMm: "diameter",
  spareKg: "what it may carry",
  rimMm: "rim",
  groundZMm: "ground",
  sillZMm: "sill line",
  waterlineZMm: "waterline",
  floorLayers: "floor layers",
  thicknessMm: "thickness",
  people: "people",
  sinkLPerPersonDay: "litres a day",
  drunkLPerPersonDay: "litres drunk a day",
  freshL: "fresh water",
  inflowLps: "inflow",
  sealMm: "seal",
  dropMm: "drop",
  spanMm: "span",
  x: "forward (x)",
  y: "left (y)",
  z: "height (z)",
};

/** One thing of a list, by what lists are called in a file. */
const ENTRY_NAMES: Readonly<Record<string, string>> = {
  obstacles: "obstacle",
  fixtures: "fixture",
  tanks: "tank",
  lines: "line",
  ports: "port",
  gear: "piece of gear",
  states: "working state",
  bendsMm: "bend",
  pointsMm: "point",
  items: "piece at a bend",
  profileMm: "corner",
  axles: "axle",
  standings: "standing",
  floorLayers: "floor layer",
};

/**
 * A place in a file in a builder's words, lists counted from 1: "tank 1, port 2, bore"; of a design that is given, by the
 * names its parts have: "Grey tank, dump outlet, bore".
 */
export function describePlace(path: FaultPath, design: Design | null = null): string {
  const words: string[] = [];
  let here: unknown = design;
  path.forEach((key, i) => {
    const list = path[i - 1];
    here = step(here, key);
    if (typeof key === "number") words.push(nameEntry(here) ?? `${ENTRY_NAMES[String(list)] ?? "no."} ${key + 1}`);
    // the list itself is said by its entry
    else if (typeof path[i + 1] !== "number") words.push(PLACE_NAMES[key] ?? quote(key));
  });
  return words.join(", ");
}

function step(value: unknown, key: string | number): unknown {
  if (typeof value !== "object" || value === null) return null;
  return (value as Readonly<Record<string | number, unknown>>)[key];
}

function nameEntry(entry: unknown): string | null {
  if (typeof entry !== "object" || entry === null) return null;
  const { name, kind } = entry as { readonly name?: unknown; readonly kind?: unknown };
  if (typeof name === "string") return quote(name);
  return typeof kind === "string" && Object.hasOwn(PORT_NAMES, kind)
    ? PORT_NAMES[kind as keyof typeof PORT_NAMES].toLowerCase()
    : null;
}

/** What of a file could not be read, beside the design; null where all of it was. */
export function describeLost({
  lostLines,
  lostBuild,
  lostJourney,
  lostPhotos,
}: Pick<FileOutcome, "lostLines" | "lostBuild" | "lostJourney" | "lostPhotos">): string | null {
  const lost = [
    ...(lostLines > 0 ? [`${lostLines} ${lostLines === 1 ? "line" : "lines"} of its logbook`] : []),
    ...(lostBuild ? ["what was built"] : []),
    ...(lostJourney ? ["the journey"] : []),
    ...(lostPhotos > 0 ? [lostPhotos === 1 ? "a photograph" : `${lostPhotos} photographs`] : []),
  ];
  return lost.length > 0 ? lost.join(" and ") : null;
}
