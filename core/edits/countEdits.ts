import { rankFixture, USES_OF } from "../days/fixtureUses";
import { listShortLoads } from "../days/shortLoads";
import { listUncounted } from "../days/uncounted";
import { USUAL_USES } from "../days/usualUses";
import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Use } from "../design/habits";
import type { Fixture } from "../design/plumbing";

/**
 * Edit that counts something for every fixture the days know nothing of, or for one of them, in all ways of living that are
 * lived: what is done elsewhere although it does not suit there is done at it; else its use as is usual, showers, baths and
 * loads with the litres the fixture takes. Null where nothing is left out.
 */
export function buildCountFixtures(design: Design, fixtureId: string | null = null): Edit | null {
  const missing = listUncounted(design).filter(({ fixture }) => fixtureId === null || fixture.id === fixtureId);
  if (missing.length === 0) return null;
  const kinds = new Map(design.fixtures.map(({ id, kind }) => [id, kind]));
  const ops = design.habits.ways.flatMap((way): EditOp[] => {
    const here = missing.filter(({ ways }) => ways.some(({ id }) => id === way.id));
    if (here.length === 0) return [];
    const uses = here.reduce<readonly Use[]>((all, { fixture }) => countAt(fixture, all, kinds), way.uses);
    return [{ op: "set", path: ["habits", "ways", way.id, "uses"], value: uses }];
  });
  return { code: "countFixtures", at: { kind: "habits" }, ops };
}

function countAt(fixture: Fixture, uses: readonly Use[], kinds: ReadonlyMap<string, Fixture["kind"]>): readonly Use[] {
  const wanted = USES_OF[fixture.kind];
  const isMisplaced = ({ kind, fixtureId, vesselId, sendsL, times }: Use): boolean => {
    if (!wanted.includes(kind) || kind === "drains" || kind === "other") return false;
    if (vesselId !== null || sendsL === 0 || times === 0) return false;
    const now = fixtureId === null ? undefined : kinds.get(fixtureId);
    return now === undefined || !Number.isFinite(rankFixture(kind, now));
  };
  if (uses.some(isMisplaced)) return uses.map((use) => (isMisplaced(use) ? { ...use, fixtureId: fixture.id } : use));
  return [...uses, buildUsual(fixture, uses)];
}

/** Edit that counts every short load of washing with what its machine takes. Null where nothing is short. */
export function buildCountLoads(design: Design): Edit | null {
  const ops = listShortLoads(design).flatMap(({ use, way, machine }): EditOp[] => {
    const path = ["habits", "ways", way.id, "uses", use.id] as const;
    const litres = machine.volumePerUseL;
    return [
      { op: "set", path: [...path, "sendsL"], value: Math.max(use.sendsL, litres) },
      ...(use.from === "fresh"
        ? [{ op: "set", path: [...path, "takesL"], value: Math.max(use.takesL, litres) } as const]
        : []),
    ];
  });
  return ops.length > 0 ? { code: "countLoads", at: { kind: "habits" }, ops } : null;
}

/** How often a person takes a bath, and rinses outside where there is a tray, a day [T]. */
const SELDOM: Readonly<Partial<Record<Fixture["kind"], number>>> = { bath: 0.15, outsideShower: 0.15 };

// A sink or basin is not filled each time. Ice that melts comes out of no tank.
function buildUsual(fixture: Fixture, uses: readonly Use[]): Use {
  const { id, name, kind } = fixture;
  const isMelting = kind === "iceboxDrain";
  const usual = USUAL_USES[USES_OF[kind][0]!];
  const litres = kind === "kitchenSink" || kind === "basin" ? usual.sendsL : fixture.volumePerUseL;
  return {
    ...usual,
    id: freeId(usual.kind.toLowerCase(), uses),
    name,
    times: SELDOM[kind] ?? usual.times,
    from: isMelting ? "elsewhere" : "fresh",
    takesL: isMelting ? 0 : litres,
    sendsL: litres,
    fixtureId: id,
    vesselId: null,
  };
}
