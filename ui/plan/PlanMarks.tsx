"use client";
import { listCollisions } from "@/core/fit/collisions";
import { useWorkbench } from "@/store/useWorkbench";
import { CollisionMarks } from "../drawing/CollisionMarks";
import type { PlanProps } from "./PlanScenery";

/** Where something runs into something, with the millimetres that lack. */
export function PlanMarks({ design, view }: PlanProps) {
  const findings = useWorkbench((state) => state.evaluation?.findings);
  const units = useWorkbench((state) => state.units);
  const marks = listCollisions(design, findings ?? []).map(({ id, atMm, lacksMm }) => ({
    id,
    lacksMm,
    x: view.x(atMm.x),
    y: view.y(atMm.y),
  }));
  return (
    <g data-testid="collisions">
      <CollisionMarks marks={marks} units={units} />
    </g>
  );
}
