"use client";
import { useId, useMemo, useRef } from "react";
import { sumFillLps } from "@/core/air/filling";
import type { Vent } from "@/core/design/plumbing";
import { buildNetwork } from "@/core/falls/network";
import { layOutVentSection, unprojectVentPull, type VentSection } from "@/core/section/ventSection";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describePart } from "@/words/describePart";
import * as WORDS from "@/words/panels/air/airStage";
import { formatLength, formatQuantity, type Units } from "@/words/units";
import { DrawingTools, TOOLS_CORNER } from "../../drawing/DrawingTools";
import { HaloText } from "../../drawing/HaloText";
import { Handle, type Pull } from "../../drawing/Handle";
import { Hatches } from "../../drawing/Hatches";
import { Outline, Paper, Stroke } from "../../drawing/Stroke";
import { useFrame } from "../../drawing/useFrame";
import { useZoom } from "../../drawing/useZoom";
import { type Bounds, fitView, listPoints, toPoints, type View } from "../../drawing/view";
import { Trade } from "../../glossary/Trade";
import { Figure } from "../../kit/Figure";
import { StagePick } from "../../kit/StagePick";
import { useSay } from "../../kit/useSay";
import { StageHeader } from "../StageHeader";
import { useSide } from "../useSide";

const PAD = { left: 70, right: 110, top: 42, bottom: 104 };
/** What is written at the open end takes so much; nearer to the edge of the sheet it stands left of it, px. */
const END_NAME_PX = 160;
/** So wide is the name of the worst level, at the right edge; where a point stands in it, it goes under its line, px. */
const WORST_NAME_PX = 160;
/** Strip of the pressure under the drawing, px. */
const STRIP_PX = 74;

/** The breather unrolled like a drain: heights, dips, tees, its end, where the water may come to, and the pressure along it. */
export function AirStage() {
  const side = useSide();
  const design = useWorkbench((state) => state.history?.design ?? null);
  const ventId = useWorkbench((state) => state.ventId);
  if (!design) return null;
  const vents = design.lines.filter((line): line is Vent => line.kind === "vent");
  const vent = vents.find(({ id }) => id === ventId) ?? vents[0];
  if (!vent) {
    return (
      <section aria-label={WORDS.theBreather} className="flex flex-1 items-center justify-center bg-sheet p-8">
        <p>
          <Trade>{WORDS.noBreatherYetFitOne(side)}</Trade>
        </p>
      </section>
    );
  }
  return <VentSheet key={vent.id} vent={vent} vents={vents} onPick={(id) => look({ ventId: id })} />;
}

type VentSheetProps = { readonly vent: Vent; readonly vents: readonly Vent[]; readonly onPick: (id: string) => void };

function VentSheet({ vent, vents, onPick }: VentSheetProps) {
  const design = useWorkbench((state) => state.history!.design);
  const attitude = useWorkbench((state) => state.attitude);
  const dragBase = useWorkbench((state) => state.dragBase);
  const exaggeration = useWorkbench((state) => state.exaggeration);
  const units = useWorkbench((state) => state.units);
  const result = useWorkbench((state) => state.evaluation?.tanks.find((t) => t.tankId === vent.fromTank) ?? null);
  const frame = useFrame<SVGSVGElement>();
  const zooming = useZoom(frame.element);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<Bounds | null>(null);
  const section = useMemo(() => {
    const fillLps = sumFillLps(design, buildNetwork(design), vent.fromTank);
    return layOutVentSection(design, vent, attitude, result?.air ?? null, fillLps);
  }, [design, vent, attitude, result]);
  if (!dragBase || !still.current) still.current = toBounds(section);
  const bounds = still.current;
  const { width, height } = frame.size;
  const { zoom } = zooming;
  const view = useMemo(() => {
    const pad = width < 600 ? { ...PAD, left: 28, right: 40 } : PAD;
    return fitView({ bounds, width, height, pad, exaggeration, zoom });
  }, [bounds, width, height, exaggeration, zoom]);
  const air = result?.air ?? null;
  return (
    <section aria-label={WORDS.theBreather} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={vent.name}
        choice={
          vents.length > 1 ? (
            <StagePick label={WORDS.breatherShown} value={vent.id} options={vents} onPick={onPick} />
          ) : undefined
        }
        text={
          air ? (
            <>
              {WORDS.dumpingSucks}{" "}
              <Figure
                working={toWorkingId("dumpSuction", { kind: "tank", id: vent.fromTank })}
                label={WORDS.suctionWhileDumping}
                className="font-semibold"
              >
                {formatQuantity(air.suctionPa, "pressure", units)}
              </Figure>
              {air.sealAfterMm !== null && (
                <>
                  ;{" "}
                  <span className={air.breaksSeal ? "font-semibold text-signal" : ""}>
                    {air.breaksSeal
                      ? WORDS.theWeakestTrapIsPulled
                      : WORDS.theWeakestTrapKeepsOf(formatLength(air.sealAfterMm, units))}
                  </span>
                </>
              )}
              .
            </>
          ) : (
            WORDS.giveTheTankADump
          )
        }
      />
      <div className="apart relative min-h-0 flex-1">
        <svg
          ref={frame.ref}
          className="drawing absolute inset-0 size-full"
          role="group"
          aria-label={WORDS.unrolledFromItsTankTo(vent.name)}
        >
          <Paper />
          <Hatches id={hatch} />
          {width > 0 && (
            <>
              <Around section={section} view={view} hatch={hatch} />
              <g data-part={`line:${vent.id}`}>
                <Course section={section} view={view} units={units} />
              </g>
              <Pressures section={section} view={view} units={units} />
              {section.nodes
                .filter(({ role }) => role !== "port")
                .map((node) => (
                  <Handle
                    key={`${node.lineId}-${node.point}`}
                    part={{ kind: "bend", lineId: node.lineId, index: node.point }}
                    label={WORDS.move(describePart({ kind: "bend", lineId: node.lineId, index: node.point }, design))}
                    at={[view.x(node.s), view.y(node.h)]}
                    pxPerMm={{ x: view.kx, y: view.ky }}
                    toShift={(base, pull: Pull) => {
                      const now = base.lines.find((line): line is Vent => line.kind === "vent" && line.id === vent.id);
                      return unprojectVentPull(base, now ?? vent, node, attitude, pull.across, pull.up);
                    }}
                  />
                ))}
            </>
          )}
        </svg>
        <div className={TOOLS_CORNER}>
          <DrawingTools zooming={zooming} of="breather" />
        </div>
      </div>
    </section>
  );
}

type PartProps = { readonly section: VentSection; readonly view: View };

// Floor and ground, and how high the tank's water may come, as it stands and at the worst.
function Around({ section, view, hatch }: PartProps & { readonly hatch: string }) {
  const say = useSay();
  const [from, to] = [section.nodes[0]!.s - 4000, section.nodes.at(-1)!.s + 4000];
  const line = (h: number) => toPoints(view, [[from, h] as const, [to, h] as const]);
  const { floorH } = section;
  const floor = toPoints(view, [
    [from, floorH[0]] as const,
    [section.nodes[0]!.s, floorH[0]] as const,
    [section.nodes.at(-1)!.s, floorH[1]] as const,
    [to, floorH[1]] as const,
  ]);
  const worstY = view.y(section.worstFloodH);
  const isCrossed = section.nodes.some(
    ({ s, h }) => view.x(s) > view.width - WORST_NAME_PX && Math.abs(view.y(h) - worstY + 9) < 20,
  );
  return (
    <g>
      {view.y(section.groundH) < view.height - STRIP_PX && (
        <>
          <Stroke points={line(section.groundH)} stroke="var(--ink)" strokeWidth={1.4} />
          <Outline
            points={toPoints(view, [
              [from, section.groundH] as const,
              [to, section.groundH] as const,
              [to, section.groundH - 60] as const,
              [from, section.groundH - 60] as const,
            ])}
            fill={`url(#${hatch}-ground)`}
          />
        </>
      )}
      <Stroke points={floor} stroke="var(--edge)" strokeWidth={1.4} strokeDasharray="12 3" />
      <HaloText x={8} y={view.y(floorH[0]) - 5}>
        {say(WORDS.underTheFloor)}
      </HaloText>
      <Stroke points={line(section.floodH)} stroke="var(--water)" strokeWidth={1.6} />
      <HaloText x={8} y={view.y(section.floodH) + 14}>
        {WORDS.waterAtFull}
      </HaloText>
      {section.worstFloodH > section.floodH + 1 && (
        <>
          <Stroke points={line(section.worstFloodH)} stroke="var(--signal)" strokeWidth={1.2} strokeDasharray="7 4" />
          <HaloText x={view.width - 8} y={worstY + (isCrossed ? 15 : -5)} anchor="end" tone="signal">
            {WORDS.fullStandingAtTheWorst}
          </HaloText>
        </>
      )}
    </g>
  );
}

function Course({ section, view, units }: PartProps & { readonly units: Units }) {
  const points = toPoints(
    view,
    section.nodes.map(({ s, h }) => [s, h] as const),
  );
  const end = section.nodes.at(-1)!;
  const endsNearEdge = view.x(end.s) > view.width - END_NAME_PX;
  return (
    <g fill="none" strokeLinejoin="round">
      <Stroke points={points} stroke="var(--ink)" strokeWidth={9} />
      <Stroke points={points} stroke="var(--sheet)" strokeWidth={5.5} />
      <Stroke points={points} stroke="var(--ink)" strokeWidth={1} strokeDasharray="1 5" />
      {section.nodes.map(({ lineId, point, s, h, role, dipMm }) => (
        <g key={`${lineId}-${point}`}>
          {dipMm > 0.5 && (
            <HaloText x={view.x(s)} y={view.y(h) + 24} anchor="middle" tone="signal">
              {WORDS.sags(formatLength(dipMm, units))}
            </HaloText>
          )}
          {role === "tee" && (
            <HaloText x={view.x(s)} y={view.y(h) - 12} anchor="middle">
              {WORDS.tee}
            </HaloText>
          )}
        </g>
      ))}
      <g stroke="var(--ink)" strokeWidth={2}>
        <Stroke
          points={listPoints([
            [view.x(end.s) - 8, view.y(end.h) - 3],
            [view.x(end.s) + 8, view.y(end.h) - 3],
          ])}
        />
      </g>
      <HaloText
        x={view.x(end.s) + (endsNearEdge ? -14 : 14)}
        y={view.y(end.h) + 4}
        anchor={endsNearEdge ? "end" : "start"}
        tone="ink"
      >
        {WORDS.openEndOverFull(formatLength(end.h - section.floodH, units))}
      </HaloText>
      <HaloText x={view.x(section.nodes[0]!.s) - 10} y={view.y(section.nodes[0]!.h) + 16} anchor="end" tone="ink">
        {WORDS.tank}
      </HaloText>
    </g>
  );
}

// From nothing at the open end to the whole at the tank: sucked while dumping, pushed while filling.
function Pressures({ section, view, units }: PartProps & { readonly units: Units }) {
  const most = Math.max(1, ...section.suctionPa, ...section.fillPa);
  const base = view.height - 12;
  const y = (pa: number) => base - (pa / most) * (STRIP_PX - 34);
  const curve = (values: readonly number[]) =>
    listPoints(section.nodes.map(({ s }, i) => [view.x(s), y(values[i]!)] as const));
  const first = view.x(section.nodes[0]!.s);
  return (
    <g data-testid="vent-pressure">
      <Stroke
        points={listPoints([
          [0, base],
          [view.width, base],
        ])}
        stroke="var(--edge)"
      />
      <Stroke points={curve(section.suctionPa)} stroke="var(--signal)" strokeWidth={2.2} />
      <Stroke points={curve(section.fillPa)} stroke="var(--enamel)" strokeWidth={2.2} strokeDasharray="6 3" />
      <HaloText x={first - 6} y={y(section.suctionPa[0] ?? 0) + 4} anchor="end" tone="signal">
        {formatQuantity(section.suctionPa[0] ?? 0, "pressure", units)}
      </HaloText>
      <HaloText x={8} y={base - STRIP_PX + 4}>
        {WORDS.pressureAlongItWholeLine}
      </HaloText>
    </g>
  );
}

const toBounds = ({ nodes, floodH, floorH, groundH }: VentSection): Bounds => {
  const hs = [...nodes.map(({ h }) => h), floodH, ...floorH];
  const ss = nodes.map(({ s }) => s);
  return {
    left: Math.min(...ss) - 60,
    right: Math.max(Math.max(...ss), Math.min(...ss) + 400) + 60,
    low: Math.max(groundH, Math.min(...hs) - 120),
    high: Math.max(...hs) + 40,
  };
};
