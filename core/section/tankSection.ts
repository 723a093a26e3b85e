import { type Attitude, computeUp } from "../attitude/attitude";
import type { PortKind, Tank } from "../design/plumbing";
import { computeLevelForVolume } from "../geometry/levelForVolume";
import { clipBelow } from "../geometry/polygon";
import { measureExtent } from "../geometry/solid";
import { add, dot, type Vec3, vec } from "../geometry/vec";
import { measureVolumeBelowL } from "../geometry/volumeBelow";
import type { Opening } from "../tanks/openings";
import { computeShownL, SENDER_STEPS } from "../tanks/senders";
import { buildTankField, computeTankFull } from "../tanks/tankLevels";
import type { SectionPoint } from "./sectionLayout";
import { outlineTank } from "./tankOutline";

export type TankSide = "x" | "y";

export type TankSection = {
  /** The inside along the chosen axis: s along it, h true height over the tank's own corner, mm. */
  readonly outline: readonly SectionPoint[];
  readonly water: readonly SectionPoint[];
  readonly waterH: number;
  readonly fullH: number;
  /** Surface of what stays behind after dumping as the rig is dumped, drawn as it stands now; null without an outlet. */
  readonly leftH: number | null;
  readonly ports: readonly (SectionPoint & {
    readonly id: string;
    readonly kind: PortKind;
    readonly boreMm: number;
    /** True height over the tank's lowest point, mm. */
    readonly overMm: number;
    /** Litres at which the water stands at it; null where it lies over the tank's top. */
    readonly atL: number | null;
  })[];
  /** Heights at which the sender tells, lowest first, at its own place. */
  readonly marks: readonly SectionPoint[];
  /** What the gauge shows now, L; null without a sender. */
  readonly shownL: number | null;
};

const MARKS = 5;

/**
 * One tank cut along the rig (x) or across it (y) as it stands, with `litres` in it and `leftL` of them that stay behind.
 * Litres in [0, capacity] [C].
 */
export function layOutTankSection(
  tank: Tank,
  openings: readonly Opening[],
  attitude: Attitude,
  axis: TankSide,
  litres: number,
  leftL: number | null,
): TankSection {
  const up = computeUp(attitude);
  const { min, max } = measureExtent(tank.solid);
  const middle = vec((min.x + max.x) / 2, (min.y + max.y) / 2, 0);
  // a profile is seen whole; what lies beside the cut is brought into it
  const place = (along: number, z: number): SectionPoint => {
    const p = axis === "x" ? vec(along, middle.y, z) : vec(middle.x, along, z);
    return { s: along, h: dot(up, p) };
  };
  const corner = {
    id: "corner",
    kind: "inlet",
    atMm: vec(0, 0, 0),
    boreMm: 1,
    thread: null,
    fittingMm: 0,
    valve: null,
  } as const;
  const outline = outlineTank(tank, corner, { axis, sense: 1 }).corners.map(({ u, v }) => place(u, v));
  const field = buildTankField(tank, up);
  const full = computeTankFull(tank, openings, up, field);
  const waterH = computeLevelForVolume(field, litres);
  const clip = (level: number) =>
    clipBelow(
      outline.map((p) => ({ u: p.s, v: p.h })),
      (p) => p.v,
      level,
    ).map((p) => ({ s: p.u, h: p.v }));
  const { sender } = tank;
  return {
    outline,
    water: litres > 0 ? clip(waterH) : [],
    waterH,
    fullH: full.surfaceMm - dot(up, tank.atMm),
    leftH: leftL === null || leftL <= 0 ? null : computeLevelForVolume(field, leftL),
    ports: tank.ports.map(({ id, kind, boreMm, atMm }) => {
      const h = dot(up, atMm);
      return {
        id,
        kind,
        boreMm,
        s: atMm[axis],
        h,
        overMm: h - field.lowestMm,
        atL: h > field.highestMm ? null : measureVolumeBelowL(field, h),
      };
    }),
    marks: sender ? listMarks(sender.kind, sender.lowMm, sender.highMm).map((z) => toMark(up, axis, sender, z)) : [],
    shownL: sender ? computeShownL(tank, sender, attitude, litres) : null,
  };
}

function listMarks(kind: keyof typeof SENDER_STEPS, lowMm: number, highMm: number): number[] {
  const count = SENDER_STEPS[kind] ?? MARKS;
  if (count === 1) return [lowMm];
  return Array.from({ length: count }, (_, i) => lowMm + (i / (count - 1)) * (highMm - lowMm));
}

const toMark = (
  up: Vec3,
  axis: TankSide,
  at: { readonly xMm: number; readonly yMm: number },
  z: number,
): SectionPoint => {
  const p = vec(at.xMm, at.yMm, z);
  return { s: p[axis], h: dot(up, p) };
};

/** What a pull in that section means on the rig, mm: along the axis as drawn, and up. */
export const unprojectTankPull = (axis: TankSide, attitude: Attitude, along: number, upMm: number): Vec3 => {
  const up = computeUp(attitude);
  const shift = axis === "x" ? vec(along, 0, 0) : vec(0, along, 0);
  return add(shift, vec(0, 0, (upMm - dot(up, shift)) / up.z));
};
