"use client";
import { listOwnCourse } from "@/core/air/ventPath";
import type { Tank } from "@/core/design/plumbing";
import { USUAL_FIXTURES } from "@/core/design/usualFixtures";
import { add, type Vec3 } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { toPath, type View } from "../drawing/view";
import { outlinePlan } from "./outlinePlan";
import type { PlanProps } from "./PlanScenery";

/** Tanks with their ports. */
export function PlanTanks({
  tanks,
  view,
  hatch,
}: {
  readonly tanks: readonly Tank[];
  readonly view: View;
  readonly hatch: string;
}) {
  return (
    <g>
      {tanks.map((tank) => (
        <g key={tank.id}>
          <path d={toPath(view, outlinePlan(tank), true)} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2.4} />
          <path d={toPath(view, outlinePlan(tank), true)} fill={`url(#${hatch}-${tank.holds})`} />
          {tank.ports.map((port) => {
            const at = add(tank.atMm, port.atMm);
            return (
              <circle
                key={port.id}
                data-testid={`port-${port.kind}`}
                cx={view.x(at.x)}
                cy={view.y(at.y)}
                r={Math.max(2.5, (port.boreMm / 2) * view.kx)}
                fill={port.kind === "outlet" ? "var(--ink)" : "var(--sheet)"}
                stroke="var(--ink)"
                strokeWidth={1.4}
              />
            );
          })}
        </g>
      ))}
    </g>
  );
}

const toXy = (points: readonly Vec3[]) => points.map((p) => [p.x, p.y] as const);

/** Drains, breathers and fixtures. */
export function PlanLines({ design, view, shownId }: PlanProps & { readonly shownId: string | null }) {
  const evaluation = useWorkbench((state) => state.evaluation);
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      {design.lines.map((line) => {
        if (line.kind === "vent") {
          const points = listOwnCourse(design, line);
          return (
            <g key={line.id}>
              <path d={toPath(view, toXy(points))} stroke="var(--ink)" strokeWidth={4.4} />
              <path d={toPath(view, toXy(points))} stroke="var(--sheet)" strokeWidth={2.2} />
              <path d={toPath(view, toXy(points))} stroke="var(--ink)" strokeWidth={1} strokeDasharray="1 5" />
              {line.to.kind === "tee" && (
                <circle
                  cx={view.x(points.at(-1)!.x)}
                  cy={view.y(points.at(-1)!.y)}
                  r={4}
                  fill="var(--sheet)"
                  stroke="var(--ink)"
                  strokeWidth={1.4}
                />
              )}
            </g>
          );
        }
        const drain = evaluation?.drains.find((d) => d.lineId === line.id);
        if (!drain) return null;
        const bad = evaluation?.findings.some(
          (f) => f.severity === "must" && "lineId" in f.at && f.at.lineId === line.id,
        );
        // past a junction it is the other drain that is drawn
        const own = drain.nodesMm.slice(0, drain.ownLegs + 1);
        const path = toPath(view, toXy([drain.outletMm, ...own]));
        const end = own.at(-1)!;
        const width = Math.max(3.4, line.pipe.innerMm * view.kx);
        return (
          <g key={line.id} opacity={line.id === shownId ? 1 : 0.6}>
            <path d={path} stroke={bad ? "var(--signal)" : "var(--ink)"} strokeWidth={width + 3} />
            <path d={path} stroke="var(--sheet)" strokeWidth={width} />
            {line.to.kind === "junction" && (
              <circle
                cx={view.x(end.x)}
                cy={view.y(end.y)}
                r={width / 2 + 2.6}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth={1.6}
              />
            )}
          </g>
        );
      })}
      {design.fixtures.map(({ id, kind, outletMm }) => {
        const half = USUAL_FIXTURES[kind].halfMm;
        return (
          <rect
            key={id}
            x={view.x(outletMm.x - half)}
            y={view.y(outletMm.y + half * 0.9)}
            width={2 * half * view.kx}
            height={1.8 * half * view.ky}
            rx={4}
            stroke="var(--ink)"
            strokeWidth={1.4}
          />
        );
      })}
    </g>
  );
}

/** What a remedy would make of it. */
export function PlanGhost({ design, view }: PlanProps) {
  const evaluation = useWorkbench((state) => state.preview?.evaluation);
  return (
    <g fill="none" stroke="var(--enamel)" strokeWidth={2.2} strokeDasharray="7 4">
      {evaluation?.drains.map((drain) => (
        <path key={drain.lineId} d={toPath(view, toXy([drain.outletMm, ...drain.nodesMm]))} />
      ))}
      {design.tanks.map((tank) => (
        <path key={tank.id} d={toPath(view, outlinePlan(tank), true)} />
      ))}
    </g>
  );
}
