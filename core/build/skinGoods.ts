import type { Design } from "../design/design";
import type { Good, Ware } from "./goods";

/** A bead under flange and block, mL for each millimetre of bore, and what any takes [T]. */
const BED_ML_PER_MM = 1.5;
const LEAST_BED_ML = 30;

/**
 * What a fitting in a hull takes beside itself: its seacock, a block behind it and what both are bedded on; what is set in a deck or
 * an outside wall its bedding, and where a tap presses there its reducer. Source: practice [T].
 */
export const listSkinGoods = ({ gear }: Pick<Design, "gear">): Good[] =>
  gear.flatMap(({ id, spec }): Good[] => {
    const good = (ware: Ware, amount: number, counter: Good["counter"]): Good => ({
      ware,
      amount,
      assembly: { kind: "gear", id },
      counter,
    });
    if (spec.kind === "deckFitting" || spec.kind === "coupling") {
      const reducedToKPa = spec.kind === "coupling" && spec.supplyKPa !== null ? (spec.reducedToKPa ?? null) : null;
      return [
        good({ kind: "bedding", bedding: "butyl" }, LEAST_BED_ML, "sealing"),
        ...(reducedToKPa === null ? [] : [good({ kind: "reducer", kPa: reducedToKPa }, 1, "gear")]),
      ];
    }
    if (spec.kind !== "skinFitting") return [];
    const { bedding = "polyurethane" } = spec;
    return [
      ...(spec.hasSeacock ? [good({ kind: "seacock", boreMm: spec.boreMm }, 1, "gear")] : []),
      // where nobody said that there is none, one is bought: without it a knock tears the fitting out
      ...(spec.hasBacking === false ? [] : [good({ kind: "backingBlock" }, 1, "gear")]),
      ...(bedding === "none"
        ? []
        : [good({ kind: "bedding", bedding }, Math.max(LEAST_BED_ML, BED_ML_PER_MM * spec.boreMm), "sealing")]),
    ];
  });
