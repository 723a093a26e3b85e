import { readDemo } from "@/tests/demoRigs";
import "../evaluate/fitted";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { evaluate } from "../evaluate/evaluate";
import { proposeRemedies } from "../remedies/proposeRemedies";

const furnished = readDemo("lesesaal-furnished");
const machine = furnished.fixtures.find(({ kind }) => kind === "washingMachine")!;

const takes = (volumePerUseL: number): Design => ({
  ...furnished,
  fixtures: furnished.fixtures.map((one) => (one === machine ? { ...one, volumePerUseL } : one)),
});
const tell = (design: Design) => evaluate(design, LEVEL).findings.filter(({ code }) => code === "loadShort");

test("a machine that takes more than its load is counted with is told, and counted whole by one press", () => {
  const countedL = furnished.habits.ways[0]!.uses.find(({ kind }) => kind === "laundry")!.sendsL;
  expect(tell(furnished)).toEqual([]);
  const thirsty = takes(countedL + 25);
  const [finding, ...more] = tell(thirsty);
  expect(more).toEqual([]);
  expect(finding).toMatchObject({ at: { kind: "fixture", id: machine.id }, countedL, loadL: countedL + 25 });
  const before = evaluate(thirsty, LEVEL).balance.stores;
  const [remedy] = proposeRemedies(thirsty, evaluate(thirsty, LEVEL), finding!);
  const mended = applyEdit(thirsty, remedy!.edit);
  if (!mended.ok) throw new Error(JSON.stringify(mended.faults));
  expect(tell(mended.design)).toEqual([]);
  const after = evaluate(mended.design, LEVEL).balance.stores;
  for (const holds of ["grey", "fresh"] as const) {
    const of = (stores: typeof before) => stores.find((store) => store.holds === holds)!.meanLPerDay;
    expect(of(after)).toBeGreaterThan(of(before));
  }
});

test("less than is counted, a load never done, and a way nobody lives are no matter", () => {
  expect(tell(takes(1))).toEqual([]);
  const never: Design = {
    ...takes(200),
    habits: {
      ...furnished.habits,
      ways: furnished.habits.ways.map((way) => ({ ...way, uses: way.uses.map((use) => ({ ...use, times: 0 })) })),
    },
  };
  expect(tell(never)).toEqual([]);
});

test("what is drawn of the fresh water counts as well as what is sent, and only where it comes from there", () => {
  const load = furnished.habits.ways[0]!.uses.find(({ kind }) => kind === "laundry")!;
  const litres = machine.volumePerUseL;
  const as = (change: Partial<typeof load>): Design => ({
    ...furnished,
    habits: {
      ...furnished.habits,
      ways: furnished.habits.ways.map((way) => ({
        ...way,
        uses: way.uses.map((use) => (use.id === load.id ? { ...use, ...change } : use)),
      })),
    },
  });
  expect(tell(as({ from: "fresh", takesL: litres, sendsL: litres }))).toEqual([]);
  expect(tell(as({ from: "fresh", takesL: litres - 2, sendsL: litres }))).toMatchObject([{ countedL: litres - 2 }]);
  expect(tell(as({ from: "fresh", takesL: litres, sendsL: litres - 2 }))).toMatchObject([{ countedL: litres - 2 }]);
  expect(tell(as({ from: "elsewhere", takesL: 0, sendsL: litres }))).toEqual([]);
  // hands are washed at it as much as one likes
  expect(tell(as({ kind: "other", takesL: 1, sendsL: 1 }))).toEqual([]);
});
