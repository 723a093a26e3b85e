/** Two readings of a gauge on something shut, with what the air around it did meanwhile. */
export type AirReadings = {
  /** Shut-in volume, L > 0. */
  readonly volumeL: number;
  readonly minutes: number;
  /** Over the air around, kPa. */
  readonly startKPa: number;
  readonly endKPa: number;
  readonly startC: number;
  readonly endC: number;
  readonly startBarometerKPa: number;
  readonly endBarometerKPa: number;
  /** What it stands under in use, kPa: tried with less, it has not held. */
  readonly wantedKPa: number;
  /** What a reading of the gauge may be off by, kPa, and of the thermometer, K. */
  readonly gaugeErrorKPa: number;
  readonly thermometerErrorK: number;
};

export type Leak = {
  /** Loss as air of the room, mL/min; below 0 where it gained. */
  readonly mlPerMin: number;
  readonly errorMlPerMin: number;
  /** Fall of pressure that cooling and the weather explain, kPa. */
  readonly explainedKPa: number;
  /** Fall of pressure that is left, kPa, and what the readings may be off by together. */
  readonly lostKPa: number;
  readonly errorKPa: number;
  readonly verdict: "held" | "leaks" | "unclear";
  /** It was tried with clearly less than it stands under in use. */
  readonly isLow: boolean;
};

const ZERO_C_K = 273.15;
/** As much of the pressure in use must be there at first: a gauge and a hand pump come no closer [T]. */
const ENOUGH = 0.9;
/** The loss must stand out of its error by this to be called one; one in forty [T]. */
const CLEAR = 2;

/**
 * Leak of something filled with air from two readings: the pressure it should have at the end, p1 T2/T1 as an ideal gas in
 * absolute figures, less what it has; as room air V Δp/(p t). Errors of gauge and thermometer add by squares. "Unclear" where the correction is
 * larger than the loss and the loss does not stand out, and where there is clearly more than there should be: no leak does that; nor has
 * held what was tried with less than nine tenths of its pressure in use. All temperatures > −273 °C, minutes and volume > 0; null where a
 * reading is impossible. Source: ideal gas [P]. Example: 2 L, 10 min, 30 → 29 kPa at 20 °C, 101.3 kPa: 1.97 mL/min.
 */
export function computeLeak(readings: AirReadings): Leak | null {
  const { volumeL, minutes, startC, endC, startBarometerKPa, endBarometerKPa, gaugeErrorKPa, thermometerErrorK } =
    readings;
  const [t1, t2] = [startC + ZERO_C_K, endC + ZERO_C_K];
  const [p1, p2] = [readings.startKPa + startBarometerKPa, readings.endKPa + endBarometerKPa];
  const isPossible = [volumeL, minutes, t1, t2, p1, p2, startBarometerKPa, endBarometerKPa].every((value) => value > 0);
  if (!isPossible) return null;
  const shouldBe = (p1 * t2) / t1;
  const lostKPa = shouldBe - p2;
  const explainedKPa = readings.startKPa - (shouldBe - endBarometerKPa);
  const errorKPa = Math.hypot(gaugeErrorKPa * Math.SQRT2, (p1 * thermometerErrorK * Math.SQRT2) / t1);
  const toMl = (kPa: number) => (volumeL * 1_000 * kPa) / endBarometerKPa / minutes;
  const isClear = Math.abs(lostKPa) > CLEAR * errorKPa;
  const isLow = readings.startKPa < ENOUGH * readings.wantedKPa;
  return {
    mlPerMin: toMl(lostKPa),
    errorMlPerMin: toMl(CLEAR * errorKPa),
    explainedKPa,
    lostKPa,
    errorKPa,
    isLow,
    verdict: isClear
      ? lostKPa > 0
        ? "leaks"
        : "unclear"
      : isLow || Math.abs(explainedKPa) > Math.abs(lostKPa) + errorKPa
        ? "unclear"
        : "held",
  };
}

/** What the dry paper under the joints showed; "unseen" where none was laid or nobody looked. */
export const PAPERS = ["unseen", "dry", "wet"] as const;
export type Paper = (typeof PAPERS)[number];

/** A column of water that was watched: in the pipe or bowl of the fixture that is filled to its rim. */
export type WaterReadings = {
  /** Surface that sinks, cm² > 0. */
  readonly areaCm2: number;
  readonly minutes: number;
  /** How far it sank, mm ≥ 0, null where it was not read; and what the ruler may be off by. */
  readonly sankMm: number | null;
  readonly rulerErrorMm: number;
  readonly paper: Paper;
};

/** Why a trial with water came out as it did. */
export type WaterCause = "paperWet" | "levelSank" | "tooShort" | "paperDry" | "levelStood" | "tooWide";

export type WaterLoss = Pick<Leak, "mlPerMin" | "errorMlPerMin" | "verdict"> & {
  readonly cause: WaterCause;
  /** How long the level must be watched until it shows a drip, minutes. */
  readonly minutesToTell: number;
};

/** What a still surface loses to the air of a room, mm an hour [T: 20 °C, half damp: 2 to 4 mm a day]. */
const EVAPORATES_MM_PER_H = 0.2;
/** A drop every three seconds, mL/min: a trial that cannot show it has not shown that the joint is tight [T]. */
const DRIP_ML_PER_MIN = 1;
/** How long water stands in a trial, minutes [P: codes for plastic drain pipe, from memory, 95 %]. */
export const LEAST_MINUTES = 15;

/**
 * Water lost, mL/min, from a level that sank, less what evaporates: A h/t. Wet paper or a level that sank by more than ruler and
 * evaporation explain is a leak, however short it was watched. It held where the paper stayed dry, or a level that stood would have shown a
 * drip, for 15 minutes; else it is not clear. Null where area or minutes are not above 0, and where nothing was read. Source: a balance [C on T].
 * Example: 10 cm², 15 min, 6 mm → 0.4 mL/min.
 */
export function computeWaterLoss({ areaCm2, minutes, sankMm, rulerErrorMm, paper }: WaterReadings): WaterLoss | null {
  if (!(areaCm2 > 0) || !(minutes > 0) || (sankMm !== null && !(sankMm >= 0))) return null;
  if (sankMm === null && paper === "unseen") return null;
  const toMl = (mm: number) => (areaCm2 * mm) / 10 / minutes;
  const lostMm = sankMm === null ? 0 : sankMm - (EVAPORATES_MM_PER_H * minutes) / 60;
  const errorMlPerMin = toMl(rulerErrorMm);
  const cause: WaterCause =
    paper === "wet"
      ? "paperWet"
      : lostMm > rulerErrorMm
        ? "levelSank"
        : minutes < LEAST_MINUTES
          ? "tooShort"
          : paper === "dry"
            ? "paperDry"
            : errorMlPerMin <= DRIP_ML_PER_MIN
              ? "levelStood"
              : "tooWide";
  return {
    mlPerMin: toMl(lostMm),
    errorMlPerMin,
    verdict: VERDICTS[cause],
    cause,
    minutesToTell: Math.max(LEAST_MINUTES, (areaCm2 * rulerErrorMm) / 10 / DRIP_ML_PER_MIN),
  };
}

const VERDICTS: Readonly<Record<WaterCause, Leak["verdict"]>> = {
  paperWet: "leaks",
  levelSank: "leaks",
  tooShort: "unclear",
  paperDry: "held",
  levelStood: "held",
  tooWide: "unclear",
};
