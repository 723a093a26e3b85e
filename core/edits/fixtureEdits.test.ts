import fc from "fast-check";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { FIXTURE_KINDS } from "../design/plumbing";
import { stripPlumbing } from "../design/stripPlumbing";
import { USUAL_FIXTURES } from "../design/usualFixtures";
import { evaluate } from "../evaluate/evaluate";
import { buildAddFixture, buildRemoveFixture } from "./fixtureEdits";
import { buildRenameFixture } from "./renameFixture";

function apply(design: Design, edit: Edit | null): Design {
  if (!edit) throw new Error("no edit");
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

// a toilet goes into a black tank only, which these rigs have not
const WASHED = FIXTURE_KINDS.filter((kind) => kind !== "gravityToilet");
const CASES = DEMO_NAMES.flatMap((rig) => WASHED.map((kind) => [rig, kind] as const));

test.each(CASES)("%s takes a %s with a drain of its own, and gives it back as if it had never been", (rig, kind) => {
  const before = readDemo(rig);
  const after = apply(before, buildAddFixture(before, kind, "New one"));
  const evaluation = evaluate(after);
  const fixture = after.fixtures[after.fixtures.length - 1]!;
  expect(fixture).toMatchObject({ kind, name: "New one", boreMm: USUAL_FIXTURES[kind].boreMm });
  expect(evaluation.drains).toHaveLength(evaluate(before).drains.length + 1);
  expect(evaluation.findings.map((f) => f.code)).not.toContain("fixtureUndrained");
  expect(Math.abs(fixture.outletMm.y)).toBeLessThanOrEqual(before.rig.widthMm / 2);
  expect(apply(after, buildRemoveFixture(after, fixture.id))).toEqual(before);
});

test("a house full of fixtures: every one drains into an inlet of its own, and no two bear one id", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...DEMO_NAMES),
      fc.array(fc.constantFrom(...WASHED), { minLength: 2, maxLength: 8 }),
      (rig, kinds) => {
        let design = readDemo(rig);
        for (const [i, kind] of kinds.entries()) design = apply(design, buildAddFixture(design, kind, `No. ${i}`));
        const inlets = design.lines.flatMap((line) =>
          line.kind === "drain" ? [Object.values(line.to).join("/")] : [],
        );
        expect(new Set(inlets).size).toBe(inlets.length);
        expect(evaluate(design).drains).toHaveLength(design.fixtures.length);
        for (const fixture of design.fixtures) design = apply(design, buildRemoveFixture(design, fixture.id));
        expect(design.lines.filter((line) => line.kind === "drain")).toHaveLength(0);
        expect(design.tanks[0]!.ports.some((port) => port.kind === "inlet")).toBe(true);
      },
    ),
    { numRuns: 40 },
  );
});

test("without a tank a fixture comes alone, and the finding says so; what is not there cannot be taken out", () => {
  const bare = stripPlumbing(readDemo("kranich"));
  const one = apply(bare, buildAddFixture(bare, "basin", "Basin"));
  expect(one).toMatchObject({ fixtures: [{ name: "Basin" }], lines: [], tanks: [] });
  expect(evaluate(one).findings.map((f) => f.code)).toEqual(["fixtureUndrained", "noTankYet"]);
  expect(buildRemoveFixture(bare, "gone")).toBeNull();
});

test("a urine line into the grey tank is told of", () => {
  const design = readDemo("kranich");
  const codes = evaluate(apply(design, buildAddFixture(design, "urineDiverter", "Diverter"))).findings.map(
    (f) => f.code,
  );
  expect(codes).toContain("urineInGrey");
});

test("a fixture with another name takes its drain's along, unless that has one of its own", () => {
  const design = apply(readDemo("kranich"), buildAddFixture(readDemo("kranich"), "basin", "Basin"));
  const basin = design.fixtures.at(-1)!;
  const renamed = apply(design, buildRenameFixture(design, basin, "Washstand"));
  expect([renamed.fixtures.at(-1)!.name, renamed.lines.at(-1)!.name]).toEqual(["Washstand", "Washstand drain"]);
  const sink = design.fixtures[0]!;
  const own = apply(design, buildRenameFixture(design, sink, "Galley"));
  expect([own.fixtures[0]!.name, own.lines[0]!.name]).toEqual(["Galley", "Sink drain"]);
});

test("a drain is not called a drain twice", () => {
  const design = apply(readDemo("kranich"), buildAddFixture(readDemo("kranich"), "iceboxDrain", "Icebox drain"));
  expect(design.lines.at(-1)!.name).toBe("Icebox drain");
});

test("a gravity toilet goes into the black tank, and into none where there is only a grey one", () => {
  const grey = readDemo("lesesaal");
  const alone = apply(grey, buildAddFixture(grey, "gravityToilet", "Toilet"));
  expect(evaluate(alone).findings.map((f) => f.code)).toContain("fixtureUndrained");
  const black = { ...grey.tanks[0]!, id: "black", name: "Black tank", holds: "black" as const, ports: [] };
  const both = { ...grey, tanks: [...grey.tanks, { ...black, atMm: { ...black.atMm, x: black.atMm.x + 2_500 } }] };
  const after = apply(both, buildAddFixture(both, "gravityToilet", "Toilet"));
  const drain = after.lines.find((line) => line.kind === "drain" && line.fromFixture === after.fixtures.at(-1)!.id)!;
  expect(drain).toMatchObject({ items: [], to: { kind: "inlet", tankId: "black" } });
  expect(drain.pipe.innerMm).toBeGreaterThanOrEqual(70);
  const codes = evaluate(after)
    .findings.filter(({ at }) => JSON.stringify(at).includes(drain.id))
    .map((f) => f.code);
  expect(codes).not.toContain("trapMissing");
  expect(codes).not.toContain("toiletNarrow");
});
