import { listFixturesFor, rankFixture } from "../days/fixtureUses";
import { READY_USES, type ReadyWay, USUAL_USES } from "../days/usualUses";
import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Person, PersonKind, Use, UseKind, Vessel, Way } from "../design/habits";
import type { Fixture, FixtureKind } from "../design/plumbing";

const AT = { kind: "habits" } as const;
const toEdit = (...ops: EditOp[]): Edit => ({ code: "change", at: AT, ops });

/** One more group of people: guests come at weekends. */
export function buildAddPeople({ habits: { people } }: Design, kind: PersonKind, name: string): Edit {
  const value: Person = { id: freeId(kind, people), name, kind, count: 1, daysPerWeek: kind === "guest" ? 2 : 7 };
  return toEdit({ op: "insert", path: ["habits", "people"], index: people.length, value });
}

const byUsual = (kind: UseKind, id: string, name: string, fixtureId: string | null): Use => {
  const usual = USUAL_USES[kind];
  return { ...usual, id, name, fixtureId: usual.sendsL > 0 ? fixtureId : null, vesselId: null };
};

/** One more use in a way of living, at the usual figures; it goes down the fixture that suits it. */
export function buildAddUse(design: Design, way: Way, kind: UseKind, name: string): Edit {
  const value = byUsual(kind, freeId(kind.toLowerCase(), way.uses), name, findFixtureFor(design, kind));
  return toEdit({ op: "insert", path: ["habits", "ways", way.id, "uses"], index: way.uses.length, value });
}

/** A ready way of living, lived from now on. */
export function buildAddWay(
  design: Design,
  ready: ReadyWay,
  { name, uses }: { readonly name: string; readonly uses: Readonly<Record<UseKind, string>> },
): Edit {
  const { ways, stretches } = design.habits;
  const id = freeId(ready, ways);
  const way: Way = { id, name, uses: [] };
  for (const { kind, times, takesL } of READY_USES[ready]) {
    const use = byUsual(kind, freeId(kind.toLowerCase(), way.uses), uses[kind], findFixtureFor(design, kind));
    const share = takesL !== undefined && use.takesL > 0 ? takesL / use.takesL : 1;
    way.uses.push({
      ...use,
      times: times ?? use.times,
      takesL: use.takesL * share,
      sendsL: Math.round(use.sendsL * share * 100) / 100,
    });
  }
  return toEdit(
    { op: "insert", path: ["habits", "ways"], index: ways.length, value: way },
    {
      op: "set",
      path: ["habits", "stretches"],
      value: [{ wayId: id, days: stretches[0]?.days ?? 30 }, ...stretches.slice(1)],
    },
  );
}

/** Where a rig with nothing else does all its washing. */
const WASHED_AT: readonly FixtureKind[] = ["kitchenSink", "basin", "showerTray", "bath"];

/** What may be done anywhere, or stands for many things, stays where it was put. */
const STAYS_PUT: readonly UseKind[] = ["drains", "rinseOutside", "other"];

const isWaste = (kind: UseKind): boolean => kind === "toilet" || kind === "urine";

// Of the kind it is done at, else the first there is: a builder sees it and changes it.
function findFixtureFor({ fixtures }: Pick<Design, "fixtures">, kind: UseKind): string | null {
  const found = listFixturesFor(kind)
    .flatMap((w) => fixtures.filter((fixture) => fixture.kind === w))
    .at(0);
  return (found ?? (isWaste(kind) ? undefined : fixtures[0]))?.id ?? null;
}

/**
 * What had no drain yet is done at a fixture that comes, all of it at the first one; later what its kind is for, and what was
 * done at one that suits it less: a shower that was taken at the sink is taken in the tray from then on.
 */
export function listTaken({ habits, fixtures }: Design, { id, kind }: Pick<Fixture, "id" | "kind">): EditOp[] {
  const kinds = new Map(fixtures.map((fixture) => [fixture.id, fixture.kind]));
  const suits = (use: Use) => {
    const rank = rankFixture(use.kind, kind);
    const isFirst = fixtures.length === 0 && WASHED_AT.includes(kind) && !isWaste(use.kind);
    const now = use.fixtureId === null ? undefined : kinds.get(use.fixtureId);
    if (now === undefined) return isFirst || Number.isFinite(rank);
    return !STAYS_PUT.includes(use.kind) && rank < rankFixture(use.kind, now);
  };
  return listUses(
    habits,
    (use) => use.vesselId === null && use.sendsL > 0 && suits(use),
    () => id,
  );
}

/**
 * What was done at a fixture that goes is done at the one that suits it next, and has no drain where none is left; what was
 * measured there is forgotten.
 */
export function listForgotten(design: Design, fixtureId: string): EditOp[] {
  const { habits } = design;
  const left = { fixtures: design.fixtures.filter(({ id }) => id !== fixtureId) };
  return [
    ...listUses(
      habits,
      (use) => use.fixtureId === fixtureId,
      ({ kind }) => findFixtureFor(left, kind),
    ),
    ...habits.flows
      .filter((flow) => flow.fixtureId === fixtureId)
      .map(({ id }): EditOp => ({ op: "remove", path: ["habits", "flows", id] })),
  ];
}

const listUses = (
  { ways }: Design["habits"],
  isMeant: (use: Use) => boolean,
  toFixture: (use: Use) => string | null,
): EditOp[] =>
  ways.flatMap((way) =>
    way.uses.filter(isMeant).map(
      (use): EditOp => ({
        op: "set",
        path: ["habits", "ways", way.id, "uses", use.id, "fixtureId"],
        value: toFixture(use),
      }),
    ),
  );

/** One more can, bottle or bucket. */
export function buildAddVessel({ habits: { vessels } }: Design, holds: Vessel["holds"], name: string): Edit {
  const value: Vessel = { id: freeId(`${holds}-can`, vessels), name, holds, litres: 10, on: "rig" };
  return toEdit({ op: "insert", path: ["habits", "vessels"], index: vessels.length, value });
}

/** Takes a vessel out; what went into it comes down no drain until it is told. */
export function buildRemoveVessel({ habits }: Design, id: string): Edit {
  const freed = habits.ways.flatMap((way) =>
    way.uses
      .filter(({ vesselId }) => vesselId === id)
      .map((use): EditOp => ({ op: "set", path: ["habits", "ways", way.id, "uses", use.id, "vesselId"], value: null })),
  );
  return toEdit(...freed, { op: "remove", path: ["habits", "vessels", id] });
}

/** Takes a way of living out with its stretches; null for the last one. */
export function buildRemoveWay({ habits: { ways, stretches } }: Design, id: string): Edit | null {
  const left = ways.find((way) => way.id !== id);
  if (!left) return null;
  const others = stretches.filter(({ wayId }) => wayId !== id);
  const value = others.length > 0 ? others : [{ wayId: left.id, days: stretches[0]?.days ?? 30 }];
  return toEdit({ op: "set", path: ["habits", "stretches"], value }, { op: "remove", path: ["habits", "ways", id] });
}

/** Lets a tap that was measured run so many minutes ≥ 0 at each time of a use; the share that goes down stays [C]. */
export function buildRunMinutes(wayId: string, use: Use, minutes: number, flowLpm: number): Edit {
  const takesL = Math.round(minutes * flowLpm * 100) / 100;
  const share = use.takesL > 0 ? use.sendsL / use.takesL : 1;
  const path = ["habits", "ways", wayId, "uses", use.id];
  return toEdit(
    { op: "set", path: [...path, "takesL"], value: takesL },
    { op: "set", path: [...path, "sendsL"], value: Math.round(takesL * share * 100) / 100 },
  );
}

/** Litres and seconds by bucket and watch, as L/min; each above 0 [C]. Example: 5 L in 60 s → 5 L/min. */
export const toFlowLpm = (litres: number, seconds: number): number => (litres / seconds) * 60;
