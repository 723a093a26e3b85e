/**
 * What is dissolved in loop water after so many showers, g/L: (m/V)(1 − (1 − r)ⁿ)/r. Shed m ≥ 0 g a shower, volume
 * V > 0 L, share r in [0, 1] renewed at each, n ≥ 0. With r → 0 it is m n/V. Source: a mass balance [C].
 * Example: 2 g, 25 L, r 0.1, 10 showers → 0.521 g/L.
 */
export function computeBuildUp(shedG: number, volumeL: number, renewedShare: number, showers: number): number {
  if (renewedShare <= 0) return (shedG * showers) / volumeL;
  return ((shedG / volumeL) * (1 - (1 - renewedShare) ** showers)) / renewedShare;
}

/** What one shower sheds that no filter takes: soap, salts, g [T]. */
export const SHED_G = 2;
/** Dissolved: from here on it feels and smells used, g/L [T]. */
export const MOST_BUILD_UP = 0.6;

/** Of the loop water a shower uses, so much is lost with the towel and the tray and made up with fresh, as a share [T]. */
export const LOOP_RENEWED_SHARE = 0.1;

/**
 * Share of the loop's own water that one shower renews, [0, 0.1]: what is lost of `usedL` ≥ 0 against `loopL` > 0. A long shower
 * on little water counts no more than a tenth: less is renewed, so more builds up, on the safe side [C on T].
 */
export const computeRenewedShare = (usedL: number, loopL: number): number =>
  LOOP_RENEWED_SHARE * Math.min(1, usedL / loopL);

export type UvChamber = {
  /** What the lamp gives at 254 nm when new, W. */
  readonly uvcWatts: number;
  readonly sleeveMm: number;
  readonly chamberMm: number;
  /** Shares: what is left at the end of its life, and what fouling takes. */
  readonly endOfLife: number;
  readonly fouling: number;
  /** Of 10 mm of the water, (0, 1]. */
  readonly transmittance: number;
};

export type UvDose = { readonly meanMjPerCm2: number; readonly leastMjPerCm2: number };

/** J/mm² in mJ/cm². */
const MJ_PER_CM2 = 1e5;

/**
 * UV dose, mJ/cm², at a flow, L/s > 0: mean over the chamber and at its far wall, of a lamp that shines evenly outward
 * through water that swallows it, all lanes equally fast. Mean P (1 − e^(−kw))/(k Q) with k = −ln T/10 mm and w the
 * width of the gap; at the wall P e^(−kw) (R² − r²)/(2 R Q). Source: Beer and Lambert on a line of light [C]; what
 * turbulence and short cuts do is not in it, so it is no proof of disinfection.
 */
export function computeUvDose(chamber: UvChamber, flowLps: number): UvDose {
  const { uvcWatts, sleeveMm, chamberMm, endOfLife, fouling, transmittance } = chamber;
  const watts = uvcWatts * endOfLife * (1 - fouling);
  const [r, far] = [sleeveMm / 2, chamberMm / 2];
  const widthMm = Math.max(0, far - r);
  const flow = flowLps * 1e6;
  const k = -Math.log(Math.max(1e-6, transmittance)) / 10;
  const through = Math.exp(-k * widthMm);
  const path = k < 1e-9 ? widthMm : (1 - through) / k;
  return {
    meanMjPerCm2: ((watts * path) / flow) * MJ_PER_CM2,
    leastMjPerCm2: ((watts * through * (far ** 2 - r ** 2)) / (2 * far * flow)) * MJ_PER_CM2,
  };
}

/** Doses, mJ/cm², for so many log steps [P: US EPA UVDGM 2006 table 1.4, from memory, 97 %]. */
export const LOG_DOSES = {
  cryptosporidium: { 2: 5.8, 3: 12, 4: 22 },
  giardia: { 2: 5.2, 3: 11, 4: 22 },
  virus: { 2: 100, 3: 143, 4: 186 },
} as const;
export type Germ = keyof typeof LOG_DOSES;

/** The most log steps a dose is good for; 0 where it is less than two [P: as the table]. */
export function findLogSteps(germ: Germ, doseMjPerCm2: number): 0 | 2 | 3 | 4 {
  const steps = LOG_DOSES[germ];
  return ([4, 3, 2] as const).find((step) => doseMjPerCm2 >= steps[step]) ?? 0;
}
