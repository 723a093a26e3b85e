import type { Design } from "../design/design";
import { TRAP_KINDS, type Trap, type TrapKind } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";

/** A trap of each kind as sold, for a small waste: seal, height and span, mm [T]. */
export const USUAL_TRAPS: Readonly<Record<TrapKind, Trap>> = {
  pTrap: { kind: "pTrap", sealMm: 50, dropMm: 90, spanMm: 80 },
  bottle: { kind: "bottle", sealMm: 50, dropMm: 70, spanMm: 40 },
  running: { kind: "running", sealMm: 50, dropMm: 60, spanMm: 120 },
  membrane: { kind: "membrane", sealMm: 0, dropMm: 40, spanMm: 60 },
};

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
    const lines = design.lines.map((line) => (line.kind === "drain" && line.id === drainId ? { ...line, trap } : line));
    const result = evaluate({ ...design, lines }).drains.find((drain) => drain.lineId === drainId)!;
    return {
      kind,
      heightMm: trap.dropMm,
      worstMm: result.worst.inHandMm,
      afterDrivingMm: result.sealRisks?.afterDrivingMm ?? null,
      dryWeeks: result.sealRisks?.dryWeeks ?? null,
    };
  });
}
