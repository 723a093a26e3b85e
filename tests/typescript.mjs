import { register } from "node:module";

// A worker's own way to read TypeScript; what the process that started it registered is not its.
register("./typescriptHooks.mjs", import.meta.url);
process.setSourceMapsEnabled(true);
