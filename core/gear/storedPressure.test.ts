import "../evaluate/fitted";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Gear, WorkingState } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { proveEveryPosition } from "./everyPosition";
import { buildGearGraph } from "./gearGraph";
import { listEveryHazard, proveInterlock } from "./interlock";
import { findPassing, listFailures, toSetting } from "./settings";
import { listJudgedStates } from "./turns";
import { USUAL_GEAR } from "./usualGear";

const loop = readDemo("kranich-loop");
const stored = (design: Design) => proveInterlock(design).filter((hazard) => hazard.stored !== undefined);
const without = (design: Design, id: string): Design => ({
  ...design,
  gear: design.gear.filter((piece) => piece.id !== id),
  lines: design.lines.filter(
    (line) => line.kind !== "hose" || [line.from, line.to].every((end) => end.kind !== "gear" || end.gearId !== id),
  ),
});

test("what the loop's pump pressed into its accumulator comes to the drinking tap as soon as the valve is opened to refill", () => {
  const [found, ...others] = stored(loop).filter(({ failure }) => failure === null);
  expect(others).toEqual([]);
  expect(found).toMatchObject({
    kind: "fouls",
    water: "loop",
    stateId: "refill",
    gearId: "sinktap",
    stored: { gearId: "accumulator", stateId: "shower-from-the-loop" },
  });
  // from the accumulator through the motor valve to the tap, each once
  expect(found!.way.filter((id) => id.startsWith("hose-"))).toEqual([
    "hose-4",
    "hose-5",
    "hose-16",
    "hose-15",
    "hose-14",
  ]);
  expect(found!.way).toContain("motorvalve");
  expect(findAll(loop, "waterFouled").filter(({ storedIn }) => storedIn !== null)).toMatchObject([
    {
      storedIn: "Accumulator",
      chargedIn: "Shower from the loop",
      fromName: loop.tanks.find(({ id }) => id === "loop")!.name,
    },
  ]);
  // nothing is stored where there is no accumulator, or where no pump fills it
  expect(stored(without(loop, "accumulator"))).toEqual([]);
  const still = {
    ...loop,
    states: loop.states.map((state) => ({ ...state, on: state.on.filter((id) => id !== "pump") })),
  };
  expect(stored(still).filter(({ failure }) => failure === null)).toEqual([]);
});

/** One pump with an accumulator behind it, and a three-way valve before it: loop water by one way, fresh by the other. */
function switched(pump: "diaphragm" | "centrifugal"): Design {
  const [tank] = loop.tanks as [Design["tanks"][number]];
  const draw = { ...tank.ports[0]!, kind: "outlet" as const, id: "draw" };
  const hose = loop.lines.find((line): line is Hose => line.kind === "hose")!;
  const at = (id: string) => loop.tanks.find((one) => one.id === id)!;
  const piece = (id: string, kind: Gear["spec"]["kind"], x: number): Gear => ({
    id,
    name: id,
    atMm: { x, y: 500, z: 20 },
    ...USUAL_GEAR[kind],
  });
  const motor = piece("motor", "pump", 700);
  const ends: readonly (readonly [Hose["from"], Hose["to"]])[] = [
    [
      { kind: "tank", tankId: "loop", portId: "draw" },
      { kind: "gear", gearId: "way", port: "a" },
    ],
    [
      { kind: "tank", tankId: "fresh", portId: "draw" },
      { kind: "gear", gearId: "way", port: "b" },
    ],
    [
      { kind: "gear", gearId: "way", port: "common" },
      { kind: "gear", gearId: "motor", port: "in" },
    ],
    [
      { kind: "gear", gearId: "motor", port: "out" },
      { kind: "gear", gearId: "branch", port: "a" },
    ],
    [
      { kind: "gear", gearId: "branch", port: "c" },
      { kind: "gear", gearId: "store", port: "in" },
    ],
    [
      { kind: "gear", gearId: "branch", port: "b" },
      { kind: "gear", gearId: "head", port: "in" },
    ],
  ];
  const state = (id: string, way: "a" | "b"): WorkingState => ({
    ...loop.states[0]!,
    id,
    name: id,
    on: ["motor"],
    positions: [{ gearId: "way", at: way }],
    openTaps: ["head"],
  });
  return {
    ...loop,
    tanks: ["loop", "fresh"].map((id) => ({ ...at(id), ports: [draw] })),
    gear: [
      piece("way", "diverter", 400),
      { ...motor, spec: { ...motor.spec, pump } as Gear["spec"] },
      piece("branch", "tee", 900),
      piece("store", "accumulator", 1_100),
      { ...loop.gear.find(({ id }) => id === "head")!, id: "head" },
    ],
    lines: ends.map(([from, to], i): Hose => ({ ...hose, id: `h${i}`, from, to, pointsMm: [] })),
    states: [state("loop-shower", "a"), state("fresh-shower", "b")],
  };
}

test("over a three-way valve and one pump the stored water comes to the fresh tank through a pump that leaks back, or lets it by", () => {
  const tight = stored(switched("diaphragm"));
  expect(tight).toMatchObject([
    {
      stateId: "fresh-shower",
      tankId: "fresh",
      failure: { kind: "leaksBack", gearId: "motor" },
      stored: { gearId: "store", stateId: "loop-shower" },
    },
  ]);
  expect(stored(switched("centrifugal")).filter(({ failure }) => failure === null)).toMatchObject([
    { tankId: "fresh" },
  ]);
  // over every position it is found as well, with the way that is turned
  const { ways } = proveEveryPosition(switched("centrifugal"))!;
  expect(ways.filter(({ tankId, failure }) => tankId === "fresh" && failure === null)).not.toEqual([]);
});

// In the plainest way: every pair of working states, every failure, everything that is open from the accumulator on.
test("for every sample what is stored is told exactly where it is open to what is drunk, and nothing else tells it already", () => {
  let met = 0;
  for (const design of [...ALL_DEMOS, switched("diaphragm"), switched("centrifugal")]) {
    const graph = buildGearGraph(design);
    const hazards = listEveryHazard(design).filter(({ kind }) => kind === "fouls");
    const open = (setting: ReturnType<typeof toSetting>, start: string, isPumped: boolean): Map<string, boolean> => {
      const seen = new Map([[start, !isPumped]]);
      const queue = [start];
      for (const node of queue)
        for (const link of [...graph.links, ...graph.drops]) {
          const { forward, back, isDriven } = findPassing(link, setting);
          for (const [from, to, passes, drives] of [
            [link.from, link.to, forward, isDriven],
            [link.to, link.from, back, false],
          ] as const) {
            if (from !== node || !passes) continue;
            const driven = seen.get(node)! || drives;
            if (seen.has(to) && (seen.get(to) || !driven)) continue;
            seen.set(to, driven);
            queue.push(to);
          }
        }
      return seen;
    };
    for (const failure of [null, ...listFailures(design.gear)]) {
      const settings = listJudgedStates(design).map((state) => ({ state, setting: toSetting(state, failure) }));
      for (const { id } of design.gear.filter(({ spec }) => spec.kind === "accumulator")) {
        const isCharged = graph.ends.some(
          ({ holds, isEverWet, node }) =>
            ["grey", "black", "loop", "sea"].includes(holds ?? "") &&
            isEverWet &&
            settings.some(({ setting }) => open(setting, node, true).get(`${id}:in`) === true),
        );
        for (const { state, setting } of settings) {
          const reached = open(setting, `${id}:in`, false);
          for (const end of graph.ends) {
            const spec = design.gear.find((piece) => piece.id === end.gearId)?.spec;
            const isDrunk =
              (end.tankId !== null && end.holds === "fresh") ||
              end.kind === "supply" ||
              (spec?.kind === "tap" && (spec.use === "drinking" || spec.use === "washing"));
            if (!isDrunk) continue;
            const isTold = hazards.some(
              (one) =>
                one.stored?.gearId === id &&
                one.stateId === state.id &&
                one.to === end.node &&
                JSON.stringify(one.failure) === JSON.stringify(failure),
            );
            const isKnown = hazards.some(
              (one) =>
                !one.stored &&
                one.to === end.node &&
                (one.failure === null || JSON.stringify(one.failure) === JSON.stringify(failure)),
            );
            const isOpen = isCharged && reached.has(end.node);
            expect([design.name, failure, state.id, end.node, isTold]).toEqual([
              design.name,
              failure,
              state.id,
              end.node,
              isOpen && !isKnown,
            ]);
            if (isTold) met += 1;
          }
        }
      }
    }
  }
  expect(met).toBeGreaterThan(3);
});
