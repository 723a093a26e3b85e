import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import type { GearSpec } from "../design/gear";
import type { PartRef } from "../design/part";
import { BOLT_SIZES, type Fixing, type Tank } from "../design/plumbing";
import { FLOAT_AIR_MM } from "../evaluate/checkSumps";
import type { BoltPlace } from "../fixing/boltGroup";
import { listBoltPlaces } from "../fixing/boltPlaces";
import { USUAL_FIXING } from "../fixing/usualFixing";
import { measureExtent } from "../geometry/solid";
import { clamp } from "../quantity/tolerance";
import type { BoltWay, Remedy } from "./remedy";

const offer = (code: Edit["code"], at: PartRef, path: readonly string[], value: unknown): Remedy => ({
  byMm: null,
  edit: { code, at, ops: [{ op: "set", path, value } as EditOp] },
});

type SpecKind = GearSpec["kind"];
type SpecOf<K extends SpecKind> = Extract<GearSpec, { readonly kind: K }>;

/** A figure or word of a piece of gear changed; nothing where it is no such piece. */
export function proposeSpec<K extends SpecKind>(
  { gear }: Design,
  at: PartRef,
  kind: K,
  code: Edit["code"],
  change: (spec: SpecOf<K>) => Partial<SpecOf<K>> | null,
): Remedy[] {
  const piece = gear.find(({ id }) => at.kind === "gear" && at.id === id);
  if (piece?.spec.kind !== kind) return [];
  const changes = change(piece.spec as SpecOf<K>);
  return changes ? [offer(code, at, ["gear", piece.id, "spec"], { ...piece.spec, ...changes })] : [];
}

/** A float set to start its pump before the box runs over; nothing where the pump would then stop above that. */
export const proposeLowerFloat = (design: Design, at: PartRef, highMm: number): Remedy[] =>
  proposeSpec(design, at, "sump", "setFloat", ({ offMm }) => {
    const onMm = Math.floor(highMm - FLOAT_AIR_MM);
    return onMm > offMm ? { onMm } : null;
  });

/** A box that has so many litres ≥ 0 more over its float: higher, else longer, with its float as it is. */
export function proposeLargerSump({ gear }: Design, at: PartRef, { risesL, roomL }: SumpRoom): Remedy[] {
  const piece = at.kind === "gear" ? gear.find(({ id }) => id === at.id) : undefined;
  if (piece?.spec.kind !== "sump") return [];
  const { spec, sizeMm } = piece;
  const more = Math.ceil(risesL - roomL);
  const higher = { litres: spec.litres + more };
  const times = roomL > 0 ? (1.05 * risesL) / roomL : Infinity;
  const longer = { litres: Math.ceil(spec.litres * times), areaCm2: Math.ceil(spec.areaCm2 * times) };
  const grow = (changes: Partial<typeof spec>, size: Partial<typeof sizeMm>): Remedy => ({
    byMm: null,
    isByLeast: true,
    edit: {
      code: "enlargeSump",
      at,
      ops: [
        { op: "set", path: ["gear", piece.id, "spec"], value: { ...spec, ...changes } },
        { op: "set", path: ["gear", piece.id, "sizeMm"], value: { ...sizeMm, ...size } },
      ],
    },
  });
  return [
    grow(higher, { z: Math.ceil(sizeMm.z + (more * 10_000) / spec.areaCm2) }),
    ...(times <= MOST_TIMES_LONGER ? [grow(longer, { x: Math.ceil(sizeMm.x * times) })] : []),
  ];
}

type SumpRoom = { readonly risesL: number; readonly roomL: number };
/** A box longer than so many times is another box [T]. */
const MOST_TIMES_LONGER = 3;

/** How much wider a float's band is tried, mm: on higher, and off lower. */
const WIDER_MM = [10, 20, 30, 40, 60, 80, 100, 140, 180] as const;

/** A float that starts its pump later and stops it later, by as little as helps. */
export const proposeWiderFloat = (design: Design, at: PartRef): Remedy[] =>
  WIDER_MM.flatMap((mm) =>
    [
      [mm, 0],
      [0, mm],
      [mm, mm],
    ].flatMap(([up, down]) =>
      proposeSpec(design, at, "sump", "widenFloat", ({ onMm, offMm }) =>
        offMm - down! > 0 ? { onMm: onMm + up!, offMm: offMm - down! } : null,
      ).map((remedy) => ({ ...remedy, byMm: up! + down!, isByLeast: true })),
    ),
  );

/** A valve as wide as the port it sits on. */
export function proposeWiderValve(tank: Tank, at: PartRef): Remedy[] {
  const port = tank.ports.find(({ id }) => at.kind === "port" && id === at.id);
  if (!port?.valve) return [];
  const path = ["tanks", tank.id, "ports", port.id, "valve", "boreMm"];
  return [{ ...offer("widenValve", at, path, port.boreMm), byMm: port.boreMm }];
}

/** What tells the level put over the tank, and no longer than it is high. */
export function proposeSenderIn({ id, sender, solid }: Tank): Remedy[] {
  if (!sender) return [];
  const { min, max } = measureExtent(solid);
  const value = {
    ...sender,
    xMm: clamp(sender.xMm, min.x, max.x),
    yMm: clamp(sender.yMm, min.y, max.y),
    highMm: Math.min(sender.highMm, max.z - min.z),
  };
  return [offer("setSender", { kind: "tank", id }, ["tanks", id, "sender"], value)];
}

/** What holds a tank changed; nothing where nothing holds it. */
export const proposeHold = ({ id, fixing }: Tank, code: Edit["code"], changes: Partial<Fixing>): Remedy[] =>
  fixing ? [offer(code, { kind: "tank", id }, ["tanks", id, "fixing"], { ...fixing, ...changes })] : [];

/** So many bolts are tried, in two rows [T]. */
const BOLTS = [6, 8, 10, 12] as const;

/** More and thicker bolts, the lightest first; where nothing is entered yet, through bolts with plates in the usual way [T]. */
export function proposeBolts({ rig }: Design, tank: Tank): Remedy[] {
  const usual: Fixing = {
    ...USUAL_FIXING,
    kind: rig.kind === "boat" || tank.atMm.z >= 0 ? "onFloor" : "brackets",
  };
  const from = tank.fixing ?? { ...usual, bolts: 0 };
  const sizes = BOLT_SIZES.slice(BOLT_SIZES.indexOf(from.size));
  return BOLTS.filter((bolts) => bolts >= from.bolts).flatMap((bolts) =>
    sizes.map((size) => {
      const placesMm = bolts === from.bolts ? from.placesMm : null;
      const value = { ...(tank.fixing ?? usual), bolts, size, placesMm };
      return offer("holdTank", { kind: "tank", id: tank.id }, ["tanks", tank.id, "fixing"], value);
    }),
  );
}

/** How far bolts are tried aside, mm. */
const ASIDE_MM = [25, 50, 75, 100, 150, 200] as const;

const BOLT_WAYS: readonly (readonly [BoltWay, "x" | "y", number])[] = [
  ["outAlong", "x", 1],
  ["inAlong", "x", -1],
  ["outAcross", "y", 1],
  ["inAcross", "y", -1],
];

/**
 * All bolts of a tank drawn in towards its middle, or out from it, along the rig or across it, by as little as helps; none that stood
 * beside the tank comes to stand over it, where what holds it does not reach.
 */
export function proposeBoltsAside(tank: Tank): Remedy[] {
  const { fixing } = tank;
  if (!fixing) return [];
  const places = listBoltPlaces(tank, fixing);
  const { min, max } = measureExtent(tank.solid);
  const isOver = ({ x, y }: BoltPlace) => x > min.x && x < max.x && y > min.y && y < max.y;
  const mean = (of: "x" | "y") => places.reduce((sum, place) => sum + place[of], 0) / places.length;
  const middle = { x: mean("x"), y: mean("y") };
  return ASIDE_MM.flatMap((byMm) =>
    BOLT_WAYS.flatMap(([way, axis, sense]): Remedy[] => {
      const placesMm = places.map((place) => {
        const off = place[axis] - middle[axis];
        const moved = Math.abs(off) < 1 ? place[axis] : place[axis] + Math.sign(off) * sense * byMm;
        return { x: Math.round(place.x), y: Math.round(place.y), [axis]: Math.round(moved) } as BoltPlace;
      });
      if (placesMm.some((place, i) => isOver(place) && !isOver(places[i]!))) return [];
      return proposeHold(tank, "moveBolts", { placesMm }).map((remedy) => ({ ...remedy, byMm, way }));
    }),
  );
}
