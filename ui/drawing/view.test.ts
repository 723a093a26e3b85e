import fc from "fast-check";
import { findTickStep, fitView, listTicks, NO_ZOOM } from "./view";

const span = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const pad = { left: 40, right: 12, top: 20, bottom: 24 };

test("everything inside the bounds lies inside the frame, whatever the exaggeration", () => {
  fc.assert(
    fc.property(
      span(-900, 900),
      span(200, 12_000),
      span(-900, 200),
      span(300, 2_500),
      fc.constantFrom(null, 1, 2, 3, 5),
      (left, length, low, tall, exaggeration) => {
        const bounds = { left, right: left + length, low, high: low + tall };
        const view = fitView({ bounds, width: 740, height: 400, pad, exaggeration, zoom: NO_ZOOM });
        expect(view.x(bounds.left)).toBeGreaterThanOrEqual(pad.left - 1e-6);
        expect(view.x(bounds.right)).toBeLessThanOrEqual(740 - pad.right + 1e-6);
        expect(view.y(bounds.high)).toBeGreaterThanOrEqual(pad.top - 1e-6);
        expect(view.y(bounds.low)).toBeLessThanOrEqual(400 - pad.bottom + 1e-6);
        expect(view.ky / view.kx).toBeCloseTo(view.ratio, 9);
      },
    ),
  );
});

test("ticks are round, apart enough and inside", () => {
  fc.assert(
    fc.property(span(0.02, 4), span(-3_000, 0), (pxPerMm, from) => {
      const step = findTickStep(pxPerMm, 40);
      expect(step * pxPerMm).toBeGreaterThanOrEqual(40 - 1e-9);
      expect(step * pxPerMm).toBeLessThanOrEqual(40 * 2.5 + 1e-9);
      for (const tick of listTicks(from, from + 2_000, step)) {
        expect(tick).toBeGreaterThanOrEqual(from - 1e-9);
        expect(tick).toBeLessThanOrEqual(from + 2_000 + 1e-9);
      }
    }),
  );
});
