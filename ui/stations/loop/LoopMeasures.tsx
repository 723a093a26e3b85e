"use client";
import { useMemo, useState } from "react";
import type { Gear, GearKind } from "@/core/design/gear";
import { buildAddGear, buildRemoveGear, LOOP_SCHOOLS, type LoopSchool } from "@/core/edits/loopEdits";
import { findRole } from "@/core/fit/roles";
import { GEAR_PORTS } from "@/core/gear/gearPorts";
import { computeLoopFigures, USUAL_MINUTES } from "@/core/gear/loopFigures";
import { learnLoopWater } from "@/core/gear/loopWater";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { describeDose, describeLack, describeLoop, GEAR_NAMES, LOOP_CAUTIONS, SCHOOL_NAMES } from "@/words/gear";
import { describeLoopWater } from "@/words/interlock";
import * as WORDS from "@/words/panels/loop/loopMeasures";
import { formatNumber, formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { useFit } from "../../fields/useFit";
import { Trade } from "../../glossary/Trade";
import { AddOne } from "../../kit/AddOne";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { SearchButton } from "../../kit/SearchButton";
import { useRecords } from "../useRecords";
import { GearFields } from "./GearFields";
import { HoseList } from "./HoseList";
import { HotWaterAssistant } from "./HotWaterAssistant";
import { Interlock } from "./Interlock";
import { LoopCareWalks } from "./LoopCareWalks";
import { StateList } from "./StateList";
import { SupplyAssistant } from "./SupplyAssistant";
import { TapTable } from "./TapTable";

/** The pumped side: a loop laid out in one step, what it comes to, each piece with its figures, and hoses. */
export function LoopMeasures() {
  const gear = useWorkbench((state) => state.history!.design.gear);
  const selection = useWorkbench((state) => state.selection);
  const { apply } = useEdits();
  const picked = gear.find(({ id }) => selection?.kind === "gear" && selection.id === id) ?? null;
  const kinds = Object.keys(GEAR_PORTS) as GearKind[];
  return (
    <>
      <SupplyAssistant />
      <HotWaterAssistant />
      <LoopAssistant />
      {gear.length > 0 && <Interlock />}
      {gear.length > 0 && <Figures />}
      {gear.length > 0 && <TapTable />}
      {gear.length > 0 && <StateList />}
      {gear.length > 0 && <PieceList gear={gear} pickedId={picked?.id ?? null} />}
      {picked && <GearFields key={picked.id} piece={picked} />}
      {picked && (
        <div className="px-3 pb-2">
          <Button onClick={() => apply(buildRemoveGear(workbench.getState().history!.design, picked.id))}>
            {WORDS.take} {picked.name} {WORDS.away}
          </Button>
        </div>
      )}
      <Group title={WORDS.addAPiece}>
        <AddOne<GearKind>
          label={WORDS.pieceOfGear}
          names={Object.fromEntries(kinds.map((kind) => [kind, GEAR_NAMES[kind].name])) as Record<GearKind, string>}
          order={kinds}
          onAdd={(kind) => {
            const edit = buildAddGear(workbench.getState().history!.design, kind, GEAR_NAMES[kind].name);
            if (apply(edit) === null && edit.at.kind === "gear") look({ selection: edit.at });
          }}
        />
      </Group>
      {gear.length > 1 && <HoseList />}
      <LoopCareWalks />
      {gear.length > 0 &&
        LOOP_CAUTIONS.map((caution) => (
          <p key={caution} className="px-3 py-1 text-[12px] leading-snug text-faint">
            {caution}
          </p>
        ))}
    </>
  );
}

const NO_CABINET = "none";

/** From a fixture to a complete loop in one step, with a school chosen. */
function LoopAssistant() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { search, stop, fitWhole } = useFit();
  const washing = design.fixtures.filter(
    ({ kind }) => kind === "showerTray" || kind === "bath" || kind === "outsideShower",
  );
  const cabinets = design.obstacles.filter(({ kind }) => findRole(kind) === "cabinet");
  const [fixtureId, setFixtureId] = useState<string | null>(null);
  const [school, setSchool] = useState<LoopSchool>("airGap");
  const [cabinetId, setCabinetId] = useState(cabinets[0]?.id ?? NO_CABINET);
  const [lacks, setLacks] = useState<readonly string[]>([]);
  const [refusal, setRefusal] = useState<string | null>(null);
  const fixture = washing.find(({ id }) => id === fixtureId) ?? washing[0];
  if (design.tanks.some(({ holds }) => holds === "loop") && design.gear.length > 0) return null;
  if (!fixture) {
    return (
      <Group title={WORDS.aShowerThatUsesIts}>
        <p className="text-[13px]">
          <Trade>{WORDS.thereIsNoShowerYet}</Trade>
        </p>
      </Group>
    );
  }
  const lay = () =>
    fitWhole(
      { what: "loop", fixtureId: fixture.id, school, cabinetId: cabinetId === NO_CABINET ? null : cabinetId },
      (refused, _edit, lacking) => {
        setRefusal(refused);
        setLacks(lacking.map((lack) => describeLack(lack, units)));
      },
    );
  return (
    <Group title={WORDS.aShowerThatUsesIts}>
      <Pick
        label={WORDS.shower}
        value={fixture.id}
        names={Object.fromEntries(washing.map(({ id, name }) => [id, name]))}
        onPick={setFixtureId}
      />
      <Pick<LoopSchool>
        label={WORDS.freshWaterComes}
        value={school}
        names={{ airGap: SCHOOL_NAMES.airGap.name, motorValve: SCHOOL_NAMES.motorValve.name }}
        order={LOOP_SCHOOLS}
        onPick={setSchool}
      />
      <p className="pb-1 text-[12px] leading-snug text-faint">{SCHOOL_NAMES[school].plain}</p>
      <Pick
        label={WORDS.gearStandsIn}
        value={cabinetId}
        names={{
          [NO_CABINET]: WORDS.besideTheShower,
          ...Object.fromEntries(cabinets.map(({ id, name }) => [id, name])),
        }}
        onPick={setCabinetId}
      />
      <SearchButton search={search} looking={WORDS.layingOutTheLoop} onLook={lay} onStop={stop}>
        {WORDS.layOutTheLoop}
      </SearchButton>
      {refusal && <p className="text-[12.5px] text-signal">{refusal}</p>}
      {lacks.map((lack) => (
        <p key={lack} className="text-[12.5px] text-warn">
          {lack}
        </p>
      ))}
    </Group>
  );
}

function Figures() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const log = useRecords((state) => state.log);
  const usual = useMemo(() => computeLoopFigures(design), [design]);
  const storeId = design.tanks.find(({ holds }) => holds === "loop")?.id ?? null;
  const water = useMemo(() => (usual ? learnLoopWater(log, usual, storeId) : null), [log, usual, storeId]);
  const figures = useMemo(
    () => (water && water.tests > 0 ? computeLoopFigures(design, USUAL_MINUTES, water.shedShare) : usual),
    [design, water, usual],
  );
  if (!figures) {
    return (
      <Group title={WORDS.whatItComesTo}>
        <p className="text-[13px] text-faint">
          <Trade>{WORDS.giveItAWorkingState}</Trade>
        </p>
      </Group>
    );
  }
  const { throttle, cycle } = figures;
  const name =
    throttle &&
    (design.gear.find(({ id }) => throttle.linkId.startsWith(id))?.name ??
      design.lines.find(({ id }) => id === throttle.linkId)?.name);
  const dose = describeDose(figures, units);
  return (
    <Group title={WORDS.whatItComesTo}>
      <p className="text-[13.5px] leading-snug">{describeLoop(figures, units)}</p>
      <dl className="figures mt-1 grid grid-cols-[1fr_auto] gap-x-2 text-[14.5px]">
        {throttle && (
          <Row name={WORDS.takesMostOfThePressure(name ?? "")} value={`${formatNumber(throttle.share * 100, 0)} %`} />
        )}
        <Row name={WORDS.freshWaterSuchAShower} value={formatQuantity(figures.freshL, "volume", units)} />
        <Row name={WORDS.lostOfTheLoopMade} value={formatQuantity(figures.lostL, "volume", units)} />
        <Row name={WORDS.toKeepItWarm} value={`${formatNumber(figures.keepWarmW, 0)} W`} />
        <Row name={WORDS.toWarmAsMuchFresh} value={`${formatNumber(figures.freshW, 0)} W`} />
        <Row name={WORDS.pumpAndLampAShower} value={`${formatNumber(figures.pumpWh + figures.lampWh, 1)} Wh`} />
        <Row
          name={WORDS.dissolvedWhenItIsChanged}
          value={formatQuantity(figures.buildUpGPerL, "concentration", units)}
        />
        {cycle && (
          <Row
            name={WORDS.pumpAtHalfTheFlow}
            value={WORDS.onAndOff(formatNumber(cycle.onS, 0), formatNumber(cycle.offS, 0))}
          />
        )}
      </dl>
      {water && (
        <p className="pt-1 text-[12.5px] leading-snug" data-testid="loop-water">
          {describeLoopWater(water)}
        </p>
      )}
      {dose && <p className="pt-1 text-[12px] leading-snug text-faint">{dose}</p>}
    </Group>
  );
}

function Row({ name, value }: { readonly name: string; readonly value: string }) {
  return (
    <>
      <dt className="text-faint">{name}</dt>
      <dd className="text-right whitespace-nowrap">{value}</dd>
    </>
  );
}

function PieceList({ gear, pickedId }: { readonly gear: readonly Gear[]; readonly pickedId: string | null }) {
  return (
    <Group title={WORDS.pieces}>
      <ul>
        {gear.map(({ id, name, spec }) => (
          <li key={id} data-part={`gear:${id}`}>
            <button
              type="button"
              aria-pressed={id === pickedId}
              onClick={() => look({ selection: { kind: "gear", id } })}
              className={`flex min-h-7 w-full items-baseline justify-between gap-2 px-1 text-left text-[13.5px] phone:min-h-11 phone:items-center ${id === pickedId ? "bg-pick" : "hover:bg-pick/60"}`}
            >
              <span>{name}</span>
              <span className="text-[12px] text-faint">{GEAR_NAMES[spec.kind].name}</span>
            </button>
          </li>
        ))}
      </ul>
    </Group>
  );
}
