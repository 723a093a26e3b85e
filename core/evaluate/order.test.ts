import "./fitted";
import fc from "fast-check";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import { buildMove } from "../design/moves";
import { add, vec } from "../geometry/vec";
import { evaluate } from "./evaluate";

const SEVERITIES = ["must", "should", "note"] as const;
/** What stands where it cannot is told before what runs to it. */
const STANDS = new Set([
  "tanksClash",
  "tankHitsObstacle",
  "tankInFloor",
  "gearClashes",
  "fixtureOutside",
  "partOutside",
]);

test("worst first, and of what is as bad first the parts that stand in something, then what runs to them", () => {
  let told = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...ALL_DEMOS),
      fc.nat(),
      fc.integer({ min: -900, max: 900 }),
      fc.integer({ min: -500, max: 500 }),
      fc.integer({ min: -100, max: 150 }),
      (design, which, x, y, z) => {
        const tank = design.tanks[which % design.tanks.length]!;
        const move = buildMove(design, { kind: "tank", id: tank.id }, add(tank.atMm, vec(x, y, z)));
        const { findings } = evaluate(move ? mustApply(design, move) : design);
        const places = findings.map(
          ({ severity, code }) => 2 * SEVERITIES.indexOf(severity) + (STANDS.has(code) ? 0 : 1),
        );
        expect(places).toEqual([...places].sort((a, b) => a - b));
        if (places.includes(0) && places.includes(1)) told += 1;
      },
    ),
    { numRuns: 120 },
  );
  expect(told).toBeGreaterThan(10);
});
