"use client";
import { Trash2 } from "lucide-react";
import type { Vessel } from "@/core/design/habits";
import { HELD_WATERS, type HeldWater } from "@/core/design/plumbing";
import { buildAddVessel, buildRemoveVessel } from "@/core/edits/habitEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { UNIT_NAMES, VESSEL_NAMES } from "@/words/days";
import * as WORDS from "@/words/panels/days/vesselFields";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { AddOne } from "../../kit/AddOne";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";

const AT = { kind: "habits" } as const;

/** Canisters, bottles and buckets beside the tanks. */
export function VesselFields() {
  const design = useWorkbench((state) => state.history!.design);
  const { set, apply } = useEdits();
  const { kind } = design.rig;
  const canBeHitched = kind !== "boat";
  return (
    <Group
      title={WORDS.canistersAndBottles}
      aside={
        <AddOne<HeldWater>
          label={WORDS.addACanisterOrBottle}
          names={VESSEL_NAMES}
          order={HELD_WATERS}
          onAdd={(holds) => apply(buildAddVessel(design, holds, VESSEL_NAMES[holds]))}
        />
      }
    >
      {design.habits.vessels.map(({ id, name, holds, litres, on }) => (
        <div key={id} className="border-b border-rule pb-1">
          <TextField
            label={VESSEL_NAMES[holds]}
            value={name}
            onCommit={(value) => set(AT, ["habits", "vessels", id, "name"], value)}
          />
          <div className="flex items-center gap-1">
            <span className="min-w-0 flex-1">
              <NumberField
                label={WORDS.holds(name)}
                value={litres}
                quantity="volume"
                onCommit={(value) => set(AT, ["habits", "vessels", id, "litres"], value ?? 0)}
              />
            </span>
            <Button look="bare" aria-label={WORDS.takeOut(name)} onClick={() => apply(buildRemoveVessel(design, id))}>
              <Trash2 size={14} aria-hidden />
            </Button>
          </div>
          {canBeHitched && (
            <Pick<Vessel["on"]>
              label={WORDS.carriedOn(name)}
              value={on}
              names={UNIT_NAMES[kind === "trailer" ? "trailer" : "van"]}
              onPick={(value) => set(AT, ["habits", "vessels", id, "on"], value)}
            />
          )}
        </div>
      ))}
      {design.habits.vessels.length === 0 && (
        <p className="text-[13px] text-faint">
          <Trade>{WORDS.noneAllWaterIsIn}</Trade>
        </p>
      )}
    </Group>
  );
}
