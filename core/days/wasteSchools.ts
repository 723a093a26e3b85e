import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Drain } from "../design/plumbing";
import { buildRedirect, type Goal } from "../edits/drainEdits";
import { evaluate } from "../evaluate/evaluate";
import { measureExtent } from "../geometry/solid";
import { computeFullKg } from "../tanks/shell";

export const WASTE_SCHOOLS = ["tank", "canister", "ground"] as const;
export type WasteSchoolId = (typeof WASTE_SCHOOLS)[number];

/** One way of getting rid of the grey water, and what it means on this rig. */
export type WasteSchool = {
  readonly id: WasteSchoolId;
  /** Grey water a day, and how much of it lands on the ground, L. */
  readonly greyLPerDay: number;
  readonly groundLPerDay: number;
  /** Canisters carried away a day; 0 without one. */
  readonly changesPerDay: number;
  /** Days until something must be emptied or filled; null where nothing ever ends the stay. */
  readonly days: number | null;
  /** Weight of it full, kg, and how deep it hangs under the floor, mm. */
  readonly fullKg: number;
  readonly hangsMm: number;
};

/** A canister a hand can carry full, L [T]. */
export const CANISTER_L = 15;
const CANISTER_KG = 1;
const CANISTER = "school-canister";

/**
 * The grey water in the tanks as they are drawn, in a canister of 15 L under every drain, or on the ground, side by side on
 * the same uses [C]. Empty where no drain ends in a grey tank.
 */
export function compareWasteSchools(design: Design): WasteSchool[] {
  const greyIds = new Set(design.tanks.filter(({ holds }) => holds === "grey").map(({ id }) => id));
  const drains = design.lines.filter(
    (line): line is Drain => line.kind === "drain" && line.to.kind === "inlet" && greyIds.has(line.to.tankId),
  );
  if (drains.length === 0) return [];
  const now = evaluate(design).balance;
  const greyLPerDay = now.stores
    .filter(({ holds }) => holds === "grey")
    .reduce((sum, { meanLPerDay }) => sum + meanLPerDay, 0);
  const tanks = design.tanks.filter(({ id }) => greyIds.has(id));
  const hangsMm = Math.max(0, ...tanks.map(({ atMm, solid }) => -(atMm.z + measureExtent(solid).min.z)));
  const withTank: WasteSchool = {
    id: "tank",
    greyLPerDay,
    groundLPerDay: now.groundLPerDay,
    changesPerDay: 0,
    days: now.endsBy.here?.days ?? null,
    fullKg: tanks.reduce((sum, tank) => sum + computeFullKg(tank), 0),
    hangsMm,
  };
  return [withTank, ...(["canister", "ground"] as const).flatMap((id) => tryWithout(design, drains, id, greyLPerDay))];
}

function tryWithout(
  design: Design,
  drains: readonly Drain[],
  id: "canister" | "ground",
  greyLPerDay: number,
): WasteSchool[] {
  let changed = design;
  if (id === "canister") {
    const value = { id: CANISTER, name: "Canister", holds: "grey", litres: CANISTER_L, on: "rig" } as const;
    const index = design.habits.vessels.length;
    const outcome = applyEdit(design, {
      code: "change",
      at: { kind: "habits" },
      ops: [{ op: "insert", path: ["habits", "vessels"], index, value }],
    });
    if (!outcome.ok) return [];
    changed = outcome.design;
  }
  const goal: Goal = id === "ground" ? { kind: "ground" } : { kind: "vessel", vesselId: CANISTER };
  for (const drain of drains) {
    const edit = buildRedirect(changed, drain.id, goal);
    const outcome = edit && applyEdit(changed, edit);
    if (!outcome?.ok) return [];
    changed = outcome.design;
  }
  const { balance } = evaluate(changed);
  const isCanister = id === "canister";
  // a canister is changed when it is full, so what ends the stay is the rest
  const others = balance.stores.filter(({ store }) => !store.vesselIds.includes(CANISTER));
  const days = others.reduce<number | null>((least, store) => {
    const own = store.days.here;
    return own === null || (least !== null && least <= own) ? least : own;
  }, null);
  return [
    {
      id,
      greyLPerDay,
      groundLPerDay: balance.groundLPerDay,
      changesPerDay: isCanister ? greyLPerDay / CANISTER_L : 0,
      days,
      fullKg: isCanister ? CANISTER_L + CANISTER_KG : 0,
      hangsMm: 0,
    },
  ];
}
