import { findVentDip } from "../air/ventDips";
import { buildVentPath, listOwnCourse, listVents, type VentPath } from "../air/ventPath";
import { isIndoors, measureInRoomMm } from "../air/ventRoom";
import type { Design } from "../design/design";
import { findNode } from "../design/nodes";
import type { Tank, Vent } from "../design/plumbing";
import type { ObstacleKind } from "../design/rig";
import { toBlock } from "../fit/obstacleBlock";
import { toTankBlock } from "../fit/obstacleGaps";
import { measureBlockGap } from "../geometry/blocks";
import { dot, type Vec3, vec } from "../geometry/vec";
import { createRecall } from "../quantity/recall";
import { isAtLeast } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";
import { listParkedStandings, type Standing } from "./parkedAttitudes";

/** What can be said against the breathers of one tank: it needs one, and each its height, its own company and a clear end. */
export function checkVents(design: Design, tank: Tank): Finding[] {
  const vents = listVents(design, tank.id);
  if (vents.length === 0) return [createFinding({ kind: "tank", id: tank.id }, { code: "tankUnvented" })];
  // drains and hoses say nothing of the air
  const { rig, rules, obstacles, tanks } = design;
  const all = design.lines.filter(({ kind }) => kind === "vent");
  const from = [rig, rules, obstacles, tanks, ...all];
  return vents.flatMap((vent) => recallFindings(vent, from, () => judgeVent(design, vent)));
}

const recallFindings = createRecall<Vent, readonly Finding[]>();

function judgeVent(design: Design, vent: Vent): Finding[] {
  const parked = listParkedStandings(design.rig);
  const path = buildVentPath(design, vent);
  return [
    ...checkDip(path, parked),
    ...checkHeight(path, parked),
    ...checkPort(path),
    ...checkTee(design, path, parked),
    ...checkCompany(design, path),
    ...checkEnd(design, path),
    ...checkRoom(design, path),
  ];
}

// What stands in a dip closes the breather once it is as deep as the bore; the dip of a shared stretch is said once.
function checkDip(path: VentPath, parked: readonly Standing[]): Finding[] {
  const dip = findVentDip(
    path,
    parked.map(({ attitude }) => attitude),
  );
  const line = path.chain.find(({ id }) => id === dip?.lineId);
  if (!dip || !line || line !== path.vent || dip.deepMm < line.pipe.innerMm) return [];
  const { deepMm, attitude } = dip;
  const at = { kind: "bend", lineId: dip.lineId, index: dip.point } as const;
  return [createFinding(at, { code: "ventDips", deepMm, boreMm: line.pipe.innerMm, attitude })];
}

/** A hose tail is narrower than its hose by so much, and no more, as a share [T]. */
export const TAIL_SHARE = 0.8;

// All its air goes through the hole it begins at.
function checkPort({ vent, tank }: VentPath): Finding[] {
  const port = tank.ports.find(({ id }) => id === vent.fromPort);
  const { innerMm: boreMm } = vent.pipe;
  if (!port || isAtLeast(port.boreMm, TAIL_SHARE * boreMm)) return [];
  const at = { kind: "port", tankId: tank.id, id: port.id } as const;
  return [createFinding(at, { code: "ventPortNarrow", portMm: port.boreMm, boreMm })];
}

// Its highest point stands over the tank's highest corner, however the rig is parked.
function checkHeight({ vent, tank, pointsMm }: VentPath, parked: readonly Standing[]): Finding[] {
  let worst: { readonly endMm: number; readonly topMm: number; readonly attitude: Standing["attitude"] } | null = null;
  for (const { up, attitude } of parked) {
    const topMm = measureTopMm(tank, up);
    const endMm = Math.max(...pointsMm.slice(1).map((p) => dot(up, p)));
    if (endMm > topMm) continue;
    if (!worst || endMm - topMm < worst.endMm - worst.topMm) worst = { endMm, topMm, attitude };
  }
  return worst ? [createFinding({ kind: "line", id: vent.id }, { code: "ventEndsLow", ...worst })] : [];
}

// Water of one tank must not find its way into another through the tee they share.
function checkTee(design: Design, { vent, tank, chain }: VentPath, parked: readonly Standing[]): Finding[] {
  const { to } = vent;
  const main = chain[1];
  if (to.kind !== "tee" || !main) return [];
  const point = findNode(main, to.node);
  const tee = main.pointsMm[point]!;
  const other = design.tanks.find(({ id }) => id === main.fromTank)!;
  let worst: { readonly byMm: number; readonly attitude: Standing["attitude"] } | null = null;
  for (const { up, attitude } of parked) {
    const byMm = Math.max(measureTopMm(tank, up), measureTopMm(other, up)) - dot(up, tee);
    if (byMm >= 0 && (!worst || byMm > worst.byMm)) worst = { byMm, attitude };
  }
  const at = { kind: "bend", lineId: main.id, index: point } as const;
  return worst ? [createFinding(at, { code: "ventTeeLow", ...worst })] : [];
}

// Air over waste never meets air over drinking water.
function checkCompany(design: Design, { vent, tank, chain }: VentPath): Finding[] {
  const others = chain.slice(1).map(({ fromTank }) => design.tanks.find(({ id }) => id === fromTank)!);
  const other = others.find(({ holds }) => (holds === "fresh") !== (tank.holds === "fresh"));
  if (!other) return [];
  const at = { kind: "line", id: vent.id } as const;
  return [createFinding(at, { code: "ventSharesFresh", otherName: other.name })];
}

const KEPT_FROM: readonly ObstacleKind[] = ["window", "airIntake", "exhaust"];

// What comes out must not go in at a window, and an exhaust must not blow into it: least of all into drinking water.
function checkEnd(design: Design, { vent, pointsMm, tank }: VentPath): Finding[] {
  if (vent.to.kind !== "openAir") return [];
  const isFresh = tank.holds === "fresh";
  const end = pointsMm.at(-1)!;
  const at = { kind: "bend", lineId: vent.id, index: vent.pointsMm.length - 1 } as const;
  // over drinking water it is only wet there
  const inside = isIndoors(design, end)
    ? [createGraded(isFresh ? "note" : "must", at, { code: "ventEndsInside", isFresh })]
    : [];
  if (!isFresh && inside.length > 0) return inside;
  const limit = lookUpLimit(design.rules, "ventEndGap");
  const bare = vent.to.hasMesh ? [] : [createFinding(at, { code: "ventNoMesh" })];
  const near = design.obstacles.flatMap((obstacle): Finding[] => {
    if (isFresh ? obstacle.kind !== "exhaust" : !KEPT_FROM.includes(obstacle.kind)) return [];
    const gapMm = Math.max(0, measureBlockGap({ min: end, max: end }, toBlock(obstacle)));
    if (isAtLeast(gapMm, limit.value ?? 0)) return [];
    const { id: obstacleId, name: obstacleName } = obstacle;
    return [createFinding(at, { code: "ventEndNear", obstacleId, obstacleName, gapMm, isFresh }, limit)];
  });
  return [...inside, ...near, ...bare];
}

/** A hand's breadth of hose in the room is a way round a corner, mm [T]. */
const MOST_IN_ROOM_MM = 150;

// A hose that is knocked loose in the room lets the tank's gas in.
function checkRoom(design: Design, { vent, tank }: VentPath): Finding[] {
  if (tank.holds === "fresh") return [];
  const lengthMm = measureInRoomMm(design, listOwnCourse(design, vent));
  if (lengthMm <= MOST_IN_ROOM_MM) return [];
  return [createFinding({ kind: "line", id: vent.id }, { code: "ventInRoom", lengthMm })];
}

/** True height of the highest corner of a tank's outside, mm. */
function measureTopMm(tank: Tank, up: Vec3): number {
  const { min, max } = toTankBlock(tank);
  return Math.max(...[min.x, max.x].flatMap((x) => [min.y, max.y].map((y) => dot(up, vec(x, y, max.z)))));
}
