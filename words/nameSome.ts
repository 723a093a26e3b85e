const MOST_NAMED = 3;

/** The first few of some names, and how many there are besides. */
export function nameSome(names: readonly string[]): string {
  const named = names.slice(0, MOST_NAMED).join(", ");
  return names.length > MOST_NAMED ? `${named} and ${names.length - MOST_NAMED} more` : named;
}
