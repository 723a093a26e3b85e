import "../evaluate/fitted";
import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { toNodes } from "../design/nodes";
import type { Hose, Tank, Vent } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { vec } from "../geometry/vec";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { computeFillPressure } from "./fillPressure";
import { USUAL_GEAR } from "./usualGear";

const van = readDemo("kranich");
const HOSE = { innerMm: 12, outerMm: 18, manningN: 0.009 };
const FAR_M = 2.5;
const TOP_MM = 260;

type Given = {
  readonly supplyKPa?: number | null;
  readonly ventMm?: number;
  readonly riseMm?: number;
  readonly middle?: Gear["spec"] | null;
  readonly holds?: Tank["holds"];
};

/** A fresh tank that a tap outside fills through a straight hose, with a breather straight up. */
function filled({ supplyKPa = 300, ventMm = 10, riseMm = 200, middle = null, holds = "fresh" }: Given = {}): Design {
  const tank: Tank = {
    ...van.tanks[0]!,
    id: "fresh",
    name: "Fresh tank",
    holds,
    fixing: null,
    sender: null,
    solid: { shape: "box", lengthMm: 600, widthMm: 400, heightMm: TOP_MM },
    atMm: vec(1_000, -200, 0),
    ports: [
      createPort({ id: "fill", kind: "fill", atMm: vec(600, 200, 130), boreMm: 12 }),
      createPort({ id: "vent", kind: "vent", atMm: vec(300, 200, TOP_MM), boreMm: ventMm }),
    ],
  };
  const piece = (id: string, spec: Gear["spec"], x: number): Gear => ({
    id,
    name: id,
    ...USUAL_GEAR[spec.kind],
    spec,
    sizeMm: vec(40, 40, 40),
    atMm: vec(x, -20, 110),
  });
  const camp = piece("camp", { kind: "coupling", supplyKPa }, 1_600 + FAR_M * 1_000);
  const hose = (id: string, from: Hose["from"], to: Hose["to"]): Hose => ({
    id,
    name: id,
    kind: "hose",
    pipe: HOSE,
    from,
    to,
    pointsMm: [],
  });
  const at = (gearId: string, port: string) => ({ kind: "gear", gearId, port }) as const;
  const into = { kind: "tank", tankId: "fresh", portId: "fill" } as const;
  const vent: Vent = {
    id: "vent",
    name: "Breather of Fresh tank",
    kind: "vent",
    fromTank: "fresh",
    fromPort: "vent",
    to: { kind: "openAir", hasMesh: false },
    pipe: { innerMm: ventMm, outerMm: ventMm + 6, manningN: 0.01 },
    pointsMm: toNodes([vec(1_300, 0, TOP_MM + riseMm)]),
  };
  const between = middle ? [piece("middle", middle, 1_700)] : [];
  return {
    ...van,
    tanks: [...van.tanks, tank],
    gear: [camp, ...between],
    lines: [
      ...van.lines,
      vent,
      ...(middle
        ? [hose("a", at("camp", "out"), at("middle", "in")), hose("b", at("middle", "out"), into)]
        : [hose("a", at("camp", "out"), into)]),
    ],
  };
}
const press = (design: Design, bearsKPa = 15) =>
  computeFillPressure(design, design.tanks.find(({ id }) => id === "fresh")!, bearsKPa);

// Darcy and Weisbach with Blasius' friction for smooth pipes, 0.316 Re^-0.25 (H. Blasius, VDI-Forschungsheft 131, 1913)
function loseKPa(lpm: number, boreMm: number, lengthM: number, lossK: number): number {
  const boreM = boreMm / 1000;
  const velocity = lpm / 60_000 / ((Math.PI / 4) * boreM ** 2);
  const f = 0.316 * ((998.2 * velocity * boreM) / 1.002e-3) ** -0.25;
  return ((((f * lengthM) / boreM + lossK) * 998.2 * velocity ** 2) / 2) * 1e-3;
}

test("what comes through the hose leaves by the breather, and the pressure in the tank lies between, as Blasius has it", () => {
  let seen = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 150, max: 600 }),
      fc.integer({ min: 6, max: 14 }),
      fc.integer({ min: 50, max: 900 }),
      (supplyKPa, ventMm, riseMm) => {
        const pressed = press(filled({ supplyKPa, ventMm, riseMm }));
        if (!pressed) return;
        seen += 1;
        const { flowLpm, pressureKPa } = pressed;
        // up the breather: in, out and the rise of the water over the tank's top
        const up = loseKPa(flowLpm, ventMm, riseMm / 1000, 1.5) + (998.2 * 9.80665 * riseMm) / 1e6;
        expect(Math.abs(pressureKPa - up)).toBeLessThan(0.08 * pressureKPa + 0.5);
        // and what the hose takes of the tap's pressure; the mouths of coupling and tank take half a kPa at 10 L/min each
        const hose = loseKPa(flowLpm, HOSE.innerMm, FAR_M, 0) + 2 * 0.5 * (flowLpm / 10) ** 2;
        const stands = pressureKPa + (998.2 * 9.80665 * 130) / 1e6;
        expect(Math.abs(supplyKPa - hose - stands)).toBeLessThan(0.08 * supplyKPa);
      },
    ),
    { numRuns: 40 },
  );
  expect(seen).toBeGreaterThan(20);
});

test("told where it is more than the tank bears, and settled by a wider breather or a reducer", () => {
  const design = filled();
  const [finding] = findAll(design, "fillPresses");
  expect(finding).toMatchObject({ severity: "should", otherId: "camp", ventId: "vent", boreMm: 10 });
  expect(finding!.pressureKPa).toBeGreaterThan(15);
  for (const [ventMm, codes] of [
    // no reducer lets so little through that a breather of 10 mm would do
    [10, ["widenVent"]],
    [12, ["widenVent", "fitReducer"]],
  ] as const) {
    const one = filled({ ventMm });
    const remedies = proposeRemedies(one, evaluate(one), findAll(one, "fillPresses")[0]!);
    expect(remedies.map(({ edit }) => edit.code).toSorted()).toEqual(codes.toSorted());
    for (const { edit } of remedies) expect(findAll(mustApply(one, edit), "fillPresses")).toEqual([]);
  }
  // by the least bore and no more: a millimetre less and it is told
  const least = finding!.leastBoreMm!;
  expect(press(filled({ ventMm: least }))).toBeNull();
  expect(press(filled({ ventMm: least - 1 }))).not.toBeNull();
});

test("nothing stands in it where nothing presses, where water falls through air, or where its drains let it out", () => {
  expect(press(filled())).not.toBeNull();
  expect(press(filled({ supplyKPa: null }))).toBeNull();
  expect(press(filled({ supplyKPa: 10 }))).toBeNull();
  expect(press(filled({ middle: { kind: "airGap", gapMm: 40 } }))).toBeNull();
  const valve = USUAL_GEAR.valve.spec;
  expect(press(filled({ middle: valve }))).not.toBeNull();
  const bare = filled();
  expect(press({ ...bare, lines: bare.lines.filter(({ id }) => id !== "vent") })).toBeNull();
  const drained = {
    ...bare,
    lines: bare.lines.map((line) =>
      line.kind === "drain" ? { ...line, to: { kind: "inlet", tankId: "fresh", portId: "fill" } as const } : line,
    ),
  };
  expect(press(drained)).toBeNull();
  // a relief valve that opens before lets it out
  const relief: Gear = { ...bare.gear[0]!, id: "relief", name: "relief", spec: { kind: "relief", setKPa: 12 } };
  const [hose] = bare.lines.filter((line): line is Hose => line.kind === "hose");
  const fork: Gear = { ...bare.gear[0]!, id: "fork", name: "fork", spec: { kind: "tee" } };
  const end = (gearId: string, port: string) => ({ kind: "gear", gearId, port }) as const;
  const relieved: Design = {
    ...bare,
    gear: [...bare.gear, relief, fork],
    lines: [
      ...bare.lines.filter((line) => line !== hose),
      { ...hose!, to: end("fork", "a") },
      { ...hose!, id: "b", from: end("fork", "b"), to: hose!.to },
      { ...hose!, id: "c", from: end("fork", "c"), to: end("relief", "in") },
    ],
  };
  const [free, let_] = [press(bare)!, press(relieved)];
  if (let_) expect(let_.pressureKPa).toBeLessThan(free.pressureKPa);
});

test("what presses the hardest of all that comes to it is named, and what comes to another place is not", () => {
  const design = filled({ supplyKPa: 200 });
  const like = design.gear[0]!;
  const camp = (id: string, supplyKPa: number): Gear => ({
    ...like,
    id,
    name: id,
    spec: { kind: "coupling", supplyKPa },
  });
  const apart = { ...design, gear: [camp("apart", 900), ...design.gear] };
  expect(press(apart)).toEqual(press(design));
  // two that come together at a fork before it
  const fork: Gear = { ...like, id: "fork", name: "fork", spec: { kind: "tee" } };
  const hose = design.lines.find((line): line is Hose => line.kind === "hose")!;
  const end = (gearId: string, port: string) => ({ kind: "gear", gearId, port }) as const;
  for (const gear of [
    [camp("soft", 120), ...design.gear, fork],
    [fork, ...design.gear, camp("soft", 120)],
  ]) {
    const both: Design = {
      ...design,
      gear,
      lines: [
        ...design.lines.filter((line) => line !== hose),
        { ...hose, to: end("fork", "a") },
        { ...hose, id: "b", from: end("soft", "out"), to: end("fork", "b") },
        { ...hose, id: "c", from: end("fork", "c") },
      ],
    };
    expect(press(both)!.by.id).toBe("camp");
  }
});

test("no sample is pressed so: their loops are filled through an air gap", () => {
  for (const design of ALL_DEMOS) expect(findAll(design, "fillPresses")).toEqual([]);
});
