"use client";
import { type ReactNode, useMemo, useState } from "react";
import type { LogEntry, LogKind } from "@/core/record/record";
import { computeNow, type NowLevel } from "@/core/road/levels";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeNow, describeOdd } from "@/words/road";
import { describeStore } from "@/words/stores";
import { parseQuantity } from "@/words/units";
import { Hatches } from "../../drawing/Hatches";
import { Button } from "../../kit/Button";
import { thisMinute } from "../now";
import { StageHeader } from "../StageHeader";
import { useRecords } from "../useRecords";
import { DevicePanel } from "./DevicePanel";

/** How every tank stands now by the book, with its band, and one press to write down what was done. */
export function NowStage({ choice }: { readonly choice: ReactNode }) {
  const design = useWorkbench((state) => state.history!.design);
  const balance = useWorkbench((state) => state.evaluation!.balance);
  const log = useRecords((state) => state.log);
  const phase = useRecords((state) => state.phase);
  const now = thisMinute();
  const levels = useMemo(
    () => balance.stores.filter(({ holds }) => holds !== "loop").map((store) => computeNow(store, log, now)),
    [balance, log, now],
  );
  const first = [...levels]
    .filter(({ daysLeft, since }) => daysLeft !== null && since !== null)
    .sort((a, b) => a.daysLeft! - b.daysLeft!)[0];
  return (
    <section aria-label="Now" className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title="Now"
        choice={choice}
        text={
          first?.daysLeft != null
            ? `${describeStore(first.storeId, design)} comes first: ${first.daysLeft.toFixed(1)} days.`
            : "Write down the last fill and dump, and it is reckoned from there."
        }
      />
      {phase === "failed" && (
        <p role="alert" className="px-3 py-2 text-signal">
          The logbook cannot be kept in this browser. Reload the page; if it happens again, write it on paper.
        </p>
      )}
      <div
        className="min-h-0 flex-1 overflow-y-auto px-3 pb-3"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
        tabIndex={0}
        role="group"
        aria-label="Levels now"
      >
        {levels.map((level) => (
          <StoreNow key={level.storeId} level={level} name={describeStore(level.storeId, design)} />
        ))}
        {levels.length > 0 && <DevicePanel levels={levels} />}
        {levels.length === 0 && (
          <p className="py-4">No tank and no canister yet: there is nothing to keep a book of.</p>
        )}
      </div>
    </section>
  );
}

function StoreNow({ level, name }: { readonly level: NowLevel; readonly name: string }) {
  const units = useWorkbench((state) => state.units);
  const [typed, setTyped] = useState("");
  const [refusal, setRefusal] = useState<string | null>(null);
  const isFresh = level.holds === "fresh";
  const write = (kind: LogKind, amount: number | null) => {
    setRefusal(null);
    setTyped("");
    add({ kind, storeId: level.storeId, amount, note: "" });
  };
  const read = () => {
    const value = parseQuantity(typed, "volume", units);
    if (!value.ok) return setRefusal("Type the litres you read, such as 25.");
    // a gauge that shows more than the tank holds was read wrongly
    if (value.value < 0 || value.value > level.roomL * 1.2)
      return setRefusal("That is more than it holds. Read it again, standing level.");
    write("reading", value.value);
  };
  return (
    <div className="border-t border-rule py-2">
      <h3 className="plate text-[18px]">{name}</h3>
      <Bar level={level} />
      <p className="text-[13.5px] leading-snug">{describeNow(level, units)}</p>
      {level.oddL !== null && <p className="text-[13px] text-warn">{describeOdd(level.oddL, level.holds, units)}</p>}
      <div className="flex flex-wrap items-center gap-2 pt-1.5">
        <Button
          look="plate"
          className="phone:min-h-14 phone:flex-1"
          onClick={() => write(isFresh ? "fill" : "dump", null)}
        >
          {isFresh ? "Filled up" : "Dumped"}
        </Button>
        <input
          aria-label={`Litres read of ${name}`}
          inputMode="decimal"
          value={typed}
          placeholder="read"
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && read()}
          className="figures min-h-9 w-20 border-b border-edge bg-sheet px-2 text-right text-[16px] phone:min-h-14"
        />
        <Button onClick={read} className="phone:min-h-14">
          Write reading
        </Button>
      </div>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
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
      aria-label={`${Math.round((level.litres / Math.max(1, level.roomL)) * 100)} % full`}
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

/** Writes one line with the time it is now; it can be taken back at once. */
export function add(entry: Omit<LogEntry, "id" | "at">): void {
  const id = `e${Date.now().toString(36)}${Math.floor(Math.random() * 1_296).toString(36)}`;
  records
    .addEntry({ id, at: thisMinute(), ...entry })
    .then(() =>
      tell("Written into the logbook.", { action: { label: "Undo", run: () => void records.removeEntry(id) } }),
    )
    .catch(() => tell("That could not be kept in this browser.", { tone: "warning" }));
}
