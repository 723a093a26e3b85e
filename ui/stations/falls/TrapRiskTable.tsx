"use client";
import type { PartRef } from "@/core/design/part";
import { lookUpValue } from "@/core/rules/lookUpLimit";
import { findTrapLie, type TrapLie } from "@/core/traps/sealRisks";
import type { FormulaId } from "@/core/workings/working";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { formatQuantity } from "@/words/units";
import { Figure } from "../../kit/Figure";
import { useSay } from "../../kit/useSay";

type Row = {
  readonly cause: string;
  readonly formula: FormulaId;
  readonly label: string;
  readonly text: string;
  readonly isShort: boolean;
};

const LIE_CAUSES: Readonly<Record<TrapLie, string>> = {
  along: "Braking: it lies along the rig",
  across: "Cornering: it lies across the rig",
};

/** What each cause by itself leaves of the seal of a drain's trap. */
export function TrapRiskTable({ lineId }: { readonly lineId: string }) {
  const say = useSay();
  const risks = useWorkbench((state) => state.evaluation?.drains.find((d) => d.lineId === lineId)?.trapRisks ?? null);
  const air = useWorkbench(
    (state) => state.evaluation?.trapAirs.find((a) => a.lineId === lineId && a.bend === null) ?? null,
  );
  const result = useWorkbench((state) => state.evaluation?.drains.find((d) => d.lineId === lineId) ?? null);
  const rules = useWorkbench((state) => state.history!.design.rules);
  const units = useWorkbench((state) => state.units);
  if (!risks || !result) return null;
  const lie = findTrapLie(result.outletMm, result.nodesMm[0]!);
  const at: PartRef = { kind: "trap", lineId };
  const leastMm = lookUpValue(rules, "sealInUse");
  const left = (cause: string, formula: FormulaId, label: string, mm: number): Row => ({
    cause,
    formula,
    label,
    text: formatQuantity(mm, "length", units),
    isShort: mm < leastMm,
  });
  const rows: Row[] = [
    left("The pipe behind it runs full", "sealSiphon", "Seal left after the pipe ran full", risks.afterSiphonMm),
    left(say(LIE_CAUSES[lie]), "sealDriving", "Seal left after driving", risks.afterDrivingMm),
    ...(air
      ? [
          left(
            air.suctionBy === "dump" ? "The dump valve opens" : "A station pumps the tank out",
            "sealSuction",
            "Seal left after dumping",
            air.afterSuctionMm,
          ),
          left("The tank fills", "sealPressure", "Seal while the tank fills", air.afterPressureMm),
        ]
      : []),
    {
      cause: "Standing unused, dry in",
      formula: "sealDrying",
      label: "Until the trap is dry",
      text: formatQuantity(risks.dryWeeks, "weeks", units),
      isShort: false,
    },
    ...(risks.frostHours !== null
      ? [
          {
            cause: `At ${formatQuantity(lookUpValue(rules, "nightAir"), "temperature", units)}, frozen from`,
            formula: "sealFrost" as const,
            label: "Until the trap freezes",
            text: formatQuantity(risks.frostHours, "hours", units),
            isShort: false,
          },
        ]
      : []),
  ];
  return (
    <table className="mt-1 w-full text-[13px]">
      <caption className="sr-only">What each cause leaves of the seal</caption>
      <tbody>
        {rows.map(({ cause, formula, label, text, isShort }) => (
          <tr key={formula} className="border-t border-rule">
            <th scope="row" className="py-0.5 text-left font-normal text-faint">
              {cause}
            </th>
            <td className="text-right whitespace-nowrap">
              <Figure
                working={toWorkingId(formula, at)}
                label={label}
                className={`text-[15px] ${isShort ? "text-signal" : "text-ink"}`}
              >
                {text}
              </Figure>
            </td>
          </tr>
        ))}
        {air && (
          <tr className="border-t border-rule">
            <th scope="row" className="py-0.5 text-left font-normal text-faint">
              {say("Together: parked askew, a week unused, dumped")}
            </th>
            <td
              className={`figures text-right text-[15px] whitespace-nowrap ${air.togetherMm < leastMm ? "text-signal" : "text-ink"}`}
            >
              {air.togetherMm <= 0 ? "broken through" : formatQuantity(air.togetherMm, "length", units)}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
