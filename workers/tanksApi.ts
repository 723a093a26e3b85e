import { findLargestTanks } from "@/core/tanks/largestTanks";
import { releaseProgress } from "./asking";
import type { TanksApi } from "./tanksProtocol";

export const tanksApi: TanksApi = {
  findLargestTanks(design, onProgress) {
    const places = findLargestTanks(design, (share) => {
      onProgress(share);
      return true;
    })!;
    releaseProgress(onProgress);
    return places;
  },
};
