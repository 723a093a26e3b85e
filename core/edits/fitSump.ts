import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { measureFloorMm } from "../design/floor";
import { freeId } from "../design/freeId";
import type { GearSpec } from "../design/gear";
import { buildPutItems, findTrap, listAtBeginning } from "../design/lineItems";
import { roundTenth } from "../design/moves";
import { toNodes } from "../design/nodes";
import type { Drain, Fixture } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { placeDrainEnd, placeGearPort } from "../gear/gearPorts";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { add, type Vec3, vec } from "../geometry/vec";
import { findSide, setInSide, setLoop } from "./boatGear";
import { createDrain } from "./createDrain";
import { relay } from "./drawnDrain";
import { type EditChain, startChain } from "./editChain";
import { listLeftBehind } from "./leftBehind";
import { addOnTop } from "./portOnTop";
import { toGear } from "./putPiece";
import { placeClear, toUsual } from "./setDown";

/** Where a sump's pump sends what it gathers: up into the waste tank, or afloat over a loop overboard. */
export const SUMP_GOALS = ["tank", "overboard"] as const;
export type SumpGoal = (typeof SUMP_GOALS)[number];

const HOSE_MM = 25;
/** A hose to a tank rises so far over its top, turns so far past the pump, and lies so high on the floor, mm [T]. */
const RISE_MM = 50;
const TURN_MM = 60;
const ON_FLOOR_MM = 60;
/** Fall of the drain to its sump, m/m, and between the weir and the lid at least, mm [T]. */
const FALL = 0.03;
const LEAST_DROP_MM = 30;
/** A sump so far under the floor or over the sole, mm [T]. */
const APART_MM = 20;
/** Over the water she floats in: the skin fitting, and the loop's top, mm [T]. */
const OUT_OVER_WATER_MM = 260;
const LOOP_OVER_WATER_MM = 440;
/** A skin fitting so far from her bow, mm [T]. */
const FROM_END_MM = 120;

/** A box as large as the usual one, its float set wide apart, so that what runs back out of the hose does not start it again [T]. */
const SUMP: GearSpec = usualSpec("sump", { litres: 9, onMm: 130, offMm: 20, areaCm2: 550 });

/** A bilge pump as sumps have: much water, little lift [T]. */
const SUMP_PUMP: GearSpec = usualSpec("pump", {
  pump: "centrifugal",
  shutOffKPa: 35,
  midLpm: 25,
  midKPa: 22,
  freeLpm: 47,
  cutInKPa: null,
  cutOutKPa: null,
  watts: 40,
  mayRunDry: false,
});

/** What is wanted, where the sump is to stand from the fixture's outlet, and whether its hose goes up through the floor to the tank. */
type Plan = {
  readonly fixtureId: string;
  readonly goal: SumpGoal;
  readonly asideMm?: Vec3;
  readonly isOverFloor?: boolean;
};

const BESIDE: Vec3 = vec(260, 0, 0);

/**
 * Edit that leads a fixture's drain into a sump box beside it, from which a float pump sends the water up into the waste tank
 * or overboard: where it lies too low to drain. Null where the
 * fixture is not there, is a toilet, is joined by other drains or runs into a sump already, or there is no tank to pump to. Common practice, no source [T].
 */
export function buildFitSump(
  design: Design,
  { fixtureId, goal, asideMm = BESIDE, isOverFloor = false }: Plan,
): Edit | null {
  const fixture = design.fixtures.find(({ id }) => id === fixtureId);
  const hasTank = design.tanks.some(({ holds }) => holds === "grey" || holds === "black");
  const canGo = goal === "tank" ? hasTank : design.rig.waterlineZMm !== null;
  if (!fixture || !canGo || !mayHaveSump(design, fixture)) return null;
  const chain = startChain(design);
  const sumpId = setSump(chain, fixture, asideMm);
  leadInto(chain, fixture, sumpId);
  const sump = chain.now().gear.find(({ id }) => id === sumpId)!;
  const pumpId = chain.addGear(
    { key: "sump-pump", name: "Sump pump", spec: SUMP_PUMP },
    placeClear(chain.now(), toUsual(SUMP_PUMP), vec(sump.atMm.x + sump.sizeMm.x + 60, sump.atMm.y, sump.atMm.z)),
  );
  chain.addHose(toGear(sumpId, "out"), toGear(pumpId, "in"));
  if (chain.now().states.length === 0) chain.addState({ name: "Standby", on: [], positions: [], openTaps: [] });
  if (goal === "tank") {
    pumpIntoTank(chain, pumpId, { nearMm: fixture.outletMm, isOverFloor });
    // its hose comes into the tank now: what only its drain came in by goes
    const known = design.lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === fixtureId);
    if (known) chain.push(listLeftBehind(chain.now(), known, { kind: "sump", gearId: sumpId }));
  } else pumpOverboard(chain, pumpId);
  return { code: "fitSump", at: { kind: "gear", id: sumpId }, ops: chain.ops() };
}

/** Whether a fixture may be led into a sump: sewage needs a pump of its own kind, who joins its drain would be led along, and one sump is enough. */
export const mayHaveSump = (design: Pick<Design, "lines">, { id, kind }: Pick<Fixture, "id" | "kind">): boolean =>
  kind !== "gravityToilet" &&
  kind !== "urineDiverter" &&
  !isJoinedByOthers(design, id) &&
  !design.lines.some((line) => line.kind === "drain" && line.fromFixture === id && line.to.kind === "sump");

// It cannot be led elsewhere without those that join it.
const isJoinedByOthers = ({ lines }: Pick<Design, "lines">, fixtureId: string): boolean =>
  lines.some(
    (line) =>
      line.kind === "drain" &&
      line.fromFixture === fixtureId &&
      lines.some((other) => other.kind === "drain" && other.to.kind === "junction" && other.to.lineId === line.id),
  );

// On the floor where the trap's weir is high enough over it, else right under the floor, in the bilge afloat.
function setSump(chain: EditChain, { outletMm, name }: Fixture, aside: Vec3): string {
  const spec = SUMP;
  const { sizeMm } = USUAL_GEAR.sump;
  const weirZ = outletMm.z - USUAL_TRAPS.running.dropMm - LEAST_DROP_MM;
  const floorMm = measureFloorMm(chain.now());
  const z = weirZ - sizeMm.z >= APART_MM ? APART_MM : Math.min(-floorMm - APART_MM, weirZ) - sizeMm.z;
  const wanted = vec(outletMm.x + aside.x - sizeMm.x / 2, outletMm.y + aside.y - sizeMm.y / 2, z);
  return chain.addGear(
    { key: "sump", name: `${name} sump`.slice(0, 60), spec },
    placeClear(chain.now(), toUsual(spec), wanted),
  );
}

// Over its lid with some fall, then straight down into it.
function leadInto(chain: EditChain, fixture: Fixture, sumpId: string): void {
  const design = chain.now();
  const known = design.lines.find((line): line is Drain => line.kind === "drain" && line.fromFixture === fixture.id);
  const lid = placeDrainEnd(design.gear.find(({ id }) => id === sumpId)!);
  const { outletMm } = fixture;
  // one that hangs under the floor would hang under the sump
  const isHung = known && outletMm.z - (findTrap(known)?.dropMm ?? 0) < lid.z;
  const trap = known && !isHung ? findTrap(known) : USUAL_TRAPS.running;
  const reach = Math.hypot(lid.x - outletMm.x, lid.y - outletMm.y);
  const over = vec(lid.x, lid.y, Math.max(lid.z, outletMm.z - (trap?.dropMm ?? 0) - FALL * reach - 5));
  const bendsMm = over.z - lid.z > 2 * LEAST_DROP_MM ? [roundTenth(over)] : [];
  const to = { kind: "sump", gearId: sumpId } as const;
  if (known) {
    chain.push([...relay(known, to, bendsMm), ...listLeftBehind(design, known, to)]);
    if (isHung) chain.push([buildPutItems({ ...known, items: listAtBeginning(known) }, { trap })]);
    return;
  }
  const drain = createDrain(fixture, { id: freeId("drain", design.lines), trap: USUAL_TRAPS.running, to, bendsMm });
  chain.push([{ op: "insert", path: ["lines"], index: design.lines.length, value: drain }]);
}

type Into = { readonly nearMm: Vec3; readonly isOverFloor: boolean };

// Up beside the pump, over to the tank, and down into its top, under the floor or over it.
function pumpIntoTank(chain: EditChain, pumpId: string, { nearMm, isOverFloor }: Into): void {
  const { tanks } = chain.now();
  const tank = tanks.find(({ holds }) => holds === "grey") ?? tanks.find(({ holds }) => holds === "black")!;
  const fill = addOnTop(chain, tank, "fill", { nearMm, boreMm: HOSE_MM });
  const { gear } = chain.now();
  const from = placeGearPort(gear.find(({ id }) => id === pumpId)!, "out");
  const to = add(tank.atMm, fill.atMm);
  const overZ = Math.max(to.z, from.z) + RISE_MM;
  const isBelow = from.z < 0 && to.z < 0;
  const z =
    isBelow && isOverFloor ? ON_FLOOR_MM : isBelow ? Math.min(overZ, -measureFloorMm(chain.now()) - HOSE_MM) : overZ;
  const points = [vec(from.x + TURN_MM, from.y, z), vec(to.x, to.y, z)].map(roundTenth);
  chain.addHose(
    toGear(pumpId, "out"),
    { kind: "tank", tankId: tank.id, portId: fill.id },
    { name: "Sump hose", ...(isBelow ? { pointsMm: toNodes(points) } : {}) },
  );
}

function pumpOverboard(chain: EditChain, pumpId: string): void {
  const { rig, gear } = chain.now();
  const pump = gear.find(({ id }) => id === pumpId)!;
  const side = findSide(pump);
  const water = rig.waterlineZMm ?? 0;
  const loopId = setLoop(chain, {
    key: "sump-loop",
    name: "Sump vented loop",
    side,
    xMm: pump.atMm.x + 160,
    zMm: water + LOOP_OVER_WATER_MM,
  });
  const outId = setInSide(chain, {
    key: "sump-out",
    name: "Sump overboard",
    serves: "discharge",
    boreMm: HOSE_MM,
    side,
    xMm: Math.min(rig.lengthMm - FROM_END_MM, pump.atMm.x + 420),
    zMm: water + OUT_OVER_WATER_MM,
  });
  chain.addHose(toGear(pumpId, "out"), toGear(loopId, "in"));
  chain.addHose(toGear(loopId, "out"), toGear(outId, "in"));
}
