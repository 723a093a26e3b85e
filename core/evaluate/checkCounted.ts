import { listUncounted } from "../days/uncounted";
import type { Design } from "../design/design";
import type { Network } from "../falls/network";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Fixtures nothing is counted for: the days are told too long by what goes down there. One finding, however many they are. */
export function checkCounted(design: Design, network: Network): Finding[] {
  const [first, ...others] = listUncounted(design, network);
  if (!first) return [];
  const { fixture, ways } = first;
  const numbers = {
    code: "fixtureUncounted",
    fixtureName: fixture.name,
    others: others.length,
    wayName: ways[0]!.name,
  } as const;
  return [createFinding({ kind: "habits" }, numbers)];
}
