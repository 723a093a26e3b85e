import fc from "fast-check";
import type { Design } from "@/core/design/design";
import { applyEdit } from "@/core/design/edit";
import type { Edit } from "@/core/design/editOps";
import { readDemo } from "@/tests/demoRigs";
import { pushStep, redoStep, startHistory, undoStep } from "./history";

const kranich = readDemo("kranich");

const edits: fc.Arbitrary<Edit> = fc.oneof(
  fc.integer({ min: 1, max: 20 }).map((value) => set(["tanks", "grey", "wallMm"], value)),
  fc.integer({ min: 1, max: 9 }).map((value) => set(["habits", "people", "adults", "count"], value)),
  fc.integer({ min: 500, max: 700 }).map((value) => set(["fixtures", "sink", "outletMm", "z"], value)),
);

function set(path: (string | number)[], value: unknown): Edit {
  return { code: "change", at: { kind: "rig" }, ops: [{ op: "set", path, value }] };
}

function apply(design: Design, edit: Edit): Design {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

test("whatever was done, undone all the way is where it began, and redone all the way is where it ended", () => {
  fc.assert(
    fc.property(fc.array(edits, { minLength: 1, maxLength: 25 }), (list) => {
      const seen: Design[] = [kranich];
      let history = startHistory(kranich);
      for (const edit of list) {
        history = pushStep(history, apply(history.design, edit), edit);
        seen.push(history.design);
      }
      for (let i = list.length; i > 0; i--) {
        expect(history.design).toBe(seen[i]);
        history = undoStep(history);
      }
      expect(history.design).toBe(kranich);
      expect(undoStep(history)).toBe(history);
      for (let i = 1; i <= list.length; i++) {
        history = redoStep(history);
        expect(history.design).toBe(seen[i]);
      }
      expect(redoStep(history)).toBe(history);
      expect(history.past.map((step) => step.edit)).toEqual(list);
    }),
  );
});

test("an edit after undoing ends the way forward", () => {
  let history = startHistory(kranich);
  const [one, two] = [set(["habits", "people", "adults", "count"], 3), set(["habits", "people", "adults", "count"], 4)];
  history = pushStep(history, apply(history.design, one), one);
  history = undoStep(history);
  history = pushStep(history, apply(history.design, two), two);
  expect(history.future).toHaveLength(0);
  expect(redoStep(history)).toBe(history);
});

test("the way back is long but has an end, and what it leaves out is the oldest", () => {
  let history = startHistory(kranich);
  for (let i = 0; i < 320; i++) {
    const edit = set(["habits", "people", "adults", "count"], (i % 9) + 1);
    history = pushStep(history, { ...history.design, note: String(i) }, edit);
  }
  expect(history.past).toHaveLength(300);
  expect(history.past[0]!.before.note).toBe("19");
});
