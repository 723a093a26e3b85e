"use client";
import { Maximize2, ZoomIn, ZoomOut } from "lucide-react";
import { useId, useRef } from "react";
import type { Design } from "@/core/design/design";
import { listPoints, type Movable } from "@/core/design/moves";
import type { Tank } from "@/core/design/plumbing";
import { measureExtent, toPrism } from "@/core/geometry/solid";
import { add, type Vec3, vec } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { describePart } from "@/words/findings";
import { Handle, type Pull } from "../drawing/Handle";
import { Hatches, toObstacleFill } from "../drawing/Hatches";
import { findShownDrain } from "../drawing/shown";
import { useFrame } from "../drawing/useFrame";
import { useZoom } from "../drawing/useZoom";
import { type Bounds, fitView, toPath, type View } from "../drawing/view";
import { Button } from "../kit/Button";

const PAD = { left: 20, right: 44, top: 26, bottom: 14 };

/** The rig from above with what is under the floor; the nose points right, so left is up. */
export function PlanView() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const preview = useWorkbench((state) => state.preview?.design ?? null);
  const dragBase = useWorkbench((state) => state.dragBase);
  const drainId = useWorkbench((state) => state.drainId);
  const [frame, size] = useFrame<SVGSVGElement>();
  const { zoom, zoomBy, reset } = useZoom(frame);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  if (!design) return null;
  if (!dragBase || !still.current) still.current = toBounds(design);
  const view = fitView({ bounds: still.current, ...size, pad: PAD, exaggeration: 1, zoom });
  const shown = findShownDrain(design, drainId);
  return (
    <div className="relative min-h-0 flex-1 bg-sheet">
      <svg
        ref={frame}
        className="drawing absolute inset-0 size-full"
        role="group"
        aria-label={`Plan of ${design.name}, ${design.rig.kind === "boat" ? "bow" : "nose"} to the right`}
      >
        <Hatches id={hatch} />
        {size.width > 0 && (
          <>
            <PlanRig design={design} view={view} />
            <PlanObstacles design={design} view={view} hatch={hatch} />
            <PlanTanks tanks={design.tanks} view={view} hatch={hatch} />
            <PlanLines design={design} view={view} shownId={shown?.id ?? null} />
            {preview && <PlanGhost design={preview} view={view} />}
            <PlanHandles design={design} view={view} />
          </>
        )}
      </svg>
      <h2 className="plate pointer-events-none absolute top-1.5 left-3 text-[16px]">Plan</h2>
      <div className="absolute top-1 right-1 flex bg-sheet/85">
        <Button look="bare" aria-label="Zoom in on the plan" onClick={() => zoomBy(1.5)}>
          <ZoomIn size={16} aria-hidden />
        </Button>
        <Button look="bare" aria-label="Zoom out of the plan" disabled={zoom.k <= 1} onClick={() => zoomBy(1 / 1.5)}>
          <ZoomOut size={16} aria-hidden />
        </Button>
        <Button look="bare" aria-label="Show the whole plan" disabled={zoom.k <= 1} onClick={reset}>
          <Maximize2 size={15} aria-hidden />
        </Button>
      </div>
    </div>
  );
}

type PlanProps = { readonly design: Design; readonly view: View };

function PlanRig({ design, view }: PlanProps) {
  const { lengthMm, widthMm, axles } = design.rig;
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
        {design.rig.kind === "boat" ? "bow" : "nose"}
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
}

function PlanObstacles({ design, view, hatch }: PlanProps & { readonly hatch: string }) {
  return (
    <g>
      {design.obstacles.map(({ id, name, kind, atMm, lengthMm, widthMm }) => (
        <g key={id}>
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
          {lengthMm * view.kx > name.length * 6.4 && widthMm * view.ky > 15 && (
            <text
              x={view.x(atMm.x + lengthMm / 2)}
              y={view.y(atMm.y + widthMm / 2) + 4}
              textAnchor="middle"
              fontSize={12}
              stroke="var(--sheet)"
              strokeWidth={3}
              paintOrder="stroke"
              style={{ fill: "var(--faint)" }}
            >
              {name}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

// What is seen of a tank from above: the profile itself when it was pushed upward, its extent otherwise.
function outlinePlan({ solid, atMm }: Tank): readonly (readonly [number, number])[] {
  const prism = toPrism(solid);
  if (prism.axis === "z") return prism.profileMm.map(({ u, v }) => [atMm.x + u, atMm.y + v] as const);
  const { min, max } = measureExtent(solid);
  const [x0, x1, y0, y1] = [atMm.x + min.x, atMm.x + max.x, atMm.y + min.y, atMm.y + max.y];
  return [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
}

function PlanTanks({
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
          <path d={toPath(view, outlinePlan(tank), true)} fill={`url(#${hatch}-grey)`} />
          {tank.ports.map((port) => {
            const at = add(tank.atMm, port.atMm);
            return (
              <circle
                key={port.id}
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

function PlanLines({ design, view, shownId }: PlanProps & { readonly shownId: string | null }) {
  const evaluation = useWorkbench((state) => state.evaluation);
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      {design.lines.map((line) => {
        if (line.kind === "vent") {
          const points = [findPort(design, line.fromTank, line.fromPort), ...line.pointsMm];
          return (
            <g key={line.id}>
              <path d={toPath(view, toXy(points))} stroke="var(--ink)" strokeWidth={4.4} />
              <path d={toPath(view, toXy(points))} stroke="var(--sheet)" strokeWidth={2.2} />
              <path d={toPath(view, toXy(points))} stroke="var(--ink)" strokeWidth={1} strokeDasharray="1 5" />
            </g>
          );
        }
        const drain = evaluation?.drains.find((d) => d.lineId === line.id);
        if (!drain) return null;
        const bad = evaluation?.findings.some(
          (f) => f.severity === "must" && "lineId" in f.at && f.at.lineId === line.id,
        );
        const path = toPath(view, toXy([drain.outletMm, ...drain.nodesMm]));
        const width = Math.max(3.4, line.pipe.innerMm * view.kx);
        return (
          <g key={line.id} opacity={line.id === shownId ? 1 : 0.6}>
            <path d={path} stroke={bad ? "var(--signal)" : "var(--ink)"} strokeWidth={width + 3} />
            <path d={path} stroke="var(--sheet)" strokeWidth={width} />
          </g>
        );
      })}
      {design.fixtures.map(({ id, outletMm }) => (
        <g key={id} stroke="var(--ink)">
          <rect
            x={view.x(outletMm.x - 190)}
            y={view.y(outletMm.y + 170)}
            width={380 * view.kx}
            height={340 * view.ky}
            rx={4}
            strokeWidth={1.4}
          />
        </g>
      ))}
    </g>
  );
}

function PlanGhost({ design, view }: PlanProps) {
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

function PlanHandles({ design, view }: PlanProps) {
  const evaluation = useWorkbench((state) => state.evaluation);
  const toShift = (_: Design, pull: Pull) => vec(pull.across, pull.up, 0);
  const pxPerMm = { x: view.kx, y: view.ky };
  const handle = (part: Movable, label: string, p: Vec3, shape?: "round" | "square" | "wide") => (
    <Handle
      key={Object.values(part).join(":")}
      part={part}
      label={label}
      at={[view.x(p.x), view.y(p.y)]}
      pxPerMm={pxPerMm}
      toShift={toShift}
      {...(shape ? { shape } : {})}
    />
  );
  return (
    <g>
      {design.tanks.map((tank) => {
        const { min, max } = measureExtent(tank.solid);
        const centre = vec(tank.atMm.x + (min.x + max.x) / 2, tank.atMm.y + (min.y + max.y) / 2, 0);
        return handle({ kind: "tank", id: tank.id }, `Move ${tank.name} in plan`, centre, "wide");
      })}
      {design.lines.flatMap((line) =>
        listPoints(line).map((point, index) => {
          const part = { kind: "bend", lineId: line.id, index } as const;
          return handle(part, `Move ${describePart(part, design)} in plan`, point);
        }),
      )}
      {evaluation?.drains.flatMap((drain) =>
        drain.passages.map((passage) =>
          handle(
            { kind: "passage", lineId: drain.lineId, index: passage.legIndex },
            `Move the floor passage of ${describePart({ kind: "line", id: drain.lineId }, design)} in plan`,
            passage.atMm,
            "square",
          ),
        ),
      )}
      {design.fixtures.map((fixture) =>
        handle(
          { kind: "fixture", id: fixture.id },
          `Move the outlet of ${fixture.name} in plan`,
          fixture.outletMm,
          "wide",
        ),
      )}
    </g>
  );
}

function findPort(design: Design, tankId: string, portId: string): Vec3 {
  const tank = design.tanks.find((t) => t.id === tankId)!;
  return add(tank.atMm, tank.ports.find((p) => p.id === portId)!.atMm);
}

function toBounds({ rig, tanks, lines, fixtures }: Design): Bounds {
  const points: Vec3[] = [
    vec(-60, -rig.widthMm / 2, 0),
    vec(rig.lengthMm, rig.widthMm / 2, 0),
    ...fixtures.map((fixture) => fixture.outletMm),
    ...lines.flatMap((line) => listPoints(line)),
    ...tanks.flatMap((tank) => outlinePlan(tank).map(([x, y]) => vec(x, y, 0))),
  ];
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}
