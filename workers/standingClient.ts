import * as Comlink from "comlink";
import type { Design } from "@/core/design/design";
import type { StandingMap } from "@/core/evaluate/standingMap";
import type { StandingApi } from "./standingProtocol";

export type MapRequest = {
  readonly design: Design;
  readonly size: number;
  readonly rangeDeg: number;
  readonly onProgress: (share: number) => void;
  /** Aborting stops the worker at once; a new one is started for the next request. */
  readonly signal: AbortSignal;
};

export type MapOutcome =
  | { readonly status: "ready"; readonly map: StandingMap; readonly tookMs: number }
  | { readonly status: "cancelled" }
  | { readonly status: "failed" };

type Running = { readonly worker: Worker; readonly api: Comlink.Remote<StandingApi> };

let idle: Running | null = null;

function start(): Running {
  const worker = new Worker(new URL("./standing.worker.ts", import.meta.url), { type: "module" });
  return { worker, api: Comlink.wrap<StandingApi>(worker) };
}

function stop({ worker, api }: Running): void {
  api[Comlink.releaseProxy]();
  worker.terminate();
}

/** Computes a standing map in the worker. Never rejects: a worker that dies is an outcome too. */
export function requestStandingMap({ design, size, rangeDeg, onProgress, signal }: MapRequest): Promise<MapOutcome> {
  if (signal.aborted) return Promise.resolve({ status: "cancelled" });
  const running = idle ?? start();
  idle = null;
  const began = performance.now();
  return new Promise((resolve) => {
    let settled = false;
    const settle = (outcome: MapOutcome) => {
      if (settled) return;
      settled = true;
      signal.removeEventListener("abort", cancel);
      if (outcome.status === "ready" && !idle) idle = running;
      else stop(running);
      resolve(outcome);
    };
    const cancel = () => settle({ status: "cancelled" });
    signal.addEventListener("abort", cancel);
    running.worker.onerror = () => settle({ status: "failed" });
    running.api.computeMap(design, size, rangeDeg, Comlink.proxy(onProgress)).then(
      (map) => settle({ status: "ready", map, tookMs: performance.now() - began }),
      () => settle({ status: "failed" }),
    );
  });
}
