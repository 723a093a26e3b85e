import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import type { Fixture, FixtureKind, Trap } from "../design/plumbing";
import { USUAL_FIXTURES } from "../design/usualFixtures";
import { buildAddFixture } from "../edits/fixtureEdits";
import { evaluate } from "../evaluate/evaluate";
import { findFixtureRoom, isRoomFree } from "../fit/floorRoom";
import { measureExtent } from "../geometry/solid";
import { add, scale, type Vec3, vec } from "../geometry/vec";
import { findWastePipe } from "../parts/pipes";
import { computeHungDropMm, findTrapBottomMm } from "../traps/trapRoom";
import { bringsMust, layDrainClear } from "./cleanWay";
import { fitBest, type OnStep } from "./fitBest";
import { settleLaid, toOwn } from "./settleLaid";
import { listWallPlaces } from "./wallPlaces";

/**
 * Edit that sets a fixture of a kind down with its drain, where that brings the least to be settled: where it is usually
 * set, or along both walls, the nearest to the first tank first, and where nothing stands yet.
 */
export function buildFitFixture(
  design: Design,
  { kind, name }: { readonly kind: FixtureKind; readonly name: string },
  onStep?: OnStep,
): Edit {
  const traps = listTraps(design, kind);
  const usual = buildAddFixture(design, kind, name);
  const [tank] = design.tanks;
  if (!tank || !usual.ops.some(({ path }) => path[0] === "lines")) return usual;
  const { min, max } = measureExtent(tank.solid);
  const near = add(tank.atMm, scale(add(min, max), 0.5));
  const { halfMm, heightMm } = USUAL_FIXTURES[kind];
  const size = { longMm: 2 * halfMm, wideMm: 2 * halfMm };
  const others = listWallPlaces(design, size, near).map(({ x, y }) => vec(x + halfMm, y + halfMm, heightMm));
  const places = [findOutlet(usual), ...others];
  const isFree = (at: Vec3) =>
    kind === "outsideShower" || isRoomFree(design, findFixtureRoom(kind, at), LET_IN.has(kind));
  const free = places.filter(isFree);
  // where what is free lets no drain run it is set among the rest, and moved by hand
  const tries = [
    [free, traps],
    [free, traps.slice(-1)],
    [places, traps.slice(-1)],
  ] as const;
  let first: Edit | null = null;
  for (const [where, which] of tries) {
    const ways = where.flatMap((placeMm) =>
      which.map((trap) => () => buildAddFixture(design, kind, name, placeMm, trap)),
    );
    const best = fitBest(design, ways, onStep);
    if (best?.at.kind !== "fixture") continue;
    const laid = layDrainClear(design, best, best.at.id);
    const edit = laid === best ? best : settleAnew(design, laid);
    if (!bringsMust(design, edit)) return edit;
    first ??= edit;
  }
  return first ?? usual;
}

// Laid another way its trap may want air, and its pipe go slanting.
function settleAnew(design: Design, edit: Edit): Edit {
  const fitted = applyEdit(design, edit);
  if (!fitted.ok) return edit;
  const known = new Set(evaluate(design).findings.map(({ id }) => id));
  const { ops } = settleLaid(fitted.design, { known, isOwn: toOwn(design, fitted.design) });
  return { ...edit, ops: [...edit.ops, ...ops] };
}

// One that ends within the floor hangs under it on a tailpiece, or goes as it is sold.
function listTraps(design: Design, kind: FixtureKind): (Trap | null)[] {
  const { trap, heightMm, boreMm } = USUAL_FIXTURES[kind];
  const pipe = findWastePipe(boreMm);
  if (!trap || findTrapBottomMm(heightMm - trap.dropMm, trap, pipe) >= 0) return [trap];
  const dropMm = computeHungDropMm(heightMm, measureFloorMm(design), pipe);
  return [{ ...trap, dropMm: Math.max(dropMm, trap.dropMm), hasCleanout: true }, trap];
}

/** What is let into a cabinet or a bench. */
const LET_IN: ReadonlySet<FixtureKind> = new Set(["kitchenSink", "basin", "washingMachine", "iceboxDrain"]);

const findOutlet = ({ ops }: Edit): Vec3 =>
  ops.flatMap((op) => (op.op === "insert" && op.path[0] === "fixtures" ? [(op.value as Fixture).outletMm] : []))[0]!;
