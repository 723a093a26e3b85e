"use client";
import { useId, useRef } from "react";
import type { Design } from "@/core/design/design";
import { listPoints } from "@/core/design/moves";
import { type Vec3, vec } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { DrawingTools } from "../drawing/DrawingTools";
import { Hatches } from "../drawing/Hatches";
import { findShownDrain } from "../drawing/shown";
import { useFrame } from "../drawing/useFrame";
import { useZoom } from "../drawing/useZoom";
import { type Bounds, fitView } from "../drawing/view";
import { outlinePlan } from "./outlinePlan";
import { PlanHandles } from "./PlanHandles";
import { PlanGhost, PlanLines, PlanTanks } from "./PlanPlumbing";
import { PlanObstacles, PlanRig } from "./PlanScenery";

const PAD = { left: 20, right: 44, top: 26, bottom: 14 };

/** The rig from above with what is under the floor; the nose points right, so left is up. */
export function PlanView() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const preview = useWorkbench((state) => state.preview?.design ?? null);
  const dragBase = useWorkbench((state) => state.dragBase);
  const drainId = useWorkbench((state) => state.drainId);
  const [frame, size] = useFrame<SVGSVGElement>();
  const zooming = useZoom(frame);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  if (!design) return null;
  if (!dragBase || !still.current) still.current = toBounds(design);
  const view = fitView({ bounds: still.current, ...size, pad: PAD, exaggeration: 1, zoom: zooming.zoom });
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
      <DrawingTools zooming={zooming} of="plan" />
    </div>
  );
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
