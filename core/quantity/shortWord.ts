/** A value as text, the keys of its objects in order: two of the same sense are the same text, however they were put together. */
export const writeSorted = (value: unknown): string => JSON.stringify(value, sortKeys);

function sortKeys(_: string, value: unknown): unknown {
  if (typeof value !== "object" || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** A short word that changes with what it is taken of; not to keep secrets, only to see a change. Source: Fowler, Noll and Vo's hash of 32 bits [P]. */
export function takeShortWord(text: string): string {
  let value = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return value.toString(36);
}
