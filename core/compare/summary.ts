import type { BalanceStand } from "../days/balance";
import type { Design } from "../design/design";
import type { HeldWater } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import type { Finding } from "../evaluate/findings";
import { listParts } from "../parts/listParts";
import { computeFullKg } from "../tanks/shell";

type Stands<T> = Readonly<Record<Extract<BalanceStand, "level" | "worst">, T>>;

/** One store of water of a design: tanks that are linked, a vessel, or all fresh water. */
export type StoreSummary = {
  readonly storeId: string;
  readonly holds: HeldWater;
  readonly roomL: Stands<number>;
  /** Until it is full, or gone; null where it never is. */
  readonly days: Stands<number | null>;
};

/** What a design comes to, for holding it beside another. */
export type Summary = {
  readonly drains: readonly {
    readonly lineId: string;
    readonly name: string;
    readonly levelMm: number;
    readonly worstMm: number;
  }[];
  /** Store by store: what is not linked is never added up. */
  readonly stores: readonly StoreSummary[];
  /** Until the first store is full or empty; null where none ever is. */
  readonly days: Stands<number | null>;
  /** What has to be settled, and what would be regretted. */
  readonly findings: readonly Finding[];
  readonly pipeM: number;
  /** Bends, fittings, traps and valves of drains, breathers and dump lines. */
  readonly pieces: number;
  /** Pumps, filters, valves and whatever else is fitted on the pumped side. */
  readonly gear: number;
  /** Tanks with all they hold, filled to the brim, kg: canisters are not in it. */
  readonly fullKg: number;
};

/** Finds what a whole design comes to, from its evaluation: sums and counts [C]. */
export function summarize(design: Design): Summary {
  const { drains, balance, findings } = evaluate(design);
  const parts = listParts(design);
  const { level, worst } = balance.endsBy;
  return {
    drains: drains.map(({ lineId, level: atLevel, worst: atWorst }) => ({
      lineId,
      name: design.lines.find((line) => line.id === lineId)!.name,
      levelMm: atLevel.inHandMm,
      worstMm: atWorst.inHandMm,
    })),
    stores: balance.stores.map(({ store, holds, roomL, days }) => ({ storeId: store.id, holds, roomL, days })),
    days: { level: level?.days ?? null, worst: worst?.days ?? null },
    findings: findings.filter(({ severity }) => severity !== "note"),
    pipeM: parts.reduce((sum, part) => sum + (part.kind === "pipe" ? part.lengthM : 0), 0),
    pieces: parts.reduce((sum, part) => sum + (part.kind === "pipe" ? 0 : part.count), 0),
    gear: design.gear.length,
    fullKg: design.tanks.reduce((sum, tank) => sum + computeFullKg(tank), 0),
  };
}

/** Findings of either side that the other does not have, by their ids. */
export function listFindingsApart(
  here: Pick<Summary, "findings">,
  there: Pick<Summary, "findings">,
): { readonly here: readonly Finding[]; readonly there: readonly Finding[] } {
  const without = (own: readonly Finding[], others: readonly Finding[]) => {
    const known = new Set(others.map(({ id }) => id));
    return own.filter(({ id }) => !known.has(id));
  };
  return { here: without(here.findings, there.findings), there: without(there.findings, here.findings) };
}
