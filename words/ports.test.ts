import { listSteps } from "@/core/build/steps";
import { evaluate } from "@/core/evaluate/evaluate";
import "@/core/evaluate/fitted";
import { listTankFaces } from "@/core/templates/tankFaces";
import { readDemo } from "@/tests/demoRigs";
import { describePort, describePortMiddle, describePortPlace } from "./ports";
import { listStepFigures } from "./stepFigures";
import { describeHole } from "./templates";

test("ports are called by what they serve and the side they are in, in the words of the rig", () => {
  const kranich = readDemo("kranich");
  const tank = kranich.tanks[0]!;
  const find = (kind: string) => tank.ports.find((port) => port.kind === kind)!;
  expect(describePort(tank, find("inlet"), kranich)).toBe("Inlet of Sink drain");
  expect(describePort(tank, find("inlet"), { ...kranich, lines: [] })).toBe("Inlet, free");
  expect(describePortPlace(tank, find("inlet"), kranich, "metric")).toMatch(/^front wall, \d+\u00a0mm up$/);
  const boat = { ...kranich, rig: { ...kranich.rig, kind: "boat" as const } };
  expect(describePortPlace(tank, find("inlet"), boat, "metric")).toMatch(/^forward wall/);
  expect(describePortPlace(tank, find("vent"), kranich, "metric")).toBe("top");
});

test("the middle of a hole is measured on the outside, from two walls", () => {
  const tank = readDemo("kranich").tanks[0]!;
  const find = (kind: string) => tank.ports.find((port) => port.kind === kind)!;
  const tell = (...given: Parameters<typeof describePortMiddle>) => {
    const { side, middle } = describePortMiddle(...given);
    return [side, middle.replaceAll("\u00a0", " ")];
  };
  // inside: invert 150 up with 36.4 of bore, 300 from the right; 6 mm of wall
  expect(tell(tank, find("inlet"), "van", "metric")).toEqual(["front wall", "174 mm up, 306 mm from the right wall"]);
  expect(tell(tank, find("vent"), "van", "metric")).toEqual([
    "top",
    "406 mm from the rear wall, 231 mm from the right wall",
  ]);
  const aside = { ...find("inlet"), atMm: { x: 200, y: 450, z: 20 } };
  expect(tell(tank, aside, "boat", "metric")).toEqual(["port wall", "44.2 mm up, 206 mm from the after wall"]);
});

test("a hole in a round wall is marked straight on and says how far the wall lies behind the sheet; in a flat one it says nothing", () => {
  const kranich = readDemo("kranich");
  const [flat] = kranich.tanks;
  const round = {
    ...flat!,
    solid: { shape: "cylinder", axis: "x", diameterMm: 300, lengthMm: 800 } as const,
    ports: [{ ...flat!.ports[0]!, atMm: { x: 400, y: 40, z: 240 } }],
  };
  const told = (tank: typeof flat) =>
    listTankFaces(tank!).flatMap(({ holes }) => holes.map((hole) => describeHole(hole, "metric")));
  expect(told(round)).toEqual([expect.stringMatching(/wall 40\u00a0mm behind this sheet, mark straight on$/)]);
  for (const text of told(flat)) expect(text).not.toMatch(/behind/);
  const steps = (tank: typeof flat) => {
    const design = { ...kranich, tanks: [tank!], lines: [] };
    const evaluation = evaluate(design);
    const step = listSteps(design, evaluation).find(({ kind }) => kind === "fitTankPorts")!;
    return listStepFigures(step, { design, evaluation, units: "metric" }).map(([label]) => label);
  };
  expect(steps(round)[0]).toMatch(/middle straight, not along the wall$/);
  for (const label of steps(flat)) expect(label).toMatch(/middle$/);
});
