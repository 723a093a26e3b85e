import type { Emptying } from "@/core/tanks/emptying";
import { describeSeconds } from "@/words/pour";
import { formatQuantity, type Units } from "@/words/units";

const SIZE = { width: 300, height: 96, left: 4, bottom: 16 };

/** Litres left over time while a tank runs out. */
export function EmptyingCurve({ run, units }: { readonly run: Emptying; readonly units: Units }) {
  const { curve, seconds } = run;
  const fullL = curve[0]?.litres ?? 0;
  if (seconds <= 0 || fullL <= 0) return null;
  const { width, height, left, bottom } = SIZE;
  const x = (second: number) => left + (second / seconds) * (width - 2 * left);
  const y = (litres: number) => 12 + (1 - litres / fullL) * (height - bottom - 12);
  const path = curve
    .map((p, i) => `${i === 0 ? "M" : "L"}${x(p.second).toFixed(1)} ${y(p.litres).toFixed(1)}`)
    .join("");
  const text = `Starts with ${formatQuantity(fullL, "volume", units)}, empty after ${describeSeconds(seconds)}`;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="my-1 w-full" role="img" aria-label={text}>
      <path d={`${path}V${height - bottom}H${left}Z`} fill="var(--water)" opacity={0.16} />
      <path d={path} fill="none" stroke="var(--enamel)" strokeWidth={2} />
      <path d={`M${left} ${height - bottom}H${width - left}`} stroke="var(--edge)" />
      <text x={left} y={10} fontSize={11} style={{ fill: "var(--faint)" }}>
        {formatQuantity(fullL, "volume", units)}
      </text>
      <text x={left} y={height - 4} fontSize={11} style={{ fill: "var(--faint)" }}>
        0 s
      </text>
      <text x={width - left} y={height - 4} fontSize={11} textAnchor="end" style={{ fill: "var(--faint)" }}>
        {describeSeconds(seconds)}
      </text>
    </svg>
  );
}
