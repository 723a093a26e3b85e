"use client";
import { Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { listUncounted } from "@/core/days/uncounted";
import { READY_WAYS, type ReadyWay } from "@/core/days/usualUses";
import { USE_KINDS, type UseKind } from "@/core/design/habits";
import { buildCountFixtures } from "@/core/edits/countEdits";
import { buildAddUse, buildAddWay, buildRemoveWay } from "@/core/edits/habitEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { describeUse, listUseNames, READY_NAMES, USE_LIST } from "@/words/days";
import * as WORDS from "@/words/panels/days/useList";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { AddOne } from "../../kit/AddOne";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { UseFields } from "./UseFields";

/** What people do with water, in the way of living the stay begins with; one use opens to its figures. */
export function UseList() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { set, apply } = useEdits();
  const [openId, setOpenId] = useState<string | null>(null);
  const { ways, stretches } = design.habits;
  const way = ways.find(({ id }) => id === stretches[0]?.wayId) ?? ways[0]!;
  const live = (wayId: string) =>
    set(
      { kind: "habits" },
      ["habits", "stretches"],
      [{ wayId, days: stretches[0]?.days ?? 30 }, ...stretches.slice(1)],
    );
  const uncounted = useMemo(() => listUncounted(design).filter(({ ways: left }) => left.includes(way)), [design, way]);
  const removal = buildRemoveWay(design, way.id);
  return (
    <>
      <Group
        title={WORDS.wayOfLiving}
        aside={
          <AddOne<ReadyWay>
            label={WORDS.addAWayOfLiving}
            names={READY_NAMES}
            order={READY_WAYS}
            onAdd={(ready) => apply(buildAddWay(design, ready, { name: READY_NAMES[ready], uses: listUseNames() }))}
          />
        }
      >
        <Pick
          label={WORDS.lived}
          value={way.id}
          names={Object.fromEntries(ways.map(({ id, name }) => [id, name]))}
          onPick={live}
        />
        {removal && (
          <Button look="bare" onClick={() => apply(removal)}>
            <Trash2 size={14} aria-hidden /> {WORDS.take} {way.name} {WORDS.out}
          </Button>
        )}
      </Group>
      <Group
        title={WORDS.uses}
        aside={
          <AddOne<UseKind>
            label={WORDS.addAUse}
            names={USE_LIST}
            order={USE_KINDS}
            onAdd={(kind) => apply(buildAddUse(design, way, kind, USE_LIST[kind]))}
          />
        }
      >
        <ul>
          {way.uses.map((use) => {
            const isOpen = use.id === openId;
            return (
              <li key={use.id} className="border-b border-rule">
                <button
                  type="button"
                  aria-expanded={isOpen}
                  onClick={() => setOpenId(isOpen ? null : use.id)}
                  className="flex min-h-9 w-full items-baseline justify-between gap-2 py-1 phone:items-center text-left text-[13.5px] hover:bg-pick phone:min-h-11"
                >
                  <span className={isOpen ? "font-semibold" : ""}>{use.name}</span>
                  <span className="figures text-[14px] text-faint">{describeUse(use, units)}</span>
                </button>
                {isOpen && <UseFields wayId={way.id} use={use} />}
              </li>
            );
          })}
        </ul>
        {uncounted.map(({ fixture }) => (
          <div key={fixture.id} className="flex items-center gap-2 border-b border-rule py-1">
            <span className="min-w-0 flex-1 text-[13.5px] leading-snug text-warn">
              {fixture.name}
              {WORDS.nothingIsCountedYet}
            </span>
            <Button
              aria-label={WORDS.countTheUsualFor(fixture.name)}
              onClick={() => {
                const edit = buildCountFixtures(design, fixture.id);
                if (edit) apply(edit);
              }}
            >
              {WORDS.countTheUsual}
            </Button>
          </div>
        ))}
        {way.uses.length === 0 && (
          <p className="text-[13px]">
            <Trade>{WORDS.noUsesYetAddWhat}</Trade>
          </p>
        )}
      </Group>
    </>
  );
}
