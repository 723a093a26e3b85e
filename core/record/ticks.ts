import type { BuildRecord } from "./record";

/** Texts of ours say so. */
export const TICKS_FORMAT = "schleuse-ticks";
/** Cards of the steps of the building begin so on the phone's page. */
const STEP_CARD = "steps:";

/** What was ticked on the phone, on its way back to the design. */
export type Ticks = {
  readonly designId: string;
  readonly on: string;
  readonly stepIds: readonly string[];
  /** What they were called and drawn like when they were written out for the phone; older phones do not say. */
  readonly as?: Readonly<Record<string, TickedAs>>;
  /** How the rig stands, where the phone's level measured it. */
  readonly stands?: Stands;
};
/** What a ticked step was called and drawn like. */
export type TickedAs = Pick<BuildRecord["done"][number], "name" | "drawn">;
/** The same, put together; a long name is cut to what a record takes. */
export const toTickedAs = (name: string, drawn: TickedAs["drawn"] | null): TickedAs => ({
  name: name.slice(0, 200),
  ...(drawn ? { drawn } : {}),
});
type Stands = { readonly pitchDeg: number; readonly rollDeg: number };

/** The steps ticked on the phone's page as a text that codes carry; `on` is the day, YYYY-MM-DD. */
export function writeTicks(
  designId: string,
  on: string,
  cards: ReadonlySet<string>,
  stands: Stands | null = null,
  asOf: (stepId: string) => TickedAs | null = () => null,
): string {
  const stepIds = [...cards].flatMap((id) => (id.startsWith(STEP_CARD) ? [id.slice(STEP_CARD.length)] : []));
  const as = Object.fromEntries(
    stepIds.flatMap((id) => {
      const told = asOf(id);
      return told ? [[id, told]] : [];
    }),
  );
  return JSON.stringify({
    format: TICKS_FORMAT,
    designId,
    on,
    stepIds,
    ...(Object.keys(as).length > 0 ? { as } : {}),
    ...(stands ? { stands } : {}),
  });
}
