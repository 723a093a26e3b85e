import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear, HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { toGearBlock } from "../gear/gearBlock";
import { placeGearPort } from "../gear/gearPorts";
import { measureBlockGap } from "../geometry/blocks";
import { add, type Vec3, vec } from "../geometry/vec";
import { findHoseAt, placePiece, putAtEnd, toGear } from "./putPiece";

/** What is put in, by the names it is to have. */
type Names = { readonly tee: string; readonly piece: string };

/** Pieces stand so far from one another, mm: what a hose tail and its clamp take [T]. */
const APART_MM = 60;
/** In front of its port, then farther off, higher and aside, in the order they are tried, mm. */
const ASIDE: readonly Vec3[] = [0, -100, -200].flatMap((x) => [
  vec(x, 0, 0),
  vec(x, 0, 120),
  vec(x, 120, 0),
  vec(x, -120, 0),
]);

const join = ({ lines }: Design, like: Hose, name: string, from: HoseEnd, to: HoseEnd): Hose => ({
  ...like,
  id: freeId("hose", lines),
  name: name.slice(0, 80),
  from,
  to,
  pointsMm: [],
});

const insert = (list: "gear" | "lines", design: Design, value: Gear | Hose): EditOp => ({
  op: "insert",
  path: [list],
  index: design[list].length,
  value,
});

/** Relief valves are sold in such steps, kPa. From memory, no source [T]. */
export const RELIEF_STEP_KPA = 50;

// Where it is known what the heater bears, the next step under that is bought.
function setUnder(relief: Gear, { spec }: Gear): Gear {
  const bearsKPa = spec.kind === "heater" ? (spec.bearsKPa ?? null) : null;
  if (relief.spec.kind !== "relief" || bearsKPa === null) return relief;
  const most = Math.floor(bearsKPa / RELIEF_STEP_KPA) * RELIEF_STEP_KPA;
  const setKPa = Math.max(RELIEF_STEP_KPA, Math.min(relief.spec.setKPa, most));
  return { ...relief, spec: { ...relief.spec, setKPa } };
}

/**
 * Edits that put a relief valve on a tee right before a heater, with nothing that shuts between; empty where no hose comes to
 * its inlet. At what it opens, its maker says [T].
 */
export const listFitRelief = (design: Design, heaterId: string, names: Names): Edit[] =>
  listTeed(design, heaterId, names, "fitRelief", (so, hose, tee, heater) => {
    const usual = placePiece(so, "relief", names.piece, "in", add(placeGearPort(tee, "c"), vec(0, 0, APART_MM)));
    const piece = setUnder(usual, heater);
    const way = join(so, hose, `${names.piece}, hose`, toGear(tee.id, "c"), toGear(piece.id, "in"));
    return [insert("gear", so, piece), insert("lines", so, way)];
  });

/**
 * Edits that put a mixer right behind a heater, with cold water from a tee before it; empty where no hose comes to its inlet or
 * leaves its outlet. What it is set to is set by hand [T].
 */
export const listFitMixer = (design: Design, heaterId: string, names: Names): Edit[] =>
  listTeed(design, heaterId, names, "fitMixer", (so, hose, tee, heater) => {
    const hot = findHoseAt(so, toGear(heaterId, "out"));
    if (!hot) return null;
    const piece = placePiece(so, "mixer", names.piece, "hot", add(placeGearPort(heater, "out"), vec(APART_MM, 0, 0)));
    const cold = join(so, hose, `${names.piece}, cold hose`, toGear(tee.id, "c"), toGear(piece.id, "cold"));
    const then = { ...so, lines: [...so.lines, cold] };
    return [insert("lines", so, cold), ...putAtEnd(then, hot, toGear(heaterId, "out"), piece, ["hot", "out"])];
  });

function listTeed(
  design: Design,
  heaterId: string,
  names: Names,
  code: "fitRelief" | "fitMixer",
  goOn: (so: Design, hose: Hose, tee: Gear, heater: Gear) => readonly EditOp[] | null,
): Edit[] {
  const heater = design.gear.find(({ id, spec }) => id === heaterId && spec.kind === "heater");
  const hose = findHoseAt(design, toGear(heaterId, "in"));
  if (!heater || !hose) return [];
  const tees = ASIDE.map((aside) =>
    placePiece(design, "tee", names.tee, "b", add(placeGearPort(heater, "in"), add(vec(-APART_MM, 0, 0), aside))),
  );
  const isFree = (tee: Gear) => design.gear.every((one) => measureBlockGap(toGearBlock(tee), toGearBlock(one)) >= 0);
  return [...tees.filter(isFree), ...tees.filter((tee) => !isFree(tee))].flatMap((tee): Edit[] => {
    const ops = putAtEnd(design, hose, toGear(heaterId, "in"), tee, ["b", "a"]);
    const at = { kind: "gear", id: heaterId } as const;
    const so = applyEdit(design, { code, at, ops });
    const more = so.ok ? goOn(so.design, hose, tee, heater) : null;
    return more ? [{ code, at, ops: [...ops, ...more] }] : [];
  });
}
