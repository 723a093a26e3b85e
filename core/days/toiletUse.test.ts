import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { buildAddFixture } from "../edits/fixtureEdits";
import { buildAddToilet, buildUseToilet } from "../edits/toiletEdits";
import { evaluate } from "../evaluate/evaluate";
import { TOILET_KINDS } from "../heads/toiletKinds";
import { findUnusedToilet } from "./toiletUse";

const apply = (design: Design, edit: Parameters<typeof applyEdit>[1] | null): Design => {
  const outcome = edit && applyEdit(design, edit);
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome));
  return outcome.design;
};
const NAMES = { toilet: "Toilet", urineVessel: "Bottle", restVessel: "Vessel", urineUse: "Urine", restUse: "Rest" };
const isSaid = (design: Design) => evaluate(design).findings.some(({ code }) => code === "toiletUnused");

test("a toilet of any kind is never silent: either its use is reckoned, or it is said that it is not", () => {
  for (const name of ["lesesaal", "otter", "puppenwagen"] as const) {
    for (const kind of TOILET_KINDS) {
      const fitted = apply(readDemo(name), buildAddToilet(readDemo(name), kind, NAMES));
      expect(isSaid(fitted)).toBe(findUnusedToilet(fitted) !== null);
      const used = findUnusedToilet(fitted) ? apply(fitted, buildUseToilet(fitted)) : fitted;
      expect(isSaid(used)).toBe(false);
      const lived = used.habits.ways.find(({ id }) => id === used.habits.stretches[0]!.wayId)!;
      const sent = lived.uses.filter((use) => use.kind === "toilet" || use.kind === "urine");
      // a person's urine and the rest come to 1.4 L and more a day, whatever is flushed with it
      expect(sent.reduce((sum, { sendsL, times }) => sum + sendsL * times, 0)).toBeGreaterThanOrEqual(1.4);
    }
  }
});

test("a gravity toilet's flush comes out of the fresh water and goes into the black tank, and the tank has its days", () => {
  const lesesaal = readDemo("lesesaal-heads");
  const without = {
    ...lesesaal,
    habits: {
      ...lesesaal.habits,
      ways: lesesaal.habits.ways.map((way) => ({ ...way, uses: way.uses.filter(({ kind }) => kind !== "toilet") })),
    },
  };
  const black = (design: Design) => evaluate(design).balance.stores.find(({ holds }) => holds === "black")!;
  expect(isSaid(without)).toBe(true);
  expect(black(without).days.level).toBeNull();
  const used = apply(without, buildUseToilet(without));
  const people = used.habits.people.reduce((sum, { count }) => sum + count, 0);
  const { volumePerUseL } = used.fixtures.find(({ kind }) => kind === "gravityToilet")!;
  expect(black(used).meanLPerDay).toBeCloseTo(people * (5 * volumePerUseL + 4 * 0.284 + 0.3), 6);
  expect(black(used).days.level).toBeGreaterThan(0);
  expect(buildUseToilet(used)).toBeNull();
});

test("no sample with a toilet leaves its days unsaid", () => {
  for (const name of DEMO_NAMES) expect(findUnusedToilet(readDemo(name))).toBeNull();
  for (const name of ["otter-heads", "setzkasten", "lesesaal-heads", "puppenwagen-heads"] as const) {
    expect(findUnusedToilet(readDemo(name))).toBeNull();
  }
  expect(
    findUnusedToilet(apply(readDemo("kranich"), buildAddFixture(readDemo("kranich"), "urineDiverter", "Dry"))),
  ).not.toBeNull();
});
