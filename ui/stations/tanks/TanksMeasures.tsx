"use client";
import { Plus, Trash2 } from "lucide-react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { HELD_WATERS, type HeldWater, type Tank } from "@/core/design/plumbing";
import { buildAddTank, buildRemoveTank } from "@/core/edits/tankEdits";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import { WATER_NAMES } from "@/words/labels";
import { formatQuantity } from "@/words/units";
import { findShownTank } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { PlaceFields } from "../../fields/PlaceFields";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { Figure } from "../../kit/Figure";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { Said } from "../../kit/Said";
import { TextField } from "../../kit/TextField";
import { Tick } from "../../kit/Tick";
import { useSettled } from "../../kit/useSettled";
import { BackUp } from "./BackUp";
import { DumpLines } from "./DumpLines";
import { LargestTanks } from "./LargestTanks";
import { TankFixing } from "./TankFixing";
import { TankLink } from "./TankLink";
import { TankPorts } from "./TankPorts";
import { TankShapeFields } from "./TankShapeFields";
import { TankUse } from "./TankUse";
import { TankWeights } from "./TankWeights";

const FrostMeasures = dynamic(() => import("./FrostMeasures").then((module) => module.FrostMeasures), { ssr: false });
const WeighSizes = dynamic(() => import("./WeighSizes").then((module) => module.WeighSizes), { ssr: false });
const TankTemplates = dynamic(() => import("./TankTemplates").then((module) => module.TankTemplates), { ssr: false });

/** The tank on the stage with what it really holds, its inside, its place and its ports. */
export function TanksMeasures() {
  const tank = useWorkbench(findShownTank);
  return (
    <>
      {tank && <TankMeasures key={tank.id} tank={tank} />}
      <TankWeights />
      <FrostMeasures />
      <AddTank />
      <DumpAttitude />
    </>
  );
}

function TankMeasures({ tank }: { readonly tank: Tank }) {
  const share = useWorkbench((state) => state.fillShare);
  const design = useWorkbench((state) => state.history!.design);
  const [refusal, setRefusal] = useState<string | null>(null);
  const { set, apply } = useEdits();
  const at = { kind: "tank", id: tank.id } as const;
  const removeTank = buildRemoveTank(design, tank.id);
  const isSettled = useSettled();
  return (
    <>
      <TankFigures tankId={tank.id} />
      <BackUp tank={tank} />
      <Group title={tank.name}>
        <TextField label="Name" value={tank.name} onCommit={(value) => set(at, ["tanks", tank.id, "name"], value)} />
        <Pick<HeldWater>
          label="Holds"
          value={tank.holds}
          names={WATER_NAMES}
          onPick={(value) => setRefusal(set(at, ["tanks", tank.id, "holds"], value))}
        />
        {refusal && (
          <p role="alert" className="text-[12.5px] text-signal">
            {refusal}
          </p>
        )}
        <NumberField
          label="Water drawn in it"
          help="A way of looking: nothing of the design changes."
          value={share}
          quantity="ratio"
          step={0.05}
          onCommit={(value) => {
            if (value === null || value < 0 || value > 1) return "From 0 to 100 % of full.";
            look({ fillShare: value });
            return null;
          }}
        />
        <TankLink tank={tank} />
        <TankShapeFields tank={tank} />
      </Group>
      {isSettled && <WeighSizes tankId={tank.id} />}
      <Group title="Place of its rear right bottom corner">
        <PlaceFields part={at} />
      </Group>
      <TankPorts tank={tank} />
      <DumpLines tank={tank} />
      <TankFixing tank={tank} />
      <TankUse tank={tank} />
      <TankTemplates tank={tank} />
      {removeTank && (
        <div className="px-3 pb-2">
          <Button onClick={() => apply(removeTank)}>
            <Trash2 size={14} aria-hidden /> Take {tank.name} away
          </Button>
        </div>
      )}
    </>
  );
}

const NEW_NAMES: Readonly<Record<HeldWater, string>> = {
  grey: "Grey tank",
  black: "Black tank",
  fresh: "Fresh tank",
  loop: "Loop tank",
};

/** Hangs another tank where there is room for it. */
function AddTank() {
  const { apply } = useEdits();
  const add = (holds: HeldWater) => {
    const { design } = workbench.getState().history!;
    const same = design.tanks.filter((tank) => tank.holds === holds).length;
    apply(buildAddTank(design, holds, same === 0 ? NEW_NAMES[holds] : `${NEW_NAMES[holds]} ${same + 1}`));
  };
  return (
    <Group title="Hang another tank">
      <div className="flex flex-wrap gap-1.5">
        {HELD_WATERS.map((holds) => (
          <Button key={holds} onClick={() => add(holds)}>
            <Plus size={14} aria-hidden /> {NEW_NAMES[holds]}
          </Button>
        ))}
      </div>
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Said>It goes where it keeps clear of what is under the floor, nearest to the middle. Then drag it.</Said>
      </p>
      <LargestTanks />
    </Group>
  );
}

const USUAL_HOSE = { lengthMm: 1500, dropMm: 250, innerMm: 38 };

/** What stays behind depends on how the rig stands while it is dumped. */
function DumpAttitude() {
  const { kind, dumpAttitude, dumpHose } = useWorkbench((state) => state.history!.design.rig);
  const { set } = useEdits();
  const boat = kind === "boat";
  const field = (key: keyof typeof dumpAttitude) => (value: number | null) =>
    set({ kind: "rig" }, ["rig", "dumpAttitude", key], value ?? 0);
  return (
    <Group title="How it stands while it is dumped">
      <NumberField
        label={boat ? "Bow down" : "Nose down"}
        value={dumpAttitude.pitchDeg}
        quantity="angle"
        step={0.5}
        onCommit={field("pitchDeg")}
      />
      <NumberField
        label={boat ? "Heeled to starboard" : "Right low"}
        value={dumpAttitude.rollDeg}
        quantity="angle"
        step={0.5}
        onCommit={field("rollDeg")}
      />
      <Tick
        label="Through a hose"
        value={dumpHose !== null}
        onPick={(isOn) => set({ kind: "rig" }, ["rig", "dumpHose"], isOn ? USUAL_HOSE : null)}
      />
      {dumpHose &&
        (["lengthMm", "innerMm", "dropMm"] as const).map((key) => (
          <NumberField
            key={key}
            label={
              { lengthMm: "Length of the hose", innerMm: "Bore of the hose", dropMm: "Its far end under its near one" }[
                key
              ]
            }
            value={dumpHose[key]}
            quantity="length"
            onCommit={(value) => set({ kind: "rig" }, ["rig", "dumpHose", key], value ?? 0)}
          />
        ))}
    </Group>
  );
}

function TankFigures({ tankId }: { readonly tankId: string }) {
  const tank = useWorkbench((state) => state.evaluation?.tanks.find((t) => t.tankId === tankId) ?? null);
  const kind = useWorkbench((state) => state.history!.design.rig.kind);
  const units = useWorkbench((state) => state.units);
  if (!tank) return null;
  const at = { kind: "tank", id: tankId } as const;
  const why = {
    inlet: "its inlet floods",
    vent: "its breather floods",
    fixture: "the water stands in the fixture",
    top: "it is full to the top",
  };
  const litres = (value: number) => formatQuantity(value, "volume", units);
  const figure = (working: string, label: string, value: number) => (
    <Figure working={working} label={label} className="text-[15px] text-ink">
      {litres(value)}
    </Figure>
  );
  return (
    <div className="px-3 pt-2 pb-3">
      <p className="flex items-baseline gap-2">
        <Figure
          working={toWorkingId("tankUsable", at, "here")}
          label="Usable litres"
          className="text-[30px] leading-none"
        >
          {litres(tank.usableHereL)}
        </Figure>
        <span className="text-[13px] text-faint">
          usable as it stands, of {figure(toWorkingId("tankCapacity", at), "The whole tank", tank.capacityL)}
        </span>
      </p>
      <p className="mt-1 text-[13px] text-faint">
        Full at {figure(toWorkingId("tankFull", at, "here"), "Full at", tank.here.litres)}, when {why[tank.here.by]}.{" "}
        {tank.undrawnL && <>{litres(tank.undrawnL.here)} lies too low to be drawn. </>}
        {tank.leftL === null ? (
          tank.undrawnL ? (
            "It cannot be let out for the winter."
          ) : (
            "Nothing can be dumped."
          )
        ) : (
          <>{figure(toWorkingId("tankLeft", at), "Left behind", tank.leftL)} stays behind when it is dumped.</>
        )}{" "}
        Worst standing: {figure(toWorkingId("tankUsable", at, "worst"), "Usable, worst standing", tank.usableWorstL)},{" "}
        {describeAttitude(tank.worst.attitude, kind)}.
      </p>
    </div>
  );
}
