import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { parseDesign } from "../design/parseDesign";
import { evaluate } from "../evaluate/evaluate";
import { computeLoopFigures } from "../gear/loopFigures";
import { buildAddFixture } from "./fixtureEdits";
import { buildAddGear, buildAddHose, buildLoop, buildRemoveGear, LOOP_SCHOOLS } from "./loopEdits";

function mustApply(design: Design, edit: Parameters<typeof applyEdit>[1]): Design {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

/** A rig with a shower, and the loop a school makes of it. */
function layLoop(name: "kranich" | "lesesaal" | "puppenwagen" | "otter", school: (typeof LOOP_SCHOOLS)[number]) {
  const design = mustApply(readDemo(name), buildAddFixture(readDemo(name), "showerTray", "Shower"));
  const shower = design.fixtures.at(-1)!;
  const cabinet = design.obstacles.find(({ kind }) => kind === "cabinet")?.id ?? null;
  const plan = buildLoop(design, shower.id, school, cabinet)!;
  return { design, after: mustApply(design, plan.edit), plan };
}

const RIGS = ["kranich", "lesesaal", "puppenwagen", "otter"] as const;

test.each(RIGS.flatMap((name) => LOOP_SCHOOLS.map((school) => [name, school] as const)))(
  "%s, %s: one step lays a loop that a shower comes out of",
  (name, school) => {
    const { after } = layLoop(name, school);
    expect(parseDesign(after)).toMatchObject({ ok: true });
    const figures = computeLoopFigures(after)!;
    expect(figures.lpm).toBeGreaterThan(3);
    expect(figures.lpm).toBeLessThan(12.5);
    expect(figures.showers).toBeGreaterThan(0);
    const ports = evaluate(after).findings.filter(({ code }) => code === "gearPortOpen");
    expect(ports).toEqual([]);
  },
);

test("through an air gap nothing comes back whatever fails; one motor valve is one failure from the drinking tap", () => {
  const safe = evaluate(layLoop("kranich", "airGap").after).findings.filter(({ code }) => code === "waterFouled");
  expect(safe).toEqual([]);
  const usual = evaluate(layLoop("kranich", "motorValve").after).findings.filter(({ code }) => code === "waterFouled");
  expect(usual.length).toBeGreaterThan(0);
  expect(usual.every(({ severity }) => severity === "must")).toBe(true);
  expect(
    usual.some((f) => f.code === "waterFouled" && f.failure?.kind === "stuck" && f.failedName === "Motor valve"),
  ).toBe(true);
});

test("what a shower takes from the loop is not taken from the fresh water: the stay is longer", () => {
  const { design, after } = layLoop("kranich", "airGap");
  const shower = design.fixtures.at(-1)!;
  const use = (one: Design): Design => ({
    ...one,
    habits: {
      ...one.habits,
      ways: one.habits.ways.map((way) => ({
        ...way,
        uses: [
          ...way.uses,
          {
            id: "loop-shower",
            name: "Shower",
            kind: "shower" as const,
            from: "fresh" as const,
            takesL: 18.9,
            sendsL: 18.9,
            fixtureId: shower.id,
            vesselId: null,
            times: 1,
            per: "personDay" as const,
            byChance: false,
          },
        ],
      })),
    },
  });
  const days = (one: Design) => evaluate(use(one)).balance.endsBy.level!.days;
  expect(days(after)).toBeGreaterThan(days(design) * 1.5);
});

test("a piece goes with its hoses and its part in the states", () => {
  const { after } = layLoop("kranich", "airGap");
  for (const piece of after.gear) {
    const without = mustApply(after, buildRemoveGear(after, piece.id));
    expect(without.gear).toHaveLength(after.gear.length - 1);
    expect(parseDesign(without)).toMatchObject({ ok: true });
  }
});

test("a hose is as wide as its ends ask for, and what it goes on to keeps its width", () => {
  let design = readDemo("otter");
  for (const kind of ["bowl", "ventedLoop", "skinFitting", "strainer"] as const) {
    design = mustApply(design, buildAddGear(design, kind, kind));
  }
  const id = (kind: string) => design.gear.find(({ spec }) => spec.kind === kind)!.id;
  const join = (from: string, out: string, to: string, into: string) => {
    const end = (kind: string, port: string) => ({ kind: "gear" as const, gearId: id(kind), port });
    design = mustApply(design, buildAddHose(design, end(from, out), end(to, into)));
    const made = design.lines.at(-1)!;
    return made.kind === "hose" ? made.pipe : null;
  };
  expect(join("strainer", "out", "bowl", "flush")).toMatchObject({ innerMm: 19, outerMm: 25 });
  expect(join("bowl", "waste", "ventedLoop", "in")).toMatchObject({ innerMm: 38, outerMm: 46 });
  const { spec } = design.gear.find((piece) => piece.id === id("skinFitting"))!;
  const asked = Math.max(38, spec.kind === "skinFitting" ? spec.boreMm : 0);
  expect(join("ventedLoop", "out", "skinFitting", "in")?.innerMm).toBe(asked);
});

test("the samples with a loop say what their notes promise", () => {
  const usual = evaluate(readDemo("kranich-loop")).findings.filter(({ severity }) => severity === "must");
  expect(new Set(usual.map(({ code }) => code))).toEqual(new Set(["waterFouled"]));
  expect(usual.some((f) => f.code === "waterFouled" && f.failure?.kind === "stuck")).toBe(true);
  const safe = evaluate(readDemo("lesesaal-loop")).findings.filter(({ severity }) => severity !== "note");
  expect(safe).toEqual([]);
});
