import fc from "fast-check";
import { evaluate } from "@/core/evaluate/evaluate";
import { attitudes, designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { describeVerdict } from "./verdict";

const verdictOf = (name: Parameters<typeof readDemo>[0]) => {
  const design = readDemo(name);
  const evaluation = evaluate(design);
  return describeVerdict(design, evaluation, evaluation.drains[0]!, "metric");
};

test("the sample rigs in one line each", () => {
  expect(verdictOf("kranich")).toMatchObject({ tone: "runs", text: expect.stringMatching(/^Runs wherever you park/) });
  expect(verdictOf("lesesaal")).toMatchObject({ tone: "must", text: expect.stringMatching(/leg 3 runs backwards/) });
  expect(verdictOf("puppenwagen")).toMatchObject({ tone: "must", text: expect.stringMatching(/has no trap/) });
});

test("a drain is said to run only where nothing must or should be settled about it, and then it has fall in hand", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const evaluation = evaluate(design, attitude);
      const drain = evaluation.drains[0]!;
      const { tone, text } = describeVerdict(design, evaluation, drain, "metric");
      expect(text).toMatch(/\.$/);
      if (tone === "runs") expect(drain.worst.inHandMm).toBeGreaterThanOrEqual(0);
      if (drain.worst.inHandMm < -0.5) expect(tone).toBe("must");
    }),
  );
});
