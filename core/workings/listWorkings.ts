import { sumFillLps } from "../air/filling";
import { type Attitude, computeUp, isLevel, LEVEL } from "../attitude/attitude";
import { computeRamps, findRunningAttitude } from "../attitude/ramps";
import type { Design } from "../design/design";
import { findInsulationMm } from "../design/lagging";
import { findTrap } from "../design/lineItems";
import type { DrainResult, Evaluation, TankResult } from "../evaluate/evaluation";
import type { FallBudget } from "../falls/fallBudget";
import { buildNetwork } from "../falls/network";
import type { Passage } from "../fit/passages";
import type { RampAngle } from "../fit/rampAngles";
import { readNight } from "../frost/night";
import { measureSignedArea } from "../geometry/polygon";
import { toPrism } from "../geometry/solid";
import { dot, type Vec3 } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { radToDeg } from "../quantity/convert";
import type { Limit } from "../rules/lookUpLimit";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import type { TrapAir } from "../traps/trapRisks";
import { buildWorking, term } from "./buildWorking";
import { listTankCareWorkings } from "./tankCareWorkings";
import type { FormulaId, Stand, Working, WorkingTerm } from "./working";

/** The working of every figure of an evaluation; the tanks are so full in a cold night as a share in [0, 1] says. */
export function listWorkings(design: Design, evaluation: Evaluation, fillShare = 1): Working[] {
  return [
    ...evaluation.drains.flatMap((drain) => listDrainWorkings(design, drain, evaluation.attitude)),
    ...evaluation.tanks.flatMap((tank) => listTankWorkings(design, tank, evaluation.attitude)),
    ...design.tanks.flatMap((tank) => listTankCareWorkings(design, tank, fillShare)),
    ...listStayWorkings(evaluation),
    ...evaluation.trapAirs.flatMap((air) => listTrapAirWorkings(design, air)),
    ...evaluation.linePassages.map((passage) =>
      buildHole(design, passage, design.lines.find(({ id }) => id === passage.lineId)!.pipe.outerMm),
    ),
    ...evaluation.ramps.map((ramp) => buildRampAngle(design, ramp)),
    ...listRampWorkings(design, evaluation.attitude),
  ];
}

function listDrainWorkings(design: Design, drain: DrainResult, attitude: Attitude): Working[] {
  const at = { kind: "line", id: drain.lineId } as const;
  const line = design.lines.find((l) => l.id === drain.lineId)!;
  const { flow, arm } = drain;
  const trap = line.kind === "drain" ? findTrap(line) : null;
  const workings = [
    ...listFallWorkings(drain, { stand: "level", budget: drain.level, attitude: LEVEL, limit: drain.minFall }),
    ...listFallWorkings(drain, {
      stand: "here",
      budget: drain.here,
      attitude,
      limit: isLevel(attitude) ? drain.minFall : drain.parkedFall,
    }),
    ...listFallWorkings(drain, {
      stand: "worst",
      budget: drain.worst,
      attitude: drain.worst.attitude,
      limit: drain.parkedFall,
    }),
    ...drain.passages.map((passage) => buildHole(design, passage, drain.legs[passage.legIndex]!.pipe.outerMm)),
    ...(arm.slope === null || drain.armAllowedMm === null
      ? []
      : [
          buildWorking(
            "trapArm",
            { kind: "trap", lineId: drain.lineId },
            [
              term("D", line.pipe.innerMm, "length"),
              term("s", arm.slope * 1000, "slope"),
              term("La", arm.lengthMm, "length"),
            ],
            term("Lmax", drain.armAllowedMm, "length"),
            { attitude: arm.steepestAt, limit: drain.armLimit },
          ),
        ]),
    buildWorking("pondedWater", at, [term("D", line.pipe.innerMm, "length")], term("V", drain.pondedL, "volume"), {
      attitude,
    }),
  ];
  if (drain.trapWater && trap) {
    const sealLimit = lookUpLimit(design.rules, "sealLeast", { boreMm: toCodeBoreMm(line.pipe) });
    const terms = [term("H", trap.sealMm, "length"), term("b", trap.spanMm, "length")];
    const result = term("Ht", drain.trapWater.sealMm, "length");
    workings.push(
      buildWorking("trapSeal", { kind: "trap", lineId: drain.lineId }, terms, result, { attitude, limit: sealLimit }),
    );
  }
  if (drain.trapRisks && trap) {
    const trapAt = { kind: "trap", lineId: drain.lineId } as const;
    const seal = term("H", trap.sealMm, "length");
    const { trapRisks } = drain;
    const left = (mm: number) => term("H'", mm, "length");
    const inUse = lookUpLimit(design.rules, "sealInUse");
    const siphon = [seal, term("f", drain.armFallMm, "length"), term("D", line.pipe.innerMm, "length")];
    workings.push(
      buildWorking("sealSiphon", trapAt, siphon, left(trapRisks.afterSiphonMm), { attitude: LEVEL, limit: inUse }),
    );
    if (trapRisks.frostHours !== null) {
      const { outerFilm, foamK } = readNight(design.rules);
      const terms = [
        seal,
        term("s", trap.spanMm, "length"),
        term("D", line.pipe.innerMm, "length"),
        term("d", line.pipe.outerMm, "length"),
        term("i", findInsulationMm(line), "length"),
        term("k", foamK, "conductivity"),
        term("h", outerFilm, "film"),
        term("Ta", lookUpValue(design.rules, "nightAir"), "temperature"),
      ];
      const limit = lookUpLimit(design.rules, "nightAir");
      workings.push(buildWorking("sealFrost", trapAt, terms, term("t", trapRisks.frostHours, "hours"), { limit }));
    }
    workings.push(
      buildWorking(
        "sealDriving",
        trapAt,
        [seal, term("s", trap.spanMm, "length"), term("a", lookUpValue(design.rules, "drivingPush"), "ratio")],
        term("H'", drain.trapRisks.afterDrivingMm, "length"),
        { limit: lookUpLimit(design.rules, "sealInUse") },
      ),
      buildWorking(
        "sealDrying",
        trapAt,
        [seal, term("e", lookUpValue(design.rules, "evaporation"), "length")],
        term("T", drain.trapRisks.dryWeeks, "weeks"),
        { limit: lookUpLimit(design.rules, "evaporation") },
      ),
    );
  }
  if (flow.slope !== null) {
    // the run with the least to spare has the say, and may be in another pipe than the drain began in
    const { pipe } = drain.legs[flow.legIndex ?? 0]!;
    const common = [
      term("D", pipe.innerMm, "length"),
      term("S", flow.slope * 1000, "slope"),
      term("n", pipe.manningN, "roughness"),
    ];
    const fill = lookUpLimit(design.rules, "drainFill");
    const clean = lookUpLimit(design.rules, "cleanVelocity");
    workings.push(
      buildWorking(
        "drainCapacity",
        at,
        [...common, term("yD", fill.value ?? 0, "ratio"), term("Qin", flow.inflowLps, "flow")],
        term("Q", flow.capacityLps ?? 0, "flow"),
        { attitude: LEVEL, limit: fill },
      ),
      buildWorking(
        "drainVelocity",
        at,
        [...common, term("Qin", flow.inflowLps, "flow"), term("yD", flow.fillRatio ?? 1, "ratio")],
        term("v", flow.velocityMps, "velocity"),
        { attitude: LEVEL, limit: clean },
      ),
    );
  }
  return workings;
}

function buildHole(
  { rules }: Design,
  { lineId, legIndex, nth, through, thicknessMm, angleRad, hole }: Passage,
  outerMm: number,
): Working {
  return buildWorking(
    through === "floor" ? "floorHole" : "panelHole",
    through === "floor" ? { kind: "leg", lineId, index: legIndex } : { kind: "panel", lineId, index: legIndex, nth },
    [
      term("d", outerMm, "length"),
      term("c", Math.max(0, lookUpValue(rules, "holeClearance")), "length"),
      term("t", thicknessMm, "length"),
      term("θ", radToDeg(angleRad), "angle"),
      term("w", hole.widthMm, "length"),
    ],
    term("l", hole.lengthMm, "length"),
    { limit: lookUpLimit(rules, through === "floor" ? "holeSlant" : "holeClearance") },
  );
}

type Falls = {
  readonly stand: Stand;
  readonly budget: FallBudget;
  readonly attitude: Attitude;
  readonly limit: Limit;
};

/** The fall in hand and every height it is made of, at one way of standing. */
function listFallWorkings(drain: DrainResult, falls: Falls): Working[] {
  const { stand, budget, attitude, limit } = falls;
  const at = { kind: "line", id: drain.lineId } as const;
  const weakest = budget.legs[budget.weakestLeg];
  const drops = budget.legs.flatMap(({ fallMm }, index) =>
    drain.legs[index]!.kind === "drop" ? [term(`f${index + 1}`, fallMm, "length")] : [],
  );
  return [
    buildWorking(
      "fallInHand",
      at,
      [
        term("H", budget.availableMm, "length"),
        term("t", budget.trapMm, "length"),
        term("d", budget.dropsMm, "length"),
        term("N", budget.neededMm, "length"),
        term("R", budget.leftMm, "length"),
        ...(weakest ? [term("w", weakest.inHandMm, "length")] : []),
      ],
      term("F", budget.inHandMm, "length"),
      { attitude, limit, stand },
    ),
    buildWorking(
      "trapHeight",
      at,
      fallTerms(drain.outletMm, drain.nodesMm[0]!, attitude),
      term("t", budget.trapMm, "length"),
      { attitude, stand },
    ),
    buildWorking("dropsHeight", at, drops, term("d", budget.dropsMm, "length"), { attitude, stand }),
    ...drain.legs.map((leg, index) => {
      const { fallMm, neededMm, inHandMm } = budget.legs[index]!;
      const legAt = { kind: "leg", lineId: drain.lineId, index } as const;
      const ends = fallTerms(leg.from, leg.to, attitude);
      const fall = term("f", fallMm, "length");
      if (leg.kind === "drop") return buildWorking("dropFall", legAt, ends, fall, { attitude, stand });
      const terms = [...ends, fall, term("N", neededMm, "length")];
      return buildWorking("legFall", legAt, terms, term("F", inHandMm, "length"), { attitude, limit, stand });
    }),
  ];
}

// What the true fall between two points is worked out from: how far they lie apart along, across and up the rig.
const fallTerms = (from: Vec3, to: Vec3, attitude: Attitude): WorkingTerm[] => [
  term("dx", from.x - to.x, "length"),
  term("dy", from.y - to.y, "length"),
  term("dz", from.z - to.z, "length"),
  term("p", attitude.pitchDeg, "angle"),
  term("r", attitude.rollDeg, "angle"),
];

function listTankWorkings(design: Design, result: TankResult, attitude: Attitude): Working[] {
  const at = { kind: "tank", id: result.tankId } as const;
  const tank = design.tanks.find((t) => t.id === result.tankId)!;
  const use = lookUpLimit(design.rules, "tankUse");
  const { lengthMm, profileMm } = toPrism(tank.solid);
  const capacity = term("C", result.capacityL, "volume");
  const left = term("Vl", result.leftL ?? 0, "volume");
  const area = term("A", Math.abs(measureSignedArea(profileMm)), "area");
  const stands = [
    { stand: "level", attitude: LEVEL, full: result.level, usableL: result.usableLevelL },
    { stand: "here", attitude, full: result.here, usableL: result.usableHereL },
    { stand: "worst", attitude: result.worst.attitude, full: result.worst, usableL: result.usableWorstL },
  ] as const;
  return [
    buildWorking("tankCapacity", at, [area, term("L", lengthMm, "length")], capacity),
    buildWorking("tankLeft", at, [capacity], left, { attitude: design.rig.dumpAttitude }),
    ...stands.flatMap(({ stand, attitude: standing, full, usableL }) => {
      const stays = result.undrawnL ? term("Vl", result.undrawnL[stand], "volume") : left;
      const fullL = term("Vf", full.litres, "volume");
      const overBottom = full.surfaceMm - dot(computeUp(standing), tank.atMm);
      return [
        buildWorking("tankFull", at, [capacity, term("h", overBottom, "length")], fullL, {
          attitude: standing,
          limit: use,
          stand,
        }),
        buildWorking("tankUsable", at, [fullL, stays], term("V", usableL, "volume"), { attitude: standing, stand }),
      ];
    }),
    ...listAirWorkings(design, result),
  ];
}

function listAirWorkings(design: Design, { tankId, air }: TankResult): Working[] {
  const vent = design.lines.find((line) => line.id === air?.ventId);
  if (!air || !vent) return [];
  const at = { kind: "tank", id: tankId } as const;
  const attitude = design.rig.dumpAttitude;
  // one pipe after another, each with its own number where there are several
  const mark = (symbol: string, i: number) => (air.stretches.length > 1 ? `${symbol}${i + 1}` : symbol);
  const breather = air.stretches.flatMap(({ pipe }, i) => [
    term(mark("d", i), pipe.boreM * 1000, "length"),
    term(mark("L", i), pipe.lengthM * 1000, "length"),
    term(mark("K", i), pipe.lossK, "losses"),
  ]);
  const cd = term("Cd", lookUpValue(design.rules, "outletFast"), "losses");
  const outlet = [term("h", air.headMm, "length"), term("D", air.outletBoreMm, "length"), cd];
  const suction = term("p", air.suctionPa, "pressure");
  const inflow = sumFillLps(design, buildNetwork(design), tankId);
  const workings = [
    buildWorking("dumpSuction", at, [...outlet, ...breather, term("q", air.dumpFlowLps, "flow")], suction, {
      attitude,
      limit: lookUpLimit(design.rules, "ventSuction"),
    }),
    buildWorking("fillPressure", at, [term("Qin", inflow, "flow"), ...breather], term("p", air.fillPa, "pressure")),
  ];
  if (air.weakestSealMm !== null && air.sealAfterMm !== null) {
    const terms = [term("H", air.weakestSealMm, "length"), suction];
    workings.push(buildWorking("sealAfterDump", at, terms, term("H'", air.sealAfterMm, "length"), { attitude }));
  }
  return workings;
}

function listTrapAirWorkings(design: Design, air: TrapAir): Working[] {
  const line = design.lines.find(({ id }) => id === air.lineId);
  const trap = line?.kind === "drain" ? findTrap(line) : null;
  if (line?.kind !== "drain" || !trap || air.bend !== null) return [];
  const at = { kind: "trap", lineId: line.id } as const;
  const seal = term("H", trap.sealMm, "length");
  const limit = lookUpLimit(design.rules, "sealInUse");
  const toWorking = (formula: FormulaId, pascal: number, leftMm: number, attitude: Attitude | null) =>
    buildWorking(formula, at, [seal, term("p", pascal, "pressure")], term("H'", leftMm, "length"), {
      limit,
      ...(attitude ? { attitude } : {}),
    });
  return [
    toWorking("sealSuction", air.suctionPa, air.afterSuctionMm, design.rig.dumpAttitude),
    toWorking("sealPressure", air.pressurePa, air.afterPressureMm, null),
  ];
}

function buildRampAngle(design: Design, { where, angleDeg, xMm, overGroundMm }: RampAngle): Working {
  const xs = design.rig.axles.map((axle) => axle.xMm).sort((a, b) => a - b);
  const behind = xs.findLast((x) => x <= xMm);
  const before = xs.find((x) => x >= xMm);
  const reach = (x: number | undefined, symbol: string) =>
    x === undefined ? [] : [term(symbol, Math.abs(x - xMm), "length")];
  const height = term("h", Math.max(0, overGroundMm), "length");
  const [a, b] = where === "between" ? [reach(behind, "a"), reach(before, "b")] : [reach(behind ?? before, "a"), []];
  return buildWorking(
    where === "between" ? "breakover" : "rampEnd",
    { kind: "ramp", where },
    [height, ...a, ...b],
    term("α", angleDeg, "angle"),
    { limit: lookUpLimit(design.rules, where === "between" ? "breakover" : "rampEnd") },
  );
}

function listRampWorkings(design: Design, attitude: Attitude): Working[] {
  const { rig } = design;
  if (isLevel(attitude) || rig.axles.length === 0) return [];
  const running = findRunningAttitude(design, attitude);
  const toRamps = (formula: FormulaId, to: Attitude): Working => {
    const ramps = computeRamps(rig, attitude, to);
    const terms = [
      term("p", attitude.pitchDeg, "angle"),
      term("r", attitude.rollDeg, "angle"),
      // a rig on one axle keeps its pitch: the coupling sets it
      term("pw", rig.axles.length === 1 ? attitude.pitchDeg : to.pitchDeg, "angle"),
      term("rw", to.rollDeg, "angle"),
      ...ramps.flatMap(({ axle, side, heightMm }, i) => [
        term(`x${i + 1}`, rig.axles[axle]!.xMm, "length"),
        term(`y${i + 1}`, ((side === "left" ? 1 : -1) * rig.widthMm) / 2, "length"),
        term(`h${i + 1}`, heightMm, "length"),
      ]),
    ];
    const highest = Math.max(...ramps.map(({ heightMm }) => heightMm));
    return buildWorking(formula, { kind: "rig" }, terms, term("H", highest, "length"), { attitude });
  };
  return [...(running && running !== attitude ? [toRamps("rampsToRun", running)] : []), toRamps("rampsToLevel", LEVEL)];
}

// A plain quotient only while the first way of living lasts as long as the store does.
function listStayWorkings({ balance, attitude }: Evaluation): Working[] {
  const [first, ...more] = balance.stretches;
  return balance.stores.flatMap(({ store, meanLPerDay, roomL, days }) =>
    (["level", "here"] as const).flatMap((stand): Working[] => {
      const T = days[stand];
      if (T === null || !first || (more.length > 0 && T > first.days)) return [];
      const terms = [term("V", roomL[stand], "volume"), term("q", meanLPerDay, "volumePerDay")];
      const at = { kind: "store", id: store.id } as const;
      return [
        buildWorking("storeDays", at, terms, term("T", T, "days"), {
          attitude: stand === "level" ? LEVEL : attitude,
          stand,
        }),
      ];
    }),
  );
}
