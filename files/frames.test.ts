import fc from "fast-check";
import jsQR from "jsqr";
import { encode } from "uqr";
import { evaluate } from "@/core/evaluate/evaluate";
import "@/core/evaluate/fitted";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import "@/words/fittedFindings";
import { writeUnderCards } from "@/words/underCards";
import { type Gathered, gatherFrame, joinFrames, splitFrames } from "./frames";

test("any text comes back from its frames, in any order, with three in ten lost and shown again", () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 6_000, unit: "grapheme" }), fc.infiniteStream(fc.nat(9)), (text, chance) => {
      const frames = splitFrames(text);
      let gathered: Gathered | null = null;
      for (let round = 0; round < 60; round++) {
        for (const frame of [...frames].reverse()) {
          // three in ten are not read
          if (chance.next().value < 3) continue;
          gathered = gatherFrame(gathered, frame);
        }
        if (gathered && joinFrames(gathered).ok) break;
      }
      expect(gathered && joinFrames(gathered)).toEqual({ ok: true, text });
    }),
    { numRuns: 60 },
  );
});

test("half a sequence says how much is missing; a frame read wrongly does not pass; another sequence begins anew", () => {
  const frames = splitFrames("x".repeat(10) + Array.from({ length: 3_000 }, (_, i) => String(i * 7919)).join(""));
  expect(frames.length).toBeGreaterThan(3);
  const half = frames.slice(0, 2).reduce<Gathered | null>(gatherFrame, null)!;
  expect(joinFrames(half)).toEqual({ ok: false, missing: frames.length - 2 });
  const spoilt = frames.map((frame, i) => (i === 1 ? `${frame.slice(0, -6)}BB8BB8` : frame));
  expect(joinFrames(spoilt.reduce<Gathered | null>(gatherFrame, null)!)).toEqual({ ok: false, missing: 0 });
  expect(gatherFrame(half, splitFrames("other")[0]!)!.count).toBe(1);
  expect(gatherFrame(half, "hello")).toBe(half);
  expect(gatherFrame(null, "SL2:zz:1:1:X")).toBeNull();
});

test("whatever comes in, joining never throws", () => {
  fc.assert(
    fc.property(fc.string(), fc.nat(3), fc.nat(3), (data, index, count) => {
      const gathered = gatherFrame(null, `SL2:0BADF00D:${index}:${count}:${data}`);
      if (gathered) expect(joinFrames(gathered).ok).toBe(false);
    }),
  );
});

// Drawn by one general library and read by another, as a camera sees it: black and white dots.
test("the sheet of every sample is few codes, none too fine for a camera, that a general reader reads", () => {
  for (const name of [...DEMO_NAMES, ...LOOP_NAMES, FURNISHED, HEADS_NAME, ...HEADS_NAMES] as const) {
    const design = readDemo(name);
    const frames = splitFrames(JSON.stringify(writeUnderCards(design, evaluate(design), "metric")));
    expect(frames.length).toBeLessThanOrEqual(20);
    // no larger than a camera reads at arm's length: 73 dots a side, and a rim of 4
    expect(Math.max(...frames.map((frame) => encode(frame, { border: 4 }).size))).toBeLessThanOrEqual(81);
    expect(readCode(frames[0]!)).toBe(frames[0]);
  }
});

function readCode(text: string): string | undefined {
  const { data, size } = encode(text, { border: 4 });
  const dot = 4;
  const side = size * dot;
  const pixels = new Uint8ClampedArray(side * side * 4);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++)
      pixels.set(
        [...new Array(3).fill(data[Math.floor(y / dot)]![Math.floor(x / dot)] ? 0 : 255), 255],
        (y * side + x) * 4,
      );
  return jsQR(pixels, side, side)?.data;
}
