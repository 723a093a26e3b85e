import type { Limit } from "@/core/rules/lookUpLimit";
import type { SourceId, Standing } from "@/core/rules/packs";

export const STANDINGS: Readonly<Record<Standing, { readonly short: string; readonly long: string }>> = {
  P: { short: "published", long: "A published figure, written down from memory of its source." },
  T: { short: "practice", long: "Common practice of the trade; no source." },
  C: { short: "computed", long: "Computed from physics; anyone can recompute it." },
  own: { short: "your own", long: "You set this figure yourself." },
};

export const SOURCES: Readonly<Record<SourceId, string>> = {
  ipc704: "International Plumbing Code, table 704.1",
  ipc710: "International Plumbing Code, tables 709.1 and 710.1(2)",
  ipc909: "International Plumbing Code, table 909.1",
  ipc1002: "International Plumbing Code, 1002.4",
  ipcAirGap: "International Plumbing Code with ASME A112.1.2, air gaps",
  upc1002: "Uniform Plumbing Code, 1002.2",
  cfr3280610: "24 CFR 3280.610, manufactured homes",
  cfr3280611: "24 CFR 3280.611, manufactured homes",
  approvedDocumentH: "Approved Document H1 with BS EN 12056-2",
  din1986: "DIN 1986-100",
  asnzs3500: "AS/NZS 3500.2",
  en12056: "EN 12056-2, unvented branches",
  sewerCodes: "Sewer codes, self-cleansing flow",
  ventRules: "What the US (250 Pa) and UK (375 Pa) vent rules are made for",
  builders: "What builders do",
  physics: "Physics",
  own: "Your own figure",
};

/** Where a limit comes from and how far it can be trusted, in one line. */
export function describeLimitSource({ source, standing, surePercent }: Limit): string {
  if (standing === "own") return STANDINGS.own.long;
  const sure = surePercent === null ? "" : `, from memory, ${surePercent} % sure`;
  return `${SOURCES[source]} (${STANDINGS[standing].short}${sure})`;
}
