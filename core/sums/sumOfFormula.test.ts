import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { listWorkings } from "../workings/listWorkings";
import { findSum, workOut } from "./catalogue";
import { SUM_OF_FORMULA } from "./sumOfFormula";

// a slip of paper and the catalogue must not tell two stories
test.each([...DEMO_NAMES, FURNISHED] as const)(
  "%s: every working that is a sum of the catalogue comes out the same there",
  (name) => {
    const design = readDemo(name);
    const evaluation = evaluate(design, { pitchDeg: 1.5, rollDeg: -1 });
    let held = 0;
    for (const { formula, terms, result, id } of listWorkings(design, evaluation)) {
      const match = SUM_OF_FORMULA[formula];
      if (!match) continue;
      const sum = findSum(match.sum)!;
      const values = Object.fromEntries(
        terms.flatMap(({ symbol, value }) => (match.terms[symbol] ? [[match.terms[symbol], value] as const] : [])),
      );
      if (sum.terms.some((term) => values[term.name] === undefined)) continue;
      const outcome = workOut(sum, values);
      if (!outcome.ok && outcome.fault.code === "outOfRange") continue;
      expect([id, outcome.ok]).toEqual([id, true]);
      if (outcome.ok)
        expect(Math.abs(outcome.value - result.value)).toBeLessThan(1e-6 * Math.max(1, Math.abs(result.value)));
      held += 1;
    }
    expect(held).toBeGreaterThan(4);
  },
);
