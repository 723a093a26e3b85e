"use client";
import { memo } from "react";
import { buildPutItems, findItemPath, findTrap } from "@/core/design/lineItems";
import type { Drain, Trap, TrapKind } from "@/core/design/plumbing";
import { TRAP_KINDS } from "@/core/design/plumbing";
import { USUAL_TRAPS } from "@/core/design/usualTraps";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { TRAP_NAMES } from "@/words/drainLabels";
import { PLAIN_WORDS } from "@/words/labels";
import * as WORDS from "@/words/panels/falls/drainMeasures";
import { formatQuantity } from "@/words/units";
import { findShownResult } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { LaggingField } from "../../fields/LaggingField";
import { PipePick } from "../../fields/PipePick";
import { useEdits } from "../../fields/useEdits";
import { Figure } from "../../kit/Figure";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { Tick } from "../../kit/Tick";
import { CourseMeasures } from "./CourseMeasures";
import { EndFields } from "./EndFields";
import { TrapRiskTable } from "./TrapRiskTable";
import { TrapSchools } from "./TrapSchools";

/** The drain shown below its fixture: trap, pipe and course. */
export function DrainMeasures({ drain }: { readonly drain: Drain }) {
  return (
    <>
      <TrapFields drain={drain} />
      <PipeFields drain={drain} />
      <CourseMeasures drain={drain} />
    </>
  );
}

const TRAP_LIST = Object.fromEntries(
  (["none", ...TRAP_KINDS] as const).map((kind) => [kind, TRAP_NAMES[kind].name]),
) as Record<TrapKind | "none", string>;

// While a bend is pulled its trap stays the same, and these fields are not drawn again.
const isSameTrap = ({ drain }: { readonly drain: Drain }, { drain: next }: { readonly drain: Drain }): boolean =>
  drain.id === next.id && drain.items === next.items;

const TrapFields = memo(function TrapFields({ drain }: { readonly drain: Drain }) {
  const { set, apply } = useEdits();
  const lineId = drain.id;
  const trap = findTrap(drain);
  const at = { kind: "trap", lineId } as const;
  const path = (key: string) => [...findItemPath(drain, "trap")!, key];
  const put = (value: Trap | null) => buildPutItems(drain, { trap: value });
  const pick = (kind: TrapKind | "none") => {
    if (kind === "none") {
      apply({ code: "removeTrap", at, ops: [put(null)] });
      return;
    }
    // one water trap for another keeps the sizes that were measured
    const keepsSizes = trap && kind !== "membrane" && trap.sealMm > 0;
    const value = keepsSizes ? { ...trap, kind } : USUAL_TRAPS[kind];
    apply({
      code: trap ? "change" : "addTrap",
      at,
      ops: [put(value)],
    });
  };
  return (
    <Group title={WORDS.trap} part={at}>
      <Pick<TrapKind | "none"> label={WORDS.kind} value={trap?.kind ?? "none"} names={TRAP_LIST} onPick={pick} />
      <p className="text-[12px] leading-snug text-faint">{TRAP_NAMES[trap?.kind ?? "none"].plain}</p>
      {trap && (
        <>
          {trap.kind !== "membrane" && (
            <NumberField
              label={WORDS.seal}
              help={PLAIN_WORDS.trapSeal}
              value={trap.sealMm}
              quantity="length"
              onCommit={(value) => set(at, path("sealMm"), value)}
            />
          )}
          <NumberField
            label={WORDS.outletDownToWeir}
            help={PLAIN_WORDS.weir}
            value={trap.dropMm}
            quantity="length"
            onCommit={(value) => set(at, path("dropMm"), value)}
          />
          <NumberField
            label={WORDS.outletAcrossToWeir}
            value={trap.spanMm}
            quantity="length"
            onCommit={(value) => set(at, path("spanMm"), value)}
          />
        </>
      )}
      {trap && (
        <Tick
          label={WORDS.canBeOpenedAndCleaned}
          value={trap.hasCleanout}
          onPick={(value) => set(at, path("hasCleanout"), value)}
        />
      )}
      <TrapRiskTable lineId={lineId} />
      <TrapSchools lineId={lineId} />
    </Group>
  );
}, isSameTrap);

const PipeFields = memo(function PipeFields({ drain }: { readonly drain: Drain }) {
  const result = useWorkbench(findShownResult);
  const units = useWorkbench((state) => state.units);
  const { set } = useEdits();
  const at = { kind: "line", id: drain.id } as const;
  const path = (key: string) => ["lines", drain.id, "pipe", key];
  return (
    <Group title={WORDS.pipe} part={at}>
      <EndFields drain={drain} />
      <PipePick pipe={drain.pipe} onPick={(pipe) => set(at, ["lines", drain.id, "pipe"], pipe)} />
      <NumberField
        label={WORDS.bore}
        help={PLAIN_WORDS.bore}
        value={drain.pipe.innerMm}
        quantity="length"
        onCommit={(value) => set(at, path("innerMm"), value)}
      />
      <NumberField
        label={WORDS.outsideDiameter}
        value={drain.pipe.outerMm}
        quantity="length"
        onCommit={(value) => set(at, path("outerMm"), value)}
      />
      <NumberField
        label={WORDS.roughnessN}
        help={WORDS.smoothPlastic0009To}
        value={drain.pipe.manningN}
        quantity="roughness"
        step={0.001}
        onCommit={(value) => set(at, path("manningN"), value)}
      />
      <LaggingField line={drain} />
      {result?.flow.capacityLps != null && (
        <p className="flex flex-wrap items-baseline gap-x-3 pt-1 text-[13px] text-faint">
          <span>
            {WORDS.carries}{" "}
            <Figure working={toWorkingId("drainCapacity", at)} label={WORDS.capacity} className="text-[15px] text-ink">
              {formatQuantity(result.flow.capacityLps, "flow", units)}
            </Figure>
          </span>
          <span>
            {WORDS.at}{" "}
            <Figure working={toWorkingId("drainVelocity", at)} label={WORDS.speed} className="text-[15px] text-ink">
              {formatQuantity(result.flow.velocityMps, "velocity", units)}
            </Figure>
          </span>
          <span>
            {WORDS.keeps}{" "}
            <Figure
              working={toWorkingId("pondedWater", at)}
              label={WORDS.waterLeftStanding}
              className="text-[15px] text-ink"
            >
              {formatQuantity(result.pondedL, "volume", units)}
            </Figure>
          </span>
        </p>
      )}
    </Group>
  );
});
