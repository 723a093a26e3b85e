import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import "../evaluate/fitted";
import type { Design } from "../design/design";
import type { Drain, Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { measureExtent } from "../geometry/solid";
import { findTankJoin } from "../tanks/tankJoins";
import { listHoles } from "../through/holes";
import { judgeTrial } from "../trials/proof";
import { measureTrialSurfaceMm2 } from "../trials/trialSurface";
import { listGoods } from "./goods";
import { takeDrawnTrial } from "./redrawn";
import { type BuildStep, isUnderRig, listSteps, orderSteps } from "./steps";

const stepsOf = (design: Design) => listSteps(design, evaluate(design));

// All that comes before a step, however far.
function listBefore(steps: readonly BuildStep[], id: string): ReadonlySet<string> {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const found = new Set<string>();
  const open = [id];
  for (let next = open.pop(); next !== undefined; next = open.pop())
    for (const one of byId.get(next)?.after ?? []) if (!found.has(one)) open.push(one) && found.add(one);
  return found;
}

// Two tanks, the first of which goes on in the second.
function joinTwo(kind: "communicating" | "pumped"): { design: Design; first: Tank; second: Tank } {
  const kranich = readDemo("kranich");
  const grey = kranich.tanks.find(({ holds }) => holds === "grey")!;
  const second: Tank = {
    ...grey,
    id: "second",
    name: "Second",
    ports: [],
    atMm: { ...grey.atMm, y: -grey.atMm.y - 900 },
  };
  const first: Tank = { ...grey, link: { kind, toTank: "second" } };
  return {
    design: { ...kranich, tanks: [first, second, ...kranich.tanks.filter(({ id }) => id !== grey.id)] },
    first,
    second,
  };
}

test("a drain is tried when every drain its water runs on through is laid, and laid when what it ends in is there", () => {
  const hold = (design: Design) => {
    const steps = stepsOf(design);
    expect(orderSteps(steps)).toMatchObject({ ok: true });
    const drains = new Map(design.lines.flatMap((line) => (line.kind === "drain" ? [[line.id, line] as const] : [])));
    for (const drain of drains.values()) {
      const before = listBefore(steps, `trialDrain:${drain.id}`);
      for (
        let one: Drain | undefined = drain;
        one;
        one = one.to.kind === "junction" ? drains.get(one.to.lineId) : undefined
      ) {
        expect([...before]).toContain(`layDrain:${one.id}`);
        if (one.to.kind === "inlet") expect([...before]).toContain(`hangTank:${one.to.tankId}`);
        if (one.to.kind === "overboard" || one.to.kind === "sump") {
          expect([...before]).toContain(`mountGear:${one.to.gearId}`);
          expect([...listBefore(steps, `layDrain:${one.id}`)]).toContain(`mountGear:${one.to.gearId}`);
        }
      }
    }
  };
  ALL_DEMOS.forEach(hold);
  fc.assert(fc.property(networks, hold), { numRuns: 30 });
});

test("no boat is let go before what drains through her skin is laid", () => {
  const otter = readDemo("otter-heads");
  const before = [...listBefore(stepsOf(otter), "trialLaunch:all")];
  expect(before).toContain("layDrain:sink-drain");
});

test("afloat a tank is pumped out when the hoses to the deck, and what drives a pump on them, are there; ashore it runs out", () => {
  let pumped = 0;
  for (const design of ALL_DEMOS) {
    const steps = stepsOf(design);
    expect(orderSteps(steps).ok).toBe(true);
    const decks = design.gear.filter(({ spec }) => spec.kind === "deckFitting").map(({ id }) => id);
    for (const { id } of steps.filter(({ kind }) => kind === "trialDump")) {
      const before = listBefore(steps, id);
      const tankId = id.slice("trialDump:".length);
      const own = design.lines.filter(
        (line) =>
          line.kind === "hose" && [line.from, line.to].some((end) => end.kind === "tank" && end.tankId === tankId),
      );
      const laid = own.filter((line) => before.has(`layHose:${line.id}`));
      expect(laid).toHaveLength(design.rig.kind === "boat" ? own.length : 0);
      const toDeck = design.lines.filter(
        (line) =>
          line.kind === "hose" &&
          before.has(`layHose:${line.id}`) &&
          [line.from, line.to].some((end) => end.kind === "gear" && decks.includes(end.gearId)),
      );
      pumped += toDeck.length;
      // whatever is pumped through has its current
      for (const { id: gearId, spec } of design.gear)
        if (spec.kind === "pump" && own.some((line) => isAt(line, gearId)) && design.rig.kind === "boat")
          expect(before.has(`layCable:${gearId}`)).toBe(steps.some((step) => step.id === `layCable:${gearId}`));
    }
  }
  expect(pumped).toBeGreaterThan(2);
});

const isAt = (line: Design["lines"][number], gearId: string): boolean =>
  line.kind === "hose" && [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === gearId);

test("a hole whose edge lies over a tank is drilled before it hangs, though its middle lies beside it", () => {
  const design = readDemo("kranich");
  const evaluation = evaluate(design);
  const hole = listHoles(design, evaluation).find(({ through }) => through === "floor")!;
  const [face] = hole.facesMm;
  const tank = design.tanks.find(({ holds }) => holds === "grey")!;
  const { max } = measureExtent(tank.solid);
  const outerMm = tank.wallMm + tank.insulationMm;
  // its side so far from the hole's middle
  const put = (offMm: number): Design => ({
    ...design,
    tanks: design.tanks.map((one) =>
      one === tank
        ? { ...one, atMm: { x: face.x - max.x / 2, y: face.y - max.y - outerMm - offMm, z: one.atMm.z } }
        : one,
    ),
  });
  const isBefore = (offMm: number) => {
    const moved = put(offMm);
    const id = `drillHole:${hole.id}`;
    return listSteps(moved, evaluate(moved))
      .find((step) => step.id === `hangTank:${tank.id}`)!
      .after.includes(id);
  };
  expect(isBefore(hole.lengthMm / 2)).toBe(true);
  expect(isBefore(hole.lengthMm / 2 + 60)).toBe(false);
});

test("tanks that share a level are joined before either is filled, and sink together when they are", () => {
  const { design, first, second } = joinTwo("communicating");
  const steps = stepsOf(design);
  for (const { id } of [first, second]) {
    const before = [...listBefore(steps, `trialTank:${id}`)];
    expect(before).toEqual(
      expect.arrayContaining([`joinTanks:${first.id}`, `hangTank:${first.id}`, `hangTank:${second.id}`]),
    );
    const trial = steps.find((step) => step.id === `trialTank:${id}`)!;
    const alone = readDemo("kranich");
    const own = measureTrialSurfaceMm2(alone, stepsOf(alone).find((step) => step.id === `trialTank:${first.id}`)!);
    expect(measureTrialSurfaceMm2(design, trial)).toBeCloseTo(2 * own, 6);
  }
  expect([...listBefore(steps, "closeUp:all")]).toContain(`joinTanks:${first.id}`);
  const joins = listGoods(design, evaluate(design)).filter(({ ware }) => ware.kind === "tankJoin");
  expect(joins).toMatchObject([{ amount: 1, assembly: { kind: "tank", id: first.id }, ware: { to: "Second" } }]);
});

test("what is pumped over is put there unless its pump is laid, and a trial fills no other", () => {
  const { design, first, second } = joinTwo("pumped");
  expect(findTankJoin(design, first)).toMatchObject({ kind: "pumped", to: { id: "second" } });
  expect(findTankJoin(design, second)).toBeNull();
  const steps = stepsOf(design);
  // the joint in its wall is tried with it; the other is not filled by that
  expect([...listBefore(steps, `trialTank:${first.id}`)]).toContain(`joinTanks:${first.id}`);
  expect([...listBefore(steps, `trialTank:${second.id}`)]).not.toContain(`joinTanks:${first.id}`);
  const surface = (id: string) => measureTrialSurfaceMm2(design, steps.find((step) => step.id === `trialTank:${id}`)!);
  expect(surface(first.id)).toBeCloseTo(surface(second.id), 6);
});

test("a drain that held is to be tried again when the tank or the fitting it ends in was moved", () => {
  for (const [name, drainId] of [
    ["kranich", "sink-drain"],
    ["otter-heads", "sink-drain"],
    ["otter-heads", "basin-drain"],
  ] as const) {
    const design = readDemo(name);
    const trialId = `trialDrain:${drainId}`;
    const tick = { stepId: trialId, on: "2026-05-01", name: "x", drawn: takeDrawnTrial(design, trialId) };
    const moved: Design = {
      ...design,
      tanks: design.tanks.map((one) => ({ ...one, atMm: { ...one.atMm, x: one.atMm.x + 30 } })),
      gear: design.gear.map((one) => ({ ...one, atMm: { ...one.atMm, x: one.atMm.x + 30 } })),
    };
    expect(judgeTrial(trialId, { done: [tick] }, design)).toBe("ticked");
    expect(judgeTrial(trialId, { done: [tick] }, moved)).toBe("open");
  }
});

test("what is tried from behind holds water back, what is launched sits in her skin, and only floors are drilled over a tank", () => {
  for (const design of ALL_DEMOS) {
    const evaluation = evaluate(design);
    const steps = listSteps(design, evaluation);
    const backs = steps.flatMap(({ kind, at }) => (kind === "trialBack" && at.kind === "gear" ? [at.id] : []));
    expect(backs).toEqual(design.gear.filter(({ spec }) => spec.kind === "nonReturn").map(({ id }) => id));
    const launch = steps.find(({ kind }) => kind === "trialLaunch");
    const fittings = design.gear.filter(({ spec }) => spec.kind === "skinFitting");
    expect(launch !== undefined).toBe(design.rig.kind === "boat" && fittings.length > 0);
    const mounts = (launch?.after ?? []).flatMap((id) => (id.startsWith("mountGear:") ? [id.slice(10)] : []));
    if (launch) expect(mounts.sort()).toEqual(fittings.map(({ id }) => id).sort());
    const through = new Map(listHoles(design, evaluation).map((hole) => [`drillHole:${hole.id}`, hole.through]));
    for (const { kind, after } of steps)
      if (kind === "hangTank")
        for (const id of after) if (id.startsWith("drillHole:")) expect(through.get(id)).toBe("floor");
    // under the rig is what lies below its floor
    for (const step of steps) {
      const { kind, at } = step;
      const z =
        at.kind === "gear" && kind === "mountGear"
          ? design.gear.find(({ id }) => id === at.id)!.atMm.z
          : at.kind === "tank" && (kind === "hangTank" || kind === "trialTank")
            ? design.tanks.find(({ id }) => id === at.id)!.atMm.z
            : null;
      if (z !== null) expect([step.id, isUnderRig(step, design)]).toEqual([step.id, z < 0]);
    }
  }
});

test("only where there are hoses are they tried under pressure, after the last of them and every cable", () => {
  for (const design of ALL_DEMOS) {
    const hoses = design.lines.filter(({ kind }) => kind === "hose");
    const steps = listSteps(design, evaluate(design));
    const trial = steps.find(({ kind }) => kind === "trialHoses");
    expect([design.name, trial !== undefined]).toEqual([design.name, hoses.length > 0]);
    for (const { id } of trial ? hoses : []) expect(trial!.after).toContain(`layHose:${id}`);
  }
});
