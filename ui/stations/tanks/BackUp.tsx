"use client";
import { useMemo } from "react";
import { computeUp } from "@/core/attitude/attitude";
import type { Tank } from "@/core/design/plumbing";
import { buildNetwork } from "@/core/falls/network";
import { listOpenings } from "@/core/tanks/openings";
import { listDrownings } from "@/core/tanks/tankLevels";
import { useWorkbench } from "@/store/useWorkbench";
import { describeOpening } from "@/words/openings";
import * as WORDS from "@/words/panels/tanks/backUp";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";

/** In which order the water comes up as the tank fills, as the rig stands. */
export function BackUp({ tank }: { readonly tank: Tank }) {
  const design = useWorkbench((state) => state.history!.design);
  const attitude = useWorkbench((state) => state.attitude);
  const units = useWorkbench((state) => state.units);
  const drownings = useMemo(
    () => listDrownings(tank, listOpenings(design, buildNetwork(design), tank), computeUp(attitude)),
    [design, tank, attitude],
  );
  if (drownings.length === 0) return null;
  return (
    <Group title={WORDS.whereItComesUpAs}>
      <table className="w-full text-[13.5px]" aria-label={WORDS.whereComesUpAsIt(tank.name)}>
        <tbody>
          {drownings.map(({ opening, litres }, i) => (
            <tr key={`${opening.by}-${opening.id}`} className={i === 0 ? "font-semibold" : "text-faint"}>
              <td className="py-0.5">
                {describeOpening(opening, design)}
                {opening.heldMm > 0 && WORDS.heldByItsValve}
              </td>
              <td className="figures text-right text-[15px] whitespace-nowrap">
                {litres === null ? WORDS.never : formatQuantity(litres, "volume", units)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Group>
  );
}
