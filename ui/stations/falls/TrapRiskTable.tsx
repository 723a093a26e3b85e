"use client";
import type { PartRef } from "@/core/design/part";
import { lookUpValue } from "@/core/rules/lookUpLimit";
import { findTrapLie, type TrapLie } from "@/core/traps/sealRisks";
import type { FormulaId } from "@/core/workings/working";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/falls/trapRiskTable";
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
  along: WORDS.brakingItLiesAlongThe,
  across: WORDS.corneringItLiesAcrossThe,
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
    left(WORDS.thePipeBehindItRuns, "sealSiphon", WORDS.sealLeftAfterThePipe, risks.afterSiphonMm),
    left(say(LIE_CAUSES[lie]), "sealDriving", WORDS.sealLeftAfterDriving, risks.afterDrivingMm),
    ...(air
      ? [
          left(
            air.suctionBy === "dump" ? WORDS.theDumpValveOpens : WORDS.aStationPumpsTheTank,
            "sealSuction",
            WORDS.sealLeftAfterDumping,
            air.afterSuctionMm,
          ),
          left(WORDS.theTankFills, "sealPressure", WORDS.sealWhileTheTankFills, air.afterPressureMm),
        ]
      : []),
    {
      cause: WORDS.standingUnusedDryIn,
      formula: "sealDrying",
      label: WORDS.untilTheTrapIsDry,
      text: formatQuantity(risks.dryWeeks, "weeks", units),
      isShort: false,
    },
    ...(risks.frostHours !== null
      ? [
          {
            cause: WORDS.atFrozenFrom(formatQuantity(lookUpValue(rules, "nightAir"), "temperature", units)),
            formula: "sealFrost" as const,
            label: WORDS.untilTheTrapFreezes,
            text: formatQuantity(risks.frostHours, "hours", units),
            isShort: false,
          },
        ]
      : []),
  ];
  return (
    <table className="mt-1 w-full text-[13px]">
      <caption className="sr-only">{WORDS.whatEachCauseLeavesOf}</caption>
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
        <tr className="border-t border-rule">
          <th scope="row" className="py-0.5 text-left font-normal text-faint">
            {WORDS.onARoadThatKeepsTime(formatQuantity(risks.beatS, "seconds", units))}
          </th>
          <td className="figures text-right text-[15px] whitespace-nowrap text-ink">
            {risks.afterBeatMm <= 0 ? WORDS.brokenThrough : formatQuantity(risks.afterBeatMm, "length", units)}
          </td>
        </tr>
        {air && (
          <tr className="border-t border-rule">
            <th scope="row" className="py-0.5 text-left font-normal text-faint">
              {say(WORDS.togetherParkedAskewAWeek)}
            </th>
            <td
              className={`figures text-right text-[15px] whitespace-nowrap ${air.togetherMm < leastMm ? "text-signal" : "text-ink"}`}
            >
              {air.togetherMm <= 0 ? WORDS.brokenThrough : formatQuantity(air.togetherMm, "length", units)}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
