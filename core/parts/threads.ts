/** How a joint is made. */
export const END_KINDS = [
  "bspp",
  "bspt",
  "npt",
  "gardenHose",
  "hoseBarb",
  "pushFit",
  "solventPvc",
  "solventAbs",
  "compression",
] as const;
export type EndKind = (typeof END_KINDS)[number];

export const END_SIZES = ["1/2", "3/4", "1", "1 1/4", "1 1/2", "2"] as const;
export type EndSize = (typeof END_SIZES)[number];

/** Threads an inch [P: ISO 7-1 and ISO 228 for BSP, ASME B1.20.1 for NPT, ASME B1.20.7 for garden hose; from memory, 97 %]. */
const PITCHES: Readonly<Record<"bsp" | "npt", Readonly<Record<EndSize, number>>>> = {
  bsp: { "1/2": 14, "3/4": 14, "1": 11, "1 1/4": 11, "1 1/2": 11, "2": 11 },
  npt: { "1/2": 14, "3/4": 14, "1": 11.5, "1 1/4": 11.5, "1 1/2": 11.5, "2": 11.5 },
};
/** Garden hose thread comes in one size: 3/4-11.5. */
const GARDEN_PITCH = 11.5;

/** Threads an inch of an end, null where it has none or is not made in that size. */
export function findPitch(kind: EndKind, size: EndSize): number | null {
  switch (kind) {
    case "bspp":
    case "bspt":
      return PITCHES.bsp[size];
    case "npt":
      return PITCHES.npt[size];
    case "gardenHose":
      return size === "3/4" ? GARDEN_PITCH : null;
    default:
      return null;
  }
}

export type Fit =
  /** Made for one another. */
  | "fits"
  /** Same pitch, other angle: it starts, turns, and leaks. */
  | "startsAndLeaks"
  /** Another pitch: it jams after a turn or two. */
  | "jams"
  /** Two ways of joining that have nothing in common. */
  | "adaptor"
  /** Not made in that size. */
  | "notMade";

export type Sealant = "washer" | "tapeOrPaste" | "none" | "clamp" | "cement" | "ring";

export type JointVerdict = { readonly fit: Fit; readonly sealant: Sealant | null };

/**
 * Whether two ends of one size go together, and what seals them [P on the threads named; T on the rest]. Example: ½ in BSPT
 * into NPT has 14 threads an inch on both, 55° and 60°: starts and leaks; 1 in has 11 and 11½: jams.
 */
export function judgeJoint(one: EndKind, other: EndKind, size: EndSize): JointVerdict {
  if (!isMade(one, size) || !isMade(other, size)) return { fit: "notMade", sealant: null };
  if (one === other) return { fit: "fits", sealant: SEALANTS[one] };
  const pair = [one, other];
  const has = (...kinds: EndKind[]) => pair.every((kind) => kinds.includes(kind));
  // a parallel female takes a tapered male, sealed in the thread
  if (has("bspp", "bspt")) return { fit: "fits", sealant: "tapeOrPaste" };
  const [a, b] = [findPitch(one, size), findPitch(other, size)];
  if (a === null || b === null) return { fit: "adaptor", sealant: null };
  return { fit: a === b ? "startsAndLeaks" : "jams", sealant: null };
}

const isMade = (kind: EndKind, size: EndSize): boolean => kind !== "gardenHose" || size === "3/4";

/** What seals each kind of end [T; P for washers and tapered threads]. */
export const SEALANTS: Readonly<Record<EndKind, Sealant>> = {
  bspp: "washer",
  bspt: "tapeOrPaste",
  npt: "tapeOrPaste",
  gardenHose: "washer",
  hoseBarb: "clamp",
  pushFit: "ring",
  solventPvc: "cement",
  solventAbs: "cement",
  compression: "none",
};
