import type { Suspect, Trial } from "./suspects";

/** What a trial has shown: the fault, or nothing. */
export type Shown = { readonly trialId: string; readonly showed: boolean };

/** A trial overlooks a fault, or shows one that is not there, so often [T]. */
export const USUAL_ERROR = 0.03;

export type Chance = { readonly suspect: Suspect; readonly share: number };

/**
 * How likely each suspect is after what was shown, most likely first; shares add up to 1. Error in [0, 0.5) of every trial
 * either way. Source: Bayes [C].
 */
export function updateChances(
  suspects: readonly Suspect[],
  trials: readonly Trial[],
  shown: readonly Shown[],
  error = USUAL_ERROR,
): Chance[] {
  const byId = new Map(trials.map((trial) => [trial.id, trial]));
  const weighed = suspects.map((suspect) => {
    let share = suspect.weight;
    for (const { trialId, showed } of shown) {
      const trial = byId.get(trialId);
      if (!trial) continue;
      const agrees = trial.covers.has(suspect.id) === showed;
      share *= agrees ? 1 - error : error;
    }
    return { suspect, share };
  });
  const whole = weighed.reduce((sum, { share }) => sum + share, 0);
  return weighed
    .map(({ suspect, share }) => ({ suspect, share: whole > 0 ? share / whole : 1 / weighed.length }))
    .sort((a, b) => b.share - a.share);
}

const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));

/** The trial that tells most, in bits of what it is expected to show; null where none tells anything [C: Shannon]. */
export function chooseTrial(
  chances: readonly Chance[],
  trials: readonly Trial[],
  shown: readonly Shown[],
  error = USUAL_ERROR,
): { readonly trial: Trial; readonly bits: number } | null {
  const done = new Set(shown.map(({ trialId }) => trialId));
  let best: { readonly trial: Trial; readonly bits: number } | null = null;
  for (const trial of trials) {
    if (done.has(trial.id)) continue;
    const covered = chances.reduce((sum, { suspect, share }) => sum + (trial.covers.has(suspect.id) ? share : 0), 0);
    const shows = covered * (1 - error) + (1 - covered) * error;
    const bits = entropy(shows) - entropy(error);
    if (bits > 1e-6 && (!best || bits > best.bits + 1e-9)) best = { trial, bits };
  }
  return best;
}

/** How many more trials are to be expected: what is not known over what one trial tells, rounded up [C]. */
export function countTrialsLeft(chances: readonly Chance[]): number {
  const bits = chances.reduce((sum, { share }) => sum - (share > 0 ? share * Math.log2(share) : 0), 0);
  return Math.ceil(bits - 1e-9);
}
