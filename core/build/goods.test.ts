import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import type { Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { listParts } from "../parts/listParts";
import { listHoles } from "../through/holes";
import { computeBellySpanMm, countClips, findClipSpacingMm } from "./clipSpacing";
import { COUNTERS, type Good, listGoods } from "./goods";
import { listPortGoods } from "./portGoods";
import { listBuilt } from "./progress";
import { listOpenSteps, listSteps, moveStep, orderSteps } from "./steps";
import { listWires } from "./wiring";

const ALL = [...DEMO_NAMES, ...LOOP_NAMES, FURNISHED, HEADS_NAME, ...HEADS_NAMES] as const;
const of = (goods: readonly Good[], kind: Good["ware"]["kind"]) => goods.filter(({ ware }) => ware.kind === kind);

test("a warm pipe bellies sooner: 40 × 1.8 mm of polypropylene full of water at 2 % [worked by hand]", () => {
  const pipe = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
  expect(computeBellySpanMm(pipe, 0.02, 1.3)).toBeCloseTo(1267, -1);
  expect(computeBellySpanMm(pipe, 0.02, 0.3)).toBeCloseTo(777, -1);
});

test("more fall never asks for more clips, no two clips are further apart than asked, and none is forgotten", () => {
  const pipe = fc.record({
    innerMm: fc.double({ min: 20, max: 100, noNaN: true }),
    wall: fc.double({ min: 1, max: 5, noNaN: true }),
  });
  fc.assert(
    fc.property(
      pipe,
      fc.double({ min: -0.05, max: 0.2, noNaN: true }),
      fc.double({ min: 0, max: 9_000, noNaN: true }),
      (p, slope, lengthMm) => {
        const real = { innerMm: p.innerMm, outerMm: p.innerMm + 2 * p.wall, manningN: 0.009 };
        const spacing = findClipSpacingMm(real, slope);
        expect(findClipSpacingMm(real, slope + 0.01)).toBeGreaterThanOrEqual(spacing);
        const clips = countClips(lengthMm, spacing);
        if (lengthMm >= 100) expect(lengthMm / (clips - 1)).toBeLessThanOrEqual(spacing + 1e-9);
      },
    ),
  );
});

test("plates go behind through bolts alone; straps, stops and foam by what holds the tank", () => {
  const kranich = readDemo("kranich");
  const [tank] = kranich.tanks;
  const hold = (change: Partial<NonNullable<Tank["fixing"]>>) => {
    const design = { ...kranich, tanks: [{ ...tank!, fixing: { ...tank!.fixing!, bolts: 6, ...change } }] };
    const goods = listGoods(design, evaluate(design));
    const count = (kind: Good["ware"]["kind"]) => of(goods, kind).reduce((sum, { amount }) => sum + amount, 0);
    return { plates: count("backPlate"), straps: count("strap"), stops: count("endStop"), foam: count("foamStrip") };
  };
  expect(hold({ fastener: "through", hasPlate: true })).toMatchObject({ plates: 6, straps: 0, stops: 0, foam: 0 });
  expect(hold({ fastener: "through", hasPlate: false }).plates).toBe(0);
  expect(hold({ fastener: "rivetNut", hasPlate: true }).plates).toBe(0);
  const strapped = hold({ kind: "straps", hasEndStop: true });
  expect(strapped).toMatchObject({ straps: 3, stops: 2 });
  expect(strapped.foam).toBeGreaterThan(0);
});

test.each(ALL)("%s: every tank, line and piece of gear has its goods, every amount is above nothing", (name) => {
  const design = readDemo(name);
  const goods = listGoods(design, evaluate(design));
  for (const { amount, counter } of goods) {
    expect(amount).toBeGreaterThan(0);
    expect(COUNTERS).toContain(counter);
  }
  const at = new Set(goods.map(({ assembly }) => ("id" in assembly ? `${assembly.kind}:${assembly.id}` : "rig")));
  for (const { id } of design.tanks) expect(at).toContain(`tank:${id}`);
  for (const { id } of design.lines) expect(at).toContain(`line:${id}`);
  for (const { id } of design.gear) expect(at).toContain(`gear:${id}`);
  // every port has its fitting, every bolt its hold
  expect(of(goods, "portFitting")).toHaveLength(design.tanks.reduce((sum, { ports }) => sum + ports.length, 0));
  const bolts = [...of(goods, "bolt"), ...of(goods, "screw")].reduce((sum, { amount }) => sum + amount, 0);
  expect(bolts).toBe(design.tanks.reduce((sum, { fixing }) => sum + (fixing?.bolts ?? 0), 0));
});

test("the pipes and fittings of all lines are those of the parts list, no metre more or less", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const listed = listParts(design).flatMap((part) => (part.kind === "pipe" ? [part.lengthM] : []));
      const goods = of(listGoods(design, evaluate(design)), "part");
      const metres = goods.reduce(
        (sum, { ware, amount }) => (ware.kind === "part" && ware.part.kind === "pipe" ? sum + amount : sum),
        0,
      );
      expect(metres).toBeCloseTo(
        listed.reduce((sum, one) => sum + one, 0),
        6,
      );
    }),
    { numRuns: 25 },
  );
});

test("an order that is wished keeps every need, and a step is moved exactly where that is allowed", () => {
  fc.assert(
    fc.property(networks, fc.nat(), fc.nat(), fc.boolean(), (design, a, b, isBefore) => {
      const order = orderSteps(listSteps(design, evaluate(design)));
      if (!order.ok || order.steps.length < 2) return;
      const step = order.steps[a % order.steps.length]!;
      const target = order.steps[b % order.steps.length]!;
      if (step === target) return;
      const moved = moveStep(order.steps, step.id, target.id, isBefore ? "before" : "after");
      if (!moved.ok) {
        // what stands against it is true: the one needs the other
        expect(order.steps.find(({ id }) => id === moved.stepId)!.after).toContain(moved.needsId);
        return;
      }
      const again = orderSteps(order.steps, moved.wished);
      expect(again.ok && again.steps.map(({ id }) => id)).toEqual(moved.wished);
      const place = moved.wished.indexOf(step.id) - moved.wished.indexOf(target.id);
      expect(place).toBe(isBefore ? -1 : 1);
    }),
    { numRuns: 60 },
  );
});

test("a wish that cannot be kept is bent, not broken: needs go first whatever is wished", () => {
  fc.assert(
    fc.property(networks, fc.infiniteStream(fc.nat()), (design, chance) => {
      const steps = listSteps(design, evaluate(design));
      const wished = steps
        .map(({ id }) => ({ id, at: chance.next().value as number }))
        .sort((a, b) => a.at - b.at)
        .map(({ id }) => id);
      const order = orderSteps(steps, wished);
      if (!order.ok) throw new Error("a circle");
      const place = new Map(order.steps.map(({ id }, i) => [id, i]));
      for (const { id, after } of order.steps)
        for (const need of after) expect(place.get(need)!).toBeLessThan(place.get(id)!);
    }),
    { numRuns: 40 },
  );
});

test("ticked to its end, everything is solid; the step under the hand lights its part", () => {
  for (const name of ALL) {
    const design = readDemo(name);
    const order = orderSteps(listSteps(design, evaluate(design)));
    if (!order.ok) throw new Error(name);
    const done = new Set<string>();
    for (let open = listOpenSteps(order.steps, done); open.length > 0; open = listOpenSteps(order.steps, done)) {
      const [step] = open;
      const built = listBuilt(design, done, step!);
      const { at } = step!;
      if (at.kind === "tank" || at.kind === "line" || at.kind === "gear")
        expect(built.get(`${at.kind}:${at.id}`)).toBe("lit");
      done.add(step!.id);
    }
    expect(done.size).toBe(order.steps.length);
    expect(new Set(listBuilt(design, done, null).values())).toEqual(new Set(["solid"]));
    expect(new Set(listBuilt(design, new Set(), null).values())).toEqual(new Set(["thin"]));
  }
});

test("a saw out of the own box is not bought, and what it cuts too large takes more sealant", () => {
  for (const name of DEMO_NAMES) {
    const design = readDemo(name);
    const evaluation = evaluate(design);
    const saws = (own: readonly number[]) =>
      listGoods(design, evaluation, own).filter(({ ware }) => ware.kind === "holeSaw").length;
    const sealant = (own: readonly number[]) =>
      listGoods(design, evaluation, own).reduce(
        (sum, { ware, amount }) => sum + (ware.kind === "sealant" ? amount : 0),
        0,
      );
    const holes = listHoles(design, evaluation);
    const exact = [...new Set(holes.map(({ lengthMm }) => lengthMm))];
    expect(saws(exact)).toBe(0);
    expect(saws([])).toBe(holes.length);
    const larger = exact.map((mm) => mm + 3);
    expect(sealant(larger)).toBeGreaterThanOrEqual(sealant(exact));
    // far too large is no saw for it
    expect(saws(exact.map((mm) => mm + 500))).toBe(holes.length);
  }
});

test("a fitting in a hull takes its seacock, a block and what it is bedded on; a tank its heating pad, and a toilet's motor its cable", () => {
  const boat = readDemo("otter-heads");
  const goods = listGoods(boat, evaluate(boat));
  for (const { id, spec } of boat.gear) {
    if (spec.kind !== "skinFitting") continue;
    const own = goods
      .filter(({ assembly }) => assembly.kind === "gear" && assembly.id === id)
      .map(({ ware }) => ware.kind);
    expect(own).toContain("bedding");
    expect(own.includes("seacock")).toBe(spec.hasSeacock);
    expect(own.includes("backingBlock")).toBe(spec.hasBacking !== false);
  }
  const turn = (bowl: "handPump" | "macerating") => ({
    ...boat,
    gear: boat.gear.map((piece) => (piece.spec.kind === "bowl" ? { ...piece, spec: { ...piece.spec, bowl } } : piece)),
  });
  const loads = (design: typeof boat) => listWires(design).map(({ load }) => load.id);
  const bowl = boat.gear.find(({ spec }) => spec.kind === "bowl")!;
  expect(loads(turn("macerating"))).toContain(bowl.id);
  expect(loads(turn("handPump"))).not.toContain(bowl.id);
  const bare = readDemo("kranich");
  const padsOf = (design: typeof bare) =>
    listGoods(design, evaluate(design)).flatMap(({ ware }) => (ware.kind === "heaterPad" ? [ware.watts] : []));
  expect(padsOf(bare)).toEqual([]);
  expect(padsOf({ ...bare, tanks: bare.tanks.map((tank) => ({ ...tank, padW: 150 })) })).toEqual([150]);
});

test("a load no cable sold is thick enough for stands in the parts, and is not passed over", () => {
  const base = readDemo("kranich-loop");
  const gear = base.gear.map((piece) =>
    piece.spec.kind === "pump" ? { ...piece, spec: { ...piece.spec, watts: 3_000 } } : piece,
  );
  const design = { ...base, gear };
  const wires = listWires(design);
  const thin = wires.filter(({ sizeMm2 }) => sizeMm2 === null).map(({ load }) => load.name);
  expect(thin).not.toEqual([]);
  const told = listGoods(design, evaluate(design)).flatMap(({ ware }) => (ware.kind === "noCable" ? [ware.to] : []));
  expect(told).toEqual(thin);
});

test("where a nut has room a bulkhead is bought, in the corner a socket that is welded in; threads are sealed as they need", () => {
  const kranich = readDemo("kranich");
  const [tank] = kranich.tanks;
  const list = (change: (port: Tank["ports"][number]) => Tank["ports"][number]) =>
    listPortGoods({ ...tank!, ports: tank!.ports.map(change) });
  const welded = (goods: ReturnType<typeof list>) =>
    goods.flatMap(({ ware }) => (ware.kind === "portFitting" && ware.isWelded ? [ware.port] : []));
  const count = (goods: ReturnType<typeof list>, kind: string) => goods.filter(({ ware }) => ware.kind === kind).length;
  expect(welded(list((port) => port))).toEqual(["inlet", "outlet"]);
  const free = (port: Tank["ports"][number]) =>
    port.kind === "vent" ? port : { ...port, atMm: { ...port.atMm, z: 70 } };
  expect(welded(list(free))).toEqual([]);
  const threaded = list((port) => ({ ...free(port), thread: "g112" }));
  expect([count(threaded, "sealWasher"), count(threaded, "threadTape")]).toEqual([tank!.ports.length, 0]);
  const socketed = list((port) => ({ ...port, thread: "g112" }));
  expect([count(socketed, "sealWasher"), count(socketed, "threadTape")]).toEqual([1, 2]);
  expect(count(socketed, "dumpValve")).toBe(tank!.ports.filter(({ valve }) => valve).length);
});
