import { DEMO_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import type { LogEntry } from "../record/record";
import { computeBleachMl, listCare, listDueCare } from "./care";

const done = (taskId: string, at: string): LogEntry => ({
  id: "e",
  at,
  kind: "care",
  storeId: null,
  amount: null,
  note: "",
  taskId,
});

test("tasks are told apart, come from the parts that are there, and the soonest stands first", () => {
  for (const name of [...DEMO_NAMES, ...LOOP_NAMES]) {
    const design = readDemo(name);
    const ids = listCare(design).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const due = listDueCare(design, [], "2026-05-01").map(({ inDays }) => inDays);
    expect(due).toEqual([...due].sort((a, b) => a - b));
  }
  expect(listCare(readDemo("kranich-loop")).some(({ kind }) => kind === "lamp")).toBe(true);
  expect(listCare(readDemo("kranich")).some(({ kind }) => kind === "lamp")).toBe(false);
});

test("what was done is due again after its time, from the last time; over the turn of a year too", () => {
  const design = readDemo("kranich");
  const [due] = listDueCare(
    design,
    [done("primeTraps", "2025-12-01T09:00"), done("primeTraps", "2025-12-20T09:00")],
    "2026-01-01",
  ).filter(({ id }) => id === "primeTraps");
  expect(due).toMatchObject({ doneOn: "2025-12-20", dueOn: "2026-02-14", inDays: 44 });
});

// Worked by hand: 100 L at 50 mg/L are 5 g of chlorine, in bleach of 5 % 100 g.
test("100 L want 100 mL of 5 % bleach, 50 of 10 %", () => {
  expect(computeBleachMl(100, 5)).toBeCloseTo(100, 9);
  expect(computeBleachMl(100, 10)).toBeCloseTo(50, 9);
});
