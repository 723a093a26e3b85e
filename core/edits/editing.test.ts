import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import { findBranchVent, findLineTrap, findTrap, listPipeChanges } from "../design/lineItems";
import { buildMove, findPlaceMm } from "../design/moves";
import type { Drain } from "../design/plumbing";
import { INLINE_PIECES } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath } from "../falls/drainPath";
import { measureExtent } from "../geometry/solid";
import { add, measurePlanLength, subtract } from "../geometry/vec";
import { listParts } from "../parts/listParts";
import { listFamily } from "../parts/pipes";
import { ALIGN_AXES, buildAlign } from "./alignEdits";
import { buildCopyFixture } from "./copyFixture";
import { buildDrawnDrain, findPlanEnd, snapToFittings } from "./drawnDrain";
import { buildLock, buildMoveAll, isLocked } from "./groupEdits";
import { buildEvenFall, buildSetFall } from "./legEdits";
import { buildChangePipe, buildInline, buildLineTrap, buildUnion, findJoint, USUAL_LINE_TRAP } from "./pipeEdits";
import { buildAddPort, buildAddTank, buildRemovePort, buildRemoveTank } from "./tankEdits";

type Any = Parameters<typeof evaluate>[0];
const drainsOf = (design: Any) => design.lines.filter((line): line is Drain => line.kind === "drain");
const pathOf = (design: Any, lineId: string) =>
  buildDrainPath(design, drainsOf(design).find(({ id }) => id === lineId)!);

test("a fall that is set is the fall of that leg, and weir and end stay where they are", () => {
  let laid = 0;
  fc.assert(
    fc.property(networks, fc.nat(), fc.integer({ min: 0, max: 60 }), (design, which, fall) => {
      const drain = drainsOf(design)[which % drainsOf(design).length]!;
      const before = pathOf(design, drain.id);
      const index = which % before.ownLegs.length;
      const edit = buildSetFall(design, drain.id, index, fall);
      if (!edit) return;
      const after = pathOf(mustApply({ ...design, rig: { ...design.rig, groundZMm: -3000 } }, edit), drain.id);
      const leg = after.ownLegs[index]!;
      expect(Math.abs(leg.from.z - leg.to.z - (leg.planLengthMm * fall) / 1000)).toBeLessThan(0.11);
      expect(after.nodesMm.at(-1)).toEqual(before.nodesMm.at(-1));
      // bends are laid to a tenth of a millimetre
      expect(Math.abs(leg.planLengthMm - before.ownLegs[index]!.planLengthMm)).toBeLessThan(0.2);
      laid += 1;
    }),
  );
  expect(laid).toBeGreaterThan(30);
});

test("laid evenly between its ends, all runs of a stretch fall alike", () => {
  fc.assert(
    fc.property(networks, (design) => {
      for (const { id } of drainsOf(design)) {
        const edit = buildEvenFall(design, id);
        if (!edit) continue;
        const { ownLegs } = pathOf(mustApply(design, edit), id);
        for (const [i, leg] of ownLegs.entries()) {
          const next = ownLegs[i + 1];
          if (leg.kind === "drop" || next?.kind !== "run" || leg.planLengthMm < 20 || next.planLengthMm < 20) continue;
          const slope = (at: typeof leg) => (at.from.z - at.to.z) / at.planLengthMm;
          // bends are laid to a tenth of a millimetre
          expect(Math.abs(slope(leg) - slope(next))).toBeLessThan(
            0.2 / Math.min(leg.planLengthMm, next.planLengthMm) + 1e-9,
          );
        }
      }
    }),
  );
});

test("a leg between two bends moves as one and keeps its fall and its length", () => {
  fc.assert(
    fc.property(
      networks,
      fc.integer({ min: -200, max: 200 }),
      fc.integer({ min: -200, max: 200 }),
      (design, dx, dy) => {
        const drain = drainsOf(design).find(({ bendsMm }) => bendsMm.length > 1)!;
        const part = { kind: "leg", lineId: drain.id, index: 1 } as const;
        const place = findPlaceMm(design, part)!;
        const edit = buildMove(design, part, { x: place.x + dx, y: place.y + dy, z: place.z });
        if (!edit) return;
        const [before, after] = [
          drain.bendsMm,
          drainsOf(mustApply(design, edit)).find(({ id }) => id === drain.id)!.bendsMm,
        ];
        expect(after[0]!.z - after[1]!.z).toBeCloseTo(before[0]!.z - before[1]!.z, 0);
        expect(measurePlanLength(subtract(after[0]!, after[1]!))).toBeCloseTo(
          measurePlanLength(subtract(before[0]!, before[1]!)),
          0,
        );
        expect(findPlaceMm(design, { ...part, index: 0 })).toBeNull();
      },
    ),
  );
});

test("a leg that ends in the tank takes its inlet along, as far as the tank reaches, and keeps its fall", () => {
  fc.assert(
    fc.property(
      networks,
      fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: -900, max: 900 }))),
      (design, [dx, dy, dz]) => {
        const drain = drainsOf(design).find(({ to, bendsMm }) => to.kind === "inlet" && bendsMm.length > 0)!;
        const part = { kind: "leg", lineId: drain.id, index: drain.bendsMm.length } as const;
        const place = findPlaceMm(design, part)!;
        const edit = buildMove(design, part, add(place, { x: dx!, y: dy!, z: dz! }));
        if (!edit) return;
        const after = mustApply(design, edit);
        const legOf = (one: Any) =>
          buildDrainPath(one, drainsOf(one).find(({ id }) => id === drain.id)!).legs.find(
            ({ lineId, index }) => lineId === part.lineId && index === part.index,
          )!;
        const [was, is] = [legOf(design), legOf(after)];
        // places are kept to a tenth of a millimetre
        expect(Math.abs(is.from.z - is.to.z - (was.from.z - was.to.z))).toBeLessThan(0.11);
        expect(Math.abs(is.planLengthMm - was.planLengthMm)).toBeLessThan(0.21);
        const path = buildDrainPath(after, drainsOf(after).find(({ id }) => id === drain.id)!);
        const [tank, inlet] = [path.tank!, path.inlet!];
        const { min, max } = measureExtent(tank.solid);
        for (const axis of ["x", "y", "z"] as const) {
          expect(inlet.atMm[axis]).toBeGreaterThanOrEqual(min[axis] - 0.05);
          expect(inlet.atMm[axis]).toBeLessThanOrEqual(max[axis] + 0.05);
        }
        const locked = { ...design, tanks: design.tanks.map((one) => ({ ...one, locked: true as const })) };
        expect(findPlaceMm(locked, part)).toBeNull();
      },
    ),
  );
});

test("several parts move as one step, and line up with the first", () => {
  const lesesaal = readDemo("lesesaal");
  const parts = [
    { kind: "fixture", id: "sink" },
    { kind: "bend", lineId: "sink-drain", index: 0 },
    { kind: "bend", lineId: "sink-drain", index: 1 },
  ] as const;
  const moved = mustApply(lesesaal, buildMoveAll(lesesaal, parts, { x: 40, y: -30, z: 0 }));
  for (const part of parts) {
    const [from, to] = [findPlaceMm(lesesaal, part)!, findPlaceMm(moved, part)!];
    expect(subtract(to, from)).toEqual({ x: 40, y: -30, z: 0 });
  }
  for (const axis of ALIGN_AXES) {
    const lined = mustApply(lesesaal, buildAlign(lesesaal, parts, axis));
    for (const part of parts) expect(findPlaceMm(lined, part)![axis]).toBe(findPlaceMm(lesesaal, parts[0])![axis]);
  }
});

test("locked and let go is as before", () => {
  const kranich = readDemo("kranich");
  const at = { kind: "bend", lineId: "sink-drain", index: 0 } as const;
  const locked = mustApply(kranich, buildLock(kranich, at, true));
  expect(isLocked(locked, at)).toBe(true);
  expect(buildLock(locked, at, true)).toBeNull();
  expect(mustApply(locked, buildLock(locked, at, false))).toEqual(kranich);
});

test.each(DEMO_NAMES)(
  "%s: a copy of a fixture comes with a drain like the first, and changes nothing of it",
  (name) => {
    const design = readDemo(name);
    const [drain] = drainsOf(design);
    const after = mustApply(design, buildCopyFixture(design, drain!.fromFixture, "Copy"));
    expect(after.fixtures).toHaveLength(design.fixtures.length + 1);
    const copy = drainsOf(after).at(-1)!;
    const heights = (of: Drain) => of.bendsMm.map(({ z }) => z);
    expect(heights(copy)).toEqual(heights(drain!));
    expect(copy.to).not.toEqual(drain!.to.kind === "inlet" ? drain!.to : null);
    expect(drainsOf(after).find(({ id }) => id === drain!.id)).toEqual(drain);
  },
);

test("joints follow from what is joined; taken back, the drain is as it was", () => {
  const kranich = readDemo("kranich");
  const drain = drainsOf(kranich)[0]!;
  const [, , wide] = listFamily("metricWaste");
  const [hose] = listFamily("smoothHose");
  expect(findJoint(drain.pipe, drain.pipe)).toBe("union");
  expect(findJoint(drain.pipe, wide!.pipe)).toBe("reducer");
  expect(findJoint(wide!.pipe, hose!.pipe)).toBe("hoseBarb");
  const union = mustApply(kranich, buildUnion(drain, 1));
  expect(listParts(union)).toContainEqual(expect.objectContaining({ kind: "joint", joint: "union", count: 1 }));
  const changed = mustApply(union, buildChangePipe(drainsOf(union)[0]!, 0, wide!.pipe));
  // the pipe of each leg is what it was changed to before it
  expect(pathOf(changed, drain.id).ownLegs.map(({ pipe }) => pipe.outerMm)).toEqual([40, 50, 40]);
  expect(listPipeChanges(drainsOf(changed)[0]!).map(({ joint }) => joint)).toEqual(["reducer", "reducer"]);
  const back = mustApply(changed, buildChangePipe(drainsOf(changed)[0]!, 0, null));
  expect(mustApply(back, buildChangePipe(drainsOf(back)[0]!, 1, null))).toEqual(kranich);
  const trapped = mustApply(kranich, buildLineTrap(drain, { ...USUAL_LINE_TRAP, bend: 1 }));
  expect(listParts(trapped)).toContainEqual(expect.objectContaining({ kind: "lineTrap", count: 1 }));
  expect(mustApply(trapped, buildLineTrap(drain, null))).toEqual(kranich);
});

test("a cleanout, a valve and a flap sit at bends, are bought, and change no sum but the flap's word", () => {
  const kranich = readDemo("kranich");
  const before = evaluate(kranich);
  for (const piece of INLINE_PIECES) {
    const fitted = mustApply(kranich, buildInline(drainsOf(kranich)[0]!, 1, piece));
    expect(listParts(fitted)).toContainEqual(expect.objectContaining({ kind: "inline", piece, count: 1 }));
    const after = evaluate(fitted);
    expect(after.drains.map(({ worst }) => worst.inHandMm)).toEqual(before.drains.map(({ worst }) => worst.inHandMm));
    expect(after.tanks.map(({ worst }) => worst.litres)).toEqual(before.tanks.map(({ worst }) => worst.litres));
    const fresh = after.findings.filter(({ id }) => !before.findings.some((known) => known.id === id));
    expect(fresh.map(({ code }) => code)).toEqual(piece === "nonReturn" ? ["flapInDrain"] : []);
    expect(mustApply(fitted, buildInline(drainsOf(fitted)[0]!, 1, null))).toEqual(kranich);
  }
  expect(buildInline(drainsOf(kranich)[0]!, 9, "cleanout")).toBeNull();
});

test("what stands at a bend goes with it when bends are put in and taken out before it", () => {
  const kranich = readDemo("kranich");
  const drain = drainsOf(kranich)[0]!;
  const trapped = mustApply(kranich, buildLineTrap(drain, { ...USUAL_LINE_TRAP, bend: 1 }));
  const changed = mustApply(trapped, buildUnion(drainsOf(trapped)[0]!, 1));
  const path = ["lines", drain.id, "bendsMm"];
  const at = { kind: "line", id: drain.id } as const;
  const more = mustApply(changed, {
    code: "addBend",
    at,
    ops: [
      {
        op: "insert",
        path,
        index: 0,
        value: { x: drain.bendsMm[0]!.x, y: drain.bendsMm[0]!.y, z: drain.bendsMm[0]!.z + 2 },
      },
    ],
  });
  expect(findLineTrap(drainsOf(more)[0]!)).toMatchObject({ bend: 2 });
  expect(listPipeChanges(drainsOf(more)[0]!)).toMatchObject([{ bend: 2 }]);
  const fewer = mustApply(more, { code: "removeBend", at, ops: [{ op: "remove", path: [...path, 2] }] });
  // trap and vent stand at the beginning and stay
  expect(drainsOf(fewer)[0]!.items).toEqual(drain.items);
  expect(drain.items.map(({ kind }) => kind)).toEqual(["trap", "branchVent"]);
});

test.each(DEMO_NAMES)("%s: a tank is hung clear of what is there, gets ports, and goes again", (name) => {
  const design = readDemo(name);
  const hung = mustApply(design, buildAddTank(design, "black", "Black tank"));
  const tank = hung.tanks.at(-1)!;
  const hits = evaluate(hung).findings.filter(
    ({ code, at }) => code === "tankHitsObstacle" && "id" in at && at.id === tank.id,
  );
  expect(hits).toEqual([]);
  const ported = mustApply(hung, buildAddPort(hung, tank, "inlet"));
  const port = ported.tanks.at(-1)!.ports.at(-1)!;
  expect(mustApply(ported, buildRemovePort(ported, tank.id, port.id))).toEqual(hung);
  expect(mustApply(hung, buildRemoveTank(hung, tank.id))).toEqual(design);
  // one that drains end in stays
  expect(buildRemoveTank(design, design.tanks[0]!.id)).toBeNull();
});

const click = fc.record({ x: fc.integer({ min: 0, max: 6000 }), y: fc.integer({ min: -1000, max: 1000 }) });

test("clicked points turn by 45° and 90° only", () => {
  fc.assert(
    fc.property(fc.array(click, { minLength: 2, maxLength: 8 }), (clicks) => {
      const points: { x: number; y: number }[] = [];
      for (const p of clicks) points.push(snapToFittings(points, p));
      for (let i = 1; i < points.length; i++) {
        const [a, b] = [points[i - 1]!, points[i]!];
        const [dx, dy] = [Math.abs(b.x - a.x), Math.abs(b.y - a.y)];
        // rounded to whole millimetres
        expect(Math.min(dx, dy, Math.abs(dx - dy))).toBeLessThanOrEqual(1);
      }
    }),
  );
});

test("a drain drawn along clicks ends where it was led, and every leg under the floor has the fall that was chosen", () => {
  fc.assert(
    fc.property(fc.array(click, { minLength: 1, maxLength: 5 }), fc.integer({ min: 5, max: 40 }), (clicks, fall) => {
      const lesesaal = readDemo("lesesaal");
      const inlet = { x: 3000, y: 0 };
      const end = findPlanEnd(lesesaal, "sink", inlet, 80)!;
      expect(end.goal).toEqual({ kind: "inlet", tankId: "grey", portId: "inlet" });
      const after = mustApply(lesesaal, buildDrawnDrain(lesesaal, "sink", clicks, end, fall));
      const { ownLegs } = pathOf(after, "sink-drain");
      const runs = ownLegs.slice(-clicks.length);
      for (const leg of runs)
        expect(Math.abs(leg.from.z - leg.to.z - (leg.planLengthMm * fall) / 1000)).toBeLessThan(0.11);
      // what was measured of the drain stays
      expect(findTrap(drainsOf(after)[0]!)).toEqual(findTrap(drainsOf(lesesaal)[0]!));
      expect(findBranchVent(drainsOf(after)[0]!)).toEqual(findBranchVent(drainsOf(lesesaal)[0]!));
      expect(drainsOf(after)[0]!.pipe).toEqual(drainsOf(lesesaal)[0]!.pipe);
    }),
    { numRuns: 60 },
  );
});

test("a second fixture can be drawn into the first one's drain", () => {
  const lesesaal = readDemo("lesesaal");
  const basin = { ...lesesaal.fixtures[0]!, id: "basin", name: "Basin", outletMm: { x: 4200, y: 850, z: 620 } };
  const two: Any = { ...lesesaal, fixtures: [...lesesaal.fixtures, basin] };
  const end = findPlanEnd(two, "basin", { x: 4300, y: 560 }, 200)!;
  expect(end.goal).toEqual({ kind: "line", lineId: "sink-drain" });
  const after = mustApply(two, buildDrawnDrain(two, "basin", [{ x: 4400, y: 760 }], end, 20));
  expect(drainsOf(after).at(-1)!.to).toMatchObject({ kind: "junction", lineId: "sink-drain" });
  // nothing near, nothing to end in
  expect(findPlanEnd(two, "basin", { x: 7000, y: -1000 }, 100)).toBeNull();
});
