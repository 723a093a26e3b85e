import {
  DEMO_NAMES,
  FURNISHED,
  HEADS_NAME,
  HEADS_NAMES,
  LOOP_NAMES,
  readDemo,
  readDemoText,
  readOldText,
} from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { createHabits } from "./createHabits";
import { CURRENT_VERSION } from "./design";
import type { Fault } from "./faults";
import { migrate } from "./migrate";
import { readDesign, readDesignText } from "./readDesign";

function readFault(change: (doc: Record<string, never>) => void): Fault {
  const document = JSON.parse(readDemoText("kranich"));
  change(document);
  const outcome = readDesign(document);
  if (outcome.ok) throw new Error("it was taken");
  return outcome.faults[0]!;
}

test.each(DEMO_NAMES)("%s is read, and written again it is the same file", (name) => {
  const design = readDemo(name);
  const again = readDesignText(JSON.stringify(design));
  expect(again).toEqual({ ok: true, design, fromVersion: CURRENT_VERSION, cleaned: false });
});

test.each<[string, string, Fault["code"]]>([
  ["not JSON", "{ not json", "notJson"],
  ["empty", "", "notJson"],
  ["not ours", '{"some":"thing"}', "notOurs"],
  ["a list", "[1,2]", "notOurs"],
  ["a newer version", '{"format":"schleuse-design","version":99}', "newerVersion"],
  ["no version", '{"format":"schleuse-design"}', "unknownVersion"],
  ["10 MB", " ".repeat(10_000_000), "tooLarge"],
  ["deep nesting", `${"[".repeat(100_000)}${"]".repeat(100_000)}`, "tooDeep"],
  ["a prototype", '{"format":"schleuse-design","version":1,"__proto__":{"isAdmin":true}}', "forbiddenKey"],
])("%s is refused as such", (_, text, code) => {
  const outcome = readDesignText(text);
  if (outcome.ok) throw new Error("it was taken");
  expect(outcome.faults[0]!.code).toBe(code);
});

// biome-ignore lint/suspicious/noExplicitAny: a file from outside has no type
type Loose = any;

const toJunction = (lineId: string, bend: number) => ({
  kind: "junction",
  lineId,
  node: `n${bend + 1}`,
  fitting: "wye",
});

test.each<[string, (doc: Loose) => void, Fault["code"], string]>([
  ["a negative length", (d) => (d.tanks[0].solid.lengthMm = -5), "tooSmall", "tanks.0.solid.lengthMm"],
  ["a missing name", (d) => delete d.name, "missing", "name"],
  ["a text for a number", (d) => (d.rig.lengthMm = "long"), "wrongType", "rig.lengthMm"],
  ["a number JSON cannot hold", (d) => (d.rig.lengthMm = Number.NaN), "wrongType", "rig.lengthMm"],
  ["no people", (d) => (d.habits.people[0].count = 0), "tooSmall", "habits.people.0.count"],
  ["an unknown rule pack", (d) => (d.rules.pack = "moon"), "notOneOf", "rules.pack"],
  ["an unknown limit", (d) => (d.rules.limits = { gravity: 1 }), "unknownLimit", "rules.limits"],
  ["an extra key", (d) => (d.rig.colour = "red"), "unknownKeys", "rig"],
  ["an outlet below the ground", (d) => (d.fixtures[0].outletMm.z = -2000), "belowGround", "fixtures.0.outletMm.z"],
  [
    "a tank smaller than its fitting",
    (d) => (d.tanks[0].solid.heightMm = 30),
    "fittingLargerThanTank",
    "tanks.0.ports.0.boreMm",
  ],
  ["a port outside its tank", (d) => (d.tanks[0].ports[0].atMm.x = 2000), "portOutsideTank", "tanks.0.ports.0.atMm"],
  ["a line to nowhere", (d) => (d.lines[0].to.tankId = "gone"), "danglingReference", "lines.0.to.tankId"],
  ["a drain into a breather", (d) => (d.lines[0].to.portId = "vent"), "wrongPortKind", "lines.0.to.portId"],
  ["a drain into itself", (d) => (d.lines[0].to = toJunction("sink-drain", 0)), "drainLoop", "lines.0.to"],
  [
    "a drain into a line that is not there",
    (d) => (d.lines[0].to = toJunction("gone", 0)),
    "danglingReference",
    "lines.0.to.lineId",
  ],
  [
    "a drain into a breather pipe",
    (d) => (d.lines[0].to = toJunction("grey-vent", 0)),
    "danglingReference",
    "lines.0.to.lineId",
  ],
  [
    "a branch at a bend that is not there",
    (d) => d.lines.push({ ...d.lines[0], id: "branch", to: toJunction("sink-drain", 9) }),
    "joinsNoBend",
    "lines.2.to.node",
  ],
  [
    "two drains that run into each other",
    (d) => {
      d.lines.push({ ...d.lines[0], id: "branch", to: toJunction("sink-drain", 0) });
      d.lines[0].to = toJunction("branch", 0);
    },
    "drainLoop",
    "lines.0.to",
  ],
  ["two bends of one id", (d) => (d.lines[0].bendsMm[1].id = "n1"), "duplicateId", "lines.0.bendsMm.1.id"],
  [
    "a running trap at a bend that is not there",
    (d) => d.lines[0].items.push({ kind: "runningTrap", node: "n9", sealMm: 50, hasCleanout: true }),
    "atNoBend",
    "lines.0.items.2.node",
  ],
  [
    "two running traps",
    (d) => {
      for (const node of ["n1", "n2"])
        d.lines[0].items.push({ kind: "runningTrap", node, sealMm: 50, hasCleanout: true });
    },
    "twoAtBend",
    "lines.0.items.3",
  ],
  ["two traps under one fixture", (d) => d.lines[0].items.push(d.lines[0].items[0]), "twoAtBend", "lines.0.items.2"],
  ["two vents of a branch", (d) => d.lines[0].items.push(d.lines[0].items[1]), "twoAtBend", "lines.0.items.2"],
  ["a trap at a bend", (d) => (d.lines[0].items[0].node = "n1"), "wrongType", "lines.0.items.0.node"],
  ["two of one id", (d) => d.fixtures.push(d.fixtures[0]), "duplicateId", "fixtures.1.id"],
  ["a pipe without a wall", (d) => (d.lines[0].pipe.outerMm = 30), "pipeWithoutWall", "lines.0.pipe.outerMm"],
])("%s: refused with its place", (_, change, code, place) => {
  const fault = readFault(change);
  expect(fault.code).toBe(code);
  expect(fault.path.join(".")).toBe(place);
});

test("a crossing outline names its edges", () => {
  const fault = readFault((d: Loose) => {
    d.tanks[0].solid = {
      shape: "prism",
      axis: "x",
      lengthMm: 800,
      profileMm: [
        { u: 0, v: 0 },
        { u: 450, v: 190 },
        { u: 450, v: 0 },
        { u: 0, v: 190 },
      ],
    };
  });
  expect(fault).toMatchObject({ code: "profileCrossesItself", edges: [0, 2] });
});

const toRig2 = ({ crashClass: _class, ...rig }: Loose): Loose => ({
  ...rig,
  axles: rig.axles.map(({ spareKg: _spare, ...axle }: Loose) => axle),
});
// What version 7 had not: ids of the points of lines, which are numbered along them, and one list of what sits at them.
const nameNodes = (lines: readonly Loose[]): Loose[] => {
  const name = (points: readonly Loose[]) => points.map((point, i) => ({ ...point, id: `n${i + 1}` }));
  const join = ({ bend, point, ...to }: Loose) => {
    const nth = bend ?? point;
    return nth === undefined ? to : { ...to, node: `n${nth + 1}` };
  };
  return lines.map(({ lineTrap, changes, holes, ...line }) => {
    const to = join(line.to);
    if (line.kind !== "drain") return { ...line, to, pointsMm: name(line.pointsMm) };
    const put = (kind: string, { bend, ...rest }: Loose) => ({ kind, node: `n${bend + 1}`, ...rest });
    const items = [
      ...(lineTrap ? [put("runningTrap", lineTrap)] : []),
      ...(changes ?? []).map((one: Loose) => put("pipeChange", one)),
      ...(holes ?? []).map(({ leg, ...one }: Loose) => ({ kind: "hole", node: leg === 0 ? null : `n${leg}`, ...one })),
    ];
    return { ...line, to, bendsMm: name(line.bendsMm), items };
  });
};
// What version 8 kept apart: the trap and the air of the branch, which begin the list of what sits on a drain now.
const gatherItems = (lines: readonly Loose[]): Loose[] =>
  lines.map(({ trap, branchVent: vent, ...line }) => {
    if (line.kind !== "drain") return line;
    const own = [
      ...(trap ? [{ kind: "trap", node: null, trap }] : []),
      ...(vent ? [{ kind: "branchVent", node: null, vent }] : []),
    ];
    return { ...line, items: [...own, ...line.items] };
  });
// What version 6 had not: who runs alone, where a coupling is, what is carried on another unit.
const toNewest = (old: Loose): Loose => ({
  ...old,
  lines: gatherItems(nameNodes(old.lines)),
  version: CURRENT_VERSION,
  rig: { ...old.rig, couplingXMm: null, displacementKg: null, gmMm: null },
  fixtures: old.fixtures.map((fixture: Loose) => ({ ...fixture, runsAlone: false })),
  ...(old.habits?.vessels
    ? { habits: { ...old.habits, vessels: old.habits.vessels.map((vessel: Loose) => ({ ...vessel, on: "rig" })) } }
    : {}),
});

// What the older versions had not: an end of a breather, changes of pipe, traps in the line, cleanouts.
const toVersion3 = (document: Loose): Loose => {
  const { dumpHose: _hose, ...rig } = document.rig;
  const tanks = document.tanks.map(({ link: _link, fixing, ports, ...tank }: Loose) => {
    const { strapKN: _strap, fastener: _fastener, ...held } = fixing ?? {};
    return {
      ...tank,
      fixing: fixing && held,
      ports: ports.map(({ thread: _thread, fittingMm: _room, valve: _valve, ...port }: Loose) => port),
    };
  });
  return { ...document, version: 3, rig, tanks };
};

/** As the file of version 4 is read today. */
const readOld = (name: (typeof DEMO_NAMES)[number]) => {
  const outcome = readDesignText(readOldText(4, name));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
};

test.each([...DEMO_NAMES, FURNISHED] as const)(
  "%s as version 4 wrote it keeps its people, its litres and all else",
  (name) => {
    const old = JSON.parse(readOldText(4, name));
    const outcome = readDesign(old);
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
    const { habits, ...rest } = outcome.design;
    const { habits: plain, ...oldRest } = old;
    expect(rest).toEqual(toNewest({ ...oldRest, gear: [], states: [] }));
    const fixtureId = habits.ways[0]!.uses[0]!.fixtureId;
    expect(habits).toEqual(createHabits(plain, fixtureId));
    expect(old.fixtures.map(({ id }: Loose) => id)).toContain(fixtureId);
    // the days come out as the four figures said: litres over people times litres each
    const { stores } = evaluate(outcome.design).balance;
    const fresh = stores.find(({ holds }) => holds === "fresh")!;
    expect(fresh.days.level).toBeCloseTo(
      plain.freshL / (plain.people * (plain.sinkLPerPersonDay + plain.drunkLPerPersonDay)),
      9,
    );
    const grey = stores.find(({ holds, days }) => holds === "grey" && days.level !== null)!;
    expect(grey.days.level).toBeCloseTo(grey.roomL.level / (plain.people * plain.sinkLPerPersonDay), 9);
  },
);

test.each([...DEMO_NAMES, FURNISHED] as const)("%s as version 5 wrote it is the same, without gear", (name) => {
  const old = JSON.parse(readOldText(5, name));
  const outcome = readDesign(old);
  expect(outcome).toMatchObject({ ok: true, fromVersion: 5 });
  if (outcome.ok) expect(outcome.design).toEqual(toNewest({ ...old, gear: [], states: [] }));
});

test.each([...DEMO_NAMES, ...LOOP_NAMES, FURNISHED] as const)(
  "%s as version 6 wrote it is the same, with bolts in rows and one unit",
  (name) => {
    const old = JSON.parse(readOldText(6, name));
    const outcome = readDesign(old);
    expect(outcome).toMatchObject({ ok: true, fromVersion: 6 });
    if (outcome.ok) expect(outcome.design).toEqual(toNewest(old));
  },
);

test.each([...DEMO_NAMES, ...LOOP_NAMES, ...HEADS_NAMES, HEADS_NAME, FURNISHED] as const)(
  "%s as version 7 wrote it is the same, its points known by ids",
  (name) => {
    const old = JSON.parse(readOldText(7, name));
    const outcome = readDesign(old);
    expect(outcome).toMatchObject({ ok: true, fromVersion: 7 });
    if (outcome.ok)
      expect(outcome.design).toEqual({ ...old, lines: gatherItems(nameNodes(old.lines)), version: CURRENT_VERSION });
  },
);

test.each([...DEMO_NAMES, ...LOOP_NAMES, ...HEADS_NAMES, HEADS_NAME, FURNISHED] as const)(
  "%s as version 8 wrote it is the same, all that sits on a drain in one list",
  (name) => {
    const old = JSON.parse(readOldText(8, name));
    const outcome = readDesign(old);
    expect(outcome).toMatchObject({ ok: true, fromVersion: 8 });
    if (outcome.ok) expect(outcome.design).toEqual({ ...old, lines: gatherItems(old.lines), version: CURRENT_VERSION });
  },
);

test("a fixing of version 6 keeps its one rating for both directions, with a factor on it", () => {
  const old = JSON.parse(readOldText(6, "kranich"));
  const fixing = { kind: "straps", fastener: "rivetNut", bolts: 6, size: "M8", heldKN: 4, strapKN: null };
  const outcome = readDesign({ ...old, tanks: [{ ...old.tanks[0], fixing }, ...old.tanks.slice(1)] });
  const given = { placesMm: null, heldShearKN: 4, heldFactor: 1.5, hasPlate: false, hasEndStop: false };
  expect(outcome.ok && outcome.design.tanks[0]!.fixing).toEqual({ ...fixing, ...given });
});

test.each(DEMO_NAMES)("%s as version 3 wrote it is read as the same design", (name) => {
  const outcome = readDesign(toVersion3(JSON.parse(readOldText(4, name))));
  expect(outcome).toEqual({ ok: true, design: readOld(name), fromVersion: 3, cleaned: false });
});

const toVersion2 = (newest: Loose): Loose => toVersion2From(toVersion3(newest));

const toVersion2From = (document: Loose): Loose => ({
  ...document,
  version: 2,
  rig: toRig2(document.rig),
  tanks: document.tanks.map(
    ({ insulationMm: _lagging, sender: _sender, material: _of, fixing: _held, ...tank }: Loose) => tank,
  ),
  fixtures: document.fixtures.map(({ hasPlug: _plug, ...fixture }: Loose) => fixture),
  lines: document.lines.map(({ lineTrap: _trap, changes: _changes, holes: _holes, ...line }: Loose) => {
    if (line.kind === "vent") {
      const { to: _to, ...rest } = line;
      return rest;
    }
    const { hasCleanout: _opens, ...trap } = line.trap ?? {};
    return { ...line, trap: line.trap && trap };
  }),
});
const toVersion1 = (document: Loose): Loose => {
  const older = toVersion2(document);
  const lines = older.lines.map(({ to, ...line }: Loose) =>
    to ? { ...line, toTank: to.tankId, toPort: to.portId } : line,
  );
  return { ...older, version: 1, lines };
};

test.each(DEMO_NAMES)("%s as versions 1 and 2 wrote it is read as the same design", (name) => {
  const document = JSON.parse(readOldText(4, name));
  const tanks = readOld(name).tanks.map((tank) => ({ ...tank, material: "polyethylene" }));
  expect(readDesign(toVersion2(document))).toEqual({
    ok: true,
    design: { ...readOld(name), tanks },
    fromVersion: 2,
    cleaned: false,
  });
  const first = { ...document, lines: document.lines.filter((l: Loose) => l.to?.kind !== "junction") };
  const outcome = readDesign(toVersion1(first));
  expect(outcome).toMatchObject({ ok: true, fromVersion: 1 });
});

test("older versions go through every step; the newest number is written", () => {
  const table = {
    1: (old: Record<string, unknown>) => ({ ...old, steps: ["one"] }),
    2: (old: Record<string, unknown>) => ({ ...old, steps: [...(old["steps"] as string[]), "two"] }),
  };
  const outcome = migrate({ format: "schleuse-design", version: 1 }, { table, newest: 3 });
  expect(outcome).toEqual({
    ok: true,
    fromVersion: 1,
    document: { format: "schleuse-design", version: 3, steps: ["one", "two"] },
  });
});
