"use client";
import { useMemo, useState } from "react";
import { listWires } from "@/core/build/wiring";
import { useWorkbench } from "@/store/useWorkbench";
import { describeCable } from "@/words/goods";
import { formatLength, formatNumber, formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
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
    <Group title="Wiring of the water side">
      <Pick label="Battery" value={volts} names={{ "12": "12 V", "24": "24 V" }} onPick={setVolts} />
      <NumberField
        label="Fuse box, from the rear edge"
        value={x}
        quantity="length"
        onCommit={(value) => {
          if (value === null || value < 0 || value > lengthMm + 2_000) return "Where it sits on this rig.";
          setBoxX(value);
          return null;
        }}
      />
      <NumberField
        label="May be lost on the way"
        value={drop}
        quantity="ratio"
        step={0.01}
        onCommit={(value) => {
          if (value === null || value < 0.01 || value > 0.2) return "From 1 to 20 %.";
          setDrop(value);
          return null;
        }}
      />
      <table className="w-full text-[13.5px]" aria-label="Cables and fuses">
        <thead className="text-left text-faint">
          <tr>
            <th className="font-normal">for</th>
            <th className="text-right font-normal">current</th>
            <th className="text-right font-normal">cable</th>
            <th className="text-right font-normal">fuse</th>
          </tr>
        </thead>
        <tbody>
          {wires.map(({ load, amps, lengthMm: run, sizeMm2, fuseA, wantsRelay }) => (
            <tr key={load.id} className="border-t border-rule align-top">
              <th scope="row" className="py-0.5 text-left font-normal">
                {load.id.startsWith("pad-") ? `Heater pad, ${load.name}` : load.name}
                <span className="block text-[12px] text-faint">
                  {formatQuantity(load.watts, "power", units)}, {formatLength(Math.round(run / 100) * 100, units)}
                  {load.isOutside ? ", waterproof connectors" : ""}
                  {wantsRelay ? ", relay" : ""}
                </span>
              </th>
              <td className="figures text-right text-[15px]">{formatNumber(amps, 1)} A</td>
              <td className="figures text-right text-[15px]">
                {sizeMm2 === null ? "too thin" : describeCable(sizeMm2, units)}
              </td>
              <td className="figures text-right text-[15px]">{fuseA === null ? "–" : `${fuseA} A`}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        Two cores, copper warm in a bundle; fuse at the box, within a hand of the battery side. What the maker says of
        cable and pump goes first. Mains current is for the licensed.
      </p>
    </Group>
  );
}
