"use client";
import { Plus, Trash2 } from "lucide-react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { HELD_WATERS, type HeldWater, type Tank } from "@/core/design/plumbing";
import { buildRemoveTank } from "@/core/edits/tankEdits";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import * as WORDS from "@/words/panels/tanks/tanksMeasures";
import { WATER_NAMES } from "@/words/tankLabels";
import { formatQuantity } from "@/words/units";
import { findShownTank } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { PlaceFields } from "../../fields/PlaceFields";
import { useEdits } from "../../fields/useEdits";
import { useFit } from "../../fields/useFit";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Figure } from "../../kit/Figure";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { SearchProgress } from "../../kit/SearchProgress";
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
      <Group title={tank.name} part={at}>
        <TextField
          label={WORDS.name}
          value={tank.name}
          onCommit={(value) => set(at, ["tanks", tank.id, "name"], value)}
        />
        <Pick<HeldWater>
          label={WORDS.holds}
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
          label={WORDS.waterDrawnInIt}
          help={WORDS.aWayOfLookingNothing}
          value={share}
          quantity="ratio"
          step={0.05}
          onCommit={(value) => {
            if (value === null || value < 0 || value > 1) return WORDS.from0To100Of;
            look({ fillShare: value });
            return null;
          }}
        />
        <TankLink tank={tank} />
        <TankShapeFields tank={tank} />
      </Group>
      {isSettled && <WeighSizes tankId={tank.id} />}
      <Group title={WORDS.placeOfItsRearRight}>
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
            <Trash2 size={14} aria-hidden /> {WORDS.take} {tank.name} {WORDS.away}
          </Button>
        </div>
      )}
    </>
  );
}

const NEW_NAMES: Readonly<Record<HeldWater, string>> = {
  grey: WORDS.greyTank,
  black: WORDS.blackTank,
  fresh: WORDS.freshTank,
  loop: WORDS.loopTank,
};

/** Hangs another tank where there is room for it. */
function AddTank() {
  const { search, stop, fitWhole } = useFit();
  const add = (holds: HeldWater) => {
    const { design } = workbench.getState().history!;
    const same = design.tanks.filter((tank) => tank.holds === holds).length;
    const name = same === 0 ? NEW_NAMES[holds] : `${NEW_NAMES[holds]} ${same + 1}`;
    void fitWhole({ what: "tank", holds, name });
  };
  return (
    <Group title={WORDS.hangAnotherTank}>
      <div className="flex flex-wrap gap-1.5">
        {HELD_WATERS.map((holds) => (
          <Button key={holds} onClick={() => add(holds)}>
            <Plus size={14} aria-hidden /> {NEW_NAMES[holds]}
          </Button>
        ))}
      </div>
      <SearchProgress search={search} looking={WORDS.lookingForRoom} onStop={stop} />
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.itGoesWhereItKeeps}</Trade>
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
    <Group title={WORDS.howItStandsWhileIt}>
      <NumberField
        label={boat ? WORDS.bowDown : WORDS.noseDown}
        value={dumpAttitude.pitchDeg}
        quantity="angle"
        step={0.5}
        onCommit={field("pitchDeg")}
      />
      <NumberField
        label={boat ? WORDS.heeledToStarboard : WORDS.rightLow}
        value={dumpAttitude.rollDeg}
        quantity="angle"
        step={0.5}
        onCommit={field("rollDeg")}
      />
      <Tick
        label={WORDS.throughAHose}
        value={dumpHose !== null}
        onPick={(isOn) => set({ kind: "rig" }, ["rig", "dumpHose"], isOn ? USUAL_HOSE : null)}
      />
      {dumpHose &&
        (["lengthMm", "innerMm", "dropMm"] as const).map((key) => (
          <NumberField
            key={key}
            label={
              { lengthMm: WORDS.lengthOfTheHose, innerMm: WORDS.boreOfTheHose, dropMm: WORDS.itsFarEndUnderIts }[key]
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
    inlet: WORDS.itsInletFloods,
    vent: WORDS.itsBreatherFloods,
    fixture: WORDS.theWaterStandsInThe,
    top: WORDS.itIsFullToThe,
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
          label={WORDS.usableLitres}
          className="text-[30px] leading-none"
        >
          {litres(tank.usableHereL)}
        </Figure>
        <span className="text-[13px] text-faint">
          {WORDS.usableAsItStandsOf} {figure(toWorkingId("tankCapacity", at), WORDS.theWholeTank, tank.capacityL)}
        </span>
      </p>
      <p className="mt-1 text-[13px] text-faint">
        <Trade>{WORDS.fullAt}</Trade> {figure(toWorkingId("tankFull", at, "here"), WORDS.fullAt, tank.here.litres)}
        <Trade>{WORDS.when}</Trade> {why[tank.here.by]}.{" "}
        {tank.undrawnL && (
          <>
            {litres(tank.undrawnL.here)} {WORDS.liesTooLowToBe}{" "}
          </>
        )}
        {tank.leftL === null ? (
          tank.undrawnL ? (
            WORDS.itCannotBeLetOut
          ) : (
            WORDS.nothingCanBeDumped
          )
        ) : (
          <>
            {figure(toWorkingId("tankLeft", at), WORDS.leftBehind, tank.leftL)} {WORDS.staysBehindWhenItIs}
          </>
        )}{" "}
        <Trade>{WORDS.worstStanding}</Trade>{" "}
        {figure(toWorkingId("tankUsable", at, "worst"), WORDS.usableWorstStanding, tank.usableWorstL)},{" "}
        {describeAttitude(tank.worst.attitude, kind)}.
      </p>
    </div>
  );
}
