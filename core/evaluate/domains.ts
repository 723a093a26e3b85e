import { isAirMet } from "../air/meetAir";
import type { Balance } from "../days/balance";
import type { Design } from "../design/design";
import type { LineItem } from "../design/plumbing";
import type { DrainPath } from "../falls/drainPath";
import type { Network } from "../falls/network";
import type { Low } from "../fit/lows";
import type { Passage } from "../fit/passages";
import type { RampAngle } from "../fit/rampAngles";
import type { TrapAir } from "../traps/trapRisks";
import type { TankResult } from "./evaluation";
import type { Finding } from "./findings";

/** A design with what was worked out of it so far: all that the checks of an area may go by. */
export type Judged = {
  readonly design: Design;
  readonly network: Network;
  readonly paths: readonly DrainPath[];
  readonly trapAirs: readonly TrapAir[];
  readonly linePassages: readonly Passage[];
  readonly ramps: readonly RampAngle[];
  readonly lows: readonly Low[];
  /** In the order of the design's tanks. */
  readonly tanks: readonly TankResult[];
  readonly balance: Balance;
};

/** Areas that every rig has: their checks come along with the sums. In this order a finding is told within its severity. */
const ALWAYS = ["drains", "trapAir", "lines", "clashes"] as const;
/** Areas that only some rigs have something of; who evaluates without them is told so by `DomainMissing`. */
export const FITTED_IDS = [
  "junctions",
  "codes",
  "gear",
  "through",
  "fittings",
  "hull",
  "heads",
  "dumpLines",
  "counted",
  "pads",
  "sharedAir",
] as const;
const AFTER = ["ramps", "tanks", "uses", "whole"] as const;

/** In the order of the telling: it follows the water, and what concerns the whole rig comes last. */
export const DOMAIN_IDS = [...ALWAYS, ...FITTED_IDS, ...AFTER] as const;
export type DomainId = (typeof DOMAIN_IDS)[number];
export type FittedId = (typeof FITTED_IDS)[number];

/** What an area has to say against a design. Pure, and in a frame: what takes longer is worked out where it is shown. */
export type Check = (judged: Judged) => readonly Finding[];

/** Limits that only some codes set. */
const CODE_LIMITS = ["branchBends", "branchDrop", "branchUnits"] as const;

/** Whether a design has anything that an area could speak of. Where it has not, the area says nothing: a law in the tests. */
export const CONCERNS: Readonly<Record<FittedId, (design: Design) => boolean>> = {
  junctions: ({ lines }) =>
    lines.some((line) => line.to.kind === "junction" || (line.kind === "drain" && line.items.some(takesRoom))),
  codes: ({ rules }) =>
    rules.pack === "germany" ||
    rules.pack === "usModelCode" ||
    CODE_LIMITS.some((id) => rules.limits[id] !== undefined),
  gear: ({ gear }) => gear.length > 0,
  through: ({ rig }) => rig.waterlineZMm !== null,
  fittings: ({ rig }) => rig.waterlineZMm !== null,
  hull: ({ rig }) => rig.hull !== null && rig.hull !== undefined,
  counted: ({ fixtures, habits }) =>
    fixtures.some(({ id, kind }) => kind === "washingMachine" || !isUsedAlways(habits, id)),
  pads: ({ tanks }) => tanks.some(({ padW = 0 }) => padW > 0),
  sharedAir: isAirMet,
  dumpLines: ({ lines }) => lines.some(({ kind }) => kind === "dumpLine"),
  heads: ({ gear, lines, fixtures, rig, tanks }) =>
    gear.length > 0 ||
    tanks.some(({ holds, atMm, ports }) => holds === "black" || ports.some((port) => atMm.z + port.atMm.z > 0)) ||
    rig.kind === "boat" ||
    lines.some(({ kind }) => kind === "hose") ||
    fixtures.some(({ kind }) => kind === "gravityToilet" || kind === "urineDiverter"),
};

// What stands in a drain, and has a body of some length.
export const takesRoom = ({ kind }: LineItem): boolean => kind === "inline" || kind === "runningTrap";

// Something is said to go down it in every way of living that is lived.
const isUsedAlways = ({ ways, stretches }: Design["habits"], id: string): boolean =>
  ways
    .filter((way) => stretches.some(({ wayId }) => wayId === way.id))
    .every(({ uses }) => uses.some(({ fixtureId, times, sendsL }) => fixtureId === id && times > 0 && sendsL > 0));

/** The areas that a design has something of, of those that only some rigs have. */
export const listFitted = (design: Design): FittedId[] => FITTED_IDS.filter((id) => CONCERNS[id](design));

/** A design has parts of an area whose checks are not there: nothing may be said of it until they are. */
export class DomainMissing extends Error {
  constructor(readonly domain: FittedId) {
    super(`The checks of "${domain}" are not loaded (core/evaluate/fitted).`);
  }
}

const fitted = new Map<FittedId, Check>();

/** Puts the checks of the fitted areas in their places; `core/evaluate/fitted` does so when it is loaded. */
export function fitDomains(checks: Readonly<Record<FittedId, Check>>): void {
  for (const id of FITTED_IDS) fitted.set(id, checks[id]);
}

/** Whether everything that judges this design is there. */
export const isFitFor = (design: Design): boolean => listFitted(design).every((id) => fitted.has(id));

/** The check of a fitted area for this design; nothing where the design has none of it. */
export function findFitted(id: FittedId, design: Design): Check {
  if (!CONCERNS[id](design)) return () => [];
  const check = fitted.get(id);
  if (!check) throw new DomainMissing(id);
  return check;
}
