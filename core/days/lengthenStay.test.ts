import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { Use, Vessel } from "../design/habits";
import { measureCapacityL } from "../geometry/solid";
import { listRungs, type Rung } from "./lengthenStay";
import { USUAL_USES } from "./usualUses";

const kranich = readDemo("kranich");
const [fresh] = kranich.habits.vessels as [Vessel];

const use = (kind: Use["kind"], given: Partial<Use> = {}): Use => ({
  ...USUAL_USES[kind],
  id: `${kind.toLowerCase()}-use`,
  name: kind,
  fixtureId: "sink",
  vesselId: null,
  byChance: false,
  ...given,
});

/** Kranich lived in one way, with so much fresh water beside. */
const lived = (uses: readonly Use[], freshL: number, others: readonly Vessel[] = []): Design => ({
  ...kranich,
  habits: {
    ...kranich.habits,
    ways: [
      { id: "other", name: "Other", uses: [use("shower", { id: "shower-elsewhere", name: "Elsewhere" })] },
      { id: "now", name: "Now", uses: [...uses] },
    ],
    stretches: [{ wayId: "now", days: 9 }],
    vessels: [{ ...fresh, holds: "fresh", litres: freshL }, ...others],
  },
});
const rungOf = (design: Design, code: Rung["code"]): Rung => listRungs(design).find((rung) => rung.code === code)!;
const usesAfter = (design: Design, { edit }: Rung) =>
  mustApply(design, edit).habits.ways.find(({ id }) => id === "now")!.uses;

test("a shower is cut to seven tenths, and what it sends with it; only in the way that is lived first", () => {
  const design = lived([use("shower", { sendsL: 17 }), use("drinking", { fixtureId: null })], 500);
  const rung = rungOf(design, "shorterShowers");
  expect(rung.name).toBe("shower");
  const [shower, drinking] = usesAfter(design, rung);
  expect(shower!.takesL).toBe(13.2);
  expect(shower!.sendsL).toBeCloseTo((17 * 13.2) / 18.9, 9);
  expect(drinking).toEqual(design.habits.ways[1]!.uses[1]);
  expect(listRungs(design).filter(({ code }) => code === "shorterShowers")).toHaveLength(1);
});

test("washing up under the tap becomes a bowl of five litres, where it took more", () => {
  const design = lived([use("washUpRunning")], 500);
  expect(usesAfter(design, rungOf(design, "bowlNotTap"))).toMatchObject([{ kind: "washUpBowl", takesL: 5, sendsL: 5 }]);
  const sparing = lived([use("washUpRunning", { takesL: 5, sendsL: 5 })], 500);
  expect(rungOf(sparing, "bowlNotTap")).toBeUndefined();
});

test("what is rinsed outside is done half as often; ten litres more are carried in the can that is there, or in a new one", () => {
  const design = lived([use("rinseOutside", { fixtureId: null, times: 3 })], 60);
  expect(usesAfter(design, rungOf(design, "fewerRinses"))).toMatchObject([{ times: 1.5 }]);
  const more = rungOf(design, "moreFresh");
  expect(mustApply(design, more.edit).habits.vessels).toMatchObject([{ id: fresh.id, litres: 70 }]);
  expect(more.gainedDays).toBeCloseTo(10 / 12, 9);
  // a fresh tank and no can
  const tank = { ...kranich.tanks[0]!, id: "fresh-tank", name: "Fresh tank", holds: "fresh" as const };
  const tanked: Design = {
    ...design,
    tanks: [...design.tanks, tank],
    habits: { ...design.habits, vessels: [] },
  };
  const rungs = listRungs(tanked).filter(({ code }) => code === "moreFresh");
  for (const { edit } of rungs)
    expect(mustApply(tanked, edit).habits.vessels).toMatchObject([{ holds: "fresh", litres: 10, on: "rig" }]);
  expect(rungs).toHaveLength(1);
});

test("urine that fills the grey tank goes into a canister of its own: the one that is there, or one of ten litres", () => {
  const uses = [use("urine"), use("drains", { times: 0.9 })];
  const design = lived(uses, 5_000);
  const after = mustApply(design, rungOf(design, "ownVessel").edit).habits;
  const made = after.vessels.at(-1)!;
  expect(made).toMatchObject({ holds: "black", litres: 10 });
  expect(after.ways[1]!.uses).toMatchObject([{ vesselId: made.id, fixtureId: null }, { fixtureId: "sink" }]);
  const known: Vessel = { id: "can", name: "Can", holds: "black", litres: 400, on: "rig" };
  const slops: Vessel = { id: "slops", name: "Slops", holds: "grey", litres: 400, on: "rig" };
  const kept = lived(uses, 5_000, [slops, known]);
  const then = mustApply(kept, rungOf(kept, "ownVessel").edit).habits;
  expect(then.vessels).toEqual(kept.habits.vessels);
  expect(then.ways[1]!.uses).toMatchObject([{ vesselId: "can", fixtureId: null }, { fixtureId: "sink" }]);
});

test("a waste tank is made longer by ten litres, and never a fresh one", () => {
  const design = lived([use("drains")], 5_000);
  const [tank] = design.tanks as [Design["tanks"][number]];
  const rung = rungOf(design, "largerTank");
  const after = mustApply(design, rung.edit).tanks[0]!;
  const grown = measureCapacityL(after.solid) - measureCapacityL(tank.solid);
  expect(grown).toBeGreaterThan(9.9);
  expect(grown).toBeLessThan(10.5);
  expect(rung.name).toBe(tank.name);
  // days to a hundredth, and nothing that a builder would not feel
  for (const { gainedDays } of listRungs(design)) expect(gainedDays).toBeGreaterThanOrEqual(0.05);
});
