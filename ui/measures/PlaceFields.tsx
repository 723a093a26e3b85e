"use client";
import { buildMove, findPlaceMm, type Movable } from "@/core/design/moves";
import type { Vec3 } from "@/core/geometry/vec";
import { useTrailing } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { NumberField } from "../kit/NumberField";
import { useEdits } from "./useEdits";

const AXES = [
  { axis: "x", label: "From the rear edge" },
  { axis: "y", label: "Left of the middle" },
  { axis: "z", label: "Over the floor" },
] as const;

/** Where a part is, to be typed: forward from the rear edge, left of the centre line, over the finished floor. */
export function PlaceFields({
  part,
  axes = ["x", "y", "z"],
}: {
  readonly part: Movable;
  readonly axes?: readonly (keyof Vec3)[];
}) {
  const place = useTrailing((state) => findPlaceMm(state.history!.design, part));
  const { apply } = useEdits();
  if (!place) return null;
  return (
    <>
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
    </>
  );
}
