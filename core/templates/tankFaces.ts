import type { Port, PortKind, Tank, Thread } from "../design/plumbing";
import { measureInside, type Vec2 } from "../geometry/polygon";
import { measureExtent, type Solid, toPrism } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { offsetOutward } from "./offsetOutward";
import { findPortHoleMm, isWeldedIn } from "./portHole";

export const FACES = ["rear", "front", "right", "left", "bottom", "top"] as const;
export type Face = (typeof FACES)[number];

/** A hole in a face, by its middle, on the face as it is looked at. */
export type FaceHole = {
  readonly portId: string;
  readonly kind: PortKind;
  readonly at: Vec2;
  readonly boreMm: number;
  readonly thread: Thread | null;
  /** What is cut for the fitting, mm across; null where only its maker knows. */
  readonly cutMm: number | null;
  /** From the rim of its bore to the nearest edge of the inside, mm; below 0 it breaks through. */
  readonly toEdgeMm: number;
  /** How far the wall there lies behind the face, mm: more than nothing on a slope or in a step. */
  readonly behindMm: number;
};

/**
 * One side of a tank in full size as it is looked at from outside, mm: u to the right and v up, from the lowest and
 * leftmost point of the outside. From above and from below the nose points to the right.
 */
export type FaceDrawing = {
  readonly face: Face;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly outside: readonly Vec2[];
  readonly inside: readonly Vec2[];
  readonly holes: readonly FaceHole[];
};

/** Corners of a round end; the chord of so many lies 0.015 % of the radius inside the circle at most. */
const ROUND_CORNERS = 180;

/** The six sides of a tank with their holes; every port is on one of them [C]. */
export function listTankFaces(tank: Tank): FaceDrawing[] {
  const { min, max } = measureExtent(tank.solid);
  const placed = tank.ports.map((port) => ({ port, on: findFace(tank.solid, port) }));
  return FACES.map((face) => {
    const inside = listOutline(tank.solid, face).map((p) => toSheet(face, p, min, max));
    const outside = offsetOutward(inside, tank.wallMm);
    const left = Math.min(...outside.map((p) => p.u));
    const low = Math.min(...outside.map((p) => p.v));
    const shift = (p: Vec2): Vec2 => ({ u: p.u - left, v: p.v - low });
    const moved = outside.map(shift);
    return {
      face,
      widthMm: Math.max(...moved.map((p) => p.u)),
      heightMm: Math.max(...moved.map((p) => p.v)),
      outside: moved,
      inside: inside.map(shift),
      holes: placed
        .filter(({ on }) => on.face === face)
        .map(({ port, on }) => {
          const at = toSheet(face, findMiddle(port, face), min, max);
          const toEdgeMm = measureInside(inside, at) - port.boreMm / 2;
          return {
            portId: port.id,
            kind: port.kind,
            at: shift(at),
            boreMm: port.boreMm,
            thread: port.thread,
            toEdgeMm,
            // a socket that is welded in is as wide outside as its maker has it
            cutMm: isWeldedIn(toEdgeMm) ? null : findPortHoleMm(port),
            behindMm: on.behindMm,
          };
        }),
    };
  });
}

/** Each port's hole with the side it is in, by the port's id. */
export const listPortHoles = (tank: Tank): ReadonlyMap<string, FaceHole & { readonly face: Face }> =>
  new Map(listTankFaces(tank).flatMap(({ face, holes }) => holes.map((hole) => [hole.portId, { ...hole, face }])));

/** The side a port is in: an end of the solid where it lies in one, else the nearest of the others. */
export function findFace(
  solid: Solid,
  { atMm }: Pick<Port, "atMm">,
): { readonly face: Face; readonly behindMm: number } {
  const { min, max } = measureExtent(solid);
  const { axis } = toPrism(solid);
  const away: Readonly<Record<Face, number>> = {
    rear: atMm.x - min.x,
    front: max.x - atMm.x,
    right: atMm.y - min.y,
    left: max.y - atMm.y,
    bottom: atMm.z - min.z,
    top: max.z - atMm.z,
  };
  const ends = ENDS[axis].filter((face) => Math.abs(away[face]) <= ON_FACE_MM);
  const among = ends.length > 0 ? ends : FACES.filter((face) => !ENDS[axis].includes(face));
  const face = among.reduce((a, b) => (Math.abs(away[b]) < Math.abs(away[a]) ? b : a));
  return { face, behindMm: Math.max(0, away[face]) };
}

/**
 * From the rim of a port's bore to the nearest edge of the side it is in, mm; below 0 it breaks through. On a slope or in a step the
 * wall is another one than the side shows: Infinity there [C].
 */
export function measureToEdgeMm(solid: Solid, port: Port): number {
  const { face, behindMm } = findFace(solid, port);
  if (behindMm > ON_FACE_MM) return Number.POSITIVE_INFINITY;
  const { min, max } = measureExtent(solid);
  const inside = listOutline(solid, face).map((p) => toSheet(face, p, min, max));
  return measureInside(inside, toSheet(face, findMiddle(port, face), min, max)) - port.boreMm / 2;
}

const ON_FACE_MM = 1;

/** Whether a wall lies so far behind its side, mm, that a sheet laid flat against that side does not touch it. */
export const liesBehind = ({ behindMm }: Pick<FaceHole, "behindMm">): boolean => behindMm > ON_FACE_MM;

const ENDS: Readonly<Record<"x" | "y" | "z", readonly Face[]>> = {
  x: ["rear", "front"],
  y: ["right", "left"],
  z: ["bottom", "top"],
};

const AXIS_OF: Readonly<Record<Face, "x" | "y" | "z">> = {
  rear: "x",
  front: "x",
  right: "y",
  left: "y",
  bottom: "z",
  top: "z",
};

// A port in an upright wall is given by its invert; the hole's middle is half a bore above.
const findMiddle = ({ atMm, boreMm }: Port, face: Face): Vec3 =>
  AXIS_OF[face] === "z" ? atMm : { ...atMm, z: atMm.z + boreMm / 2 };

function listOutline(solid: Solid, face: Face): Vec3[] {
  const { min, max } = measureExtent(solid);
  const { axis, profileMm } = toPrism(solid);
  if (ENDS[axis].includes(face)) {
    const profile = solid.shape === "cylinder" ? listCircle(solid.diameterMm) : profileMm;
    return profile.map(({ u, v }) => {
      if (axis === "x") return { x: 0, y: u, z: v };
      return axis === "y" ? { x: u, y: 0, z: v } : { x: u, y: v, z: 0 };
    });
  }
  const across = AXIS_OF[face];
  const [a, b] = (["x", "y", "z"] as const).filter((one) => one !== across) as ["x" | "y", "y" | "z"];
  const corner = (p: number, q: number): Vec3 => ({ x: 0, y: 0, z: 0, [a]: p, [b]: q });
  return [corner(min[a], min[b]), corner(max[a], min[b]), corner(max[a], max[b]), corner(min[a], max[b])];
}

const listCircle = (diameterMm: number): Vec2[] =>
  Array.from({ length: ROUND_CORNERS }, (_, i) => {
    const angle = (2 * Math.PI * i) / ROUND_CORNERS;
    return { u: (diameterMm / 2) * (1 + Math.cos(angle)), v: (diameterMm / 2) * (1 + Math.sin(angle)) };
  });

// The right hand of one who looks at the face from outside: x runs to the nose, y to the left, z up.
function toSheet(face: Face, p: Vec3, min: Vec3, max: Vec3): Vec2 {
  switch (face) {
    case "front":
      return { u: p.y - min.y, v: p.z - min.z };
    case "rear":
      return { u: max.y - p.y, v: p.z - min.z };
    case "right":
      return { u: p.x - min.x, v: p.z - min.z };
    case "left":
      return { u: max.x - p.x, v: p.z - min.z };
    case "top":
      return { u: p.x - min.x, v: p.y - min.y };
    case "bottom":
      return { u: p.x - min.x, v: max.y - p.y };
  }
}
