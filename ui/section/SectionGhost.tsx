import type { LongSection } from "@/core/section/sectionLayout";
import { Outline, Stroke } from "../drawing/Stroke";
import { toPoints, type View } from "../drawing/view";

/** What a remedy would make of the drain, in broken enamel lines over the drawing as it is. */
export function SectionGhost({ layout, view }: { readonly layout: LongSection; readonly view: View }) {
  const pairs = (points: readonly { readonly s: number; readonly h: number }[]) =>
    points.map((p) => [p.s, p.h] as const);
  return (
    <g fill="none" stroke="var(--enamel)" strokeWidth={2.4} strokeDasharray="7 4" data-testid="ghost">
      <Stroke points={toPoints(view, pairs([layout.outlet, ...layout.trap, ...layout.nodes]))} />
      {layout.tank && <Outline points={toPoints(view, pairs(layout.tank.outline))} />}
      {layout.vents.map((vent) => (
        <Stroke key={vent.lineId} points={toPoints(view, pairs(vent.points))} />
      ))}
    </g>
  );
}
