import { isOlder } from "@/core/design/migrate";
import { type ParseOutcome, parseDesign } from "@/core/design/parseDesign";

/**
 * A design as it lies in the browser, of any version. What brings older ones up to date is fetched when one is met; rejects where
 * that cannot be fetched.
 */
export async function readStored(value: unknown): Promise<ParseOutcome> {
  if (!isOlder(value)) return parseDesign(value);
  const { readDesign } = await import("@/core/design/readDesign");
  return readDesign(value);
}
