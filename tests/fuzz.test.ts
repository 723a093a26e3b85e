import { DEMO_NAMES, FURNISHED, readDemoText } from "./demoRigs";
import { fuzzFiles } from "./fuzz";

test("5,000 mutated files: each is worked out soundly or refused with a sentence, and none breaks anything", () => {
  const texts = [...DEMO_NAMES.map((name) => readDemoText(name)), readDemoText(FURNISHED)];
  const { defects, refused, opened } = fuzzFiles(texts, 5_000, Number(process.env["FC_SEED"] ?? 1));
  expect(defects.slice(0, 5)).toEqual([]);
  expect(refused).toBeGreaterThan(500);
  expect(opened).toBeGreaterThan(500);
}, 120_000);
