"use client";
import { useId, useMemo, useRef } from "react";
import type { Design } from "@/core/design/design";
import { findRole } from "@/core/fit/roles";
import { vec } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/loop/cabinetView";
import { DrawingTools, TOOLS_CORNER } from "../../drawing/DrawingTools";
import { HaloText } from "../../drawing/HaloText";
import { Handle, type Pull } from "../../drawing/Handle";
import { Hatches } from "../../drawing/Hatches";
import { HoseStrokes } from "../../drawing/HoseStrokes";
import { Outline, Paper, Stroke } from "../../drawing/Stroke";
import { useFrame } from "../../drawing/useFrame";
import { useZoom } from "../../drawing/useZoom";
import { type Bounds, fitView, toPoints } from "../../drawing/view";
import { Trade } from "../../glossary/Trade";

const PAD = { left: 16, right: 16, top: 40, bottom: 20 };

/** The gear from its side, to scale, in its cabinet: what stands where, and the room to drop each cartridge. */
export function CabinetView({ design }: { readonly design: Design }) {
  const dragBase = useWorkbench((state) => state.dragBase);
  const frame = useFrame<SVGSVGElement>();
  const zooming = useZoom(frame.element);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  if (!dragBase || !still.current) still.current = toBounds(design);
  const bounds = still.current;
  const { width, height } = frame.size;
  const { zoom } = zooming;
  const view = useMemo(
    () => fitView({ bounds, width, height, pad: PAD, exaggeration: 1, zoom }),
    [bounds, width, height, zoom],
  );
  const cabinets = design.obstacles.filter(({ kind }) => findRole(kind) === "cabinet");
  return (
    <div className="apart relative min-h-40 flex-1">
      <svg
        ref={frame.ref}
        className="drawing absolute inset-0 size-full"
        role="group"
        aria-label={WORDS.theGearToScaleFrom}
      >
        <Paper />
        <Hatches id={hatch} />
        {width > 0 && (
          <>
            <Stroke
              points={toPoints(view, [[bounds.left - 2000, 0] as const, [bounds.right + 2000, 0] as const])}
              stroke="var(--ink)"
              strokeWidth={1.4}
            />
            {cabinets.map(({ id, name, atMm, lengthMm, heightMm }) => (
              <g key={id}>
                <Outline
                  points={toPoints(view, toBox(atMm.x, atMm.z, lengthMm, heightMm))}
                  fill="none"
                  stroke="var(--edge)"
                  strokeWidth={2}
                />
                <HaloText x={view.x(atMm.x) + 4} y={view.y(atMm.z + heightMm) - 5}>
                  {name}
                </HaloText>
              </g>
            ))}
            <HoseStrokes design={design} view={view} at={({ x, z }) => [x, z]} isToScale={false} />
            {design.gear.map(({ id, name, atMm, sizeMm, openBelowMm }) => (
              <g key={id} data-part={`gear:${id}`}>
                {openBelowMm > 0 && (
                  <Outline
                    points={toPoints(view, toBox(atMm.x, atMm.z - openBelowMm, sizeMm.x, openBelowMm))}
                    fill="none"
                    stroke="var(--edge)"
                    strokeWidth={1}
                    strokeDasharray="3 3"
                  />
                )}
                <Outline
                  points={toPoints(view, toBox(atMm.x, atMm.z, sizeMm.x, sizeMm.z))}
                  fill="var(--sheet)"
                  fillOpacity={0.8}
                  stroke="var(--ink)"
                  strokeWidth={1.6}
                >
                  <title>{name}</title>
                </Outline>
                <Handle
                  part={{ kind: "gear", id }}
                  label={WORDS.move(name)}
                  at={[view.x(atMm.x + sizeMm.x / 2), view.y(atMm.z + sizeMm.z / 2)]}
                  pxPerMm={{ x: view.kx, y: view.ky }}
                  toShift={(_, pull: Pull) => vec(pull.across, 0, pull.up)}
                />
              </g>
            ))}
          </>
        )}
      </svg>
      <p className="pointer-events-none absolute top-1.5 left-3 text-[12.5px] text-faint">
        <Trade>{WORDS.fromTheSideToScale}</Trade>
      </p>
      <div className={TOOLS_CORNER}>
        <DrawingTools zooming={zooming} of="gear" />
      </div>
    </div>
  );
}

const toBox = (x: number, z: number, length: number, height: number) =>
  [
    [x, z],
    [x + length, z],
    [x + length, z + height],
    [x, z + height],
  ] as const;

function toBounds({ gear, obstacles }: Design): Bounds {
  const boxes = [
    ...gear.map(({ atMm, sizeMm, openBelowMm }) => ({
      x: atMm.x,
      z: atMm.z - openBelowMm,
      l: sizeMm.x,
      h: sizeMm.z + openBelowMm,
    })),
    ...obstacles.flatMap(({ kind, atMm, lengthMm, heightMm }) =>
      findRole(kind) === "cabinet" ? [{ x: atMm.x, z: atMm.z, l: lengthMm, h: heightMm }] : [],
    ),
  ];
  return {
    left: Math.min(...boxes.map(({ x }) => x)),
    right: Math.max(...boxes.map(({ x, l }) => x + l)),
    low: Math.min(0, ...boxes.map(({ z }) => z)),
    high: Math.max(...boxes.map(({ z, h }) => z + h)),
  };
}
