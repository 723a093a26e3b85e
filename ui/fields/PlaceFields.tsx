"use client";
import { Lock, LockOpen } from "lucide-react";
import { buildMove, findPlaceMm, type Movable } from "@/core/design/moves";
import { buildLock, isLocked } from "@/core/edits/groupEdits";
import type { Vec3 } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/fields/placeFields";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/NumberField";
import { useEdits } from "./useEdits";

const AXES = [
  { axis: "x", label: WORDS.fromTheRearEdge },
  { axis: "y", label: WORDS.leftOfTheMiddle },
  { axis: "z", label: WORDS.overTheFloor },
] as const;

/** Where a part is, to be typed: forward from the rear edge, left of the centre line, over the finished floor. */
export function PlaceFields({
  part,
  axes = ["x", "y", "z"],
}: {
  readonly part: Movable;
  readonly axes?: readonly (keyof Vec3)[];
}) {
  const place = useWorkbench((state) => findPlaceMm(state.history!.design, part));
  const locked = useWorkbench((state) => isLocked(state.history!.design, part));
  const { apply } = useEdits();
  if (!place) return null;
  return (
    <div data-part={Object.values(part).join(":")}>
      {AXES.filter(({ axis }) => axes.includes(axis)).map(({ axis, label }) => (
        <NumberField
          key={axis}
          label={label}
          value={place[axis]}
          quantity="length"
          onCommit={(value) => {
            const edit = buildMove(workbench.getState().history!.design, part, { ...place, [axis]: value ?? 0 });
            return edit ? apply(edit) : null;
          }}
        />
      ))}
      <Button
        look="bare"
        className="-ml-2"
        aria-pressed={locked}
        onClick={() => {
          const edit = buildLock(workbench.getState().history!.design, part, !locked);
          if (edit) apply(edit);
        }}
      >
        {locked ? <Lock size={14} aria-hidden /> : <LockOpen size={14} aria-hidden />}
        {locked ? WORDS.lockedHere : WORDS.lockItHere}
      </Button>
    </div>
  );
}
