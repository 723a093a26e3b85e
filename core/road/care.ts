import { computeTimesPerDay, countPeople, listStretches } from "../days/rates";
import type { Design } from "../design/design";
import type { GearKind, GearSpec } from "../design/gear";
import { findBranchVent, findLineTrap, findTrap, listInlinePieces } from "../design/lineItems";
import { DIRT_G, USUAL_MINUTES } from "../gear/loopFigures";
import { computeLoopRhythm } from "../gear/loopRhythm";
import { measureCapacityL } from "../geometry/solid";
import { listOutHoses } from "../heads/lift";
import type { BuildRecord, LogEntry } from "../record/record";
import { computeDryWeeks, readEvaporationMm } from "../traps/sealRisks";
import { addDays, toDays } from "./civil";
import { isGrown } from "./grownBook";

export const CARE_KINDS = [
  "primeTraps",
  "mesh",
  "filter",
  "lamp",
  "sanitise",
  "seacock",
  "valve",
  "fixing",
  "clamps",
  "hoses",
  "senders",
  "membrane",
  "admittance",
  "rinse",
  "bowl",
  "sump",
  "loopAir",
  "precharge",
  "relief",
  "nonReturn",
] as const;
export type CareKind = (typeof CARE_KINDS)[number];

/** Something that is done again and again on this rig. */
export type CareTask = {
  readonly id: string;
  readonly kind: CareKind;
  /** What it is about: a part's name; null for all of them. */
  readonly name: string | null;
  readonly everyDays: number;
  /** Water it takes, L, where it takes any: the room to be sanitised. */
  readonly litres: number | null;
  /** Steps of the building with which it is new, and wants nothing for its first span. */
  readonly newWith: readonly string[];
};

/** A task with when it was done last, or else built, and when it is due; neither known, it is due today. */
export type DueCare = CareTask & {
  readonly doneOn: string | null;
  readonly builtOn: string | null;
  readonly dueOn: string;
  readonly inDays: number;
};

/** How often, days [T]; a filter's and a lamp's life by the calendar beside their litres and hours. */
const EVERY: Readonly<Record<CareKind, number>> = {
  primeTraps: 56,
  mesh: 180,
  filter: 180,
  lamp: 365,
  sanitise: 180,
  seacock: 90,
  valve: 90,
  fixing: 180,
  clamps: 180,
  hoses: 365,
  senders: 180,
  membrane: 180,
  admittance: 365,
  rinse: 90,
  bowl: 180,
  sump: 30,
  loopAir: 180,
  precharge: 365,
  relief: 180,
  nonReturn: 365,
};

/** What each kind of gear is looked at for; null for what wants nothing but its hoses' care. */
const GEAR_CARE: Readonly<Record<GearKind, CareKind | null>> = {
  strainer: "filter",
  filter: "filter",
  uvLamp: "lamp",
  skinFitting: "seacock",
  bowl: "bowl",
  sump: "sump",
  ventedLoop: "loopAir",
  accumulator: "precharge",
  relief: "relief",
  nonReturn: "nonReturn",
  pump: null,
  valve: null,
  diverter: null,
  mixer: null,
  heater: null,
  coupling: null,
  flowMeter: null,
  gauge: null,
  airGap: null,
  tap: null,
  tee: null,
  deckFitting: null,
};

/** What the fresh side holds, L: tanks to the brim and what is carried beside them. */
export const measureFreshL = ({ tanks, habits }: Pick<Design, "tanks" | "habits">): number =>
  tanks.reduce((sum, { holds, solid }) => (holds === "fresh" ? sum + measureCapacityL(solid) : sum), 0) +
  habits.vessels.reduce((sum, { holds, litres }) => (holds === "fresh" ? sum + litres : sum), 0);

type Use = { readonly litres: number; readonly dirtG: number };

/**
 * What runs through a piece of gear a day, L, and the dirt in it, g: the showers of the loop and the fresh water, each where its
 * hoses come to such a tank, both where they come to both or to neither; and hours a lamp is lit [C on T].
 */
function findUse(design: Design): { readonly of: (gearId: string) => Use; readonly hours: number } {
  const rhythm = design.gear.length > 0 ? computeLoopRhythm(design) : null;
  const people = countPeople(design.habits.people);
  const uses = listStretches(design.habits)[0]?.way.uses ?? [];
  const freshL = uses.reduce(
    (sum, use) => (use.from === "fresh" ? sum + use.takesL * computeTimesPerDay(use, people) : sum),
    0,
  );
  const showers = rhythm?.showersPerDay ?? 0;
  const loopL = showers * (rhythm?.figures.freshL ?? 0);
  const holds = new Map(design.tanks.map((tank) => [tank.id, tank.holds]));
  const of = (gearId: string): Use => {
    const waters = new Set(
      listOutHoses(design, gearId).flatMap(({ from, to }) =>
        [from, to].map((end) => (end.kind === "tank" ? holds.get(end.tankId) : null)),
      ),
    );
    const isNeither = !waters.has("loop") && !waters.has("fresh");
    const isLooped = waters.has("loop") || isNeither;
    return {
      litres: (isLooped ? loopL : 0) + (waters.has("fresh") || isNeither ? freshL : 0),
      dirtG: isLooped ? showers * DIRT_G : 0,
    };
  };
  return { of, hours: (showers * USUAL_MINUTES) / 60 };
}

/** What a rig asks for, from its parts, and how much is used: a filter or a lamp is through by its life or by the calendar [T]. */
export function listCare(design: Design): CareTask[] {
  const { lines, tanks, gear } = design;
  const use = gear.some(({ spec }) => spec.kind === "filter" || spec.kind === "uvLamp") ? findUse(design) : null;
  const task = (
    kind: CareKind,
    id: string | null,
    name: string | null,
    newWith: readonly string[] = [],
    { litres = null, lifeDays = Infinity }: { readonly litres?: number | null; readonly lifeDays?: number } = {},
  ): CareTask => ({
    id: id === null ? kind : `${kind}:${id}`,
    kind,
    name,
    everyDays: Math.max(1, Math.floor(Math.min(EVERY[kind], lifeDays))),
    litres,
    newWith,
  });
  const hoses = lines.flatMap(({ id, kind }) => (kind === "hose" ? [`layHose:${id}`] : []));
  const through = (life: number | null, perDay: number | undefined): number =>
    life !== null && perDay !== undefined && perDay > 0 ? life / perDay : Infinity;
  const findLifeDays = (id: string, spec: GearSpec): number => {
    if (spec.kind === "filter") {
      const own = use?.of(id);
      return Math.min(through(spec.lifeL, own?.litres), through(spec.holdsG, own?.dirtG), spec.lifeDays);
    }
    return spec.kind === "uvLamp" ? through(spec.lifeHours, use?.hours) : Infinity;
  };
  const sealsMm = lines.flatMap((line) =>
    line.kind === "drain" ? [findTrap(line)?.sealMm ?? 0, findLineTrap(line)?.sealMm ?? 0].filter((mm) => mm > 0) : [],
  );
  // before the shallowest has lost half of its water to the air
  const halfDryDays =
    sealsMm.length > 0 ? 3.5 * computeDryWeeks(Math.min(...sealsMm), readEvaporationMm(design.rules)) : null;
  const freshL = measureFreshL(design);
  return [
    ...(halfDryDays === null ? [] : [task("primeTraps", null, null, [], { lifeDays: halfDryDays })]),
    ...lines.flatMap((line) =>
      line.kind === "vent" && line.to.kind === "openAir" && line.to.hasMesh
        ? [task("mesh", line.id, line.name, [`layVent:${line.id}`])]
        : [],
    ),
    ...gear.flatMap(({ id, name, spec }) => {
      const kind = GEAR_CARE[spec.kind];
      return kind === null ? [] : [task(kind, id, name, [`mountGear:${id}`], { lifeDays: findLifeDays(id, spec) })];
    }),
    ...(freshL > 0 ? [task("sanitise", null, null, [], { litres: freshL })] : []),
    ...lines.flatMap((line): CareTask[] => {
      if (line.kind !== "drain") return [];
      const hasMembrane =
        findTrap(line)?.kind === "membrane" || listInlinePieces(line).some(({ piece }) => piece === "nonReturn");
      return [
        ...(hasMembrane ? [task("membrane", line.id, line.name, [`layDrain:${line.id}`])] : []),
        ...(findBranchVent(line)?.kind === "admittanceValve"
          ? [task("admittance", line.id, line.name, [`layDrain:${line.id}`])]
          : []),
      ];
    }),
    ...tanks.flatMap(({ id, name, holds, ports, fixing, sender }) => [
      ...(holds === "black" ? [task("rinse", id, name, [`hangTank:${id}`])] : []),
      ...(ports.some(({ kind }) => kind === "outlet") ? [task("valve", id, name, [`hangTank:${id}`])] : []),
      ...(fixing ? [task("fixing", id, name, [`hangTank:${id}`])] : []),
      ...(sender ? [task("senders", id, name, [`hangTank:${id}`])] : []),
    ]),
    ...(hoses.length > 0 ? [task("clamps", null, null, hoses), task("hoses", null, null, hoses)] : []),
  ];
}

type Done = {
  readonly log: readonly LogEntry[];
  /** The last day each task was done. */
  readonly lastOf: ReadonlyMap<string, string>;
  readonly lastFilter: string | null;
};
let readBefore: Done = { log: [], lastOf: new Map(), lastFilter: null };

// One way through the book, however many tasks there are; of a book that has grown only its new lines.
function readDone(log: readonly LogEntry[]): Done {
  if (log === readBefore.log) return readBefore;
  const from = isGrown(log, readBefore.log)
    ? readBefore
    : { log: [], lastOf: new Map<string, string>(), lastFilter: null };
  const lastOf = new Map(from.lastOf);
  let lastFilter = from.lastFilter;
  for (let i = from.log.length; i < log.length; i++) {
    const { kind, taskId, at } = log[i]!;
    const day = at.slice(0, 10);
    if (kind === "care" && taskId !== undefined && day > (lastOf.get(taskId) ?? "")) lastOf.set(taskId, day);
    if (kind === "filter" && day > (lastFilter ?? "")) lastFilter = day;
  }
  readBefore = { log, lastOf, lastFilter };
  return readBefore;
}

/**
 * The tasks with when they are due, the soonest first; `today` as YYYY-MM-DD. What was never done counts from the day its part
 * was ticked as built, the first of several.
 */
export function listDueCare(
  design: Design,
  log: readonly LogEntry[],
  today: string,
  built: BuildRecord["done"] = [],
): DueCare[] {
  const tasks = listCare(design);
  const isOnly = ({ kind }: CareTask) => tasks.filter((one) => one.kind === kind).length === 1;
  const { lastOf, lastFilter } = readDone(log);
  const builtDays = new Map(built.map(({ stepId, on }) => [stepId, on]));
  return tasks
    .map((task): DueCare => {
      // a filter that was written down as changed, where there is no other it could have been
      const written = task.kind === "filter" && isOnly(task) ? lastFilter : null;
      const done = lastOf.get(task.id) ?? null;
      const doneOn =
        [done, written]
          .filter((day) => day !== null)
          .sort()
          .at(-1) ?? null;
      const builtOn = task.newWith.flatMap((stepId) => builtDays.get(stepId) ?? []).sort()[0] ?? null;
      const from = doneOn ?? builtOn;
      const dueOn = from === null ? today : addDays(from, task.everyDays);
      return { ...task, doneOn, builtOn, dueOn, inDays: toDays(dueOn) - toDays(today) };
    })
    .sort((a, b) => a.inDays - b.inDays);
}

/** Free chlorine a fresh tank stands with, mg/L, and for how long, h [T: usual for caravans; the bottle's own instructions go first]. */
export const SANITISE_MG_PER_L = 50;
export const SANITISE_HOURS = 4;

/**
 * Household bleach, mL, for so many litres ≥ 0 of tank and pipe: V c/(10 s), strength s in % by weight in (0, 20], a litre
 * taken as a kilogram. Source: dilution [C]. Example: 100 L at 50 mg/L with 5 % → 100 mL.
 */
export const computeBleachMl = (litres: number, strengthPercent: number): number =>
  (litres * SANITISE_MG_PER_L) / (10 * strengthPercent);
