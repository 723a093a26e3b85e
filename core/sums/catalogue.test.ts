import fc from "fast-check";
import { findSum, SUM_IDS, SUMS, solveFor, workOut } from "./catalogue";

// Worked examples: by hand from the formulas beside each, IPC 909.1 and EPA figures from memory; no others.
test.each(SUMS.map((sum) => [sum.id, sum] as const))("%s comes out as its worked example", (_, sum) => {
  const outcome = workOut(sum, sum.example.values);
  expect(outcome.ok).toBe(true);
  if (outcome.ok) expect(Math.abs(outcome.value - sum.example.result)).toBeLessThanOrEqual(sum.example.within);
});

test.each(SUMS.map((sum) => [sum.id, sum] as const))("%s is a figure or a refusal for any values", (_, sum) => {
  const values = fc.record(
    Object.fromEntries(
      sum.terms.map(({ name, least, most }) => [name, fc.double({ min: least, max: most, noNaN: true })]),
    ),
  );
  fc.assert(
    fc.property(values, (given) => {
      const outcome = workOut(sum, given);
      if (outcome.ok) expect(Number.isFinite(outcome.value)).toBe(true);
      else expect(outcome.fault.code).toBe("noResult");
    }),
    { numRuns: 50 },
  );
  const usual = Object.fromEntries(sum.terms.map(({ name, usual: value }) => [name, value]));
  expect(workOut(sum, usual).ok).toBe(true);
});

test("missing, unknown and impossible terms are named", () => {
  const sum = findSum("sealDrying")!;
  expect(workOut(sum, { H: 50 })).toEqual({ ok: false, fault: { code: "missingTerm", name: "e" } });
  expect(workOut(sum, { H: 50, e: 2, x: 1 })).toEqual({ ok: false, fault: { code: "unknownTerm", name: "x" } });
  expect(workOut(sum, { H: 50, e: 0 })).toMatchObject({ ok: false, fault: { code: "outOfRange", name: "e" } });
  expect(workOut(sum, { H: Number.NaN, e: 2 })).toMatchObject({ ok: false, fault: { code: "outOfRange" } });
  expect(findSum("no")).toBeNull();
});

test("solved backwards, every sum gives its own result again", () => {
  fc.assert(
    fc.property(fc.constantFrom(...SUM_IDS), fc.nat(), (id, which) => {
      const sum = findSum(id)!;
      const term = sum.terms[which % sum.terms.length]!;
      const usual = Object.fromEntries(sum.terms.map((one) => [one.name, one.usual]));
      const result = workOut(sum, usual);
      if (!result.ok) return;
      const solved = solveFor(sum, usual, term.name, result.value);
      if (solved === null) return;
      const again = workOut(sum, { ...usual, [term.name]: solved });
      expect(again.ok).toBe(true);
      if (again.ok)
        expect(Math.abs(again.value - result.value)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(result.value)));
    }),
    { numRuns: 200 },
  );
  // of a breather: the bore that just keeps 375 Pa
  const breather = findSum("breather")!;
  const bore = solveFor(breather, { Q: 0.8, d: 9.5, L: 2_000, K: 1.5 }, "d", 375)!;
  expect(bore).toBeGreaterThan(9.5);
  expect(bore).toBeLessThan(12.7);
});
