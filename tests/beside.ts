import type { Design } from "@/core/design/design";

/** Keys under which ids stand, and lists of them. */
const ID_KEYS: ReadonlySet<string> = new Set([
  ...["id", "tankId", "portId", "gearId", "lineId", "fixtureId"],
  ...["fromTank", "fromPort", "fromFixture", "toTank", "node", "on", "openTaps"],
]);

// Every id gets a tail, and every name.
function rename(value: unknown, key = ""): unknown {
  if (typeof value === "string") return ID_KEYS.has(key) ? `${value}-b` : key === "name" ? `${value} B` : value;
  if (Array.isArray(value)) return value.map((one) => rename(one, key));
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, rename(one, name)]));
}

type Waters = Pick<Design, "tanks" | "gear" | "fixtures" | "lines" | "obstacles" | "states">;

const BY_MM = 9_000;
const ahead = <P extends { readonly x: number }>(p: P): P => ({ ...p, x: p.x + BY_MM });

/** A rig so long that all its waters stand in it once more, farther ahead and joined to nothing of the first, which come before or after in the file. */
export function standBeside(design: Design, isFirst: boolean): Design {
  const { tanks, gear, fixtures, lines, obstacles, states } = design;
  const copy = rename({ tanks, gear, fixtures, lines, obstacles, states }) as Waters;
  const join = <T>(own: readonly T[], more: readonly T[]): T[] => (isFirst ? [...own, ...more] : [...more, ...own]);
  return {
    ...lengthen(design),
    tanks: join(
      tanks,
      copy.tanks.map((tank) => ({ ...tank, atMm: ahead(tank.atMm) })),
    ),
    gear: join(
      gear,
      copy.gear.map((piece) => ({ ...piece, atMm: ahead(piece.atMm) })),
    ),
    fixtures: join(
      fixtures,
      copy.fixtures.map((one) => ({ ...one, outletMm: ahead(one.outletMm) })),
    ),
    obstacles: join(
      obstacles,
      copy.obstacles.map((one) => ({ ...one, atMm: ahead(one.atMm) })),
    ),
    lines: join(
      lines,
      copy.lines.map((line) =>
        line.kind === "drain"
          ? {
              ...line,
              to: "atMm" in line.to ? { ...line.to, atMm: ahead(line.to.atMm) } : line.to,
              bendsMm: line.bendsMm.map(ahead),
            }
          : { ...line, pointsMm: line.pointsMm.map(ahead) },
      ),
    ),
    states: join(states, copy.states),
  };
}

/** The same rig as long as both are together; a hull of such a length nobody drew. */
export const lengthen = (design: Design): Design => ({
  ...design,
  rig: {
    ...design.rig,
    lengthMm: Math.min(20_000, design.rig.lengthMm + BY_MM),
    ...(design.rig.hull ? { hull: null } : {}),
  },
});
