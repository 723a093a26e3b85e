"use client";
import { Trash2 } from "lucide-react";
import { USE_RATES, type Use } from "@/core/design/habits";
import { buildRunMinutes, toFlowLpm } from "@/core/edits/habitEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { CHANCE_NAMES, describeUseDoubt, RATE_NAMES, SOURCE_NAMES, USE_NAMES } from "@/words/days";
import * as WORDS from "@/words/panels/days/useFields";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";

const AT = { kind: "habits" } as const;
const NOWHERE = "ground";

/** The figures of one use: what it takes, what of it goes where, and how often. */
export function UseFields({ wayId, use }: { readonly wayId: string; readonly use: Use }) {
  const { fixtures, habits } = useWorkbench((state) => state.history!.design);
  const { set, apply, remove } = useEdits();
  const path = ["habits", "ways", wayId, "uses", use.id];
  const write = (key: keyof Use) => (value: unknown) => set(AT, [...path, key], value ?? 0);
  const vessels = habits.vessels.filter(({ holds }) => holds !== "fresh");
  const ends = {
    [NOWHERE]: WORDS.noDrainTheGround,
    ...Object.fromEntries(fixtures.map(({ id, name }) => [`fixture ${id}`, name])),
    ...Object.fromEntries(vessels.map(({ id, name }) => [`vessel ${id}`, name])),
  };
  const end = use.vesselId ? `vessel ${use.vesselId}` : use.fixtureId ? `fixture ${use.fixtureId}` : NOWHERE;
  const measured = habits.flows.filter(({ fixtureId }) => fixtureId === use.fixtureId).at(-1);
  const lpm = measured ? toFlowLpm(measured.litres, measured.seconds) : null;
  const doubt = describeUseDoubt(use);
  const pickEnd = (value: string) => {
    const [kind, id] = value.split(" ");
    apply({
      code: "change",
      at: AT,
      ops: [
        { op: "set", path: [...path, "fixtureId"], value: kind === "fixture" ? id : null },
        { op: "set", path: [...path, "vesselId"], value: kind === "vessel" ? id : null },
      ],
    });
  };
  return (
    <div className="pb-2 pl-2">
      <p className="pb-1 text-[12.5px] leading-snug text-faint">{USE_NAMES[use.kind].plain}</p>
      <TextField label={WORDS.name} value={use.name} onCommit={(value) => set(AT, [...path, "name"], value)} />
      <NumberField label={WORDS.howOften} value={use.times} quantity="times" onCommit={write("times")} />
      <Pick label={WORDS.thatOften} value={use.per} names={RATE_NAMES} order={USE_RATES} onPick={write("per")} />
      {lpm !== null && use.from === "fresh" && (
        <NumberField
          label={WORDS.minutesEachTime}
          help={WORDS.atWhatTheTapGave}
          value={use.takesL / lpm}
          quantity="times"
          onCommit={(minutes) => apply(buildRunMinutes(wayId, use, minutes ?? 0, lpm))}
        />
      )}
      <NumberField label={WORDS.takesEachTime} value={use.takesL} quantity="volume" onCommit={write("takesL")} />
      <Pick label={WORDS.outOf} value={use.from} names={SOURCE_NAMES} onPick={write("from")} />
      <NumberField
        label={WORDS.goesDownEachTime}
        help={WORDS.theRestIsDrunkBoiled}
        value={use.sendsL}
        quantity="volume"
        onCommit={write("sendsL")}
      />
      {use.sendsL > 0 && <Pick label={WORDS.into} value={end} names={ends} onPick={pickEnd} />}
      <Pick
        label={WORDS.comes}
        value={use.byChance ? "chance" : "regular"}
        names={CHANCE_NAMES}
        onPick={(value) => write("byChance")(value === "chance")}
      />
      {doubt && (
        <p role="status" className="py-1 text-[12.5px] leading-snug text-warn">
          {doubt}
        </p>
      )}
      <Button look="bare" onClick={() => remove(AT, path)}>
        <Trash2 size={14} aria-hidden /> {WORDS.takeThisUseOut}
      </Button>
    </div>
  );
}
