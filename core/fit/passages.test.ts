import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Drain } from "../design/plumbing";
import type { Obstacle } from "../design/rig";
import { buildDrainPath, buildLeg } from "../falls/drainPath";
import { listLegPassages, listPassages } from "./passages";

const kranich = readDemo("kranich");
const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
const { to: inletEnd, from: fromMm } = buildDrainPath(kranich, drain).legs.at(-1)!;
const middle = { x: (fromMm.x + inletEnd.x) / 2, y: (fromMm.y + inletEnd.y) / 2, z: (fromMm.z + inletEnd.z) / 2 };
const put = (obstacle: Omit<Obstacle, "id" | "name">): Design => ({
  ...kranich,
  obstacles: [{ id: "it", name: "It", ...obstacle }],
});
const passagesOf = (design: Design) => listPassages(design, buildDrainPath(design, drain), 2);

test("a wall across the run is drilled once: pipe, room, and the little its slope adds", () => {
  const wall = put({
    kind: "bulkhead",
    atMm: { x: middle.x, y: -800, z: -400 },
    lengthMm: 18,
    widthMm: 1600,
    heightMm: 900,
  });
  const [, hole] = passagesOf(wall);
  expect(hole).toMatchObject({ through: "panel", thicknessMm: 18, panel: { id: "it" } });
  expect(hole!.hole.widthMm).toBeCloseTo(drain.pipe.outerMm + 4, 9);
  expect(hole!.hole.lengthMm).toBeGreaterThan(hole!.hole.widthMm);
  expect(hole!.hole.lengthMm).toBeLessThan(hole!.hole.widthMm + 3 + 18);
  // the room the wall leaves round the hole is measured to its own nearest edge
  expect(hole!.nearest!.gapMm).toBeGreaterThan(0);
});

test("a cabinet is drilled where a pipe goes in and where it comes out", () => {
  const box = { lengthMm: 120, widthMm: 900, heightMm: 500 };
  const cabinet = put({ kind: "cabinet", atMm: { x: middle.x - 60, y: middle.y - 450, z: middle.z - 250 }, ...box });
  expect(passagesOf(cabinet).filter(({ through }) => through === "panel")).toHaveLength(2);
});

test("what lies under the hole is named with what is clear before it, and from which side to drill", () => {
  const [floor] = passagesOf(
    put({ kind: "fuelTank", atMm: { x: 2000, y: 0, z: -300 }, lengthMm: 600, widthMm: 800, heightMm: 150 }),
  );
  // the floor's underside is at −44, the tank's top at −150
  expect(floor!.behind).toMatchObject({ obstacle: { id: "it" }, clearMm: 106 });
  expect(floor!.drillFrom).toBe("above");
  const seat = put({ kind: "seat", atMm: { x: 2000, y: 0, z: 10 }, lengthMm: 600, widthMm: 800, heightMm: 400 });
  expect(passagesOf(seat)[0]!.drillFrom).toBe("below");
});

test("of any network: a hole is never smaller than its pipe, and every one is on its leg", () => {
  const walls: Obstacle[] = [600, 1200, 1800].map((x, i) => ({
    id: `wall-${i}`,
    name: "Wall",
    kind: "bulkhead",
    atMm: { x, y: -900, z: -400 },
    lengthMm: 20,
    widthMm: 1800,
    heightMm: 1500,
  }));
  let panels = 0;
  fc.assert(
    fc.property(networks, (design) => {
      const walled = { ...design, obstacles: walls };
      for (const line of walled.lines) {
        if (line.kind !== "drain") continue;
        const path = buildDrainPath(walled, line);
        for (const { hole, legIndex, atMm, through } of listPassages(walled, path, 3)) {
          const { pipe, from, to } = path.ownLegs[legIndex]!;
          expect(hole.lengthMm).toBeGreaterThanOrEqual(pipe.outerMm + 6 - 1e-9);
          expect(Number.isFinite(hole.lengthMm)).toBe(true);
          expect(atMm.x).toBeGreaterThanOrEqual(Math.min(from.x, to.x) - 1e-6);
          expect(atMm.x).toBeLessThanOrEqual(Math.max(from.x, to.x) + 1e-6);
          if (through === "panel") panels += 1;
        }
      }
    }),
  );
  expect(panels).toBeGreaterThan(20);
});

test("a slanted pipe is marked where its middle meets each face, not where its invert does", () => {
  // 28° to the floor, 40 mm of floor: the faces are t/tan θ apart, the middle lies r/sin θ from the invert
  const [theta, floorMm] = [(28 * Math.PI) / 180, 44];
  const fall = 400 * Math.tan(theta);
  const leg = buildLeg(
    { x: 0, y: 0, z: 60 },
    { x: 400, y: 0, z: 60 - fall },
    { lineId: "any", index: 0, pipe: { innerMm: 36, outerMm: 40, manningN: 0.009 }, inflowLps: 0, surgeLps: 0 },
  );
  const [passage] = listLegPassages({ ...kranich, obstacles: [] }, "any", [leg], [], 2);
  const [above, below] = passage!.facesMm;
  expect(below.x - above.x).toBeCloseTo(floorMm / Math.tan(theta), 6);
  expect(above.x - passage!.atMm.x).toBeCloseTo(18 / Math.sin(theta), 6);
});

test("a frame that carries the floor is near its hole; what hangs lower is behind the drill and not cut", () => {
  const [hole] = passagesOf(kranich);
  const floorMm = kranich.rig.floorLayers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  const under = (belowMm: number) =>
    put({
      kind: "crossMember",
      atMm: { x: hole!.atMm.x - 10, y: hole!.atMm.y - 10, z: -floorMm - belowMm - 60 },
      lengthMm: 20,
      widthMm: 20,
      heightMm: 60,
    });
  expect(passagesOf(under(40))[0]!.nearest!.gapMm).toBeLessThan(0);
  expect(passagesOf(under(41))[0]!.nearest).toBeNull();
  expect(passagesOf(under(41))[0]!.behind!.obstacle.id).toBe("it");
});
