import { isAtLeast } from "@/core/quantity/tolerance";
import type { DumpRun } from "@/core/tanks/dumpRun";
import * as WORDS from "@/words/panels/tanks/dumpSection";
import { formatQuantity, type Units } from "@/words/units";
import { Hatches } from "../../drawing/Hatches";

const SHEET = { width: 300, height: 118, left: 30, right: 14, top: 30, bottom: 22 };
/** Heights are drawn up to so many times larger than lengths, or a fall of two in a hundred would not be seen. */
const MOST_STRETCH = 6;

type Props = { readonly run: DumpRun; readonly leastMmPerM: number; readonly units: Units };

/** The dump line unrolled as the rig stands to dump: each leg with its fall, and the water that stays in it. */
export function DumpSection({ run, leastMmPerM, units }: Props) {
  const { legs, wayLegs, ponds, line, tank } = run;
  // from the outlet along the way in plan, and down from it
  const along = [0];
  const down = [0];
  for (const leg of wayLegs) {
    along.push(along.at(-1)! + leg.planLengthMm);
    down.push(down.at(-1)! + leg.fallMm);
  }
  const boreMm = Math.max(...wayLegs.map(({ pipe }) => pipe.innerMm));
  const isShut = run.valves.length > 0;
  const [high, low] = [Math.min(...down) - boreMm, Math.max(...down)];
  const kx = (SHEET.width - SHEET.left - SHEET.right) / Math.max(200, along.at(-1)!);
  const ky = Math.min((SHEET.height - SHEET.top - SHEET.bottom) / Math.max(20, low - high), kx * MOST_STRETCH);
  const x = (mm: number) => SHEET.left + mm * kx;
  const y = (mm: number) => SHEET.top + (mm - high) * ky;
  const bore = boreMm * ky;
  const hatch = `dump-${line.id}`;
  const nodes = along.map((mm, i) => [x(mm), y(down[i]!)] as const);
  const [start] = nodes;
  const ownEnd = nodes[legs.length]!;
  return (
    <svg
      viewBox={`0 0 ${SHEET.width} ${SHEET.height}`}
      className="my-1 w-full border border-rule bg-sheet"
      role="img"
      aria-label={WORDS.unrolledStandingAsYouDump(line.name)}
    >
      <Hatches id={hatch} />
      <rect
        x={2}
        y={SHEET.top - 22}
        width={SHEET.left - 2}
        height={y(0) - SHEET.top + 22}
        fill={`url(#${hatch}-${tank.holds})`}
        stroke="var(--ink)"
        strokeWidth={1.8}
      />
      {wayLegs.map((leg, i) => {
        const [[x0, y0], [x1, y1]] = [nodes[i]!, nodes[i + 1]!];
        const isShort = leg.slopeMmPerM !== null && !isAtLeast(leg.slopeMmPerM, leastMmPerM);
        // what is another line's is drawn fainter: it is worked there
        const isOwn = i < legs.length;
        const ink = !isOwn ? "var(--faint)" : isShort ? "var(--signal)" : "var(--ink)";
        const wide = leg.pipe.innerMm * ky;
        return (
          <g key={`${leg.lineId} ${leg.index}`} stroke={ink} strokeWidth={1.6} fill="none">
            {leg.outsideMm > leg.pipe.outerMm && (
              <path
                d={`M${x0} ${y0 - wide / 2}L${x1} ${y1 - wide / 2}`}
                stroke="var(--rule)"
                strokeWidth={wide + (leg.outsideMm - leg.pipe.outerMm) * ky}
              />
            )}
            <path d={`M${x0} ${y0}L${x1} ${y1}M${x0} ${y0 - wide}L${x1} ${y1 - wide}`} />
            {leg.slopeMmPerM !== null && x1 - x0 > 44 && (
              <text
                x={(x0 + x1) / 2}
                y={Math.min(y0, y1) - wide - 5}
                textAnchor="middle"
                stroke="none"
                fill={ink}
                className="figures text-[12px]"
              >
                {formatQuantity(leg.slopeMmPerM, "slope", units)}
              </text>
            )}
          </g>
        );
      })}
      {ponds.map(({ legIndex, fromShare, toShare }) => {
        const [[x0, y0], [x1, y1]] = [nodes[legIndex]!, nodes[legIndex + 1]!];
        const at = (share: number) => `${x0 + (x1 - x0) * share} ${y0 + (y1 - y0) * share}`;
        return <path key={legIndex} d={`M${at(fromShare)}L${at(toShare)}`} stroke="var(--water)" strokeWidth={4} />;
      })}
      <path
        d={`M${nodes.at(-1)![0]} ${nodes.at(-1)![1] + 3}v${-bore - 6}`}
        stroke="var(--ink)"
        strokeWidth={isShut ? 1.6 : 3.4}
      />
      {run.outlet.valve && <Valve x={start![0] + 7} y={start![1] - bore / 2} half={bore / 2 + 4} />}
      {line.endValve && <Valve x={ownEnd[0] - 5} y={ownEnd[1] - bore / 2} half={bore / 2 + 4} />}
      {line.to.kind === "wye" && (
        <>
          <circle cx={ownEnd[0]} cy={ownEnd[1]} r={3.2} fill="var(--ink)" />
          {run.valves.length > (line.endValve ? 1 : 0) && (
            <Valve x={nodes.at(-1)![0] - 5} y={nodes.at(-1)![1] - bore / 2} half={bore / 2 + 4} />
          )}
        </>
      )}
      {ky / kx >= 1.5 && (
        <text x={SHEET.left} y={SHEET.height - 6} className="text-[12px]" fill="var(--faint)">
          {WORDS.heights} {Math.round(ky / kx)} {WORDS.timesLarger}
        </text>
      )}
    </svg>
  );
}

// A gate: two triangles that meet.
function Valve({ x, y, half }: { readonly x: number; readonly y: number; readonly half: number }) {
  return (
    <path
      d={`M${x - 5} ${y - half}L${x + 5} ${y + half}V${y - half}L${x - 5} ${y + half}Z`}
      fill="var(--enamel)"
      stroke="var(--ink)"
      strokeWidth={1}
    />
  );
}
