"use client";
import { Plus, Trash2 } from "lucide-react";
import { freeId } from "@/core/design/freeId";
import type { RigKind } from "@/core/design/rig";
import { useWorkbench } from "@/store/useWorkbench";
import { PLAIN_WORDS, RIG_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/rig/rigMeasures";
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
      <Group title={WORDS.rig}>
        <TextField
          label={WORDS.name}
          value={name}
          onCommit={(value) => apply({ code: "rename", at: AT, ops: [{ op: "set", path: ["name"], value }] })}
        />
        <Pick<RigKind>
          label={WORDS.kind}
          value={rig.kind}
          names={RIG_NAMES}
          onPick={(value) => set(AT, ["rig", "kind"], value)}
        />
        <NumberField
          label={boat ? WORDS.soleLength : WORDS.floorLength}
          part={{ kind: "measure", of: "front" }}
          value={rig.lengthMm}
          quantity="length"
          step={10}
          onCommit={field("lengthMm")}
        />
        <NumberField
          label={boat ? WORDS.soleWidth : WORDS.floorWidth}
          value={rig.widthMm}
          quantity="length"
          step={10}
          onCommit={field("widthMm")}
        />
      </Group>
      <Group title={boat ? WORDS.heightsOverTheSole : WORDS.heightsOverTheFloor}>
        <NumberField
          label={boat ? WORDS.undersideOfTheKeel : WORDS.ground}
          part={{ kind: "measure", of: "ground" }}
          value={rig.groundZMm}
          quantity="length"
          onCommit={field("groundZMm")}
        />
        {!boat && (
          <NumberField
            label={WORDS.sillLine}
            help={PLAIN_WORDS.sill}
            part={{ kind: "measure", of: "sill" }}
            value={rig.sillZMm}
            quantity="length"
            clearable
            onCommit={field("sillZMm")}
          />
        )}
        {boat && (
          <NumberField
            label={WORDS.waterline}
            part={{ kind: "measure", of: "waterline" }}
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
                name: WORDS.layer(rig.floorLayers.length + 1),
                thicknessMm: 10,
              })
            }
          >
            <Plus size={14} aria-hidden /> {boat ? WORDS.soleLayer : WORDS.floorLayer}
          </Button>
          {rig.floorLayers.length > 1 && (
            <Button onClick={() => remove(AT, ["rig", "floorLayers", rig.floorLayers.length - 1])}>
              {WORDS.takeTheLowestOut}
            </Button>
          )}
        </div>
      </Group>
      {boat && <HullFields />}
      <Group title={boat ? WORDS.howSheLiesAtHer : WORDS.howFarOutOfLevel}>
        <NumberField
          label={boat ? WORDS.bowDown : WORDS.noseDown}
          value={rig.envelope.noseDownDeg}
          quantity="angle"
          step={0.5}
          onCommit={angle("noseDownDeg")}
        />
        <NumberField
          label={boat ? WORDS.sternDown : WORDS.noseUp}
          value={rig.envelope.noseUpDeg}
          quantity="angle"
          step={0.5}
          onCommit={angle("noseUpDeg")}
        />
        <NumberField
          label={boat ? WORDS.heeledToPort : WORDS.leftLow}
          value={rig.envelope.leftLowDeg}
          quantity="angle"
          step={0.5}
          onCommit={angle("leftLowDeg")}
        />
        <NumberField
          label={boat ? WORDS.heeledToStarboard : WORDS.rightLow}
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
              label={WORDS.place}
              value={place.name}
              onCommit={(value) => set(AT, ["rig", "standings", place.id, "name"], value)}
            />
          </div>
          <Button
            look="bare"
            aria-label={WORDS.takeOut(place.name)}
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
              name: WORDS.place2(standings.length + 1),
              attitude,
            })
          }
        >
          <Plus size={14} aria-hidden /> {WORDS.keepThisTiltAsA}
        </Button>
      )}
    </div>
  );
}
