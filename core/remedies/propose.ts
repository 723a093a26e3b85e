import type { Design } from "../design/design";
import type { Drain, Tank, Vent } from "../design/plumbing";
import type { Finding, FindingCode } from "../evaluate/findings";
import type { Remedy } from "./remedy";

/** The drain, breather and tank a finding is about, where it is about one. */
type Parts = { readonly drain: Drain | null; readonly vent: Vent | null; readonly tank: Tank | null };

/** What may settle a finding of a kind, none of it tried yet. */
export type Propose<C extends FindingCode> = (
  design: Design,
  finding: Extract<Finding, { readonly code: C }>,
  parts: Parts,
) => readonly Remedy[];
