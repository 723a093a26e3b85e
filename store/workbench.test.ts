import { evaluate } from "@/core/evaluate/evaluate";
import { proposeRemedies } from "@/core/remedies/proposeRemedies";
import { readDemo } from "@/tests/demoRigs";
import { change, loadDesign, previewEdit, redo, tell, tilt, undo, view, workbench } from "./workbench";

const get = workbench.getState;

beforeEach(() => {
  workbench.setState(workbench.getInitialState(), true);
  loadDesign(readDemo("lesesaal"));
});

test("the evaluation always belongs to the design and the attitude shown", () => {
  const check = () => expect(get().evaluation).toEqual(evaluate(get().history!.design, get().attitude));
  check();
  tilt({ pitchDeg: 2, rollDeg: -1 });
  check();
  change({
    code: "change",
    at: { kind: "rig" },
    ops: [{ op: "set", path: ["habits", "people", "adults", "count"], value: 2 }],
  });
  check();
  undo();
  check();
  redo();
  check();
});

test("a tilt ends at 20° and is kept to a tenth", () => {
  tilt({ pitchDeg: 33, rollDeg: -1.26 });
  expect(get().attitude).toEqual({ pitchDeg: 20, rollDeg: -1.3 });
});

test("a previewed remedy changes nothing until it is taken, and any edit drops it", () => {
  const { history, evaluation } = get();
  const [remedy] = proposeRemedies(history!.design, evaluation!, evaluation!.findings[0]!);
  previewEdit(remedy!.edit);
  expect(get().history).toBe(history);
  expect(get().preview!.evaluation.findings.map((f) => f.code)).not.toContain("legBackwardsParked");
  previewEdit(null);
  expect(get().preview).toBeNull();
  previewEdit(remedy!.edit);
  expect(change(remedy!.edit)).toEqual({ ok: true });
  expect(get().preview).toBeNull();
  expect(get().history!.past).toHaveLength(1);
});

test("a preview that the design refuses is not shown", () => {
  previewEdit({
    code: "change",
    at: { kind: "rig" },
    ops: [{ op: "set", path: ["habits", "people", "adults", "count"], value: 0 }],
  });
  expect(get().preview).toBeNull();
});

test("a way of looking is no edit: nothing to undo, nothing to save", () => {
  view({ fillShare: 0.9, station: "tanks", exaggeration: 3, selection: { kind: "tank", id: "grey" } });
  tilt({ pitchDeg: 1, rollDeg: 1 });
  expect(get().history!.past).toHaveLength(0);
  expect(get().save).toBe("saved");
});

test("opening a design ends the way back of the one before, and stands it level", () => {
  change({
    code: "change",
    at: { kind: "rig" },
    ops: [{ op: "set", path: ["habits", "people", "adults", "count"], value: 2 }],
  });
  tilt({ pitchDeg: 2, rollDeg: 0 });
  loadDesign(readDemo("otter"));
  expect(get()).toMatchObject({ attitude: { pitchDeg: 0, rollDeg: 0 }, save: "saved", selection: null });
  undo();
  expect(get().history!.design.id).toBe("otter");
});

test("a later word replaces an earlier one", () => {
  tell("one");
  const first = get().notice!.id;
  tell("two", { tone: "warning" });
  expect(get().notice).toMatchObject({ text: "two", tone: "warning", action: null });
  expect(get().notice!.id).not.toBe(first);
});
