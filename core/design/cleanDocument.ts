import { cleanName, cleanNote } from "./cleanText";

/**
 * A document in which every name and note is without what cannot be seen; the same object where there was nothing to take
 * out. Umlauts, other scripts and emoji stay. The depth has been bounded before.
 */
export function cleanDocument(value: unknown): unknown {
  if (Array.isArray(value)) return cleanList(value);
  if (typeof value !== "object" || value === null) return value;
  let changed: Record<string, unknown> | null = null;
  for (const [key, child] of Object.entries(value)) {
    const cleaned = cleanField(key, child);
    if (cleaned === child) continue;
    changed ??= { ...value };
    changed[key] = cleaned;
  }
  return changed ?? value;
}

function cleanList(list: readonly unknown[]): unknown {
  const cleaned = list.map(cleanDocument);
  return cleaned.some((entry, i) => entry !== list[i]) ? cleaned : list;
}

function cleanField(key: string, value: unknown): unknown {
  if (typeof value !== "string") return cleanDocument(value);
  if (key === "name") return value.trim() === cleanName(value) ? value : cleanName(value);
  return key === "note" ? cleanNote(value) : value;
}
