"use client";
import { useMemo, useState } from "react";
import type { StoreBalance } from "@/core/days/balance";
import { computeDaysPerLitre, computeSizeCurve, daysWith, findSizeBounds } from "@/core/days/sizeCurve";
import { useWorkbench } from "@/store/useWorkbench";
import { formatDays } from "@/words/days";
import { describeStore } from "@/words/stores";
import { formatNumber, formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";

const SIZE = { width: 300, height: 120, left: 30, right: 8, top: 8, foot: 20 };

/** Days against litres for everything that fills or runs out. */
export function SizeCurves() {
  const balance = useWorkbench((state) => state.evaluation?.balance ?? null);
  const [isOpen, setOpen] = useState(false);
  const moving = balance?.stores.filter(({ days }) => days.here !== null) ?? [];
  if (moving.length === 0) return null;
  return (
    <Group title="Sizes weighed by days">
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">
          What each litre brings, and what bounds it
        </summary>
        {isOpen && moving.map((store) => <SizeCurve key={store.store.id} store={store} />)}
      </details>
    </Group>
  );
}

function SizeCurve({ store: { store, roomL, meanLPerDay } }: { readonly store: StoreBalance }) {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const balance = useWorkbench((state) => state.evaluation!.balance);
  const units = useWorkbench((state) => state.units);
  const { certainty } = design.habits;
  const curve = useMemo(() => computeSizeCurve(balance, store.id, certainty), [balance, store.id, certainty]);
  const bounds = useMemo(() => findSizeBounds(design, store.id), [design, store.id]);
  const [asked, setAsked] = useState<number | null>(null);
  const last = curve.at(-1);
  if (!last) return null;
  const mostDays = Math.max(1, ...curve.map(({ days }) => days ?? 0));
  const toX = (litres: number) =>
    SIZE.left + (Math.min(litres, last.litres) / last.litres) * (SIZE.width - SIZE.left - SIZE.right);
  const toY = (days: number) =>
    SIZE.height - SIZE.foot - (Math.min(days, mostDays) / mostDays) * (SIZE.height - SIZE.foot - SIZE.top);
  const line = (pick: "days" | "sureDays") =>
    curve.flatMap((point) => {
      const days = point[pick];
      return days === null ? [] : [`${toX(point.litres).toFixed(1)},${toY(days).toFixed(1)}`];
    });
  const at = asked ?? roomL.here;
  const here = daysWith(balance.stretches, store.id, at, certainty);
  const perLitre = computeDaysPerLitre(balance, store.id, at);
  const name = describeStore(store.id, design);
  const litres = (value: number) => formatQuantity(value, "volume", units);
  return (
    <div className="pb-2">
      <h4 className="text-[13.5px] font-semibold">{name}</h4>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="w-full bg-sheet"
        role="img"
        aria-label={`${name}: days against litres`}
      >
        <line x1={SIZE.left} x2={SIZE.left} y1={SIZE.top} y2={SIZE.height - SIZE.foot} stroke="var(--rule)" />
        <line
          x1={SIZE.left}
          x2={SIZE.width - SIZE.right}
          y1={SIZE.height - SIZE.foot}
          y2={SIZE.height - SIZE.foot}
          stroke="var(--rule)"
        />
        <polyline points={line("days").join(" ")} fill="none" stroke="var(--ink)" strokeWidth={2} />
        <polyline
          points={line("sureDays").join(" ")}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.5}
          strokeDasharray="3 3"
        />
        <Mark x={toX(roomL.here)} text="now" color="var(--enamel)" />
        {bounds.fitsL !== null && bounds.fitsL > roomL.here + 0.5 && bounds.fitsL <= last.litres && (
          <Mark x={toX(bounds.fitsL)} text="fits" color="var(--faint)" />
        )}
        {bounds.axleL !== null && bounds.axleL <= last.litres && (
          <Mark x={toX(bounds.axleL)} text="axle" color="var(--signal)" />
        )}
        <circle cx={toX(at)} cy={toY(here.days ?? 0)} r={4} fill="var(--enamel)" />
        <text x={2} y={SIZE.top + 9} fontSize={11} style={{ fill: "var(--faint)" }}>
          {formatNumber(mostDays, 0)} d
        </text>
        <text
          x={SIZE.width - SIZE.right}
          y={SIZE.height - 5}
          fontSize={11}
          textAnchor="end"
          style={{ fill: "var(--faint)" }}
        >
          {litres(last.litres)}
        </text>
      </svg>
      <input
        type="range"
        className="w-full accent-enamel"
        aria-label={`${name}: try another size`}
        min={Math.max(1, Math.round(last.litres / 12))}
        max={Math.round(last.litres)}
        step={1}
        value={Math.round(at)}
        aria-valuetext={`${litres(at)}, ${here.days === null ? "no end" : formatDays(here.days)}`}
        onChange={(event) => setAsked(Number(event.target.value))}
      />
      <p className="text-[13px] leading-snug">
        {litres(at)} of room: {here.days === null ? "no end" : formatDays(here.days)} on the mean
        {here.sureDays !== null &&
          `; sure for ${formatNumber(here.sureDays, 0)}, ${formatNumber(certainty * 100, 0)} times in 100`}
        . {perLitre !== null && `${litres(10)} more bring ${formatNumber(perLitre * 10, 1)} days. `}
        {bounds.fitsL !== null &&
          (bounds.fitsL > roomL.here + 0.5
            ? `Longer in its place it fits up to ${litres(bounds.fitsL)}. `
            : "Longer does not fit where it sits. ")}
        {bounds.axleL !== null && `An axle is at its limit with ${litres(bounds.axleL)}. `}
        <span className="text-faint">
          {formatQuantity(meanLPerDay, "volumePerDay", units)}. Dashed: what holds with the certainty you chose.
        </span>
      </p>
    </div>
  );
}

function Mark({ x, text, color }: { readonly x: number; readonly text: string; readonly color: string }) {
  return (
    <>
      <line x1={x} x2={x} y1={SIZE.top} y2={SIZE.height - SIZE.foot} stroke={color} strokeDasharray="5 3" />
      <text x={x} y={SIZE.height - 7} fontSize={11} textAnchor="middle" style={{ fill: color }}>
        {text}
      </text>
    </>
  );
}
