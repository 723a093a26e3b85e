/** An id for a new entry of a list that no other entry bears: obstacle-1, obstacle-2. */
export function createEntryId(stem: string, taken: readonly { readonly id: string }[]): string {
  let n = taken.length + 1;
  while (taken.some((entry) => entry.id === `${stem}-${n}`)) n += 1;
  return `${stem}-${n}`;
}
