"use client";
import type { HoleEntry } from "@/core/through/holes";
import { chooseOwnSaw, findSaw } from "@/core/through/saws";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { nameWare } from "@/words/goods";
import { describeHole } from "@/words/holes";
import * as WORDS from "@/words/panels/through/sawBox";
import { formatLength, formatNumber } from "@/words/units";
import { Group } from "../../fields/Group";
import { keepWithin } from "../../fields/keepWithin";
import { Trade } from "../../glossary/Trade";
import { NumberField } from "../../kit/NumberField";
import { useRecords } from "../useRecords";

/** Circles of the box are drawn so large, px a mm. */
const PX_PER_MM = 0.42;

/** The saws in the own box, drawn to scale, and those that are still to be bought, with what they cost where it is known. */
export function SawBox({ holes }: { readonly holes: readonly HoleEntry[] }) {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const build = useRecords((state) => state.build);
  const own = build.saws ?? [];
  const keep = (saws: readonly number[]) => {
    records.setSaws(saws).catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
  };
  const bought = new Map<string, { readonly name: string; readonly wanted: string[] }>();
  for (const hole of [...holes].sort((a, b) => a.lengthMm - b.lengthMm)) {
    if (chooseOwnSaw(hole, own)?.isFit) continue;
    const ware = { kind: "holeSaw", ...findSaw(hole.lengthMm) } as const;
    // as the parts list keys it, so that what was noted there is found
    const key = nameWare(ware, "metric");
    const entry = bought.get(key) ?? { name: nameWare(ware, units), wanted: [] };
    entry.wanted.push(describeHole(hole, design));
    bought.set(key, entry);
  }
  return (
    <Group title={WORDS.holeSaws}>
      {own.length === 0 ? (
        <p className="text-[13px] text-faint">
          <Trade>{WORDS.putInTheSawsYou}</Trade>
        </p>
      ) : (
        <ul className="flex flex-wrap items-end gap-1.5 py-1" aria-label={WORDS.sawsInYourBox}>
          {own.map((saw) => (
            <li key={saw}>
              <button
                type="button"
                title={WORDS.takeItOutOfThe}
                aria-label={WORDS.takeTheSawOutOf(formatLength(saw, units))}
                className="flex min-h-7 flex-col items-center px-1 hover:bg-pick phone:min-h-11 phone:min-w-11 phone:justify-end"
                onClick={() => keep(own.filter((one) => one !== saw))}
              >
                <svg width={saw * PX_PER_MM + 3} height={saw * PX_PER_MM + 3} aria-hidden>
                  <circle
                    cx={(saw * PX_PER_MM + 3) / 2}
                    cy={(saw * PX_PER_MM + 3) / 2}
                    r={(saw * PX_PER_MM) / 2}
                    fill="none"
                    stroke="var(--ink)"
                    strokeWidth={2}
                    strokeDasharray="3 1.5"
                  />
                </svg>
                <span className="figures text-[13px]">{formatLength(saw, units)}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <NumberField
        label={WORDS.putOneIn}
        value={null}
        quantity="length"
        clearable
        onCommit={(value) => {
          if (value === null) return null;
          return keepWithin(value, [5, 250], "length", (saw) => keep([...own, Math.round(saw * 10) / 10]));
        }}
      />
      {bought.size === 0
        ? holes.length > 0 && (
            <p className="text-[13px]">
              <Trade>{WORDS.yourSawsCutEveryHole}</Trade>
            </p>
          )
        : [...bought].map(([key, { name, wanted }]) => {
            const price = build.prices?.[key]?.price ?? null;
            return (
              <p key={key} className="py-0.5 text-[13px] leading-snug">
                <span className="font-semibold">
                  {WORDS.toBuy} {name}
                </span>
                {price !== null && <>, {formatNumber(price, 2)}</>}{" "}
                <span className="text-faint">
                  {WORDS.forIt} {wanted.join("; ")}
                </span>
              </p>
            );
          })}
      {[...bought.keys()].some((saw) => (build.prices?.[saw]?.price ?? null) === null) && (
        <p className="text-[12px] text-faint">
          <Trade>{WORDS.whatASawCostsIs}</Trade>
        </p>
      )}
    </Group>
  );
}
