"use client";
import { memo } from "react";
import { listOwnCourse } from "@/core/air/ventPath";
import { findInsulationMm } from "@/core/design/lagging";
import type { Tank } from "@/core/design/plumbing";
import { USUAL_FIXTURES } from "@/core/design/usualFixtures";
import { findFittingBlock } from "@/core/fit/fittingBlock";
import { listDumpCourse } from "@/core/fit/lineLegs";
import { measureExtent } from "@/core/geometry/solid";
import { add, type Vec3 } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { Disc, Outline, Plate, Stroke } from "../drawing/Stroke";
import { toPoints, type View } from "../drawing/view";
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
        <g key={tank.id} data-part={`tank:${tank.id}`}>
          <Outline
            points={toPoints(view, outlinePlan(tank))}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth={2.4}
          />
          <Outline points={toPoints(view, outlinePlan(tank))} fill={`url(#${hatch}-${tank.holds})`} />
          <PlanLink tank={tank} tanks={tanks} view={view} />
          {tank.ports.map((port) => {
            const block = findFittingBlock(tank, port);
            return block ? (
              <Plate
                key={`${port.id}-fitting`}
                data-testid="fitting"
                x={view.x(block.min.x)}
                y={view.y(block.max.y)}
                width={(block.max.x - block.min.x) * view.kx}
                height={(block.max.y - block.min.y) * view.ky}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth={1.2}
              />
            ) : null;
          })}
          {tank.ports.map((port) => {
            const at = add(tank.atMm, port.atMm);
            return (
              <Disc
                key={port.id}
                data-testid={`port-${port.kind}`}
                x={view.x(at.x)}
                y={view.y(at.y)}
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

// The pipe between tanks that go on in one another: whole where they share a level, broken where a pump stands between.
function PlanLink({
  tank,
  tanks,
  view,
}: {
  readonly tank: Tank;
  readonly tanks: readonly Tank[];
  readonly view: View;
}) {
  const other = tank.link && tanks.find(({ id }) => id === tank.link?.toTank);
  if (!other) return null;
  const middle = (one: Tank) => {
    const { min, max } = measureExtent(one.solid);
    return [one.atMm.x + (min.x + max.x) / 2, one.atMm.y + (min.y + max.y) / 2] as const;
  };
  return (
    <Stroke
      data-testid="tank-link"
      points={toPoints(view, [middle(tank), middle(other)])}
      stroke="var(--ink)"
      strokeWidth={2.2}
      strokeDasharray={tank.link?.kind === "pumped" ? "6 4" : undefined}
    />
  );
}

const toXy = (points: readonly Vec3[]) => points.map((p) => [p.x, p.y] as const);

type VentStrokeProps = { readonly points: string; readonly teeX: number | null; readonly teeY: number | null };

// Strokes are drawn again only where they have moved.
const VentStroke = memo(function VentStroke({ points, teeX, teeY }: VentStrokeProps) {
  return (
    <g>
      <Stroke points={points} stroke="var(--ink)" strokeWidth={4.4} />
      <Stroke points={points} stroke="var(--sheet)" strokeWidth={2.2} />
      <Stroke points={points} stroke="var(--ink)" strokeWidth={1} strokeDasharray="1 5" />
      {teeX !== null && teeY !== null && (
        <Disc x={teeX} y={teeY} r={4} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.4} />
      )}
    </g>
  );
});

type DrainStrokeProps = {
  readonly points: string;
  readonly width: number;
  /** What foam adds to it on the drawing, both sides together. */
  readonly foam: number;
  readonly isShown: boolean;
  readonly isBad: boolean;
  readonly joinX: number | null;
  readonly joinY: number | null;
};

const DrainStroke = memo(function DrainStroke({ points, width, foam, isShown, isBad, joinX, joinY }: DrainStrokeProps) {
  return (
    <g stroke={isShown ? "var(--ink)" : "var(--faint)"}>
      {foam > 0 && <Stroke points={points} stroke="var(--rule)" strokeWidth={width + 3 + foam} />}
      <Stroke points={points} stroke={isBad ? "var(--signal)" : undefined} strokeWidth={width + 3} />
      <Stroke points={points} stroke="var(--sheet)" strokeWidth={width} />
      {joinX !== null && joinY !== null && (
        <Disc x={joinX} y={joinY} r={width / 2 + 2.6} fill="var(--sheet)" strokeWidth={1.6} />
      )}
    </g>
  );
});

/** Drains, breathers, dump lines and fixtures. */
export function PlanLines({ design, view, shownId }: PlanProps & { readonly shownId: string | null }) {
  const evaluation = useWorkbench((state) => state.evaluation);
  const bad = new Set(
    evaluation?.findings.flatMap((f) => (f.severity === "must" && "lineId" in f.at ? [f.at.lineId] : [])),
  );
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      {design.lines.map((line) => {
        if (line.kind === "vent") {
          const points = listOwnCourse(design, line);
          const end = line.to.kind === "tee" ? points.at(-1)! : null;
          return (
            <g key={line.id} data-part={`line:${line.id}`}>
              <VentStroke
                points={toPoints(view, toXy(points))}
                teeX={end && view.x(end.x)}
                teeY={end && view.y(end.y)}
              />
            </g>
          );
        }
        if (line.kind === "dumpLine") {
          const course = listDumpCourse(design, line);
          const end = course.at(-1)!;
          return (
            <g key={line.id} data-part={`line:${line.id}`}>
              <DrainStroke
                points={toPoints(view, toXy(course))}
                width={Math.max(3.4, line.pipe.innerMm * view.kx)}
                foam={2 * findInsulationMm(line) * view.kx}
                isShown={true}
                isBad={bad.has(line.id)}
                joinX={view.x(end.x)}
                joinY={view.y(end.y)}
              />
            </g>
          );
        }
        const drain = evaluation?.drains.find((d) => d.lineId === line.id);
        if (!drain) return null;
        // past a junction it is the other drain that is drawn
        const own = drain.nodesMm.slice(0, drain.ownLegs + 1);
        const end = line.to.kind === "junction" ? own.at(-1)! : null;
        return (
          <g key={line.id} data-part={`line:${line.id}`}>
            <DrainStroke
              points={toPoints(view, toXy([drain.outletMm, ...own]))}
              width={Math.max(3.4, line.pipe.innerMm * view.kx)}
              foam={2 * findInsulationMm(line) * view.kx}
              isShown={line.id === shownId}
              isBad={bad.has(line.id)}
              joinX={end && view.x(end.x)}
              joinY={end && view.y(end.y)}
            />
          </g>
        );
      })}
      {design.fixtures.map(({ id, kind, outletMm }) => {
        const half = USUAL_FIXTURES[kind].halfMm;
        return (
          <Plate
            key={id}
            data-part={`fixture:${id}`}
            x={view.x(outletMm.x - half)}
            y={view.y(outletMm.y + half * 0.9)}
            width={2 * half * view.kx}
            height={1.8 * half * view.ky}
            cut={4}
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
        <Stroke key={drain.lineId} points={toPoints(view, toXy([drain.outletMm, ...drain.nodesMm]))} />
      ))}
      {design.tanks.map((tank) => (
        <Outline key={tank.id} points={toPoints(view, outlinePlan(tank))} />
      ))}
    </g>
  );
}
