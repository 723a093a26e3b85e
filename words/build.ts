import type { BuildStep, Moved, StepKind } from "@/core/build/steps";
import type { LoadKind } from "@/core/build/wiring";
import type { Design } from "@/core/design/design";
import type { GearKind } from "@/core/design/gear";
import type { BuildRecord } from "@/core/record/record";
import { findTankJoin, type TankJoin } from "@/core/tanks/tankJoins";
import { standsUnderPressure } from "@/core/trials/pressed";
import { describePart } from "./describePart";
import { describeWall } from "./holes";
import { MOUNT_CAUTIONS } from "./mountCautions";
import { formatNumber } from "./units";

/** What wants current, with the part it is of. */
const nameLoad = (kind: LoadKind, part: string): string =>
  kind === "gear" ? part : `the ${TANK_LOAD_NAMES[kind]} of ${part}`;

/** What of a tank wants current. */
export const TANK_LOAD_NAMES: Readonly<Record<Exclude<LoadKind, "gear">, string>> = {
  dumpValve: "dump valve",
  sender: "level sender",
  pad: "heating pad",
};

type StepWords = {
  readonly verb: (part: string) => string;
  readonly tools: string;
  readonly caution: string | null;
  /** What differs on a boat, beside the words that always do. */
  readonly afloat?: Partial<Omit<StepWords, "afloat">>;
};

const UNDER = "Level ground, chocks, axle stands. Never trust a jack. Wear glasses.";
const BILGE = "Bilge dry and aired, a light, a second pair of hands within call. Wear glasses.";

const STEP_WORDS: Readonly<Record<StepKind, StepWords>> = {
  fitTankPorts: {
    verb: (part) => `Fit the ports of ${part} on the bench`,
    tools: "hole saw, deburrer, sealant",
    caution: "Measured on its outside. Cut the hole the fitting asks for, not its bore.",
  },
  drillHole: {
    verb: (part) => `Drill the hole for ${part}`,
    tools: "pilot bit, hole saw, deburrer, primer, glasses",
    caution: "Look what lies behind: fuel, gas, brake and electric lines. Pilot first. Deburr, prime, seal both faces.",
    afloat: {
      tools: "pilot bit, hole saw, deburrer, resin, glasses",
      caution:
        "Look what lies behind: fuel, gas and electric lines, and her skin. Pilot first. Deburr, close edge and core with resin, seal both faces.",
    },
  },
  fitFixing: {
    verb: (part) => `Fit what holds ${part}: rails, nuts, straps laid ready`,
    tools: "drill, rivet nut tool, spanners",
    caution: "Look what lies behind before you drill into the frame.",
    afloat: {
      verb: (part) => `Fit what holds ${part}: bearers, nuts, straps laid ready`,
      tools: "drill with a depth stop, spanners, resin",
      caution:
        "Never through her skin: into bearers bonded to her frames, drilled to a stop. Measure what lies under each hole first.",
    },
  },
  hangTank: {
    verb: (part) => `Hang ${part}`,
    tools: "jack with a board, spanners, torque wrench",
    caution: UNDER,
    afloat: { verb: (part) => `Set ${part} in its place`, tools: "a helper, spanners, torque wrench", caution: BILGE },
  },
  joinTanks: {
    verb: (part) => `Join ${part} to the next`,
    tools: "hole saw, deburrer, sealant, clamps",
    caution: "What joins them is not drawn and nothing is worked out for it: keep every joint where a hand reaches it.",
  },
  layVent: { verb: (part) => `Lay ${part}, rising all the way`, tools: "knife, clamps", caution: null },
  layDumpLine: {
    verb: (part) => `Lay ${part} at its fall, and put the cap on`,
    tools: "saw, deburrer, level, clips",
    caution: UNDER,
    afloat: { caution: BILGE },
  },
  fitTrap: { verb: (part) => `Fit ${part}`, tools: "hands; no pipe wrench on plastic", caution: null },
  layDrain: {
    verb: (part) => `Lay ${part} at its fall`,
    tools: "saw, deburrer, level, clips",
    caution: UNDER,
    afloat: { caution: BILGE },
  },
  mountGear: {
    verb: (part) => `Mount ${part}`,
    tools: "screwdriver, template",
    caution: "Screws shorter than what they go into.",
    afloat: { caution: "Screws shorter than what they go into, never into her skin." },
  },
  layHose: { verb: (part) => `Put on ${part}`, tools: "knife, two clamps an end", caution: null },
  layCable: {
    verb: (part) => `Run the cable to ${part}`,
    tools: "side cutter, crimper, a drill and a grommet where it goes through",
    caution:
      "Battery off, and the fuse stays out until its trial. Clear of edges, fuel, gas and exhaust; a grommet at every hole. Mains current is for the licensed.",
  },
  trialTank: {
    verb: (part) => `Fill ${part} to the brim and look for drips`,
    tools: "plugs for inlets that stand open, bucket, dry paper, an hour",
    caution: "With water only. Never with air: 5 psi on a small tank's wall is more than a ton.",
  },
  trialDrain: {
    verb: (part) => `Try ${part}: water to the flood rim of the lowest fixture, 15 minutes`,
    tools: "plug, bucket, dry paper under each joint",
    caution: null,
  },
  trialDump: {
    verb: (part) => `Let ${part} run out by bucket and watch: dump and breather`,
    tools: "bucket with litre marks, watch",
    caution: "At a place where it may be let go, gloves on.",
    afloat: {
      verb: (part) => `Have ${part} pumped out, with an eye on its breather and walls`,
      tools: "pump or deck suction, a second pair of eyes",
      caution: "No wall may draw in: stop if one does, its breather is blocked. Gloves on.",
    },
  },
  trialBack: {
    verb: (part) => `Fill behind ${part} and look whether any comes back`,
    tools: "bucket, dry paper, 15 minutes",
    caution: null,
  },
  trialHoses: {
    verb: () => "Bring the pumped side to pressure and soap every joint",
    tools: "soapy water, gauge",
    caution: "Buckets in place first, the pump's fuse last.",
  },
  trialLaunch: {
    verb: () => "In the slings: every fitting in her skin dry before she is let go",
    tools: "dry paper, a light, a hand at each seacock; the crane waits",
    caution: "All seacocks shut. Then open one after the other and look at its hose; a drip means up again.",
  },
  own: { verb: (name) => name, tools: "yours", caution: null },
  closeUp: {
    verb: () => "Close up: lagging, covers, boards",
    tools: "what you took them off with",
    caution: "First photograph what the boards will hide, with a tape laid in the picture.",
  },
};

/** A fitting in a boat's skin is not mounted like a pump. */
const BEDDED: StepWords = {
  verb: (part) => `Bed ${part} in the hull`,
  tools: "sealant for below the waterline, backing block, spanners, cloths",
  caution:
    "Ashore. Turn its seacock before: handle in line with the hose is open. Let the sealant cure as its maker says before she floats.",
};

/** The load is of ABYC H-27, from memory, 90 % [P]: 500 lbf for 30 s at the inboard end. */
const BEDDED_SEACOCK: StepWords = {
  ...BEDDED,
  caution: `${BEDDED.caution} Then lean on the inner end of its seacock with your whole weight: it is meant to bear three times that, 227 kg (500 lbf) for 30 seconds (ABYC H-27, from memory), with nothing giving way.`,
};

/** What rain and spray stand on: a hole as its maker says, closed before anything is set in it. */
const SET_IN: StepWords = {
  verb: (part) => `Set ${part} into the outside wall`,
  tools: "its maker's template, hole saw, deburrer, primer, butyl, screwdriver",
  caution: "Look what lies behind. Prime the edge; bed flange and screws.",
  afloat: {
    verb: (part) => `Set ${part} into the deck`,
    tools: "its maker's template, hole saw, resin, butyl, screwdriver",
    caution: "Look what lies behind. Close a core with resin before; bed flange and screws.",
  },
};
const SET_IN_KINDS: readonly GearKind[] = ["deckFitting", "coupling"];

/** A dump line that joins another one has no cap. */
const LAID_INTO: Pick<StepWords, "verb"> = { verb: (part) => `Lay ${part} at its fall, into the wye` };

/** Hoses on which no pressure stands are run through, not pressed. */
const RUN_THROUGH: StepWords = {
  verb: () => "Run every pump and toilet through and feel each joint",
  tools: "dry paper, a second pair of hands",
  caution: "Buckets in place first, gloves on.",
};

/** A tank that goes on in another, by name. */
const joinWords = ({ kind, to }: TankJoin): Pick<StepWords, "verb"> => ({
  verb: (part) =>
    kind === "communicating"
      ? `Join ${part} to ${to.name} at the bottom`
      : `Put pump and hose from ${part} to ${to.name}`,
});

/** On land a tank over the floor is not hung. */
const SET_DOWN: Pick<StepWords, "verb" | "tools" | "caution"> = {
  verb: (part) => `Set ${part} in its place`,
  tools: "a helper, spanners, torque wrench",
  caution: "Look under the floor before its bolts go through.",
};

function findWords({ kind, at }: Pick<BuildStep, "kind" | "at">, design: Design): StepWords {
  const { rig, gear, lines, tanks } = design;
  const piece = kind === "mountGear" ? gear.find(({ id }) => at.kind === "gear" && at.id === id) : undefined;
  if (piece?.spec.kind === "skinFitting" && rig.kind === "boat") return piece.spec.hasSeacock ? BEDDED_SEACOCK : BEDDED;
  const words = piece && SET_IN_KINDS.includes(piece.spec.kind) ? SET_IN : STEP_WORDS[kind];
  if (kind === "trialHoses" && !standsUnderPressure({ gear })) return RUN_THROUGH;
  const isInto =
    kind === "layDumpLine" && lines.some(({ id, to }) => at.kind === "line" && at.id === id && to.kind === "wye");
  const tank = kind === "joinTanks" ? tanks.find(({ id }) => at.kind === "tank" && at.id === id) : null;
  const join = tank ? findTankJoin(design, tank) : null;
  const isInside =
    kind === "hangTank" && tanks.some(({ id, atMm: { z } }) => at.kind === "tank" && at.id === id && z >= 0);
  const mount = piece && MOUNT_CAUTIONS[piece.spec.kind];
  return {
    ...words,
    ...(isInside ? SET_DOWN : {}),
    ...(rig.kind === "boat" ? words.afloat : {}),
    ...(isInto ? LAID_INTO : {}),
    ...(join ? joinWords(join) : {}),
    ...(mount
      ? { caution: `${(rig.kind === "boat" ? words.afloat?.caution : undefined) ?? words.caution} ${mount}` }
      : {}),
  };
}

/** What a step is called, with its part. */
export function describeStep({ kind, at, name, hole, loadKind }: BuildStep, design: Design): string {
  const part = name ?? describePart(at, design);
  const said = findWords({ kind, at }, design).verb(loadKind ? nameLoad(loadKind, part) : part);
  return hole ? `${said} through ${describeWall(hole, design)}` : said;
}

/** What a step is done with, and what to look out for. */
export const tellStep = (step: BuildStep, design: Design): Pick<StepWords, "tools" | "caution"> =>
  findWords(step, design);

/** Which steps are looked for: all, those out of the rain, those for which everything is here. */
export const BUILD_WHENS = ["any", "rain", "here"] as const;
export type BuildWhen = (typeof BUILD_WHENS)[number];
export const BUILD_WHEN_NAMES: Readonly<Record<BuildWhen, string>> = {
  any: "All steps",
  rain: "While it rains",
  here: "With what is here",
};

/** Hours left by the usual figures, and how those done compare. */
export function describeHours(steps: readonly BuildStep[], done: BuildRecord["done"]): string {
  const on = new Map(done.map((one) => [one.stepId, one.hours ?? null]));
  const left = steps.reduce((sum, { id, hours }) => (on.has(id) ? sum : sum + hours), 0);
  const told = steps.filter(({ id }) => typeof on.get(id) === "number");
  const [usual, took] = [
    told.reduce((sum, { hours }) => sum + hours, 0),
    told.reduce((sum, { id }) => sum + (on.get(id) ?? 0), 0),
  ];
  const compared = usual > 0 ? ` You took ${formatNumber(took, 1)} h where ${formatNumber(usual, 1)} h are usual.` : "";
  const own = usual > 0 ? left * Math.max(0.25, took / usual) : left;
  return `Some ${formatNumber(own, 0)} hours left.${compared}`;
}

/** What a step still waits for. */
export function describeMissing(names: readonly string[]): string {
  const shown = names.slice(0, 3).join("; ");
  return `Not here yet: ${shown}${names.length > 3 ? `; and ${names.length - 3} more` : ""}.`;
}

/** Why a step cannot go there. */
export function describeMoveRefused(
  moved: Extract<Moved, { ok: false }>,
  steps: readonly BuildStep[],
  design: Design,
): string {
  const nameOf = (wanted: string) => {
    const step = steps.find(({ id }) => id === wanted);
    return step ? describeStep(step, design) : wanted;
  };
  return `Not there: “${nameOf(moved.stepId)}” needs “${nameOf(moved.needsId)}” first.`;
}

/** Why a rule cannot be kept: the first step needs the second already, and by what. */
export function describeRuleRefused(way: readonly string[], steps: readonly BuildStep[], design: Design): string {
  const names = way.map((id) => {
    const step = steps.find((one) => one.id === id);
    return `“${step ? describeStep(step, design) : id}”`;
  });
  return names.length < 2 ? "A step cannot come before itself." : `Not so: ${names.join(" needs ")} first.`;
}

/** What came back from the phone. */
export function describeTicks(added: number, ticked: number): string {
  if (ticked === 0) return "Nothing is ticked there yet.";
  if (added === 0) return "All that is ticked there is ticked here already.";
  return `${added === 1 ? "One step" : `${added} steps`} ticked there ${added === 1 ? "is" : "are"} ticked here now.`;
}
