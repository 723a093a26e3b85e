import fc from "fast-check";
import { prisms } from "@/tests/arbitraries";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { createPort } from "../design/createPort";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import type { Tank } from "../design/plumbing";
import { buildResize } from "../design/resizeTank";
import { buildPortBore, buildPortToSide } from "../edits/portEdits";
import { buildReshape, buildTurnProfile, TANK_AXES, TANK_SHAPES } from "../edits/tankEdits";
import { measureExtent } from "../geometry/solid";
import { seatPort } from "./seatPort";
import { FACES, findFace, listTankFaces, measureToEdgeMm } from "./tankFaces";

test("a port that lies within its side stays where it is; one that does not comes in, in the same side, if it fits there at all", () => {
  const places = fc.record({
    face: fc.constantFrom(...FACES),
    a: fc.double({ min: 0, max: 1, noNaN: true }),
    b: fc.double({ min: 0, max: 1, noNaN: true }),
    boreMm: fc.double({ min: 10, max: 120, noNaN: true }),
  });
  const solids = fc.oneof(
    prisms,
    fc.constant({ shape: "box", lengthMm: 700, widthMm: 400, heightMm: 180 } as const),
    fc.constant({ shape: "cylinder", axis: "x", lengthMm: 700, diameterMm: 260 } as const),
  );
  let moved = 0;
  fc.assert(
    fc.property(solids, places, (solid, { face, a, b, boreMm }) => {
      const { min, max } = measureExtent(solid);
      const on = (axis: "x" | "y" | "z", share: number) => min[axis] + share * (max[axis] - min[axis]);
      const atMm = {
        x: face === "front" ? max.x : face === "rear" ? min.x : on("x", a),
        y: face === "left" ? max.y : face === "right" ? min.y : on("y", face === "front" || face === "rear" ? a : b),
        z: face === "top" ? max.z : face === "bottom" ? min.z : on("z", b),
      };
      const port = createPort({ id: "p", kind: "plug", atMm, boreMm });
      const seated = seatPort({ solid }, port);
      if (measureToEdgeMm(solid, port) >= 0) expect(seated).toBe(port);
      else if (seated !== port) {
        moved++;
        expect(measureToEdgeMm(solid, seated)).toBeGreaterThanOrEqual(0);
        expect(findFace(solid, seated).face).toBe(findFace(solid, port).face);
      }
    }),
    { numRuns: 150 },
  );
  expect(moved).toBeGreaterThan(20);
});

test("what the sheet of a side says of a hole is what is measured of the port", () => {
  for (const { tanks } of ALL_DEMOS)
    for (const tank of tanks)
      for (const { holes } of listTankFaces(tank))
        for (const { portId, toEdgeMm, behindMm } of holes)
          if (behindMm === 0)
            expect(measureToEdgeMm(tank.solid, tank.ports.find(({ id }) => id === portId)!)).toBeCloseTo(toEdgeMm, 9);
});

test("no shape, axis, side, bore or size a hand chooses breaks a port of the samples through its wall", () => {
  const offWall = (tank: Tank) =>
    tank.ports.filter((port) => measureToEdgeMm(tank.solid, port) < -0.5).map(({ id }) => id);
  for (const design of ALL_DEMOS) {
    const hold = (tank: Tank, edit: Edit | null) => {
      const outcome = edit && applyEdit(design, edit);
      if (outcome?.ok)
        expect([
          design.id,
          edit!.ops[0]!.path,
          offWall(outcome.design.tanks.find(({ id }) => id === tank.id)!),
        ]).toEqual([design.id, edit!.ops[0]!.path, []]);
    };
    for (const tank of design.tanks) {
      for (const shape of TANK_SHAPES) hold(tank, buildReshape(tank, shape));
      for (const share of [0.5, 0.75, 0.95, 1.3])
        for (const size of ["lengthMm", "widthMm", "heightMm"] as const) {
          const now = (tank.solid as Partial<Record<typeof size, number>>)[size];
          if (now !== undefined) hold(tank, buildResize(tank, { [size]: share * now }));
        }
      for (const axis of TANK_AXES) hold(tank, buildTurnProfile(tank, axis));
      for (const port of tank.ports) {
        for (const side of FACES) hold(tank, buildPortToSide(tank, port, side));
        hold(tank, buildPortBore(tank, port, port.boreMm + 12));
      }
    }
  }
});
