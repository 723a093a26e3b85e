import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import "../evaluate/fitted";
import type { Design } from "../design/design";
import type { PartRef } from "../design/part";
import { evaluate } from "../evaluate/evaluate";
import { type BuildStep, listSteps } from "./steps";
import { listUnsettled } from "./unsettled";

const MAKES: readonly BuildStep["kind"][] = ["fitTankPorts", "drillHole", "hangTank", "layDrain", "layVent", "closeUp"];

function judge(design: Design) {
  const evaluation = evaluate(design);
  const steps = listSteps(design, evaluation);
  const musts = evaluation.findings.filter(({ severity }) => severity === "must");
  return { steps, musts, unsettled: listUnsettled(design, steps, evaluation.findings) };
}

test("every must holds up what would be built into it, and closing up; where there is none, nothing is held", () => {
  let held = 0;
  fc.assert(
    fc.property(networks, (design) => {
      const { steps, musts, unsettled } = judge(design);
      if (musts.length === 0) return expect(unsettled.size).toBe(0);
      held += 1;
      for (const must of musts) {
        const against = steps.filter(({ id }) => unsettled.get(id)?.includes(must));
        // closing up alone is too late
        expect(against.filter(({ kind }) => kind !== "closeUp" && MAKES.includes(kind))).not.toEqual([]);
        const lineId = "lineId" in must.at ? must.at.lineId : must.at.kind === "line" ? must.at.id : null;
        for (const { id, kind, at } of steps) {
          const isOfLine = at.kind === "line" && at.id === lineId;
          if (isOfLine && (kind === "drillHole" || kind === "layDrain")) expect(unsettled.get(id)).toContain(must);
        }
      }
      expect(unsettled.get("closeUp:all")).toEqual(musts);
    }),
    { numRuns: 60 },
  );
  expect(held).toBeGreaterThan(5);
});

test("a drain that runs backwards holds its hole, its trap and its tank, and not the other tank", () => {
  const { unsettled, steps } = judge(readDemo("lesesaal-heads"));
  const heldIds = steps.filter(({ id }) => unsettled.has(id)).map(({ id }) => id);
  expect([...unsettled.values()].flat().map(({ code }) => code)).toContain("legBackwardsParked");
  const ofSink = steps.filter(({ at }) => ("lineId" in at ? at.lineId : "id" in at ? at.id : "") === "sink-drain");
  expect(ofSink.length).toBeGreaterThan(2);
  for (const { id, kind } of ofSink) expect([id, heldIds.includes(id)]).toEqual([id, !kind.startsWith("trial")]);
  expect(heldIds).not.toContain("hangTank:black");
});

test("what is the rig's as a whole holds everything that is made, and nothing that is tried", () => {
  const design = readDemo("lesesaal-heads");
  const evaluation = evaluate(design);
  const steps = listSteps(design, evaluation);
  const must = { ...evaluation.findings[0]!, severity: "must" as const, at: { kind: "rig" as const } };
  const unsettled = listUnsettled(design, steps, [must]);
  for (const { id, kind } of steps) {
    if (MAKES.includes(kind)) expect([id, unsettled.get(id)]).toEqual([id, [must]]);
    if (kind.startsWith("trial")) expect(unsettled.has(id)).toBe(false);
  }
});

test("what is joined is held along, by every kind of line, and the other part a must names too", () => {
  const kinds = new Set<string>();
  for (const design of ALL_DEMOS) {
    const evaluation = evaluate(design);
    const steps = listSteps(design, evaluation);
    const any = evaluation.findings[0] ?? evaluate(readDemo("lesesaal-heads")).findings[0]!;
    const holdBy = (at: PartRef, more: object = {}) => {
      const held = listUnsettled(design, steps, [{ ...any, severity: "must", at, ...more }]);
      return (id: string) => held.has(id);
    };
    for (const line of design.lines) {
      const lay = { drain: "layDrain", vent: "layVent", hose: "layHose", dumpLine: "layDumpLine" }[line.kind];
      const ends: PartRef[] =
        line.kind === "hose"
          ? [line.from, line.to].map((end) =>
              end.kind === "tank" ? { kind: "tank", id: end.tankId } : { kind: "gear", id: end.gearId },
            )
          : line.kind === "drain"
            ? [
                { kind: "fixture", id: line.fromFixture },
                ...("tankId" in line.to ? [{ kind: "port", tankId: line.to.tankId, id: "any" } as const] : []),
                ...("gearId" in line.to ? [{ kind: "gear", id: line.to.gearId } as const] : []),
                ...("lineId" in line.to ? [{ kind: "leg", lineId: line.to.lineId, index: 0 } as const] : []),
              ]
            : [
                { kind: "tank", id: line.fromTank },
                ...("lineId" in line.to ? [{ kind: "line", id: line.to.lineId } as const] : []),
              ];
      for (const at of ends) {
        kinds.add(`${line.kind} ${at.kind}`);
        expect([line.id, at, holdBy(at)(`${lay}:${line.id}`)]).toEqual([line.id, at, true]);
      }
    }
    const [one, other, third] = design.tanks;
    if (one && other) {
      const isHeld = holdBy({ kind: "tank", id: one.id }, { otherId: other.id });
      for (const { id } of [one, other]) expect(isHeld(`hangTank:${id}`)).toBe(true);
      const isJoined = one.link?.toTank === third?.id || other.link?.toTank === third?.id;
      if (third && !isJoined && !third.link) expect(isHeld(`hangTank:${third.id}`)).toBe(false);
    }
  }
  for (const kind of ["hose tank", "hose gear", "drain fixture", "drain port", "drain gear", "drain leg", "vent tank"])
    expect(kinds).toContain(kind);
});
