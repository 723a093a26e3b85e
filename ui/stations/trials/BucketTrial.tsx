"use client";
import { useMemo, useState } from "react";
import { computeRunEmpty } from "@/core/tanks/runEmpty";
import { judgeBucket } from "@/core/trials/bucketTrial";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/trials/bucketTrial";
import { describeBucket } from "@/words/trialRuns";
import { keepWithin } from "../../fields/keepWithin";
import { Trade } from "../../glossary/Trade";
import { NumberField } from "../../kit/NumberField";
import { TrialOutcome } from "./TrialOutcome";
import type { TrialProps } from "./trialProps";
import { Watch } from "./Watch";

const USUAL_L = 10;

/** Dump and breather by bucket and watch: as long as it took against what was reckoned, hatch shut and open. */
export function BucketTrial({ tankId, onResult }: TrialProps & { readonly tankId: string }) {
  const design = useWorkbench((state) => state.history!.design);
  const result = useWorkbench((state) => state.evaluation!.tanks.find((one) => one.tankId === tankId) ?? null);
  const [litres, setLitres] = useState(USUAL_L);
  const [shutS, setShut] = useState<number | null>(null);
  const [openS, setOpen] = useState<number | null>(null);
  const tank = design.tanks.find(({ id }) => id === tankId);
  const runs = useMemo(() => {
    if (!tank || !result) return null;
    const [shut, open] = [computeRunEmpty(design, tank, result), computeRunEmpty(design, tank, result, true)];
    return shut && open ? { shut, open } : null;
  }, [design, tank, result]);
  if (!runs)
    return (
      <p className="text-[13px]">
        <Trade>{WORDS.thisTankHasNoOutlet}</Trade>
      </p>
    );
  const most = Math.max(1, Math.floor((runs.shut.curve[0]?.litres ?? 1) - runs.shut.leftL));
  const taken = Math.min(litres, most);
  const told = shutS === null ? null : judgeBucket(runs.shut, runs.open, { litres: taken, shutS, openS });
  return (
    <>
      <p className="text-[12.5px] leading-snug text-faint">
        <Trade>{WORDS.fillTheTankDumpHose}</Trade>
      </p>
      <NumberField
        label={WORDS.litresLetOut}
        value={taken}
        quantity="volume"
        onCommit={(value) => keepWithin(value, [1, most], "volume", setLitres)}
      />
      <Watch onSeconds={(seconds) => (shutS === null ? setShut(seconds) : setOpen(seconds))} />
      <NumberField
        label={WORDS.secondsHatchShut}
        value={shutS ?? 0}
        quantity="times"
        onCommit={(value) => keepWithin(value, [0.5, 3_600], "times", setShut)}
      />
      <NumberField
        label={WORDS.secondsHatchOpen}
        value={openS ?? 0}
        quantity="times"
        onCommit={(value) => keepWithin(value, [0.5, 3_600], "times", setOpen)}
      />
      {told && <TrialOutcome text={describeBucket(told)} verdict={told.verdict} onResult={onResult} />}
    </>
  );
}
