"use client";
import { Copy, Trash2 } from "lucide-react";
import dynamic from "next/dynamic";
import { memo } from "react";
import { buildRenameFixture } from "@/core/edits/renameFixture";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { PLAIN_WORDS } from "@/words/labels";
import * as WORDS from "@/words/panels/falls/fallsMeasures";
import { findShownDrain, findShownFixtureId } from "../../drawing/shown";
import { Group } from "../../fields/Group";
import { PlaceFields } from "../../fields/PlaceFields";
import { useEdits } from "../../fields/useEdits";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { TextField } from "../../kit/TextField";
import { Tick } from "../../kit/Tick";
import { useSettled } from "../../kit/useSettled";
import { FixtureList } from "./FixtureList";

// What stands below the fold comes after the page.
const DrawDrain = dynamic(() => import("./DrawDrain").then((module) => module.DrawDrain), { ssr: false });
const DrainMeasures = dynamic(() => import("./DrainMeasures").then((module) => module.DrainMeasures), { ssr: false });
const PartsList = dynamic(() => import("./PartsList").then((module) => module.PartsList), { ssr: false });
const RouteFinder = dynamic(() => import("../../routes/RouteFinder").then((module) => module.RouteFinder), {
  ssr: false,
});
const RulesMeasures = dynamic(() => import("../rig/RulesMeasures").then((module) => module.RulesMeasures), {
  ssr: false,
});

/** The drain shown: fixture, trap, pipe and bends, and the rules it is held against. */
export function FallsMeasures() {
  const design = useWorkbench((state) => state.history!.design);
  const drainId = useWorkbench((state) => state.drainId);
  const pickedId = useWorkbench((state) => state.fixtureId);
  const shown = findShownDrain(design, drainId);
  const fixtureId = findShownFixtureId(design, drainId, pickedId);
  // a fixture without a drain stands by itself
  const drain = shown?.fromFixture === fixtureId ? shown : null;
  const isSettled = useSettled();
  const hasUndrained = design.fixtures.some(
    (f) => !design.lines.some((line) => line.kind === "drain" && line.fromFixture === f.id),
  );
  return (
    <>
      <FixtureList />
      {hasUndrained && <DrawDrain />}
      {fixtureId && <FixtureFields fixtureId={fixtureId} />}
      {drain && isSettled && (
        <>
          <DrainMeasures drain={drain} />
          <RouteFinder key={drain.id} drain={drain} />
        </>
      )}
      {isSettled && (
        <>
          <PartsList />
          <RulesMeasures />
        </>
      )}
    </>
  );
}

const FixtureFields = memo(function FixtureFields({ fixtureId }: { readonly fixtureId: string }) {
  const fixture = useWorkbench((state) => state.history!.design.fixtures.find((f) => f.id === fixtureId));
  const { set, apply } = useEdits();
  if (!fixture) return null;
  const at = { kind: "fixture", id: fixture.id } as const;
  const field = (key: string) => (value: number | null) => set(at, ["fixtures", fixture.id, key], value);
  return (
    <Group title={WORDS.undersideOfTheWaste(fixture.name)} part={at}>
      <TextField
        label={WORDS.name}
        value={fixture.name}
        onCommit={(value) => apply(buildRenameFixture(workbench.getState().history!.design, fixture, value))}
      />
      <PlaceFields part={at} />
      <NumberField
        label={WORDS.bore}
        help={PLAIN_WORDS.bore}
        value={fixture.boreMm}
        quantity="length"
        onCommit={field("boreMm")}
      />
      <NumberField label={WORDS.rimOverTheOutlet} value={fixture.rimMm} quantity="length" onCommit={field("rimMm")} />
      <NumberField
        label={WORDS.tapFullOn}
        value={fixture.inflowLps}
        quantity="flow"
        step={0.5 / 60}
        onCommit={field("inflowLps")}
      />
      <NumberField
        label={WORDS.oneUse}
        value={fixture.volumePerUseL}
        quantity="volume"
        onCommit={field("volumePerUseL")}
      />
      <Tick
        label={WORDS.hasAPlugLetGo}
        value={fixture.hasPlug}
        onPick={(value) => set(at, ["fixtures", fixture.id, "hasPlug"], value)}
      />
      <Tick
        label={WORDS.neverRunsBesideOthers}
        value={fixture.runsAlone}
        onPick={(value) => set(at, ["fixtures", fixture.id, "runsAlone"], value)}
      />
      <div className="mt-1 flex flex-wrap gap-1.5">
        <Button onClick={() => void import("./copyShownFixture").then((module) => module.copyShownFixture())}>
          <Copy size={14} aria-hidden /> {WORDS.copyItWithItsDrain}
        </Button>
        <Button
          onClick={async () => {
            const { buildRemoveFixture } = await import("@/core/edits/fixtureEdits");
            const edit = buildRemoveFixture(workbench.getState().history!.design, fixture.id);
            if (edit) apply(edit);
          }}
        >
          <Trash2 size={14} aria-hidden /> {WORDS.take} {fixture.name} {WORDS.out}
        </Button>
      </div>
    </Group>
  );
});
