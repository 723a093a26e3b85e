import "../evaluate/fitted";
import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { Hose } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { USUAL_GEAR } from "../gear/usualGear";
import { vec } from "../geometry/vec";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { listBreakHose, listFitAirGap } from "./airGapFill";

const loop = readDemo("kranich-loop");
const isFouled = (design: Design) =>
  evaluate(design).findings.filter(({ code }) => code === "waterFouled" || code === "joinedWithoutGap");
/** All hoses drawn the other way round. */
const turned = (design: Design): Design => ({
  ...design,
  lines: design.lines.map((line) =>
    line.kind === "hose" ? { ...line, from: line.to, to: line.from, pointsMm: line.pointsMm.toReversed() } : line,
  ),
});

test("each way by which loop water can be drunk is parted by the same press, whichever way its hoses were drawn", () => {
  for (const design of [loop, turned(loop)]) {
    const evaluation = evaluate(design);
    expect(isFouled(design).length).toBeGreaterThan(3);
    for (const finding of isFouled(design)) {
      const remedies = proposeRemedies(design, evaluation, finding);
      expect(remedies.map(({ edit }) => edit.code)).toEqual(["fitAirGap"]);
      const after = mustApply(design, remedies[0]!.edit);
      expect(isFouled(after)).toEqual([]);
      const codes = evaluate(after).findings.map(({ code }) => code);
      for (const code of ["gearPortOpen", "gearClashes", "tapWeak", "airGapLow", "legHitsObstacle"] as const)
        expect(codes).not.toContain(code);
    }
  }
});

test("the tee goes, its two hoses become one with all corners, and the loop still has its shower", () => {
  // two corners in the hoses at the tee
  const bent = {
    ...loop,
    lines: loop.lines.map((line) =>
      line.id === "hose-5" || line.id === "hose-6"
        ? ({ ...line, pointsMm: [{ id: "n1", x: line.id === "hose-5" ? 1_900 : 2_000, y: 460, z: 50 }] } as Hose)
        : line,
    ),
  };
  const [finding] = isFouled(bent);
  const [remedy] = proposeRemedies(bent, evaluate(bent), finding!);
  const after = mustApply(bent, remedy!.edit);
  expect(after.gear.map(({ id }) => id)).not.toContain("cross");
  const joined = after.lines.find(({ id }) => id === "hose-5") as Hose;
  expect([joined.from, joined.to]).toEqual([
    { kind: "gear", gearId: "tee", port: "b" },
    { kind: "gear", gearId: "coarse", port: "in" },
  ]);
  expect(joined.pointsMm.map(({ x }) => x)).toEqual([1_900, 2_000]);
  expect(after.lines.map(({ id }) => id)).not.toContain("hose-6");
  // where the fresh pump refills the shower is shut; where the loop runs it is open, and for winter all are
  expect(after.states.map(({ id, openTaps }) => [id, openTaps])).toEqual([
    ["standby", []],
    ["sink", ["sinktap"]],
    ["shower-from-the-loop", ["head"]],
    ["refill", []],
    ["winter", ["head", "sinktap"]],
  ]);
});

test("what can run out over the gap when the filling valve sticks is held by a stop valve, by one more press", () => {
  const parted = mustApply(loop, proposeRemedies(loop, evaluate(loop), isFouled(loop)[0]!)[0]!.edit);
  // while it is filled a tap left open runs by the pump, which no valve at the tank helps
  const after = { ...parted, states: parted.states.filter(({ id }) => id !== "refill") };
  const finding = evaluate(after).findings.find(({ code }) => code === "tankRunsOut")!;
  const [remedy] = proposeRemedies(after, evaluate(after), finding);
  expect(remedy?.edit.code).toBe("fitStopValve");
  expect(remedy!.newFindings).toBe(0);
  expect(evaluate(mustApply(after, remedy!.edit)).findings.map(({ code }) => code)).not.toContain("tankRunsOut");
});

test("the fill port nobody uses is used; where there is none a port is cut over the water", () => {
  const countPorts = (design: Design) => design.tanks.find(({ id }) => id === "loop")!.ports.length;
  const bare = {
    ...loop,
    tanks: loop.tanks.map((tank) => ({
      ...tank,
      ports: tank.ports.filter(({ kind }) => kind !== "fill" || tank.id !== "loop"),
    })),
  };
  for (const [design, more] of [
    [loop, 0],
    [bare, 1],
  ] as const) {
    const [remedy] = proposeRemedies(design, evaluate(design), isFouled(design)[0]!);
    expect(countPorts(mustApply(design, remedy!.edit))).toBe(countPorts(design) + more);
  }
});

test("a loop that is filled through a gap already has no hose to part, and no tank of that name none", () => {
  expect(listFitAirGap(readDemo("lesesaal-loop"), "loop", "Air gap")).toEqual([]);
  expect(listFitAirGap(loop, "none", "Air gap")).toEqual([]);
});

/** A hose from the fresh pump by a tee and a valve straight into a tank of other water, to rinse it. */
function withRinse(holds: "grey" | "black", isTurned = false): Design {
  const port = { kind: "fill", boreMm: 13, thread: null, fittingMm: 0, valve: null } as const;
  const tank = loop.tanks.find((one) => one.holds === "grey")!;
  const cut = loop.lines.find((line): line is Hose => line.kind === "hose" && line.id === "hose-13")!;
  const end = (gearId: string, of: "a" | "b" | "c" | "in" | "out") => ({ kind: "gear", gearId, port: of }) as const;
  const like = { ...cut, pointsMm: [] };
  const into: Hose = {
    ...like,
    id: "rinse",
    name: "Rinse hose",
    from: end("rinsevalve", "out"),
    to: { kind: "tank", tankId: tank.id, portId: "rinse" },
  };
  const drawn: Hose = isTurned ? { ...into, from: into.to, to: into.from } : into;
  return {
    ...loop,
    tanks: loop.tanks.map((one) =>
      one === tank ? { ...one, holds, ports: [...one.ports, { ...port, id: "rinse", atMm: vec(100, 100, 190) }] } : one,
    ),
    gear: [
      ...loop.gear,
      { id: "rinsetee", name: "Rinse tee", atMm: vec(500, 0, 20), ...USUAL_GEAR.tee },
      { id: "rinsevalve", name: "Rinse valve", atMm: vec(600, 0, 20), ...USUAL_GEAR.valve },
    ],
    lines: [
      ...loop.lines.map((line) => (line === cut ? { ...cut, to: end("rinsetee", "a"), pointsMm: [] } : line)),
      { ...like, id: "on", name: "On to the tee", from: end("rinsetee", "b"), to: cut.to },
      { ...like, id: "aside", name: "To the valve", from: end("rinsetee", "c"), to: end("rinsevalve", "in") },
      drawn,
    ],
  };
}

test("a rinse hose straight into a grey or a black tank is broken by an air gap over it; the tank's own draw never is", () => {
  for (const holds of ["grey", "black"] as const)
    for (const isTurned of [false, true]) {
      const design = withRinse(holds, isTurned);
      const own = isFouled(design).filter(({ id }) => id.includes("tank:grey:rinse"));
      expect(own.length).toBeGreaterThan(0);
      for (const finding of own) {
        const [remedy] = proposeRemedies(design, evaluate(design), finding);
        expect(remedy!.edit.code).toBe("breakHose");
        const after = mustApply(design, remedy!.edit);
        expect(isFouled(after).filter(({ id }) => id.includes("tank:grey"))).toEqual([]);
        // its water falls over the port it came to
        const gap = after.gear.at(-1)!;
        expect(gap.spec.kind).toBe("airGap");
        const [led, falls] = ["rinse", after.lines.at(-1)!.id].map((id) =>
          after.lines.find((line) => line.id === id),
        ) as [Hose, Hose];
        expect([led.from, led.to]).toEqual([
          { kind: "gear", gearId: "rinsevalve", port: "out" },
          { kind: "gear", gearId: gap.id, port: "in" },
        ]);
        expect([falls.from, falls.to]).toEqual([
          { kind: "gear", gearId: gap.id, port: "out" },
          { kind: "tank", tankId: "grey", portId: "rinse" },
        ]);
      }
    }
  expect(listBreakHose(loop, "loop", "draw", "Gap")).toEqual([]);
  expect(listBreakHose(loop, "grey", "gone", "Gap")).toEqual([]);
});
