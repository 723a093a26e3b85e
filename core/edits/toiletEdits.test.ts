import { readDemo } from "@/tests/demoRigs";
import { applyEdit } from "../design/edit";
import { evaluate } from "../evaluate/evaluate";
import { TOILET_KINDS, TOILETS } from "../heads/toiletKinds";
import { buildAddToilet } from "./toiletEdits";

const NAMES = {
  toilet: "Toilet",
  urineVessel: "Bottle",
  restVessel: "Bin",
  urineUse: "Urine",
  restUse: "Toilet",
};
const RIGS = ["kranich", "lesesaal", "otter"] as const;

test("every kind of toilet can be fitted to every rig in one edit, and the design stays sound", () => {
  for (const rig of RIGS) {
    for (const kind of TOILET_KINDS) {
      const design = readDemo(rig);
      const made = applyEdit(design, buildAddToilet(design, kind, NAMES));
      expect([rig, kind, made.ok]).toEqual([rig, kind, true]);
      if (made.ok) expect(() => evaluate(made.design)).not.toThrow();
    }
  }
});

test("what is carried fills by what people do: a cassette by hand", () => {
  const design = readDemo("kranich");
  const made = applyEdit(design, buildAddToilet(design, "cassette", NAMES));
  if (!made.ok) throw new Error("not fitted");
  const people = design.habits.people.reduce((sum, { count, daysPerWeek }) => sum + (count * daysPerWeek) / 7, 0);
  // five times urine and once the rest, a flush each: 5 × (0.3 + 0.284) + 0.3 + 0.3 = 3.52 L a person and day
  const byHand = TOILETS.cassette.rest!.litres / (3.52 * people);
  const store = evaluate(made.design).balance.stores.find(({ store: { vesselIds } }) =>
    vesselIds.includes("cassette"),
  )!;
  expect(store.days.here).toBeCloseTo(byHand, 6);
});

test("a diverting toilet keeps urine and the rest apart and takes no water", () => {
  const design = readDemo("kranich");
  const made = applyEdit(design, buildAddToilet(design, "diverting", NAMES));
  if (!made.ok) throw new Error("not fitted");
  const fresh = (of: typeof design) => evaluate(of).balance.stores.find(({ holds }) => holds === "fresh")?.days.here;
  expect(fresh(made.design)).toBe(fresh(design));
  const black = evaluate(made.design).balance.stores.filter(({ holds }) => holds === "black");
  expect(black.map(({ store }) => store.vesselIds.length)).toEqual(black.map(() => 1));
  expect(black.length).toBeGreaterThanOrEqual(2);
  // fitted twice, ids stay apart
  const again = applyEdit(made.design, buildAddToilet(made.design, "diverting", NAMES));
  expect(again.ok).toBe(true);
});
