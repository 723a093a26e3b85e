"use client";
import type { Pipe } from "@/core/design/plumbing";
import { findPipeSize, PIPE_SIZES } from "@/core/parts/pipes";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/fields/pipePick";
import { describeSize } from "@/words/parts";
import { Pick } from "../kit/Pick";

const OWN_MEASURE = "own";

/** Pipe and hose as sold, or one of the builder's own measure, which is typed beside it. */
export function PipePick({ pipe, onPick }: { readonly pipe: Pipe; readonly onPick: (pipe: Pipe) => void }) {
  const units = useWorkbench((state) => state.units);
  const names: Readonly<Record<string, string>> = {
    ...Object.fromEntries(PIPE_SIZES.map((size) => [size.id, describeSize(size, units)])),
    [OWN_MEASURE]: WORDS.measuredBelow,
  };
  return (
    <Pick
      label={WORDS.soldAs}
      value={findPipeSize(pipe)?.id ?? OWN_MEASURE}
      names={names}
      onPick={(sizeId) => {
        const size = PIPE_SIZES.find((entry) => entry.id === sizeId);
        if (size) onPick(size.pipe);
      }}
    />
  );
}
