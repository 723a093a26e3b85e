"use client";
import { listDrainDown } from "@/core/frost/drainDown";
import { listFrostParts } from "@/core/frost/frostParts";
import { lookUpValue } from "@/core/rules/lookUpLimit";
import { useWorkbench } from "@/store/useWorkbench";
import { describeDrainDown, describeFrostPart } from "@/words/frost";
import * as WORDS from "@/words/panels/tanks/frostMeasures";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";

/** What freezes first on a cold night, part by part, and what to empty before. */
export function FrostMeasures() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  const share = useWorkbench((state) => state.fillShare);
  const units = useWorkbench((state) => state.units);
  if (!evaluation) return null;
  const airC = lookUpValue(design.rules, "nightAir");
  const windMps = lookUpValue(design.rules, "nightWind");
  const parts = listFrostParts(design, evaluation, share);
  const steps = listDrainDown(design, evaluation);
  return (
    <>
      {parts.length > 0 && (
        <Group title={WORDS.whatFreezesFirst}>
          <ol data-testid="frost-parts">
            {parts.map((part) => (
              <li
                key={`${part.kind} ${Object.values(part.at).join(":")}`}
                className="flex items-baseline justify-between gap-2 py-0.5 text-[13px]"
              >
                <span>{describeFrostPart(part, design, units)}</span>
                <span className="figures text-[15px] whitespace-nowrap">
                  {formatQuantity(part.hours, "hours", units)}
                </span>
              </li>
            ))}
          </ol>
          <p className="pt-1 text-[12px] leading-snug text-faint">
            <Trade>{WORDS.untilItIsAtFreezing}</Trade> {formatQuantity(airC, "temperature", units)}
            {windMps > 0 ? (
              <>
                {" "}
                <Trade>{WORDS.inAWindOf}</Trade> {formatQuantity(windMps, "velocity", units)}.
              </>
            ) : (
              <Trade>{WORDS.inStillAirWindIsQuicker}</Trade>
            )}{" "}
            <Trade>{WORDS.bareButForLaggedTanks}</Trade> <Trade>{WORDS.whatStandsOverTheFloor}</Trade>
            {design.rig.kind === "boat" && <Trade>{` ${WORDS.aBoatAfloat}`}</Trade>}
          </p>
        </Group>
      )}
      <Group title={WORDS.drainDownBeforeFrost}>
        <ol className="list-decimal pl-4 text-[13px]" data-testid="drain-down">
          {steps.map((step) => (
            <li key={JSON.stringify(step)} className="py-0.5">
              {describeDrainDown(step, design, units)}
            </li>
          ))}
        </ol>
      </Group>
    </>
  );
}
