"use client";
import { LOOKS, type Look } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/drawing/lookSwitch";

const NAMES: Readonly<Record<Look, string>> = { above: WORDS.plan, behind: WORDS.fromBehind };

/** From where the second drawing looks at the rig: from above or from behind. */
export function LookSwitch() {
  const now = useWorkbench((state) => state.look);
  return (
    <div className="absolute top-1 left-2 flex">
      {LOOKS.map((from) => (
        <button
          key={from}
          type="button"
          aria-pressed={from === now}
          onClick={() => look({ look: from })}
          className={`plate rounded-[2px] px-1.5 text-[16px] leading-7 phone:min-h-11 ${from === now ? "text-ink" : "text-faint underline decoration-dotted underline-offset-4 hover:bg-pick"}`}
        >
          {NAMES[from]}
        </button>
      ))}
    </div>
  );
}
