import type { Design } from "@/core/design/design";
import { parseDesign } from "@/core/design/parseDesign";

/** A place that takes a text at once, before the page is gone. */
export type SlipPlace = {
  readonly read: () => string | null;
  readonly write: (text: string) => void;
  readonly clear: () => void;
};

/** Work that was not saved when the page went away, and the revision it was made over. */
export type Slip = { readonly design: Design; readonly over: number | null };

export function writeSlip(place: SlipPlace, { design, over }: Slip): void {
  try {
    place.write(JSON.stringify({ design, over }));
  } catch {
    // no room for a slip: the save that is on its way is all there is
  }
}

/** What was left behind, read through the schema like any file; what cannot be read is no work of ours. */
export function readSlip(place: SlipPlace): Slip | null {
  try {
    const text = place.read();
    if (text === null) return null;
    const { design, over } = JSON.parse(text) as { readonly design?: unknown; readonly over?: unknown };
    const outcome = parseDesign(design);
    return outcome.ok ? { design: outcome.design, over: typeof over === "number" ? over : null } : null;
  } catch {
    return null;
  }
}
