import { listRedrawn } from "@/core/build/redrawn";
import { listSteps } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import type { BuildRecord } from "@/core/record/record";
import { records } from "@/store/records";
import { view as look, tell } from "@/store/workbench";
import { describeStep } from "@/words/build";
import { STATION_NAMES } from "@/words/labels";
import { tellRedrawn } from "@/words/redrawn";

/** Says what an edit drew otherwise that is ticked as built. */
export async function tellRedrawnSteps(was: Design, is: Design): Promise<void> {
  await records.open(is.id);
  const { designId, phase, build } = records.store.getState();
  if (designId !== is.id || phase !== "ready" || build.done.length === 0) return;
  const before = new Set(listNames(was, build).map(({ id }) => id));
  const fresh = listNames(is, build).filter(({ id }) => !before.has(id));
  if (fresh.length === 0) return;
  tell(tellRedrawn(fresh.map(({ name }) => name)), {
    tone: "warning",
    action: { label: STATION_NAMES.build.name, run: () => look({ station: "build" }) },
  });
}

function listNames(design: Design, { done }: BuildRecord): { readonly id: string; readonly name: string }[] {
  const evaluation = evaluate(design);
  const { redrawn, gone } = listRedrawn(listSteps(design, evaluation), done, design, evaluation);
  return [
    ...redrawn.map(({ step }) => ({ id: step.id, name: describeStep(step, design) })),
    ...gone.map(({ stepId, name = stepId }) => ({ id: `gone ${stepId}`, name })),
  ];
}
