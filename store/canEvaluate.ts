import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";

/** Whether this page can work a design out; one that it cannot must not be what it opens at every start. */
export function canEvaluate(design: Design): boolean {
  try {
    evaluate(design);
    return true;
  } catch {
    return false;
  }
}
