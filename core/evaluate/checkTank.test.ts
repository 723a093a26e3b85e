import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { evaluate } from "./evaluate";

const kranich = readDemo("kranich");

test("what an outlet leaves behind is a word from a tenth of the tank on, and a pity from a quarter", () => {
  const { solid } = kranich.tanks[0]!;
  const heightMm = solid.shape === "box" ? solid.heightMm : Number.NaN;
  const left = (share: number) =>
    findAll(
      {
        ...kranich,
        tanks: kranich.tanks.map((tank) => ({
          ...tank,
          ports: tank.ports.map((port) =>
            port.kind === "outlet" ? { ...port, atMm: { ...port.atMm, z: share * heightMm } } : port,
          ),
        })),
      },
      "dumpLeaves",
    );
  expect(left(0.099)).toEqual([]);
  expect(left(0.101)).toMatchObject([{ severity: "note" }]);
  expect(left(0.249)).toMatchObject([{ severity: "note" }]);
  expect(left(0.251)).toMatchObject([{ severity: "should" }]);
  expect(left(0.251)[0]!.leftL).toBeCloseTo(0.251 * evaluate(kranich).tanks[0]!.capacityL, 6);
});
