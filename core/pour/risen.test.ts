import fc from "fast-check";
import { attitudes, networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Drain, Fixture } from "../design/plumbing";
import { dot } from "../geometry/vec";
import { computePour } from "./pour";
import { listRisen } from "./risen";

const leg = (litres: number, headMm: number, footMm: number, next: number) => ({
  litres,
  fullL: 1,
  headMm,
  footMm,
  next,
});

test("water that is held back stands as high as what is full above it, and comes up in what is lower", () => {
  // a bowl over a drop over a lying leg; the tray joins where the lying leg begins
  const cells = [leg(1, 400, 100, 1), leg(1, 100, 80, -1)];
  const bowl = { litres: 20, areaM2: 0.1, outletMm: 420, cell: 0 };
  const tray = (outletMm: number) => [{ fixtureId: "tray", outletMm, cell: 1 }];
  // 20 L on 0.1 m² stand 200 mm deep
  expect(listRisen(tray(619), cells, [bowl])).toEqual(["tray"]);
  expect(listRisen(tray(621), cells, [bowl])).toEqual([]);
  // a drop half full holds half its height over what is full below it, whatever stands in the bowl
  const half = [leg(0.5, 400, 100, 1), cells[1]!];
  expect(listRisen(tray(249), half, [bowl])).toEqual(["tray"]);
  expect(listRisen(tray(251), half, [bowl])).toEqual([]);
  // what is not full lets the air by, and nothing is held back
  expect(listRisen(tray(90), [cells[0]!, leg(0.9, 100, 80, -1)], [bowl])).toEqual([]);
});

// The sink of the van, and a tray that nobody uses on the same drain.
function joinTray(innerMm: number, outletZ: number): Design {
  const van = readDemo("kranich");
  const main = van.lines.find((line): line is Drain => line.kind === "drain")!;
  const sink = van.fixtures[0]!;
  const node = main.bendsMm[1]!;
  const tray: Fixture = {
    ...sink,
    id: "tray",
    name: "Tray",
    kind: "showerTray",
    outletMm: { ...node, z: outletZ },
    hasPlug: false,
  };
  // from where the tray joins it goes on in another pipe
  const change = { kind: "pipeChange", node: node.id, joint: "reducer", pipe: { ...main.pipe, innerMm } } as const;
  const branch: Drain = {
    ...main,
    id: "tray-drain",
    fromFixture: "tray",
    bendsMm: [],
    items: [],
    to: { kind: "junction", lineId: main.id, node: node.id, fitting: "wye" },
  };
  return {
    ...van,
    fixtures: [sink, tray],
    lines: [{ ...main, items: [...main.items, change] }, branch, ...van.lines.filter((one) => one !== main)],
  };
}

test("the sink let go comes up in a low tray where the pipe they share is too narrow, and not where it is wide", () => {
  const van = readDemo("kranich");
  const main = van.lines.find((line): line is Drain => line.kind === "drain")!;
  const lowZ = main.bendsMm[1]!.z + 60;
  const events = [{ kind: "empty", fixtureId: van.fixtures[0]!.id, litres: 15 } as const];
  expect(computePour(joinTray(16, lowZ), LEVEL, events).risen).toEqual(["tray"]);
  expect(computePour(joinTray(100, lowZ), LEVEL, events).risen).toEqual([]);
  // over the sink itself nothing comes up
  expect(computePour(joinTray(16, van.fixtures[0]!.outletMm.z + 200), LEVEL, events).risen).toEqual([]);
});

test("it comes up only in what nobody uses, only where a leg ran full, and never over the highest water there is", () => {
  const made = networks.chain((design) =>
    fc.record({
      design: fc.constant(design),
      attitude: attitudes,
      litres: fc.double({ min: 1, max: 40, noNaN: true }),
    }),
  );
  let met = 0;
  fc.assert(
    fc.property(made, ({ design, attitude, litres }) => {
      const [sink] = design.fixtures;
      const pour = computePour(design, attitude, [{ kind: "empty", fixtureId: sink!.id, litres }]);
      expect(pour.risen).not.toContain(sink!.id);
      if (pour.risen.length === 0) return;
      met++;
      expect(pour.frames.some(({ legsL }) => legsL.some((held, i) => held >= 0.97 * pour.legs[i]!.fullL))).toBe(true);
      const up = computeUp(attitude);
      const highest = dot(up, sink!.outletMm) + Math.max(...pour.fixtures.map(({ deepestMm }) => deepestMm)) + 200;
      for (const id of pour.risen)
        expect(dot(up, design.fixtures.find((one) => one.id === id)!.outletMm)).toBeLessThan(highest);
    }),
    { numRuns: 60 },
  );
  expect(met).toBeGreaterThan(0);
});
