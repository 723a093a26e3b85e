"use client";
import { readSupply } from "@/core/build/wiring";
import type { Tank } from "@/core/design/plumbing";
import { buildFitPad } from "@/core/edits/padEdits";
import { AIR_DROP_K, computeHeatCarriers, GLYCOL_DROP_K } from "@/core/frost/heatCarriers";
import { readNight } from "@/core/frost/night";
import { computeTankFrost } from "@/core/frost/tankFrost";
import { MM_PER_FT } from "@/core/quantity/convert";
import { lookUpValue } from "@/core/rules/lookUpLimit";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/tanks/coldNight";
import { formatQuantity, type Units } from "@/words/units";
import { Group } from "../../fields/Group";
import { LimitField } from "../../fields/LimitField";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Figure } from "../../kit/Figure";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";

const CFM_PER_M3_H = 1 / (60 * (MM_PER_FT / 1000) ** 3);

const describeAir = (m3PerH: number, units: Units): string =>
  units === "metric" ? `${m3PerH.toFixed(0)} m³/h` : `${(m3PerH * CFM_PER_M3_H).toFixed(1)} cu ft/min`;

/** Usual winds, m/s: no wind, a breeze at a pitch, and the air that streams past under way. */
const WINDS = { still: 0, breeze: 3, driving: 20 } as const;
/** The lagging that is usual, where somebody thinks of a pad. */
const FOAM_MM = 20;
/** A long night, h. */
const NIGHT_H = 10;

type Wind = keyof typeof WINDS | "own";
const WIND_NAMES: Readonly<Record<Wind, string>> = {
  still: WORDS.stillAir,
  breeze: WORDS.breeze3MS,
  driving: WORDS.driving20MS,
  own: WORDS.asTypedBelow,
};

/** How long a tank stands a cold night, and what a heater must bring. */
export function ColdNight({ tank }: { readonly tank: Tank }) {
  const rules = useWorkbench((state) => state.history!.design.rules);
  const volts = useWorkbench((state) => readSupply(state.history!.design).volts);
  const isAfloat = useWorkbench((state) => state.history!.design.rig.kind === "boat");
  const { apply, set } = useEdits();
  const share = useWorkbench((state) => state.fillShare);
  const units = useWorkbench((state) => state.units);
  const night = readNight(rules);
  const frost = computeTankFrost(tank, share, night);
  const at = { kind: "tank", id: tank.id } as const;
  const figure = (working: "tankFreezing" | "tankIce" | "padPower", label: string, text: string) => (
    <Figure working={toWorkingId(working, at)} label={label} className="text-[15px] text-ink">
      {text}
    </Figure>
  );
  const { padW = 0 } = tank;
  // inside it is as warm as the room, afloat as the water
  const isOut = tank.atMm.z < 0 && !isAfloat;
  const lagged = computeTankFrost({ ...tank, insulationMm: FOAM_MM }, share, night);
  const nightWh = frost.holdW * NIGHT_H;
  const fit = buildFitPad(tank, frost.holdW);
  const power = (value: number) => formatQuantity(value, "power", units);
  const carriers = computeHeatCarriers(frost.holdW);
  const hours = (value: number) => formatQuantity(value, "hours", units);
  const warm = (value: number) => formatQuantity(value, "temperature", units);
  return (
    <Group title={WORDS.coldNight}>
      {night.airC >= 0 ? (
        <p className="text-[13px] text-faint">
          <Trade>{WORDS.at}</Trade> {warm(night.airC)} <Trade>{WORDS.nothingFreezes}</Trade>
        </p>
      ) : (
        <>
          <p className="text-[13px] text-faint" data-testid="cold-night">
            <Trade>{WORDS.at}</Trade> {warm(night.airC)}
            <Trade>{padW > 0 ? WORDS.asFullWithItsPad(power(padW)) : WORDS.asFullAsItIs}</Trade> {warm(night.startC)}{" "}
            {frost.hoursToFreezing === null || frost.hoursToIce === null ? (
              <Trade>{WORDS.warmAtDuskItStays}</Trade>
            ) : (
              <>
                <Trade>{WORDS.warmAtDuskItsWater}</Trade>{" "}
                {figure("tankFreezing", WORDS.untilItIsAtFreezing, hours(frost.hoursToFreezing))};{" "}
                {formatQuantity(night.iceShare, "ratio", units)} <Trade>{WORDS.ofItIsIce}</Trade>{" "}
                {figure("tankIce", WORDS.untilIceDoesHarm, hours(frost.hoursToIce))} <Trade>{WORDS.later}</Trade>
              </>
            )}{" "}
            <Trade>{WORDS.aPadOf}</Trade> {figure("padPower", WORDS.padThatHoldsIt, power(Math.ceil(frost.holdW)))}{" "}
            <Trade>{WORDS.holdsItAt}</Trade> {warm(night.heldC)},{" "}
            <Trade>{WORDS.inANight(Math.ceil(nightWh), Math.ceil(nightWh / volts), volts)}</Trade>
          </p>
          {(isOut || padW > 0) && (
            <NumberField
              label={WORDS.heatingPad}
              value={padW}
              quantity="power"
              onCommit={(value) => set(at, ["tanks", tank.id, "padW"], value)}
            />
          )}
          {isOut && padW < frost.holdW && fit && (
            <Button className="mt-1" onClick={() => apply(fit)}>
              {WORDS.fitAPadOf(power(Math.ceil(frost.holdW)))}
            </Button>
          )}
          {(isOut || padW > 0) && (
            <p className="pt-1 text-[12.5px] text-faint">
              {padW > 0 ? WORDS.padWithWater : WORDS.noPad}
              {tank.insulationMm < FOAM_MM &&
                ` ${WORDS.laggedItTakes(formatQuantity(FOAM_MM, "length", units), power(Math.ceil(lagged.holdW)))}`}
            </p>
          )}
          <p className="pt-1 text-[12.5px] text-faint">
            <Trade>{WORDS.fromAHeaterBesideIt}</Trade> {describeAir(carriers.airM3PerH, units)}{" "}
            <Trade>{WORDS.ofAirThatCoolsBy}</Trade> {AIR_DROP_K} <Trade>{WORDS.kOr}</Trade>{" "}
            {formatQuantity(carriers.glycolLpm / 60, "flow", units)} <Trade>{WORDS.ofGlycolThatCoolsBy}</Trade>{" "}
            {GLYCOL_DROP_K} K.
          </p>
        </>
      )}
      <WindPick />
      <details className="pt-1">
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">
          {WORDS.theNightItIsWorked}
        </summary>
        {(
          ["nightAir", "nightWind", "duskWater", "iceShare", "heldWater", "waterFilm", "foamConductivity"] as const
        ).map((id) => (
          <LimitField key={id} id={id} />
        ))}
      </details>
    </Group>
  );
}

function WindPick() {
  const mps = useWorkbench((state) => lookUpValue(state.history!.design.rules, "nightWind"));
  const { set } = useEdits();
  const wind = (Object.keys(WINDS) as (keyof typeof WINDS)[]).find((name) => WINDS[name] === mps) ?? "own";
  return (
    <Pick<Wind>
      label={WORDS.wind}
      value={wind}
      names={WIND_NAMES}
      onPick={(value) => value !== "own" && set({ kind: "rig" }, ["rules", "limits", "nightWind"], WINDS[value])}
    />
  );
}
