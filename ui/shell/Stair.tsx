"use client";
import type { Severity } from "@/core/evaluate/findings";
import { STATIONS, type Station, type WorkbenchState } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { RIG_NAMES, STATION_NAMES } from "@/words/labels";
import { formatLength, formatNumber, formatQuantity } from "@/words/units";
import { findShownResult } from "../drawing/shown";
import { toStation } from "../findings/stationOf";
import { SeverityMark } from "../kit/SeverityMark";

const ROW_PX = 52;
const STEP_PX = 9;
const CHAMBER_PX = 30;

/** The stations as a stair of locks, going down with the water. A gate stays shut while something must be settled there. */
export function Stair() {
  const station = useWorkbench((state) => state.station);
  // one word for all stations, so that the stair is drawn anew only when a gate turns
  const severities = useWorkbench((state) => STATIONS.map((at) => findWorst(state, at) ?? "").join(",")).split(",");
  const worstAt = (at: Station) => (severities[STATIONS.indexOf(at)] || null) as Severity | null;
  return (
    <nav aria-label="Stations" className="relative" style={{ height: STATIONS.length * ROW_PX }}>
      <svg className="absolute inset-0 size-full" aria-hidden>
        {STATIONS.map((at, i) => (
          <Chamber key={at} index={i} severity={worstAt(at)} isLast={i === STATIONS.length - 1} />
        ))}
      </svg>
      {STATIONS.map((at, i) => (
        <button
          key={at}
          type="button"
          aria-current={station === at ? "step" : undefined}
          title={`${STATION_NAMES[at].plain} Key ${i + 1}`}
          onClick={() => look({ station: at, pane: "measures" })}
          className={`absolute flex w-full items-center gap-1 pr-2 text-left ${station === at ? "bg-pick" : "hover:bg-pick/60"}`}
          style={{
            top: i * ROW_PX + 2,
            height: ROW_PX - 4,
            left: 8 + i * STEP_PX + CHAMBER_PX + 9,
            width: `calc(100% - ${8 + i * STEP_PX + CHAMBER_PX + 9}px)`,
          }}
        >
          <span className="min-w-0 flex-1 pl-1.5">
            <span className={`plate block text-[17px] leading-[19px] ${station === at ? "text-enamel" : ""}`}>
              {STATION_NAMES[at].name}
            </span>
            <StationFigure station={at} />
          </span>
          {worstAt(at) && <SeverityMark severity={worstAt(at)!} size={15} />}
        </button>
      ))}
    </nav>
  );
}

const findWorst = ({ evaluation }: WorkbenchState, at: Station): Severity | undefined =>
  (["must", "should"] as const).find((severity) =>
    evaluation?.findings.some((f) => f.severity === severity && toStation(f) === at),
  );

function Chamber({
  index,
  severity,
  isLast,
}: {
  readonly index: number;
  readonly severity: Severity | null;
  readonly isLast: boolean;
}) {
  const left = 8 + index * STEP_PX;
  const right = left + CHAMBER_PX;
  const top = index * ROW_PX + 8;
  const floor = top + 36;
  const shut = severity === "must";
  // behind a shut gate the water stands high
  const surface = shut ? top + 5 : top + 15;
  const lines = [0, 5, 10, 15, 20, 25].map((d) => surface + d).filter((y) => y < floor - 1);
  return (
    <g>
      {lines.map((y, n) => (
        <path
          key={y}
          d={n === 0 ? `M${left} ${y}H${right}` : `M${left + 3 + (n % 2) * 9} ${y}h11`}
          stroke="var(--water)"
          strokeWidth={n === 0 ? 1.8 : 1.3}
        />
      ))}
      <path d={`M${left} ${top}V${floor}H${right}`} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
      <path
        d={shut ? `M${right} ${top}V${floor}` : `M${right} ${top}V${top + 22}`}
        stroke={shut ? "var(--signal)" : "var(--ink)"}
        strokeWidth={shut ? 4 : 2.6}
      />
      {!shut && !isLast && (
        <path d={`M${right + 1} ${floor - 5}q5 0 5 7v8`} fill="none" stroke="var(--water)" strokeWidth={1.6} />
      )}
    </g>
  );
}

/** What a station comes to, in one figure. */
function StationFigure({ station }: { readonly station: Station }) {
  const kind = useWorkbench((state) => state.history?.design.rig.kind);
  const days = useWorkbench((state) => state.evaluation?.balance.endsBy.here?.days ?? null);
  const usable = useWorkbench((state) => state.evaluation?.tanks.reduce((sum, t) => sum + t.usableHereL, 0) ?? 0);
  const hasTank = useWorkbench((state) => (state.history?.design.tanks.length ?? 0) > 0);
  const worst = useWorkbench((state) => findShownResult(state)?.worst.inHandMm ?? null);
  const vents = useWorkbench((state) => state.history?.design.lines.filter((l) => l.kind === "vent").length ?? 0);
  const units = useWorkbench((state) => state.units);
  const texts: Readonly<Record<Station, string>> = {
    rig: kind ? RIG_NAMES[kind].toLowerCase() : "",
    days: days === null ? "no end to it" : `${formatNumber(days, 1)} days`,
    tanks: hasTank ? `${formatQuantity(usable, "volume", units)} usable` : "no tank yet",
    falls:
      worst === null
        ? "no drain"
        : worst < 0
          ? `${formatLength(-worst, units)} short`
          : `${formatLength(worst, units)} in hand`,
    air: vents === 0 ? "no breather" : vents === 1 ? "breather open" : `${vents} breathers`,
  };
  return <span className="figures block truncate text-[13.5px] leading-[16px] text-faint">{texts[station]}</span>;
}
