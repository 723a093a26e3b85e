import type { Design } from "@/core/design/design";
import { findCommitted } from "@/store/committed";
import { workbench } from "@/store/workbench";

/** The hand has rested so long, ms. */
const REST_MS = 600;

/** Says so when an edit draws otherwise what is built already: metal that is drilled does not move with the drawing. */
export function watchBuilt(): () => void {
  let seen = findCommitted(workbench.getState());
  let base = seen;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stop = workbench.subscribe((state) => {
    const now = findCommitted(state);
    if (now === seen) return;
    // another design was opened: what it was before is not known
    if (now?.id !== seen?.id) base = now;
    seen = now;
    clearTimeout(timer);
    timer = setTimeout(() => {
      const [was, is] = [base, seen];
      base = seen;
      if (was && is && was !== is) check(was, is).catch(() => undefined);
    }, REST_MS);
  });
  return () => {
    clearTimeout(timer);
    stop();
  };
}

// what it takes is fetched with the first edit
const check = async (was: Design, is: Design): Promise<void> =>
  (await import("./tellRedrawnSteps")).tellRedrawnSteps(was, is);
