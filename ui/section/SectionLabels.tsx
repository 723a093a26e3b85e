import { memo } from "react";
import type { Design } from "@/core/design/design";
import type { DrainResult, TankResult } from "@/core/evaluate/evaluation";
import type { LongSection } from "@/core/section/sectionLayout";
import { toWorkingId } from "@/core/workings/working";
import * as WORDS from "@/words/panels/section/sectionLabels";
import { formatLength, formatLengthFigure, formatQuantity, type Units } from "@/words/units";
import type { View } from "../drawing/view";
import { Figure } from "../kit/Figure";

type LabelsProps = {
  readonly design: Design;
  readonly layout: LongSection;
  readonly view: View;
  readonly drain: DrainResult;
  readonly tank: TankResult | null;
  readonly units: Units;
  /** Something is being pulled. */
  readonly isPulled: boolean;
};

/** Runs shorter than this on the screen have no room for their figures; the strip below has them. */
const LEAST_PX = 92;

/** On a sheet narrower than this the drops leave their figures to the strip; they would stand in those of the runs. */
const NARROW_PX = 560;

/** The seal stands left of the trap, and the heights left of that. */
const SEAL_ROOM_PX = 130;

/** The figures of the section, where they apply; each opens to its working. */
export function SectionLabels({ design, layout, view, drain, tank, units, isPulled }: LabelsProps) {
  const line = design.lines.find((l) => l.id === drain.lineId);
  const bore = line?.pipe.innerMm ?? 0;
  return (
    // on a layer of their own, and not to be hit while they move: else the browser sorts all layers of the page anew
    <div
      className={`pointer-events-none absolute inset-0 will-change-transform ${isPulled ? "" : "*:pointer-events-auto"}`}
    >
      {layout.nodes.slice(1).map((to, i) => {
        const from = layout.nodes[i]!;
        const isRun = drain.legs[i]!.kind === "run";
        const width = view.x(to.s) - view.x(from.s);
        const height = view.y(to.h) - view.y(from.h);
        if (isRun ? width < LEAST_PX : height < 44 || view.width < NARROW_PX) return null;
        const x = view.x((from.s + to.s) / 2);
        // a drop says its height up beside it, clear of what the run at its foot says
        const h = isRun ? (from.h + to.h) / 2 + bore : from.h + (to.h - from.h) * 0.38;
        const y = view.y(h);
        const at = { kind: "leg", lineId: drain.lineId, index: i } as const;
        return isRun ? (
          <RunLabel
            key={`leg-${String(i)}`}
            x={Math.round(x)}
            y={Math.round(y - 6)}
            working={toWorkingId("legFall", at, "here")}
            label={WORDS.leg(i + 1)}
            {...sayRun(drain, i, units)}
          />
        ) : (
          <PlainLabel
            key={`leg-${String(i)}`}
            x={Math.round(x + 12)}
            y={Math.round(y)}
            anchor="left"
            working={toWorkingId("dropFall", at, "here")}
            label={WORDS.dropLeg(i + 1)}
            text={WORDS.drop(formatLengthFigure(drain.here.legs[i]!.fallMm, units))}
          />
        );
      })}
      {drain.trapWater && layout.trapSurfaceH !== null && view.x(layout.outlet.s) > SEAL_ROOM_PX && (
        <PlainLabel
          x={Math.round(view.x(layout.outlet.s) - 16)}
          y={Math.round(view.y(layout.trapSurfaceH))}
          anchor="right"
          working={toWorkingId("trapSeal", { kind: "trap", lineId: drain.lineId })}
          label={WORDS.trapSeal}
          text={WORDS.seal(formatLengthFigure(drain.trapWater.sealMm, units))}
        />
      )}
      {tank && layout.tank && (
        <PlainLabel
          x={Math.round(view.x(Math.min(...layout.tank.outline.map((p) => p.s))))}
          y={Math.round(view.y(Math.min(...layout.tank.outline.map((p) => p.h))) + 5)}
          anchor="corner"
          working={toWorkingId("tankFull", { kind: "tank", id: tank.tankId }, "here")}
          label={WORDS.tankFullAt}
          text={WORDS.full(formatQuantity(tank.here.litres, "volume", units))}
        />
      )}
    </div>
  );
}

// What a run says of itself, in words: as long as they stay the same nothing is drawn anew.
function sayRun(drain: DrainResult, index: number, units: Units) {
  const leg = drain.legs[index]!;
  const { fallMm, inHandMm } = drain.here.legs[index]!;
  const slope = leg.planLengthMm > 0 ? (fallMm / leg.planLengthMm) * 1000 : 0;
  const isShort = inHandMm < 0;
  return {
    slope: formatQuantity(slope, "slope", units),
    hand: isShort ? WORDS.short(formatLength(-inHandMm, units)) : WORDS.inHand(formatLength(inHandMm, units)),
    isShort,
  };
}

/** Whole pixels, that a move too small to be seen draws nothing anew. */
type LabelProps = { readonly x: number; readonly y: number; readonly working: string; readonly label: string };

type RunLabelProps = LabelProps & ReturnType<typeof sayRun>;

const RunLabel = memo(function RunLabel({ x, y, working, label, slope, hand, isShort }: RunLabelProps) {
  return (
    <Tag x={x} y={y} anchor="below">
      <Figure working={working} label={label} className="bg-sheet/80 px-1 text-center leading-[1.15]">
        <span className="block text-[13px] text-faint">{slope}</span>
        <span className={`block text-[16px] ${isShort ? "bg-signal px-1 text-on-signal" : "text-ink"}`}>{hand}</span>
      </Figure>
    </Tag>
  );
});

type PlainLabelProps = LabelProps & { readonly anchor: "left" | "right" | "corner"; readonly text: string };

const PlainLabel = memo(function PlainLabel({ x, y, anchor, working, label, text }: PlainLabelProps) {
  return (
    <Tag x={x} y={y} anchor={anchor}>
      <Figure
        working={working}
        label={label}
        className={
          anchor === "corner" ? "bg-sheet/85 px-0.5 text-[14px] leading-tight text-signal" : "text-[14px] text-faint"
        }
      >
        {text}
      </Figure>
    </Tag>
  );
});

const ANCHORS = {
  below: "items-end justify-center",
  left: "items-center justify-start",
  right: "items-center justify-end",
  corner: "items-start justify-start",
} as const;

// Hung on a box without size and not shifted by a transform, which would cost the same sorting.
function Tag({
  x,
  y,
  anchor,
  children,
}: {
  readonly x: number;
  readonly y: number;
  readonly anchor: keyof typeof ANCHORS;
  readonly children: React.ReactNode;
}) {
  return (
    <div className={`absolute flex size-0 whitespace-nowrap *:shrink-0 ${ANCHORS[anchor]}`} style={{ left: x, top: y }}>
      {children}
    </div>
  );
}
