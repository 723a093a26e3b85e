import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { listSuspects, SYMPTOMS, type Symptom } from "./suspects";

type At = { readonly kind: string; readonly id?: string; readonly lineId?: string; readonly tankId?: string };

test("every joint, port, tank and fixture of every sample is suspected of a wet floor, once, and at itself", () => {
  for (const design of ALL_DEMOS) {
    const { suspects } = listSuspects(design, "wetFloor");
    if (suspects.length === 0) continue;
    const count = (kind: string, is: (at: At) => boolean = () => true) =>
      suspects.filter((one) => one.kind === kind && is(one.at)).length;
    for (const line of design.lines) {
      if (line.kind !== "drain") continue;
      const legs = buildDrainPath(design, line).ownLegs.length;
      const ofLine = (at: At) => at.lineId === line.id;
      expect([line.id, count("bendJoint", ofLine)]).toEqual([line.id, legs - 1]);
      expect(count("inletJoint", (at) => at.kind === "line" && at.id === line.id)).toBe(1);
      expect(count("trapJoint", (at) => at.kind === "trap" && at.lineId === line.id)).toBe(findTrap(line) ? 1 : 0);
      expect(count("wasteSeal", (at) => at.kind === "fixture" && at.id === line.fromFixture)).toBe(1);
    }
    for (const { id, ports } of design.tanks) {
      expect(count("tankWall", (at) => at.id === id)).toBe(1);
      for (const port of ports) expect(count("tankPort", (at) => at.tankId === id && at.id === port.id)).toBe(1);
    }
    expect(count("hoseEnd")).toBe(design.lines.filter(({ kind }) => kind === "hose").length);
    for (const { id, spec } of design.gear) {
      const kind = { skinFitting: "skinSeal", deckFitting: "deckSeal" }[spec.kind as string] ?? "gearBody";
      expect([id, count(kind, (at) => at.kind === "gear" && at.id === id)]).toEqual([id, 1]);
    }
  }
});

test("along a drain each trial takes in all before it; a pump that leaks back is a pump", () => {
  for (const design of ALL_DEMOS) {
    for (const symptom of SYMPTOMS) {
      const { suspects, trials } = listSuspects(design, symptom);
      const known = new Map(suspects.map((one) => [one.id, one]));
      for (const { covers, at } of trials) {
        for (const id of covers) expect(known.has(id)).toBe(true);
        expect(Object.keys(at).length).toBeGreaterThan(at.kind === "rig" ? 0 : 1);
      }
      for (const kind of ["fillDrainTo", "pressHoses", "runHoses"]) {
        const sizes = new Map<string, number>();
        for (const trial of trials.filter((one) => one.kind === kind)) {
          const { at } = trial;
          const of = kind !== "fillDrainTo" ? kind : "lineId" in at ? at.lineId : "id" in at ? at.id : "";
          expect(trial.covers.size).toBeGreaterThanOrEqual(sizes.get(of) ?? 1);
          sizes.set(of, trial.covers.size);
        }
      }
      const pumps = design.gear.flatMap(({ id, spec }) => (spec.kind === "pump" ? [id] : []));
      const back = suspects.flatMap(({ kind, at }) => (kind === "pumpBack" && "id" in at ? [at.id] : []));
      expect(back.every((id) => pumps.includes(id))).toBe(true);
    }
  }
  const loop = readDemo("kranich-loop");
  const pumps = loop.gear.filter(({ spec }) => spec.kind === "pump").length;
  expect(listSuspects(loop, "pumpRuns").suspects.filter(({ kind }) => kind === "pumpBack")).toHaveLength(pumps);
  // no pressure stands in a rig of hand pumps and sumps alone: no pump starts by itself for want of it
  expect(listSuspects(readDemo("kranich"), "pumpRuns").suspects).toEqual([]);
});

test("in a loop all hoses are put under pressure, with a grey tank beside them; a bowl's outlet smells and its inlet does not", () => {
  const loop = readDemo("kranich-loop");
  expect(loop.tanks.some(({ holds }) => holds === "grey")).toBe(true);
  const { trials } = listSuspects(loop, "wetFloor");
  const pressed = new Set(trials.flatMap(({ kind, covers }) => (kind === "pressHoses" ? [...covers] : [])));
  for (const line of loop.lines) {
    if (line.kind !== "hose") continue;
    const ends = [line.from, line.to].flatMap((end) => (end.kind === "tank" ? [end.tankId] : []));
    const isFoul = loop.tanks.some(({ id, holds }) => ends.includes(id) && holds === "grey");
    expect([line.id, pressed.has(`hoseEnd:${line.id}`)]).toEqual([line.id, !isFoul]);
  }
  const boat = readDemo("setzkasten");
  const bowl = boat.gear.find(({ spec }) => spec.kind === "bowl")!;
  const walls = new Set(
    listSuspects(boat, "smell").suspects.flatMap(({ kind, at }) => (kind === "hoseWall" && "id" in at ? [at.id] : [])),
  );
  for (const line of boat.lines) {
    if (line.kind !== "hose") continue;
    const ports = [line.from, line.to].flatMap((end) =>
      end.kind === "gear" && end.gearId === bowl.id ? [end.port] : [],
    );
    if (ports.includes("out")) expect(walls).toContain(line.id);
    if (ports.includes("in")) expect(walls).not.toContain(line.id);
  }
});

// A second dump line that comes into the first one.
const joinSecond = (design: Design): Design[] => {
  const first = design.lines.find(({ kind }) => kind === "dumpLine");
  if (first?.kind !== "dumpLine") return [];
  const to = { kind: "wye", lineId: first.id, node: first.pointsMm[0]!.id } as const;
  return [{ ...design, lines: [...design.lines, { ...first, id: "second", to }] }];
};

test("what is looked into is the first leg, at itself; a dump line that joins another one has a joint there", () => {
  let [looked, joints] = [0, 0];
  for (const design of [...ALL_DEMOS, ...ALL_DEMOS.flatMap(joinSecond)]) {
    for (const symptom of SYMPTOMS) {
      const { suspects, trials } = listSuspects(design, symptom);
      for (const { kind, at, covers } of trials) {
        if (kind !== "lookInto") continue;
        looked += 1;
        const [id] = covers;
        expect(covers.size).toBe(1);
        expect(suspects.find((one) => one.id === id)!.at).toEqual(at);
      }
    }
    const { suspects } = listSuspects(design, "wetFloor");
    for (const line of design.lines) {
      if (line.kind !== "dumpLine") continue;
      const own = suspects.filter(({ kind, at }) => kind === "inletJoint" && at.kind === "line" && at.id === line.id);
      expect([line.id, own.length]).toEqual([line.id, line.to.kind === "wye" ? 1 : 0]);
      joints += own.length;
    }
  }
  expect(looked).toBeGreaterThan(5);
  expect(joints).toBeGreaterThan(0);
});

test("an admittance valve is bagged for a smell and lifted for a gurgle; where none sits neither is tried", () => {
  const design = readDemo("lesesaal-furnished");
  const line = design.lines.find((one): one is Drain => one.kind === "drain")!;
  const valved = {
    ...design,
    lines: design.lines.map((one) => (one.id === line.id ? withAdmittance(line) : one)),
  };
  const tried = (of: Design, symptom: Symptom) =>
    listSuspects(of, symptom).trials.flatMap(({ kind, id }) =>
      kind.endsWith("Admittance") && id.endsWith(`:${line.id}`) ? [kind] : [],
    );
  expect(tried(valved, "smell")).toEqual(["bagAdmittance"]);
  for (const symptom of ["gurgles", "slowDrain"] as const) expect(tried(valved, symptom)).toEqual(["liftAdmittance"]);
  for (const symptom of SYMPTOMS) expect(tried(withoutAir(valved, line.id), symptom)).toEqual([]);
});

const withAdmittance = (line: Drain): Drain => ({
  ...line,
  items: [
    ...line.items.filter(({ kind }) => kind !== "branchVent"),
    { kind: "branchVent", node: null, vent: { kind: "admittanceValve", fromWeirMm: 300 } },
  ],
});

const withoutAir = (design: Design, lineId: string): Design => ({
  ...design,
  lines: design.lines.map((one) =>
    one.id === lineId && one.kind === "drain"
      ? { ...one, items: one.items.filter(({ kind }) => kind !== "branchVent") }
      : one,
  ),
});

test("a waste tank is dipped where what it holds comes up, a fresh one never; ports are tried from the lowest up", () => {
  let [waste, fresh] = [0, 0];
  for (const design of ALL_DEMOS) {
    for (const symptom of ["comesUp", "spits"] as const) {
      const { suspects, trials } = listSuspects(design, symptom);
      for (const { id, holds } of design.tanks) {
        const isDipped = trials.some(({ kind, at }) => kind === "dipTank" && "id" in at && at.id === id);
        const isSuspected = suspects.some(({ kind, at }) => kind === "tankFull" && "id" in at && at.id === id);
        expect([design.id, id, isDipped, isSuspected]).toEqual([design.id, id, holds !== "fresh", holds !== "fresh"]);
        if (holds === "fresh") fresh += 1;
        else waste += 1;
      }
    }
    const { trials } = listSuspects(design, "wetFloor");
    for (const { id, ports } of design.tanks) {
      const fills = trials.filter(({ kind, at }) => kind === "fillTank" && "tankId" in at && at.tankId === id);
      const heights = fills.map(({ at }) => ports.find((port) => "id" in at && port.id === at.id)!.atMm.z);
      expect(heights).toEqual([...heights].sort((a, b) => a - b));
      // each has all lower ports under water
      expect(fills.map(({ covers }) => covers.size)).toEqual(fills.map((_, i) => i + 1));
    }
  }
  expect([waste > 5, fresh > 2]).toEqual([true, true]);
});
