import { register } from "tsx/esm/api";

// A worker's own way to read TypeScript; what the process that started it registered is not its.
register();
