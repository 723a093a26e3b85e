"use client";
import { listCollisions } from "@/core/fit/collisions";
import type { LongSection } from "@/core/section/sectionLayout";
import { useWorkbench } from "@/store/useWorkbench";
import { CollisionMarks } from "../drawing/CollisionMarks";
import type { View } from "../drawing/view";

/** Where the drain shown, or its tank, runs into something. */
export function SectionMarks({ layout, view }: { readonly layout: LongSection; readonly view: View }) {
  const design = useWorkbench((state) => state.history?.design);
  const findings = useWorkbench((state) => state.evaluation?.findings);
  const units = useWorkbench((state) => state.units);
  if (!design) return null;
  const marks = listCollisions(design, findings ?? []).flatMap(({ id, on, lacksMm }) => {
    const at = on ? placeOnLeg(layout, on) : placeOnTank(layout, id);
    return at ? [{ id, lacksMm, x: view.x(at.s), y: view.y(at.h) }] : [];
  });
  return (
    <g data-testid="section-collisions">
      <CollisionMarks marks={marks} units={units} />
    </g>
  );
}

type OnLeg = { readonly lineId: string; readonly leg: number; readonly share: number };

function placeOnLeg({ legs, nodes }: LongSection, { lineId, leg, share }: OnLeg) {
  const index = legs.findIndex((l) => l.lineId === lineId && l.index === leg);
  const [from, to] = [nodes[index], nodes[index + 1]];
  return from && to ? { s: from.s + (to.s - from.s) * share, h: from.h + (to.h - from.h) * share } : null;
}

// which corner of a tank hits is seen in plan and from behind; here the tank itself is marked
function placeOnTank({ tank }: LongSection, collision: string) {
  if (!tank || !collision.includes(`tank:${tank.id}/`)) return null;
  const { outline } = tank;
  const mean = (pick: (p: (typeof outline)[number]) => number) =>
    outline.reduce((sum, p) => sum + pick(p), 0) / outline.length;
  return { s: mean((p) => p.s), h: Math.max(...outline.map((p) => p.h)) };
}
