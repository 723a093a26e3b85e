import type { HeldWater } from "@/core/design/plumbing";
import type { LongSection } from "@/core/section/sectionLayout";
import { toPath, type View } from "../drawing/view";

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
  const pairs = (points: typeof tank.outline) => points.map((p) => [p.s, p.h] as const);
  const wall = Math.max(2.2, wallMm * view.kx * 2);
  return (
    <g fill="none" strokeLinejoin="round">
      {vents.map((vent) => (
        <g key={vent.lineId}>
          <path d={toPath(view, pairs(vent.points))} stroke="var(--ink)" strokeWidth={5} />
          <path d={toPath(view, pairs(vent.points))} stroke="var(--sheet)" strokeWidth={2.4} />
          <path d={toPath(view, pairs(vent.points))} stroke="var(--ink)" strokeWidth={1} strokeDasharray="1 5" />
          <VentEnd point={vent.points[vent.points.length - 1]!} view={view} />
        </g>
      ))}
      <path
        d={toPath(view, pairs(tank.outline), true)}
        stroke="var(--ink)"
        strokeWidth={wall + 1.6}
        fill="var(--sheet)"
      />
      <path d={toPath(view, pairs(tank.outline), true)} stroke="var(--rule)" strokeWidth={Math.max(0, wall - 1.6)} />
      {tank.water.length > 2 && (
        <path d={toPath(view, pairs(tank.water), true)} fill={`url(#${hatch}-${holds})`} stroke="none" />
      )}
      <line
        x1={view.x(tank.fullAt[0])}
        x2={view.x(tank.fullAt[1])}
        y1={view.y(tank.fullH)}
        y2={view.y(tank.fullH)}
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

function VentEnd({ point, view }: { readonly point: { readonly s: number; readonly h: number }; readonly view: View }) {
  const [x, y] = [view.x(point.s), view.y(point.h)];
  return <path d={`M${x - 6} ${y}h12M${x - 4} ${y - 4}h8`} stroke="var(--ink)" strokeWidth={1.6} />;
}

// The dump valve: two triangles point to point.
function Valve({ x, y }: { readonly x: number; readonly y: number }) {
  return (
    <path
      d={`M${x + 3} ${y - 6}v12l14 -12v12ZM${x + 10} ${y}v-9m-4 0h8`}
      stroke="var(--ink)"
      strokeWidth={1.6}
      fill="var(--sheet)"
    />
  );
}
