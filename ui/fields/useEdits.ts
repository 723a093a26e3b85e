"use client";
import type { Edit, EditPath } from "@/core/design/editOps";
import type { PartRef } from "@/core/design/part";
import { describeRefusal } from "@/store/refusals";
import { useWorkbench } from "@/store/useWorkbench";
import { change, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/fields/useEdits";

/** A refusal is the sentence that says why; null is done. */
type Refusal = string | null;

type Edits = {
  readonly apply: (edit: Edit) => Refusal;
  readonly set: (at: PartRef, path: EditPath, value: unknown) => Refusal;
  /** Puts a new entry into a list, before the place given. */
  readonly insert: (at: PartRef, path: EditPath, index: number, value: unknown, code?: Edit["code"]) => Refusal;
  readonly remove: (at: PartRef, path: EditPath, code?: Edit["code"]) => Refusal;
};

/** Edits for the fields: each is one undoable step, and a refusal comes back as a sentence. */
export function useEdits(): Edits {
  const units = useWorkbench((state) => state.units);
  const apply: Edits["apply"] = (edit) => {
    const outcome = change(edit);
    if (outcome.ok) return null;
    const [fault] = outcome.faults;
    return fault ? describeRefusal(fault, units, workbench.getState().history?.design) : WORDS.thatIsNotPossibleHere;
  };
  return {
    apply,
    set: (at, path, value) => apply({ code: "change", at, ops: [{ op: "set", path, value }] }),
    insert: (at, path, index, value, code = "change") =>
      apply({ code, at, ops: [{ op: "insert", path, index, value }] }),
    remove: (at, path, code = "change") => apply({ code, at, ops: [{ op: "remove", path }] }),
  };
}
