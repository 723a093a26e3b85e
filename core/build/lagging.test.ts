import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath } from "../falls/drainPath";
import { measureUnderFloorMm } from "../fit/underFloor";
import { listGoods } from "./goods";

const FOAM_MM = 13;
const lag = (design: Design, insulationMm: number): Design => ({
  ...design,
  lines: design.lines.map((line) => (line.kind === "vent" ? line : { ...line, insulationMm })),
});
/** Fixtures set so low that their traps hang under the floor. */
const sink = (design: Design): Design => ({
  ...design,
  fixtures: design.fixtures.map((one) => ({ ...one, outletMm: { ...one.outletMm, z: one.outletMm.z - 650 } })),
});

test("foam is bought by the metre that lies under the floor, with the turns of a trap there, and for pipes of each size", () => {
  const listFoam = (design: Design) =>
    listGoods(design, evaluate(design)).flatMap(({ ware, amount, assembly }) =>
      ware.kind === "pipeLagging" && assembly.kind === "line" ? [{ ware, metres: amount, lineId: assembly.id }] : [],
    );
  const kranich = readDemo("kranich");
  const drain = kranich.lines.find(({ kind }) => kind === "drain")!;
  expect(listFoam(kranich)).toEqual([]);
  const { ware, metres } = listFoam(lag(kranich, FOAM_MM)).find(({ lineId }) => lineId === drain.id)!;
  expect(ware).toEqual({ kind: "pipeLagging", thickMm: FOAM_MM, outerMm: drain.pipe.outerMm });
  const path = drain.kind === "drain" ? buildDrainPath(kranich, drain) : null;
  const lengthMm = path!.ownLegs.reduce((sum, { from, to }) => sum + measureUnderFloorMm(from, to), 0);
  expect(metres).toBeCloseTo((lengthMm * 1.1) / 1_000, 9);
  expect(metres).toBeGreaterThan(0.3);
  for (const design of [...ALL_DEMOS, ...ALL_DEMOS.map(sink)]) {
    const bought = listFoam(lag(design, FOAM_MM));
    for (const line of design.lines) {
      const own = bought.filter(({ lineId }) => lineId === line.id).reduce((sum, { metres }) => sum + metres, 0);
      if (line.kind === "vent") expect(own).toBe(0);
      if (line.kind !== "drain") continue;
      const { ownLegs, nodesMm } = buildDrainPath(design, line);
      const trap = findTrap(line);
      const turns = trap && nodesMm[0]!.z < 0 ? 2 * trap.sealMm + trap.spanMm : 0;
      const long = ownLegs.reduce((sum, { from, to }) => sum + measureUnderFloorMm(from, to), turns);
      expect(own).toBeCloseTo((long * 1.1) / 1_000, 9);
    }
  }
});

test("a drain that goes on in another pipe takes foam for both", () => {
  const design = ALL_DEMOS.map((one) => lag(one, FOAM_MM)).find(({ lines }) =>
    lines.some((line) => line.kind === "drain" && line.items.some(({ kind }) => kind === "pipeChange")),
  );
  const kranich = lag(readDemo("kranich"), FOAM_MM);
  const changed: Design = design ?? {
    ...kranich,
    lines: kranich.lines.map((line) =>
      line.kind === "drain"
        ? {
            ...line,
            items: [
              ...line.items,
              {
                kind: "pipeChange",
                node: line.bendsMm.at(-1)!.id,
                joint: "reducer",
                pipe: { innerMm: 46, outerMm: 50, manningN: 0.009 },
              },
            ],
          }
        : line,
    ),
  };
  const sizes = listGoods(changed, evaluate(changed)).flatMap(({ ware }) =>
    ware.kind === "pipeLagging" ? [ware.outerMm] : [],
  );
  expect(new Set(sizes).size).toBeGreaterThan(1);
});
