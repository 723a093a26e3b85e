import { listGearPorts } from "../gear/gearPorts";
import type { Design } from "./design";
import type { Fault, FaultPath } from "./faults";
import type { HoseEnd } from "./gear";
import type { PortKind } from "./plumbing";

/** Ports of a tank that a hose may be put on. */
const HOSE_PORTS = new Set<PortKind>(["draw", "fill", "inlet", "outlet"]);

/** Hoses end at ports that are there, one at each; working states name gear and taps that are there. */
export function checkGear(design: Design): Fault[] {
  return [...checkHoses(design), ...checkTaps(design), ...checkStates(design)];
}

function checkHoses(design: Design): Fault[] {
  const taken = new Map<string, FaultPath>();
  return design.lines.flatMap((line, i): Fault[] => {
    if (line.kind !== "hose") return [];
    return (["from", "to"] as const).flatMap((side): Fault[] => {
      const path = ["lines", i, side];
      const faults = checkEnd(design, line[side], path);
      if (faults.length > 0) return faults;
      const key = Object.values(line[side]).join(":");
      if (line[side].kind === "gear" && taken.has(key)) return [{ code: "portTaken", path, id: line.name }];
      taken.set(key, path);
      return [];
    });
  });
}

function checkEnd({ gear, tanks }: Design, end: HoseEnd, path: FaultPath): Fault[] {
  if (end.kind === "gear") {
    const piece = gear.find(({ id }) => id === end.gearId);
    if (!piece) return [{ code: "danglingReference", path: [...path, "gearId"], id: end.gearId }];
    const ports = listGearPorts(piece.spec.kind);
    return ports.includes(end.port) ? [] : [{ code: "notOneOf", path: [...path, "port"], options: ports }];
  }
  const tank = tanks.find(({ id }) => id === end.tankId);
  if (!tank) return [{ code: "danglingReference", path: [...path, "tankId"], id: end.tankId }];
  const port = tank.ports.find(({ id }) => id === end.portId);
  if (!port) return [{ code: "danglingReference", path: [...path, "portId"], id: end.portId }];
  if (HOSE_PORTS.has(port.kind)) return [];
  return [{ code: "wrongPortKind", path: [...path, "portId"], id: end.portId, wanted: "draw" }];
}

function checkTaps({ gear, fixtures }: Design): Fault[] {
  return gear.flatMap(({ spec }, i): Fault[] => {
    if (spec.kind !== "tap" || spec.fixtureId === null) return [];
    if (fixtures.some(({ id }) => id === spec.fixtureId)) return [];
    return [{ code: "danglingReference", path: ["gear", i, "spec", "fixtureId"], id: spec.fixtureId }];
  });
}

function checkStates({ states, gear }: Design): Fault[] {
  const known = new Set(gear.map(({ id }) => id));
  const wants = (id: string, path: FaultPath): Fault[] =>
    known.has(id) ? [] : [{ code: "danglingReference", path, id }];
  return states.flatMap(({ on, positions, openTaps }, i) => [
    ...on.flatMap((id, n) => wants(id, ["states", i, "on", n])),
    ...positions.flatMap(({ gearId }, n) => wants(gearId, ["states", i, "positions", n, "gearId"])),
    ...openTaps.flatMap((id, n) => wants(id, ["states", i, "openTaps", n])),
  ]);
}
