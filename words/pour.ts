import type { Design } from "@/core/design/design";
import { findTrap } from "@/core/design/lineItems";
import type { Fixture } from "@/core/design/plumbing";
import type { Pour } from "@/core/pour/pour";
import type { PourEvent } from "@/core/pour/pourParts";
import { formatLength, formatQuantity, type Units } from "./units";

/** A use in a few words: "Kitchen sink let go, 8 L". */
export function describeUse(use: PourEvent, fixture: Fixture, units: Units): string {
  if (use.kind === "empty") return `${fixture.name} let go, ${formatQuantity(use.litres, "volume", units)}`;
  return `${fixture.name} at ${formatQuantity(use.lps, "flow", units)} for ${describeSeconds(use.seconds)}`;
}

/** "40 s", "3 min 40 s". */
export function describeSeconds(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 90) return `${whole} s`;
  return whole % 60 === 0 ? `${whole / 60} min` : `${Math.floor(whole / 60)} min ${whole % 60} s`;
}

/** Less than this no longer holds the gas back, mm [P: Approved Document H1, from memory, 95 %]. */
const LEAST_SEAL_MM = 25;

/** What the water did, a sentence each; what went wrong comes first. */
export function describePour(
  pour: Pour,
  events: readonly PourEvent[],
  design: Design,
  units: Units,
): { readonly text: string; readonly isBad: boolean }[] {
  const lines = pour.fixtures.map((result) => {
    const fixture = design.fixtures.find((f) => f.id === result.fixtureId)!;
    const run = events.find((event) => event.kind === "run" && event.fixtureId === fixture.id);
    const deep = formatLength(Math.round(result.deepestMm), units);
    if (result.runsOver) return { text: `${fixture.name} runs over its rim.`, isBad: true };
    if (result.emptyAfterS === null) return { text: `${fixture.name} does not run empty.`, isBad: true };
    if (run?.kind === "run") {
      const late = Math.max(0, result.emptyAfterS - run.seconds);
      return result.deepestMm < 3
        ? { text: `${fixture.name}: the drain keeps up.`, isBad: false }
        : {
            text: `${fixture.name}: water stands up to ${deep} deep and is gone ${describeSeconds(late)} after the tap closes.`,
            isBad: false,
          };
    }
    return { text: `${fixture.name} is empty after ${describeSeconds(result.emptyAfterS)}.`, isBad: false };
  });
  const tanks = pour.tanks.flatMap(({ tankId, gotL, takesL, isFull }) => {
    if (!isFull || pour.givenL - gotL < 0.1) return [];
    const name = design.tanks.find(({ id }) => id === tankId)?.name ?? tankId;
    const text = `${name} is full at ${formatQuantity(takesL, "volume", units)}: the rest stands in the drains and comes up.`;
    return [{ text, isBad: true }];
  });
  const risen = pour.risen.flatMap((id) => {
    const fixture = design.fixtures.find((one) => one.id === id);
    return fixture
      ? [{ text: `Water comes up in ${fixture.name}: the pipe it shares runs full under it.`, isBad: true }]
      : [];
  });
  const full = {
    text:
      pour.fullestShare > 0.99
        ? "A leg runs full for a while: no air passes it then."
        : `The fullest leg runs ${formatQuantity(pour.fullestShare, "ratio", units)} full.`,
    isBad: false,
  };
  const keptL = pour.legs.reduce((sum, leg) => sum + leg.keptL, 0);
  const kept = { text: `${formatQuantity(keptL, "volume", units)} stays in the pipe.`, isBad: false };
  const traps = pour.fixtures.flatMap(({ fixtureId, sealLeftMm }) => {
    const drain = design.lines.find((line) => line.kind === "drain" && line.fromFixture === fixtureId);
    const sealMm = drain?.kind === "drain" ? (findTrap(drain)?.sealMm ?? 0) : 0;
    if (sealLeftMm === null || sealLeftMm >= sealMm) return [];
    const fixture = design.fixtures.find((f) => f.id === fixtureId)!;
    const left = sealLeftMm === 0 ? "nothing" : formatLength(Math.round(sealLeftMm), units);
    const text = `The full pipe sucks on the trap of ${fixture.name}: it keeps ${left} of ${formatLength(sealMm, units)}.`;
    return [{ text, isBad: sealLeftMm < LEAST_SEAL_MM }];
  });
  const inLine = pour.lineTraps.flatMap(({ lineId, sealMm, leftMm }) => {
    if (leftMm >= sealMm) return [];
    const name = design.lines.find(({ id }) => id === lineId)?.name ?? lineId;
    const left = leftMm === 0 ? "nothing" : formatLength(Math.round(leftMm), units);
    const text = `The full pipe sucks on the running trap in ${name}: it keeps ${left} of ${formatLength(sealMm, units)}.`;
    return [{ text, isBad: leftMm < LEAST_SEAL_MM }];
  });
  return [...tanks, ...risen, ...lines, ...traps, ...inLine, full, ...(keptL > 0.005 ? [kept] : [])].sort(
    (a, b) => Number(b.isBad) - Number(a.isBad),
  );
}
