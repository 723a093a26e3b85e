import { type BuildStep, orderSteps } from "./steps";

/** What a builder adds to the order of work: steps of the own job, and what must come before what by the own rule. */
export type OwnWork = {
  readonly steps?: readonly { readonly id: string; readonly name: string; readonly hours: number }[] | undefined;
  readonly rules?: readonly OwnRule[] | undefined;
};

export type OwnRule = { readonly firstId: string; readonly thenId: string };

/** The computed steps with the builder's own, and each rule as one more thing a step needs. Rules about what is gone rest. */
export function addOwnWork(steps: readonly BuildStep[], { steps: own = [], rules = [] }: OwnWork): BuildStep[] {
  const all = [
    ...own.map(({ id, name, hours }): BuildStep => ({ id, kind: "own", name, at: { kind: "rig" }, after: [], hours })),
    ...steps,
  ];
  const known = new Set(all.map(({ id }) => id));
  return all.map((step) => {
    const needs = rules.filter(({ firstId, thenId }) => thenId === step.id && known.has(firstId));
    return needs.length === 0
      ? step
      : { ...step, after: [...new Set([...step.after, ...needs.map(({ firstId }) => firstId)])] };
  });
}

export type RuleCheck =
  | { readonly ok: true }
  /** The first needs the second already: steps from the one to the other. */
  | { readonly ok: false; readonly way: readonly string[] };

/** Whether one step may be put before another: not where the first needs the second already, however far apart [C]. */
export function checkRule(steps: readonly BuildStep[], { firstId, thenId }: OwnRule): RuleCheck {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const from = new Map<string, string | null>([[firstId, null]]);
  const open = [firstId];
  for (let id = open.shift(); id !== undefined; id = open.shift()) {
    if (id === thenId) {
      const way: string[] = [];
      for (let at: string | null = id; at !== null; at = from.get(at) ?? null) way.unshift(at);
      return { ok: false, way };
    }
    for (const needs of byId.get(id)?.after ?? []) {
      if (from.has(needs)) continue;
      from.set(needs, id);
      open.push(needs);
    }
  }
  return { ok: true };
}

/** Own work that can be ordered: rules that have come to need each other, as the design changed, are left out and told. */
export function settleOwnWork(
  steps: readonly BuildStep[],
  own: OwnWork,
): { readonly steps: readonly BuildStep[]; readonly dropped: readonly OwnRule[] } {
  const dropped: OwnRule[] = [];
  let kept: OwnRule[] = [];
  for (const rule of own.rules ?? []) {
    const tried = [...kept, rule];
    if (orderSteps(addOwnWork(steps, { steps: own.steps, rules: tried })).ok) kept = tried;
    else dropped.push(rule);
  }
  return { steps: addOwnWork(steps, { steps: own.steps, rules: kept }), dropped };
}
