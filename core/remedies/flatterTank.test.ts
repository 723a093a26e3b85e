import "../evaluate/fitted";
import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import { spoil } from "@/tests/spoil";
import type { Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { proposeFlatter } from "./flatterTank";
import { proposeRemedies } from "./proposeRemedies";

const puppenwagen = readDemo("puppenwagen");
const [tank] = puppenwagen.tanks;
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
