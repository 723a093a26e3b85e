"use client";
import { useMemo, useState } from "react";
import type { StoreBalance } from "@/core/days/balance";
import { computeDaysPerLitre, computeSizeCurve, daysWith, findSizeBounds } from "@/core/days/sizeCurve";
import { useWorkbench } from "@/store/useWorkbench";
import { formatDays } from "@/words/days";
import { describeStore } from "@/words/stores";
import { formatNumber, formatQuantity } from "@/words/units";
import { Chart } from "../../charts/Chart";
import { Group } from "../../fields/Group";

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
  const points = (pick: "days" | "sureDays") =>
    curve.flatMap((point) => (point[pick] === null ? [] : [[point.litres, point[pick]] as const]));
  const at = asked ?? roomL.here;
  const here = daysWith(balance.stretches, store.id, at, certainty);
  const perLitre = computeDaysPerLitre(balance, store.id, at);
  const name = describeStore(store.id, design);
  const litres = (value: number) => formatQuantity(value, "volume", units);
  return (
    <div className="pb-2">
      <h4 className="text-[13.5px] font-semibold">{name}</h4>
      <Chart
        label={`${name}: days against litres`}
        lines={[
          { name: "On the mean", points: points("days"), ink: "ink", format: formatDays },
          { name: "Sure for", points: points("sureDays"), ink: "ink", isDashed: true, format: formatDays },
        ]}
        marks={[
          { x: roomL.here, text: "now", ink: "enamel" },
          ...(bounds.fitsL !== null && bounds.fitsL > roomL.here + 0.5 && bounds.fitsL <= last.litres
            ? [{ x: bounds.fitsL, text: "fits", ink: "faint" as const }]
            : []),
          ...(bounds.axleL !== null && bounds.axleL <= last.litres
            ? [{ x: bounds.axleL, text: "axle", ink: "signal" as const }]
            : []),
        ]}
        dot={[at, here.days ?? 0]}
        formatX={litres}
        height={150}
      />
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
        . {perLitre !== null && `${litres(10)} more brings ${formatNumber(perLitre * 10, 1)} days. `}
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
