import type { Design } from "../design/design";
import type { Line, Tank } from "../design/plumbing";
import { listPortEnds } from "../design/portEnds";
import { measureFittingGaps } from "../fit/portFittings";
import { measureExtent } from "../geometry/solid";
import { createRecall } from "../quantity/recall";
import { listLevelGroup } from "../tanks/linkedTanks";
import { type FaceHole, listTankFaces, measureToEdgeMm } from "../templates/tankFaces";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What can be said against the holes of a tank, what stands before them, and a pipe that joins it to another. */
export function checkPorts(design: Design, tank: Tank): Finding[] {
  const onPort = listOnPorts(design, tank);
  return [
    ...checkHoles(tank),
    ...checkOpen(design, tank, onPort),
    ...checkCrowded(tank, onPort),
    ...checkFittings(design, tank),
    ...checkLevelWith(design, tank),
  ];
}

type OnPorts = ReadonlyMap<string, readonly Line[]>;

/** The lines at each port of a tank that has any. */
function listOnPorts({ lines }: Design, tank: Tank): OnPorts {
  const onPort = new Map<string, Line[]>();
  for (const line of lines) {
    for (const { tankId, portId } of listPortEnds(line)) {
      if (tankId !== tank.id) continue;
      const known = onPort.get(portId);
      if (known) known.push(line);
      else onPort.set(portId, [line]);
    }
  }
  return onPort;
}

// One fitting takes one pipe or hose: a second one needs a wye or a tee before it.
function checkCrowded(tank: Tank, onPort: OnPorts): Finding[] {
  return [...onPort].flatMap(([id, [first, ...others]]): Finding[] => {
    if (!first || others.length === 0) return [];
    const names = [first, ...others].map(({ name }) => name);
    return [createFinding({ kind: "port", tankId: tank.id, id }, { code: "portCrowded", lineId: first.id, names })];
  });
}

// A hole that nothing shuts: an outlet with no valve, and no line or hose that could have one further on; any other that
// nothing is joined to. A filler has its cap, and hoses to drinking water may not be planned yet.
function checkOpen({ gear }: Design, tank: Tank, onPort: OnPorts): Finding[] {
  return tank.ports.flatMap(({ id, kind, valve }): Finding[] => {
    if (SHUT.has(kind) || valve) return [];
    if (kind === "fill" && (tank.holds === "fresh" || tank.holds === "loop")) return [];
    if ((kind === "fill" || kind === "draw") && gear.length === 0) return [];
    if (onPort.has(id)) return [];
    const at = { kind: "port", tankId: tank.id, id } as const;
    return [createFinding(at, { code: kind === "outlet" ? "outletOpen" : "portFree" })];
  });
}

/** Holes that what sits in them shuts. */
const SHUT: ReadonlySet<Tank["ports"][number]["kind"]> = new Set(["hatch", "sender", "plug"]);

const recallHoles = createRecall<Tank["ports"], Finding[]>();

// Holes move with their tank, so a tank that is only pulled is not looked through again.
const checkHoles = (tank: Tank): Finding[] =>
  recallHoles(tank.ports, [tank.id, tank.solid], () => [...findOverlaps(tank), ...findOffWall(tank)]);

// Two holes in one side need a web of wall between them.
function findOverlaps(tank: Tank): Finding[] {
  return listTankFaces(tank).flatMap(({ holes }) =>
    holes.flatMap((hole, i) =>
      holes.slice(0, i).flatMap((other): Finding[] => {
        const apart = Math.hypot(hole.at.u - other.at.u, hole.at.v - other.at.v);
        const overlapMm = (measureCutMm(hole) + measureCutMm(other)) / 2 - apart;
        if (overlapMm <= 0) return [];
        const at = { kind: "port", tankId: tank.id, id: hole.portId } as const;
        return [createFinding(at, { code: "portsOverlap", otherId: other.portId, otherKind: other.kind, overlapMm })];
      }),
    ),
  );
}

// A thread goes through a wider hole than its bore; what only the maker knows is at least as wide as the bore.
const measureCutMm = ({ boreMm, cutMm }: FaceHole): number => Math.max(boreMm, cutMm ?? 0);

/** Less than this is the rounding of what was measured, mm. */
const OFF_WALL_MM = 0.5;

// A bore that reaches past the edge of its wall cuts into the next one.
const findOffWall = (tank: Tank): Finding[] =>
  tank.ports.flatMap((port): Finding[] => {
    const toEdgeMm = measureToEdgeMm(tank.solid, port);
    if (toEdgeMm >= -OFF_WALL_MM) return [];
    const at = { kind: "port", tankId: tank.id, id: port.id } as const;
    return [createFinding(at, { code: "portOffWall", byMm: -toEdgeMm })];
  });

function checkFittings(design: Design, tank: Tank): Finding[] {
  return tank.ports.flatMap((port): Finding[] => {
    const at = { kind: "port", tankId: tank.id, id: port.id } as const;
    const { valve } = port;
    const narrow =
      valve && valve.boreMm < port.boreMm
        ? [createFinding(at, { code: "valveNarrow", fromMm: port.boreMm, toMm: valve.boreMm })]
        : [];
    const hits = measureFittingGaps(design, tank, port)
      .filter(({ gapMm }) => gapMm < 0)
      .map(({ obstacle, gapMm }) =>
        createFinding(at, {
          code: "fittingHitsObstacle",
          obstacleId: obstacle.id,
          obstacleName: obstacle.name,
          gapMm,
        }),
      );
    return [...narrow, ...hits];
  });
}

// Tanks that are to share a level need heights in common.
function checkLevelWith(design: Design, tank: Tank): Finding[] {
  if (tank.link?.kind !== "communicating") return [];
  const span = (one: Tank) => {
    const { min, max } = measureExtent(one.solid);
    return { low: one.atMm.z + min.z, high: one.atMm.z + max.z };
  };
  const own = span(tank);
  return listLevelGroup(design, tank)
    .filter(({ id }) => id === tank.link?.toTank)
    .flatMap((other): Finding[] => {
      const { low, high } = span(other);
      const apartMm = Math.max(low - own.high, own.low - high);
      if (apartMm < 0) return [];
      const at = { kind: "tank", id: tank.id } as const;
      return [createFinding(at, { code: "linkApart", otherName: other.name, apartMm })];
    });
}
