import type { Design } from "../design/design";
import { buildNetwork } from "../falls/network";
import { type Balance, computeBalance, type TankRoom } from "./balance";

const WEEK_DAYS = 7;

/**
 * The balance as if everyone were aboard every day: how a stay goes that begins with all of them. Days otherwise go by the
 * mean of the week, which holds only over whole weeks. Null where nobody comes and goes [C].
 */
export function computeEveryoneAboard(design: Design, rooms: readonly TankRoom[]): Balance | null {
  const { people } = design.habits;
  if (people.every(({ daysPerWeek }) => daysPerWeek >= WEEK_DAYS)) return null;
  const full: Design = {
    ...design,
    habits: { ...design.habits, people: people.map((one) => ({ ...one, daysPerWeek: WEEK_DAYS })) },
  };
  return computeBalance(full, buildNetwork(full), rooms);
}
