"use client";
import { computeTankLoads, listUnplaced } from "@/core/tanks/axleLoads";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/tanks/tankWeights";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";

/** What the tanks weigh, empty and full, on which axle and side; what dumping before a drive saves. */
export function TankWeights() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const loads = computeTankLoads(design);
  // what tanks do to a boat is her trim and heel, at Heads
  if (design.rig.kind === "boat") return null;
  if (!loads) {
    return (
      <Group title={WORDS.weightOnTheAxles}>
        <p className="text-[13px] text-faint">
          <Trade>{WORDS.measureTheAxlesAtThe}</Trade>
        </p>
      </Group>
    );
  }
  const unplaced = listUnplaced(design);
  const kg = (value: number) => formatQuantity(value, "weight", units);
  return (
    <Group title={WORDS.weightOnTheAxles}>
      <table className="w-full text-[13px]" aria-label={WORDS.weightOnTheAxles}>
        <thead className="text-faint">
          <tr>
            <th className="text-left font-normal">{WORDS.allTanks}</th>
            <th className="text-right font-normal">{WORDS.empty}</th>
            <th className="text-right font-normal">{WORDS.full}</th>
            <th className="text-right font-normal">{WORDS.mayCarry}</th>
          </tr>
        </thead>
        <tbody className="figures text-[15px]">
          {loads.axles.map(({ name, emptyKg, fullKg, mostKg, spareKg }) => (
            <tr key={name} className="border-t border-rule">
              <th scope="row" className="text-left font-normal">
                {name}
              </th>
              <td className="text-right">{kg(emptyKg)}</td>
              <td className={`text-right ${spareKg !== null && mostKg > spareKg ? "text-signal" : ""}`}>
                {kg(fullKg)}
              </td>
              <td className="text-right">{spareKg === null ? WORDS.notKnown : kg(spareKg)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {unplaced.length > 0 && (
        <p className="pt-1 text-[13px]">
          <Trade>{WORDS.notCountedAsTheirPlace}</Trade>{" "}
          {unplaced.map(({ name, fullKg }) => `${name}, ${kg(fullKg)}`).join("; ")}
          <Trade>{WORDS.keepThemOverAnAxle}</Trade>
        </p>
      )}
      <p className="pt-1 text-[13px] text-faint">
        <Trade>{WORDS.fullTheyAre}</Trade> {kg(loads.leftKg)} <Trade>{WORDS.onTheLeftAnd}</Trade> {kg(loads.rightKg)}{" "}
        <Trade>{WORDS.onTheRightDumpedBefore}</Trade> {kg(loads.fullKg - loads.emptyKg)} <Trade>{WORDS.less}</Trade>
      </p>
    </Group>
  );
}
