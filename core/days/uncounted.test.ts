import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import type { Use } from "../design/habits";
import { buildCountFixtures } from "../edits/countEdits";
import { buildAddFixture, buildRemoveFixture } from "../edits/fixtureEdits";
import { evaluate } from "../evaluate/evaluate";
import { listUncounted } from "./uncounted";

function apply(design: Design, edit: Edit | null): Design {
  const outcome = edit ? applyEdit(design, edit) : null;
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome?.faults));
  return outcome.design;
}

const withUses = (design: Design, change: (uses: Use[]) => Use[]): Design => ({
  ...design,
  habits: { ...design.habits, ways: design.habits.ways.map((way) => ({ ...way, uses: change(way.uses) })) },
});

const livedIn = ({ habits }: Design) => habits.ways.find(({ id }) => id === habits.stretches[0]!.wayId)!.uses;

const namesOf = (design: Design): string[] => listUncounted(design).map(({ fixture }) => fixture.id);

test("the usual counted, nothing is left out, and no store lasts longer than before", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const edit = buildCountFixtures(design);
      if (!edit) {
        expect(namesOf(design)).toEqual([]);
        return;
      }
      const counted = apply(design, edit);
      expect(namesOf(counted)).toEqual([]);
      const fresh = (d: Design) => evaluate(d).balance.stores.find(({ holds }) => holds === "fresh")?.meanLPerDay ?? 0;
      expect(fresh(counted)).toBeGreaterThanOrEqual(fresh(design) - 1e-9);
      expect(evaluate(counted).findings.some(({ code }) => code === "fixtureUncounted")).toBe(false);
    }),
    { numRuns: 60 },
  );
});

test("a washing machine nobody counts is told; one press counts a load a week with its litres", () => {
  const bare = readDemo("kranich");
  const design = apply(bare, buildAddFixture(bare, "washingMachine", "Washer"));
  expect(namesOf(design)).toEqual(["washingmachine"]);
  const finding = evaluate(design).findings.find(({ code }) => code === "fixtureUncounted");
  expect(finding).toMatchObject({ fixtureName: "Washer", others: 0, severity: "should" });
  const counted = apply(design, buildCountFixtures(design));
  const before = evaluate(design).balance.stores.find(({ holds }) => holds === "grey")!.meanLPerDay;
  const after = evaluate(counted).balance.stores.find(({ holds }) => holds === "grey")!.meanLPerDay;
  const litres = design.fixtures.find(({ id }) => id === "washingmachine")!.volumePerUseL;
  expect(after - before).toBeCloseTo(litres / 7, 9);
});

test("a shower taken at the sink is taken in the tray that comes, and at the sink again when it goes", () => {
  const bare = readDemo("kranich");
  const of = (design: Design) => livedIn(design).find(({ kind }) => kind === "shower")!.fixtureId;
  const tray = apply(bare, buildAddFixture(bare, "showerTray", "Shower"));
  expect([of(bare), of(tray)]).toEqual(["sink", "showertray"]);
  expect(of(apply(tray, buildRemoveFixture(tray, "showertray")))).toBe("sink");
});

test("a shower that is taken at the sink while a tray stands over another tank is told, and the press moves it", () => {
  const loop = readDemo("kranich-loop");
  expect(namesOf(loop)).toEqual([]);
  const back = withUses(loop, (uses) =>
    uses.map((use) => (use.kind === "shower" ? { ...use, fixtureId: "sink" } : use)),
  );
  expect(namesOf(back)).toEqual(["showertray"]);
  const mended = apply(back, buildCountFixtures(back));
  expect(livedIn(mended)).toEqual(livedIn(loop));
});

test("one figure for all sinks of a tank is enough, but not for a sink of another tank, nor for a shower", () => {
  const bare = withUses(readDemo("kranich"), (uses) => [
    { ...uses[0]!, id: "all", kind: "drains", takesL: 8, sendsL: 8, fixtureId: "sink" },
  ]);
  const basin = apply(bare, buildAddFixture(bare, "basin", "Basin"));
  expect(namesOf(basin)).toEqual([]);
  expect(namesOf(apply(basin, buildAddFixture(basin, "showerTray", "Shower")))).toEqual(["showertray"]);
  const [grey] = basin.tanks.filter(({ holds }) => holds === "grey");
  const drain = basin.lines.find((line) => line.kind === "drain" && line.fromFixture === "basin")!;
  const port = grey!.ports.find(
    ({ id }) => drain.kind === "drain" && drain.to.kind === "inlet" && id === drain.to.portId,
  )!;
  const apart: Design = {
    ...basin,
    tanks: [...basin.tanks, { ...grey!, id: "second", ports: [port] }],
    lines: basin.lines.map((line) =>
      line === drain && line.kind === "drain"
        ? { ...line, to: { kind: "inlet", tankId: "second", portId: port.id } }
        : line,
    ),
  };
  expect(namesOf(apart)).toEqual(["basin"]);
});

test("what happens never, or sends nothing down, counts for nothing; a way nobody lives is not asked", () => {
  const design = readDemo("kranich");
  const never = withUses(design, (uses) => [
    ...uses.map((use) => ({ ...use, times: 0 })),
    { ...uses[0]!, id: "x", times: 1 },
  ]);
  expect(namesOf(never)).toEqual(["sink"]);
  const dry = withUses(design, (uses) => uses.map((use) => ({ ...use, sendsL: 0 })));
  expect(namesOf(dry)).toEqual(["sink"]);
  const idle = { ...design.habits.ways[0]!, id: "idle", uses: [] };
  expect(namesOf({ ...design, habits: { ...design.habits, ways: [...design.habits.ways, idle] } })).toEqual([]);
});

test("an icebox that melts into a tank is asked for by itself, and counted out of no tank; one that drains overboard is not", () => {
  const bare = readDemo("kranich");
  const design = apply(bare, buildAddFixture(bare, "iceboxDrain", "Icebox"));
  const other = withUses(design, (uses) => [
    ...uses,
    { ...uses[0]!, id: "o", kind: "other", sendsL: 1, fixtureId: "sink" },
  ]);
  expect([namesOf(design), namesOf(other)]).toEqual([["iceboxdrain"], ["iceboxdrain"]]);
  const fresh = (d: Design) => evaluate(d).balance.stores.find(({ holds }) => holds === "fresh")!.meanLPerDay;
  const counted = apply(design, buildCountFixtures(design));
  expect(fresh(counted)).toBeCloseTo(fresh(design), 9);
  const heads = readDemo("otter-heads");
  const box = heads.fixtures.find(({ kind }) => kind === "iceboxDrain")!;
  expect(listUncounted(heads).map(({ fixture }) => fixture.id)).not.toContain(box.id);
});

test("a use that ends overboard counts for no fixture that fills a tank", () => {
  const heads = withUses(readDemo("otter-heads"), (uses) =>
    // the only shower of these days is taken where it runs overboard
    uses.map((use) => (use.kind === "shower" ? { ...use, fixtureId: "sink" } : use)),
  );
  const drain = heads.lines.find((line) => line.kind === "drain" && line.fromFixture === "showertray")!;
  const tank = heads.tanks.find(({ holds }) => holds === "grey")!;
  const port = { ...tank.ports[0]!, id: "tray", kind: "inlet" as const };
  const moved: Design = {
    ...heads,
    tanks: heads.tanks.map((one) => (one === tank ? { ...one, ports: [...one.ports, port] } : one)),
    lines: heads.lines.map((line) =>
      line === drain && line.kind === "drain"
        ? { ...line, to: { kind: "inlet", tankId: tank.id, portId: "tray" } }
        : line,
    ),
  };
  expect(namesOf(heads)).not.toContain("showertray");
  expect(namesOf(moved)).toContain("showertray");
});
