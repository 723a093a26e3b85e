import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { computeTapFlows } from "../gear/tapFlows";

const van = readDemo("kranich-loop");
const withSpec = (design: Design, id: string, spec: object): Design => ({
  ...design,
  gear: design.gear.map((one) => (one.id === id ? ({ ...one, spec: { ...one.spec, ...spec } } as Gear) : one)),
});
const told = (design: Design, id: string) => findAll(design, "tapWeak").filter(({ at }) => "id" in at && at.id === id);

test("a shower of less than two litres a minute is told, with what comes; a tap from one on is enough", () => {
  expect(findAll(van, "tapWeak")).toEqual([]);
  // the head itself throttled more and more
  const flows = [40, 400, 1200, 1600].map((dropKPa) => {
    const tight = withSpec(van, "head", { dropKPa, atLpm: 3 });
    const { aloneLpm } = computeTapFlows(tight).find(({ tapId }) => tapId === "head")!;
    const found = told(tight, "head");
    expect(found.length).toBe(aloneLpm < 2 ? 1 : 0);
    if (found[0]) expect(found[0].lps * 60).toBeCloseTo(aloneLpm, 2);
    return aloneLpm;
  });
  expect(flows[0]).toBeGreaterThan(2);
  expect(flows.at(-1)).toBeLessThan(2);
  const sink = withSpec(van, "sinktap", { dropKPa: 1600, atLpm: 3 });
  const { aloneLpm } = computeTapFlows(sink).find(({ tapId }) => tapId === "sinktap")!;
  expect(told(sink, "sinktap").length).toBe(aloneLpm < 1 ? 1 : 0);
});

test("a tap that only a state without a pump opens gives nothing; beside others such a state lets it run empty, and is let be", () => {
  const states = van.states.filter(({ openTaps, on }) => openTaps.length > 0 && on.length > 0);
  const winter = van.states.find(({ id }) => id === "winter")!;
  expect(told({ ...van, states: [winter, ...states] }, "head")).toEqual([]);
  expect(told({ ...van, states: [winter] }, "head")).toMatchObject([{ severity: "should", stateName: winter.name }]);
  // what no state opens is judged by nobody's habit
  expect(told({ ...van, states: van.states.filter(({ openTaps }) => openTaps.length === 0) }, "head")).toEqual([]);
});

test("a clogged way to it is as bad as a weak pump", () => {
  const weak = withSpec(van, "pump", { shutOffKPa: 20, midKPa: 5, midLpm: 2, cutInKPa: null, cutOutKPa: null });
  expect(told(weak, "head")).toHaveLength(1);
});
