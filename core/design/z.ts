// The part of zod that the documents are written in. A namespace taken whole would bring all of it to the page; what is named
// here is all that comes along.
export type { core, infer, ZodMiniType } from "zod/mini";
export {
  array,
  boolean,
  config,
  discriminatedUnion,
  enum,
  gte,
  int,
  literal,
  lte,
  maxLength,
  meta,
  minLength,
  null,
  nullable,
  number,
  optional,
  record,
  regex,
  safeParse,
  strictObject,
  string,
  trim,
  ZodMiniArray,
} from "zod/mini";
