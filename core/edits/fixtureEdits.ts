import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { freeId } from "../design/freeId";
import type { Drain, Fixture, FixtureKind, Port, Tank, Trap } from "../design/plumbing";
import { USUAL_FIXTURES } from "../design/usualFixtures";
import { clearPort } from "../fit/clearPort";
import { measureExtent } from "../geometry/solid";
import { type Vec3, vec } from "../geometry/vec";
import { findWastePipe } from "../parts/pipes";
import { clamp } from "../quantity/tolerance";
import { createDrain } from "./createDrain";
import { listHandOver } from "./drainEdits";
import { listForgotten, listTaken } from "./habitEdits";

/** How far beside the fixture the drain goes down, mm. */
const DROP_ASIDE_MM = 180;

/**
 * Edit that sets a fixture of a kind beside the first tank, on the side with more room, and draws its drain to an
 * inlet of its own (or sets its outlet where it is told to), with half of what fall there is given to each run. It may well have findings; the place is to be
 * measured. Where no tank is there to drain to, the fixture comes alone.
 */
export function buildAddFixture(
  design: Design,
  kind: FixtureKind,
  name: string,
  placeMm: Vec3 | null = null,
  trap: Trap | null = USUAL_FIXTURES[kind].trap,
): Edit {
  // what falls from a toilet is sewage and needs a tank of its own
  const tank = design.tanks.find(({ holds }) =>
    kind === "gravityToilet" ? holds === "black" : holds === "grey" || holds === "black",
  );
  const usual = USUAL_FIXTURES[kind];
  const pipe = findWastePipe(usual.boreMm);
  const fixtureId = freeId(kind.toLowerCase(), design.fixtures);
  if (!tank) return addUndrained(design, { kind, name, fixtureId });
  const drainId = freeId(`${fixtureId}-drain`, design.lines);
  const outletMm = placeMm ?? placeFixture(design, tank, usual.heightMm);
  const inlet = placeInlet(design, tank, outletMm, pipe.innerMm);
  const { heightMm: _height, halfMm: _half, trap: _trap, ...measures } = usual;
  const fixture: Fixture = { id: fixtureId, name, kind, outletMm, ...measures, runsAlone: false };
  const drain = createDrain(fixture, {
    id: drainId,
    trap,
    to: { kind: "inlet", tankId: tank.id, portId: inlet.id },
    bendsMm: layBends(design, outletMm, outletMm.z - (trap?.dropMm ?? 0), tank.atMm.z + inlet.atMm.z, tank),
  });
  const ops: EditOp[] = [
    { op: "insert", path: ["fixtures"], index: design.fixtures.length, value: fixture },
    { op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: inlet },
    { op: "insert", path: ["lines"], index: design.lines.length, value: drain },
    ...listTaken(design, fixture),
  ];
  return { code: "addFixture", at: { kind: "fixture", id: fixtureId }, ops };
}

type NewFixture = { readonly kind: FixtureKind; readonly name: string; readonly fixtureId: string };

function addUndrained(design: Design, { kind, name, fixtureId }: NewFixture): Edit {
  const { heightMm, halfMm: _half, trap: _trap, ...measures } = USUAL_FIXTURES[kind];
  const { lengthMm, widthMm } = design.rig;
  const nth = design.fixtures.length;
  const x = clamp(lengthMm * 0.6 - nth * 450, 200, lengthMm - 200);
  const outletMm = vec(Math.round(x), (nth % 2 === 0 ? 1 : -1) * Math.round(Math.max(0, widthMm / 2 - 350)), heightMm);
  const value: Fixture = { id: fixtureId, name, kind, outletMm, ...measures, runsAlone: false };
  return {
    code: "addFixture",
    at: { kind: "fixture", id: fixtureId },
    ops: [{ op: "insert", path: ["fixtures"], index: nth, value }, ...listTaken(design, value)],
  };
}

/**
 * Edit that takes a fixture out with its drains, and the inlets that then serve nothing; what joins those drains goes
 * on along their way. Null when it is not there.
 */
export function buildRemoveFixture(design: Design, id: string): Edit | null {
  if (!design.fixtures.some((fixture) => fixture.id === id)) return null;
  const drains = design.lines.filter((line): line is Drain => line.kind === "drain" && line.fromFixture === id);
  const kept = design.lines.filter((line) => !drains.some((d) => d.id === line.id));
  const handOver = drains.flatMap((drain) => listHandOver(design, drain));
  // an inlet is idle when no drain that stays ends there and none takes it over
  const idle = drains.flatMap(({ to, id: lineId }) => {
    if (to.kind !== "inlet") return [];
    const isUsed = kept.some((l) => l.kind === "drain" && l.to.kind === "inlet" && isSameInlet(l.to, to));
    const isTakenOver = kept.some((l) => l.kind === "drain" && l.to.kind === "junction" && l.to.lineId === lineId);
    return isUsed || isTakenOver ? [] : [to];
  });
  // the last inlet of a tank stays: the next fixture will want it
  const spare = idle.filter(
    ({ tankId }) => countInlets(design, tankId) > idle.filter((p) => p.tankId === tankId).length,
  );
  return {
    code: "removeFixture",
    at: { kind: "rig" },
    ops: [
      ...handOver,
      ...drains.map((d): EditOp => ({ op: "remove", path: ["lines", d.id] })),
      ...spare.map(({ tankId, portId }): EditOp => ({ op: "remove", path: ["tanks", tankId, "ports", portId] })),
      ...listForgotten(design, id),
      { op: "remove", path: ["fixtures", id] },
    ],
  };
}

type Inlet = { readonly tankId: string; readonly portId: string };

const isSameInlet = (a: Inlet, b: Inlet): boolean => a.tankId === b.tankId && a.portId === b.portId;

const countInlets = (design: Design, tankId: string): number =>
  design.tanks.find((t) => t.id === tankId)?.ports.filter((p) => p.kind === "inlet").length ?? 0;

// Beside the tank, on the side of the rig where fewer fixtures stand, inside the floor.
function placeFixture(design: Design, tank: Tank, heightMm: number): Vec3 {
  const { lengthMm, widthMm } = design.rig;
  const { min, max } = measureExtent(tank.solid);
  const left = design.fixtures.filter((f) => f.outletMm.y >= 0).length;
  const side = left * 2 > design.fixtures.length ? -1 : 1;
  const row = design.fixtures.filter((f) => f.outletMm.y >= 0 === side > 0).length;
  const x = clamp(tank.atMm.x + (min.x + max.x) / 2 + row * 450, 200, lengthMm - 200);
  return vec(Math.round(x), side * Math.round(Math.max(0, widthMm / 2 - 350)), heightMm);
}

// As high as the tank lets it, on the wall that faces the fixture, clear of the inlets already there.
function placeInlet(design: Design, tank: Tank, outletMm: Vec3, boreMm: number): Port {
  const { min, max } = measureExtent(tank.solid);
  const bore = Math.min(boreMm, (max.z - min.z) * 0.8);
  const y = outletMm.y >= tank.atMm.y + (min.y + max.y) / 2 ? max.y : min.y;
  const x = clamp(outletMm.x - tank.atMm.x, min.x + bore, max.x - bore);
  const ids = design.tanks.flatMap((t) => t.ports);
  const port = createPort({
    id: freeId("inlet", ids),
    kind: "inlet",
    atMm: vec(Math.round(x), y, max.z - bore),
    boreMm: bore,
  });
  return clearPort(tank, port);
}

// Down beside the fixture, under the floor, then to the tank: high fixtures drop, low ones turn down at once.
function layBends(design: Design, outlet: Vec3, weirZ: number, inletZ: number, tank: Tank): Vec3[] {
  const floorMm = measureFloorMm(design);
  const toward = Math.sign(tank.atMm.y - outlet.y) || 1;
  const y = outlet.y + toward * DROP_ASIDE_MM;
  const underZ = Math.max(inletZ + 20, Math.min(-floorMm - 45, (weirZ + inletZ) / 2));
  const under = vec(outlet.x, y, Math.round(underZ));
  return weirZ - 10 > 20 ? [vec(outlet.x, y, weirZ - 10), under] : [under];
}
