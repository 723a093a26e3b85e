import { listGoods } from "@/core/build/goods";
import { takeDrawn } from "@/core/build/redrawn";
import { listSteps } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import "@/core/evaluate/fitted";
import { computeLoopFigures } from "@/core/gear/loopFigures";
import { computeStability } from "@/core/heads/stability";
import { toUse } from "@/core/pour/usualUses";
import { listCare } from "@/core/road/care";
import { listFloods } from "@/core/through/flood";
import { listHoles } from "@/core/through/holes";
import { ALL_DEMOS } from "./demoRigs";
import { changeLeaf, listLeaves, tryOther } from "./leaves";

/** Numbers and switches that change nothing of what is worked out, and why they are asked for all the same. */
const IDLE: Readonly<Record<string, string>> = {
  "habits.certainty": "how sure the simulated days are to be, drawn apart from the judgement",
  "habits.ways.uses<other>.takesL": "its water comes from elsewhere",
  "habits.ways.uses<urine>.takesL": "its water comes from elsewhere",
  "obstacles<axle>.atMm.y": "nothing of the samples comes near it that way",
  "obstacles<axle>.widthMm": "nothing of the samples comes near it that way",
  "obstacles<fuelTank>.atMm.z": "nothing of the samples comes near it that way",
  "obstacles<fuelTank>.heightMm": "nothing of the samples comes near it that way",
  "obstacles<shaft>.atMm.x": "nothing of the samples comes near it that way",
  "obstacles<shaft>.atMm.y": "nothing of the samples comes near it that way",
  "obstacles<shaft>.widthMm": "nothing of the samples comes near it that way",
  "rig<boat>.groundZMm": "her keel, from which bilge pumps lift; no sample has one",
  "tanks.fixing<brackets>.heldFactor": "divides ratings the samples do not know",
  "tanks.fixing<onFloor>.heldFactor": "divides ratings the samples do not know",
  "tanks.ports<draw>.fittingMm": "nothing of the samples stands so near",
  "tanks.ports<fill>.fittingMm": "nothing of the samples stands so near",
  "tanks.ports<inlet>.fittingMm": "nothing of the samples stands so near",
  "tanks.ports<vent>.fittingMm": "nothing of the samples stands so near",
};

const TILTED = { pitchDeg: 2, rollDeg: -3 };

// All the core says of a design: what is found, bought, built, kept and poured; part by part, for most shows in the first.
function* tellAll(design: Design): Generator<string> {
  const evaluation = evaluate(design);
  yield JSON.stringify(evaluation);
  yield JSON.stringify(listGoods(design, evaluation));
  yield JSON.stringify(listSteps(design, evaluation).map((step) => takeDrawn(step, design, evaluation)));
  yield JSON.stringify([computeLoopFigures(design), listCare(design), computeStability(design), listFloods(design)]);
  yield JSON.stringify([listHoles(design, evaluation), design.fixtures.map(toUse)]);
  yield JSON.stringify(evaluate(design, TILTED));
}

/** Whether any part of it is told otherwise. */
function isToldOtherwise(design: Design, before: readonly string[]): boolean {
  let at = 0;
  for (const part of tellAll(design)) if (part !== before[at++]) return true;
  return false;
}

test("every number and switch of the samples changes something that is said, or has its reason", () => {
  const tried = new Map<string, number>();
  const alive = new Set<string>();
  for (const design of ALL_DEMOS) {
    const before = [...tellAll(design)];
    for (const { path, pattern, value } of listLeaves(design)) {
      const isWritten = path.length === 1 || typeof value === "string" || value === null;
      // what is known to be idle costs the most, for nothing ends its search: once is enough to see that it still is
      const most = pattern in IDLE ? 1 : 4;
      if (isWritten || alive.has(pattern) || (tried.get(pattern) ?? 0) >= most) continue;
      tried.set(pattern, (tried.get(pattern) ?? 0) + 1);
      const changes = tryOther(value, (other) => {
        const changed = changeLeaf(design, path, other);
        return changed && isToldOtherwise(changed, before) ? true : null;
      });
      if (changes) alive.add(pattern);
    }
  }
  const idle = [...tried.keys()].filter((pattern) => !alive.has(pattern)).sort();
  expect(idle).toEqual(Object.keys(IDLE).sort());
  expect(alive.size).toBeGreaterThan(250);
});
