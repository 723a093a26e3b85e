import * as Comlink from "comlink";
import type { Design } from "@/core/design/design";
import type { RouteOutcome } from "@/core/routes/findRoutes";
import { type Asked, createAsk } from "./asking";
import type { RoutesApi } from "./routesProtocol";

export type RouteRequest = {
  readonly design: Design;
  readonly drainId: string;
  readonly onProgress: (share: number) => void;
  readonly signal: AbortSignal;
};

const ask = createAsk<RoutesApi>(() => new Worker(new URL("./routes.worker.ts", import.meta.url), { type: "module" }));

/** Looks for ways of a drain in the worker. */
export const requestRoutes = ({ design, drainId, onProgress, signal }: RouteRequest): Promise<Asked<RouteOutcome>> =>
  ask((api) => api.findRoutes(design, drainId, Comlink.proxy(onProgress)), signal);
