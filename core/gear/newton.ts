import { type Chain, computeChainGain, computeChainLoss } from "./chains";

const ROUNDS = 200;
/**
 * Flows are found when all of them together moved by less than this share of themselves, or by this much, m³/s. What is
 * still wrong after such a step is of the order of its square.
 */
const SETTLED = 1e-6;
const SETTLED_M3 = 1e-12;
/** A junction keeps this little open, so that it has a pressure when all about it is shut, m³/s a Pa. */
const LEAK = 1e-22;
/** Flow and pressure by which what is one-way is held to be pushed the wrong or the right way. */
const WRONG_FLOW = 1e-10;
const OPENS_PA = 1e-3;

export type Solved = {
  /** Pressure of each junction, Pa; NaN where nothing sets it. */
  readonly heads: readonly number[];
  /** Flow of each chain from its a to its b, m³/s. */
  readonly flows: readonly number[];
  /** Chains that something one-way holds shut. */
  readonly isShut: readonly number[];
};

/**
 * Flows of chains between nodes [0, count) and the fixed pressures after them: Newton on pressures and flows together,
 * what is one-way shut and opened as the flows say. Source: the gradient method of Todini and Pilati [P].
 */
export function solveChains(count: number, fixedPa: readonly number[], chains: readonly Chain[]): Solved {
  const { rows, places } = numberJunctions(count, chains);
  const heads = new Array<number>(rows + fixedPa.length).fill(0);
  let highest = 0;
  for (let i = 0; i < fixedPa.length; i++) {
    heads[rows + i] = fixedPa[i]!;
    highest = Math.max(highest, fixedPa[i]!);
  }
  heads.fill(highest, 0, rows);
  const flows = new Array<number>(chains.length).fill(0);
  const isNever = new Array<number>(chains.length).fill(0);
  const isShut = new Array<number>(chains.length).fill(0);
  const from = new Array<number>(chains.length).fill(0);
  const to = new Array<number>(chains.length).fill(0);
  for (let c = 0; c < chains.length; c++) {
    const { a, b, forth, back } = chains[c]!;
    flows[c] = forth ? 1e-4 : back ? -1e-4 : 0;
    // opposite one-way pieces in a row are never open
    isNever[c] = forth || back ? 0 : 1;
    isShut[c] = isNever[c]!;
    from[c] = a < count ? places[a]! : rows + a - count;
    to[c] = b < count ? places[b]! : rows + b - count;
  }
  const isSet = new Array<number>(rows + fixedPa.length).fill(0).fill(1, rows);
  const findSet = () => spreadSet(isSet, rows, from, to, isShut);
  findSet();

  const matrix = new Array<number>(rows * rows).fill(0);
  const right = new Array<number>(rows).fill(0);
  const losses = new Array<number>(chains.length).fill(0);
  const slopes = new Array<number>(chains.length).fill(0);
  const out = new Array<number>(2).fill(0);
  for (let round = 0; round < ROUNDS; round++) {
    matrix.fill(0);
    right.fill(0);
    for (let i = 0; i < rows; i++) matrix[i * rows + i] = isSet[i] ? LEAK : 1;
    for (let c = 0; c < chains.length; c++) {
      const a = from[c]!;
      const b = to[c]!;
      if (isShut[c] || !isSet[a] || !isSet[b]) {
        flows[c] = 0;
        slopes[c] = 0;
        continue;
      }
      computeChainLoss(chains[c]!, flows[c]!, out);
      losses[c] = out[0]!;
      slopes[c] = out[1]!;
      // a ring that comes back to its junction takes nothing from it
      if (a === b) continue;
      const p = 1 / out[1]!;
      // the flow this chain would have with no difference of pressure over it
      const free = flows[c]! - out[0]! * p;
      if (a < rows) {
        matrix[a * rows + a]! += p;
        right[a]! -= free;
        if (b >= rows) right[a]! += p * heads[b]!;
        else matrix[Math.max(a, b) * rows + Math.min(a, b)]! -= p;
      }
      if (b < rows) {
        matrix[b * rows + b]! += p;
        right[b]! += free;
        if (a >= rows) right[b]! += p * heads[a]!;
      }
    }
    solveSymmetric(matrix, right, rows);
    for (let i = 0; i < rows; i++) if (isSet[i]) heads[i] = right[i]!;
    let moved = 0;
    let size = 0;
    for (let c = 0; c < chains.length; c++) {
      if (slopes[c] === 0) continue;
      const step = (heads[from[c]!]! - heads[to[c]!]! - losses[c]!) / slopes[c]!;
      flows[c]! += step;
      moved += Math.abs(step);
      size += Math.abs(flows[c]!);
    }
    const isSettled = moved <= SETTLED_M3 + SETTLED * size;
    if (!isSettled && round % 10 !== 9) continue;
    let isTurned = false;
    for (let c = 0; c < chains.length; c++) {
      const chain = chains[c]!;
      if ((chain.forth && chain.back) || isNever[c]) continue;
      const sense = chain.forth ? 1 : -1;
      const [a, b] = [from[c]!, to[c]!];
      if (!isShut[c]) {
        if (flows[c]! * sense >= -WRONG_FLOW) continue;
        isShut[c] = 1;
        flows[c] = 0;
      } else {
        const push = sense * (heads[a]! - heads[b]! + computeChainGain(chain, 0));
        if (!isSet[sense > 0 ? a : b] || push <= chain.crackPa + OPENS_PA) continue;
        isShut[c] = 0;
        flows[c] = 1e-6 * sense;
      }
      isTurned = true;
    }
    if (isTurned) findSet();
    else if (isSettled) break;
  }
  const all = new Array<number>(count).fill(Number.NaN);
  for (let node = 0; node < count; node++) {
    const row = places[node]!;
    if (row >= 0 && isSet[row]) all[node] = heads[row]!;
  }
  return { heads: all, flows, isShut };
}

function numberJunctions(count: number, chains: readonly Chain[]) {
  const places = new Array<number>(count).fill(-1);
  let rows = 0;
  for (const { a, b } of chains) {
    if (a < count && places[a]! < 0) places[a] = rows++;
    if (b < count && places[b]! < 0) places[b] = rows++;
  }
  return { rows, places };
}

// Junctions that are joined, by what is open, to something whose pressure is given.
function spreadSet(
  isSet: number[],
  rows: number,
  from: readonly number[],
  to: readonly number[],
  isShut: number[],
): void {
  isSet.fill(0, 0, rows);
  for (let grew = true; grew; ) {
    grew = false;
    for (let c = 0; c < from.length; c++) {
      if (isShut[c]) continue;
      const [a, b] = [from[c]!, to[c]!];
      if (isSet[a] === isSet[b]) continue;
      isSet[a] = 1;
      isSet[b] = 1;
      grew = true;
    }
  }
}

// The lower half of a symmetric positive definite matrix, by Gauss without pivots, which such need not [P]; the answer
// comes into `right`. Junctions are few and joined to few: what is 0 is passed over.
function solveSymmetric(matrix: number[], right: number[], n: number): void {
  for (let k = 0; k < n; k++) {
    const pivot = matrix[k * n + k]!;
    for (let i = k + 1; i < n; i++) {
      const value = matrix[i * n + k]!;
      if (value === 0) continue;
      const factor = value / pivot;
      right[i]! -= factor * right[k]!;
      for (let j = k + 1; j <= i; j++) matrix[i * n + j]! -= factor * matrix[j * n + k]!;
    }
  }
  for (let k = n - 1; k >= 0; k--) {
    let sum = right[k]!;
    for (let i = k + 1; i < n; i++) sum -= matrix[i * n + k]! * right[i]!;
    right[k] = sum / matrix[k * n + k]!;
  }
}
