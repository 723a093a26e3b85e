import fc from "fast-check";
import { designs, networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { computeAirs } from "../air/airs";
import { meetAir } from "../air/meeting";
import type { Design } from "../design/design";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { CONCERNS, DomainMissing, FITTED_IDS, isFitFor, type Judged, listFitted } from "./domains";
import { FITTED_CHECKS } from "./fittedChecks";
import { evaluate } from "./judge";

// Nothing here loads `fitted`: this is the page before it has come.

test("a design is judged without the areas it has nothing of, and refused loudly where one is missing", () => {
  const refused: string[] = [];
  for (const name of DEMO_NAMES) {
    const design = readDemo(name);
    if (listFitted(design).length === 0) {
      expect(evaluate(design).findings.length).toBeGreaterThan(0);
      continue;
    }
    refused.push(name);
    expect(isFitFor(design)).toBe(false);
    expect(() => evaluate(design)).toThrow(DomainMissing);
  }
  expect(refused).toContain("otter");
  expect(refused).not.toContain("kranich");
});

test("an area says nothing of a design that it does not concern: leaving it away hides nothing", () => {
  let silent = 0;
  const holds = (design: Design) => {
    const network = buildNetwork(design);
    const paths = [...network.drains.values()].map((drain) => buildDrainPath(design, drain, network));
    // what breathers that meet do is not asked for here, so it is worked out as if they met
    const { own, draws } = computeAirs(design, network);
    const met = meetAir(design, network, own, draws);
    const tanks = design.tanks.map(({ id }) => ({
      tankId: id,
      air: own.get(id) ?? null,
      draws: draws.get(id) ?? [],
      sharedAir: met.shared.get(id) ?? null,
      together: met.together.get(id) ?? null,
    }));
    if (!CONCERNS.sharedAir(design)) expect([...met.shared, ...met.together, ...met.fills]).toEqual([]);
    const judged = { design, network, paths, tanks } as unknown as Judged;
    for (const id of FITTED_IDS) {
      if (CONCERNS[id](design)) continue;
      silent += 1;
      expect({ id, found: FITTED_CHECKS[id](judged) }).toEqual({ id, found: [] });
    }
  };
  for (const name of [...DEMO_NAMES, ...LOOP_NAMES, ...HEADS_NAMES, HEADS_NAME, FURNISHED] as const)
    holds(readDemo(name));
  fc.assert(fc.property(fc.oneof(designs, networks), holds), { numRuns: 200 });
  expect(silent).toBeGreaterThan(300);
});
