"use client";
import { type ReactNode, useMemo } from "react";
import type { LogEntry, LogKind } from "@/core/record/record";
import { listDueCare } from "@/core/road/care";
import { addDays } from "@/core/road/civil";
import { computeNow, listWayPriors, type NowLevel } from "@/core/road/levels";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell } from "@/store/workbench";
import { describeCare, describeDue, describeService, formatDay } from "@/words/journey";
import * as WORDS from "@/words/panels/road/nowStage";
import { describeFirst, describeLearned, describeNow, describeOdd, describeReading } from "@/words/road";
import { describeStore } from "@/words/stores";
import { Hatches } from "../../drawing/Hatches";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { thisMinute, today } from "../now";
import { StageHeader } from "../StageHeader";
import { useRecords } from "../useRecords";
import { DevicePanel } from "./DevicePanel";
import { ReadingField } from "./ReadingField";
import { useJourneyPlan } from "./useJourneyPlan";

/** How every tank stands now by the book, with its band, and one press to write down what was done. */
export function NowStage({ choice }: { readonly choice: ReactNode }) {
  const design = useWorkbench((state) => state.history!.design);
  const balance = useWorkbench((state) => state.evaluation!.balance);
  const log = useRecords((state) => state.log);
  const phase = useRecords((state) => state.phase);
  const now = thisMinute();
  const levels = useMemo(
    () =>
      balance.stores
        .filter(({ holds }) => holds !== "loop")
        .map((store) => computeNow(store, log, now, listWayPriors(balance, store.store.id))),
    [balance, log, now],
  );
  const first = [...levels]
    .filter(({ daysLeft, since }) => daysLeft !== null && since !== null)
    .sort((a, b) => a.daysLeft! - b.daysLeft!)[0];
  return (
    <section aria-label={WORDS.now} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={WORDS.now}
        choice={choice}
        text={first ? describeFirst(describeStore(first.storeId, design), first) : WORDS.writeDownTheLastFill}
      />
      {phase === "failed" && (
        <p role="alert" className="px-3 py-2 text-signal">
          {WORDS.theLogbookCannotBeKept}
        </p>
      )}
      <div
        className="min-h-0 flex-1 overflow-y-auto px-3 pb-3"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
        tabIndex={0}
        role="group"
        aria-label={WORDS.levelsNow}
      >
        <NextUp />
        <LivedAs wayId={levels[0]?.wayId ?? null} />
        {levels.map((level) => (
          <StoreNow key={level.storeId} level={level} name={describeStore(level.storeId, design)} />
        ))}
        {levels.length > 0 && <DevicePanel levels={levels} />}
        {levels.length === 0 && (
          <p className="py-4">
            <Trade>{WORDS.noTankAndNoCanister}</Trade>
          </p>
        )}
      </div>
    </section>
  );
}

/** What comes next on the way and in the care of the rig, each one press from where it is done. */
function NextUp() {
  const design = useWorkbench((state) => state.history!.design);
  const log = useRecords((state) => state.log);
  const planned = useJourneyPlan();
  const built = useRecords((state) => state.build.done);
  const [job] = useMemo(() => listDueCare(design, log, today(), built), [design, log, built]);
  const service = planned?.plan.services[0];
  const place = planned?.ahead.find(({ id }) => id === service?.stopId) ?? planned?.ahead[0];
  const line = "flex w-full flex-wrap items-baseline gap-x-2 border-t border-rule py-1.5 text-left phone:min-h-11";
  return (
    <>
      {planned && place && (
        <button type="button" className={`${line} hover:bg-pick/60`} onClick={() => look({ roadView: "journey" })}>
          <span className="text-faint">{WORDS.nextStop}</span>
          <span className="font-semibold">{place.name}</span>
          <span>
            {service
              ? `${formatDay(addDays(planned.from, service.day))}: ${describeService(service, design)}.`
              : WORDS.nothingHasToBeDumped(formatDay(place.arrive))}
          </span>
        </button>
      )}
      {job && (
        <button type="button" className={`${line} hover:bg-pick/60`} onClick={() => look({ roadView: "care" })}>
          <span className="text-faint">{WORDS.nextJob}</span>
          <span className="font-semibold">{describeCare(job).title}</span>
          <span className={job.inDays <= 0 ? "text-warn" : "text-faint"}>{describeDue(job)}</span>
        </button>
      )}
    </>
  );
}

/** Which way of living the litres a day are reckoned with; there is nothing to choose where the stay has one. */
function LivedAs({ wayId }: { readonly wayId: string | null }) {
  const { ways, stretches } = useWorkbench((state) => state.history!.design.habits);
  const lived = ways.filter(({ id }) => stretches.some((stretch) => stretch.wayId === id));
  if (wayId === null || lived.length < 2) return null;
  return (
    <div className="max-w-md border-t border-rule py-1.5">
      <Pick
        label={WORDS.livedAsFromNowOn}
        value={wayId}
        names={Object.fromEntries(lived.map(({ id, name }) => [id, name]))}
        onPick={(id) => {
          const way = lived.find((one) => one.id === id);
          if (way) add({ kind: "living", storeId: null, amount: null, note: way.name, wayId: way.id });
        }}
      />
    </div>
  );
}

function StoreNow({ level, name }: { readonly level: NowLevel; readonly name: string }) {
  const units = useWorkbench((state) => state.units);
  const learned = describeLearned(level, units);
  const isFresh = level.holds === "fresh";
  const write = (kind: LogKind, amount: number | null, note = "") =>
    add({ kind, storeId: level.storeId, amount, note });
  return (
    <div className="border-t border-rule py-2">
      <h3 className="plate text-[18px]">{name}</h3>
      <Bar level={level} />
      <p className="text-[13.5px] leading-snug">
        {describeNow(level, units)} {level.reading && describeReading(level.reading, units)}
      </p>
      {learned && <p className="text-[13px] leading-snug text-faint">{learned}</p>}
      {level.oddL !== null && <p className="text-[13px] text-warn">{describeOdd(level.oddL, level.holds, units)}</p>}
      <div className="flex flex-wrap items-center gap-2 pt-1.5">
        <Button
          look="plate"
          className="phone:min-h-14 phone:flex-1"
          onClick={() => write(isFresh ? "fill" : "dump", null)}
        >
          {isFresh ? WORDS.filledUp : WORDS.dumped}
        </Button>
        <ReadingField level={level} name={name} onRead={(litres, note) => write("reading", litres, note)} />
      </div>
    </div>
  );
}

const BAR = { width: 400, height: 34 };

// Full width is the room; the hatch is what is in it, the band where it lies four times in five.
function Bar({ level }: { readonly level: NowLevel }) {
  const x = (l: number) => (l / Math.max(1, level.roomL)) * BAR.width;
  const hatch = `now-${level.storeId}`;
  return (
    <svg
      viewBox={`-2 0 ${BAR.width + 4} ${BAR.height}`}
      className="my-1 w-full max-w-2xl"
      role="img"
      aria-label={WORDS.full(Math.round((level.litres / Math.max(1, level.roomL)) * 100))}
    >
      <Hatches id={hatch} />
      <rect x={0} y={6} width={x(level.litres)} height={BAR.height - 12} fill={`url(#${hatch}-${level.holds})`} />
      <rect
        x={x(level.lowL)}
        y={3}
        width={Math.max(1, x(level.highL) - x(level.lowL))}
        height={BAR.height - 6}
        fill="var(--pick)"
        fillOpacity={0.55}
      />
      <rect x={0} y={6} width={BAR.width} height={BAR.height - 12} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
      <path d={`M${x(level.litres)} 1V${BAR.height - 1}`} stroke="var(--enamel)" strokeWidth={2.4} />
    </svg>
  );
}

/** Writes one line with the time it is now, or the one it is given; it can be taken back at once. */
export function add(entry: Omit<LogEntry, "id" | "at"> & { readonly at?: string }): void {
  const id = `e${Date.now().toString(36)}${Math.floor(Math.random() * 1_296).toString(36)}`;
  records
    .addEntry({ id, at: thisMinute(), ...entry })
    .then(() =>
      tell(WORDS.writtenIntoTheLogbook, { action: { label: WORDS.undo, run: () => void records.removeEntry(id) } }),
    )
    .catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
}
