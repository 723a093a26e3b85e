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
import { proposeBranchVent } from "../remedies/partRemedies";
import { findCleanWay } from "./cleanWay";

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
 * the nearest clear one, with another way for the drain where there is one. A trap that would be sucked dry has air. Refused with the faults of what was measured.
 */
export function buildFirstDesign({ id, name, kind, measures, under = NOTHING_UNDER }: FirstDesign): ParseOutcome {
  const at = (m: FirstMeasures) => fitOut(createDesign(id, name, kind, m, under));
  if (measures.tankForwardMm !== null && measures.tankLeftMm !== null) return airTraps(parseDesign(at(measures)));
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
  return airTraps(best ? leadVents(layAnew(best.outcome)) : parseDesign(at(measures)));
}

// Nobody is handed a trap that can be sucked dry: its branch has air, where that brings nothing else.
function airTraps(outcome: ParseOutcome): ParseOutcome {
  if (!outcome.ok) return outcome;
  let { design } = outcome;
  for (const line of design.lines) {
    if (line.kind !== "drain" || !isSucked(design, line.id)) continue;
    const [air] = proposeBranchVent(design, line);
    const aired = air && applyEdit(design, air.edit);
    if (
      aired?.ok &&
      countMusts(aired.design) <= countMusts(design) &&
      countRegrets(aired.design) < countRegrets(design)
    )
      design = aired.design;
  }
  return { ...outcome, design };
}

const isSucked = (design: Design, drainId: string): boolean =>
  evaluate(design).findings.some(
    ({ code, at }) => (code === "trapSiphons" || code === "trapArmLong") && "lineId" in at && at.lineId === drainId,
  );

// A breather that would hang in the room is led to the wall, where that brings nothing else.
function leadVents(outcome: ParseOutcome): ParseOutcome {
  if (!outcome.ok) return outcome;
  let { design } = outcome;
  for (const { id, kind } of design.lines) {
    if (kind !== "vent" || !hangsInRoom(design, id)) continue;
    const led = (["wall", "underFloor"] as const).flatMap((way) => {
      const edit = buildVentWay(design, id, way);
      const tried = edit && applyEdit(design, edit);
      const isBetter =
        tried?.ok &&
        countMusts(tried.design) <= countMusts(design) &&
        countRegrets(tried.design) < countRegrets(design);
      return isBetter ? [tried.design] : [];
    });
    design = led[0] ?? design;
  }
  return { ...outcome, design };
}

const hangsInRoom = (design: Design, ventId: string): boolean =>
  evaluate(design).findings.some(({ code, at }) => code === "ventInRoom" && at.kind === "line" && at.id === ventId);

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

const countMusts = (design: Design): number =>
  evaluate(design).findings.filter(({ severity }) => severity === "must").length;

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
