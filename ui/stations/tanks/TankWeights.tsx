"use client";
import { computeTankLoads, listUnplaced } from "@/core/tanks/axleLoads";
import { useWorkbench } from "@/store/useWorkbench";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";

/** What the tanks weigh, empty and full, on which axle and side; what dumping before a drive saves. */
export function TankWeights() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const loads = computeTankLoads(design);
  // what tanks do to a boat is her trim and heel, at Heads
  if (design.rig.kind === "boat") return null;
  if (!loads) {
    return (
      <Group title="Weight on the axles">
        <p className="text-[13px] text-faint">Measure the axles at the station Rig first.</p>
      </Group>
    );
  }
  const unplaced = listUnplaced(design);
  const kg = (value: number) => formatQuantity(value, "weight", units);
  return (
    <Group title="Weight on the axles">
      <table className="w-full text-[13px]" aria-label="Weight on the axles">
        <thead className="text-faint">
          <tr>
            <th className="text-left font-normal">all tanks</th>
            <th className="text-right font-normal">empty</th>
            <th className="text-right font-normal">full</th>
            <th className="text-right font-normal">may carry</th>
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
              <td className="text-right">{spareKg === null ? "not known" : kg(spareKg)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {unplaced.length > 0 && (
        <p className="pt-1 text-[13px]">
          Not counted, as their place isn't known:{" "}
          {unplaced.map(({ name, fullKg }) => `${name}, ${kg(fullKg)}`).join("; ")}. Keep them over an axle.
        </p>
      )}
      <p className="pt-1 text-[13px] text-faint">
        Full they are {kg(loads.leftKg)} on the left and {kg(loads.rightKg)} on the right. Dumped before a drive you
        carry {kg(loads.fullKg - loads.emptyKg)} less.
      </p>
    </Group>
  );
}
