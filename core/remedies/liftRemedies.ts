import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { listPoints } from "../design/linePoints";
import { buildMove, findPlaceMm, type Movable, roundTenth } from "../design/moves";
import type { PartRef } from "../design/part";
import type { Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";
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

/** A dump line hung higher with the tank it comes from, so that it keeps its fall. */
export function proposeWithTank({ lines, tanks }: Design, at: PartRef, byMm: number): Remedy[] {
  const line = lines.find(({ id }) => at.kind === "line" && id === at.id);
  const tank = line?.kind === "dumpLine" ? tanks.find(({ id }) => id === line.fromTank) : undefined;
  if (!line || !tank) return [];
  const mm = Math.ceil(byMm);
  const up = vec(0, 0, mm);
  const ops: EditOp[] = [
    { op: "set", path: ["tanks", tank.id, "atMm"], value: roundTenth(add(tank.atMm, up)) },
    ...listPoints(line).map((p, i): EditOp => {
      return { op: "set", path: ["lines", line.id, "pointsMm", i], value: roundTenth(add(p, up)) };
    }),
  ];
  return [{ byMm: mm, way: "up", edit: { code: "moveClear", at: { kind: "tank", id: tank.id }, ops } }];
}

/** An outlet that the tank rises to before anything else, raised, or the tank hung lower, by as little as helps. */
export const proposeOverTank = (design: Design, fixtureId: string, tanks: readonly string[]): Remedy[] =>
  TRIED_MM.flatMap((mm): Remedy[] => [
    ...proposeShifted(design, { kind: "fixture", id: fixtureId }, mm, "raiseOutlet"),
    ...tanks.flatMap((id) => proposeShifted(design, { kind: "tank", id }, -mm, "lowerTank")),
  ]);

function proposeShifted(design: Design, at: PartRef & Movable, byMm: number, code: Edit["code"]): Remedy[] {
  const from = findPlaceMm(design, at);
  const move = from && buildMove(design, at, add(from, vec(0, 0, byMm)));
  return move ? [{ byMm: Math.abs(byMm), isByLeast: true, edit: { ...move, code } }] : [];
}

/** One of two tanks that share a level hung so that their bottoms are as high as each other. */
export function proposeOneLevel({ tanks, ...design }: Design, tank: Tank): Remedy[] {
  const other = tanks.find(({ id }) => id === tank.link?.toTank);
  if (!other) return [];
  const bottomOf = (one: Tank) => one.atMm.z + measureExtent(one.solid).min.z;
  const byMm = bottomOf(other) - bottomOf(tank);
  return [[tank, byMm] as const, [other, -byMm] as const].flatMap(([one, mm]): Remedy[] => {
    const at = { kind: "tank", id: one.id } as const;
    const move = buildMove({ ...design, tanks }, at, add(one.atMm, vec(0, 0, mm)));
    return move
      ? [{ byMm: Math.round(Math.abs(mm)), way: mm > 0 ? "up" : "down", edit: { ...move, code: "moveClear" } }]
      : [];
  });
}
