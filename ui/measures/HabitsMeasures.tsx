"use client";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { WORK_CAUTIONS } from "@/words/cautions";
import { formatNumber, formatQuantity } from "@/words/units";
import { Figure } from "../kit/Figure";
import { NumberField } from "../kit/NumberField";
import { Group } from "./Group";
import { useEdits } from "./useEdits";

const AT = { kind: "habits" } as const;

/** Who uses how much, and which tank ends the stay. */
export function HabitsMeasures() {
  const habits = useWorkbench((state) => state.history!.design.habits);
  const { set } = useEdits();
  const field = (key: keyof typeof habits) => (value: number | null) => set(AT, ["habits", key], value ?? 0);
  return (
    <>
      <StayFigures />
      <Group title="Habits">
        <NumberField label="People" value={habits.people} quantity="count" onCommit={field("people")} />
        <NumberField
          label="Down the drains, each"
          value={habits.sinkLPerPersonDay}
          quantity="volumePerDay"
          onCommit={field("sinkLPerPersonDay")}
        />
        <NumberField
          label="Drunk, each"
          help="It empties the fresh tank and never reaches the grey one."
          value={habits.drunkLPerPersonDay}
          quantity="volumePerDay"
          onCommit={field("drunkLPerPersonDay")}
        />
        <NumberField label="Fresh water carried" value={habits.freshL} quantity="volume" onCommit={field("freshL")} />
      </Group>
      <p className="px-3 py-2 text-[12px] leading-snug text-faint">{WORK_CAUTIONS.dumping}</p>
    </>
  );
}

/** The stay in three lines: grey, fresh, and which of them ends it. */
export function StayFigures() {
  const stay = useWorkbench((state) => state.evaluation?.stay ?? null);
  const tanks = useWorkbench((state) => state.history!.design.tanks);
  const units = useWorkbench((state) => state.units);
  if (!stay) {
    return <p className="px-3 py-2 text-faint">Days are known once a sink drains into a grey tank.</p>;
  }
  const { daysToGreyFull, daysToFreshEmpty, endedBy } = stay.here;
  const ended = {
    grey: "The grey tank ends the stay.",
    fresh: "The fresh water ends the stay.",
    both: "Both end together.",
  };
  const longest = Math.max(daysToGreyFull, daysToFreshEmpty);
  const nameTank = (id: string) => tanks.find((tank) => tank.id === id)?.name ?? id;
  const [only, ...more] = stay.tankIds;
  // one tank opens to its working; several are a sum of theirs
  const figure = (stand: "here" | "worst", litres: number, label: string) => {
    const text = formatQuantity(litres, "volume", units);
    if (!only || more.length > 0) return <span className="figures text-[15px] text-ink">{text}</span>;
    const working = toWorkingId("tankUsable", { kind: "tank", id: only }, stand);
    return (
      <Figure working={working} label={label} className="text-[15px] text-ink">
        {text}
      </Figure>
    );
  };
  return (
    <div className="px-3 pt-2 pb-3" data-testid="stay">
      <Days
        name="Grey tank full"
        days={daysToGreyFull}
        share={daysToGreyFull / longest}
        ends={endedBy !== "fresh"}
        working={toWorkingId("daysToGreyFull", AT)}
        water="grey"
      />
      <Days
        name="Fresh water gone"
        days={daysToFreshEmpty}
        share={daysToFreshEmpty / longest}
        ends={endedBy !== "grey"}
        working={toWorkingId("daysToFreshEmpty", AT)}
        water="fresh"
      />
      <p className="mt-1.5 font-semibold">{ended[endedBy]}</p>
      <p className="text-[13px] text-faint">
        {stay.tankIds.length > 1 && `${stay.tankIds.map(nameTank).join(" and ")} together. `}
        Usable as it stands {figure("here", stay.here.usableL, "Usable litres")}, at the worst standing{" "}
        {figure("worst", stay.worst.usableL, "Usable, worst standing")}.
      </p>
    </div>
  );
}

type DaysProps = {
  readonly name: string;
  readonly days: number;
  readonly share: number;
  readonly ends: boolean;
  readonly working: string;
  readonly water: "grey" | "fresh";
};

function Days({ name, days, share, ends, working, water }: DaysProps) {
  return (
    <div className="flex items-center gap-2 py-0.5">
      <span className="w-[104px] shrink-0 text-[13px] text-faint">{name}</span>
      <span className="h-4 min-w-0 flex-1 border border-ink bg-sheet">
        <span className={`block h-full bar-${water}`} style={{ width: `${Math.max(2, share * 100).toFixed(1)}%` }} />
      </span>
      <Figure working={working} label={name} className={`w-[70px] text-right text-[17px] ${ends ? "" : "text-faint"}`}>
        {formatNumber(days, 1)} days
      </Figure>
    </div>
  );
}
