"use client";
import { useId } from "react";
import type { LongSection } from "@/core/section/sectionLayout";
import { toPath, type View } from "../drawing/view";
import { findFrame, usePour } from "./usePour";

type SectionPourProps = { readonly layout: LongSection; readonly view: View; readonly hatch: string };

/** The water on its way: how full each leg runs, and how deep it stands in the fixture. */
export function SectionPour({ layout, view, hatch }: SectionPourProps) {
  const clip = useId();
  const poured = usePour();
  if (!poured) return null;
  const { pour, design, second } = poured;
  const frame = findFrame(pour, second);
  const drain = design.lines.find((line) => line.id === layout.lineId);
  const fixture = pour.fixtures.findIndex((f) => drain?.kind === "drain" && f.fixtureId === drain.fromFixture);
  const depthMm = fixture < 0 ? 0 : frame.fixturesL[fixture]! / pour.fixtures[fixture]!.areaM2;
  return (
    <g fill="none" data-testid="pour-water">
      {depthMm > 0.5 && (
        <>
          <clipPath id={clip}>
            <rect x={-50} y={view.y(layout.outlet.h + depthMm)} width={view.width + 100} height={4000} />
          </clipPath>
          <path
            clipPath={`url(#${clip})`}
            d={toPath(
              view,
              layout.sink.map((p) => [p.s, p.h] as const),
              true,
            )}
            fill={`url(#${hatch}-grey)`}
          />
        </>
      )}
      {layout.legs.map((leg, i) => {
        const place = pour.legs.findIndex((l) => l.lineId === leg.lineId && l.index === leg.index);
        if (place < 0) return null;
        const share = Math.min(1, frame.legsL[place]! / pour.legs[place]!.fullL);
        if (share < 0.004) return null;
        const [from, to] = [layout.nodes[i]!, layout.nodes[i + 1]!];
        const isRun = Math.abs(to.s - from.s) >= Math.abs(to.h - from.h);
        const deep = toDepth(share) * leg.boreMm;
        // along a run the water lies on the invert; in a drop it comes down all round
        const lift = isRun ? deep / 2 : leg.boreMm / 2;
        return (
          <path
            key={`${leg.lineId}-${leg.index}`}
            d={toPath(view, [
              [from.s, from.h + lift],
              [to.s, to.h + lift],
            ])}
            stroke="var(--water)"
            strokeWidth={Math.max(1.4, deep * (isRun ? view.ky : view.kx))}
          />
        );
      })}
    </g>
  );
}

/** Depth of a round pipe by the share of its area that is wet, both as shares of the whole; good to a hundredth. */
function toDepth(share: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 12; i++) {
    const depth = (low + high) / 2;
    const theta = 2 * Math.acos(1 - 2 * depth);
    if ((theta - Math.sin(theta)) / (2 * Math.PI) < share) low = depth;
    else high = depth;
  }
  return (low + high) / 2;
}
