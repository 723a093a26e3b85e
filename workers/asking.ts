import * as Comlink from "comlink";

/** What came of asking a worker. */
export type Asked<T> =
  | { readonly status: "ready"; readonly answer: T; readonly tookMs: number }
  | { readonly status: "cancelled" }
  | { readonly status: "failed" };

type Running<Api> = { readonly worker: Worker; readonly api: Comlink.Remote<Api> };

/** Asks workers of one kind; one that has answered is kept for the next question, one that is called off is ended. */
export type Ask<Api> = <T>(
  question: (api: Comlink.Remote<Api>) => Promise<T>,
  signal: AbortSignal,
) => Promise<Asked<T>>;

/** Never rejects: a worker that dies is an outcome too. */
export function createAsk<Api>(createWorker: () => Worker): Ask<Api> {
  let idle: Running<Api> | null = null;
  const start = (): Running<Api> => {
    const worker = createWorker();
    return { worker, api: Comlink.wrap<Api>(worker) };
  };
  const stop = ({ worker, api }: Running<Api>): void => {
    (api as { [Comlink.releaseProxy]: () => void })[Comlink.releaseProxy]();
    worker.terminate();
  };
  return <T>(question: (api: Comlink.Remote<Api>) => Promise<T>, signal: AbortSignal): Promise<Asked<T>> => {
    if (signal.aborted) return Promise.resolve({ status: "cancelled" });
    const running = idle ?? start();
    idle = null;
    const began = performance.now();
    return new Promise((resolve) => {
      let settled = false;
      const settle = (outcome: Asked<T>) => {
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
      question(running.api).then(
        (answer) => settle({ status: "ready", answer, tookMs: performance.now() - began }),
        () => settle({ status: "failed" }),
      );
    });
  };
}

/** Each question brings a channel of its own for progress; the worker closes it with its answer, or they would pile up. */
export function releaseProgress(onProgress: unknown): void {
  const proxy = onProgress as { readonly [Comlink.releaseProxy]?: () => void };
  proxy[Comlink.releaseProxy]?.();
}
