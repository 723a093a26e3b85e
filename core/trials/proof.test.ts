import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { takeDrawnTrial } from "../build/redrawn";
import { listSteps } from "../build/steps";
import { evaluate } from "../evaluate/evaluate";
import { type BuildRecord, EMPTY_BUILD, TRIAL_RESULTS, type TrialRun } from "../record/record";
import { buildWaterway } from "../waterway/buildWaterway";
import { findTrialOf, judgeProofs, judgeTrial, listTrials } from "./proof";

const run = (trialId: string, result: TrialRun["result"], minute = 0): TrialRun => ({
  id: `${trialId}-${minute}`,
  trialId,
  at: `2026-11-26T08:${String(minute).padStart(2, "0")}`,
  result,
  note: "",
});

test.each([...DEMO_NAMES, ...LOOP_NAMES, FURNISHED, HEADS_NAME, ...HEADS_NAMES] as const)(
  "%s: every tank, drain and hose is marked as what its own trial came to, and nothing else is",
  (name) => {
    const design = readDemo(name);
    const evaluation = evaluate(design);
    const waterway = buildWaterway(design, evaluation);
    const trials = listTrials(listSteps(design, evaluation));
    const before = judgeProofs(waterway, design, trials, EMPTY_BUILD);
    expect(new Set(before.values())).toEqual(new Set(["open"]));
    for (const { id, part } of waterway.edges) {
      if (part.kind !== "line") continue;
      // a breather is proven with the dump of its tank, and only where that is tried
      const line = design.lines.find((one) => one.id === part.id)!;
      const isTried = line.kind !== "vent" || trials.some((trial) => trial.id === `trialDump:${line.fromTank}`);
      expect(before.has(id)).toBe(isTried);
    }
    for (const { id } of design.tanks) expect(before.get(`tank:${id}`)).toBe("open");
    // gear is marked by the trial that is asked of it, and no other is
    for (const { id, kind, part } of waterway.nodes) {
      if (kind !== "gear" || part.kind !== "gear") continue;
      const trial = findTrialOf(design, part);
      expect([id, before.has(id)]).toEqual([id, trials.some((asked) => asked.id === trial)]);
    }
    const [first] = trials;
    const one = judgeProofs(waterway, design, trials, { done: [], trials: [run(first!.id, "leaks")] });
    const leaking = [...one].filter(([, proof]) => proof === "leaks").map(([id]) => id);
    expect(leaking).toContain(first!.at.kind === "tank" ? `tank:${first!.at.id}` : first!.id);
    const all = { done: [], trials: trials.map(({ id }) => run(id, "held")) };
    expect(new Set(judgeProofs(waterway, design, trials, all).values())).toEqual(new Set(["held"]));
  },
);

test("a leak stays one until a later run held, whatever was ticked, unclear, or written down out of order", () => {
  const results = fc.array(fc.constantFrom(...TRIAL_RESULTS), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(results, fc.boolean(), fc.infiniteStream(fc.nat()), (given, isTicked, order) => {
      const runs = given.map((result, minute) => run("a", result, minute));
      const mixed = [...runs].map((one) => ({ one, at: order.next().value as number }));
      const build: BuildRecord = {
        ...EMPTY_BUILD,
        done: isTicked ? [{ stepId: "a", on: "2026-11-27" }] : [],
        trials: [...mixed.sort((a, b) => a.at - b.at).map(({ one }) => one), run("b", "held", 59)],
      };
      const proof = judgeTrial("a", build);
      if (proof === "held") expect(given.at(-1)).toBe("held");
      const clear = given.filter((result) => result !== "unclear").at(-1);
      if (clear === "leaks") expect(proof).toBe("leaks");
      if (given.at(-1) === "unclear") expect(proof).toBe(clear === "leaks" ? "leaks" : "open");
      expect(proof).not.toBe("ticked");
    }),
  );
  expect(judgeTrial("a", { done: [{ stepId: "a", on: "2026-11-27" }] })).toBe("ticked");
  expect(judgeTrial("a", EMPTY_BUILD)).toBe("open");
});

test("a tick holds for what was drawn when it was ticked, and not for a tank that was drawn larger since", () => {
  for (const name of ["kranich", "lesesaal-heads", "otter-heads"] as const) {
    const design = readDemo(name);
    for (const { id, at } of listTrials(listSteps(design, evaluate(design)))) {
      if (at.kind !== "tank") continue;
      const done = [{ stepId: id, on: "2026-11-27", drawn: takeDrawnTrial(design, id) }];
      expect(judgeTrial(id, { done }, design)).toBe("ticked");
      const larger = {
        ...design,
        tanks: design.tanks.map((tank) => (tank.id === at.id ? { ...tank, wallMm: tank.wallMm + 3 } : tank)),
      };
      expect([id, judgeTrial(id, { done }, larger)]).toEqual([id, "open"]);
    }
  }
});

test("what a part is proven by: a fitting in a boat's skin by the launch, gear with hoses by their trial, a line by its own", () => {
  const boat = readDemo("otter-heads");
  for (const piece of boat.gear) {
    const hasHose = boat.lines.some(
      (line) => line.kind === "hose" && [line.from, line.to].some((end) => "gearId" in end && end.gearId === piece.id),
    );
    const byHoses = hasHose ? "trialHoses:all" : null;
    expect(findTrialOf(boat, { kind: "gear", id: piece.id })).toBe(
      piece.spec.kind === "skinFitting" ? "trialLaunch:all" : byHoses,
    );
  }
  for (const line of boat.lines) {
    const trial = findTrialOf(boat, { kind: "line", id: line.id });
    if (line.kind === "drain") expect(trial).toBe(`trialDrain:${line.id}`);
    if (line.kind === "hose") expect(trial).toBe("trialHoses:all");
    if (line.kind === "vent" && trial !== null) expect(trial).toBe(`trialDump:${line.fromTank}`);
  }
  expect(findTrialOf(boat, { kind: "line", id: "gone" })).toBeNull();
});

test("of any network, held once is held everywhere it counts, and one leak shows on its own line at every stretch", () => {
  fc.assert(
    fc.property(networks, fc.nat(), (design, pick) => {
      const evaluation = evaluate(design);
      const waterway = buildWaterway(design, evaluation);
      const trials = listTrials(listSteps(design, evaluation));
      const bad = trials[pick % trials.length]!;
      const build = { done: [], trials: trials.map(({ id }) => run(id, id === bad.id ? "leaks" : "held")) };
      const proofs = judgeProofs(waterway, design, trials, build);
      for (const { id, part } of waterway.edges) {
        if (part.kind !== "line" || !proofs.has(id)) continue;
        const line = design.lines.find((one) => one.id === part.id)!;
        const asked =
          line.kind === "vent" || line.kind === "dumpLine" ? `trialDump:${line.fromTank}` : `trialDrain:${part.id}`;
        expect(proofs.get(id)).toBe(bad.id === asked ? "leaks" : "held");
      }
    }),
    { numRuns: 25 },
  );
});
