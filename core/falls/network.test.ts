import fc from "fast-check";
import { attitudes, mirrorDesign, networks } from "@/tests/arbitraries";
import { computeUp, mirrorAttitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import type { Drain } from "../design/plumbing";
import { buildRemoveFixture } from "../edits/fixtureEdits";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath } from "./drainPath";
import { computeFallBudget } from "./fallBudget";
import { buildNetwork, listFixturesOf, releaseOf, sumSurgeLps } from "./network";
import { computePonds, measureBoreVolumeL } from "./ponding";

const listPaths = (design: Design) => {
  const network = buildNetwork(design);
  return [...network.drains.values()].map((drain) => buildDrainPath(design, drain, network));
};

test("the largest flow is one bowl let go with the taps of the rest, or the largest that runs alone", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const network = buildNetwork(design);
      for (const tank of design.tanks) {
        const sent = (network.drainsByTank.get(tank.id) ?? []).map((drain) => {
          const fixture = network.fixtures.get(drain.fromFixture)!;
          return { fixture, tap: fixture.inflowLps, release: releaseOf(drain, fixture) };
        });
        // every choice of one bowl, tried
        const together = sent.filter(({ fixture }) => !fixture.runsAlone);
        const taps = together.reduce((sum, { tap }) => sum + tap, 0);
        const choices = [
          ...together.map(({ tap, release }) => taps - tap + release),
          ...sent.filter(({ fixture }) => fixture.runsAlone).map(({ release }) => release),
        ];
        expect(sumSurgeLps(network, tank.id)).toBeCloseTo(Math.max(0, ...choices), 9);
      }
      // water only gathers along a drain
      for (const surges of network.surgesLps.values()) expect(surges).toEqual([...surges].sort((a, b) => a - b));
    }),
  );
});

test("what runs into the tanks is what the fixtures give", () => {
  fc.assert(
    fc.property(networks, (any) => {
      const design = { ...any, fixtures: any.fixtures.map((fixture) => ({ ...fixture, runsAlone: false })) };
      const given = design.fixtures.reduce((sum, fixture) => sum + fixture.inflowLps, 0);
      const ends = listPaths(design).filter(({ drain }) => drain.to.kind === "inlet");
      expect(ends.reduce((sum, path) => sum + path.ownLegs.at(-1)!.inflowLps, 0)).toBeCloseTo(given, 9);
      const network = buildNetwork(design);
      expect(design.tanks.flatMap((tank) => listFixturesOf(network, tank.id))).toHaveLength(design.fixtures.length);
    }),
  );
});

test("along the water nothing is lost on the way: the inflow never grows less", () => {
  fc.assert(
    fc.property(networks, (design) => {
      for (const { legs, nodesMm } of listPaths(design)) {
        expect(legs).toHaveLength(nodesMm.length - 1);
        legs.slice(1).forEach((leg, i) => {
          expect(leg.inflowLps).toBeGreaterThanOrEqual(legs[i]!.inflowLps - 1e-12);
          expect(leg.from).toEqual(legs[i]!.to);
        });
      }
    }),
  );
});

test("available = trap + drops + needed + left all the way to the tank, and standing water never exceeds the pipe", () => {
  fc.assert(
    fc.property(networks, attitudes, (design, attitude) => {
      const up = computeUp(attitude);
      for (const path of listPaths(design)) {
        const budget = computeFallBudget(path, up, () => 20);
        const spent = budget.trapMm + budget.dropsMm + budget.neededMm + budget.leftMm;
        expect(spent).toBeCloseTo(budget.availableMm, 6);
        const litres = computePonds(path, up).reduce((sum, pond) => sum + pond.litres, 0);
        expect(litres).toBeLessThanOrEqual(measureBoreVolumeL(path) * (1 + 1e-9));
      }
    }),
  );
});

test("a mirrored network gives mirrored results", () => {
  fc.assert(
    fc.property(networks, attitudes, (design, attitude) => {
      const one = evaluate(design, attitude);
      const other = evaluate(mirrorDesign(design), mirrorAttitude(attitude));
      one.drains.forEach((drain, i) => {
        expect(other.drains[i]!.here.inHandMm).toBeCloseTo(drain.here.inHandMm, 6);
        expect(other.drains[i]!.worst.inHandMm).toBeCloseTo(drain.worst.inHandMm, 6);
        expect(other.drains[i]!.pondedL).toBeCloseTo(drain.pondedL, 6);
      });
      expect(other.findings.map((f) => f.id).sort()).toEqual(one.findings.map((f) => f.id).sort());
    }),
    { numRuns: 60 },
  );
});

test("a branch takes nothing from the fall of the drain it joins", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const alone = {
        ...design,
        fixtures: design.fixtures.slice(0, 1),
        lines: design.lines.filter((line) => line.kind !== "drain" || line.fromFixture === design.fixtures[0]!.id),
      };
      expect(evaluate(design).drains[0]!.level).toEqual(evaluate(alone).drains[0]!.level);
    }),
    { numRuns: 60 },
  );
});

test("a bend put in or taken out of a drain leaves what joins it where it was", () => {
  fc.assert(
    fc.property(networks, fc.nat(), fc.boolean(), (design, place, isPutIn) => {
      const joined = design.lines.find((l): l is Drain => l.kind === "drain" && l.to.kind === "junction")!;
      const mainId = joined.to.kind === "junction" ? joined.to.lineId : "";
      const main = design.lines.find((l): l is Drain => l.kind === "drain" && l.id === mainId)!;
      const index = place % (main.bendsMm.length + (isPutIn ? 1 : 0));
      const path = ["lines", mainId, "bendsMm"];
      const op: EditOp = isPutIn
        ? { op: "insert", path, index, value: { x: 500, y: 0, z: -100 } }
        : { op: "remove", path: [...path, index] };
      const outcome = applyEdit(design, { code: "addBend", at: { kind: "line", id: mainId }, ops: [op] });
      // the last bend of a drain that is joined cannot go
      if (!outcome.ok) {
        expect(main.bendsMm).toHaveLength(1);
        return;
      }
      const after = outcome.design.lines.find((l): l is Drain => l.id === mainId) as Drain;
      for (const line of design.lines) {
        if (line.kind !== "drain" || line.to.kind !== "junction" || line.to.lineId !== mainId) continue;
        const { node } = line.to;
        if (!isPutIn && main.bendsMm[index]!.id === node) continue;
        const to = (outcome.design.lines.find((l) => l.id === line.id) as Drain).to;
        expect(to).toEqual(line.to);
        expect(after.bendsMm.find(({ id }) => id === node)).toEqual(main.bendsMm.find(({ id }) => id === node));
      }
    }),
  );
});

test("a fixture taken out leaves every other one a way to the tank", () => {
  fc.assert(
    fc.property(networks, fc.nat(), (design, pick) => {
      const { id } = design.fixtures[pick % design.fixtures.length]!;
      const outcome = applyEdit(design, buildRemoveFixture(design, id)!);
      if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
      const drained = outcome.design.lines.flatMap((line) => (line.kind === "drain" ? [line.fromFixture] : []));
      expect(drained.sort()).toEqual(
        design.fixtures
          .map((f) => f.id)
          .filter((f) => f !== id)
          .sort(),
      );
      for (const drain of evaluate(outcome.design).drains) expect(Number.isFinite(drain.level.inHandMm)).toBe(true);
    }),
  );
});
