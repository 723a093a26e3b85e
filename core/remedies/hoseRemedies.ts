import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import type { PartRef } from "../design/part";
import type { Hose } from "../design/plumbing";
import { listFamily } from "../parts/pipes";
import type { Remedy } from "./remedy";

/** All hoses on the way of a tap up to its tanks a size wider, by as little as helps. */
export function proposeWiderHoses({ lines }: Design, at: PartRef): Remedy[] {
  if (at.kind !== "gear") return [];
  const hoses = listJoined(
    lines.filter((line): line is Hose => line.kind === "hose"),
    at.id,
  );
  return listFamily("smoothHose").flatMap(({ pipe }): Remedy[] => {
    const ops = hoses.flatMap((hose): EditOp[] =>
      hose.pipe.innerMm < pipe.innerMm
        ? [
            { op: "set", path: ["lines", hose.id, "pipe", "innerMm"], value: pipe.innerMm },
            { op: "set", path: ["lines", hose.id, "pipe", "outerMm"], value: pipe.outerMm },
          ]
        : [],
    );
    return ops.length === 0 ? [] : [{ byMm: pipe.innerMm, isByLeast: true, edit: { code: "widenHoses", at, ops } }];
  });
}

// What is joined to it by hoses and pieces of gear; a tank ends the way.
function listJoined(hoses: readonly Hose[], gearId: string): Hose[] {
  const reached = new Set([gearId]);
  const joined = new Set<Hose>();
  for (let before = -1; before !== joined.size; ) {
    before = joined.size;
    for (const hose of hoses) {
      const ends = [hose.from, hose.to].flatMap((end) => (end.kind === "gear" ? [end.gearId] : []));
      if (!ends.some((id) => reached.has(id))) continue;
      joined.add(hose);
      for (const id of ends) reached.add(id);
    }
  }
  return [...joined];
}
