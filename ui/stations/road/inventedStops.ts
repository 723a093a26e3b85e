import type { Stop } from "@/core/record/journey";
import { addDays } from "@/core/road/civil";
import { tell } from "@/store/workbench";
import * as WORDS from "@/words/panels/road/inventedStops";
import { keepStops } from "./stopEdits";

type InventedStop = Pick<Stop, "name" | "latDeg" | "lonDeg" | "nights" | "has" | "cost"> & { readonly day: number };

// The stops that ship with the product, from a day on.
export async function placeInventedStops(from: string): Promise<void> {
  try {
    const answer = await fetch("/samples/journey");
    const { stops } = (await answer.json()) as { readonly stops: readonly InventedStop[] };
    keepStops(
      stops.map(({ day, ...stop }, i): Stop => {
        const arrive = addDays(from, day);
        return { ...stop, id: `stop-${i + 1}`, arrive, isClosed: false, stands: null, note: "" };
      }),
    );
  } catch {
    tell(WORDS.theInventedStopsCouldNot, { tone: "warning" });
  }
}
