import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { toNodes } from "../design/nodes";
import type { Drain, LineItem } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { vec } from "../geometry/vec";
import { PIPE_SIZES } from "./pipes";
import { computePointTakeOffs, findBranchEnd, isWhole, listPointFittings, measureIntoDeg } from "./pointFittings";

const PIPE = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
const WIDE = { innerMm: 46.4, outerMm: 50, manningN: 0.009 };
const HOSE = PIPE_SIZES.find(({ family }) => family === "smoothHose")!.pipe;
const kranich = readDemo("kranich");
const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
const FROM = kranich.fixtures.find(({ id }) => id === drain.fromFixture)!.outletMm;

// Two legs that turn by so many degrees in plan, of pipe or hose, with what stands at the point.
function fitAt(turnDeg: number, items: readonly LineItem[] = [], pipe = PIPE, branches: readonly Drain[] = []) {
  const rad = (turnDeg * Math.PI) / 180;
  const [mid] = toNodes([vec(FROM.x + 500, FROM.y, FROM.z)]);
  const line: Drain = {
    ...drain,
    pipe,
    items: [...items],
    bendsMm: [mid!],
    to: { kind: "ground", atMm: vec(FROM.x + 500 + 400 * Math.cos(rad), FROM.y + 400 * Math.sin(rad), FROM.z) },
  };
  const design: Design = { ...kranich, lines: [line, ...branches] };
  const network = buildNetwork(design);
  return listPointFittings(design, line, buildDrainPath(design, line, network).ownLegs, network)[0]!;
}

test("pipe goes whole through less than 4°, a union takes up to 7.5°, then there is a bend as sold", () => {
  expect(isWhole(fitAt(3.99))).toBe(true);
  expect(fitAt(4.01).turn).toEqual({ bendDeg: null, leftDeg: expect.closeTo(4.01, 6) });
  expect(fitAt(7.49).turn!.bendDeg).toBeNull();
  expect(fitAt(7.51).turn).toEqual({ bendDeg: 15, leftDeg: expect.closeTo(-7.49, 6) });
  expect(fitAt(90).turn).toEqual({ bendDeg: 87, leftDeg: expect.closeTo(3, 6) });
  expect(isWhole(fitAt(90, [], HOSE))).toBe(true);
  // where a valve has sockets anyhow no union is bought
  const valve = { kind: "inline", node: "n1", piece: "shutOff" } as const;
  expect(fitAt(6, [valve])).toEqual({ turn: null, bodies: [{ kind: "shutOff" }] });
});

test("what stands at a point is told in its kind, and only at its own point", () => {
  const trap = { kind: "runningTrap", node: "n1", sealMm: 50, hasCleanout: true } as const;
  const change = { kind: "pipeChange", node: "n1", joint: "reducer", pipe: WIDE } as const;
  // three bores of the pipe behind the change
  expect(fitAt(0, [trap]).bodies).toEqual([{ kind: "runningTrap", spanMm: expect.closeTo(3 * 36.4, 6) }]);
  expect(fitAt(0, [change]).bodies).toEqual([{ kind: "reducer" }]);
  const branch = (node: string, lineId = drain.id): Drain => ({
    ...drain,
    id: "branch",
    items: [change],
    bendsMm: toNodes([vec(FROM.x, FROM.y + 200, FROM.z)]),
    to: { kind: "junction", lineId, node, fitting: "wye" },
  });
  expect(fitAt(0, [], PIPE, [branch("n1")]).bodies).toEqual([{ kind: "wye", branch: WIDE }]);
});

test("what fittings take: by hand, the longer side of a wye up the line, nothing below 0", () => {
  const takes = (bodies: Parameters<typeof computePointTakeOffs>[0]["bodies"], bendDeg: number | null = null) =>
    computePointTakeOffs({ turn: bendDeg === null ? null : { bendDeg, leftDeg: 0 }, bodies }, PIPE).map(
      (mm) => Math.round(mm * 10) / 10,
    );
  expect(takes([{ kind: "wye", branch: PIPE }])).toEqual([48, 12]);
  expect(takes([{ kind: "wye", branch: WIDE }])).toEqual([54, 12]);
  expect(takes([{ kind: "tee", branch: WIDE }])).toEqual([30, 30]);
  expect(takes([{ kind: "cleanout" }])).toEqual([24, 24]);
  expect(takes([{ kind: "runningTrap", spanMm: 110 }])).toEqual([55, 55]);
  expect(takes([{ kind: "union" }, { kind: "hoseBarb" }])).toEqual([0, 0]);
  // 0.6 × 40 × tan 43.5°, and both together
  expect(takes([], 87)).toEqual([22.8, 22.8]);
  expect(takes([{ kind: "tee", branch: PIPE }], 87)).toEqual([46.8, 46.8]);
});

test("a branch needs no bend at the slant of its fitting, and one for the rest; hose bends itself", () => {
  const end = (fitting: "wye" | "tee", deg: number | null, pipe = PIPE) => findBranchEnd(fitting, pipe, PIPE, deg);
  expect(end("wye", 45)).toEqual({ turn: null, takeOffMm: 48 });
  expect(end("wye", 52.5).turn).toBeNull();
  expect(end("wye", 53).turn).toEqual({ bendDeg: 15, leftDeg: expect.closeTo(-7, 6) });
  expect(end("wye", 90).turn!.bendDeg).toBe(45);
  expect(end("tee", 90)).toEqual({ turn: null, takeOffMm: 24 });
  expect(end("tee", 45).turn!.bendDeg).toBe(45);
  expect(end("wye", null)).toEqual({ turn: null, takeOffMm: 48 });
  expect(end("wye", 90, HOSE).turn).toBeNull();
});

// The sides of the triangle crossing, wye and bend, worked a second way: by the height of the bend over the line it joins.
test("a bend beside a wye stands off the crossing by plain geometry", () => {
  fc.assert(
    fc.property(fc.double({ min: 60, max: 120, noNaN: true }), (deg) => {
      const { turn, takeOffMm } = findBranchEnd("wye", PIPE, PIPE, deg);
      const bendMm = 0.6 * 40 * Math.tan((turn!.bendDeg! * Math.PI) / 360);
      const heightMm = (48 + bendMm) * Math.SQRT1_2;
      expect(takeOffMm).toBeCloseTo(heightMm / Math.sin((deg * Math.PI) / 180) + bendMm, 6);
    }),
  );
});

test("the turn into a line is that of the last leg with a length, and not known without one", () => {
  const path = buildDrainPath(kranich, drain);
  expect(measureIntoDeg([], path.legs)).toBeNull();
  expect(measureIntoDeg(path.legs, [])).toBeNull();
  expect(measureIntoDeg(path.legs.slice(0, 1), path.legs.slice(0, 1))).toBeCloseTo(0, 6);
});
