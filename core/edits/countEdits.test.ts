import { readDemo } from "@/tests/demoRigs";
import { USUAL_USES } from "../days/usualUses";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import type { Use } from "../design/habits";
import type { Fixture, FixtureKind } from "../design/plumbing";
import { buildCountFixtures } from "./countEdits";
import { buildAddFixture } from "./fixtureEdits";

function apply(design: Design, edit: Edit | null): Design {
  const outcome = edit ? applyEdit(design, edit) : null;
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome?.faults));
  return outcome.design;
}

const drunk: Use = { ...USUAL_USES.drinking, id: "drunk", name: "Drunk", fixtureId: null, vesselId: null };

// Nothing is counted but what is drunk and what is given; then a fixture comes.
function build(kind: FixtureKind, uses: readonly Use[] = []): { readonly design: Design; readonly fixture: Fixture } {
  const bare = readDemo("kranich");
  const habits = { ...bare.habits, ways: bare.habits.ways.map((way) => ({ ...way, uses: [drunk, ...uses] })) };
  const only: Design = { ...bare, habits, fixtures: bare.fixtures.filter(({ kind: k }) => k === "kitchenSink") };
  const before = new Set(only.fixtures.map(({ id }) => id));
  const added = apply(only, buildAddFixture(only, kind, "New one"));
  const fixture = added.fixtures.find(({ id }) => !before.has(id))!;
  return { design: { ...added, habits }, fixture };
}

const countedAt = (design: Design, fixtureId: string): Use[] => {
  const [lived] = design.habits.stretches;
  return design.habits.ways.find(({ id }) => id === lived!.wayId)!.uses.filter((use) => use.fixtureId === fixtureId);
};

test.each([
  ["basin", "handsTeeth", USUAL_USES.handsTeeth.sendsL, "fresh"],
  ["showerTray", "shower", null, "fresh"],
  ["bath", "shower", null, "fresh"],
  ["washingMachine", "laundry", null, "fresh"],
  ["iceboxDrain", "other", null, "elsewhere"],
] as const)(
  "%s: its usual use, with the litres it takes or, where it is not filled each time, those of the use",
  (kind, use, litres, from) => {
    const { design, fixture } = build(kind);
    const [counted, ...more] = countedAt(apply(design, buildCountFixtures(design, fixture.id)), fixture.id);
    expect(more).toEqual([]);
    expect(counted).toMatchObject({
      kind: use,
      name: "New one",
      sendsL: litres ?? fixture.volumePerUseL,
      takesL: from === "elsewhere" ? 0 : (litres ?? fixture.volumePerUseL),
      from,
      vesselId: null,
      times: kind === "bath" ? 0.15 : USUAL_USES[use].times,
    });
  },
);

test("a kitchen sink is counted by the bowl that is washed up in, not by what it holds", () => {
  const { design } = build("basin");
  const sink = design.fixtures.find(({ kind }) => kind === "kitchenSink")!;
  const full: Design = {
    ...design,
    fixtures: design.fixtures.map((one) => (one.id === sink.id ? { ...one, volumePerUseL: 33 } : one)),
  };
  const [counted] = countedAt(apply(full, buildCountFixtures(full, sink.id)), sink.id);
  expect(counted).toMatchObject({ kind: "washUpBowl", sendsL: USUAL_USES.washUpBowl.sendsL });
});

const shower: Use = { ...USUAL_USES.shower, id: "wash", name: "Wash", fixtureId: "sink", vesselId: null };
test.each([
  ["nowhere", { fixtureId: null }, true],
  ["that sends nothing", { sendsL: 0 }, false],
  ["that is never taken", { times: 0 }, false],
] as const)(
  "a shower %s: moved to the tray where it does not suit, else left and one more counted",
  (_, given, isMoved) => {
    const { design, fixture } = build("showerTray", [{ ...shower, ...given }]);
    const counted = apply(design, buildCountFixtures(design, fixture.id));
    const [lived] = counted.habits.stretches;
    const { uses } = counted.habits.ways.find(({ id }) => id === lived!.wayId)!;
    expect(uses).toHaveLength(isMoved ? 2 : 3);
    expect(uses[1]!.fixtureId).toBe(isMoved ? fixture.id : ((given as Partial<Use>).fixtureId ?? "sink"));
    expect(countedAt(counted, fixture.id)).toHaveLength(1);
  },
);

test("nothing left out, nothing to do", () => {
  const { design, fixture } = build("showerTray", [{ ...shower, fixtureId: null }]);
  const counted = apply(design, buildCountFixtures(design, fixture.id));
  expect(buildCountFixtures(counted, fixture.id)).toBeNull();
});
