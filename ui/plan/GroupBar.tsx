"use client";
import { Lock, LockOpen, X } from "lucide-react";
import type { Edit } from "@/core/design/editOps";
import { ALIGN_AXES, type AlignAxis, buildAlign } from "@/core/edits/alignEdits";
import { isLocked } from "@/core/edits/groupEdits";
import { buildLockAll } from "@/core/edits/lockAll";
import { tellRefusal } from "@/store/refusals";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/plan/groupBar";
import { Button } from "../kit/Button";
import { useSay } from "../kit/useSay";

const ALIGN_NAMES: Readonly<Record<AlignAxis, string>> = {
  x: WORDS.lineUpAcrossTheRig,
  y: WORDS.lineUpAlongTheRig,
  z: WORDS.setToOneHeight,
};

/** What can be done with several parts that are picked together. */
export function GroupBar() {
  const say = useSay();
  const group = useWorkbench((state) => state.group);
  const design = useWorkbench((state) => state.history!.design);
  if (group.length < 2) return null;
  const apply = (edit: Edit | null) => {
    const outcome = edit && change(edit);
    if (outcome && !outcome.ok && outcome.faults[0]) void tellRefusal(outcome.faults[0]);
  };
  const areLocked = group.every((part) => isLocked(design, part));
  const lockAll = () => apply(buildLockAll(design, group, !areLocked));
  return (
    <section
      aria-label={WORDS.pickedTogether}
      className="flex flex-wrap items-center gap-1.5 border-b border-rule bg-paper px-3 py-1 text-[13px]"
    >
      <span className="plate mr-1 text-[15px]">
        {group.length} {WORDS.picked}
      </span>
      {ALIGN_AXES.map((axis) => (
        <Button key={axis} onClick={() => apply(buildAlign(design, group, axis))}>
          {say(ALIGN_NAMES[axis])}
        </Button>
      ))}
      <Button onClick={lockAll}>
        {areLocked ? <LockOpen size={14} aria-hidden /> : <Lock size={14} aria-hidden />}
        {areLocked ? WORDS.unlock : WORDS.lock}
      </Button>
      <span className="min-w-0 flex-1 text-faint">{WORDS.theyMoveAsOneThe}</span>
      <Button look="bare" aria-label={WORDS.letGoOfAll} onClick={() => look({ group: [] })}>
        <X size={15} aria-hidden />
      </Button>
    </section>
  );
}
