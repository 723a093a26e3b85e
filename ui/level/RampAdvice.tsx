"use client";
import { isLevel } from "@/core/attitude/attitude";
import { computeRamps, findRunningAttitude } from "@/core/attitude/ramps";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/level/rampAdvice";
import { describeRamps } from "@/words/ramps";
import { Trade } from "../glossary/Trade";
import { Figure } from "../kit/Figure";

const AT = { kind: "rig" } as const;
const SLIP = "text-left";

/** What to put under which wheel so that the drains run here, and so that the rig stands level. */
export function RampAdvice() {
  const design = useWorkbench((state) => state.history?.design);
  const attitude = useWorkbench((state) => state.attitude);
  const units = useWorkbench((state) => state.units);
  if (!design || isLevel(attitude) || design.rig.axles.length === 0) return null;
  const { rig } = design;
  const running = findRunningAttitude(design, attitude);
  const isShort = running !== null && running !== attitude;
  return (
    <div className="text-[12.5px] leading-snug" data-testid="ramps">
      {isShort && (
        <p>
          <span className="font-semibold">{WORDS.toRun}</span>{" "}
          <Figure working={toWorkingId("rampsToRun", AT)} label={WORDS.rampsSoThatTheDrains} className={SLIP}>
            {describeRamps(computeRamps(rig, attitude, running), rig, units)}.
          </Figure>
        </p>
      )}
      <p className="text-faint">
        <Trade>{WORDS.toStandLevel}</Trade>{" "}
        <Figure working={toWorkingId("rampsToLevel", AT)} label={WORDS.rampsToStandLevel} className={SLIP}>
          {describeRamps(computeRamps(rig, attitude), rig, units)}.
        </Figure>
        {rig.axles.length === 1 && attitude.pitchDeg !== 0 && WORDS.setTheNoseWithThe}
      </p>
    </div>
  );
}
