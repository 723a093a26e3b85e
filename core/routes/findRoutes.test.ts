import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { buildAddFixture } from "../edits/fixtureEdits";
import { evaluate } from "../evaluate/evaluate";
import { findRoutes } from "./findRoutes";

const drainsOf = (design: Design) => design.lines.flatMap((line) => (line.kind === "drain" ? [line.id] : []));

const findWays = (design: Design) => {
  const { proposals, changes } = findRoutes(design, "sink-drain")!;
  return [...proposals, ...changes];
};

function apply(design: Design, edit: Parameters<typeof applyEdit>[1]): Design {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

/** The same with the sink's drain taken up to its outlet and down again: it runs nowhere. */
const spoil = (design: Design): Design => ({
  ...design,
  lines: design.lines.map((line) =>
    line.kind === "drain"
      ? { ...line, bendsMm: line.bendsMm.map((p, i, { length }) => (i === length - 1 ? { ...p, z: -320 } : p)) }
      : line,
  ),
});

test.each(DEMO_NAMES)("%s: a drain that runs is left alone unless a way keeps as much in hand", (name) => {
  const design = readDemo(name);
  for (const drainId of drainsOf(design)) {
    const { worst, level } = evaluate(design).drains.find(({ lineId }) => lineId === drainId)!;
    const { proposals, changes, isBestAlready } = findRoutes(design, drainId)!;
    if (worst.inHandMm < 0) continue;
    expect(changes).toEqual([]);
    expect(isBestAlready).toBe(proposals.length === 0);
    for (const way of proposals) {
      expect(Math.min(way.worstMm, way.levelMm)).toBeGreaterThanOrEqual(
        Math.min(10, worst.inHandMm, level.inHandMm) - 0.5,
      );
    }
  }
});

test.each(DEMO_NAMES)("%s: every way proposed is buildable, says what it is, and differs from the others", (name) => {
  const design = spoil(readDemo(name));
  for (const drainId of drainsOf(design)) {
    const { proposals, changes } = findRoutes(design, drainId)!;
    expect(proposals.length + changes.length).toBeGreaterThan(0);
    expect(proposals.length).toBeLessThanOrEqual(3);
    for (const proposal of [...proposals, ...changes]) {
      const after = apply(design, proposal.edit);
      const { drains, findings } = evaluate(after);
      const result = drains.find((d) => d.lineId === drainId)!;
      expect(findings.filter((f) => f.severity === "must" && "lineId" in f.at && f.at.lineId === drainId)).toEqual([]);
      expect(result.worst.inHandMm).toBeCloseTo(proposal.worstMm, 9);
      expect(result.level.inHandMm).toBeGreaterThanOrEqual(0);
      expect(result.worst.inHandMm).toBeGreaterThanOrEqual(0);
    }
    expect(new Set(proposals.map((p) => JSON.stringify(p.edit.ops))).size).toBe(proposals.length);
  }
});

test("a way goes round what stands in the straight one", () => {
  const design = readDemo("lesesaal");
  const [straight, ...others] = findWays(design);
  const drain = evaluate(apply(design, straight!.edit)).drains[0]!;
  const longest = drain.legs.filter((leg) => leg.kind === "run").reduce((a, b) => (b.lengthMm > a.lengthMm ? b : a));
  const block = {
    id: "box",
    name: "Tool box",
    kind: "spareWheel",
    atMm: { x: (longest.from.x + longest.to.x) / 2 - 40, y: (longest.from.y + longest.to.y) / 2 - 40, z: -400 },
    lengthMm: 80,
    widthMm: 80,
    heightMm: 390,
  } as const;
  const barred = { ...design, obstacles: [...design.obstacles, block] };
  const round = findWays(barred);
  expect(round.length).toBeGreaterThan(0);
  expect(round.map(({ edit }) => JSON.stringify(edit))).not.toContain(JSON.stringify(straight!.edit));
  for (const { edit } of round) {
    expect(evaluate(apply(barred, edit)).findings.filter((f) => f.code === "legHitsObstacle")).toEqual([]);
  }
  expect(others.every(({ bends }) => bends > 0)).toBe(true);
});

test("where height lacks it says by how many millimetres, and what single change makes it possible", () => {
  const design = readDemo("kranich");
  const high = apply(design, {
    code: "change",
    at: { kind: "rig" },
    ops: [{ op: "set", path: ["tanks", "grey", "ports", "inlet", "atMm", "z"], value: 189 }],
  });
  const raised = {
    ...high,
    tanks: high.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z: tank.atMm.z + 40 } })),
  };
  const { proposals, shortMm, changes } = findRoutes(raised, "sink-drain")!;
  expect(proposals).toEqual([]);
  expect(shortMm).toBeGreaterThan(0);
  const lower = changes.find((change) => change.kind === "lowerTank")!;
  expect(lower.byMm).toBe(Math.ceil(shortMm!));
  expect(evaluate(apply(raised, lower.edit)).drains[0]!.worst.inHandMm).toBeGreaterThanOrEqual(0);
});

test("a shower on the floor finds its way too, or is told what it lacks", () => {
  for (const name of ["kranich", "lesesaal", "puppenwagen"] as const) {
    const design = readDemo(name);
    const withShower = apply(design, buildAddFixture(design, "showerTray", "Shower")!);
    const id = drainsOf(withShower).find((d) => !drainsOf(design).includes(d))!;
    const { proposals, shortMm, isBestAlready } = findRoutes(withShower, id)!;
    expect(proposals.length > 0 || shortMm !== null || isBestAlready).toBe(true);
    const runs = evaluate(withShower).drains.find(({ lineId }) => lineId === id)!.worst.inHandMm >= 0;
    if (isBestAlready) expect(runs).toBe(true);
  }
});

test("where drains run already they are offered to end in as well as the tank, and more than one way", () => {
  const design = readDemo(FURNISHED);
  const { proposals } = findRoutes(design, "basin-2-drain")!;
  expect(proposals.length).toBeGreaterThan(1);
  expect(new Set(proposals.map(({ to }) => to.kind))).toEqual(new Set(["inlet", "line"]));
  for (const { edit, to } of proposals) {
    const after = apply(design, edit);
    const drain = after.lines.find(({ id }) => id === "basin-2-drain")!;
    if (to.kind === "line") expect(drain).toMatchObject({ to: { kind: "junction", lineId: to.lineId } });
    // the drains that are joined end where they ended
    const ends = (of: Design) =>
      evaluate(of).drains.flatMap(({ lineId, nodesMm }) => (lineId === "basin-2-drain" ? [] : [nodesMm.at(-1)]));
    expect(ends(after)).toEqual(ends(design));
  }
});

test("where obstacles leave no way it says how far off the outlet would find one", () => {
  const lesesaal = readDemo("lesesaal");
  // a locker hangs under the sink and all round it, down to the ground
  const locker = {
    id: "locker",
    name: "Locker",
    kind: "spareWheel",
    atMm: { x: 4700, y: 300, z: -800 },
    lengthMm: 1000,
    widthMm: 850,
    heightMm: 700,
  } as const;
  const design = { ...lesesaal, obstacles: [...lesesaal.obstacles, locker] };
  const { proposals, shortMm, changes } = findRoutes(design, "sink-drain")!;
  expect({ proposals, shortMm }).toEqual({ proposals: [], shortMm: null });
  const [move] = changes;
  expect(move!.kind).toMatch(/^move/);
  const after = apply(design, move!.edit);
  const [from, to] = [design.fixtures[0]!.outletMm, after.fixtures[0]!.outletMm];
  expect(Math.hypot(to.x - from.x, to.y - from.y)).toBeCloseTo(move!.byMm, 6);
  expect(evaluate(after).findings.filter(({ severity }) => severity === "must")).toEqual([]);
});

test("stopped, it gives no answer", () => {
  expect(findRoutes(readDemo("kranich"), "sink-drain", () => false)).toBeNull();
});

test("no way leads through a pipe that is there already", () => {
  const base = readDemo(FURNISHED);
  let ways = 0;
  for (const drainId of ["showertray-drain", "outsideshower-drain", "washingmachine-drain"]) {
    const lines = base.lines.map((line) =>
      line.id === drainId && line.kind === "drain"
        ? { ...line, bendsMm: line.bendsMm.map((p) => ({ ...p, z: p.z - 300 })) }
        : line,
    );
    const design = { ...base, lines };
    for (const { edit } of findRoutes(design, drainId)!.proposals) {
      ways += 1;
      const { findings } = evaluate(apply(design, edit));
      expect(findings.filter(({ code }) => code === "pipesClash" || code === "legInPart")).toEqual([]);
    }
  }
  expect(ways).toBeGreaterThan(3);
});
