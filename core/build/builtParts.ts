import type { Movable } from "../design/moves";
import type { BuildStep } from "./steps";

/** The parts that stand once their step is done: tanks that hang, gear that is mounted, lines that are laid or drilled for. */
export const listBuiltParts = (steps: readonly BuildStep[], done: ReadonlySet<string>): Movable[] =>
  steps.flatMap(({ id, kind, at }): Movable[] => {
    if (!done.has(id)) return [];
    switch (kind) {
      case "hangTank":
      case "mountGear":
      case "drillHole":
      case "layDrain":
      case "layVent":
      case "layDumpLine":
      case "layHose":
        return at.kind === "tank" || at.kind === "gear" || at.kind === "line" ? [at] : [];
      default:
        return [];
    }
  });
