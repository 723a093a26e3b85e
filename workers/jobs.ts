import type { Attitude } from "@/core/attitude/attitude";
import { type ForecastInput, forecast, type StoreForecast } from "@/core/days/forecast";
import type { Design } from "@/core/design/design";
import type { ParseOutcome } from "@/core/design/parseDesign";
import { evaluate } from "@/core/evaluate/evaluate";
import { computeStandingMap, type StandingMap } from "@/core/evaluate/standingMap";
import { type EveryPosition, proveEveryPosition } from "@/core/gear/everyPosition";
import { type AlikeRemedy, buildMendAlike } from "@/core/remedies/mendAlike";
import type { ProvenRemedy } from "@/core/remedies/remedy";
import { findRoutes, type RouteOutcome } from "@/core/routes/findRoutes";
import type { FirstDesign } from "@/core/routes/firstDesign";
import { buildFirstRig } from "@/core/routes/firstRig";
import { type Fitted, fitWanted, type Wanted } from "@/core/routes/fitWanted";
import { seekRemedies } from "@/core/routes/seekRemedies";
import { findLargestTanks, type TankAim } from "@/core/tanks/largestTanks";
import type { TankPlace } from "@/core/tanks/tankPlaces";

/** Tells how far a job is, as a share in (0, 1]. */
export type OnProgress = (share: number) => void;

/** Something that takes longer than a frame: one value in, one out, both plain data. It is ended with its worker. */
type Job<Input, Output> = (input: Input, onProgress: OnProgress) => Output;

type MapInput = { readonly design: Design; readonly size: number; readonly rangeDeg: number };
type RoutesInput = { readonly design: Design; readonly drainId: string };
type TanksInput = { readonly design: Design; readonly aim: TankAim };

const PROGRESS_EVERY_ROWS = 8;

const goesOn = (onProgress: OnProgress) => (share: number) => {
  onProgress(share);
  return true;
};

const standingMap: Job<MapInput, StandingMap> = ({ design, size, rangeDeg }, onProgress) =>
  computeStandingMap(design, { size, rangeDeg }, (done) => {
    if (done % PROGRESS_EVERY_ROWS === 0 || done === size) onProgress(done / size);
    return true;
  })!;

const routes: Job<RoutesInput, RouteOutcome> = ({ design, drainId }, onProgress) =>
  findRoutes(design, drainId, goesOn(onProgress))!;

const largestTanks: Job<TanksInput, readonly TankPlace[]> = ({ design, aim }, onProgress) =>
  findLargestTanks(design, { aim, onStep: goesOn(onProgress) })!;

const days: Job<ForecastInput, readonly StoreForecast[]> = (input, onProgress) => forecast(input, goesOn(onProgress))!;

const everyPosition: Job<{ readonly design: Design }, EveryPosition> = ({ design }, onProgress) =>
  proveEveryPosition(design, goesOn(onProgress))!;

type Judged = { readonly design: Design; readonly attitude: Attitude };

const remedies: Job<Judged & { readonly findingId: string }, readonly ProvenRemedy[]> = (input) => {
  const evaluation = evaluate(input.design, input.attitude);
  const finding = evaluation.findings.find(({ id }) => id === input.findingId);
  return finding ? seekRemedies(input.design, evaluation, finding) : [];
};

const mendAlike: Job<Judged & { readonly ids: readonly string[] }, { readonly remedy: AlikeRemedy | null }> = ({
  design,
  attitude,
  ids,
}) => ({ remedy: buildMendAlike(design, attitude, ids) });

const fit: Job<{ readonly design: Design; readonly wanted: Wanted }, Fitted> = ({ design, wanted }, onProgress) =>
  fitWanted(design, wanted, onProgress);

const firstRig: Job<{ readonly first: FirstDesign; readonly wanted: readonly Wanted[] }, ParseOutcome> = (
  { first, wanted },
  onProgress,
) => buildFirstRig(first, wanted, onProgress);

/** Everything the worker can be asked, by name. */
export const JOBS = {
  standingMap,
  routes,
  largestTanks,
  days,
  everyPosition,
  remedies,
  mendAlike,
  fit,
  firstRig,
} as const;

export type JobName = keyof typeof JOBS;
export type JobInput<Name extends JobName> = Parameters<(typeof JOBS)[Name]>[0];
export type JobOutput<Name extends JobName> = ReturnType<(typeof JOBS)[Name]>;
