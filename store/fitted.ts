import type { Design } from "@/core/design/design";
import { listFitted } from "@/core/evaluate/domains";

let loading: Promise<unknown> | null = null;
let isHere = false;

/** Fetches what judges and words the areas that only some rigs have: pumped side, skin fittings, heads, hull. */
export function loadFitted(): Promise<unknown> {
  // the words first: what can be judged can then always be told, also while the rest is on its way or fails to come
  loading ??= import("@/words/fittedFindings")
    .then(() => import("@/core/evaluate/fitted"))
    .then(() => {
      isHere = true;
    })
    .catch((error) => {
      // asked for again the next time
      loading = null;
      throw error;
    });
  return loading;
}

/**
 * Whether all that judges a design, and the words for it, are here now. Checks alone are not enough: they may have come in
 * with a station, and their words not.
 */
export const canBeTold = (design: Design): boolean => isHere || listFitted(design).length === 0;

/** Waits until everything that judges a design and tells of it is there; false when it cannot be fetched. */
export async function isReadyFor(design: Design): Promise<boolean> {
  if (canBeTold(design)) return true;
  return loadFitted().then(
    () => true,
    () => false,
  );
}
