import type { Design } from "../design/design";
import { applyEdit, type Edit, type EditOp } from "../design/edit";
import { freeId } from "../design/freeId";
import type { Gear, GearKind } from "../design/gear";
import { roundTenth } from "../design/moves";
import type { Hose } from "../design/plumbing";
import { toGearBlock } from "../gear/gearBlock";
import { placeGearPort } from "../gear/gearPorts";
import { USUAL_GEAR } from "../gear/usualGear";
import { measureBlockGap } from "../geometry/blocks";
import { add, subtract, type Vec3, vec } from "../geometry/vec";
import { cutHose } from "./cutHose";

type HoseEnd = Hose["from"];

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

const toGear = (gearId: string, port: string): HoseEnd => ({ kind: "gear", gearId, port });

const isAt = (end: HoseEnd, gearId: string, port: string): boolean =>
  end.kind === "gear" && end.gearId === gearId && end.port === port;

/** The usual piece of a kind, so that one of its ports comes to a place of the rig. */
function place({ gear }: Design, kind: GearKind, name: string, port: string, to: Vec3): Gear {
  const piece: Gear = { id: freeId(kind, gear), name, atMm: vec(0, 0, 0), ...USUAL_GEAR[kind] };
  return { ...piece, atMm: roundTenth(subtract(to, placeGearPort(piece, port))) };
}

const findHoseAt = ({ lines }: Design, gearId: string, port: string): Hose | undefined =>
  lines.find(
    (line): line is Hose => line.kind === "hose" && [line.from, line.to].some((end) => isAt(end, gearId, port)),
  );

/** Operations that put a piece into a hose right at a port of another, whichever way the hose was drawn. */
function putBefore(
  design: Design,
  hose: Hose,
  [gearId, port]: readonly [string, string],
  piece: Gear,
  ports: readonly [near: string, far: string],
): EditOp[] {
  const count = hose.pointsMm.length;
  const [near, far] = ports;
  return isAt(hose.to, gearId, port)
    ? cutHose(design, hose, [count, count], piece, [far, near])
    : cutHose(design, hose, [0, 0], piece, [near, far]);
}

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

/**
 * Edits that put a relief valve on a tee right before a heater, with nothing that shuts between; empty where no hose comes to
 * its inlet. At what it opens, its maker says [T].
 */
export const listFitRelief = (design: Design, heaterId: string, names: Names): Edit[] =>
  listTeed(design, heaterId, names, "fitRelief", (so, hose, tee) => {
    const piece = place(so, "relief", names.piece, "in", add(placeGearPort(tee, "c"), vec(0, 0, APART_MM)));
    const way = join(so, hose, `${names.piece}, hose`, toGear(tee.id, "c"), toGear(piece.id, "in"));
    return [insert("gear", so, piece), insert("lines", so, way)];
  });

/**
 * Edits that put a mixer right behind a heater, with cold water from a tee before it; empty where no hose comes to its inlet or
 * leaves its outlet. What it is set to is set by hand [T].
 */
export const listFitMixer = (design: Design, heaterId: string, names: Names): Edit[] =>
  listTeed(design, heaterId, names, "fitMixer", (so, hose, tee, heater) => {
    const hot = findHoseAt(so, heaterId, "out");
    if (!hot) return null;
    const piece = place(so, "mixer", names.piece, "hot", add(placeGearPort(heater, "out"), vec(APART_MM, 0, 0)));
    const cold = join(so, hose, `${names.piece}, cold hose`, toGear(tee.id, "c"), toGear(piece.id, "cold"));
    const then = { ...so, lines: [...so.lines, cold] };
    return [insert("lines", so, cold), ...putBefore(then, hot, [heaterId, "out"], piece, ["hot", "out"])];
  });

function listTeed(
  design: Design,
  heaterId: string,
  names: Names,
  code: "fitRelief" | "fitMixer",
  goOn: (so: Design, hose: Hose, tee: Gear, heater: Gear) => readonly EditOp[] | null,
): Edit[] {
  const heater = design.gear.find(({ id, spec }) => id === heaterId && spec.kind === "heater");
  const hose = findHoseAt(design, heaterId, "in");
  if (!heater || !hose) return [];
  const tees = ASIDE.map((aside) =>
    place(design, "tee", names.tee, "b", add(placeGearPort(heater, "in"), add(vec(-APART_MM, 0, 0), aside))),
  );
  const isFree = (tee: Gear) => design.gear.every((one) => measureBlockGap(toGearBlock(tee), toGearBlock(one)) >= 0);
  return [...tees.filter(isFree), ...tees.filter((tee) => !isFree(tee))].flatMap((tee): Edit[] => {
    const ops = putBefore(design, hose, [heaterId, "in"], tee, ["b", "a"]);
    const at = { kind: "gear", id: heaterId } as const;
    const so = applyEdit(design, { code, at, ops });
    const more = so.ok ? goOn(so.design, hose, tee, heater) : null;
    return more ? [{ code, at, ops: [...ops, ...more] }] : [];
  });
}
