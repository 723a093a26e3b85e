import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { buildSharedAir } from "@/tests/sharedAir";
import "../evaluate/fitted";
import { listSteps } from "../build/steps";
import type { Design } from "../design/design";
import type { Line } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { takeFingerprint } from "./fingerprint";
import { listTrials } from "./proof";

const trialsOf = (design: Design): string[] => listTrials(listSteps(design, evaluate(design))).map(({ id }) => id);

// The trials whose word another drawing changes.
const listTouched = (design: Design, other: Design): string[] =>
  trialsOf(design)
    .filter((id) => takeFingerprint(design, id) !== takeFingerprint(other, id))
    .sort();

const mapLine = (design: Design, id: string, change: (line: Line) => Line): Design => ({
  ...design,
  lines: design.lines.map((line) => (line.id === id ? change(line) : line)),
});
const wider = (line: Line): Line => ({ ...line, pipe: { ...line.pipe, manningN: line.pipe.manningN + 0.001 } });

// From one line through all it runs into, told by the ids alone.
function listWay(design: Design, id: string): string[] {
  const way: string[] = [];
  for (let next: string | null = id; next !== null && !way.includes(next); ) {
    way.push(next);
    const line: Line = design.lines.find((one) => one.id === next)!;
    next = line.kind !== "hose" && "lineId" in line.to ? line.to.lineId : null;
  }
  return way;
}

const RIGS: readonly Design[] = [...ALL_DEMOS, buildSharedAir()];

test("another pipe makes old the trials whose water or air runs through it, and no other", () => {
  for (const design of RIGS) {
    const known = new Set(trialsOf(design));
    for (const { id, kind } of design.lines) {
      const through = design.lines.filter((line) => line.kind === kind && listWay(design, line.id).includes(id));
      const expected =
        kind === "hose"
          ? ["trialHoses:all"]
          : through.flatMap((line) =>
              line.kind === "drain"
                ? [`trialDrain:${line.id}`, `trialBack:${line.id}`]
                : line.kind === "hose"
                  ? []
                  : [`trialDump:${line.fromTank}`],
            );
      const touched = listTouched(design, mapLine(design, id, wider));
      expect([design.id, id, touched]).toEqual([
        design.id,
        id,
        [...new Set(expected)].filter((one) => known.has(one)).sort(),
      ]);
    }
  }
});

test("a tank of another wall makes old its own trials and those of what shares its level; moved, also what ends in it", () => {
  for (const design of RIGS) {
    const known = new Set(trialsOf(design));
    for (const tank of design.tanks) {
      const put = (change: Partial<typeof tank>): Design => ({
        ...design,
        tanks: design.tanks.map((one) => (one === tank ? { ...one, ...change } : one)),
      });
      const own = [`trialTank:${tank.id}`, `trialDump:${tank.id}`].filter((id) => known.has(id)).sort();
      expect(listTouched(design, put({ wallMm: tank.wallMm + 1 }))).toEqual(own);
      const moved = listTouched(design, put({ atMm: { ...tank.atMm, x: tank.atMm.x + 9 } }));
      const ending = design.lines.flatMap((line) => {
        const last = design.lines.find(({ id }) => id === listWay(design, line.id).at(-1))!;
        if (line.kind === "hose") {
          return [line.from, line.to].some((end) => end.kind === "tank" && end.tankId === tank.id)
            ? ["trialHoses:all"]
            : [];
        }
        if (last.kind !== "drain" || last.to.kind !== "inlet" || last.to.tankId !== tank.id) return [];
        return [`trialDrain:${line.id}`, `trialBack:${line.id}`];
      });
      expect(moved).toEqual([...new Set([...own, ...ending])].filter((id) => known.has(id)).sort());
    }
  }
});

test("gear of another size makes old the pumped side, the launch where it sits in her skin, and the drains that end in it", () => {
  for (const design of RIGS) {
    const known = new Set(trialsOf(design));
    for (const piece of design.gear) {
      const other: Design = {
        ...design,
        gear: design.gear.map((one) =>
          one === piece ? { ...one, sizeMm: { ...one.sizeMm, z: one.sizeMm.z + 5 } } : one,
        ),
      };
      const ending = design.lines.filter((line) => {
        const last = design.lines.find(({ id }) => id === listWay(design, line.id).at(-1))!;
        return last.kind === "drain" && "gearId" in last.to && last.to.gearId === piece.id;
      });
      const expected = [
        "trialHoses:all",
        `trialBack:${piece.id}`,
        ...(piece.spec.kind === "skinFitting" ? ["trialLaunch:all"] : []),
        ...ending.flatMap(({ id }) => [`trialDrain:${id}`, `trialBack:${id}`]),
      ];
      const touched = listTouched(design, other);
      for (const id of touched) expect(expected).toContain(id);
      for (const id of expected.filter((one) => known.has(one)))
        expect([piece.id, touched]).toEqual([piece.id, expect.arrayContaining([id])]);
    }
  }
});

test("tanks that share a level are tried together; her waterline is a matter of the launch alone", () => {
  const kranich = readDemo("kranich");
  const grey = kranich.tanks.find(({ holds }) => holds === "grey")!;
  const second = { ...grey, id: "second", ports: [], link: { kind: "communicating" as const, toTank: grey.id } };
  const both: Design = { ...kranich, tanks: [...kranich.tanks, second] };
  const thicker: Design = {
    ...both,
    tanks: both.tanks.map((tank) => (tank === second ? { ...tank, wallMm: 9 } : tank)),
  };
  expect(listTouched(both, thicker)).toEqual([`trialDump:${grey.id}`, `trialTank:${grey.id}`, "trialTank:second"]);
  const otter = readDemo("otter-heads");
  const deeper: Design = { ...otter, rig: { ...otter.rig, waterlineZMm: otter.rig.waterlineZMm! + 10 } };
  expect(listTouched(otter, deeper)).toEqual(["trialLaunch:all"]);
});
