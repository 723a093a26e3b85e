import fc from "fast-check";
import { applyEdit } from "@/core/design/edit";
import { buildSetHull } from "@/core/edits/hullEdits";
import { readDemo } from "@/tests/demoRigs";
import { readOffsets } from "./offsets";

const boat = readDemo("setzkasten");

test("sections come back from a table of offsets, whatever the order of the stations", () => {
  const lines = boat.rig.hull!.sections.map(({ xMm, pointsMm }) => pointsMm.map(({ y, z }) => `${xMm};${y};${z}`));
  fc.assert(
    fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (mixed) => {
      const read = readOffsets(`X (mm);Y (mm);Z (mm)\r\n${mixed.flat().join("\r\n")}\r\n`);
      if (!read.ok) throw new Error(read.sentence);
      expect(read.sections).toEqual(boat.rig.hull!.sections);
    }),
    { numRuns: 20 },
  );
});

test.each([
  ["a,b\n1,2\n", /must name the columns x, y and z/],
  ["x,y,z\n0,0,-500\n0,400,oops\n", /Line 3, column z: “oops” is no number/],
  ["x,y,z\n0,-3,0\n", /half-breadth/],
  ["x,y,z\n0,0,-5\n0,9,5\n1,0,-5\n1,9,5\n", /Three sections at least; there are 2/],
  ["x,y,z\n0,0,-5\n0,9,5\n1,0,-5\n2,9,5\n2,0,9\n", /one point only/],
  ['x,y,z\n"0,1,2\n', /Not readable at line/],
  ["", /nothing/],
])("%j is refused in a sentence with its place", (text, sentence) => {
  expect(readOffsets(text)).toMatchObject({ ok: false, sentence: expect.stringMatching(sentence) });
});

test("sections out of order, and one that turns down on its way up, are refused and change nothing", () => {
  const hull = boat.rig.hull!;
  const [first, second, ...rest] = hull.sections;
  const swapped = applyEdit(boat, buildSetHull(boat, { ...hull, sections: [second!, first!, ...rest] }));
  expect(swapped).toMatchObject({ ok: false, faults: [{ code: "sectionsCross", section: 2, isOrder: true }] });
  const folded = { ...second!, pointsMm: [...second!.pointsMm].reverse() };
  const turned = applyEdit(boat, buildSetHull(boat, { ...hull, sections: [first!, folded, ...rest] }));
  expect(turned).toMatchObject({ ok: false, faults: [{ code: "sectionsCross", isOrder: false }] });
});
