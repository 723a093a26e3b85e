import { buildMove, findPlaceMm } from "@/core/design/moves";
import { add, vec } from "@/core/geometry/vec";
import { readDemo } from "@/tests/demoRigs";
import { trailing } from "./trailing";
import { beginDrag, change, drag, endDrag, loadDesign, tilt, undo, workbench } from "./workbench";

const timers = (import.meta as unknown as { readonly jest: typeof jest }).jest;

const PART = { kind: "fixture", id: "sink" } as const;
const base = readDemo("kranich");
const moveBy = (mm: number) => buildMove(base, PART, add(findPlaceMm(base, PART)!, vec(0, 0, mm)));
const heightOf = (state: ReturnType<typeof trailing.getState>) => state.history!.design.fixtures[0]!.outletMm.z;

beforeEach(() => {
  timers.useFakeTimers();
  loadDesign(base);
});
afterEach(() => {
  endDrag(null);
  timers.useRealTimers();
});

test("at rest the lists see what the drawings see, at once", () => {
  expect(trailing.getState()).toBe(workbench.getState());
  change(moveBy(12)!);
  expect(trailing.getState()).toBe(workbench.getState());
  tilt({ pitchDeg: 1, rollDeg: 2 });
  expect(trailing.getState().attitude).toEqual({ pitchDeg: 1, rollDeg: 2 });
  undo();
  expect(heightOf(trailing.getState())).toBe(heightOf(workbench.getState()));
});

test("while something is pulled they follow a little later, with the last place only", () => {
  const seen: number[] = [];
  const stop = trailing.subscribe((state) => seen.push(heightOf(state)));
  beginDrag();
  for (const mm of [5, 10, 15, 20]) drag(moveBy(mm));
  expect(seen).toEqual([]);
  expect(heightOf(workbench.getState())).toBe(base.fixtures[0]!.outletMm.z + 20);
  timers.advanceTimersByTime(100);
  expect(seen).toEqual([base.fixtures[0]!.outletMm.z + 20]);
  stop();
});

test("let go, they are level with the drawings without waiting, and no late news comes after", () => {
  beginDrag();
  drag(moveBy(8));
  endDrag(moveBy(8));
  expect(trailing.getState()).toBe(workbench.getState());
  const before = trailing.getState();
  timers.advanceTimersByTime(1000);
  expect(trailing.getState()).toBe(before);
});

test("a pull that is called off leaves the lists where they were", () => {
  beginDrag();
  drag(moveBy(8));
  timers.advanceTimersByTime(100);
  endDrag(null);
  expect(heightOf(trailing.getState())).toBe(base.fixtures[0]!.outletMm.z);
});
