import { createDesign } from "../design/createDesign";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { FirstMeasures } from "../design/firstMeasures";
import { type FirstObstacles, NOTHING_UNDER } from "../design/firstObstacles";
import { type ParseOutcome, parseDesign } from "../design/parseDesign";
import type { RigKind } from "../design/rig";
import { buildFitPumpOut } from "../edits/pumpOutEdits";
import { buildVentWay } from "../edits/ventEdits";
import { evaluate } from "../evaluate/evaluate";
import { findClearance, measureTankGaps } from "../fit/obstacleGaps";
import { countMusts, findCleanWay } from "./cleanWay";
import { settleLaid } from "./settleLaid";

export type FirstDesign = {
  readonly id: string;
  readonly name: string;
  readonly kind: RigKind;
  readonly measures: FirstMeasures;
  readonly under?: FirstObstacles;
};

const STEP_MM = 50;
/** From the sink's drop to the tank a drain wants some run and no more than it has fall for, mm. */
const NEAREST_MM = 250;
/** Places that are worked out whole, the nearest first. */
const MOST_TRIED = 40;

/**
 * A first design from the first measures. Where the builder has measured no place for the tank it hangs as near to the sink
 * as it keeps clear of what is under the floor and its drain has nothing that must be settled; where there is no such place,
 * the nearest clear one, with another way for the drain where there is one. What one press would mend of its lines is mended (`settleLaid`). Refused with the faults of what was measured.
 */
export function buildFirstDesign({ id, name, kind, measures, under = NOTHING_UNDER }: FirstDesign): ParseOutcome {
  const at = (m: FirstMeasures) => fitOut(leadAlongWall(createDesign(id, name, kind, m, under)));
  if (measures.tankForwardMm !== null && measures.tankLeftMm !== null) return settle(parseDesign(at(measures)));
  let best: { readonly outcome: ParseOutcome; readonly regrets: number } | null = null;
  let tried = 0;
  for (const place of listPlaces(measures)) {
    const design = at({ ...measures, ...place });
    if (!isClear(design)) continue;
    const outcome = parseDesign(design);
    if (!outcome.ok) continue;
    const regrets = countRegrets(outcome.design);
    if (!best || regrets < best.regrets) best = { outcome, regrets };
    tried += 1;
    if (regrets === 0 || tried === MOST_TRIED) break;
  }
  return settle(best ? layAnew(best.outcome) : parseDesign(at(measures)));
}

// Nobody is handed a trap that is sucked dry, or a breather that hangs in the room, where a press mends it.
const settle = (outcome: ParseOutcome): ParseOutcome =>
  outcome.ok
    ? { ...outcome, design: settleLaid(outcome.design, { isOwn: ({ path }) => path[0] === "lines" }).design }
    : outcome;

const countRegrets = (design: Design): number =>
  evaluate(design).findings.filter(({ severity }) => severity !== "note").length;

// Where the straight drain of a first design will not do, the finder lays it: another way, or one with the tank lower.
function layAnew(outcome: ParseOutcome): ParseOutcome {
  if (!outcome.ok || countMusts(outcome.design) === 0) return outcome;
  const drain = outcome.design.lines.find(({ kind }) => kind === "drain");
  const edit = drain && findCleanWay(outcome.design, drain.id);
  const laid = edit && applyEdit(outcome.design, edit);
  return laid?.ok ? { ...outcome, design: laid.design } : outcome;
}

// Its breather under the floor to a wall and up it; where nothing lets it through, up through the floor and along it.
function leadAlongWall(design: Design): Design {
  const vent = design.lines.find(({ kind }) => kind === "vent");
  const edit = vent && buildVentWay(design, vent.id, "wall");
  const led = edit && applyEdit(design, edit);
  return led?.ok ? led.design : design;
}

// Under a van one puts a hose on the outlet; a boat's tank is pumped out through the deck.
function fitOut(design: Design): Design {
  const tank = design.tanks[0]!;
  if (design.rig.kind !== "boat") return design;
  const fitted = applyEdit(design, buildFitPumpOut(design, tank, PUMP_OUT_NAME));
  return fitted.ok ? fitted.design : design;
}

const PUMP_OUT_NAME = "Deck pump-out";

type Place = { readonly tankForwardMm: number; readonly tankLeftMm: number };

// Over the floor on a grid, those from which the way to the sink is a short run first.
function listPlaces(m: FirstMeasures): Place[] {
  const places: (Place & { readonly cost: number })[] = [];
  const half = m.floorWidthMm / 2;
  const [ownX, ownY] = [m.tankForwardMm, m.tankLeftMm];
  for (let x = STEP_MM; x + m.tankLengthMm <= m.floorLengthMm - STEP_MM; x += STEP_MM) {
    for (let y = -half + STEP_MM; y + m.tankWidthMm <= half - STEP_MM; y += STEP_MM) {
      const [dx, dy] = [
        Math.max(x - m.sinkForwardMm, m.sinkForwardMm - x - m.tankLengthMm),
        y + m.tankWidthMm / 2 - m.sinkLeftMm,
      ];
      const away = Math.hypot(Math.max(0, dx), dy);
      const cost = away + (dx < NEAREST_MM ? 4 * (NEAREST_MM - dx) : 0);
      places.push({ tankForwardMm: ownX ?? Math.round(x), tankLeftMm: ownY ?? Math.round(y), cost });
    }
  }
  return places.sort((a, b) => a.cost - b.cost);
}

const isClear = (design: Design): boolean =>
  design.tanks.every((tank) =>
    measureTankGaps(design, tank).every(
      ({ obstacle, gapMm }) => gapMm >= (findClearance(design.rules, obstacle).value ?? 0),
    ),
  );
