import { isFitFor } from "@/core/evaluate/domains";
import { readDemo } from "@/tests/demoRigs";

// modules have the runner by another way than scripts
type Runner = {
  readonly unstable_mockModule: (path: string, make: () => Promise<object>) => void;
  readonly resetModules: () => void;
};
const runner = (import.meta as unknown as { readonly jest: Runner }).jest;

test("what judges the pumped side is not there before the words for it, however late they come", async () => {
  const design = readDemo("kranich-loop");
  let isJudgedBefore: boolean | null = null;
  runner.unstable_mockModule("@/words/fittedFindings", async () => {
    await new Promise((resolve) => setTimeout(resolve, 300));
    isJudgedBefore = isFitFor(design);
    return {};
  });
  const { canBeTold, isReadyFor } = await import("./fitted");
  expect(isFitFor(design)).toBe(false);
  expect(await isReadyFor(design)).toBe(true);
  expect(isJudgedBefore).toBe(false);
  expect(canBeTold(design)).toBe(true);
  expect(isFitFor(design)).toBe(true);
});

test("a station that brings what judges does not stand for the words: such a rig is not fit before both came", async () => {
  runner.resetModules();
  await import("@/core/evaluate/fitted");
  const { canBeTold, isReadyFor } = await import("./fitted");
  expect(canBeTold(readDemo("kranich"))).toBe(true);
  expect(canBeTold(readDemo("kranich-loop"))).toBe(false);
  expect(await isReadyFor(readDemo("kranich-loop"))).toBe(true);
  expect(canBeTold(readDemo("kranich-loop"))).toBe(true);
});
