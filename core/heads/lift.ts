import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { computeHoseLossPa } from "../gear/hoseLoss";
import { computePumpPa } from "../gear/linkLoss";
import { measureHoseRun } from "./hoseRun";

const touches = (end: HoseEnd, id: string): boolean => end.kind === "gear" && end.gearId === id;

/** The hoses from a piece of gear on, up to a tank, a skin fitting or an open end. */
export function listOutHoses(design: Design, gearId: string): Hose[] {
  const hoses = design.lines.filter((line): line is Hose => line.kind === "hose");
  const found: Hose[] = [];
  const open = [gearId];
  const seen = new Set(open);
  for (let id = open.shift(); id !== undefined; id = open.shift()) {
    for (const hose of hoses) {
      if (found.includes(hose) || !(touches(hose.from, id) || touches(hose.to, id))) continue;
      found.push(hose);
      const next = touches(hose.from, id) ? hose.to : hose.from;
      if (next.kind === "gear" && !seen.has(next.gearId)) {
        seen.add(next.gearId);
        open.push(next.gearId);
      }
    }
  }
  return found;
}

/**
 * What the pump on these hoses sends at a lift, mm, L/min: its curve against the lift and what the hoses take, by halving; 0
 * where it cannot lift so high, null without a pump. Source: Darcy and Weisbach [C].
 */
export function solveLift(design: Design, hoses: readonly Hose[], liftMm: number): number | null {
  const ids = new Set(
    hoses.flatMap(({ from, to }) => [from, to]).flatMap((end) => (end.kind === "gear" ? [end.gearId] : [])),
  );
  const spec = design.gear.find(({ id, spec: { kind } }) => ids.has(id) && kind === "pump")?.spec;
  if (spec?.kind !== "pump") return null;
  const liftPa = (WATER_DENSITY * GRAVITY * liftMm) / 1000;
  const pipes = hoses.map((hose) => ({
    boreMm: hose.pipe.innerMm,
    lengthMm: measureHoseRun(design, hose).lengthMm,
    lossK: 1.5,
  }));
  const spare = (lpm: number) =>
    computePumpPa(spec, lpm / 60_000) -
    liftPa -
    pipes.reduce((sum, pipe) => sum + computeHoseLossPa(lpm / 60_000, pipe), 0);
  if (spare(0) <= 0) return 0;
  let [low, high] = [0, spec.freeLpm];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (spare(middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}
