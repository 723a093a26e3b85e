import type { Design } from "../design/design";
import type { Hose } from "../design/plumbing";
import { listWasteHoses } from "../heads/permeation";
import { TOILETS } from "../heads/toiletKinds";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Hose of the next inch size counts as the same, mm [T]. */
export const SAME_MM = 1;

/** Hoses that what leaves a toilet with a pump clogs: narrower than the outlet of usual toilets of its kind. */
export function checkBowlHoses(design: Design): Finding[] {
  const hoses = new Map(design.lines.flatMap((line) => (line.kind === "hose" ? [[line.id, line] as const] : [])));
  const wanted = new Map<Hose, number>();
  for (const { id, spec } of design.gear) {
    if (spec.kind !== "bowl") continue;
    const outMm = TOILETS[spec.bowl].outMm ?? 0;
    for (const lineId of listWasteHoses(design, id)) {
      const hose = hoses.get(lineId)!;
      wanted.set(hose, Math.max(wanted.get(hose) ?? 0, outMm));
    }
  }
  return [...wanted].flatMap(([{ id, pipe }, wantedMm]): Finding[] => {
    if (pipe.innerMm >= wantedMm - SAME_MM) return [];
    return [
      createFinding({ kind: "line", id }, { code: "toiletNarrow", boreMm: pipe.innerMm, wantedMm, isPumped: true }),
    ];
  });
}
