import { LEVEL } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { evaluate, judgeInSteps } from "@/core/evaluate/judge";
import { pause } from "./pause";

// a design is tried before it is shown, and shown as it was worked out then
const tried = new WeakMap<Design, Evaluation>();

/** The design worked out as it stands level. */
export function evaluateLevel(design: Design): Evaluation {
  const known = tried.get(design) ?? evaluate(design, LEVEL);
  tried.set(design, known);
  return known;
}

/** The same as `canEvaluate`, a piece at a time: a page that comes up answers a hand in between. */
export async function canEvaluateCalmly(design: Design): Promise<boolean> {
  try {
    const steps = judgeInSteps(design, LEVEL);
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done) {
        tried.set(design, step.value);
        return true;
      }
      await pause();
    }
  } catch {
    return false;
  }
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
