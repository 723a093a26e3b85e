import { FRESH_ID } from "@/core/days/stores";
import type { Design } from "@/core/design/design";

/** A store of water as its builder calls it: its tank, its vessel, or the fresh water as a whole. */
export function describeStore(id: string, { tanks, habits }: Pick<Design, "tanks" | "habits">): string {
  if (id === FRESH_ID) return "Fresh water";
  return tanks.find((tank) => tank.id === id)?.name ?? habits.vessels.find((vessel) => vessel.id === id)?.name ?? id;
}
