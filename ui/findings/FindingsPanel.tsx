"use client";
import { ChevronDown } from "lucide-react";
import dynamic from "next/dynamic";
import { type ReactNode, useEffect, useRef, useState } from "react";
import type { Design } from "@/core/design/design";
import type { Finding } from "@/core/evaluate/findings";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tilt } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import { CAUTION, sayBeforeDrilling } from "@/words/cautions";
import * as WORDS from "@/words/panels/findings/findingsPanel";
import { describeFinding } from "@/words/tellFinding";
import { describeFindings } from "@/words/verdict";
import { WordsOf } from "../glossary/WordsOf";
import { Button } from "../kit/Button";
import { SeverityMark } from "../kit/SeverityMark";
import { openFinding } from "./openFinding";

// What mends a finding, the sums and their words load when the first one is opened.
const RemedyList = dynamic(() => import("./RemedyList").then((module) => module.RemedyList), { ssr: false });
const MendAlike = dynamic(() => import("./MendAlike").then((module) => module.MendAlike), { ssr: false });
const FindingWorking = dynamic(() => import("./FindingWorking").then((module) => module.FindingWorking), {
  ssr: false,
});

/** Everything that can be said against the design, worst first; an open one shows how to mend it. */
export function FindingsPanel() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const evaluation = useWorkbench((state) => state.evaluation);
  const openId = useWorkbench((state) => state.findingId);
  if (!design || !evaluation) return null;
  const { findings } = evaluation;
  return (
    <section aria-label={WORDS.findings} className="flex flex-col">
      <h2 className="plate px-3 pt-2.5 pb-1.5 text-[16px] leading-tight">{describeFindings(evaluation)}</h2>
      {findings.length === 0 && (
        <p className="px-3 pb-2 text-[13px] text-faint">
          {design.rig.kind === "boat" ? WORDS.itDrainsUprightTrimmedAnd : WORDS.itDrainsLevelAndWherever}{" "}
          {sayBeforeDrilling(design.rig.kind)}
        </p>
      )}
      <ul>
        {groupAlike(findings).map((alike) => {
          const items = alike.map((finding) => (
            <FindingItem
              key={finding.id}
              finding={finding}
              design={design}
              isOpen={finding.id === openId}
              onToggle={() => openFinding(finding.id === openId ? null : finding, design)}
            />
          ));
          const [first] = alike;
          return alike.length < LEAST_ALIKE ? (
            items
          ) : (
            <AlikeGroup key={`${first!.severity}${first!.code}`} alike={alike} design={design} openId={openId}>
              {items}
            </AlikeGroup>
          );
        })}
      </ul>
      <p className="px-3 py-2 text-[11.5px] leading-snug text-faint">{CAUTION}</p>
    </section>
  );
}

/** So many findings of one kind stand behind one line. */
const LEAST_ALIKE = 3;

// Findings of one code and severity, in the order they come; what is said once is enough for all of them.
function groupAlike(findings: readonly Finding[]): Finding[][] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const key = `${finding.severity}${finding.code}`;
    const group = groups.get(key);
    if (group) group.push(finding);
    else groups.set(key, [finding]);
  }
  return [...groups.values()];
}

type AlikeProps = {
  readonly alike: readonly Finding[];
  readonly design: Design;
  readonly openId: string | null;
  readonly children: ReactNode;
};

/** Several findings of one kind behind one line, which opens to all of them and to what settles them together. */
function AlikeGroup({ alike, design, openId, children }: AlikeProps) {
  const [isWanted, setIsWanted] = useState(false);
  const units = useWorkbench((state) => state.units);
  const isOpen = isWanted || alike.some(({ id }) => id === openId);
  const [first] = alike;
  const { title } = describeFinding(first!, design, units);
  return (
    <li className="border-t border-rule">
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={() => {
          setIsWanted(!isOpen);
          if (isOpen) look({ findingId: null });
        }}
        className="flex w-full gap-2.5 px-3 py-2 text-left hover:bg-pick"
      >
        <span className="pt-0.5">
          <SeverityMark severity={first!.severity} />
        </span>
        <span className="min-w-0 flex-1">
          <span className="block leading-snug font-semibold">{title}</span>
          <span className="block text-[13px] leading-snug text-faint">
            {WORDS.and} {alike.length - 1} {WORDS.moreLikeIt}
          </span>
        </span>
        <ChevronDown size={16} aria-hidden className={`mt-0.5 shrink-0 ${isOpen ? "rotate-180" : ""}`} />
      </button>
      {isOpen && (
        <div className="ml-3 border-l-2 border-edge">
          <MendAlike alike={alike} />
          <ul>{children}</ul>
        </div>
      )}
    </li>
  );
}

type ItemProps = {
  readonly finding: Finding;
  readonly design: Design;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
};

function FindingItem({ finding, design, isOpen, onToggle }: ItemProps) {
  const units = useWorkbench((state) => state.units);
  const item = useRef<HTMLLIElement>(null);
  const { title, why, advice } = describeFinding(finding, design, units);
  const attitude = "attitude" in finding ? finding.attitude : null;
  useEffect(() => {
    if (isOpen) item.current?.scrollIntoView({ block: "nearest" });
  }, [isOpen]);
  return (
    <li ref={item} className={`border-t border-rule ${isOpen ? "bg-sheet" : ""}`}>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={onToggle}
        className="flex w-full gap-2.5 px-3 py-2 text-left hover:bg-pick"
      >
        <span className="pt-0.5">
          <SeverityMark severity={finding.severity} />
        </span>
        <span className="min-w-0">
          <span className="block leading-snug font-semibold">{title}</span>
          <span className="block text-[13px] leading-snug text-faint">{why}</span>
        </span>
      </button>
      {isOpen && (
        <div className="px-3 pb-3 pl-[38px]">
          <p className="text-[13.5px]">{advice}</p>
          {attitude && (
            <Button className="mt-1.5" onClick={() => tilt(attitude)}>
              {WORDS.seeIt} {describeAttitude(attitude, design.rig.kind)}
            </Button>
          )}
          <RemedyList finding={finding} />
          {/* it comes late, and must not push away what a thumb is on its way to */}
          <WordsOf text={`${title}. ${why} ${advice}`} />
          <FindingWorking finding={finding} />
        </div>
      )}
    </li>
  );
}
