import type { Design } from "@/core/design/design";
import type { StandingMap } from "@/core/evaluate/standingMap";

/** What the standing worker can be asked. Progress is a share of the rows done, (0, 1]. */
export type StandingApi = {
  computeMap(design: Design, size: number, rangeDeg: number, onProgress: (share: number) => void): StandingMap;
};
