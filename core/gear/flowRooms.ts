/**
 * Edges in a row through which one and the same flow goes, between two joints or fixed pressures, and what hangs on a node
 * by one edge alone. All of it lies in rows of numbers that a network keeps and every setting fills anew: the solver is asked
 * for many settings in a row, and what it would make each time costs more than the sums.
 */
export type Chained = {
  /** How many chains there are; chain c runs from node a[c] to node b[c]. */
  count: number;
  readonly a: Int32Array;
  readonly b: Int32Array;
  /** What grows with the square of the flow, Pa at (m³/s)², and what opens it, Pa. */
  readonly square: Float64Array;
  readonly crackPa: Float64Array;
  /** Whether water may go from a to b, and from b to a. */
  readonly forth: Uint8Array;
  readonly back: Uint8Array;
  /** Its edges lie at [firstStep[c], firstStep[c + 1]): each with the chain (1) or against it (−1). */
  readonly firstStep: Int32Array;
  readonly stepEdge: Int32Array;
  readonly stepSense: Int8Array;
  /** Its hoses, those of one bore as one, and the pumps that are on; they lie like the steps. */
  readonly firstPipe: Int32Array;
  readonly pipeBore: Int32Array;
  readonly slenderness: Float64Array;
  readonly firstPump: Int32Array;
  readonly pumpEdge: Int32Array;
  readonly pumpSense: Int8Array;
  /** How many nodes hang on others; nothing flows to them. In the order they were taken off, the outermost first. */
  hanging: number;
  readonly hangNode: Int32Array;
  readonly hangOn: Int32Array;
  readonly hangEdge: Int32Array;
  readonly hangSense: Int8Array;
  /** What is marked on the way. */
  readonly isGone: Uint8Array;
  readonly degree: Int32Array;
};

/** Room for every chain there can be. */
export function createChained(nodes: number, ends: number, edges: number): Chained {
  return {
    count: 0,
    a: new Int32Array(edges),
    b: new Int32Array(edges),
    square: new Float64Array(edges),
    crackPa: new Float64Array(edges),
    forth: new Uint8Array(edges),
    back: new Uint8Array(edges),
    firstStep: new Int32Array(edges + 1),
    stepEdge: new Int32Array(edges),
    stepSense: new Int8Array(edges),
    firstPipe: new Int32Array(edges + 1),
    pipeBore: new Int32Array(edges),
    slenderness: new Float64Array(edges),
    firstPump: new Int32Array(edges + 1),
    pumpEdge: new Int32Array(edges),
    pumpSense: new Int8Array(edges),
    hanging: 0,
    hangNode: new Int32Array(nodes),
    hangOn: new Int32Array(nodes),
    hangEdge: new Int32Array(nodes),
    hangSense: new Int8Array(nodes),
    isGone: new Uint8Array(edges),
    degree: new Int32Array(nodes + ends),
  };
}

/** What Newton writes into, kept with its network: flows and what is shut by chain, the rest by junction or end. */
export type NewtonRoom = {
  /** Flow of each chain from its a to its b, m³/s. */
  readonly flows: Float64Array;
  /** Chains that something one-way holds shut, and those it never lets go. */
  readonly isShut: Uint8Array;
  readonly isNever: Uint8Array;
  readonly losses: Float64Array;
  readonly slopes: Float64Array;
  /** Rows of its two ends: junctions in the order they come, then the fixed pressures. */
  readonly from: Int32Array;
  readonly to: Int32Array;
  /** Row of each node, −1 for those that are no junction. */
  readonly places: Int32Array;
  readonly heads: Float64Array;
  readonly isSet: Uint8Array;
  readonly right: Float64Array;
  matrix: Float64Array;
};

export const createNewtonRoom = (nodes: number, ends: number, edges: number): NewtonRoom => ({
  flows: new Float64Array(edges),
  isShut: new Uint8Array(edges),
  isNever: new Uint8Array(edges),
  losses: new Float64Array(edges),
  slopes: new Float64Array(edges),
  from: new Int32Array(edges),
  to: new Int32Array(edges),
  places: new Int32Array(nodes),
  heads: new Float64Array(nodes + ends),
  isSet: new Uint8Array(nodes + ends),
  right: new Float64Array(nodes),
  matrix: new Float64Array(16),
});

/**
 * Figures to begin with, to be copied for each answer: plain numbers that hold fractions from the first, for a copy of such
 * costs a tenth of a new typed row.
 */
export const createFigures = (count: number, value: number): readonly number[] =>
  new Array<number>(count).fill(0.5).fill(value);
