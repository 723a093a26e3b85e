"use client";
import { useMemo } from "react";
import { listWires, readSupply } from "@/core/build/wiring";
import type { Supply } from "@/core/design/rig";
import { useWorkbench } from "@/store/useWorkbench";
import { TANK_LOAD_NAMES } from "@/words/build";
import { describeCable } from "@/words/goods";
import * as WORDS from "@/words/panels/build/wiringFields";
import { formatLength, formatNumber, formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";

const RIG = { kind: "rig" } as const;
const BOX_FIELDS = [
  ["x", WORDS.fuseBoxFromTheRear],
  ["y", WORDS.fuseBoxLeftOfThe],
  ["z", WORDS.fuseBoxOverTheFloor],
] as const;

/** What the water side wants of current: cable, fuse and relay for each pump, lamp, valve, sender and heater pad. */
export function WiringFields() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { set } = useEdits();
  const wires = useMemo(() => listWires(design), [design]);
  if (wires.length === 0) return null;
  const supply = readSupply(design);
  const put = (next: Partial<Supply>) => set(RIG, ["rig", "supply"], { ...supply, ...next });
  return (
    <Group title={WORDS.wiringOfTheWaterSide}>
      <Pick
        label={WORDS.battery}
        value={supply.volts === 12 ? "12" : "24"}
        names={{ "12": "12 V", "24": "24 V" }}
        onPick={(volts) => put({ volts: volts === "12" ? 12 : 24 })}
      />
      {BOX_FIELDS.map(([axis, label]) => (
        <NumberField
          key={axis}
          label={label}
          value={supply.boxMm[axis]}
          quantity="length"
          onCommit={(value) => put({ boxMm: { ...supply.boxMm, [axis]: value ?? 0 } })}
        />
      ))}
      <NumberField
        label={WORDS.mayBeLostOnThe}
        value={supply.dropShare}
        quantity="ratio"
        step={0.01}
        onCommit={(value) => put({ dropShare: value ?? 0 })}
      />
      <table className="w-full text-[13.5px]" aria-label={WORDS.cablesAndFuses}>
        <thead className="text-left text-faint">
          <tr>
            <th className="font-normal">{WORDS.forIt}</th>
            <th className="pl-2 text-right font-normal">{WORDS.current}</th>
            <th className="pl-2 text-right font-normal">{WORDS.cable}</th>
            <th className="pl-2 text-right font-normal">{WORDS.fuse}</th>
          </tr>
        </thead>
        <tbody>
          {wires.map(({ load, amps, lengthMm: run, sizeMm2, fuseA, wantsRelay }) => (
            <tr key={load.id} className="border-t border-rule align-top">
              <th scope="row" className="py-0.5 text-left font-normal">
                {load.name}
                <span className="block text-[12px] text-faint">
                  {load.kind === "gear" ? "" : WORDS.ofIt(TANK_LOAD_NAMES[load.kind])}
                  {formatQuantity(load.watts, "power", units)}, {formatLength(Math.round(run / 100) * 100, units)}
                  {load.isOutside ? WORDS.waterproofConnectors : ""}
                  {wantsRelay ? WORDS.relay : ""}
                </span>
              </th>
              <td className="figures pl-2 text-right text-[15px] whitespace-nowrap">{formatNumber(amps, 1)} A</td>
              <td className="figures pl-2 text-right text-[15px] whitespace-nowrap">
                {sizeMm2 === null ? WORDS.tooThin : describeCable(sizeMm2, units)}
              </td>
              <td className="figures pl-2 text-right text-[15px] whitespace-nowrap">
                {fuseA === null ? "–" : `${fuseA} A`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.twoCoresCopperWarmIn}</Trade>
      </p>
    </Group>
  );
}
