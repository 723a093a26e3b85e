"use client";
import { Plus, Trash2 } from "lucide-react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { HELD_WATERS, type HeldWater, type Tank } from "@/core/design/plumbing";
import { buildAddPort, buildAddTank, buildRemovePort, buildRemoveTank } from "@/core/edits/tankEdits";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import { PORT_NAMES, WATER_NAMES } from "@/words/labels";
import { formatQuantity } from "@/words/units";
import { Button } from "../kit/Button";
import { Figure } from "../kit/Figure";
import { NumberField } from "../kit/NumberField";
import { Pick } from "../kit/Pick";
import { TextField } from "../kit/TextField";
import { BackUp } from "./BackUp";
import { Group } from "./Group";
import { LargestTanks } from "./LargestTanks";
import { PlaceFields } from "./PlaceFields";
import { TankFixing } from "./TankFixing";
import { TankShapeFields } from "./TankShapeFields";
import { TankUse } from "./TankUse";
import { TankWeights } from "./TankWeights";
import { useEdits } from "./useEdits";

const TankTemplates = dynamic(() => import("./TankTemplates").then((module) => module.TankTemplates), { ssr: false });

/** Each tank with what it really holds, its inside, its place and its ports. */
export function TanksMeasures() {
  const tanks = useWorkbench((state) => state.history!.design.tanks);
  return (
    <>
      {tanks.map((tank) => (
        <TankMeasures key={tank.id} tank={tank} />
      ))}
      <TankWeights />
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
        <TankShapeFields tank={tank} />
      </Group>
      <Group title="Place of its rear right bottom corner">
        <PlaceFields part={at} />
      </Group>
      <Group
        title="Ports"
        aside={
          <span className="flex gap-1">
            {(["inlet", "outlet"] as const).map((kind) => (
              <Button key={kind} onClick={() => apply(buildAddPort(workbench.getState().history!.design, tank, kind))}>
                <Plus size={14} aria-hidden /> {PORT_NAMES[kind]}
              </Button>
            ))}
          </span>
        }
      >
        <p className="text-[12px] leading-snug text-faint">
          Everything that goes into the tank, and what lets it out. Fit them before it goes up.
        </p>
      </Group>
      {tank.ports.map((port) => {
        const removal = buildRemovePort(design, tank.id, port.id);
        const portRef = { kind: "port", tankId: tank.id, id: port.id } as const;
        return (
          <Group key={port.id} title={PORT_NAMES[port.kind]}>
            <NumberField
              label="Bore"
              value={port.boreMm}
              quantity="length"
              onCommit={(value) => set(portRef, ["tanks", tank.id, "ports", port.id, "boreMm"], value)}
            />
            {(["x", "y", "z"] as const).map((axis) => (
              <NumberField
                key={axis}
                label={{ x: "From the tank's rear", y: "From its right side", z: "Invert over its bottom" }[axis]}
                value={port.atMm[axis]}
                quantity="length"
                onCommit={(value) => set(portRef, ["tanks", tank.id, "ports", port.id, "atMm", axis], value)}
              />
            ))}
            {removal && (
              <Button className="mt-1" onClick={() => apply(removal)}>
                <Trash2 size={14} aria-hidden /> Take this {PORT_NAMES[port.kind].toLowerCase()} out
              </Button>
            )}
          </Group>
        );
      })}
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
        It goes where it keeps clear of what is under the floor, nearest to the middle. Then drag it.
      </p>
      <LargestTanks />
    </Group>
  );
}

/** What stays behind depends on how the rig stands while it is dumped. */
function DumpAttitude() {
  const { kind, dumpAttitude } = useWorkbench((state) => state.history!.design.rig);
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
    inlet: "its inlet drowns",
    vent: "its breather drowns",
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
        {tank.leftL === null ? (
          "Nothing can be dumped."
        ) : (
          <>{figure(toWorkingId("tankLeft", at), "Left behind", tank.leftL)} stay behind when it is dumped.</>
        )}{" "}
        Worst standing: {figure(toWorkingId("tankUsable", at, "worst"), "Usable, worst standing", tank.usableWorstL)},{" "}
        {describeAttitude(tank.worst.attitude, kind)}.
      </p>
    </div>
  );
}
