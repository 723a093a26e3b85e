import { findSealMm } from "../design/lineItems";
import type { Network } from "../falls/network";

/** The shallowest water seal of what drains into a tank, mm; null where no trap holds water. */
export function findWeakestSealMm({ drainsByTank }: Pick<Network, "drainsByTank">, tankId: string): number | null {
  const seals = (drainsByTank.get(tankId) ?? []).flatMap((drain) => findSealMm(drain) ?? []);
  return seals.length > 0 ? Math.min(...seals) : null;
}
