import * as Comlink from "comlink";
import type { Design } from "@/core/design/design";
import type { StandingMap } from "@/core/evaluate/standingMap";
import { type Asked, createAsk } from "./asking";
import type { StandingApi } from "./standingProtocol";

export type MapRequest = {
  readonly design: Design;
  readonly size: number;
  readonly rangeDeg: number;
  readonly onProgress: (share: number) => void;
  /** Aborting stops the worker at once; a new one is started for the next request. */
  readonly signal: AbortSignal;
};

const ask = createAsk<StandingApi>(
  () => new Worker(new URL("./standing.worker.ts", import.meta.url), { type: "module" }),
);

/** Computes a standing map in the worker. */
export function requestStandingMap(request: MapRequest): Promise<Asked<StandingMap>> {
  const { design, size, rangeDeg, onProgress, signal } = request;
  return ask((api) => api.computeMap(design, size, rangeDeg, Comlink.proxy(onProgress)), signal);
}
