import type { Design } from "@/core/design/design";
import { type FindingOf, toWordArea, type WordArea } from "@/core/evaluate/findingRegistry";
import type { Finding, Severity } from "@/core/evaluate/findings";
import { LIMITS } from "@/core/rules/limitIds";
import { speakFor } from "./afloat";
import { describeAirFinding } from "./airFindings";
import { describeAttitude } from "./attitudes";
import { describePart } from "./describePart";
import { describeFallFinding } from "./fallFindings";
import type { FindingWords, Told } from "./findingWords";
import { formatLimit } from "./formatLimit";
import { describeTankFinding } from "./tankFindings";
import { formatLength, formatQuantity, type Units } from "./units";

export const SEVERITY_NAMES: Readonly<Record<Severity, { readonly name: string; readonly plain: string }>> = {
  must: { name: "Must", plain: "Do not drill or buy before this is settled." },
  should: { name: "Should", plain: "It works, but you'll regret it." },
  note: { name: "Note", plain: "Worth knowing." },
};

type Describe<A extends WordArea> = (finding: FindingOf<A>, told: Told) => FindingWords;
type Words = { readonly [A in WordArea]: Describe<A> };
type FittedWords = Pick<Words, "gear" | "heads" | "hull" | "dump" | "joints" | "codes">;

let WORDS: Pick<Words, "air" | "fall" | "tank"> & Partial<FittedWords> = {
  air: describeAirFinding,
  fall: describeFallFinding,
  tank: describeTankFinding,
};

/** Puts the words of the areas in place that only some rigs have; `words/fittedFindings` does so when it is loaded. */
export function fitWords(words: FittedWords): void {
  WORDS = { ...WORDS, ...words };
}

/** A finding in words. Throws for one of an area whose words are not loaded: whoever has judged it has loaded them as well. */
export function describeFinding(finding: Finding, design: Design, units: Units): FindingWords {
  const told = tellFinding(finding, design, units);
  if (design.rig.kind !== "boat") return told;
  const say = speakFor(design.rig.kind);
  return { title: say(told.title), why: say(told.why), advice: say(told.advice) };
}

function tellFinding(finding: Finding, design: Design, units: Units): FindingWords {
  const length = (mm: number) => formatLength(mm, units);
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const stands = (attitude: Parameters<typeof describeAttitude>[0]) => describeAttitude(attitude, design.rig.kind);
  const limit = finding.limit ? formatLimit(finding.limit.value, LIMITS[finding.limit.id], units) : "";
  const part = describePart(finding.at, design);
  const rigWord = design.rig.kind === "boat" ? "boat" : "rig";
  const told: Told = { part, length, litres, stands, limit, rigWord, units, design };
  const area = toWordArea(finding);
  const put = WORDS[area] as ((finding: Finding, told: Told) => FindingWords) | undefined;
  if (!put) throw new Error(`The words of "${area}" are not loaded (words/fittedFindings).`);
  return put(finding, told);
}
