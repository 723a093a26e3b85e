"use client";
import { AlignVerticalDistributeCenter } from "lucide-react";
import { findLineTrap, listInlinePieces, listPipeChanges } from "@/core/design/lineItems";
import { toPartKey } from "@/core/design/part";
import type { Drain, InlinePiece, Pipe } from "@/core/design/plumbing";
import { buildEvenFall, buildSetFall } from "@/core/edits/legEdits";
import { buildChangePipe, buildInline, buildLineTrap, USUAL_LINE_TRAP } from "@/core/edits/pipeEdits";
import { findPipeOf } from "@/core/falls/drainPath";
import { findPipeSize, PIPE_SIZES } from "@/core/parts/pipes";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { INLINE_NAMES, JOINT_NAMES, TRAP_NAMES } from "@/words/drainLabels";
import { PLAIN_WORDS } from "@/words/labels";
import * as WORDS from "@/words/panels/falls/courseMeasures";
import { describePipe, describeSize } from "@/words/parts";
import { formatQuantity, type Units } from "@/words/units";
import { findShownResult } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { keepWithin } from "../../fields/keepWithin";
import { PointList } from "../../fields/PointList";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { Tick } from "../../kit/Tick";

/** The course of a drain: the fall of each leg, its bends, and what changes at them. */
export function CourseMeasures({ drain }: { readonly drain: Drain }) {
  return (
    <>
      <LegFalls drain={drain} />
      <Bends drain={drain} />
      <LineTrapFields drain={drain} />
    </>
  );
}

function LegFalls({ drain }: { readonly drain: Drain }) {
  const result = useWorkbench(findShownResult);
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  if (!result) return null;
  const even = buildEvenFall(workbench.getState().history!.design, drain.id);
  return (
    <Group
      title={WORDS.fallOfEachLeg}
      aside={
        even && (
          <Button
            onClick={() => {
              const edit = buildEvenFall(workbench.getState().history!.design, drain.id);
              if (edit) apply(edit);
            }}
          >
            <AlignVerticalDistributeCenter size={14} aria-hidden /> {WORDS.evenBetweenTheEnds}
          </Button>
        )
      }
    >
      {result.legs.slice(0, result.ownLegs).map((leg, index) => {
        const key = `${drain.id}-${index}`;
        const part = { kind: "leg", lineId: drain.id, index } as const;
        const name = WORDS.leg(index + 1, formatQuantity(leg.lengthMm, "length", units));
        if (leg.kind === "drop" || leg.planLengthMm === 0) {
          return (
            <p
              key={key}
              data-part={toPartKey(part)}
              className="flex min-h-8 items-center justify-between text-[13px] text-faint"
            >
              {name} <span>{WORDS.drop}</span>
            </p>
          );
        }
        return (
          <NumberField
            key={key}
            part={part}
            label={name}
            help={PLAIN_WORDS.fall}
            value={((leg.from.z - leg.to.z) / leg.planLengthMm) * 1000}
            quantity="slope"
            onCommit={(value) => {
              if (value === null || value < -500 || value > 1000)
                return keepWithin(value, [-500, 1000], "slope", () => undefined);
              const edit = buildSetFall(workbench.getState().history!.design, drain.id, index, value);
              return edit ? apply(edit) : WORDS.bothItsEndsAreHeld;
            }}
          />
        );
      })}
      <p className="text-[12px] leading-snug text-faint">
        <Trade>{WORDS.typedTheLowerEndMoves}</Trade>
      </p>
    </Group>
  );
}

const AS_BEFORE = WORDS.asBefore;
const toPipeNames = (units: Units): Readonly<Record<string, string>> => ({
  [AS_BEFORE]: WORDS.samePipeGoesOn,
  ...Object.fromEntries(PIPE_SIZES.map((size) => [size.id, describeSize(size, units)])),
});

const INLINE_LIST: Readonly<Record<InlinePiece | "none", string>> = {
  none: WORDS.nothing,
  cleanout: INLINE_NAMES.cleanout.name,
  shutOff: INLINE_NAMES.shutOff.name,
  nonReturn: INLINE_NAMES.nonReturn.name,
};

function Bends({ drain }: { readonly drain: Drain }) {
  const result = useWorkbench(findShownResult);
  const selection = useWorkbench((state) => state.selection);
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  const picked = selection?.kind === "bend" && selection.lineId === drain.id ? selection.index : null;
  const change = picked === null ? undefined : listPipeChanges(drain).find(({ bend }) => bend === picked);
  const piece = listInlinePieces(drain).find(({ bend }) => bend === picked)?.piece ?? null;
  const pick = (pipe: Pipe | null) => {
    const edit = picked === null ? null : buildChangePipe(drain, picked, pipe);
    if (edit) apply(edit);
  };
  return (
    <Group title={WORDS.bendsInverts}>
      <PointList line={drain} routeMm={result?.nodesMm ?? []} nameOf={(index) => nameBend(drain, index)} />
      {picked !== null && picked < drain.bendsMm.length && (
        <div className="mt-1 border-l-2 border-enamel pl-2">
          <Pick
            label={WORDS.fromBendOn(picked + 1)}
            value={change ? (findPipeSize(change.pipe)?.id ?? AS_BEFORE) : AS_BEFORE}
            names={toPipeNames(units)}
            onPick={(id) => pick(PIPE_SIZES.find((size) => size.id === id)?.pipe ?? null)}
          />
          <Pick<InlinePiece | "none">
            label={WORDS.sitsThere}
            value={piece ?? "none"}
            names={INLINE_LIST}
            onPick={(id) => {
              const edit = buildInline(drain, picked, id === "none" ? null : id);
              if (edit) apply(edit);
            }}
          />
          {piece && <p className="text-[12px] leading-snug text-faint">{INLINE_NAMES[piece].plain}</p>}
          {change ? (
            <p className="text-[12px] leading-snug text-faint">
              <Trade>{WORDS.joinedByA}</Trade> {JOINT_NAMES[change.joint]} <Trade>{WORDS.to}</Trade>{" "}
              {describePipe(change.pipe, units)}.
            </p>
          ) : (
            <Button onClick={() => pick(findPipeOf(drain, picked))}>{WORDS.aUnionHereToTake}</Button>
          )}
        </div>
      )}
    </Group>
  );
}

function nameBend(drain: Drain, index: number): string {
  const change = listPipeChanges(drain).find(({ bend }) => bend === index);
  const piece = listInlinePieces(drain).find(({ bend }) => bend === index)?.piece;
  const marks = [
    change && JOINT_NAMES[change.joint],
    piece && INLINE_NAMES[piece].name.toLowerCase(),
    findLineTrap(drain)?.bend === index && "trap",
  ].filter(Boolean);
  return WORDS.bend(index + 1, marks.length > 0 ? `, ${marks.join(", ")}` : "");
}

function LineTrapFields({ drain }: { readonly drain: Drain }) {
  const { apply, set } = useEdits();
  const { bendsMm } = drain;
  const lineTrap = findLineTrap(drain);
  const at = { kind: "line", id: drain.id } as const;
  const item = drain.items.findIndex(({ kind }) => kind === "runningTrap");
  const path = (key: string) => ["lines", drain.id, "items", item, key];
  const names = Object.fromEntries([
    ["none", WORDS.none],
    ...bendsMm.map((_, index) => [String(index), WORDS.atBend(index + 1)]),
  ]);
  if (bendsMm.length === 0) return null;
  return (
    <Group title={WORDS.runningTrapInTheLine}>
      <Pick
        label={WORDS.where}
        value={lineTrap ? String(lineTrap.bend) : "none"}
        names={names}
        onPick={(value) => {
          const bend = Number(value);
          const edit = buildLineTrap(drain, value === "none" ? null : { ...(lineTrap ?? USUAL_LINE_TRAP), bend });
          if (edit) apply(edit);
        }}
      />
      {lineTrap ? (
        <>
          <NumberField
            label={WORDS.seal}
            help={PLAIN_WORDS.trapSeal}
            value={lineTrap.sealMm}
            quantity="length"
            onCommit={(value) => set(at, path("sealMm"), value)}
          />
          <Tick
            label={WORDS.canBeOpenedAndCleaned}
            value={lineTrap.hasCleanout}
            onPick={(value) => set(at, path("hasCleanout"), value)}
          />
        </>
      ) : (
        <p className="text-[12px] leading-snug text-faint">
          {TRAP_NAMES.running.plain} <Trade>{WORDS.inTheLineItServes}</Trade>
        </p>
      )}
    </Group>
  );
}
