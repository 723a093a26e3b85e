"use client";
import { useState } from "react";
import { computeLeak } from "@/core/trials/leakRate";
import { findPressureKPa } from "@/core/trials/pressed";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/trials/airTrial";
import { describeLeak } from "@/words/trialRuns";
import { keepWithin } from "../../fields/keepWithin";
import { Trade } from "../../glossary/Trade";
import { NumberField } from "../../kit/NumberField";
import { TrialOutcome } from "./TrialOutcome";
import type { TrialProps } from "./trialProps";
import { Watch } from "./Watch";

/** The pumped side under pressure: gauge, warmth and barometer before and after. */
export function AirTrial({ onResult }: TrialProps) {
  const units = useWorkbench((state) => state.units);
  const wantedKPa = useWorkbench((state) => findPressureKPa(state.history!.design));
  const [minutes, setMinutes] = useState<number | null>(null);
  const [volumeL, setVolume] = useState(2);
  const [startKPa, setStart] = useState<number | null>(null);
  const [endKPa, setEnd] = useState<number | null>(null);
  const [startC, setStartC] = useState(20);
  const [endC, setEndC] = useState(20);
  const [barometerKPa, setBarometer] = useState(101.3);
  // nothing is said of what nobody has read
  const isRead = minutes !== null && startKPa !== null && endKPa !== null;
  const leak = isRead
    ? computeLeak({
        volumeL,
        minutes,
        startKPa,
        endKPa,
        startC,
        endC,
        startBarometerKPa: barometerKPa,
        endBarometerKPa: barometerKPa,
        wantedKPa,
        gaugeErrorKPa: 0.5,
        thermometerErrorK: 0.2,
      })
    : null;
  return (
    <>
      <p className="text-[12.5px] leading-snug text-faint">
        <Trade>{WORDS.pumpedSideOnlyShutOff}</Trade>
      </p>
      <Watch onSeconds={(seconds) => setMinutes(Math.max(0.1, Math.round(seconds / 6) / 10))} />
      <NumberField
        label={WORDS.minutes}
        value={minutes}
        quantity="times"
        onCommit={(value) => keepWithin(value, [0.1, 1_440], "times", setMinutes)}
      />
      <NumberField
        label={WORDS.airShutIn}
        value={volumeL}
        quantity="volume"
        onCommit={(value) => keepWithin(value, [0.05, 500], "volume", setVolume)}
      />
      <NumberField
        label={WORDS.gaugeFirst}
        value={startKPa}
        quantity="waterPressure"
        onCommit={(value) => keepWithin(value, [0, 800], "waterPressure", setStart)}
      />
      <NumberField
        label={WORDS.gaugeLast}
        value={endKPa}
        quantity="waterPressure"
        onCommit={(value) => keepWithin(value, [0, 800], "waterPressure", setEnd)}
      />
      <NumberField
        label={WORDS.airAtFirst}
        value={startC}
        quantity="temperature"
        onCommit={(value) => keepWithin(value, [-40, 60], "temperature", setStartC)}
      />
      <NumberField
        label={WORDS.airAtLast}
        value={endC}
        quantity="temperature"
        onCommit={(value) => keepWithin(value, [-40, 60], "temperature", setEndC)}
      />
      <NumberField
        label={WORDS.barometer}
        value={barometerKPa}
        quantity="waterPressure"
        onCommit={(value) => keepWithin(value, [50, 110], "waterPressure", setBarometer)}
      />
      <TrialOutcome
        text={leak ? describeLeak(leak, wantedKPa, units) : WORDS.nothingReadYet}
        verdict={leak?.verdict ?? null}
        onResult={onResult}
      />
    </>
  );
}
