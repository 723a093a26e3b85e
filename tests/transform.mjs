import { createHash } from "node:crypto";
import swc from "@swc/jest";

// In a test's own context every look at a global goes out of the engine and back: arithmetic with Math in it ran half as
// fast and less. Each module takes them once. Not Date, which tests set, nor what only a page has.
const TAKEN =
  "const{Math,Number,Object,Array,Map,Set,WeakMap,WeakSet,String,Boolean,JSON,Symbol,Promise,Error,Uint8Array,Float64Array}=globalThis;";

const inner = swc.createTransformer({
  jsc: {
    target: "es2022",
    parser: { syntax: "typescript", tsx: true },
    transform: { react: { runtime: "automatic" } },
  },
  module: { type: "es6" },
});

const take = (output) => ({ ...output, code: TAKEN + output.code });

/** TypeScript and JSX to what Jest runs, with the language's own globals at hand in every module. */
export default {
  process: (...of) => take(inner.process(...of)),
  processAsync: async (...of) => take(await inner.processAsync(...of)),
  getCacheKey: (...of) =>
    createHash("sha1")
      .update(inner.getCacheKey(...of))
      .update(TAKEN)
      .digest("hex"),
};
