"use client";
import { Plus, Trash2 } from "lucide-react";
import { freeId } from "@/core/design/freeId";
import type { RigKind } from "@/core/design/rig";
import { useWorkbench } from "@/store/useWorkbench";
import { PLAIN_WORDS, RIG_NAMES } from "@/words/labels";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { AxleMeasures } from "./AxleMeasures";
import { HullFields } from "./HullFields";
import { ObstacleMeasures } from "./ObstacleMeasures";

const AT = { kind: "rig" } as const;

/** The rig as it was measured: floor, heights, how it is parked, and what is under it. */
export function RigMeasures() {
  const rig = useWorkbench((state) => state.history!.design.rig);
  const name = useWorkbench((state) => state.history!.design.name);
  const { set, apply, insert, remove } = useEdits();
  const boat = rig.kind === "boat";
  const field = (key: keyof typeof rig) => (value: number | null) => set(AT, ["rig", key], value);
  const angle = (key: keyof typeof rig.envelope) => (value: number | null) =>
    set(AT, ["rig", "envelope", key], value ?? 0);
  return (
    <>
      <Group title="Rig">
        <TextField
          label="Name"
          value={name}
          onCommit={(value) => apply({ code: "rename", at: AT, ops: [{ op: "set", path: ["name"], value }] })}
        />
        <Pick<RigKind>
          label="Kind"
          value={rig.kind}
          names={RIG_NAMES}
          onPick={(value) => set(AT, ["rig", "kind"], value)}
        />
        <NumberField
          label={boat ? "Sole, length" : "Floor, length"}
          value={rig.lengthMm}
          quantity="length"
          step={10}
          onCommit={field("lengthMm")}
        />
        <NumberField
          label={boat ? "Sole, width" : "Floor, width"}
          value={rig.widthMm}
          quantity="length"
          step={10}
          onCommit={field("widthMm")}
        />
      </Group>
      <Group title={boat ? "Heights over the sole" : "Heights over the floor"}>
        <NumberField
          label={boat ? "Underside of the keel" : "Ground"}
          value={rig.groundZMm}
          quantity="length"
          onCommit={field("groundZMm")}
        />
        {!boat && (
          <NumberField
            label="Sill line"
            help={PLAIN_WORDS.sill}
            value={rig.sillZMm}
            quantity="length"
            clearable
            onCommit={field("sillZMm")}
          />
        )}
        {boat && (
          <NumberField
            label="Waterline"
            value={rig.waterlineZMm}
            quantity="length"
            clearable
            onCommit={field("waterlineZMm")}
          />
        )}
        {rig.floorLayers.map((layer, i) => (
          <NumberField
            // biome-ignore lint/suspicious/noArrayIndexKey: layers are known by their place
            key={i}
            label={layer.name}
            value={layer.thicknessMm}
            quantity="length"
            onCommit={(value) => set(AT, ["rig", "floorLayers", i, "thicknessMm"], value ?? 0)}
          />
        ))}
        <div className="flex gap-1.5 pt-1">
          <Button
            onClick={() =>
              insert(AT, ["rig", "floorLayers"], rig.floorLayers.length, {
                name: `Layer ${rig.floorLayers.length + 1}`,
                thicknessMm: 10,
              })
            }
          >
            <Plus size={14} aria-hidden /> {boat ? "Sole layer" : "Floor layer"}
          </Button>
          {rig.floorLayers.length > 1 && (
            <Button onClick={() => remove(AT, ["rig", "floorLayers", rig.floorLayers.length - 1])}>
              Take the lowest out
            </Button>
          )}
        </div>
      </Group>
      {boat && <HullFields />}
      <Group title={boat ? "How she lies at her berth" : "How far out of level it is parked"}>
        <NumberField
          label={boat ? "Bow down" : "Nose down"}
          value={rig.envelope.noseDownDeg}
          quantity="angle"
          step={0.5}
          onCommit={angle("noseDownDeg")}
        />
        <NumberField
          label={boat ? "Stern down" : "Nose up"}
          value={rig.envelope.noseUpDeg}
          quantity="angle"
          step={0.5}
          onCommit={angle("noseUpDeg")}
        />
        <NumberField
          label={boat ? "Heeled to port" : "Left low"}
          value={rig.envelope.leftLowDeg}
          quantity="angle"
          step={0.5}
          onCommit={angle("leftLowDeg")}
        />
        <NumberField
          label={boat ? "Heeled to starboard" : "Right low"}
          value={rig.envelope.rightLowDeg}
          quantity="angle"
          step={0.5}
          onCommit={angle("rightLowDeg")}
        />
        <StandingPlaces />
      </Group>
      {!boat && <AxleMeasures />}
      <ObstacleMeasures />
    </>
  );
}

function StandingPlaces() {
  const standings = useWorkbench((state) => state.history!.design.rig.standings);
  const attitude = useWorkbench((state) => state.attitude);
  const { set, insert, remove } = useEdits();
  return (
    <div className="pt-1">
      {standings.map((place) => (
        <div key={place.id} className="flex items-center gap-1">
          <div className="flex-1">
            <TextField
              label="Place"
              value={place.name}
              onCommit={(value) => set(AT, ["rig", "standings", place.id, "name"], value)}
            />
          </div>
          <Button
            look="bare"
            aria-label={`Take ${place.name} out`}
            onClick={() => remove(AT, ["rig", "standings", place.id])}
          >
            <Trash2 size={15} aria-hidden />
          </Button>
        </div>
      ))}
      {standings.length < 12 && (
        <Button
          className="mt-1"
          onClick={() =>
            insert(AT, ["rig", "standings"], standings.length, {
              id: freeId("place", standings),
              name: `Place ${standings.length + 1}`,
              attitude,
            })
          }
        >
          <Plus size={14} aria-hidden /> Keep this tilt as a place
        </Button>
      )}
    </div>
  );
}
