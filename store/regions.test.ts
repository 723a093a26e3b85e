import { buildMove, findPlaceMm } from "@/core/design/moves";
import { add, vec } from "@/core/geometry/vec";
import { readDemo } from "@/tests/demoRigs";
import { regions } from "./regions";
import { REGIONS, type WorkbenchState } from "./state";
import { beginDrag, change, drag, endDrag, loadDesign, tilt, undo, workbench } from "./workbench";

const timers = (import.meta as unknown as { readonly jest: typeof jest }).jest;

const PART = { kind: "fixture", id: "sink" } as const;
const base = readDemo("kranich");
const before = base.fixtures[0]!.outletMm.z;
const moveBy = (mm: number) => buildMove(base, PART, add(findPlaceMm(base, PART)!, vec(0, 0, mm)));
const heightOf = (state: WorkbenchState) => state.history!.design.fixtures[0]!.outletMm.z;
const expectAllLevel = () => {
  for (const region of REGIONS) expect(regions[region].getState()).toBe(workbench.getState());
};

beforeEach(() => {
  timers.useFakeTimers();
  loadDesign(base);
});
afterEach(() => {
  endDrag(null);
  timers.useRealTimers();
});

test("at rest every region sees the same, at once", () => {
  expectAllLevel();
  change(moveBy(12)!);
  expectAllLevel();
  tilt({ pitchDeg: 1, rollDeg: 2 });
  expectAllLevel();
  undo();
  expectAllLevel();
});

test.each(REGIONS)(
  "pulled in the region %s: it follows every move, and with each move one other catches up",
  (from) => {
    beginDrag(from);
    for (let mm = 1; mm <= 60; mm++) {
      const seen = new Set<string>();
      const stops = REGIONS.map((region) => regions[region].subscribe(() => seen.add(region)));
      drag(moveBy(mm));
      for (const stop of stops) stop();
      expect(heightOf(regions[from].getState())).toBe(before + mm);
      expect([...seen]).toHaveLength(2);
      // nobody is left behind for more moves than there are regions; the fields for no more than 24
      for (const region of REGIONS) {
        const most = region === "measures" ? 24 : REGIONS.length;
        expect(heightOf(regions[region].getState())).toBeGreaterThanOrEqual(before + Math.max(0, mm - most));
      }
    }
  },
);

test("when the hand rests the others catch up one by one", () => {
  beginDrag("section");
  drag(moveBy(9));
  const count = () => REGIONS.filter((region) => heightOf(regions[region].getState()) === before + 9).length;
  expect(count()).toBe(2);
  timers.advanceTimersByTime(50);
  expect(count()).toBe(3);
  timers.advanceTimersByTime(300);
  expectAllLevel();
});

test("let go, all are level without waiting, and no late news comes after", () => {
  beginDrag("plan");
  drag(moveBy(8));
  endDrag(moveBy(8));
  expectAllLevel();
  const after = workbench.getState();
  timers.advanceTimersByTime(1000);
  expect(workbench.getState()).toBe(after);
  expectAllLevel();
});

test("a pull that is called off leaves every region where it was", () => {
  beginDrag("plan");
  drag(moveBy(8));
  timers.advanceTimersByTime(500);
  endDrag(null);
  expectAllLevel();
  expect(heightOf(regions.measures.getState())).toBe(before);
});
