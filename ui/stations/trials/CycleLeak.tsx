"use client";
import { useState } from "react";
import { computeCycleLeakMlPerMin } from "@/core/trials/halving";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/trials/cycleLeak";
import { describeCycleLeak } from "@/words/trials";
import { keepWithin } from "../../fields/keepWithin";
import { NumberField } from "../../kit/NumberField";

/** How large the leak is, from how long the pump rests between two starts with every tap shut. */
export function CycleLeak() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const [restS, setRest] = useState(20);
  return (
    <div className="py-1" data-testid="cycle-leak">
      <NumberField
        label={WORDS.secondsThePumpRests}
        value={restS}
        quantity="times"
        onCommit={(value) => keepWithin(value, [0.5, 86_400], "times", setRest)}
      />
      <p className="text-[13px] leading-snug">{describeCycleLeak(computeCycleLeakMlPerMin(design, restS), units)}</p>
    </div>
  );
}
