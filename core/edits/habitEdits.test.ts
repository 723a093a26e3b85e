import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { READY_WAYS } from "../days/usualUses";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { PERSON_KINDS, USE_KINDS, type UseKind } from "../design/habits";
import { parseDesign } from "../design/parseDesign";
import { HELD_WATERS } from "../design/plumbing";
import { stripPlumbing } from "../design/stripPlumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildAddFixture, buildRemoveFixture } from "./fixtureEdits";
import {
  buildAddPeople,
  buildAddUse,
  buildAddVessel,
  buildAddWay,
  buildRemoveVessel,
  buildRemoveWay,
  buildRunMinutes,
  toFlowLpm,
} from "./habitEdits";

const NAMES = Object.fromEntries(USE_KINDS.map((kind) => [kind, kind])) as Record<UseKind, string>;

function apply(design: Design, edit: Edit | null): Design {
  const outcome = edit && applyEdit(design, edit);
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome));
  return outcome.design;
}

test.each(DEMO_NAMES)(
  "%s: people, every kind of use, every ready way and vessel can be added and are sound",
  (name) => {
    let design = readDemo(name);
    for (const kind of PERSON_KINDS) design = apply(design, buildAddPeople(design, kind, kind));
    for (const ready of READY_WAYS) design = apply(design, buildAddWay(design, ready, { name: ready, uses: NAMES }));
    for (const kind of USE_KINDS) design = apply(design, buildAddUse(design, design.habits.ways[0]!, kind, kind));
    for (const holds of HELD_WATERS) design = apply(design, buildAddVessel(design, holds, holds));
    expect(parseDesign(JSON.parse(JSON.stringify(design)))).toMatchObject({ ok: true });
    // the way added last is lived, and its days are known
    expect(design.habits.stretches[0]!.wayId).toMatch(/^winter/);
    expect(evaluate(design).balance.endsBy.level).not.toBeNull();
    while (design.habits.ways.length > 1)
      design = apply(design, buildRemoveWay(design, design.habits.stretches[0]!.wayId));
    expect(buildRemoveWay(design, design.habits.ways[0]!.id)).toBeNull();
  },
);

test("a fixture taken out leaves its uses without a drain; the next one takes them, and the days are what they were", () => {
  const kranich = readDemo("kranich");
  const bare = stripPlumbing(kranich);
  expect(parseDesign(JSON.parse(JSON.stringify(bare)))).toMatchObject({ ok: true });
  const without = apply(kranich, buildRemoveFixture(kranich, "sink"));
  expect(without.habits.ways.flatMap(({ uses }) => uses).every(({ fixtureId }) => fixtureId === null)).toBe(true);
  const again = apply(without, buildAddFixture(without, "kitchenSink", "Sink"));
  const grey = (design: Design) => evaluate(design).balance.stores.find(({ holds }) => holds === "grey")!;
  expect(grey(again).meanLPerDay).toBeCloseTo(grey(kranich).meanLPerDay, 9);
  expect(evaluate(again).balance.groundLPerDay).toBe(0);
});

test("a vessel taken out sends what went into it nowhere, and that is said", () => {
  const kranich = readDemo("kranich");
  const way = kranich.habits.ways.find(({ id }) => id === "wild")!;
  const canned = apply(kranich, buildAddVessel(kranich, "grey", "Can"));
  const vesselId = canned.habits.vessels.at(-1)!.id;
  const into = apply(canned, {
    code: "change",
    at: { kind: "habits" },
    ops: [{ op: "set", path: ["habits", "ways", way.id, "uses", "washupbowl", "vesselId"], value: vesselId }],
  });
  expect(evaluate(into).balance.stores.find(({ store }) => store.id === vesselId)!.meanLPerDay).toBeCloseTo(7.5, 9);
  const gone = apply(into, buildRemoveVessel(into, vesselId));
  expect(gone.habits.vessels.map(({ id }) => id)).not.toContain(vesselId);
  // its fixture still has a drain
  expect(evaluate(gone).balance.groundLPerDay).toBe(0);
});

test("bucket and watch: 5 L in a minute are 5 L/min, in 20 s 15", () => {
  expect(toFlowLpm(5, 60)).toBe(5);
  expect(toFlowLpm(5, 20)).toBe(15);
});

test("a tap that gives 10 L/min, run 3 minutes, takes 30 L and sends the same share down as before", () => {
  const kranich = readDemo("kranich");
  const cooking = kranich.habits.ways.find(({ id }) => id === "wild")!.uses.find(({ kind }) => kind === "cooking")!;
  const run = apply(kranich, buildRunMinutes("wild", cooking, 3, toFlowLpm(5, 30)));
  const after = run.habits.ways.find(({ id }) => id === "wild")!.uses.find(({ kind }) => kind === "cooking")!;
  expect(after).toEqual({ ...cooking, takesL: 30, sendsL: 12 });
});

test("what is done on a toilet goes to no sink: to the toilet there is, or nowhere until one comes", () => {
  for (const name of ["kranich", "lesesaal", "otter"] as const) {
    const way = (design: Design) => design.habits.ways[0]!;
    const ends = (design: Design) =>
      way(design)
        .uses.filter(({ kind }) => kind === "toilet" || kind === "urine")
        .map(({ fixtureId }) => design.fixtures.find(({ id }) => id === fixtureId)?.kind ?? null);
    let design = readDemo(name);
    for (const kind of ["toilet", "urine"] as const)
      design = apply(design, buildAddUse(design, way(design), kind, kind));
    expect(ends(design)).toEqual([null, null]);
    design = apply(design, buildAddFixture(design, "basin", "Basin"));
    expect(ends(design)).toEqual([null, null]);
    design = apply(design, buildAddFixture(design, "gravityToilet", "Toilet"));
    expect(ends(design)).toEqual(["gravityToilet", "gravityToilet"]);
  }
});
