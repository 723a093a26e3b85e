import * as Comlink from "comlink";
import type { JobInput, JobName, JobOutput, OnProgress } from "./jobs";
import type { Served } from "./serve";

/** What came of asking the worker. */
export type Asked<T> =
  | { readonly status: "ready"; readonly answer: T; readonly tookMs: number }
  | { readonly status: "cancelled" }
  | { readonly status: "failed" };

type Running = { readonly worker: Worker; readonly remote: Comlink.Remote<Served> };

/** One that has answered is kept for the next question. */
let idle: Running | null = null;

function start(): Running {
  const worker = new Worker(new URL("./main.worker.ts", import.meta.url), { type: "module" });
  return { worker, remote: Comlink.wrap<Served>(worker) };
}

function stop({ worker, remote }: Running): void {
  (remote as unknown as { [Comlink.releaseProxy]: () => void })[Comlink.releaseProxy]();
  worker.terminate();
}

/** How a job is followed: told its progress, and called off by its signal. */
export type Following = { readonly signal: AbortSignal; readonly onProgress?: OnProgress };

/**
 * Asks the worker for a job. Calling it off ends the worker at once; the next question gets a new one, and so does one that
 * is asked while another is on its way. Never rejects: a worker that dies is an outcome too.
 */
export function ask<Name extends JobName>(
  name: Name,
  input: JobInput<Name>,
  { signal, onProgress = () => undefined }: Following,
): Promise<Asked<JobOutput<Name>>> {
  if (signal.aborted) return Promise.resolve({ status: "cancelled" });
  const running = idle ?? start();
  idle = null;
  const began = performance.now();
  return new Promise((resolve) => {
    let settled = false;
    const settle = (outcome: Asked<JobOutput<Name>>) => {
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
    const remote = running.remote as unknown as (...given: unknown[]) => Promise<JobOutput<Name>>;
    remote(name, input, Comlink.proxy(onProgress)).then(
      (answer) => settle({ status: "ready", answer, tookMs: performance.now() - began }),
      () => settle({ status: "failed" }),
    );
  });
}
