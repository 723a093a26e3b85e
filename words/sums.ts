import type { Sum, SumFault, SumId } from "@/core/sums/catalogue";
import { describeRead, formatQuantity, parseQuantity, type Units } from "./units";

/** A sum for reading: its name, the formula in symbols, what each is, where it comes from, and a plain line. */
export type SumWords = {
  readonly title: string;
  readonly formula: string;
  readonly terms: Readonly<Record<string, string>>;
  readonly result: string;
  readonly source: string;
  readonly plain: string;
};

const PIPE = { D: "bore of the pipe", S: "its slope", n: "Manning's n of its wall", yD: "how full, of its bore" };
const AIRWAY = { d: "bore of the breather", L: "its length", K: "its ends and bends, in velocity heads" };
const SEAL = { H: "seal" };
const SEAL_LEFT = "seal that is left";
const GEOMETRY = "Geometry";

export const SUM_WORDS: Readonly<Record<SumId, SumWords>> = {
  partFullFlow: {
    title: "Flow of a pipe that is part full",
    formula: "Q = A R^(2/3) S^(1/2) / n",
    terms: PIPE,
    result: "flow",
    source: "Manning; after Chow 1959, from memory",
    plain: "Half full carries half of what the full pipe does. The most runs at 94 % of the bore.",
  },
  partFullVelocity: {
    title: "Speed of water in a pipe that is part full",
    formula: "v = R^(2/3) S^(1/2) / n",
    terms: PIPE,
    result: "speed",
    source: "Manning; after Chow 1959, from memory",
    plain: "Below 0.6 m/s grease and crumbs stay where they are.",
  },
  fallBetween: {
    title: "True fall between two points of a rig that stands askew",
    formula: "f = u · (dx, dy, dz);  u = (−sin p, cos p sin r, cos p cos r)",
    terms: {
      dx: "forward, upper point over lower",
      dy: "to the left",
      dz: "up",
      p: "pitch, nose down above 0",
      r: "roll, right side low above 0",
    },
    result: "true fall",
    source: "Axes of ISO 8855; geometry",
    plain: "Below nothing the water runs the other way.",
  },
  slopedHole: {
    title: "Hole for a sloped pipe",
    formula: "l = (d + 2c)/sin θ + t/tan θ",
    terms: { d: "pipe, outside", t: "floor or wall, thickness", θ: "pipe to the floor", c: "to spare all round" },
    result: "length of the hole",
    source: GEOMETRY,
    plain: "It is as wide as the pipe with its room to seal, and longer the flatter the pipe lies.",
  },
  boxVolume: {
    title: "Volume of a box tank",
    formula: "V = L W h",
    terms: { L: "inside, length", W: "inside, width", h: "inside, height, or how deep it is full" },
    result: "volume",
    source: GEOMETRY,
    plain: "Standing level. What it holds until it floods is less: see the tank on its stage.",
  },
  pipeVolume: {
    title: "What a pipe or hose holds",
    formula: "V = π D² L / 4",
    terms: { D: "bore", L: "length" },
    result: "volume",
    source: GEOMETRY,
    plain: "What runs back out of a hose when it is let down; what must be drained before frost.",
  },
  waterWeight: {
    title: "Weight of water",
    formula: "m = ρ V",
    terms: { V: "volume" },
    result: "weight",
    source: "998.2 kg/m³ at 20 °C: Kell 1975, from memory",
    plain: "A full tank is the heaviest thing a builder adds.",
  },
  openOutlet: {
    title: "Flow out of an open outlet",
    formula: "Q = Cd A √(2 g h)",
    terms: { h: "water over its middle", D: "bore", Cd: "0.6 sharp-edged, 0.8 short tube" },
    result: "flow",
    source: "Torricelli",
    plain: "Use 0.6 where a large flow helps, and 0.8 where it hurts.",
  },
  runningEmpty: {
    title: "How long a tank takes to run empty",
    formula: "t = A/(Cd a) √(2 h/g)",
    terms: { A: "area of its floor", h: "how deep it is full", D: "bore, in its bottom", Cd: "0.6 sharp-edged" },
    result: "time",
    source: "Torricelli",
    plain: "With upright walls and air enough. A narrow breather makes it longer.",
  },
  breather: {
    title: "Pressure in a breather",
    formula: "p = (f L/d + K) ρ v²/2",
    terms: { Q: "air through it", ...AIRWAY },
    result: "pressure",
    source: "Darcy and Weisbach; friction after Swamee and Jain 1976",
    plain: "As much air as water comes or goes. 375 Pa is what rules of venting allow.",
  },
  dumpSuction: {
    title: "Suction while a tank is dumped",
    formula: "q = Cd a √(2 (g h − p(q)/ρ))",
    terms: { h: "water over the outlet's middle", D: "bore of the outlet", ...AIRWAY, Cd: "0.8 on the safe side" },
    result: "suction in the tank",
    source: "Torricelli with Darcy and Weisbach, solved together",
    plain: "What the breather cannot bring in is sucked through the traps.",
  },
  sealSuction: {
    title: "Seal that is left after suction",
    formula: "H' = H − p/(2 ρ g)",
    terms: { ...SEAL, p: "suction" },
    result: SEAL_LEFT,
    source: "Hydrostatics, legs of equal width",
    plain: "At p = ρ g H air breaks through and takes more of it along.",
  },
  sealPush: {
    title: "Seal that stands against a push from the tank",
    formula: "H' = H − p/(2 ρ g)",
    terms: { ...SEAL, p: "pressure from the tank" },
    result: "seal that stands",
    source: "Hydrostatics, legs of equal width",
    plain: "At twice ρ g H it is blown into the basin.",
  },
  sealDriving: {
    title: "Seal that is left after driving",
    formula: "H' = H − s a/2",
    terms: { ...SEAL, s: "between the trap's legs", a: "push of the road, of the weight" },
    result: SEAL_LEFT,
    source: "Hydrostatics of a surface that leans",
    plain:
      "Lay the trap across the way you drive: braking is the harder push. Where s a comes to H it breaks through, and nothing is counted on.",
  },
  sealSiphon: {
    title: "Seal that is left after the pipe ran full",
    formula: "H' = H − (f − D)/2",
    terms: { ...SEAL, f: "fall of the pipe to the next air", D: "its bore" },
    result: SEAL_LEFT,
    source: "Hydrostatics; that the pipe runs full is the worst that can be",
    plain: "Air within one bore of fall keeps the whole seal.",
  },
  sealDrying: {
    title: "How long a trap keeps from drying out",
    formula: "T = H/e",
    terms: { ...SEAL, e: "how far the seal falls in a week" },
    result: "weeks",
    source: "Common practice, no source: the house figure is the fall of the seal itself",
    plain: "Before laying up pour in a cup of cooking oil, or antifreeze that is no poison.",
  },
  sealClimate: {
    title: "How long a trap keeps in a given air",
    formula: "t = ((L + s)² − L²) ρ/(D c (1 − RH))",
    terms: { L: "still air over the water", s: "how far the seal falls", T: "air", RH: "humidity of the air" },
    result: "weeks",
    source: "Fick's law; only the inlet leg dries, and the legs level out",
    plain: "Summer heat dries a trap ten times as fast as a cool damp room.",
  },
  airDensity: {
    title: "What air weighs at a height",
    formula: "ρ = 101,325 (1 − 2.25577e-5 h)^5.25588 / (287.05 T)",
    terms: { T: "temperature", h: "height over the sea" },
    result: "density, as kg/m³",
    source: "Standard atmosphere, ISO 2533, from memory",
    plain: "Heavy cold air is harder to draw through a breather than the thin air of a pass.",
  },
  wallLoss: {
    title: "Heat through a lagged wall",
    formula: "U = 1/(1/hi + s/k + f/kf + 1/(9 + 4 v))",
    terms: {
      s: "wall",
      k: "its conductivity",
      f: "foam",
      kf: "its conductivity",
      hi: "film inside",
      v: "wind outside",
    },
    result: "heat for each m² and degree",
    source: "Resistances in a row, ISO 6946, from memory",
    plain: "Times the outside area, m², it is what the tank loses for each degree.",
  },
  pipeLoss: {
    title: "Heat from a lagged pipe",
    formula: "U = 0.1 h π d + 0.9/(ln(1 + 2 f/d)/(2 π kf) + 1/(h π (d + 2 f))), h = 9 + 4 v",
    terms: {
      d: "outside of the pipe",
      f: "foam",
      kf: "its conductivity",
      v: "wind outside",
    },
    result: "heat for each metre and degree",
    source: "Resistances in a row round a pipe, ISO 12241, from memory; that a tenth stays bare is ours",
    plain: "Clips, bends and seams let through what the foam keeps: a tenth counts as bare.",
  },
  boltUse: {
    title: "What shear and pull take of a bolt",
    formula: "u = V/VR + T/(1.4 TR)",
    terms: { V: "shear", VR: "it bears in shear", T: "pull", TR: "it bears in pull" },
    result: "taken",
    source: "EN 1993-1-8, from memory",
    plain: "M8 of class 8.8 bears 14.05 and 21.08 kN; what it sits in mostly bears far less.",
  },
  trapArm: {
    title: "Longest pipe from a trap to its air",
    formula: "Lmax = D/S",
    terms: { D: "bore", S: "slope" },
    result: "longest",
    source: "IPC table 909.1, from memory: 5, 6, 8 ft for 1¼, 1½, 2 in at ¼ in/ft",
    plain: "Past it the pipe has fallen by its own bore, and its air lies under water.",
  },
  breakover: {
    title: "Ridge a rig crosses",
    formula: "α = atan(h/a) + atan(h/b)",
    terms: { h: "lowest point over the ground", a: "to the axle behind", b: "to the axle before" },
    result: "ridge",
    source: GEOMETRY,
    plain: "Each wheel is taken as a point, on the safe side.",
  },
  rampEnd: {
    title: "Ramp a rig takes at its end",
    formula: "α = atan(h/a)",
    terms: { h: "lowest point over the ground", a: "to the nearest axle" },
    result: "ramp",
    source: GEOMETRY,
    plain: "A ferry's ramp is the usual one that catches a tank behind the axle.",
  },
  wheelRamp: {
    title: "What to put under a wheel",
    formula: "h = B sin p",
    terms: { B: "from axle to axle, or wheel to wheel", p: "how far out of level" },
    result: "height",
    source: GEOMETRY,
    plain: "Under both wheels of the low side.",
  },
  storeDays: {
    title: "Days a tank lasts",
    formula: "T = V/q",
    terms: { V: "usable", q: "into it a day" },
    result: "days",
    source: "Arithmetic",
    plain: "On the mean. Half of all stays end before that: see Days for how sure it is.",
  },
  freezing: {
    title: "How long until water freezes",
    formula: "t = (m c/UA) ln((T0 − Ta)/(0 − Ta))",
    terms: { m: "water", UA: "heat it loses", T0: "warm at the beginning", Ta: "outside" },
    result: "until it is at freezing",
    source: "Newton's cooling",
    plain: "A bare valve is ice hours before its tank is.",
  },
  boltPull: {
    title: "Pull on each bolt",
    formula: "F = m g₀ g/n",
    terms: { m: "tank, full", g: "push, in weights", n: "bolts that bear" },
    result: "on each",
    source: "Statics, all bolts alike",
    plain: "What it sits in gives before the bolt does. Bolts that are not alike are not in this.",
  },
  hoseLoss: {
    title: "Pressure a hose takes",
    formula: "p = (f L/d + K) ρ v²/2",
    terms: { Q: "water through it", d: "bore", L: "length", K: "ends, bends and fittings, in velocity heads" },
    result: "pressure",
    source: "Darcy and Weisbach; friction after Swamee and Jain 1976",
    plain: "Half the bore takes some thirty times the pressure.",
  },
  accumulator: {
    title: "Water an accumulator gives between pump runs",
    formula: "v = V p₀ (1/p₁ − 1/p₂), absolute",
    terms: { V: "accumulator", p0: "pre-charge, as a gauge shows it", p1: "pump cuts in", p2: "pump cuts out" },
    result: "water",
    source: "Boyle",
    plain: "Charge it a little below cut-in, with the water side empty.",
  },
  buildUp: {
    title: "What builds up in loop water",
    formula: "c = (m/V)(1 − (1 − r)ⁿ)/r",
    terms: { m: "shed at each shower", V: "loop", r: "share renewed at each", n: "showers" },
    result: "dissolved",
    source: "A mass balance",
    plain: "What no filter takes out. Loop water is never drunk.",
  },
  uvDose: {
    title: "UV dose, mean over the chamber",
    formula: "H = P e (1 − f)(1 − T^(w/10))/(k Q)",
    terms: {
      P: "lamp at 254 nm, new",
      e: "left of it at the end of its life",
      f: "taken by fouling",
      T: "light that 10 mm of water lets through",
      d: "sleeve, outside",
      D: "chamber, inside",
      Q: "greatest flow",
    },
    result: "dose",
    source: "Beer and Lambert on a line of light; no proof of disinfection",
    plain: "Soapy water shields. UV burns eyes: never look into it.",
  },
  flood: {
    title: "Water through an open hole below the waterline",
    formula: "Q = Cd A √(2 g h)",
    terms: { D: "bore", h: "under the water", Cd: "0.8 on the safe side, 0.6 sharp-edged" },
    result: "comes in",
    source: "Torricelli",
    plain: "A hose that slips off sinks a boat while nobody is aboard: shut seacocks when you leave.",
  },
  freeSurface: {
    title: "What a half-full tank takes off a boat's stability",
    formula: "GM = ρ L b³/(12 m)",
    terms: { L: "tank, along", b: "tank, across", m: "boat, laden" },
    result: "off the metacentric height",
    source: "Physics",
    plain: "Lay tanks lengthwise, or give them a wall along the middle.",
  },
  airWarmth: {
    title: "What warmth does to an air test",
    formula: "Δp = p ΔT/T",
    terms: { p: "pressure, absolute", T: "air", ΔT: "change while you watch" },
    result: "change of pressure",
    source: "Ideal gas",
    plain: "The sun on a pipe looks like a leak, or hides one.",
  },
  wallForce: {
    title: "Force of pressure on a tank's wall",
    formula: "F = p L W",
    terms: { p: "pressure", L: "wall, length", W: "wall, width" },
    result: "force",
    source: "Physics",
    plain: "5 psi on a small tank is more than a ton: never try tanks or plastic drains with air.",
  },
};

/** Why a sum has no answer, and what to do. */
export function describeSumFault(fault: SumFault, sum: Sum, units: Units): string {
  const { terms } = SUM_WORDS[sum.id];
  const name = "name" in fault ? `${fault.name} (${terms[fault.name] ?? "unknown"})` : "";
  switch (fault.code) {
    case "missingTerm":
      return `${name} is missing. This sum takes ${listTerms(sum)}.`;
    case "unknownTerm":
      return `${fault.name} is no term of this sum. It takes ${listTerms(sum)}.`;
    case "outOfRange": {
      const { quantity } = sum.terms.find((term) => term.name === fault.name)!;
      return `${name} goes from ${formatQuantity(fault.least, quantity, units)} to ${formatQuantity(fault.most, quantity, units)}.`;
    }
    case "noResult":
      return "With these values there is no answer.";
  }
}

export const listTerms = ({ terms }: Sum): string => terms.map(({ name }) => name).join(", ");

export type ReadTerms =
  | { readonly ok: true; readonly values: Readonly<Record<string, number>> }
  | { readonly ok: false; readonly reason: string };

/** Values typed as `D=1.5in`, each in the unit of its term; a bare figure is in the reader's own. */
export function readTerms(sum: Sum, given: readonly string[], units: Units): ReadTerms {
  const values: Record<string, number> = {};
  for (const text of given) {
    const [name = "", value] = text.split(/=(.*)/s);
    if (value === undefined) return { ok: false, reason: `${text}: write it as name=value, such as D=40mm.` };
    const term = sum.terms.find((one) => one.name === name.trim());
    if (!term) return { ok: false, reason: describeSumFault({ code: "unknownTerm", name: name.trim() }, sum, units) };
    const read = parseQuantity(value, term.quantity, units);
    if (!read.ok) return { ok: false, reason: `${term.name}: ${describeRead(read.reason, term.quantity, units)}` };
    values[term.name] = read.value;
  }
  return { ok: true, values };
}
