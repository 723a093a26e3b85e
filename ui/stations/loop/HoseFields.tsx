"use client";
import { useMemo } from "react";
import { HOSE_WALLS, type Hose, type HoseWall } from "@/core/design/plumbing";
import { listHoseCourse } from "@/core/fit/lineLegs";
import { listHoseDuties } from "@/core/gear/hoseDuty";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { HOSE_WALL_NAMES } from "@/words/heads";
import { describeHoseDuty } from "@/words/hoseDuty";
import * as WORDS from "@/words/panels/loop/hoseFields";
import { LaggingField } from "../../fields/LaggingField";
import { PointList } from "../../fields/PointList";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";

/** Everything that is known of one hose: its name, its measures, what its wall is made of, and the points it runs by. */
export function HoseFields({ hose }: { readonly hose: Hose }) {
  // what it runs between does not move under a hand that types
  const courseMm = listHoseCourse(workbench.getState().history!.design, hose);
  const { set, remove } = useEdits();
  const at = { kind: "line", id: hose.id } as const;
  const path = (...keys: string[]) => ["lines", hose.id, ...keys];
  return (
    <div className="mb-2 border-l-2 border-enamel pl-2">
      <TextField label={WORDS.name} value={hose.name} onCommit={(value) => set(at, path("name"), value)} />
      <NumberField
        label={WORDS.bore}
        value={hose.pipe.innerMm}
        quantity="length"
        onCommit={(value) =>
          value === null
            ? null
            : set(at, path("pipe"), {
                ...hose.pipe,
                innerMm: value,
                outerMm: Math.max(hose.pipe.outerMm, value + 4),
              })
        }
      />
      <NumberField
        label={WORDS.outside}
        value={hose.pipe.outerMm}
        quantity="length"
        onCommit={(value) => (value === null ? null : set(at, path("pipe", "outerMm"), value))}
      />
      <WallPick hose={hose} label={WORDS.madeOf} />
      <DutyLine hoseId={hose.id} />
      <LaggingField line={hose} />
      <PointList line={hose} routeMm={courseMm} nameOf={(index) => WORDS.point(index + 1)} />
      <Button look="bare" onClick={() => remove(at, path())}>
        {WORDS.take} {hose.name} {WORDS.off}
      </Button>
    </div>
  );
}

/** What it must bear, with what presses on it. */
function DutyLine({ hoseId }: { readonly hoseId: string }) {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const duty = useMemo(() => listHoseDuties(design).get(hoseId), [design, hoseId]);
  const nameOf = (gearId: string) => design.gear.find(({ id }) => id === gearId)?.name ?? gearId;
  const words = duty && describeHoseDuty(duty, nameOf, units);
  if (!words) return null;
  return <p className="py-1 text-[12px] leading-snug text-faint">{words}</p>;
}

/** What the wall of a hose is made of; not said until somebody says it. */
export function WallPick({ hose, label }: { readonly hose: Hose; readonly label: string }) {
  const { set } = useEdits();
  const { wall } = hose;
  return (
    <Pick<HoseWall | "unsaid">
      label={label}
      value={wall ?? "unsaid"}
      names={{ unsaid: WORDS.notSaid, ...HOSE_WALL_NAMES }}
      order={wall === undefined ? ["unsaid", ...HOSE_WALLS] : HOSE_WALLS}
      onPick={(picked) => {
        if (picked !== "unsaid") set({ kind: "line", id: hose.id }, ["lines", hose.id, "wall"], picked);
      }}
    />
  );
}
