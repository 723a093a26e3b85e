"use client";
import { placeLabels } from "@/core/geometry/placeLabels";
import { degToRad } from "@/core/quantity/convert";
import type { Stop } from "@/core/record/journey";
import { measureGreatCircleKm } from "@/core/road/greatCircle";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/road/journeyMap";
import { formatNumber } from "@/words/units";
import { useFrame } from "../../drawing/useFrame";

const PAD = { x: 58, y: 44 };
const HEIGHT = 240;
/** Under the stops and their names: scale and north. */
const FOOT = 14;
/** Before the frame is measured, and on the widest screen, px. */
const USUAL_WIDTH = 360;
const MOST_WIDTH = 880;
/** A leg shorter than this has no room for its distance. */
const LABEL_PX = 60;
/** A screen's pixels in what is a millimetre of paper to who reads it. */
const PX_PER_MM = 2;
const KM_PER_MILE = 1.609344;
const STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1_000, 2_000] as const;

type Placed = Stop & { readonly latDeg: number; readonly lonDeg: number };
const isPlaced = (stop: Stop): stop is Placed => stop.latDeg !== null && stop.lonDeg !== null;

/** The stops where they lie, north up and to scale, joined in the order of their days; no streets. */
export function JourneyMap({
  stops,
  served,
}: {
  readonly stops: readonly Stop[];
  readonly served: ReadonlySet<string>;
}) {
  const units = useWorkbench((state) => state.units);
  const frame = useFrame<HTMLDivElement>();
  // drawn at the size it is seen, so that its letters stay letters on a phone
  const size = {
    width: Math.min(MOST_WIDTH, frame.size.width || USUAL_WIDTH),
    height: HEIGHT,
    padX: PAD.x,
    padY: PAD.y,
  };
  const placed = stops.filter(isPlaced).sort((a, b) => a.arrive.localeCompare(b.arrive));
  if (placed.length < 2) return null;
  const mid = placed.reduce((sum, { latDeg }) => sum + latDeg, 0) / placed.length;
  const squeeze = Math.cos(degToRad(mid));
  const xs = placed.map(({ lonDeg }) => lonDeg * squeeze);
  const ys = placed.map(({ latDeg }) => latDeg);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (size.width - 2 * size.padX) / Math.max(1e-4, right - left),
    (size.height - 2 * size.padY) / Math.max(1e-4, high - low),
  );
  const toX = (stop: Placed) => size.width / 2 + (stop.lonDeg * squeeze - (left + right) / 2) * scale;
  const toY = (stop: Placed) => size.height / 2 - (stop.latDeg - (low + high) / 2) * scale;
  const perUnit = units === "metric" ? 1 : KM_PER_MILE;
  const sheetPx = size.height + FOOT;
  const distance = (km: number) => `${formatNumber(km / perUnit, km < 20 ? 1 : 0)} ${units === "metric" ? "km" : "mi"}`;
  const legs = placed.slice(1).map((to, i) => ({ from: placed[i]!, to, km: measureGreatCircleKm(placed[i]!, to) }));
  // one degree of latitude is 111.195 km
  const pxPerKm = scale / 111.195;
  const bar = STEPS.findLast((step) => step * perUnit * pxPerKm <= 140) ?? 1;
  const at = (stop: Placed) => [toX(stop), toY(stop)] as const;
  const long = legs.filter(({ from, to }) => Math.hypot(toX(to) - toX(from), toY(to) - toY(from)) > LABEL_PX);
  const middle = ({ from, to }: (typeof legs)[number]) =>
    [(toX(from) + toX(to)) / 2, (toY(from) + toY(to)) / 2] as const;
  // names first, each beside its stop; then distances beside the middle of their legs: no word lies on another
  const label = (text: string, place: readonly [number, number], radius: number, letterPx: number) => ({
    text,
    at: place,
    radius,
    width: text.length * letterPx,
    height: 2.2 * letterPx,
  });
  const places = placeLabels(
    [
      ...placed.map((stop) => label(stop.name, at(stop), 13, 6.4)),
      ...long.map((leg) => label(distance(leg.km), middle(leg), 4, 5.6)),
    ],
    legs.map(({ from, to }) => [at(from), at(to)] as const),
    PX_PER_MM,
  );
  return (
    <div ref={frame.ref}>
      <svg
        viewBox={`0 0 ${size.width} ${sheetPx}`}
        width={size.width}
        height={sheetPx}
        className="my-2"
        role="img"
        aria-label={WORDS.mapOfStopsAsThe(placed.length, distance(legs.reduce((sum, { km }) => sum + km, 0)))}
      >
        {legs.map(({ from, to }) => (
          <line
            key={`${from.id} ${to.id}`}
            x1={toX(from)}
            y1={toY(from)}
            x2={toX(to)}
            y2={toY(to)}
            stroke="var(--edge)"
            strokeWidth={1.6}
            strokeDasharray="6 4"
          />
        ))}
        {long.map(({ from, to, km }, i) => (
          <MapWord key={`${from.id} ${to.id}`} at={places[placed.length + i]!} size={11.5} ink="faint">
            {distance(km)}
          </MapWord>
        ))}
        {placed.map((stop, i) => {
          const [x, y] = [toX(stop), toY(stop)];
          const isServed = served.has(stop.id);
          return (
            <g key={stop.id}>
              {isServed && <circle cx={x} cy={y} r={11} fill="none" stroke="var(--enamel)" strokeWidth={2.4} />}
              <rect
                x={x - 5}
                y={y - 5}
                width={10}
                height={10}
                fill={stop.isClosed ? "var(--sheet)" : "var(--ink)"}
                stroke="var(--ink)"
                strokeWidth={1.6}
              />
              {stop.isClosed && (
                <path
                  d={`M${x - 8} ${y - 8}L${x + 8} ${y + 8}M${x - 8} ${y + 8}L${x + 8} ${y - 8}`}
                  stroke="var(--signal)"
                  strokeWidth={2}
                />
              )}
              <MapWord at={places[i]!} size={13.5} ink="ink">
                {stop.name}
              </MapWord>
            </g>
          );
        })}
        <path
          d={`M${size.width - 14} ${sheetPx - 6}v-18l-5 7M${size.width - 14} ${sheetPx - 24}l5 7`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
        <text x={size.width - 26} y={sheetPx - 8} fontSize={11.5} textAnchor="end" style={{ fill: "var(--faint)" }}>
          {WORDS.north}
        </text>
        <path
          d={`M12 ${sheetPx - 14}v6h${(bar * perUnit * pxPerKm).toFixed(1)}v-6`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
        <text x={16} y={sheetPx - 16} fontSize={11.5} style={{ fill: "var(--faint)" }}>
          {bar} {units === "metric" ? WORDS.km : WORDS.mi}
        </text>
      </svg>
    </div>
  );
}

/** A word whose middle was found for it, readable over a line. */
function MapWord({
  at: [x, y],
  size,
  ink,
  children,
}: {
  readonly at: readonly [number, number];
  readonly size: number;
  readonly ink: "ink" | "faint";
  readonly children: string;
}) {
  return (
    <text
      x={x}
      y={y + size / 3}
      fontSize={size}
      textAnchor="middle"
      stroke="var(--sheet)"
      strokeWidth={4}
      paintOrder="stroke"
      style={{ fill: `var(--${ink})` }}
    >
      {children}
    </text>
  );
}
