import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import type { Habits } from "../design/habits";
import type { PartRef } from "../design/part";
import type { Rig } from "../design/rig";

const LISTS = ["obstacles", "fixtures", "tanks", "lines", "gear", "states"] as const;
export type PartList = (typeof LISTS)[number];

type KeysOf<T> = T extends unknown ? keyof T : never;
/** What of a part can be different: every field but the id it is known by. */
export type PartField = Exclude<KeysOf<Design[PartList][number]>, "id">;

/** One thing that two variants do not share: a part, a measure of the rig, a habit, or the rules. */
export type Difference =
  | {
      readonly of: "part";
      readonly list: PartList;
      readonly id: string;
      readonly name: string;
      readonly how: "changed";
      /** Which of its fields, in the order they are written. */
      readonly fields: readonly PartField[];
    }
  | {
      readonly of: "part";
      readonly list: PartList;
      readonly id: string;
      readonly name: string;
      readonly how: "onlyHere" | "onlyThere";
    }
  | { readonly of: "rig"; readonly field: keyof Rig }
  | { readonly of: "habits"; readonly field: keyof Habits }
  | { readonly of: "rules" };

/** One string a difference, for keys. */
export function toDifferenceKey(difference: Difference): string {
  if (difference.of === "part") return `${difference.list}:${difference.id}`;
  return difference.of === "rules" ? "rules" : `${difference.of}:${difference.field}`;
}

/**
 * Everything in which two variants differ, but their own name and note: measures of the rig, then obstacles, fixtures, tanks,
 * lines, gear and working states by their ids, then habits and rules. The order of a list is no difference.
 */
export function listDifferences(here: Design, there: Design): Difference[] {
  const rig = listFields(here.rig, there.rig).map((field) => ({ of: "rig", field }) as const);
  const habits = listFields(here.habits, there.habits).map((field) => ({ of: "habits", field }) as const);
  const rules = isSame(here.rules, there.rules) ? [] : [{ of: "rules" } as const];
  return [...rig, ...LISTS.flatMap((list) => listParts(here, there, list)), ...habits, ...rules];
}

function listParts(here: Design, there: Design, list: PartList): Difference[] {
  type Part = Design[PartList][number];
  const theirs = new Map<string, Part>(there[list].map((part) => [part.id, part]));
  const mine = (here[list] as readonly Part[]).flatMap((part): Difference[] => {
    const { id, name } = part;
    const other = theirs.get(id);
    if (!other) return [{ of: "part", list, id, name, how: "onlyHere" }];
    const fields = listFields(part, other) as PartField[];
    return fields.length === 0 ? [] : [{ of: "part", list, id, name, how: "changed", fields }];
  });
  const known = new Set(here[list].map(({ id }) => id));
  const added = there[list].flatMap(({ id, name }): Difference[] =>
    known.has(id) ? [] : [{ of: "part", list, id, name, how: "onlyThere" }],
  );
  return [...mine, ...added];
}

// The fields that are not the same on both sides, in the order they are written; what is not written is as good as null.
function listFields<T extends object>(a: T, b: T): (keyof T)[] {
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])] as (keyof T)[];
  return keys.filter((key) => !isSame(a[key] ?? null, b[key] ?? null));
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

const KINDS = {
  obstacles: "obstacle",
  fixtures: "fixture",
  tanks: "tank",
  lines: "line",
  gear: "gear",
  states: "state",
} as const;

/**
 * Edit that takes one difference over from the other variant, a drain with the fixture it comes from. Null for a part that is
 * only here. It may be refused: what the part refers to must be here too.
 */
export function buildTakeOver(here: Design, there: Design, difference: Difference): Edit | null {
  const set = (at: PartRef, path: readonly string[], value: unknown): Edit => ({
    code: "takeOver",
    at,
    ops: [{ op: "set", path, value }],
  });
  switch (difference.of) {
    case "rig":
      // what is not written there is not measured there
      return set({ kind: "rig" }, ["rig", difference.field], there.rig[difference.field] ?? null);
    case "habits":
      return set({ kind: "habits" }, ["habits", difference.field], there.habits[difference.field]);
    case "rules":
      return set({ kind: "rig" }, ["rules"], there.rules);
    case "part":
      return difference.how === "onlyHere" ? null : takePart(here, there, difference.list, difference.id);
  }
}

function takePart(here: Design, there: Design, list: PartList, id: string): Edit | null {
  const part = there[list].find((entry) => entry.id === id);
  if (!part) return null;
  const fixture =
    list === "lines" && "fromFixture" in part ? there.fixtures.find((f) => f.id === part.fromFixture) : undefined;
  const ops: EditOp[] = [...(fixture ? [toOp(here, "fixtures", fixture)] : []), toOp(here, list, part)];
  return { code: "takeOver", at: { kind: KINDS[list], id } as PartRef, ops };
}

const toOp = (here: Design, list: PartList, part: { readonly id: string }): EditOp =>
  here[list].some(({ id }) => id === part.id)
    ? { op: "set", path: [list, part.id], value: part }
    : { op: "insert", path: [list], index: here[list].length, value: part };
