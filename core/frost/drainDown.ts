import type { Design } from "../design/design";
import type { Evaluation } from "../evaluate/evaluation";

/** One step of emptying the rig before frost. */
export type DrainDownStep =
  | { readonly kind: "openOutlet"; readonly tankId: string }
  | { readonly kind: "pumpOver"; readonly tankId: string; readonly toTank: string }
  | { readonly kind: "mopTank"; readonly tankId: string; readonly litres: number }
  | { readonly kind: "treatTrap"; readonly lineId: string; readonly inLine: boolean }
  | { readonly kind: "emptySag"; readonly lineId: string; readonly leg: number; readonly litres: number }
  | { readonly kind: "leaveOpen" };

/** Less than this does no harm when it freezes: it has room to grow, L [T]. */
const NO_HARM_L = 0.05;

/**
 * What to empty before frost, in the order it is done: pump over, open the outlets, take out what stays behind at the
 * dumping attitude, then what lies in sags as the rig stands, then what must stay in traps is made safe; valves are left
 * open. From the evaluation of the same design [C].
 */
export function listDrainDown(design: Design, evaluation: Evaluation): DrainDownStep[] {
  const { tanks } = design;
  const outlets = tanks.filter(({ ports }) => ports.some(({ kind }) => kind === "outlet"));
  return [
    ...tanks.flatMap(({ id, link }): DrainDownStep[] =>
      link?.kind === "pumped" ? [{ kind: "pumpOver", tankId: id, toTank: link.toTank }] : [],
    ),
    ...outlets.map(({ id }): DrainDownStep => ({ kind: "openOutlet", tankId: id })),
    ...evaluation.tanks.flatMap(({ tankId, leftL, level }): DrainDownStep[] => {
      const litres = leftL ?? level.litres;
      return litres > NO_HARM_L ? [{ kind: "mopTank", tankId, litres }] : [];
    }),
    ...evaluation.drains.flatMap(({ lineId, ponds, ownLegs }) =>
      ponds
        .filter(({ legIndex, litres }) => legIndex < ownLegs && litres > NO_HARM_L)
        .map(({ legIndex, litres }): DrainDownStep => ({ kind: "emptySag", lineId, leg: legIndex, litres })),
    ),
    ...evaluation.drains.flatMap(({ lineId, trapRisks, lineTrapRisks }): DrainDownStep[] => [
      ...(trapRisks ? [{ kind: "treatTrap", lineId, inLine: false } as const] : []),
      ...(lineTrapRisks ? [{ kind: "treatTrap", lineId, inLine: true } as const] : []),
    ]),
    ...(outlets.length > 0 ? [{ kind: "leaveOpen" } as const] : []),
  ];
}
