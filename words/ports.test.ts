import { readDemo } from "@/tests/demoRigs";
import { describePort, describePortPlace } from "./ports";

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
