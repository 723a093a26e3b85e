"use client";
import { useMemo, useState } from "react";
import type { Design } from "@/core/design/design";
import type { DischargePlace } from "@/core/design/gear";
import { buildAddGear } from "@/core/edits/loopEdits";
import { findFlushedHoses } from "@/core/heads/flushedHoses";
import { listHoseRuns } from "@/core/heads/hoseRun";
import { findFoulHoses } from "@/core/heads/permeation";
import { computeStability } from "@/core/heads/stability";
import { listSumps } from "@/core/heads/sumpFigures";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import { GEAR_NAMES } from "@/words/gear";
import {
  BLACK_ON_LAND,
  DISCHARGE_NAMES,
  DISCHARGE_RULES,
  describeBlackStores,
  describeRun,
  describeStability,
  describeSump,
  listHeadsCautions,
} from "@/words/heads";
import * as WORDS from "@/words/panels/heads/headsMeasures";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { ToldTrade, Trade } from "../../glossary/Trade";
import { AddOne } from "../../kit/AddOne";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { GearFields } from "../loop/GearFields";
import { WallPick } from "../loop/HoseFields";
import { ToiletKinds } from "./ToiletKinds";

const PIECES = [
  "bowl",
  "ventedLoop",
  "skinFitting",
  "deckFitting",
  "sump",
  "nonReturn",
  "diverter",
  "strainer",
  "pump",
] as const;
type Piece = (typeof PIECES)[number];

/** Toilets and the gear round them, hoses as they lie, sumps in use, what loose water does to a boat, and where it may go. */
export function HeadsMeasures() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const selection = useWorkbench((state) => state.selection);
  const units = useWorkbench((state) => state.units);
  const { apply, set } = useEdits();
  const { rig } = design;
  const isBoat = rig.kind === "boat";
  const [place, setPlace] = useState<DischargePlace>(isBoat ? "inland" : "camp");
  const runs = useMemo(() => listHoseRuns(design), [design]);
  const unsaid = hasOverboard(design) ? design.states.filter(({ place: said }) => said === undefined) : [];
  const foul = useMemo(() => findFoulHoses(design), [design]);
  const sumps = useMemo(() => listSumps(design), [design]);
  const stability = useMemo(() => computeStability(design), [design]);
  const flushed = useMemo(() => findFlushedHoses(design), [design]);
  const nameOf = (id: string) => design.lines.find((line) => line.id === id)?.name ?? id;
  const hasBlack =
    design.tanks.some(({ holds }) => holds === "black") || design.habits.vessels.some(({ holds }) => holds === "black");
  const picked = design.gear.find(({ id }) => selection?.kind === "gear" && selection.id === id) ?? null;
  const add = (kind: Piece) => {
    const now = workbench.getState().history!.design;
    const edit = buildAddGear(now, kind, GEAR_NAMES[kind].name);
    if (apply(edit) === null && edit.at.kind === "gear") look({ selection: edit.at });
  };
  return (
    <>
      <Group
        title={WORDS.toiletsAndTheirGear}
        aside={
          <AddOne<Piece>
            label={WORDS.addToTheHeads}
            names={Object.fromEntries(PIECES.map((kind) => [kind, GEAR_NAMES[kind].name])) as Record<Piece, string>}
            order={PIECES}
            onAdd={add}
          />
        }
      >
        <ul className="text-[13.5px]" aria-label={WORDS.gearOfTheHeads}>
          {design.gear
            .filter(({ spec }) => (PIECES as readonly string[]).includes(spec.kind))
            .map(({ id, name, spec }) => (
              <li key={id}>
                <button
                  type="button"
                  aria-pressed={picked?.id === id}
                  onClick={() => look({ selection: { kind: "gear", id } })}
                  className={`flex min-h-8 w-full justify-between gap-2 border-t border-rule px-1 text-left phone:min-h-11 ${picked?.id === id ? "bg-pick" : "hover:bg-pick/60"}`}
                >
                  <span>{name}</span>
                  <span className="text-faint">{GEAR_NAMES[spec.kind].name}</span>
                </button>
              </li>
            ))}
        </ul>
        <p className="pt-1 text-[12px] leading-snug text-faint">
          <Trade>{WORDS.hosesJoinPortsUnderLoop}</Trade> {isBoat ? WORDS.seaBySiphon : ""}
          <Trade>{WORDS.blackWhereItMustNot}</Trade>
        </p>
      </Group>
      <ToiletKinds />
      {picked && <GearFields key={picked.id} piece={picked} />}
      {sumps.length > 0 && (
        <Group title={WORDS.sumps}>
          {sumps.map((figures) => (
            <p key={figures.sumpId} className="border-t border-rule py-1 text-[13.5px] leading-snug">
              <span className="font-semibold">{design.gear.find(({ id }) => id === figures.sumpId)?.name}</span>:{" "}
              {describeSump(figures, units)}.
            </p>
          ))}
        </Group>
      )}
      {runs.length > 0 && (
        <Group title={WORDS.hosesAsTheyLie}>
          <ul data-testid="hose-runs" className="text-[13.5px] leading-snug">
            {runs.map((run) => (
              <li key={run.lineId} className="border-t border-rule py-1">
                <span className="font-semibold">{nameOf(run.lineId)}</span>:{" "}
                {describeRun(run, flushed.get(run.lineId) ?? null, units)}.
                {foul.has(run.lineId) && <WallField lineId={run.lineId} />}
              </li>
            ))}
          </ul>
        </Group>
      )}
      {isBoat && (
        <Group title={WORDS.stability}>
          <NumberField
            label={WORDS.weightAsSheFloats}
            value={rig.displacementKg}
            quantity="weight"
            step={100}
            clearable
            onCommit={(value) => set({ kind: "rig" }, ["rig", "displacementKg"], value)}
          />
          <NumberField
            label={WORDS.gm}
            help={WORDS.metacentreOverCentreOfGravity}
            value={rig.gmMm}
            quantity="length"
            clearable
            onCommit={(value) => set({ kind: "rig" }, ["rig", "gmMm"], value)}
          />
          {stability ? (
            describeStability(stability, design, units).map((line) => (
              <p key={line} className="py-0.5 text-[13.5px] leading-snug">
                <ToldTrade>{line}</ToldTrade>
              </p>
            ))
          ) : (
            <p className="text-[13px] text-faint">
              <Trade>{WORDS.withHerWeightWhatLoose}</Trade>
            </p>
          )}
        </Group>
      )}
      <Group title={WORDS.whereItMayGo}>
        <Pick<DischargePlace>
          label={WORDS.youAre}
          value={place}
          names={DISCHARGE_NAMES}
          order={Object.keys(DISCHARGE_NAMES) as DischargePlace[]}
          onPick={setPlace}
        />
        <p className="text-[13.5px] leading-snug">{DISCHARGE_RULES[place]}</p>
        {unsaid.length > 0 && (
          <p className="pt-1 text-[13px] leading-snug">
            <Trade>{WORDS.notSaidWhereTheyAre}</Trade> {unsaid.map(({ name }) => `“${name}”`).join(", ")}
            <Trade>{WORDS.sayItUnderLoopWorking}</Trade>
          </p>
        )}
        <p className="pt-1 text-[12px] leading-snug text-faint">
          <Trade>{WORDS.fromMemoryOfThoseRules}</Trade>
        </p>
      </Group>
      {!isBoat && hasBlack && <BlackOnLand />}
      {listHeadsCautions(rig.kind).map((caution) => (
        <p key={caution} className="px-3 py-1 text-[12px] leading-snug text-faint">
          {caution}
        </p>
      ))}
    </>
  );
}

/** How long the black water of a land rig lasts, and what it asks for. */
function BlackOnLand() {
  const design = useWorkbench((state) => state.history!.design);
  const balance = useWorkbench((state) => state.evaluation!.balance);
  return (
    <Group title={WORDS.blackWaterOnLand}>
      {describeBlackStores(balance, design).map((line) => (
        <p key={line} className="pb-1 text-[13.5px] leading-snug" data-testid="black-store">
          <ToldTrade>{line}</ToldTrade>
        </p>
      ))}
      <ul className="list-disc pl-5 text-[13px] leading-snug">
        {BLACK_ON_LAND.map((line) => (
          <li key={line} className="py-0.5">
            <ToldTrade>{line}</ToldTrade>
          </li>
        ))}
      </ul>
    </Group>
  );
}

/** What a hose that sewage can come into is made of. */
function WallField({ lineId }: { readonly lineId: string }) {
  const hose = useWorkbench((state) => state.history!.design.lines.find(({ id }) => id === lineId));
  return hose?.kind === "hose" ? <WallPick hose={hose} label={WORDS.sewageComesInMadeOf} /> : null;
}

const hasOverboard = ({ gear }: Design): boolean =>
  gear.some(({ spec }) => spec.kind === "bowl") && gear.some(({ spec }) => spec.kind === "skinFitting");
