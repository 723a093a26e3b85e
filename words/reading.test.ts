import fc from "fast-check";
import { readDesign, readDesignText } from "@/core/design/readDesign";
import { DEMO_NAMES, readDemoText } from "@/tests/demoRigs";
import { describeFault } from "./faults";

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const junk: fc.Arbitrary<Json> = fc.oneof(
  fc.constantFrom<Json>(null, true, "", "__proto__", -1, 1e308, 0, [], {}),
  fc.double() as fc.Arbitrary<Json>,
  fc.string() as fc.Arbitrary<Json>,
  fc.jsonValue() as fc.Arbitrary<Json>,
);

// Replaces, drops or adds something at a random place of a real file.
function mutate(text: string, steps: readonly number[], value: Json, how: number): string {
  const root = JSON.parse(text) as Json;
  let at: Json = root;
  for (const step of steps) {
    if (typeof at !== "object" || at === null) break;
    const holder = at as Record<string, Json>;
    const keys = Object.keys(holder);
    if (keys.length === 0) break;
    const key = keys[step % keys.length]!;
    const child: Json = holder[key]!;
    if (typeof child !== "object" || child === null || step % 7 === 0) {
      if (how % 3 === 0) delete holder[key];
      else holder[how % 3 === 1 ? key : `${key}x`] = value;
      break;
    }
    at = child;
  }
  return JSON.stringify(root);
}

test("2,000 mutated files: every one is read soundly or refused with a sentence, none throws", () => {
  const texts = DEMO_NAMES.map(readDemoText);
  let refused = 0;
  const property = fc.property(
    fc.nat(3),
    fc.array(fc.nat(50), { minLength: 1, maxLength: 8 }),
    junk,
    fc.nat(2),
    fc.option(fc.record({ from: fc.nat(4000), length: fc.nat(30) }), { freq: 4 }),
    (which, steps, value, how, cut) => {
      let text = mutate(texts[which]!, steps, value, how);
      if (cut) text = text.slice(0, cut.from) + text.slice(cut.from + cut.length);
      const outcome = readDesignText(text);
      if (outcome.ok) {
        expect(readDesign(outcome.design).ok).toBe(true);
        return;
      }
      refused++;
      expect(outcome.faults.length).toBeGreaterThan(0);
      for (const fault of outcome.faults) expect(describeFault(fault)).toMatch(/^[A-Z].*\.$/s);
    },
  );
  fc.assert(property, { numRuns: 2000 });
  expect(refused).toBeGreaterThan(1000);
});

// Kept from the sharp end: what a stranger's file may hold, and that nothing of it reaches the design.
test.each([
  ["a prototype in the rig", '"rig":{', '"rig":{"__proto__":{"polluted":1},'],
  ["a constructor in a tank", '"solid":{', '"solid":{"constructor":{"prototype":{}},'],
  ["a number beyond all numbers", '"wallMm":', '"wallMm":1e999,"x":'],
  ["a comment", '"rig":', '/* mine */"rig":'],
])("%s is refused with a sentence and leaves no trace", (_, from, to) => {
  const text = JSON.stringify(JSON.parse(readDemoText("kranich"))).replace(from, to);
  const outcome = readDesignText(text);
  if (outcome.ok) throw new Error("it was taken");
  expect(describeFault(outcome.faults[0]!)).toMatch(/^[A-Z].*\.$/s);
  expect(({} as Record<string, unknown>)["polluted"]).toBeUndefined();
});

test("a byte order mark and other line ends are no fault", () => {
  const text = `\uFEFF${readDemoText("otter").replace(/\n/g, "\r\n")}`;
  expect(readDesignText(text).ok).toBe(true);
});
