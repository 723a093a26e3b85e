"use client";
import type { EditOp, EditPath } from "@/core/design/edit";
import type { PartRef } from "@/core/design/part";
import { useWorkbench } from "@/store/useWorkbench";
import { change } from "@/store/workbench";
import { describeFault } from "@/words/faults";

type Edits = {
  /** Sets one value; the answer is null, or the sentence that says why not. */
  readonly set: (at: PartRef, path: EditPath, value: unknown) => string | null;
  readonly apply: (edit: Parameters<typeof change>[0]) => string | null;
};

/** Edits for the fields: each is one undoable step, and a refusal comes back as a sentence. */
export function useEdits(): Edits {
  const units = useWorkbench((state) => state.units);
  const apply: Edits["apply"] = (edit) => {
    const outcome = change(edit);
    if (outcome.ok) return null;
    const [fault] = outcome.faults;
    return fault ? describeFault(fault, units) : "That is not possible here.";
  };
  return {
    apply,
    set: (at, path, value) => apply({ code: "change", at, ops: [{ op: "set", path, value } satisfies EditOp] }),
  };
}
