/** What a store that does not answer comes to. */
export const SILENT = Symbol("no answer in time");

/** The answer, or `SILENT` when none has come within `ms`; an answer that comes later is not waited for. */
export function withinTime<T>(answer: Promise<T>, ms: number): Promise<T | typeof SILENT> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => resolve(SILENT), ms);
    answer.then(resolve, reject).finally(() => clearTimeout(timer));
  });
}
