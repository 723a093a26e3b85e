import { DEMO_NAMES, FURNISHED, HEADS_NAMES, LOOP_NAMES, readDemoText } from "./demoRigs";
import { fuzzFiles } from "./fuzz";

test("1,000 mutated files: each is worked out soundly or refused with a sentence, and none breaks anything", () => {
  // the largest once among the others: it costs as much as five of them
  const names = [...DEMO_NAMES, ...DEMO_NAMES, ...DEMO_NAMES, LOOP_NAMES[0], HEADS_NAMES[2], FURNISHED] as const;
  const texts = names.map((name) => readDemoText(name));
  const { defects, refused, opened } = fuzzFiles(texts, 1_000, Number(process.env["FC_SEED"] ?? 1));
  expect(defects.slice(0, 5)).toEqual([]);
  expect(refused).toBeGreaterThan(100);
  expect(opened).toBeGreaterThan(100);
}, 120_000);
