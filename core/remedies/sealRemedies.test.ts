import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { buildPutItems, findTrap, withBranchVent } from "../design/lineItems";
import type { Drain, Trap, Vent } from "../design/plumbing";
import { buildJoinVent } from "../edits/ventEdits";
import { evaluate } from "../evaluate/evaluate";
import type { FindingCode } from "../evaluate/findings";
import "../evaluate/fitted";
import { proposeRemedies } from "./proposeRemedies";

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
const openIcebox: Design = {
  ...heads,
  lines: heads.lines.map((line) => {
    if (line.kind !== "drain" || line.fromFixture !== "iceboxdrain") return line;
    return { ...line, items: line.items.filter(({ kind }) => kind !== "trap" && kind !== "inline") };
  }),
};

const CASES: readonly (readonly [FindingCode, Design, ReadonlySet<string>])[] = [
  ["sealBlown", shut, new Set(["widenVent", "setSeal", "addBranchVent"])],
  ["sharedAirSucks", joined, new Set(["widenVent", "widenVents"])],
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
