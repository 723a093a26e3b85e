import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import { findSealMm } from "../design/lineItems";
import type { Hose, Tank } from "../design/plumbing";
import type { Network } from "../falls/network";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { computeAirwayPressurePa } from "./airPressure";
import { computeLeastBoreForFlowM } from "./dumping";
import { buildVentPath, listVents, type VentStretch } from "./ventPath";

/** What a pump-out station draws out of a tank, L/s [T: 1 to 2]. */
export const PUMP_OUT_LPS = 1.5;

/** What a station on the deck fitting does to the air of a tank: its pump takes its water whatever the breather lets in. */
export type PumpOut = {
  readonly ventId: string;
  /** Its pipe from the port to the open, and those of the breathers it joins. */
  readonly stretches: readonly VentStretch[];
  readonly suctionPa: number;
  /** The shallowest water seal on the tank, mm, and what is left of it; null where no trap holds water. */
  readonly weakestSealMm: number | null;
  readonly sealAfterMm: number | null;
  readonly breaksSeal: boolean;
  /** Bore, mm, at which the suction stays within a limit, Pa. */
  readonly leastBoreMm: number;
};

/** What water does not pass on its way from a tank to the deck. */
const ENDS: ReadonlySet<string> = new Set(["bowl", "skinFitting", "tap", "sump"]);

/** Whether a hose leads from a tank to a deck fitting, through whatever gear there is between. */
export function isPumpedOut({ gear, lines }: Pick<Design, "gear" | "lines">, tankId: string): boolean {
  if (!gear.some(({ spec }) => spec.kind === "deckFitting")) return false;
  const kinds = new Map(gear.map(({ id, spec }) => [id, spec.kind]));
  const hoses = lines.filter((line): line is Hose => line.kind === "hose");
  const keyOf = (end: HoseEnd) => (end.kind === "tank" ? `tank ${end.tankId}` : end.gearId);
  const open = [`tank ${tankId}`];
  const seen = new Set(open);
  for (const key of open) {
    for (const { from, to } of hoses) {
      for (const [here, there] of [
        [from, to],
        [to, from],
      ] as const) {
        if (keyOf(here) !== key || there.kind === "tank" || seen.has(there.gearId)) continue;
        const kind = kinds.get(there.gearId) ?? "";
        if (kind === "deckFitting") return true;
        seen.add(there.gearId);
        // the list grows while it is gone through
        if (!ENDS.has(kind)) open.push(there.gearId);
      }
    }
  }
  return false;
}

/**
 * Suction in a tank, Pa, while it is pumped out through its deck fitting at 1.5 L/s; null where it has none, or no breather.
 * Of several breathers the best is counted alone, which is on the safe side. Limit in Pa > 0. Source: Darcy and Weisbach at
 * that flow [C on T: the flow]. Example: 3 m of 19 mm, ΣK 2.5 → 135 Pa.
 */
export function computePumpOut(design: Design, tank: Tank, mostPa: number, network: Network): PumpOut | null {
  const vents = listVents(design, tank.id);
  if (vents.length === 0 || !isPumpedOut(design, tank.id)) return null;
  const flowM3PerS = PUMP_OUT_LPS / 1000;
  const air = vents.map((vent) => {
    const { stretches } = buildVentPath(design, vent);
    const airway = stretches.map(({ pipe }) => pipe);
    return { vent, stretches, airway, suctionPa: computeAirwayPressurePa(flowM3PerS, airway) };
  });
  const { vent, stretches, airway, suctionPa } = air.reduce((a, b) => (b.suctionPa < a.suctionPa ? b : a));
  const seals = (network.drainsByTank.get(tank.id) ?? []).flatMap((drain) => findSealMm(drain) ?? []);
  const weakestSealMm = seals.length > 0 ? Math.min(...seals) : null;
  return {
    ventId: vent.id,
    stretches,
    suctionPa,
    weakestSealMm,
    sealAfterMm: weakestSealMm === null ? null : computeSealAfterMm(weakestSealMm, suctionPa),
    breaksSeal: weakestSealMm !== null && suctionPa >= computeSealBreakPa(weakestSealMm),
    leastBoreMm: computeLeastBoreForFlowM(flowM3PerS, mostPa, airway) * 1000,
  };
}
