import { ALL_DEMOS } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

test("an outlet that nothing shuts is told, unless a line or hose leads on from it; the valve proposed settles it", () => {
  const outlets = (design: Design) =>
    design.tanks.flatMap(({ id: tankId, ports }) =>
      ports.flatMap(({ kind, id }) => (kind === "outlet" ? [{ kind: "port", tankId, id }] : [])),
    );
  for (const design of ALL_DEMOS) {
    expect(findAll(design, "outletOpen")).toEqual([]);
    const open: Design = {
      ...design,
      tanks: design.tanks.map((tank) => ({ ...tank, ports: tank.ports.map((port) => ({ ...port, valve: null })) })),
    };
    const led = open.lines.flatMap((line) => (line.kind === "dumpLine" ? [`${line.fromTank} ${line.fromPort}`] : []));
    const said = findAll(open, "outletOpen");
    expect(said.map(({ at }) => at)).toEqual(
      outlets(open).filter(({ tankId, id }) => !led.includes(`${tankId} ${id}`)),
    );
    for (const finding of said) {
      const [remedy] = proposeRemedies(open, evaluate(open), finding);
      const outcome = applyEdit(open, remedy!.edit);
      if (!outcome.ok) throw new Error("the valve proposed is not allowed");
      expect(findAll(outcome.design, "outletOpen")).toHaveLength(said.length - 1);
    }
  }
});
