import type { Design } from "../design/design";
import type { Use, Way } from "../design/habits";
import type { PartRef } from "../design/part";
import { REST_L, URINE_L } from "../heads/toiletKinds";
import { isToiletUse } from "./isToiletUse";

export type UnusedToilet = {
  /** The toilet that is there. */
  readonly at: PartRef;
  /** The ways of living that are lived and in which nothing is done on any toilet. */
  readonly ways: readonly Way[];
};

/** A toilet nobody uses in a way of living that is lived: how long its tank or vessel lasts is then not worked out. */
export function findUnusedToilet({ gear, fixtures, habits }: Design): UnusedToilet | null {
  const at = findToilet({ gear, fixtures });
  if (!at) return null;
  // in the order they are lived, whichever way the file has them
  const lived = [...new Set(habits.stretches.map(({ wayId }) => wayId))];
  const ways = lived.flatMap((wayId) => habits.ways.filter(({ id, uses }) => id === wayId && !uses.some(isToiletUse)));
  return ways.length > 0 ? { at, ways } : null;
}

function findToilet({ gear, fixtures }: Pick<Design, "gear" | "fixtures">): PartRef | null {
  const bowl = firstById(gear.filter(({ spec }) => spec.kind === "bowl"));
  if (bowl) return { kind: "gear", id: bowl.id };
  const fixture = firstById(fixtures.filter(({ kind }) => kind === "gravityToilet" || kind === "urineDiverter"));
  return fixture ? { kind: "fixture", id: fixture.id } : null;
}

// The order of parts in a file says nothing.
const firstById = <T extends { readonly id: string }>(list: readonly T[]): T | undefined =>
  list.reduce<T | undefined>((a, b) => (a && a.id < b.id ? a : b), undefined);

type ToiletUse = Pick<Use, "kind" | "name" | "from" | "takesL" | "sendsL" | "fixtureId" | "times">;

/**
 * What is usually done on the toilet that is there, a person and day: four times urine and once the rest, each with its flush;
 * on one that keeps urine apart the urine alone. A flush is sea water where a skin fitting takes it in, else fresh. Common
 * practice, no source [T].
 */
export function listUsualToiletUses({ gear, fixtures }: Design): ToiletUse[] {
  const spec = firstById(gear.filter((piece) => piece.spec.kind === "bowl"))?.spec;
  const bowl = spec?.kind === "bowl" ? spec : undefined;
  const fixture = firstById(fixtures.filter(({ kind }) => kind === "gravityToilet" || kind === "urineDiverter"));
  const isDry = !bowl && fixture?.kind === "urineDiverter";
  const flushL = bowl?.flushL ?? (isDry ? 0 : (fixture?.volumePerUseL ?? 0));
  const takesSea =
    bowl !== undefined && gear.some(({ spec }) => spec.kind === "skinFitting" && spec.serves === "intake");
  const fixtureId = bowl ? null : (fixture?.id ?? null);
  const of = (kind: "urine" | "toilet", name: string, litres: number, times: number): ToiletUse => ({
    kind,
    name,
    from: takesSea || flushL === 0 ? "elsewhere" : "fresh",
    takesL: takesSea ? 0 : flushL,
    sendsL: flushL + litres,
    fixtureId,
    times,
  });
  if (isDry) return [of("urine", "Urine", URINE_L, 5)];
  // where a bowl is gear its way is found for what is done on the toilet
  return [of("toilet", "Toilet, urine", URINE_L, 4), of("toilet", "Toilet, the rest", REST_L, 1)];
}
