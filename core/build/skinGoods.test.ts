import type { Gear } from "../design/gear";
import { usualSpec } from "../gear/usualGear";
import { vec } from "../geometry/vec";
import { listSkinGoods } from "./skinGoods";

const list = (spec: Gear["spec"]) =>
  listSkinGoods({
    gear: [{ id: "a", name: "A", atMm: vec(0, 0, 0), sizeMm: vec(50, 50, 50), openBelowMm: 0, spec }],
  }).map(({ ware, amount, assembly }) => {
    expect(assembly).toEqual({ kind: "gear", id: "a" });
    return [ware, amount];
  });

test("what is set in a deck or a wall is bedded on butyl; a tap that presses has its reducer, one that does not has none", () => {
  const butyl = [{ kind: "bedding", bedding: "butyl" }, 30];
  expect(list(usualSpec("deckFitting"))).toEqual([butyl]);
  expect(list(usualSpec("coupling", { supplyKPa: null, reducedToKPa: 250 }))).toEqual([butyl]);
  expect(list(usualSpec("coupling", { supplyKPa: 600, reducedToKPa: null }))).toEqual([butyl]);
  expect(list(usualSpec("coupling", { supplyKPa: 600, reducedToKPa: 250 }))).toEqual([
    butyl,
    [{ kind: "reducer", kPa: 250 }, 1],
  ]);
});

test("a fitting in a hull takes its seacock, its block and a bead of 1.5 mL for each millimetre of bore, 30 at least", () => {
  const fitting = { boreMm: 38, hasSeacock: true, hasBacking: true, bedding: "polyurethane" } as const;
  expect(list(usualSpec("skinFitting", fitting))).toEqual([
    [{ kind: "seacock", boreMm: 38 }, 1],
    [{ kind: "backingBlock" }, 1],
    [{ kind: "bedding", bedding: "polyurethane" }, 57],
  ]);
  const small = { ...fitting, boreMm: 13, hasSeacock: false, hasBacking: false } as const;
  expect(list(usualSpec("skinFitting", small))).toEqual([[{ kind: "bedding", bedding: "polyurethane" }, 30]]);
  expect(list(usualSpec("skinFitting", { ...small, bedding: "none" }))).toEqual([]);
  // a pump stands in no skin
  expect(list(usualSpec("pump"))).toEqual([]);
});
