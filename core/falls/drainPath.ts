import type { Design } from "../design/design";
import type { Drain, Fixture, Pipe, Port, Tank } from "../design/plumbing";
import { add, measureLength, measurePlanLength, scale, subtract, type Vec3, vec } from "../geometry/vec";
import { NO_LENGTH_MM } from "../quantity/tolerance";

/** A straight piece of drain between two inverts. A run lies; a drop goes down at more than 45°. */
export type Leg = {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly kind: "run" | "drop";
  readonly lengthMm: number;
  readonly planLengthMm: number;
};

/** One drain with everything it joins looked up, as the sums need it. */
export type DrainPath = {
  readonly drain: Drain;
  readonly fixture: Fixture;
  readonly tank: Tank;
  readonly inlet: Port;
  readonly pipe: Pipe;
  /** Where the water leaves the fixture. */
  readonly outletMm: Vec3;
  /** Inverts: the trap's weir (the outlet itself without a trap), the bends, the tank's inlet. */
  readonly nodesMm: readonly Vec3[];
  readonly legs: readonly Leg[];
};

/** Lays out one drain in the rig frame. The design has passed its consistency check, so the references hold. */
export function buildDrainPath(design: Design, drain: Drain): DrainPath {
  const fixture = design.fixtures.find((f) => f.id === drain.fromFixture)!;
  const tank = design.tanks.find((t) => t.id === drain.toTank)!;
  const inlet = tank.ports.find((p) => p.id === drain.toPort)!;
  const inletMm = add(tank.atMm, inlet.atMm);
  const weirMm = placeWeir(fixture.outletMm, drain, [...drain.bendsMm, inletMm]);
  const nodesMm = [weirMm, ...drain.bendsMm, inletMm];
  const legs = nodesMm.slice(1).map((to, i) => buildLeg(nodesMm[i]!, to));
  return { drain, fixture, tank, inlet, pipe: drain.pipe, outletMm: fixture.outletMm, nodesMm, legs };
}

// The trap carries the water sideways toward the first point that is not straight below the outlet.
function placeWeir(outletMm: Vec3, drain: Drain, ahead: readonly Vec3[]): Vec3 {
  if (!drain.trap) return outletMm;
  const { spanMm, dropMm } = drain.trap;
  const aim = ahead.map((p) => subtract(p, outletMm)).find((d) => measurePlanLength(d) > NO_LENGTH_MM);
  const reach = aim ? measurePlanLength(aim) : 1;
  const sideways = aim ? scale(vec(aim.x, aim.y, 0), Math.min(spanMm, reach) / reach) : vec(0, 0, 0);
  return add(outletMm, add(sideways, vec(0, 0, -dropMm)));
}

function buildLeg(from: Vec3, to: Vec3): Leg {
  const along = subtract(to, from);
  const planLengthMm = dropNoLength(measurePlanLength(along));
  return {
    from,
    to,
    kind: -along.z > planLengthMm ? "drop" : "run",
    lengthMm: dropNoLength(measureLength(along)),
    planLengthMm,
  };
}

// Two points in one place make a leg of no length, not one so short that a slope over it is noise.
const dropNoLength = (lengthMm: number): number => (lengthMm > NO_LENGTH_MM ? lengthMm : 0);
