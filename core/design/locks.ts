import type { Design } from "./design";
import type { Gear } from "./gear";
import type { Movable } from "./moves";
import type { Fixture, Line, Tank } from "./plumbing";
import type { Obstacle } from "./rig";

type Lockable = Fixture | Tank | Obstacle | Line | Gear;

/** What an edit must leave as it is on a part that is locked: where it is and how it runs. */
const toPlace = (part: Lockable): readonly unknown[] => {
  if ("outletMm" in part) return [part.outletMm];
  if ("solid" in part) return [part.atMm, part.solid];
  if ("kind" in part && part.kind === "drain") return [part.bendsMm, part.to];
  if ("kind" in part && part.kind === "vent") return [part.pointsMm, part.to];
  if ("kind" in part && part.kind === "dumpLine") return [part.pointsMm, part.to];
  if ("kind" in part && part.kind === "hose") return [part.pointsMm, part.from, part.to];
  return "atMm" in part ? [part.atMm] : [];
};

const LISTS = ["fixtures", "tanks", "obstacles", "lines", "gear"] as const;

/** The name of a locked part that a change has moved or taken away; null when all stay where they are. */
export function findMovedLock(before: Design, after: Design): string | null {
  for (const list of LISTS) {
    if (before[list] === after[list]) continue;
    for (const part of before[list] as readonly Lockable[]) {
      if (!part.locked) continue;
      const now = (after[list] as readonly Lockable[] | undefined)?.find?.((p) => p.id === part.id);
      if (now === part) continue;
      if (!now || toPlace(part).some((place, i) => !isSame(place, toPlace(now)[i]))) return part.name;
    }
  }
  return null;
}

const isSame = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** The list and id under which a part can be locked; null for what has no lock of its own. */
export function findLockable(part: Movable): { readonly list: (typeof LISTS)[number]; readonly id: string } | null {
  switch (part.kind) {
    case "fixture":
      return { list: "fixtures", id: part.id };
    case "tank":
      return { list: "tanks", id: part.id };
    case "obstacle":
      return { list: "obstacles", id: part.id };
    case "gear":
      return { list: "gear", id: part.id };
    case "line":
      return { list: "lines", id: part.id };
    case "bend":
    case "end":
    case "passage":
    case "panel":
    case "leg":
    case "trap":
      return { list: "lines", id: part.lineId };
    case "port":
      return { list: "tanks", id: part.tankId };
    default:
      return null;
  }
}
