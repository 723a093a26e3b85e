/** Below this a probability is nothing. */
const NOTHING = 1e-300;

/**
 * Distribution of the litres that Poisson many uses come to, on a lattice: p[n] is the chance of n steps. Rates λ ≥ 0 and
 * sizes in whole steps ≥ 1; up to `most` steps, what lies beyond is the rest to 1. By recursion
 * p(n) = (1/n) Σ λ_j s_j p(n − s_j), p(0) = e^(−Σλ), carried with a scale so that large rates do not vanish.
 * Source: Panjer 1981 [P, from memory, 97 %]. Example: one use of one step, λ 2 → e^−2, 2 e^−2, 2 e^−2, …
 */
export function computeCompoundPoisson(
  uses: readonly { readonly rate: number; readonly steps: number }[],
  most: number,
): Float64Array {
  const p = new Float64Array(most + 1);
  const total = uses.reduce((sum, { rate }) => sum + rate, 0);
  // logarithm of what every entry is still to be multiplied by
  let scale = -total;
  p[0] = 1;
  for (let n = 1; n <= most; n++) {
    let sum = 0;
    for (const { rate, steps } of uses) if (steps <= n) sum += rate * steps * p[n - steps]!;
    p[n] = sum / n;
    if (p[n]! > 1e200) {
      for (let i = 0; i <= n; i++) p[i]! *= 1e-200;
      scale += 200 * Math.LN10;
    }
  }
  const factor = Math.exp(scale);
  for (let n = 0; n <= most; n++) {
    const value = p[n]! * factor;
    p[n] = value > NOTHING ? value : 0;
  }
  return p;
}
