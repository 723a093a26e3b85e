import type { Fill } from "../air/meetAir";
import type { PumpDraw } from "../air/pumpOut";
import type { SharedAir } from "../air/sharedAir";
import type { TankAir } from "../air/tankAir";
import type { Together } from "../air/together";
import type { Attitude } from "../attitude/attitude";
import type { Balance, BalanceStand } from "../days/balance";
import type { DrainFlow } from "../falls/drainFlow";
import type { Leg } from "../falls/drainPath";
import type { FallBudget } from "../falls/fallBudget";
import type { LegPond } from "../falls/ponding";
import type { Passage } from "../fit/passages";
import type { RampAngle } from "../fit/rampAngles";
import type { Vec3 } from "../geometry/vec";
import type { Limit } from "../rules/lookUpLimit";
import type { TankFull } from "../tanks/tankLevels";
import type { TrapArm } from "../traps/trapArm";
import type { TrapAir, TrapRisks } from "../traps/trapRisks";
import type { TrapWater } from "../traps/trapSeal";
import type { Finding } from "./findings";

/** A result with the attitude at which it is the worst of all the places the rig is parked at. */
export type AtWorst<T> = T & { readonly attitude: Attitude };

export type DrainResult = {
  readonly lineId: string;
  readonly fixtureId: string;
  /** Null where it ends in the open or in a vessel. */
  readonly tankId: string | null;
  readonly outletMm: Vec3;
  readonly nodesMm: readonly Vec3[];
  /** All the way to the tank; those after `ownLegs` belong to the drains it joins. */
  readonly legs: readonly Leg[];
  readonly ownLegs: number;
  /** Against the pack's least fall, standing level. */
  readonly level: FallBudget;
  /** At the attitude asked for: level against the least fall, tilted against running backwards. */
  readonly here: FallBudget;
  /** Against running backwards, where the rig is parked the worst for this drain. */
  readonly worst: AtWorst<FallBudget>;
  readonly minFall: Limit;
  /** Of each of its own legs: a wider pipe may be asked for less. */
  readonly minFalls: readonly Limit[];
  readonly parkedFall: Limit;
  readonly ponds: readonly LegPond[];
  /** Left standing in the drain's own legs, L. */
  readonly pondedL: number;
  readonly flow: DrainFlow;
  readonly trapWater: TrapWater | null;
  /** What every cause on its own side leaves of the seal; null where no water stands in the trap. */
  readonly trapRisks: TrapRisks | null;
  /** The same for a running trap in the line. */
  readonly lineTrapRisks: TrapRisks | null;
  readonly arm: TrapArm;
  /** Fall of the pipe from the weir to the next air, standing level, mm. */
  readonly armFallMm: number;
  readonly armLimit: Limit;
  /** The trap arm allowed, mm: the pack's figure, or the length over which the pipe falls by its bore; null for any length. */
  readonly armAllowedMm: number | null;
  readonly passages: readonly Passage[];
};

export type TankResult = {
  readonly tankId: string;
  readonly capacityL: number;
  readonly level: TankFull;
  readonly here: TankFull;
  readonly worst: AtWorst<TankFull>;
  /** Left behind at the dumping attitude; null without an outlet. */
  readonly leftL: number | null;
  /** Fresh tanks only: what no pump draws out of it, level, as the rig stands, and where it can give least. */
  readonly undrawnL: Readonly<Record<BalanceStand, number>> | null;
  /** Its breather while it is dumped and filled; null without a breather or an outlet. */
  readonly air: TankAir | null;
  /** What another tank's dumping does to it through a breather they share. */
  readonly sharedAir: SharedAir | null;
  /** What is done to its air by all that can be opened and run at once; null where only one thing draws on it. */
  readonly together: Together | null;
  /** Its air while it fills, and others with it; null without a breather. */
  readonly fill: Fill | null;
  /** What a pump-out station and its own pumps do to its air; none where no hose leads to a deck fitting or a pump. */
  readonly draws: readonly PumpDraw[];
  readonly usableLevelL: number;
  readonly usableHereL: number;
  readonly usableWorstL: number;
};

/** Everything the sums say about a design at one attitude. Same input, same bytes. */
export type Evaluation = {
  readonly attitude: Attitude;
  readonly drains: readonly DrainResult[];
  readonly tanks: readonly TankResult[];
  /** Holes of breathers and hoses; those of drains stand with their drains. */
  readonly linePassages: readonly Passage[];
  /** What the air of its tank does to each water trap; none where the tank has no breather or no outlet. */
  readonly trapAirs: readonly TrapAir[];
  /** The ridge and the ramps the rig still takes. */
  readonly ramps: readonly RampAngle[];
  /** What comes into each store of water and goes out of it, and which ends the stay. */
  readonly balance: Balance;
  readonly findings: readonly Finding[];
};
