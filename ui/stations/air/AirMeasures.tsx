"use client";
import { Plus, Trash2 } from "lucide-react";
import { listOwnCourse } from "@/core/air/ventPath";
import { buildPutItems, findBranchVent, findItemPath, findTrap } from "@/core/design/lineItems";
import type { BranchVent, Drain, Vent } from "@/core/design/plumbing";
import { createBranchVent } from "@/core/edits/branchVentEdits";
import {
  buildAddVent,
  buildJoinVent,
  buildOpenVent,
  buildRemoveVent,
  buildVentWay,
  listVentsToJoin,
  type VentWay,
} from "@/core/edits/ventEdits";
import type { TankResult } from "@/core/evaluate/evaluation";
import { listExits } from "@/core/through/exits";
import type { FormulaId } from "@/core/workings/working";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { WORK_CAUTIONS } from "@/words/cautions";
import { describeWall } from "@/words/holes";
import { BRANCH_VENT_NAMES, PLAIN_WORDS } from "@/words/labels";
import * as WORDS from "@/words/panels/air/airMeasures";
import { DRAWING, describeDraw } from "@/words/pumpOut";
import { formatLength, formatQuantity } from "@/words/units";
import { VENT_WAY_NAMES } from "@/words/ventLabels";
import { findShownDrain, findShownResult } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { PointList } from "../../fields/PointList";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Figure } from "../../kit/Figure";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { Tick } from "../../kit/Tick";
import { useSay } from "../../kit/useSay";

/** Air for the tank and for the branch. */
export function AirMeasures() {
  const design = useWorkbench((state) => state.history!.design);
  const drainId = useWorkbench((state) => state.drainId);
  const ventId = useWorkbench((state) => state.ventId);
  const all = design.lines.filter((line): line is Vent => line.kind === "vent");
  // the one on the stage first
  const vents = [...all.filter(({ id }) => id === ventId), ...all.filter(({ id }) => id !== ventId)];
  const drain = findShownDrain(design, drainId);
  return (
    <>
      {vents.length === 0 && (
        <p className="px-3 py-2">
          <Trade>{WORDS.thereIsNoBreather}</Trade> {PLAIN_WORDS.breather}{" "}
          <Trade>{WORDS.theFindingNoBreatherAbove}</Trade>
        </p>
      )}
      {vents.map((vent) => (
        <VentFields key={vent.id} vent={vent} />
      ))}
      <AddBreathers />
      {vents.length > 0 && <AirFigures />}
      {drain && <BranchFields drain={drain} />}
      <p className="px-3 py-2 text-[12px] leading-snug text-faint">{WORK_CAUTIONS.tankGas}</p>
    </>
  );
}

const NO_TANKS: readonly TankResult[] = [];

/** What the breather does to the traps when the valve opens. */
function AirFigures() {
  const tanks = useWorkbench((state) => state.evaluation?.tanks ?? NO_TANKS);
  const designTanks = useWorkbench((state) => state.history!.design.tanks);
  const units = useWorkbench((state) => state.units);
  return tanks.map(({ tankId, air, sharedAir, draws, together, fill }) => {
    if (!air && draws.length === 0) return null;
    const at = { kind: "tank", id: tankId } as const;
    const figure = (formula: FormulaId, label: string, text: string) => (
      <Figure working={toWorkingId(formula, at)} label={label} className="text-[15px] text-ink">
        {text}
      </Figure>
    );
    const name = designTanks.find(({ id }) => id === tankId)?.name;
    const other = designTanks.find(({ id }) => id === sharedAir?.fromTankId);
    return (
      <p key={tankId} className="border-t border-rule px-3 py-2 text-[13px] text-faint">
        <span className="text-ink">{name}.</span>
        {air && (
          <>
            {" "}
            {WORDS.theMomentTheValveOpens}{" "}
            {figure("dumpSuction", WORDS.suctionWhileDumping, formatQuantity(air.suctionPa, "pressure", units))}{" "}
            {WORDS.ofSuction}
            {air.sealAfterMm !== null && (
              <>
                {" "}
                {WORDS.andTheTrapKeeps}{" "}
                {figure("sealAfterDump", WORDS.sealLeftAfterDumping, formatQuantity(air.sealAfterMm, "length", units))}
              </>
            )}
            {WORDS.whileItFills}{" "}
            {figure("fillPressure", WORDS.pressureWhileFilling, formatQuantity(air.fillPa, "pressure", units))}{" "}
            {WORDS.pushBack}
          </>
        )}
        {draws.map((draw) => ` ${describeDraw(draw, units)}`)}
        {sharedAir && other && (
          <>
            {" "}
            {DRAWING[sharedAir.by]} {other.name} {WORDS.puts} {formatQuantity(sharedAir.suctionPa, "pressure", units)}{" "}
            {WORDS.onItThroughTheBreather}
          </>
        )}
        {fill && fill.otherIds.length > 0 && ` ${WORDS.withOthersFilling(formatQuantity(fill.pa, "pressure", units))}`}
        {together && ` ${WORDS.allOpenAtOnce(formatQuantity(together.suctionPa, "pressure", units))}`}
      </p>
    );
  });
}

/** A breather for each tank; the first is fitted by the finding, further ones here. */
function AddBreathers() {
  const tanks = useWorkbench((state) => state.history!.design.tanks);
  const { apply } = useEdits();
  return (
    <div className="flex flex-wrap gap-1.5 px-3 py-2">
      {tanks.map((tank) => (
        <Button key={tank.id} onClick={() => apply(buildAddVent(workbench.getState().history!.design, tank))}>
          <Plus size={14} aria-hidden /> {WORDS.breatherFor} {tank.name}
        </Button>
      ))}
    </div>
  );
}

const OPEN_AIR = WORDS.openAir;

function VentFields({ vent }: { readonly vent: Vent }) {
  const say = useSay();
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const units = useWorkbench((state) => state.units);
  const exit = listExits(design, evaluation).find(({ line }) => line.id === vent.id);
  const { set, apply } = useEdits();
  const at = { kind: "line", id: vent.id } as const;
  const isEnd = (index: number) => vent.to.kind === "openAir" && index === vent.pointsMm.length - 1;
  const names: Record<string, string> = {
    [OPEN_AIR]: WORDS.inTheOpenAir,
    ...Object.fromEntries(listVentsToJoin(design, vent).map(({ id, name }) => [id, WORDS.inByATee(name)])),
  };
  const lead = (end: string) => {
    const now = workbench.getState().history!.design;
    const edit = end === OPEN_AIR ? buildOpenVent(now, vent.id) : buildJoinVent(now, vent.id, end);
    if (edit) apply(edit);
  };
  return (
    <Group title={vent.name} part={{ kind: "line", id: vent.id }}>
      <TextField
        label={WORDS.name}
        value={vent.name}
        onCommit={(value) => set(at, ["lines", vent.id, "name"], value)}
      />
      <NumberField
        label={WORDS.bore}
        help={PLAIN_WORDS.bore}
        value={vent.pipe.innerMm}
        quantity="length"
        onCommit={(value) => set(at, ["lines", vent.id, "pipe", "innerMm"], value)}
      />
      <NumberField
        label={WORDS.outsideDiameter}
        value={vent.pipe.outerMm}
        quantity="length"
        onCommit={(value) => set(at, ["lines", vent.id, "pipe", "outerMm"], value)}
      />
      <Pick label={WORDS.ends} value={vent.to.kind === "tee" ? vent.to.lineId : OPEN_AIR} names={names} onPick={lead} />
      {vent.to.kind === "openAir" && (
        <Pick<VentWay | "asDrawn">
          label={WORDS.led}
          value="asDrawn"
          names={{ asDrawn: WORDS.asDrawn, ...VENT_WAY_NAMES, underFloor: say(VENT_WAY_NAMES.underFloor) }}
          onPick={(way) => {
            if (way === "asDrawn") return;
            const edit = buildVentWay(workbench.getState().history!.design, vent.id, way);
            if (edit) apply(edit);
          }}
        />
      )}
      {vent.to.kind === "openAir" && (
        <Tick
          label={WORDS.meshOnTheEnd}
          value={vent.to.hasMesh}
          onPick={(value) => set(at, ["lines", vent.id, "to", "hasMesh"], value)}
        />
      )}
      <PointList
        line={vent}
        routeMm={listOwnCourse(design, vent)}
        nameOf={(index) => (isEnd(index) ? WORDS.openEnd : WORDS.point(index + 1))}
        isFixed={isEnd}
      />
      {exit && (
        <p className="pt-1 text-[13px] leading-snug text-faint">
          {say(WORDS.goesOut(describeWall({ ...exit, panelName: null }, design), formatLength(exit.atMm.z, units)))}
        </p>
      )}
      <div>
        <Button
          className="mt-1.5"
          onClick={() => {
            const edit = buildRemoveVent(workbench.getState().history!.design, vent.id);
            if (edit) apply(edit);
          }}
        >
          <Trash2 size={14} aria-hidden /> {WORDS.take} {vent.name} {WORDS.out}
        </Button>
      </div>
    </Group>
  );
}

function BranchFields({ drain }: { readonly drain: Drain }) {
  const result = useWorkbench(findShownResult);
  const units = useWorkbench((state) => state.units);
  const { set, apply } = useEdits();
  const at = { kind: "line", id: drain.id } as const;
  const vent = findBranchVent(drain);
  const path = findItemPath(drain, "branchVent");
  const pick = (kind: keyof typeof BRANCH_VENT_NAMES) => {
    if (kind === "none") apply({ code: "removeBranchVent", at, ops: [buildPutItems(drain, { branchVent: null })] });
    else {
      const value: BranchVent = vent
        ? { ...vent, kind }
        : createBranchVent(workbench.getState().history!.design, drain, kind);
      apply({ code: vent ? "change" : "addBranchVent", at, ops: [buildPutItems(drain, { branchVent: value })] });
    }
  };
  return (
    <Group title={WORDS.airOn(drain.name)}>
      <Pick label={WORDS.kind} value={vent?.kind ?? "none"} names={BRANCH_VENT_NAMES} onPick={pick} />
      {vent && path && (
        <NumberField
          label={WORDS.fromTheTrapsWeir}
          value={vent.fromWeirMm}
          quantity="length"
          step={10}
          onCommit={(value) => set(at, [...path, "fromWeirMm"], value)}
        />
      )}
      {result && findTrap(drain) && (
        <p className="pt-1 text-[13px] text-faint">
          <Trade>{WORDS.trapToAir}</Trade> {formatQuantity(result.arm.lengthMm, "length", units)}
          <Trade>{WORDS.allowed}</Trade>{" "}
          {result.armAllowedMm === null || result.arm.slope === null ? (
            WORDS.anyLengthForItDoes
          ) : (
            <Figure
              working={toWorkingId("trapArm", { kind: "trap", lineId: drain.id })}
              label={WORDS.trapToAirAllowed}
              className="text-[15px] text-ink"
            >
              {formatQuantity(result.armAllowedMm, "length", units)}
            </Figure>
          )}
          .
        </p>
      )}
    </Group>
  );
}
