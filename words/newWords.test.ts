import fc from "fast-check";
import type { Design } from "@/core/design/design";
import { SCENARIOS } from "@/core/devices/device";
import { simulateDevices } from "@/core/devices/simulateDevices";
import { evaluate } from "@/core/evaluate/evaluate";
import { proveEveryPosition } from "@/core/gear/everyPosition";
import { groupHazards, proveInterlock } from "@/core/gear/interlock";
import { listJoins } from "@/core/gear/joins";
import { listLoopCare } from "@/core/gear/loopCare";
import { comparePlainSchool, computeLoopRhythm } from "@/core/gear/loopRhythm";
import { listHoseRuns } from "@/core/heads/hoseRun";
import { computeStability } from "@/core/heads/stability";
import { listSumps } from "@/core/heads/sumpFigures";
import { computeHydrostatics } from "@/core/hull/hydrostatics";
import { listRigJoints } from "@/core/parts/rigJoints";
import { END_KINDS, END_SIZES, judgeJoint } from "@/core/parts/threads";
import { listDueCare } from "@/core/road/care";
import { planDumps } from "@/core/road/dumpPlan";
import { buildPlanInput } from "@/core/road/planInput";
import { LIMIT_IDS } from "@/core/rules/limitIds";
import { computeRunEmpty } from "@/core/tanks/runEmpty";
import { listFloods } from "@/core/through/flood";
import { matchStub } from "@/core/through/stubs";
import { judgeBucket } from "@/core/trials/bucketTrial";
import { computeLeak } from "@/core/trials/leakRate";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { describeReport } from "./devices";
import { describeFinding } from "./findings";
import { describeLoopRhythm, describePlainSchool } from "./gear";
import { GLOSSARY } from "./glossary";
import { describeBlackStores, describeRun, describeStability, describeSump } from "./heads";
import { describeFlood, describeStub } from "./holes";
import { describeAfloat } from "./hull";
import { describeEveryPosition, describeHazard, describeJoin, describeWrongTurns } from "./interlock";
import { describeJoint, groupJoints } from "./joints";
import { describeCare, describeDue, describePlan, describeReason, describeService, formatDay } from "./journey";
import { LIMIT_NAMES } from "./limits";
import { describeLoopCare } from "./loopCare";
import { describeBucket, describeLeak } from "./trialRuns";
import { describeCycleLeak, describeFirstFilling } from "./trials";
import { writeUnderCards } from "./underCards";

const ALL = [...DEMO_NAMES, ...LOOP_NAMES, FURNISHED, HEADS_NAME, ...HEADS_NAMES] as const;

/** A sentence a builder may read: nothing left unsaid by the machine, and no figure that is none. */
function expectSaid(text: string): void {
  expect(text).not.toMatch(/undefined|NaN|null|Infinity|\[object|\$\{/);
  expect(text.trim().length).toBeGreaterThan(2);
}

test("every card for the phone says something, bears an id of its own, and only runs have a slope to hold", () => {
  for (const name of ALL) {
    const design = readDemo(name);
    for (const units of ["metric", "imperial"] as const) {
      const { cards } = writeUnderCards(design, evaluate(design), units);
      expect(new Set(cards.map(({ id }) => id)).size).toBe(cards.length);
      for (const { title, text, figures, slopeMmPerM, group } of cards) {
        expectSaid(title);
        if (text) expectSaid(text);
        for (const pair of figures) pair.forEach(expectSaid);
        if (slopeMmPerM !== null) expect(group).toBe("legs");
      }
    }
  }
});

test("hoses, sumps, loose water and the loop are told on every rig that has them", () => {
  for (const name of ALL) {
    const design = readDemo(name);
    for (const units of ["metric", "imperial"] as const) {
      for (const run of listHoseRuns(design)) expectSaid(describeRun(run, 2, units));
      for (const sump of listSumps(design)) expectSaid(describeSump(sump, units));
      const stability = computeStability(design);
      for (const line of stability ? describeStability(stability, design, units) : []) expectSaid(line);
      for (const line of [...describeBlackStores(evaluate(design).balance, design), ...describeFirstFilling(design)])
        expectSaid(line);
      const loop = computeLoopRhythm(design);
      if (loop) expectSaid(describeLoopRhythm(loop, units));
      for (const scenario of SCENARIOS)
        describeReport(simulateDevices([], scenario, 5_000, 1), units).forEach(expectSaid);
    }
  }
  expect(computeLoopRhythm(readDemo("kranich"))).toBeNull();
});

test("a loop's water is kept two days at most, however few shower; fewer where filters or what is shed end it before", () => {
  const design = readDemo("kranich-loop");
  const withShowers = (times: number): Design => ({
    ...design,
    habits: {
      ...design.habits,
      ways: design.habits.ways.map((way) => ({
        ...way,
        uses: way.uses.map((use) => (use.kind === "shower" ? { ...use, times, per: "day" as const } : use)),
      })),
    },
  });
  fc.assert(
    fc.property(fc.double({ min: 0.02, max: 30, noNaN: true }), (times) => {
      const { everyDays, showersPerDay, because, figures } = computeLoopRhythm(withShowers(times))!;
      expect(showersPerDay).toBeCloseTo(times, 9);
      expect(everyDays).toBeLessThanOrEqual(2);
      expect(everyDays! * showersPerDay).toBeLessThanOrEqual(figures.showers + 1e-9);
      if (because === "standing") expect(everyDays).toBe(2);
      if (because !== "standing") expect(everyDays! * showersPerDay).toBeCloseTo(figures.showers, 9);
    }),
  );
  expect(computeLoopRhythm(withShowers(0))).toMatchObject({ showersPerDay: 0, everyDays: null, whPerDay: 0 });
});

test("ways for foul water, joins, care of the loop, joints and bucket trials are sentences, of every rig in both units", () => {
  for (const name of ALL) {
    const design = readDemo(name);
    for (const [hazard, ...more] of groupHazards(design, proveInterlock(design)))
      expectSaid(describeHazard(design, hazard, more.length));
    const proof = proveEveryPosition(design)!;
    if (design.gear.length > 0) expectSaid(describeEveryPosition(proof));
    for (const way of proof.ways) expectSaid(describeWrongTurns(design, way));
    for (const join of listJoins(design)) expectSaid(describeJoin(design, join));
    for (const units of ["metric", "imperial"] as const) {
      const care = listLoopCare(design);
      for (const { steps } of care ? describeLoopCare(care, units) : []) steps.forEach(expectSaid);
      const joints = listRigJoints(design);
      const groups = groupJoints(joints, design, units);
      for (const { work, places } of groups) [work, ...places].forEach(expectSaid);
      expect(groups.flatMap(({ places }) => places)).toHaveLength(joints.length);
      for (const flood of listFloods(design)) expectSaid(describeFlood(flood, units));
      if (design.rig.hull)
        expectSaid(describeAfloat(computeHydrostatics(design.rig.hull, 140), design.rig.gmMm, units));
    }
    const { tanks } = evaluate(design);
    for (const tank of design.tanks) {
      const result = tanks.find(({ tankId }) => tankId === tank.id)!;
      const [shut, open] = [computeRunEmpty(design, tank, result), computeRunEmpty(design, tank, result, true)];
      for (const [shutS, openS] of [
        [2, null],
        [400, null],
        [400, 5],
        [400, 400],
      ] as const) {
        const told = shut && open && judgeBucket(shut, open, { litres: 4, shutS, openS });
        if (told) expectSaid(describeBucket(told));
      }
    }
  }
  for (let mm = 10; mm < 80; mm += 3) for (const fit of matchStub(mm)) expectSaid(describeStub(fit, "metric"));
  for (const leak of [null, 3, 120, 900])
    for (const units of ["metric", "imperial"] as const) expectSaid(describeCycleLeak(leak, units));
});

test("on a boat no finding speaks of the floor, on land none of the sole", () => {
  for (const name of ["otter", HEADS_NAME, "setzkasten", "kranich-loop", "puppenwagen"] as const) {
    const design = readDemo(name);
    const all = evaluate(design).findings.map((finding) =>
      Object.values(describeFinding(finding, design, "metric")).join(" "),
    );
    expect(all.join(" ")).not.toMatch(design.rig.kind === "boat" ? /\bthe floor\b/i : /\bthe sole\b/i);
  }
});

test("larger tanks instead of a loop: litres, weight and days by hand", () => {
  const rhythm = { ...computeLoopRhythm(readDemo("kranich-loop"))!, sparedLPerDay: 60 };
  const plain = comparePlainSchool(rhythm, 6, 20);
  // 6 days of 60 L; the loop's own water is not carried; 120 L at 80 L a day last 1.5 days instead of 6
  expect(plain).toMatchObject({ litres: 360, daysGained: 4.5 });
  expect(plain.kg).toBeCloseTo(360 - rhythm.figures.loopL, 9);
  for (const units of ["metric", "imperial"] as const) expectSaid(describePlainSchool(plain, units));
});

test("a plan, why it stops where it does, and the care that is due are sentences", () => {
  for (const name of ALL) {
    const design = readDemo(name);
    const stops = [0, 1, 3].map((day, i) => ({
      id: `s${i}`,
      name: `Stop ${i}`,
      latDeg: null,
      lonDeg: null,
      arrive: `2026-05-0${day + 1}`,
      nights: 1,
      has: { grey: i > 0, toilet: i > 0, fresh: i > 0 },
      isClosed: false,
      cost: 0,
      stands: null,
      note: "",
    }));
    const input = buildPlanInput(evaluate(design).balance, [], { stops, from: "2026-05-01", certainty: 0.8 });
    const plan = planDumps(input);
    expectSaid(describePlan(plan, design, "2026-05-01", 0.8));
    for (const service of plan.services) {
      expectSaid(describeService(service, design));
      const reason = describeReason(service, design, "2026-05-01", "metric");
      if (reason) expectSaid(reason);
    }
    for (const task of listDueCare(design, [], "2026-05-01")) {
      expectSaid(describeCare(task).title);
      expectSaid(describeCare(task).how);
      expectSaid(describeDue(task));
    }
  }
  expect(formatDay("2026-05-03")).toBe("3 May");
});

test("what the book has taught changes the plan's litres: a store that fills twice as fast has twice the uses", () => {
  const { balance } = evaluate(readDemo("kranich"));
  const grey = balance.stores.find(({ holds }) => holds === "grey")!;
  const entry = (at: string, kind: "dump" | "reading", amount: number | null) =>
    ({ id: at.slice(5, 10), at, kind, storeId: grey.store.id, amount, note: "" }) as const;
  const log = Array.from({ length: 40 }, (_, i) => {
    const day = String(1 + (i % 28)).padStart(2, "0");
    const month = i < 28 ? "03" : "04";
    return [
      entry(`2026-${month}-${day}T08:00`, "dump", null),
      entry(`2026-${month}-${day}T20:00`, "reading", grey.meanLPerDay),
    ];
  }).flat();
  const options = { stops: [], from: "2026-05-01", certainty: 0.9 };
  const perDay = (entries: typeof log) =>
    buildPlanInput(balance, entries, options).stretches[0]!.flows.find(({ storeId }) => storeId === grey.store.id)!
      .draws[0]!.perDay;
  // half a day brought a whole day's litres
  expect(perDay(log) / perDay([])).toBeGreaterThan(1.8);
  expect(perDay(log) / perDay([])).toBeLessThan(2.05);
});

test("every pair of ends has a verdict, every leak a sentence, every limit and word of the handbook its line", () => {
  for (const one of END_KINDS)
    for (const other of END_KINDS)
      for (const size of END_SIZES) expectSaid(describeJoint(judgeJoint(one, other, size)));
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 100, noNaN: true }),
      fc.double({ min: 0, max: 100, noNaN: true }),
      (startKPa, endKPa) => {
        const leak = computeLeak({
          wantedKPa: 50,
          volumeL: 2,
          minutes: 10,
          startKPa,
          endKPa,
          startC: 20,
          endC: 18,
          startBarometerKPa: 101,
          endBarometerKPa: 100,
          gaugeErrorKPa: 0.5,
          thermometerErrorK: 0.2,
        })!;
        expectSaid(describeLeak(leak, 300, "metric"));
      },
    ),
  );
  for (const id of LIMIT_IDS) expectSaid(`${LIMIT_NAMES[id].name}: ${LIMIT_NAMES[id].plain}`);
  const words = GLOSSARY.map(({ word }) => word);
  expect(words).toEqual([...words].sort((a, b) => a.localeCompare(b, "en", { sensitivity: "base" })));
  expect(new Set(words).size).toBe(words.length);
  for (const { plain } of GLOSSARY) expectSaid(plain);
});

test("a shower at the sink is none on the loop; where the stay outlasts the loop's water, what to do then is told", () => {
  const design = readDemo("kranich-loop");
  const loop = computeLoopRhythm(design)!;
  const atSink: Design = {
    ...design,
    habits: {
      ...design.habits,
      ways: design.habits.ways.map((way) => ({
        ...way,
        uses: way.uses.map((use) => (use.kind === "shower" ? { ...use, fixtureId: "sink" } : use)),
      })),
    },
  };
  expect(loop.showersPerDay).toBeGreaterThan(0);
  expect(computeLoopRhythm(atSink)).toMatchObject({ showersPerDay: 0, everyDays: null, sparedLPerDay: 0 });
  expect(describeLoopRhythm(loop, "metric", loop.everyDays! + 2)).toMatch(/stop showering on it, or fill it anew/);
  expect(describeLoopRhythm(loop, "metric", loop.everyDays! - 0.5)).not.toMatch(/fill it anew/);
  expect(describeLoopRhythm(loop, "metric")).not.toMatch(/fill it anew/);
});
