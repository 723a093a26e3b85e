import type { Design } from "@/core/design/design";
import type { TankPlace } from "@/core/tanks/tankPlaces";

/** What the tank worker can be asked. Progress is the share of the heights looked at, (0, 1]. */
export type TanksApi = {
  findLargestTanks(design: Design, onProgress: (share: number) => void): readonly TankPlace[];
};
