import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import type { FixtureKind } from "../design/plumbing";
import { USUAL_FIXTURES } from "../design/usualFixtures";
import { buildAddFixture } from "../edits/fixtureEdits";
import { measureExtent } from "../geometry/solid";
import { add, scale, vec } from "../geometry/vec";
import { layDrainClear } from "./cleanWay";
import { fitBest, type OnStep } from "./fitBest";
import { listWallPlaces } from "./wallPlaces";

/**
 * Edit that sets a fixture of a kind down with its drain, where that brings the least to be settled: first where it is usually
 * set, then along both walls, the nearest to the first tank first.
 */
export function buildFitFixture(
  design: Design,
  { kind, name }: { readonly kind: FixtureKind; readonly name: string },
  onStep?: OnStep,
): Edit {
  const usual = buildAddFixture(design, kind, name);
  const [tank] = design.tanks;
  if (!tank || !usual.ops.some(({ path }) => path[0] === "lines")) return usual;
  const { min, max } = measureExtent(tank.solid);
  const near = add(tank.atMm, scale(add(min, max), 0.5));
  const { halfMm, heightMm } = USUAL_FIXTURES[kind];
  const size = { longMm: 2 * halfMm, wideMm: 2 * halfMm };
  const others = listWallPlaces(design, size, near)
    .map(({ x, y }) => vec(x + halfMm, y + halfMm, heightMm))
    .filter((at) =>
      design.fixtures.every(({ outletMm }) => Math.hypot(outletMm.x - at.x, outletMm.y - at.y) >= APART_MM),
    )
    .map((placeMm) => buildAddFixture(design, kind, name, placeMm));
  const edit = fitBest(design, [usual, ...others], onStep) ?? usual;
  return edit.at.kind === "fixture" ? layDrainClear(design, edit, edit.at.id) : edit;
}

/** Two fixtures stand so far apart at least, outlet to outlet, mm [T]. */
const APART_MM = 350;
