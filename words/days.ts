import { type Balance, findEvenRooms, type StoreBalance } from "@/core/days/balance";
import type { StoreForecast } from "@/core/days/forecast";
import type { Rung } from "@/core/days/lengthenStay";
import type { Need, Rhythm } from "@/core/days/rhythm";
import type { ReadyWay } from "@/core/days/usualUses";
import type { Design } from "@/core/design/design";
import { type PersonKind, USE_KINDS, type Use, type UseKind, type UseRate } from "@/core/design/habits";
import type { HeldWater } from "@/core/design/plumbing";
import { describeStore } from "./stores";
import { formatDays, formatNumber, formatQuantity, type Units } from "./units";

export const PERSON_NAMES: Readonly<Record<PersonKind, string>> = {
  adult: "Adults",
  child: "Children",
  guest: "Guests",
};

export const USE_NAMES: Readonly<Record<UseKind, { readonly name: string; readonly plain: string }>> = {
  drains: { name: "Down the drains", plain: "All that goes down sinks, in one figure." },
  drinking: { name: "Drinking", plain: "Empties the fresh tank and never reaches a waste tank." },
  cooking: { name: "Cooking", plain: "Part of it boils off or is eaten." },
  washUpBowl: { name: "Washing up in a bowl", plain: "One bowl, let go at once." },
  washUpRunning: { name: "Washing up, tap running", plain: "Two to three times a bowl." },
  handsTeeth: { name: "Hands and teeth", plain: "A little at a time, often." },
  shower: { name: "Shower", plain: "Minutes times what the head gives: measure it with bucket and watch." },
  laundry: { name: "Laundry", plain: "A load at a time." },
  toilet: { name: "Toilet", plain: "Flush water and what it carries." },
  urine: { name: "Urine", plain: "1.4 L or 0.37 gal a person and day, in a bottle, a vessel or a drain." },
  rinseOutside: { name: "Rinsing outside", plain: "Feet, boots, dog: it stays outside." },
  other: { name: "Something else", plain: "Whatever takes water." },
};

/** Where a canister is carried: on this rig, or on what it is hitched to. */
export const UNIT_NAMES = {
  trailer: { rig: "This trailer", tow: "The towing vehicle" },
  van: { rig: "This rig", tow: "A trailer behind it" },
} as const;

/** How long it lasts while all who come are aboard; the other figures go by the mean of the week. */
export function describeEveryone(design: Design, { endsBy }: Balance): string {
  const end = endsBy.here;
  const lasts = end
    ? `it lasts ${formatDays(end.days)}, until ${describeStore(end.storeId, design)}`
    : "nothing ends it";
  return `People who come on some days of the week count by its mean. While everyone is aboard, ${lasts}: go by that for a stay shorter than a week.`;
}

/** How long the two units last hitched and apart, and what the other carries. */
export function describeUnits(design: Design, hitched: Balance, apart: Balance, otherKg: number, units: Units): string {
  const of = (balance: Balance) => {
    const end = balance.endsBy.here;
    return end ? `${formatDays(end.days)}, until ${describeStore(end.storeId, design)}` : "without an end";
  };
  const what = design.rig.kind === "trailer" ? "The towing vehicle" : "The trailer";
  return `Hitched ${of(hitched)}; apart ${of(apart)}. ${what} carries ${formatQuantity(otherKg, "weight", units)} of water: it counts there, not on this rig's axles.`;
}

export const SCHOOL_NAMES = {
  tank: "Tank, as drawn",
  canister: "Canister under the drain",
  ground: "Onto the ground",
} as const;

export const RATE_NAMES: Readonly<Record<UseRate, string>> = {
  personDay: "a person and day",
  day: "a day",
  week: "a week",
};

export const READY_NAMES: Readonly<Record<ReadyWay, string>> = {
  wild: "Standing wild",
  site: "On a site",
  town: "In town",
  winter: "In winter",
};

/** What a store comes to, a line each: litres a day and how long it lasts. */
export function describeBalance(design: Design, { stores, endsBy }: Balance, units: Units): string[] {
  return stores.map(({ store, days, meanLPerDay }) => {
    const name = describeStore(store.id, design);
    const daily = formatQuantity(meanLPerDay, "volumePerDay", units);
    const lasts =
      days.here === null
        ? store.holds === "fresh"
          ? "nothing is drawn from it"
          : store.holds === "loop"
            ? "its water goes round"
            : "nothing comes into it"
        : `${store.holds === "fresh" ? "gone" : "full"} after ${formatDays(days.here)}${endsBy.here?.storeId === store.id ? "; it ends the stay" : ""}`;
    return `${name}: ${daily}, ${lasts}`;
  });
}

/** The one line over the levels: what ends the stay, and when. */
export function describeEnd(design: Design, { stores, endsBy }: Balance): string {
  const first = stores.find(({ store }) => store.id === endsBy.here?.storeId);
  if (!first || !endsBy.here) return "Nothing here runs full or empty: give the uses their water and drains.";
  const name = describeStore(first.store.id, design);
  return `${name} ${first.holds === "fresh" ? "is gone" : "is full"} after ${formatDays(endsBy.here.days)} and ends the stay.`;
}

/** Why a store has no days of its own. */
export const describeIdle = (holds: HeldWater): string =>
  holds === "loop" ? "goes round" : holds === "fresh" ? "nothing is drawn from it" : "nothing comes to it";

/** What a store takes a day, and what room it has; of fresh water, what can be drawn of it. */
export function describeStoreRoom(
  { holds, meanLPerDay, roomL, undrawnL }: Pick<StoreBalance, "holds" | "meanLPerDay" | "roomL" | "undrawnL">,
  units: Units,
): string {
  const litres = (value: number) => formatQuantity(value, "volume", units);
  const daily = formatQuantity(meanLPerDay, "volumePerDay", units);
  if (holds !== "fresh") return `${daily}, room for ${litres(roomL.here)}.`;
  const under = undrawnL >= 0.05 ? `; ${litres(undrawnL)} more lies too low to be drawn` : "";
  return `${daily}, ${litres(roomL.here)} to draw${under}.`;
}

/** How sure it is: "full on day 3 to 5, nine times in ten". */
export function describeChance(
  { holds }: Pick<StoreBalance, "holds">,
  lowDay: number | null,
  highDay: number | null,
): string {
  const word = holds === "fresh" ? "Gone" : "Full";
  if (lowDay === null) return "Lasts beyond the days drawn here.";
  if (highDay === null) return `${word} from day ${lowDay} on, or later.`;
  return lowDay === highDay
    ? `${word} on day ${lowDay}, eight times in ten.`
    : `${word} on day ${lowDay} to ${highDay}, eight times in ten.`;
}

/** What would lengthen the stay, as an instruction. */
export function describeRung({ code, name }: Rung, units: Units): string {
  switch (code) {
    case "shorterShowers":
      return `${name}: take a third less water`;
    case "bowlNotTap":
      return `${name}: use a bowl instead of the running tap`;
    case "fewerRinses":
      return `${name}: half as often`;
    case "moreFresh":
      return `Carry ${formatQuantity(Number(name), "volume", units)} more fresh water`;
    case "largerTank":
      return `${name}: ${formatQuantity(10, "volume", units)} larger`;
    case "ownVessel":
      return `${name}: into a canister of its own`;
  }
}

export const USE_LIST: Readonly<Record<UseKind, string>> = Object.fromEntries(
  USE_KINDS.map((kind) => [kind, USE_NAMES[kind].name]),
) as Record<UseKind, string>;

export const listUseNames = (): Readonly<Record<UseKind, string>> => USE_LIST;

export const SOURCE_NAMES: Readonly<Record<Use["from"], string>> = {
  fresh: "Fresh water aboard",
  elsewhere: "Not from the fresh water",
};

export const CHANCE_NAMES = { regular: "Regularly", chance: "By chance" } as const;

export const VESSEL_NAMES: Readonly<Record<HeldWater, string>> = {
  grey: "Grey water canister",
  black: "Black water or urine",
  fresh: "Fresh water canister",
  loop: "Loop water canister",
};

/** The certainties a builder can ask for; any other in a file shows as the nearest. */
export const CERTAINTY_NAMES: Readonly<Record<string, string>> = {
  "0.5": "every other time",
  "0.8": "eight times in ten",
  "0.9": "nine times in ten",
  "0.95": "19 times in 20",
  "0.99": "99 times in 100",
};

export const nameCertainty = (certainty: number): string =>
  Object.keys(CERTAINTY_NAMES).reduce((near, key) =>
    Math.abs(Number(key) - certainty) < Math.abs(Number(near) - certainty) ? key : near,
  );

/** A use in one line: how often and how much. */
export function describeUse({ times, per, takesL, sendsL }: Use, units: Units): string {
  const litres = formatQuantity(takesL > 0 ? takesL : sendsL, "volume", units);
  return `${formatQuantity(times, "times", units)} × ${litres} ${RATE_NAMES[per]}`;
}

/** What is odd about a use, at its place; null where nothing is. What people add to a toilet is meant. */
export function describeUseDoubt({ kind, from, takesL, sendsL, times }: Use): string | null {
  if (times === 0) return "It never happens: it is not counted.";
  if (takesL === 0 && sendsL === 0) return "It takes nothing and sends nothing: it is not counted.";
  if (from === "fresh" && sendsL > takesL && kind !== "toilet") {
    return "More goes down than it takes. It is counted so; check both figures.";
  }
  return null;
}

const countDays = (days: number): string => (days === 1 ? "every day" : `every ${days} days`);

/** How often to dump and to fill, a line each, and the one rhythm at which all meet. */
export function describeRhythm(design: Design, { stores }: Balance, rhythm: Rhythm): string[] {
  const lines = rhythm.stores.flatMap(({ storeId, everyDays }) => {
    const balance = stores.find(({ store }) => store.id === storeId)!;
    if (balance.days.here === null || everyDays === null) return [];
    const name = describeStore(storeId, design);
    const deed = balance.holds === "fresh" ? "Fill the fresh water" : `Empty ${name}`;
    if (everyDays > 0) return [`${deed} ${countDays(everyDays)}`];
    const aDay = 1 / balance.days.here;
    return [`${deed} ${aDay < 1 ? "every day, and it may not last one" : `${formatNumber(aDay, 1)} times a day`}`];
  });
  const { togetherDays } = rhythm;
  if (lines.length > 1 && togetherDays !== null && togetherDays > 0)
    lines.push(`All at one stop: ${countDays(togetherDays)}`);
  return lines;
}

/** What one store lacks for the stay that is wished. */
export function describeNeed(design: Design, { storeId, neededL, missingL }: Need, units: Units): string {
  const litres = (value: number) => formatQuantity(value, "volume", units);
  return `${describeStore(storeId, design)}: ${litres(missingL)} more, ${litres(neededL)} in all.`;
}

/** What came of the stays that were lived through, for one store. */
export function describeForecast(design: Design, { storeId, holds, dayAt, endsShare }: StoreForecast): string {
  const word = holds === "fresh" ? "gone" : "full";
  const name = describeStore(storeId, design);
  const share = `it ends ${formatNumber(endsShare * 100, 0)} of 100 stays`;
  if (dayAt.p10 === null) return `${name}: hardly ever ${word} within the days lived; ${share}.`;
  const until = dayAt.p90 === null ? ` on, or never` : dayAt.p90 === dayAt.p10 ? "" : ` to ${dayAt.p90}`;
  return `${name}: ${word} ${until.startsWith(" on") ? "from" : "on"} day ${dayAt.p10}${until}; ${share}.`;
}

/** A difference below this is not worth a sentence, days. */
const LEAST_TOLD_DAYS = 0.05;

/** What another standing makes of it, at what rooms both would end together, and what goes on the ground: what a builder weighs before buying a tank. */
export function describeRooms(design: Design, balance: Balance, units: Units): string[] {
  const even = findEvenRooms(balance);
  const litres = (value: number) => formatQuantity(value, "volume", units);
  const together = even
    ? `Both end together with ${litres(even.freshL)} of fresh water, or with room for ${litres(even.wasteL)} in ${describeStore(even.wasteId, design)}.`
    : null;
  const ground =
    balance.groundLPerDay > 0
      ? `${formatQuantity(balance.groundLPerDay, "volumePerDay", units)} goes on the ground: no drain and no canister takes it. That is forbidden in many places: ask.`
      : null;
  const { level, here, worst } = balance.endsBy;
  const standing =
    here && level && level.days - here.days >= LEAST_TOLD_DAYS
      ? `Standing level it would last ${formatDays(level.days)}.`
      : here && worst && here.days - worst.days >= LEAST_TOLD_DAYS
        ? `At the worst standing it lasts ${formatDays(worst.days)}: ${describeStore(worst.storeId, design)} ends it there.`
        : null;
  return [standing, together, ground].filter((line) => line !== null);
}
