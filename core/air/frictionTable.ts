import { computeFriction, type Friction } from "./friction";

/** Each octave of Reynolds numbers in so many parts, a power of two: the parts are the first bits of the number itself. */
const BITS = 5;
const PARTS = 2 ** BITS;
/** From the first power of two that is not laminar, over so many octaves; outside the law itself is asked. */
const FIRST_OCTAVE = 11;
const OCTAVES = 13;
const LEAST = 2 ** FIRST_OCTAVE;
const MOST = 2 ** (FIRST_OCTAVE + OCTAVES);
/** The law has a corner within this part, so that there, too, it is asked itself. */
const CORNER = 4000;
const CORNER_PART = Math.floor(((CORNER - LEAST) / LEAST) * PARTS);

/** The friction law of one wall, drawn as cubics through the law's own values and slopes. */
export type FrictionTable = {
  readonly relativeRoughness: number;
  /** Four coefficients for each part. */
  readonly cubics: Float64Array;
};

const known = new Map<number, FrictionTable>();
/** Walls remembered at most; a rig has a handful. */
const MOST_KNOWN = 60;

/** The table of a wall, ε/D in [0, 0.05]; made once. */
export function getFrictionTable(relativeRoughness: number): FrictionTable {
  const made = known.get(relativeRoughness) ?? { relativeRoughness, cubics: drawCubics(relativeRoughness) };
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(relativeRoughness, made);
  return made;
}

function drawCubics(relativeRoughness: number): Float64Array {
  const cubics = new Float64Array(4 * PARTS * OCTAVES);
  const at: Friction = { f: 0, growth: 0 };
  // the value at a place and how it grows over the part that is `width` wide
  const read = (reynolds: number, width: number) => {
    computeFriction(reynolds, relativeRoughness, at);
    return [at.f, (at.growth * at.f * width) / reynolds] as const;
  };
  for (let i = 0; i < PARTS * OCTAVES; i++) {
    const octave = 2 ** (FIRST_OCTAVE + Math.floor(i / PARTS));
    const width = octave / PARTS;
    const from = octave + (i % PARTS) * width;
    const [f0, d0] = read(from, width);
    const [f1, d1] = read(from + width, width);
    cubics.set([f0, d0, 3 * (f1 - f0) - 2 * d0 - d1, 2 * (f0 - f1) + d0 + d1], 4 * i);
  }
  return cubics;
}

const bits = new DataView(new ArrayBuffer(8));
/** In the upper half of a number (IEEE 754): the bits after those that name its part, and the part turbulence begins at. */
const REST_BITS = 20 - BITS;
const REST = 2 ** REST_BITS;
const FIRST_PART = (1023 + FIRST_OCTAVE) * PARTS;
const WORD = 2 ** 32;

/**
 * Darcy friction factor and its growth by table, put into `into`: the law of `computeFriction` to 1e-8, without its logarithms.
 * Re ≥ 0.
 */
export function readFriction({ relativeRoughness, cubics }: FrictionTable, reynolds: number, into: Friction): void {
  if (reynolds < LEAST || reynolds >= MOST) {
    computeFriction(reynolds, relativeRoughness, into);
    return;
  }
  bits.setFloat64(0, reynolds);
  const high = bits.getUint32(0);
  const part = (high >>> REST_BITS) - FIRST_PART;
  if (part === CORNER_PART) {
    computeFriction(reynolds, relativeRoughness, into);
    return;
  }
  const t = ((high & (REST - 1)) + bits.getUint32(4) / WORD) / REST;
  const c0 = cubics[4 * part]!;
  const c1 = cubics[4 * part + 1]!;
  const c2 = cubics[4 * part + 2]!;
  const c3 = cubics[4 * part + 3]!;
  const f = c0 + t * (c1 + t * (c2 + t * c3));
  into.f = f;
  // a part is 1/PARTS of its octave wide
  into.growth = ((c1 + t * (2 * c2 + 3 * t * c3)) * (PARTS + (part & (PARTS - 1)) + t)) / f;
}
