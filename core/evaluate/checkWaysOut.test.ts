import "./fitted";
import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { HeldWater } from "../design/plumbing";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { listExits } from "../through/exits";
import { evaluate } from "./evaluate";

const van = readDemo("kranich");
const HALF = van.rig.widthMm / 2;

/** The van's tank with nothing joined to it, so high over the floor and so far left of the middle. */
const standing = (zMm: number, yMm: number, holds: HeldWater = "grey"): Design => ({
  ...van,
  obstacles: [],
  lines: [],
  tanks: van.tanks.map((tank) => ({ ...tank, holds, fixing: null, atMm: { x: 1_200, y: yMm, z: zMm } })),
});

test("a waste tank that is let go over the floor is told of, by its outlet's height and how far in it is", () => {
  const seen = { told: 0, silent: 0 };
  fc.assert(
    fc.property(fc.integer({ min: -400, max: 300 }), fc.integer({ min: -900, max: 500 }), (zMm, yMm) => {
      const design = standing(zMm, yMm);
      const outlets = design.tanks[0]!.ports.filter(({ kind }) => kind === "outlet");
      const isInside = outlets.every(({ atMm }) => {
        const [x, y, z] = [1_200 + atMm.x, yMm + atMm.y, zMm + atMm.z];
        return z > 0 && HALF - Math.abs(y) > 200 && x > 200 && design.rig.lengthMm - x > 200;
      });
      expect(findAll(design, "outletInside")).toHaveLength(isInside ? 1 : 0);
      seen[isInside ? "told" : "silent"] += 1;
    }),
    { numRuns: 60 },
  );
  expect(seen.told).toBeGreaterThan(5);
  expect(seen.silent).toBeGreaterThan(5);
});

test("drinking water does no harm there, black is told of at its outlet, and a boat has words of her own", () => {
  expect(findAll(standing(60, -200), "outletInside")).toMatchObject([{ severity: "should" }]);
  for (const holds of ["fresh", "black"] as const)
    expect(findAll(standing(60, -200, holds), "outletInside")).toEqual([]);
  expect(findAll(standing(60, -200, "black"), "blackOutletInside")).toHaveLength(1);
  const boat = { ...standing(60, -200), rig: readDemo("otter").rig };
  expect(findAll(boat, "outletInside")).toEqual([]);
});

test("one press lays a dump line that leads out, and the hole it goes through is told", () => {
  const design = standing(60, -200);
  const [finding] = findAll(design, "outletInside");
  const [remedy] = proposeRemedies(design, evaluate(design), finding!);
  expect(remedy?.edit.code).toBe("addDumpLine");
  const mended = mustApply(design, remedy!.edit);
  expect(findAll(mended, "outletInside")).toEqual([]);
  const line = mended.lines.find(({ kind }) => kind === "dumpLine")!;
  const evaluation = evaluate(mended);
  const isThroughFloor = evaluation.linePassages.some(
    ({ lineId, through }) => lineId === line.id && through === "floor",
  );
  const out = listExits(mended, evaluation).filter((exit) => exit.line === line);
  expect(out.length + (isThroughFloor ? 1 : 0)).toBe(1);
});

test("a linked tank that empties outside empties both; one from which a pump sends on is not asked", () => {
  const [inside, under] = [standing(60, -200).tanks[0]!, standing(-300, -200).tanks[0]!];
  const pair = (link: Design["tanks"][number]["link"]): Design => ({
    ...standing(60, -200),
    tanks: [
      { ...inside, link },
      { ...under, id: "second", name: "Second" },
    ],
  });
  expect(findAll(pair(null), "outletInside")).toHaveLength(1);
  expect(findAll(pair({ kind: "communicating", toTank: "second" }), "outletInside")).toEqual([]);
  expect(findAll(pair({ kind: "pumped", toTank: "second" }), "outletInside")).toEqual([]);
});
