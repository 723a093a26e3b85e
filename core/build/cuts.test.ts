import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { withTrap } from "../design/lineItems";
import { toNodes } from "../design/nodes";
import type { Drain, DumpLine, Vent } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { listCourse, listLineLegs } from "../fit/lineLegs";
import { vec } from "../geometry/vec";
import { listParts } from "../parts/listParts";
import { PIPE_SIZES } from "../parts/pipes";
import { type Cut, listCuts } from "./cuts";

const isBend = ({ kind }: { readonly kind: string }) => kind === "bend";

test("middle to middle the pieces of a line add up to the way as drawn, each with a mark of its own", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const cuts = listCuts(design);
      for (const line of design.lines) {
        if (line.kind !== "drain") continue;
        const drawn = buildDrainPath(design, line).ownLegs.reduce((sum, leg) => sum + leg.lengthMm, 0);
        const sum = cuts.filter(({ lineId }) => lineId === line.id).reduce((all, { centreMm }) => all + centreMm, 0);
        expect(sum).toBeCloseTo(drawn, 6);
      }
      expect(new Set(cuts.map(({ mark }) => mark)).size).toBe(cuts.length);
    }),
    { numRuns: 40 },
  );
});

test("a piece of pipe is sawn shorter than its middles by what both ends take, or there is none", () => {
  fc.assert(
    fc.property(networks, (design) => {
      for (const { centreMm, cutMm, ends } of listCuts(design)) {
        if (ends === null) {
          expect(cutMm).toBeGreaterThan(centreMm);
          continue;
        }
        const left = centreMm - ends[0].takeOffMm - ends[1].takeOffMm;
        if (cutMm !== null) expect(cutMm).toBeCloseTo(left, 9);
        else expect(left).toBeLessThan(150);
        // between two fittings it never reaches their middles
        for (const { things, takeOffMm } of ends) if (things.some(isBend)) expect(takeOffMm).toBeGreaterThan(0);
      }
    }),
    { numRuns: 40 },
  );
});

test("every bend of the parts list stands at the ends of the pieces, and two pieces tell the same of the one between them", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const listed = listParts(design).reduce((sum, part) => (part.kind === "bend" ? sum + part.count : sum), 0);
      const rigid = listCuts(design).filter(({ ends }) => ends !== null);
      const bends = rigid.reduce((sum, { ends }) => sum + ends![1].things.filter(isBend).length, 0);
      expect(bends).toBe(listed);
      for (const lineId of new Set(rigid.map((cut) => cut.lineId))) {
        const own = rigid.filter((cut) => cut.lineId === lineId);
        const drawn = design.lines.find(({ id }) => id === lineId)!;
        // between two points in one place stands a piece of no length, which is none
        if (drawn.kind === "drain" && buildDrainPath(design, drawn).ownLegs.some((leg) => leg.lengthMm === 0)) continue;
        own.slice(1).forEach(({ ends }, i) => {
          if (own[i]!.ends![1].things.some(isBend)) expect(ends![0].things).toEqual(own[i]!.ends![1].things);
        });
      }
    }),
    { numRuns: 40 },
  );
});

const PIPE = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
const kranich = readDemo("kranich");
const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
const OUTLET = kranich.fixtures.find(({ id }) => id === drain.fromFixture)!.outletMm;

// Along x from the fixture's outlet, turned by so many degrees in plan after each way, to the open ground.
function draw(ways: readonly number[], turns: readonly number[], changed: Partial<Drain> = {}): Design {
  let [at, deg] = [OUTLET, 0];
  const points = ways.map((way, i) => {
    const rad = (deg * Math.PI) / 180;
    at = vec(at.x + way * Math.cos(rad), at.y + way * Math.sin(rad), at.z);
    deg += turns[i] ?? 0;
    return at;
  });
  const bare = withTrap({ ...drain, items: [], pipe: PIPE }, null);
  const own: Drain = {
    ...bare,
    bendsMm: toNodes(points.slice(0, -1)),
    to: { kind: "ground", atMm: points.at(-1)! },
    ...changed,
  };
  return { ...kranich, lines: [own] };
}
const lengths = (cuts: readonly Cut[]) => cuts.map(({ cutMm }) => (cutMm === null ? null : Math.round(cutMm)));

// By hand: half a bend of 87° takes 0.6 × 40 × tan 43.5° = 22.8 mm, of 45° 0.6 × 40 × tan 22.5° = 9.9 mm. That bends of
// waste pipe measure about so from middle to foot is common practice, no source.
test("between two bends a piece is sawn to the feet of both sockets", () => {
  expect(lengths(listCuts(draw([300, 500, 400], [90, 90])))).toEqual([277, 454, 377]);
  expect(lengths(listCuts(draw([300, 500, 400], [45, 45])))).toEqual([290, 480, 390]);
});

test("two bends so near that no pipe fills both sockets leave none; a slight turn needs a union, a slighter one nothing", () => {
  // 2 × 22.8 mm of fittings and 2 × 32 mm in the sockets
  expect(lengths(listCuts(draw([300, 105, 300], [90, 90])))[1]).toBeNull();
  expect(lengths(listCuts(draw([300, 115, 300], [90, 90])))[1]).toBe(69);
  const slight = draw([300, 500], [6]);
  expect(lengths(listCuts(slight))).toEqual([300, 500]);
  expect(listCuts(slight)[0]!.ends![1].things).toEqual([{ kind: "socket", leftDeg: expect.closeTo(6, 6) }]);
  expect(listParts(slight)).toContainEqual(expect.objectContaining({ kind: "joint", joint: "union" }));
  expect(lengths(listCuts(draw([300, 500], [3])))).toEqual([800]);
  expect(listParts(draw([300, 500], [3])).map(({ kind }) => kind)).toEqual(["pipe"]);
});

test("points in one place are one bend, and hose is one piece through all of its bends", () => {
  const twice = draw([300, 0, 500], [0, 90]);
  expect(lengths(listCuts(twice))).toEqual([277, 477]);
  const hose = PIPE_SIZES.find(({ family }) => family === "smoothHose")!.pipe;
  const soft = listCuts(draw([300, 500, 400], [90, 90], { pipe: hose }));
  expect(soft).toEqual([expect.objectContaining({ centreMm: expect.closeTo(1_200, 6), ends: null })]);
});

test("a valve, a branch and a running trap take their room of the pieces beside them", () => {
  const straight = draw([600, 700], [0]);
  const [own] = straight.lines as Drain[];
  const node = own!.bendsMm[0]!.id;
  const withItems = (items: Drain["items"]): Design => ({ ...straight, lines: [{ ...own!, items }] });
  expect(lengths(listCuts(straight))).toEqual([1_300]);
  expect(lengths(listCuts(withItems([{ kind: "inline", node, piece: "cleanout" }])))).toEqual([576, 676]);
  // legs of a running trap stand three bores apart
  const trapped = withItems([{ kind: "runningTrap", node, sealMm: 50, hasCleanout: true }]);
  expect(lengths(listCuts(trapped))).toEqual([545, 645]);
  const second = { ...kranich.fixtures[0]!, id: "second", outletMm: vec(OUTLET.x + 600, OUTLET.y + 500, OUTLET.z) };
  const join = (fitting: "wye" | "tee", outletMm = second.outletMm): Design => ({
    ...straight,
    fixtures: [...straight.fixtures, { ...second, outletMm }],
    lines: [
      own!,
      {
        ...own!,
        id: "branch",
        fromFixture: "second",
        bendsMm: [],
        to: { kind: "junction", lineId: own!.id, node, fitting },
      },
    ],
  });
  // a tee takes 0.6 × 40 all round; a wye 1.2 × 40 up the line and 0.3 × 40 down it
  expect(lengths(listCuts(join("tee")))).toEqual([576, 676, 476]);
  expect(lengths(listCuts(join("wye"))).slice(0, 2)).toEqual([552, 688]);
  // square into a wye: a bend of 45° beside it, (48 + 9.9) × sin 45° + 9.9 mm off the crossing
  const square = listCuts(join("wye"))[2]!;
  expect(square.ends![1].things).toEqual([
    { kind: "wye" },
    { kind: "bend", bendDeg: 45, leftDeg: expect.closeTo(0, 6) },
  ]);
  expect(square.cutMm).toBeCloseTo(500 - (48 + 9.94) * Math.SQRT1_2 - 9.94, 1);
  expect(listParts(join("wye"))).toContainEqual(expect.objectContaining({ kind: "bend", angleDeg: 45, count: 1 }));
  // at its own slant nothing beside it
  const slant = join("wye", vec(OUTLET.x + 100, OUTLET.y + 500, OUTLET.z));
  expect(listCuts(slant)[2]!.ends![1].things).toEqual([{ kind: "wye" }]);
  expect(listParts(slant).some(isBend)).toBe(false);
});

test("through a tank's plain wall it goes on, and in a screwed fitting it ends before the wall", () => {
  const [to, tank] = [drain.to, kranich.tanks.find(({ id }) => drain.to.kind === "inlet" && id === drain.to.tankId)!];
  if (to.kind !== "inlet") throw new Error("no inlet");
  const last = (port: object): Cut => {
    const ports = tank.ports.map((one) => (one.id === to.portId ? { ...one, ...port } : one));
    const tanks = kranich.tanks.map((one) => (one === tank ? { ...tank, ports } : one));
    return listCuts({ ...kranich, tanks, lines: [{ ...drain, pipe: PIPE }] }).at(-1)!;
  };
  const takeOffs = [{ thread: null }, { thread: "g112", fittingMm: 60 }].map((port) => last(port).ends![1].takeOffMm);
  expect(takeOffs).toEqual([-25, tank.wallMm + 35]);
});

test("every line of the samples is cut whole, pipe and hose, and its ends are told by what it ends in", () => {
  const LAST = {
    inlet: "tank",
    junction: null,
    ground: "open",
    vessel: "open",
    overboard: "gear",
    sump: "gear",
    openAir: "open",
    tee: "tee",
    coupling: "coupling",
    wye: "wye",
  } as const;
  for (const design of ALL_DEMOS) {
    const cuts = listCuts(design);
    for (const line of design.lines) {
      const own = cuts.filter(({ lineId }) => lineId === line.id);
      const legs = line.kind === "drain" ? buildDrainPath(design, line).ownLegs : listLineLegs(design, line);
      const drawn = legs.reduce((sum, leg) => sum + leg.lengthMm, 0);
      expect(own.reduce((sum, { centreMm }) => sum + centreMm, 0)).toBeCloseTo(drawn, 6);
      const last = own.at(-1)?.ends?.[1].things[0]?.kind;
      if (line.kind === "hose" || last === undefined) continue;
      expect(last).toBe(line.to.kind === "junction" ? line.to.fitting : LAST[line.to.kind]);
    }
  }
});

const WASTE_50 = PIPE_SIZES.find(({ id }) => id === "metricWaste-50")!.pipe;

test("a breather of pipe is cut at its bends and at the tee of another one, whose own ends there", () => {
  const vent = kranich.lines.find((line): line is Vent => line.kind === "vent")!;
  const port = listCourse(kranich, vent)[0]!;
  // up, over and up again into the open
  const pointsMm = toNodes([
    vec(port.x, port.y, port.z + 300),
    vec(port.x + 600, port.y, port.z + 300),
    vec(port.x + 600, port.y, port.z + 800),
  ]);
  const main: Vent = { ...vent, pipe: PIPE, pointsMm };
  expect(lengths(listCuts({ ...kranich, lines: [main] }))).toEqual([302, 554, 477]);
  expect(listCuts({ ...kranich, lines: [main] })[2]!.ends![1].things).toEqual([{ kind: "open", sawDeg: 90 }]);
  const joins: Vent = {
    ...main,
    id: "second",
    pipe: WASTE_50,
    pointsMm: toNodes([vec(port.x + 600, port.y, port.z)]),
    to: { kind: "tee", lineId: vent.id, node: pointsMm[1]!.id },
  };
  const both = listCuts({ ...kranich, lines: [main, joins] });
  // beside the bend the tee takes 0.6 × 50 mm of either side, and of what comes in 0.6 × 40
  expect(lengths(both).slice(0, 3)).toEqual([302, 524, 447]);
  expect(both.at(-1)!.ends![1]).toEqual({ things: [{ kind: "tee" }], takeOffMm: 24 });
});

test("a dump line of pipe ends in its coupling, or in the wye of another, which takes its room of both", () => {
  const tank = kranich.tanks[0]!;
  const outlet = tank.ports.find(({ kind }) => kind === "outlet")!;
  const at = (x: number, y: number) =>
    vec(tank.atMm.x + outlet.atMm.x + x, tank.atMm.y + outlet.atMm.y + y, tank.atMm.z + outlet.atMm.z);
  const main: DumpLine = {
    id: "dump-line",
    name: "Dump line",
    kind: "dumpLine",
    pipe: WASTE_50,
    fromTank: tank.id,
    fromPort: outlet.id,
    to: { kind: "coupling" },
    pointsMm: toNodes([at(0, -500), at(0, -1_200)]),
    endValve: null,
  };
  const alone = listCuts({ ...kranich, lines: [main] });
  expect(lengths(alone)).toEqual([1_225]);
  expect(alone[0]!.ends!.map(({ things }) => things[0]!.kind)).toEqual(["tank", "coupling"]);
  const node = main.pointsMm[0]!.id;
  const second: DumpLine = {
    ...main,
    id: "second",
    pointsMm: toNodes([at(400, -300)]),
    to: { kind: "wye", lineId: main.id, node },
  };
  const both = listCuts({ ...kranich, lines: [main, second] });
  // up the line 1.2 × 50, down it 0.3 × 50
  expect(lengths(both).slice(0, 2)).toEqual([465, 685]);
  expect(both.at(-1)!.ends![1].things[0]).toEqual({ kind: "wye" });
});

test("an end in the open is sawn level where it comes down steeply, square where it lies", () => {
  const saw = (fallMm: number) => {
    const open = draw([300, 400], [90]);
    const [own] = open.lines as Drain[];
    const from = own!.bendsMm[0]!;
    const to = { kind: "ground", atMm: vec(from.x, from.y + 400, from.z - fallMm) } as const;
    return listCuts({ ...open, lines: [{ ...own!, to }] }).at(-1)!.ends![1].things[0];
  };
  expect(saw(300)).toEqual({ kind: "open", sawDeg: 90 });
  expect(saw(692.82)).toEqual({ kind: "open", sawDeg: expect.closeTo(60, 3) });
  // what is open fills no socket, so a short stub is still a piece
  const stub = listCuts(draw([300, 60], [90]));
  expect(lengths(stub)[1]).toBe(37);
});

test("the tee for a branch's own air is bought, and said where it is sawn in", () => {
  const withAir = (kind: "openPipe" | "admittanceValve") =>
    draw([300, 500], [90], { items: [{ kind: "branchVent", node: null, vent: { kind, fromWeirMm: 150 } }] });
  for (const kind of ["openPipe", "admittanceValve"] as const) {
    const design = withAir(kind);
    expect(listCuts(design)[0]!.ends![0].things).toEqual([{ kind: "waste" }, { kind: "airTee", alongMm: 150 }]);
    expect(listParts(design)).toContainEqual({ kind: "ventTee", pipe: PIPE, branch: PIPE, count: 1 });
  }
  expect(listParts(draw([300, 500], [90])).some(({ kind }) => kind === "ventTee")).toBe(false);
});
