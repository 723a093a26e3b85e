import fc from "fast-check";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { buildSharedAir, mustApply } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import type { Vent } from "../design/plumbing";
import {
  buildAddVent,
  buildJoinVent,
  buildOpenVent,
  buildRemoveVent,
  buildVentWay,
  listVentsToJoin,
  VENT_WAYS,
} from "../edits/ventEdits";
import { evaluate } from "../evaluate/evaluate";
import { computeAirPressurePa, computeAirwayPressurePa } from "./airPressure";
import { computeDumping } from "./dumping";
import { findVentDip } from "./ventDips";
import { buildVentPath, computePortK, followVent, listVents, toFreePipe } from "./ventPath";

const joined = buildSharedAir();
const second = listVents(joined, "second")[0]!;
const codes = (design: Parameters<typeof evaluate>[0]) => evaluate(design).findings.map(({ code }) => code);

test("a breather that joins another runs from its own port to the other's open end", () => {
  const path = buildVentPath(joined, second);
  const main = joined.lines.find(({ id }) => id === "grey-vent") as Vent;
  expect(path.chain.map(({ id }) => id)).toEqual([second.id, "grey-vent"]);
  expect(path.pointsMm.at(-1)).toEqual(main.pointsMm.at(-1));
  const whole = path.pointsMm.slice(1).reduce((sum, p, i) => {
    const q = path.pointsMm[i]!;
    return sum + Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z);
  }, 0);
  const stretches = path.stretches.reduce((sum, { pipe }) => sum + pipe.lengthM * 1000, 0);
  // each piece of pipe belongs to one stretch and to one only
  expect(stretches).toBeCloseTo(whole, 6);
});

test("losses: in 0.5, out 1, mesh 0.7, and three quarters a right angle; about 3 for one with a mesh and a bend", () => {
  // common practice, no source: the handbook's "about 3 with mesh and bends"
  const otter = readDemo("otter");
  const vent = otter.lines.find((line): line is Vent => line.kind === "vent")!;
  const { pipe } = buildVentPath(otter, vent).stretches[0]!;
  expect(pipe.lossK).toBeGreaterThan(2.2);
  expect(pipe.lossK).toBeLessThan(3.8);
  const bare = { ...otter, lines: [{ ...vent, to: { kind: "openAir" as const, hasMesh: false } }] };
  expect(pipe.lossK - buildVentPath(bare, bare.lines[0] as Vent).stretches[0]!.pipe.lossK).toBeCloseTo(0.7, 9);
});

// Worked by hand: 1.5 · ((19/12.7)⁴ − 1) = 6.01.
test("a port narrower than its breather adds what its air speeds up to, and is told from four fifths of the bore down", () => {
  expect(computePortK(19, 12.7)).toBeCloseTo(6.01, 2);
  expect(computePortK(19, 19)).toBe(0);
  expect(computePortK(19, 30)).toBe(0);
  const base = readDemo("kranich");
  const vent = base.lines.find((line): line is Vent => line.kind === "vent")!;
  const ported = (boreMm: number) => ({
    ...base,
    tanks: base.tanks.map((tank) => ({
      ...tank,
      ports: tank.ports.map((port) => (port.id === vent.fromPort ? { ...port, boreMm } : port)),
    })),
  });
  const airOf = (boreMm: number) => evaluate(ported(boreMm)).tanks[0]!.air!;
  expect(airOf(10).suctionPa).toBeGreaterThan(airOf(15).suctionPa);
  expect(airOf(15).suctionPa).toBeGreaterThan(airOf(19).suctionPa);
  expect(airOf(10).fillPa).toBeGreaterThan(airOf(19).fillPa);
  // a wider breather has a port of its own bore: what would do does not hang on the narrow one
  expect(airOf(10).leastBoreMm).toBeCloseTo(airOf(19).leastBoreMm, 9);
  const [stretch] = buildVentPath(ported(10), vent).stretches;
  expect(toFreePipe(stretch!).lossK).toBeCloseTo(buildVentPath(base, vent).stretches[0]!.pipe.lossK, 9);
  expect(codes(ported(0.8 * 19))).not.toContain("ventPortNarrow");
  expect(codes(ported(0.79 * 19))).toContain("ventPortNarrow");
});

const bore = fc.integer({ min: 8, max: 60 });

test("cut anywhere, an airway takes as much as in one piece, and sucks no less for being joined to a narrower one", () => {
  fc.assert(
    fc.property(bore, bore, fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 99 }), (d, other, lps, cut) => {
      const whole = { boreM: d / 1000, lengthM: 3, lossK: 2 };
      const share = cut / 100;
      const pieces = [
        { ...whole, lengthM: 3 * share, lossK: 0.5 },
        { ...whole, lengthM: 3 * (1 - share), lossK: 1.5 },
      ];
      const flow = lps / 20_000;
      expect(computeAirwayPressurePa(flow, pieces)).toBeCloseTo(computeAirPressurePa(flow, whole), 6);
      const longer = [whole, { ...whole, boreM: other / 1000 }];
      expect(computeDumping(0.2, 0.038, longer).suctionPa).toBeGreaterThanOrEqual(
        computeDumping(0.2, 0.038, [whole]).suctionPa - 1e-9,
      );
    }),
  );
});

test("dumping one tank puts on the other what the shared stretch takes, and nothing once they part", () => {
  const result = evaluate(joined).tanks.find(({ tankId }) => tankId === "grey")!;
  expect(result.sharedAir).toMatchObject({ fromTankId: "second" });
  const other = evaluate(joined).tanks.find(({ tankId }) => tankId === "second")!;
  // the stretch they share is part of the way of the air, so it takes less than all of it
  expect(result.sharedAir!.suctionPa).toBeGreaterThan(0);
  expect(result.sharedAir!.suctionPa).toBeLessThan(other.air!.suctionPa);
  const apart = mustApply(joined, buildOpenVent(joined, second.id));
  for (const { sharedAir } of evaluate(apart).tanks) expect(sharedAir).toBeNull();
});

test("never fresh with waste: a must, and the remedy parts them", () => {
  const mixed = buildSharedAir("fresh");
  expect(codes(mixed)).toContain("ventSharesFresh");
  const vent = listVents(mixed, "second")[0]!;
  expect(codes(mustApply(mixed, buildOpenVent(mixed, vent.id)))).not.toContain("ventSharesFresh");
  expect(codes(joined)).not.toContain("ventSharesFresh");
});

test("a tee below its tanks is said, one above both is not", () => {
  expect(codes(joined)).not.toContain("ventTeeLow");
  const { to } = second;
  if (to.kind !== "tee") throw new Error("it has joined");
  const path = ["lines", "grey-vent", "pointsMm", to.node, "z"];
  const low = mustApply(joined, { code: "change", at: { kind: "rig" }, ops: [{ op: "set", path, value: -300 }] });
  expect(codes(low)).toContain("ventTeeLow");
});

test.each(DEMO_NAMES)(
  "%s: led up the wall, through the roof or under the floor, a breather holds no water level",
  (name) => {
    const design = readDemo(name);
    const vent = listVents(design, design.tanks[0]!.id)[0];
    for (const way of vent ? VENT_WAYS : []) {
      const after = mustApply(design, buildVentWay(design, vent!.id, way));
      const path = buildVentPath(after, listVents(after, design.tanks[0]!.id)[0]!);
      expect(findVentDip(path, [LEVEL])).toBeNull();
      const endZ = path.pointsMm.at(-1)!.z;
      if (way === "roof") expect(endZ).toBeGreaterThan(1900);
      if (way === "underFloor") expect(endZ).toBeLessThan(0);
    }
  },
);

test.each(DEMO_NAMES)(
  "%s: a second breather joins the first, parts and goes, and leaves things as they were",
  (name) => {
    const design = readDemo(name);
    const tank = design.tanks[0]!;
    const first = listVents(design, tank.id)[0];
    const two = mustApply(design, buildAddVent(design, tank));
    const added = listVents(two, tank.id).at(-1)!;
    if (first) {
      const teed = mustApply(two, buildJoinVent(two, added.id, first.id));
      const vents = listVents(teed, tank.id);
      expect(followVent(teed, vents.find(({ id }) => id === added.id)!)).toHaveLength(2);
      // the other way round would be a circle, and is not on offer
      expect(listVentsToJoin(teed, vents.find(({ id }) => id === first.id)!)).toEqual([]);
      const parted = mustApply(teed, buildRemoveVent(teed, first.id));
      expect(listVents(parted, tank.id).map(({ to }) => to.kind)).toEqual(["openAir"]);
    }
    expect(mustApply(two, buildRemoveVent(two, added.id))).toEqual(design);
  },
);
