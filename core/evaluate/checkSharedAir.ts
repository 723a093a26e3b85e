import type { Design } from "../design/design";
import { isAtMost } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { computeSealBreakPa } from "../traps/sealPressure";
import { createFinding, createGraded } from "./createFinding";
import type { Judged } from "./domains";
import type { TankResult } from "./evaluation";
import type { Finding } from "./findings";

/** What tanks do to one another's air through breathers that meet, and what is too much only where all is opened at once. */
export const checkSharedAir = ({ design, tanks }: Pick<Judged, "design" | "tanks">): Finding[] =>
  tanks.flatMap((result) => [...checkOther(design, result), ...checkTogether(design, result)]);

function checkOther({ tanks, rules }: Design, { sharedAir, tankId }: TankResult): Finding[] {
  const limit = lookUpLimit(rules, "ventSuction");
  const other = tanks.find(({ id }) => id === sharedAir?.fromTankId);
  if (!sharedAir || !other || isAtMost(sharedAir.suctionPa, limit.value ?? Infinity)) return [];
  const { suctionPa, by } = sharedAir;
  const numbers = { code: "sharedAirSucks", suctionPa, otherName: other.name, by } as const;
  return [createFinding({ kind: "tank", id: tankId }, numbers, limit)];
}

// Told where nothing that draws alone is told of as much already.
function checkTogether({ tanks, rules }: Design, { tankId, air, sharedAir, draws, together }: TankResult): Finding[] {
  if (!together) return [];
  const limit = lookUpLimit(rules, "ventSuction");
  const { suctionPa, breaksSeal, weakestSealMm } = together;
  const alonePa = Math.max(air?.suctionPa ?? 0, sharedAir?.suctionPa ?? 0, ...draws.map((draw) => draw.suctionPa));
  const mostPa = limit.value ?? Infinity;
  const sealMm = weakestSealMm ?? 0;
  const isBroken = breaksSeal && alonePa < computeSealBreakPa(sealMm);
  if (!isBroken && (isAtMost(suctionPa, mostPa) || !isAtMost(alonePa, mostPa))) return [];
  const tankNames = together.tankIds.flatMap((id) => tanks.find((tank) => tank.id === id)?.name ?? []);
  const isAlone = together.tankIds.length === 1;
  const numbers = { code: "airTogether", suctionPa, tankNames, isAlone, breaksSeal, sealMm } as const;
  return [createGraded(breaksSeal ? "should" : "note", { kind: "tank", id: tankId }, numbers, limit)];
}
