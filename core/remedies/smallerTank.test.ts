import "../evaluate/fitted";
import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import { spoil } from "@/tests/spoil";
import type { Tank } from "../design/plumbing";
import type { Obstacle } from "../design/rig";
import { evaluate } from "../evaluate/evaluate";
import { toTankBlock } from "../fit/obstacleGaps";
import { vec } from "../geometry/vec";
import { proposeRemedies } from "./proposeRemedies";
import { proposeFlatter, proposeTakenOff, type TankSide } from "./smallerTank";

const puppenwagen = readDemo("puppenwagen");
const [tank] = puppenwagen.tanks;
type Box = Extract<Tank["solid"], { readonly shape: "box" }>;
const heightOf = ({ solid }: Tank) => (solid.shape === "box" ? solid.heightMm : 0);

test("its bottom comes up and its top stays, or its top comes down; what is at a wall stays there", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 80 }), fc.constantFrom("bottom" as const, "top" as const), (mm, side) => {
      const [remedy] = proposeFlatter(tank!, side, mm);
      const after = mustApply(puppenwagen, remedy!.edit).tanks[0]!;
      expect(heightOf(after)).toBe(heightOf(tank!) - mm);
      const [top, bottom] = [after.atMm.z + heightOf(after), after.atMm.z];
      const was = { top: tank!.atMm.z + heightOf(tank!), bottom: tank!.atMm.z };
      expect(side === "bottom" ? top : bottom).toBe(side === "bottom" ? was.top : was.bottom);
      expect(side === "bottom" ? bottom - was.bottom : was.top - top).toBe(mm);
      // the inlet keeps its distance from the top, the outlet lies on the bottom
      const at = (one: Tank, id: string) => one.ports.find((port) => port.id === id)!.atMm.z;
      expect(heightOf(after) - at(after, "inlet")).toBeCloseTo(heightOf(tank!) - at(tank!, "inlet"), 6);
      expect(at(after, "dump")).toBe(0);
    }),
  );
});

const SIDES: readonly TankSide[] = ["left", "right", "forward", "aft"];

test("what is taken off one side leaves the others and all that does not sit on it where they were", () => {
  for (const { name, tanks } of ALL_DEMOS) {
    for (const one of tanks.filter(({ solid }) => solid.shape === "box")) {
      for (const side of SIDES) {
        const [remedy] = proposeTakenOff(one, side, 35);
        if (!remedy) continue;
        const after = mustApply(ALL_DEMOS.find((design) => design.name === name)!, remedy.edit).tanks.find(
          ({ id }) => id === one.id,
        )!;
        const [was, is] = [toTankBlock(one), toTankBlock(after)];
        const off = {
          left: was.max.y - is.max.y,
          right: is.min.y - was.min.y,
          forward: was.max.x - is.max.x,
          aft: is.min.x - was.min.x,
        };
        for (const other of SIDES) expect(off[other]).toBeCloseTo(other === side ? 35 : 0, 6);
        const [axis, wall] =
          side === "left" || side === "right" ? (["y", "widthMm"] as const) : (["x", "lengthMm"] as const);
        const isFar = side === "left" || side === "forward";
        for (const [i, port] of one.ports.entries()) {
          const before = port.atMm[axis] + one.atMm[axis];
          const now = after.ports[i]!.atMm[axis] + after.atMm[axis];
          const edge = isFar ? after.atMm[axis] + (after.solid as Box)[wall] : after.atMm[axis];
          const clear = Math.abs(before - edge) > port.boreMm && (isFar ? before < edge : before > edge);
          // what sat near the side comes along with it, inside
          if (clear) expect(now).toBeCloseTo(before, 6);
          else expect(isFar ? now <= edge + 1e-6 : now >= edge - 1e-6).toBe(true);
        }
      }
    }
  }
});

test("a tank that reaches into a rail may be so much narrower, where no move helps that leaves it whole", () => {
  const [grey] = puppenwagen.tanks;
  const block = toTankBlock(grey!);
  const rail = (yMm: number, name: string): Obstacle => ({
    id: name,
    name,
    kind: "chassisRail",
    atMm: vec(0, yMm, block.min.z - 400),
    lengthMm: puppenwagen.rig.lengthMm,
    widthMm: 40,
    heightMm: 900,
  });
  // between two walls 40 mm too near to each other
  const design = { ...puppenwagen, obstacles: [rail(block.max.y - 20, "left"), rail(block.min.y - 60, "right")] };
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find(({ code }) => code === "tankHitsObstacle")!;
  const remedies = proposeRemedies(design, evaluation, finding);
  const narrower = remedies.find(({ edit }) => edit.code === "resize")!;
  const after = mustApply(design, narrower.edit);
  expect(evaluate(after).findings.map(({ id }) => id)).not.toContain(finding.id);
  expect(toTankBlock(after.tanks[0]!).max.y).toBeLessThan(block.max.y);
});

test("no flatter than 80 mm, and only a box: another shape is drawn by hand", () => {
  expect(proposeFlatter(tank!, "bottom", heightOf(tank!) - 79)).toEqual([]);
  expect(proposeFlatter(tank!, "bottom", heightOf(tank!) - 80)).toHaveLength(1);
  expect(proposeFlatter(readDemo("otter").tanks[0]!, "bottom", 10)).toEqual([]);
  // where it is not known how much, from little to much
  const tried = proposeFlatter(tank!, "bottom").map(({ byMm }) => byMm!);
  expect(tried).toEqual([...tried].sort((a, b) => a - b));
});

test.each([
  ["tankBelowSill", { "rig.sillZMm": -290 }],
  ["touchesRamp", { "rig.groundZMm": -365 }],
] as const)(
  "%s: a flatter tank is offered beside one that hangs higher, and its litres stand beside it",
  (code, numbers) => {
    const design = spoil(puppenwagen, numbers);
    const evaluation = evaluate(design);
    const finding = evaluation.findings.find((one) => one.code === code && one.at.kind === "tank")!;
    const remedy = proposeRemedies(design, evaluation, finding).find(({ edit }) => edit.code === "resize")!;
    const after = mustApply(design, remedy.edit);
    expect(evaluate(after).findings.map(({ id }) => id)).not.toContain(finding.id);
    expect(remedy.after.rooms[0]!.usableL).toBeLessThan(remedy.before.rooms[0]!.usableL);
  },
);
