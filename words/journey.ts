import { FRESH_ID } from "@/core/days/stores";
import type { Design } from "@/core/design/design";
import type { Stop } from "@/core/record/journey";
import { type CareKind, type DueCare, SANITISE_HOURS } from "@/core/road/care";
import type { StayOverlap } from "@/core/road/checkJourney";
import { addDays } from "@/core/road/civil";
import { type DumpPlan, MOST_PLAN_DAYS, type PlannedService } from "@/core/road/dumpPlan";
import type { JourneyPlan, LoopChange } from "@/core/road/planJourney";
import { formatBleach } from "./frost";
import { describeStore } from "./stores";
import { formatNumber, formatQuantity, type Units } from "./units";

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"] as const;

/** "3 May", and the year where it is asked for. */
export function formatDay(date: string, withYear = false): string {
  const [year, month, day] = date.split("-").map(Number);
  return `${day} ${MONTHS[(month ?? 1) - 1]}${withYear ? ` ${year}` : ""}`;
}

export const SERVICE_NAMES = { grey: "Grey dump", toilet: "Toilet dump", fresh: "Fresh water" } as const;

// A chance as it is spoken: never 0 and never 100 times.
function timesIn100(chance: number): string {
  if (chance < 0.01) return "less than once in 100";
  if (chance > 0.99) return "more than 99 times in 100";
  const times = formatNumber(chance * 100, 0);
  return times === "1" ? "once in 100" : `${times} times in 100`;
}

/** What is done at one stop of a plan: "Dump Grey tank, fill fresh water". What comes from a toilet is rinsed after it. */
export function describeService(
  { storeIds }: Pick<PlannedService, "storeIds">,
  design: Design,
  isLoopChanged = false,
): string {
  const waste = storeIds.filter((id) => id !== FRESH_ID);
  const nameAll = (ids: readonly string[]) => ids.map((id) => describeStore(id, design)).join(" and ");
  const black = waste.filter((id) => isBlack(id, design));
  const grey = waste.filter((id) => !isBlack(id, design));
  const text = [
    ...(grey.length > 0 ? [`dump ${nameAll(grey)}`] : []),
    ...(black.length > 0 ? [`dump and rinse ${nameAll(black)}`] : []),
    ...(isLoopChanged ? ["change the loop's water"] : []),
    ...(storeIds.includes(FRESH_ID) ? ["fill fresh water"] : []),
  ].join(", ");
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Where the loop's water is changed although nothing is dumped or filled there, or where it cannot be in time. */
export function describeLoopChange({ stopId, isLate, day }: LoopChange, from: string): string {
  if (stopId === null)
    return `The loop's water is through by ${formatDay(addDays(from, day))}, and no stop after that has a dump and fresh water. Stop showering on it then.`;
  return isLate
    ? "Change the loop's water. It was due before: shower less on it until here."
    : "Change the loop's water: it would not last to the next place that has a dump and fresh water.";
}

/** What a plan goes by, and what it does not ask. */
export function describePlanGround(
  { habits }: Design,
  { wayId, hasBook }: Pick<JourneyPlan, "wayId" | "hasBook">,
): string {
  const way = habits.ways.find(({ id }) => id === wayId)?.name;
  const levels = hasBook ? "the levels the book gives" : "empty tanks and full fresh water, for the book is empty";
  const lived = way ? `, with “${way}” lived all the way` : "";
  const mean = habits.people.some(({ daysPerWeek }) => daysPerWeek < 7)
    ? " People who come on some days count by the mean of the week."
    : "";
  return `Goes by ${levels}${lived}.${mean} Pitches whose lean is not known count as the rig stands now. Opening hours are not looked at: ask before you rely on a place.`;
}

/** Pitches that lean take room. */
export const describeLeaning = (
  leaning: readonly { readonly storeId: string; readonly roomL: number }[],
  design: Design,
  units: Units,
): string =>
  `Counted with the pitch that leans worst: ${leaning
    .map(
      ({ storeId, roomL }) =>
        `${describeStore(storeId, design)} ${storeId === FRESH_ID ? "gives" : "takes"} ${formatQuantity(roomL, "volume", units)}`,
    )
    .join(", ")}.`;

/** Why it is done there: what would come of leaving it out. */
export function describeReason(
  { because, day, dumpedKg }: PlannedService,
  design: Design,
  from: string,
  units: Units,
): string {
  const word = because.storeId === FRESH_ID ? "gone" : "full";
  const why =
    because.untilDay > day
      ? [
          `Without it ${describeStore(because.storeId, design)} would be ${word} by ${formatDay(addDays(from, because.untilDay))}, ${timesIn100(because.chance)}.`,
        ]
      : [];
  const weight = dumpedKg >= 5 ? [`You go on ${formatQuantity(dumpedKg, "weight", units)} lighter.`] : [];
  return [...why, ...weight].join(" ");
}

const KM_PER_MI = 1.609344;
const formatDistance = (km: number, units: Units): string =>
  units === "metric" ? `${formatNumber(km, 0)} km` : `${formatNumber(km / KM_PER_MI, 0)} mi`;

/** Whether a plan holds, in one sentence. */
export function describePlan(
  plan: DumpPlan,
  design: Design,
  from: string,
  certainty: number,
  units: Units = "metric",
): string {
  const told = tellPlan(plan, design, from, certainty, units);
  if (plan.stopsBeyond === 0) return told;
  const stops = plan.stopsBeyond === 1 ? "one stop after that is" : `${plan.stopsBeyond} stops after that are`;
  return `${told} Planned for ${MOST_PLAN_DAYS} days; ${stops} not planned.`;
}

function tellPlan(plan: DumpPlan, design: Design, from: string, certainty: number, units: Units): string {
  const wanted = `${formatNumber(certainty * 100, 0)} in 100`;
  if (plan.holds) {
    const count = plan.services.length;
    const detour =
      plan.detourKm >= 1
        ? ` ${formatDistance(plan.detourKm, units)} out of the way for it, by the crow and a third more.`
        : "";
    return `${count === 0 ? "No stop to dump or fill" : count === 1 ? "One stop to dump or fill" : `${count} stops to dump or fill`}: nothing runs over or dry, ${timesIn100(plan.holdsWith)} (${wanted} wanted).${detour}`;
  }
  const { breaks } = plan;
  if (!breaks) return "This journey cannot be planned: no store fills or empties.";
  const word = breaks.storeId === FRESH_ID ? "runs dry" : "runs over";
  return `It does not hold: from ${formatDay(addDays(from, breaks.day))} on ${describeStore(breaks.storeId, design)} ${word} more often than ${wanted} allows, although every chance before is used. Add a stop with ${findMissing(breaks.storeId, design)} before then, or use less.`;
}

// What a stop would have to offer.
function findMissing(storeId: string, design: Design): string {
  if (storeId === FRESH_ID) return "fresh water";
  return isBlack(storeId, design) ? "a toilet dump" : "a grey dump";
}

const isBlack = (storeId: string, { tanks, habits }: Design): boolean =>
  [...tanks, ...habits.vessels].some(({ id, holds }) => id === storeId && holds === "black");

/** Two stays at once, and what to do. */
export function describeOverlap({ stopId, beforeId, arrive, leaves }: StayOverlap, stops: readonly Stop[]): string {
  const name = (id: string) => stops.find((stop) => stop.id === id)?.name ?? id;
  return `${name(stopId)} begins on ${formatDay(arrive)}, ${name(beforeId)} ends on ${formatDay(leaves)}: change one of the two. The plan takes both as they stand.`;
}

/** A stop in one line. */
export const describeStop = ({ arrive, nights, hours }: Stop): string =>
  `${nights === 0 ? `${formatDay(arrive)}, passing` : `${formatDay(arrive)} to ${formatDay(addDays(arrive, nights))}`}${hours ? `; open ${hours}` : ""}`;

const CARE: Readonly<Record<CareKind, readonly [string, string]>> = {
  primeTraps: ["Fill the traps", "A glass of water into every outlet after it has stood unused."],
  mesh: ["Clean the mesh", "Insects and fluff shut it; the trap is sucked dry instead."],
  filter: ["Change or wash the filter", "Before its litres are through, and at the latest half a year after the last."],
  lamp: ["Change the lamp", "After a year of light it has lost a quarter. It must be off while you look at it."],
  sanitise: ["Sanitise the fresh water side", "Fill, draw to every tap, let stand, rinse until nothing smells."],
  seacock: ["Turn the seacock", "Shut and open it, look at the hose and both clamps."],
  valve: ["Work the dump valve", "Shut and open it, wipe its seat, a little silicone grease."],
  fixing: ["Look at the fixing", "Bolts tight, no rust, no crack in lug or strap."],
  clamps: ["Tighten the hose clamps", "Under the floor too."],
  hoses: ["Feel the hoses", "Hard, cracked or soft ones are changed."],
  senders: ["Clean the sender", "Grease makes it read full."],
  membrane: ["Wash the membrane", "Hair and grease hold it open. Wash it, see that it shuts, change it when it curls."],
  admittance: [
    "Try the admittance valve",
    "Listen while a bowl runs out: it opens, then shuts. If it smells beside it, change it.",
  ],
  rinse: [
    "Rinse the tank",
    "A third full of clean water, drive a while, dump; twice where it still smells. Gloves on.",
  ],
  bowl: ["Clean the toilet's seals", "Off its water. Wash seat and seal, grease them as its maker says. Gloves on."],
  sump: ["Try the sump", "Lift its float: the pump must start. Take hair off its strainer."],
  loopAir: [
    "Look at the loop's air hole",
    "Rinse it. Blocked, it siphons the sea in; a drop that weeps out is no fault.",
  ],
  precharge: ["Pump up the accumulator", "Pump off, a tap open, then with a tyre pump to what is set at Loop."],
  relief: ["Lift the relief valve", "A short lift with the heater cold; it must shut without a drip."],
  nonReturn: ["Try the non-return", "Pressure behind it, the pipe before it open: nothing may come back."],
};

/** A task of care: what, and how. */
export function describeCare(
  { kind, name, litres }: DueCare,
  units: Units = "metric",
): { readonly title: string; readonly how: string } {
  const [title, how] = CARE[kind];
  const bleach =
    kind === "sanitise" && litres !== null
      ? ` For ${formatQuantity(litres, "volume", units)}: ${formatBleach(litres, units)} of plain 5 % bleach, ${SANITISE_HOURS} hours. Never after urine or acid cleaner: the gas kills.`
      : "";
  return { title: name === null ? title : `${title}: ${name}`, how: `${how}${bleach}` };
}

/** When a task is due. */
export function describeDue({ doneOn, builtOn, inDays, dueOn }: DueCare): string {
  if (doneOn === null && builtOn === null) return "never written down";
  if (inDays < 0) return `due since ${formatDay(dueOn)}`;
  return inDays === 0 ? "due today" : `due ${formatDay(dueOn)}, in ${inDays} days`;
}
