"use client";
import { useEffect, useState } from "react";
import {
  calibrateByTurning,
  judgeLaidFall,
  NO_OFFSET,
  type PhoneOffset,
  type PhoneTilt,
  readStands,
  toAttitude,
  toSlopeMmPerM,
} from "@/core/attitude/phoneLevel";
import { keepUnderStands } from "@/store/under";
import * as WORDS from "@/words/panels/under/phoneLevel";
import type { UnderCard, UnderSheet } from "@/words/underCards";
import { thisMinute } from "../stations/now";

type Sensor = "ask" | "none" | "refused" | "on";
type Asking = { readonly requestPermission?: () => Promise<"granted" | "denied"> };

const PRESS = "min-h-14 rounded-[3px] border border-edge px-3 text-[19px]";
const WHY = {
  ask: WORDS.layThePhoneOnIts,
  refused: WORDS.theTiltSensorWasRefused,
  none: WORDS.thisDeviceHasNoTilt,
} as const;

/**
 * The phone as a level, set right by turning it round: how the rig stands, kept for the design, and the fall of a pipe it lies
 * on against what is drawn. Where there is no sensor both are typed.
 */
export function PhoneLevel({ sheet, card }: { readonly sheet: UnderSheet | null; readonly card: UnderCard | null }) {
  const [sensor, setSensor] = useState<Sensor>("ask");
  const [tilt, setTilt] = useState<PhoneTilt | null>(null);
  const [offset, setOffset] = useState<PhoneOffset>(NO_OFFSET);
  const [first, setFirst] = useState<PhoneTilt | null>(null);
  useEffect(() => {
    if (sensor !== "on") return;
    const on = ({ beta, gamma }: DeviceOrientationEvent) => {
      if (beta !== null && gamma !== null) setTilt({ betaDeg: beta, gammaDeg: gamma });
    };
    window.addEventListener("deviceorientation", on);
    return () => window.removeEventListener("deviceorientation", on);
  }, [sensor]);
  const begin = async () => {
    if (!("DeviceOrientationEvent" in window)) return setSensor("none");
    const asking = (DeviceOrientationEvent as unknown as Asking).requestPermission;
    try {
      setSensor(asking && (await asking()) !== "granted" ? "refused" : "on");
    } catch {
      setSensor("refused");
    }
  };
  return (
    <section aria-label={WORDS.level} className="flex flex-1 flex-col gap-3 p-4 text-[19px] leading-snug">
      {sensor !== "on" && <p>{WHY[sensor]}</p>}
      {sensor !== "on" && (
        <button type="button" className={PRESS} onClick={() => void begin()}>
          {WORDS.useTheTiltSensor}
        </button>
      )}
      {sensor === "on" && !tilt && <p>{WORDS.waitingForTheSensorIt}</p>}
      {tilt && (
        <button
          type="button"
          className={PRESS}
          onClick={() => {
            if (!first) return setFirst(tilt);
            setOffset(calibrateByTurning(first, tilt));
            setFirst(null);
          }}
        >
          {first ? WORDS.nowTurnItRoundOn : WORDS.setRightPressThenTurn}
        </button>
      )}
      <Stands sheet={sheet} measured={tilt && toAttitude(tilt, offset)} />
      <Fall sheet={sheet} card={card} measured={tilt && toSlopeMmPerM(tilt, offset)} />
    </section>
  );
}

/** How the rig stands, by the sensor or typed, and kept for the level on the desk. */
function Stands({
  sheet,
  measured,
}: {
  readonly sheet: UnderSheet | null;
  readonly measured: { readonly pitchDeg: number; readonly rollDeg: number } | null;
}) {
  const [typed, setTyped] = useState({ pitch: "", roll: "" });
  const [told, setTold] = useState<string | null>(null);
  const stands = measured ?? readStands({ pitchDeg: toNumber(typed.pitch), rollDeg: toNumber(typed.roll) });
  const keep = () => {
    if (!sheet || !stands) return;
    keepUnderStands(sheet.designId, { ...stands, at: thisMinute() })
      .then(() => setTold(WORDS.keptTheLevelOnThe))
      .catch(() => setTold(WORDS.thatCouldNotBeKept));
  };
  return (
    <div className="border-t border-ink pt-2">
      <h2 className="plate text-[20px]">{WORDS.howTheRigStands}</h2>
      {measured ? (
        <>
          <Row
            what={measured.pitchDeg >= 0 ? WORDS.noseDown : WORDS.noseUp}
            figure={`${Math.abs(measured.pitchDeg).toFixed(1)}°`}
          />
          <Row
            what={measured.rollDeg >= 0 ? WORDS.rightSideLow : WORDS.leftSideLow}
            figure={`${Math.abs(measured.rollDeg).toFixed(1)}°`}
          />
        </>
      ) : (
        <>
          <Typed
            label={WORDS.frontDownUpBelow0}
            value={typed.pitch}
            onType={(pitch) => setTyped({ ...typed, pitch })}
          />
          <Typed
            label={WORDS.rightSideLowLeftBelow}
            value={typed.roll}
            onType={(roll) => setTyped({ ...typed, roll })}
          />
        </>
      )}
      {sheet && (
        <button type="button" className={`${PRESS} mt-2 w-full`} disabled={!stands} onClick={keep}>
          {WORDS.keepHowItStands}
        </button>
      )}
      <p role="status" className="pt-1 text-[17px] text-faint">
        {told ?? (sheet ? "" : WORDS.openADesignsCardsHere)}
      </p>
    </div>
  );
}

const JUDGED = {
  short: WORDS.tooFlatLiftItsUpper,
  right: WORDS.rightClipIt,
  steep: WORDS.steeperThanDrawnLookWhether,
} as const;

/** The fall of a pipe against the rig's own floor, which leans too, and against what is drawn for the card that is open. */
function Fall({
  sheet,
  card,
  measured,
}: {
  readonly sheet: UnderSheet | null;
  readonly card: UnderCard | null;
  readonly measured: number | null;
}) {
  const [floor, setFloor] = useState(0);
  const [typed, setTyped] = useState({ over: "", falls: "" });
  const [over, falls] = [toNumber(typed.over), toNumber(typed.falls)];
  const slope =
    measured !== null ? measured - floor : over > 0 && Number.isFinite(falls) ? (falls / over) * 1000 : null;
  const drawn = card?.slopeMmPerM ?? null;
  const figure = (mmPerM: number) =>
    sheet?.units === "imperial" ? `${((mmPerM * 12) / 1000).toFixed(2)} in/ft` : `${mmPerM.toFixed(0)} mm/m`;
  return (
    <div className="border-t border-ink pt-2">
      <h2 className="plate text-[20px]">{WORDS.fallOfAPipe}</h2>
      {measured !== null ? (
        <button type="button" className={`${PRESS} mt-1 w-full`} onClick={() => setFloor(measured)}>
          {WORDS.lieOnTheFloorAlong}
        </button>
      ) : (
        <>
          <Typed
            label={WORDS.alongTheRigsFloor}
            value={typed.over}
            onType={(value) => setTyped({ ...typed, over: value })}
          />
          <Typed
            label={WORDS.itFallsSoMuch}
            value={typed.falls}
            onType={(value) => setTyped({ ...typed, falls: value })}
          />
        </>
      )}
      {slope !== null && (
        <Row what={measured === null ? WORDS.itFalls : WORDS.itFallsTopOfThePhone} figure={figure(slope)} />
      )}
      {drawn !== null && <Row what={WORDS.drawnFor(card?.title ?? "")} figure={figure(drawn)} />}
      {slope !== null && drawn !== null && (
        <p role="status" className="pt-1 font-semibold">
          {JUDGED[judgeLaidFall(slope, drawn)]}
        </p>
      )}
      {drawn === null && <p className="text-[17px] text-faint">{WORDS.openAPipesCardFirst}</p>}
    </div>
  );
}

const toNumber = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text.trim().replace(",", ".")));

function Typed({
  label,
  value,
  onType,
}: {
  readonly label: string;
  readonly value: string;
  readonly onType: (value: string) => void;
}) {
  return (
    <label className="flex items-center justify-between gap-3 pt-2 text-[17px]">
      {label}
      <input
        value={value}
        inputMode="text"
        onChange={(event) => onType(event.target.value)}
        className="figures min-h-14 w-28 border-b border-edge bg-sheet px-2 text-right text-[28px]"
      />
    </label>
  );
}

function Row({ what, figure }: { readonly what: string; readonly figure: string }) {
  return (
    <div className="border-t border-rule pt-2">
      <div className="figures text-[56px] leading-none">{figure}</div>
      <div className="text-[17px] text-faint">{what}</div>
    </div>
  );
}
