import fc from "fast-check";
import { designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { listSteps } from "../build/steps";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { toNodes } from "../design/nodes";
import { parseDesign } from "../design/parseDesign";
import type { DumpLine, Tank } from "../design/plumbing";
import {
  buildAddDumpLine,
  buildFitDumpValve,
  buildJoinDumpLine,
  buildOpenDumpLine,
  buildRegradeDumpLine,
  buildRemoveDumpLine,
} from "../edits/dumpLineEdits";
import { buildRemoveTank } from "../edits/tankEdits";
import { evaluate } from "../evaluate/evaluate";
import { listParts } from "../parts/listParts";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { takeFingerprint } from "../trials/fingerprint";
import { buildWaterway } from "../waterway/buildWaterway";
import { buildDumpRun, measureStandingL } from "./dumpRun";
import { followDumpLine, listDumpWays, listTanksBeside } from "./dumpWays";
import { findOutletWay } from "./outletWay";
import { computeRunEmpty } from "./runEmpty";

function change(design: Design, edit: Edit | null): Design {
  if (!edit) throw new Error("no edit");
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

const findLine = ({ lines }: Design, id: string) =>
  lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.id === id)!;
const lineOf = ({ lines }: Design, tankId: string) =>
  lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.fromTank === tankId)!;
const codesAt = (design: Design, id: string) =>
  evaluate(design).findings.flatMap(({ code, at }) => (at.kind === "line" && at.id === id ? [code] : []));
const found = (design: Design, code: string) => evaluate(design).findings.filter((finding) => finding.code === code);

/** Two tanks with a dump line each, the first joined to the second's. */
function joinTwo(name: "lesesaal-heads" | "setzkasten" | "kranich-loop"): Design {
  let design = readDemo(name);
  const [one, other] = design.tanks.filter(({ ports }) => ports.some(({ kind }) => kind === "outlet")) as [Tank, Tank];
  for (const tank of [one, other]) {
    const outlet = tank.ports.find(({ kind }) => kind === "outlet")!;
    if (!lineOf(design, tank.id)) design = change(design, buildAddDumpLine(design, tank, outlet));
  }
  return change(design, buildJoinDumpLine(design, lineOf(design, one.id).id, lineOf(design, other.id).id));
}

const RIGS = ["lesesaal-heads", "setzkasten", "kranich-loop"] as const;

/** The same way as one line of its own, from the outlet to the coupling. */
function asOneLine(design: Design, line: DumpLine): DumpLine {
  const pointsMm = followDumpLine(design, line).flatMap((one) => one.line.pointsMm.slice(Math.max(0, one.first - 1)));
  return { ...line, pointsMm: toNodes(pointsMm), to: { kind: "coupling" } };
}

const put = (design: Design, line: DumpLine): Design => ({
  ...design,
  lines: design.lines.map((one) => (one.id === line.id ? line : one)),
});

test.each(RIGS)(
  "%s: a joined line is a design that is read again, and is let go again without a trace of it",
  (name) => {
    const design = joinTwo(name);
    expect(parseDesign(JSON.parse(JSON.stringify(design)))).toMatchObject({ ok: true });
    const branch = design.lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.to.kind === "wye")!;
    const opened = change(design, buildOpenDumpLine(design, branch.id));
    expect(findLine(opened, branch.id).to).toEqual({ kind: "coupling" });
    expect(buildOpenDumpLine(opened, branch.id)).toBeNull();
    // the one that was joined may not join back, nor itself
    const mainId = branch.to.kind === "wye" ? branch.to.lineId : "";
    expect(buildJoinDumpLine(design, mainId, branch.id)).toBeNull();
    expect(buildJoinDumpLine(design, mainId, mainId)).toBeNull();
  },
);

test("any two courses: what is reckoned of a joined line is what one line over the same points gives", () => {
  const point = fc.record({
    x: fc.integer({ min: 200, max: 5000 }),
    y: fc.integer({ min: -900, max: 900 }),
    z: fc.integer({ min: -330, max: -60 }),
  });
  const base = joinTwo("lesesaal-heads");
  const branch = base.lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.to.kind === "wye")!;
  const main = base.lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.to.kind !== "wye")!;
  fc.assert(
    fc.property(
      fc.array(point, { maxLength: 4 }),
      fc.array(point, { minLength: 2, maxLength: 5 }),
      fc.nat(),
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.boolean(),
      (own, mains, nth, pitchDeg, rollDeg, hasValve) => {
        const nodes = toNodes(mains);
        const node = nodes[nth % nodes.length]!.id;
        const { pipe } = main;
        const endValve = hasValve ? ({ kind: "manual", boreMm: 45 } as const) : null;
        let design: Design = { ...base, rig: { ...base.rig, dumpAttitude: { pitchDeg, rollDeg } } };
        design = put(design, { ...main, pointsMm: nodes, endValve });
        design = put(design, { ...branch, pipe, pointsMm: toNodes(own), to: { kind: "wye", lineId: main.id, node } });
        const joined = findLine(design, branch.id);
        const alone = put(design, { ...asOneLine(design, joined), endValve });
        const single = findLine(alone, branch.id);
        const [run, whole] = [buildDumpRun(design, joined), buildDumpRun(alone, single)];
        expect(run.dropMm).toBeCloseTo(whole.dropMm, 9);
        expect(run.humpMm).toBeCloseTo(whole.humpMm, 9);
        expect(run.wayLegs.map(({ lengthMm }) => lengthMm)).toEqual(whole.legs.map(({ lengthMm }) => lengthMm));
        const ponds = whole.ponds.filter(({ legIndex }) => legIndex < run.legs.length);
        expect(run.staysL).toBeCloseTo(
          ponds.reduce((sum, { litres }) => sum + litres, 0),
          9,
        );
        const { outlet } = run;
        const { boreMm, dropMm, narrowestMm } = findOutletWay(outlet, design.rig.dumpHose, whole);
        expect(findOutletWay(outlet, design.rig.dumpHose, run)).toMatchObject({ narrowestMm });
        expect(findOutletWay(outlet, design.rig.dumpHose, run).boreMm).toBeCloseTo(boreMm, 9);
        expect(findOutletWay(outlet, design.rig.dumpHose, run).dropMm).toBeCloseTo(dropMm, 9);
        const tankOf = (d: Design) => evaluate(d).tanks.find(({ tankId }) => tankId === branch.fromTank)!;
        expect(tankOf(design).leftL).toBeCloseTo(tankOf(alone).leftL!, 9);
        expect(computeRunEmpty(design, run.tank, tankOf(design))?.seconds).toBeCloseTo(
          computeRunEmpty(alone, run.tank, tankOf(alone))!.seconds,
          6,
        );
        if (hasValve) expect(measureStandingL(design, joined)).toBe(run.boreL);
        const says = (d: Design, code: string) => codesAt(d, branch.id).includes(code as never);
        for (const code of ["dumpLineHigh", "dumpLineOpen"]) expect(says(design, code)).toBe(says(alone, code));
      },
    ),
    { numRuns: 30 },
  );
});

// the grey tank's outlet without its valve
const joinOpen = (): Design => {
  const design = joinTwo("lesesaal-heads");
  const tanks = design.tanks.map((tank) =>
    tank.holds === "grey" ? { ...tank, ports: tank.ports.map((port) => ({ ...port, valve: null })) } : tank,
  );
  return { ...design, tanks };
};

test("a tank that nothing shuts off is told, and the valve that is proposed settles it; a valve behind the wye does not", () => {
  const design = joinOpen();
  const grey = design.tanks.find(({ holds }) => holds === "grey")!;
  const black = design.tanks.find(({ holds }) => holds === "black")!;
  const branch = lineOf(design, grey.id);
  expect(found(design, "dumpLinesMix")).toMatchObject([
    { severity: "must", at: { id: branch.id }, tankName: grey.name, otherName: black.name },
  ]);
  const valve = { kind: "manual", boreMm: 38 } as const;
  const behind = put(design, { ...lineOf(design, black.id), endValve: valve });
  expect(found(behind, "dumpLinesMix")).toHaveLength(1);
  // at its own end, before the wye, it does
  expect(found(put(design, { ...branch, endValve: valve }), "dumpLinesMix")).toEqual([]);
  const finding = found(design, "dumpLinesMix")[0]!;
  const [remedy] = proposeRemedies(design, evaluate(design), finding);
  expect(found(change(design, remedy!.edit), "dumpLinesMix")).toEqual([]);
  expect(found(change(design, buildFitDumpValve(design, branch)), "dumpLinesMix")).toEqual([]);
  // the main's own end valve shuts nothing off from what joins it
  const bare = {
    ...behind,
    tanks: behind.tanks.map((tank) => ({ ...tank, ports: tank.ports.map((port) => ({ ...port, valve: null })) })),
  };
  expect(found(bare, "dumpLinesMix").map(({ at }) => at.kind === "line" && at.id)).toEqual(
    expect.arrayContaining([branch.id, lineOf(design, black.id).id]),
  );
  // two of one water only run into one another
  const same = { ...design, tanks: design.tanks.map((tank) => ({ ...tank, holds: "grey" as const })) };
  expect(found(same, "dumpLinesMix")).toMatchObject([{ severity: "should" }]);
});

test("drinking water never shares a coupling with waste, whatever valves there are", () => {
  const design = joinOpen();
  const grey = design.tanks.find(({ holds }) => holds === "grey")!;
  const fresh = {
    ...change(design, buildFitDumpValve(design, lineOf(design, grey.id))),
  };
  const dirty = {
    ...fresh,
    tanks: fresh.tanks.map((tank) => (tank.id === grey.id ? { ...tank, holds: "fresh" as const } : tank)),
  };
  expect(found(dirty, "dumpLineDirtiesFresh")).toMatchObject([
    { severity: "must", at: { id: lineOf(design, grey.id).id } },
  ]);
  expect(found(fresh, "dumpLineDirtiesFresh")).toEqual([]);
});

test("what comes in against the flow is told, and by how much", () => {
  const design = joinTwo("lesesaal-heads");
  const black = design.tanks.find(({ holds }) => holds === "black")!;
  const branch = design.lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.to.kind === "wye")!;
  const main = lineOf(design, black.id);
  const node = branch.to.kind === "wye" ? branch.to.node : "";
  const at = main.pointsMm.findIndex(({ id }) => id === node);
  const [joins, next] = [main.pointsMm[at]!, main.pointsMm[at + 1]!];
  // from where the main one goes to: straight against it
  const against = put(design, {
    ...branch,
    pointsMm: toNodes([{ x: 2 * next.x - joins.x, y: 2 * next.y - joins.y, z: joins.z + 10 }]),
  });
  const findings = found(against, "branchAgainstFlow").filter(
    ({ at: where }) => "lineId" in where && where.lineId === branch.id,
  );
  expect(findings).toMatchObject([{ severity: "must" }]);
  expect(findings[0]!.code === "branchAgainstFlow" && findings[0]!.angleDeg).toBeCloseTo(180, 6);
  const along = put(design, {
    ...branch,
    pointsMm: toNodes([{ x: 2 * joins.x - next.x, y: 2 * joins.y - next.y, z: joins.z + 10 }]),
  });
  expect(found(along, "branchAgainstFlow")).toEqual([]);
});

test.each(RIGS)("%s: taken apart, nothing hangs in the air: main line, tank and point may each go", (name) => {
  const design = joinTwo(name);
  const branch = design.lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.to.kind === "wye")!;
  const to = branch.to.kind === "wye" ? branch.to : null;
  const main = findLine(design, to!.lineId);
  const without = change(design, buildRemoveDumpLine(design, main));
  expect(findLine(without, branch.id).to).toEqual({ kind: "coupling" });
  expect(findLine(without, main.id)).toBeUndefined();
  const gone = change(design, {
    code: "removeBend",
    at: { kind: "line", id: main.id },
    ops: [{ op: "remove", path: ["lines", main.id, "pointsMm", to!.node] }],
  });
  const now = findLine(gone, branch.id).to;
  expect(findLine(gone, main.id).pointsMm.map(({ id }) => id)).toContain(now.kind === "wye" && now.node);
  // a main laid anew takes what joins it along
  const relaid = change(design, buildRegradeDumpLine(design, main));
  expect(findLine(relaid, branch.id).to).toEqual(branch.to);
  const emptied = {
    ...design,
    lines: design.lines.filter(
      (line) => line.kind !== "drain" || line.to.kind !== "inlet" || line.to.tankId !== main.fromTank,
    ),
  };
  const edit = buildRemoveTank(emptied, main.fromTank);
  if (edit) {
    const outcome = applyEdit(emptied, edit);
    if (outcome.ok) expect(findLine(outcome.design, branch.id).to).toEqual({ kind: "coupling" });
  }
});

test("one wye and one cap are bought, the main one is laid first, and both meet at one end of the Waterway", () => {
  const design = joinTwo("lesesaal-heads");
  const branch = design.lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.to.kind === "wye")!;
  const main = findLine(design, branch.to.kind === "wye" ? branch.to.lineId : "");
  const opened = change(design, buildOpenDumpLine(design, branch.id));
  const wyes = (d: Design) =>
    listParts(d).reduce((sum, part) => sum + (part.kind === "junction" && part.fitting === "wye" ? part.count : 0), 0);
  expect(wyes(design)).toBe(wyes(opened) + 1);
  const steps = listSteps(design, evaluate(design));
  const step = steps.find(({ id }) => id === `layDumpLine:${branch.id}`)!;
  expect(step.after).toContain(`layDumpLine:${main.id}`);
  const trial = steps.find(({ id }) => id === `trialDump:${branch.fromTank}`)!;
  expect(trial.after).toEqual(expect.arrayContaining([step.id, `layDumpLine:${main.id}`]));
  const { edges, nodes } = buildWaterway(design, evaluate(design));
  const ends = edges.filter(({ from }) => [main.fromTank, branch.fromTank].some((id) => from === `tank:${id}`));
  const dumps = ends.flatMap(({ to }) => (to.startsWith("dump:") ? [to] : []));
  expect(dumps).toHaveLength(2);
  expect(new Set(dumps).size).toBe(1);
  expect(nodes.filter(({ id }) => id === dumps[0])).toHaveLength(1);
  // what was proven with the main one is no longer when that changes
  const moved = put(design, { ...main, pointsMm: main.pointsMm.map((p) => ({ ...p, z: p.z - 5 })) });
  const word = (d: Design) => takeFingerprint(d, `trialDump:${branch.fromTank}`);
  expect(word(moved)).not.toBe(word(design));
  expect(word(put(opened, { ...main, endValve: { kind: "manual", boreMm: 30 } }))).toBe(word(opened));
});

test("a dump line that ends nowhere, in another kind of line, at no point or in a circle is refused", () => {
  const design = joinTwo("lesesaal-heads");
  const branch = design.lines.find((line): line is DumpLine => line.kind === "dumpLine" && line.to.kind === "wye")!;
  const main = findLine(design, branch.to.kind === "wye" ? branch.to.lineId : "");
  const drain = design.lines.find(({ kind }) => kind === "drain")!;
  const faults = (line: DumpLine) => {
    const outcome = parseDesign(JSON.parse(JSON.stringify(put(design, line))));
    return outcome.ok ? [] : outcome.faults.map(({ code }) => code);
  };
  expect(faults({ ...branch, pointsMm: [], to: { kind: "coupling" } })).toEqual(["dumpWithoutEnd"]);
  expect(faults({ ...branch, to: { kind: "wye", lineId: drain.id, node: "n1" } })).toEqual(["danglingReference"]);
  expect(faults({ ...branch, to: { kind: "wye", lineId: main.id, node: "no" } })).toEqual(["joinsNoBend"]);
  expect(faults({ ...main, to: { kind: "wye", lineId: branch.id, node: branch.pointsMm[0]!.id } })).toContain(
    "drainLoop",
  );
});

test("any rig: a second tank's line joined to the first one's is always a design that can be judged", () => {
  fc.assert(
    fc.property(designs, (design) => {
      const main = design.lines.find((line): line is DumpLine => line.kind === "dumpLine");
      fc.pre(main !== undefined);
      const [tank] = design.tanks;
      const twin: Tank = { ...tank!, id: "twin", name: "Twin", atMm: { ...tank!.atMm, x: tank!.atMm.x + 900 } };
      const two = { ...design, tanks: [...design.tanks, twin] };
      const outlet = twin.ports.find(({ kind }) => kind === "outlet")!;
      const laid = change(two, buildAddDumpLine(two, twin, outlet));
      const joined = change(laid, buildJoinDumpLine(laid, lineOf(laid, "twin").id, main!.id));
      const { findings } = evaluate(joined);
      const said = findings.filter(({ code }) => code === "dumpLinesMix");
      expect(said.length > 0).toBe(joined.tanks.some((t) => t.ports.some((p) => p.kind === "outlet" && !p.valve)));
    }),
    { numRuns: 25 },
  );
});

test("what stands in a line on the level is told although it runs empty as the rig leans to dump, and the other way round", () => {
  const base = readDemo("kranich");
  const [tank] = base.tanks as [Tank];
  const outlet = tank.ports.find(({ kind }) => kind === "outlet")!;
  const from = { x: tank.atMm.x + outlet.atMm.x, y: tank.atMm.y + outlet.atMm.y, z: tank.atMm.z + outlet.atMm.z };
  const laid = change(base, buildAddDumpLine(base, tank, outlet));
  const line = { ...lineOf(laid, tank.id), endValve: null };
  // down 40 and up 10 over a metre to the right: on the level a sag, 2° down that way none
  const pointsMm = toNodes([
    { ...from, y: from.y - 300, z: from.z - 40 },
    { ...from, y: from.y - 1300, z: from.z - 30 },
  ]);
  const standing = (rollDeg: number, points = pointsMm) => {
    const rig = { ...laid.rig, dumpAttitude: { pitchDeg: 0, rollDeg } };
    const design = put({ ...laid, rig }, { ...line, pointsMm: points });
    const run = buildDumpRun(design, findLine(design, line.id));
    return { stays: run.staysL, stands: measureStandingL(design, findLine(design, line.id)) };
  };
  const [level, leaning] = [standing(0), standing(2)];
  expect(level.stays).toBeGreaterThan(0.05);
  expect(level.stands).toBeCloseTo(level.stays, 9);
  expect(leaning.stays).toBe(0);
  expect(leaning.stands).toBeCloseTo(level.stays, 9);
  // falling on the level, it stands full where the rig is dumped the wrong way
  const down = toNodes([{ ...from, y: from.y - 1000, z: from.z - 20 }]);
  const wrong = standing(-3, down);
  expect(standing(0, down).stands).toBe(0);
  expect(wrong.stands).toBeCloseTo(wrong.stays, 9);
  expect(wrong.stays).toBeGreaterThan(0);
});

test("who shares a coupling, and in which order lines are laid: by the way, not by the list", () => {
  const design = joinTwo("lesesaal-heads");
  const tanks = design.tanks.filter(({ ports }) => ports.some(({ kind }) => kind === "outlet"));
  const lines = tanks.map(({ id }) => lineOf(design, id));
  lines.forEach((line, i) => {
    expect(listTanksBeside(design, line).map(({ id }) => id)).toEqual([tanks[1 - i]!.id]);
  });
  const mainFirst = listDumpWays(design).map(({ line }) => line.to.kind);
  expect(mainFirst).toEqual(["coupling", "wye"]);
  const turned = { ...design, lines: [...design.lines].reverse() };
  expect(listDumpWays(turned).map(({ line }) => line.to.kind)).toEqual(["coupling", "wye"]);
  const apart = change(design, buildOpenDumpLine(design, lines.find(({ to }) => to.kind === "wye")!.id));
  for (const { id } of tanks) expect(listTanksBeside(apart, lineOf(apart, id))).toEqual([]);
  // another tank with a line of its own is no company
  const third: Tank = { ...tanks[0]!, id: "third", name: "Third", atMm: { ...tanks[0]!.atMm, x: 5200 } };
  const three = { ...design, tanks: [...design.tanks, third] };
  const laid = change(three, buildAddDumpLine(three, third, third.ports.find(({ kind }) => kind === "outlet")!));
  expect(listTanksBeside(laid, lineOf(laid, tanks[0]!.id)).map(({ id }) => id)).toEqual([tanks[1]!.id]);
});
