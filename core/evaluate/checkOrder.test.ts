import "./fitted";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { USUAL_GEAR } from "../gear/usualGear";

const loop = readDemo("kranich-loop");
const like = loop.lines.find((line): line is Hose => line.kind === "hose")!;
const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
const piece = (id: string, kind: "pump" | "filter" | "tee" | "accumulator" | "valve", spec: object = {}): Gear => ({
  id,
  name: id,
  ...USUAL_GEAR[kind],
  atMm: { x: 900, y: 0, z: 20 },
  spec: { ...USUAL_GEAR[kind].spec, ...spec } as Gear["spec"],
});
type Join = readonly [string, string, string, string];

/** Pieces and the hoses between them, each drawn from its first end or from its second. */
const rig = (gear: readonly Gear[], joins: readonly Join[], isTurned = false): Design => ({
  ...loop,
  tanks: [],
  fixtures: [],
  states: [],
  gear: [...gear],
  lines: joins.map(([a, aPort, b, bPort], i): Hose => {
    const [one, other] = [at(a, aPort), at(b, bPort)];
    return { ...like, id: `h${i}`, from: isTurned ? other : one, to: isTurned ? one : other, pointsMm: [] };
  }),
});
const idsOf = (design: Design, code: "filterOrder" | "pumpsInRow" | "accumulatorHard") =>
  findAll(design, code).map(({ at: part }) => "id" in part && part.id);

test("through tees too, and whichever end a hose was drawn from, the finer filter before the coarser is told, and the pump before the next", () => {
  const [fine, coarse] = [piece("fine", "filter", { micron: 5 }), piece("coarse", "filter", { micron: 50 })];
  const [first, second] = [piece("first", "pump"), piece("second", "pump")];
  const tee = piece("tee", "tee");
  for (const isTurned of [false, true]) {
    const row = (a: Gear, b: Gear) =>
      rig(
        [b, tee, a],
        [
          [a.id, "out", "tee", "a"],
          ["tee", "b", b.id, "in"],
        ],
        isTurned,
      );
    expect(idsOf(row(fine, coarse), "filterOrder")).toEqual(["fine"]);
    expect(idsOf(row(coarse, fine), "filterOrder")).toEqual([]);
    expect(idsOf(row(first, second), "pumpsInRow")).toEqual(["first"]);
    expect(idsOf(row(second, first), "pumpsInRow")).toEqual(["second"]);
    // side by side at one tee neither stands behind the other
    const beside = rig(
      [first, second, tee],
      [
        ["first", "out", "tee", "a"],
        ["second", "out", "tee", "b"],
      ],
      isTurned,
    );
    expect(idsOf(beside, "pumpsInRow")).toEqual([]);
    // a third of their kind between them has been told of its own
    const middle = piece("middle", "filter", { micron: 50 });
    const three = rig(
      [fine, middle, coarse],
      [
        ["fine", "out", "middle", "in"],
        ["middle", "out", "coarse", "in"],
      ],
      isTurned,
    );
    expect(findAll(three, "filterOrder")).toMatchObject([{ at: { id: "fine" }, otherId: "middle" }]);
  }
});

test("an accumulator is held against the pump it is joined to, a harder pump elsewhere hides nothing", () => {
  const pump = (id: string, cutInKPa: number) => piece(id, "pump", { cutInKPa, cutOutKPa: 310, shutOffKPa: 400 });
  const [weak, hard] = [pump("weak", 100), pump("hard", 200)];
  const store = piece("store", "accumulator", { prechargeKPa: 150 });
  const own: Join = ["weak", "out", "store", "in"];
  for (const gear of [
    [weak, hard, store],
    [store, hard, weak],
  ])
    for (const isTurned of [false, true])
      expect(findAll(rig(gear, [own], isTurned), "accumulatorHard")).toMatchObject([{ cutInKPa: 100 }]);
  expect(idsOf(rig([weak, hard, store], [["hard", "out", "store", "in"]]), "accumulatorHard")).toEqual([]);
  // behind a valve that is shut at rest the other one does not count; alone there it does
  const valve = piece("valve", "valve");
  const tee = piece("tee", "tee");
  const shut: readonly Join[] = [
    ["hard", "out", "tee", "a"],
    ["tee", "b", "store", "in"],
    ["weak", "out", "valve", "in"],
    ["valve", "out", "tee", "c"],
  ];
  expect(idsOf(rig([weak, hard, store, valve, tee], shut), "accumulatorHard")).toEqual([]);
  expect(idsOf(rig([weak, store, valve, tee], shut.slice(1)), "accumulatorHard")).toEqual(["store"]);
  // joined to none yet it is held against the hardest there is
  expect(idsOf(rig([weak, hard, store], []), "accumulatorHard")).toEqual([]);
  expect(idsOf(rig([weak, store], []), "accumulatorHard")).toEqual(["store"]);
});
