"use client";
import { useId, useMemo, useRef, useState } from "react";
import { isLevel } from "@/core/attitude/attitude";
import type { Tank } from "@/core/design/plumbing";
import { buildNetwork } from "@/core/falls/network";
import { measureExtent } from "@/core/geometry/solid";
import { clamp } from "@/core/quantity/tolerance";
import { layOutTankSection, type TankSection, type TankSide, unprojectTankPull } from "@/core/section/tankSection";
import { listOpenings } from "@/core/tanks/openings";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import { PORT_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/tanks/tankStage";
import { describePort } from "@/words/ports";
import { formatLength, formatQuantity, type Units } from "@/words/units";
import { DrawingTools, TOOLS_CORNER } from "../../drawing/DrawingTools";
import { HaloText } from "../../drawing/HaloText";
import { Handle, type Pull } from "../../drawing/Handle";
import { Hatches } from "../../drawing/Hatches";
import { Outline, Paper, Stroke } from "../../drawing/Stroke";
import { findShownTank } from "../../drawing/shown";
import { TankLevelHandle } from "../../drawing/TankLevelHandle";
import { useFrame } from "../../drawing/useFrame";
import { useZoom } from "../../drawing/useZoom";
import { type Bounds, fitView, listPoints, toPoints, type View } from "../../drawing/view";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Figure } from "../../kit/Figure";
import { StagePick } from "../../kit/StagePick";
import { useSay } from "../../kit/useSay";
import { StageHeader } from "../StageHeader";
import { useSide } from "../useSide";

const PAD = { left: 130, right: 150, top: 48, bottom: 34 };
const GAUGE_PX = { width: 26, right: 58 };

const SIDE_NAMES: Readonly<Record<TankSide, string>> = { x: WORDS.alongTheRig, y: WORDS.acrossTheRig };

/** The chosen tank, large, as it stands: its water, every port at its height, what stays behind, and what its gauge tells. */
export function TankStage() {
  const side = useSide();
  const design = useWorkbench((state) => state.history?.design ?? null);
  const tank = useWorkbench(findShownTank);
  if (!design) return null;
  if (!tank) {
    return (
      <section aria-label={WORDS.theTank} className="flex flex-1 items-center justify-center bg-sheet p-8">
        <p>
          <Trade>{WORDS.noTankYetHangOne(side)}</Trade>
        </p>
      </section>
    );
  }
  return <TankSheet key={tank.id} tank={tank} />;
}

function TankSheet({ tank }: { readonly tank: Tank }) {
  const say = useSay();
  const design = useWorkbench((state) => state.history!.design);
  const attitude = useWorkbench((state) => state.attitude);
  const share = useWorkbench((state) => state.fillShare);
  const dragBase = useWorkbench((state) => state.dragBase);
  const result = useWorkbench((state) => state.evaluation?.tanks.find((t) => t.tankId === tank.id) ?? null);
  const units = useWorkbench((state) => state.units);
  const [axis, setAxis] = useState<TankSide>("x");
  const frame = useFrame<SVGSVGElement>();
  const zooming = useZoom(frame.element);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  const litres = share * (result?.here.litres ?? 0);
  // waste that is never dumped, fresh water that no pump gets
  const staysL = result?.undrawnL?.here ?? result?.leftL ?? null;
  const openings = useMemo(() => listOpenings(design, buildNetwork(design), tank), [design, tank]);
  const section = useMemo(
    () => layOutTankSection(tank, openings, attitude, axis, litres, staysL),
    [tank, openings, attitude, axis, litres, staysL],
  );
  if (!dragBase || !still.current) still.current = toBounds(section);
  const bounds = still.current;
  const { width, height } = frame.size;
  const { zoom } = zooming;
  const view = useMemo(() => {
    const isNarrow = width < 600;
    const pad = isNarrow ? { ...PAD, left: 24, right: 84 } : PAD;
    return fitView({ bounds, width, height, pad, exaggeration: null, zoom });
  }, [bounds, width, height, zoom]);
  const litresText = (l: number) => formatQuantity(l, "volume", units);
  return (
    <section aria-label={WORDS.theTank} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={tank.name}
        choice={
          design.tanks.length > 1 ? (
            <StagePick
              label={WORDS.tankShown}
              value={tank.id}
              options={design.tanks}
              onPick={(tankId) => look({ tankId })}
            />
          ) : undefined
        }
        text={
          result && (
            <>
              {isLevel(attitude) ? WORDS.standingLevel : WORDS.standing(describeAttitude(attitude, design.rig.kind))}{" "}
              {WORDS.itTakes}{" "}
              <Figure
                working={toWorkingId("tankFull", { kind: "tank", id: tank.id }, "here")}
                label={WORDS.fullAsItStands}
                className="font-semibold"
              >
                {litresText(result.here.litres)}
              </Figure>
              {result.undrawnL ? (
                <>
                  ; {litresText(result.undrawnL.here)} {WORDS.ofItLiesTooLow}
                </>
              ) : (
                result.leftL !== null && (
                  <>
                    ; {litresText(result.leftL)} {WORDS.staysBehindWhenItIs}
                  </>
                )
              )}
              .
            </>
          )
        }
      />
      <div className="apart relative min-h-0 flex-1">
        <svg
          ref={frame.ref}
          className="drawing absolute inset-0 size-full"
          role="group"
          aria-label={WORDS.inSection(tank.name, say(SIDE_NAMES[axis]).toLowerCase())}
        >
          <Paper />
          <Hatches id={hatch} />
          {width > 0 && (
            <>
              <Body
                tank={tank}
                section={section}
                view={view}
                hatch={hatch}
                units={units}
                fullL={result?.here.litres ?? 0}
              />
              <Ports tank={tank} axis={axis} section={section} view={view} units={units} />
              <Gauge tank={tank} section={section} view={view} units={units} litres={litres} />
              {tank.ports.map((port) => {
                const at = section.ports.find(({ id }) => id === port.id)!;
                return (
                  <Handle
                    key={port.id}
                    part={{ kind: "port", tankId: tank.id, id: port.id }}
                    label={WORDS.moveInTheTank(describePort(tank, port, design))}
                    at={[view.x(at.s), toMiddleY(tank, at, view)]}
                    pxPerMm={{ x: view.kx, y: view.ky }}
                    toShift={(_, pull: Pull) => unprojectTankPull(axis, attitude, pull.across, pull.up)}
                  />
                );
              })}
              <TankLevelHandle tank={section} view={view} />
            </>
          )}
        </svg>
        <div className={TOOLS_CORNER}>
          <Button look="bare" onClick={() => setAxis(axis === "x" ? "y" : "x")}>
            {say(SIDE_NAMES[axis === "x" ? "y" : "x"])}
          </Button>
          <DrawingTools zooming={zooming} of="tank" />
        </div>
      </div>
    </section>
  );
}

const pairs = (points: TankSection["outline"]) => points.map((p) => [p.s, p.h] as const);

type BodyProps = {
  readonly tank: Tank;
  readonly section: TankSection;
  readonly view: View;
  readonly hatch: string;
  readonly units: Units;
  readonly fullL: number;
};

function Body({ tank, section, view, hatch, units, fullL }: BodyProps) {
  const outline = toPoints(view, pairs(section.outline));
  const wall = Math.max(3, tank.wallMm * view.kx * 2);
  const [left, right] = [Math.min(...section.outline.map((p) => p.s)), Math.max(...section.outline.map((p) => p.s))];
  const across = (h: number) => toPoints(view, [[left, h] as const, [right, h] as const]);
  // over the line, or under it where a letter would run into the tank's top
  const roofY = view.y(Math.max(...section.outline.map((p) => p.h))) + wall / 2;
  const fullY = view.y(section.fullH);
  return (
    <g fill="none" strokeLinejoin="round">
      {tank.insulationMm > 0 && (
        <Outline points={outline} stroke="var(--rule)" strokeWidth={2 * tank.insulationMm * view.kx + wall} />
      )}
      <Outline
        data-part={`tank:${tank.id}`}
        points={outline}
        stroke="var(--ink)"
        strokeWidth={wall + 1.6}
        fill="var(--sheet)"
      />
      <Outline points={outline} stroke="var(--rule)" strokeWidth={Math.max(0, wall - 1.6)} />
      {section.water.length > 2 && (
        <Outline points={toPoints(view, pairs(section.water))} fill={`url(#${hatch}-${tank.holds})`} stroke="none" />
      )}
      {section.leftH !== null && (
        <>
          <Stroke points={across(section.leftH)} stroke="var(--warn)" strokeWidth={1.4} strokeDasharray="2 4" />
          <HaloText x={view.x(left) + 8} y={view.y(section.leftH) - 5}>
            {WORDS.staysBehind}
          </HaloText>
        </>
      )}
      <Stroke points={across(section.fullH)} stroke="var(--signal)" strokeWidth={1.6} strokeDasharray="7 4" />
      <HaloText
        x={view.x(right) - 8}
        y={fullY - ROW_PX < roofY ? fullY + ROW_PX : fullY - 6}
        anchor="end"
        tone="signal"
      >
        {WORDS.full(formatQuantity(fullL, "volume", units))}
      </HaloText>
    </g>
  );
}

/** A label stands clear of the one before it by so much, px. */
const ROW_PX = 17;

// Every port at its height; what it is called stands in a column at the side it is nearer to.
function Ports({ tank, axis, section, view, units }: Omit<BodyProps, "hatch" | "fullL"> & { readonly axis: TankSide }) {
  const [left, right] = [Math.min(...section.outline.map((p) => p.s)), Math.max(...section.outline.map((p) => p.s))];
  const isNarrow = view.width < 600;
  const rows = section.ports.map((port) => ({
    port,
    y: toMiddleY(tank, port, view),
    isLeft: port.s < (left + right) / 2,
  }));
  const placed = [true, false].flatMap((side) => {
    let lowest = -Infinity;
    return rows
      .filter(({ isLeft }) => isLeft === side)
      .sort((a, b) => a.y - b.y)
      .map((row) => {
        lowest = Math.max(row.y, lowest + ROW_PX);
        return { ...row, labelY: lowest };
      });
  });
  return (
    <g>
      {placed.map(({ port, y, isLeft, labelY }) => {
        const edge = isLeft ? view.x(left) - 14 : view.x(right) + 14;
        const { rx, ry } = toHole(tank, axis, port, view);
        return (
          <g key={port.id} data-part={`port:${tank.id}:${port.id}`}>
            <ellipse
              cx={view.x(port.s)}
              cy={y}
              rx={rx}
              ry={ry}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
            {!isNarrow && (
              <>
                <Stroke
                  points={listPoints([
                    [view.x(port.s), y],
                    [edge, labelY],
                  ])}
                  stroke="var(--edge)"
                  strokeWidth={0.8}
                />
                <HaloText x={isLeft ? edge - 3 : edge + 3} y={labelY + 4} anchor={isLeft ? "end" : "start"} tone="ink">
                  {`${PORT_NAMES[port.kind]} ${formatLength(port.overMm, units)}`}
                </HaloText>
              </>
            )}
            <title>
              {WORDS.ofOverTheLowestPoint(
                PORT_NAMES[port.kind],
                tank.name,
                formatLength(port.overMm, units),
                port.atL === null ? "" : WORDS.wetFrom(formatQuantity(port.atL, "volume", units)),
              )}
            </title>
          </g>
        );
      })}
    </g>
  );
}

/** A hole seen edge on is drawn as wide as the wall, px. */
const EDGE_ON_PX = 4;

// In the wall the section cuts a hole is seen edge on, in the top lying, and else round.
function toHole(tank: Tank, axis: TankSide, port: TankSection["ports"][number], view: View) {
  const { min, max } = measureExtent(tank.solid);
  const local = tank.ports.find(({ id }) => id === port.id)!.atMm;
  const radius = { rx: Math.max(3, (port.boreMm / 2) * view.kx), ry: Math.max(3, (port.boreMm / 2) * view.ky) };
  if (isOnTop(tank, local.z)) return { ...radius, ry: EDGE_ON_PX };
  return local[axis] <= min[axis] + 1 || local[axis] >= max[axis] - 1 ? { ...radius, rx: EDGE_ON_PX } : radius;
}

// A port's place is its invert; the middle of a hole in a wall stands half a bore higher.
function toMiddleY(tank: Tank, port: TankSection["ports"][number], view: View): number {
  const local = tank.ports.find(({ id }) => id === port.id)!.atMm;
  return view.y(port.h + (isOnTop(tank, local.z) ? 0 : port.boreMm / 2));
}

const isOnTop = (tank: Tank, z: number): boolean => z >= measureExtent(tank.solid).max.z - 1;

type GaugeProps = Omit<BodyProps, "hatch" | "fullL"> & { readonly litres: number };

// What the gauge on the wall shows beside what is true.
function Gauge({ tank, section, view, units, litres }: GaugeProps) {
  const { sender } = tank;
  if (!sender || section.shownL === null) return null;
  const capacity = Math.max(1, ...section.ports.map((p) => p.atL ?? 0), litres, section.shownL);
  const x = view.width - GAUGE_PX.right;
  const [top, bottom] = [64, view.height - 44];
  const yOf = (l: number) => bottom - (bottom - top) * clamp(l / capacity, 0, 1);
  const out = section.shownL - litres;
  return (
    <g data-testid="gauge">
      {section.marks.map((mark) => (
        <Stroke
          key={mark.h}
          points={listPoints([
            [view.x(mark.s) - 7, view.y(mark.h)],
            [view.x(mark.s) + 7, view.y(mark.h)],
          ])}
          stroke="var(--enamel)"
          strokeWidth={2.4}
        />
      ))}
      <rect
        x={x}
        y={top}
        width={GAUGE_PX.width}
        height={bottom - top}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <rect
        x={x + 3}
        y={yOf(section.shownL)}
        width={GAUGE_PX.width - 6}
        height={bottom - yOf(section.shownL)}
        fill="var(--water)"
        fillOpacity={0.5}
      />
      <Stroke
        points={listPoints([
          [x - 8, yOf(litres)],
          [x + GAUGE_PX.width + 4, yOf(litres)],
        ])}
        stroke="var(--ink)"
        strokeWidth={2.4}
      />
      <HaloText x={x + GAUGE_PX.width} y={top - 20} anchor="end" tone="ink">
        {WORDS.gauge(formatQuantity(section.shownL, "volume", units))}
      </HaloText>
      <HaloText
        x={x + GAUGE_PX.width}
        y={top - 6}
        anchor="end"
        tone={Math.abs(out) > 0.1 * capacity ? "signal" : "faint"}
      >
        {WORDS.trueIt(formatQuantity(litres, "volume", units))}
      </HaloText>
    </g>
  );
}

const toBounds = ({ outline, fullH }: TankSection): Bounds => ({
  left: Math.min(...outline.map((p) => p.s)),
  right: Math.max(...outline.map((p) => p.s)),
  low: Math.min(...outline.map((p) => p.h)),
  high: Math.max(fullH, ...outline.map((p) => p.h)),
});
