"use client";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describePart } from "@/words/findings";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { Figure } from "../../kit/Figure";

const WHERE = {
  between: "Ridge between the axles",
  behind: "Ramp behind the last axle",
  before: "Ramp before the first axle",
} as const;

/** The ridge and the ramps the rig still takes with its plumbing, and what touches first. */
export function RampFigures() {
  const ramps = useWorkbench((state) => state.evaluation?.ramps ?? null);
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  if (!ramps || ramps.length === 0) return null;
  return (
    <Group title="Ramps and ridges it takes">
      {ramps.map(({ where, angleDeg, part }) => (
        <p key={where} className="flex min-h-7 items-baseline justify-between gap-2 text-[13px] text-faint">
          <span>
            {WHERE[where]}: {describePart(part, design)} touches first
          </span>
          <Figure
            working={toWorkingId(where === "between" ? "breakover" : "rampEnd", { kind: "ramp", where })}
            label={WHERE[where]}
            className="text-[16px] text-ink"
          >
            {formatQuantity(angleDeg, "angle", units)}
          </Figure>
        </p>
      ))}
    </Group>
  );
}
