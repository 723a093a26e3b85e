"use client";
import { type Gear, TAP_USES } from "@/core/design/gear";
import { useWorkbench } from "@/store/useWorkbench";
import { GEAR_NAMES } from "@/words/gear";
import { CHOICES_OF, GEAR_CHOICES, GEAR_FIELDS, GEAR_TICKS } from "@/words/gearFields";
import * as WORDS from "@/words/panels/loop/gearFields";
import { Group } from "../../fields/Group";
import { PlaceFields } from "../../fields/PlaceFields";
import { useEdits } from "../../fields/useEdits";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { Tick } from "../../kit/Tick";

/** Figures that may be left empty. */
const CLEARABLE = new Set([
  "timerS",
  "cutInKPa",
  "cutOutKPa",
  "lifeL",
  "holdsG",
  "transmittance",
  "supplyKPa",
  "tailMm",
  "bearsKPa",
  "reducedToKPa",
]);
/** What older pieces do not say yet. */
const UNSAID: Readonly<Partial<Record<Gear["spec"]["kind"], Readonly<Record<string, unknown>>>>> = {
  skinFitting: { tail: "straight", tailMm: null, hasBacking: false, bedding: "none" },
  pump: { timerS: null },
  heater: { bearsKPa: null },
  coupling: { reducedToKPa: null },
};

/** Everything that is known of one piece of gear, each figure to be changed. */
export function GearFields({ piece }: { readonly piece: Gear }) {
  const fixtures = useWorkbench((state) => state.history!.design.fixtures);
  const { set } = useEdits();
  const at = { kind: "gear", id: piece.id } as const;
  const put = (key: string, value: unknown) => set(at, ["gear", piece.id, "spec", key], value);
  const entries = Object.entries({ ...UNSAID[piece.spec.kind], ...piece.spec });
  return (
    <>
      <Group title={piece.name}>
        <TextField
          label={WORDS.name}
          value={piece.name}
          onCommit={(value) => set(at, ["gear", piece.id, "name"], value)}
        />
        <p className="pb-1 text-[12px] leading-snug text-faint">{GEAR_NAMES[piece.spec.kind].plain}</p>
        {entries.map(([key, value]) => {
          const field = GEAR_FIELDS[key];
          if (field && (typeof value === "number" || value === null)) {
            const times = field.times ?? 1;
            return (
              <NumberField
                key={key}
                label={field.label}
                {...(field.help ? { help: field.help } : {})}
                value={value === null ? null : value / times}
                quantity={field.quantity}
                clearable={CLEARABLE.has(key)}
                onCommit={(typed) => put(key, typed === null ? null : typed * times)}
              />
            );
          }
          const choice = GEAR_CHOICES[key];
          if (choice && typeof value === "string") {
            const order = key === "atRest" ? CHOICES_OF[piece.spec.kind] : key === "use" ? TAP_USES : undefined;
            return (
              <Pick
                key={key}
                label={choice.label}
                value={value}
                names={choice.names}
                {...(order ? { order } : {})}
                onPick={(chosen) => put(key, chosen)}
              />
            );
          }
          const tick = GEAR_TICKS[key];
          if (tick && typeof value === "boolean") {
            return <Tick key={key} label={tick} value={value} onPick={(checked) => put(key, checked)} />;
          }
          return null;
        })}
        {(piece.spec.kind === "valve" || piece.spec.kind === "diverter") && (
          <Tick
            label={WORDS.securedLockedTiedOrIts}
            value={piece.isSecured ?? false}
            onPick={(isSecured) => set(at, ["gear", piece.id, "isSecured"], isSecured)}
          />
        )}
        {piece.spec.kind === "tap" && (
          <Pick
            label={WORDS.standsOver}
            value={piece.spec.fixtureId ?? "none"}
            names={{ none: WORDS.noFixture, ...Object.fromEntries(fixtures.map(({ id, name }) => [id, name])) }}
            onPick={(id) => put("fixtureId", id === "none" ? null : id)}
          />
        )}
      </Group>
      <Group title={WORDS.placeOfItsRearRight}>
        <PlaceFields part={at} />
        {(["x", "y", "z"] as const).map((axis) => (
          <NumberField
            key={axis}
            label={{ x: WORDS.length, y: WORDS.width, z: WORDS.height }[axis]}
            value={piece.sizeMm[axis]}
            quantity="length"
            onCommit={(value) => (value === null ? null : set(at, ["gear", piece.id, "sizeMm", axis], value))}
          />
        ))}
        <NumberField
          label={WORDS.roomToOpenItBelow}
          value={piece.openBelowMm}
          quantity="length"
          onCommit={(value) => (value === null ? null : set(at, ["gear", piece.id, "openBelowMm"], value))}
        />
      </Group>
    </>
  );
}
