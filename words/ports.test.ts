import { readDemo } from "@/tests/demoRigs";
import { describePort, describePortMiddle, describePortPlace } from "./ports";

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
