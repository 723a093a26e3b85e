import type { Design } from "../design/design";
import { placeGearPort } from "../gear/gearPorts";
import { measureWorstOverWater, SAFE_OVER_WATER_MM } from "../hull/overWater";
import { listFittings } from "../through/fittings";
import { measureFitting } from "../through/holes";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** Above this over the worst waterline a fitting may do without a seacock, mm [T]. */
const FREE_OVER_MM = 150;

/** Skin fittings and vented loops of a boat: seacock, metal, clamps, and how far the loop stands over the worst waterline. */
export function checkThrough(design: Design): Finding[] {
  if (design.rig.waterlineZMm === null) return [];
  return [
    ...listFittings(design).flatMap((piece): Finding[] => {
      const at = { kind: "gear", id: piece.id } as const;
      const { worstOverMm, worstLps, worstAt } = measureFitting(design, piece);
      const { hasSeacock, metal, clamps } = piece.spec;
      const findings: Finding[] = [];
      if (!hasSeacock && worstOverMm < FREE_OVER_MM) {
        findings.push(
          createGraded(worstOverMm < 0 ? "must" : "should", at, {
            code: "seacockMissing",
            overMm: worstOverMm,
            lps: worstLps,
            attitude: worstAt,
          }),
        );
      }
      if (metal === "brass" || (metal === "stainless" && worstOverMm < 0)) {
        findings.push(
          createGraded(worstOverMm < FREE_OVER_MM ? "must" : "should", at, {
            code: "metalUnfit",
            isBrass: metal === "brass",
          }),
        );
      }
      if (clamps < 2 && worstOverMm < FREE_OVER_MM) findings.push(createFinding(at, { code: "clampsFew", clamps }));
      return findings;
    }),
    ...design.gear.flatMap((piece): Finding[] => {
      if (piece.spec.kind !== "ventedLoop") return [];
      const port = placeGearPort(piece, "in");
      const top = { ...port, z: piece.atMm.z + piece.sizeMm.z };
      const leastMm = measureWorstOverWater(design, top).overMm;
      if (leastMm >= SAFE_OVER_WATER_MM) return [];
      return [
        createFinding(
          { kind: "gear", id: piece.id },
          { code: "loopLow", overMm: leastMm, wantedMm: SAFE_OVER_WATER_MM },
        ),
      ];
    }),
  ];
}
