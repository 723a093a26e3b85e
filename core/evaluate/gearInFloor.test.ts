import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { measureFloorMm } from "../design/floor";
import { toTankBlock } from "../fit/obstacleGaps";
import { isSetIn } from "../gear/gearBlock";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

const setAt = (design: Design, id: string, atMm: Partial<Design["gear"][number]["atMm"]>): Design => ({
  ...design,
  gear: design.gear.map((piece) => (piece.id === id ? { ...piece, atMm: { ...piece.atMm, ...atMm } } : piece)),
});

test("gear that stands in the floor is told by how deep, on every rig, and a press sets it on the floor or under it", () => {
  let tried = 0;
  for (const design of ALL_DEMOS) {
    expect(findAll(design, "gearInFloor")).toEqual([]);
    const floorMm = measureFloorMm(design);
    const piece = design.gear.find((one) => !isSetIn(one) && one.spec.kind !== "pump");
    if (!piece) continue;
    tried += 1;
    const told = (z: number) =>
      findAll(setAt(design, piece.id, { z }), "gearInFloor").filter(({ at }) => "id" in at && at.id === piece.id);
    expect(told(0)).toEqual([]);
    expect(told(-floorMm - piece.sizeMm.z)).toEqual([]);
    // so far it gives way
    expect(told(-2.9)).toEqual([]);
    expect(told(-10)).toMatchObject([{ severity: "should", deepMm: 10 }]);
    const sunk = setAt(design, piece.id, { z: -10 });
    const [finding] = told(-10);
    const [remedy] = proposeRemedies(sunk, evaluate(sunk), finding!);
    const outcome = applyEdit(sunk, remedy!.edit);
    expect(outcome.ok && findAll(outcome.design, "gearInFloor")).toEqual([]);
  }
  expect(tried).toBeGreaterThan(3);
});

test("a pump that is let into a tank under the floor is where the tank is; one beside it is told", () => {
  const van = readDemo("kranich-loop");
  const pump = van.gear.find(({ spec }) => spec.kind === "pump")!;
  const room = toTankBlock(van.tanks.find(({ holds }) => holds === "fresh")!);
  const sunk = { x: room.min.x + 20, y: room.min.y + 20, z: -20 };
  const raised: Design = {
    ...setAt(van, pump.id, sunk),
    tanks: van.tanks.map((tank) => (tank.holds === "fresh" ? { ...tank, atMm: { ...tank.atMm, z: -150 } } : tank)),
  };
  expect(findAll(raised, "gearInFloor")).toEqual([]);
  expect(findAll(setAt(van, pump.id, { z: -20 }), "gearInFloor")).toHaveLength(1);
});
