import type { Design } from "../design/design";
import { withTrap } from "../design/lineItems";
import { TRAP_KINDS, type TrapKind } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { evaluate } from "../evaluate/judge";

/** What one kind of trap comes to on this rig; null where no water stands in it. */
export type TrapSchool = {
  readonly kind: TrapKind;
  readonly heightMm: number;
  readonly worstMm: number;
  readonly afterDrivingMm: number | null;
  readonly dryWeeks: number | null;
};

/** The kinds of trap side by side on one drain: each fitted as sold and the whole design worked out with it. */
export function compareTraps(design: Design, drainId: string): TrapSchool[] {
  return TRAP_KINDS.map((kind) => {
    const trap = USUAL_TRAPS[kind];
    const lines = design.lines.map((line) =>
      line.kind === "drain" && line.id === drainId ? withTrap(line, trap) : line,
    );
    const result = evaluate({ ...design, lines }).drains.find((drain) => drain.lineId === drainId)!;
    return {
      kind,
      heightMm: trap.dropMm,
      worstMm: result.worst.inHandMm,
      afterDrivingMm: result.trapRisks?.afterDrivingMm ?? null,
      dryWeeks: result.trapRisks?.dryWeeks ?? null,
    };
  });
}
