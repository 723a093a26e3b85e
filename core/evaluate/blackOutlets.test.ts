import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

const bus = readDemo("lesesaal-heads");
const bare: Design = { ...bus, lines: bus.lines.filter(({ kind }) => kind !== "dumpLine") };
const black = bus.tanks.find(({ holds }) => holds === "black")!;

test("a black tank's outlet in under the rig is told where no line leads on from it, and gets one by one press", () => {
  for (const design of ALL_DEMOS) expect(findAll(design, "blackOutletInside")).toEqual([]);
  const [told, ...more] = findAll(bare, "blackOutletInside");
  expect(more).toEqual([]);
  expect(told).toMatchObject({ severity: "should", at: { kind: "port", tankId: black.id } });
  const outlet = black.ports.find(({ kind }) => kind === "outlet")!;
  const [x, y] = [black.atMm.x + outlet.atMm.x, black.atMm.y + outlet.atMm.y];
  expect(told!.insideMm).toBeCloseTo(Math.min(bus.rig.widthMm / 2 - Math.abs(y), x, bus.rig.lengthMm - x), 6);
  const [remedy] = proposeRemedies(bare, evaluate(bare), told!);
  const outcome = applyEdit(bare, remedy!.edit);
  expect(outcome.ok && findAll(outcome.design, "blackOutletInside")).toEqual([]);
});

test("within a hand's reach of the edge it is let be; so is grey water, and a boat, which is pumped out", () => {
  const near = (insideMm: number): Design => ({
    ...bare,
    tanks: bare.tanks.map((tank) =>
      tank.id === black.id
        ? {
            ...tank,
            ports: tank.ports.map((port) =>
              port.kind === "outlet"
                ? { ...port, atMm: { ...port.atMm, y: bus.rig.widthMm / 2 - insideMm - tank.atMm.y } }
                : port,
            ),
          }
        : tank,
    ),
  });
  expect(findAll(near(200), "blackOutletInside")).toEqual([]);
  expect(findAll(near(201), "blackOutletInside")).toHaveLength(1);
  const grey = { ...bare, tanks: bare.tanks.map((tank) => ({ ...tank, holds: "grey" as const })) };
  expect(findAll(grey, "blackOutletInside")).toEqual([]);
  expect(findAll({ ...bare, rig: { ...bare.rig, kind: "boat" } }, "blackOutletInside")).toEqual([]);
});
