"use client";
import { useState } from "react";
import { computeWaterLoss, PAPERS, type Paper } from "@/core/trials/leakRate";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/trials/waterTrial";
import { describeWaterTrial, PAPER_NAMES } from "@/words/trialRuns";
import { keepWithin } from "../../fields/keepWithin";
import { Trade } from "../../glossary/Trade";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TrialOutcome } from "./TrialOutcome";
import type { TrialProps } from "./trialProps";
import { Watch } from "./Watch";

/** Water filled to the brim: how far it sank, against what dries and what the ruler errs. */
export function WaterTrial({ surfaceMm2, onResult }: TrialProps & { readonly surfaceMm2: number }) {
  const [minutes, setMinutes] = useState<number | null>(null);
  const [sankMm, setSank] = useState<number | null>(null);
  const [paper, setPaper] = useState<Paper>("unseen");
  const [areaCm2, setArea] = useState<number>(Math.round(surfaceMm2 / 100));
  const units = useWorkbench((state) => state.units);
  // nothing is said of what nobody has read
  const loss = minutes === null ? null : computeWaterLoss({ areaCm2, minutes, sankMm, rulerErrorMm: 1, paper });
  return (
    <>
      <p className="text-[12.5px] leading-snug text-faint">
        <Trade>{WORDS.fillToTheBrimMark}</Trade>
      </p>
      <Watch onSeconds={(seconds) => setMinutes(Math.max(0.1, Math.round(seconds / 6) / 10))} />
      <NumberField
        label={WORDS.minutes}
        value={minutes}
        quantity="times"
        onCommit={(value) => keepWithin(value, [0.1, 1_440], "times", setMinutes)}
      />
      <NumberField
        label={WORDS.levelSankBy}
        value={sankMm}
        quantity="length"
        onCommit={(value) => keepWithin(value, [0, 2_000], "length", setSank)}
      />
      <Pick<Paper>
        label={WORDS.paperUnderTheJoints}
        value={paper}
        names={PAPER_NAMES}
        order={PAPERS}
        onPick={setPaper}
      />
      <NumberField
        label={WORDS.surfaceThatSank}
        help={WORDS.theWidestItCanBe}
        value={areaCm2 * 100}
        quantity="area"
        onCommit={(value) => keepWithin(value, [10, 10_000_000], "area", (mm2) => setArea(mm2 / 100))}
      />
      <TrialOutcome
        text={loss ? describeWaterTrial(loss, units) : WORDS.nothingReadYet}
        verdict={loss?.verdict ?? null}
        onResult={onResult}
      />
    </>
  );
}
