import { LEVEL } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { evaluate } from "@/core/evaluate/judge";

// a design is tried before it is shown, and shown as it was worked out then
const tried = new WeakMap<Design, Evaluation>();

/** The design worked out as it stands level. */
export function evaluateLevel(design: Design): Evaluation {
  const known = tried.get(design) ?? evaluate(design, LEVEL);
  tried.set(design, known);
  return known;
}

/** Whether this page can work a design out; one that it cannot must not be what it opens at every start. */
export function canEvaluate(design: Design): boolean {
  try {
    evaluateLevel(design);
    return true;
  } catch {
    return false;
  }
}
