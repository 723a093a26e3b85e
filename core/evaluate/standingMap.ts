import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import { buildDrainPath } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";
import { buildNetwork } from "../falls/network";
import { computePonds } from "../falls/ponding";
import { toCodeBoreMm } from "../parts/pipes";
import { MM_PER_M } from "../quantity/convert";
import { lookUpValue } from "../rules/lookUpLimit";
import { listLevelGroup } from "../tanks/linkedTanks";
import { listOpenings } from "../tanks/openings";
import { computeLeftBehindL, computeTankFull } from "../tanks/tankLevels";

/** What a cell of the map says, worst last. */
export const STANDING_STATES = ["runs", "puddles", "blocked", "backsUp"] as const;
export type StandingState = (typeof STANDING_STATES)[number];

/** Over pitch and roll: which attitudes drain and which do not. Rows run by roll, columns by pitch. */
export type StandingMap = {
  readonly size: number;
  readonly rangeDeg: number;
  /** Index into STANDING_STATES. */
  readonly states: Uint8Array;
  /** Least fall in hand over all drains, mm against running backwards. */
  readonly inHandMm: Float32Array;
  /** Water left standing in all drains, L. */
  readonly pondedL: Float32Array;
  /** Usable volume of all tanks, L. */
  readonly usableL: Float32Array;
};

/** Puddles below this, L, are a wet pipe and not a puddle. */
const WET_PIPE_L = 0.005;

/**
 * Standing map of size × size attitudes over ±rangeDeg of pitch and roll. size odd in [3, 201], rangeDeg (0, 20].
 * runs: every run falls. puddles: water stays, air still passes. blocked: a bore stands full.
 * backsUp: a fixture drowns before its tank is full. `onRow` is told each finished row; returning false stops,
 * and the answer is null.
 */
export function computeStandingMap(
  design: Design,
  { size, rangeDeg }: { readonly size: number; readonly rangeDeg: number },
  onRow: (done: number) => boolean = () => true,
): StandingMap | null {
  const map = createMap(size, rangeDeg);
  const network = buildNetwork(design);
  const paths = [...network.drains.values()].map((drain) => ({
    path: buildDrainPath(design, drain, network),
    least: lookUpValue(design.rules, "parkedFall", { boreMm: toCodeBoreMm(drain.pipe) }) / MM_PER_M,
  }));
  const openings = design.tanks.map((tank) => listOpenings(design, network, tank));
  const dumpUp = computeUp(design.rig.dumpAttitude);
  const left = design.tanks.map(
    (tank) => computeLeftBehindL(tank, dumpUp, listLevelGroup(design, tank), design.lines) ?? 0,
  );
  const step = (2 * rangeDeg) / (size - 1);
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      const cell = row * size + column;
      const up = computeUp({ pitchDeg: -rangeDeg + column * step, rollDeg: -rangeDeg + row * step });
      let state = 0;
      let inHand = Infinity;
      let ponded = 0;
      for (const { path, least } of paths) {
        for (const leg of path.ownLegs) {
          if (leg.kind === "drop") continue;
          const fall = measureLegFallMm(leg, up);
          inHand = Math.min(inHand, fall - measureLevelLengthMm(leg, fall) * least);
        }
        for (const pond of computePonds(path, up)) {
          // what stands after a junction is counted with the drain it stands in
          if (pond.legIndex >= path.ownLegs.length) break;
          ponded += pond.litres;
          if (pond.fillsBore) state = Math.max(state, 2);
        }
      }
      if (ponded > WET_PIPE_L || inHand < 0) state = Math.max(state, 1);
      let usable = 0;
      design.tanks.forEach((tank, i) => {
        const full = computeTankFull(tank, openings[i]!, up);
        usable += Math.max(0, full.litres - left[i]!);
        if (full.by === "fixture") state = 3;
      });
      map.states[cell] = state;
      map.inHandMm[cell] = inHand === Infinity ? 0 : inHand;
      map.pondedL[cell] = ponded;
      map.usableL[cell] = usable;
    }
    if (!onRow(row + 1)) return null;
  }
  return map;
}

function createMap(size: number, rangeDeg: number): StandingMap {
  const cells = size * size;
  return {
    size,
    rangeDeg,
    states: new Uint8Array(cells),
    inHandMm: new Float32Array(cells),
    pondedL: new Float32Array(cells),
    usableL: new Float32Array(cells),
  };
}
