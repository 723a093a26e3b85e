import type { HeldWater } from "@/core/design/plumbing";
import type { LongSection } from "@/core/section/sectionLayout";
import * as WORDS from "@/words/panels/section/sectionTank";
import { HaloText } from "../drawing/HaloText";
import { Outline, Stroke } from "../drawing/Stroke";
import { listPoints, toPoints, type View } from "../drawing/view";
import { useSay } from "../kit/useSay";

type TankProps = {
  readonly layout: LongSection;
  readonly view: View;
  readonly hatch: string;
  readonly wallMm: number;
  readonly holds: HeldWater;
};

/** The tank with its water, the line at which it counts as full, its ports, valve and breathers. */
export function SectionTank({ layout, view, hatch, wallMm, holds }: TankProps) {
  const { tank, vents } = layout;
  if (!tank) return <FreeEnd layout={layout} view={view} />;
  const pairs = (points: typeof tank.outline) => points.map((p) => [p.s, p.h] as const);
  const outline = toPoints(view, pairs(tank.outline));
  const wall = Math.max(2.2, wallMm * view.kx * 2);
  return (
    <g fill="none" strokeLinejoin="round">
      {vents.map((vent) => (
        <g key={vent.lineId}>
          <Stroke points={toPoints(view, pairs(vent.points))} stroke="var(--ink)" strokeWidth={5} />
          <Stroke points={toPoints(view, pairs(vent.points))} stroke="var(--sheet)" strokeWidth={2.4} />
          <Stroke
            points={toPoints(view, pairs(vent.points))}
            stroke="var(--ink)"
            strokeWidth={1}
            strokeDasharray="1 5"
          />
          <VentEnd point={vent.points[vent.points.length - 1]!} view={view} />
        </g>
      ))}
      <Outline points={outline} stroke="var(--ink)" strokeWidth={wall + 1.6} fill="var(--sheet)" />
      <Outline points={outline} stroke="var(--rule)" strokeWidth={Math.max(0, wall - 1.6)} />
      {tank.water.length > 2 && (
        <Outline points={toPoints(view, pairs(tank.water))} fill={`url(#${hatch}-${holds})`} stroke="none" />
      )}
      <Stroke
        points={toPoints(
          view,
          tank.fullAt.map((at) => [at, tank.fullH] as const),
        )}
        stroke="var(--signal)"
        strokeWidth={1.4}
        strokeDasharray="5 3"
      />
      {tank.ports.map((port) =>
        port.kind === "outlet" ? <Valve key={port.id} x={view.x(port.s)} y={view.y(port.h + port.boreMm / 2)} /> : null,
      )}
    </g>
  );
}

// Water that falls free, in broken strokes down to the ground, to the water outside, or into what stands there.
function FreeEnd({ layout, view }: Pick<TankProps, "layout" | "view">) {
  const say = useSay();
  const end = layout.nodes.at(-1)!;
  const { freeEnd } = layout;
  if (!freeEnd) return null;
  const [x, top, low] = [view.x(end.s), view.y(end.h), view.y(freeEnd.lowH)];
  const rim = freeEnd.rimH === null ? Math.max(top + 12, low - 44) : view.y(freeEnd.rimH);
  const isHeld = freeEnd.into === "vessel" || freeEnd.into === "sump";
  return (
    <g fill="none" data-testid="free-end">
      {low > top + 4 &&
        [-3, 3].map((aside) => (
          <Stroke
            key={aside}
            points={listPoints([
              [x + aside, top + 4],
              [x + aside, low],
            ])}
            stroke="var(--water)"
            strokeWidth={1.6}
            strokeDasharray="6 5"
          />
        ))}
      {isHeld && (
        <Stroke
          points={listPoints([
            [x - 22, rim],
            [x - 18, low],
            [x + 18, low],
            [x + 22, rim],
          ])}
          stroke="var(--ink)"
          strokeWidth={2}
        />
      )}
      {freeEnd.into === "overboard" && (
        <Stroke
          points={listPoints([
            [x, top - 22],
            [x, top + 22],
          ])}
          stroke="var(--ink)"
          strokeWidth={5}
        />
      )}
      <HaloText x={x + 28} y={freeEnd.into === "overboard" ? top - 8 : low - 8}>
        {freeEnd.name ?? say(WORDS.ontoTheGround)}
      </HaloText>
    </g>
  );
}

function VentEnd({ point, view }: { readonly point: { readonly s: number; readonly h: number }; readonly view: View }) {
  const [x, y] = [view.x(point.s), view.y(point.h)];
  const across = (half: number, up: number) =>
    listPoints([
      [x - half, y - up],
      [x + half, y - up],
    ]);
  return (
    <g stroke="var(--ink)" strokeWidth={1.6}>
      <Stroke points={across(6, 0)} />
      <Stroke points={across(4, 4)} />
    </g>
  );
}

// The dump valve: two triangles point to point, and its handle.
function Valve({ x, y }: { readonly x: number; readonly y: number }) {
  const at = (...corners: readonly (readonly [number, number])[]) =>
    listPoints(corners.map(([right, down]) => [x + right, y + down] as const));
  return (
    <g stroke="var(--ink)" strokeWidth={1.6}>
      <Outline points={at([3, -6], [3, 6], [17, -6], [17, 6])} fill="var(--sheet)" />
      <Stroke points={at([10, 0], [10, -9], [6, -9], [14, -9])} />
    </g>
  );
}
