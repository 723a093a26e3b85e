import fc from "fast-check";
import { mergeTicks, readTicks } from "./readTicks";
import { EMPTY_BUILD } from "./record";
import { writeTicks } from "./ticks";

const ids = fc.uniqueArray(fc.stringMatching(/^[a-z]{3,12}:[a-z0-9-]{1,20}$/), { maxLength: 40 });

test("ticks come back as they went, cards that are no steps stay on the phone", () => {
  fc.assert(
    fc.property(ids, ids, (steps, others) => {
      const cards = new Set([...steps.map((id) => `steps:${id}`), ...others.map((id) => `holes:${id}`)]);
      expect(readTicks(writeTicks("kranich", "2026-05-01", cards))).toEqual({
        designId: "kranich",
        on: "2026-05-01",
        stepIds: steps,
      });
    }),
  );
});

test("merging loses nothing, changes no day, and twice is as once", () => {
  fc.assert(
    fc.property(ids, ids, (mine, theirs) => {
      const build = { ...EMPTY_BUILD, done: mine.map((stepId) => ({ stepId, on: "2026-04-01", hours: 2 })) };
      const merged = mergeTicks(build, { on: "2026-05-01", stepIds: theirs });
      expect(merged.done.slice(0, mine.length)).toEqual(build.done);
      expect(new Set(merged.done.map(({ stepId }) => stepId))).toEqual(new Set([...mine, ...theirs]));
      expect(mergeTicks(merged, { on: "2026-06-01", stepIds: theirs })).toEqual(merged);
    }),
  );
});

test.each([
  "",
  "{",
  "null",
  "7",
  "{}",
  '{"format":"schleuse-ticks","designId":"a","on":"soon","stepIds":[]}',
  '{"format":"schleuse-ticks","designId":"a","on":"2026-05-01","stepIds":[7]}',
])("%j is no ticks of ours", (text) => expect(readTicks(text)).toBeNull());

test("how the rig stood comes along where it was measured; what is no way to stand is left out, the ticks are not", () => {
  const stands = { pitchDeg: -1.25, rollDeg: 0.5 };
  expect(readTicks(writeTicks("otter", "2026-05-01", new Set(["steps:a"]), stands))).toMatchObject({
    stepIds: ["a"],
    stands,
  });
  const odd = readTicks(writeTicks("otter", "2026-05-01", new Set(["steps:a"]), { pitchDeg: 99, rollDeg: 0 }));
  expect(odd).toEqual({ designId: "otter", on: "2026-05-01", stepIds: ["a"] });
});

test("what a step was called and drawn like comes along; what is no such thing is left out, the tick is not", () => {
  const drawn = { placesMm: [{ x: 5030, y: 790, z: 0 }], sizesMm: [54, 54], word: "abc" };
  const cards = new Set(["steps:a", "steps:b"]);
  const asOf = (id: string) => (id === "a" ? { name: "Drill", drawn } : null);
  const ticks = readTicks(writeTicks("otter", "2026-05-01", cards, null, asOf))!;
  expect(mergeTicks(EMPTY_BUILD, ticks).done).toEqual([
    { stepId: "a", on: "2026-05-01", name: "Drill", drawn },
    { stepId: "b", on: "2026-05-01" },
  ]);
  const odd = writeTicks("otter", "2026-05-01", cards, null, () => ({ drawn: { ...drawn, word: "x".repeat(99) } }));
  expect(readTicks(odd)).toEqual({ designId: "otter", on: "2026-05-01", stepIds: ["a", "b"] });
});
