import { isIndoors } from "../air/ventRoom";
import type { Design } from "../design/design";
import { placeGearPort } from "../gear/gearPorts";
import { computeStability } from "../heads/stability";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What a boat's tanks need and a van's do not: her weight and GM for what they do to her. */
export function checkAboard(design: Design): Finding[] {
  if (design.rig.kind !== "boat" || design.tanks.length === 0) return [];
  return [...checkStability(design), ...checkHeel(design), ...checkDecks(design), ...checkShape(design)];
}

// Whether a fitting sits in her skin, and what reaches through it, is known by her sections alone.
function checkShape({ rig, gear }: Design): Finding[] {
  const fittings = gear.filter(({ spec }) => spec.kind === "skinFitting").length;
  return rig.hull || fittings === 0 ? [] : [createFinding({ kind: "rig" }, { code: "hullUnknown", fittings })];
}

// What a pump-out hose is put on below deck spills into her.
function checkDecks(design: Design): Finding[] {
  return design.gear.flatMap((piece): Finding[] => {
    if (piece.spec.kind !== "deckFitting") return [];
    const at = placeGearPort(piece, "out");
    if (at.z > 0 && !isIndoors(design, at)) return [];
    return [createFinding({ kind: "gear", id: piece.id }, { code: "deckFittingBelow" })];
  });
}

// What loose water takes of her stability is silent without these two.
function checkStability({ rig: { displacementKg, gmMm } }: Design): Finding[] {
  if (displacementKg !== null && gmMm !== null) return [];
  return [
    createFinding({ kind: "rig" }, { code: "stabilityUnknown", wants: displacementKg === null ? "weight" : "gm" }),
  ];
}

// Falls and floods are judged as far as she is said to heel; her own tanks may take her further.
function checkHeel(design: Design): Finding[] {
  const { leftLowDeg, rightLowDeg } = design.rig.envelope;
  const heels = computeStability(design)?.tanks.map(({ heelDeg }) => heelDeg ?? 0) ?? [];
  const sides = [
    { side: "left", heelDeg: sumOf(heels.filter((deg) => deg > 0)), judgedDeg: leftLowDeg },
    { side: "right", heelDeg: -sumOf(heels.filter((deg) => deg < 0)), judgedDeg: rightLowDeg },
  ] as const;
  return sides.flatMap((one) =>
    one.heelDeg > one.judgedDeg
      ? [createFinding({ kind: "rig" }, { code: "tanksHeel", otherId: one.side, ...one })]
      : [],
  );
}

const sumOf = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);
