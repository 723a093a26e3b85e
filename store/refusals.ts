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

/** Why a change is refused, the parts of the design by their names; in the moment before the sentences are here, that it is. */
export function describeRefusal(fault: Fault, units: Units, design: Design | null = null): string {
  return known?.describeFault(fault, units, design) ?? thatIsNotPossibleHere;
}

/** Tells the builder why something is refused; without the sentences, which may not be fetched any more, that it is. */
export async function tellRefusal(fault: Fault): Promise<void> {
  await loadRefusals().catch(() => undefined);
  const { units, history } = workbench.getState();
  tell(describeRefusal(fault, units, history?.design), { tone: "warning" });
}
