import type { Design } from "../design/design";
import { createRecall } from "../quantity/recall";
import { computeTankLoads } from "../tanks/axleLoads";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Less off a coupling than this is no more than a bag laid elsewhere, kg [T]. */
const LIGHT_KG = 10;

const recallAxles = createRecall<Design["tanks"], readonly Finding[]>();

/** Water is the heaviest thing a builder adds, and an axle's rating the first he forgets. */
export const checkAxles = (design: Design): readonly Finding[] =>
  recallAxles(design.tanks, [design.rig], () => judgeAxles(design));

function judgeAxles(design: Design): Finding[] {
  const { rig, tanks } = design;
  if (rig.kind === "boat" || tanks.length === 0) return [];
  const at = { kind: "rig" } as const;
  const loads = computeTankLoads(design);
  if (!loads) return [createFinding(at, { code: "axleUnrated", axleName: null, fullKg: 0 })];
  const axles = loads.axles.filter(({ isCoupling }) => !isCoupling);
  const [unrated] = axles.filter(({ spareKg }) => spareKg === null).sort((a, b) => b.mostKg - a.mostKg);
  return [
    ...axles.flatMap(({ name: axleName, mostKg: fullKg, spareKg }) =>
      spareKg === null || fullKg <= spareKg
        ? []
        : [createFinding(at, { code: "axleOverloaded", axleName, fullKg, spareKg })],
    ),
    ...loads.axles.flatMap(({ isCoupling, leastKg }) =>
      isCoupling && rig.kind === "trailer" && leastKg < -LIGHT_KG
        ? [createFinding(at, { code: "couplingLifted", byKg: -leastKg })]
        : [],
    ),
    ...(unrated ? [createFinding(at, { code: "axleUnrated", axleName: unrated.name, fullKg: unrated.mostKg })] : []),
  ];
}
