"use client";
import { Printer } from "lucide-react";
import type { ReactNode } from "react";
import type { Stop } from "@/core/record/journey";
import { listOverlaps } from "@/core/road/checkJourney";
import { addDays, toDays } from "@/core/road/civil";
import { isLoopChangedAt, type JourneyPlan, listLoopChangesAlone } from "@/core/road/planJourney";
import { useWorkbench } from "@/store/useWorkbench";
import {
  describeLeaning,
  describeLoopChange,
  describeOverlap,
  describePlan,
  describePlanGround,
  describeReason,
  describeService,
  describeStop,
  formatDay,
} from "@/words/journey";
import * as WORDS from "@/words/panels/road/journeyStage";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { printPart } from "../../kit/printPart";
import { today } from "../now";
import { StageHeader } from "../StageHeader";
import { useRecords } from "../useRecords";
import { useSide } from "../useSide";
import { placeInventedStops } from "./inventedStops";
import { JourneyMap } from "./JourneyMap";
import { changeStop, shiftFrom } from "./stopEdits";
import { useJourneyPlan } from "./useJourneyPlan";

/** The stops of a journey on a plain map and along its days, and where to dump and fill so that it holds. */
export function JourneyStage({ choice }: { readonly choice: ReactNode }) {
  const side = useSide();
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { stops } = useRecords((state) => state.journey);
  const planned = useJourneyPlan();
  const verdict = planned && describePlan(planned.plan, design, planned.from, planned.certainty, units);
  const head = [design.name, ...(verdict ? [verdict, WORDS.plannedOn(formatDay(today()))] : [])];
  const served = new Set(planned?.plan.services.map(({ stopId }) => stopId));
  return (
    <section aria-label={WORDS.journey} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={WORDS.journey}
        choice={choice}
        text={
          planned ? (
            <span className={planned.plan.holds ? "" : "text-signal"}>{verdict}</span>
          ) : (
            WORDS.addStopsAtTheRight(side)
          )
        }
      />
      <div
        className="min-h-0 flex-1 overflow-y-auto px-3 pb-3"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
        tabIndex={0}
        role="group"
        data-card
        aria-label={WORDS.stopsAndPlan}
      >
        {stops.length === 0 && (
          <div className="mx-auto max-w-[46ch] pt-12 text-[14.5px] leading-relaxed">
            <p className="pb-3">
              <Trade>{WORDS.noStopsYetWithThe}</Trade>
            </p>
            <Button onClick={() => void placeInventedStops(today())}>{WORDS.tryItWithInventedStops}</Button>
          </div>
        )}
        {stops.length > 0 && <JourneyMap stops={stops} served={served} />}
        {planned && (
          <Button onClick={(event) => printPart(event.currentTarget.closest("[data-card]"), head)}>
            <Printer size={14} aria-hidden /> {WORDS.printAsACard}
          </Button>
        )}
        {listOverlaps(stops).map((overlap) => (
          <p key={`${overlap.beforeId} ${overlap.stopId}`} className="py-1 text-[13.5px] text-warn">
            {describeOverlap(overlap, stops)}
          </p>
        ))}
        {planned && planned.plan.leaning.length > 0 && (
          <p className="py-1 text-[13px] text-faint">{describeLeaning(planned.plan.leaning, design, units)}</p>
        )}
        {planned && (
          <ol data-testid="dump-plan" className="pt-1">
            {planned.plan.services.map((service) => {
              const stop = planned.ahead.find(({ id }) => id === service.stopId)!;
              return (
                <li
                  key={`${service.stopId} ${service.when}`}
                  className="flex flex-wrap items-center gap-x-4 border-t border-rule py-2"
                >
                  <div className="min-w-0 flex-1 basis-72">
                    <h3 className="text-[15px] font-semibold">
                      {formatDay(addDays(planned.from, service.day))},{" "}
                      {service.when === "arrive" ? WORDS.onArrivingAt : WORDS.onLeaving} {stop.name}
                    </h3>
                    <p className="text-[14.5px]">
                      {describeService(service, design, isLoopChangedAt(planned.plan, service))}.
                    </p>
                    <p className="text-[13px] leading-snug text-faint">
                      {describeReason(service, design, planned.from, units)}
                    </p>
                  </div>
                  <Button className="phone:min-h-14" onClick={() => changeStop(stop.id, { isClosed: true })}>
                    {WORDS.itIsClosed}
                  </Button>
                </li>
              );
            })}
          </ol>
        )}
        {planned && <LoopChanges plan={planned.plan} from={planned.from} stops={planned.ahead} />}
        {planned && (
          <p className="border-t border-rule pt-2 pb-1 text-[12.5px] leading-snug text-faint">
            {describePlanGround(design, planned.plan)}
          </p>
        )}
        {stops.length > 0 && <Timeline stops={stops} served={served} />}
      </div>
    </section>
  );
}

/** Changes of the loop's water that fall on no service: by themselves, late, or nowhere. */
function LoopChanges({
  plan,
  from,
  stops,
}: {
  readonly plan: JourneyPlan;
  readonly from: string;
  readonly stops: readonly Stop[];
}) {
  const alone = listLoopChangesAlone(plan);
  if (alone.length === 0) return null;
  return (
    <ul aria-label={WORDS.waterOfTheLoop}>
      {alone.map((change) => {
        const name = stops.find(({ id }) => id === change.stopId)?.name;
        return (
          <li key={`${change.stopId} ${change.day}`} className="border-t border-rule py-2">
            <h3 className="text-[15px] font-semibold">
              {formatDay(addDays(from, change.day))}
              {name ? `, ${name}` : ""}
            </h3>
            <p className={`text-[14px] ${change.isLate ? "text-warn" : ""}`}>{describeLoopChange(change, from)}</p>
          </li>
        );
      })}
    </ul>
  );
}

/** Every stop with its days, longest at the widest; one may close, open and stay longer. */
function Timeline({ stops, served }: { readonly stops: readonly Stop[]; readonly served: ReadonlySet<string> }) {
  const sorted = [...stops].sort((a, b) => a.arrive.localeCompare(b.arrive));
  const start = toDays(sorted[0]!.arrive);
  const days = Math.max(1, ...sorted.map(({ arrive, nights }) => toDays(arrive) + Math.max(1, nights) - start));
  return (
    <ul aria-label={WORDS.daysOfTheJourney} className="mt-2 border-t border-ink pt-1">
      {sorted.map((stop) => {
        const left = ((toDays(stop.arrive) - start) / days) * 100;
        const width = (Math.max(0.35, stop.nights) / days) * 100;
        return (
          <li key={stop.id} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
            <span className="w-40 shrink-0 text-[13.5px]">
              <span className={stop.isClosed ? "line-through" : ""}>{stop.name}</span>
              <span className="block text-[12.5px] text-faint">{describeStop(stop)}</span>
            </span>
            <span className="relative h-5 min-w-32 flex-1 bg-paper" aria-hidden>
              <span
                className={`absolute inset-y-1 border border-ink ${served.has(stop.id) ? "bg-enamel" : "bg-pick"}`}
                style={{ left: `${left.toFixed(2)}%`, width: `${Math.min(100 - left, width).toFixed(2)}%` }}
              />
            </span>
            <Button look="bare" className="phone:min-h-11" onClick={() => shiftFrom(stop.id, 2)}>
              {WORDS.n2DaysMore}
            </Button>
            {stop.isClosed && (
              <Button look="bare" className="phone:min-h-11" onClick={() => changeStop(stop.id, { isClosed: false })}>
                {WORDS.openAgain}
              </Button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
