"use client";
import { type ReactNode, useMemo } from "react";
import { type DueCare, listDueCare } from "@/core/road/care";
import { useWorkbench } from "@/store/useWorkbench";
import { describeCare, describeDue } from "@/words/journey";
import * as WORDS from "@/words/panels/road/careStage";
import { ToldTrade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { today } from "../now";
import { StageHeader } from "../StageHeader";
import { useRecords } from "../useRecords";
import { FrostWalks } from "./FrostWalks";
import { add } from "./NowStage";

/** What this rig asks for again and again, the soonest first; done goes into the logbook. Before winter, the way round to empty it. */
export function CareStage({ choice }: { readonly choice: ReactNode }) {
  const design = useWorkbench((state) => state.history!.design);
  const log = useRecords((state) => state.log);
  const built = useRecords((state) => state.build.done);
  const due = useMemo(() => listDueCare(design, log, today(), built), [design, log, built]);
  const late = due.filter(({ inDays }) => inDays <= 0).length;
  return (
    <section aria-label={WORDS.care} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={WORDS.care}
        choice={choice}
        text={due.length === 0 ? WORDS.nothingToLookAfterYet : late === 0 ? WORDS.nothingIsDue : WORDS.due(late)}
      />
      <div
        className="min-h-0 flex-1 overflow-y-auto px-3 pb-3"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
        tabIndex={0}
        role="group"
        aria-label={WORDS.whatIsDue}
      >
        <ul data-testid="care">
          {due.map((task) => (
            <Task key={task.id} task={task} />
          ))}
        </ul>
        <FrostWalks />
      </div>
    </section>
  );
}

function Task({ task }: { readonly task: DueCare }) {
  const units = useWorkbench((state) => state.units);
  const { title, how } = describeCare(task, units);
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2">
      <div className="min-w-0 flex-1 basis-64">
        <h3 className="text-[15px] font-semibold">{title}</h3>
        <p className="text-[13.5px] leading-snug">
          <ToldTrade>{how}</ToldTrade>
        </p>
      </div>
      <span className={`text-[13.5px] ${task.inDays <= 0 ? "text-warn" : "text-faint"}`}>{describeDue(task)}</span>
      <Button
        className="phone:min-h-14"
        onClick={() => add({ kind: "care", storeId: null, amount: null, note: title.slice(0, 400), taskId: task.id })}
      >
        {WORDS.doneToday}
      </Button>
    </li>
  );
}
