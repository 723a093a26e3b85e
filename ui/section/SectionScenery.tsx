import type { LongSection, SectionPoint } from "@/core/section/sectionLayout";
import { toObstacleFill } from "../drawing/Hatches";
import { findTickStep, listTicks, toPath, type View } from "../drawing/view";

type SceneryProps = {
  readonly layout: LongSection;
  readonly view: View;
  readonly hatch: string;
  /** Shares of the floor's thickness at which one layer ends and the next begins. */
  readonly floorJoints: readonly number[];
  /** What the heights are counted in, mm: ticks are round in it. */
  readonly tickUnitMm: number;
  readonly formatTick: (mm: number) => string;
};

const EDGE_PX = 46;
const GROUND_BAND_PX = 9;

const pairs = (points: readonly SectionPoint[]) => points.map((p) => [p.s, p.h] as const);

/** What is there before anything is plumbed: heights, ground, sill, waterline, floor, and what is under it. */
export function SectionScenery({ layout, view, hatch, floorJoints, tickUnitMm, formatTick }: SceneryProps) {
  const heights = listHeights(view, layout, tickUnitMm);
  return (
    <g>
      <HeightLines view={view} heights={heights} />
      {layout.obstacles.map(({ obstacle, corners }, i) => (
        <path
          // one obstacle may be cut twice by a drain that turns back
          // biome-ignore lint/suspicious/noArrayIndexKey: the cuts have no name of their own
          key={`${obstacle.id}-${i}`}
          d={toPath(view, pairs(corners), true)}
          fill={toObstacleFill(hatch, obstacle.kind)}
          stroke="var(--edge)"
          strokeWidth={1}
        >
          <title>{obstacle.name}</title>
        </path>
      ))}
      <Ground layout={layout} view={view} hatch={hatch} />
      {layout.sill.length > 0 && (
        <path
          d={toPath(view, pairs(layout.sill))}
          fill="none"
          stroke="var(--faint)"
          strokeWidth={1}
          strokeDasharray="14 4 2 4"
        />
      )}
      {layout.waterline !== null && <Waterline view={view} height={layout.waterline} />}
      <Floor layout={layout} view={view} hatch={hatch} joints={floorJoints} />
      <HeightFigures view={view} heights={heights} formatTick={formatTick} />
      <LineNames layout={layout} view={view} />
    </g>
  );
}

/** Heights worth a line: round in the reader's unit, far enough apart to be read, inside the sheet. */
function listHeights(view: View, layout: LongSection, unitMm: number): number[] {
  const step = findTickStep(view.ky * unitMm, 34) * unitMm;
  return listTicks(layout.lowH - 400, layout.highH + 400, step).filter((h) => {
    const y = view.y(h);
    return y > 12 && y < view.height - 6;
  });
}

type HeightProps = { readonly view: View; readonly heights: readonly number[] };

function HeightLines({ view, heights }: HeightProps) {
  return (
    <g stroke="var(--rule)" strokeWidth={1} opacity={0.5}>
      {heights.map((h) => (
        <line key={h} x1={EDGE_PX} x2={view.width} y1={view.y(h)} y2={view.y(h)} />
      ))}
    </g>
  );
}

// A margin of plain sheet, so that no line of the drawing runs through a figure.
function HeightFigures({ view, heights, formatTick }: HeightProps & Pick<SceneryProps, "formatTick">) {
  return (
    <g>
      <rect x={0} y={0} width={EDGE_PX - 3} height={view.height} fill="var(--sheet)" />
      <line x1={EDGE_PX - 3} x2={EDGE_PX - 3} y1={0} y2={view.height} stroke="var(--rule)" />
      {heights.map((h) => (
        <text key={h} x={EDGE_PX - 8} y={view.y(h) + 4} textAnchor="end" fontSize={12} style={{ fill: "var(--faint)" }}>
          {formatTick(h)}
        </text>
      ))}
    </g>
  );
}

/** What the long lines are, written on them at the edge of the sheet. */
function LineNames({ layout, view }: Pick<SceneryProps, "layout" | "view">) {
  const lines: readonly (readonly [string, readonly SectionPoint[]])[] = [
    ["finished floor", layout.floorTop],
    ["sill", layout.sill],
    ["ground", layout.ground],
  ];
  return lines.map(([name, points]) => {
    const y = findHeightAtRight(points, view);
    return y === null ? null : (
      <text
        key={name}
        x={view.width - 8}
        y={y - 4}
        textAnchor="end"
        fontSize={12}
        stroke="var(--sheet)"
        strokeWidth={3}
        paintOrder="stroke"
        style={{ fill: "var(--faint)" }}
      >
        {name}
      </text>
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
  const line = toPath(view, pairs(layout.ground));
  const back = [...layout.ground]
    .reverse()
    .map((p) => `L${view.x(p.s).toFixed(1)} ${(view.y(p.h) + GROUND_BAND_PX).toFixed(1)}`)
    .join("");
  return (
    <g>
      <path d={`${line}${back}Z`} fill={`url(#${hatch}-ground)`} />
      <path d={line} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
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
  const joint = (share: number) => floorTop.map((p, i) => [p.s, p.h + (floorUnder[i]!.h - p.h) * share] as const);
  return (
    <g>
      <path
        d={toPath(view, [...pairs(floorTop), ...pairs(floorUnder).reverse()], true)}
        fill={`url(#${hatch}-floor)`}
      />
      {joints.map((share) => (
        <path key={share} d={toPath(view, joint(share))} fill="none" stroke="var(--edge)" strokeWidth={0.8} />
      ))}
      <path d={toPath(view, pairs(floorTop))} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
      <path d={toPath(view, pairs(floorUnder))} fill="none" stroke="var(--ink)" strokeWidth={1} />
    </g>
  );
}

function Waterline({ view, height }: { readonly view: View; readonly height: number }) {
  const y = view.y(height);
  const waves = "q6 -4 12 0t12 0".repeat(Math.ceil(view.width / 24));
  return <path d={`M${EDGE_PX} ${y.toFixed(1)}${waves}`} fill="none" stroke="var(--enamel)" strokeWidth={1.2} />;
}
