import type { Design } from "../design/design";
import { USUAL_ENVELOPE } from "../design/rig";
import type { Remedy } from "./remedy";

/** Judged as far out of level as rigs usually are. What that brings to light was there before. */
export const proposeUsualEnvelope = (): Remedy[] => [
  {
    byMm: null,
    edit: {
      code: "setEnvelope",
      at: { kind: "rig" },
      ops: [{ op: "set", path: ["rig", "envelope"], value: USUAL_ENVELOPE }],
    },
  },
];

/** Most a file takes, degrees. */
const MOST_DEG = 20;

/** Judged as far as she heels to one side, degrees, to the next half. */
export function proposeHeel({ rig }: Design, side: "left" | "right", heelDeg: number): Remedy[] {
  const deg = Math.ceil(heelDeg * 2) / 2;
  if (deg > MOST_DEG) return [];
  const value = { ...rig.envelope, [side === "left" ? "leftLowDeg" : "rightLowDeg"]: deg };
  return [
    {
      byMm: null,
      edit: { code: "setEnvelope", at: { kind: "rig" }, ops: [{ op: "set", path: ["rig", "envelope"], value }] },
    },
  ];
}
