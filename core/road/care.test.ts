import fc from "fast-check";
import { ALL_DEMOS, DEMO_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { listSteps } from "../build/steps";
import { findTrap, withTrap } from "../design/lineItems";
import { evaluate } from "../evaluate/evaluate";
import { measureCapacityL } from "../geometry/solid";
import type { LogEntry } from "../record/record";
import { computeBleachMl, listCare, listDueCare } from "./care";

const done = (taskId: string, at: string): LogEntry => ({
  id: "e",
  at,
  kind: "care",
  storeId: null,
  amount: null,
  note: "",
  taskId,
});

test("tasks are told apart, come from the parts that are there, and the soonest stands first", () => {
  for (const name of [...DEMO_NAMES, ...LOOP_NAMES]) {
    const design = readDemo(name);
    const ids = listCare(design).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const due = listDueCare(design, [], "2026-05-01").map(({ inDays }) => inDays);
    expect(due).toEqual([...due].sort((a, b) => a - b));
  }
  expect(listCare(readDemo("kranich-loop")).some(({ kind }) => kind === "lamp")).toBe(true);
  expect(listCare(readDemo("kranich")).some(({ kind }) => kind === "lamp")).toBe(false);
});

test("what was done is due again after its time, from the last time; over the turn of a year too", () => {
  const design = readDemo("kranich");
  const [due] = listDueCare(
    design,
    [done("primeTraps", "2025-12-01T09:00"), done("primeTraps", "2025-12-20T09:00")],
    "2026-01-01",
  ).filter(({ id }) => id === "primeTraps");
  expect(due).toMatchObject({ doneOn: "2025-12-20", dueOn: "2026-02-14", inDays: 44 });
});

// Worked by hand: 50 mm at 2.5 mm a week are half gone after 10 weeks, 20 mm after 4.
test("traps are filled before the shallowest has lost half of its water, and after eight weeks at the latest", () => {
  const design = readDemo("kranich");
  const every = (sealMm: number) => {
    const lines = design.lines.map((line) =>
      line.kind === "drain" ? withTrap(line, { ...findTrap(line)!, sealMm }) : line,
    );
    return listCare({ ...design, lines }).find(({ kind }) => kind === "primeTraps")?.everyDays;
  };
  expect([50, 20, 0].map(every)).toEqual([56, 28, undefined]);
});

// Worked by hand: 100 L at 50 mg/L are 5 g of chlorine, in bleach of 5 % 100 g.
test("100 L want 100 mL of 5 % bleach, 50 of 10 %", () => {
  expect(computeBleachMl(100, 5)).toBeCloseTo(100, 9);
  expect(computeBleachMl(100, 10)).toBeCloseTo(50, 9);
});

test("the fresh side is sanitised whole: its tanks and what is carried beside them", () => {
  for (const name of [...DEMO_NAMES, ...LOOP_NAMES]) {
    const design = readDemo(name);
    const tanksL = design.tanks.reduce(
      (sum, { holds, solid }) => (holds === "fresh" ? sum + measureCapacityL(solid) : sum),
      0,
    );
    const vesselsL = design.habits.vessels.reduce(
      (sum, { holds, litres }) => (holds === "fresh" ? sum + litres : sum),
      0,
    );
    const task = listCare(design).find(({ kind }) => kind === "sanitise");
    expect(task?.litres ?? 0).toBeCloseTo(tanksL + vesselsL, 9);
  }
});

test("a filter is due when its litres are through, not later than by the calendar; half the life, half the days", () => {
  const base = readDemo("kranich-loop");
  const withLife = (lifeL: number | null) => ({
    ...base,
    gear: base.gear.map((piece) =>
      piece.spec.kind === "filter" ? { ...piece, spec: { ...piece.spec, lifeL, holdsG: null } } : piece,
    ),
  });
  const days = (lifeL: number | null) =>
    listCare(withLife(lifeL) as typeof base).find(({ id }) => id === "filter:carbon")!.everyDays;
  expect(days(null)).toBe(180);
  expect(days(1e7)).toBe(180);
  const few = days(300);
  expect(few).toBeLessThan(180);
  expect(days(600) / few).toBeGreaterThan(1.7);
  expect(days(600) / few).toBeLessThan(2.3);
});

test("a filter behind the fresh tank holds no dirt of the showers, one in the loop does", () => {
  const base = readDemo("kranich-loop");
  const carbon = base.gear.find(({ id }) => id === "carbon")!;
  const spec = { ...carbon.spec, lifeL: null, holdsG: 20 } as typeof carbon.spec;
  const tank = base.tanks.find(({ holds }) => holds === "fresh")!;
  const hose = base.lines.find((line) => line.kind === "hose")!;
  const design = {
    ...base,
    gear: [
      ...base.gear.map((piece) => (piece === carbon ? { ...piece, spec } : piece)),
      { ...carbon, id: "drinking", spec },
    ],
    lines: [
      ...base.lines,
      {
        ...hose,
        id: "to-drinking",
        from: { kind: "tank" as const, tankId: tank.id, portId: tank.ports[0]!.id },
        to: { kind: "gear" as const, gearId: "drinking", port: "in" },
      },
    ],
  };
  const days = (id: string) => listCare(design as typeof base).find((task) => task.id === `filter:${id}`)!.everyDays;
  expect(days("carbon")).toBeLessThan(60);
  expect(days("drinking")).toBe(180);
});

test("a filter written down as changed counts where there is only one it can have been", () => {
  const base = readDemo("kranich-loop");
  const filters = base.gear.filter(({ spec }) => spec.kind === "filter" || spec.kind === "strainer");
  const line: LogEntry = { ...done("", "2026-04-20T09:00"), kind: "filter" };
  const doneOn = (count: number) => {
    const kept = new Set(filters.slice(0, count).map(({ id }) => id));
    const gear = base.gear.filter(
      ({ id, spec }) => (spec.kind !== "filter" && spec.kind !== "strainer") || kept.has(id),
    );
    const lines = base.lines.filter(({ kind }) => kind !== "hose");
    return listDueCare({ ...base, gear, lines, states: [] }, [line], "2026-05-01").filter(
      ({ kind }) => kind === "filter",
    )[0]!.doneOn;
  };
  expect(doneOn(1)).toBe("2026-04-20");
  if (filters.length > 1) expect(doneOn(2)).toBeNull();
});

test("what is due is the same whether the book was read line by line or at once, grown, put right or thinned", () => {
  const design = readDemo("kranich-loop");
  const ids = listCare(design).map(({ id }) => id);
  const steps = fc.array(
    fc.record({
      how: fc.constantFrom("add", "change", "remove"),
      taskId: fc.constantFrom(...ids),
      isFilter: fc.boolean(),
      day: fc.integer({ min: 1, max: 28 }),
      at: fc.nat(),
    }),
    { maxLength: 25 },
  );
  const due = (log: readonly LogEntry[]) =>
    listDueCare(design, log, "2026-05-01").map(({ id, doneOn }) => [id, doneOn]);
  fc.assert(
    fc.property(steps, (drawn) => {
      let log: readonly LogEntry[] = [];
      for (const { how, taskId, isFilter, day, at } of drawn) {
        const line: LogEntry = {
          ...done(taskId, `2026-04-${String(day).padStart(2, "0")}T09:00`),
          kind: isFilter ? "filter" : "care",
        };
        const place = log.length === 0 ? 0 : at % log.length;
        if (how === "add") log = [...log, line];
        else if (how === "change") log = log.map((one, i) => (i === place ? line : one));
        else log = log.filter((_, i) => i !== place);
        const grown = due(log);
        // another list of equal lines is another book
        expect(due(structuredClone(log) as LogEntry[])).toEqual(grown);
      }
    }),
    { numRuns: 40 },
  );
});

test("every part that wears is asked for: membranes, admittance valves, loops, sumps, toilets, black tanks", () => {
  const kindsOf = (name: Parameters<typeof readDemo>[0]) => new Set(listCare(readDemo(name)).map(({ kind }) => kind));
  const boat = kindsOf("otter-heads");
  for (const kind of ["membrane", "rinse", "bowl", "sump", "loopAir", "seacock"] as const) expect(boat).toContain(kind);
  const loop = kindsOf("kranich-loop");
  for (const kind of ["nonReturn", "filter", "lamp"] as const) expect(loop).toContain(kind);
  expect(loop).not.toContain("rinse");
  for (const design of ALL_DEMOS) {
    const tasks = listCare(design);
    const asked = new Set(tasks.map(({ id }) => id));
    for (const { id, spec } of design.gear) {
      if (spec.kind === "accumulator") expect(asked).toContain(`precharge:${id}`);
      if (spec.kind === "relief") expect(asked).toContain(`relief:${id}`);
      if (spec.kind === "nonReturn") expect(asked).toContain(`nonReturn:${id}`);
    }
    for (const { name } of tasks) expect(name).not.toBe("");
  }
});

test("what was just built is new: its care is due a span after the day it was ticked, until the book says otherwise", () => {
  const design = readDemo("otter-heads");
  const bowl = design.gear.find(({ spec }) => spec.kind === "bowl")!;
  const find = (log: readonly LogEntry[], built: Parameters<typeof listDueCare>[3]) =>
    listDueCare(design, log, "2026-06-01", built).find(({ id }) => id === `bowl:${bowl.id}`)!;
  expect(find([], [])).toMatchObject({ builtOn: null, dueOn: "2026-06-01" });
  const built = [{ stepId: `mountGear:${bowl.id}`, on: "2026-05-01" }];
  expect(find([], built)).toMatchObject({ doneOn: null, builtOn: "2026-05-01", dueOn: "2026-10-28", inDays: 149 });
  expect(find([done(`bowl:${bowl.id}`, "2026-05-20T08:00")], built)).toMatchObject({ dueOn: "2026-11-16" });
  // of several hoses the first one laid counts, and what no step builds is due as before
  const hoses = design.lines.filter(({ kind }) => kind === "hose").map(({ id }) => `layHose:${id}`);
  const laid = hoses.map((stepId, i) => ({ stepId, on: `2026-05-${String(10 + i).padStart(2, "0")}` })).reverse();
  const all = listDueCare(design, [], "2026-06-01", laid);
  expect(all.find(({ id }) => id === "clamps")).toMatchObject({ builtOn: "2026-05-10" });
  expect(all.find(({ id }) => id === "sanitise")).toMatchObject({ builtOn: null, inDays: 0 });
  // every step that is named is one of the building
  const steps = new Set(listSteps(design, evaluate(design)).map(({ id }) => id));
  for (const { newWith } of listCare(design)) for (const id of newWith) expect(steps).toContain(id);
});

// A second list in the plainest way: what each part is looked after for, part by part.
test("every part is asked for by what it is, once, and nothing that is not there", () => {
  const gearKinds: Readonly<Record<string, string>> = {
    strainer: "filter",
    filter: "filter",
    uvLamp: "lamp",
    skinFitting: "seacock",
    bowl: "bowl",
    sump: "sump",
    ventedLoop: "loopAir",
    accumulator: "precharge",
    relief: "relief",
    nonReturn: "nonReturn",
  };
  for (const design of ALL_DEMOS) {
    const wanted: string[] = [];
    for (const { id, spec } of design.gear) if (gearKinds[spec.kind]) wanted.push(`${gearKinds[spec.kind]}:${id}`);
    for (const { id, holds, ports, fixing, sender } of design.tanks) {
      if (holds === "black") wanted.push(`rinse:${id}`);
      if (ports.filter(({ kind }) => kind === "outlet").length > 0) wanted.push(`valve:${id}`);
      if (fixing !== null) wanted.push(`fixing:${id}`);
      if (sender !== null) wanted.push(`senders:${id}`);
    }
    let hasSeal = false;
    for (const line of design.lines) {
      if (line.kind === "vent" && line.to.kind === "openAir" && line.to.hasMesh) wanted.push(`mesh:${line.id}`);
      if (line.kind !== "drain") continue;
      const kinds = line.items.map((item) => (item.kind === "trap" ? item.trap.kind : item.kind));
      const isFlap = line.items.some((item) => item.kind === "inline" && item.piece === "nonReturn");
      if (kinds.includes("membrane") || isFlap) wanted.push(`membrane:${line.id}`);
      if (line.items.some((item) => item.kind === "branchVent" && item.vent.kind === "admittanceValve"))
        wanted.push(`admittance:${line.id}`);
      hasSeal ||= line.items.some(
        (item) => (item.kind === "trap" && item.trap.sealMm > 0) || (item.kind === "runningTrap" && item.sealMm > 0),
      );
    }
    if (hasSeal) wanted.push("primeTraps");
    if (design.lines.some(({ kind }) => kind === "hose")) wanted.push("clamps", "hoses");
    const holdsFresh = ({ holds }: { readonly holds: string }) => holds === "fresh";
    if (design.tanks.some(holdsFresh) || design.habits.vessels.some(holdsFresh)) wanted.push("sanitise");
    expect([
      design.name,
      listCare(design)
        .map(({ id }) => id)
        .sort(),
    ]).toEqual([design.name, wanted.sort()]);
  }
});

test("a lamp is changed after its hours at the showers' minutes, or after a year", () => {
  const base = readDemo("kranich-loop");
  const lamp = base.gear.find(({ spec }) => spec.kind === "uvLamp")!;
  const days = (lifeHours: number) => {
    const gear = base.gear.map((piece) =>
      piece === lamp ? { ...piece, spec: { ...piece.spec, lifeHours } as typeof piece.spec } : piece,
    );
    return listCare({ ...base, gear }).find(({ kind }) => kind === "lamp")!.everyDays;
  };
  expect(days(50_000)).toBe(365);
  const [few, twice] = [days(10), days(20)];
  expect(few).toBeLessThan(365);
  expect(twice / few).toBeGreaterThan(1.8);
  expect(twice / few).toBeLessThan(2.2);
});
