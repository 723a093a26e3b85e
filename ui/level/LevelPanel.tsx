"use client";
import dynamic from "next/dynamic";
import { isLevel, LEVEL } from "@/core/attitude/attitude";
import { STANDING_STATES } from "@/core/evaluate/standingMap";
import { useWorkbench } from "@/store/useWorkbench";
import { tilt } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import { STANDING_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/level/levelPanel";
import { formatNumber } from "@/words/units";
import { findShownResult } from "../drawing/shown";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/NumberField";
import { Said } from "../kit/Said";
import { useSettled } from "../kit/useSettled";
import { Bubble, toLetter } from "./Bubble";
import { findMapRange } from "./findMapRange";
import { tiltToWorst } from "./tiltToWorst";
import { useStandingMap } from "./useStandingMap";

const MeasuredStanding = dynamic(() => import("./MeasuredStanding").then((module) => module.MeasuredStanding), {
  ssr: false,
});
// there is nothing to put under a wheel while it stands level, as it does at first
const RampAdvice = dynamic(() => import("./RampAdvice").then((module) => module.RampAdvice), { ssr: false });

/** The level: how the rig stands, over the map of where its drains run. */
export function LevelPanel() {
  const attitude = useWorkbench((state) => state.attitude);
  const rig = useWorkbench((state) => state.history?.design.rig);
  const hasDrain = useWorkbench((state) => findShownResult(state) !== null);
  const rangeDeg = rig ? findMapRange(rig) : 6;
  const standing = useStandingMap(rangeDeg);
  const isSettled = useSettled();
  if (!rig) return null;
  const boat = rig.kind === "boat";
  return (
    <section aria-label={WORDS.level} className="flex flex-col gap-1.5">
      <p className="plate text-[16px] leading-tight" data-testid="attitude">
        {isLevel(attitude) ? WORDS.standingLevel : toSentence(describeAttitude(attitude, rig.kind))}
      </p>
      <div>
        <EdgeWords top={boat ? WORDS.portSideHigh : WORDS.leftSideHigh} />
        <Bubble map={standing.map} rangeDeg={rangeDeg} pixels={360} />
        <div className="flex justify-between text-[11.5px] leading-tight text-faint">
          <span>{boat ? WORDS.sternHigh : WORDS.tailHigh}</span>
          <span>{boat ? WORDS.bowHigh : WORDS.noseHigh}</span>
        </div>
      </div>
      <MapStatus {...standing} />
      <div className="flex flex-wrap gap-1">
        <Button onClick={() => tilt(LEVEL)} disabled={isLevel(attitude)} title={WORDS.keyL}>
          {WORDS.level}
        </Button>
        {hasDrain && (
          <Button onClick={tiltToWorst} title={WORDS.keyW}>
            {WORDS.worst}
          </Button>
        )}
      </div>
      {isSettled && <MeasuredStanding kind={rig.kind} />}
      {!isLevel(attitude) && <RampAdvice />}
      {rig.standings.length > 0 && (
        <ul className="flex flex-col">
          {rig.standings.map((place, i) => (
            <li key={place.id}>
              <button
                type="button"
                onClick={() => tilt(place.attitude)}
                className="flex min-h-7 w-full items-center gap-2 rounded-[3px] px-1 text-left text-[13px] leading-tight hover:bg-pick phone:min-h-11 phone:text-[15px]"
                title={describeAttitude(place.attitude, rig.kind)}
              >
                <span className="plate flex size-[15px] shrink-0 items-center justify-center bg-enamel text-[11px] leading-none text-on-enamel">
                  {toLetter(i)}
                </span>
                {place.name}
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="border-t border-rule pt-1 [&_span]:w-auto">
        <NumberField
          label={boat ? WORDS.bowDown : WORDS.noseDown}
          value={attitude.pitchDeg}
          quantity="angle"
          step={0.1}
          onCommit={(value) => tiltOrRefuse({ ...attitude, pitchDeg: value ?? 0 })}
        />
        <NumberField
          label={boat ? WORDS.heeledToStarboard : WORDS.rightSideLow}
          value={attitude.rollDeg}
          quantity="angle"
          step={0.1}
          onCommit={(value) => tiltOrRefuse({ ...attitude, rollDeg: value ?? 0 })}
        />
      </div>
    </section>
  );
}

function EdgeWords({ top }: { readonly top: string }) {
  return <p className="text-center text-[11.5px] leading-tight text-faint">{top}</p>;
}

function MapStatus({ status, map, progress, tookMs, cancel, retry }: ReturnType<typeof useStandingMap>) {
  return (
    <div className="min-h-5 text-[12px] leading-tight text-faint" data-testid="map-status" data-status={status}>
      {status === "computing" && (
        <span className="flex items-center gap-2">
          <progress value={progress} max={1} aria-label={WORDS.standingMap} className="h-1.5 flex-1 accent-enamel" />
          <button type="button" onClick={cancel} className="underline underline-offset-2 hover:text-ink">
            {WORDS.stop}
          </button>
        </span>
      )}
      {(status === "failed" || status === "cancelled") && (
        <span className="flex items-center justify-between gap-2">
          {status === "failed" ? WORDS.theMapCouldNotBe : WORDS.theMapWasStopped}
          <button type="button" onClick={retry} className="underline underline-offset-2 hover:text-ink">
            {WORDS.compute}
          </button>
        </span>
      )}
      {status === "ready" && map && (
        <span title={tookMs === null ? undefined : WORDS.computedInMs(formatNumber(tookMs, 0))}>
          <MapLegend states={map.states} />
        </span>
      )}
    </div>
  );
}

/** Only what the map shows, with its mark. */
function MapLegend({ states }: { readonly states: Uint8Array }) {
  const present = STANDING_STATES.filter((_, i) => states.includes(i));
  return (
    <span className="flex flex-wrap gap-x-3 gap-y-0.5">
      {present.map((state) => (
        <span key={state} className="flex items-center gap-1" title={STANDING_NAMES[state].plain}>
          <span className={`map-mark map-${state} inline-block size-3 border border-ink`} />
          {STANDING_NAMES[state].name}
        </span>
      ))}
      <span className="flex items-center gap-1">
        <span className="inline-block size-3 border border-dashed border-ink" />
        <Said>{WORDS.whereYouPark}</Said>
      </span>
    </span>
  );
}

function tiltOrRefuse(attitude: { readonly pitchDeg: number; readonly rollDeg: number }): string | null {
  if (Math.abs(attitude.pitchDeg) > 20 || Math.abs(attitude.rollDeg) > 20) return WORDS.atMost20EitherWay;
  tilt(attitude);
  return null;
}

const toSentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
