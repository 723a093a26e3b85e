import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { evaluate } from "../evaluate/evaluate";
import { findRoutes } from "./findRoutes";

/**
 * The first way the finder knows for a drain by which the design has fewer things that must be settled: as it stands, or with its
 * tank lower or its outlet higher. Of ways that leave nothing the first, else null where none helps.
 */
export function findCleanWay(design: Design, drainId: string): Edit | null {
  const before = countMusts(design);
  const routes = findRoutes(design, drainId);
  let best: { readonly edit: Edit; readonly musts: number } | null = null;
  for (const { edit } of [...(routes?.proposals ?? []), ...(routes?.changes ?? [])]) {
    const laid = applyEdit(design, edit);
    const musts = laid.ok ? countMusts(laid.design) : before;
    if (musts < (best?.musts ?? before)) best = { edit, musts };
    if (musts === 0) break;
  }
  return best?.edit ?? null;
}

/** The edit, with the drain of a fixture laid by the finder where as it is drawn it cannot stay. */
export function layDrainClear(design: Design, edit: Edit, fixtureId: string): Edit {
  const now = applyEdit(design, edit);
  const drain = now.ok
    ? now.design.lines.find((line) => line.kind === "drain" && line.fromFixture === fixtureId)
    : null;
  if (!now.ok || !drain) return edit;
  const isBad = evaluate(now.design).findings.some(
    ({ severity, at }) => severity === "must" && "lineId" in at && at.lineId === drain.id,
  );
  const way = isBad ? findCleanWay(now.design, drain.id) : null;
  return way ? { ...edit, ops: [...edit.ops, ...way.ops] } : edit;
}

/** How much of a design must be settled. */
export const countMusts = (design: Design): number =>
  evaluate(design).findings.filter(({ severity }) => severity === "must").length;

/** Whether an edit leaves more that must be settled than there was, or is refused. */
export function bringsMust(design: Design, edit: Edit): boolean {
  const fitted = applyEdit(design, edit);
  return !fitted.ok || countMusts(fitted.design) > countMusts(design);
}
