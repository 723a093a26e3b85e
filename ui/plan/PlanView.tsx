"use client";
import { Ruler, Spline } from "lucide-react";
import dynamic from "next/dynamic";
import { useId, useMemo, useRef } from "react";
import type { Design } from "@/core/design/design";
import { listPoints } from "@/core/design/linePoints";
import { isHit } from "@/core/fit/hits";
import { type Vec3, vec } from "@/core/geometry/vec";
import type { PlanTool } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/plan/planView";
import { DrawingTools, TOOLS_CORNER } from "../drawing/DrawingTools";
import { Hatches } from "../drawing/Hatches";
import { LookSwitch } from "../drawing/LookSwitch";
import { Paper } from "../drawing/Stroke";
import { findShownDrain, findShownResult } from "../drawing/shown";
import { useFrame } from "../drawing/useFrame";
import { useZoom } from "../drawing/useZoom";
import { type Bounds, fitView, NO_ZOOM } from "../drawing/view";
import { Button } from "../kit/Button";
import { outlinePlan } from "./outlinePlan";
import { PlanHandles } from "./PlanHandles";
import { PlanGhost, PlanLines, PlanTanks } from "./PlanPlumbing";
import { PlanObstacles, PlanRig } from "./PlanScenery";

const PlanGear = dynamic(() => import("./PlanGear").then((module) => module.PlanGear), { ssr: false });
const PlanHull = dynamic(() => import("./PlanHull").then((module) => module.PlanHull), { ssr: false });

// The tools and the marks of what is wrong come when they are wanted.
const PlanTools = dynamic(() => import("./PlanTools").then((module) => module.PlanTools), { ssr: false });
const PlanToolBar = dynamic(() => import("./PlanToolBar").then((module) => module.PlanToolBar), { ssr: false });
const PlanNames = dynamic(() => import("./PlanNames").then((module) => module.PlanNames), { ssr: false });
const PlanMarks = dynamic(() => import("./PlanMarks").then((module) => module.PlanMarks), { ssr: false });
const GroupBar = dynamic(() => import("./GroupBar").then((module) => module.GroupBar), { ssr: false });

/** A double click this near to the drain shown puts a bend into it, px. */
const NEAR_PX = 12;

// the names of the views and the tools stand at its upper edge
const PAD = { left: 20, right: 44, top: 42, bottom: 12 };

/** The rig from above with what is under the floor: nose to the right, so left is up; nose up where the sheet is tall. */
export function PlanView() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const preview = useWorkbench((state) => state.preview?.design ?? null);
  const dragBase = useWorkbench((state) => state.dragBase);
  const drainId = useWorkbench((state) => state.drainId);
  const tool = useWorkbench((state) => state.tool);
  const isGroup = useWorkbench((state) => state.group.length > 1);
  const hasHits = useWorkbench((state) => state.evaluation?.findings.some(isHit));
  const frame = useFrame<SVGSVGElement>();
  const { size } = frame;
  const zooming = useZoom(frame.element);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  // while something is pulled the paper keeps its scale, and what stands still is not drawn again
  if (design && (!dragBase || !still.current)) still.current = toBounds(design);
  const bounds = still.current;
  // on a tall screen the rig stands nose up, drawn as if the sheet were wide and then turned
  const { width, height } = size;
  const isTurned = height > width * 1.1;
  const { zoom } = zooming;
  const view = useMemo(() => {
    const frame = isTurned ? { width: height, height: width, zoom: NO_ZOOM } : { width, height, zoom };
    return bounds && fitView({ bounds, pad: PAD, exaggeration: 1, ...frame });
  }, [bounds, width, height, isTurned, zoom]);
  if (!design || !view) return null;
  const turn = isTurned
    ? `translate(${zoom.x} ${zoom.y}) scale(${zoom.k}) translate(0 ${size.height}) rotate(-90)`
    : undefined;
  const shown = findShownDrain(design, drainId);
  return (
    <>
      {isGroup && <GroupBar />}
      {tool && <PlanToolBar />}
      <div className="apart relative min-h-0 flex-1 bg-sheet">
        <svg
          ref={frame.ref}
          className="drawing absolute inset-0 size-full"
          role="group"
          aria-label={WORDS.planOf(
            design.name,
            design.rig.kind === "boat" ? WORDS.bow : WORDS.nose,
            isTurned ? WORDS.up : WORDS.toTheRight,
          )}
        >
          <Paper />
          <Hatches id={hatch} />
          {size.width > 0 && (
            // biome-ignore lint/a11y/noStaticElementInteractions: by keyboard bends are put in at the list of bends
            <g
              transform={turn}
              onDoubleClick={async (event) => {
                const target = event.currentTarget;
                const { clientX, clientY } = event;
                const [{ findLegAt, insertBend }, { toRigPoint }] = await Promise.all([
                  import("../drawing/insertBend"),
                  import("./sheetPoint"),
                ]);
                const result = findShownResult(workbench.getState());
                const place = toRigPoint(target, { clientX, clientY }, view);
                const at = result && findLegAt(result.legs.slice(0, result.ownLegs), place);
                if (at && at.away * view.kx < NEAR_PX) insertBend(at.leg, at.share);
              }}
            >
              <PlanRig rig={design.rig} view={view} />
              {design.rig.hull && <PlanHull rig={design.rig} view={view} />}
              <PlanObstacles obstacles={design.obstacles} view={view} hatch={hatch} />
              <PlanTanks tanks={design.tanks} view={view} hatch={hatch} />
              {design.gear.length > 0 && <PlanGear design={design} view={view} />}
              <PlanLines design={design} view={view} shownId={shown?.id ?? null} />
              {design.obstacles.length > 0 && (
                <PlanNames design={dragBase?.obstacles === design.obstacles ? dragBase : design} view={view} />
              )}
              {preview && <PlanGhost design={preview} view={view} />}
              <PlanHandles design={design} view={view} turnedZoom={isTurned ? zoom.k : null} />
              {hasHits && <PlanMarks design={design} view={view} />}
              {tool && (
                <PlanTools
                  tool={tool}
                  design={design}
                  view={view}
                  isTurned={isTurned}
                  mmPerPx={1 / (view.kx * (isTurned ? zoom.k : 1))}
                />
              )}
            </g>
          )}
        </svg>
        <LookSwitch />
        <div className={TOOLS_CORNER}>
          <ToolButton tool="draw" label={WORDS.drawADrainA} isOn={tool === "draw"} />
          <ToolButton tool="measure" label={WORDS.measureR} isOn={tool === "measure"} />
          <DrawingTools zooming={zooming} of="plan" />
        </div>
      </div>
    </>
  );
}

function ToolButton({
  tool,
  label,
  isOn,
}: {
  readonly tool: PlanTool;
  readonly label: string;
  readonly isOn: boolean;
}) {
  const Icon = tool === "draw" ? Spline : Ruler;
  return (
    <Button
      look="bare"
      className={isOn ? "bg-pick" : ""}
      aria-label={label}
      aria-pressed={isOn}
      title={label}
      onClick={() => look({ tool: isOn ? null : tool })}
    >
      <Icon size={16} aria-hidden />
    </Button>
  );
}

function toBounds({ rig, tanks, lines, fixtures }: Design): Bounds {
  const points: Vec3[] = [
    vec(-60, -rig.widthMm / 2, 0),
    vec(rig.lengthMm, rig.widthMm / 2, 0),
    ...(rig.hull?.sections ?? []).flatMap(({ xMm, pointsMm }) =>
      pointsMm.flatMap(({ y }) => [vec(xMm, y, 0), vec(xMm, -y, 0)]),
    ),
    ...fixtures.map((fixture) => fixture.outletMm),
    ...lines.flatMap((line) => listPoints(line)),
    ...tanks.flatMap((tank) => outlinePlan(tank).map(([x, y]) => vec(x, y, 0))),
  ];
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}
