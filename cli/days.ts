import type { Attitude } from "@/core/attitude/attitude";
import { forecast, type StoreForecast } from "@/core/days/forecast";
import { computeBalanceApart } from "@/core/days/twoUnits";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import { describeEnd } from "@/words/days";
import { describeStore } from "@/words/stores";
import { formatNumber, formatQuantity, type Units } from "@/words/units";

export type DaysOptions = {
  readonly days: number;
  readonly journeys: number;
  readonly seed: number;
  readonly standing: "here" | "worst";
};

export const USUAL_DAYS: DaysOptions = { days: 30, journeys: 10_000, seed: 1, standing: "here" };

/** How long every store of a design lasts, for a program to read. */
export function reportDays(design: Design, attitude: Attitude, { standing, ...options }: DaysOptions) {
  const { balance, tanks } = evaluate(design, attitude);
  const apart = computeBalanceApart(design, tanks);
  const stores = forecast({ balance, stand: standing, ...options })!;
  const byChance = [...stores].sort((a, b) => b.endsShare - a.endsShare)[0];
  return {
    design: { id: design.id, name: design.name, version: design.version },
    ...options,
    standing: standing === "worst" ? "worst" : attitude,
    endsStay: byChance && byChance.endsShare > 0 ? { storeId: byChance.storeId, share: byChance.endsShare } : null,
    apart: apart && {
      endsStay: apart.endsBy[standing],
      stores: apart.stores.map(({ store, roomL, days }) => ({
        name: describeStore(store.id, design),
        storeId: store.id,
        roomL: roomL[standing],
        days: days[standing],
      })),
    },
    stores: stores.map((store) => ({ name: describeStore(store.storeId, design), ...store })),
  };
}

/** The same as lines for a terminal. */
export function printDays(design: Design, attitude: Attitude, options: DaysOptions, units: Units): string {
  const { stores } = reportDays(design, attitude, options);
  const lines = stores.map(({ name, ...store }) => `${name}: ${describeStay(store, units)}`);
  return `${[design.name, describeEnd(design, evaluate(design, attitude).balance), ...lines].join("\n")}\n`;
}

function describeStay(
  { holds, meanLPerDay, dayAt, method, endsShare }: Omit<StoreForecast, "name">,
  units: Units,
): string {
  const word = holds === "fresh" ? "gone" : "full";
  const daily = formatQuantity(meanLPerDay, "volumePerDay", units);
  if (dayAt.p50 === null) return `${daily}, mostly not ${word} within the days asked`;
  const until = dayAt.p90 === null ? "or later" : `to ${dayAt.p90}`;
  const share = `${formatNumber(endsShare * 100, 0)} % of stays end by it`;
  return `${daily}, ${word} on day ${dayAt.p10} ${until}, eight times in ten (${method}); ${share}`;
}
