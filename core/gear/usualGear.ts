import type { Gear, GearKind, GearSpec, SpecOf } from "../design/gear";
import { USUAL_REDUCED_KPA } from "./supply";

type Usual = Pick<Gear, "sizeMm" | "openBelowMm" | "spec">;

const box = (x: number, y: number, z: number) => ({ x, y, z });

/** Gear as it is usually bought [T: figures of the trade, no source; every one can be changed]. */
export const USUAL_GEAR: Readonly<Record<GearKind, Usual>> = {
  strainer: {
    sizeMm: box(90, 60, 60),
    openBelowMm: 40,
    spec: { kind: "strainer", dropKPa: 3, atLpm: 10, openingUm: 400 },
  },
  pump: {
    sizeMm: box(210, 130, 110),
    openBelowMm: 0,
    spec: {
      kind: "pump",
      pump: "diaphragm",
      shutOffKPa: 310,
      midLpm: 7,
      midKPa: 170,
      freeLpm: 12.5,
      cutInKPa: 180,
      cutOutKPa: 310,
      watts: 70,
      mayRunDry: true,
    },
  },
  accumulator: {
    sizeMm: box(200, 120, 120),
    openBelowMm: 0,
    spec: { kind: "accumulator", litres: 1, prechargeKPa: 170 },
  },
  filter: {
    sizeMm: box(130, 130, 330),
    openBelowMm: 60,
    spec: {
      kind: "filter",
      medium: "sediment",
      micron: 5,
      cleanKPa: 5,
      loadedKPa: 60,
      atLpm: 10,
      lifeL: null,
      holdsG: 100,
      lifeDays: 180,
    },
  },
  uvLamp: {
    sizeMm: box(360, 80, 80),
    openBelowMm: 0,
    spec: {
      kind: "uvLamp",
      dropKPa: 3,
      atLpm: 10,
      uvcWatts: 5,
      watts: 16,
      sleeveMm: 23,
      chamberMm: 63,
      lengthMm: 280,
      endOfLife: 0.75,
      fouling: 0.1,
      transmittance: null,
      lifeHours: 9_000,
    },
  },
  nonReturn: {
    sizeMm: box(60, 35, 35),
    openBelowMm: 0,
    spec: { kind: "nonReturn", dropKPa: 3, atLpm: 10, crackKPa: 2 },
  },
  valve: {
    sizeMm: box(80, 60, 90),
    openBelowMm: 0,
    spec: { kind: "valve", dropKPa: 1, atLpm: 10, drive: "hand", atRest: "stays" },
  },
  diverter: {
    sizeMm: box(90, 60, 90),
    openBelowMm: 0,
    spec: { kind: "diverter", dropKPa: 2, atLpm: 10, drive: "hand", atRest: "stays" },
  },
  mixer: { sizeMm: box(150, 60, 60), openBelowMm: 0, spec: { kind: "mixer", dropKPa: 20, atLpm: 8 } },
  heater: {
    sizeMm: box(330, 280, 280),
    openBelowMm: 0,
    spec: { kind: "heater", dropKPa: 8, atLpm: 10, litres: 10, watts: 1_300 },
  },
  coupling: {
    sizeMm: box(60, 90, 90),
    openBelowMm: 0,
    spec: { kind: "coupling", supplyKPa: 300, reducedToKPa: USUAL_REDUCED_KPA },
  },
  flowMeter: { sizeMm: box(70, 40, 40), openBelowMm: 0, spec: { kind: "flowMeter", dropKPa: 3, atLpm: 10 } },
  gauge: { sizeMm: box(50, 50, 50), openBelowMm: 0, spec: { kind: "gauge" } },
  airGap: { sizeMm: box(60, 60, 120), openBelowMm: 0, spec: { kind: "airGap", gapMm: 50 } },
  ventedLoop: { sizeMm: box(120, 40, 150), openBelowMm: 0, spec: { kind: "ventedLoop", dropKPa: 1, atLpm: 10 } },
  relief: { sizeMm: box(50, 50, 60), openBelowMm: 0, spec: { kind: "relief", setKPa: 400 } },
  tap: {
    sizeMm: box(40, 40, 40),
    openBelowMm: 0,
    spec: { kind: "tap", dropKPa: 40, atLpm: 8, use: "washing", fixtureId: null },
  },
  tee: { sizeMm: box(40, 25, 30), openBelowMm: 0, spec: { kind: "tee" } },
  skinFitting: {
    sizeMm: box(60, 60, 60),
    openBelowMm: 0,
    spec: { kind: "skinFitting", boreMm: 19, metal: "bronze", serves: "intake", hasSeacock: true, clamps: 2 },
  },
  bowl: {
    sizeMm: box(450, 380, 350),
    openBelowMm: 0,
    spec: { kind: "bowl", dropKPa: 10, atLpm: 15, bowl: "handPump", flushL: 2 },
  },
  sump: {
    sizeMm: box(300, 200, 180),
    openBelowMm: 0,
    spec: { kind: "sump", litres: 6, onMm: 90, offMm: 20, areaCm2: 500 },
  },
  deckFitting: { sizeMm: box(60, 60, 60), openBelowMm: 0, spec: { kind: "deckFitting" } },
};

/** The usual figures of a kind, some of them changed. */
export const usualSpec = <K extends GearKind>(kind: K, changes: Partial<SpecOf<K>> = {}): GearSpec =>
  ({ ...USUAL_GEAR[kind].spec, ...changes }) as GearSpec;
