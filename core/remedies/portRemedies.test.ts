import "../evaluate/fitted";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { measureExtent } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { measureToEdgeMm } from "../templates/tankFaces";
import { proposeAcrossTop, proposeAlongWallOf, proposeLowerOutlet } from "./portRemedies";
import { listCandidates } from "./proposals";
import { proposeRemedies } from "./proposeRemedies";
import type { Remedy } from "./remedy";

const kranich = readDemo("kranich");
const withTank = (design: Design, change: (tank: Tank) => Tank): Design => ({
  ...design,
  tanks: design.tanks.map((tank, i) => (i === 0 ? change(tank) : tank)),
});
const portAt = (design: Design, kind: string, to: object): Design =>
  withTank(design, (tank) => ({
    ...tank,
    ports: tank.ports.map((port) => (port.kind === kind ? { ...port, atMm: { ...port.atMm, ...to } } : port)),
  }));

test("an outlet that leaves much behind is set lower, by as little as helps; its hole lies whole in its wall and less stays, on every sample", () => {
  let offered = 0;
  for (const demo of ALL_DEMOS) {
    const first = demo.tanks.find(({ ports }) => ports.some(({ kind }) => kind === "outlet"));
    if (!first || demo.tanks[0] !== first) continue;
    const { min, max } = measureExtent(first.solid);
    const high = portAt(demo, "outlet", { z: min.z + (max.z - min.z) * 0.4 });
    const [finding] = findAll(high, "dumpLeaves");
    if (!finding) continue;
    const remedies = proposeRemedies(high, evaluate(high, LEVEL), finding).filter(
      ({ edit }) => edit.code === "lowerOutlet",
    );
    const far = remedies.map(({ byMm }) => byMm!);
    expect(far).toEqual(far.toSorted((a, b) => a - b));
    for (const { edit } of remedies) {
      const [tank] = mustApply(high, edit).tanks;
      for (const port of tank!.ports.filter(({ kind }) => kind === "outlet"))
        expect(measureToEdgeMm(tank!.solid, port)).toBeGreaterThanOrEqual(-1e-6);
      const leftOf = (design: Design) => evaluate(design, LEVEL).tanks[0]!.leftL!;
      expect(leftOf(mustApply(high, edit))).toBeLessThan(leftOf(high));
      offered += 1;
    }
  }
  expect(offered).toBeGreaterThan(3);
});

test("a breather's port that drowns first is moved over the top, to where it does not", () => {
  const [tank] = kranich.tanks;
  const { min } = measureExtent(tank!.solid);
  const design: Design = {
    ...portAt(kranich, "vent", { x: min.x + 20 }),
    rig: { ...kranich.rig, envelope: { ...kranich.rig.envelope, noseUpDeg: 12 } },
  };
  const [finding] = findAll(design, "ventDrownsFirst");
  expect(finding).toBeDefined();
  const [remedy] = proposeRemedies(design, evaluate(design, LEVEL), finding!);
  expect(remedy?.edit.code).toBe("shiftPort");
  expect(remedy!.way).toBe("forward");
  expect(findAll(mustApply(design, remedy!.edit), "ventDrownsFirst")).toEqual([]);
});

test("of two tanks that share a level one is hung so that their bottoms are as high", () => {
  const lesesaal = readDemo("lesesaal");
  const [tank] = lesesaal.tanks as [Tank];
  const atMm = { ...tank.atMm, x: tank.atMm.x - 1_500, z: tank.atMm.z - 260 };
  const low: Tank = { ...tank, id: "low", name: "Low", ports: [], atMm };
  const pair: Design = { ...lesesaal, tanks: [{ ...tank, link: { kind: "communicating", toTank: "low" } }, low] };
  const [finding] = findAll(pair, "linkApart");
  const [remedy] = proposeRemedies(pair, evaluate(pair, LEVEL), finding!);
  const after = mustApply(pair, remedy!.edit).tanks;
  expect(after[0]!.atMm.z).toBeCloseTo(after[1]!.atMm.z, 6);
  // the one nothing is joined to yet goes up
  expect([remedy!.edit.at, remedy!.byMm, remedy!.way]).toEqual([{ kind: "tank", id: "low" }, 260, "up"]);
});

test("an outlet that a tank rises to first is raised, or the tank hung lower, by as little as helps", () => {
  const sink = kranich.fixtures[0]!;
  const inlet = kranich.tanks[0]!.atMm.z + 150;
  const low: Design = {
    ...kranich,
    fixtures: [{ ...sink, outletMm: { ...sink.outletMm, z: inlet } }, ...kranich.fixtures.slice(1)],
  };
  const [finding] = findAll(low, "fixtureDrownsFirst");
  expect(finding).toBeDefined();
  const remedies = listCandidates(low, finding!);
  expect(new Set(remedies.map(({ edit }) => edit.code))).toEqual(new Set(["raiseOutlet", "lowerTank"]));
  const known = new Set(evaluate(low, LEVEL).findings.map(({ id }) => id));
  const settled = remedies.filter(({ edit }) => {
    const outcome = applyEdit(low, edit);
    if (!outcome.ok) return false;
    const after = evaluate(outcome.design, LEVEL).findings.filter(({ id }) => !known.has(id));
    return (
      findAll(outcome.design, "fixtureDrownsFirst").length === 0 && after.every(({ severity }) => severity !== "must")
    );
  });
  expect(settled.map(({ edit }) => edit.code)).toContain("raiseOutlet");
  for (const remedy of proposeRemedies(low, evaluate(low, LEVEL), finding!)) {
    const isLeast = (mm: number) => settled.every(({ edit, byMm }) => edit.code !== remedy.edit.code || byMm! >= mm);
    expect(isLeast(remedy.byMm!)).toBe(true);
  }
});

test("a port over another is moved along its wall until there is a web between them, and nothing is said of a port that is not there", () => {
  const [tank] = kranich.tanks as [Tank];
  const inlet = tank.ports.find(({ kind }) => kind === "inlet")!;
  const other = { ...inlet, id: "other" };
  const both: Tank = { ...tank, ports: [...tank.ports, other] };
  const design: Design = { ...kranich, tanks: [both] };
  const at = { kind: "port", tankId: tank.id, id: "other" } as const;
  const [remedy] = proposeAlongWallOf(design, both, at);
  const moved = mustApply(design, remedy!.edit).tanks[0]!.ports.find(({ id }) => id === "other")!;
  const { x, y, z } = inlet.atMm;
  expect(Math.hypot(moved.atMm.x - x, moved.atMm.y - y, moved.atMm.z - z)).toBeCloseTo(remedy!.byMm!, 0);
  expect(remedy!.byMm).toBeGreaterThanOrEqual(inlet.boreMm);
  expect(mustApply(design, remedy!.edit).tanks[0]!.ports.find(({ id }) => id === inlet.id)!.atMm).toEqual(inlet.atMm);
  expect(proposeAlongWallOf(design, both, { ...at, id: "gone" })).toEqual([]);
  expect(proposeAcrossTop(tank, { ...at, id: "gone" })).toEqual([]);
});

test("a breather's port is tried at nine places of the top, an outlet at the foot of every wall, the nearest first, and no other port", () => {
  const [tank] = kranich.tanks as [Tank];
  const { min, max } = measureExtent(tank.solid);
  const vent = tank.ports.find(({ kind }) => kind === "vent")!;
  const placesOf = (remedies: readonly Remedy[]) =>
    remedies.map(({ edit }) => (edit.ops[0] as { readonly value: Vec3 }).value);
  const over = proposeAcrossTop(tank, { kind: "port", tankId: tank.id, id: vent.id });
  // nine places, but the one where it is
  expect(over).toHaveLength(8);
  expect(new Set(placesOf(over).map(({ z }) => z))).toEqual(new Set([max.z]));
  expect(new Set(placesOf(over).map(({ x }) => x))).toEqual(
    new Set([min.x + vent.boreMm, (min.x + max.x) / 2, max.x - vent.boreMm]),
  );
  const outlet = tank.ports.find(({ kind }) => kind === "outlet")!;
  const low = proposeLowerOutlet(tank);
  for (const { edit } of low) expect(edit.at).toEqual({ kind: "port", tankId: tank.id, id: outlet.id });
  const feet = placesOf(low);
  expect(new Set(feet.map(({ z }) => z))).toEqual(new Set([min.z]));
  for (const wall of [
    feet.filter(({ x }) => x === min.x),
    feet.filter(({ x }) => x === max.x),
    feet.filter(({ y }) => y === min.y),
    feet.filter(({ y }) => y === max.y),
  ])
    expect(wall.length).toBeGreaterThanOrEqual(2);
  for (const list of [over, low]) {
    const far = list.map(({ byMm }) => byMm!);
    expect(far).toEqual(far.toSorted((a, b) => a - b));
  }
});
