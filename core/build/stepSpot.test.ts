import { ALL_DEMOS } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { evaluate } from "../evaluate/evaluate";
import { listBoltPlaces } from "../fixing/boltPlaces";
import { vec } from "../geometry/vec";
import { listHoles } from "../through/holes";
import { findStepSpot, listStepMarks, measureBareTank } from "./stepSpot";
import { listSteps } from "./steps";

test("every hole, tank and piece of gear of the samples is measured out where it is drawn, and nothing else is", () => {
  const seen = new Set<string>();
  // no sample carries a tank over its floor
  const lift = (design: Design): Design => ({
    ...design,
    tanks: design.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z: 120 } })),
  });
  for (const design of [...ALL_DEMOS, ...ALL_DEMOS.map(lift)]) {
    const evaluation = evaluate(design);
    const holes = new Map(listHoles(design, evaluation).map((hole) => [`drillHole:${hole.id}`, hole]));
    for (const step of listSteps(design, evaluation)) {
      const spot = findStepSpot(step, design, evaluation);
      const hole = holes.get(step.id);
      const tank = design.tanks.find(({ id }) => step.id === `hangTank:${id}`);
      const held = design.tanks.find(({ id }) => step.id === `fitFixing:${id}`);
      const piece = design.gear.find(({ id }) => step.id === `mountGear:${id}`);
      if (hole) {
        const [face] = hole.facesMm;
        expect(spot).toEqual(hole.through === "floor" ? { x: face.x, y: face.y, z: 0 } : face);
        seen.add(hole.through);
      } else if (tank) {
        const { min, max } = measureBareTank(tank);
        const isUnder = max.z <= 0;
        expect(spot).toEqual({ x: min.x, y: min.y, z: isUnder ? max.z : min.z });
        // by its walls, and not by what is wrapped round it
        if (tank.solid.shape === "box") {
          expect(min.x).toBeCloseTo(tank.atMm.x - tank.wallMm, 9);
          expect(max.z - min.z).toBeCloseTo(tank.solid.heightMm + 2 * tank.wallMm, 9);
        }
        seen.add(isUnder ? "under" : "inside");
      } else if (held) {
        // every bolt is marked, and the first of them measured
        const marks = listStepMarks(step, design);
        const places = listBoltPlaces(held, held.fixing!).map(({ x, y }) => vec(held.atMm.x + x, held.atMm.y + y, 0));
        expect(marks).toHaveLength(places.length);
        expect(places).toEqual(expect.arrayContaining(marks));
        expect(spot).toEqual(marks[0]);
        seen.add("bolts");
      } else if (piece) {
        expect(spot).toEqual(piece.atMm);
        seen.add("gear");
      } else expect(spot).toBeNull();
    }
  }
  expect([...seen].sort()).toEqual(["bolts", "floor", "gear", "hull", "inside", "panel", "roof", "side", "under"]);
});

test("a step of what is not drawn is measured out nowhere", () => {
  for (const design of ALL_DEMOS) {
    const evaluation = evaluate(design);
    const none = { after: [], hours: 1 };
    for (const [kind, at] of [
      ["drillHole", { kind: "line", id: "nobody" }],
      ["hangTank", { kind: "tank", id: "nobody" }],
      ["mountGear", { kind: "gear", id: "nobody" }],
    ] as const)
      expect(findStepSpot({ ...none, kind, at, id: `${kind}:nobody` }, design, evaluation)).toBeNull();
  }
});
