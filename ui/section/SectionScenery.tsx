import { memo } from "react";
import { MM_PER_IN } from "@/core/quantity/convert";
import type { LongSection, SectionPoint } from "@/core/section/sectionLayout";
import * as WORDS from "@/words/panels/section/sectionScenery";
import { formatLengthFigure, type Units } from "@/words/units";
import { HaloText } from "../drawing/HaloText";
import { toObstacleFill } from "../drawing/Hatches";
import { Outline, Stroke } from "../drawing/Stroke";
import { findTickStep, listPoints, listTicks, toPoints, type View } from "../drawing/view";
import { trimToSheet } from "./trimToSheet";

type SceneryProps = {
  readonly layout: LongSection;
  readonly view: View;
  readonly hatch: string;
  /** Shares of the floor's thickness at which one layer ends and the next begins. */
  readonly floorJoints: readonly number[];
  readonly units: Units;
  /** A boat has a sole, a keel and a waterline. */
  readonly isBoat: boolean;
};

const EDGE_PX = 46;
const GROUND_BAND_PX = 9;

const pairs = (points: readonly SectionPoint[]) => points.map((p) => [p.s, p.h] as const);

/** What is there before anything is plumbed: heights, ground, sill, waterline, floor, and what is under it. */
export function SectionScenery({ layout, view, hatch, floorJoints, units, isBoat }: SceneryProps) {
  return (
    <g>
      <HeightLines view={view} units={units} />
      {layout.obstacles.map(({ obstacle, corners }, i) => (
        <Outline
          // one obstacle may be cut twice by a drain that turns back
          // biome-ignore lint/suspicious/noArrayIndexKey: the cuts have no name of their own
          key={`${obstacle.id}-${i}`}
          points={toPoints(view, pairs(corners))}
          fill={toObstacleFill(hatch, obstacle.kind)}
          stroke="var(--edge)"
          strokeWidth={1}
        >
          <title>{obstacle.name}</title>
        </Outline>
      ))}
      <Ground layout={layout} view={view} hatch={hatch} />
      {layout.sill.length > 0 && (
        <Stroke
          points={listPoints(trimToSheet(view, pairs(layout.sill)))}
          stroke="var(--faint)"
          strokeWidth={1}
          strokeDasharray="14 4 2 4"
        />
      )}
      {layout.waterline !== null && <Waterline view={view} height={layout.waterline} />}
      <Floor layout={layout} view={view} hatch={hatch} joints={floorJoints} />
      <HeightFigures view={view} units={units} />
      <LineNames layout={layout} view={view} isBoat={isBoat} />
    </g>
  );
}

type HeightProps = { readonly view: View; readonly units: Units };

/** Heights worth a line: round in the reader's unit, far enough apart to be read, on the sheet. */
function listHeights({ view, units }: HeightProps): number[] {
  const unitMm = units === "metric" ? 1 : MM_PER_IN;
  const step = findTickStep(view.ky * unitMm, 34) * unitMm;
  const base = view.y(0);
  return listTicks((base - view.height + 6) / view.ky, (base - 12) / view.ky, step);
}

const HeightLines = memo(function HeightLines({ view, units }: HeightProps) {
  return (
    <g stroke="var(--rule)" strokeWidth={1} strokeOpacity={0.5}>
      {listHeights({ view, units }).map((h) => (
        <line key={h} x1={EDGE_PX} x2={view.width} y1={view.y(h)} y2={view.y(h)} />
      ))}
    </g>
  );
});

// A margin of plain sheet, so that no line of the drawing runs through a figure.
const HeightFigures = memo(function HeightFigures({ view, units }: HeightProps) {
  return (
    <g>
      <rect x={0} y={0} width={EDGE_PX - 3} height={view.height} fill="var(--sheet)" />
      <line x1={EDGE_PX - 3} x2={EDGE_PX - 3} y1={0} y2={view.height} stroke="var(--rule)" />
      {listHeights({ view, units }).map((h) => (
        <text key={h} x={EDGE_PX - 8} y={view.y(h) + 4} textAnchor="end" fontSize={12} style={{ fill: "var(--faint)" }}>
          {formatLengthFigure(h, units)}
        </text>
      ))}
    </g>
  );
});

/** What the long lines are, written on them at the edge of the sheet. */
function LineNames({ layout, view, isBoat }: Pick<SceneryProps, "layout" | "view" | "isBoat">) {
  const lines: readonly (readonly [string, readonly SectionPoint[]])[] = [
    [isBoat ? WORDS.cabinSole : WORDS.finishedFloor, layout.floorTop],
    ["sill", layout.sill],
    [isBoat ? WORDS.undersideOfTheKeel : WORDS.ground, layout.ground],
  ];
  const named = lines.map(([name, points]) => [name, findHeightAtRight(points, view)] as const);
  const water = layout.waterline === null ? null : view.y(layout.waterline) - 4;
  return [...named, ["waterline", water] as const].map(([name, y]) => {
    return y === null ? null : (
      <HaloText key={name} x={view.width - 8} y={y - 4} anchor="end">
        {name}
      </HaloText>
    );
  });
}

// Where a line leaves the sheet at its right edge, px from the top.
function findHeightAtRight(points: readonly SectionPoint[], view: View): number | null {
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!];
    const [x0, x1] = [view.x(a.s), view.x(b.s)];
    if (x0 > view.width || x1 < view.width || x0 === x1) continue;
    const share = (view.width - x0) / (x1 - x0);
    return view.y(a.h + (b.h - a.h) * share);
  }
  return null;
}

function Ground({ layout, view, hatch }: Pick<SceneryProps, "layout" | "view" | "hatch">) {
  const line = toPoints(view, pairs(layout.ground));
  const band = GROUND_BAND_PX / view.ky;
  const under = toPoints(
    view,
    [...layout.ground].reverse().map((p) => [p.s, p.h - band] as const),
  );
  return (
    <g>
      <Outline points={`${line} ${under}`} fill={`url(#${hatch}-ground)`} />
      <Stroke points={line} stroke="var(--ink)" strokeWidth={1.6} />
    </g>
  );
}

function Floor({
  layout,
  view,
  hatch,
  joints,
}: Pick<SceneryProps, "layout" | "view" | "hatch"> & { readonly joints: readonly number[] }) {
  const { floorTop, floorUnder } = layout;
  const at = (share: number) =>
    trimToSheet(
      view,
      floorTop.map((p, i) => [p.s, p.h + (floorUnder[i]!.h - p.h) * share] as const),
    );
  const [top, under] = [at(0), at(1)];
  return (
    <g>
      <Outline points={listPoints([...top, ...[...under].reverse()])} fill={`url(#${hatch}-floor)`} />
      {joints.map((share) => (
        <Stroke key={share} points={listPoints(at(share))} stroke="var(--edge)" strokeWidth={0.8} />
      ))}
      <Stroke points={listPoints(top)} stroke="var(--ink)" strokeWidth={1.8} />
      <Stroke points={listPoints(under)} stroke="var(--ink)" strokeWidth={1} />
    </g>
  );
}

function Waterline({ view, height }: { readonly view: View; readonly height: number }) {
  const y = view.y(height);
  const waves = "q6 -4 12 0t12 0".repeat(Math.ceil(view.width / 24));
  return <path d={`M${EDGE_PX} ${y.toFixed(1)}${waves}`} fill="none" stroke="var(--enamel)" strokeWidth={1.2} />;
}
