import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
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

test("a tank of waste that nothing runs into is told; one with an inlet, a hose or a link is not, nor is fresh water", () => {
  const design = readDemo("kranich");
  const [grey] = design.tanks;
  const codesOf = (tanks: Design["tanks"], lines = design.lines) =>
    evaluate({ ...design, tanks, lines }).findings.flatMap(({ code, at }) =>
      code === "tankUnfed" && at.kind === "tank" ? [at.id] : [],
    );
  const far = { ...grey!.atMm, x: grey!.atMm.x - 900 };
  const second = { ...grey!, id: "second", name: "Second", atMm: far, link: null };
  const outletOnly = { ...second, ports: second.ports.filter(({ kind }) => kind !== "inlet") };
  expect(codesOf(design.tanks)).toEqual([]);
  expect(codesOf([...design.tanks, second])).toEqual([]);
  expect(codesOf([...design.tanks, outletOnly])).toEqual(["second"]);
  expect(codesOf([...design.tanks, { ...outletOnly, holds: "fresh" }])).toEqual([]);
  const linked = { ...grey!, link: { kind: "pumped" as const, toTank: "second" } };
  expect(codesOf([linked, ...design.tanks.slice(1), outletOnly])).toEqual([]);
});
