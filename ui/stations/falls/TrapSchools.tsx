"use client";
import { useMemo, useState } from "react";
import { findTrap } from "@/core/design/lineItems";
import { compareTraps } from "@/core/traps/trapSchools";
import { useWorkbench } from "@/store/useWorkbench";
import { TRAP_NAMES } from "@/words/drainLabels";
import * as WORDS from "@/words/panels/falls/trapSchools";
import { formatLengthFigure, formatNumber, lengthUnit } from "@/words/units";
import { Trade } from "../../glossary/Trade";
import { Said } from "../../kit/Said";

/** The kinds of trap side by side on this rig: what each costs in height and keeps of its water. */
export function TrapSchools({ lineId }: { readonly lineId: string }) {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  // as many evaluations as there are kinds: worked out for those who look
  const [isOpen, setIsOpen] = useState(false);
  const schools = useMemo(() => (isOpen ? compareTraps(design, lineId) : []), [isOpen, design, lineId]);
  const fitted = design.lines.find((line) => line.id === lineId);
  const figure = (mm: number | null) => (mm === null ? "none" : formatLengthFigure(mm, units));
  return (
    <details className="pt-1.5" onToggle={(event) => setIsOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer text-[13px] text-enamel underline decoration-dotted underline-offset-4">
        <Said>{WORDS.theKindsSideBySide}</Said>
      </summary>
      <table className="mt-1 w-full text-[13px]">
        <thead className="text-faint">
          <tr>
            <th className="text-left font-normal">{lengthUnit(units)}</th>
            <th className="text-right font-normal">{WORDS.height}</th>
            <th className="text-right font-normal">{WORDS.inHand}</th>
            <th className="text-right font-normal">
              <Said>{WORDS.driven}</Said>
            </th>
            <th className="text-right font-normal">{WORDS.dryWeeks}</th>
          </tr>
        </thead>
        <tbody className="figures text-[15px]">
          {schools.map((school) => {
            const isFitted = fitted?.kind === "drain" && findTrap(fitted)?.kind === school.kind;
            return (
              <tr key={school.kind} className={isFitted ? "bg-pick" : ""}>
                <td className="py-0.5">{TRAP_NAMES[school.kind].name}</td>
                <td className="text-right">{figure(school.heightMm)}</td>
                <td className={`text-right ${school.worstMm < 0 ? "text-signal" : ""}`}>{figure(school.worstMm)}</td>
                <td className="text-right">{figure(school.afterDrivingMm)}</td>
                <td className="text-right">
                  {school.dryWeeks === null ? WORDS.never : formatNumber(school.dryWeeks, 0)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.eachAsSoldInHand}</Trade> {TRAP_NAMES.membrane.name}:{" "}
        {TRAP_NAMES.membrane.plain.charAt(0).toLowerCase()}
        {TRAP_NAMES.membrane.plain.slice(1)} <Trade>{WORDS.neverTheTanksOnlyProtection}</Trade>
      </p>
    </details>
  );
}
