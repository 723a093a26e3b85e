import fc from "fast-check";
import { computeOuterFilm } from "./night";
import { computePipeLoss } from "./pipeLoss";

const night = (windMps: number) => ({ outerFilm: computeOuterFilm(windMps), foamK: 0.034 });
const outsides = fc.integer({ min: 7, max: 180 });
const foams = fc.integer({ min: 1, max: 100 });
const winds = fc.integer({ min: 0, max: 40 });

// Recomputable by anyone: bare 18 π 0.04 = 2.262; foam 1/(ln(66/40)/(2 π 0.034) + 1/(18 π 0.066)) = 0.383.
test("40 mm in a breeze: bare 2.262, with 13 mm of foam 0.571 W/(m K)", () => {
  expect(computePipeLoss(40, 0, night(2.25))).toBeCloseTo(2.262, 3);
  expect(computePipeLoss(40, 13, night(2.25))).toBeCloseTo(0.1 * 2.262 + 0.9 * 0.383, 3);
});

// The foam cut into a thousand thin rings, each as flat as a wall of its own middle: the heat that goes through one after the
// other, worked out without the logarithm.
test("ring by ring through the foam comes to the same", () => {
  fc.assert(
    fc.property(outsides, foams, winds, (outerMm, foamMm, wind) => {
      const { outerFilm, foamK } = night(wind);
      const rings = 1_000;
      const thick = foamMm / 1_000 / rings;
      let resistance = 0;
      for (let i = 0; i < rings; i++) {
        const radius = outerMm / 2_000 + (i + 0.5) * thick;
        resistance += thick / (foamK * 2 * Math.PI * radius);
      }
      resistance += 1 / (outerFilm * Math.PI * (outerMm / 1_000 + 2 * (foamMm / 1_000)));
      const bare = outerFilm * Math.PI * (outerMm / 1_000);
      const wanted = 0.1 * bare + 0.9 * Math.min(bare, 1 / resistance);
      expect(computePipeLoss(outerMm, foamMm, night(wind)) / wanted).toBeCloseTo(1, 4);
    }),
  );
});

test("foam never loses more than none, a tenth of it always does, and thicker foam never more than thin on pipe as sold", () => {
  fc.assert(
    fc.property(outsides, foams, foams, winds, (outerMm, a, b, wind) => {
      const [bare, thin, thick] = [0, Math.min(a, b), Math.max(a, b)].map((foam) =>
        computePipeLoss(outerMm, foam, night(wind)),
      ) as [number, number, number];
      expect(thin).toBeLessThanOrEqual(bare + 1e-12);
      expect(thick).toBeLessThanOrEqual(thin + 1e-12);
      expect(thick).toBeGreaterThan(0.1 * bare);
    }),
  );
});
