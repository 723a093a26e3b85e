import type { Pipe, TrapKind } from "@/core/design/plumbing";
import type { Severity } from "@/core/evaluate/findings";
import type { LongSection, SectionPoint } from "@/core/section/sectionLayout";
import { BRANCH_VENT_NAMES } from "@/words/labels";
import { HaloText } from "../drawing/HaloText";
import { Outline, Stroke } from "../drawing/Stroke";
import { listPoints, toPoints, type View } from "../drawing/view";
import { cutPipeWater } from "./pipeWater";

type DrainProps = {
  readonly layout: LongSection;
  readonly view: View;
  readonly hatch: string;
  readonly pipe: Pipe;
  readonly trapKind: TrapKind | null;
  /** A tap is drawn over fixtures that have one. */
  readonly hasTap: boolean;
  /** Worst thing said against each leg. */
  readonly legSeverity: (leg: LongSection["legs"][number]) => Severity | null;
};

/** Sink, trap and pipe as they are cut by the section, with the water that stays in them. */
export function SectionDrain({ layout, view, hatch, pipe, trapKind, hasTap, legSeverity }: DrainProps) {
  const bore = pipe.innerMm;
  const centre = (p: SectionPoint): readonly [number, number] => [p.s, p.h + bore / 2];
  const legs = layout.nodes.slice(1).map((to, i) => {
    const from = layout.nodes[i]!;
    return {
      id: `leg-${i}`,
      part: `leg:${layout.legs[i]!.lineId}:${layout.legs[i]!.index}`,
      from,
      to,
      isRun: Math.abs(to.s - from.s) >= Math.abs(to.h - from.h),
      boreMm: layout.legs[i]!.boreMm,
      foam: layout.legs[i]!.foam,
      severity: legSeverity(layout.legs[i]!),
    };
  });
  const width = (isRun: boolean, boreMm = bore) => Math.max(4, boreMm * (isRun ? view.ky : view.kx));
  const trap = toPoints(
    view,
    layout.trap.map((p) => [p.s, p.h] as const),
  );
  const trapWidth = Math.max(4, bore * view.kx);
  const trapPart = `trap:${layout.lineId}`;
  return (
    <g strokeLinejoin="round" strokeLinecap="butt" fill="none" className="pipe" data-part={`line:${layout.lineId}`}>
      <Basin layout={layout} view={view} hasTap={hasTap} />
      {legs.map(
        ({ id, from, to, isRun, boreMm, foam }) =>
          foam && (
            <Stroke
              key={id}
              points={toPoints(view, [
                between(centre(from), centre(to), foam.from),
                between(centre(from), centre(to), foam.to),
              ])}
              stroke="var(--rule)"
              strokeWidth={width(isRun, boreMm) + 3.2 + foam.mm * (isRun ? view.ky : view.kx)}
            />
          ),
      )}
      {layout.trapFoamMm > 0 && (
        <Stroke points={trap} stroke="var(--rule)" strokeWidth={trapWidth + 3.2 + layout.trapFoamMm * view.kx} />
      )}
      {legs.map((leg) => (
        <Stroke
          key={leg.id}
          className="pipe pipe-edge"
          data-part={leg.part}
          points={toPoints(view, [centre(leg.from), centre(leg.to)])}
          stroke={toInk(leg.severity)}
          strokeWidth={width(leg.isRun, leg.boreMm) + 3.2}
          strokeLinecap="round"
        />
      ))}
      {layout.trap.length > 0 && (
        <>
          <Stroke
            className="pipe pipe-edge"
            data-part={trapPart}
            points={trap}
            stroke="var(--ink)"
            strokeWidth={trapWidth + 3.2}
          />
          <Stroke className="pipe" data-part={trapPart} points={trap} stroke="var(--sheet)" strokeWidth={trapWidth} />
        </>
      )}
      {legs.map((leg) => (
        <Stroke
          key={leg.id}
          className="pipe"
          data-part={leg.part}
          points={toPoints(view, [centre(leg.from), centre(leg.to)])}
          stroke="var(--sheet)"
          strokeWidth={width(leg.isRun, leg.boreMm)}
          strokeLinecap="round"
        />
      ))}
      {layout.ponds.map((pond) => {
        const { from, to, isRun, boreMm } = legs[pond.legIndex]!;
        return (
          <Water
            key={pond.legIndex}
            course={[centre(from), centre(to)]}
            surfaceH={pond.surfaceH}
            width={width(isRun, boreMm)}
            view={view}
            hatch={hatch}
          />
        );
      })}
      {layout.trapSurfaceH !== null && (
        <Water
          course={layout.trap.map((p) => [p.s, p.h] as const)}
          surfaceH={layout.trapSurfaceH}
          width={trapWidth}
          view={view}
          hatch={hatch}
        />
      )}
      {layout.nodes.flatMap((node) =>
        node.joins.map((name, i) => <Joining key={name} name={name} at={node} view={view} bore={bore} place={i} />),
      )}
      {layout.branchVent && <BranchAir at={layout.branchVent} view={view} rise={bore} />}
      {trapKind === "membrane" && <Membrane layout={layout} view={view} size={trapWidth} />}
      {legs.map((leg) => {
        const mark = layOutFlowMark(view, centre(leg.from), centre(leg.to));
        return (
          mark && (
            <Stroke
              key={leg.id}
              points={mark.points}
              stroke={mark.isBackwards ? "var(--signal)" : "var(--ink)"}
              strokeWidth={1.6}
              strokeLinecap="round"
            />
          )
        );
      })}
    </g>
  );
}

const between = (
  [s0, h0]: readonly [number, number],
  [s1, h1]: readonly [number, number],
  share: number,
): readonly [number, number] => [s0 + (s1 - s0) * share, h0 + (h1 - h0) * share];

type WaterProps = {
  readonly course: readonly (readonly [number, number])[];
  readonly surfaceH: number;
  readonly width: number;
  readonly view: View;
  readonly hatch: string;
};

// Water that stands in a pipe, level at its surface.
function Water({ course, surfaceH, width, view, hatch }: WaterProps) {
  const onScreen = course.map(([s, h]) => [view.x(s), view.y(h)] as const);
  return cutPipeWater(onScreen, width, view.y(surfaceH)).map((outline, i) => (
    <Outline
      // the pieces of a pipe have no name of their own
      // biome-ignore lint/suspicious/noArrayIndexKey: as above
      key={i}
      data-testid="standing-water"
      points={listPoints(outline)}
      fill={`url(#${hatch}-grey)`}
    />
  ));
}

const toInk = (severity: Severity | null): string =>
  severity === "must" ? "var(--signal)" : severity === "should" ? "var(--warn)" : "var(--ink)";

function Basin({ layout, view, hasTap }: Pick<DrainProps, "layout" | "view" | "hasTap">) {
  const rim = layout.sink[layout.sink.length - 1];
  return (
    <g stroke="var(--ink)" strokeWidth={2}>
      <Stroke
        points={toPoints(
          view,
          layout.sink.map((p) => [p.s, p.h] as const),
        )}
        fill="var(--sheet)"
      />
      {hasTap && rim && (
        <path
          d={`M${view.x(rim.s - 24)} ${view.y(rim.h)}v-26q0 -9 -9 -9h-10q-8 0 -8 8v4`}
          strokeWidth={2.4}
          stroke="var(--edge)"
        />
      )}
    </g>
  );
}

// A waterless valve: two lips across the pipe.
function Membrane({ layout, view, size }: Pick<DrainProps, "layout" | "view"> & { readonly size: number }) {
  const weir = layout.trap[layout.trap.length - 1];
  if (!weir) return null;
  const x = view.x(weir.s) - 4;
  const y = view.y(weir.h);
  return (
    <Stroke
      points={`${x - 9},${y - size / 2} ${x},${y} ${x - 9},${y + size / 2}`}
      stroke="var(--enamel)"
      strokeWidth={2}
    />
  );
}

// A chevron in the middle of a leg, pointing where water runs as the rig stands; none where it stands still.
function layOutFlowMark(view: View, from: readonly [number, number], to: readonly [number, number]) {
  const [x0, y0, x1, y1] = [view.x(from[0]), view.y(from[1]), view.x(to[0]), view.y(to[1])];
  const length = Math.hypot(x1 - x0, y1 - y0);
  const fall = from[1] - to[1];
  if (length < 26 || fall === 0) return null;
  const sense = fall > 0 ? 1 : -1;
  // a unit along the flow, and the middle of the leg
  const [u, v] = [((x1 - x0) / length) * sense, ((y1 - y0) / length) * sense];
  const [x, y] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const at = (along: number, across: number) => [x + u * along - v * across, y + v * along + u * across] as const;
  return { points: listPoints([at(-3.5, -3.5), at(2, 0), at(-3.5, 3.5)]), isBackwards: sense < 0 };
}

// A drain that comes in from elsewhere: cut off, with its name.
function Joining({
  name,
  at,
  view,
  bore,
  place,
}: {
  readonly name: string;
  readonly at: SectionPoint;
  readonly view: View;
  readonly bore: number;
  readonly place: number;
}) {
  const [x, y] = [view.x(at.s), view.y(at.h + bore / 2)];
  const width = Math.max(4, bore * view.kx);
  // clear of what a run says of itself, two lines above the pipe
  const top = y - 58 - 15 * place;
  return (
    <g>
      <line x1={x} y1={y} x2={x + 14} y2={top} stroke="var(--ink)" strokeWidth={width + 3.2} />
      <line x1={x} y1={y} x2={x + 14} y2={top - 1} stroke="var(--sheet)" strokeWidth={width} />
      <line
        x1={x + 14 - width / 2 - 4}
        y1={top + 3}
        x2={x + 14 + width / 2 + 4}
        y2={top - 3}
        stroke="var(--ink)"
        strokeWidth={1.2}
      />
      <HaloText x={x + 20 + width / 2} y={top + 3}>
        {name}
      </HaloText>
    </g>
  );
}

// Air on the branch: a valve has a cap that only opens inward, an open pipe goes on up.
function BranchAir({
  at,
  view,
  rise,
}: {
  readonly at: NonNullable<LongSection["branchVent"]>;
  readonly view: View;
  readonly rise: number;
}) {
  const [x, y] = [view.x(at.s), view.y(at.h + rise)];
  const isValve = at.kind === "admittanceValve";
  return (
    <g stroke="var(--ink)" strokeWidth={1.6}>
      <title>{BRANCH_VENT_NAMES[at.kind]}</title>
      <path d={`M${x} ${y}v${isValve ? -14 : -46}`} strokeWidth={4.6} />
      <path d={`M${x} ${y}v${isValve ? -14 : -46}`} strokeWidth={1.8} stroke="var(--sheet)" />
      {isValve ? (
        <path d={`M${x - 6} ${y - 14}a6 6 0 0 1 12 0Z`} fill="var(--sheet)" />
      ) : (
        <path d={`M${x - 5} ${y - 46}h10M${x - 3} ${y - 50}h6`} />
      )}
    </g>
  );
}
