import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { computeUp } from "./attitude";
import { isInEnvelope, listEnvelopeAttitudes } from "./envelope";

// ISO 8855 axes: pitch above 0 is nose down, roll above 0 is left side up.
test("nose down lowers what is forward, left side up raises what is left", () => {
  const down = computeUp({ pitchDeg: 2, rollDeg: 0 });
  expect(down.x).toBeCloseTo(-0.0349, 4);
  const leftUp = computeUp({ pitchDeg: 0, rollDeg: 2 });
  expect(leftUp.y).toBeCloseTo(0.0349, 4);
});

test("up is a unit vector at every attitude", () => {
  fc.assert(
    fc.property(attitudes, (attitude) => {
      const { x, y, z } = computeUp(attitude);
      expect(Math.hypot(x, y, z)).toBeCloseTo(1, 12);
    }),
  );
});

test("the envelope's deciding attitudes lie in it, level among them", () => {
  const envelope = { noseDownDeg: 3, noseUpDeg: 2, leftLowDeg: 0, rightLowDeg: 1 };
  const list = listEnvelopeAttitudes(envelope);
  expect(list).toContainEqual({ pitchDeg: 0, rollDeg: 0 });
  expect(list).toContainEqual({ pitchDeg: 3, rollDeg: 1 });
  expect(list.every((attitude) => isInEnvelope(envelope, attitude))).toBe(true);
  expect(isInEnvelope(envelope, { pitchDeg: 3.1, rollDeg: 0 })).toBe(false);
  expect(list).toHaveLength(6);
});
