import type { Design } from "@/core/design/design";
import { readStored } from "./readStored";

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

/**
 * What was left behind, read through the schema like any file; what cannot be read is no work of ours. Rejects where what brings an
 * older one up to date cannot be fetched: it stays on its slip.
 */
export async function readSlip(place: SlipPlace): Promise<Slip | null> {
  const left = readText(place);
  if (!left) return null;
  const outcome = await readStored(left.design);
  return outcome.ok ? { design: outcome.design, over: typeof left.over === "number" ? left.over : null } : null;
}

function readText(place: SlipPlace): { readonly design?: unknown; readonly over?: unknown } | null {
  try {
    const text = place.read();
    return text === null ? null : (JSON.parse(text) as { readonly design?: unknown; readonly over?: unknown } | null);
  } catch {
    return null;
  }
}
