type Later = {
  readonly at: number;
  readonly pair: number;
  /** Where its pairs with the neighbours after it are kept. */
  readonly fills: readonly number[];
};

/** In which order the unknowns of a symmetric system go, and where each pair of them is kept. */
export type EliminationPlan = {
  /** Unknowns, those with the fewest neighbours first. */
  readonly order: readonly number[];
  /** Of each unknown the neighbours that go after it, and where the pair with each is kept. */
  readonly later: readonly (readonly Later[])[];
  readonly pairs: number;
  readonly pairOf: (a: number, b: number) => number;
};

/**
 * Plans the elimination of `count` unknowns that are joined in pairs: the one with the fewest neighbours goes first, so
 * that a network that is nearly a tree fills in hardly at all. Joints to what is no unknown (≥ count) are left out.
 */
export function planElimination(count: number, joints: readonly (readonly [number, number])[]): EliminationPlan {
  const near: Set<number>[] = Array.from({ length: count }, () => new Set());
  for (const [a, b] of joints) {
    if (a >= count || b >= count || a === b) continue;
    near[a]!.add(b);
    near[b]!.add(a);
  }
  const places = new Map<number, number>();
  const keyOf = (a: number, b: number) => (a < b ? a * count + b : b * count + a);
  const order: number[] = [];
  const later: Later[][] = Array.from({ length: count }, () => []);
  const place = (a: number, b: number): number => {
    const key = keyOf(a, b);
    const known = places.get(key) ?? places.size;
    places.set(key, known);
    return known;
  };
  const left = new Set(near.keys());
  while (left.size > 0) {
    let next = -1;
    for (const i of left) if (next < 0 || near[i]!.size < near[next]!.size) next = i;
    left.delete(next);
    order.push(next);
    const around = [...near[next]!];
    around.forEach((i, m) => {
      near[i]!.delete(next);
      for (const j of around) if (j !== i) near[i]!.add(j);
      later[next]!.push({ at: i, pair: place(next, i), fills: around.slice(m + 1).map((j) => place(i, j)) });
    });
  }
  return { order, later, pairs: places.size, pairOf: (a, b) => places.get(keyOf(a, b))! };
}

/**
 * Solves a symmetric positive definite system along its plan; the three arrays are used up, the answer is the last one.
 * Source: Gauss without pivots, which such systems do not need [P].
 */
export function eliminate(
  { order, later }: EliminationPlan,
  diagonal: Float64Array,
  pairs: Float64Array,
  right: Float64Array,
): Float64Array {
  for (const k of order) {
    const pivot = diagonal[k]!;
    if (pivot === 0) continue;
    const row = later[k]!;
    for (let m = 0; m < row.length; m++) {
      const { at: i, pair, fills } = row[m]!;
      const value = pairs[pair]!;
      if (value === 0) continue;
      const factor = value / pivot;
      right[i]! -= factor * right[k]!;
      diagonal[i]! -= factor * value;
      for (let n = m + 1; n < row.length; n++) pairs[fills[n - m - 1]!]! -= factor * pairs[row[n]!.pair]!;
    }
  }
  for (let at = order.length - 1; at >= 0; at--) {
    const k = order[at]!;
    let sum = right[k]!;
    for (const { at: i, pair } of later[k]!) sum -= pairs[pair]! * right[i]!;
    right[k] = diagonal[k] === 0 ? 0 : sum / diagonal[k]!;
  }
  return right;
}
