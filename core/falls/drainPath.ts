import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { findJunctionBend, findLineTrap, findTrap, type LineTrap, listPipeChanges } from "../design/lineItems";
import type { Drain, Fixture, Pipe, Port, Tank } from "../design/plumbing";
import { placeDrainEnd } from "../gear/gearPorts";
import { add, measureLength, measurePlanLength, scale, subtract, type Vec3, vec } from "../geometry/vec";
import { createRecall } from "../quantity/recall";
import { NO_LENGTH_MM } from "../quantity/tolerance";
import { buildNetwork, findSurgeLps, followDrain, type Network, sumInflowLps } from "./network";

/** A straight piece of drain between two inverts. A run lies; a drop goes down at more than 45°. */
export type Leg = {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly kind: "run" | "drop";
  readonly lengthMm: number;
  readonly planLengthMm: number;
  /** The drain it is a piece of, and which of that drain's legs. */
  readonly lineId: string;
  readonly index: number;
  readonly pipe: Pipe;
  /** Across its outside, its lagging included, mm. */
  readonly outsideMm: number;
  /** All that may run in it at once, L/s: taps open, and with the bowl that sends most let go. */
  readonly inflowLps: number;
  readonly surgeLps: number;
};

/** A node of a path: which bend of which drain; −1 for a weir and for an inlet. */
export type NodeRef = { readonly lineId: string; readonly bend: number };

/** The way of the water from one fixture to its tank, through every drain it joins, with everything looked up. */
export type DrainPath = {
  readonly drain: Drain;
  /** The drain itself and those it runs through. */
  readonly chain: readonly Drain[];
  /** Where the water comes into each of them, mm along it from its weir. */
  readonly enteredAtMm: readonly number[];
  readonly fixture: Fixture;
  /** The tank it ends in and that tank's inlet; both null where it ends in the open or in a vessel. */
  readonly tank: Tank | null;
  readonly inlet: Port | null;
  /** The pipe it begins in; after a change of pipe or a junction the legs have another. */
  readonly pipe: Pipe;
  /** Where the water leaves the fixture. */
  readonly outletMm: Vec3;
  /** Inverts: the trap's weir (the outlet itself without a trap), the bends, the tank's inlet. */
  readonly nodesMm: readonly Vec3[];
  readonly nodeRefs: readonly NodeRef[];
  readonly legs: readonly Leg[];
  /** The legs up to the tank or the junction: those that belong to this drain alone. */
  readonly ownLegs: readonly Leg[];
};

/** The pipe of a leg of a drain: its own, or what it has changed to before. The bend b is where leg b + 1 begins. */
export const findPipeOf = (drain: Pick<Drain, "pipe" | "items" | "bendsMm">, leg: number): Pipe =>
  drain.items.length === 0
    ? drain.pipe
    : (listPipeChanges(drain).findLast(({ bend }) => bend < leg)?.pipe ?? drain.pipe);

/** How far apart the legs of a running trap at a bend stand, mm: two turns of its own bore [T]. */
export const measureLineTrapSpanMm = (drain: Parameters<typeof findPipeOf>[0], bend: number): number =>
  3 * findPipeOf(drain, bend).innerMm;

/** A running trap in the line that the water of a path goes through. */
export type TrapOnPath = LineTrap & {
  readonly lineId: string;
  /** Which node of the path it sits at. */
  readonly node: number;
};

/** The traps in the line that the water of a path goes through, in the order it meets them. */
export function listLineTraps({ chain, nodeRefs }: Pick<DrainPath, "chain" | "nodeRefs">): TrapOnPath[] {
  return chain.flatMap((drain) => {
    const lineTrap = findLineTrap(drain);
    if (!lineTrap) return [];
    const { id } = drain;
    const node = nodeRefs.findIndex((ref) => ref.lineId === id && ref.bend === lineTrap.bend);
    return node < 0 ? [] : [{ ...lineTrap, lineId: id, node }];
  });
}

/** Lays out one drain in the rig frame. The design has passed its consistency check, so the references hold. */
export function buildDrainPath(design: Design, drain: Drain, network: Network = buildNetwork(design)): DrainPath {
  const chain = followDrain(network, drain);
  const fixture = network.fixtures.get(drain.fromFixture)!;
  const { tank, inlet, atMm: inletMm } = findEnd(network, chain.at(-1)!);
  const { stretches, bends, nodeRefs, legs } = recallCourse(drain, chain, () => followBends(chain));
  const nodesMm = [placeWeir(fixture.outletMm, drain, bends, inletMm), ...bends, inletMm];
  const built = legs.map(({ line, index, pipe }, i) => {
    const from = nodesMm[i]!;
    const to = nodesMm[i + 1]!;
    const inflowLps = sumInflowLps(network, line, index);
    const surgeLps = findSurgeLps(network, line, index);
    const { id: lineId, insulationMm = 0 } = line;
    return recallLeg(from, [to, lineId, index, pipe, insulationMm, inflowLps, surgeLps], () =>
      buildLeg(from, to, { lineId, index, pipe, inflowLps, surgeLps }, insulationMm),
    );
  });
  return {
    drain,
    chain,
    enteredAtMm: stretches.map(({ line, first }, i) => (i === 0 ? 0 : measureToBend(network, line, first))),
    fixture,
    tank,
    inlet,
    pipe: drain.pipe,
    outletMm: fixture.outletMm,
    nodesMm,
    nodeRefs,
    legs: built,
    ownLegs: chain.length === 1 ? built : built.slice(0, drain.bendsMm.length + 1),
  };
}

/** What of a way its drains alone say: where the water comes into each, and through which bends and legs it runs. */
type Course = Pick<DrainPath, "nodeRefs"> & {
  readonly stretches: readonly { readonly line: Drain; readonly first: number }[];
  readonly bends: readonly Vec3[];
  readonly legs: readonly { readonly line: Drain; readonly index: number; readonly pipe: Pipe }[];
};

function followBends(chain: readonly Drain[]): Course {
  const stretches = chain.map((line, i) => ({ line, first: i === 0 ? 0 : findEntry(chain[i - 1]!, line) }));
  return {
    stretches,
    bends: stretches.flatMap(({ line, first }) => line.bendsMm.slice(first)),
    nodeRefs: [
      { lineId: chain[0]!.id, bend: -1 },
      ...stretches.flatMap(({ line, first }) =>
        line.bendsMm.slice(first).map((_, i) => ({ lineId: line.id, bend: first + i })),
      ),
      { lineId: chain.at(-1)!.id, bend: -1 },
    ],
    legs: stretches.flatMap(({ line, first }, i) => {
      // a drain that joins another has a leg to the junction; the one joined goes on from there
      const from = i === 0 ? 0 : first + 1;
      const count = line.bendsMm.length + 1 - from;
      return Array.from({ length: count }, (_, k) => ({ line, index: from + k, pipe: findPipeOf(line, from + k) }));
    }),
  };
}

// While the tank at its end is pulled a drain takes the same course.
const recallCourse = createRecall<Drain, Course>();
// While one end of a drain is pulled its other legs stay the same objects, and so does what is known of them.
const recallLeg = createRecall<Vec3, Leg>();
const recallFitting = createRecall<Gear, Vec3>();
const recallInlet = createRecall<Port, Vec3>();
const recallWeir = createRecall<Drain, Vec3>();

type PathEnd = Pick<DrainPath, "tank" | "inlet"> & { readonly atMm: Vec3 };

function findEnd(network: Network, { to }: Drain): PathEnd {
  switch (to.kind) {
    case "junction":
      throw new Error("a drain that joins another ends where that one does");
    case "inlet": {
      const tank = network.tanks.get(to.tankId)!;
      const inlet = tank.ports.find((port) => port.id === to.portId)!;
      return { tank, inlet, atMm: recallInlet(inlet, [tank.atMm], () => add(tank.atMm, inlet.atMm)) };
    }
    case "ground":
    case "vessel":
      return { tank: null, inlet: null, atMm: to.atMm };
    case "sump":
    case "overboard": {
      const fitting = network.gear.get(to.gearId)!;
      const place = () => placeDrainEnd(fitting);
      return { tank: null, inlet: null, atMm: recallFitting(fitting, [fitting.atMm, fitting.sizeMm], place) };
    }
  }
}

// Along a drain from its own weir to one of its bends, mm.
function measureToBend(network: Network, drain: Drain, bend: number): number {
  const { outletMm } = network.fixtures.get(drain.fromFixture)!;
  const points = [placeWeir(outletMm, drain, drain.bendsMm, null), ...drain.bendsMm.slice(0, bend + 1)];
  return points.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, points[i]!)), 0);
}

const findEntry = ({ to }: Drain, main: Drain): number => (to.kind === "junction" ? findJunctionBend(main, to) : 0);

// The trap carries the water sideways toward the first point that is not straight below the outlet.
function placeWeir(outletMm: Vec3, drain: Drain, bends: readonly Vec3[], endMm: Vec3 | null): Vec3 {
  const trap = findTrap(drain);
  if (!trap) return outletMm;
  const { spanMm, dropMm } = trap;
  const isAside = (p: Vec3) => Math.hypot(p.x - outletMm.x, p.y - outletMm.y) > NO_LENGTH_MM;
  const towards = bends.find(isAside) ?? (endMm && isAside(endMm) ? endMm : null);
  return recallWeir(drain, [outletMm, towards], () => {
    const aim = towards ? subtract(towards, outletMm) : null;
    const reach = aim ? measurePlanLength(aim) : 1;
    const sideways = aim ? scale(vec(aim.x, aim.y, 0), Math.min(spanMm, reach) / reach) : vec(0, 0, 0);
    return add(outletMm, add(sideways, vec(0, 0, -dropMm)));
  });
}

/** How long legs are together, mm [C]. */
export const sumLengthMm = (legs: readonly Pick<Leg, "lengthMm">[]): number =>
  legs.reduce((sum, { lengthMm }) => sum + lengthMm, 0);

/** A leg between two inverts with what is known of its pipe; lagged, mm ≥ 0, where any of it lies under the floor. */
export function buildLeg(
  from: Vec3,
  to: Vec3,
  of: Pick<Leg, "lineId" | "index" | "pipe" | "inflowLps" | "surgeLps">,
  insulationMm = 0,
): Leg {
  const along = subtract(to, from);
  const planLengthMm = dropNoLength(measurePlanLength(along));
  return {
    from,
    to,
    kind: -along.z > planLengthMm ? "drop" : "run",
    lengthMm: dropNoLength(measureLength(along)),
    planLengthMm,
    outsideMm: of.pipe.outerMm + (Math.min(from.z, to.z) < 0 ? 2 * insulationMm : 0),
    ...of,
  };
}

// Two points in one place make a leg of no length, not one so short that a slope over it is noise.
const dropNoLength = (lengthMm: number): number => (lengthMm > NO_LENGTH_MM ? lengthMm : 0);
