import fc from "fast-check";
import type { Attitude } from "@/core/attitude/attitude";
import { createDesign, USUAL_MEASURES } from "@/core/design/createDesign";
import type { Design } from "@/core/design/design";
import { applyEdit } from "@/core/design/edit";
import type { EditOp } from "@/core/design/editOps";
import { buildPutItems, toBeginning } from "@/core/design/lineItems";
import { toNodes } from "@/core/design/nodes";
import {
  type Drain,
  type DumpLine,
  FITTINGS,
  FIXTURE_KINDS,
  type Fixture,
  INLINE_PIECES,
  type Line,
  type Tank,
} from "@/core/design/plumbing";
import { RIG_KINDS } from "@/core/design/rig";
import { USUAL_FIXTURES } from "@/core/design/usualFixtures";
import type { PrismSolid } from "@/core/geometry/solid";
import { measureExtent } from "@/core/geometry/solid";
import type { Vec3 } from "@/core/geometry/vec";
import { PIPE_SIZES } from "@/core/parts/pipes";

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Any attitude the schema allows, some of them level. */
export const attitudes: fc.Arbitrary<Attitude> = fc.oneof(
  { weight: 1, arbitrary: fc.constant({ pitchDeg: 0, rollDeg: 0 }) },
  { weight: 9, arbitrary: fc.record({ pitchDeg: between(-20, 20), rollDeg: between(-20, 20) }) },
);

/** A star-shaped outline: any number of corners, hollow or not, that never crosses itself. */
export const prisms: fc.Arbitrary<PrismSolid> = fc
  .record({
    axis: fc.constantFrom("x" as const, "y" as const, "z" as const),
    lengthMm: between(50, 1500),
    radii: fc.array(between(60, 600), { minLength: 3, maxLength: 14 }),
    turn: between(0, Math.PI),
  })
  .map(({ axis, lengthMm, radii, turn }) => ({
    shape: "prism",
    axis,
    lengthMm,
    profileMm: radii.map((radius, i) => {
      const angle = turn + (2 * Math.PI * i) / radii.length;
      return { u: 700 + radius * Math.cos(angle), v: 700 + radius * Math.sin(angle) };
    }),
  }));

/** The points of a dump line up hill and down, or none. */
const dumpCourses = fc.option(
  fc.record({
    points: fc.array(fc.record({ x: between(200, 3000), y: between(-800, 800), z: between(-330, -60) }), {
      minLength: 1,
      maxLength: 4,
    }),
    hasEndValve: fc.boolean(),
  }),
  { freq: 3 },
);

function layDumpLine(design: Design, dump: typeof dumpCourses extends fc.Arbitrary<infer T> ? T : never): EditOp[] {
  const tank = design.tanks[0]!;
  const outlet = tank.ports.find(({ kind }) => kind === "outlet");
  if (!dump || !outlet) return [];
  const pipe = { innerMm: 46.4, outerMm: 50, manningN: 0.009 };
  const value: DumpLine = {
    id: "dump-line",
    name: "Dump line",
    kind: "dumpLine",
    fromTank: tank.id,
    fromPort: outlet.id,
    to: { kind: "coupling" },
    pipe,
    pointsMm: toNodes(dump.points),
    endValve: dump.hasEndValve ? { kind: "manual", boreMm: 38 } : null,
  };
  return [{ op: "insert", path: ["lines"], index: design.lines.length, value }];
}

/** A rig of any kind with its drain bent about at random, falls and rises alike. */
export const designs: fc.Arbitrary<Design> = fc
  .record({
    kind: fc.constantFrom(...RIG_KINDS),
    sinkHeightMm: between(200, 900),
    sinkLeftMm: between(-700, 700),
    sinkForwardMm: between(1800, 3200),
    tankHeightMm: between(90, 240),
    bends: fc.array(fc.record({ dx: between(-300, 300), dy: between(-300, 300), dz: between(-60, 60) }), {
      minLength: 2,
      maxLength: 2,
    }),
    extra: fc.array(fc.record({ x: between(800, 2600), y: between(-500, 500), z: between(-330, -100) }), {
      maxLength: 4,
    }),
    trap: fc.boolean(),
    /** A point that is there twice: a leg of no length, as a careless hand leaves it. */
    twice: fc.option(fc.nat()),
    dump: dumpCourses,
  })
  .map(({ kind, bends, extra, trap, twice, dump, ...measures }) => {
    const design = createDesign("any", "Any", kind, { ...USUAL_MEASURES[kind], ...measures });
    const drain = design.lines.find((line) => line.kind === "drain")!;
    const shifted = drain.bendsMm.map((p, i): Vec3 => {
      const by = bends[i]!;
      return { x: p.x + by.dx, y: p.y + by.dy, z: Math.max(p.z + by.dz, -330) };
    });
    const once = [...shifted, ...extra];
    const course = twice === null ? once : once.flatMap((p, i) => (i === twice % once.length ? [p, p] : [p]));
    const outcome = applyEdit(design, {
      code: "change",
      at: { kind: "line", id: drain.id },
      ops: [
        { op: "set", path: ["lines", drain.id, "bendsMm"], value: course },
        ...(trap ? [] : [buildPutItems(drain, { trap: null })]),
        ...layDumpLine(design, dump),
      ],
    });
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
    return outcome.design;
  });

/**
 * The same with up to four more fixtures, each joined at random to a drain that is there already, or led into a second tank of
 * another water; one at least is joined.
 */
export const networks: fc.Arbitrary<Design> = fc
  .record({
    design: designs,
    branches: fc.array(
      fc.record({
        kind: fc.constantFrom(...FIXTURE_KINDS),
        x: between(300, 3000),
        y: between(-800, 800),
        z: between(30, 900),
        bore: fc.constantFrom(28.4, 36.4, 46.4),
        bends: fc.array(fc.record({ x: between(300, 3000), y: between(-700, 700), z: between(-330, 200) }), {
          minLength: 1,
          maxLength: 3,
        }),
        line: fc.nat(),
        bend: fc.nat(),
        isApart: fc.boolean(),
        fitting: fc.constantFrom(...FITTINGS),
        hasTrap: fc.boolean(),
        change: fc.option(fc.constantFrom(...PIPE_SIZES)),
        piece: fc.option(fc.constantFrom(...INLINE_PIECES)),
        lineTrap: fc.option(fc.record({ sealMm: between(10, 120), hasCleanout: fc.boolean() })),
        air: fc.option(
          fc.record({
            kind: fc.constantFrom("openPipe" as const, "admittanceValve" as const),
            fromWeirMm: between(20, 1500),
          }),
        ),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    second: fc.option(fc.constantFrom("grey" as const, "black" as const)),
  })
  .map(({ design, branches, second }) => {
    const fixtures: Fixture[] = [...design.fixtures];
    const lines: Line[] = [...design.lines];
    branches.forEach(({ kind, x, y, z, bore, bends, line, bend, fitting, hasTrap, isApart, ...sits }, i) => {
      const { change, lineTrap, piece, air } = sits;
      const drains = lines.filter((l): l is Drain => l.kind === "drain");
      const main = drains[line % drains.length]!;
      const { heightMm: _height, halfMm: _half, trap, ...measures } = USUAL_FIXTURES[kind];
      const id = `fixture-${i}`;
      const node = `n${(bend % bends.length) + 1}`;
      fixtures.push({ id, name: `Fixture ${i}`, kind, outletMm: { x, y, z }, ...measures, runsAlone: i % 2 === 1 });
      lines.push({
        id: `branch-${i}`,
        name: `Branch ${i}`,
        kind: "drain",
        pipe: { innerMm: bore, outerMm: bore + 3.6, manningN: 0.009 },
        fromFixture: id,
        to:
          second && isApart && i > 0
            ? { kind: "inlet", tankId: "second", portId: "second-inlet" }
            : { kind: "junction", lineId: main.id, node: main.bendsMm[bend % main.bendsMm.length]!.id, fitting },
        bendsMm: toNodes(bends),
        items: [
          ...toBeginning(hasTrap ? trap : null, air),
          ...(lineTrap ? [{ kind: "runningTrap" as const, node, ...lineTrap }] : []),
          ...(piece ? [{ kind: "inline" as const, node, piece }] : []),
          ...(change ? [{ kind: "pipeChange" as const, node, joint: "reducer" as const, pipe: change.pipe }] : []),
        ],
      });
    });
    const tanks = second ? [...design.tanks, createSecond(design.tanks[0]!, second)] : design.tanks;
    const main = lines.find((line): line is DumpLine => line.kind === "dumpLine");
    // what the second tank lets go runs into the first one's dump line, where there is one
    if (second && main) lines.push(joinDumpLine(main, branches.length));
    return { ...design, fixtures, lines, tanks };
  });

function joinDumpLine(main: DumpLine, nth: number): DumpLine {
  const joins = main.pointsMm[nth % main.pointsMm.length]!;
  const { x, y, z } = joins;
  return {
    ...main,
    id: "second-dump",
    name: "Second dump line",
    fromTank: "second",
    fromPort: "second-outlet",
    to: { kind: "wye", lineId: main.id, node: joins.id },
    pointsMm: toNodes(nth % 2 === 0 ? [] : [{ x: x + 200, y: y - 150, z: z + 15 }]),
    endValve: nth % 3 === 0 ? { kind: "manual", boreMm: 38 } : null,
  };
}

// Before the first one, with an inlet and an outlet of its own and no breather yet.
function createSecond(first: Tank, holds: "grey" | "black"): Tank {
  const port = (id: string, kind: "inlet" | "outlet") => ({ ...first.ports.find((p) => p.kind === kind)!, id });
  return {
    ...first,
    id: "second",
    name: "Second tank",
    holds,
    link: null,
    atMm: { ...first.atMm, x: first.atMm.x + 1500 },
    ports: [port("second-inlet", "inlet"), port("second-outlet", "outlet")],
  };
}

/** The same rig with left and right exchanged. */
export function mirrorDesign(design: Design): Design {
  const flip = (p: Vec3): Vec3 => ({ x: p.x, y: -p.y, z: p.z });
  const { envelope, supply } = design.rig;
  return {
    ...design,
    rig: {
      ...design.rig,
      envelope: { ...envelope, leftLowDeg: envelope.rightLowDeg, rightLowDeg: envelope.leftLowDeg },
      standings: design.rig.standings.map((s) => ({ ...s, attitude: { ...s.attitude, rollDeg: -s.attitude.rollDeg } })),
      dumpAttitude: { ...design.rig.dumpAttitude, rollDeg: -design.rig.dumpAttitude.rollDeg },
      ...(supply ? { supply: { ...supply, boxMm: flip(supply.boxMm) } } : {}),
    },
    obstacles: design.obstacles.map((o) => ({ ...o, atMm: { ...o.atMm, y: -o.atMm.y - o.widthMm } })),
    fixtures: design.fixtures.map((f) => ({ ...f, outletMm: flip(f.outletMm) })),
    tanks: design.tanks.map(mirrorTank),
    gear: design.gear.map((piece) => ({ ...piece, atMm: { ...piece.atMm, y: -piece.atMm.y - piece.sizeMm.y } })),
    lines: design.lines.map((line) =>
      line.kind === "drain"
        ? {
            ...line,
            to: "atMm" in line.to ? { ...line.to, atMm: flip(line.to.atMm) } : line.to,
            bendsMm: line.bendsMm.map((node) => ({ ...flip(node), id: node.id })),
          }
        : { ...line, pointsMm: line.pointsMm.map((node) => ({ ...flip(node), id: node.id })) },
    ),
  };
}

function mirrorTank(tank: Tank): Tank {
  const { min, max } = measureExtent(tank.solid);
  const acrossMm = min.y + max.y;
  const flip = <P extends { readonly y: number }>(p: P): P => ({ ...p, y: acrossMm - p.y });
  return {
    ...tank,
    atMm: { ...tank.atMm, y: -tank.atMm.y - acrossMm },
    solid: mirrorSolid(tank.solid, acrossMm),
    ports: tank.ports.map((port) => ({ ...port, atMm: flip(port.atMm) })),
    sender: tank.sender && { ...tank.sender, yMm: acrossMm - tank.sender.yMm },
    fixing: tank.fixing && { ...tank.fixing, placesMm: tank.fixing.placesMm?.map(flip) ?? null },
  };
}

// A profile is drawn across where it runs along the rig, and from above where it stands.
function mirrorSolid(solid: Tank["solid"], acrossMm: number): Tank["solid"] {
  if (solid.shape !== "prism" || solid.axis === "y") return solid;
  const flip = ({ u, v }: { readonly u: number; readonly v: number }) =>
    solid.axis === "x" ? { u: acrossMm - u, v } : { u, v: acrossMm - v };
  // the same way round as before
  return { ...solid, profileMm: solid.profileMm.map(flip).toReversed() };
}
