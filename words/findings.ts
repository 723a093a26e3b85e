import type { Design } from "@/core/design/design";
import type { Finding, Severity } from "@/core/evaluate/findings";
import { LIMITS } from "@/core/rules/limitIds";
import { AIR_CODES, describeAirFinding } from "./airFindings";
import { describeAttitude } from "./attitudes";
import { describePart } from "./describePart";
import { describeFallFinding } from "./fallFindings";
import type { FindingWords, Told } from "./findingWords";
import { describeGearFinding, GEAR_CODES } from "./gearFindings";
import { describeHeadsFinding, HEADS_CODES } from "./headsFindings";
import { describeHullFinding, HULL_CODES } from "./hullFindings";
import { formatLimit } from "./limits";
import { describeTankFinding, TANK_CODES } from "./tankFindings";
import { formatLength, formatQuantity, type Units } from "./units";

export const SEVERITY_NAMES: Readonly<Record<Severity, { readonly name: string; readonly plain: string }>> = {
  must: { name: "Must", plain: "Do not drill or buy before this is settled." },
  should: { name: "Should", plain: "It works, but you'll regret it." },
  note: { name: "Note", plain: "Worth knowing." },
};

export function describeFinding(finding: Finding, design: Design, units: Units): FindingWords {
  const told = tellFinding(finding, design, units);
  if (design.rig.kind !== "boat") return told;
  return { title: toSole(told.title), why: toSole(told.why), advice: toSole(told.advice) };
}

// A boat has a sole; what somebody has called a part stays as it is, for names bear no article.
const toSole = (text: string): string => text.replace(/\b([Tt]he) floor\b/g, "$1 sole");

function tellFinding(finding: Finding, design: Design, units: Units): FindingWords {
  const length = (mm: number) => formatLength(mm, units);
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const stands = (attitude: Parameters<typeof describeAttitude>[0]) => describeAttitude(attitude, design.rig.kind);
  const limit = finding.limit ? formatLimit(finding.limit.value, LIMITS[finding.limit.id], units) : "";
  const part = describePart(finding.at, design);
  const rigWord = design.rig.kind === "boat" ? "boat" : "rig";
  const told: Told = { part, length, litres, stands, limit, rigWord, units, design };
  if (isOf(finding, AIR_CODES)) return describeAirFinding(finding, told);
  if (isOf(finding, TANK_CODES)) return describeTankFinding(finding, told);
  if (isOf(finding, HEADS_CODES)) return describeHeadsFinding(finding, told);
  if (isOf(finding, GEAR_CODES)) return describeGearFinding(finding, told);
  if (isOf(finding, HULL_CODES)) return describeHullFinding(finding, told);
  return describeFallFinding(finding, told);
}

/** Whether a finding is one of an area's; what no area has, does not compile. */
const isOf = <F extends Finding, C extends Finding["code"]>(
  finding: F,
  codes: readonly C[],
): finding is Extract<F, { readonly code: C }> => (codes as readonly string[]).includes(finding.code);
