"use client";
import { useMemo, useState } from "react";
import { listWires } from "@/core/build/wiring";
import { useWorkbench } from "@/store/useWorkbench";
import { describeCable } from "@/words/goods";
import * as WORDS from "@/words/panels/build/wiringFields";
import { formatLength, formatNumber, formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";

/** What the water side wants of current: cable, fuse and relay for each pump, lamp, valve and heater pad. */
export function WiringFields() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const [volts, setVolts] = useState<"12" | "24">("12");
  const [drop, setDrop] = useState(0.03);
  const [boxX, setBoxX] = useState<number | null>(null);
  const { lengthMm } = design.rig;
  const x = boxX ?? Math.round(lengthMm * 0.75);
  const wires = useMemo(
    () => listWires(design, { volts: volts === "12" ? 12 : 24, boxMm: { x, y: 0, z: 300 }, dropShare: drop }),
    [design, volts, x, drop],
  );
  if (wires.length === 0) return null;
  return (
    <Group title={WORDS.wiringOfTheWaterSide}>
      <Pick label={WORDS.battery} value={volts} names={{ "12": "12 V", "24": "24 V" }} onPick={setVolts} />
      <NumberField
        label={WORDS.fuseBoxFromTheRear}
        value={x}
        quantity="length"
        onCommit={(value) => {
          if (value === null || value < 0 || value > lengthMm + 2_000) return WORDS.whereItSitsOnThis;
          setBoxX(value);
          return null;
        }}
      />
      <NumberField
        label={WORDS.mayBeLostOnThe}
        value={drop}
        quantity="ratio"
        step={0.01}
        onCommit={(value) => {
          if (value === null || value < 0.01 || value > 0.2) return WORDS.from1To20;
          setDrop(value);
          return null;
        }}
      />
      <table className="w-full text-[13.5px]" aria-label={WORDS.cablesAndFuses}>
        <thead className="text-left text-faint">
          <tr>
            <th className="font-normal">{WORDS.forIt}</th>
            <th className="text-right font-normal">{WORDS.current}</th>
            <th className="text-right font-normal">{WORDS.cable}</th>
            <th className="text-right font-normal">{WORDS.fuse}</th>
          </tr>
        </thead>
        <tbody>
          {wires.map(({ load, amps, lengthMm: run, sizeMm2, fuseA, wantsRelay }) => (
            <tr key={load.id} className="border-t border-rule align-top">
              <th scope="row" className="py-0.5 text-left font-normal">
                {load.id.startsWith("pad-") ? WORDS.heaterPad(load.name) : load.name}
                <span className="block text-[12px] text-faint">
                  {formatQuantity(load.watts, "power", units)}, {formatLength(Math.round(run / 100) * 100, units)}
                  {load.isOutside ? WORDS.waterproofConnectors : ""}
                  {wantsRelay ? WORDS.relay : ""}
                </span>
              </th>
              <td className="figures text-right text-[15px]">{formatNumber(amps, 1)} A</td>
              <td className="figures text-right text-[15px]">
                {sizeMm2 === null ? WORDS.tooThin : describeCable(sizeMm2, units)}
              </td>
              <td className="figures text-right text-[15px]">{fuseA === null ? "–" : `${fuseA} A`}</td>
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
