import type { Edit } from "../design/editOps";
import type { Fixing, Tank } from "../design/plumbing";
import type { BoltPlace } from "../fixing/boltGroup";
import { listBoltPlaces } from "../fixing/boltPlaces";

const toEdit = (tank: Tank, given: Partial<Fixing>): Edit => ({
  code: "change",
  at: { kind: "tank", id: tank.id },
  ops: [{ op: "set", path: ["tanks", tank.id, "fixing"], value: { ...tank.fixing, ...given } }],
});

/** Another number of bolts: laid in rows again, because places were given for as many as there were. */
export const buildBoltCount = (tank: Tank, bolts: number): Edit => toEdit(tank, { bolts, placesMm: null });

/** One bolt moved, in whole millimetres; the others keep where they sit. */
export function buildMoveBolt(tank: Tank, fixing: Fixing, index: number, to: BoltPlace): Edit {
  const placesMm = listBoltPlaces(tank, fixing).map((place, i) =>
    i === index ? { x: Math.round(to.x), y: Math.round(to.y) } : { x: Math.round(place.x), y: Math.round(place.y) },
  );
  return toEdit(tank, { bolts: placesMm.length, placesMm });
}

/** Back in rows along the ends. */
export const buildBoltRows = (tank: Tank): Edit => toEdit(tank, { placesMm: null });
