import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { Hose } from "../design/plumbing";
import { placeHoseEnd } from "../fit/lineLegs";
import { placeGearPort } from "../gear/gearPorts";
import { measureLength, subtract } from "../geometry/vec";
import { listFitStopValve } from "./stopValve";

const loop = readDemo("kranich-loop");
const findHose = (design: Design, id: string) => design.lines.find((line) => line.id === id) as Hose;
/** The hose the fresh tank is drawn by, with these points, and drawn the one way or the other. */
const draw = (pointsMm: Hose["pointsMm"], isTurned: boolean): Design => ({
  ...loop,
  lines: loop.lines.map((line) => {
    if (line.id !== "hose-12" || line.kind !== "hose") return line;
    return isTurned
      ? { ...line, from: line.to, to: line.from, pointsMm: pointsMm.toReversed() }
      : { ...line, pointsMm };
  }),
});
const point = (id: string, x: number, z: number) => ({ id, x, y: 700, z });
const _fit = (design: Design) =>
  listFitStopValve(design, "hose-12", "fresh", "Stop").map((edit) => mustApply(design, edit));
const fitValve = (design: Design) =>
  listFitStopValve(design, "hose-12", "fresh", "Stop").map((edit) => mustApply(design, edit));
const findValve = (design: Design) => design.gear.find(({ name }) => name === "Stop")!;

test("under the floor it stands at the first point over the floor, and no corner is lost, whichever way the hose was drawn", () => {
  for (const isTurned of [false, true]) {
    const design = draw([point("n1", 2_250, -100), point("n2", 2_300, 90), point("n3", 2_000, 200)], isTurned);
    const [after] = fitValve(design);
    const valve = findValve(after!);
    expect([valve.atMm.x, placeGearPort(valve, "in").z]).toEqual([2_300, 90]);
    // before it one point, behind it the other, and water comes to its inlet first
    const atTank = after!.lines.find(
      (line): line is Hose =>
        line.kind === "hose" && [line.from, line.to].some((end) => end.kind === "tank" && end.tankId === "fresh"),
    )!;
    const behind = after!.lines.find(
      (line): line is Hose =>
        line.kind === "hose" &&
        line !== atTank &&
        [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === valve.id),
    )!;
    expect(atTank.pointsMm.map(({ x }) => x)).toEqual([2_250]);
    expect(behind.pointsMm.map(({ x }) => x)).toEqual([2_000]);
    const portOf = (hose: Hose) => [hose.from, hose.to].find((end) => end.kind === "gear" && end.gearId === valve.id);
    expect([portOf(atTank), portOf(behind)]).toMatchObject([{ port: "in" }, { port: "out" }]);
  }
});

test("of a tank in the room it stands right at the port; with nothing over the floor it does as well", () => {
  const lift = (design: Design): Design => ({
    ...design,
    tanks: design.tanks.map((tank) => (tank.id === "fresh" ? { ...tank, atMm: { ...tank.atMm, z: 20 } } : tank)),
  });
  for (const design of [
    lift(draw([point("n1", 2_300, 90)], false)),
    draw([point("n1", 2_300, -60)], true),
    draw([], false),
  ]) {
    const [after] = fitValve(design);
    const hose = findHose(design, "hose-12");
    const end = [hose.from, hose.to].find((one) => one.kind === "tank")!;
    const near = placeGearPort(findValve(after!), "in");
    expect(measureLength(subtract(near, placeHoseEnd(design, end)))).toBeLessThan(201);
  }
});

test("it is shut where nothing is on and no tap is open, and open where a pump runs or a tap is", () => {
  const [after] = fitValve(loop);
  const { id } = findValve(after!);
  expect(after!.states.map((state) => [state.id, state.positions.find(({ gearId }) => gearId === id)?.at])).toEqual([
    ["standby", "shut"],
    ["sink", "open"],
    ["shower-from-the-loop", "open"],
    ["refill", "open"],
    ["winter", "open"],
  ]);
});

test("a hose of another tank, a drain and a hose that is not there get none", () => {
  for (const [hoseId, tankId] of [
    ["hose-12", "loop"],
    ["hose-2", "fresh"],
    ["sink-drain", "grey"],
    ["none", "fresh"],
  ] as const)
    expect(listFitStopValve(loop, hoseId, tankId, "Stop")).toEqual([]);
});
