import { findRoutes } from "@/core/routes/findRoutes";
import { releaseProgress } from "./asking";
import type { RoutesApi } from "./routesProtocol";

export const routesApi: RoutesApi = {
  findRoutes(design, drainId, onProgress) {
    const outcome = findRoutes(design, drainId, (share) => {
      onProgress(share);
      return true;
    })!;
    releaseProgress(onProgress);
    return outcome;
  },
};
