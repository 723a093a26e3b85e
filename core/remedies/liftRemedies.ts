import type { Design } from "../design/design";
import type { EditOp } from "../design/edit";
import { buildMove, findPlaceMm, listPoints, roundTenth } from "../design/moves";
import type { PartRef } from "../design/part";
import { add, vec } from "../geometry/vec";
import type { Remedy } from "./remedy";

/** Where it is not known how much higher is enough, so much is tried, mm. */
const TRIED_MM = [10, 20, 30, 40, 60, 80, 100, 130, 160, 200] as const;

/** A tank, a piece of gear or what of a line is lowest, hung higher, by what it lacks or by as little as helps. */
export function proposeHigher(design: Design, at: PartRef, byMm?: number): Remedy[] {
  if (at.kind === "line") return proposeLineHigher(design, at.id, byMm);
  const from = at.kind === "tank" || at.kind === "gear" ? findPlaceMm(design, at) : null;
  if (!from) return [];
  return (byMm === undefined ? TRIED_MM : [Math.ceil(byMm)]).flatMap((mm): Remedy[] => {
    const move = buildMove(design, at, add(from, vec(0, 0, mm)));
    return move ? [{ byMm: mm, way: "up", edit: { ...move, code: "moveClear" } }] : [];
  });
}

function proposeLineHigher({ lines }: Design, id: string, byMm?: number): Remedy[] {
  const line = lines.find((one) => one.id === id);
  if (!line) return [];
  const points = listPoints(line);
  const lowestMm = Math.min(...points.map(({ z }) => z));
  const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
  return (byMm === undefined ? TRIED_MM : [Math.ceil(byMm)]).flatMap((mm): Remedy[] => {
    const ops = points.flatMap(({ x, y, z }, i): EditOp[] =>
      z >= lowestMm + mm
        ? []
        : [{ op: "set", path: ["lines", id, key, i], value: roundTenth(vec(x, y, lowestMm + mm)) }],
    );
    return ops.length === 0
      ? []
      : [{ byMm: mm, way: "up", edit: { code: "moveClear", at: { kind: "line", id }, ops } }];
  });
}
