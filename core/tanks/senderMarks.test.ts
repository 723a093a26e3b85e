import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { LEVEL } from "../attitude/attitude";
import { SENDER_KINDS, type Sender } from "../design/plumbing";
import { listSenderMarks, measureDeadBands } from "./senderMarks";
import { computeShownL } from "./senders";

const tank = readDemo("kranich").tanks[0]!;
const senders: fc.Arbitrary<Sender> = fc.record({
  kind: fc.constantFrom(...SENDER_KINDS),
  xMm: fc.integer({ min: 0, max: 800 }),
  yMm: fc.integer({ min: 0, max: 450 }),
  lowMm: fc.integer({ min: 5, max: 60 }),
  highMm: fc.integer({ min: 100, max: 185 }),
});

// By hand: 800 × 450 mm of inside hold 0.36 L for each millimetre.
test("a float from 19 to 171 mm in Kranich's tank: 0, 95 and 190 Ω, or 240, 136.5 and 33, at 6.8, 34.2 and 61.6 L", () => {
  const float: Sender = { kind: "float", xMm: 400, yMm: 225, lowMm: 19, highMm: 171 };
  const marks = listSenderMarks(tank, float, LEVEL);
  expect(marks.map(({ ohms }) => ohms)).toEqual(
    [0, 47.5, 95, 142.5, 190].map((rising, i) => ({ rising, falling: 240 - i * 51.75 })),
  );
  for (const [i, litres] of [6.84, 20.52, 34.2, 47.88, 61.56].entries())
    expect(marks[i]!.levelL).toBeCloseTo(litres, 6);
  const { belowL, aboveL } = measureDeadBands(tank, float);
  expect([belowL, aboveL].map((l) => Number(l.toFixed(6)))).toEqual([6.84, 6.84]);
});

test("at each mark the sender shows what stands there level; marks rise; level, here and level are one", () => {
  fc.assert(
    fc.property(senders, attitudes, (sender, attitude) => {
      const marks = listSenderMarks(tank, sender, attitude);
      marks.forEach((mark, i) => {
        const before = marks[i - 1];
        if (before) {
          expect(mark.levelL).toBeGreaterThan(before.levelL);
          expect(mark.hereL).toBeGreaterThanOrEqual(before.hereL);
        }
        // a hair more than at the mark, so that the step is wet
        const hereL = Math.min(mark.hereL + 1e-6, 68.4);
        if (mark.hereL > 0.01 && mark.hereL < 68.39) {
          expect(computeShownL(tank, sender, attitude, hereL)).toBeCloseTo(mark.levelL, 3);
        }
      });
      for (const { levelL, hereL } of listSenderMarks(tank, sender, LEVEL)) expect(hereL).toBeCloseTo(levelL, 9);
    }),
  );
});
