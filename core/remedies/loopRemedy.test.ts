import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { measureWorstOverWater } from "../hull/overWater";
import { proposeRemedies } from "./proposeRemedies";

const boat = readDemo("otter-heads");
const isHose = (line: Design["lines"][number]): line is Hose => line.kind === "hose";

/** The boat with its toilet sunk into the sole, flushed from the sea and sent overboard without a loop. */
function openToSea(): Design {
  const gone = new Set(["flush-loop", "out-loop", "y-valve", "sea-fresh", "flush-gap", "flush-pump"]);
  const touches = (hose: Hose) => [hose.from, hose.to].some((end) => end.kind === "gear" && gone.has(end.gearId));
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  const [up, waste] = ["h-up", "h-waste"].map((id) => boat.lines.find((line): line is Hose => line.id === id)!);
  return {
    ...boat,
    gear: boat.gear
      .filter(({ id }) => !gone.has(id))
      .map((piece): Gear => (piece.id === "bowl" ? { ...piece, atMm: { ...piece.atMm, z: -150 } } : piece)),
    lines: [
      ...boat.lines.filter((line) => !isHose(line) || !touches(line)),
      { ...up!, to: at("bowl", "flush"), pointsMm: [] },
      { ...waste!, to: at("seacock", "in"), pointsMm: [] },
    ],
    states: [{ id: "sea", name: "At sea", on: [], positions: [], openTaps: [], place: "offshore" }],
  };
}

test("a hose the sea comes by is led over a loop by one press, that stands high enough at the worst and over the rim", () => {
  let design = openToSea();
  const found = findAll(design, "seaComesIn");
  expect(found.map(({ fromName, severity }) => [fromName, severity])).toEqual([
    ["Sea intake", "must"],
    ["Overboard discharge", "must"],
  ]);
  for (const { id } of found) {
    const finding = evaluate(design, LEVEL).findings.find((one) => one.id === id)!;
    const [remedy] = proposeRemedies(design, evaluate(design, LEVEL), finding);
    expect(remedy!.edit.code).toBe("fitLoop");
    const outcome = applyEdit(design, remedy!.edit);
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
    design = outcome.design;
  }
  // what is left is that each loop's air hole may crust shut: it is cared for, and no second one fitted behind it
  const left = findAll(design, "seaComesIn");
  expect(new Set(left.map(({ severity, failure }) => `${severity} ${failure?.kind}`))).toEqual(
    new Set(["note airShut"]),
  );
  for (const one of left) expect(proposeRemedies(design, evaluate(design, LEVEL), one)).toEqual([]);
  for (const code of ["loopLow", "loopUnderBowl", "gearPortOpen"] as const) expect(findAll(design, code)).toEqual([]);
  const loops = design.gear.filter(({ id }) => !boat.gear.some((piece) => piece.id === id));
  expect(loops).toHaveLength(2);
  for (const { atMm, sizeMm } of loops) {
    const top = { ...atMm, z: atMm.z + sizeMm.z };
    expect(measureWorstOverWater(design, top).overMm).toBeGreaterThanOrEqual(150);
  }
});

test("what a valve lets through when it fails is settled the same way, and a hose that is cut keeps what it is made of", () => {
  const [finding] = findAll(boat, "seaComesIn");
  const [remedy] = proposeRemedies(boat, evaluate(boat, LEVEL), finding!);
  const outcome = applyEdit(boat, remedy!.edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  const loop = outcome.design.gear.at(-1)!;
  const joined = outcome.design.lines
    .filter(isHose)
    .filter(({ from, to }) => [from, to].some((end) => end.kind === "gear" && end.gearId === loop.id));
  expect(joined.map(({ wall, pipe }) => [wall, pipe.innerMm])).toEqual([
    ["barrier", 38],
    ["barrier", 38],
  ]);
});
