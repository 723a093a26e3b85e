"use client";
import { useMemo, useState } from "react";
import type { Design } from "@/core/design/design";
import type { Tank } from "@/core/design/plumbing";
import { type WeighedSize, weighSizes } from "@/core/tanks/weighSizes";
import { useWorkbench } from "@/store/useWorkbench";
import { change, previewEdit, tell, undo } from "@/store/workbench";
import { formatLength, formatQuantity, type Units } from "@/words/units";
import { Group } from "../../fields/Group";
import { Button } from "../../kit/Button";

/** The capacity slid up and down: days, weight and room in one picture, and what the next step costs. */
export function WeighSizes({ tankId }: { readonly tankId: string }) {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const tank = design.tanks.find(({ id }) => id === tankId);
  return tank ? <Weighed key={tank.solid.lengthMm} design={design} tank={tank} /> : null;
}

function Weighed({ design, tank }: { readonly design: Design; readonly tank: Tank }) {
  const units = useWorkbench((state) => state.units);
  const sizes = useMemo(() => weighSizes(design, tank), [design, tank]);
  const own = sizes.findIndex(({ lengthMm }) => lengthMm >= Math.round(tank.solid.lengthMm) - 0.5);
  const [picked, setPicked] = useState<number | null>(null);
  const at = Math.min(picked ?? Math.max(0, own), sizes.length - 1);
  const size = sizes[at];
  if (!size || sizes.length < 2) return null;
  const slide = (index: number) => {
    setPicked(index);
    previewEdit(index === own ? null : sizes[index]!.edit);
  };
  const take = () => {
    if (!change(size.edit).ok) return;
    setPicked(null);
    tell("The tank has its new length.", { action: { label: "Undo", run: undo } });
  };
  const next = sizes[at + 1];
  return (
    <Group title="Weighing up the size">
      <SizesPicture sizes={sizes} at={at} units={units} />
      <input
        type="range"
        aria-label="Capacity to weigh up"
        aria-valuetext={formatQuantity(size.capacityL, "volume", units)}
        min={0}
        max={sizes.length - 1}
        value={at}
        onChange={(event) => slide(Number(event.target.value))}
        className="w-full accent-[var(--enamel)]"
      />
      <p className="text-[13px]" data-testid="weighed">
        {describeSize(size, units)}
      </p>
      {next && (
        <p className="text-[12.5px] text-faint">
          {formatQuantity(next.capacityL - size.capacityL, "volume", units)} more would cost{" "}
          {formatQuantity(next.fullKg - size.fullKg, "weight", units)} and{" "}
          {formatLength(next.lengthMm - size.lengthMm, units)} of length
          {next.greyDays !== null && size.greyDays !== null
            ? `, and give ${formatQuantity(next.greyDays - size.greyDays, "days", units)}`
            : ""}
          {next.lacksMm > 0 ? `; ${formatLength(Math.round(next.lacksMm), units)} too long for the space` : ""}.
        </p>
      )}
      {at !== own && (
        <div className="flex gap-1.5 pt-1">
          <Button look="plate" onClick={take}>
            Use this length
          </Button>
          <Button onClick={() => slide(own)}>Cancel</Button>
        </div>
      )}
    </Group>
  );
}

function describeSize(
  { capacityL, lengthMm, greyDays, freshDays, fullKg, lacksMm }: WeighedSize,
  units: Units,
): string {
  const days =
    greyDays === null || freshDays === null
      ? ""
      : `, grey lasts ${formatQuantity(greyDays, "days", units)}, fresh ${formatQuantity(freshDays, "days", units)}`;
  const fits = lacksMm > 0 ? `${formatLength(Math.round(lacksMm), units)} of room lack` : "it fits";
  return `${formatQuantity(capacityL, "volume", units)}, ${formatLength(lengthMm, units)} long: ${formatQuantity(fullKg, "weight", units)} full${days}; ${fits}.`;
}

const SIZE = { width: 300, height: 132, left: 46, right: 40, top: 14, bottom: 18 };

// Days to the left, weight to the right; where the tank does not fit the ground is hatched.
function SizesPicture({
  sizes,
  at,
  units,
}: {
  readonly sizes: readonly WeighedSize[];
  readonly at: number;
  readonly units: Units;
}) {
  const { width, height, left, right, top, bottom } = SIZE;
  const [first, last] = [sizes[0]!, sizes.at(-1)!];
  const mostDays = Math.max(1, ...sizes.flatMap(({ greyDays, freshDays }) => [greyDays ?? 0, freshDays ?? 0]));
  const x = (litres: number) =>
    left + ((litres - first.capacityL) / Math.max(1e-9, last.capacityL - first.capacityL)) * (width - left - right);
  const toY = (share: number) => height - bottom - share * (height - bottom - top);
  const line = (pick: (size: WeighedSize) => number) =>
    sizes
      .map((size, i) => `${i === 0 ? "M" : "L"}${x(size.capacityL).toFixed(1)} ${toY(pick(size)).toFixed(1)}`)
      .join("");
  // lower than the days, that the two lines stand apart
  const toWeight = (kg: number) => (0.6 * kg) / last.fullKg;
  const tight = sizes.find(({ lacksMm }) => lacksMm > 0);
  const now = sizes[at]!;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Days and weight from ${formatQuantity(first.capacityL, "volume", units)} to ${formatQuantity(last.capacityL, "volume", units)}`}
      className="my-1 w-full text-[11px]"
      fontSize={11}
    >
      <defs>
        <pattern id="weigh-tight" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v6" stroke="var(--signal)" strokeWidth="1.2" />
        </pattern>
      </defs>
      {tight && (
        <rect
          x={x(tight.capacityL)}
          y={top}
          width={Math.max(2, x(last.capacityL) - x(tight.capacityL))}
          height={height - top - bottom}
          fill="url(#weigh-tight)"
        />
      )}
      <path d={`M${left} ${top}V${height - bottom}H${width - right}V${top}`} fill="none" stroke="var(--edge)" />
      <path
        d={line(({ fullKg }) => toWeight(fullKg))}
        fill="none"
        stroke="var(--faint)"
        strokeWidth={1.6}
        strokeDasharray="5 3"
      />
      {now.greyDays !== null && (
        <>
          <path
            d={line(({ greyDays }) => (greyDays ?? 0) / mostDays)}
            fill="none"
            stroke="var(--enamel)"
            strokeWidth={2.2}
          />
          <path
            d={line(({ freshDays }) => (freshDays ?? 0) / mostDays)}
            fill="none"
            stroke="var(--water)"
            strokeWidth={1.8}
          />
        </>
      )}
      <path d={`M${x(now.capacityL).toFixed(1)} ${top - 4}V${height - bottom}`} stroke="var(--ink)" strokeWidth={1.4} />
      <g style={{ fill: "var(--faint)" }}>
        <text x={left - 4} y={top + 4} textAnchor="end">
          {formatQuantity(mostDays, "days", units)}
        </text>
        <text x={width - right + 3} y={toY(toWeight(last.fullKg)) + 4}>
          {formatQuantity(last.fullKg, "weight", units)}
        </text>
        <text x={left} y={height - 5}>
          {formatQuantity(first.capacityL, "volume", units)}
        </text>
        <text x={width - right} y={height - 5} textAnchor="end">
          {formatQuantity(last.capacityL, "volume", units)}
        </text>
      </g>
      {now.greyDays !== null && (
        <g>
          <text
            x={x(last.capacityL) - 3}
            y={toY((last.greyDays ?? 0) / mostDays) - 4}
            textAnchor="end"
            style={{ fill: "var(--enamel)" }}
          >
            grey
          </text>
          <text x={left + 3} y={toY((first.freshDays ?? 0) / mostDays) - 4} style={{ fill: "var(--water)" }}>
            fresh
          </text>
        </g>
      )}
      <text x={left + 3} y={toY(toWeight(first.fullKg)) + 13} style={{ fill: "var(--faint)" }}>
        weight
      </text>
    </svg>
  );
}
