import type { Quantity } from "@/core/workings/working";

/** A figure of a piece of gear: what it is called, what kind of number, and by how much it is kept larger than shown. */
export type GearField = {
  readonly label: string;
  readonly quantity: Quantity;
  readonly times?: number;
  readonly help?: string;
};

/** Kept in L/min, shown in the flow unit of the reader. */
const LPM = { quantity: "flow", times: 60 } as const;
const KPA = { quantity: "waterPressure" } as const;

export const GEAR_FIELDS: Readonly<Record<string, GearField>> = {
  dropKPa: { label: "Takes", ...KPA, help: "Pressure at the flow below; it grows with the square." },
  atLpm: { label: "at a flow of", ...LPM },
  openingUm: { label: "Mesh, µm", quantity: "count" },
  shutOffKPa: {
    label: "Pressure, shut off",
    ...KPA,
    help: "What it holds with everything shut: the greatest pressure on its sheet.",
  },
  midLpm: {
    label: "Between: flow",
    ...LPM,
    help: "One point of its curve between shut and free, off its sheet or by bucket and gauge.",
  },
  midKPa: { label: "Between: pressure", ...KPA, help: "Pressure at that flow." },
  freeLpm: {
    label: "Flow, running free",
    ...LPM,
    help: "What it sends with nothing in its way: the open flow on its sheet.",
  },
  cutInKPa: { label: "Switch cuts in", ...KPA, help: "Below this its switch starts it. Empty: no switch." },
  cutOutKPa: { label: "Switch cuts out", ...KPA, help: "Above this its switch stops it." },
  timerS: { label: "Timer stops it after", quantity: "seconds", help: "Empty: no timer, it runs until switched off." },
  watts: { label: "Power", quantity: "power" },
  litres: { label: "Holds", quantity: "volume" },
  prechargeKPa: {
    label: "Pre-charge of air",
    ...KPA,
    help: "Air in it while it is empty of water: a little under where the pump's switch cuts in.",
  },
  micron: { label: "Holds back, µm", quantity: "times", help: "The smallest grain it is said to hold back." },
  cleanKPa: { label: "Takes, clean", ...KPA, help: "Pressure a new cartridge takes at the flow below." },
  loadedKPa: { label: "Takes, loaded", ...KPA, help: "Pressure at which it counts as full and is changed." },
  lifeL: { label: "Good for", quantity: "volume", help: "Litres until its maker says change. Empty: not counted." },
  holdsG: {
    label: "Dirt until loaded",
    quantity: "grams",
    help: "What it takes in before it is full. Empty: not counted.",
  },
  lifeDays: { label: "Change after", quantity: "days" },
  uvcWatts: {
    label: "Light at 254 nm, new",
    quantity: "power",
    help: "Its germ-killing light, not the power it draws.",
  },
  sleeveMm: { label: "Sleeve, outside", quantity: "length", help: "The quartz tube round the lamp." },
  chamberMm: { label: "Chamber, inside", quantity: "length" },
  lengthMm: { label: "Lit length", quantity: "length" },
  endOfLife: {
    label: "Left at end of life",
    quantity: "ratio",
    help: "Share of its light that is left when its hours are over.",
  },
  fouling: {
    label: "Taken by fouling",
    quantity: "ratio",
    help: "Share that scale and slime on the sleeve take away.",
  },
  transmittance: {
    label: "Light through 10 mm",
    quantity: "ratio",
    help: "Of the water, at 254 nm. Empty: a usual figure.",
  },
  lifeHours: { label: "Lamp lasts", quantity: "hours" },
  crackKPa: { label: "Opens at", ...KPA, help: "Pressure that lifts its flap." },
  supplyKPa: {
    label: "Pressure of the camp's tap",
    ...KPA,
    help: "At the tap on the pitch, before any reducer.",
  },
  reducedToKPa: {
    label: "Reducer lets through",
    ...KPA,
    help: "What the pressure reducer at it is set to. Empty: there is none.",
  },
  gapMm: {
    label: "Free fall",
    quantity: "length",
    help: "From the end of the spout down to the highest the water can stand.",
  },
  bearsKPa: { label: "Bears at most", ...KPA, help: "The highest pressure on its plate. Empty: not read yet." },
  setKPa: { label: "Opens at", ...KPA, help: "Above this it lets water go." },
  boreMm: { label: "Bore", quantity: "length" },
  clamps: { label: "Clamps on its hose", quantity: "count", help: "Two where they fit, below the water always." },
  tailMm: {
    label: "Its tail, outside",
    quantity: "length",
    help: "Over the ridges, with calipers. Empty: not measured.",
  },
  flushL: { label: "One flush", quantity: "volume" },
  onMm: { label: "Float switches on at", quantity: "length" },
  offMm: { label: "Float switches off at", quantity: "length" },
  areaCm2: { label: "Floor of it, cm²", quantity: "count", help: "Length times width, inside." },
};

/** Choices of a piece of gear, and what each is called. */
export const GEAR_CHOICES: Readonly<
  Record<string, { readonly label: string; readonly names: Readonly<Record<string, string>> }>
> = {
  pump: {
    label: "Kind",
    names: { diaphragm: "Diaphragm", centrifugal: "Centrifugal", macerator: "Macerator", hand: "By hand" },
  },
  medium: { label: "Medium", names: { sediment: "Sediment", carbon: "Carbon", block: "Carbon block" } },
  drive: { label: "Turned by", names: { hand: "Hand", motor: "Motor" } },
  atRest: {
    label: "Without power",
    names: { stays: "Stays as it is", opens: "Opens", shuts: "Shuts", a: "Goes to way A", b: "Goes to way B" },
  },
  use: {
    label: "For",
    names: { drinking: "Drinking and cooking", washing: "Washing", shower: "Shower", deckWash: "Deck wash" },
  },
  metal: {
    label: "Made of",
    names: {
      bronze: "Bronze",
      dzrBrass: "Brass that keeps its zinc",
      stainless: "Stainless",
      composite: "Composite, rated",
      brass: "Plain brass",
      domestic: "Household plastic",
    },
  },
  tail: { label: "Hose tail", names: { straight: "Straight", elbow90: "Elbow 90°", elbow120: "Elbow 110 to 120°" } },
  bedding: {
    label: "Bedded on",
    names: { polyurethane: "Polyurethane", polysulphide: "Polysulphide", butyl: "Butyl", none: "Not said" },
  },
  serves: {
    label: "Serves",
    names: { intake: "Intake", discharge: "Discharge", cockpit: "Cockpit drain", bilge: "Bilge pump" },
  },
  bowl: {
    label: "Kind",
    names: { handPump: "Hand pump", macerating: "Macerating", vacuum: "Vacuum", gravity: "Gravity" },
  },
};

/** Of the choices those that a kind of gear has. */
export const CHOICES_OF: Readonly<Record<string, readonly string[]>> = {
  valve: ["stays", "opens", "shuts"],
  diverter: ["stays", "a", "b"],
};

export const GEAR_TICKS: Readonly<Record<string, string>> = {
  mayRunDry: "May run dry",
  hasSeacock: "Has a seacock",
  hasBacking: "Backing block inside",
};

/** What each port is called at its piece. */
export const PORT_WORDS: Readonly<Record<string, string>> = {
  in: "in",
  out: "out",
  common: "common",
  a: "A",
  b: "B",
  c: "C",
  hot: "hot",
  cold: "cold",
  flush: "flush",
  waste: "waste",
};
