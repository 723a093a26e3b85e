import { readDemo } from "@/tests/demoRigs";
import { listProfile, listSheer, listWaterline } from "./lines";
import { findHalfBreadthMm } from "./loft";

const hull = readDemo("setzkasten").rig.hull!;
const ENDS = [hull.sections[0]!.xMm, hull.sections.at(-1)!.xMm] as const;

test("a line drawn at a height runs port to the bow and back along starboard, and lies on her skin", () => {
  const line = listWaterline(hull, 0);
  expect(line.length).toBeGreaterThan(40);
  const half = line.length / 2;
  const port = line.slice(0, half);
  for (const { x, y, z } of port) {
    expect(z).toBe(0);
    expect(y).toBeCloseTo(findHalfBreadthMm(hull, x, 0)!, 9);
  }
  expect(port.map(({ x }) => x)).toEqual([...port.map(({ x }) => x)].sort((a, b) => a - b));
  expect(line.slice(half)).toEqual([...port].reverse().map(({ x, y, z }) => ({ x, y: -y, z })));
  // over her sheer she is not
  expect(listWaterline(hull, 5_000)).toEqual([]);
});

test("keel and sheer run from her first section to her last, through what was measured there", () => {
  for (const which of ["keel", "sheer"] as const) {
    const profile = listProfile(hull, which);
    expect([profile[0]!.x, profile.at(-1)!.x]).toEqual(ENDS);
    for (const section of [hull.sections[0]!, hull.sections.at(-1)!]) {
      const point = which === "keel" ? section.pointsMm[0]! : section.pointsMm.at(-1)!;
      const drawn = profile.find(({ x }) => x === section.xMm)!;
      expect([drawn.y, drawn.z]).toEqual([expect.closeTo(point.y, 6), expect.closeTo(point.z, 6)]);
    }
  }
  const sheer = listSheer(hull);
  const port = listProfile(hull, "sheer");
  expect(sheer).toEqual([...port, ...[...port].reverse().map(({ x, y, z }) => ({ x, y: -y, z }))]);
});
