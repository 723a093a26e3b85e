import type { Design } from "./design";
import type { Fault } from "./faults";
import { followNodes } from "./followNodes";
import { findMovedLock } from "./locks";
import { settleNodes } from "./nodes";
import { parseChanged } from "./parseDesign";
import type { PartRef } from "./part";

/** Keys from the top of the design; in a list a number is a place and a string is the id of an entry. */
export type EditPath = readonly (string | number)[];

export type EditOp =
  | { readonly op: "set"; readonly path: EditPath; readonly value: unknown }
  | { readonly op: "insert"; readonly path: EditPath; readonly index: number; readonly value: unknown }
  | { readonly op: "remove"; readonly path: EditPath };

export const EDIT_CODES = [
  "move",
  "resize",
  "change",
  "raiseGap",
  "fitMesh",
  "reckonCrash",
  "addTrap",
  "removeTrap",
  "addVent",
  "addBranchVent",
  "removeBranchVent",
  "addBend",
  "removeBend",
  "raiseOutlet",
  "lowerInlet",
  "lowerTank",
  "lowerEnd",
  "shorten",
  "shareFall",
  "widenPipe",
  "widenVent",
  "liftVent",
  "deepenSeal",
  "barrierHose",
  "addToilet",
  "useToilet",
  "countFixtures",
  "countFlush",
  "countLoads",
  "fitPad",
  "shiftPort",
  "makeRoom",
  "fitRelief",
  "fitMixer",
  "setFloat",
  "swapFilters",
  "turnRound",
  "turnOff",
  "turnOn",
  "secureValve",
  "useComposite",
  "fitTail",
  "setSender",
  "widenValve",
  "fitSeacock",
  "fitBacking",
  "fitClamps",
  "useBronze",
  "swapMarks",
  "setCharge",
  "setSwitch",
  "fitPlates",
  "fitEndStops",
  "throughBolts",
  "holdTank",
  "moveBolts",
  "moveClear",
  "addOutlet",
  "addDrain",
  "redirect",
  "joinBefore",
  "ownInlet",
  "reroute",
  "takeOver",
  "fitWye",
  "addFixture",
  "removeFixture",
  "addObstacle",
  "removeObstacle",
  "rename",
  "lock",
  "unlock",
  "joinVent",
  "openVent",
  "liftTee",
  "addTank",
  "removeTank",
  "addPort",
  "seatPort",
  "removePort",
  "setFall",
  "moveLeg",
  "align",
  "copyFixture",
  "changePipe",
  "putInline",
  "addLineTrap",
  "removeLineTrap",
  "addCleanout",
  "removeVent",
  "addDumpLine",
  "removeDumpLine",
  "regradeDumpLine",
  "joinDumpLine",
  "openDumpLine",
  "fitDumpValve",
  "fitPumpOut",
  "fitLoop",
  "fitStrainer",
  "fitStopValve",
  "fitAirGap",
  "clearLeg",
  "moveVentEnd",
  "widenInlet",
  "keepPipe",
  "addOwnVessel",
  "widenHole",
  "fitBottleTrap",
  "turnBranch",
  "useLess",
  "moveInside",
  "ventAlongWall",
  "addLoop",
  "addGear",
  "removeGear",
  "addState",
  "setHull",
  "removeState",
  "addHose",
  "setSeal",
  "takeDown",
  "widenVents",
  "widenHoses",
  "widenFloat",
  "lowerOutlet",
  "setRelief",
  "widenFitting",
] as const;

/** A change to a design as data: it can be previewed, applied, named in the undo list, and sent over a wire. */
export type Edit = {
  readonly code: (typeof EDIT_CODES)[number];
  readonly at: PartRef;
  readonly ops: readonly EditOp[];
};

export type EditOutcome =
  | { readonly ok: true; readonly design: Design }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** The design after an edit, or why it is refused; the given design is never changed. Untouched parts are shared. */
export function applyEdit(design: Design, edit: Edit): EditOutcome {
  let next: unknown = design;
  for (const op of edit.ops) {
    const changed = applyAt(next, op.path, op);
    if (changed === NOWHERE) {
      return { ok: false, faults: [{ code: "danglingReference", path: [...op.path], id: op.path.join(".") }] };
    }
    next = settleNodes(next as Design, followNodes(next as Design, changed as Design, op), op);
  }
  const held = findMovedLock(design, next as Design);
  if (held) return { ok: false, faults: [{ code: "locked", path: [], name: held }] };
  const parsed = parseChanged(design, next as Design);
  // what is kept is what was built here, not zod's copy, so that untouched parts stay the same objects
  return parsed.ok ? { ok: true, design: next as Design } : parsed;
}

const NOWHERE = Symbol("no such place");

function applyAt(value: unknown, path: EditPath, op: EditOp): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return applyHere(value, op);
  if (Array.isArray(value)) {
    const index = typeof key === "number" ? key : value.findIndex((entry) => (entry as { id?: unknown }).id === key);
    if (index < 0 || index >= value.length) return NOWHERE;
    if (op.op === "remove" && rest.length === 0) return value.filter((_, i) => i !== index);
    const child = applyAt(value[index], rest, op);
    return child === NOWHERE ? NOWHERE : value.map((entry, i) => (i === index ? child : entry));
  }
  if (typeof value !== "object" || value === null) return NOWHERE;
  const record = value as Record<string, unknown>;
  if (op.op === "remove" && rest.length === 0) {
    const { [key]: _removed, ...kept } = record;
    return kept;
  }
  const child = applyAt(record[key], rest, op);
  return child === NOWHERE ? NOWHERE : { ...record, [key]: child };
}

function applyHere(value: unknown, op: EditOp): unknown {
  if (op.op === "set") return op.value;
  if (op.op === "insert" && Array.isArray(value))
    return [...value.slice(0, op.index), op.value, ...value.slice(op.index)];
  return NOWHERE;
}
