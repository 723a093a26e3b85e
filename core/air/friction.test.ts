import fc from "fast-check";
import { computeFriction, computeFrictionFactor } from "./friction";

test("its growth is the slope of the factor itself, laminar, bridged and turbulent", () => {
  fc.assert(
    fc.property(
      fc
        .double({ min: 1, max: 6, noNaN: true })
        .filter((power) => [2000, 4000].every((at) => Math.abs(10 ** power / at - 1) > 1e-3)),
      fc.double({ min: 0, max: 0.05, noNaN: true }),
      (power, roughness) => {
        const reynolds = 10 ** power;
        const into = { f: 0, growth: 0 };
        computeFriction(reynolds, roughness, into);
        const step = 1e-5;
        const [low, high] = [1 - step, 1 + step].map((share) => computeFrictionFactor(reynolds * share, roughness));
        expect(into.growth).toBeCloseTo((high! - low!) / (2 * step) / into.f, 4);
      },
    ),
  );
});
