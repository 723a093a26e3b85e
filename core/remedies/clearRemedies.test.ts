import "../evaluate/fitted";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { evaluate } from "../evaluate/evaluate";
import type { FindingCode } from "../evaluate/findings";
import type { Vec3 } from "../geometry/vec";
import { proposeRemedies } from "./proposeRemedies";

const kranich = readDemo("kranich");
const boat = readDemo("setzkasten");
const heads = readDemo("otter-heads");

const moveGear = (design: Design, id: string, by: Partial<Vec3>): Design => ({
  ...design,
  gear: design.gear.map((one) => (one.id === id ? { ...one, atMm: shift(one.atMm, by) } : one)),
});
const shift = ({ x, y, z }: Vec3, by: Partial<Vec3>): Vec3 => ({
  x: x + (by.x ?? 0),
  y: y + (by.y ?? 0),
  z: z + (by.z ?? 0),
});
/** A rail right beside the hole of the sink's drain. */
const railAt = (gapMm: number): Design => {
  const drain = kranich.lines.find(({ kind }) => kind === "drain")!;
  const bend = "bendsMm" in drain ? drain.bendsMm[0]! : kranich.tanks[0]!.atMm;
  const rail = { ...kranich.obstacles[0]!, id: "rail", name: "Rail", kind: "crossMember" as const };
  const size = { lengthMm: 40, widthMm: 300, heightMm: 100 };
  return {
    ...kranich,
    obstacles: [...kranich.obstacles, { ...rail, ...size, atMm: { x: bend.x + 22 + gapMm, y: bend.y - 150, z: -180 } }],
  };
};
const narrowRise: Design = {
  ...heads,
  lines: heads.lines.map((line) =>
    line.id === "h-rise" || line.id === "h-sea" ? { ...line, pipe: { ...line.pipe, innerMm: 5, outerMm: 9 } } : line,
  ),
};
/** A handle with a frame before it, one behind it and one over it. */
const boxedIn = ((): Design => {
  const { atMm, sizeMm, spec } = heads.gear.find(({ id }) => id === "seacock") as Gear;
  const longMm = 90 + 1.5 * (spec.kind === "skinFitting" ? spec.boreMm : 0);
  const frame = { ...heads.obstacles[0]!, kind: "crossMember" as const, lengthMm: 20, widthMm: 40, heightMm: 60 };
  const y = atMm.y + sizeMm.y / 2 - 20;
  const at = (id: string, x: number, z: number) => ({ ...frame, id, name: id, atMm: { x, y, z } });
  return {
    ...heads,
    obstacles: [
      ...heads.obstacles,
      at("before", atMm.x + sizeMm.x + longMm / 2, atMm.z),
      at("behind", atMm.x - longMm / 2 - 20, atMm.z),
      at("over", atMm.x, atMm.z + sizeMm.z + longMm / 2),
    ],
  };
})();
/** Her sink, so low that the sea stands in its bowl. */
const lowSink: Design = {
  ...heads,
  fixtures: heads.fixtures.map((one) =>
    one.id === "sink" ? { ...one, outletMm: { ...one.outletMm, z: heads.rig.waterlineZMm! - 10 } } : one,
  ),
};

const CASES: readonly (readonly [FindingCode, Design, string])[] = [
  ["holeNearEdge", railAt(4), "clearLeg"],
  ["partOffHull", moveGear(boat, "strainer", { y: 400 }), "moveClear"],
  ["handleBlocked", boxedIn, "moveClear"],
  ["seaInFixture", lowSink, "raiseOutlet"],
  ["fittingOffHull", moveGear(boat, "seacock", { y: 300 }), "moveClear"],
  ["loopUnderBowl", moveGear(boat, "out-loop", { z: -400 }), "moveClear"],
  ["sumpOutrun", narrowRise, "widenHoses"],
];

test.each(CASES)(
  "%s is settled by as little as helps, and every way that is offered settles it",
  (code, design, edit) => {
    const evaluation = evaluate(design, LEVEL);
    const told = findAll(design, code);
    expect(told.length).toBeGreaterThan(0);
    let offered = 0;
    for (const finding of told) {
      for (const remedy of proposeRemedies(design, evaluation, finding)) {
        offered += 1;
        expect(remedy.edit.code).toBe(edit);
        expect(remedy.byMm).toBeGreaterThan(0);
        const after = mustApply(design, remedy.edit);
        expect(findAll(after, code).map(({ id }) => id)).not.toContain(finding.id);
      }
    }
    expect(offered).toBeGreaterThan(0);
  },
);
