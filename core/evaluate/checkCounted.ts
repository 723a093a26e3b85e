import { listShortLoads } from "../days/shortLoads";
import { listUncounted } from "../days/uncounted";
import type { Design } from "../design/design";
import type { Network } from "../falls/network";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Fixtures nothing is counted for, and machines that take more than is. */
export const checkCounted = (design: Design, network: Network): Finding[] => [
  ...checkUncounted(design, network),
  ...checkLoads(design),
];

function checkLoads(design: Design): Finding[] {
  const [short] = listShortLoads(design);
  if (!short) return [];
  const { use, way, machine, countedL } = short;
  const numbers = { useName: use.name, wayName: way.name, countedL, loadL: machine.volumePerUseL } as const;
  return [createFinding({ kind: "fixture", id: machine.id }, { code: "loadShort", ...numbers })];
}

// The days are told too long by what goes down there. One finding, however many they are.
function checkUncounted(design: Design, network: Network): Finding[] {
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
