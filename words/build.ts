import type { BuildStep, StepKind } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import { describePart } from "./findings";

type StepWords = { readonly verb: (part: string) => string; readonly tools: string; readonly caution: string | null };

const UNDER = "Level ground, chocks, axle stands. Never trust a jack. Wear glasses.";

export const STEP_WORDS: Readonly<Record<StepKind, StepWords>> = {
  fitTankPorts: {
    verb: (part) => `Fit the ports of ${part} on the bench`,
    tools: "hole saw, deburrer, sealant",
    caution: null,
  },
  drillHole: {
    verb: (part) => `Drill the hole for ${part}`,
    tools: "pilot bit, hole saw, glasses",
    caution: "Look what lies behind before you drill: fuel, brake and electric lines.",
  },
  hangTank: { verb: (part) => `Hang ${part}`, tools: "jack with a board, spanners, torque wrench", caution: UNDER },
  layVent: { verb: (part) => `Lay ${part}, rising all the way`, tools: "knife, clamps", caution: null },
  fitTrap: { verb: (part) => `Fit ${part}`, tools: "hands; no pipe wrench on plastic", caution: null },
  layDrain: { verb: (part) => `Lay ${part} at its fall`, tools: "saw, deburrer, level, clips", caution: UNDER },
  mountGear: { verb: (part) => `Mount ${part}`, tools: "screwdriver, template", caution: null },
  layHose: { verb: (part) => `Put on ${part}`, tools: "knife, two clamps an end", caution: null },
  trialTank: {
    verb: (part) => `Fill ${part} to the brim and look for drips`,
    tools: "bucket, dry paper, an hour",
    caution: "With water only. Never with air: 5 psi on a small tank's wall is more than a ton.",
  },
  trialDrain: {
    verb: (part) => `Try ${part}: water to the flood rim of the lowest fixture, 15 minutes`,
    tools: "plug, bucket, dry paper under each joint",
    caution: null,
  },
  trialHoses: {
    verb: () => "Bring the pumped side to pressure and soap every joint",
    tools: "soapy water, gauge",
    caution: "Buckets in place first, the pump's fuse last.",
  },
  closeUp: { verb: () => "Close up: lagging, covers, boards", tools: "what you took them off with", caution: null },
};

/** What a step is called, with its part. */
export const describeStep = ({ kind, at }: BuildStep, design: Design): string =>
  STEP_WORDS[kind].verb(describePart(at, design));
