import * as Comlink from "comlink";
import type { Design } from "@/core/design/design";
import type { TankPlace } from "@/core/tanks/tankPlaces";
import { type Asked, createAsk } from "./asking";
import type { TanksApi } from "./tanksProtocol";

const ask = createAsk<TanksApi>(() => new Worker(new URL("./tanks.worker.ts", import.meta.url), { type: "module" }));

/** Looks for the largest tanks in the worker. */
export const requestLargestTanks = (
  design: Design,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<Asked<readonly TankPlace[]>> =>
  ask((api) => api.findLargestTanks(design, Comlink.proxy(onProgress)), signal);
