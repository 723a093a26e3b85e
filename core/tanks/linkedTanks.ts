import type { Design } from "../design/design";
import type { LinkKind, Tank } from "../design/plumbing";

/**
 * A tank and those that share its level: joined to it, or to one that is, by a pipe at the bottom, whichever of the two
 * names the other. A tank by itself is alone in its group. In the order of the design's tanks.
 */
export const listLevelGroup = (design: Pick<Design, "tanks">, tank: Tank): Tank[] =>
  listGroup(design, tank, ["communicating"]);

/** The same with those it is pumped over into, or that are pumped over into it: where its water may end up. */
export const listStoreGroup = (design: Pick<Design, "tanks">, tank: Tank): Tank[] =>
  listGroup(design, tank, ["communicating", "pumped"]);

// The tank asked for counts as it is given: it may be one that is only tried.
function listGroup({ tanks }: Pick<Design, "tanks">, tank: Tank, kinds: readonly LinkKind[]): Tank[] {
  const goesInto = (a: Tank, b: Tank) => a.link !== null && kinds.includes(a.link.kind) && a.link.toTank === b.id;
  const all = tanks.some(({ id }) => id === tank.id)
    ? tanks.map((one) => (one.id === tank.id ? tank : one))
    : [tank, ...tanks];
  const found = new Set([tank]);
  // a set may grow while it is gone through
  for (const one of found) for (const other of all) if (goesInto(one, other) || goesInto(other, one)) found.add(other);
  return all.filter((one) => found.has(one));
}
