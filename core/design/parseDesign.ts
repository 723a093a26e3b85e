import { checkConsistency } from "./checkConsistency";
import { cleanDocument } from "./cleanDocument";
import { type Design, design } from "./design";
import type { Fault, FaultMeasure, FaultPath } from "./faults";
import { type MigrationTable, migrate } from "./migrate";
import * as z from "./z";

/** A design file of a thousand lines is below 1 MB; more than this is not a design. */
export const MOST_BYTES = 4_000_000;
const DEEPEST = 24;
const MOST_FAULTS = 20;
const FORBIDDEN_KEYS = new Set(["__proto__", "constructor", "prototype"]);

export type ParseOutcome =
  | { readonly ok: true; readonly design: Design; readonly fromVersion: number; readonly cleaned: boolean }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** A design as the text of a file: laid out to be read, or close where it would be larger than a file may be. */
export function writeDesignText(design: Design): string {
  const text = `${JSON.stringify(design, null, 2)}\n`;
  return text.length <= MOST_BYTES ? text : `${JSON.stringify(design)}\n`;
}

/** Reads the text of a design file; `readDesignText` knows older versions too. Never throws; every refusal names its place. */
export function parseDesignText(text: string, older?: MigrationTable): ParseOutcome {
  if (text.length > MOST_BYTES) {
    return refuse({ code: "tooLarge", path: [], bytes: text.length, most: MOST_BYTES });
  }
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return refuse({ code: "notJson", path: [] });
  }
  return parseDesign(value, older);
}

/** Checks an unknown value against the schema and against itself; older versions are brought up to date first, where their steps are given. */
export function parseDesign(value: unknown, older?: MigrationTable): ParseOutcome {
  const hostile = findHostileShape(value);
  if (hostile) return refuse(hostile);
  const migrated = migrate(value, older && { table: older });
  if (!migrated.ok) return refuse(migrated.fault);
  const document = cleanDocument(migrated.document);
  const parsed = design.safeParse(document, { reportInput: true });
  if (!parsed.success) return { ok: false, faults: parsed.error.issues.slice(0, MOST_FAULTS).map(toFault) };
  const faults = checkConsistency(parsed.data);
  if (faults.length > 0) return { ok: false, faults: faults.slice(0, MOST_FAULTS) };
  return { ok: true, design: parsed.data, fromVersion: migrated.fromVersion, cleaned: document !== migrated.document };
}

/**
 * The same check for a design that came from a sound one by an edit: parts that are still the same objects are sound
 * already, so only those that were touched go through the schema. What does not fit together is looked for in all of it.
 */
export function parseChanged(
  before: Design,
  after: Design,
): { readonly ok: true } | { readonly ok: false; readonly faults: readonly Fault[] } {
  if (before.format !== after.format || before.version !== after.version) return parseDesign(after);
  for (const key of new Set([...Object.keys(design.shape), ...Object.keys(after)]) as Set<keyof Design>) {
    if (before[key] === after[key]) continue;
    const faults = checkPart(key, before[key], after[key]);
    if (faults.length > 0) return { ok: false, faults };
  }
  const faults = checkConsistency(after);
  return faults.length > 0 ? { ok: false, faults: faults.slice(0, MOST_FAULTS) } : { ok: true };
}

function checkPart(key: keyof Design, before: unknown, after: unknown): Fault[] {
  const schema: z.ZodMiniType | undefined = design.shape[key];
  if (!schema) return [{ code: "unknownKeys", path: [], keys: [key] }];
  const isList = Array.isArray(before) && Array.isArray(after) && before.length === after.length;
  const entry = isList && schema instanceof z.ZodMiniArray ? (schema.def.element as z.ZodMiniType) : null;
  const changed = entry
    ? (after as unknown[]).flatMap((value, i) =>
        value === (before as unknown[])[i] ? [] : [{ value, path: [key, i] }],
      )
    : [{ value: after, path: [key] }];
  return changed.flatMap(({ value, path }) => {
    const hostile = findHostileShape(value);
    if (hostile) return [{ ...hostile, path: [...path, ...hostile.path] }];
    const parsed = (entry ?? schema).safeParse(value, { reportInput: true });
    if (parsed.success) return [];
    return parsed.error.issues.slice(0, MOST_FAULTS).map((issue) => {
      const fault = toFault(issue);
      return { ...fault, path: [...path, ...fault.path] };
    });
  });
}

const refuse = (fault: Fault): ParseOutcome => ({ ok: false, faults: [fault] });

// Walks with a stack of its own, so that deep nesting cannot exhaust the call stack.
function findHostileShape(value: unknown): Fault | null {
  const open: { readonly value: unknown; readonly path: FaultPath }[] = [{ value, path: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    if (typeof next.value !== "object" || next.value === null) continue;
    if (next.path.length >= DEEPEST) return { code: "tooDeep", path: next.path.slice(0, 4), most: DEEPEST };
    for (const key of Object.keys(next.value)) {
      if (FORBIDDEN_KEYS.has(key)) return { code: "forbiddenKey", path: next.path, key };
      const child = (next.value as Record<string, unknown>)[key];
      if (typeof child === "object" && child !== null) {
        open.push({ value: child, path: [...next.path, Array.isArray(next.value) ? Number(key) : key] });
      }
    }
  }
  return null;
}

function toFault(issue: z.core.$ZodIssue): Fault {
  const path: FaultPath = issue.path.map((part) => (typeof part === "symbol" ? String(part) : part));
  switch (issue.code) {
    case "invalid_type":
      return issue.input === undefined
        ? { code: "missing", path }
        : { code: "wrongType", path, expected: issue.expected };
    case "too_small":
      return { code: "tooSmall", path, least: Number(issue.minimum), what: toMeasure(issue.origin) };
    case "too_big":
      return { code: "tooBig", path, most: Number(issue.maximum), what: toMeasure(issue.origin) };
    case "invalid_value":
      return { code: "notOneOf", path, options: issue.values.map(String) };
    case "invalid_union":
      return issue.input === undefined ? { code: "missing", path } : { code: "notOneOf", path, options: [] };
    case "unrecognized_keys":
      return { code: "unknownKeys", path, keys: issue.keys };
    case "invalid_key":
      return { code: "unknownKeys", path: path.slice(0, -1), keys: [String(path[path.length - 1])] };
    default:
      return { code: "badText", path };
  }
}

function toMeasure(origin: string): FaultMeasure {
  if (origin === "string") return "text";
  return origin === "array" ? "list" : "number";
}
