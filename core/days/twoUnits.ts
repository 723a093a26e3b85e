import type { Design } from "../design/design";
import { buildNetwork } from "../falls/network";
import { type Balance, computeBalance, type TankRoom } from "./balance";

/** Whether anything is carried on the vehicle this rig is hitched to. */
export const hasSecondUnit = ({ habits }: Pick<Design, "habits">): boolean =>
  habits.vessels.some(({ on }) => on === "tow");

/** The rig by itself: what is carried on the other vehicle is away. */
export const withoutSecondUnit = (design: Design): Design => ({
  ...design,
  habits: { ...design.habits, vessels: design.habits.vessels.filter(({ on }) => on === "rig") },
});

/** The balance of the rig by itself, unhitched; null where nothing is carried elsewhere [C]. */
export const computeBalanceApart = (design: Design, rooms: readonly TankRoom[]): Balance | null => {
  if (!hasSecondUnit(design)) return null;
  const apart = withoutSecondUnit(design);
  return computeBalance(apart, buildNetwork(apart), rooms);
};

/** What the other vehicle carries when all of it is full, kg: water at 1 kg a litre, without cans and rack [C]. */
export const sumSecondUnitKg = ({ habits }: Pick<Design, "habits">): number =>
  habits.vessels.reduce((sum, { on, litres }) => (on === "tow" ? sum + litres : sum), 0);
