"use client";
import type { Severity } from "@/core/evaluate/findings";
import { STATIONS, type Station } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { STATION_GROUP_NAMES, STATION_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/shell/stair";
import { SeverityMark } from "../kit/SeverityMark";
import { findWorst, listStations, STATION_DESCRIPTORS, STATION_GROUPS } from "../stations/stations";

const ROW_PX = 37;
const HEAD_PX = 18;
const STEP_PX = 5;
const CHAMBER_PX = 26;

/** The stations as a stair of locks, going down with the water. A gate stays shut while something must be settled there. */
export function Stair() {
  const station = useWorkbench((state) => state.station);
  // one word for all stations, so that the stair is drawn anew only when a gate turns
  const severities = useWorkbench((state) => STATIONS.map((at) => findWorst(state, at) ?? "").join(",")).split(",");
  const fitted = useWorkbench((state) =>
    STATIONS.filter((at) => at === state.station || STATION_DESCRIPTORS[at].isFitted(state)).join(","),
  ).split(",");
  const worstAt = (at: Station) => (severities[STATIONS.indexOf(at)] || null) as Severity | null;
  const folded = STATIONS.filter((at) => !fitted.includes(at));
  return (
    <nav aria-label={WORDS.stations}>
      {STATION_GROUPS.map((group) => {
        const stations = listStations(group).filter((at) => fitted.includes(at));
        if (stations.length === 0) return null;
        return (
          <div key={group} className="relative" style={{ height: HEAD_PX + stations.length * ROW_PX }}>
            <p
              className="px-2 text-[11.5px] leading-[18px] font-semibold tracking-wide text-faint"
              style={{ height: HEAD_PX }}
            >
              {STATION_GROUP_NAMES[group]}
            </p>
            <svg
              className="absolute inset-x-0 w-full"
              style={{ top: HEAD_PX, height: stations.length * ROW_PX }}
              aria-hidden
            >
              {stations.map((at, i) => (
                <Chamber key={at} index={i} severity={worstAt(at)} isLast={i === stations.length - 1} />
              ))}
            </svg>
            {stations.map((at, i) => (
              <StationButton key={at} station={at} index={i} isOpen={station === at} severity={worstAt(at)} />
            ))}
          </div>
        );
      })}
      {folded.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-1 px-2 pb-1 text-[12.5px] text-faint">
          {WORDS.fit}
          {folded.map((at) => (
            <button
              key={at}
              type="button"
              title={STATION_NAMES[at].plain}
              onClick={() => look({ station: at })}
              className="min-h-6 px-1 underline decoration-dotted underline-offset-4 hover:bg-pick"
            >
              {STATION_NAMES[at].name}
            </button>
          ))}
        </p>
      )}
    </nav>
  );
}

type StationButtonProps = {
  readonly station: Station;
  readonly index: number;
  readonly isOpen: boolean;
  readonly severity: Severity | null;
};

function StationButton({ station, index, isOpen, severity }: StationButtonProps) {
  const { key, toFigure } = STATION_DESCRIPTORS[station];
  const figure = useWorkbench(toFigure);
  const left = 8 + index * STEP_PX + CHAMBER_PX + 8;
  return (
    <button
      type="button"
      aria-current={isOpen ? "step" : undefined}
      title={WORDS.key(STATION_NAMES[station].plain, key)}
      onClick={() => look({ station })}
      className={`absolute flex items-center gap-1 pr-2 text-left ${isOpen ? "bg-pick" : "hover:bg-pick/60"}`}
      style={{ top: HEAD_PX + index * ROW_PX + 1, height: ROW_PX - 3, left, width: `calc(100% - ${left}px)` }}
    >
      <span className="min-w-0 flex-1 pl-1.5">
        <span className={`plate block text-[15.5px] leading-[16px] ${isOpen ? "text-enamel" : ""}`}>
          {STATION_NAMES[station].name}
        </span>
        <span className="figures block truncate text-[12.5px] leading-[14px] text-faint">{figure}</span>
      </span>
      {severity && <SeverityMark severity={severity} size={15} />}
    </button>
  );
}

type ChamberProps = { readonly index: number; readonly severity: Severity | null; readonly isLast: boolean };

function Chamber({ index, severity, isLast }: ChamberProps) {
  const left = 8 + index * STEP_PX;
  const right = left + CHAMBER_PX;
  const top = index * ROW_PX + 6;
  const floor = top + 27;
  const shut = severity === "must";
  // behind a shut gate the water stands high
  const surface = shut ? top + 4 : top + 13;
  const lines = [0, 5, 10, 15, 20, 25].map((d) => surface + d).filter((y) => y < floor - 1);
  return (
    <g>
      {lines.map((y, n) => (
        <path
          key={y}
          d={n === 0 ? `M${left} ${y}H${right}` : `M${left + 3 + (n % 2) * 8} ${y}h10`}
          stroke="var(--water)"
          strokeWidth={n === 0 ? 1.8 : 1.3}
        />
      ))}
      <path d={`M${left} ${top}V${floor}H${right}`} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
      <path
        d={shut ? `M${right} ${top}V${floor}` : `M${right} ${top}V${top + 18}`}
        stroke={shut ? "var(--signal)" : "var(--ink)"}
        strokeWidth={shut ? 4 : 2.6}
      />
      {!shut && !isLast && (
        <path d={`M${right + 1} ${floor - 5}q4 0 4 6v8`} fill="none" stroke="var(--water)" strokeWidth={1.6} />
      )}
    </g>
  );
}
