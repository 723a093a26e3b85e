"use client";
import { Plus, Trash2 } from "lucide-react";
import { MATERIALS, type Material, type Tank } from "@/core/design/plumbing";
import { buildResize } from "@/core/design/resizeTank";
import {
  buildReshape,
  buildTurnProfile,
  findShape,
  TANK_AXES,
  TANK_SHAPES,
  type TankAxis,
  type TankShape,
} from "@/core/edits/tankEdits";
import * as WORDS from "@/words/panels/tanks/tankShapeFields";
import { MATERIAL_NAMES, SHAPE_NAMES } from "@/words/tankLabels";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { useSay } from "../../kit/useSay";
import { ProfileDrawing } from "./ProfileDrawing";

const AXIS_NAMES: Readonly<Record<TankAxis, string>> = {
  x: WORDS.alongTheRig,
  y: WORDS.acrossTheRig,
  z: WORDS.upright,
};

/** What a tank is like: its shape and inside measures, corner by corner where it has a profile, its wall and lagging. */
export function TankShapeFields({ tank }: { readonly tank: Tank }) {
  const say = useSay();
  const { set, apply } = useEdits();
  const at = { kind: "tank", id: tank.id } as const;
  const path = (...keys: (string | number)[]) => ["tanks", tank.id, ...keys];
  const { solid } = tank;
  return (
    <>
      <Pick<TankShape>
        label={WORDS.shape}
        value={findShape(tank)}
        names={SHAPE_NAMES}
        order={TANK_SHAPES}
        onPick={(shape) => {
          const edit = buildReshape(tank, shape);
          if (edit) apply(edit);
        }}
      />
      {solid.shape === "box" ? (
        (["lengthMm", "widthMm", "heightMm"] as const).map((key) => (
          <NumberField
            key={key}
            label={{ lengthMm: WORDS.insideLength, widthMm: WORDS.insideWidth, heightMm: WORDS.insideHeight }[key]}
            value={solid[key]}
            quantity="length"
            onCommit={(value) => apply(buildResize(tank, { [key]: value ?? 0 }))}
          />
        ))
      ) : (
        <NumberField
          label={WORDS.lengthAlongItsAxis}
          value={solid.lengthMm}
          quantity="length"
          onCommit={(value) => set(at, path("solid", "lengthMm"), value)}
        />
      )}
      {solid.shape === "cylinder" && (
        <NumberField
          label={WORDS.insideDiameter}
          value={solid.diameterMm}
          quantity="length"
          onCommit={(value) => set(at, path("solid", "diameterMm"), value)}
        />
      )}
      {solid.shape === "prism" && (
        <>
          <Pick<TankAxis>
            label={WORDS.theProfileRuns}
            value={solid.axis}
            names={{ x: say(AXIS_NAMES.x), y: say(AXIS_NAMES.y), z: AXIS_NAMES.z }}
            order={TANK_AXES}
            onPick={(axis) => {
              const edit = buildTurnProfile(tank, axis);
              if (edit) apply(edit);
            }}
          />
          <ProfileDrawing tank={tank} profile={solid.profileMm} />
          <ProfileFields tank={tank} profile={solid.profileMm} />
        </>
      )}
      <NumberField
        label={WORDS.wall}
        value={tank.wallMm}
        quantity="length"
        onCommit={(value) => set(at, path("wallMm"), value)}
      />
      <Pick<Material>
        label={WORDS.madeOf}
        value={tank.material}
        names={MATERIAL_NAMES}
        order={MATERIALS}
        onPick={(value) => set(at, path("material"), value)}
      />
      <NumberField
        label={WORDS.laggedWithFoamOf}
        value={tank.insulationMm}
        quantity="length"
        onCommit={(value) => set(at, path("insulationMm"), value)}
      />
    </>
  );
}

type Corner = { readonly u: number; readonly v: number };

function ProfileFields({ tank, profile }: { readonly tank: Tank; readonly profile: readonly Corner[] }) {
  const { set, insert, remove } = useEdits();
  const at = { kind: "tank", id: tank.id } as const;
  const list = ["tanks", tank.id, "solid", "profileMm"];
  const insertAfter = (i: number) => {
    const [a, b] = [profile[i]!, profile[(i + 1) % profile.length]!];
    insert(at, list, i + 1, { u: (a.u + b.u) / 2, v: (a.v + b.v) / 2 });
  };
  return profile.map((corner, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: corners are known by their place
    <div key={i} className="flex items-end gap-1">
      <div className="min-w-0 flex-1">
        {(["u", "v"] as const).map((key) => (
          <NumberField
            key={key}
            label={WORDS.corner(i + 1, key === "u" ? WORDS.across : WORDS.up)}
            value={corner[key]}
            quantity="length"
            onCommit={(value) => set(at, [...list, i, key], value)}
          />
        ))}
      </div>
      <Button look="bare" aria-label={WORDS.aCornerAfterCorner(i + 1)} onClick={() => insertAfter(i)}>
        <Plus size={14} aria-hidden />
      </Button>
      <Button
        look="bare"
        aria-label={WORDS.takeCornerOut(i + 1)}
        disabled={profile.length <= 3}
        onClick={() => remove(at, [...list, i])}
      >
        <Trash2 size={14} aria-hidden />
      </Button>
    </div>
  ));
}
