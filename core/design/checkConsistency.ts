import { findCrossing, measureSignedArea } from "../geometry/polygon";
import { measureExtent, type Solid } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { isLimitId } from "../rules/limitIds";
import type { Design } from "./design";
import type { Fault, FaultPath } from "./faults";
import type { Tank } from "./plumbing";

const AXES = ["x", "y", "z"] as const;

/** What a schema of single fields cannot say: references, things that do not fit one another, points under the ground. */
export function checkConsistency(design: Design): Fault[] {
  return [
    ...checkIds(design),
    ...checkReferences(design),
    ...design.tanks.flatMap((tank, i) => checkTank(tank, ["tanks", i])),
    ...design.lines.flatMap((line, i): Fault[] =>
      line.pipe.outerMm > line.pipe.innerMm ? [] : [{ code: "pipeWithoutWall", path: ["lines", i, "pipe", "outerMm"] }],
    ),
    ...checkGround(design),
    ...Object.keys(design.rules.limits)
      .filter((limit) => !isLimitId(limit))
      .map((limit): Fault => ({ code: "unknownLimit", path: ["rules", "limits"], id: limit })),
  ];
}

function checkIds(design: Design): Fault[] {
  const lists: [FaultPath, readonly { readonly id: string }[]][] = [
    [["rig", "standings"], design.rig.standings],
    [["obstacles"], design.obstacles],
    [["fixtures"], design.fixtures],
    [["tanks"], design.tanks],
    [["lines"], design.lines],
    ...design.tanks.map((tank, i): [FaultPath, typeof tank.ports] => [["tanks", i, "ports"], tank.ports]),
  ];
  return lists.flatMap(([path, entries]) => {
    const seen = new Set<string>();
    return entries.flatMap((entry, i): Fault[] => {
      if (seen.has(entry.id)) return [{ code: "duplicateId", path: [...path, i, "id"], id: entry.id }];
      seen.add(entry.id);
      return [];
    });
  });
}

function checkReferences(design: Design): Fault[] {
  return design.lines.flatMap((line, i): Fault[] => {
    const faults: Fault[] = [];
    const tankId = line.kind === "drain" ? line.toTank : line.fromTank;
    const portId = line.kind === "drain" ? line.toPort : line.fromPort;
    const wanted = line.kind === "drain" ? "inlet" : "vent";
    const key = (drain: string, vent: string) => ["lines", i, line.kind === "drain" ? drain : vent];
    if (line.kind === "drain" && !design.fixtures.some((f) => f.id === line.fromFixture)) {
      faults.push({ code: "danglingReference", path: ["lines", i, "fromFixture"], id: line.fromFixture });
    }
    const tank = design.tanks.find((t) => t.id === tankId);
    const port = tank?.ports.find((p) => p.id === portId);
    if (!tank) faults.push({ code: "danglingReference", path: key("toTank", "fromTank"), id: tankId });
    else if (!port) faults.push({ code: "danglingReference", path: key("toPort", "fromPort"), id: portId });
    else if (port.kind !== wanted)
      faults.push({ code: "wrongPortKind", path: key("toPort", "fromPort"), id: portId, wanted });
    return faults;
  });
}

function checkTank(tank: Tank, path: FaultPath): Fault[] {
  const outline = checkOutline(tank.solid, [...path, "solid", "profileMm"]);
  if (outline.length > 0) return outline;
  const { min, max } = measureExtent(tank.solid);
  return tank.ports.flatMap((port, i): Fault[] => {
    const at = [...path, "ports", i];
    const roomMm = Math.min(...AXES.map((axis) => max[axis] - min[axis]));
    if (port.boreMm > roomMm) {
      return [{ code: "fittingLargerThanTank", path: [...at, "boreMm"], boreMm: port.boreMm, roomMm }];
    }
    return isWithin(port.atMm, min, max) ? [] : [{ code: "portOutsideTank", path: [...at, "atMm"] }];
  });
}

function checkOutline(solid: Solid, path: FaultPath): Fault[] {
  if (solid.shape === "box") return [];
  const edges = findCrossing(solid.profileMm);
  if (edges) return [{ code: "profileCrossesItself", path, edges }];
  return Math.abs(measureSignedArea(solid.profileMm)) < 1 ? [{ code: "profileWithoutArea", path }] : [];
}

function checkGround(design: Design): Fault[] {
  const { groundZMm } = design.rig;
  const check = (path: FaultPath, zMm: number): Fault[] =>
    zMm >= groundZMm ? [] : [{ code: "belowGround", path, zMm, groundZMm }];
  return [
    ...design.fixtures.flatMap((f, i) => check(["fixtures", i, "outletMm", "z"], f.outletMm.z)),
    ...design.tanks.flatMap((t, i) => check(["tanks", i, "atMm", "z"], t.atMm.z)),
    ...design.lines.flatMap((line, i) => {
      const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
      const points = line.kind === "drain" ? line.bendsMm : line.pointsMm;
      return points.flatMap((p, k) => check(["lines", i, key, k, "z"], p.z));
    }),
  ];
}

const isWithin = (p: Vec3, min: Vec3, max: Vec3): boolean => AXES.every((a) => p[a] >= min[a] && p[a] <= max[a]);
