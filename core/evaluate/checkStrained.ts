import type { Design } from "../design/design";
import type { Hose } from "../design/plumbing";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What a grain in its valves stops: a pump by membranes. The others let it through or are made for it. */
const STOPPED_BY_GRIT = "diaphragm";

/** Pumps that draw without anything that holds back grit, from where they draw. Common practice, no source [T]. */
export function checkStrained(gear: Design["gear"], hoses: readonly Hose[]): Finding[] {
  const before = new Map<string, string[]>();
  const put = (id: string, other: string) => before.set(id, [...(before.get(id) ?? []), other]);
  for (const { from, to } of hoses) {
    if (from.kind !== "gear" || to.kind !== "gear") continue;
    put(to.gearId, from.gearId);
    put(from.gearId, to.gearId);
  }
  const byId = new Map(gear.map((piece) => [piece.id, piece]));
  const isAtInlet = (pumpId: string, otherId: string): boolean =>
    hoses.some(({ from, to }) =>
      [
        [from, to],
        [to, from],
      ].some(
        ([here, there]) =>
          here?.kind === "gear" &&
          here.gearId === pumpId &&
          here.port === "in" &&
          there?.kind === "gear" &&
          there.gearId === otherId,
      ),
    );
  return gear.flatMap(({ id, spec }): Finding[] => {
    if (spec.kind !== "pump" || spec.pump !== STOPPED_BY_GRIT) return [];
    const seen = new Set([id]);
    const open = (before.get(id) ?? []).filter((other) => isAtInlet(id, other));
    for (let next = open.pop(); next !== undefined; next = open.pop()) {
      if (seen.has(next)) continue;
      seen.add(next);
      const kind = byId.get(next)?.spec.kind;
      if (kind === "strainer" || kind === "filter") return [];
      // another pump draws for itself
      if (kind !== "pump") open.push(...(before.get(next) ?? []));
    }
    return hoses.some(({ from, to }) =>
      [from, to].some((end) => end.kind === "gear" && end.gearId === id && end.port === "in"),
    )
      ? [createFinding({ kind: "gear", id }, { code: "pumpUnstrained" })]
      : [];
  });
}
