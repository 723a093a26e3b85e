import type { FormulaId, Stand } from "@/core/workings/working";

/** A formula for reading: its name, the sum in symbols, what each symbol is, and a plain line why. */
export type FormulaWords = {
  readonly title: string;
  readonly sum: string;
  readonly symbols: Readonly<Record<string, string>>;
  readonly plain: string;
};

/** How the rig stands for a figure that is given three times. */
export const STAND_WORDS: Readonly<Record<Stand, string>> = {
  level: "standing level",
  here: "as it stands now",
  worst: "where it is parked the worst for this drain; there it need only still run",
};

const BUDGET: Readonly<Record<string, string>> = {
  H: "outlet over tank inlet",
  t: "spent on the trap",
  d: "spent in drops",
  N: "asked for by the runs",
  R: "left over all runs",
  w: "left in the weakest run",
  F: "fall in hand",
};
// the same for everything that lies between two points
const TRUE_FALL = {
  sum: "f = u · (dx, dy, dz);  u = (−sin p, cos p sin r, cos p cos r)",
  symbols: {
    dx: "forward, upper end over lower",
    dy: "to the left",
    dz: "up",
    p: "pitch, nose down above 0",
    r: "roll, right low above 0",
  },
} as const;

const RAMPS = {
  sum: "l = (u₂ − u₁) · (x, y, 0);  h = l − least l",
  symbols: {
    p: "pitch here",
    r: "roll here",
    pw: "pitch wanted",
    rw: "roll wanted",
    x: "from the rear edge, wheel",
    y: "left of the middle, wheel",
    h: "under wheel",
    H: "highest ramp",
  },
} as const;

/** What a symbol of a working stands for; numbered ones share their words. */
export function describeSymbol(formula: FormulaId, symbol: string): string {
  const { symbols } = FORMULA_WORDS[formula];
  const [, letter, number] = /^(.*?)(\d+)$/.exec(symbol) ?? [];
  return symbols[symbol] ?? (letter && symbols[letter] ? `${symbols[letter]} ${number}` : "");
}

const BUDGET_PLAIN =
  "The millimetres this drain can still lose before a run fails. The weakest run decides, because a sum may be good while one run goes backwards.";

export const FORMULA_WORDS: Readonly<Record<FormulaId, FormulaWords>> = {
  fallInHand: {
    title: "Fall in hand",
    sum: "R = H − t − d − N;  F = min(R, w)",
    symbols: BUDGET,
    plain: BUDGET_PLAIN,
  },
  legFall: {
    title: "Fall of a leg",
    sum: `${TRUE_FALL.sum};  F = f − N`,
    symbols: { ...TRUE_FALL.symbols, f: "true fall", N: "fall asked for", F: "fall in hand" },
    plain: "How far the inside bottom of the pipe goes down from end to end, less what the rule asks for.",
  },
  dropFall: {
    title: "Height of a drop",
    sum: TRUE_FALL.sum,
    symbols: { ...TRUE_FALL.symbols, f: "true fall" },
    plain: "A pipe that goes down at more than 45° drains anyhow; no fall is asked of it.",
  },
  trapHeight: {
    title: "Height the trap takes",
    sum: TRUE_FALL.sum.replace("f =", "t ="),
    symbols: { ...TRUE_FALL.symbols, t: "outlet down to the weir" },
    plain:
      "From the underside of the waste to the weir of the trap, where the drain begins. Without a trap it is nothing.",
  },
  dropsHeight: {
    title: "Height spent in drops",
    sum: "d = the sum over the drops",
    symbols: { f: "fall of leg", d: "in all drops" },
    plain: "What steep pieces take of the height; it is gone for the runs that lie.",
  },
  drainCapacity: {
    title: "What the drain carries",
    sum: "Q = A R^(2/3) S^(1/2) / n",
    symbols: {
      D: "bore",
      S: "flattest run",
      n: "roughness",
      yD: "fill allowed",
      Qin: "inflow of the fixture",
      Q: "capacity",
    },
    plain: "Manning's formula for a pipe part full. Below half full, air still passes over the water.",
  },
  drainVelocity: {
    title: "Speed of the water",
    sum: "v = R^(2/3) S^(1/2) / n",
    symbols: {
      D: "bore",
      S: "flattest run",
      n: "roughness",
      Qin: "inflow of the fixture",
      yD: "how full it runs",
      v: "speed",
    },
    plain: "Fast water takes dirt along. A grey line in a rig seldom gets there.",
  },
  floorHole: {
    title: "Hole in the floor",
    sum: "l = (d + 2c) / sin θ + t / tan θ;  w = d + 2c",
    symbols: {
      d: "outside of the pipe",
      c: "room all round",
      t: "floor, through and through",
      θ: "pipe to the floor",
      w: "width of the hole",
      l: "length of the hole",
    },
    plain: "A pipe that slants needs a longer hole. Drill a small pilot first and look where it comes out.",
  },
  trapArm: {
    title: "Trap to air",
    sum: "Lmax = D / s, or the length the rules name",
    symbols: { D: "bore", s: "steepest slope where parked", La: "length to the next air", Lmax: "length allowed" },
    plain:
      "Air must reach the pipe before it has gone down by its own bore; beyond that a full pipe sucks the trap dry.",
  },
  trapSeal: {
    title: "Trap seal here",
    sum: "Ht = u · (weir − dip)",
    symbols: { H: "seal standing level", b: "span of the trap", Ht: "seal as the rig stands" },
    plain: "The water in the trap that holds the tank's gas back.",
  },
  sealDriving: {
    title: "Seal left after driving",
    sum: "H' = H − s a / (2 g)",
    symbols: {
      H: "seal standing level",
      s: "legs of the trap apart",
      a: "push, share of gravity",
      "H'": "seal left",
    },
    plain:
      "Braking tips the water in the trap; what goes over the weir is lost. Only a push toward the outlet counts. Where s a/g comes to H it breaks through, and nothing is counted on.",
  },
  sealDrying: {
    title: "Until the trap is dry",
    sum: "T = H / e",
    symbols: { H: "seal standing level", e: "how far the seal falls in a week", T: "weeks unused" },
    plain: "Pour a glass of water in before you leave it standing, or a cup of cooking oil for the winter.",
  },
  pondedWater: {
    title: "Water left standing",
    sum: "V = Σ ∫ A(y) dx",
    symbols: { D: "bore", V: "water that stays in the pipe" },
    plain: "After it has run empty, water stays behind every rise. It smells, and in frost it splits the pipe.",
  },
  tankCapacity: {
    title: "The whole tank",
    sum: "C = A L",
    symbols: { A: "area of its profile, inside", L: "length inside", C: "inside volume" },
    plain: "The inside, filled to the top. No rig ever gets to use all of it.",
  },
  tankLeft: {
    title: "Left behind",
    sum: "Vl = volume below the invert of the lowest outlet",
    symbols: { C: "the whole tank", Vl: "left behind" },
    plain: "What cannot run out as the rig stands at the dump.",
  },
  tankFull: {
    title: "Full at",
    sum: "Vf = volume below the first opening that floods",
    symbols: { C: "the whole tank", h: "that opening over the corner the tank is placed by", Vf: "full" },
    plain: "A tank is full when its inlet, its breather or a sink floods, not when it is full to the top.",
  },
  tankUsable: {
    title: "Usable",
    sum: "V = Vf − Vl",
    symbols: { Vf: "full", Vl: "left behind when dumping; of fresh water, what cannot be drawn", V: "usable" },
    plain: "What you can put in between two dumps, or draw between two fills.",
  },
  dumpSuction: {
    title: "Suction while dumping",
    sum: "q = Cd a √(2 (g h − p/ρ));  p = (f L/d + K) ρa v²/2",
    symbols: {
      h: "full tank over the outlet",
      D: "bore of the outlet",
      Cd: "discharge of the outlet",
      d: "bore of the breather",
      L: "length of the breather",
      K: "losses at its ends, mesh and bends",
      q: "out through the outlet",
      p: "suction in the tank",
    },
    plain:
      "What runs out must come in as air. Outlet and breather are solved together, for the moment the valve opens on a full tank.",
  },
  sealAfterDump: {
    title: "Seal left after dumping",
    sum: "H' = H − p / (2 ρ g)",
    symbols: { H: "shallowest seal on the tank", p: "suction in the tank", "H'": "seal left" },
    plain: "Suction lifts the water in the trap toward the tank; what goes over the weir is lost.",
  },
  fillPressure: {
    title: "Pressure while filling",
    sum: "p = (f L/d + K) ρa v²/2",
    symbols: {
      Qin: "all fixtures on the tank, and pumps that fill it",
      d: "bore of the breather",
      L: "length of the breather",
      K: "losses at its ends, mesh and bends",
      p: "pressure in the tank",
    },
    plain: "Filling pushes the same volume of air out; twice the seal's depth of water holds it back.",
  },
  panelHole: {
    title: "Hole in a wall",
    sum: "l = (d + 2c) / cos θ + t tan θ;  w = d + 2c",
    symbols: {
      d: "outside of the pipe",
      c: "room all round",
      t: "wall, through and through",
      θ: "pipe to the line square to it",
      w: "width of the hole",
      l: "height of the hole",
    },
    plain:
      "A pipe that falls needs a hole a little taller than it is wide. Sealed on both faces, with nothing that rubs.",
  },
  sealSiphon: {
    title: "Seal left after the pipe ran full",
    sum: "H' = H − max(0, f − D) / 2;  0 where f − D ≥ H",
    symbols: { H: "seal standing level", f: "fall to the next air", D: "bore", "H'": "seal left" },
    plain:
      "The water that hangs in a full pipe sucks by its own height. Air comes in once the pipe is down by its bore.",
  },
  sealSuction: {
    title: "Seal left after dumping",
    sum: "H' = H − p / (2 ρ g);  0 where p ≥ ρ g H",
    symbols: { H: "seal standing level", p: "suction at this trap", "H'": "seal left" },
    plain: "Air of the branch's own keeps the tank's suction from the trap.",
  },
  sealPressure: {
    title: "Seal while the tank fills",
    sum: "H' = H − p / (2 ρ g)",
    symbols: { H: "seal standing level", p: "pressure at this trap", "H'": "seal left" },
    plain:
      "Pressure pushes the water up toward the fixture; it comes back. Only twice the seal's own height blows it out.",
  },
  sealFrost: {
    title: "Until the trap freezes",
    sum: "t = (m c / UA) ln((T0 − Ta) / (0 − Ta));  m = ρ π D²/4 (2 H + s);  UA = (2 H + s) (0.1 h π d + 0.9 / (ln(1 + 2 i/d) / (2 π k) + 1 / (h π (d + 2 i))))",
    symbols: {
      H: "seal standing level",
      s: "legs of the trap apart",
      D: "bore",
      d: "outside of the pipe",
      i: "foam round it",
      k: "what the foam lets through",
      h: "heat from its outside to the air",
      Ta: "air on a cold night",
      t: "until its water is at freezing point",
    },
    plain:
      "A trap under the floor. A breeze more than halves the time; lagging makes it longer and does not stop it. A tenth of it counts as bare.",
  },
  tankFreezing: {
    title: "Until the tank is at freezing point",
    sum: "t = (m c / UA) ln((T0 − Ta) / (0 − Ta))",
    symbols: {
      m: "water in it",
      UA: "heat it loses for each degree",
      T0: "its water at dusk",
      Ta: "air on a cold night, or with a pad on where the water would come to rest",
      t: "until it is at freezing point",
    },
    plain: "The heat leaves through walls and lagging, the slower the nearer the water is to the air. Wind is quicker.",
  },
  tankIce: {
    title: "From freezing point until ice does harm",
    sum: "t = s m L / (UA (0 − Ta))",
    symbols: {
      s: "share that is ice then",
      m: "water in it",
      UA: "heat it loses for each degree",
      Ta: "air on a cold night, or with a pad on where the water would come to rest",
      t: "until so much of it is ice",
    },
    plain: "It freezes from the walls: by then gauge, valve and ports are stuck.",
  },
  padPower: {
    title: "Pad that holds the tank",
    sum: "P = UA (Th − Ta)",
    symbols: {
      UA: "heat it loses for each degree",
      Th: "held at",
      Ta: "air on a cold night",
      P: "what the pad must give",
    },
    plain: "All night long, what goes out must come in. Lagging halves it more cheaply than watts do.",
  },
  boltUse: {
    title: "What the worst load takes of a bolt",
    sum: "u = V / VR + T / (1.4 TR)",
    symbols: {
      V: "shear on the bolt that bears most",
      VR: "shear it bears",
      T: "pull on it",
      TR: "pull it bears",
      u: "taken; all of it is 100 %",
    },
    plain: "Shear and pull together, for bolts of class 8.8 with what is safe to count of their strength.",
  },
  heldUse: {
    title: "What the worst load takes of what a bolt sits in",
    sum: "u = f (V / FV + T / FT)",
    symbols: {
      f: "safety factor on the ratings",
      V: "shear on the bolt that bears most",
      FV: "rated in shear",
      T: "pull on it",
      FT: "rated against pulling out",
      u: "taken; all of it is 100 %",
    },
    plain: "Rivet nuts, lugs and thin sheet give long before the bolt does.",
  },
  breakover: {
    title: "Breakover angle",
    sum: "α = atan(h / a) + atan(h / b)",
    symbols: {
      h: "lowest point over the ground",
      a: "to the axle behind",
      b: "to the axle before",
      α: "ridge it crosses",
    },
    plain:
      "How sharp a ridge passes between the axles before this touches. Each wheel is taken as a point, on the safe side.",
  },
  rampEnd: {
    title: "Ramp angle at the end",
    sum: "α = atan(h / a)",
    symbols: { h: "lowest point over the ground", a: "to the nearest axle", α: "ramp it takes" },
    plain: "How steep a ramp may begin behind or before the wheels until this touches.",
  },
  rampsToRun: {
    title: "Ramps, so that the drains run",
    sum: RAMPS.sum,
    symbols: RAMPS.symbols,
    plain:
      "The way from here to level, stopped where the last run of any drain begins to fall. The lowest wheel stays down.",
  },
  rampsToLevel: {
    title: "Ramps, to stand level",
    sum: RAMPS.sum,
    symbols: RAMPS.symbols,
    plain: "How far each wheel must come up until all stand at one height. The lowest wheel stays down.",
  },
  storeDays: {
    title: "Days until it is full, or empty",
    sum: "T = V / q",
    symbols: { V: "usable, as the rig stands", q: "into it, or out of it, a day", T: "days" },
    plain:
      "From empty, or for fresh water from full; at the mean of the way of living. What is drunk never reaches a waste tank.",
  },
};
