import { vec } from "../geometry/vec";
import { createHabits } from "./createHabits";
import { createPort } from "./createPort";
import { CURRENT_VERSION, type Design, FORMAT } from "./design";
import type { FirstMeasures } from "./firstMeasures";
import { buildFirstObstacles, type FirstObstacles, NOTHING_UNDER } from "./firstObstacles";
import { toBeginning } from "./lineItems";
import { toNodes } from "./nodes";
import { type RigKind, USUAL_CLASS, USUAL_ENVELOPE } from "./rig";
import { USUAL_TRAPS } from "./usualTraps";

const LAND: FirstMeasures = {
  floorLengthMm: 3400,
  floorWidthMm: 1750,
  floorThicknessMm: 45,
  groundBelowMm: 640,
  sillBelowMm: 400,
  waterlineMm: null,
  sinkForwardMm: 2300,
  sinkLeftMm: 550,
  sinkHeightMm: 640,
  tankLengthMm: 700,
  tankWidthMm: 450,
  tankHeightMm: 200,
  tankForwardMm: null,
  tankLeftMm: null,
  tankTopBelowMm: 120,
  people: 2,
  sinkLPerPersonDay: 8,
  freshL: 80,
};

/** Measures to start from, by kind of rig [T]; every one of them is asked for. */
export const USUAL_MEASURES: Readonly<Record<RigKind, FirstMeasures>> = {
  van: LAND,
  bus: { ...LAND, floorLengthMm: 7800, floorWidthMm: 2300, groundBelowMm: 820, sillBelowMm: 560, sinkForwardMm: 5200 },
  trailer: { ...LAND, floorLengthMm: 4200, floorWidthMm: 2000, groundBelowMm: 560, sillBelowMm: 340 },
  boat: { ...LAND, floorLengthMm: 5200, floorWidthMm: 1500, groundBelowMm: 700, sillBelowMm: null, waterlineMm: 150 },
};

const PIPE = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
const DROP_AHEAD_MM = 180;

/**
 * A first design from the first measures: sink, P-trap, drain through the floor, tank with breather and dump valve,
 * with all the fall there is given to the run under the floor. It may well have findings; that is what it is for.
 */
export function createDesign(
  id: string,
  name: string,
  kind: RigKind,
  m: FirstMeasures,
  under: FirstObstacles = NOTHING_UNDER,
): Design {
  const { obstacles, axles } = buildFirstObstacles(under, m);
  // behind the sink, where most rigs have their room
  const tankForwardMm = m.tankForwardMm ?? Math.max(50, m.sinkForwardMm - 500 - m.tankLengthMm);
  const tankLeftMm = m.tankLeftMm ?? Math.min(m.sinkLeftMm, m.floorWidthMm / 2 - 50) - m.tankWidthMm;
  const tankAt = vec(tankForwardMm, tankLeftMm, -m.tankTopBelowMm - m.tankHeightMm);
  const inletFromRear = m.sinkForwardMm < tankForwardMm + m.tankLengthMm / 2;
  const inlet = vec(inletFromRear ? 0 : m.tankLengthMm, m.tankWidthMm / 2, m.tankHeightMm - PIPE.outerMm);
  const sink = vec(m.sinkForwardMm, m.sinkLeftMm, m.sinkHeightMm);
  const toward = inletFromRear ? 1 : -1;
  const dropX = sink.x + toward * DROP_AHEAD_MM;
  const weirZ = sink.z - 90;
  const underZ = -m.floorThicknessMm - PIPE.outerMm - 5;
  return {
    format: FORMAT,
    version: CURRENT_VERSION,
    id,
    name,
    note: "",
    gear: [],
    states: [],
    rig: {
      kind,
      lengthMm: m.floorLengthMm,
      widthMm: m.floorWidthMm,
      floorLayers: [{ name: "Floor", thicknessMm: m.floorThicknessMm }],
      groundZMm: -m.groundBelowMm,
      sillZMm: m.sillBelowMm === null ? null : -m.sillBelowMm,
      waterlineZMm: m.waterlineMm,
      axles,
      couplingXMm: null,
      displacementKg: null,
      gmMm: null,
      crashClass: USUAL_CLASS[kind],
      envelope: { ...USUAL_ENVELOPE },
      standings: [],
      dumpAttitude: { pitchDeg: 0, rollDeg: 0 },
      dumpHose: null,
    },
    obstacles,
    fixtures: [
      {
        id: "sink",
        name: "Kitchen sink",
        kind: "kitchenSink",
        outletMm: sink,
        boreMm: 36.4,
        rimMm: 160,
        inflowLps: 0.1,
        volumePerUseL: 8,
        hasPlug: true,
        runsAlone: false,
      },
    ],
    tanks: [
      {
        id: "grey",
        name: "Grey tank",
        holds: "grey",
        atMm: tankAt,
        solid: { shape: "box", lengthMm: m.tankLengthMm, widthMm: m.tankWidthMm, heightMm: m.tankHeightMm },
        wallMm: 6,
        material: "polyethylene",
        insulationMm: 0,
        sender: null,
        fixing: null,
        link: null,
        ports: [
          createPort({ id: "inlet", kind: "inlet", atMm: inlet, boreMm: PIPE.innerMm }),
          createPort({
            id: "vent",
            kind: "vent",
            atMm: vec(m.tankLengthMm / 2, m.tankWidthMm / 2, m.tankHeightMm),
            boreMm: 19,
          }),
          createPort({
            id: "dump",
            kind: "outlet",
            atMm: vec(inletFromRear ? m.tankLengthMm : 0, m.tankWidthMm / 2, 0),
            boreMm: 38,
          }),
        ],
      },
    ],
    lines: [
      {
        id: "sink-drain",
        name: "Sink drain",
        kind: "drain",
        pipe: PIPE,
        fromFixture: "sink",
        to: { kind: "inlet", tankId: "grey", portId: "inlet" },
        bendsMm: toNodes([vec(dropX, sink.y, Math.max(weirZ - 10, 20)), vec(dropX, sink.y, underZ)]),
        items: toBeginning(USUAL_TRAPS.pTrap),
      },
      {
        id: "grey-vent",
        name: "Breather",
        kind: "vent",
        pipe: { innerMm: 19, outerMm: 25, manningN: 0.01 },
        fromTank: "grey",
        fromPort: "vent",
        to: { kind: "openAir", hasMesh: true },
        pointsMm: toNodes([vec(tankAt.x + m.tankLengthMm / 2, m.floorWidthMm / 2 - 40, 500)]),
      },
    ],
    habits: createHabits({ ...m, drunkLPerPersonDay: 2 }, "sink"),
    rules: { pack: "builders", limits: {} },
  };
}
