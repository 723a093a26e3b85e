import { computeChainLoss, computeChainPush, type Loss } from "./chains";
import type { FlowNetwork } from "./flowNetwork";

const ROUNDS = 200;
/**
 * Flows are found when all of them together moved by less than this share of themselves, or by this much, m³/s. What is
 * still wrong after such a step is of the order of its square.
 */
const SETTLED = 1e-4;
const SETTLED_M3 = 1e-12;
/** A junction keeps this little open, so that it has a pressure when all about it is shut, m³/s a Pa. */
const LEAK = 1e-22;
/** Flow and pressure by which what is one-way is held to be pushed the wrong or the right way. */
const FIRST_FLOW = 1e-4;
const WRONG_FLOW = 1e-10;
const OPENS_PA = 1e-3;

const loss: Loss = { pa: 0, slope: 0 };

/**
 * Flows of the chains of a network, left in its room: Newton on pressures and flows together, what is one-way shut and
 * opened as the flows say. Gives the pressure of each node, Pa, NaN where nothing sets it or it is no junction, and the fixed
 * ones after them. Source: the gradient method of Todini and Pilati [P].
 */
export function solveChains(network: FlowNetwork): number[] {
  const { fixedPa, chained, newton: room } = network;
  const { flows, isShut, isNever, losses, slopes, from, to, heads, isSet, right } = room;
  const { count, forth, back } = chained;
  const rows = numberJunctions(network);
  let highest = 0;
  for (let i = 0; i < fixedPa.length; i++) {
    heads[rows + i] = fixedPa[i]!;
    highest = Math.max(highest, fixedPa[i]!);
  }
  heads.fill(highest, 0, rows);
  for (let c = 0; c < count; c++) {
    flows[c] = forth[c] ? FIRST_FLOW : back[c] ? -FIRST_FLOW : 0;
    // opposite one-way pieces in a row are never open
    isNever[c] = forth[c] || back[c] ? 0 : 1;
    isShut[c] = isNever[c]!;
  }
  spreadSet(network, rows);
  if (room.matrix.length < rows * rows) room.matrix = new Float64Array(rows * rows);
  const { matrix } = room;
  for (let round = 0; round < ROUNDS; round++) {
    matrix.fill(0, 0, rows * rows);
    right.fill(0, 0, rows);
    for (let i = 0; i < rows; i++) matrix[i * rows + i] = isSet[i] ? LEAK : 1;
    for (let c = 0; c < count; c++) {
      const a = from[c]!;
      const b = to[c]!;
      if (isShut[c] || !isSet[a] || !isSet[b]) {
        flows[c] = 0;
        slopes[c] = 0;
        continue;
      }
      computeChainLoss(network, c, flows[c]!, loss);
      losses[c] = loss.pa;
      slopes[c] = loss.slope;
      // a ring that comes back to its junction takes nothing from it
      if (a === b) continue;
      const p = 1 / loss.slope;
      // the flow this chain would have with no difference of pressure over it
      const free = flows[c]! - loss.pa * p;
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
    for (let c = 0; c < count; c++) {
      if (slopes[c] === 0) continue;
      const step = (heads[from[c]!]! - heads[to[c]!]! - losses[c]!) / slopes[c]!;
      flows[c]! += step;
      moved += Math.abs(step);
      size += Math.abs(flows[c]!);
    }
    const isSettled = moved <= SETTLED_M3 + SETTLED * size;
    if (!isSettled && round % 10 !== 9) continue;
    if (turnOneWays(network)) spreadSet(network, rows);
    else if (isSettled) break;
  }
  return listHeads(network);
}

// Shuts what is pushed the wrong way and opens what is pushed the right one; whether any was turned.
function turnOneWays(network: FlowNetwork): boolean {
  const { chained, newton } = network;
  const { flows, isShut, isNever, from, to, heads, isSet } = newton;
  let isTurned = false;
  for (let c = 0; c < chained.count; c++) {
    const forth = chained.forth[c] === 1;
    if ((forth && chained.back[c]) || isNever[c]) continue;
    const sense = forth ? 1 : -1;
    const [a, b] = [from[c]!, to[c]!];
    if (!isShut[c]) {
      if (flows[c]! * sense >= -WRONG_FLOW) continue;
      isShut[c] = 1;
      flows[c] = 0;
    } else {
      const push = sense * (heads[a]! - heads[b]! + computeChainPush(network, c));
      if (!isSet[sense > 0 ? a : b] || push <= chained.crackPa[c]! + OPENS_PA) continue;
      isShut[c] = 0;
      flows[c] = 1e-6 * sense;
    }
    isTurned = true;
  }
  return isTurned;
}

function listHeads({ ids, fixedPa, noHeads, newton: { places, heads, isSet } }: FlowNetwork): number[] {
  const all = noHeads.slice();
  for (let node = 0; node < ids.length; node++) {
    const row = places[node]!;
    if (row >= 0 && isSet[row]) all[node] = heads[row]!;
  }
  for (let i = 0; i < fixedPa.length; i++) all[ids.length + i] = fixedPa[i]!;
  return all;
}

// Gives each junction a row, and each chain the rows of its ends; how many junctions there are.
function numberJunctions({ ids, chained, newton }: FlowNetwork): number {
  const { places, from, to } = newton;
  const nodes = ids.length;
  places.fill(-1);
  let rows = 0;
  for (let c = 0; c < chained.count; c++) {
    const [a, b] = [chained.a[c]!, chained.b[c]!];
    if (a < nodes && places[a]! < 0) places[a] = rows++;
    if (b < nodes && places[b]! < 0) places[b] = rows++;
  }
  for (let c = 0; c < chained.count; c++) {
    const [a, b] = [chained.a[c]!, chained.b[c]!];
    from[c] = a < nodes ? places[a]! : rows + a - nodes;
    to[c] = b < nodes ? places[b]! : rows + b - nodes;
  }
  return rows;
}

// Junctions that are joined, by what is open, to something whose pressure is given.
function spreadSet({ fixedPa, chained, newton }: FlowNetwork, rows: number): void {
  const { isSet, isShut, from, to } = newton;
  isSet.fill(0, 0, rows);
  isSet.fill(1, rows, rows + fixedPa.length);
  for (let grew = true; grew; ) {
    grew = false;
    for (let c = 0; c < chained.count; c++) {
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
function solveSymmetric(matrix: Float64Array, right: Float64Array, n: number): void {
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
