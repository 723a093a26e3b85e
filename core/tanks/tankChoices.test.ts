import fc from "fast-check";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import { createPort } from "../design/createPort";
import { ADDED_PORTS, buildAddPort } from "../edits/tankEdits";
import { evaluate } from "../evaluate/evaluate";
import { findFittingBlock } from "../fit/fittingBlock";
import { listAssembly, listPortsBefore } from "../fixing/assembly";
import { measureCapacityL } from "../geometry/solid";
import { vec } from "../geometry/vec";
import { findFace, listTankFaces } from "../templates/tankFaces";
import { weighSizes } from "./weighSizes";

test("sizes weighed up: longer holds more, weighs more and lasts longer; its own length is among them as it is", () => {
  for (const name of DEMO_NAMES) {
    const design = readDemo(name);
    const [tank] = design.tanks;
    const sizes = weighSizes(design, tank!);
    expect(sizes.length).toBeGreaterThan(5);
    sizes.slice(1).forEach((size, i) => {
      const before = sizes[i]!;
      expect(size.capacityL).toBeGreaterThan(before.capacityL);
      expect(size.fullKg).toBeGreaterThan(before.fullKg);
      // a longer one never fits where a shorter did not
      expect(size.lacksMm).toBeGreaterThanOrEqual(before.lacksMm - 1e-6);
      expect(size.freshDays).toBe(before.freshDays);
    });
    const own = sizes.find(({ lengthMm }) => lengthMm === Math.round(tank!.solid.lengthMm))!;
    expect(own.capacityL).toBeCloseTo(measureCapacityL(tank!.solid), 6);
    const daysOf = (water: string) => evaluate(design).balance.stores.find(({ holds }) => holds === water)!.days.level!;
    expect(own.greyDays).toBeCloseTo(daysOf("grey"), 6);
    expect(own.freshDays).toBeCloseTo(daysOf("fresh"), 6);
  }
});

test("Kranich's tank made longer lacks room toward the cross-member, by as much as it comes nearer", () => {
  const design = readDemo("kranich");
  const tight = weighSizes(design, design.tanks[0]!).filter(({ lacksMm }) => lacksMm > 0);
  expect(tight.length).toBeGreaterThan(1);
  const [one, other] = tight;
  expect(other!.lacksMm - one!.lacksMm).toBeGreaterThan(0);
  expect(other!.lacksMm - one!.lacksMm).toBeLessThanOrEqual(other!.lengthMm - one!.lengthMm + 1e-6);
});

test("a length at which the tank runs into another one is not said to fit", () => {
  const design = readDemo("kranich");
  const [tank] = design.tanks;
  if (tank!.solid.shape !== "box") throw new Error("another sample");
  // another tank 60 mm before its front wall, with nothing on the rig in the way
  const { x, y, z } = tank!.atMm;
  const beside = {
    ...tank!,
    id: "beside",
    name: "Beside",
    ports: [],
    atMm: { x: x + tank!.solid.lengthMm + 60, y, z },
  };
  const sizes = weighSizes({ ...design, obstacles: [], tanks: [tank!, beside] }, tank!);
  for (const { lengthMm, lacksMm, worse } of sizes) {
    expect(lacksMm).toBe(0);
    const runsIn = lengthMm > (tank!.solid as { lengthMm: number }).lengthMm + 60;
    if (runsIn) expect(worse.map(({ code }) => code)).toContain("tanksClash");
    else expect(worse.map(({ code }) => code)).not.toContain("tanksClash");
  }
});

test("what stands before a port reaches out of the wall it is in, as far as it says", () => {
  const tank = readDemo("kranich").tanks[0]!;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), (fittingMm) => {
      for (const port of tank.ports) {
        const { min, max } = findFittingBlock(tank, { ...port, fittingMm })!;
        const { face } = findFace(tank.solid, port);
        const along = { front: "x", rear: "x", left: "y", right: "y", top: "z", bottom: "z" } as const;
        const axis = along[face];
        expect(max[axis] - min[axis]).toBeCloseTo(fittingMm, 9);
        const outward = face === "front" || face === "left" || face === "top";
        const wall = tank.atMm[axis] + (outward ? port.atMm[axis] + tank.wallMm : -tank.wallMm);
        expect(outward ? min[axis] : max[axis]).toBeCloseTo(wall, 9);
      }
    }),
    { numRuns: 20 },
  );
  expect(findFittingBlock(tank, createPort({ id: "p", kind: "plug", atMm: vec(0, 100, 0), boreMm: 20 }))).toBeNull();
});

test("each kind of port that is put in by hand is on the tank, shut ones drown nobody", () => {
  for (const name of DEMO_NAMES) {
    const base = readDemo(name);
    for (const kind of ADDED_PORTS) {
      const design = mustApply(base, buildAddPort(base, base.tanks[0]!, kind));
      const port = design.tanks[0]!.ports.at(-1)!;
      expect(listTankFaces(design.tanks[0]!).flatMap(({ holes }) => holes.map((hole) => hole.portId))).toContain(
        port.id,
      );
      if (kind !== "inlet" && kind !== "outlet") {
        expect(evaluate(design).tanks[0]!.level.litres).toBe(evaluate(base).tanks[0]!.level.litres);
      }
    }
  }
});

test("hanging: it is tried dry before anything is drilled, and the trial comes before it goes up", () => {
  const tank = readDemo("kranich").tanks[0]!;
  const kinds = listAssembly(tank, 30).map(({ kind }) => kind);
  expect(kinds[0]).toBe("dryFit");
  expect(kinds.indexOf("leakTrial")).toBeLessThan(kinds.indexOf("hang"));
  // the breather's port is in the top: fitted before where no hand gets in, after where one does
  expect(listPortsBefore(tank, 30)).toEqual(["vent"]);
  expect(listPortsBefore(tank, 300)).toEqual([]);
  const after = listAssembly(tank, 30).find((step) => step.kind === "fitAfter");
  expect(after).toMatchObject({ ports: ["inlet", "dump"] });
});
