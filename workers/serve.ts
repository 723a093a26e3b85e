import * as Comlink from "comlink";
import { JOBS, type JobInput, type JobName, type JobOutput, type OnProgress } from "./jobs";

/** What stands at the worker's end of the wire. */
export type Served = <Name extends JobName>(
  name: Name,
  input: JobInput<Name>,
  onProgress: OnProgress,
) => JobOutput<Name>;

/** Does one job; arrays of numbers in its answer are handed over and not copied, and its channel for progress is closed. */
export const serve: Served = (name, input, onProgress) => {
  const job = JOBS[name] as (given: typeof input, tell: OnProgress) => JobOutput<typeof name>;
  const answer = job(input, onProgress);
  (onProgress as { readonly [Comlink.releaseProxy]?: () => void })[Comlink.releaseProxy]?.();
  return Comlink.transfer(answer as object, listBuffers(answer)) as typeof answer;
};

const listBuffers = (answer: unknown): Transferable[] =>
  typeof answer === "object" && answer !== null
    ? Object.values(answer).flatMap((value) => (ArrayBuffer.isView(value) ? [value.buffer as ArrayBuffer] : []))
    : [];
