"use client";
import { useState } from "react";
import { TOILET_SCHOOLS, type ToiletSchool } from "@/core/edits/plumbToilet";
import { buildAddToilet } from "@/core/edits/toiletEdits";
import { TOILET_KINDS, TOILETS, type ToiletKind } from "@/core/heads/toiletKinds";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell, undo, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/heads/toiletKinds";
import { describeToilet, TOILET_NAMES, toToiletNames } from "@/words/toilets";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { useFit } from "../../fields/useFit";
import { ToldTrade, Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { SearchButton } from "../../kit/SearchButton";

/** Kinds of toilets with what each usually is and asks; one press fits it with all that belongs to it. */
export function ToiletKinds() {
  const isBoat = useWorkbench((state) => state.history!.design.rig.kind === "boat");
  const isAfloat = useWorkbench((state) => state.history!.design.rig.waterlineZMm !== null);
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  const [kind, setKind] = useState<ToiletKind>(isBoat ? "handPump" : "cassette");
  const [school, setSchool] = useState<ToiletSchool>("tank");
  const { fit } = TOILETS[kind];
  const names = toToiletNames(kind);
  const { search, stop, fitWhole } = useFit();
  const find = () =>
    fitWhole({ what: "toilet", kind, names, school }, (refusal, edit) => {
      if (refusal !== null) return;
      look({ selection: edit.at });
      tell(WORDS.fittedWithAllItNeeds(TOILET_NAMES[kind]), { action: { label: WORDS.undo, run: undo } });
    });
  const fitAlone = () => {
    const edit = buildAddToilet(workbench.getState().history!.design, kind, names);
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
      {fit.as === "vessel" ? (
        <Button onClick={fitAlone}>{WORDS.fitIt}</Button>
      ) : (
        <>
          {isAfloat && fit.as === "gear" && (
            <>
              <Pick<ToiletSchool>
                label={WORDS.itsWaste}
                value={school}
                names={WORDS.SCHOOL_NAMES}
                order={TOILET_SCHOOLS}
                onPick={setSchool}
              />
              <p className="pb-1.5 text-[12.5px] leading-snug">
                <Trade>{WORDS.SCHOOL_HELP[school]}</Trade>
              </p>
            </>
          )}
          <div className="flex flex-wrap gap-1.5">
            <SearchButton search={search} looking={WORDS.lookingForItsPlace} onLook={find} onStop={stop}>
              {WORDS.fitItWithTankAndHoses}
            </SearchButton>
            <Button onClick={fitAlone}>{WORDS.theToiletAlone}</Button>
          </div>
        </>
      )}
      <p className="pt-1 text-[12px] text-faint">
        <Trade>{WORDS.usualFiguresReadYoursOff}</Trade>
      </p>
    </Group>
  );
}
