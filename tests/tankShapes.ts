import fc from "fast-check";
import { SENDER_KINDS, type Sender, type Tank } from "@/core/design/plumbing";
import type { Solid } from "@/core/geometry/solid";
import { dot, type Vec3, vec } from "@/core/geometry/vec";
import { measureVolumeBelowL } from "@/core/geometry/volumeBelow";
import { buildTankField } from "@/core/tanks/tankLevels";
import { readDemo } from "./demoRigs";

const [grey] = readDemo("kranich").tanks as [Tank];

export const box = (lengthMm: number, widthMm: number, heightMm: number) =>
  ({ shape: "box", lengthMm, widthMm, heightMm }) as const;

/** Kranich's tank in another shape, in the corner of the rig and without ports. */
export const shaped = (solid: Tank["solid"] | Solid, more: Partial<Tank> = {}): Tank => ({
  ...grey,
  solid: solid as Tank["solid"],
  atMm: vec(0, 0, 0),
  ports: [],
  ...more,
});

/** What is in a tank below a true height. */
export const volumeL = (tank: Tank, up: Vec3, heightMm: number): number =>
  measureVolumeBelowL(buildTankField(tank, up), heightMm - dot(up, tank.atMm));

/** Any sender in a tank of 800 × 400 × 200 mm. */
export const senders: fc.Arbitrary<Sender> = fc.record({
  kind: fc.constantFrom(...SENDER_KINDS),
  xMm: fc.integer({ min: 0, max: 800 }),
  yMm: fc.integer({ min: 0, max: 400 }),
  lowMm: fc.integer({ min: 0, max: 40 }),
  highMm: fc.integer({ min: 60, max: 200 }),
});
