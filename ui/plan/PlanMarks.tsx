"use client";
import { listCollisions } from "@/core/fit/collisions";
import { useWorkbench } from "@/store/useWorkbench";
import { CollisionMark } from "../drawing/CollisionMark";
import type { PlanProps } from "./PlanScenery";

/** Where something runs into something, with the millimetres that lack. */
export function PlanMarks({ design, view }: PlanProps) {
  const findings = useWorkbench((state) => state.evaluation?.findings);
  const units = useWorkbench((state) => state.units);
  return (
    <g data-testid="collisions">
      {listCollisions(design, findings ?? []).map(({ id, atMm, lacksMm }) => (
        <CollisionMark key={id} at={[view.x(atMm.x), view.y(atMm.y)]} lacksMm={lacksMm} units={units} />
      ))}
    </g>
  );
}
