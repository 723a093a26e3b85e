import { readDemo } from "@/tests/demoRigs";
import type { Obstacle } from "../design/rig";
import { vec } from "../geometry/vec";
import { measureInRoomMm } from "./ventRoom";

const { rig } = readDemo("kranich");
const middle = vec(rig.lengthMm / 2, 0, 0);
const locker = (atMm: Obstacle["atMm"]): Obstacle => ({
  ...readDemo("kranich-loop").obstacles.find(({ kind }) => kind === "cabinet")!,
  atMm,
  lengthMm: 400,
  widthMm: 300,
  heightMm: 500,
});
const up = [vec(middle.x, 0, -100), vec(middle.x, 0, 900)];

test("a course through the room counts from the floor up, not under it and not over the heads", () => {
  expect(measureInRoomMm({ rig, obstacles: [] }, up)).toBeCloseTo(900, -2);
  expect(measureInRoomMm({ rig, obstacles: [] }, [vec(middle.x, 0, -400), vec(middle.x, 0, -1)])).toBe(0);
  const high = measureInRoomMm({ rig, obstacles: [] }, [vec(middle.x, 0, 0), vec(middle.x, 0, 4_000)]);
  expect(high).toBeLessThan(3_000);
  expect(high).toBeGreaterThan(1_000);
});

test("along a wall it is out of the way, at either side and at the ends", () => {
  for (const [x, y] of [
    [middle.x, rig.widthMm / 2 - 10],
    [middle.x, -rig.widthMm / 2 + 10],
    [10, 0],
    [rig.lengthMm - 10, 0],
  ] as const)
    expect(measureInRoomMm({ rig, obstacles: [] }, [vec(x, y, 0), vec(x, y, 900)])).toBe(0);
});

test("in a locker it is covered, beside one it is not, whichever side it stands on", () => {
  const inside = locker(vec(middle.x - 200, -150, 0));
  // half a metre of it lies in the locker, the rest over it
  expect(measureInRoomMm({ rig, obstacles: [inside] }, up)).toBeCloseTo(400, -2);
  for (const [dx, dy] of [
    [300, 0],
    [-700, 0],
    [-200, 100],
    [-200, -400],
  ] as const) {
    const beside = locker(vec(middle.x + dx, dy, 0));
    expect(measureInRoomMm({ rig, obstacles: [beside] }, up)).toBeCloseTo(
      measureInRoomMm({ rig, obstacles: [] }, up),
      6,
    );
  }
  const above = locker(vec(middle.x - 200, -150, 1_000));
  expect(measureInRoomMm({ rig, obstacles: [above] }, up)).toBeCloseTo(measureInRoomMm({ rig, obstacles: [] }, up), 6);
});
