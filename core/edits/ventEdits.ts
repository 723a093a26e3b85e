import { buildVentPath, followVent, listVents } from "../air/ventPath";
import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { freeId } from "../design/freeId";
import { roundTenth } from "../design/moves";
import { toNewNode, toNodes } from "../design/nodes";
import type { Tank, Vent } from "../design/plumbing";
import { isCourseClear } from "../fit/clearCourse";
import { isClearOfParts } from "../fit/clearOfParts";
import { measureExtent } from "../geometry/solid";
import { add, dot, interpolate, measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";

/** A breather as it is fitted first: 19 mm of bore [T]. */
const BORE_MM = 19;
const PIPE = { innerMm: BORE_MM, outerMm: 25, manningN: 0.01 } as const;
/** Height over the floor at which a breather ends up the wall, mm [T]. */
const WALL_END_MM = 600;
/** A point this near serves as the place for a tee, mm. */
const SAME_PLACE_MM = 60;

/** Edit that fits a breather from the middle of a tank's top up the wall to the open air, with a port of its own. */
export function buildAddVent(design: Design, tank: Tank): Edit {
  const { min, max } = measureExtent(tank.solid);
  const portId = freeId("vent", tank.ports);
  const lineId = freeId(`${tank.id}-vent`.slice(0, 36), design.lines);
  const nth = listVents(design, tank.id).length;
  // a second one beside the first; beside the middle where from there all that is laid runs into something
  const feet = ASIDE.map((aside) =>
    vec(clamp((min.x + max.x) / 2 + aside * (max.x - min.x) + nth * 80, min.x, max.x), (min.y + max.y) / 2, max.z),
  );
  const laid = feet.map((atMm) => ({ atMm, course: findWayToWall(design, add(tank.atMm, atMm), tank.id) }));
  const foot = laid.find(({ course }) => course !== null) ?? { atMm: feet[0]!, course: null };
  const port = createPort({ id: portId, kind: "vent", atMm: foot.atMm, boreMm: BORE_MM });
  const line: Vent = {
    id: lineId,
    name: design.tanks.length > 1 ? `Breather of ${tank.name}`.slice(0, 80) : "Breather",
    kind: "vent",
    fromTank: tank.id,
    fromPort: portId,
    to: { kind: "openAir", hasMesh: true },
    pipe: PIPE,
    pointsMm: toNodes(foot.course ?? layToWall(design, add(tank.atMm, port.atMm))),
  };
  const ops: EditOp[] = [
    { op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: port },
    { op: "insert", path: ["lines"], index: design.lines.length, value: line },
  ];
  return { code: "addVent", at: { kind: "tank", id: tank.id }, ops };
}

/** Kept below the floor, mm. */
const UNDER_MM = 30;
/** Rise of a long breather under the floor or on it, m/m: more than a rig is parked askew [T]. */
const STEEP = 0.08;
/** A hose that lies on the floor has its middle this far over it, mm [T]. */
const ON_FLOOR_MM = 40;

/** Where along its top a tank's breather comes out, as shares of its length beside the middle. */
const ASIDE = [0, -0.25, 0.25, -0.4, 0.4] as const;

// The first way that keeps clear of all that stands on the rig and of the builder's own parts; null where none does.
const findWayToWall = (design: Design, foot: Vec3, tankId: string): Vec3[] | null =>
  listWaysToWall(design, foot).find(
    (way) => isCourseClear(design, [foot, ...way], PIPE) && isClearOfParts(design, [foot, ...way], PIPE, tankId),
  ) ?? null;

// The first way that keeps clear of what stands on the rig, else the first.
function layToWall(design: Design, foot: Vec3): Vec3[] {
  const ways = listWaysToWall(design, foot);
  return ways.find((way) => isCourseClear(design, [foot, ...way], PIPE)) ?? ways[0]!;
}

// Along under the floor to the nearer wall, rising, then up the wall; to the other wall, the rear or the front one, or up through
// the floor beside the tank and along it.
function listWaysToWall(design: Design, foot: Vec3): Vec3[][] {
  const wallY = (foot.y < 0 ? -1 : 1) * (design.rig.widthMm / 2 - 30);
  return [
    ...[wallY, -wallY].map((y) => [vec(foot.x, y, foot.z + 20), vec(foot.x, y, WALL_END_MM)]),
    ...[30, design.rig.lengthMm - 30].map((x) => {
      // a long way rises as much as there is room, so that it does not sag where the rig stands askew
      const under = -measureFloorMm(design) - UNDER_MM;
      const z = Math.max(foot.z + 20, Math.min(under, foot.z + Math.abs(x - foot.x) * STEEP));
      return [vec(x, foot.y, z), vec(x, foot.y, WALL_END_MM)];
    }),
    ...[wallY, -wallY].map((y) => [
      vec(foot.x, foot.y, ON_FLOOR_MM),
      vec(foot.x, y, ON_FLOOR_MM + Math.max(20, Math.abs(y - foot.y) * STEEP)),
      vec(foot.x, y, WALL_END_MM),
    ]),
  ].map((way) => way.map(roundTenth));
}

/** The breathers one can join by a tee: those that do not run through it themselves. */
export const listVentsToJoin = (design: Design, vent: Vent): Vent[] =>
  design.lines.filter(
    (line): line is Vent => line.kind === "vent" && !followVent(design, line).some(({ id }) => id === vent.id),
  );

/** Edit that lets a breather end in another at the place nearest to its last rise; null where one of them is not there. */
export function buildJoinVent(design: Design, ventId: string, mainId: string): Edit | null {
  const find = (id: string) => design.lines.find((l): l is Vent => l.kind === "vent" && l.id === id);
  const [vent, main] = [find(ventId), find(mainId)];
  if (!vent || !main || !listVentsToJoin(design, vent).includes(main)) return null;
  // what rose to the open air by itself is cut off there
  const kept = vent.to.kind === "openAir" ? vent.pointsMm.slice(0, -1) : vent.pointsMm;
  const from = kept.at(-1) ?? buildVentPath(design, vent).pointsMm[0]!;
  const own = buildVentPath(design, main).pointsMm.slice(0, main.pointsMm.length + 1);
  const { point, atMm } = findTee(own, from);
  const near = main.pointsMm.findIndex((p) => measureLength(subtract(p, atMm)) < SAME_PLACE_MM);
  // the open end is no place for a tee
  const reuses = near >= 0 && near < main.pointsMm.length - 1;
  const value = toNewNode(main, atMm);
  const insert: EditOp = { op: "insert", path: ["lines", main.id, "pointsMm"], index: point, value };
  const to = { kind: "tee", lineId: main.id, node: reuses ? main.pointsMm[near]!.id : value.id } as const;
  return {
    code: "joinVent",
    at: { kind: "line", id: ventId },
    ops: [
      ...(reuses ? [] : [insert]),
      { op: "set", path: ["lines", ventId, "pointsMm"], value: kept },
      { op: "set", path: ["lines", ventId, "to"], value: to },
    ],
  };
}

// On the piece that rises most, so that water of one tank does not run into the other: the nearest place in its upper half.
function findTee(points: readonly Vec3[], from: Vec3): { readonly point: number; readonly atMm: Vec3 } {
  let best = { point: points.length - 2, atMm: points.at(-1)!, cost: Infinity };
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!];
    const along = subtract(b, a);
    const whole = dot(along, along);
    const share = whole === 0 ? 0.5 : clamp(dot(subtract(from, a), along) / whole, 0.5, 0.85);
    const atMm = roundTenth(interpolate(a, b, share));
    const cost = measureLength(subtract(atMm, from)) - 2 * Math.max(0, atMm.z - from.z);
    if (cost < best.cost) best = { point: i - 1, atMm, cost };
  }
  return best;
}

/** Edit that gives a breather an end of its own up the wall; null where it is not there or has one. */
export function buildOpenVent(design: Design, ventId: string): Edit | null {
  const vent = design.lines.find((l): l is Vent => l.kind === "vent" && l.id === ventId);
  if (vent?.to.kind !== "tee") return null;
  const from = vent.pointsMm.at(-1) ?? buildVentPath(design, vent).pointsMm[0]!;
  return {
    code: "openVent",
    at: { kind: "line", id: ventId },
    ops: [
      { op: "set", path: ["lines", ventId, "pointsMm"], value: [...vent.pointsMm, ...layToWall(design, from)] },
      { op: "set", path: ["lines", ventId, "to"], value: { kind: "openAir", hasMesh: true } },
    ],
  };
}

/** Where a breather that ends by itself may be led: up the wall inside, out through the roof, or low under the floor. */
export const VENT_WAYS = ["wall", "roof", "underFloor"] as const;
export type VentWay = (typeof VENT_WAYS)[number];

/** Height over the floor at which a breather ends above a roof, mm: headroom and a hand over it [T]. */
const ROOF_END_MM = 2_100;

/**
 * Edit that leads a breather another way to the open air. Under the floor it rises to right below the floor and ends at
 * the edge of the rig, over the tank's top. Null where it is not there or joins another one.
 */
export function buildVentWay(design: Design, ventId: string, way: VentWay): Edit | null {
  const vent = design.lines.find((l): l is Vent => l.kind === "vent" && l.id === ventId);
  if (vent?.to.kind !== "openAir") return null;
  const foot = buildVentPath(design, vent).pointsMm[0]!;
  const wallY = (foot.y < 0 ? -1 : 1) * (design.rig.widthMm / 2 - 30);
  const top = measureFloorMm(design) + UNDER_MM;
  const ways: Readonly<Record<VentWay, readonly Vec3[]>> = {
    wall: layToWall(design, foot),
    roof: [vec(foot.x, wallY, foot.z + 20), vec(foot.x, wallY, ROOF_END_MM)],
    underFloor: [vec(foot.x, foot.y, Math.max(foot.z + 10, -top)), vec(foot.x, wallY, Math.max(foot.z + 10, -top))],
  };
  return {
    code: "move",
    at: { kind: "line", id: ventId },
    ops: [{ op: "set", path: ["lines", ventId, "pointsMm"], value: ways[way].map(roundTenth) }],
  };
}

/** Edit that takes a breather out with its port; those that joined it end in the open air then. Null where it is not there. */
export function buildRemoveVent(design: Design, ventId: string): Edit | null {
  const vent = design.lines.find((l): l is Vent => l.kind === "vent" && l.id === ventId);
  if (!vent) return null;
  const joined = design.lines.flatMap((line) =>
    line.kind === "vent" && line.to.kind === "tee" && line.to.lineId === ventId
      ? (buildOpenVent(design, line.id)?.ops ?? [])
      : [],
  );
  const ops: EditOp[] = [
    ...joined,
    { op: "remove", path: ["lines", ventId] },
    { op: "remove", path: ["tanks", vent.fromTank, "ports", vent.fromPort] },
  ];
  return { code: "removeVent", at: { kind: "tank", id: vent.fromTank }, ops };
}
