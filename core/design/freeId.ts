/** An id that no entry of a list bears yet: "shower", then "shower-2". */
export function freeId(wanted: string, taken: readonly { readonly id: string }[]): string {
  const stem = wanted.slice(0, 34);
  let id = stem;
  for (let n = 2; taken.some((entry) => entry.id === id); n++) id = `${stem}-${n}`;
  return id;
}
