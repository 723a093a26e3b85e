import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { Gear } from "../design/gear";
import { toPortNode } from "./gearGraph";
import { placeGearPort } from "./gearPorts";
import { readPushKPa } from "./pumpPush";
import { type Arc, listReached } from "./reach";
import { readSupplyKPa } from "./supply";

/** Water 1 mm high presses so hard, kPa [C]. */
const KPA_PER_MM = (WATER_DENSITY * GRAVITY) / 1e6;

/** A pump or a tap outside: how hard it pushes where it lets water out, kPa, and where that comes to. */
export type Push = { readonly piece: Gear; readonly kPa: number; readonly reached: ReadonlySet<string> };

/**
 * All that pushes on the pipes of a rig, with everything open. A pump that another one feeds adds its own to what comes to it,
 * up to where its switch stops it, and passes on what comes harder than that. A lift or a head of water before it is not counted, nor more than four in a row.
 */
export function listPushes(gear: readonly Gear[], arcs: ReadonlyMap<string, readonly Arc[]>): Push[] {
  const own = gear.flatMap((piece): Push[] => {
    const kPa = readPush(piece);
    // water that falls through open air brings no pressure along
    return kPa === null ? [] : [{ piece, kPa, reached: listReached(arcs, toPortNode(piece.id, "out"), isAirGap) }];
  });
  return own.map((push) => ({ ...push, kPa: findOutKPa(own, push, []) }));
}

const isAirGap = ({ spec }: Gear): boolean => spec.kind === "airGap";

/** Pumps in a row are added up to so many: nobody has more. */
const MOST_IN_ROW = 4;

// What stands at its outlet; pumps in a ring are gone through once.
function findOutKPa(all: readonly Push[], { piece, kPa }: Push, passed: readonly Gear[]): number {
  if (piece.spec.kind !== "pump") return kPa;
  const before = [...passed, piece];
  const inlet = toPortNode(piece.id, "in");
  const feeds =
    before.length < MOST_IN_ROW ? all.filter((one) => !before.includes(one.piece) && one.reached.has(inlet)) : [];
  const comesKPa = Math.max(
    0,
    ...feeds.map((one) => shiftKPa(findOutKPa(all, one, before), [one.piece, "out"], [piece, "in"])),
  );
  const stopKPa = piece.spec.cutOutKPa ?? Number.POSITIVE_INFINITY;
  return Math.max(comesKPa, Math.min(stopKPa, comesKPa + piece.spec.shutOffKPa));
}

/**
 * The hardest push that comes to a port of a piece, kPa, with the height between; pressure that is lost on the way is not
 * counted. Null where nothing pushes. Source: hydrostatics [C].
 */
export function findHardest(pushes: readonly Push[], at: Gear, port: string): { piece: Gear; pushKPa: number } | null {
  const node = toPortNode(at.id, port);
  const [hardest] = pushes
    .filter(({ reached }) => reached.has(node))
    .map(({ piece, kPa }) => ({ piece, pushKPa: shiftKPa(kPa, [piece, "out"], [at, port]) }))
    .sort((a, b) => b.pushKPa - a.pushKPa);
  return hardest ?? null;
}

/** What stands at a port when so much stands at another, kPa. */
export const shiftKPa = (
  kPa: number,
  [from, fromPort]: readonly [Gear, string],
  [to, port]: readonly [Gear, string],
): number => kPa + (placeGearPort(from, fromPort).z - placeGearPort(to, port).z) * KPA_PER_MM;

function readPush({ spec }: Gear): number | null {
  if (spec.kind === "coupling") return readSupplyKPa(spec);
  return spec.kind === "pump" ? readPushKPa(spec) : null;
}
