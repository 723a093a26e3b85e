import { USUAL_MEASURES } from "@/core/design/createDesign";
import { ASKED_UNDER, type FirstObstacles, listUsualUnder, NOTHING_UNDER } from "@/core/design/firstObstacles";
import { RIG_KINDS, type RigKind } from "@/core/design/rig";
import type { FirstDesign } from "@/core/routes/firstDesign";

/** Every kind of rig, with nothing underneath and with all that is asked about there. */
export const FIRST_RIGS = RIG_KINDS.flatMap((kind) => [false, true].map((isFull) => [kind, isFull] as const));

/** The tighter of them: what is tried on these alone finds its place the more easily where nothing is in the way. */
export const FULL_RIGS = FIRST_RIGS.filter(([, isFull]) => isFull);

/** What a new design of a kind is built from where nobody changes a figure. */
export function toFirst(kind: RigKind, isFull: boolean): FirstDesign {
  const measures = USUAL_MEASURES[kind];
  const usual = listUsualUnder(measures);
  const under = Object.fromEntries(
    Object.keys(NOTHING_UNDER).map((key) => [
      key,
      isFull && ASKED_UNDER[kind].includes(key as never) ? usual[key as keyof FirstObstacles] : null,
    ]),
  ) as FirstObstacles;
  return { id: "first", name: "First", kind, measures, under };
}
