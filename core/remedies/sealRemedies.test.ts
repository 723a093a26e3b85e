import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { buildSharedAir, mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { buildPutItems, findTrap, withBranchVent, withTrap as withTrapOf } from "../design/lineItems";
import type { Drain, Trap, Vent } from "../design/plumbing";
import { buildJoinVent } from "../edits/ventEdits";
import { evaluate } from "../evaluate/evaluate";
import type { FindingCode } from "../evaluate/findings";
import "../evaluate/fitted";
import { USUAL_TRAPS } from "../design/usualTraps";
import { listFamily } from "../parts/pipes";
import { lookUpValue } from "../rules/lookUpLimit";
import { computeDrivingLossMm } from "../traps/sealRisks";
import { proposeWiderPort, proposeWiderVent, proposeWiderVents } from "./airRemedies";
import { proposeRemedies } from "./proposeRemedies";
import { proposeBottleTrap, proposeSeal, proposeShallowerSeal } from "./sealRemedies";

const kranich = readDemo("kranich");
const boat = readDemo("setzkasten");
const heads = readDemo("otter-heads");
const drainOf = ({ lines }: Design): Drain => lines.find((line): line is Drain => line.kind === "drain")!;
const withBore = (design: Design, innerMm: number): Design => ({
  ...design,
  lines: design.lines.map((line) => (line.kind === "vent" ? { ...line, pipe: { ...line.pipe, innerMm } } : line)),
});
const withTrap = (design: Design, changes: Partial<Trap>): Design => {
  const drain = drainOf(design);
  const ops = [buildPutItems(drain, { trap: { ...findTrap(drain)!, ...changes } })];
  return mustApply(design, { code: "change", at: { kind: "rig" }, ops });
};

/** No way out for the water, no air on the branches, and a breather that a basin let go blows through. */
const shut: Design = withBore(
  {
    ...kranich,
    tanks: kranich.tanks.map((tank) => ({ ...tank, ports: tank.ports.filter(({ kind }) => kind !== "outlet") })),
    lines: kranich.lines.map((line) => (line.kind === "drain" ? withBranchVent(line, null) : line)),
  },
  3,
);
/** Two tanks whose breathers meet, too narrow behind the tee for a pump-out. */
const joined = (() => {
  const vents = boat.lines.filter((line): line is Vent => line.kind === "vent");
  return withBore(mustApply(boat, buildJoinVent(boat, vents[0]!.id, vents[1]!.id)), 9);
})();
/** Two tanks on one breather that is wide enough for either alone. */
const opened = withBore(buildSharedAir("grey"), 22);
const openIcebox: Design = {
  ...heads,
  lines: heads.lines.map((line) => {
    if (line.kind !== "drain" || line.fromFixture !== "iceboxdrain") return line;
    return { ...line, items: line.items.filter(({ kind }) => kind !== "trap" && kind !== "inline") };
  }),
};

const CASES: readonly (readonly [FindingCode, Design, ReadonlySet<string>])[] = [
  // a valve that lets air in lets none out
  ["sealBlown", shut, new Set(["widenVent", "setSeal"])],
  ["sharedAirSucks", joined, new Set(["widenVent", "widenVents"])],
  ["airTogether", opened, new Set(["widenVent", "widenVents"])],
  ["sealDeep", withTrap(kranich, { sealMm: 140 }), new Set(["setSeal"])],
  ["sealTogether", withTrap(kranich, { spanMm: 200 }), new Set(["setSeal", "fitBottleTrap", "widenVent"])],
  ["iceboxOpen", openIcebox, new Set(["addTrap"])],
];

test.each(CASES)(
  "%s is settled by every edit that is offered, and only by what its advice names",
  (code, design, named) => {
    const evaluation = evaluate(design);
    const told = findAll(design, code);
    expect(told.length).toBeGreaterThan(0);
    let offered = 0;
    for (const finding of told) {
      for (const { edit } of proposeRemedies(design, evaluation, finding)) {
        offered += 1;
        expect(named).toContain(edit.code);
        const after = evaluate(mustApply(design, edit)).findings.map(({ id }) => id);
        expect(after).not.toContain(finding.id);
      }
    }
    expect(offered).toBeGreaterThan(0);
  },
);

test("of breathers the narrowest that holds is offered first, and the port goes along with it", () => {
  const [finding] = findAll(shut, "sealBlown");
  const wider = proposeRemedies(shut, evaluate(shut), finding!).filter(({ edit }) => edit.code === "widenVent");
  const bores = wider.map(({ byMm }) => byMm!);
  expect(bores).toEqual(bores.toSorted((a, b) => a - b));
  const after = mustApply(shut, wider[0]!.edit);
  const vent = after.lines.find((line): line is Vent => line.kind === "vent")!;
  const port = after.tanks[0]!.ports.find(({ id }) => id === vent.fromPort)!;
  expect([vent.pipe.innerMm, port.boreMm]).toEqual([bores[0], bores[0]]);
  // one millimetre less than the next hose is no hose
  expect(bores[0]).toBeGreaterThan(3);
});

test("a deeper seal is never deeper than the rules let it be, and a shallower one is what they let", () => {
  for (const [code, design] of CASES) {
    for (const finding of findAll(design, code)) {
      for (const { edit, byMm } of proposeRemedies(design, evaluate(design), finding)) {
        if (edit.code !== "setSeal") continue;
        const trap = findTrap(drainOf(mustApply(design, edit)))!;
        expect(trap.sealMm).toBe(byMm);
        expect(findAll(mustApply(design, edit), "sealDeep")).toEqual([]);
        expect(trap.sealMm).toBeLessThanOrEqual(100);
      }
    }
  }
});

test("a seal under what the rules ask for is made as deep as they ask, and no trap is none", () => {
  for (const sealMm of [20, 35, 49]) {
    const shallow = withTrap(kranich, { sealMm });
    const [finding] = findAll(shallow, "sealShallow");
    const [remedy] = proposeRemedies(shallow, evaluate(shallow), finding!);
    expect([remedy?.edit.code, remedy?.byMm]).toEqual(["deepenSeal", 50 - sealMm]);
    expect(findTrap(drainOf(mustApply(shallow, remedy!.edit)))!.sealMm).toBe(50);
  }
  const drain = drainOf(kranich);
  expect(proposeSeal(kranich, withTrapOf(drain, null))).toEqual([]);
  expect(proposeShallowerSeal(kranich, withTrapOf(drain, null))).toEqual([]);
  expect(proposeBottleTrap(withTrapOf(drain, null))).toEqual([]);
});

test("a bottle trap is offered where its legs stand nearer together, with no less water than there was", () => {
  const at = (spanMm: number, sealMm: number) =>
    proposeBottleTrap(withTrapOf(drainOf(kranich), { ...findTrap(drainOf(kranich))!, spanMm, sealMm }));
  const { bottle } = USUAL_TRAPS;
  expect(at(bottle.spanMm, 50)).toEqual([]);
  for (const sealMm of [50, 100]) {
    const [remedy] = at(bottle.spanMm + 1, sealMm);
    expect(remedy!.edit.code).toBe("fitBottleTrap");
    const after = mustApply(kranich, remedy!.edit);
    expect(findTrap(drainOf(after))).toMatchObject({ kind: "bottle", sealMm: Math.max(sealMm, bottle.sealMm) });
  }
});

test("a seal that slops is deepened to the first that is sold and stands the push, by the sum of half the legs' way", () => {
  for (const spanMm of [60, 80, 100]) {
    const sloppy = withTrap(kranich, { sealMm: 45, spanMm });
    const [finding] = findAll(sloppy, "sealSlops");
    if (!finding) continue;
    const remedies = proposeRemedies(sloppy, evaluate(sloppy), finding);
    const deeper = remedies.find(({ edit }) => edit.code === "deepenSeal");
    const pushG = lookUpValue(kranich.rules, "drivingPush");
    const first = [50, 60, 75, 100].find((mm) => mm > 45 && mm - computeDrivingLossMm(spanMm, pushG, mm) >= 25);
    expect(deeper ? 45 + deeper.byMm! : undefined).toBe(first);
  }
});

test("a breather is widened to the first hose that is wide enough, never to what it has; two that throttle go together", () => {
  const vents = joined.lines.filter((line): line is Vent => line.kind === "vent");
  for (const least of [5, 13, 14, 19.5]) {
    const [one] = proposeWiderVent(vents[0]!, least);
    const bores = listFamily("smoothHose").map(({ pipe }) => pipe.innerMm);
    expect(one!.byMm).toBe(bores.find((mm) => mm >= least && mm > vents[0]!.pipe.innerMm));
  }
  expect(proposeWiderVent(vents[0]!, 5_000)).toEqual([]);
  const all = proposeWiderVents(joined);
  const together = all.filter(({ edit }) => edit.code === "widenVents");
  expect(together.length).toBeGreaterThan(0);
  for (const { edit, byMm } of together) {
    const after = mustApply(joined, edit);
    for (const line of after.lines) if (line.kind === "vent") expect(line.pipe.innerMm).toBe(byMm);
  }
  // where there is one breather there is nothing to widen together
  expect(proposeWiderVents(kranich).every(({ edit }) => edit.code === "widenVent")).toBe(true);
});

test("a breather's narrow port is widened to its hose's bore; a port that is as wide is left alone", () => {
  const vent = kranich.lines.find((line): line is Vent => line.kind === "vent")!;
  const withPort = (boreMm: number): Design => ({
    ...kranich,
    tanks: kranich.tanks.map((tank) => ({
      ...tank,
      ports: tank.ports.map((port) => (port.id === vent.fromPort ? { ...port, boreMm } : port)),
    })),
  });
  const narrow = withPort(8);
  const [remedy] = proposeWiderPort(narrow, vent);
  expect([remedy!.edit.code, remedy!.byMm]).toEqual(["widenInlet", vent.pipe.innerMm]);
  const after = mustApply(narrow, remedy!.edit).tanks[0]!.ports.find(({ id }) => id === vent.fromPort)!;
  expect(after.boreMm).toBe(vent.pipe.innerMm);
  expect(proposeWiderPort(withPort(vent.pipe.innerMm), vent)).toEqual([]);
  expect(proposeWiderPort({ ...narrow, tanks: [] }, vent)).toEqual([]);
});
