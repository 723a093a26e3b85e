"use client";
import { useCallback, useId, useMemo, useRef } from "react";
import type { Design } from "@/core/design/design";
import { measureFloorMm } from "@/core/design/floor";
import { listPoints } from "@/core/design/linePoints";
import type { Movable } from "@/core/design/moves";
import { USUAL_FIXTURES } from "@/core/design/usualFixtures";
import { listCollisions } from "@/core/fit/collisions";
import { listCourse } from "@/core/fit/lineLegs";
import { measureExtent } from "@/core/geometry/solid";
import { add, scale, type Vec3, vec } from "@/core/geometry/vec";
import { layOutTankRear, projectRear, unprojectRear } from "@/core/section/rearView";
import { useWorkbench } from "@/store/useWorkbench";
import { describePart } from "@/words/describePart";
import * as WORDS from "@/words/panels/rear/rearView";
import { CollisionMarks } from "../drawing/CollisionMarks";
import { DrawingTools, TOOLS_CORNER } from "../drawing/DrawingTools";
import { Handle, type HandleShape, type Pull } from "../drawing/Handle";
import { Hatches, toObstacleFill } from "../drawing/Hatches";
import { HoseStrokes } from "../drawing/HoseStrokes";
import { LookSwitch } from "../drawing/LookSwitch";
import { findShownDrain } from "../drawing/shown";
import { useFrame } from "../drawing/useFrame";
import { useZoom } from "../drawing/useZoom";
import { type Bounds, fitView, toPath, type View } from "../drawing/view";

const PAD = { left: 20, right: 44, top: 30, bottom: 12 };

/** The rig from behind, leaning as it stands: left is left. What is further forward is drawn first. */
export function RearView() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const rollDeg = useWorkbench((state) => state.attitude.rollDeg);
  const dragBase = useWorkbench((state) => state.dragBase);
  const evaluation = useWorkbench((state) => state.evaluation);
  const fillShare = useWorkbench((state) => state.fillShare);
  const drainId = useWorkbench((state) => state.drainId);
  const frame = useFrame<SVGSVGElement>();
  const { size } = frame;
  const zooming = useZoom(frame.element);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  // while something is pulled the paper keeps its scale
  if (design && (!dragBase || !still.current)) still.current = toBounds(design, rollDeg);
  const bounds = still.current;
  const { width, height } = size;
  const { zoom } = zooming;
  const view = useMemo(
    () => bounds && fitView({ bounds, width, height, pad: PAD, exaggeration: 1, zoom }),
    [bounds, width, height, zoom],
  );
  if (!design || !view) return null;
  const at = (p: Vec3): readonly [number, number] => {
    const { u, v } = projectRear(p, rollDeg);
    return [u, v];
  };
  const shown = findShownDrain(design, drainId);
  return (
    <div className="apart relative min-h-0 flex-1 bg-sheet">
      <svg
        ref={frame.ref}
        className="drawing absolute inset-0 size-full"
        role="group"
        aria-label={WORDS.fromBehind(design.name)}
      >
        <Hatches id={hatch} />
        {width > 0 && (
          <>
            <Shell design={design} view={view} at={at} hatch={hatch} />
            {design.tanks.map((tank) => {
              const here = evaluation?.tanks.find((t) => t.tankId === tank.id)?.here.litres ?? 0;
              const { outline, water } = layOutTankRear(tank, rollDeg, fillShare * here);
              const pairs = (points: typeof outline) => points.map(({ u, v }) => [u, v] as const);
              return (
                <g key={tank.id} data-part={`tank:${tank.id}`}>
                  <path
                    d={toPath(view, pairs(outline), true)}
                    fill="var(--sheet)"
                    stroke="var(--ink)"
                    strokeWidth={2.4}
                  />
                  {water.length > 2 && (
                    <path d={toPath(view, pairs(water), true)} fill={`url(#${hatch}-${tank.holds})`} />
                  )}
                </g>
              );
            })}
            <RearGear design={design} view={view} at={at} />
            <Pipes design={design} view={view} at={at} shownId={shown?.id ?? null} />
            <Ghost view={view} at={at} />
            <RearHandles design={design} view={view} rollDeg={rollDeg} at={at} />
            <Marks design={design} view={view} at={at} />
          </>
        )}
      </svg>
      <LookSwitch />
      <div className={TOOLS_CORNER}>
        <DrawingTools zooming={zooming} of="rear" />
      </div>
    </div>
  );
}

type PartProps = {
  readonly design: Design;
  readonly view: View;
  readonly at: (p: Vec3) => readonly [number, number];
};

/** Ground, sill, floor and what is under it. */
function Shell({ design, view, at, hatch }: PartProps & { readonly hatch: string }) {
  const { rig, obstacles } = design;
  const half = rig.widthMm / 2;
  const across = (z: number, beyond = 0) => [at(vec(0, half + beyond, z)), at(vec(0, -half - beyond, z))];
  const floor = [...across(0), ...across(-measureFloorMm(design)).reverse()];
  // far ones first, so that the nearer cover them
  const sorted = [...obstacles].sort((a, b) => b.atMm.x - a.atMm.x);
  return (
    <g>
      {sorted.map(({ id, name, kind, atMm, widthMm, heightMm }) => (
        <path
          key={id}
          data-part={`obstacle:${id}`}
          d={toPath(
            view,
            [
              at(atMm),
              at(add(atMm, vec(0, widthMm, 0))),
              at(add(atMm, vec(0, widthMm, heightMm))),
              at(add(atMm, vec(0, 0, heightMm))),
            ],
            true,
          )}
          fill={toObstacleFill(hatch, kind)}
          stroke="var(--edge)"
          strokeWidth={0.9}
        >
          <title>{name}</title>
        </path>
      ))}
      <path d={toPath(view, floor, true)} fill={`url(#${hatch}-floor)`} stroke="var(--ink)" strokeWidth={1.4} />
      <path d={toPath(view, across(rig.groundZMm, 250))} stroke="var(--ink)" strokeWidth={1.6} fill="none" />
      {rig.sillZMm !== null && (
        <path
          d={toPath(view, across(rig.sillZMm, 80))}
          stroke="var(--faint)"
          strokeWidth={1}
          strokeDasharray="14 4 2 4"
          fill="none"
        />
      )}
    </g>
  );
}

/** What a remedy or another way would make of the drains. */
function Ghost({ view, at }: Pick<PartProps, "view" | "at">) {
  const drains = useWorkbench((state) => state.preview?.evaluation.drains);
  return (
    <g fill="none" stroke="var(--enamel)" strokeWidth={2.2} strokeDasharray="7 4" data-testid="rear-ghost">
      {drains?.map((drain) => (
        <path key={drain.lineId} d={toPath(view, [drain.outletMm, ...drain.nodesMm].map(at))} />
      ))}
    </g>
  );
}

function Marks({ design, view, at }: Omit<PartProps, "hatch">) {
  const findings = useWorkbench((state) => state.evaluation?.findings);
  const units = useWorkbench((state) => state.units);
  const marks = listCollisions(design, findings ?? []).map(({ id, atMm, lacksMm }) => {
    const [x, y] = at(atMm);
    return { id, lacksMm, x: view.x(x), y: view.y(y) };
  });
  return <CollisionMarks marks={marks} units={units} />;
}

// Gear to scale and its hoses, the further forward the earlier.
function RearGear({ design, view, at }: PartProps) {
  const sorted = [...design.gear].sort((a, b) => b.atMm.x - a.atMm.x);
  return (
    <g data-testid="rear-gear">
      <HoseStrokes design={design} view={view} at={at} isToScale />
      {sorted.map(({ id, name, atMm, sizeMm }) => {
        const corner = (y: number, z: number) => at(add(atMm, vec(0, y, z)));
        const corners = [corner(0, 0), corner(sizeMm.y, 0), corner(sizeMm.y, sizeMm.z), corner(0, sizeMm.z)];
        return (
          <path
            key={id}
            data-part={`gear:${id}`}
            d={toPath(view, corners, true)}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth={1.2}
          >
            <title>{name}</title>
          </path>
        );
      })}
    </g>
  );
}

function Pipes({ design, view, at, shownId }: PartProps & { readonly shownId: string | null }) {
  const evaluation = useWorkbench((state) => state.evaluation);
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      {design.lines.map((line) => {
        const result = evaluation?.drains.find((drain) => drain.lineId === line.id);
        const points =
          line.kind === "vent" || line.kind === "dumpLine"
            ? listCourse(design, line)
            : result
              ? [result.outletMm, ...result.nodesMm.slice(0, result.ownLegs + 1)]
              : [];
        const width = line.kind === "vent" ? 2.2 : Math.max(3.4, line.pipe.innerMm * view.kx);
        const path = toPath(view, points.map(at));
        return (
          <g
            key={line.id}
            data-part={`line:${line.id}`}
            stroke={line.kind === "vent" || line.id === shownId ? "var(--ink)" : "var(--faint)"}
          >
            <path d={path} strokeWidth={width + 2.6} />
            <path d={path} stroke="var(--sheet)" strokeWidth={width} />
          </g>
        );
      })}
      {design.fixtures.map(({ id, kind, outletMm, rimMm }) => {
        const half = USUAL_FIXTURES[kind].halfMm;
        const bowl = [vec(0, half, rimMm), vec(0, half - 25, 15), vec(0, -half + 25, 15), vec(0, -half, rimMm)];
        return (
          <path
            key={id}
            d={toPath(
              view,
              bowl.map((p) => at(add(outletMm, p))),
            )}
            stroke="var(--ink)"
            strokeWidth={1.8}
            fill="var(--sheet)"
          />
        );
      })}
    </g>
  );
}

function RearHandles({ design, view, rollDeg, at }: PartProps & { readonly rollDeg: number }) {
  const toShift = useCallback(
    (_: Design, pull: Pull) => unprojectRear({ u: pull.across, v: pull.up }, rollDeg),
    [rollDeg],
  );
  const handle = (part: Movable, label: string, p: Vec3, shape?: HandleShape) => {
    const [u, v] = at(p);
    return (
      <Handle
        key={Object.values(part).join(":")}
        part={part}
        label={label}
        at={[view.x(u), view.y(v)]}
        pxPerMm={{ x: view.kx, y: view.ky }}
        toShift={toShift}
        {...(shape ? { shape } : {})}
      />
    );
  };
  return (
    <g>
      {design.tanks.map((tank) => {
        const { min, max } = measureExtent(tank.solid);
        const centre = add(tank.atMm, vec(0, (min.y + max.y) / 2, min.z));
        return handle({ kind: "tank", id: tank.id }, WORDS.moveFromBehind(tank.name), centre, "wide");
      })}
      {design.lines.flatMap((line) =>
        listPoints(line).map((point, index) => {
          const part = { kind: "bend", lineId: line.id, index } as const;
          return handle(part, WORDS.moveFromBehind2(describePart(part, design)), point);
        }),
      )}
      {design.gear.map(({ id, name, atMm, sizeMm }) =>
        handle({ kind: "gear", id }, WORDS.moveFromBehind(name), add(atMm, scale(sizeMm, 0.5)), "square"),
      )}
      {design.fixtures.map(({ id, name, outletMm }) =>
        handle({ kind: "fixture", id }, WORDS.moveTheOutletOfFrom(name), outletMm, "wide"),
      )}
    </g>
  );
}

function toBounds({ rig, fixtures, lines, gear }: Design, rollDeg: number): Bounds {
  const half = rig.widthMm / 2;
  const points = [
    vec(0, half, rig.groundZMm),
    vec(0, -half, rig.groundZMm),
    ...fixtures.map(({ outletMm, rimMm }) => add(outletMm, vec(0, 0, rimMm + 40))),
    ...lines.flatMap((line) => (line.kind === "drain" ? line.bendsMm : [])),
    ...gear.flatMap(({ atMm, sizeMm }) => [atMm, add(atMm, sizeMm)]),
  ].map((p) => projectRear(p, rollDeg));
  const us = points.map((p) => p.u);
  const vs = points.map((p) => p.v);
  return { left: Math.min(...us), right: Math.max(...us), low: Math.min(...vs), high: Math.max(...vs) };
}
