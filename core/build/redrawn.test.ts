import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import "../evaluate/fitted";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { buildMove } from "../design/moves";
import { parseDesignText, writeDesignText } from "../design/parseDesign";
import { buildLockAll } from "../edits/lockAll";
import { evaluate } from "../evaluate/evaluate";
import { type BuildRecord, buildRecord } from "../record/record";
import { judgeTrial } from "../trials/proof";
import { listBuiltParts } from "./builtParts";
import { findRedrawn, listRedrawn, takeDrawn } from "./redrawn";
import { listSteps } from "./steps";

function tickAll(design: Design): BuildRecord["done"] {
  const evaluation = evaluate(design);
  return listSteps(design, evaluation).map((step) => {
    const drawn = takeDrawn(step, design, evaluation);
    return { stepId: step.id, on: "2026-05-01", name: step.id, ...(drawn ? { drawn } : {}) };
  });
}

const hold = (done: BuildRecord["done"], design: Design) => {
  const evaluation = evaluate(design);
  return listRedrawn(listSteps(design, evaluation), done, design, evaluation);
};

test("what is built as it is drawn is not told, of any network or sample, also after its file was read again", () => {
  const check = (design: Design) => {
    const done = tickAll(design);
    expect(buildRecord.safeParse({ done, parts: {} }).success).toBe(true);
    const read = parseDesignText(writeDesignText(design));
    if (!read.ok) throw new Error("not read");
    for (const same of [design, read.design]) expect(hold(done, same)).toEqual({ redrawn: [], gone: [] });
  };
  ALL_DEMOS.forEach(check);
  fc.assert(fc.property(networks, check), { numRuns: 30 });
});

test("a tank drawn elsewhere takes what is built on it out of its place, and leaves the rest", () => {
  const shifts = fc.record({ x: fc.integer({ min: 5, max: 80 }), y: fc.integer({ min: 5, max: 40 }) });
  fc.assert(
    fc.property(networks, shifts, (design, { x, y }) => {
      const [tank, ...others] = design.tanks;
      const done = tickAll(design);
      const { atMm } = tank!;
      const moved = { ...design, tanks: [{ ...tank!, atMm: { ...atMm, x: atMm.x + x, y: atMm.y + y } }, ...others] };
      const { redrawn } = hold(done, moved);
      const hung = redrawn.find(({ step }) => step.id === `hangTank:${tank!.id}`)!;
      expect(hung.redrawn).toMatchObject({ sizes: [], isOtherwise: false });
      expect(hung.redrawn.movedMm).toBeCloseTo(Math.hypot(x, y), 0);
      for (const other of others) expect(redrawn.map(({ step }) => step.id)).not.toContain(`hangTank:${other.id}`);
      // its ports are measured on the tank itself, and were drilled where they are
      expect(redrawn.map(({ step }) => step.id)).not.toContain(`fitTankPorts:${tank!.id}`);
      // and in the old place again nothing is said
      expect(hold(done, design).redrawn).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test("what holds a tank is bolted to the rig and goes with the tank; an older record does not say where it was", () => {
  const design = ALL_DEMOS.find(({ tanks }) => tanks[0]?.fixing)!;
  const tank = design.tanks[0]!;
  const moved: Design = {
    ...design,
    tanks: [{ ...tank, atMm: { ...tank.atMm, x: tank.atMm.x + 30 } }, ...design.tanks.slice(1)],
  };
  const done = tickAll(design).filter(({ stepId }) => stepId === `fitFixing:${tank.id}`);
  const told = hold(done, moved).redrawn;
  expect(told).toMatchObject([{ redrawn: { sizes: [], isOtherwise: false } }]);
  expect(told[0]!.redrawn.movedMm).toBeCloseTo(30, 6);
  const older = done.map((one) => ({ ...one, drawn: { ...one.drawn!, placesMm: [] } }));
  expect(hold(older, moved).redrawn).toEqual([]);
});

test("a hole asked wider, a pipe of another size and a part taken out are each told", () => {
  const design = readDemo("kranich");
  const done = tickAll(design);
  const [drain] = design.lines.filter((line) => line.kind === "drain");
  const wide = { innerMm: drain!.pipe.innerMm + 12, outerMm: drain!.pipe.outerMm + 12, manningN: drain!.pipe.manningN };
  const wider = {
    ...design,
    lines: design.lines.map((line) => (line.id === drain!.id ? { ...line, pipe: wide } : line)),
  };
  const { redrawn } = hold(done, wider);
  const of = (kind: string) => redrawn.find(({ step }) => step.kind === kind && step.at.kind === "line")?.redrawn;
  const hole = of("drillHole")!;
  expect(hole.sizes.every(({ isMm, wasMm }) => isMm - wasMm > 11)).toBe(true);
  expect(hole.sizes).not.toEqual([]);
  expect(of("layDrain")).toMatchObject({ isOtherwise: true });
  // its trial was held on another pipe
  const trialId = `trialDrain:${drain!.id}`;
  expect(judgeTrial(trialId, { done, trials: [] }, design)).toBe("ticked");
  expect(judgeTrial(trialId, { done, trials: [] }, wider)).toBe("open");
  const gone = { ...design, lines: design.lines.filter(({ id }) => id !== drain!.id) };
  expect(hold(done, gone).gone.map(({ stepId }) => stepId)).toEqual(
    done.map(({ stepId }) => stepId).filter((id) => id.includes(drain!.id)),
  );
});

test("less than a hand sees is the same place; a tick that does not say what it was done by is left alone", () => {
  const design = readDemo("lesesaal");
  const evaluation = evaluate(design);
  const step = listSteps(design, evaluation).find(({ kind }) => kind === "hangTank")!;
  const was = takeDrawn(step, design, evaluation)!;
  const off = (mm: number) => ({ ...was, placesMm: was.placesMm.map((place) => ({ ...place, x: place.x + mm })) });
  expect(findRedrawn(step, off(1.9), design, evaluation)).toBeNull();
  expect(findRedrawn(step, off(2.1), design, evaluation)?.movedMm).toBeCloseTo(2.1, 6);
  const old = [
    { stepId: step.id, on: "2026-05-01" },
    { stepId: "hangTank:nobody", on: "2026-05-01" },
  ];
  expect(hold(old, design)).toEqual({ redrawn: [], gone: [] });
  expect(hold([{ stepId: "own:shelf", on: "2026-05-01", name: "Shelf" }], design).gone).toEqual([]);
});

test("what is built is held in the drawing by one edit, and then no move takes it away", () => {
  for (const design of ALL_DEMOS) {
    const steps = listSteps(design, evaluate(design));
    const edit = buildLockAll(design, listBuiltParts(steps, new Set(steps.map(({ id }) => id))), true);
    if (design.tanks.length === 0) continue;
    const outcome = applyEdit(design, edit!);
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
    const held = outcome.design;
    for (const part of [...held.tanks, ...held.lines, ...held.gear])
      expect([part.id, part.locked]).toEqual([part.id, true]);
    const [tank] = held.tanks;
    const away = buildMove(held, { kind: "tank", id: tank!.id }, { ...tank!.atMm, x: tank!.atMm.x + 50 })!;
    expect(applyEdit(held, away)).toMatchObject({ ok: false, faults: [{ code: "locked" }] });
    expect(buildLockAll(held, listBuiltParts(steps, new Set(steps.map(({ id }) => id))), true)).toBeNull();
    expect(listBuiltParts(steps, new Set())).toEqual([]);
  }
});
