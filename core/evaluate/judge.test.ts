import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { gearDesigns } from "@/tests/gearArbitraries";
import { buildSharedAir } from "@/tests/sharedAir";
import { computeSharedAir } from "../air/sharedAir";
import { computeTankAir } from "../air/tankAir";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findBranchVent, findLineTrap, findTrap, withBranchVent } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { buildDrainPath, findPipeOf } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { readNight } from "../frost/night";
import { dot, subtract } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { PACK_IDS } from "../rules/packIds";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { computeSealAfterSiphonMm, computeSealUnderMm, computeTrapFrostHours } from "../traps/trapRisks";
import "./fitted";
import { evaluate } from "./evaluate";
import { listParkedStandings } from "./parkedAttitudes";

// What the judgement puts together out of its parts, put together a second time.

test("any network under any rules: each leg is asked for the fall of its own bore, vented where it has air of its own", () => {
  fc.assert(
    fc.property(networks, fc.constantFrom(...PACK_IDS), (any, pack) => {
      const design: Design = { ...any, rules: { ...any.rules, pack } };
      for (const { lineId, minFalls, parkedFall, arm, armLimit, legs, level } of evaluate(design, LEVEL).drains) {
        const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === lineId)!;
        const vented = findBranchVent(drain) !== null;
        const own = toCodeBoreMm(drain.pipe);
        expect(minFalls[0]).toEqual(lookUpLimit(design.rules, "minFall", { boreMm: own, vented }));
        expect(parkedFall).toEqual(lookUpLimit(design.rules, "parkedFall", { boreMm: own }));
        const slopeMmPerM = 1000 * (arm.slope ?? Number.POSITIVE_INFINITY);
        expect(armLimit).toEqual(lookUpLimit(design.rules, "trapArm", { boreMm: own, slopeMmPerM }));
        // past a junction each leg is asked for what the drain it belongs to is asked for
        legs.forEach((leg, i) => {
          const owner = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === leg.lineId)!;
          const given = { boreMm: toCodeBoreMm(leg.pipe), vented: findBranchVent(owner) !== null };
          const least = lookUpLimit(design.rules, "minFall", given).value ?? 0;
          const fallMm = leg.from.z - leg.to.z;
          const wantedMm = leg.kind === "drop" ? 0 : (Math.sqrt(leg.lengthMm ** 2 - fallMm ** 2) * least) / 1000;
          expect(level.legs[i]!.neededMm).toBeCloseTo(wantedMm, 6);
        });
      }
    }),
    { numRuns: 40 },
  );
});

test("any network: air of its own takes the tank's suction off a trap, and an open pipe its pressure too", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const { trapAirs, tanks, drains } = evaluate(design, LEVEL);
      for (const {
        lineId,
        bend,
        sealMm,
        suctionPa,
        pressurePa,
        afterSuctionMm,
        afterPressureMm,
        togetherMm,
      } of trapAirs) {
        const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === lineId)!;
        const tankId = drains.find((one) => one.lineId === lineId)!.tankId;
        const { air, sharedAir } = tanks.find((one) => one.tankId === tankId)!;
        const vent = bend === null ? findBranchVent(drain) : null;
        const tankPa = Math.max(air?.suctionPa ?? 0, sharedAir?.suctionPa ?? 0);
        expect(suctionPa).toBeCloseTo(vent ? 0 : tankPa, 9);
        expect(pressurePa).toBeCloseTo(vent?.kind === "openPipe" ? 0 : (air?.fillPa ?? 0), 9);
        expect(sealMm).toBe(bend === null ? findTrap(drain)!.sealMm : findLineTrap(drain)!.sealMm);
        expect(afterSuctionMm).toBeCloseTo(computeSealAfterMm(sealMm, suctionPa), 9);
        expect(afterPressureMm).toBeCloseTo(computeSealUnderMm(sealMm, pressurePa), 9);
        // together: the worst standing of a trap under a fixture, the drive there, a week's drying, half the suction's column
        const result = drains.find((one) => one.lineId === lineId)!;
        const trap = findTrap(drain);
        const weir = result.nodesMm[0]!;
        const dip = { x: (weir.x + result.outletMm.x) / 2, y: (weir.y + result.outletMm.y) / 2, z: weir.z - sealMm };
        const stands = listParkedStandings(design.rig).map(({ up }) => Math.max(0, dot(up, subtract(weir, dip))));
        const spanMm = bend === null ? trap!.spanMm : 3 * findPipeOf(drain, bend).innerMm;
        const leansMm = spanMm * lookUpValue(design.rules, "drivingPush");
        const lossMm = leansMm >= sealMm ? sealMm : leansMm / 2;
        const dryMm = Math.max(0.01, lookUpValue(design.rules, "evaporation"));
        const leftMm =
          (bend === null ? Math.min(...stands) : sealMm) - lossMm - dryMm - suctionPa / computeSealBreakPa(1) / 2;
        expect(togetherMm).toBeCloseTo(leftMm, 6);
      }
      // every trap that holds water under a tank with air is among them, once
      const keys = trapAirs.map(({ lineId, bend }) => `${lineId} ${bend}`);
      expect(new Set(keys).size).toBe(keys.length);
    }),
    { numRuns: 40 },
  );
});

test("no finding of any network, pumped side or sample is without a code, a part and its place in the order", () => {
  const ranks = { must: 0, should: 1, note: 2 } as const;
  const expectWhole = (design: Design) => {
    const { findings } = evaluate(design, LEVEL);
    for (const finding of findings) {
      expect(finding.code.length).toBeGreaterThan(3);
      expect(finding.id.startsWith(`${finding.code}@`)).toBe(true);
      expect(finding.at.kind.length).toBeGreaterThan(2);
      expect(ranks[finding.severity]).toBeDefined();
      expect(Object.entries(finding).filter(([, value]) => value === undefined)).toEqual([]);
    }
    expect(findings.map(({ severity }) => ranks[severity])).toEqual(
      findings.map(({ severity }) => ranks[severity]).sort(),
    );
    expect(new Set(findings.map(({ id }) => id)).size).toBe(findings.length);
  };
  for (const design of ALL_DEMOS) expectWhole(design);
  fc.assert(fc.property(networks, expectWhole), { numRuns: 25 });
  fc.assert(
    fc.property(gearDesigns, ({ design }) => expectWhole(design)),
    { numRuns: 25 },
  );
});

test("a stay that a waste tank ends is told with the days the fresh water would have lasted", () => {
  const kranich = readDemo("kranich");
  const more: Design = {
    ...kranich,
    habits: {
      ...kranich.habits,
      vessels: kranich.habits.vessels.map((one) => (one.id === "fresh-water" ? { ...one, litres: 900 } : one)),
    },
  };
  const { stores } = evaluate(more, LEVEL).balance;
  const days = (holds: string) => stores.find((one) => one.holds === holds)!.days.level;
  expect(findAll(more, "wasteEndsStay")).toMatchObject([
    { wasteDays: days("grey"), freshDays: days("fresh"), holds: "grey" },
  ]);
});

test("where breathers meet, what the other tank's dump sucks stands with each tank and reaches its traps", () => {
  const vented = buildSharedAir("grey");
  // air of its own would keep it from the trap
  const lines = vented.lines.map((line) => (line.kind === "drain" ? withBranchVent(line, null) : line));
  const shared = { ...vented, lines };
  const network = buildNetwork(shared);
  const { tanks, trapAirs } = evaluate(shared, LEVEL);
  const own = new Map(
    shared.tanks.flatMap((tank) => {
      const air = computeTankAir(shared, tank, lookUpValue(shared.rules, "ventSuction"), network);
      return air ? [[tank.id, air] as const] : [];
    }),
  );
  expect(own.size).toBe(2);
  for (const { tankId, air, sharedAir } of tanks) {
    expect(air).toEqual(own.get(tankId));
    expect(sharedAir).toEqual(computeSharedAir(shared, shared.tanks.find(({ id }) => id === tankId)!, own));
    expect(sharedAir!.suctionPa).toBeGreaterThan(0);
  }
  expect(trapAirs[0]!.suctionPa).toBe(Math.max(tanks[0]!.air!.suctionPa, tanks[0]!.sharedAir!.suctionPa));
  // alone a tank has nothing to share
  for (const { sharedAir } of evaluate(readDemo("lesesaal"), LEVEL).tanks) expect(sharedAir).toBeNull();
});

test("a trap in the line is judged in the pipe it stands in: its siphon by what it lets out into, its frost by its own", () => {
  let met = 0;
  fc.assert(
    fc.property(networks, (any) => {
      const design: Design = { ...any, rules: { ...any.rules, limits: { ...any.rules.limits, nightAir: -12 } } };
      const network = buildNetwork(design);
      for (const { lineId, lineTrapRisks, trapRisks } of evaluate(design, LEVEL).drains) {
        const drain = network.drains.get(lineId)!;
        const path = buildDrainPath(design, drain, network);
        const night = readNight(design.rules);
        const lineTrap = findLineTrap(drain);
        expect(lineTrapRisks === null).toBe(lineTrap === null);
        if (lineTrap && lineTrapRisks) {
          const { bend, sealMm } = lineTrap;
          const [own, behind] = [path.legs[bend]!.pipe, path.legs[bend + 1]!.pipe];
          const fallMm = path.legs.slice(bend + 1).reduce((sum, leg) => sum + leg.from.z - leg.to.z, 0);
          const bore = Math.min(own.innerMm, behind.innerMm);
          expect(lineTrapRisks.afterSiphonMm).toBeCloseTo(computeSealAfterSiphonMm(sealMm, fallMm, bore), 6);
          const hours = computeTrapFrostHours({ sealMm, spanMm: 3 * own.innerMm }, own, night);
          expect(lineTrapRisks.frostHours).toBe(drain.bendsMm[bend]!.z < 0 ? hours : null);
          met += 1;
        }
        const trap = findTrap(drain);
        if (trap && trapRisks) {
          const hours = computeTrapFrostHours(trap, drain.pipe, night);
          expect(trapRisks.frostHours).toBe(path.nodesMm[0]!.z < 0 ? hours : null);
        }
      }
    }),
    { numRuns: 60 },
  );
  expect(met).toBeGreaterThan(5);
});
