import fc from "fast-check";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import type { Vessel } from "../design/habits";
import { evaluate } from "../evaluate/evaluate";
import { computeDaysPerLitre, computeSizeCurve, findSizeBounds } from "./sizeCurve";
import { FRESH_ID } from "./stores";
import { computeBalanceApart, sumSecondUnitKg } from "./twoUnits";
import { CANISTER_L, compareWasteSchools } from "./wasteSchools";

test("more litres never last less, the sure days never exceed the mean's whole ones by much, and today's size lies on the curve", () => {
  for (const name of DEMO_NAMES) {
    const { balance } = evaluate(readDemo(name));
    for (const { store, days, roomL } of balance.stores) {
      if (days.here === null) continue;
      const curve = computeSizeCurve(balance, store.id, 0.9);
      expect(curve.length).toBeGreaterThan(5);
      curve.slice(1).forEach((point, i) => {
        expect(point.days!).toBeGreaterThan(curve[i]!.days!);
        expect(point.sureDays ?? 366).toBeGreaterThanOrEqual(curve[i]!.sureDays ?? 366);
      });
      // half of twice today's room is today's room
      expect(curve[curve.length / 2 - 1]!.litres).toBeCloseTo(roomL.here, 9);
      expect(curve[curve.length / 2 - 1]!.days).toBeCloseTo(days.here, 9);
    }
  }
});

test("one litre more brings one over the litres a day, by hand", () => {
  const { balance } = evaluate(readDemo("kranich"));
  const grey = balance.stores.find(({ holds }) => holds === "grey")!;
  expect(computeDaysPerLitre(balance, grey.store.id, grey.roomL.here)).toBeCloseTo(1 / grey.meanLPerDay, 9);
});

test("what fits is at least what is there where it is clear, and a full axle is found before it is passed", () => {
  const design = readDemo("kranich");
  const { store, roomL } = evaluate(design).balance.stores.find(({ holds }) => holds === "grey")!;
  expect(findSizeBounds(design, store.id).fitsL!).toBeGreaterThanOrEqual(roomL.here - 1e-9);
  const axles = design.rig.axles.map((axle) => ({ ...axle, spareKg: 20 }));
  const bounds = findSizeBounds({ ...design, rig: { ...design.rig, axles } }, store.id);
  expect(bounds.axleL).toBeCloseTo(roomL.here, 6);
  expect(findSizeBounds(design, FRESH_ID)).toEqual({ fitsL: null, axleL: null });
});

test("water on the other unit lengthens the stay while hitched and is gone apart; litres are kept", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...DEMO_NAMES),
      fc.integer({ min: 1, max: 200 }),
      fc.constantFrom("fresh", "grey"),
      (name, litres, holds) => {
        const base = readDemo(name);
        const vessel: Vessel = { id: "other", name: "Other", holds, litres, on: "tow" };
        const design = { ...base, habits: { ...base.habits, vessels: [...base.habits.vessels, vessel] } };
        const alone = evaluate(base).balance;
        const { balance, tanks } = evaluate(design);
        const apart = computeBalanceApart(design, tanks)!;
        expect(apart).toEqual(alone);
        const room = (of: typeof balance) =>
          of.stores.reduce((sum, store) => (store.holds === holds ? sum + store.roomL.here : sum), 0);
        expect(room(balance)).toBeCloseTo(room(alone) + litres, 6);
        expect(balance.endsBy.here!.days).toBeGreaterThanOrEqual(alone.endsBy.here!.days - 1e-9);
        expect(sumSecondUnitKg(design)).toBe(litres);
        expect(computeBalanceApart(base, tanks)).toBeNull();
      },
    ),
    { numRuns: 40 },
  );
});

test("with a tank, a canister or the ground: every litre is somewhere", () => {
  for (const name of DEMO_NAMES) {
    const schools = compareWasteSchools(readDemo(name));
    expect(schools.map(({ id }) => id)).toEqual(["tank", "canister", "ground"]);
    const [tank, canister, ground] = schools;
    expect(canister!.changesPerDay * CANISTER_L).toBeCloseTo(tank!.greyLPerDay, 9);
    expect(ground!.groundLPerDay).toBeCloseTo(tank!.groundLPerDay + tank!.greyLPerDay, 9);
    expect(ground!.fullKg).toBe(0);
    expect(tank!.fullKg).toBeGreaterThan(canister!.fullKg);
  }
});
