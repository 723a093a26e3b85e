import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Gear, GearKind, WorkingState } from "../design/gear";
import type { Hose, Tank } from "../design/plumbing";
import { computeLoopFigures } from "../gear/loopFigures";
import { USUAL_GEAR } from "../gear/usualGear";
import { evaluate } from "./evaluate";

// Used water that comes out of a shower as it went in, and heaters.

const isHose = (line: Design["lines"][number]): line is Hose => line.kind === "hose";
const withSpec = (design: Design, gearId: string, spec: object): Design => ({
  ...design,
  gear: design.gear.map((one) => (one.id === gearId ? ({ ...one, spec: { ...one.spec, ...spec } } as Gear) : one)),
});

const loop = readDemo("lesesaal-loop");
const SHOWER = "shower-from-the-loop";
const inShower = (design: Design, change: (state: WorkingState) => WorkingState): Design => ({
  ...design,
  states: design.states.map((state) => (state.id === SHOWER ? change(state) : state)),
});
const graded = (design: Design) => findAll(design, "loopUntreated").map(({ severity, lacks }) => [severity, lacks]);

test("used water comes out of a shower only past a lamp that is lit and a filter that is fine", () => {
  expect(graded(loop)).toEqual([]);
  const dark = inShower(loop, (state) => ({ ...state, on: state.on.filter((id) => id !== "lamp") }));
  expect(graded(dark)).toEqual([["must", "lamp"]]);
  const coarse = loop.gear.reduce(
    (design, { id, spec }) => (spec.kind === "filter" ? withSpec(design, id, { micron: 5.1 }) : design),
    loop,
  );
  expect(graded(coarse)).toEqual([["should", "filter"]]);
  expect(graded(withSpec(coarse, "fine", { micron: 5 }))).toEqual([]);
  // with the pump off it runs while pipes are emptied, and nobody showers
  expect(graded(inShower(dark, (state) => ({ ...state, on: [] })))).toEqual([]);
  // water that is not used before
  const clean = {
    ...dark,
    tanks: dark.tanks.map((tank): Tank => (tank.holds === "loop" ? { ...tank, holds: "fresh" } : tank)),
  };
  expect(graded(clean)).toEqual([]);
});

test("a way round the lamp is a way past no lamp", () => {
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  const own = loop.lines.filter(isHose);
  const after = own.find(({ from, to }) =>
    [from, to].some((end) => end.kind === "gear" && end.gearId === "lamp" && end.port === "out"),
  )!;
  const tee = (id: string): Gear => ({ ...loop.gear.find(({ spec }) => spec.kind === "tee")!, id });
  const isFrom = after.from.kind === "gear" && after.from.gearId === "lamp";
  const far = isFrom ? after.to : after.from;
  const before = own.find(({ from, to }) =>
    [from, to].some((end) => end.kind === "gear" && end.gearId === "lamp" && end.port === "in"),
  )!;
  const nearEnd = before.to.kind === "gear" && before.to.gearId === "lamp" ? before.from : before.to;
  const hose = (id: string, from: Hose["from"], to: Hose["to"]): Hose => ({
    ...after,
    id,
    name: id,
    from,
    to,
    pointsMm: [],
  });
  const round: Design = {
    ...loop,
    gear: [...loop.gear, tee("t1"), tee("t2")],
    lines: [
      ...loop.lines.filter((line) => line !== after && line !== before),
      hose("r1", nearEnd, at("t1", "a")),
      hose("r2", at("t1", "b"), at("lamp", "in")),
      hose("r3", at("lamp", "out"), at("t2", "a")),
      hose("r4", at("t2", "b"), far),
      hose("r5", at("t1", "c"), at("t2", "c")),
    ],
  };
  expect(graded(round)).toEqual([["must", "lamp"]]);
});

test("a lamp is too dim below three log steps of Cryptosporidium, and cooks what stands", () => {
  const { leastMjPerCm2 } = computeLoopFigures(loop)!.dose!;
  const watts = (times: number) => {
    const { spec } = loop.gear.find(({ id }) => id === "lamp")!;
    if (spec.kind !== "uvLamp") throw new Error("no lamp");
    return withSpec(loop, "lamp", { uvcWatts: spec.uvcWatts * times });
  };
  // 12 mJ/cm² at the far wall [P: US EPA UVDGM 2006, table 1.4, from memory]; dose goes with the lamp's power
  expect(isSaid(watts((12 / leastMjPerCm2) * 1.001), "uvWeak")).toBe(false);
  const [weak] = findAll(watts((12 / leastMjPerCm2) * 0.99), "uvWeak");
  expect(weak!.doseMjPerCm2).toBeCloseTo(12 * 0.99, 6);
  const still = inShower(loop, (state) => ({ ...state, on: ["lamp"], openTaps: [] }));
  expect(findAll(still, "lampCooks")).toMatchObject([{ severity: "should", at: { kind: "gear", id: "lamp" } }]);
  expect(isSaid(loop, "lampCooks")).toBe(false);
});

test("a heater wants a relief with nothing that shuts between, and a mixer before skin", () => {
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  const piece = (id: string, kind: GearKind): Gear => ({ ...loop.gear[0]!, id, name: id, ...USUAL_GEAR[kind] });
  const any = loop.lines.find(isHose)!;
  const hose = (from: Hose["from"], to: Hose["to"], i: number): Hose => ({
    ...any,
    id: `x${i}`,
    from,
    to,
    pointsMm: [],
  });
  const chain = (kinds: readonly GearKind[], more: readonly Gear[] = []): Design => {
    const ports: Partial<Record<GearKind, readonly [string, string]>> = { mixer: ["hot", "out"], tee: ["a", "b"] };
    const gear = kinds.map((kind, i) => piece(`${kind}${i}`, kind));
    return {
      ...loop,
      gear: [...gear, ...more],
      fixtures: [],
      tanks: [],
      states: [],
      lines: gear.slice(1).map((next, i) => {
        const [now, kind, then] = [gear[i]!, kinds[i]!, kinds[i + 1]!];
        return hose(at(now.id, ports[kind]?.[1] ?? "out"), at(next.id, ports[then]?.[0] ?? "in"), i);
      }),
    };
  };
  const told = (design: Design) =>
    evaluate(design, LEVEL).findings.flatMap(({ code }) =>
      code.startsWith("heater") && code !== "heaterUnrated" ? [code] : [],
    );
  expect(told(chain(["heater", "tap"]))).toEqual(["heaterUnrelieved", "heaterUnmixed"]);
  expect(told(chain(["heater", "mixer", "tap"]))).toEqual(["heaterUnrelieved"]);
  expect(told(chain(["heater", "relief"]))).toEqual([]);
  expect(told(chain(["heater", "valve", "relief"]))).toEqual(["heaterUnrelieved"]);
  expect(told(chain(["relief"]))).toEqual([]);
  // one that holds nothing has nothing that grows
  expect(told(withSpec(chain(["heater", "mixer", "tap"]), "heater0", { litres: 0 }))).toEqual([]);
  // a tap one drinks at scalds nobody, one for the deck neither; a filter between cools nothing
  const end = (use: "drinking" | "deckWash" | "washing") => told(withSpec(chain(["heater", "tap"]), "tap1", { use }));
  expect(end("drinking")).toEqual(["heaterUnrelieved"]);
  expect(end("deckWash")).toEqual(["heaterUnrelieved"]);
  expect(end("washing")).toEqual(["heaterUnrelieved", "heaterUnmixed"]);
  expect(told(chain(["heater", "filter", "tap"]))).toEqual(["heaterUnrelieved", "heaterUnmixed"]);
  // a cold tap that hangs on the pipe to a heater is not scalded by it, but where water is pushed in at its outlet
  const spray = piece("spray", "tap");
  const fork = piece("fork", "tee");
  const main = { ...piece("main", "coupling") };
  const cold = (from: "in" | "out") => {
    const rig = chain(["heater", "relief"], [spray, fork, main]);
    const far = from === "in" ? "out" : "in";
    return {
      ...rig,
      lines: [
        hose(at("main", "out"), at("fork", "a"), 91),
        hose(at("fork", "b"), at("heater0", from), 92),
        hose(at("fork", "c"), at("spray", "in"), 93),
        hose(at("heater0", far), at("relief1", "in"), 94),
      ],
    };
  };
  // fed at its outlet by itself it gives its hot water at its inlet
  const turned = {
    ...cold("out"),
    lines: [hose(at("main", "out"), at("heater0", "out"), 91), hose(at("heater0", "in"), at("spray", "in"), 92)],
  };
  expect(told(turned)).toEqual(["heaterUnrelieved", "heaterUnmixed"]);
  // a relief valve behind it does as well as one before it
  const behind = { ...cold("in"), lines: [hose(at("heater0", "out"), at("relief1", "in"), 91)] };
  expect(told(behind)).toEqual([]);
  expect(told(cold("in"))).toEqual([]);
  expect(told(cold("out"))).toEqual(["heaterUnmixed"]);
  const drunk = withSpec(chain(["heater", "relief"]), "heater0", { litres: 5 });
  expect(told(drunk)).toEqual([]);
});
