import "./fitted";
import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findUnusedToilet } from "../days/toiletUse";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { HOSE_WALLS, type Hose } from "../design/plumbing";
import { listBowlLoops } from "../heads/bowlLoops";
import { measureHoseRun } from "../heads/hoseRun";
import { computeSmellYears, findFoulHoses } from "../heads/permeation";
import { computeStability } from "../heads/stability";
import { listSumps } from "../heads/sumpFigures";
import { checkHeads } from "./checkHeads";
import { FINDINGS, toPlace } from "./findingRegistry";
import type { Finding, FindingCode } from "./findings";

// What is said of toilets, sumps and a boat's stability, told a second time from their figures.

type Told = { readonly code: FindingCode; readonly at: object } & Record<string, unknown>;

/** The samples with toilets, their hoses, sumps, pumps, loops and habits changed in every way that is told of. */
const headsDesigns: fc.Arbitrary<Design> = fc
  .record({
    design: fc.constantFrom(
      ...(["otter-heads", "setzkasten", "puppenwagen-heads", "lesesaal-heads"] as const).map(readDemo),
    ),
    band: fc.option(fc.integer({ min: 1, max: 120 })),
    areaCm2: fc.constantFrom(50, 200, 600),
    weak: fc.constantFrom(1, 1, 0.3, 0.05),
    hasPump: fc.constantFrom(true, true, true, false),
    wall: fc.constantFrom(...HOSE_WALLS, undefined),
    isUsed: fc.boolean(),
    bends: fc.array(fc.integer({ min: -80, max: 80 }), { minLength: 6, maxLength: 6 }),
    gmMm: fc.constantFrom(null, 30, 120, 1500),
    sunkMm: fc.constantFrom(0, 0, 300, 900),
  })
  .map(({ design, band, areaCm2, weak, hasPump, wall, isUsed, bends, gmMm, sunkMm }): Design => {
    const pumps = new Set(design.gear.flatMap(({ id, spec }) => (spec.kind === "pump" ? [id] : [])));
    const isAtPump = (line: Design["lines"][number]) =>
      line.kind === "hose" && [line.from, line.to].some((end) => end.kind === "gear" && pumps.has(end.gearId));
    return {
      ...design,
      rig: { ...design.rig, gmMm, displacementKg: 3_000 },
      gear: design.gear.map((piece): Gear => {
        const { spec } = piece;
        if (spec.kind === "sump" && band !== null)
          return { ...piece, spec: { ...spec, offMm: 10, onMm: 10 + band, areaCm2 } };
        if (spec.kind === "pump")
          return { ...piece, spec: { ...spec, midLpm: spec.midLpm * weak, freeLpm: spec.freeLpm * weak } };
        if (spec.kind === "ventedLoop") return { ...piece, atMm: { ...piece.atMm, z: piece.atMm.z - sunkMm } };
        return piece;
      }),
      lines: design.lines
        .filter((line) => hasPump || !isAtPump(line))
        .map((line, i) =>
          line.kind === "hose"
            ? withWall({ ...line, pointsMm: line.pointsMm.map((p) => ({ ...p, y: p.y + bends[i % 6]! })) }, wall)
            : line,
        ),
      habits: {
        ...design.habits,
        ways: design.habits.ways.map((way) => ({ ...way, uses: isUsed ? way.uses : way.uses.slice(0, 1) })),
      },
    };
  });

function withWall({ wall: _wall, ...hose }: Hose, wall: Hose["wall"]): Hose {
  return wall === undefined ? hose : { ...hose, wall };
}

function tellAgain(design: Design): Told[] {
  const told: Told[] = [];
  const hoses = design.lines.flatMap((line) => (line.kind === "hose" ? [line] : []));
  const foul = findFoulHoses(design);
  for (const hose of hoses) {
    const { tightest } = measureHoseRun(design, hose);
    if (tightest && tightest.leastMm > tightest.radiusMm) {
      const { radiusMm, leastMm, point } = tightest;
      told.push({ code: "hoseKinks", at: { kind: "bend", lineId: hose.id, index: point }, radiusMm, leastMm });
    }
    if (!foul.has(hose.id)) continue;
    const years = computeSmellYears(design, hose);
    const at = { kind: "line", id: hose.id };
    // not known of what: a note; for ever: nothing
    if (years === undefined) told.push({ code: "hoseSmells", at, severity: "note", years: null });
    else if (years !== null && years < 3) told.push({ code: "hoseSmells", at, severity: "should", years });
  }
  for (const { sumpId, pumpLpm, inflowLpm, bandL, drainBackL, cyclesPerHour, surge } of listSumps(design)) {
    const at = { kind: "gear", id: sumpId };
    const perHour = cyclesPerHour ?? 0;
    if (pumpLpm === null) told.push({ code: "sumpNoPump", at });
    else if (!(pumpLpm > inflowLpm))
      told.push({ code: "sumpOutrun", at, pumpLps: pumpLpm / 60, inflowLps: inflowLpm / 60 });
    else if (!(drainBackL < bandL) || perHour > 60) told.push({ code: "sumpCycles", at, drainBackL, bandL, perHour });
    if (surge && pumpLpm !== null && inflowLpm < pumpLpm && surge.roomL < surge.risesL)
      told.push({ code: "sumpSurges", at, bowlL: surge.bowlL, risesL: surge.risesL, roomL: surge.roomL });
  }
  for (const { bowl, loop, overMm } of listBowlLoops(design))
    if (!(overMm > 0))
      told.push({
        code: "loopUnderBowl",
        at: { kind: "gear", id: loop.id },
        underMm: -overMm,
        bowlName: bowl.name,
        otherId: bowl.id,
      });
  const unused = findUnusedToilet(design);
  if (unused)
    told.push({ code: "toiletUnused", at: unused.at, wayName: unused.ways[0]!.name, ways: unused.ways.length });
  const stability = computeStability(design);
  const share = stability?.share ?? null;
  if (share !== null && share > 0.1)
    told.push({ code: "gmEaten", at: { kind: "rig" }, lossMm: stability!.lossMm, share });
  return told;
}

test("of toilets, hoses, sumps and stability all is said that the figures say, in that order and with those figures", () => {
  const met = new Map<string, number>();
  fc.assert(
    fc.property(headsDesigns, (design) => {
      const said = checkHeads(design);
      const again = tellAgain(design);
      expect(said.map(({ code, at }) => [code, at]).sort()).toEqual(again.map(({ code, at }) => [code, at]).sort());
      for (const told of again) {
        const one = said.find(({ code, at }) => code === told.code && JSON.stringify(at) === JSON.stringify(told.at));
        expect(one).toMatchObject(told);
        const key = told["severity"] ? `${told.code} ${told["severity"]}` : told.code;
        met.set(key, (met.get(key) ?? 0) + 1);
      }
    }),
    { numRuns: 250 },
  );
  const codes = [
    "hoseKinks",
    "hoseSmells should",
    "sumpNoPump",
    "sumpOutrun",
    "sumpCycles",
    "loopUnderBowl",
    "gmEaten",
  ];
  expect(codes.filter((code) => !met.has(code))).toEqual([]);
});

test("a finding is worked on where its part is, but where another station is named for it", () => {
  const place = (code: FindingCode) => toPlace({ code } as Finding);
  expect([place("noFixtureYet"), place("noTankYet"), place("sealTogether"), place("holeSmall")]).toEqual([
    "falls",
    "tanks",
    "air",
    "through",
  ]);
  expect([place("hoseKinks"), place("waterFouled"), place("legBackwards"), place("tankNoOutlet")]).toEqual([
    "heads",
    "loop",
    null,
    null,
  ]);
  for (const [code, [, where]] of Object.entries(FINDINGS))
    expect([code, place(code as FindingCode)]).toEqual([code, where === "part" ? null : where]);
});
