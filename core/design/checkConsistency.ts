import { findCrossing, measureSignedArea } from "../geometry/polygon";
import { measureExtent, type Solid } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { isLimitId } from "../rules/limitIds";
import { checkGear } from "./checkGear";
import { checkWays } from "./checkWays";
import type { Design } from "./design";
import type { Fault, FaultPath } from "./faults";
import type { HoseEnd } from "./gear";
import { listPoints } from "./linePoints";
import { findNode } from "./nodes";
import type { Drain, DumpLine, Hose, Line, PortKind, Tank, Vent } from "./plumbing";

const AXES = ["x", "y", "z"] as const;

/** What a schema of single fields cannot say: references, things that do not fit one another, points under the ground. */
export function checkConsistency(design: Design): Fault[] {
  return [
    ...checkIds(design),
    ...checkLinks(design),
    ...checkHabits(design),
    ...checkReferences(design),
    ...checkGear(design),
    ...checkWays(design),
    ...design.tanks.flatMap((tank, i) => checkTank(tank, ["tanks", i])),
    ...design.lines.flatMap((line, i): Fault[] =>
      line.pipe.outerMm > line.pipe.innerMm ? [] : [{ code: "pipeWithoutWall", path: ["lines", i, "pipe", "outerMm"] }],
    ),
    ...checkHull(design),
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
    [["gear"], design.gear],
    [["states"], design.states],
    ...design.tanks.map((tank, i): [FaultPath, typeof tank.ports] => [["tanks", i, "ports"], tank.ports]),
    ...design.lines.map((line, i): [FaultPath, readonly { readonly id: string }[]] =>
      line.kind === "drain" ? [["lines", i, "bendsMm"], line.bendsMm] : [["lines", i, "pointsMm"], line.pointsMm],
    ),
    ...(["people", "ways", "vessels", "flows"] as const).map(
      (list): [FaultPath, readonly { readonly id: string }[]] => [["habits", list], design.habits[list]],
    ),
    ...design.habits.ways.map(({ uses }, i): [FaultPath, typeof uses] => [["habits", "ways", i, "uses"], uses]),
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

// Sections stand one before the other, and each goes up from the keel.
function checkHull({ rig }: Design): Fault[] {
  return (rig.hull?.sections ?? []).flatMap(({ xMm, pointsMm }, i, all): Fault[] => {
    const path = ["rig", "hull", "sections", i];
    const before = all[i - 1];
    if (before && xMm <= before.xMm)
      return [{ code: "sectionsCross", path: [...path, "xMm"], section: i + 1, isOrder: true }];
    const falls = pointsMm.findIndex((p, k) => k > 0 && p.z < pointsMm[k - 1]!.z);
    const isFlat = pointsMm.at(-1)!.z <= pointsMm[0]!.z;
    if (falls < 0 && !isFlat) return [];
    return [{ code: "sectionsCross", path: [...path, "pointsMm", Math.max(0, falls)], section: i + 1, isOrder: false }];
  });
}

// A tank goes on in another one that is there and holds the same water.
function checkLinks({ tanks }: Design): Fault[] {
  return tanks.flatMap(({ id, holds, link }, i): Fault[] => {
    if (!link) return [];
    const path = ["tanks", i, "link", "toTank"];
    const other = tanks.find((tank) => tank.id === link.toTank);
    if (!other || other.id === id) return [{ code: "danglingReference", path, id: link.toTank }];
    return other.holds === holds ? [] : [{ code: "linkedWaters", path, id: other.id }];
  });
}

// A stretch is lived in a way that is there, and what is done is done at a fixture or into a vessel that is there.
function checkHabits({ habits, fixtures }: Design): Fault[] {
  const wants = (list: readonly { readonly id: string }[], wanted: string | null, ...path: FaultPath): Fault[] =>
    wanted === null || list.some(({ id }) => id === wanted)
      ? []
      : [{ code: "danglingReference", path: ["habits", ...path], id: wanted }];
  return [
    ...habits.stretches.flatMap(({ wayId }, i) => wants(habits.ways, wayId, "stretches", i, "wayId")),
    ...habits.flows.flatMap(({ fixtureId }, i) => wants(fixtures, fixtureId, "flows", i, "fixtureId")),
    ...habits.ways.flatMap(({ uses }, w) =>
      uses.flatMap(({ fixtureId, vesselId }, i) => [
        ...wants(fixtures, fixtureId, "ways", w, "uses", i, "fixtureId"),
        ...wants(habits.vessels, vesselId, "ways", w, "uses", i, "vesselId"),
      ]),
    ),
  ];
}

type Known = {
  readonly lines: ReadonlyMap<string, Line>;
  readonly tanks: ReadonlyMap<string, Tank>;
  readonly fixtures: ReadonlySet<string>;
};

function checkReferences(design: Design): Fault[] {
  const known: Known = {
    lines: new Map(design.lines.map((line) => [line.id, line])),
    tanks: new Map(design.tanks.map((tank) => [tank.id, tank])),
    fixtures: new Set(design.fixtures.map(({ id }) => id)),
  };
  return design.lines.flatMap((line, i): Fault[] => {
    const at = ["lines", i];
    if (line.kind === "hose") return checkHoles(line, at);
    if (line.kind === "vent") {
      const [tankPath, portPath] = [
        [...at, "fromTank"],
        [...at, "fromPort"],
      ];
      return [
        ...checkPort(known, { tankId: line.fromTank, portId: line.fromPort, wanted: "vent", tankPath, portPath }),
        ...checkVentEnd(known, line, at),
        ...checkHoles(line, at),
      ];
    }
    if (line.kind === "dumpLine") return [...checkDumpStart(design, known, line, at), ...checkHoles(line, at)];
    const faults: Fault[] = known.fixtures.has(line.fromFixture)
      ? checkAlong(line, at)
      : [{ code: "danglingReference", path: [...at, "fromFixture"], id: line.fromFixture }];
    if (line.to.kind === "junction") return [...faults, ...checkJoint(known, line.to, "drain", [...at, "to"])];
    if (line.to.kind === "ground") return faults;
    if (line.to.kind === "vessel")
      return [...faults, ...checkVessel(design, line.to.vesselId, [...at, "to", "vesselId"])];
    if (line.to.kind === "overboard" || line.to.kind === "sump") {
      const { gearId } = line.to;
      const wanted = line.to.kind === "sump" ? "sump" : "skinFitting";
      const path = [...at, "to", "gearId"];
      const fitting = design.gear.find(({ id }) => id === gearId);
      if (!fitting) return [...faults, { code: "danglingReference", path, id: gearId }];
      if (fitting.spec.kind === wanted) return faults;
      return [...faults, { code: "wrongPortKind", path, id: gearId, wanted }];
    }
    const { tankId, portId } = line.to;
    const [tankPath, portPath] = [
      [...at, "to", "tankId"],
      [...at, "to", "portId"],
    ];
    if (known.tanks.get(tankId)?.holds === "fresh") {
      return [...faults, { code: "drainIntoFresh", path: tankPath, id: tankId }];
    }
    return [...faults, ...checkPort(known, { tankId, portId, wanted: "inlet", tankPath, portPath })];
  });
}

// Waste runs into a vessel that is there and does not hold drinking water.
function checkVessel({ habits }: Design, vesselId: string, path: FaultPath): Fault[] {
  const vessel = habits.vessels.find(({ id }) => id === vesselId);
  if (!vessel) return [{ code: "danglingReference", path, id: vesselId }];
  return vessel.holds === "fresh" ? [{ code: "drainIntoFresh", path, id: vesselId }] : [];
}

// A dump line begins at an outlet from which nothing else goes.
function checkDumpStart({ lines }: Design, known: Known, line: DumpLine, at: FaultPath): Fault[] {
  const { fromTank: tankId, fromPort: portId } = line;
  const portPath = [...at, "fromPort"];
  const isHere = (end: HoseEnd) => end.kind === "tank" && end.tankId === tankId && end.portId === portId;
  const first = lines.find(
    (l) =>
      (l.kind === "dumpLine" && l.fromTank === tankId && l.fromPort === portId) ||
      (l.kind === "hose" && (isHere(l.from) || isHere(l.to))),
  );
  return [
    ...checkPort(known, { tankId, portId, wanted: "outlet", tankPath: [...at, "fromTank"], portPath }),
    ...(first === line ? [] : [{ code: "portTaken", path: portPath, id: line.name } as const]),
    ...checkDumpEnd(known, line, at),
  ];
}

// It ends at a last point of its own, or at a point of another one.
function checkDumpEnd(known: Known, { to, pointsMm }: DumpLine, at: FaultPath): Fault[] {
  if (to.kind === "coupling") return pointsMm.length > 0 ? [] : [{ code: "dumpWithoutEnd", path: [...at, "pointsMm"] }];
  return checkJoint(known, to, "dumpLine", [...at, "to"]);
}

// What sits at bends sits at bends that are there: one change of pipe and one piece at each, one running trap in all.
function checkAlong({ bendsMm, items }: Drain, at: FaultPath): Fault[] {
  const bends = bendsMm.length;
  const known = new Set(bendsMm.map(({ id }) => id));
  const changed = new Set<string>();
  const held = new Set<string>();
  const single = new Set<string>();
  return items.flatMap((item, i): Fault[] => {
    const path = [...at, "items", i];
    if (item.node !== null && !known.has(item.node)) return [{ code: "atNoBend", path: [...path, "node"], bends }];
    if (item.kind === "trap" || item.kind === "branchVent" || item.kind === "runningTrap") {
      if (single.has(item.kind)) return [{ code: "twoAtBend", path, what: item.kind }];
      single.add(item.kind);
    }
    if (item.kind === "inline") {
      if (held.has(item.node)) return [{ code: "twoAtBend", path, what: "inline" }];
      held.add(item.node);
    }
    if (item.kind !== "pipeChange") return [];
    if (changed.has(item.node)) return [{ code: "twoAtBend", path, what: "pipeChange" }];
    changed.add(item.node);
    const { outerMm, innerMm } = item.pipe;
    return outerMm > innerMm ? [] : [{ code: "pipeWithoutWall", path: [...path, "pipe", "outerMm"] }];
  });
}

// Holes of other lines stand at legs that are there.
function checkHoles({ pointsMm, items }: Vent | Hose | DumpLine, at: FaultPath): Fault[] {
  const known = new Set(pointsMm.map(({ id }) => id));
  return (items ?? []).flatMap(({ node }, i): Fault[] =>
    node === null || known.has(node)
      ? []
      : [{ code: "atNoBend", path: [...at, "items", i, "node"], bends: pointsMm.length }],
  );
}

// A breather ends in the open air or, by a tee, at a point of another one.
function checkVentEnd(known: Known, vent: Vent, at: FaultPath): Fault[] {
  const { to } = vent;
  if (to.kind === "openAir") {
    return vent.pointsMm.length > 0 ? [] : [{ code: "ventWithoutEnd", path: [...at, "pointsMm"] }];
  }
  return checkJoint(known, to, "vent", [...at, "to"]);
}

type PortReference = {
  readonly tankId: string;
  readonly portId: string;
  readonly wanted: PortKind;
  readonly tankPath: FaultPath;
  readonly portPath: FaultPath;
};

function checkPort({ tanks }: Known, { tankId, portId, wanted, tankPath, portPath }: PortReference): Fault[] {
  const tank = tanks.get(tankId);
  if (!tank) return [{ code: "danglingReference", path: tankPath, id: tankId }];
  const port = tank.ports.find((p) => p.id === portId);
  if (!port) return [{ code: "danglingReference", path: portPath, id: portId }];
  return port.kind === wanted ? [] : [{ code: "wrongPortKind", path: portPath, id: portId, wanted }];
}

type JointEnd = { readonly lineId: string; readonly node: string };

// A line that ends in another one does so at a point of it, and that one is of its kind.
function checkJoint(known: Known, { lineId, node }: JointEnd, kind: Line["kind"], path: FaultPath): Fault[] {
  const main = known.lines.get(lineId);
  if (main?.kind !== kind) return [{ code: "danglingReference", path: [...path, "lineId"], id: lineId }];
  const bends = listPoints(main).length;
  return findNode(main, node) >= 0 ? [] : [{ code: "joinsNoBend", path: [...path, "node"], id: lineId, bends }];
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
  if (solid.shape !== "prism") return [];
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
      const end = line.to.kind === "ground" || line.to.kind === "vessel" ? line.to.atMm : null;
      return [
        ...points.flatMap((p, k) => check(["lines", i, key, k, "z"], p.z)),
        ...(end ? check(["lines", i, "to", "atMm", "z"], end.z) : []),
      ];
    }),
  ];
}

const isWithin = (p: Vec3, min: Vec3, max: Vec3): boolean => AXES.every((a) => p[a] >= min[a] && p[a] <= max[a]);
