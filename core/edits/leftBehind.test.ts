import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { FURNISHED, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { buildMove } from "../design/moves";
import type { Drain } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { vec } from "../geometry/vec";
import { findRoutes } from "../routes/findRoutes";
import { buildRedirect, listGoals } from "./drainEdits";
import { buildAddFixture } from "./fixtureEdits";

const furnished = readDemo(FURNISHED);
const drainOf = (design: Design, id: string) =>
  design.lines.find((l): l is Drain => l.kind === "drain" && l.id === id)!;
const inletsOf = (design: Design) => design.tanks.flatMap(({ ports }) => ports.filter(({ kind }) => kind === "inlet"));

test("laid into another drain, a drain leaves neither its inlet nor a bend for a fitting behind", () => {
  const kranich = readDemo("kranich");
  const two = mustApply(kranich, buildAddFixture(kranich, "basin", "Basin"));
  const basin = two.lines.find((l): l is Drain => l.kind === "drain" && l.id !== "sink-drain")!;
  const joined = mustApply(two, buildRedirect(two, basin.id, { kind: "line", lineId: "sink-drain" }));
  expect(inletsOf(two)).toHaveLength(2);
  expect(inletsOf(joined)).toHaveLength(1);
  const own = inletsOf(two).find(({ id }) => basin.to.kind === "inlet" && id === basin.to.portId)!;
  expect(inletsOf(joined)).not.toContainEqual(own);
  // back to the one inlet there is: the sink's drain has the bends it had
  const [inlet] = inletsOf(joined);
  const back = mustApply(joined, buildRedirect(joined, basin.id, { kind: "inlet", tankId: "grey", portId: inlet!.id }));
  expect(drainOf(back, "sink-drain").bendsMm).toEqual(drainOf(kranich, "sink-drain").bendsMm);
});

test("led anywhere it may go, every junction stays at a bend that is there, and the other drains run as before", () => {
  fc.assert(
    fc.property(networks, fc.nat(), fc.nat(), (design, which, whereTo) => {
      const drains = design.lines.filter((l): l is Drain => l.kind === "drain");
      const drain = drains[which % drains.length]!;
      const goals = listGoals(design, drain.id);
      const goal = goals[whereTo % goals.length]!;
      const edit = buildRedirect(design, drain.id, goal);
      const outcome = edit && applyEdit(design, edit);
      if (!outcome?.ok) return;
      const [before, after] = [evaluate(design), evaluate(outcome.design)];
      for (const result of before.drains) {
        const chain = result.legs.map(({ lineId }) => lineId);
        if (chain.includes(drain.id)) continue;
        const now = after.drains.find(({ lineId }) => lineId === result.lineId)!;
        expect(now.nodesMm.at(-1)).toEqual(result.nodesMm.at(-1));
        // a bend more or less on a straight leg changes no length
        const length = (of: typeof result) => of.legs.reduce((sum, leg) => sum + leg.lengthMm, 0);
        expect(Math.abs(length(now) - length(result))).toBeLessThan(1);
      }
    }),
    { numRuns: 40 },
  );
});

test("a fixture that is moved takes trap and stack along: the drop stays as far from it as it was", () => {
  for (const design of [readDemo("kranich"), readDemo("lesesaal"), readDemo("otter")]) {
    const fixture = design.fixtures[0]!;
    const drain = design.lines.find((l): l is Drain => l.kind === "drain" && l.fromFixture === fixture.id)!;
    const { x, y, z } = fixture.outletMm;
    const moved = mustApply(design, buildMove(design, { kind: "fixture", id: fixture.id }, vec(x + 120, y - 60, z)));
    const [before, after] = [drain.bendsMm[0]!, drainOf(moved, drain.id).bendsMm[0]!];
    expect({ x: after.x - before.x, y: after.y - before.y, z: after.z - before.z }).toEqual({ x: 120, y: -60, z: 0 });
    const back = mustApply(moved, buildMove(moved, { kind: "fixture", id: fixture.id }, vec(x, y, z)));
    expect(back).toEqual(design);
  }
});

test("ways end in the tank that was chosen, take no inlet that serves another, and give no fall away", () => {
  const results = evaluate(furnished).drains;
  for (const { lineId, tankId, level, worst } of results.slice(2, 5)) {
    const { proposals } = findRoutes(furnished, lineId)!;
    const taken = furnished.lines.flatMap((l) =>
      l.kind === "drain" && l.id !== lineId && l.to.kind === "inlet" ? [l.to.portId] : [],
    );
    for (const { to, tankId: endsIn, levelMm, worstMm, edit } of proposals) {
      expect(endsIn).toBe(tankId);
      if (to.kind === "inlet") expect(taken).not.toContain(to.portId);
      const kept = Math.min(10, level.inHandMm, worst.inHandMm);
      expect(Math.min(levelMm, worstMm)).toBeGreaterThanOrEqual(kept - 0.5);
      expect(applyEdit(furnished, edit)).toMatchObject({ ok: true });
    }
  }
});
