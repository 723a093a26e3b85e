import type { Design } from "@/core/design/design";
import type { RouteOutcome } from "@/core/routes/findRoutes";

/** What the route worker can be asked. Progress is the share of the inlets looked at, (0, 1]. */
export type RoutesApi = {
  findRoutes(design: Design, drainId: string, onProgress: (share: number) => void): RouteOutcome;
};
