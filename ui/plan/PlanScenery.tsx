import { memo } from "react";
import type { Design } from "@/core/design/design";
import type { Obstacle, Rig } from "@/core/design/rig";
import * as WORDS from "@/words/panels/plan/planScenery";
import { toObstacleFill } from "../drawing/Hatches";
import type { View } from "../drawing/view";

export type PlanProps = { readonly design: Design; readonly view: View };

/** The floor with its centre line, the nose and the wheels. */
export const PlanRig = memo(function PlanRig({ rig, view }: { readonly rig: Rig; readonly view: View }) {
  const { lengthMm, widthMm, axles } = rig;
  const half = widthMm / 2;
  const noseX = view.x(lengthMm);
  const middle = view.y(0);
  return (
    <g>
      <rect
        x={view.x(0)}
        y={view.y(half)}
        width={lengthMm * view.kx}
        height={widthMm * view.ky}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <line
        x1={view.x(-100)}
        x2={noseX + 10}
        y1={middle}
        y2={middle}
        stroke="var(--edge)"
        strokeWidth={0.8}
        strokeDasharray="14 4 2 4"
      />
      <path d={`M${noseX + 8} ${middle - 8}l11 8l-11 8`} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      <text x={noseX + 5} y={middle - 13} fontSize={12} style={{ fill: "var(--faint)" }}>
        {rig.kind === "boat" ? WORDS.bow : WORDS.nose}
      </text>
      {axles.map((axle) =>
        [half - 90, -half + 90].map((y) => (
          <rect
            key={`${axle.name}${y}`}
            x={view.x(axle.xMm - 320)}
            y={view.y(y + 95)}
            width={640 * view.kx}
            height={190 * view.ky}
            rx={3}
            fill="none"
            stroke="var(--edge)"
            strokeWidth={1}
            strokeDasharray="3 3"
          />
        )),
      )}
    </g>
  );
});

type ObstaclesProps = { readonly obstacles: readonly Obstacle[]; readonly view: View; readonly hatch: string };

/** What is under the floor and in the way; broken edges lie below it. */
export const PlanObstacles = memo(function PlanObstacles({ obstacles, view, hatch }: ObstaclesProps) {
  return (
    <g>
      {obstacles.map(({ id, name, kind, atMm, lengthMm, widthMm }) => (
        <g key={id} data-part={`obstacle:${id}`}>
          <rect
            x={view.x(atMm.x)}
            y={view.y(atMm.y + widthMm)}
            width={lengthMm * view.kx}
            height={widthMm * view.ky}
            fill={toObstacleFill(hatch, kind)}
            stroke="var(--edge)"
            strokeWidth={0.9}
            strokeDasharray={atMm.z < 0 ? "5 2.5" : undefined}
          >
            <title>{name}</title>
          </rect>
        </g>
      ))}
    </g>
  );
});
