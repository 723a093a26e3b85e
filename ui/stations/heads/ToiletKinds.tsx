"use client";
import { useState } from "react";
import { buildAddToilet } from "@/core/edits/toiletEdits";
import { TOILET_KINDS, type ToiletKind } from "@/core/heads/toiletKinds";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/heads/toiletKinds";
import { describeToilet, TOILET_NAMES, toToiletNames } from "@/words/toilets";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { ToldTrade, Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";

/** Kinds of toilets with what each usually is and asks; one press fits it with all that belongs to it. */
export function ToiletKinds() {
  const isBoat = useWorkbench((state) => state.history!.design.rig.kind === "boat");
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  const [kind, setKind] = useState<ToiletKind>(isBoat ? "handPump" : "cassette");
  const fit = () => {
    const edit = buildAddToilet(workbench.getState().history!.design, kind, toToiletNames(kind));
    if (apply(edit) !== null) return;
    if (edit.at.kind === "gear") look({ selection: edit.at });
    if (edit.code === "addToilet") tell(WORDS.fittedItsVesselsAndWhat(TOILET_NAMES[kind]));
  };
  return (
    <Group title={WORDS.fitAToilet}>
      <Pick<ToiletKind> label={WORDS.kind} value={kind} names={TOILET_NAMES} order={TOILET_KINDS} onPick={setKind} />
      <ul className="list-disc pl-5 text-[13px] leading-snug" data-testid="toilet-kind">
        {describeToilet(kind, isBoat, units).map((line) => (
          <li key={line} className="py-0.5">
            <ToldTrade>{line}</ToldTrade>
          </li>
        ))}
      </ul>
      <Button onClick={fit}>{WORDS.fitIt}</Button>
      <p className="pt-1 text-[12px] text-faint">
        <Trade>{WORDS.usualFiguresReadYoursOff}</Trade>
      </p>
    </Group>
  );
}
