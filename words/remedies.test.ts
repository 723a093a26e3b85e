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

test("a breather led to a wall is said to go where it goes: under the floor, or through it first", () => {
  const [design] = ALL_DEMOS;
  const vent = design!.lines.find(({ kind }) => kind === "vent")!;
  const say = (points: readonly number[]) => {
    const value = points.map((z, i) => vec(0, i, z));
    const ops = [{ op: "set", path: ["lines", vent.id, "pointsMm"], value } as const];
    const edit = { code: "ventAlongWall", at: { kind: "line", id: vent.id }, ops } as const;
    return describeRemedy({ edit, byMm: null }, design!, "metric");
  };
  expect(say([-80, 600])).toMatch(/under the floor/);
  expect(say([40, 90, 600])).toMatch(/through the floor/);
});

test("only of a tank that is hung higher is it said that its dump line goes along", () => {
  for (const design of ALL_DEMOS) {
    for (const line of design.lines) {
      if (line.kind !== "dumpLine") continue;
      const { pointsMm } = line;
      const ops = pointsMm.map((p, i) => {
        return { op: "set", path: ["lines", line.id, "pointsMm", i], value: add(p, vec(0, 0, 60)) } as const;
      });
      const at = { kind: "line", id: line.id } as const;
      const said = describeRemedy({ edit: { code: "moveClear", at, ops }, byMm: 60, way: "up" }, design, "metric");
      expect(said).not.toMatch(/its dump line with it/);
    }
  }
});
