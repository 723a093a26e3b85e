import type { LongSection, SectionPoint } from "@/core/section/longSection";
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
  return (
    <g>
      <HeightScale view={view} layout={layout} tickUnitMm={tickUnitMm} formatTick={formatTick} />
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
    </g>
  );
}

function HeightScale({
  view,
  layout,
  tickUnitMm,
  formatTick,
}: Pick<SceneryProps, "view" | "layout" | "tickUnitMm" | "formatTick">) {
  const step = findTickStep(view.ky * tickUnitMm, 34) * tickUnitMm;
  const ticks = listTicks(layout.lowH - 400, layout.highH + 400, step).filter((h) => {
    const y = view.y(h);
    return y > 12 && y < view.height - 6;
  });
  return (
    <g>
      {ticks.map((h) => (
        <g key={h}>
          <line
            x1={EDGE_PX}
            x2={view.width}
            y1={view.y(h)}
            y2={view.y(h)}
            stroke="var(--rule)"
            strokeWidth={1}
            opacity={h === 0 ? 0 : 0.5}
          />
          <text x={EDGE_PX - 6} y={view.y(h) + 4} textAnchor="end" fontSize={12} style={{ fill: "var(--faint)" }}>
            {formatTick(h)}
          </text>
        </g>
      ))}
    </g>
  );
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
