import "../evaluate/fitted";
import { ALL_DEMOS } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { evaluate } from "../evaluate/evaluate";
import { listHoseCourse } from "../fit/lineLegs";
import { measureLength, subtract } from "../geometry/vec";
import { isAskew, laySquare } from "./laySquare";

const listHoses = ({ lines }: Design) => lines.flatMap((line) => (line.kind === "hose" ? [line] : []));
const listToSettle = (design: Design) =>
  evaluate(design).findings.flatMap(({ id, severity }) => (severity === "note" ? [] : [id]));
const measureMm = (design: Design, id: string): number => {
  const course = listHoseCourse(design, listHoses(design).find((hose) => hose.id === id)!);
  return course.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, course[i]!)), 0);
};

// Every hose of the samples straight through the room, as if it had just been fitted.
const STRAIGHT = ALL_DEMOS.filter((design) => listHoses(design).length > 0).map((design) => ({
  ...design,
  lines: design.lines.map((line) => (line.kind === "hose" ? { ...line, pointsMm: [] } : line)),
}));

test("hoses that slant are led square, at the same ends, and nothing is left to settle that was not before", () => {
  let [slanted, led] = [0, 0];
  for (const design of STRAIGHT) {
    const had = { ...design, lines: design.lines.filter(({ kind }) => kind !== "hose") };
    const ops = laySquare(design, had);
    const laid = applyEdit(design, { code: "reroute", at: { kind: "rig" }, ops });
    if (!laid.ok) throw new Error(JSON.stringify(laid.faults));
    const known = new Set(listToSettle(design));
    expect(listToSettle(laid.design).filter((id) => !known.has(id))).toEqual([]);
    const touched = new Set(ops.map(({ path }) => path[1]));
    for (const hose of listHoses(design)) {
      const [before, after] = [measureMm(design, hose.id), measureMm(laid.design, hose.id)];
      if (!isAskew(listHoseCourse(design, hose))) {
        expect(touched.has(hose.id)).toBe(false);
        continue;
      }
      slanted += 1;
      if (!touched.has(hose.id)) continue;
      led += 1;
      const course = listHoseCourse(laid.design, listHoses(laid.design).find(({ id }) => id === hose.id)!);
      expect(isAskew(course)).toBe(false);
      // what is bought and what rubs is never less than straight
      expect(after).toBeGreaterThan(before);
      expect([course[0], course.at(-1)]).toEqual([0, -1].map((at) => listHoseCourse(design, hose).at(at)));
    }
  }
  expect(slanted).toBeGreaterThan(20);
  expect(led / slanted).toBeGreaterThan(0.5);
});

test("hoses that were there before stay as they are", () => {
  for (const design of STRAIGHT) expect(laySquare(design, design)).toEqual([]);
});
