import type { Design } from "@/core/design/design";
import type { DrainResult, TankResult } from "@/core/evaluate/evaluation";
import type { LongSection } from "@/core/section/sectionLayout";
import { toWorkingId } from "@/core/workings/working";
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
        return (
          <Tag key={`leg-${String(i)}`} x={isRun ? x : x + 12} y={isRun ? y - 6 : y} anchor={isRun ? "below" : "left"}>
            {isRun ? (
              <RunFigures drain={drain} index={i} units={units} />
            ) : (
              <Figure
                working={toWorkingId("dropFall", { kind: "leg", lineId: drain.lineId, index: i }, "here")}
                label={`Drop, leg ${i + 1}`}
                className="text-[14px] text-faint"
              >
                drop {formatLengthFigure(drain.here.legs[i]!.fallMm, units)}
              </Figure>
            )}
          </Tag>
        );
      })}
      {drain.trapWater && layout.trapSurfaceH !== null && view.x(layout.outlet.s) > SEAL_ROOM_PX && (
        <Tag x={view.x(layout.outlet.s) - 16} y={view.y(layout.trapSurfaceH)} anchor="right">
          <Figure
            working={toWorkingId("trapSeal", { kind: "trap", lineId: drain.lineId })}
            label="Trap seal"
            className="text-[14px] text-faint"
          >
            seal {formatLengthFigure(drain.trapWater.sealMm, units)}
          </Figure>
        </Tag>
      )}
      {tank && layout.tank && (
        <Tag
          x={view.x(Math.min(...layout.tank.outline.map((p) => p.s)))}
          y={view.y(Math.min(...layout.tank.outline.map((p) => p.h))) + 5}
          anchor="corner"
        >
          <Figure
            working={toWorkingId("tankFull", { kind: "tank", id: tank.tankId }, "here")}
            label="Tank full at"
            className="bg-sheet/85 px-0.5 text-[14px] leading-tight text-signal"
          >
            full {formatQuantity(tank.here.litres, "volume", units)}
          </Figure>
        </Tag>
      )}
    </div>
  );
}

function RunFigures({
  drain,
  index,
  units,
}: {
  readonly drain: DrainResult;
  readonly index: number;
  readonly units: Units;
}) {
  const leg = drain.legs[index]!;
  const { fallMm, inHandMm } = drain.here.legs[index]!;
  const slope = leg.planLengthMm > 0 ? (fallMm / leg.planLengthMm) * 1000 : 0;
  const short = inHandMm < 0;
  return (
    <Figure
      working={toWorkingId("legFall", { kind: "leg", lineId: drain.lineId, index }, "here")}
      label={`Leg ${index + 1}`}
      className="bg-sheet/80 px-1 text-center leading-[1.15]"
    >
      <span className="block text-[13px] text-faint">{formatQuantity(slope, "slope", units)}</span>
      <span className={`block text-[16px] ${short ? "bg-signal px-1 text-on-signal" : "text-ink"}`}>
        {short ? `${formatLength(-inHandMm, units)} short` : `${formatLength(inHandMm, units)} in hand`}
      </span>
    </Figure>
  );
}

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
    <div
      className={`absolute flex size-0 whitespace-nowrap *:shrink-0 ${ANCHORS[anchor]}`}
      style={{ left: Math.round(x), top: Math.round(y) }}
    >
      {children}
    </div>
  );
}
