import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { type Drain, FIXTURE_KINDS, type FixtureKind, HELD_WATERS, type Outfall } from "../design/plumbing";
import { evaluate } from "./evaluate";

const kranich = readDemo("kranich");
const otter = readDemo("otter-heads");

type Given = { readonly kind: FixtureKind; readonly to?: Outfall; readonly holds?: Design["tanks"][number]["holds"] };

const build = (base: Design, fixtureId: string, { kind, to, holds }: Given): Design => ({
  ...base,
  fixtures: base.fixtures.map((one) => (one.id === fixtureId ? { ...one, kind } : one)),
  lines: base.lines.map((line) =>
    to && line.kind === "drain" && line.fromFixture === fixtureId ? { ...line, to } : line,
  ),
  tanks: holds ? base.tanks.map((tank) => ({ ...tank, holds })) : base.tanks,
});
const sink = (given: Given) => build(kranich, "sink", given);
const at = { kind: "fixture", id: "sink" };
const belowMm = { x: 2000, y: 300, z: -500 };

test("a toilet wants a black tank or a vessel for it; anything else is a must, with where it falls", () => {
  expect(isSaid(sink({ kind: "gravityToilet", holds: "black" }), "toiletNotBlack")).toBe(false);
  for (const holds of ["grey", "loop"] as const) {
    expect(findAll(sink({ kind: "gravityToilet", holds }), "toiletNotBlack")).toMatchObject([{ at, into: holds }]);
  }
  const ground = sink({ kind: "gravityToilet", to: { kind: "ground", atMm: belowMm } });
  expect(findAll(ground, "toiletNotBlack")).toMatchObject([{ at, into: "ground", severity: "must" }]);
  for (const holds of ["grey", "black"] as const) {
    const vessel = { id: "can", name: "Can", holds, litres: 15, on: "rig" } as const;
    const design = sink({ kind: "gravityToilet", to: { kind: "vessel", vesselId: "can", atMm: belowMm } });
    const held = { ...design, habits: { ...design.habits, vessels: [...design.habits.vessels, vessel] } };
    expect(isSaid(held, "toiletNotBlack")).toBe(holds === "grey");
  }
  for (const drain of otter.lines.filter((line): line is Drain => line.kind === "drain")) {
    if (drain.to.kind !== "sump" && drain.to.kind !== "overboard") continue;
    const design = build(otter, drain.fromFixture, { kind: "gravityToilet" });
    expect(findAll(design, "toiletNotBlack")).toMatchObject([{ into: drain.to.kind }]);
  }
});

test("a toilet that joins another drain is judged by all it runs through, and by the inlet", () => {
  const heads = readDemo("lesesaal-heads");
  const toilet = heads.fixtures.find(({ kind }) => kind === "gravityToilet")!;
  const drain = heads.lines.find((l): l is Drain => l.kind === "drain" && l.fromFixture === toilet.id)!;
  expect(isSaid(heads, "toiletNarrow")).toBe(false);
  const narrowed: Design = {
    ...heads,
    tanks: heads.tanks.map((tank) => ({
      ...tank,
      ports: tank.ports.map((port) =>
        drain.to.kind === "inlet" && port.id === drain.to.portId && tank.id === drain.to.tankId
          ? { ...port, boreMm: 40 }
          : port,
      ),
    })),
  };
  expect(findAll(narrowed, "toiletNarrow")).toMatchObject([{ boreMm: 40 }]);
  // the way of every toilet that joins something, whatever it joins
  fc.assert(
    fc.property(networks, fc.nat(), (network, nth) => {
      const joining = network.lines.filter((l): l is Drain => l.kind === "drain" && l.to.kind === "junction");
      const one = joining[nth % Math.max(1, joining.length)];
      if (!one) return;
      const design = build(network, one.fromFixture, { kind: "gravityToilet" });
      const result = evaluate(design).drains.find(({ lineId }) => lineId === one.id)!;
      const least = Math.min(...result.legs.map(({ pipe }) => pipe.innerMm));
      const said = findAll(design, "toiletNarrow").find((f) => f.at.kind === "line" && f.at.id === one.id);
      if (least < 70) expect(said?.boreMm).toBeLessThanOrEqual(least);
    }),
    { numRuns: 40 },
  );
});

test("nothing but a shower's own water goes round; a basin's is regretted, the rest must not", () => {
  for (const kind of FIXTURE_KINDS) {
    for (const holds of HELD_WATERS) {
      // a drain into drinking water is no design
      if (holds === "fresh") continue;
      const said = findAll(sink({ kind, holds }), "loopFouled");
      const isOwn = kind === "showerTray" || kind === "bath" || kind === "outsideShower";
      if (holds !== "loop" || isOwn || kind === "gravityToilet") expect(said).toEqual([]);
      else expect(said).toMatchObject([{ at, severity: kind === "basin" ? "should" : "must", fixtureKind: kind }]);
    }
  }
});

test("urine in grey water is told of its fixture; in a black tank, or a vessel, it is where it belongs", () => {
  expect(findAll(sink({ kind: "urineDiverter", holds: "grey" }), "urineInGrey")).toMatchObject([{ at }]);
  expect(isSaid(sink({ kind: "urineDiverter", holds: "black" }), "urineInGrey")).toBe(false);
  const sump = otter.lines.find((l): l is Drain => l.kind === "drain" && l.to.kind === "sump")!;
  expect(isSaid(build(otter, sump.fromFixture, { kind: "urineDiverter" }), "urineInGrey")).toBe(true);
});

test("a toilet with a pump whose waste comes into a tank of other water is told, whichever way its valve is turned", () => {
  const bowl = otter.gear.find(({ spec }) => spec.kind === "bowl")!;
  expect(isSaid(otter, "toiletNotBlack")).toBe(false);
  for (const holds of ["grey", "loop"] as const) {
    const tanks = otter.tanks.map((tank) => (tank.holds === "black" ? { ...tank, holds } : tank));
    expect(findAll({ ...otter, tanks }, "toiletNotBlack")).toMatchObject([
      { at: { kind: "gear", id: bowl.id }, into: holds, severity: "must" },
    ]);
  }
});

test("urine that people say they pour down a sink makes its tank sewage, and fouls a loop, whatever the fixture is made for", () => {
  const pour = (kind: "urine" | "toilet", change: object = {}): Design => ({
    ...kranich,
    habits: {
      ...kranich.habits,
      ways: kranich.habits.ways.map((way) => ({
        ...way,
        uses: [
          ...way.uses,
          {
            id: "pour",
            name: "Bottle",
            kind,
            from: "elsewhere" as const,
            takesL: 0,
            sendsL: 1,
            fixtureId: "sink",
            vesselId: null,
            times: 1,
            per: "day" as const,
            byChance: false,
            ...change,
          },
        ],
      })),
    },
  });
  expect(isSaid(kranich, "urineInGrey")).toBe(false);
  for (const kind of ["urine", "toilet"] as const) {
    expect(findAll(pour(kind), "urineInGrey")).toMatchObject([{ at, severity: "should" }]);
    const loop = { ...pour(kind), tanks: kranich.tanks.map((tank) => ({ ...tank, holds: "loop" as const })) };
    expect(findAll(loop, "loopFouled")).toMatchObject([{ at, severity: "must", fixtureKind: "urineDiverter" }]);
  }
  for (const change of [{ times: 0 }, { sendsL: 0 }, { fixtureId: null }, { fixtureId: null, vesselId: "x" }])
    expect(isSaid(pour("urine", change), "urineInGrey")).toBe(false);
});
