import { WATER_DENSITY } from "../air/dumping";
import { FRESH_ID } from "../days/stores";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import type { Tank } from "../design/plumbing";
import { buildResize } from "../design/resizeTank";
import { evaluate } from "../evaluate/evaluate";
import type { Finding } from "../evaluate/findings";
import { findClearance, measureTankGaps } from "../fit/obstacleGaps";
import { measureCapacityL } from "../geometry/solid";
import { computeEmptyKg } from "./shell";

/** A tank at another length, and what comes of it. */
export type WeighedSize = {
  readonly edit: Edit;
  readonly lengthMm: number;
  readonly capacityL: number;
  /** Days until this tank is full and until the fresh water is gone, standing level; null where they never are. */
  readonly greyDays: number | null;
  readonly freshDays: number | null;
  readonly fullKg: number;
  /** How much room lacks to what is in the way, mm; 0 where it fits. */
  readonly lacksMm: number;
  /** What must be settled at this length and not as it is now: another tank in the way, a drain that runs back, an axle. */
  readonly worse: readonly Finding[];
};

const STEP = 0.05;
const LEAST = 0.5;
const MOST = 2;

/**
 * A tank at lengths from half to twice its own, its end with the lowest coordinate staying where it is, each evaluated
 * level; lengths that are refused are left out. A round tank that stands changes its height [C].
 */
export function weighSizes(design: Design, tank: Tank): WeighedSize[] {
  const count = Math.round((MOST - LEAST) / STEP);
  const known = new Set(evaluate(design).findings.map(({ id }) => id));
  return Array.from({ length: count + 1 }, (_, i) => LEAST + i * STEP).flatMap((share): WeighedSize[] => {
    const lengthMm = Math.round(tank.solid.lengthMm * share);
    const edit = buildResize(tank, { lengthMm });
    const outcome = applyEdit(design, edit);
    const sized = outcome.ok && outcome.design.tanks.find(({ id }) => id === tank.id);
    if (!outcome.ok || !sized) return [];
    const { balance, findings } = evaluate(outcome.design);
    const { stores } = balance;
    const own = stores.find(({ store }) => store.tankIds.includes(tank.id));
    const fresh = stores.find(({ store }) => store.id === FRESH_ID);
    const capacityL = measureCapacityL(sized.solid);
    const lacks = measureTankGaps(outcome.design, sized).map(
      ({ obstacle, gapMm }) => (findClearance(design.rules, obstacle).value ?? 0) - gapMm,
    );
    return [
      {
        edit,
        lengthMm,
        capacityL,
        greyDays: own?.days.level ?? null,
        freshDays: fresh?.days.level ?? null,
        fullKg: computeEmptyKg(sized) + (capacityL * WATER_DENSITY) / 1000,
        lacksMm: Math.max(0, ...lacks),
        worse: findings.filter(({ id, severity }) => severity === "must" && !known.has(id)),
      },
    ];
  });
}
