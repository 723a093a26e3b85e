import { CURRENT_VERSION, FORMAT } from "./design";
import type { Fault } from "./faults";

export type DesignDocument = Record<string, unknown>;
/** Brings a document from one version to the next. A step never changes once a version has been released. */
export type Migration = (old: DesignDocument) => DesignDocument;
export type MigrationTable = Readonly<Record<number, Migration>>;

export type MigrationOutcome =
  | { readonly ok: true; readonly document: DesignDocument; readonly fromVersion: number }
  | { readonly ok: false; readonly fault: Fault };

/** Brings a document to `newest` by the steps of a table; refuses what is not ours, is newer, or is older than its steps reach. */
export function migrate(
  value: unknown,
  { table = {}, newest = CURRENT_VERSION }: { readonly table?: MigrationTable; readonly newest?: number } = {},
): MigrationOutcome {
  if (!isDocument(value) || value["format"] !== FORMAT) return { ok: false, fault: { code: "notOurs", path: [] } };
  const version = value["version"];
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1) {
    return { ok: false, fault: { code: "unknownVersion", path: ["version"] } };
  }
  if (version > newest) {
    return { ok: false, fault: { code: "newerVersion", path: ["version"], found: version, newest } };
  }
  let document = value;
  for (let from = version; from < newest; from++) {
    const step = table[from];
    if (!step) return { ok: false, fault: { code: "unknownVersion", path: ["version"] } };
    document = { ...step(document), version: from + 1 };
  }
  return { ok: true, document, fromVersion: version };
}

/** Whether a document is of a version before this one. */
export const isOlder = (value: unknown): boolean =>
  isDocument(value) && typeof value["version"] === "number" && value["version"] < CURRENT_VERSION;

export function isDocument(value: unknown): value is DesignDocument {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}
