import { buildMove } from "@/core/design/moves";
import { add, vec } from "@/core/geometry/vec";
import type { MoveWay } from "@/core/remedies/remedy";
import { proposeTakenOff, type TankSide } from "@/core/remedies/smallerTank";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { describeRemedy } from "./remedies";

const WAYS = {
  left: [vec(0, 80, 0), /(to the left|to port) by 80/],
  right: [vec(0, -80, 0), /(to the right|to starboard) by 80/],
  forward: [vec(80, 0, 0), /forward by 80/],
  aft: [vec(-80, 0, 0), /(to the rear|aft) by 80/],
  up: [vec(0, 0, 80), /up by 80|80.mm higher/],
  down: [vec(0, 0, -80), /down by 80/],
} as const satisfies Readonly<Record<MoveWay, unknown>>;

test("a tank that is moved is said to go the way it goes, whatever hangs on it", () => {
  for (const design of ALL_DEMOS) {
    for (const { id, atMm } of design.tanks) {
      for (const [way, [by, said]] of Object.entries(WAYS)) {
        const move = buildMove(design, { kind: "tank", id }, add(atMm, by))!;
        const remedy = { edit: { ...move, code: "moveClear" as const }, byMm: 80, way: way as MoveWay };
        expect(describeRemedy(remedy, design, "metric")).toMatch(said);
      }
    }
  }
});

const TAKEN: Readonly<Record<TankSide, RegExp>> = {
  left: /narrower on its (left|port) side/,
  right: /narrower on its (right|starboard) side/,
  forward: /shorter at its front end/,
  aft: /shorter at its (rear|after) end/,
};

test("of a tank that is made smaller it is said at which side", () => {
  for (const design of ALL_DEMOS) {
    for (const tank of design.tanks) {
      for (const [side, said] of Object.entries(TAKEN)) {
        for (const remedy of proposeTakenOff(tank, side as TankSide, 40)) {
          expect(describeRemedy(remedy, design, "metric")).toMatch(said);
        }
      }
    }
  }
});
