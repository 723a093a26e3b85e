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
};

const ZERO_C_K = 273.15;
/** The loss must stand out of its error by this to be called one; one in forty [T]. */
const CLEAR = 2;

/**
 * Leak of something filled with air from two readings: the pressure it should have at the end, p1 T2/T1 as an ideal gas in
 * absolute figures, less what it has; as room air V Δp/(p t). Errors of gauge and thermometer add by squares. "Unclear" where the correction is
 * larger than the loss and the loss does not stand out. All temperatures > −273 °C, minutes and volume > 0; null where a
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
  return {
    mlPerMin: toMl(lostKPa),
    errorMlPerMin: toMl(CLEAR * errorKPa),
    explainedKPa,
    lostKPa,
    errorKPa,
    verdict:
      isClear && lostKPa > 0 ? "leaks" : Math.abs(explainedKPa) > Math.abs(lostKPa) + errorKPa ? "unclear" : "held",
  };
}

/** A column of water that was watched: in the pipe or bowl of the fixture that is filled to its rim. */
export type WaterReadings = {
  /** Surface that sinks, cm² > 0. */
  readonly areaCm2: number;
  readonly minutes: number;
  /** How far it sank, mm ≥ 0, and what the ruler may be off by. */
  readonly sankMm: number;
  readonly rulerErrorMm: number;
};

/** What a still surface loses to the air of a room, mm an hour [T: 20 °C, half damp: 2 to 4 mm a day]. */
const EVAPORATES_MM_PER_H = 0.2;

/**
 * Water lost, mL/min, from a level that sank, less what evaporates: A h/t. "Held" where it sank no more than ruler and
 * evaporation explain; null where area or minutes are not above 0. Source: a balance [C on T]. Example: 10 cm², 15 min, 6 mm → 0.4 mL/min.
 */
export function computeWaterLoss({
  areaCm2,
  minutes,
  sankMm,
  rulerErrorMm,
}: WaterReadings): Omit<Leak, "explainedKPa" | "lostKPa" | "errorKPa"> | null {
  if (!(areaCm2 > 0) || !(minutes > 0) || !(sankMm >= 0)) return null;
  const toMl = (mm: number) => (areaCm2 * mm) / 10 / minutes;
  const evaporatedMm = (EVAPORATES_MM_PER_H * minutes) / 60;
  const lostMm = sankMm - evaporatedMm;
  return {
    mlPerMin: toMl(lostMm),
    errorMlPerMin: toMl(rulerErrorMm),
    verdict: lostMm > rulerErrorMm ? "leaks" : "held",
  };
}
