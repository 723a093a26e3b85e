import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import { findLineTrap, findTrap } from "../design/lineItems";
import { toBlock } from "../fit/obstacleBlock";
import { toTankBlock } from "../fit/obstacleGaps";
import { toGearBlock } from "../gear/gearBlock";
import { placeGearPort } from "../gear/gearPorts";
import { areApart } from "../geometry/blocks";
import type { Vec3 } from "../geometry/vec";
import { findHalfBreadthMm } from "../hull/loft";
import { listFittings } from "../through/fittings";
import { measureFitting } from "../through/holes";
import { listSharers } from "../through/sharing";
import { judgeTail } from "../through/stubs";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

type Fitting = GearOf<"skinFitting">;

/** Above this over the worst waterline a fitting may do without what is asked under it, mm [T]. */
const FREE_OVER_MM = 150;
/** Further from her skin than this a fitting does not sit in it, mm: its own body and a backing block [T]. */
const OFF_INSIDE_MM = 160;
const OFF_OUTSIDE_MM = 40;
/** A ball valve's handle is so long by its bore, and wants so much room for a hand, mm [T]. */
const HANDLE_MM = 90;
const HANDLE_PER_BORE = 1.5;
const HAND_MM = 40;

/** What can be said against a skin fitting as it is built: where it sits, what it is of, its tail, its handle, who shares it. */
export function checkFittings(design: Design): Finding[] {
  const fittings = listFittings(design);
  if (design.rig.waterlineZMm === null) return [];
  const sharers = new Map(listSharers(design).map((one) => [one.gearId, one]));
  const each = fittings.flatMap((piece): Finding[] => {
    const worstOverMm = measureFitting(design, piece).worstOverMm;
    return [
      ...checkPlace(design, piece),
      ...checkMake(design, piece, worstOverMm),
      ...checkTail(design, piece, worstOverMm),
      ...checkHandle(design, piece),
      ...checkSharing(design, piece, sharers.get(piece.id)!, worstOverMm),
    ];
  });
  return [...each, ...checkIceboxes(design)];
}

// Cold air runs out of an icebox like water, unless a seal stands in the way.
function checkIceboxes({ fixtures, lines }: Design): Finding[] {
  return fixtures.flatMap((fixture): Finding[] => {
    if (fixture.kind !== "iceboxDrain") return [];
    const drain = lines.find((line) => line.kind === "drain" && line.fromFixture === fixture.id);
    if (drain?.kind !== "drain") return [];
    const isSealed = findTrap(drain) !== null || findLineTrap(drain) !== null;
    return isSealed ? [] : [createFinding({ kind: "fixture", id: fixture.id }, { code: "iceboxOpen" })];
  });
}

const toRef = ({ id }: Fitting) => ({ kind: "gear", id }) as const;

function checkPlace({ rig }: Design, piece: Fitting): Finding[] {
  if (!rig.hull) return [];
  const at = placeGearPort(piece, "in");
  const half = findHalfBreadthMm(rig.hull, at.x, at.z);
  const offMm = half === null ? null : Math.abs(at.y) - half;
  if (offMm !== null && offMm <= OFF_OUTSIDE_MM && offMm >= -OFF_INSIDE_MM) return [];
  return [createFinding(toRef(piece), { code: "fittingOffHull", offMm })];
}

function checkMake({ rig }: Design, piece: Fitting, worstOverMm: number): Finding[] {
  const { metal, hasBacking } = piece.spec;
  const isNear = worstOverMm < FREE_OVER_MM;
  const findings: Finding[] = [];
  if (metal === "domestic")
    findings.push(createGraded(isNear ? "must" : "should", toRef(piece), { code: "fittingDomestic" }));
  const material = rig.hull?.material ?? null;
  if (material === "aluminium" && metal !== "composite" && metal !== "stainless" && metal !== "domestic")
    findings.push(createGraded("must", toRef(piece), { code: "metalsMeet", hull: "aluminium" }));
  if (material === "steel" && (metal === "bronze" || metal === "dzrBrass" || metal === "brass"))
    findings.push(createGraded("note", toRef(piece), { code: "metalsMeet", hull: "steel" }));
  if ((material === "laminate" || material === "cored" || material === "wood") && hasBacking === false && isNear)
    findings.push(createFinding(toRef(piece), { code: "backingMissing", isCored: material === "cored" }));
  return findings;
}

function checkTail({ lines }: Design, piece: Fitting, worstOverMm: number): Finding[] {
  const { tailMm } = piece.spec;
  if (tailMm === undefined || tailMm === null) return [];
  return lines.flatMap((line): Finding[] => {
    if (line.kind !== "hose") return [];
    const isOn = [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === piece.id);
    if (!isOn) return [];
    const fit = judgeTail(tailMm, line.pipe.innerMm);
    if (fit === "fits") return [];
    const severity = fit === "tooSmall" && worstOverMm < FREE_OVER_MM ? "must" : "should";
    return [
      createGraded(severity, toRef(piece), {
        code: "tailUnfit",
        tailMm,
        boreMm: line.pipe.innerMm,
        isLarge: fit === "tooLarge",
        otherId: line.id,
        otherName: line.name,
      }),
    ];
  });
}

// Room for the handle to swing in one of three ways: forward, aft or up.
function checkHandle(design: Design, piece: Fitting): Finding[] {
  if (!piece.spec.hasSeacock) return [];
  const longMm = HANDLE_MM + HANDLE_PER_BORE * piece.spec.boreMm;
  const { min, max } = toGearBlock(piece);
  const solids = [
    ...design.obstacles.filter(({ kind }) => kind !== "cabinet" && kind !== "window" && kind !== "hull").map(toBlock),
    ...design.tanks.map(toTankBlock),
    ...design.gear.filter(({ id }) => id !== piece.id).map(toGearBlock),
  ];
  const isFree = (min: Vec3, max: Vec3) => solids.every((one) => areApart(one, { min, max }));
  const wide = { y: { low: min.y, high: max.y } };
  const ways: readonly (readonly [Vec3, Vec3])[] = [
    [
      { x: max.x, y: wide.y.low, z: min.z },
      { x: max.x + longMm + HAND_MM, y: wide.y.high, z: max.z },
    ],
    [
      { x: min.x - longMm - HAND_MM, y: wide.y.low, z: min.z },
      { x: min.x, y: wide.y.high, z: max.z },
    ],
    [
      { x: min.x, y: wide.y.low, z: max.z },
      { x: max.x, y: wide.y.high, z: max.z + longMm + HAND_MM },
    ],
  ];
  return ways.some(([low, high]) => isFree(low, high))
    ? []
    : [createFinding(toRef(piece), { code: "handleBlocked", longMm })];
}

type Shared = ReturnType<typeof listSharers>[number];

function checkSharing(design: Design, piece: Fitting, { fixtures, hoses }: Shared, worstOverMm: number): Finding[] {
  const { serves } = piece.spec;
  const bowls = hoses.filter((id) => isFromBowl(design, id));
  const count = fixtures.length + hoses.length;
  const isMixed = count > 1 || (fixtures.length > 0 && serves !== "discharge");
  if (!isMixed) return [];
  const never = serves !== "discharge" || bowls.length > 0;
  // above the water two sinks may share one fitting; below it the one fills the other
  if (!never && worstOverMm >= 0) return [];
  return [createFinding(toRef(piece), { code: "fittingShared", serves, count, isBowl: bowls.length > 0 })];
}

// Follows a hose upstream through what water passes, to see whether a bowl is behind it.
function isFromBowl({ gear, lines }: Design, hoseId: string): boolean {
  const kinds = new Map(gear.map(({ id, spec }) => [id, spec.kind]));
  const seen = new Set<string>();
  const open = [hoseId];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (seen.has(id)) continue;
    seen.add(id);
    const hose = lines.find((line) => line.id === id);
    if (hose?.kind !== "hose") continue;
    for (const end of [hose.from, hose.to]) {
      if (end.kind !== "gear") continue;
      const kind = kinds.get(end.gearId);
      if (kind === "bowl" && end.port === "waste") return true;
      if (kind === "skinFitting" || kind === "bowl") continue;
      for (const other of lines) {
        if (other.kind !== "hose" || seen.has(other.id)) continue;
        if ([other.from, other.to].some((one) => one.kind === "gear" && one.gearId === end.gearId)) open.push(other.id);
      }
    }
  }
  return false;
}
