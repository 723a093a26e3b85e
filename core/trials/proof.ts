import { isTickedOn } from "../build/redrawn";
import { type BuildStep, STEP_KINDS, type StepKind } from "../build/steps";
import type { Design } from "../design/design";
import type { Movable } from "../design/moves";
import type { BuildRecord } from "../record/record";
import type { Waterway } from "../waterway/buildWaterway";
import { isTriedOn } from "./fingerprint";

/**
 * How far a part is proven: a trial held, held on a drawing that changed since, was ticked as done without readings, showed a
 * leak, or nothing is known yet.
 */
export const PROOFS = ["leaks", "open", "changed", "ticked", "held"] as const;
export type Proof = (typeof PROOFS)[number];

const TRIALS: ReadonlySet<StepKind> = new Set(STEP_KINDS.filter((kind) => kind.startsWith("trial")));

/** The trials among the steps of the building. */
export const listTrials = (steps: readonly BuildStep[]): BuildStep[] => steps.filter(({ kind }) => TRIALS.has(kind));

/**
 * What came of a trial so far, by its last run. A leak is settled only by a later run that held; a tick in the order of
 * work does not outweigh a run. With the design, a trial that held before its part was changed says so. Source: common practice, no source [C].
 */
export function judgeTrial(
  trialId: string,
  { trials = [], done }: Pick<BuildRecord, "trials" | "done">,
  design: Design | null = null,
): Proof {
  const tick = done.find(({ stepId }) => stepId === trialId);
  // a tick without readings says nothing of a part that was drawn anew since
  const isOld = design && tick?.drawn && !isTickedOn(tick.drawn, design, trialId);
  let proof: Proof = tick && !isOld ? "ticked" : "open";
  const runs = trials.filter((run) => run.trialId === trialId).sort((a, b) => a.at.localeCompare(b.at));
  for (const { result } of runs) {
    // what was not clear tells nothing, and clears nothing
    if (result === "unclear") proof = proof === "leaks" ? "leaks" : "open";
    else proof = result;
  }
  const word = runs.at(-1)?.on;
  // runs of older files do not say what they were held on
  if (proof === "held" && design && word !== undefined && !isTriedOn(word, design, trialId)) return "changed";
  return proof;
}

/** The trial a part is proven by, by its step's id; null for parts no trial is asked of. */
export function findTrialOf(
  { lines, tanks, gear, rig }: Pick<Design, "lines" | "tanks" | "gear" | "rig">,
  part: Movable,
): string | null {
  switch (part.kind) {
    case "tank":
      return `trialTank:${part.id}`;
    case "port":
      return `trialTank:${part.tankId}`;
    case "gear": {
      const piece = gear.find(({ id }) => id === part.id);
      if (piece?.spec.kind === "skinFitting" && rig.kind === "boat") return "trialLaunch:all";
      const isOn = (end: { readonly kind: string; readonly gearId?: string }) => end.gearId === part.id;
      return lines.some((line) => line.kind === "hose" && (isOn(line.from) || isOn(line.to))) ? "trialHoses:all" : null;
    }
    case "line":
    case "trap":
    case "bend":
    case "leg":
    case "end": {
      const id = part.kind === "line" ? part.id : part.lineId;
      const line = lines.find((one) => one.id === id);
      if (line?.kind === "vent" || line?.kind === "dumpLine")
        return hasDumpTrial(tanks, line.fromTank) ? `trialDump:${line.fromTank}` : null;
      return line?.kind === "drain" ? `trialDrain:${id}` : line?.kind === "hose" ? "trialHoses:all" : null;
    }
    default:
      return null;
  }
}

/** A breather is proven with the dump of its tank: it is what slows it. */
const hasDumpTrial = (tanks: Design["tanks"], tankId: string): boolean =>
  tanks.some(
    ({ id, holds, ports }) => id === tankId && holds !== "fresh" && ports.some(({ kind }) => kind === "outlet"),
  );

/** How far every line and part of the Waterway is proven, by its id there; what no trial is asked of is left out. */
export function judgeProofs(
  { nodes, edges }: Waterway,
  design: Design,
  trials: readonly BuildStep[],
  build: Pick<BuildRecord, "trials" | "done">,
): ReadonlyMap<string, Proof> {
  const known = new Map(trials.map(({ id }) => [id, judgeTrial(id, build, design)]));
  const judged = new Map<string, Proof>();
  const put = (id: string, asked: readonly (string | null)[]) => {
    const found = asked.flatMap((trial) => (trial === null ? [] : (known.get(trial) ?? [])));
    const worst = PROOFS.find((proof) => found.includes(proof));
    if (worst) judged.set(id, worst);
  };
  for (const { id, kind, part } of nodes) if (kind === "tank" || kind === "gear") put(id, [findTrialOf(design, part)]);
  for (const { id, part, from, to } of edges) {
    if (part.kind === "line") put(id, [findTrialOf(design, part)]);
    // whichever coupling it is let go at, it is that tank's own dump that proves it
    if (to.startsWith("dump:")) put(id, [from.replace(/^tank:/, "trialDump:")]);
    // a pipe between two tanks stands under the water of both
    else if (part.kind === "tank")
      put(
        id,
        [from, to].map((end) => end.replace(/^tank:/, "trialTank:")),
      );
  }
  return judged;
}
