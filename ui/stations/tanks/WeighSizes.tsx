"use client";
import { useMemo, useState } from "react";
import type { Design } from "@/core/design/design";
import type { Tank } from "@/core/design/plumbing";
import { type WeighedSize, weighSizes } from "@/core/tanks/weighSizes";
import { useWorkbench } from "@/store/useWorkbench";
import { change, previewEdit, tell, undo } from "@/store/workbench";
import * as WORDS from "@/words/panels/tanks/weighSizes";
import { describeFinding } from "@/words/tellFinding";
import { formatLength, formatQuantity, type Units } from "@/words/units";
import { Chart, type ChartLine } from "../../charts/Chart";
import type { ChartInk } from "../../charts/chartTheme";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
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
    tell(WORDS.theTankHasItsNew, { action: { label: WORDS.undo, run: undo } });
  };
  const next = sizes[at + 1];
  return (
    <Group title={WORDS.weighingUpTheSize}>
      <SizesPicture sizes={sizes} at={at} units={units} />
      <input
        type="range"
        aria-label={WORDS.capacityToWeighUp}
        aria-valuetext={formatQuantity(size.capacityL, "volume", units)}
        min={0}
        max={sizes.length - 1}
        value={at}
        onChange={(event) => slide(Number(event.target.value))}
        className="w-full accent-[var(--enamel)]"
      />
      <p className="text-[13px]" data-testid="weighed">
        {describeSize(size, design, units)}
      </p>
      {next && (
        <p className="text-[12.5px] text-faint">
          {formatQuantity(next.capacityL - size.capacityL, "volume", units)} <Trade>{WORDS.moreWouldCost}</Trade>{" "}
          {formatQuantity(next.fullKg - size.fullKg, "weight", units)} <Trade>{WORDS.and}</Trade>{" "}
          {formatLength(next.lengthMm - size.lengthMm, units)} <Trade>{WORDS.ofLength}</Trade>
          {next.greyDays !== null && size.greyDays !== null
            ? WORDS.andGive(formatQuantity(next.greyDays - size.greyDays, "days", units))
            : ""}
          {WORDS.but(describeRoom(next, design, units) ?? "")}.
        </p>
      )}
      {at !== own && (
        <div className="flex gap-1.5 pt-1">
          <Button look="plate" onClick={take}>
            {WORDS.useThisLength}
          </Button>
          <Button onClick={() => slide(own)}>{WORDS.cancel}</Button>
        </div>
      )}
    </Group>
  );
}

// Why it can't be: room that lacks, or the first of what must be settled then; null where it fits.
function describeRoom({ lacksMm, worse }: WeighedSize, design: Design, units: Units): string | null {
  if (lacksMm > 0) return WORDS.ofRoomLack(formatLength(Math.round(lacksMm), units));
  return worse[0] ? WORDS.atThisLength(describeFinding(worse[0], design, units).title) : null;
}

const isTight = ({ lacksMm, worse }: WeighedSize): boolean => lacksMm > 0 || worse.length > 0;

function describeSize(size: WeighedSize, design: Design, units: Units): string {
  const { capacityL, lengthMm, greyDays, freshDays, fullKg } = size;
  const days =
    greyDays === null || freshDays === null
      ? ""
      : WORDS.greyLastsFresh(formatQuantity(greyDays, "days", units), formatQuantity(freshDays, "days", units));
  const fits = describeRoom(size, design, units) ?? WORDS.itFits;
  return WORDS.oneSize({
    volume: formatQuantity(capacityL, "volume", units),
    length: formatLength(lengthMm, units),
    weight: formatQuantity(fullKg, "weight", units),
    days,
    fits,
  });
}

// Days to the left, weight to the right; where the tank does not fit the ground is laid under.
function SizesPicture({
  sizes,
  at,
  units,
}: {
  readonly sizes: readonly WeighedSize[];
  readonly at: number;
  readonly units: Units;
}) {
  const [first, last, now] = [sizes[0]!, sizes.at(-1)!, sizes[at]!];
  const litres = (value: number) => formatQuantity(value, "volume", units);
  const days = (value: number) => formatQuantity(value, "days", units);
  const line = (name: string, ink: ChartInk, pick: (size: WeighedSize) => number | null): ChartLine => ({
    name,
    ink,
    points: sizes.map((size) => [size.capacityL, pick(size) ?? 0]),
    format: days,
  });
  // the ground is laid from where none that is longer does
  const lastGood = sizes.findLastIndex((size) => !isTight(size));
  const tight = sizes[lastGood + 1];
  const weight: ChartLine = {
    ...line(WORDS.weightFull, "faint", ({ fullKg }) => fullKg),
    isDashed: true,
    format: (kg) => formatQuantity(kg, "weight", units),
    // lower than the days, that the lines stand apart
    ...(now.greyDays === null ? {} : { rightTo: last.fullKg / 0.6 }),
  };
  return (
    <>
      <Chart
        label={WORDS.daysAndWeightFromTo(litres(first.capacityL), litres(last.capacityL))}
        lines={
          now.greyDays === null
            ? [weight]
            : [
                line(WORDS.greyLasts, "enamel", ({ greyDays }) => greyDays),
                line(WORDS.freshLasts, "water", ({ freshDays }) => freshDays),
                weight,
              ]
        }
        marks={[
          ...(tight ? [{ x: tight.capacityL, toX: last.capacityL, text: WORDS.tooLong, ink: "signal" as const }] : []),
          { x: now.capacityL, text: "", ink: "ink" },
        ]}
        formatX={litres}
        height={150}
      />
      <p className="text-[12px] text-faint">
        {now.greyDays === null ? WORDS.dashedItsWeightWhenFull : WORDS.blueGreyLastsLighterFresh}
      </p>
    </>
  );
}
