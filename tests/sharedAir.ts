import type { Design } from "@/core/design/design";
import { applyEdit } from "@/core/design/edit";
import type { Edit } from "@/core/design/editOps";
import { buildAddVent, buildJoinVent } from "@/core/edits/ventEdits";
import { readDemo } from "./demoRigs";

/** The design after an edit that must be allowed. */
export function mustApply(design: Design, edit: Edit | null): Design {
  if (!edit) throw new Error("there is no such edit");
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

/** Lesesaal with a second tank beside the first; its breather joins that of the first by a tee. */
export function buildSharedAir(holds: "grey" | "black" | "fresh" = "black"): Design {
  const design = readDemo("lesesaal");
  const [grey] = design.tanks;
  const second = {
    ...grey!,
    id: "second",
    name: "Second tank",
    holds,
    atMm: { ...grey!.atMm, x: grey!.atMm.x - 1400 },
  };
  const ports = second.ports.filter(({ kind }) => kind === "outlet");
  const two: Design = { ...design, tanks: [grey!, { ...second, ports }] };
  const vented = mustApply(two, buildAddVent(two, two.tanks[1]!));
  const own = vented.lines.find((line) => line.kind === "vent" && line.fromTank === "second")!;
  return mustApply(vented, buildJoinVent(vented, own.id, "grey-vent"));
}
