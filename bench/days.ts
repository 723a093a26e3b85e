import { computeDayChances } from "@/core/days/fullChance";
import { simulateDays } from "@/core/days/simulateDays";
import { evaluate } from "@/core/evaluate/evaluate";
import { type Row, readDemo, time, timeEvaluation } from "./core";

const JOURNEYS = 2_000;
const DAYS = 30;

/** Simulated stays against drawing their chance alone, and the exact distribution against one evaluation. */
export function benchDays(): Row[] {
  const design = readDemo("kranich");
  const { balance } = evaluate(design);
  const rooms = balance.stores.map(({ store, roomL }) => ({ storeId: store.id, roomL: roomL.level }));
  const input = { stretches: balance.stretches, rooms, days: DAYS, journeys: JOURNEYS, seed: 1 };
  const simulated = time(() => simulateDays(input), { batches: 5 });
  // every use takes two numbers: when it comes and which it is
  const usesADay = balance.stretches[0]!.flows.flatMap(({ draws }) => draws).reduce(
    (byUse, { useId, perDay, byChance }) => (byChance ? byUse.set(useId, perDay) : byUse),
    new Map<string, number>(),
  );
  const uses = JOURNEYS * DAYS * [...usesADay.values()].reduce((sum, rate) => sum + rate, 0);
  const drawn = time(() => drawAlone(uses), { batches: 5 });
  const grey = balance.stores.find(({ holds }) => holds === "grey")!;
  const exact = time(() => computeDayChances(balance.stretches, grey.store.id, grey.roomL.level, DAYS));
  const evaluation = timeEvaluation(design);
  const row = (name: string, value: number, unit: string, budget: number | null): Row => ({
    name,
    value,
    unit,
    budget,
    better: "less",
  });
  return [
    row(`${JOURNEYS} stays of ${DAYS} days`, simulated, "ms", null),
    row("a stay against its random numbers alone", simulated / drawn, "times", 5),
    row("exact days of one tank against an evaluation", exact / evaluation, "times", 5),
  ];
}

function drawAlone(uses: number): number {
  let state = 1;
  let sum = 0;
  const draw = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  for (let i = 0; i < uses; i++) sum += -Math.log(1 - draw()) + draw();
  return sum;
}
