"use client";
import { listFindingsApart } from "@/core/compare/summary";
import type { Design } from "@/core/design/design";
import type { Finding } from "@/core/evaluate/findings";
import { useWorkbench } from "@/store/useWorkbench";
import type { Compared } from "@/words/compare";
import * as WORDS from "@/words/panels/compare/findingsApart";
import { describeFinding } from "@/words/tellFinding";
import type { Units } from "@/words/units";
import { openFinding } from "../findings/openFinding";
import { SeverityMark } from "../kit/SeverityMark";

type FindingsApartProps = { readonly here: Compared; readonly there: Compared; readonly onClose: () => void };

/** What is said against one of the two and not against the other. */
export function FindingsApart({ here, there, onClose }: FindingsApartProps) {
  const apart = listFindingsApart(here.summary, there.summary);
  if (apart.here.length + apart.there.length === 0) return null;
  return (
    <div data-testid="findings-apart">
      <Told title={WORDS.saidOnlyHere} design={here.design} findings={apart.here} onClose={onClose} />
      <Told title={WORDS.saidOnlyOf(there.design.name)} design={there.design} findings={apart.there} onClose={null} />
    </div>
  );
}

type ToldProps = {
  readonly title: string;
  readonly design: Design;
  readonly findings: readonly Finding[];
  /** Null for the design that is not open: its findings cannot be opened here. */
  readonly onClose: (() => void) | null;
};

function Told({ title, design, findings, onClose }: ToldProps) {
  const units = useWorkbench((state) => state.units);
  if (findings.length === 0) return null;
  return (
    <>
      <h3 className="plate mt-5 mb-1 text-[17px]">{title}</h3>
      <ul>
        {gatherAlike(findings, design, units).map(({ finding, title, count }) => {
          const text = (
            <>
              <SeverityMark severity={finding.severity} />
              <span className="min-w-0 flex-1">{title}</span>
              {count > 1 && <span className="figures text-[15px]">{count} ×</span>}
            </>
          );
          const look = "flex min-h-9 w-full items-center gap-2 border-b border-rule text-left text-[14px]";
          return (
            <li key={finding.id}>
              {onClose ? (
                <button
                  type="button"
                  className={`${look} hover:bg-pick phone:min-h-11`}
                  onClick={() => {
                    onClose();
                    openFinding(finding, design);
                  }}
                >
                  {text}
                </button>
              ) : (
                <span className={look}>{text}</span>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}

type Alike = { readonly finding: Finding; readonly title: string; readonly count: number };

// What reads alike stands once, with how often it is found; the first of them is opened.
function gatherAlike(findings: readonly Finding[], design: Design, units: Units): Alike[] {
  const byTitle = new Map<string, Alike>();
  for (const finding of findings) {
    const { title } = describeFinding(finding, design, units);
    const key = `${finding.severity} ${title}`;
    const known = byTitle.get(key);
    byTitle.set(key, known ? { ...known, count: known.count + 1 } : { finding, title, count: 1 });
  }
  return [...byTitle.values()];
}
