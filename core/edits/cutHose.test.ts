import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Hose } from "../design/plumbing";
import { cutAt, cutHose } from "./cutHose";
import { placePiece } from "./putPiece";

const loop = readDemo("kranich-loop");
const hole = (node: string | null, diameterMm: number) => ({ kind: "hole", node, nth: 0, diameterMm }) as const;
const holed: Hose = {
  ...(loop.lines.find(({ id }) => id === "hose-2") as Hose),
  pointsMm: ["a", "b", "c"].map((id, i) => ({ id, x: 1_000 + 100 * i, y: 500, z: 300 })),
  items: [hole(null, 20), hole("a", 21), hole("b", 22), hole("c", 23)],
};
const design = { ...loop, lines: loop.lines.map((line) => (line.id === holed.id ? holed : line)) };
const piece = placePiece(design, "valve", "Valve", "in", { x: 1_100, y: 500, z: 300 });

/** The widths of the holes of both pieces, by the node their leg begins at. */
function cut(at: readonly [number, number]) {
  const after = mustApply(design, {
    code: "addGear",
    at: { kind: "gear", id: piece.id },
    ops: cutHose(design, holed, at, piece, ["in", "out"]),
  });
  const tell = ({ items }: Hose) => (items ?? []).map(({ node, diameterMm }) => [node, diameterMm]);
  return [after.lines.find(({ id }) => id === holed.id) as Hose, after.lines.at(-1) as Hose].map(tell);
}

test("holes stay with their legs where a piece takes the place of a point", () => {
  expect(cut(cutAt(1))).toEqual([
    [
      [null, 20],
      ["a", 21],
    ],
    [
      [null, 22],
      ["c", 23],
    ],
  ]);
});

test("the hole of a leg that is cut is nobody's: nothing says it is drilled", () => {
  expect(cut([3, 3])).toEqual([
    [
      [null, 20],
      ["a", 21],
      ["b", 22],
    ],
    [],
  ]);
  expect(cut([0, 0])).toEqual([
    [],
    [
      ["a", 21],
      ["b", 22],
      ["c", 23],
    ],
  ]);
});

test("a hose without a point is cut between its ends, and its hole is told anew", () => {
  const bare: Hose = { ...holed, pointsMm: [], items: [hole(null, 20)] };
  const [, set, insert] = cutHose(design, bare, cutAt(0), piece, ["in", "out"]);
  expect([set, insert].map((op) => (op as unknown as { value: Hose }).value.items)).toEqual([[], []]);
});
