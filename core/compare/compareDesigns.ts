import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/edit";
import type { PartRef } from "../design/part";
import { evaluate } from "../evaluate/evaluate";
import { listParts } from "../parts/listParts";

/** What a design comes to, for holding it beside another. */
export type Summary = {
  readonly drains: readonly {
    readonly lineId: string;
    readonly name: string;
    readonly levelMm: number;
    readonly worstMm: number;
  }[];
  readonly usableL: number;
  /** Until the first store is full or empty, standing level; null where none ever is. */
  readonly days: number | null;
  readonly musts: number;
  readonly shoulds: number;
  readonly pipeM: number;
  /** Bends, fittings, traps and valves. */
  readonly pieces: number;
};

export function summarize(design: Design): Summary {
  const { drains, tanks, balance, findings } = evaluate(design);
  const parts = listParts(design);
  return {
    drains: drains.map(({ lineId, level, worst }) => ({
      lineId,
      name: design.lines.find((line) => line.id === lineId)!.name,
      levelMm: level.inHandMm,
      worstMm: worst.inHandMm,
    })),
    usableL: tanks.reduce((sum, tank) => sum + tank.usableWorstL, 0),
    days: balance.endsBy.level?.days ?? null,
    musts: findings.filter((f) => f.severity === "must").length,
    shoulds: findings.filter((f) => f.severity === "should").length,
    pipeM: parts.reduce((sum, part) => sum + (part.kind === "pipe" ? part.lengthM : 0), 0),
    pieces: parts.reduce((sum, part) => sum + (part.kind === "pipe" ? 0 : part.count), 0),
  };
}

const LISTS = ["obstacles", "fixtures", "tanks", "lines"] as const;
type ListName = (typeof LISTS)[number];

/** A part that two variants do not share. */
export type Difference = {
  readonly list: ListName;
  readonly id: string;
  readonly name: string;
  readonly how: "changed" | "onlyHere" | "onlyThere";
};

/** The parts in which two variants differ, by their ids, in the order obstacles, fixtures, tanks, lines. */
export function listDifferences(here: Design, there: Design): Difference[] {
  return LISTS.flatMap((list) => {
    const theirs = new Map(there[list].map((part) => [part.id, part]));
    const mine = here[list].flatMap(({ id, name, ...part }): Difference[] => {
      const other = theirs.get(id);
      if (!other) return [{ list, id, name, how: "onlyHere" }];
      return isSame({ id, name, ...part }, other) ? [] : [{ list, id, name, how: "changed" }];
    });
    const known = new Set(here[list].map(({ id }) => id));
    const added = there[list].flatMap(({ id, name }): Difference[] =>
      known.has(id) ? [] : [{ list, id, name, how: "onlyThere" }],
    );
    return [...mine, ...added];
  });
}

// Key order is no difference: a part may have been written by an edit or read from a file.
function isSame(a: unknown, b: unknown): boolean {
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return a === b;
  const [ka, kb] = [Object.keys(a), Object.keys(b)];
  return (
    ka.length === kb.length &&
    ka.every((key) => key in b && isSame((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]))
  );
}

const KINDS = { obstacles: "obstacle", fixtures: "fixture", tanks: "tank", lines: "line" } as const;

/**
 * Edit that takes one part over from the other variant, a drain with the fixture it comes from. Null for a part that is
 * only here. It may be refused: what the part refers to must be here too.
 */
export function buildTakeOver(here: Design, there: Design, { list, id, how }: Difference): Edit | null {
  const part = there[list].find((entry) => entry.id === id);
  if (!part || how === "onlyHere") return null;
  const fixture =
    list === "lines" && "fromFixture" in part ? there.fixtures.find((f) => f.id === part.fromFixture) : undefined;
  const ops: EditOp[] = [...(fixture ? [toOp(here, "fixtures", fixture)] : []), toOp(here, list, part)];
  return { code: "takeOver", at: { kind: KINDS[list], id } as PartRef, ops };
}

const toOp = (here: Design, list: ListName, part: { readonly id: string }): EditOp =>
  here[list].some(({ id }) => id === part.id)
    ? { op: "set", path: [list, part.id], value: part }
    : { op: "insert", path: [list], index: here[list].length, value: part };
