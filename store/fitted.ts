import type { Design } from "@/core/design/design";
import { listFitted } from "@/core/evaluate/domains";

let loading: Promise<unknown> | null = null;

/** Fetches what judges and words the areas that only some rigs have: pumped side, skin fittings, heads, hull. */
export function loadFitted(): Promise<unknown> {
  // the words first: what can be judged can then always be told, also while the rest is on its way or fails to come
  loading ??= import("@/words/fittedFindings")
    .then(() => import("@/core/evaluate/fitted"))
    .catch((error) => {
      // asked for again the next time
      loading = null;
      throw error;
    });
  return loading;
}

/** Waits until everything that judges a design is there; false when it cannot be fetched. */
export async function isReadyFor(design: Design): Promise<boolean> {
  // what judges may have come in with a station already, and its words not
  if (listFitted(design).length === 0) return true;
  return loadFitted().then(
    () => true,
    () => false,
  );
}
