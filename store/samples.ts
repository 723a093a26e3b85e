import type { Design } from "@/core/design/design";
import { parseDesignText } from "@/core/design/parseDesign";
import { stripPlumbing } from "@/core/design/stripPlumbing";
import type { SessionWorld } from "./sessionWorld";

/** A sample rig as it ships, or with nothing of its plumbing; null where it cannot be read. Rejects where it cannot be fetched. */
export async function readSampleDesign(
  { readSample }: Pick<SessionWorld, "readSample">,
  name: string,
  isBare: boolean,
): Promise<Design | null> {
  const outcome = parseDesignText(await readSample(name));
  if (!outcome.ok) return null;
  return isBare ? stripPlumbing(outcome.design) : outcome.design;
}

/** What a link calls a sample, as its file and whether it comes bare. */
export function readSampleLink(asked: string): readonly [name: string, isBare: boolean] {
  const name = asked.replace(/-bare$/, "");
  return [name, name !== asked];
}
