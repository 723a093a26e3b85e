"use client";
import { Plus, Trash2 } from "lucide-react";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/rig/axleMeasures";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";

const AT = { kind: "rig" } as const;
const MOST_AXLES = 4;

/** Where the axles are, so that the level can say what to put under which wheel. */
export function AxleMeasures() {
  const axles = useWorkbench((state) => state.history!.design.rig.axles);
  const lengthMm = useWorkbench((state) => state.history!.design.rig.lengthMm);
  const kind = useWorkbench((state) => state.history!.design.rig.kind);
  const couplingXMm = useWorkbench((state) => state.history!.design.rig.couplingXMm);
  const { set, insert, remove } = useEdits();
  const add = () => {
    const value =
      axles.length === 0
        ? { name: WORDS.rearAxle, xMm: 800, spareKg: null }
        : { name: WORDS.frontAxle, xMm: lengthMm + 900, spareKg: null };
    insert(AT, ["rig", "axles"], axles.length, value);
  };
  return (
    <Group
      title={WORDS.axlesFromTheRearEdge}
      aside={
        axles.length < MOST_AXLES && (
          <Button onClick={add}>
            <Plus size={14} aria-hidden /> {WORDS.axle}
          </Button>
        )
      }
    >
      {kind === "trailer" && axles.length > 0 && (
        <NumberField
          label={WORDS.coupling}
          help={WORDS.theBallsMiddleMeasuredAlong}
          value={couplingXMm}
          quantity="length"
          clearable
          onCommit={(value) => set(AT, ["rig", "couplingXMm"], value)}
        />
      )}
      {axles.map((axle, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: axles are known by their place in the list
        <div key={i} className="flex items-center gap-1">
          <div className="min-w-0 flex-1">
            <NumberField
              label={axle.name}
              part={{ kind: "axle", index: i }}
              value={axle.xMm}
              quantity="length"
              onCommit={(value) => set(AT, ["rig", "axles", i, "xMm"], value ?? 0)}
            />
            <NumberField
              label={WORDS.mayStillCarry}
              help={WORDS.itsRatingLessItsWeight}
              value={axle.spareKg}
              quantity="weight"
              step={10}
              clearable
              onCommit={(value) => set(AT, ["rig", "axles", i, "spareKg"], value)}
            />
          </div>
          <Button look="bare" aria-label={WORDS.takeOut(axle.name)} onClick={() => remove(AT, ["rig", "axles", i])}>
            <Trash2 size={15} aria-hidden />
          </Button>
        </div>
      ))}
    </Group>
  );
}
