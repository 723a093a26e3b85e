"use client";
import { PANES, type Pane } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { STATION_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/shell/phoneBar";

const PANE_NAMES: Readonly<Record<Exclude<Pane, "section">, string>> = {
  plan: WORDS.plan,
  level: WORDS.level,
  findings: WORDS.findings,
  measures: WORDS.measures,
};

/** On a phone one thing at a time; the bar says which. */
export function PhoneBar() {
  const pane = useWorkbench((state) => state.pane);
  const station = useWorkbench((state) => state.station);
  const musts = useWorkbench((state) => state.evaluation?.findings.filter((f) => f.severity === "must").length ?? 0);
  return (
    <nav
      aria-label={WORDS.views}
      className="flex shrink-0 border-t border-ink bg-paper pb-[env(safe-area-inset-bottom)] desk:hidden"
    >
      {PANES.map((at) => (
        <button
          key={at}
          type="button"
          aria-current={pane === at ? "page" : undefined}
          onClick={() => look({ pane: at })}
          className={`plate relative min-h-14 flex-1 border-t-[3px] text-[15px] ${pane === at ? "border-enamel text-enamel" : "border-transparent text-faint"}`}
        >
          {at === "section" ? STATION_NAMES[station].pane : PANE_NAMES[at]}
          {at === "findings" && musts > 0 && (
            <span className="figures absolute top-1 right-2 bg-signal px-1 text-[13px] leading-4 text-on-signal">
              {musts}
            </span>
          )}
        </button>
      ))}
    </nav>
  );
}
