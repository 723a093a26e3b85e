import { type DesignDocument, isDocument, type MigrationTable } from "./migrate";

/** Step n leads from version n to n + 1. */
export const MIGRATIONS: MigrationTable = {
  1: giveDrainsAnEnd,
  2: giveBreathersAnEnd,
  3: giveFittings,
  4: giveUses,
  5: giveGear,
  6: giveBolts,
  7: nameNodes,
  8: gatherBeginning,
};

// Version 1 knew drains into tanks only, and named tank and port side by side.
function giveDrainsAnEnd(old: DesignDocument): DesignDocument {
  if (!Array.isArray(old["lines"])) return old;
  const lines = old["lines"].map((line: unknown) => {
    if (!isDocument(line) || line["kind"] !== "drain") return line;
    const { toTank, toPort, ...rest } = line;
    return { ...rest, to: { kind: "inlet", tankId: toTank, portId: toPort } };
  });
  return { ...old, lines };
}

// Version 2 knew breathers to the open air only, one pipe a drain and traps under fixtures only.
function giveBreathersAnEnd(document: DesignDocument): DesignDocument {
  const { fixtures, tanks, rig } = document;
  const old: DesignDocument = {
    ...document,
    ...(Array.isArray(fixtures) ? { fixtures: givePlugs(fixtures) } : {}),
    ...(Array.isArray(tanks) ? { tanks: giveMaterials(tanks) } : {}),
    ...(isDocument(rig) ? { rig: giveClass(rig) } : {}),
  };
  if (!Array.isArray(old["lines"])) return old;
  const lines = old["lines"].map((line: unknown) => {
    if (!isDocument(line)) return line;
    if (line["kind"] === "vent") return { ...line, to: { kind: "openAir", hasMesh: true } };
    if (line["kind"] !== "drain") return line;
    const trap = line["trap"];
    // what is screwed together below a sink can be unscrewed there
    const opens = isDocument(trap) && (trap["kind"] === "pTrap" || trap["kind"] === "bottle");
    return {
      ...line,
      trap: isDocument(trap) ? { ...trap, hasCleanout: opens } : trap,
      lineTrap: null,
      changes: [],
      holes: [],
    };
  });
  return { ...old, lines };
}

const giveMaterials = (tanks: readonly unknown[]): unknown[] =>
  tanks.map((tank) =>
    isDocument(tank) ? { ...tank, material: "polyethylene", insulationMm: 0, sender: null, fixing: null } : tank,
  );
const CLASS_OF: Readonly<Record<string, string>> = { van: "m1n1", bus: "m3n3" };
const giveClass = (rig: DesignDocument): DesignDocument => ({
  ...rig,
  crashClass: CLASS_OF[String(rig["kind"])] ?? "none",
  ...(Array.isArray(rig["axles"]) ? { axles: giveSpare(rig["axles"]) } : {}),
});
const giveSpare = (axles: readonly unknown[]): unknown[] =>
  axles.map((axle) => (isDocument(axle) ? { ...axle, spareKg: null } : axle));
const PLUGGED: readonly unknown[] = ["kitchenSink", "basin", "bath"];
const givePlugs = (fixtures: readonly unknown[]): unknown[] =>
  fixtures.map((fixture) =>
    isDocument(fixture) ? { ...fixture, hasPlug: PLUGGED.includes(fixture["kind"]) } : fixture,
  );

// Version 3 knew a port by its hole alone, tanks one by one, and dumped without a hose.
function giveFittings(document: DesignDocument): DesignDocument {
  const { tanks, rig } = document;
  return {
    ...document,
    ...(isDocument(rig) ? { rig: { ...rig, dumpHose: null } } : {}),
    ...(Array.isArray(tanks) ? { tanks: tanks.map(giveTankFittings) } : {}),
  };
}

function giveTankFittings(tank: unknown): unknown {
  if (!isDocument(tank)) return tank;
  const { ports, fixing } = tank;
  return {
    ...tank,
    link: null,
    fixing: isDocument(fixing) ? { ...fixing, fastener: "rivetNut", strapKN: null } : fixing,
    ...(Array.isArray(ports) ? { ports: ports.map(givePortFittings) } : {}),
  };
}

const givePortFittings = (port: unknown): unknown =>
  isDocument(port) ? { ...port, thread: null, fittingMm: 0, valve: null } : port;

// Version 4 knew four plain figures: they become one group of people, two uses and a vessel that come to the same days.
function giveUses(document: DesignDocument): DesignDocument {
  const { habits } = document;
  if (!isDocument(habits)) return document;
  const { people, sinkLPerPersonDay, drunkLPerPersonDay, freshL, ...others } = habits;
  const plain = { from: "fresh", vesselId: null, times: 1, per: "personDay", byChance: false };
  const uses = [
    {
      id: "drains",
      name: "Down the drains",
      kind: "drains",
      takesL: sinkLPerPersonDay,
      sendsL: sinkLPerPersonDay,
      fixtureId: findGreyFixture(document),
      ...plain,
    },
    { id: "drunk", name: "Drunk", kind: "drinking", takesL: drunkLPerPersonDay, sendsL: 0, fixtureId: null, ...plain },
  ];
  return {
    ...document,
    habits: {
      ...others,
      people: [{ id: "adults", name: "Adults", kind: "adult", count: people, daysPerWeek: 7 }],
      ways: [{ id: "ordinary", name: "Ordinary days", uses }],
      stretches: [{ wayId: "ordinary", days: 30 }],
      vessels: [{ id: "fresh-water", name: "Fresh water carried", holds: "fresh", litres: freshL }],
      flows: [],
      certainty: 0.9,
    },
  };
}

// The first fixture whose water comes to a grey tank, through however many drains; null where none does.
function findGreyFixture({ lines, tanks }: DesignDocument): unknown {
  if (!Array.isArray(lines) || !Array.isArray(tanks)) return null;
  const byId = new Map(lines.filter(isDocument).map((line) => [line["id"], line]));
  const isGrey = (id: unknown) =>
    tanks.some((tank) => isDocument(tank) && tank["id"] === id && tank["holds"] === "grey");
  for (const first of byId.values()) {
    let at: DesignDocument | undefined = first["kind"] === "drain" ? first : undefined;
    for (let steps = 0; at && steps <= lines.length; steps++) {
      const to: unknown = at["to"];
      if (!isDocument(to)) break;
      if (to["kind"] === "inlet") {
        if (isGrey(to["tankId"])) return first["fromFixture"];
        break;
      }
      at = byId.get(to["lineId"]);
    }
  }
  return null;
}

// Version 6 knew bolts by their number only, one rating for them in any direction, and one unit.
function giveBolts(document: DesignDocument): DesignDocument {
  const { tanks, fixtures, rig, habits } = document;
  const vessels = isDocument(habits) ? habits["vessels"] : null;
  return {
    ...document,
    ...(Array.isArray(tanks) ? { tanks: tanks.map(giveRatings) } : {}),
    ...(Array.isArray(fixtures) ? { fixtures: fixtures.map((one) => giveEach(one, { runsAlone: false })) } : {}),
    ...(isDocument(rig) ? { rig: { ...rig, couplingXMm: null, displacementKg: null, gmMm: null } } : {}),
    ...(isDocument(habits) && Array.isArray(vessels)
      ? { habits: { ...habits, vessels: vessels.map((one) => giveEach(one, { on: "rig" })) } }
      : {}),
  };
}

const giveEach = (value: unknown, given: DesignDocument): unknown =>
  isDocument(value) ? { ...value, ...given } : value;

function giveRatings(tank: unknown): unknown {
  if (!isDocument(tank) || !isDocument(tank["fixing"])) return tank;
  const { fixing } = tank;
  const given = {
    placesMm: null,
    heldShearKN: fixing["heldKN"] ?? null,
    heldFactor: 1.5,
    hasPlate: false,
    hasEndStop: false,
  };
  return { ...tank, fixing: { ...fixing, ...given } };
}

// Version 7 knew points of lines, and what sits or joins there, by their place along the line.
function nameNodes(document: DesignDocument): DesignDocument {
  const name = (points: unknown): unknown =>
    Array.isArray(points) ? points.map((point: unknown, i) => giveEach(point, { id: toNodeId(i) })) : points;
  return mapEach(document, "lines", ({ lineTrap, changes, holes, ...line }) => ({
    ...line,
    ...("bendsMm" in line ? { bendsMm: name(line["bendsMm"]) } : {}),
    ...("pointsMm" in line ? { pointsMm: name(line["pointsMm"]) } : {}),
    ...("to" in line ? { to: nameJoint(line["to"]) } : {}),
    ...(line["kind"] === "drain" ? { items: gatherItems(lineTrap, changes, holes) } : {}),
  }));
}

// Version 8 kept a drain's trap and the air of its branch apart from what else sits on it.
function gatherBeginning(document: DesignDocument): DesignDocument {
  return mapEach(document, "lines", (line) => {
    if (line["kind"] !== "drain") return line;
    const { trap, branchVent: vent, items, ...rest } = line;
    const isThere = (value: unknown) => value !== null && value !== undefined;
    return {
      ...rest,
      items: [
        ...(isThere(trap) ? [{ kind: "trap", node: null, trap }] : []),
        ...(isThere(vent) ? [{ kind: "branchVent", node: null, vent }] : []),
        ...(Array.isArray(items) ? items : []),
      ],
    };
  });
}

const toNodeId = (index: unknown): string => `n${Number(index) + 1}`;

function nameJoint(to: unknown): unknown {
  if (!isDocument(to)) return to;
  const { bend, point, ...rest } = to;
  return bend === undefined && point === undefined ? to : { ...rest, node: toNodeId(bend ?? point) };
}

function gatherItems(lineTrap: unknown, changes: unknown, holes: unknown): unknown[] {
  const put = (kind: string, value: unknown): unknown => {
    if (!isDocument(value)) return value;
    const { bend, ...rest } = value;
    return { kind, node: toNodeId(bend), ...rest };
  };
  const drill = (value: unknown): unknown => {
    if (!isDocument(value)) return value;
    // leg 0 begins at the trap, leg 1 at the first bend
    const { leg, ...rest } = value;
    return { kind: "hole", node: leg === 0 ? null : toNodeId(Number(leg) - 1), ...rest };
  };
  return [
    ...(lineTrap === null || lineTrap === undefined ? [] : [put("runningTrap", lineTrap)]),
    ...(Array.isArray(changes) ? changes.map((one: unknown) => put("pipeChange", one)) : []),
    ...(Array.isArray(holes) ? holes.map(drill) : []),
  ];
}

const mapEach = (
  document: DesignDocument,
  key: string,
  change: (entry: DesignDocument) => DesignDocument,
): DesignDocument => {
  const entries = document[key];
  if (!Array.isArray(entries)) return document;
  return { ...document, [key]: entries.map((one: unknown) => (isDocument(one) ? change(one) : one)) };
};

// Version 5 knew only water that falls.
function giveGear(document: DesignDocument): DesignDocument {
  return { ...document, gear: [], states: [] };
}
