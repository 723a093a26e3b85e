import { degrees, id, list, mm, name, number, pointMm } from "./fields";
import { locked } from "./locked";
import * as z from "./z";

export const RIG_KINDS = ["van", "bus", "trailer", "boat"] as const;
export const OBSTACLE_KINDS = [
  "chassisRail",
  "crossMember",
  "fuelTank",
  "exhaust",
  "axle",
  "shaft",
  "spareWheel",
  "wheelArch",
  "hull",
  "ballast",
  "seat",
  "cabinet",
  "bulkhead",
  "window",
  "airIntake",
] as const;

/** Classes of vehicles by which a crash is reckoned; a boat and a trailer that nobody rides in have none. */
export const CRASH_CLASSES = ["none", "m1n1", "m2n2", "m3n3"] as const;

export const HULL_MATERIALS = ["steel", "aluminium", "laminate", "cored", "wood"] as const;

/** One half of the hull where it is cut across: from the keel up to the sheer, outside; y is the half-breadth. */
export const hullSection = z.strictObject({
  xMm: mm(-5_000, 25_000),
  pointsMm: list(z.strictObject({ y: mm(0, 4_000), z: mm(-5_000, 4_000) }), { least: 2, most: 40 }),
});

/** A boat's hull by half-sections from stern to bow; between two of them it runs straight. */
export const hull = z.strictObject({
  material: z.enum(HULL_MATERIALS),
  thicknessMm: mm(1, 200),
  sections: list(hullSection, { least: 3, most: 40 }),
});

export const attitude = z.strictObject({ pitchDeg: degrees(-20, 20), rollDeg: degrees(-20, 20) });

/** A solid that is already on the rig: a block from its lowest, rearmost, rightmost corner. */
export const obstacle = z.strictObject({
  id,
  name,
  kind: z.enum(OBSTACLE_KINDS),
  atMm: pointMm,
  lengthMm: mm(1, 20_000),
  widthMm: mm(1, 5_000),
  heightMm: mm(1, 4_000),
  /** An exhaust without a metal shield before it. */
  bare: z.optional(z.literal(true)),
  locked,
});

/** Volts of the battery side, where its fuses are, and what may be lost on the way: 0.03 for pumps in usual practice. */
export const supply = z.strictObject({
  volts: z.literal([12, 24]),
  boxMm: pointMm,
  dropShare: number("share", 0.01, 0.2),
});

export const rig = z.strictObject({
  kind: z.enum(RIG_KINDS),
  /** Length and width of the finished floor; it runs from x = 0 forward and half its width to each side. */
  lengthMm: mm(500, 20_000),
  widthMm: mm(500, 4_000),
  /** What the floor is made of, from the top down; their sum is the build-up a drain must pass. */
  floorLayers: list(z.strictObject({ name, thicknessMm: mm(0, 500) }), { least: 1, most: 12 }),
  /** Height of the ground over the finished floor; below it, so negative. On a boat the underside of the keel. */
  groundZMm: mm(-4_000, -50),
  /** The lowest line anything may hang to: the sills of a vehicle. */
  sillZMm: z.nullable(mm(-3_000, 0)),
  /** A boat's waterline at rest. */
  waterlineZMm: z.nullable(mm(-3_000, 3_000)),
  axles: list(
    z.strictObject({
      name,
      xMm: mm(-2_000, 20_000),
      /** What it may still carry over the rig as it is without water, by its plate; null where it was not looked up. */
      spareKg: z.nullable(number("kg", 0, 20_000)),
    }),
    { most: 4 },
  ),
  /** A trailer's coupling, from the rear edge of the floor; null where it is not measured and taken at the front edge. */
  couplingXMm: z.nullable(mm(500, 25_000)),
  /** A boat's weight as she floats, and how far her metacentre stands over her centre of gravity; null where not known. */
  displacementKg: z.nullable(number("kg", 100, 500_000)),
  gmMm: z.nullable(mm(10, 5_000)),
  /** Her hull by its sections; not there where it was not measured. */
  hull: z.optional(z.nullable(hull)),
  crashClass: z.enum(CRASH_CLASSES),
  /** How far out of level the rig is ever parked (a boat: trim and heel at her berth). */
  envelope: z.strictObject({
    noseDownDeg: degrees(0, 20),
    noseUpDeg: degrees(0, 20),
    leftLowDeg: degrees(0, 20),
    rightLowDeg: degrees(0, 20),
  }),
  /** Places the rig really stands at. */
  standings: list(z.strictObject({ id, name, attitude }), { most: 12 }),
  /** How the rig stands while the tank is dumped. */
  dumpAttitude: attitude,
  /** The hose it is dumped through: how far its end lies below the outlet; null where it runs straight out. */
  dumpHose: z.nullable(z.strictObject({ lengthMm: mm(100, 20_000), dropMm: mm(0, 3_000), innerMm: mm(10, 160) })),
  /** What the water side's current comes from; not there where nobody said. */
  supply: z.optional(supply),
});

export const obstacles = list(obstacle, { most: 200 });

export type Rig = z.infer<typeof rig>;
export type Supply = NonNullable<Rig["supply"]>;
export type Hull = z.infer<typeof hull>;
export type HullSection = Hull["sections"][number];
export type HullMaterial = Hull["material"];
/** The class a rig of a kind usually is: vans M1 and N1, coaches M3; boats and trailers are not reckoned for a crash. */
export const USUAL_CLASS: Readonly<Record<(typeof RIG_KINDS)[number], (typeof CRASH_CLASSES)[number]>> = {
  van: "m1n1",
  bus: "m3n3",
  trailer: "none",
  boat: "none",
};

/** How far out of level a rig is judged until somebody says otherwise [T]. */
export const USUAL_ENVELOPE = { noseDownDeg: 2, noseUpDeg: 2, leftLowDeg: 2, rightLowDeg: 2 } as const;

export type RigKind = Rig["kind"];
export type ObstacleKind = Obstacle["kind"];
export type Obstacle = z.infer<typeof obstacle>;
export type CrashClass = Rig["crashClass"];
