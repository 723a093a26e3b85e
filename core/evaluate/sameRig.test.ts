import "./fitted";
import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { toPartKey } from "../design/part";
import type { Node } from "../design/plumbing";
import { evaluate } from "./evaluate";

const rigs: fc.Arbitrary<Design> = fc.oneof(
  fc.constantFrom(...DEMO_NAMES, FURNISHED, HEADS_NAME, ...HEADS_NAMES, ...LOOP_NAMES).map(readDemo),
  networks,
);

/** What is found and where, without counting legs and points. */
const tell = (design: Design): string[] =>
  evaluate(design)
    .findings.map(({ code, severity, at }) => `${severity} ${code} ${"lineId" in at ? at.lineId : toPartKey(at)}`)
    .sort();

test("a point put into a straight length, or down twice, changes nothing that is found, on drains, breathers, hoses and dump lines", () => {
  fc.assert(
    fc.property(
      rigs,
      fc.nat(),
      fc.nat(),
      fc.oneof(fc.constant(0), fc.double({ min: 0.1, max: 0.9, noNaN: true })),
      (design, which, where, share) => {
        const pointsOf = (line: Design["lines"][number]): readonly Node[] =>
          line.kind === "drain" ? line.bendsMm : line.pointsMm;
        const long = design.lines.filter((line) => pointsOf(line).length > 1);
        if (long.length === 0) return;
        const { id } = long[which % long.length]!;
        const split = (nodes: readonly Node[]): Node[] => {
          const at = where % (nodes.length - 1);
          const [a, b] = [nodes[at]!, nodes[at + 1]!];
          const [x, y, z] = (["x", "y", "z"] as const).map((axis) => a[axis] + (b[axis] - a[axis]) * share);
          return [...nodes.slice(0, at + 1), { x: x!, y: y!, z: z!, id: "between" }, ...nodes.slice(at + 1)];
        };
        const lines = design.lines.map((line) => {
          if (line.id !== id) return line;
          const points = split(pointsOf(line));
          return line.kind === "drain" ? { ...line, bendsMm: points } : { ...line, pointsMm: points };
        });
        // what a hand is off by goes with the length of a leg, so that more legs may be off by more
        const steady = (found: readonly string[]) => [...new Set(found)].filter((one) => !one.includes("legBarely"));
        expect(steady(tell({ ...design, lines }))).toEqual(steady(tell(design)));
      },
    ),
    { numRuns: 100 },
  );
});

// What each store takes in or gives, and when it ends the stay.
const tellDays = (design: Design) => {
  const { stores, endsBy } = evaluate(design).balance;
  const told = stores.map(({ store, meanLPerDay, days }) => [
    store.holds,
    [...store.tankIds].sort(),
    meanLPerDay.toFixed(6),
    days.level?.toFixed(6) ?? null,
    days.worst?.toFixed(6) ?? null,
  ]);
  return [told.map((one) => JSON.stringify(one)).sort(), endsBy.level?.days.toFixed(6) ?? null];
};

test("in which order lines, fixtures, tanks, gear and what is in the way stand in the file changes nothing that is found", () => {
  fc.assert(
    fc.property(rigs, fc.infiniteStream(fc.nat()), (design, stream) => {
      const shuffle = <T>(list: readonly T[]): T[] =>
        list
          .map((one) => [stream.next().value, one] as const)
          .sort(([a], [b]) => a - b)
          .map(([, one]) => one);
      const { lines, fixtures, tanks, obstacles, gear, states } = design;
      const other = {
        ...design,
        lines: shuffle(lines),
        fixtures: shuffle(fixtures),
        tanks: shuffle(tanks).map((tank) => ({ ...tank, ports: shuffle(tank.ports) })),
        obstacles: shuffle(obstacles),
        gear: shuffle(gear),
        states: shuffle(states),
      };
      expect(tell(other)).toEqual(tell(design));
      expect(tellDays(other)).toEqual(tellDays(design));
    }),
    { numRuns: 60 },
  );
});
