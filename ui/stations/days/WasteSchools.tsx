"use client";
import { useMemo, useState } from "react";
import { CANISTER_L, compareWasteSchools } from "@/core/days/wasteSchools";
import { useWorkbench } from "@/store/useWorkbench";
import { SCHOOL_NAMES } from "@/words/days";
import * as WORDS from "@/words/panels/days/wasteSchools";
import { formatDays, formatLength, formatNumber, formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { Said } from "../../kit/Said";
import { useSay } from "../../kit/useSay";

/** The tank as drawn, a canister under the drain, and the open ground, side by side on the same uses. */
export function WasteSchools() {
  const say = useSay();
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const [isOpen, setOpen] = useState(false);
  const schools = useMemo(() => (isOpen ? compareWasteSchools(design) : []), [design, isOpen]);
  return (
    <Group title={WORDS.withATankAndWithout}>
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">
          <Said>{WORDS.whatACanisterOrThe}</Said>
        </summary>
        {schools.length === 0 ? (
          <p className="text-[13px] text-faint">
            <Trade>{WORDS.noDrainEndsInA}</Trade>
          </p>
        ) : (
          <>
            <table className="w-full text-[13px]" data-testid="waste-schools">
              <thead className="text-faint">
                <tr>
                  <th className="text-left font-normal">{WORDS.greyWater}</th>
                  {schools.map(({ id }) => (
                    <th key={id} className="pl-2 text-right font-normal">
                      {say(SCHOOL_NAMES[id])}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody className="figures text-[15px]">
                <Row
                  name={WORDS.stayEndsAfter}
                  cells={schools.map(({ days }) => (days === null ? WORDS.never : formatDays(days)))}
                />
                <Row
                  name={WORDS.carriedAwayADay}
                  cells={schools.map(({ changesPerDay }) =>
                    changesPerDay > 0 ? `${formatNumber(changesPerDay, 1)} ×` : "–",
                  )}
                />
                <Row
                  name={WORDS.onTheGroundADay}
                  cells={schools.map(({ groundLPerDay }) => formatQuantity(groundLPerDay, "volume", units))}
                />
                <Row
                  name={WORDS.weightFull}
                  cells={schools.map(({ fullKg }) => formatQuantity(fullKg, "weight", units))}
                />
                <Row
                  name={WORDS.hangsBelowTheFloor}
                  cells={schools.map(({ hangsMm }) => (hangsMm > 0 ? formatLength(hangsMm, units) : "–"))}
                />
              </tbody>
            </table>
            <p className="pt-1 text-[12px] leading-snug text-faint">
              <Trade>{WORDS.aCanisterHolds}</Trade> {formatQuantity(CANISTER_L, "volume", units)}{" "}
              <Trade>{WORDS.hereAndIsChangedBefore}</Trade> {say(WORDS.lettingGreyWaterRunOn)}
              <Trade>{WORDS.askOnTheSpotChange}</Trade>
            </p>
          </>
        )}
      </details>
    </Group>
  );
}

function Row({ name, cells }: { readonly name: string; readonly cells: readonly string[] }) {
  const say = useSay();
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="font-text text-[13px] text-left font-normal">
        {say(name)}
      </th>
      {cells.map((cell, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cell is known by its column
        <td key={i} className="pl-2 text-right">
          {cell}
        </td>
      ))}
    </tr>
  );
}
