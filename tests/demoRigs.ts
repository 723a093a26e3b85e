import { readFileSync } from "node:fs";
import type { Design } from "@/core/design/design";
import { parseDesignText } from "@/core/design/parseDesign";

export const DEMO_NAMES = ["kranich", "lesesaal", "puppenwagen", "otter"] as const;
/** Lesesaal with all that a family needs: the largest of the samples. */
export const FURNISHED = "lesesaal-furnished";
/** Rigs with a shower that uses its water again. */
export const LOOP_NAMES = ["kranich-loop", "lesesaal-loop"] as const;
/** A boat with toilet, sump and skin fittings. */
export const HEADS_NAME = "otter-heads";
/** Rigs with toilets: over a tank, urine apart, and a moulded boat with her hull's sections. */
export const HEADS_NAMES = ["lesesaal-heads", "puppenwagen-heads", "setzkasten"] as const;
export type DemoName =
  | (typeof DEMO_NAMES)[number]
  | (typeof LOOP_NAMES)[number]
  | (typeof HEADS_NAMES)[number]
  | typeof FURNISHED
  | typeof HEADS_NAME;

export const readDemoText = (name: DemoName): string => readFileSync(`demo/${name}.json`, "utf8");

/** A sample rig as an older version of the format wrote it. */
export const readOldText = (version: 4 | 5 | 6 | 7 | 8, name: DemoName): string =>
  readFileSync(`tests/files/v${version}/${name}.json`, "utf8");

/** A sample rig, read the way a user's file is read. */
export function readDemo(name: DemoName): Design {
  const outcome = parseDesignText(readDemoText(name));
  if (!outcome.ok) throw new Error(`${name}: ${JSON.stringify(outcome.faults)}`);
  return outcome.design;
}

const NAMES: readonly DemoName[] = [...DEMO_NAMES, FURNISHED, ...LOOP_NAMES, HEADS_NAME, ...HEADS_NAMES];

/** Every sample rig there is, read. */
export const ALL_DEMOS: readonly Design[] = NAMES.map(readDemo);
