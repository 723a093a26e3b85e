import "../evaluate/fitted";
import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { computeLoopFigures } from "./loopFigures";
import { findLoopShower } from "./loopShower";
import { USUAL_GEAR } from "./usualGear";

const loops = (["kranich-loop", "lesesaal-loop"] as const).map(readDemo);
const [van] = loops as [Design, Design];
const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });

/** A piece put into a hose, which becomes two. */
function insert(design: Design, hoseId: string, piece: Gear): Design {
  const hose = design.lines.find((line): line is Hose => line.kind === "hose" && line.id === hoseId)!;
  return {
    ...design,
    gear: [piece, ...design.gear],
    lines: [
      ...design.lines.map((line) => (line === hose ? { ...hose, to: at(piece.id, "in"), pointsMm: [] } : line)),
      { ...hose, id: `${hoseId}-on`, from: at(piece.id, "out"), pointsMm: [] },
    ],
  };
}
const lampOf = (id: string, uvcWatts: number): Gear => {
  const { spec } = van.gear.find((piece) => piece.spec.kind === "uvLamp")!;
  return {
    ...USUAL_GEAR.uvLamp,
    id,
    name: id,
    atMm: { x: 600, y: 0, z: 20 },
    spec: { ...spec, uvcWatts } as Gear["spec"],
  };
};
/** Another lamp lit wherever the loop's own is. */
const light = (design: Design, id: string): Design => ({
  ...design,
  states: design.states.map((state) => (state.on.includes("lamp") ? { ...state, on: [...state.on, id] } : state)),
});
const filterOf = (id: string): Gear => {
  const { spec } = van.gear.find((piece) => piece.spec.kind === "filter")!;
  return {
    ...USUAL_GEAR.filter,
    id,
    name: id,
    atMm: { x: 600, y: 0, z: 20 },
    spec: { ...spec, lifeL: 100, holdsG: null } as Gear["spec"],
  };
};

test("in which order gear and states stand in the file changes nothing of the loop's figures", () => {
  fc.assert(
    fc.property(fc.constantFrom(...loops), fc.infiniteStream(fc.nat()), (design, stream) => {
      const shuffle = <T>(list: readonly T[]): T[] =>
        list
          .map((one) => [stream.next().value, one] as const)
          .sort(([a], [b]) => a - b)
          .map(([, one]) => one);
      const other = { ...design, gear: shuffle(design.gear), states: shuffle(design.states) };
      const [is, was] = [computeLoopFigures(other), computeLoopFigures(design)];
      const { lpm, kPa, throttle, ...rest } = is!;
      const { lpm: wasLpm, kPa: wasKPa, throttle: wasThrottle, ...before } = was!;
      expect(lpm).toBeCloseTo(wasLpm, 6);
      expect(kPa).toBeCloseTo(wasKPa!, 6);
      expect(throttle?.linkId).toBe(wasThrottle?.linkId);
      for (const key of ["stateId", "tapId", "showers", "because", "lampWh", "pumpWh"] as const)
        expect(rest[key]).toEqual(before[key]);
    }),
    { numRuns: 40 },
  );
});

test("fresh water that comes to the same head is no loop: a state that refills through it is passed over, wherever it stands", () => {
  const [refill] = van.states.filter(({ id }) => id === "refill");
  const first = { ...van, states: [refill!, ...van.states.filter((state) => state !== refill)] };
  expect(findLoopShower(first)?.state.id).toBe("shower-from-the-loop");
  expect(findLoopShower({ ...van, states: [refill!] })).toBeNull();
  expect(computeLoopFigures({ ...van, states: [] })).toBeNull();
});

test("the state that runs the most is the one that counts: with two heads open each gets less, and the lamp is held against one alone", () => {
  const head = van.gear.find(({ id }) => id === "head")!;
  const into = van.lines.find(
    (line): line is Hose => line.kind === "hose" && line.to.kind === "gear" && line.to.gearId === "head",
  )!;
  const tee: Gear = { ...USUAL_GEAR.tee, id: "fork", name: "Fork", atMm: { x: 500, y: -400, z: 100 } };
  const two: Design = {
    ...van,
    gear: [...van.gear, { ...head, id: "head-2", name: "Second head" }, tee],
    lines: [
      ...van.lines.map((line) => (line === into ? { ...into, to: at("fork", "a") } : line)),
      { ...into, id: "to-1", from: at("fork", "b"), to: at("head", "in"), pointsMm: [] },
      { ...into, id: "to-2", from: at("fork", "c"), to: at("head-2", "in"), pointsMm: [] },
    ],
  };
  const alone = two.states.find(({ id }) => id === "shower-from-the-loop")!;
  const both = { ...alone, id: "both", name: "Both", openTaps: ["head", "head-2"] };
  const states = [both, ...two.states];
  const figures = computeLoopFigures({ ...two, states })!;
  expect(figures.stateId).toBe(alone.id);
  expect(figures.lpm).toBeGreaterThan(computeLoopFigures({ ...two, states: [both] })!.lpm + 0.5);
  // a lamp that would do for two heads and not for one is told
  const doseAt = (design: Design) => computeLoopFigures(design)!.dose!.leastMjPerCm2;
  const slow = doseAt({ ...two, states: [both] });
  const uvcWatts = (5 * 12 * 1.02) / slow;
  const lamp = van.gear.find(({ spec }) => spec.kind === "uvLamp")!;
  const dim = {
    ...two,
    states,
    gear: two.gear.map((piece) =>
      piece.id === lamp.id ? { ...piece, spec: { ...piece.spec, uvcWatts } as Gear["spec"] } : piece,
    ),
  };
  expect(doseAt({ ...dim, states: [both] })).toBeGreaterThan(12);
  expect(evaluate(dim).findings.map(({ code }) => code)).toContain("uvWeak");
});

test("a filter or a lamp in the fresh water is no part of the loop, one in the loop is, whichever stands first in the file", () => {
  const before = computeLoopFigures(van)!;
  const fresh = computeLoopFigures(insert(insert(van, "hose-14", filterOf("f")), "hose-13", lampOf("l", 0.1)))!;
  expect([fresh.showers, fresh.because, fresh.dose!.lampId]).toEqual([before.showers, before.because, "lamp"]);
  const own = computeLoopFigures(insert(van, "hose-9", filterOf("f")))!;
  expect(own.because).toBe("filter");
  expect(own.showers).toBe(Math.floor(100 / (own.lpm * 8)));
  // of two lamps in a row the stronger one counts
  const twice = computeLoopFigures(insert(van, "hose-9", lampOf("l", 0.1)))!;
  expect(twice.dose!.lampId).toBe("lamp");
  const stronger = computeLoopFigures(light(insert(van, "hose-9", lampOf("l", 50)), "l"))!;
  expect(stronger.dose!.lampId).toBe("l");
});

test("a strong lamp that is dark does not speak for a dim one that is lit", () => {
  const dark = (design: Design): Design => ({
    ...design,
    states: design.states.map((state) => ({ ...state, on: state.on.filter((id) => id !== "lamp") })),
  });
  const two = light(insert(van, "hose-9", lampOf("dim", 0.5)), "dim");
  const told = (design: Design) => evaluate(design).findings.filter(({ code }) => code === "uvWeak");
  expect(told(two)).toEqual([]);
  expect(told(dark(two))).toMatchObject([{ at: { kind: "gear", id: "dim" } }]);
});

test("only an accumulator that is open to the loop lets its pump rest", () => {
  // a pump strong enough to outrun half the flow
  const strong = (design: Design): Design => ({
    ...design,
    gear: design.gear.map((piece) =>
      piece.spec.kind === "pump" ? { ...piece, spec: { ...piece.spec, freeLpm: 20, shutOffKPa: 700 } } : piece,
    ),
  });
  expect(computeLoopFigures(strong(van))!.cycle).not.toBeNull();
  const accumulator = van.gear.find(({ spec }) => spec.kind === "accumulator")!;
  const cut = { ...van, lines: van.lines.filter(({ id }) => id !== "hose-4") };
  expect(findLoopShower(cut)!.accumulators).toEqual([]);
  expect(computeLoopFigures(strong(cut))!.cycle).toBeNull();
  expect(findLoopShower(van)!.accumulators).toEqual([accumulator]);
});

test("of two loops on one rig each lamp is held against its own shower, whichever stands first", () => {
  const other = {
    tanks: van.tanks.filter(({ holds }) => holds === "loop"),
    gear: van.gear,
    lines: van.lines.filter((line): line is Hose => line.kind === "hose"),
    states: van.states.filter(({ id }) => id === "shower-from-the-loop"),
  };
  const KEYS = new Set(["id", "tankId", "portId", "gearId"]);
  const rename = (value: unknown, key = ""): unknown => {
    if (typeof value === "string") return KEYS.has(key) || key === "on" || key === "openTaps" ? `${value}-b` : value;
    if (Array.isArray(value)) return value.map((one) => rename(one, key));
    if (value === null || typeof value !== "object") return value;
    return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, rename(one, name)]));
  };
  const copy = rename({
    ...other,
    lines: other.lines.filter(
      ({ from, to }) =>
        ![from, to].some((end) => end.kind === "tank" && !other.tanks.some(({ id }) => id === end.tankId)),
    ),
  }) as Pick<Design, "tanks" | "gear" | "lines" | "states">;
  const dim = copy.gear.map((piece) =>
    piece.spec.kind === "uvLamp" ? { ...piece, spec: { ...piece.spec, uvcWatts: 1 } } : piece,
  );
  for (const isFirst of [true, false]) {
    const join = <T>(own: readonly T[], more: readonly T[]): T[] => (isFirst ? [...more, ...own] : [...own, ...more]);
    const both: Design = {
      ...van,
      tanks: join(van.tanks, copy.tanks),
      gear: join(van.gear, dim),
      lines: join(van.lines, copy.lines),
      states: join(van.states, copy.states),
    };
    const weak = evaluate(both).findings.flatMap(({ code, at: part }) =>
      code === "uvWeak" && part.kind === "gear" ? [part.id] : [],
    );
    expect(weak).toEqual(["lamp-b"]);
  }
});
