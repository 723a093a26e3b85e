/** Every limit a rule pack may set and a builder may change, with the quantity it is in. */
export const LIMITS = {
  minFall: "slope",
  maxFall: "slope",
  parkedFall: "slope",
  layTolerance: "length",
  sealLeast: "length",
  sealMost: "length",
  trapArm: "length",
  branchBends: "count",
  branchDrop: "length",
  branchUnits: "count",
  ventBehindTrap: "count",
  drainFill: "ratio",
  cleanVelocity: "velocity",
  obstacleGap: "length",
  exhaustGap: "length",
  exhaustBareGap: "length",
  movingGap: "length",
  sillGap: "length",
  tankUse: "ratio",
  tankColumn: "waterPressure",
  backHead: "length",
  outletSlow: "losses",
  outletFast: "losses",
  ventSuction: "pressure",
  ventEndGap: "length",
  sealInUse: "length",
  drivingPush: "ratio",
  evaporation: "length",
  nightAir: "temperature",
  nightWind: "velocity",
  duskWater: "temperature",
  iceShare: "ratio",
  heldWater: "temperature",
  waterFilm: "film",
  foamConductivity: "conductivity",
  airTemperature: "temperature",
  altitude: "altitude",
  breakover: "angle",
  rampEnd: "angle",
  memberGap: "length",
  holeClearance: "length",
  holeSlant: "ratio",
  airGap: "length",
} as const;

export type LimitId = keyof typeof LIMITS;
export type LimitQuantity = (typeof LIMITS)[LimitId];
export const LIMIT_IDS = Object.keys(LIMITS) as LimitId[];
export const isLimitId = (id: string): id is LimitId => Object.hasOwn(LIMITS, id);

const ON_WHEELS: ReadonlySet<LimitId> = new Set<LimitId>(["breakover", "rampEnd", "sillGap"]);

/** The limits that mean something on a rig: a boat crosses no ridges and has no sills. */
export const listLimitIds = (isBoat: boolean): readonly LimitId[] =>
  isBoat ? LIMIT_IDS.filter((id) => !ON_WHEELS.has(id)) : LIMIT_IDS;
