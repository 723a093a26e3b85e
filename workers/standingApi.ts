import * as Comlink from "comlink";
import { computeStandingMap } from "@/core/evaluate/standingMap";
import { releaseProgress } from "./asking";
import type { StandingApi } from "./standingProtocol";

const PROGRESS_EVERY_ROWS = 8;

/** What the worker answers; the numbers are handed over, not copied. */
export const standingApi: StandingApi = {
  computeMap(design, size, rangeDeg, onProgress) {
    const map = computeStandingMap(design, { size, rangeDeg }, (done) => {
      if (done % PROGRESS_EVERY_ROWS === 0 || done === size) onProgress(done / size);
      return true;
    })!;
    releaseProgress(onProgress);
    const buffers = [map.states.buffer, map.inHandMm.buffer, map.pondedL.buffer, map.usableL.buffer];
    return Comlink.transfer(map, buffers as Transferable[]);
  },
};
