"use client";
import { Trash2 } from "lucide-react";
import { PERSON_KINDS, type PersonKind } from "@/core/design/habits";
import { buildAddPeople } from "@/core/edits/habitEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { PERSON_NAMES } from "@/words/days";
import * as WORDS from "@/words/panels/days/peopleFields";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { AddOne } from "../../kit/AddOne";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";

const AT = { kind: "habits" } as const;

/** Who is aboard, and on how many days of a week. */
export function PeopleFields() {
  const design = useWorkbench((state) => state.history!.design);
  const { set, apply, remove } = useEdits();
  const { people } = design.habits;
  return (
    <Group
      title={WORDS.people}
      aside={
        <AddOne<PersonKind>
          label={WORDS.addPeople}
          names={PERSON_NAMES}
          order={PERSON_KINDS}
          onAdd={(kind) => apply(buildAddPeople(design, kind, PERSON_NAMES[kind]))}
        />
      }
    >
      {people.map(({ id, name, count, daysPerWeek }) => (
        <div key={id} className={people.length > 1 ? "border-b border-rule pb-1" : ""}>
          <NumberField
            label={people.length > 1 ? name : WORDS.people}
            value={count}
            quantity="count"
            onCommit={(value) => set(AT, ["habits", "people", id, "count"], value ?? 0)}
          />
          <NumberField
            label={people.length > 1 ? WORDS.daysAWeekAboardOf(name) : WORDS.daysAWeekAboard}
            value={daysPerWeek}
            quantity="times"
            onCommit={(value) => set(AT, ["habits", "people", id, "daysPerWeek"], value ?? 0)}
          />
          {people.length > 1 && (
            <Button look="bare" onClick={() => remove(AT, ["habits", "people", id])}>
              <Trash2 size={14} aria-hidden /> {WORDS.take} {name.toLowerCase()} {WORDS.out}
            </Button>
          )}
        </div>
      ))}
    </Group>
  );
}
