import { listSteps, toCableStepId } from "@/core/build/steps";
import { listWires } from "@/core/build/wiring";
import { evaluate } from "@/core/evaluate/evaluate";
import { listBoltPlaces } from "@/core/fixing/boltPlaces";
import { DEMO_NAMES, FURNISHED, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { describeStep, tellStep } from "./build";
import { listStepFigures } from "./stepFigures";
import { parseLength } from "./units";

const readMm = (figure: string): number => {
  const read = parseLength(figure, "metric");
  return read.ok ? read.value : Number.NaN;
};

test.each([...DEMO_NAMES, FURNISHED, ...LOOP_NAMES, ...HEADS_NAMES] as const)(
  "%s: what is measured out is read off the drawing, in the words of the rig",
  (name) => {
    const design = readDemo(name);
    const evaluation = evaluate(design);
    for (const step of listSteps(design, evaluation)) {
      const figures = listStepFigures(step, { design, evaluation, units: "metric" });
      const find = (what: RegExp) => figures.find(([label]) => what.test(label))?.[1] ?? "";
      for (const [what, figure] of figures) expect(`${what} ${figure}`).not.toMatch(/NaN|undefined|null|no bound/);
      if (design.rig.kind === "boat") for (const [what] of figures) expect(what).not.toMatch(/\bfloor\b|rear edge/);
      const { at, kind } = step;
      const tank = at.kind === "tank" ? design.tanks.find(({ id }) => id === at.id) : undefined;
      if (kind === "hangTank" && tank?.solid.shape === "box") {
        // without lagging: inside, wall and no more
        expect(readMm(find(/its (rear|after) wall/))).toBeCloseTo(tank.atMm.x - tank.wallMm, 0);
        const [top, under] = [tank.atMm.z + tank.solid.heightMm + tank.wallMm, tank.atMm.z - tank.wallMm];
        expect(readMm(find(/its top|its underside/))).toBeCloseTo(Math.abs(top <= 0 ? top : under), 0);
      }
      if (kind === "fitFixing") {
        const told = figures.filter(([what]) => /^bolts/.test(what)).flatMap(([, figure]) => figure.split(", "));
        const rows = find(/^rows of bolts/).split(", ");
        const wanted = listBoltPlaces(tank!, tank!.fixing!).map(({ y }) => Math.round(Math.abs(tank!.atMm.y + y)));
        // rows that stand alike are told once
        const each = rows[0] === "" ? 1 : rows.length;
        expect(told.length * each).toBe(tank!.fixing!.bolts);
        for (const figure of told) expect(wanted).toContain(Math.round(readMm(figure)));
      }
      if (kind === "fitTankPorts") expect(figures).toHaveLength(tank!.ports.length);
      if (kind === "drillHole") {
        // "44 mm by 41 mm" where it slants
        expect(Number.parseFloat(find(/^hole$/))).toBeGreaterThan(5);
        expect(figures.some(([what]) => /over the|below the/.test(what))).toBe(step.hole!.through !== "floor");
      }
    }
  },
);

test("a drain is laid by the least fall of its runs, and clipped closer than its belly allows", () => {
  const design = readDemo("lesesaal");
  const evaluation = evaluate(design);
  const step = listSteps(design, evaluation).find(({ kind }) => kind === "layDrain")!;
  const figures = new Map(listStepFigures(step, { design, evaluation, units: "metric" }));
  const [drain] = evaluation.drains;
  const slopes = drain!.legs
    .filter(({ kind }) => kind === "run")
    .map((leg) => ((leg.from.z - leg.to.z) / leg.planLengthMm) * 1000);
  expect(Number.parseFloat(figures.get("falls at the least")!)).toBeCloseTo(Math.min(...slopes), 0);
  expect(readMm(figures.get("a clip at least every")!)).toBeLessThanOrEqual(900);
});

test("a cable is told by its copper, length, fuse and what starts it, in either units; a pad never over a dry tank", () => {
  for (const name of ["kranich-loop", "otter-heads", "setzkasten"] as const) {
    const design = readDemo(name);
    const evaluation = evaluate(design);
    const steps = listSteps(design, evaluation);
    for (const { load, lengthMm, fuseA, sizeMm2 } of listWires(design)) {
      const step = steps.find(({ id }) => id === toCableStepId(load.id))!;
      const [metric, imperial] = (["metric", "imperial"] as const).map(
        (units) => new Map(listStepFigures(step, { design, evaluation, units })),
      );
      expect(metric!.get("two cores")).toBe(`${sizeMm2} mm²`);
      expect(imperial!.get("two cores")).toMatch(/^\d+ AWG$/);
      expect(Number.parseFloat(metric!.get("from the fuse box, about")!)).toBeCloseTo(lengthMm / 1000, 0);
      expect(Number.parseFloat(metric!.get("fuse, at the box")!)).toBe(fuseA);
      expect(metric!.has("on only with")).toBe(load.kind === "pad");
      expect(metric!.has("on its way")).toBe(load.startedBy === "switch");
      expect(metric!.has("started by the float of")).toBe(typeof load.startedBy === "object");
      expect(metric!.has(design.rig.kind === "boat" ? "under the sole" : "under the floor")).toBe(load.isOutside);
      expect(tellStep(step, design).caution).toMatch(/fuse stays out/);
    }
  }
});

test("cable that is sold nowhere thick enough is said to be so, and no fuse with it", () => {
  const base = readDemo("kranich-loop");
  const gear = base.gear.map((one) =>
    one.spec.kind === "pump" ? { ...one, spec: { ...one.spec, watts: 3_000 } } : one,
  );
  const design = { ...base, gear };
  const evaluation = evaluate(design);
  const thin = listWires(design).find(({ sizeMm2 }) => sizeMm2 === null)!;
  const step = listSteps(design, evaluation).find(({ id }) => id === toCableStepId(thin.load.id))!;
  const figures = listStepFigures(step, { design, evaluation, units: "metric" });
  expect(figures).toEqual([["cable", expect.stringMatching(/thick enough/)]]);
});

test("a tank over the floor of a land rig is set in its place, one below it is hung, and a boat's is never hung", () => {
  const tell = (name: "kranich" | "otter", z: number) => {
    const demo = readDemo(name);
    const design = { ...demo, tanks: demo.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z } })) };
    return listSteps(design, evaluate(design))
      .filter(({ kind }) => kind === "hangTank")
      .map((step) => describeStep(step, design));
  };
  expect(tell("kranich", 60)).toEqual(["Set Grey tank in its place"]);
  expect(tell("kranich", -300)).toEqual(["Hang Grey tank"]);
  for (const z of [60, -300]) expect(tell("otter", z)).toEqual(["Set Bilge tank in its place"]);
});
