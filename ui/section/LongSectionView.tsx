"use client";
import dynamic from "next/dynamic";
import { memo, useId, useMemo, useRef } from "react";
import type { Design } from "@/core/design/design";
import { measureFloorMm } from "@/core/design/floor";
import { findTrap } from "@/core/design/lineItems";
import { toPartKey } from "@/core/design/part";
import type { FixtureKind } from "@/core/design/plumbing";
import type { Severity } from "@/core/evaluate/findings";
import type { Leg } from "@/core/falls/drainPath";
import { isHit } from "@/core/fit/hits";
import { layOutLongSection } from "@/core/section/longSection";
import type { LongSection } from "@/core/section/sectionLayout";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/section/longSectionView";
import { DrawingTools, TOOLS_CORNER } from "../drawing/DrawingTools";
import { Hatches } from "../drawing/Hatches";
import { Paper } from "../drawing/Stroke";
import { findShownDrain, findShownResult } from "../drawing/shown";
import { TankLevelHandle } from "../drawing/TankLevelHandle";
import { useFrame } from "../drawing/useFrame";
import { useZoom } from "../drawing/useZoom";
import { type Bounds, EXAGGERATIONS, fitView, type View } from "../drawing/view";
import { Button } from "../kit/Button";
import { SectionDrain } from "./SectionDrain";
import { SectionGhost } from "./SectionGhost";
import { SectionHandles } from "./SectionHandles";
import { SectionLabels } from "./SectionLabels";
import { SectionScenery } from "./SectionScenery";
import { SectionTank } from "./SectionTank";

const SectionPour = dynamic(() => import("../pour/SectionPour").then((module) => module.SectionPour), { ssr: false });

const SectionMarks = dynamic(() => import("./SectionMarks").then((module) => module.SectionMarks), { ssr: false });

const TAPPED = new Set<FixtureKind>(["kitchenSink", "basin", "bath"]);

const PAD = { left: 56, right: 16, top: 46, bottom: 22 };
/** Where its tools are as large as a thumb and reach over the drawing. */
const THUMB_PAD = { ...PAD, top: 66 };
const NARROW_PX = 600;

/** The rig is drawn on past sink and tank, further than a sheet is wide. */
const BEYOND_MM = 6_000;

/** The signature drawing: one drain unrolled from fixture to tank, to scale, as the rig stands. */
export function LongSectionView() {
  const design = useWorkbench((state) => state.history?.design ?? null);
  const drainId = useWorkbench((state) => state.drainId);
  const attitude = useWorkbench((state) => state.attitude);
  const fillShare = useWorkbench((state) => state.fillShare);
  const exaggeration = useWorkbench((state) => state.exaggeration);
  const preview = useWorkbench((state) => state.preview);
  const dragBase = useWorkbench((state) => state.dragBase);
  const isPouring = useWorkbench((state) => state.pour !== null);
  const units = useWorkbench((state) => state.units);
  const result = useWorkbench(findShownResult);
  const evaluation = useWorkbench((state) => state.evaluation);
  const frame = useFrame<SVGSVGElement>();
  const { size } = frame;
  const zooming = useZoom(frame.element);
  const hatch = useId().replace(/[^a-z0-9]/gi, "");
  const still = useRef<{ readonly bounds: Bounds; readonly inletS: number } | null>(null);

  const drain = design ? findShownDrain(design, drainId) : null;
  const tank = evaluation?.tanks.find((t) => t.tankId === result?.tankId) ?? null;
  const tankL = fillShare * (tank?.here.litres ?? 0);
  const layout = useMemo(
    () => (design && drain ? layOutLongSection(design, drain, attitude, tankL, BEYOND_MM) : null),
    [design, drain, attitude, tankL],
  );
  const ghost = useMemo(() => {
    const after = preview ? findShownDrain(preview.design, drainId) : null;
    return preview && after ? layOutLongSection(preview.design, after, attitude, 0) : null;
  }, [preview, drainId, attitude]);

  // while something is pulled the paper must not move under the hand, and what stands still is not drawn again
  if (layout && (!dragBase || !still.current)) still.current = { bounds: toBounds(layout), inletS: findInletS(layout) };
  const hold = still.current;
  const isFixturePulled = dragBase !== null && workbench.getState().selection?.kind === "fixture";
  const slip = hold && layout && isFixturePulled ? hold.inletS - findInletS(layout) : 0;
  const { width, height } = size;
  const { zoom } = zooming;
  const fit = useMemo(
    () =>
      hold &&
      fitView({ bounds: hold.bounds, width, height, pad: width < NARROW_PX ? THUMB_PAD : PAD, exaggeration, zoom }),
    [hold, width, height, exaggeration, zoom],
  );
  const view = useMemo((): View | null => fit && { ...fit, x: (s) => fit.x(s + slip) }, [fit, slip]);
  if (!design || !drain || !layout || !result || !fit || !view) return <NoDrain />;

  const floorMm = measureFloorMm(design);
  const severities = evaluation?.findings.flatMap((f): [string, Severity][] =>
    f.at.kind === "leg" ? [[toPartKey(f.at), f.severity]] : [],
  );
  const ready = size.width > 0;

  return (
    <div className="apart relative min-h-0 flex-1 bg-sheet">
      <svg
        ref={frame.ref}
        className="drawing absolute inset-0 size-full"
        role="group"
        aria-label={WORDS.longSectionOf(drain.name)}
        onDoubleClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          void insertAt(
            layout,
            result.legs.slice(0, result.ownLegs),
            view,
            event.clientX - box.left,
            event.clientY - box.top,
          );
        }}
      >
        <Paper />
        <Hatches id={hatch} />
        {ready && (
          <>
            <SectionScenery
              layout={layout}
              view={view}
              hatch={hatch}
              floorJoints={toJoints(design.rig.floorLayers, floorMm)}
              units={units}
              isBoat={design.rig.kind === "boat"}
            />
            <SectionTank layout={layout} view={view} hatch={hatch} {...findHeld(design, result.tankId)} />
            <SectionDrain
              layout={layout}
              view={view}
              hatch={hatch}
              pipe={drain.pipe}
              trapKind={findTrap(drain)?.kind ?? null}
              hasTap={TAPPED.has(design.fixtures.find((f) => f.id === drain.fromFixture)?.kind ?? "basin")}
              legSeverity={({ lineId, index }) => {
                const key = toPartKey({ kind: "leg", lineId, index });
                return severities?.find(([leg]) => leg === key)?.[1] ?? null;
              }}
            />
            {isPouring && <SectionPour layout={layout} view={view} hatch={hatch} />}
            {ghost && <SectionGhost layout={ghost} view={view} />}
            <SectionHandles layout={layout} view={view} />
            {layout.tank && <TankLevelHandle tank={layout.tank} view={view} />}
            {evaluation?.findings.some(isHit) && <SectionMarks layout={layout} view={view} />}
          </>
        )}
      </svg>
      {ready && (
        <SectionLabels
          design={design}
          layout={layout}
          view={view}
          drain={result}
          tank={tank}
          units={units}
          isPulled={dragBase !== null}
        />
      )}
      <div className={TOOLS_CORNER}>
        <PourButton of={drain.fromFixture} isPouring={isPouring} />
        <Stretch ratio={fit.ratio} />
        <DrawingTools zooming={zooming} of="section" />
      </div>
    </div>
  );
}

/** A double click this near to a leg puts a bend into it, px. */
const NEAR_PX = 14;

async function insertAt(layout: LongSection, legs: readonly Leg[], view: View, x: number, y: number): Promise<void> {
  const { insertBend } = await import("../drawing/insertBend");
  for (const [i, leg] of legs.entries()) {
    const [from, to] = [layout.nodes[i]!, layout.nodes[i + 1]!];
    const [x0, y0, x1, y1] = [view.x(from.s), view.y(from.h), view.x(to.s), view.y(to.h)];
    const whole = (x1 - x0) ** 2 + (y1 - y0) ** 2;
    if (whole < 1) continue;
    const share = Math.min(1, Math.max(0, ((x - x0) * (x1 - x0) + (y - y0) * (y1 - y0)) / whole));
    if (Math.hypot(x0 + (x1 - x0) * share - x, y0 + (y1 - y0) * share - y) > NEAR_PX) continue;
    insertBend(leg, share);
    return;
  }
}

/** Lets the fixture that is shown run out, to be watched. */
const PourButton = memo(function PourButton({ of, isPouring }: { readonly of: string; readonly isPouring: boolean }) {
  return (
    <Button
      look="bare"
      aria-pressed={isPouring}
      onClick={() => look({ pour: isPouring ? null : { of, second: 0 } })}
      title={WORDS.seeTheWaterRunP}
    >
      {WORDS.pour}
    </Button>
  );
});

/** Heights drawn taller than lengths, by how much, and on to the next. */
const Stretch = memo(function Stretch({ ratio }: { readonly ratio: number }) {
  return (
    <>
      {ratio !== 1 && (
        <span className="figures mr-2 text-[13px] text-faint">
          {WORDS.heights} {ratio}
        </span>
      )}
      <Button
        look="bare"
        onClick={() => look({ exaggeration: nextExaggeration(ratio) })}
        title={WORDS.drawHeightsTallerThanLengths}
      >
        {ratio === 1 ? WORDS.stretchHeights : WORDS.stretch}
      </Button>
    </>
  );
});

const FirstSteps = dynamic(() => import("./FirstSteps").then((module) => module.FirstSteps), { ssr: false });

function NoDrain() {
  return (
    <div className="flex flex-1 items-center justify-center bg-sheet p-8 text-center">
      <FirstSteps />
    </div>
  );
}

const toBounds = (layout: LongSection): Bounds => ({
  left: layout.nearS,
  right: layout.farS,
  low: layout.lowH,
  high: layout.highH + 60,
});

const findInletS = (layout: LongSection): number => layout.nodes[layout.nodes.length - 1]!.s;

const findHeld = ({ tanks }: Design, id: string | null) => {
  const { wallMm, holds } = tanks.find((t) => t.id === id) ?? { wallMm: 4, holds: "grey" as const };
  return { wallMm, holds };
};

// Where the layers of the floor meet, as shares of its thickness from the top.
function toJoints(layers: readonly { readonly thicknessMm: number }[], totalMm: number): number[] {
  let sum = 0;
  return layers.slice(0, -1).map((layer) => {
    sum += layer.thicknessMm;
    return totalMm > 0 ? sum / totalMm : 0;
  });
}

function nextExaggeration(ratio: number): number {
  const index = EXAGGERATIONS.indexOf(ratio as (typeof EXAGGERATIONS)[number]);
  return EXAGGERATIONS[(index + 1) % EXAGGERATIONS.length]!;
}
