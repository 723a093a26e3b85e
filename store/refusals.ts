import type { Design } from "@/core/design/design";
import type { Fault } from "@/core/design/faults";
import { thatIsNotPossibleHere } from "@/words/panels/fields/useEdits";
import type { Units } from "@/words/units";
import { tell, workbench } from "./workbench";

// The sentences of refusals are long and seldom needed: they are fetched as soon as the page has nothing better to do.
type Words = Pick<typeof import("@/words/faults"), "describeFault">;
let known: Words | null = null;

export async function loadRefusals(): Promise<Words> {
  known ??= await import("@/words/faults");
  return known;
}

/** Why something is refused; without the sentences, which may not be fetched any more, that it is. */
export async function explainRefusal(fault: Fault, units: Units, design: Design | null = null): Promise<string> {
  const words = await loadRefusals().catch(() => null);
  return words?.describeFault(fault, units, design) ?? thatIsNotPossibleHere;
}

/**
 * Why a change is refused, the parts of the design by their names. In the moment before the sentences are here it is said that it
 * is, and why as soon as they are.
 */
export function describeRefusal(fault: Fault, units: Units, design: Design | null = null): string {
  if (known) return known.describeFault(fault, units, design);
  void tellRefusal(fault);
  return thatIsNotPossibleHere;
}

/** Tells the builder why something is refused. */
export async function tellRefusal(fault: Fault): Promise<void> {
  const { units, history } = workbench.getState();
  tell(await explainRefusal(fault, units, history?.design), { tone: "warning" });
}
