import { type Attitude, isLevel, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { type PartRef, toPartKey } from "../design/part";
import type { DrainResult, Evaluation, TankResult } from "../evaluate/evaluation";
import type { FallBudget } from "../falls/fallBudget";
import { measureFloorMm } from "../fit/passages";
import { radToDeg } from "../quantity/convert";
import type { Limit } from "../rules/lookUpLimit";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import type { FormulaId, Quantity, Working, WorkingTerm } from "./working";

/** The name under which a figure's working is found. */
export const toWorkingId = (formula: FormulaId, at: PartRef): string => `${formula}@${toPartKey(at)}`;

/** The working of every figure of an evaluation. */
export function listWorkings(design: Design, evaluation: Evaluation): Working[] {
  return [
    ...evaluation.drains.flatMap((drain) => listDrainWorkings(design, drain, evaluation.attitude)),
    ...evaluation.tanks.flatMap((tank) => listTankWorkings(design, tank, evaluation.attitude)),
    ...listStayWorkings(design, evaluation),
  ];
}

const term = (symbol: string, value: number, quantity: Quantity): WorkingTerm => ({ symbol, value, quantity });

function build(
  formula: FormulaId,
  at: PartRef,
  terms: readonly WorkingTerm[],
  result: WorkingTerm,
  extra: { readonly attitude?: Attitude; readonly limit?: Limit | null } = {},
): Working {
  const { attitude = null, limit = null } = extra;
  return { id: toWorkingId(formula, at), formula, at, attitude, terms, result, limit };
}

function listDrainWorkings(design: Design, drain: DrainResult, attitude: Attitude): Working[] {
  const at = { kind: "line", id: drain.lineId } as const;
  const line = design.lines.find((l) => l.id === drain.lineId)!;
  const fixture = design.fixtures.find((f) => f.id === drain.fixtureId)!;
  const { flow, arm } = drain;
  const workings = [
    budgetWorking("fallInHandLevel", at, drain.level, LEVEL, drain.minFall),
    budgetWorking("fallInHandHere", at, drain.here, attitude, isLevel(attitude) ? drain.minFall : drain.parkedFall),
    budgetWorking("fallInHandWorst", at, drain.worst, drain.worst.attitude, drain.parkedFall),
    ...drain.legs.flatMap((leg, index) => (leg.kind === "drop" ? [] : [legWorking(drain, index, attitude)])),
    ...drain.passages.map(({ legIndex, angleRad, hole }) =>
      build(
        "floorHole",
        { kind: "leg", lineId: drain.lineId, index: legIndex },
        [
          term("d", line.pipe.outerMm, "length"),
          term("c", lookUpValue(design.rules, "holeClearance"), "length"),
          term("t", measureFloorMm(design), "length"),
          term("θ", radToDeg(angleRad), "angle"),
          term("w", hole.widthMm, "length"),
        ],
        term("l", hole.lengthMm, "length"),
        { limit: lookUpLimit(design.rules, "holeSlant") },
      ),
    ),
    build(
      "trapArm",
      { kind: "trap", lineId: drain.lineId },
      [
        term("D", line.pipe.innerMm, "length"),
        term("s", arm.slope * 1000, "slope"),
        term("La", arm.lengthMm, "length"),
      ],
      term("Lmax", Number.isFinite(drain.armAllowedMm) ? drain.armAllowedMm : 0, "length"),
      { attitude: arm.steepestAt, limit: drain.armLimit },
    ),
    build("pondedWater", at, [term("D", line.pipe.innerMm, "length")], term("V", drain.pondedL, "volume"), {
      attitude,
    }),
  ];
  if (drain.trapWater && line.kind === "drain" && line.trap) {
    const sealLimit = lookUpLimit(design.rules, "sealLeast", { boreMm: line.pipe.innerMm });
    const terms = [term("H", line.trap.sealMm, "length"), term("b", line.trap.spanMm, "length")];
    const result = term("Ht", drain.trapWater.sealMm, "length");
    workings.push(
      build("trapSeal", { kind: "trap", lineId: drain.lineId }, terms, result, { attitude, limit: sealLimit }),
    );
  }
  if (drain.sealRisks && line.kind === "drain" && line.trap) {
    const trapAt = { kind: "trap", lineId: drain.lineId } as const;
    const seal = term("H", line.trap.sealMm, "length");
    workings.push(
      build(
        "sealDriving",
        trapAt,
        [seal, term("s", line.trap.spanMm, "length"), term("a", lookUpValue(design.rules, "drivingPush"), "ratio")],
        term("H'", drain.sealRisks.afterDrivingMm, "length"),
        { limit: lookUpLimit(design.rules, "sealInUse") },
      ),
      build(
        "sealDrying",
        trapAt,
        [seal, term("e", lookUpValue(design.rules, "evaporation"), "length")],
        term("T", drain.sealRisks.dryWeeks, "weeks"),
        { limit: lookUpLimit(design.rules, "evaporation") },
      ),
    );
  }
  if (flow.slope !== null) {
    const common = [
      term("D", line.pipe.innerMm, "length"),
      term("S", flow.slope * 1000, "slope"),
      term("n", line.pipe.manningN, "roughness"),
    ];
    const fill = lookUpLimit(design.rules, "drainFill");
    const clean = lookUpLimit(design.rules, "cleanVelocity");
    workings.push(
      build(
        "drainCapacity",
        at,
        [...common, term("yD", fill.value ?? 0, "ratio"), term("Qin", fixture.inflowLps, "flow")],
        term("Q", flow.capacityLps ?? 0, "flow"),
        { attitude: LEVEL, limit: fill },
      ),
      build(
        "drainVelocity",
        at,
        [...common, term("Qin", fixture.inflowLps, "flow"), term("yD", flow.fillRatio ?? 1, "ratio")],
        term("v", flow.velocityMps, "velocity"),
        { attitude: LEVEL, limit: clean },
      ),
    );
  }
  return workings;
}

function budgetWorking(formula: FormulaId, at: PartRef, budget: FallBudget, attitude: Attitude, limit: Limit): Working {
  const weakest = budget.legs[budget.weakestLeg];
  return build(
    formula,
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
    { attitude, limit },
  );
}

function legWorking(drain: DrainResult, index: number, attitude: Attitude): Working {
  const leg = drain.legs[index]!;
  const fall = drain.here.legs[index]!;
  return build(
    "legFall",
    { kind: "leg", lineId: drain.lineId, index },
    [
      term("z1", leg.from.z, "length"),
      term("z2", leg.to.z, "length"),
      term("L", leg.planLengthMm, "length"),
      term("p", attitude.pitchDeg, "angle"),
      term("r", attitude.rollDeg, "angle"),
      term("f", fall.fallMm, "length"),
      term("N", fall.neededMm, "length"),
    ],
    term("F", fall.inHandMm, "length"),
    { attitude, limit: isLevel(attitude) ? drain.minFall : drain.parkedFall },
  );
}

function listTankWorkings(design: Design, tank: TankResult, attitude: Attitude): Working[] {
  const at = { kind: "tank", id: tank.tankId } as const;
  const use = lookUpLimit(design.rules, "tankUse");
  return [
    build("tankFull", at, [term("C", tank.capacityL, "volume")], term("Vf", tank.here.litres, "volume"), {
      attitude,
      limit: use,
    }),
    build(
      "tankUsable",
      at,
      [term("Vf", tank.here.litres, "volume"), term("Vl", tank.leftL ?? 0, "volume")],
      term("V", tank.usableHereL, "volume"),
      { attitude },
    ),
    ...listAirWorkings(design, tank),
  ];
}

function listAirWorkings(design: Design, { tankId, air }: TankResult): Working[] {
  const vent = design.lines.find((line) => line.id === air?.ventId);
  if (!air || !vent) return [];
  const at = { kind: "tank", id: tankId } as const;
  const attitude = design.rig.dumpAttitude;
  const breather = [term("d", vent.pipe.innerMm, "length"), term("L", air.ventLengthM * 1000, "length")];
  const outlet = [term("h", air.headMm, "length"), term("D", air.outletBoreMm, "length")];
  const suction = term("p", air.suctionPa, "pressure");
  const drains = design.lines.filter((line) => line.kind === "drain" && line.toTank === tankId);
  const inflow = drains.reduce((sum, line) => {
    const fixture = design.fixtures.find((f) => line.kind === "drain" && f.id === line.fromFixture);
    return sum + (fixture?.inflowLps ?? 0);
  }, 0);
  const workings = [
    build(
      "dumpSuction",
      at,
      [...outlet, ...breather, term("K", air.lossK, "count"), term("q", air.dumpFlowLps, "flow")],
      suction,
      { attitude, limit: lookUpLimit(design.rules, "ventSuction") },
    ),
    build("fillPressure", at, [term("Qin", inflow, "flow"), ...breather], term("p", air.fillPa, "pressure")),
  ];
  if (air.weakestSealMm !== null && air.sealAfterMm !== null) {
    const terms = [term("H", air.weakestSealMm, "length"), suction];
    workings.push(build("sealAfterDump", at, terms, term("H'", air.sealAfterMm, "length"), { attitude }));
  }
  return workings;
}

function listStayWorkings(design: Design, evaluation: Evaluation): Working[] {
  if (!evaluation.stay) return [];
  const at = { kind: "habits" } as const;
  const { people, sinkLPerPersonDay, drunkLPerPersonDay, freshL } = design.habits;
  const { here } = evaluation.stay;
  const usable = here.daysToGreyFull * here.greyLPerDay;
  const daily = [term("P", people, "count"), term("q", sinkLPerPersonDay, "volumePerDay")];
  const { attitude } = evaluation;
  return [
    build("daysToGreyFull", at, [term("V", usable, "volume"), ...daily], term("T", here.daysToGreyFull, "days"), {
      attitude,
    }),
    build(
      "daysToFreshEmpty",
      at,
      [term("Vw", freshL, "volume"), ...daily, term("qd", drunkLPerPersonDay, "volumePerDay")],
      term("T", here.daysToFreshEmpty, "days"),
    ),
  ];
}
