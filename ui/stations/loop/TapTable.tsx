"use client";
import { useMemo } from "react";
import { computeTapFlows } from "@/core/gear/tapFlows";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/loop/tapTable";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";

/** What comes out of each tap alone, and with all of them open. */
export function TapTable() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const flows = useMemo(() => computeTapFlows(design), [design]);
  if (flows.length === 0) return null;
  const figure = (lpm: number) => formatQuantity(lpm / 60, "flow", units);
  return (
    <Group title={WORDS.atTheTaps}>
      <table className="w-full text-[13.5px]" data-testid="tap-flows">
        <thead>
          <tr className="text-left text-[12px] text-faint">
            <th className="font-normal">{WORDS.tap}</th>
            <th className="text-right font-normal">{WORDS.alone}</th>
            <th className="text-right font-normal">{WORDS.allOpen}</th>
          </tr>
        </thead>
        <tbody>
          {flows.map(({ tapId, aloneLpm, togetherLpm }) => (
            <tr key={tapId}>
              <td>{design.gear.find(({ id }) => id === tapId)?.name}</td>
              <td className="figures text-right">{figure(aloneLpm)}</td>
              <td className="figures text-right">{figure(togetherLpm)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Group>
  );
}
