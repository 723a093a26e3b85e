import fc from "fast-check";
import { attitudes, networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findLineTrap, findTrap, listPipeChanges, toBeginning } from "../design/lineItems";
import { findNode } from "../design/nodes";
import type { Drain, Pipe } from "../design/plumbing";
import { placeDrainEnd } from "../gear/gearPorts";
import { measureSegmentArea } from "../geometry/circularSegment";
import { add, dot, interpolate, measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { SAME_HEIGHT_MM } from "../quantity/tolerance";
import { computeDrainFlow } from "./drainFlow";
import { buildDrainPath, buildLeg, type DrainPath, findPipeOf, type Leg, listLineTraps } from "./drainPath";
import { computeFallBudget, computeFallInHandMm } from "./fallBudget";
import { computeFillRatio, computeManningFlow, FILL_AT_MOST_FLOW } from "./manning";
import { buildNetwork, listFixturesOf, releaseOf, sumSurgeOf } from "./network";
import { computePonds, measureBoreVolumeL } from "./ponding";

// What the drains of a rig come to, worked out a second time in the plainest way there is.

const listPaths = (design: Design): DrainPath[] => {
  const network = buildNetwork(design);
  return [...network.drains.values()].map((drain) => buildDrainPath(design, drain, network));
};

const drainsOf = ({ lines }: Design) => lines.filter((line): line is Drain => line.kind === "drain");

/** Every drain the water goes through, with the bends of it from where it came in. */
function walk(design: Design, drain: Drain): { readonly line: Drain; readonly first: number }[] {
  const way = [{ line: drain, first: 0 }];
  for (let last = drain; last.to.kind === "junction"; ) {
    const { lineId, node } = last.to;
    last = drainsOf(design).find(({ id }) => id === lineId)!;
    way.push({ line: last, first: findNode(last, node) });
  }
  return way;
}

test("any network: every point of a path is the bend it says it is, in the order the water meets them", () => {
  fc.assert(
    fc.property(networks, (design) => {
      for (const path of listPaths(design)) {
        const way = walk(design, path.drain);
        const bends = way.flatMap(({ line, first }) =>
          line.bendsMm.slice(first).map((at, i) => ({ line, at, i: first + i })),
        );
        expect(path.chain.map(({ id }) => id)).toEqual(way.map(({ line }) => line.id));
        expect(path.nodeRefs).toEqual([
          { lineId: path.drain.id, bend: -1 },
          ...bends.map(({ line, i }) => ({ lineId: line.id, bend: i })),
          { lineId: way.at(-1)!.line.id, bend: -1 },
        ]);
        expect(path.nodesMm.slice(1, -1)).toEqual(bends.map(({ at }) => at));
        const own = path.drain.bendsMm.length + 1;
        expect(path.ownLegs.map(({ lineId }) => lineId)).toEqual(Array(own).fill(path.drain.id));
        expect(path.legs.slice(0, own)).toEqual(path.ownLegs);
        for (const [i, leg] of path.legs.entries()) {
          expect(leg.from).toBe(path.nodesMm[i]);
          expect(leg.to).toBe(path.nodesMm[i + 1]);
          // a leg ends at the bend of its own number
          const ends = path.nodeRefs[i + 1]!;
          if (ends.bend >= 0 && ends.lineId === leg.lineId) expect(leg.index).toBe(ends.bend);
          const line = drainsOf(design).find(({ id }) => id === leg.lineId)!;
          expect(leg.pipe).toEqual(pipeOf(line, leg.index));
        }
      }
    }),
    { numRuns: 60 },
  );
});

// From its beginning on, changed at each change of pipe it has gone past.
function pipeOf(line: Drain, index: number): Pipe {
  let { pipe } = line;
  for (let bend = 0; bend < index; bend++) pipe = listPipeChanges(line).find((one) => one.bend === bend)?.pipe ?? pipe;
  return pipe;
}

test("the pipe of a leg is the last it has changed to, with several changes in any order", () => {
  const kranich = readDemo("kranich");
  const [drain] = drainsOf(kranich);
  const pipe = (outerMm: number): Pipe => ({ outerMm, innerMm: outerMm - 4, manningN: 0.009 });
  const bendsMm = [0, 1, 2, 3].map((i) => ({ x: 100 * i, y: 0, z: -10 * i, id: `b${i}` }));
  const change = (node: string, outerMm: number) =>
    ({ kind: "pipeChange", node, joint: "reducer", pipe: pipe(outerMm) }) as const;
  const changed: Drain = { ...drain!, bendsMm, items: [change("b3", 90), change("b0", 50)] };
  expect([0, 1, 2, 3, 4].map((leg) => findPipeOf(changed, leg).outerMm)).toEqual([
    changed.pipe.outerMm,
    50,
    50,
    50,
    90,
  ]);
});

test("any network: where water comes into a drain is told from that drain's own beginning", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const paths = new Map(listPaths(design).map((path) => [path.drain.id, path]));
      for (const path of paths.values()) {
        const way = walk(design, path.drain);
        const along = way.map(({ line, first }, i) => {
          if (i === 0) return 0;
          // that drain's own course up to the bend, from the trap's outlet on
          const own = paths.get(line.id)!;
          const nodes = own.nodesMm.slice(0, first + 2);
          // the trap of a drain whose first bends are straight under it may be aimed at what comes after
          return nodes.slice(1).reduce((sum, node, k) => sum + measureLength(subtract(node, nodes[k]!)), 0);
        });
        path.enteredAtMm.forEach((mm, i) => {
          expect(mm).toBeCloseTo(along[i]!, 6);
        });
      }
    }),
    { numRuns: 60 },
  );
});

test("any network: traps in the line are those the water goes through, each at its own bend", () => {
  fc.assert(
    fc.property(networks, (design) => {
      for (const path of listPaths(design)) {
        const met = walk(design, path.drain).flatMap(({ line, first }) => {
          const trap = findLineTrap(line);
          return trap && trap.bend >= first ? [{ line, trap }] : [];
        });
        const told = listLineTraps(path);
        expect(told.map(({ lineId }) => lineId)).toEqual(met.map(({ line }) => line.id));
        told.forEach(({ node, sealMm }, i) => {
          const { line, trap } = met[i]!;
          expect(path.nodesMm[node]).toEqual(line.bendsMm[trap.bend]);
          expect(sealMm).toBe(trap.sealMm);
        });
      }
    }),
    { numRuns: 60 },
  );
});

test("any network: what runs in a leg is what all fixtures send whose way leads through it", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const paths = listPaths(design);
      const keyOf = ({ lineId, index }: Leg) => `${lineId} ${index}`;
      const through = (leg: Leg) => paths.filter(({ legs }) => legs.some((one) => keyOf(one) === keyOf(leg)));
      for (const leg of paths.flatMap(({ ownLegs }) => ownLegs)) {
        const sent = through(leg).map(({ drain, fixture }) => ({
          alone: fixture.runsAlone,
          tap: fixture.inflowLps,
          bowl: releaseOf(drain, fixture),
        }));
        const together = sent.filter(({ alone }) => !alone);
        const single = sent.filter(({ alone }) => alone);
        const taps = together.reduce((sum, { tap }) => sum + tap, 0);
        expect(leg.inflowLps).toBeCloseTo(Math.max(taps, ...single.map(({ tap }) => tap)), 9);
        const surges = [...together.map(({ tap, bowl }) => taps - tap + bowl), ...single.map(({ bowl }) => bowl)];
        expect(leg.surgeLps).toBeCloseTo(Math.max(...surges), 9);
        expect(sumSurgeOf(through(leg))).toBeCloseTo(leg.surgeLps, 9);
      }
    }),
    { numRuns: 60 },
  );
});

test("any network: each tank has the drains whose way ends in it, and a drain that ends elsewhere is nobody's", () => {
  fc.assert(
    fc.property(networks, fc.nat(), (design, nth) => {
      // one of them let out on the ground
      const out = drainsOf(design)[nth % drainsOf(design).length]!;
      const lines = design.lines.map((line) =>
        line === out && out.to.kind === "junction"
          ? { ...out, to: { kind: "ground" as const, atMm: vec(500, 0, -350) } }
          : line,
      );
      const changed = { ...design, lines };
      const network = buildNetwork(changed);
      for (const tank of changed.tanks) {
        const drains = drainsOf(changed).filter((drain) => {
          const { to } = walk(changed, drain).at(-1)!.line;
          return to.kind === "inlet" && to.tankId === tank.id;
        });
        expect((network.drainsByTank.get(tank.id) ?? []).map(({ id }) => id)).toEqual(drains.map(({ id }) => id));
        expect(listFixturesOf(network, tank.id).map(({ id }) => id)).toEqual(drains.map((drain) => drain.fromFixture));
      }
      for (const path of listPaths(changed)) {
        const { to } = walk(changed, path.drain).at(-1)!.line;
        expect(path.tank?.id ?? null).toBe(to.kind === "inlet" ? to.tankId : null);
        if (to.kind === "ground") expect(path.nodesMm.at(-1)).toEqual(to.atMm);
      }
    }),
    { numRuns: 60 },
  );
});

test("a drain that ends in a skin fitting or a sump ends where that takes it, also when the fitting is moved", () => {
  for (const name of ["otter", "otter-heads", "setzkasten"] as const) {
    const rig = readDemo(name);
    const moved = { ...rig, gear: rig.gear.map((piece) => ({ ...piece, atMm: add(piece.atMm, vec(30, -20, 10)) })) };
    for (const design of [rig, moved]) {
      for (const path of listPaths(design)) {
        const { to } = path.chain.at(-1)!;
        if (to.kind !== "overboard" && to.kind !== "sump") continue;
        const fitting = design.gear.find(({ id }) => id === to.gearId)!;
        expect(path.nodesMm.at(-1)).toEqual(placeDrainEnd(fitting));
        expect(path.tank).toBeNull();
      }
    }
  }
});

/** A path of legs of a pipe each, so that all of a drain is given. */
function createPath(nodesMm: readonly Vec3[], pipes: readonly Partial<Leg>[] = []): DrainPath {
  const pipe = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
  const legs = nodesMm.slice(1).map((to, index) => ({
    ...buildLeg(nodesMm[index]!, to, { lineId: "drain", index, pipe, inflowLps: 0.1, surgeLps: 0.3 }),
    ...pipes[index],
  }));
  return { nodesMm, legs, ownLegs: legs, pipe, outletMm: nodesMm[0] } as unknown as DrainPath;
}

test("any drain: the run with the least to spare is the one that has the least to spare", () => {
  const run = fc.record({
    dx: fc.integer({ min: -800, max: 800 }),
    dz: fc.integer({ min: -300, max: 60 }),
    innerMm: fc.constantFrom(19, 28.4, 36.4, 46.4),
    inflowLps: fc.double({ min: 0.01, max: 0.6, noNaN: true }),
    surge: fc.double({ min: 1, max: 6, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(run, { minLength: 1, maxLength: 6 }), fc.constantFrom(0.5, 0.7), (runs, fill) => {
      let at = vec(0, 0, 600);
      const nodes = [at, ...runs.map(({ dx, dz }) => (at = vec(at.x + dx, at.y, at.z + dz)))];
      const path = createPath(
        nodes,
        runs.map(({ innerMm, inflowLps, surge }) => ({
          pipe: { innerMm, outerMm: innerMm + 4, manningN: 0.009 },
          inflowLps,
          surgeLps: inflowLps * surge,
        })),
      );
      const lying = path.legs.filter((leg) => leg.planLengthMm > 0 && leg.from.z - leg.to.z <= leg.planLengthMm);
      const flow = computeDrainFlow(path, fill);
      if (lying.length === 0) return expect(flow.legIndex).toBeNull();
      const carried = lying.map((leg) => {
        const slope = (leg.from.z - leg.to.z) / leg.planLengthMm;
        const capacityLps = computeManningFlow(leg.pipe.innerMm / 1000, fill, slope, 0.009).flowM3PerS * 1000;
        return { leg, slope, capacityLps };
      });
      const rising = carried.filter(({ slope }) => slope <= 0);
      const worst =
        rising.length > 0
          ? Math.min(...rising.map(({ slope }) => slope))
          : Math.min(...carried.map(({ leg, capacityLps }) => capacityLps / leg.inflowLps));
      const named = carried.find(({ leg }) => leg.index === flow.legIndex)!;
      expect(rising.length > 0 ? named.slope : named.capacityLps / named.leg.inflowLps).toBeCloseTo(worst, 9);
      expect(flow.capacityLps).toBeCloseTo(named.capacityLps, 9);
      expect(flow.inflowLps).toBe(named.leg.inflowLps);
      const falling = carried.filter(({ slope }) => slope > 0);
      if (falling.length === 0) return expect(flow.surge).toBeNull();
      const tightest = Math.min(...falling.map(({ leg, capacityLps }) => capacityLps / leg.surgeLps));
      expect(flow.surge!.capacityLps / flow.surge!.surgeLps).toBeCloseTo(tightest, 9);
      if (flow.fillRatio === null) expect(flow.velocityMps).toBe(0);
    }),
  );
});

test("a run that cannot carry what comes has no depth and no speed; one that can carries just that at its depth", () => {
  const flat = createPath([vec(0, 0, 10), vec(1000, 0, 0)], [{ inflowLps: 5 }]);
  expect(computeDrainFlow(flat, 0.5)).toMatchObject({ fillRatio: null, velocityMps: 0 });
  const steep = computeDrainFlow(createPath([vec(0, 0, 40), vec(1000, 0, 0)]), 0.5);
  const area = measureSegmentArea(36.4, steep.fillRatio! * 36.4) / 1e6;
  expect(steep.velocityMps * area * 1000).toBeCloseTo(0.1, 6);
  expect(computeFillRatio(0.0364, 0, 0.02, 0.009)).toBe(0);
  expect(computeFillRatio(0.0364, -1, 0.02, 0.009)).toBe(0);
  const most = computeManningFlow(0.0364, FILL_AT_MOST_FLOW, 0.02, 0.009).flowM3PerS;
  expect(computeFillRatio(0.0364, most, 0.02, 0.009)).toBeCloseTo(FILL_AT_MOST_FLOW, 6);
});

test("a drain of drops alone has all its drops in hand, and says so both ways", () => {
  const path = createPath([vec(0, 0, 500), vec(50, 0, 300), vec(60, 0, 0)]);
  const up = computeUp(LEVEL);
  expect(computeFallInHandMm(path, up, [20, 20])).toBeCloseTo(500, 9);
  expect(computeFallBudget(path, up, () => 20)).toMatchObject({ neededMm: 0, weakestLeg: -1 });
  expect(computeFallBudget(path, up, () => 20).inHandMm).toBeCloseTo(500, 9);
  expect(computeFallBudget(path, up, () => 20).legs.map(({ neededMm }) => neededMm)).toEqual([0, 0]);
  // just at 45° it still lies
  const edge = createPath([vec(0, 0, 200), vec(200, 0, 0)]);
  expect(edge.legs[0]!.kind).toBe("run");
  expect(computeFallBudget(edge, up, () => 20).neededMm).toBeGreaterThan(0);
});

test("any course: each sag is as wide, as deep and as full as its surface makes it", () => {
  const step = fc.record({ dx: fc.integer({ min: 0, max: 500 }), dz: fc.integer({ min: -120, max: 120 }) });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 5 }), attitudes, (steps, attitude) => {
      let at = vec(0, 0, 0);
      const nodes = [at, ...steps.map(({ dx, dz }) => (at = vec(at.x + dx, at.y, at.z + dz)))];
      const path = createPath(nodes);
      const up = computeUp(attitude);
      const ponds = computePonds(path, up);
      for (const [i, leg] of path.legs.entries()) {
        const surface = Math.max(...nodes.slice(i + 1).map((node) => dot(up, node)));
        const [h0, h1] = [dot(up, leg.from), dot(up, leg.to)];
        const deepest = surface - Math.min(h0, h1);
        const pond = ponds.find(({ legIndex }) => legIndex === i);
        if (!pond) {
          expect(leg.lengthMm === 0 || deepest <= SAME_HEIGHT_MM).toBe(true);
          continue;
        }
        expect(deepest).toBeGreaterThan(SAME_HEIGHT_MM - 1e-9);
        expect(pond.surfaceMm).toBeCloseTo(surface, 9);
        expect(pond.deepestMm).toBeCloseTo(deepest, 9);
        expect(pond.fillsBore).toBe(deepest >= 36.4);
        // wet inside the stretch that is told, dry outside
        expect(pond.fromShare).toBeGreaterThanOrEqual(0);
        expect(pond.toShare).toBeLessThanOrEqual(1);
        for (let k = 0; k <= 40; k++) {
          const share = k / 40;
          const depth = surface - dot(up, interpolate(leg.from, leg.to, share));
          if (share > pond.fromShare + 1e-6 && share < pond.toShare - 1e-6) expect(depth).toBeGreaterThan(-1e-6);
          if (share < pond.fromShare - 1e-6 || share > pond.toShare + 1e-6) expect(depth).toBeLessThan(1e-6);
        }
        // sliced across the pipe, each slice as deep as its middle; an upright one by its length under water
        const cosine = Math.sqrt(Math.max(0, 1 - ((h1 - h0) / leg.lengthMm) ** 2));
        const slices = 2000;
        let litres = 0;
        for (let k = 0; k < slices; k++) {
          const depth = surface - (h0 + ((h1 - h0) * (k + 0.5)) / slices);
          const area =
            cosine < 1e-9 ? (depth > 0 ? measureSegmentArea(36.4, 36.4) : 0) : measureSegmentArea(36.4, depth / cosine);
          litres += (area * leg.lengthMm) / slices / 1e6;
        }
        expect(Math.abs(pond.litres - litres)).toBeLessThan(0.002 + litres * 0.002);
      }
    }),
    { numRuns: 80 },
  );
});

test("an upright pipe under water holds its bore as far as it is under", () => {
  const area = measureSegmentArea(36.4, 36.4) / 1e6;
  const up = vec(0, 0, 1);
  const [whole] = computePonds(createPath([vec(0, 0, 0), vec(0, 0, 300)]), up);
  expect(whole!.litres).toBeCloseTo(area * 300, 9);
  // down and half way up again
  const [down, rises] = computePonds(createPath([vec(0, 0, 400), vec(0, 0, 0), vec(100, 0, 150)]), up);
  expect(down!.litres).toBeCloseTo(area * 150, 9);
  expect(down).toMatchObject({ fromShare: 0.625, toShare: 1 });
  expect(rises).toMatchObject({ fromShare: 0, toShare: 1 });
  expect(measureBoreVolumeL(createPath([vec(0, 0, 0), vec(0, 0, 300), vec(100, 0, 300)]))).toBeCloseTo(area * 400, 9);
});

test("the weir of a trap is set toward the first point that is not straight under the outlet, no further than it", () => {
  const kranich = readDemo("kranich");
  const [drain] = drainsOf(kranich);
  const fixture = kranich.fixtures.find(({ id }) => id === drain!.fromFixture)!;
  const { x, y, z } = fixture.outletMm;
  const weirOf = (bends: readonly Vec3[], spanMm = 90) => {
    const bendsMm = bends.map((at, i) => ({ ...at, id: `n${i + 1}` }));
    const line: Drain = { ...drain!, items: toBeginning({ ...findTrap(drain!)!, spanMm, dropMm: 70 }), bendsMm };
    const lines = kranich.lines.map((one) => (one.id === line.id ? line : one));
    return buildDrainPath({ ...kranich, lines }, line).nodesMm[0];
  };
  // two straight under it, then back and to the left at three to four
  const below = [vec(x, y, z - 200), vec(x, y, z - 300)];
  expect(weirOf([...below, vec(x - 300, y + 400, z - 320)])).toEqual(vec(x - 54, y + 72, z - 70));
  expect(weirOf([vec(x, y + 500, z - 90)])).toEqual(vec(x, y + 90, z - 70));
  expect(weirOf([vec(x + 500, y, z - 90)])).toEqual(vec(x + 90, y, z - 70));
  // nearer than the trap is wide, it reaches just there
  expect(weirOf([vec(x + 40, y, z - 90), vec(x + 900, y, z - 110)])).toEqual(vec(x + 40, y, z - 70));
});
