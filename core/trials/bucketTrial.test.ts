import fc from "fast-check";
import { DEMO_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { listSteps } from "../build/steps";
import type { Design } from "../design/design";
import { evaluate } from "../evaluate/evaluate";
import { computeRunEmpty } from "../tanks/runEmpty";
import { judgeBucket } from "./bucketTrial";
import { takeFingerprint } from "./fingerprint";
import { judgeTrial, listTrials } from "./proof";

const runsOf = (name: (typeof DEMO_NAMES)[number]) => {
  const design = readDemo(name);
  const { tanks } = evaluate(design);
  return design.tanks.flatMap((tank) => {
    const result = tanks.find(({ tankId }) => tankId === tank.id)!;
    const [shut, open] = [computeRunEmpty(design, tank, result), computeRunEmpty(design, tank, result, true)];
    return shut && open ? [{ shut, open }] : [];
  });
};

test("an open dump takes what was reckoned; half as fast shut is the breather, half as fast both ways the outlet", () => {
  let tried = 0;
  for (const { shut, open } of DEMO_NAMES.flatMap(runsOf)) {
    const litres = (shut.curve[0]!.litres - shut.leftL) * 0.6;
    const fine = judgeBucket(shut, open, { litres, shutS: 1e3, openS: null })!;
    if (fine.shutS < 12) continue;
    tried += 1;
    const told = (shutS: number, openS: number | null) => judgeBucket(shut, open, { litres, shutS, openS })!;
    expect(told(fine.shutS, null)).toMatchObject({ cause: "fine", verdict: "held" });
    expect(told(fine.shutS * 2, null)).toMatchObject({ cause: "tryOpen", verdict: "unclear" });
    expect(told(fine.shutS * 2, fine.openS)).toMatchObject({ cause: "breather", verdict: "leaks" });
    expect(told(fine.shutS * 2, fine.openS * 2)).toMatchObject({ cause: "outlet", verdict: "leaks" });
    // air that comes freely never slows it
    expect(fine.openS).toBeLessThanOrEqual(fine.shutS + 1e-6);
    expect(judgeBucket(shut, open, { litres: 1e4, shutS: 10, openS: null })).toBeNull();
    expect(judgeBucket(shut, open, { litres, shutS: 0, openS: null })).toBeNull();
  }
  expect(tried).toBeGreaterThan(1);
});

test("slower is never judged better", () => {
  const [{ shut, open }] = runsOf("kranich") as [ReturnType<typeof runsOf>[number]];
  const rank = { fine: 2, tryOpen: 1, breather: 1, outlet: 1, tooShort: 0 } as const;
  const times = fc.double({ min: 5.1, max: 2_000, noNaN: true });
  fc.assert(
    fc.property(times, times, (a, b) => {
      const [fast, slow] = [Math.min(a, b), Math.max(a, b)].map(
        (shutS) => judgeBucket(shut, open, { litres: 10, shutS, openS: null })!,
      );
      expect(rank[slow!.cause]).toBeLessThanOrEqual(rank[fast!.cause]);
    }),
  );
});

test("a trial that held says so until its own part is drawn anew, and not when another one is", () => {
  for (const name of [...DEMO_NAMES, ...LOOP_NAMES] as const) {
    const design = readDemo(name);
    const trials = listTrials(listSteps(design, evaluate(design)));
    const held = trials.map(({ id }) => ({
      id: `r-${id}`.slice(0, 60),
      trialId: id,
      at: "2026-11-26T08:00",
      result: "held" as const,
      note: "",
      on: takeFingerprint(design, id),
    }));
    const build = { done: [], trials: held };
    for (const { id } of trials) expect(judgeTrial(id, build, design)).toBe("held");
    const drain = design.lines.find((line) => line.kind === "drain" && line.bendsMm.length > 0);
    if (drain?.kind !== "drain") continue;
    const moved: Design = {
      ...design,
      lines: design.lines.map((line) =>
        line === drain
          ? { ...drain, bendsMm: drain.bendsMm.map((p, i) => (i === 0 ? { ...p, z: p.z - 3 } : p)) }
          : line,
      ),
    };
    expect(judgeTrial(`trialDrain:${drain.id}`, build, moved)).toBe("changed");
    for (const tank of design.tanks) expect(judgeTrial(`trialTank:${tank.id}`, build, moved)).toBe("held");
    // a run of an older file does not know
    const old = { done: [], trials: held.map(({ on: _, ...run }) => run) };
    expect(judgeTrial(`trialDrain:${drain.id}`, old, moved)).toBe("held");
  }
});

// By hand: 40 L, 30 L after 10 s, 10 L after 60 s: the first 20 L are out after 10 s and half of the next 50.
test("between two points of the curve the watch is read in proportion", () => {
  const curve = [
    { second: 0, litres: 40 },
    { second: 10, litres: 30 },
    { second: 60, litres: 10 },
    { second: 61, litres: 0 },
  ];
  const [run] = DEMO_NAMES.flatMap(runsOf);
  const dump = { ...run!.shut, curve };
  const read = (litres: number) => judgeBucket(dump, dump, { litres, shutS: 60, openS: null })!.shutS;
  expect(read(5)).toBeCloseTo(5, 9);
  expect(read(20)).toBeCloseTo(35, 9);
  expect(read(30)).toBeCloseTo(60, 9);
});
