import type { LongSection } from "@/core/section/sectionLayout";
import { toPath, type View } from "../drawing/view";

/** What a remedy would make of the drain, in broken enamel lines over the drawing as it is. */
export function SectionGhost({ layout, view }: { readonly layout: LongSection; readonly view: View }) {
  const pairs = (points: readonly { readonly s: number; readonly h: number }[]) =>
    points.map((p) => [p.s, p.h] as const);
  return (
    <g fill="none" stroke="var(--enamel)" strokeWidth={2.4} strokeDasharray="7 4" data-testid="ghost">
      <path d={toPath(view, pairs([layout.outlet, ...layout.trap, ...layout.nodes]))} />
      <path d={toPath(view, pairs(layout.tank.outline), true)} />
      {layout.vents.map((vent) => (
        <path key={vent.lineId} d={toPath(view, pairs(vent.points))} />
      ))}
    </g>
  );
}
