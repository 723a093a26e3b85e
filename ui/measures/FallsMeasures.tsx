"use client";
import { Trash2 } from "lucide-react";
import dynamic from "next/dynamic";
import { memo } from "react";
import type { Drain, TrapKind } from "@/core/design/plumbing";
import { TRAP_KINDS } from "@/core/design/plumbing";
import { USUAL_TRAPS } from "@/core/design/usualTraps";
import { buildRemoveFixture } from "@/core/edits/fixtureEdits";
import { findPipeSize, PIPE_SIZES } from "@/core/parts/pipes";
import { toWorkingId } from "@/core/workings/working";
import { useTrailing } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { WORK_CAUTIONS } from "@/words/cautions";
import { GLOSSARY, TRAP_NAMES } from "@/words/labels";
import { describeSize } from "@/words/parts";
import { formatQuantity } from "@/words/units";
import { findShownDrain, findShownResult } from "../drawing/shown";
import { Button } from "../kit/Button";
import { Figure } from "../kit/Figure";
import { NumberField } from "../kit/NumberField";
import { Pick } from "../kit/Pick";
import { TextField } from "../kit/TextField";
import { DrawDrain } from "./DrawDrain";
import { EndFields } from "./EndFields";
import { FixtureList } from "./FixtureList";
import { Group } from "./Group";
import { PlaceFields } from "./PlaceFields";
import { PointList } from "./PointList";
import { useEdits } from "./useEdits";

// What stands below the fold comes after the page.
const PartsList = dynamic(() => import("./PartsList").then((module) => module.PartsList), { ssr: false });
const RouteFinder = dynamic(() => import("../routes/RouteFinder").then((module) => module.RouteFinder), { ssr: false });
const TrapSchools = dynamic(() => import("./TrapSchools").then((module) => module.TrapSchools), { ssr: false });
const RulesMeasures = dynamic(() => import("./RulesMeasures").then((module) => module.RulesMeasures), { ssr: false });

/** The drain shown: fixture, trap, pipe and bends, and the rules it is held against. */
export function FallsMeasures() {
  const design = useTrailing((state) => state.history!.design);
  const drainId = useTrailing((state) => state.drainId);
  const drain = findShownDrain(design, drainId);
  return (
    <>
      <FixtureList />
      <DrawDrain />
      {drain && (
        <>
          <FixtureFields drain={drain} />
          <TrapFields drain={drain} />
          <PipeFields drain={drain} />
          <BendFields drain={drain} />
          <RouteFinder key={drain.id} drain={drain} />
          <Passages />
        </>
      )}
      <PartsList />
      <RulesMeasures />
    </>
  );
}

const FixtureFields = memo(function FixtureFields({ drain }: { readonly drain: Drain }) {
  const fixture = useTrailing((state) => state.history!.design.fixtures.find((f) => f.id === drain.fromFixture)!);
  const { set, apply } = useEdits();
  const at = { kind: "fixture", id: fixture.id } as const;
  const field = (key: keyof typeof fixture) => (value: number | null) => set(at, ["fixtures", fixture.id, key], value);
  return (
    <Group title={`${fixture.name}, underside of the waste`}>
      <TextField
        label="Name"
        value={fixture.name}
        onCommit={(value) => set(at, ["fixtures", fixture.id, "name"], value)}
      />
      <PlaceFields part={at} />
      <NumberField
        label="Bore"
        help={GLOSSARY.bore}
        value={fixture.boreMm}
        quantity="length"
        onCommit={field("boreMm")}
      />
      <NumberField label="Rim over the outlet" value={fixture.rimMm} quantity="length" onCommit={field("rimMm")} />
      <NumberField
        label="Tap, full on"
        value={fixture.inflowLps}
        quantity="flow"
        step={0.5 / 60}
        onCommit={field("inflowLps")}
      />
      <NumberField
        label="One use, plug in"
        value={fixture.volumePerUseL}
        quantity="volume"
        onCommit={field("volumePerUseL")}
      />
      <Button
        className="mt-1"
        onClick={() => {
          const edit = buildRemoveFixture(workbench.getState().history!.design, fixture.id);
          if (edit) apply(edit);
        }}
      >
        <Trash2 size={14} aria-hidden /> Take {fixture.name} out
      </Button>
    </Group>
  );
});

const TRAP_LIST = Object.fromEntries(
  (["none", ...TRAP_KINDS] as const).map((kind) => [kind, TRAP_NAMES[kind].name]),
) as Record<TrapKind | "none", string>;

const TrapFields = memo(function TrapFields({ drain }: { readonly drain: Drain }) {
  const { set, apply } = useEdits();
  const at = { kind: "trap", lineId: drain.id } as const;
  const path = (key: string) => ["lines", drain.id, "trap", key];
  const pick = (kind: TrapKind | "none") => {
    if (kind === "none") {
      apply({ code: "removeTrap", at, ops: [{ op: "set", path: ["lines", drain.id, "trap"], value: null }] });
      return;
    }
    const { trap } = drain;
    // one water trap for another keeps the sizes that were measured
    const keepsSizes = trap && kind !== "membrane" && trap.sealMm > 0;
    const value = keepsSizes ? { ...trap, kind } : USUAL_TRAPS[kind];
    apply({
      code: drain.trap ? "change" : "addTrap",
      at,
      ops: [{ op: "set", path: ["lines", drain.id, "trap"], value }],
    });
  };
  return (
    <Group title="Trap">
      <Pick<TrapKind | "none"> label="Kind" value={drain.trap?.kind ?? "none"} names={TRAP_LIST} onPick={pick} />
      <p className="text-[12px] leading-snug text-faint">{TRAP_NAMES[drain.trap?.kind ?? "none"].plain}</p>
      {drain.trap && (
        <>
          {drain.trap.kind !== "membrane" && (
            <NumberField
              label="Seal"
              help={GLOSSARY.trapSeal}
              value={drain.trap.sealMm}
              quantity="length"
              onCommit={(value) => set(at, path("sealMm"), value)}
            />
          )}
          <NumberField
            label="Outlet down to weir"
            help={GLOSSARY.weir}
            value={drain.trap.dropMm}
            quantity="length"
            onCommit={(value) => set(at, path("dropMm"), value)}
          />
          <NumberField
            label="Outlet across to weir"
            value={drain.trap.spanMm}
            quantity="length"
            onCommit={(value) => set(at, path("spanMm"), value)}
          />
        </>
      )}
      <SealRisks lineId={drain.id} />
      <TrapSchools lineId={drain.id} />
    </Group>
  );
});

const OWN_MEASURE = "own";
const SIZE_NAMES: Readonly<Record<string, string>> = {
  ...Object.fromEntries(PIPE_SIZES.map((size) => [size.id, describeSize(size)])),
  [OWN_MEASURE]: "Measured below",
};

const PipeFields = memo(function PipeFields({ drain }: { readonly drain: Drain }) {
  const result = useTrailing(findShownResult);
  const units = useTrailing((state) => state.units);
  const { set } = useEdits();
  const at = { kind: "line", id: drain.id } as const;
  const path = (key: string) => ["lines", drain.id, "pipe", key];
  return (
    <Group title="Pipe">
      <EndFields drain={drain} />
      <Pick
        label="Sold as"
        value={findPipeSize(drain.pipe)?.id ?? OWN_MEASURE}
        names={SIZE_NAMES}
        onPick={(sizeId) => {
          const size = PIPE_SIZES.find((entry) => entry.id === sizeId);
          if (size) set(at, ["lines", drain.id, "pipe"], size.pipe);
        }}
      />
      <NumberField
        label="Bore"
        help={GLOSSARY.bore}
        value={drain.pipe.innerMm}
        quantity="length"
        onCommit={(value) => set(at, path("innerMm"), value)}
      />
      <NumberField
        label="Outside diameter"
        value={drain.pipe.outerMm}
        quantity="length"
        onCommit={(value) => set(at, path("outerMm"), value)}
      />
      <NumberField
        label="Roughness n"
        help="Smooth plastic 0.009 to 0.011; ribbed hose about 0.02."
        value={drain.pipe.manningN}
        quantity="roughness"
        step={0.001}
        onCommit={(value) => set(at, path("manningN"), value)}
      />
      {result?.flow.capacityLps != null && (
        <p className="flex flex-wrap items-baseline gap-x-3 pt-1 text-[13px] text-faint">
          <span>
            carries{" "}
            <Figure working={toWorkingId("drainCapacity", at)} label="Capacity" className="text-[15px] text-ink">
              {formatQuantity(result.flow.capacityLps, "flow", units)}
            </Figure>
          </span>
          <span>
            at{" "}
            <Figure working={toWorkingId("drainVelocity", at)} label="Speed" className="text-[15px] text-ink">
              {formatQuantity(result.flow.velocityMps, "velocity", units)}
            </Figure>
          </span>
          <span>
            keeps{" "}
            <Figure
              working={toWorkingId("pondedWater", at)}
              label="Water left standing"
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

const BendFields = memo(function BendFields({ drain }: { readonly drain: Drain }) {
  const result = useTrailing(findShownResult);
  return (
    <Group title="Bends, inverts">
      <PointList line={drain} routeMm={result?.nodesMm ?? []} nameOf={(index) => `Bend ${index + 1}`} />
    </Group>
  );
});

/** Where to drill, and how large. */
function Passages() {
  const result = useTrailing(findShownResult);
  const units = useTrailing((state) => state.units);
  if (!result || result.passages.length === 0) return null;
  const length = (mm: number) => formatQuantity(mm, "length", units);
  return (
    <Group title="Through the floor">
      {result.passages.map(({ legIndex, atMm, hole }) => (
        <p key={legIndex} className="text-[13px] text-faint">
          Leg {legIndex + 1}, {length(atMm.x)} from the rear edge and {length(Math.abs(atMm.y))}{" "}
          {atMm.y >= 0 ? "left" : "right"} of the middle: a hole of{" "}
          <Figure
            working={toWorkingId("floorHole", { kind: "leg", lineId: result.lineId, index: legIndex })}
            label="Hole in the floor"
            className="text-[15px] text-ink"
          >
            {hole.lengthMm - hole.widthMm < 0.5
              ? length(hole.widthMm)
              : `${length(hole.lengthMm)} by ${length(hole.widthMm)}`}
          </Figure>
        </p>
      ))}
      <p className="pt-1 text-[12px] leading-snug text-faint">{WORK_CAUTIONS.drilling}</p>
    </Group>
  );
}

/** What is left of the seal after driving, and how long it lasts unused. */
function SealRisks({ lineId }: { readonly lineId: string }) {
  const risks = useTrailing((state) => state.evaluation?.drains.find((d) => d.lineId === lineId)?.trapRisks ?? null);
  const units = useTrailing((state) => state.units);
  if (!risks) return null;
  const at = { kind: "trap", lineId } as const;
  return (
    <p className="pt-1 text-[13px] text-faint">
      Driving leaves{" "}
      <Figure working={toWorkingId("sealDriving", at)} label="Seal left after driving" className="text-[15px] text-ink">
        {formatQuantity(risks.afterDrivingMm, "length", units)}
      </Figure>{" "}
      of it; unused it is dry in{" "}
      <Figure working={toWorkingId("sealDrying", at)} label="Until the trap is dry" className="text-[15px] text-ink">
        {formatQuantity(risks.dryWeeks, "weeks", units)}
      </Figure>
      .
    </p>
  );
}
