import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Use } from "../design/habits";
import "../evaluate/fitted";
import { evaluate } from "../evaluate/evaluate";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { findFlushL, listShortFlushes } from "./flush";

const otter = readDemo("otter-heads");
const bus = readDemo("lesesaal-heads");

const withFlush = (design: Design, flushL: number): Design => ({
  ...design,
  gear: design.gear.map((piece) =>
    piece.spec.kind === "bowl" ? { ...piece, spec: { ...piece.spec, flushL } } : piece,
  ),
  fixtures: design.fixtures.map((one) => (one.kind === "gravityToilet" ? { ...one, volumePerUseL: flushL } : one)),
});
const mapUses = (design: Design, change: (use: Use) => Use): Design => ({
  ...design,
  habits: { ...design.habits, ways: design.habits.ways.map((way) => ({ ...way, uses: way.uses.map(change) })) },
});
const tell = (design: Design) => evaluate(design, LEVEL).findings.filter(({ code }) => code === "flushShort");

test.each([otter, bus])(
  "$name as it is counts its whole flush; a thirstier toilet is told, once, and counted by one press",
  (design) => {
    expect(tell(design)).toEqual([]);
    const thirsty = withFlush(design, 6);
    const [finding, ...more] = tell(thirsty);
    expect(more).toEqual([]);
    expect(finding).toMatchObject({ severity: "should", flushL: 6 });
    const [remedy] = proposeRemedies(thirsty, evaluate(thirsty, LEVEL), finding!);
    const mended = applyEdit(thirsty, remedy!.edit);
    if (!mended.ok) throw new Error(JSON.stringify(mended.faults));
    expect(tell(mended.design)).toEqual([]);
    const { ways, stretches } = mended.design.habits;
    for (const way of ways.filter(({ id }) => stretches.some(({ wayId }) => wayId === id)))
      for (const use of way.uses) {
        const flushL = findFlushL(mended.design, use);
        // what goes along with the flush comes on top of it
        if (flushL) expect(use.sendsL).toBeGreaterThan(flushL);
      }
  },
);

test("fresh water drawn for less than a flush is told as well, and drawn in full by the remedy", () => {
  const fresh = mapUses(withFlush(bus, 2), (use) =>
    use.kind === "toilet" || use.kind === "urine" ? { ...use, from: "fresh", takesL: 1, sendsL: 3 } : use,
  );
  const [finding] = tell(fresh);
  expect(finding).toMatchObject({ countedL: 1, flushL: 2 });
  const [remedy] = proposeRemedies(fresh, evaluate(fresh, LEVEL), finding!);
  const mended = applyEdit(fresh, remedy!.edit);
  if (!mended.ok) throw new Error(JSON.stringify(mended.faults));
  const drawn = mended.design.habits.ways.flatMap(({ uses }) =>
    uses.filter(({ kind }) => kind === "toilet" || kind === "urine"),
  );
  for (const use of drawn) expect(use).toMatchObject({ takesL: 2, sendsL: 3 });
});

test("what is never done, lived, or flushed through the toilet that is there is not told", () => {
  const thirsty = withFlush(otter, 6);
  const isWaste = ({ kind }: Use) => kind === "toilet" || kind === "urine";
  expect(tell(mapUses(thirsty, (use) => (isWaste(use) ? { ...use, times: 0 } : use)))).toEqual([]);
  const carried = mapUses(thirsty, (use) => (isWaste(use) ? { ...use, vesselId: "canister" } : use));
  expect(listShortFlushes(carried)).toEqual([]);
  const elsewhere: Design = {
    ...thirsty,
    habits: {
      ...thirsty.habits,
      ways: [...thirsty.habits.ways, { id: "ashore", name: "Ashore", uses: [] }],
      stretches: [{ wayId: "ashore", days: 5 }],
    },
  };
  expect(listShortFlushes(elsewhere)).toEqual([]);
  expect(listShortFlushes({ ...thirsty, gear: thirsty.gear.filter(({ spec }) => spec.kind !== "bowl") })).toEqual([]);
});

test("of several toilets with a pump the thirstiest is meant; one that keeps urine apart takes no water", () => {
  const bowl = otter.gear.find(({ spec }) => spec.kind === "bowl")!;
  const two: Design = {
    ...otter,
    gear: [...otter.gear, { ...bowl, id: "second", spec: { ...bowl.spec, flushL: 4 } as typeof bowl.spec }],
  };
  const [use] = otter.habits.ways[0]!.uses.filter(({ kind }) => kind === "toilet");
  expect(findFlushL(two, use!)).toBe(4);
  const dry = readDemo("puppenwagen-heads");
  const [urine] = dry.habits.ways[0]!.uses.filter(({ kind }) => kind === "urine");
  expect(findFlushL(dry, urine!)).toBe(0);
  expect(findFlushL(otter, { ...use!, kind: "shower" })).toBeNull();
});

test("any flush and count: told just where less is counted than is flushed", () => {
  const litres = fc.integer({ min: 1, max: 80 }).map((n) => n / 10);
  fc.assert(
    fc.property(litres, litres, (flushL, sendsL) => {
      const design = mapUses(withFlush(otter, flushL), (use) => (use.kind === "toilet" ? { ...use, sendsL } : use));
      expect(listShortFlushes(design).length > 0).toBe(sendsL < flushL - 0.005);
    }),
  );
});
