"use client";
import { listCollisions } from "@/core/fit/collisions";
import { useWorkbench } from "@/store/useWorkbench";
import { formatLength } from "@/words/units";
import { HaloText } from "../drawing/HaloText";
import type { PlanProps } from "./PlanScenery";

/** Where something runs into something, with the millimetres that lack. */
export function PlanMarks({ design, view }: PlanProps) {
  const findings = useWorkbench((state) => state.evaluation?.findings);
  const units = useWorkbench((state) => state.units);
  return (
    <g data-testid="collisions" stroke="var(--signal)" fill="none" strokeWidth={2}>
      {listCollisions(design, findings ?? []).map(({ id, atMm, lacksMm }) => {
        const [x, y] = [view.x(atMm.x), view.y(atMm.y)];
        return (
          <g key={id}>
            <path d={`M${x - 7} ${y - 7}l14 14m0 -14l-14 14`} />
            <HaloText x={x + 11} y={y - 6} tone="signal">
              {`${formatLength(Math.ceil(lacksMm), units)} lack`}
            </HaloText>
          </g>
        );
      })}
    </g>
  );
}
