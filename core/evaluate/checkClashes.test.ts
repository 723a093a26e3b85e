import fc from "fast-check";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Drain, Line, Tank, Vent } from "../design/plumbing";
import { listCollisions } from "../fit/collisions";
import { isHit } from "../fit/hits";
import { toTankBlock } from "../fit/obstacleGaps";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

// What is drawn where something else is cannot be built: tanks, pipes and gear are held against each other.

const ALL = [...DEMO_NAMES, FURNISHED, ...LOOP_NAMES, HEADS_NAME, ...HEADS_NAMES] as const;
const CODES = ["tanksClash", "tankInFloor", "legInPart", "pipesClash", "gearClashes", "gearShutIn"] as const;

const van = readDemo("kranich-loop");
const bus = readDemo(FURNISHED);

const withTank = (design: Design, id: string, change: Partial<Tank>): Design => ({
  ...design,
  tanks: design.tanks.map((tank) => (tank.id === id ? { ...tank, ...change } : tank)),
});
const withLine = <L extends Line>(design: Design, id: string, change: Partial<L>): Design => ({
  ...design,
  lines: design.lines.map((line) => (line.id === id ? ({ ...line, ...change } as Line) : line)),
});
const withGear = (design: Design, id: string, change: Partial<Design["gear"][number]>): Design => ({
  ...design,
  gear: design.gear.map((piece) => (piece.id === id ? { ...piece, ...change } : piece)),
});
const findTank = (design: Design, id: string) => design.tanks.find((tank) => tank.id === id)!;
const findPiece = (design: Design, id: string) => design.gear.find((piece) => piece.id === id)!;

/** Every clash that some press is to settle: one does, and brings nothing that must be settled. */
function settle(design: Design, code: (typeof CODES)[number]): void {
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find((one) => one.code === code)!;
  const [remedy] = proposeRemedies(design, evaluation, finding);
  const outcome = applyEdit(design, remedy!.edit);
  expect(outcome.ok && evaluate(outcome.design).findings.some(({ id }) => id === finding.id)).toBe(false);
}

test("nothing of the samples stands in anything else", () => {
  for (const name of ALL)
    for (const code of CODES) expect({ name, told: findAll(readDemo(name), code) }).toMatchObject({ told: [] });
});

test("a tank in another is told once, by how deep, to the hair; the wall and the lagging count", () => {
  const [grey, loop] = [findTank(van, "grey"), findTank(van, "loop")];
  const room = toTankBlock(loop);
  const ownMm = grey.atMm.x - toTankBlock(grey).min.x;
  // the grey tank's outside begins so far within the loop tank's
  const into = (deepMm: number, insulationMm = 0) =>
    withTank(van, "grey", {
      atMm: { ...loop.atMm, x: room.max.x - deepMm + ownMm },
      insulationMm,
    });
  expect(isSaid(into(2.9), "tanksClash")).toBe(false);
  const told = findAll(into(3.1), "tanksClash");
  expect(told).toHaveLength(1);
  expect(told[0]).toMatchObject({ severity: "must", otherName: expect.any(String) });
  expect(told[0]!.deepMm).toBeCloseTo(3.1, 6);
  expect(findAll(into(-5, 20), "tanksClash")[0]!.deepMm).toBeCloseTo(15, 6);
  const deep = into(60);
  expect(listCollisions(deep, evaluate(deep).findings).map(({ id }) => id)).toContain(
    findAll(deep, "tanksClash")[0]!.id,
  );
  settle(into(60), "tanksClash");
});

test("a tank hangs under the floor or stands on it, and not in it", () => {
  const grey = findTank(van, "grey");
  const { min, max } = toTankBlock(grey);
  const floorMm = van.rig.floorLayers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  const lift = (byMm: number, aheadMm = 0) =>
    withTank(van, "grey", { atMm: { ...grey.atMm, x: grey.atMm.x + aheadMm, z: grey.atMm.z + byMm } });
  const under = -floorMm - max.z;
  expect(isSaid(lift(under + 2.9), "tankInFloor")).toBe(false);
  expect(findAll(lift(under + 3.1), "tankInFloor")).toMatchObject([{ severity: "should" }]);
  expect(findAll(lift(under + 3.1), "tankInFloor")[0]!.deepMm).toBeCloseTo(3.1, 6);
  expect(isSaid(lift(-min.z - 3.1), "tankInFloor")).toBe(true);
  expect(isSaid(lift(-min.z - 2.9), "tankInFloor")).toBe(false);
  // beside the floor, on a bumper or a drawbar, there is none
  expect(isSaid(lift(-min.z - 60, van.rig.lengthMm + 20 - min.x), "tankInFloor")).toBe(false);
  settle(lift(under + 30), "tankInFloor");
});

test("a drain through a tank it does not end in is told, one beside it is not; hoses too are stopped by a tank", () => {
  const shower = van.lines.find((line) => line.id === "showertray-drain") as Drain;
  const block = toTankBlock(findTank(van, "grey"));
  const mid = (block.min.y + block.max.y) / 2;
  const at = (z: number) =>
    withLine<Drain>(van, shower.id, {
      bendsMm: [
        ...shower.bendsMm.slice(0, 1),
        { id: "in", x: block.min.x - 200, y: mid, z },
        { id: "out", x: block.max.x + 30, y: mid, z },
        { id: "up", x: block.max.x + 30, y: mid, z: 120 },
        ...shower.bendsMm.slice(1),
      ],
    });
  const half = shower.pipe.outerMm / 2;
  const lift = half - shower.pipe.innerMm / 2;
  expect(findAll(at((block.min.z + block.max.z) / 2), "legInPart")).toMatchObject([
    { severity: "must", otherId: "grey", isOwn: false, at: { kind: "leg", lineId: shower.id, index: 2 } },
  ]);
  expect(isSaid(at(block.max.z + lift - 2.9), "legInPart")).toBe(false);
  expect(isSaid(at(block.max.z + lift - 3.1), "legInPart")).toBe(true);
  settle(at(block.max.z - 30), "legInPart");
  const hose = van.lines.find((line) => line.kind === "hose")!;
  const through = [{ id: "a", x: (block.min.x + block.max.x) / 2, y: mid, z: (block.min.z + block.max.z) / 2 }];
  const led = { ...van, lines: van.lines.map((line) => (line === hose ? { ...hose, pointsMm: through } : line)) };
  expect(findAll(led as Design, "legInPart").map((one) => one.otherId)).toContain("grey");
});

test("a pipe through a piece of gear is told; a hose is led past it, and a drain may end in a sump", () => {
  const boat = readDemo("otter-heads");
  expect(boat.lines.some(({ to }) => to.kind === "sump")).toBe(true);
  const vent = van.lines.find((line) => line.id === "grey-vent") as Vent;
  const rise = vent.pointsMm[0]!;
  const { sizeMm } = findPiece(van, "coarse");
  const inWay = withGear(van, "coarse", { atMm: { x: rise.x - sizeMm.x / 2, y: rise.y - sizeMm.y / 2, z: 20 } });
  const told = findAll(inWay, "legInPart").filter(({ otherId }) => otherId === "coarse");
  expect(told).toMatchObject([{ severity: "must", isOwn: false, at: { kind: "leg", lineId: vent.id } }]);
  // a tap on the wall has no body; hoses alone stand in nobody's way
  const tap = withGear(van, "head", { atMm: { x: rise.x - 20, y: rise.y - 20, z: 20 } });
  expect(isSaid(tap, "legInPart")).toBe(false);
  const [a, b] = ["coarse", "fine"].map((id) => findPiece(van, id));
  const between = { x: (a!.atMm.x + b!.atMm.x) / 2, y: (a!.atMm.y + b!.atMm.y) / 2, z: 200 };
  expect(isSaid(withGear(van, "carbon", { atMm: between }), "legInPart")).toBe(false);
});

test("a breather may lie along its own tank, and not go down through it", () => {
  const vent = van.lines.find((line) => line.id === "grey-vent") as Vent;
  const block = toTankBlock(findTank(van, "grey"));
  const mid = { x: (block.min.x + block.max.x) / 2, y: (block.min.y + block.max.y) / 2 };
  const down = withLine<Vent>(van, vent.id, {
    pointsMm: [{ id: "low", ...mid, z: block.min.z - 200 }, ...vent.pointsMm],
  });
  expect(findAll(down, "legInPart")[0]).toMatchObject({ isOwn: true, otherId: "grey" });
  const along = withLine<Vent>(van, vent.id, {
    pointsMm: [{ id: "flat", x: block.max.x + 40, y: mid.y, z: block.max.z }, ...vent.pointsMm],
  });
  expect(findAll(along, "legInPart").filter(({ isOwn }) => isOwn)).toEqual([]);
});

test("two pipes in one place are told once, to the hair; where they are joined they may meet", () => {
  const [shower, washer] = ["outsideshower-drain", "washingmachine-drain"].map(
    (id) => bus.lines.find((line) => line.id === id) as Drain,
  );
  const drop = washer!.bendsMm[0]!;
  // the shower's pipe leads past the washer's drop, so far beside its middle
  const past = (besideMm: number) =>
    withLine<Drain>(bus, shower!.id, {
      bendsMm: [
        ...shower!.bendsMm.slice(0, 2),
        { id: "a", x: drop.x - 300, y: drop.y + besideMm, z: -120 },
        { id: "b", x: drop.x + 300, y: drop.y + besideMm, z: -120 },
        ...shower!.bendsMm.slice(2),
      ],
    });
  const touching = (shower!.pipe.outerMm + washer!.pipe.outerMm) / 2;
  expect(isSaid(past(touching - 2.9), "pipesClash")).toBe(false);
  const told = findAll(past(touching - 3.1), "pipesClash");
  expect(told).toHaveLength(1);
  expect(told[0]).toMatchObject({ severity: "must" });
  expect(told[0]!.deepMm).toBeCloseTo(3.1, 6);
  const marks = listCollisions(past(10), evaluate(past(10)).findings);
  expect(marks).toHaveLength(evaluate(past(10)).findings.filter(isHit).length);
  const [mark] = marks.filter(({ id }) => id.startsWith("pipesClash"));
  expect(Math.hypot(mark!.atMm.x - drop.x, mark!.atMm.y - drop.y - 10)).toBeLessThan(30);
  settle(past(20), "pipesClash");
});

test("a wye is a place to meet, and what runs into the other pipe before it is not", () => {
  const branch = bus.lines.find((line) => line.id === "kitchensink-drain") as Drain;
  const main = bus.lines.find((line) => line.id === "sink-drain") as Drain;
  const onto = main.bendsMm[3]!;
  const early = main.bendsMm[2]!;
  expect(isSaid(bus, "pipesClash")).toBe(false);
  const along = withLine<Drain>(bus, branch.id, {
    bendsMm: [...branch.bendsMm, { id: "x", x: early.x, y: early.y, z: early.z + 5 }],
  });
  expect(branch.to).toMatchObject({ kind: "junction", node: onto.id });
  expect(isSaid(along, "pipesClash")).toBe(true);
});

test("gear in gear, in a tank, in what is on the rig and too near to what is hot", () => {
  const fine = findPiece(van, "fine");
  const beside = (gapMm: number) =>
    withGear(van, "carbon", { atMm: { ...fine.atMm, y: fine.atMm.y + fine.sizeMm.y + gapMm, x: fine.atMm.x } });
  const ofCarbon = (design: Design) =>
    findAll(design, "gearClashes").filter((one) => [one.otherId, "id" in one.at ? one.at.id : ""].includes("carbon"));
  expect(ofCarbon(beside(-2.9)).some(({ otherId, at }) => [otherId, "id" in at && at.id].includes("fine"))).toBe(false);
  const told = ofCarbon(beside(-3.1)).filter(({ otherId, at }) => [otherId, "id" in at && at.id].includes("fine"));
  expect(told).toMatchObject([{ severity: "should" }]);
  expect(told[0]!.gapMm).toBeCloseTo(-3.1, 6);
  const tank = findTank(van, "grey");
  expect(findAll(withGear(van, "coarse", { atMm: tank.atMm }), "gearClashes")).toContainEqual(
    expect.objectContaining({ severity: "must", otherId: "grey", at: { kind: "gear", id: "coarse" } }),
  );
  const exhaust = van.obstacles.find(({ kind }) => kind === "exhaust")!;
  const pump = findPiece(van, "pump");
  const wanted = evaluate(withGear(van, "pump", { atMm: exhaust.atMm })).findings.find(
    (one) => one.code === "gearClashes" && one.otherId === exhaust.id,
  );
  expect(wanted).toMatchObject({ severity: "must", limit: null });
  const over = (gapMm: number) =>
    findAll(
      withGear(van, "pump", {
        atMm: { x: exhaust.atMm.x, y: exhaust.atMm.y, z: exhaust.atMm.z - pump.sizeMm.z - gapMm },
      }),
      "gearClashes",
    ).filter(({ otherId }) => otherId === exhaust.id);
  expect(over(79)).toMatchObject([{ severity: "should", limit: { value: exhaust.bare ? 150 : 80 } }]);
  expect(over(exhaust.bare ? 150 : 80)).toEqual([]);
  settle(withGear(van, "pump", { atMm: exhaust.atMm }), "gearClashes");
});

test("a pump may stand in the water it draws, in a tank or in a sump's box", () => {
  const inTank = withGear(van, "pump", { atMm: findTank(van, "fresh").atMm });
  expect(findAll(inTank, "gearClashes").filter(({ otherId }) => otherId === "fresh")).toEqual([]);
  // its hoses begin there, and those of others still run through it
  const hoses = van.lines.filter((line) => line.kind === "hose");
  const own = hoses.filter(({ from, to }) => [from, to].some((end) => end.kind === "gear" && end.gearId === "pump"));
  const told = findAll(inTank, "legInPart").filter(({ otherId }) => otherId === "fresh");
  expect(told.filter(({ at }) => own.some(({ id }) => "lineId" in at && at.lineId === id))).toEqual([]);
  const boat = readDemo("otter-heads");
  const sunk = withGear(boat, "sump-pump", { atMm: findPiece(boat, "sump").atMm });
  const both = ["sump", "sump-pump"];
  expect(
    findAll(sunk, "gearClashes").filter(
      (one) => both.includes(one.otherId) && "id" in one.at && both.includes(one.at.id),
    ),
  ).toEqual([]);
});

test("what sits in a skin or on a fixture stands in nobody's room", () => {
  const tap = findPiece(van, "head");
  expect(isSaid(withGear(van, "head", { atMm: findPiece(van, "pump").atMm }), "gearClashes")).toBe(false);
  expect(tap.spec.kind).toBe("tap");
});

test("a housing is opened downward: the floor or a piece under it shuts it in, and it is raised by one press", () => {
  const coarse = findPiece(van, "coarse");
  const at = (z: number) => withGear(van, "coarse", { atMm: { ...coarse.atMm, z } });
  expect(isSaid(at(coarse.openBelowMm), "gearShutIn")).toBe(false);
  expect(findAll(at(coarse.openBelowMm - 1), "gearShutIn")).toMatchObject([
    { severity: "should", wantedMm: coarse.openBelowMm, roomMm: coarse.openBelowMm - 1, otherName: null },
  ]);
  const pump = findPiece(van, "pump");
  const under = withGear(at(200), "pump", { atMm: { ...coarse.atMm, z: 200 - pump.sizeMm.z - 20 } });
  expect(findAll(under, "gearShutIn")).toMatchObject([{ roomMm: 20, otherName: pump.name }]);
  // of several things under it the nearest is told, of two as near the first by name; a hair's overlap is let pass
  const tee = findPiece(van, "tee");
  const lower = withGear(under, "tee", { atMm: { ...coarse.atMm, z: 200 - tee.sizeMm.z - 30 } });
  expect(findAll(lower, "gearShutIn")).toMatchObject([{ roomMm: 20, otherName: pump.name }]);
  const level = withGear(under, "tee", { atMm: { ...coarse.atMm, z: 200 - tee.sizeMm.z - 20 } });
  const [first] = [pump.name, tee.name].sort();
  expect(findAll(level, "gearShutIn")).toMatchObject([{ roomMm: 20, otherName: first }]);
  const aside = withGear(at(200), "pump", {
    atMm: { x: coarse.atMm.x + coarse.sizeMm.x - 2.9, y: coarse.atMm.y, z: 200 - pump.sizeMm.z - 20 },
  });
  expect(isSaid(aside, "gearShutIn")).toBe(false);
  settle(at(10), "gearShutIn");
});

test("what was found of gear is found anew when something on the rig is moved", () => {
  const [pump] = [findPiece(van, "pump")];
  expect(isSaid(van, "gearClashes")).toBe(false);
  const [first, ...others] = van.obstacles.filter(({ kind }) => kind === "crossMember");
  const moved = { ...van, obstacles: [{ ...first!, atMm: pump.atMm }, ...others] };
  expect(isSaid(moved, "gearClashes")).toBe(true);
  expect(isSaid(van, "gearClashes")).toBe(false);
});

test("wherever a tank is put, it is told in a drain's way exactly where the drain's middle comes near enough to it", () => {
  const base = readDemo("lesesaal");
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 5000 }),
      fc.integer({ min: -900, max: 500 }),
      fc.integer({ min: -500, max: 300 }),
      (x, y, z) => {
        const stray: Tank = {
          ...base.tanks[0]!,
          id: "stray",
          name: "Stray",
          atMm: { x, y, z },
          solid: { shape: "box", lengthMm: 300, widthMm: 300, heightMm: 200 },
          ports: [],
          sender: null,
          link: null,
        };
        const design = { ...base, tanks: [...base.tanks, stray] };
        const { min, max } = toTankBlock(stray);
        const evaluation = evaluate(design);
        for (const { lineId, outletMm: _, nodesMm } of evaluation.drains) {
          const drain = base.lines.find(({ id }) => id === lineId) as Drain;
          const half = drain.pipe.outerMm / 2;
          let least = Infinity;
          for (let i = 1; i < nodesMm.length; i++) {
            for (let k = 0; k <= 200; k++) {
              const [a, b] = [nodesMm[i - 1]!, nodesMm[i]!];
              const p = {
                x: a.x + ((b.x - a.x) * k) / 200,
                y: a.y + ((b.y - a.y) * k) / 200,
                z: a.z + ((b.z - a.z) * k) / 200 + drain.pipe.innerMm / 2,
              };
              const out = (v: number, low: number, high: number) => Math.max(0, low - v, v - high);
              least = Math.min(
                least,
                Math.hypot(out(p.x, min.x, max.x), out(p.y, min.y, max.y), out(p.z, min.z, max.z)),
              );
            }
          }
          const isTold = evaluation.findings.some(
            (one) =>
              one.code === "legInPart" && one.otherId === "stray" && "lineId" in one.at && one.at.lineId === lineId,
          );
          if (least < half - 3.5) expect(isTold).toBe(true);
          if (least > half + 15) expect(isTold).toBe(false);
        }
      },
    ),
    { numRuns: 60 },
  );
});
