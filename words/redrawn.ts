import type { Redrawn } from "@/core/build/redrawn";
import type { BuildRecord } from "@/core/record/record";
import { formatLength, type Units } from "./units";

/** What was built and is drawn otherwise now, with what to do. */
export function describeRedrawn(kind: string, { movedMm, sizes, isOtherwise }: Redrawn, units: Units): string {
  if (kind.startsWith("trial")) return "Drawn anew since it was tried. Try it again.";
  const length = (mm: number) => formatLength(mm, units);
  const parts = [
    ...(movedMm > 0.5 ? [`drawn up to ${length(movedMm)} away from where it was built`] : []),
    ...sizes.slice(0, 2).map(({ wasMm, isMm }) => `${length(isMm)} now where it was ${length(wasMm)}`),
    ...(isOtherwise ? ["with other parts, pipe or numbers of them"] : []),
  ];
  return `Drawn anew since: ${parts.join("; ")}. Do it over, or put the drawing back.`;
}

/** What was built and is drawn no more. */
export function describeGone({ stepId, name, on }: BuildRecord["done"][number]): string {
  const advice = stepId.startsWith("drillHole:")
    ? "A hole in the metal stays: prime its edge and close it, or draw what goes through it again."
    : stepId.startsWith("trial")
      ? "Nothing is left to try."
      : "Take it out, or draw it again.";
  return `“${name}”, done ${on}, is drawn no more. ${advice}`;
}

/** What an edit did to what is built, in one line. */
export function tellRedrawn(names: readonly string[]): string {
  const [first, ...more] = names;
  const rest = more.length > 0 ? `, and ${more.length} more` : "";
  return `Built already, and drawn otherwise now: “${first}”${rest}. Look at Build, or take the change back.`;
}
