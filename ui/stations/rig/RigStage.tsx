"use client";
import { useCallback, useId, useMemo, useRef } from "react";
import type { Design } from "@/core/design/design";
import { measureFloorMm } from "@/core/design/floor";
import type { Movable } from "@/core/design/moves";
import { USUAL_FIXTURES } from "@/core/design/usualFixtures";
import { add, type Vec3, vec } from "@/core/geometry/vec";
import { listProfile } from "@/core/hull/lines";
import { measureLoadedSinkMm } from "@/core/hull/loadedLine";
import { layOutRamps, layOutTankSide, projectSide, unprojectSide } from "@/core/section/sideView";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describePart } from "@/words/describePart";
import * as WORDS from "@/words/panels/rig/rigStage";
import { RAMP_NAMES } from "@/words/rigLabels";
import { formatLength, formatNumber } from "@/words/units";
import { DrawingTools, TOOLS_CORNER } from "../../drawing/DrawingTools";
import { HaloText } from "../../drawing/HaloText";
import { Handle, type Pull } from "../../drawing/Handle";
import { Hatches, toObstacleFill } from "../../drawing/Hatches";
import { Outline, Paper, Stroke } from "../../drawing/Stroke";
import { useFrame } from "../../drawing/useFrame";
import { useZoom } from "../../drawing/useZoom";
import { type Bounds, fitView, toPoints, type View } from "../../drawing/view";
import { Figure } from "../../kit/Figure";
import { StageHeader } from "../StageHeader";
import { useSide } from "../useSide";

const PAD = { left: 26, right: 26, top: 40, bottom: 30 };
/** A wheel is drawn as large as the room over the ground lets it be, mm. */
const WHEEL_MM = 340;

/** The rig from its right side with wheels, sill, ground or waterline, and the ridges and ramps it still takes. */
export function RigStage() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const pitchDeg = useWorkbench((state) => state.attitude.pitchDeg);
  const dragBase = useWorkbench((state) => state.dragBase);
  const frame = useFrame<SVGSVGElement>();
  const zooming = useZoom(frame.element);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  // while something is pulled the paper keeps its scale
  if (design && (!dragBase || !still.current)) still.current = toBounds(design, pitchDeg);
  const bounds = still.current;
  const { width, height } = frame.size;
  const { zoom } = zooming;
  const view = useMemo(
    () => bounds && fitView({ bounds, width, height, pad: PAD, exaggeration: 1, zoom }),
    [bounds, width, height, zoom],
  );
  if (!design || !view) return null;
  const at = (p: Vec3): readonly [number, number] => {
    const { u, v } = projectSide(p, pitchDeg);
    return [u, v];
  };
  const front = design.rig.kind === "boat" ? WORDS.bow : WORDS.nose;
  return (
    <section
      aria-label={design.rig.kind === "boat" ? WORDS.theBoatFromTheSide : WORDS.theRigFromTheSide}
      className="flex min-h-0 flex-1 flex-col bg-sheet"
    >
      <StageHeader title={design.name} text={<Ramps design={design} />} />
      <div className="apart relative min-h-0 flex-1">
        <svg
          ref={frame.ref}
          className="drawing absolute inset-0 size-full"
          role="group"
          aria-label={WORDS.fromTheSideToThe(design.name, front)}
        >
          <Paper />
          <Hatches id={hatch} />
          {width > 0 && (
            <>
              <Scenery design={design} view={view} at={at} hatch={hatch} />
              <Plumbing design={design} view={view} at={at} pitchDeg={pitchDeg} hatch={hatch} />
              <RampLines design={design} view={view} at={at} />
              <RigHandles design={design} view={view} at={at} pitchDeg={pitchDeg} />
            </>
          )}
        </svg>
        <div className={TOOLS_CORNER}>
          <DrawingTools zooming={zooming} of="side" />
        </div>
      </div>
    </section>
  );
}

/** The ridge and the ramps in one line, each opening to its working. */
function Ramps({ design }: { readonly design: Design }) {
  const side = useSide();
  const ramps = useWorkbench((state) => state.evaluation?.ramps) ?? [];
  if (design.rig.kind === "boat") return <>{WORDS.pullTheWaterlineTheFront}</>;
  if (design.rig.axles.length === 0) return <>{WORDS.putInTheAxlesAt(side)}</>;
  if (ramps.length === 0) return <>{WORDS.nothingHangsUnderTheFloor}</>;
  return (
    <span className="flex flex-wrap gap-x-3">
      {ramps.map(({ where, angleDeg, part }) => (
        <span key={where}>
          {RAMP_NAMES[where]}{" "}
          <Figure
            working={toWorkingId(where === "between" ? "breakover" : "rampEnd", { kind: "ramp", where })}
            label={RAMP_NAMES[where]}
            className="font-semibold"
          >
            {formatNumber(angleDeg, 1)}°
          </Figure>{" "}
          <span className="text-faint">{describePart(part, design)}</span>
        </span>
      ))}
    </span>
  );
}

type PartProps = {
  readonly design: Design;
  readonly view: View;
  readonly at: (p: Vec3) => readonly [number, number];
};

function Scenery({ design, view, at, hatch }: PartProps & { readonly hatch: string }) {
  const { rig, obstacles } = design;
  const units = useWorkbench((state) => state.units);
  const along = (z: number, beyond = 0) => [at(vec(-beyond, 0, z)), at(vec(rig.lengthMm + beyond, 0, z))];
  const floor = [...along(0), ...along(-measureFloorMm(design)).reverse()];
  const wheel = Math.min(WHEEL_MM, -rig.groundZMm * 0.62);
  const isBoat = rig.kind === "boat";
  const sinkMm = measureLoadedSinkMm(design);
  const ground = along(rig.groundZMm, 900);
  const [, groundY] = at(vec(0, 0, rig.groundZMm));
  return (
    <g>
      {obstacles.map(({ id, name, kind, atMm, lengthMm, heightMm }) => (
        <Outline
          key={id}
          data-part={`obstacle:${id}`}
          points={toPoints(view, [
            at(atMm),
            at(add(atMm, vec(lengthMm, 0, 0))),
            at(add(atMm, vec(lengthMm, 0, heightMm))),
            at(add(atMm, vec(0, 0, heightMm))),
          ])}
          fill={toObstacleFill(hatch, kind)}
          stroke="var(--edge)"
          strokeWidth={0.9}
        >
          <title>{name}</title>
        </Outline>
      ))}
      {rig.hull &&
        (["keel", "sheer"] as const).map((which) => (
          <Stroke
            key={which}
            points={toPoints(view, listProfile(rig.hull!, which).map(at))}
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        ))}
      <Outline points={toPoints(view, floor)} fill={`url(#${hatch}-floor)`} stroke="var(--ink)" strokeWidth={1.4} />
      {!isBoat && (
        <Outline
          points={toPoints(view, [...ground, ...along(rig.groundZMm - 70, 900).reverse()])}
          fill={`url(#${hatch}-ground)`}
          stroke="none"
        />
      )}
      <Stroke points={toPoints(view, ground)} stroke="var(--ink)" strokeWidth={1.6} />
      <HaloText x={12} y={view.y(groundY) + 18}>
        {WORDS.underThe(
          isBoat ? WORDS.keel : WORDS.ground,
          formatLength(-rig.groundZMm, units),
          isBoat ? WORDS.sole : WORDS.floor,
        )}
      </HaloText>
      {rig.waterlineZMm !== null && (
        <Stroke points={toPoints(view, along(rig.waterlineZMm, 600))} stroke="var(--water)" strokeWidth={2} />
      )}
      {rig.waterlineZMm !== null && sinkMm !== null && sinkMm > 0 && (
        <g>
          <Stroke
            points={toPoints(view, along(rig.waterlineZMm + sinkMm, 600))}
            stroke="var(--water)"
            strokeWidth={1.2}
            strokeDasharray="7 4"
          />
          <HaloText x={12} y={view.y(at(vec(0, 0, rig.waterlineZMm + sinkMm))[1]) - 6}>
            {WORDS.tanksFullDeeper(formatLength(sinkMm, units))}
          </HaloText>
        </g>
      )}
      {rig.sillZMm !== null && (
        <Stroke
          points={toPoints(view, along(rig.sillZMm, 80))}
          stroke="var(--faint)"
          strokeWidth={1}
          strokeDasharray="14 4 2 4"
        />
      )}
      {!isBoat &&
        rig.axles.map(({ name, xMm }, i) => {
          const [u, v] = at(vec(xMm, 0, rig.groundZMm + wheel));
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: two axles may bear one name
            <g key={i} fill="none" stroke="var(--ink)">
              <circle
                cx={view.x(u)}
                cy={view.y(v)}
                r={wheel * view.kx}
                strokeWidth={2}
                fill="var(--sheet)"
                fillOpacity={0.55}
              />
              <circle cx={view.x(u)} cy={view.y(v)} r={wheel * 0.55 * view.kx} strokeWidth={1} />
              <title>{name}</title>
            </g>
          );
        })}
    </g>
  );
}

function Plumbing({
  design,
  view,
  at,
  pitchDeg,
  hatch,
}: PartProps & { readonly pitchDeg: number; readonly hatch: string }) {
  const evaluation = useWorkbench((state) => state.evaluation);
  const fillShare = useWorkbench((state) => state.fillShare);
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      {design.tanks.map((tank) => {
        const here = evaluation?.tanks.find((t) => t.tankId === tank.id)?.here.litres ?? 0;
        const { outline, water } = layOutTankSide(tank, pitchDeg, fillShare * here);
        const pairs = (points: typeof outline) => points.map(({ u, v }) => [u, v] as const);
        return (
          <g key={tank.id} data-part={`tank:${tank.id}`}>
            <Outline
              points={toPoints(view, pairs(outline))}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth={2.2}
            />
            {water.length > 2 && (
              <Outline points={toPoints(view, pairs(water))} fill={`url(#${hatch}-${tank.holds})`} stroke="none" />
            )}
            <title>{tank.name}</title>
          </g>
        );
      })}
      {evaluation?.drains.map((drain) => (
        <Stroke
          key={drain.lineId}
          points={toPoints(view, [drain.outletMm, ...drain.nodesMm.slice(0, drain.ownLegs + 1)].map(at))}
          stroke="var(--faint)"
          strokeWidth={2.4}
        />
      ))}
      {design.fixtures.map(({ id, kind, outletMm, rimMm }) => {
        const half = USUAL_FIXTURES[kind].halfMm;
        const bowl = [vec(-half, 0, rimMm), vec(-half + 25, 0, 15), vec(half - 25, 0, 15), vec(half, 0, rimMm)];
        return (
          <Stroke
            key={id}
            points={toPoints(
              view,
              bowl.map((p) => at(add(outletMm, p))),
            )}
            stroke="var(--ink)"
            strokeWidth={1.8}
          />
        );
      })}
    </g>
  );
}

// The ridge between the axles and the ramps beyond them, at their angles, with a ring at what touches first.
function RampLines({ design, view, at }: PartProps) {
  const evaluation = useWorkbench((state) => state.evaluation);
  const isBad = (where: string) =>
    evaluation?.findings.some((f) => f.code === "touchesRamp" && f.at.kind === "ramp" && f.at.where === where) ?? false;
  return (
    <g data-testid="ramp-lines">
      {layOutRamps(design.rig, evaluation?.ramps ?? []).map(({ ramp, pointsMm }) => {
        const tone = isBad(ramp.where) ? "var(--signal)" : "var(--enamel)";
        const [u, v] = at(pointsMm[1]!);
        return (
          <g key={ramp.where} stroke={tone} fill="none">
            <Stroke points={toPoints(view, pointsMm.map(at))} strokeWidth={1.6} strokeDasharray="9 4" />
            <circle cx={view.x(u)} cy={view.y(v)} r={6} strokeWidth={2} />
            <HaloText x={view.x(u) + 9} y={view.y(v) + 14} tone={isBad(ramp.where) ? "signal" : "ink"}>
              {`${formatNumber(ramp.angleDeg, 1)}°`}
            </HaloText>
          </g>
        );
      })}
    </g>
  );
}

function RigHandles({ design, view, at, pitchDeg }: PartProps & { readonly pitchDeg: number }) {
  const { rig } = design;
  const toShift = useCallback(
    (_: Design, pull: Pull) => unprojectSide({ u: pull.across, v: pull.up }, pitchDeg),
    [pitchDeg],
  );
  const handle = (part: Movable, p: Vec3, shape: "round" | "square" | "wide") => {
    const [u, v] = at(p);
    return (
      <Handle
        key={Object.values(part).join(":")}
        part={part}
        label={WORDS.moveFromTheSide(part.kind === "passage" ? "" : describePart(part, design))}
        at={[view.x(u), view.y(v)]}
        pxPerMm={{ x: view.kx, y: view.ky }}
        toShift={toShift}
        shape={shape}
      />
    );
  };
  const lines = (["ground", "sill", "waterline"] as const).filter((of) =>
    of === "ground" ? true : of === "sill" ? rig.sillZMm !== null : rig.waterlineZMm !== null,
  );
  const zOf = { ground: rig.groundZMm, sill: rig.sillZMm ?? 0, waterline: rig.waterlineZMm ?? 0 };
  return (
    <g>
      {rig.kind !== "boat" &&
        rig.axles.map(({ xMm }, index) => handle({ kind: "axle", index }, vec(xMm, 0, rig.groundZMm), "square"))}
      {lines.map((of, i) => handle({ kind: "measure", of }, vec(rig.lengthMm * (0.42 + i * 0.06), 0, zOf[of]), "wide"))}
      {handle({ kind: "measure", of: "front" }, vec(rig.lengthMm, 0, 0), "square")}
      {design.obstacles.map((one) =>
        handle({ kind: "obstacle", id: one.id }, add(one.atMm, vec(one.lengthMm / 2, 0, one.heightMm / 2)), "round"),
      )}
      {design.tanks.map((tank) => {
        const { outline } = layOutTankSide(tank, 0, 0);
        const us = outline.map((p) => p.u);
        return handle(
          { kind: "tank", id: tank.id },
          vec((Math.min(...us) + Math.max(...us)) / 2, 0, Math.min(...outline.map((p) => p.v))),
          "wide",
        );
      })}
    </g>
  );
}

function toBounds({ rig, fixtures, obstacles }: Design, pitchDeg: number): Bounds {
  const sections = rig.hull?.sections ?? [];
  const sheer = sections.map(({ xMm, pointsMm }) => vec(xMm, 0, pointsMm.at(-1)!.z));
  const xs = [
    0,
    rig.lengthMm,
    ...sections.map(({ xMm }) => xMm),
    ...obstacles.flatMap(({ atMm, lengthMm }) => [atMm.x, atMm.x + lengthMm]),
  ];
  const wheels = rig.kind === "boat" ? [] : rig.axles.map(({ xMm }) => xMm);
  const points = [
    ...sheer,
    vec(Math.min(...xs, ...wheels.map((x) => x - WHEEL_MM)) - 120, 0, rig.groundZMm - 40),
    vec(Math.max(...xs, ...wheels.map((x) => x + WHEEL_MM)) + 120, 0, rig.groundZMm - 40),
    vec(0, 0, 300),
    ...fixtures.map(({ outletMm, rimMm }) => add(outletMm, vec(0, 0, rimMm + 40))),
  ].map((p) => projectSide(p, pitchDeg));
  const us = points.map((p) => p.u);
  const vs = points.map((p) => p.v);
  return { left: Math.min(...us), right: Math.max(...us), low: Math.min(...vs), high: Math.max(...vs) };
}
