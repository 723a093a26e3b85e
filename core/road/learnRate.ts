/** One lives otherwise in winter than in summer: more indoors, fewer showers outside. Quarters from December on. */
export const SEASONS = ["winter", "spring", "summer", "autumn"] as const;
export type Season = (typeof SEASONS)[number];

/** The quarter of the year a day lies in, as the north counts them; what learns apart is the same in the south. */
export const findSeason = (at: string): Season => SEASONS[Math.floor((Number(at.slice(5, 7)) % 12) / 3)]!;

/** Days that were seen and litres that came in them, by season. */
export type SeasonSums = Readonly<Record<Season, { readonly days: number; readonly litres: number }>>;

/** So many days' worth the design's own figures weigh against what is read [T]. */
const PRIOR_DAYS = 2;
/** What was learned in other seasons weighs as so many days at most [T]. */
const OTHER_DAYS = 4;

/**
 * Litres a day as learned: the mean of a Gamma that begins at the design's figure with a weight of two days and takes in
 * every span; its error falls with the root of the days seen. The spans of the season are taken in, and what the others
 * taught stands at the beginning with the weight of a few days. Source: Gamma and Poisson [P]; the size of a use from the
 * balance.
 */
export function learnRate(
  sums: SeasonSums,
  priorL: number,
  useL: number,
  season: Season,
): { readonly meanL: number; readonly errorL: number } {
  const own = sums[season];
  const all = Object.values(sums).reduce((a, b) => ({ days: a.days + b.days, litres: a.litres + b.litres }));
  // what other seasons taught stands for the design's figure, as far as it goes
  const [otherDays, taught] = [all.days - own.days, all.litres - own.litres];
  const weight = PRIOR_DAYS + Math.min(otherDays, OTHER_DAYS);
  const beforeL = otherDays > 0 ? (priorL * PRIOR_DAYS + taught) / (PRIOR_DAYS + otherDays) : priorL;
  const days = own.days + weight;
  const meanL = (own.litres + beforeL * weight) / days;
  // litres come in uses of a size: variance of the mean λ s²/T = mean s/T
  return { meanL, errorL: Math.sqrt((meanL * Math.max(useL, 0.1)) / days) };
}
