"use client";
import { useMemo, useState } from "react";
import type { StoreBalance } from "@/core/days/balance";
import { computeDaysPerLitre, computeSizeCurve, daysWith, findSizeBounds } from "@/core/days/sizeCurve";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/days/sizeCurves";
import { describeStore } from "@/words/stores";
import { formatDays, formatNumber, formatQuantity } from "@/words/units";
import { Chart } from "../../charts/Chart";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";

/** Days against litres for everything that fills or runs out. */
export function SizeCurves() {
  const balance = useWorkbench((state) => state.evaluation?.balance ?? null);
  const [isOpen, setOpen] = useState(false);
  const moving = balance?.stores.filter(({ days }) => days.here !== null) ?? [];
  if (moving.length === 0) return null;
  return (
    <Group title={WORDS.sizesWeighedByDays}>
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">
          {WORDS.whatEachLitreBringsAnd}
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
        label={WORDS.daysAgainstLitres(name)}
        lines={[
          { name: WORDS.onTheMean, points: points("days"), ink: "ink", format: formatDays },
          { name: WORDS.sureFor, points: points("sureDays"), ink: "ink", isDashed: true, format: formatDays },
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
        aria-label={WORDS.tryAnotherSize(name)}
        min={Math.max(1, Math.round(last.litres / 12))}
        max={Math.round(last.litres)}
        step={1}
        value={Math.round(at)}
        aria-valuetext={`${litres(at)}, ${here.days === null ? WORDS.noEnd : formatDays(here.days)}`}
        onChange={(event) => setAsked(Number(event.target.value))}
      />
      <p className="text-[13px] leading-snug">
        {litres(at)} <Trade>{WORDS.ofRoom}</Trade> {here.days === null ? WORDS.noEnd : formatDays(here.days)}{" "}
        <Trade>{WORDS.onTheMean2}</Trade>
        {here.sureDays !== null &&
          WORDS.sureForTimesIn100(formatNumber(here.sureDays, 0), formatNumber(certainty * 100, 0))}
        . {perLitre !== null && WORDS.moreBringsDays(litres(10), formatNumber(perLitre * 10, 1))}
        {bounds.fitsL !== null &&
          (bounds.fitsL > roomL.here + 0.5
            ? WORDS.longerInItsPlaceIt(litres(bounds.fitsL))
            : WORDS.longerDoesNotFitWhere)}
        {bounds.axleL !== null && WORDS.anAxleIsAtIts(litres(bounds.axleL))}
        <span className="text-faint">
          {formatQuantity(meanLPerDay, "volumePerDay", units)}
          {WORDS.dashedWhatHoldsWithThe}
        </span>
      </p>
    </div>
  );
}
