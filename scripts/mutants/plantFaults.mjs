// Plants every fault there is into copies of source files, each behind a switch of its own.
import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import { commonTokens } from "@stryker-mutator/api/plugin";
import { createInstrumenter } from "@stryker-mutator/instrumenter";
import { createInjector } from "typed-inject";

const nobody = () => undefined;
const logger = { isDebugEnabled: () => false, debug: nobody, info: nobody, warn: nobody, error: nobody, trace: nobody };

/** The sources with all faults in them, by path, and the faults: where each is, what was there and what it becomes. */
export async function plantFaults(sources) {
  const injector = createInjector().provideValue(commonTokens.logger, logger);
  const planter = createInstrumenter(injector);
  const files = sources.map((name) => ({ name: resolve(name), content: readFileSync(name, "utf8"), mutate: true }));
  const options = { plugins: null, excludedMutations: [], ignorers: [], noHeader: false };
  const { files: planted, mutants } = await planter.instrument(files, options);
  const lines = new Map(files.map(({ name, content }) => [name, content.split("\n")]));
  return {
    contents: new Map(planted.map(({ name, content }) => [name, content])),
    faults: mutants.map(({ id, fileName, location: { start, end }, mutatorName, replacement }) => {
      const text = lines.get(fileName);
      const first = text[start.line];
      const was = start.line === end.line ? first.slice(start.column, end.column) : `${first.slice(start.column)} …`;
      return {
        id,
        file: sources.find((name) => resolve(name) === fileName),
        line: start.line + 1,
        kind: mutatorName,
        was,
        becomes: replacement.replaceAll(/\s+/g, " ").slice(0, 80),
      };
    }),
  };
}
