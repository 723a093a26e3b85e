import type { Design } from "./design";
import type { Edit, EditOp, EditPath } from "./editOps";
import type { Fault } from "./faults";
import { followNodes } from "./followNodes";
import { findMovedLock } from "./locks";
import { settleNodes } from "./nodes";
import { parseChanged } from "./parseDesign";

export type EditOutcome =
  | { readonly ok: true; readonly design: Design }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** The design after an edit, or why it is refused; the given design is never changed. Untouched parts are shared. */
export function applyEdit(design: Design, edit: Edit): EditOutcome {
  let next: unknown = design;
  for (const op of edit.ops) {
    const changed = applyAt(next, op.path, op);
    if (changed === NOWHERE) {
      return { ok: false, faults: [{ code: "danglingReference", path: [...op.path], id: op.path.join(".") }] };
    }
    next = settleNodes(next as Design, followNodes(next as Design, changed as Design, op), op);
  }
  const held = findMovedLock(design, next as Design);
  if (held) return { ok: false, faults: [{ code: "locked", path: [], name: held }] };
  const parsed = parseChanged(design, next as Design);
  // what is kept is what was built here, not zod's copy, so that untouched parts stay the same objects
  return parsed.ok ? { ok: true, design: next as Design } : parsed;
}

const NOWHERE = Symbol("no such place");

function applyAt(value: unknown, path: EditPath, op: EditOp): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return applyHere(value, op);
  if (Array.isArray(value)) {
    const index = typeof key === "number" ? key : value.findIndex((entry) => (entry as { id?: unknown }).id === key);
    if (index < 0 || index >= value.length) return NOWHERE;
    if (op.op === "remove" && rest.length === 0) return value.filter((_, i) => i !== index);
    const child = applyAt(value[index], rest, op);
    return child === NOWHERE ? NOWHERE : value.map((entry, i) => (i === index ? child : entry));
  }
  if (typeof value !== "object" || value === null) return NOWHERE;
  const record = value as Record<string, unknown>;
  if (op.op === "remove" && rest.length === 0) {
    const { [key]: _removed, ...kept } = record;
    return kept;
  }
  const child = applyAt(record[key], rest, op);
  return child === NOWHERE ? NOWHERE : { ...record, [key]: child };
}

function applyHere(value: unknown, op: EditOp): unknown {
  if (op.op === "set") return op.value;
  if (op.op === "insert" && Array.isArray(value))
    return [...value.slice(0, op.index), op.value, ...value.slice(op.index)];
  return NOWHERE;
}
