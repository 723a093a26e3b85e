import { id, list, litres, mm, name, number, pointMm } from "./fields";
import { locked } from "./locked";
import * as z from "./z";

const kPa = (min: number, max: number) => number("kPa", min, max);
const lpm = (min: number, max: number) => number("L/min", min, max);
const share = number("share", 0, 1);

/** What it takes to push water through: so much pressure at so much flow, growing with its square. */
const loss = { dropKPa: kPa(0, 500), atLpm: lpm(0.1, 500) };

export const DRIVES = ["hand", "motor"] as const;
export const PUMP_KINDS = ["diaphragm", "centrifugal", "macerator", "hand"] as const;
export const FILTER_MEDIA = ["sediment", "carbon", "block"] as const;
export const TAP_USES = ["drinking", "washing", "shower", "deckWash"] as const;
export const BOWL_KINDS = ["handPump", "macerating", "vacuum", "gravity"] as const;
export type BowlKind = (typeof BOWL_KINDS)[number];
export const METALS = ["bronze", "dzrBrass", "stainless", "composite", "brass", "domestic"] as const;
export const TAILS = ["straight", "elbow90", "elbow120"] as const;
export const BEDDINGS = ["polyurethane", "polysulphide", "butyl", "none"] as const;
export const SERVES = ["intake", "discharge", "cockpit", "bilge"] as const;

const of = <K extends string, T extends Record<string, z.core.$ZodType>>(kind: K, fields: T) =>
  z.strictObject({ kind: z.literal(kind), ...fields });

/** What a piece of gear is and what is known of it; its ports follow from its kind. */
export const gearSpec = z.discriminatedUnion("kind", [
  /** Holds back what would clog a pump. */
  of("strainer", { ...loss, openingUm: number("µm", 5, 5_000) }),
  /** Its curve by three points: shut off, one between, and running free. */
  of("pump", {
    pump: z.enum(PUMP_KINDS),
    shutOffKPa: kPa(1, 1_500),
    midLpm: lpm(0.1, 500),
    midKPa: kPa(0, 1_500),
    freeLpm: lpm(0.2, 1_000),
    /** Its pressure switch; null where none cuts it in and out. */
    cutInKPa: z.nullable(kPa(1, 1_000)),
    cutOutKPa: z.nullable(kPa(1, 1_500)),
    watts: number("W", 0, 3_000),
    mayRunDry: z.boolean(),
    /** A timer that stops it after so many seconds; null or not there where it has none. */
    timerS: z.optional(z.nullable(number("s", 1, 36_000))),
  }),
  /** Pre-charge and pressures as gauges show them. */
  of("accumulator", { litres: litres(0.01, 50), prechargeKPa: kPa(1, 800) }),
  of("filter", {
    medium: z.enum(FILTER_MEDIA),
    micron: number("µm", 0.1, 500),
    cleanKPa: kPa(0, 300),
    loadedKPa: kPa(0, 500),
    atLpm: lpm(0.1, 100),
    /** Litres it is good for by its maker; null where that is not known. */
    lifeL: z.nullable(litres(1, 1_000_000)),
    /** Dirt it takes until it is loaded, g; null where that is not known. */
    holdsG: z.nullable(number("g", 0.1, 5_000)),
    lifeDays: number("days", 1, 3_650),
  }),
  of("uvLamp", {
    ...loss,
    /** What the lamp gives at 254 nm when new. */
    uvcWatts: number("W", 0.1, 500),
    watts: number("W", 0.1, 1_000),
    sleeveMm: mm(5, 200),
    chamberMm: mm(10, 500),
    lengthMm: mm(20, 3_000),
    endOfLife: share,
    fouling: share,
    /** Of 10 mm of the water, at 254 nm; null where it was not measured. */
    transmittance: z.nullable(share),
    lifeHours: number("h", 10, 50_000),
  }),
  of("nonReturn", { ...loss, crackKPa: kPa(0, 100) }),
  /** Open or shut; a motor valve may go somewhere by itself when its power goes. */
  of("valve", { ...loss, drive: z.enum(DRIVES), atRest: z.enum(["stays", "opens", "shuts"]) }),
  /** Its common port goes to one of two others. */
  of("diverter", { ...loss, drive: z.enum(DRIVES), atRest: z.enum(["stays", "a", "b"]) }),
  of("mixer", loss),
  of("heater", {
    ...loss,
    litres: litres(0, 200),
    watts: number("W", 0, 50_000),
    /** What its maker lets stand in it; null or not there where nobody read it. */
    bearsKPa: z.optional(z.nullable(kPa(10, 1_500))),
  }),
  /** Where a hose from outside is put on; the pressure of the tap there, null where it only lets water out. */
  of("coupling", {
    supplyKPa: z.nullable(kPa(1, 1_000)),
    /** What a pressure reducer at it lets through at the most; null or not there where none is fitted. */
    reducedToKPa: z.optional(z.nullable(kPa(1, 1_000))),
  }),
  of("flowMeter", loss),
  of("gauge", {}),
  /** Water falls through open air into a funnel or tank: the only thing that no back pressure crosses. */
  of("airGap", { gapMm: mm(0, 500) }),
  of("ventedLoop", loss),
  of("relief", { setKPa: kPa(10, 1_500) }),
  of("tap", { ...loss, use: z.enum(TAP_USES), fixtureId: z.nullable(id) }),
  of("tee", {}),
  /** A hole through the hull or the side with what is screwed into it. */
  of("skinFitting", {
    boreMm: mm(8, 160),
    metal: z.enum(METALS),
    serves: z.enum(SERVES),
    hasSeacock: z.boolean(),
    clamps: number("clamps", 0, 4),
    /** Its hose tail, and what that measures outside over its ridges; null where it was not measured. */
    tail: z.optional(z.enum(TAILS)),
    tailMm: z.optional(z.nullable(mm(8, 160))),
    /** A block inside the hull that spreads its load, and what it is bedded on. */
    hasBacking: z.optional(z.boolean()),
    bedding: z.optional(z.enum(BEDDINGS)),
  }),
  of("bowl", { ...loss, bowl: z.enum(BOWL_KINDS), flushL: litres(0.1, 20) }),
  /** A box with a float pump for what lies too low to drain: heights of the float over its floor. */
  of("sump", {
    litres: litres(0.5, 100),
    onMm: mm(10, 1_000),
    offMm: mm(0, 1_000),
    areaCm2: number("cm²", 10, 10_000),
  }),
  /** Where a pump-out station puts its hose on. */
  of("deckFitting", {}),
]);

/** A piece through which water is pushed: its lowest, rearmost, rightmost corner, its size, and the room to open it. */
export const gear = z.strictObject({
  id,
  name,
  atMm: pointMm,
  sizeMm: z.strictObject({ x: mm(5, 2_000), y: mm(5, 2_000), z: mm(5, 2_000) }),
  /** Free height under it to drop its cartridge, or over it to open it; 0 where it needs none. */
  openBelowMm: mm(0, 1_000),
  spec: gearSpec,
  /** A valve that nobody turns by mistake: locked, tied, or its handle taken off. */
  isSecured: z.optional(z.boolean()),
  locked,
});

/** Where a hose begins or ends: a port of a piece of gear, or of a tank. */
export const hoseEnd = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("gear"), gearId: id, port: z.string().check(z.regex(/^[a-z]{1,12}$/)) }),
  z.strictObject({ kind: z.literal("tank"), tankId: id, portId: id }),
]);

/** Where a boat or rig may be, as far as letting go of black water is ruled there. */
export const DISCHARGE_PLACES = ["inland", "within3", "zone", "offshore", "camp"] as const;

export const POSITIONS = ["open", "shut", "a", "b"] as const;

/** A working state: which valves stand how, what has power, which taps are open. What is not named rests. */
export const workingState = z.strictObject({
  id,
  name,
  /** Gear that is switched on. */
  on: list(id, { most: 60 }),
  positions: list(z.strictObject({ gearId: id, at: z.enum(POSITIONS) }), { most: 60 }),
  openTaps: list(id, { most: 30 }),
  /** Where it is used; not said in designs that never asked. */
  place: z.optional(z.enum(DISCHARGE_PLACES)),
});

export const gearList = list(gear, { most: 120 });
/** A design has no more working states. */
export const MOST_STATES = 16;
export const workingStates = list(workingState, { most: MOST_STATES });

export type Gear = z.infer<typeof gear>;
export type GearSpec = Gear["spec"];
export type Bedding = (typeof BEDDINGS)[number];
export type GearKind = GearSpec["kind"];
export type SpecOf<K extends GearKind> = Extract<GearSpec, { kind: K }>;
export type GearOf<K extends GearKind> = Gear & { readonly spec: SpecOf<K> };
export type HoseEnd = z.infer<typeof hoseEnd>;
export type WorkingState = z.infer<typeof workingState>;
export type DischargePlace = (typeof DISCHARGE_PLACES)[number];
export type Position = (typeof POSITIONS)[number];
