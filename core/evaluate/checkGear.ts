import type { Design } from "../design/design";
import type { Gear, SpecOf } from "../design/gear";
import { findLastPipe } from "../design/lineItems";
import type { PartRef } from "../design/part";
import type { Hose } from "../design/plumbing";
import { buildGearGraph } from "../gear/gearGraph";
import { listGearPorts } from "../gear/gearPorts";
import type { Hazard } from "../gear/hazard";
import { groupHazards, isAttended, proveInterlock } from "../gear/interlock";
import { readPushKPa } from "../gear/pumpPush";
import { buildArcs, reaches } from "../gear/reach";
import { ALL_OPEN, type Failure } from "../gear/settings";
import { readSupplyKPa } from "../gear/supply";
import { createRecall } from "../quantity/recall";
import { measureAbovePortL } from "../tanks/abovePort";
import { checkCharge } from "./checkCharge";
import { checkEndBores } from "./checkEndBores";
import { checkHeaters } from "./checkHeaters";
import { checkLoopWater } from "./checkLoopWater";
import { checkOrder } from "./checkOrder";
import { checkReliefs } from "./checkReliefs";
import { checkStates } from "./checkStates";
import { checkStrained } from "./checkStrained";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

const recallGear = createRecall<Design["gear"], readonly Finding[]>();

/** What can be said against the pumped side: parts by themselves, in their order, and what all states let happen. */
export function checkGear(design: Design): readonly Finding[] {
  if (design.gear.length === 0) return [];
  const hoses = design.lines.filter((line): line is Hose => line.kind === "hose");
  // a drain that is pulled changes nothing here, one that ends elsewhere does
  const ends = design.lines.flatMap((line) =>
    "gearId" in line.to ? [line.to.gearId, findLastPipe(line).innerMm] : [],
  );
  return recallGear(design.gear, [design.states, design.tanks, design.rig, ...hoses, ...ends], () => [
    ...checkPorts(design, hoses),
    ...design.gear.flatMap(checkPiece),
    ...checkCharge(design),
    ...checkOrder(design),
    ...checkSense(design),
    ...checkStrained(design),
    ...checkStates(design),
    ...checkLoopWater(design),
    ...checkHeaters(design),
    ...checkReliefs(design),
    ...checkEndBores(design),
    ...groupHazards(design, proveInterlock(design)).map((hazards) => toFinding(design, hazards)),
  ]);
}

/** Ports that may stay shut. */
const OPTIONAL = new Set(["gauge", "coupling", "deckFitting"]);

function checkPorts({ gear, lines }: Design, hoses: readonly Hose[]): Finding[] {
  const taken = new Set(
    hoses.flatMap(({ from, to }) => [from, to].map((end) => (end.kind === "gear" ? `${end.gearId}:${end.port}` : ""))),
  );
  // a drain that ends there is joined to it as well
  for (const line of lines) {
    if (line.kind === "drain" && line.to.kind === "overboard") taken.add(`${line.to.gearId}:in`);
  }
  return gear.flatMap(({ id, spec }) => {
    if (OPTIONAL.has(spec.kind)) return [];
    const open = listGearPorts(spec.kind).filter((port) => !taken.has(`${id}:${port}`));
    return open.length === 0
      ? []
      : [createFinding({ kind: "gear", id }, { code: "gearPortOpen", ports: open.join(", ") })];
  });
}

/** What hoses, filters and fittings for campers are made for, and what taps on pitches may give, kPa. From memory, no source [T]. */
const MOST_SUPPLY_KPA = 400;
const HARD_CAMP_KPA = 1_000;

/** Pumps for campers stop at up to 60 psi; harder ones are for other things, kPa. From memory, no source [T]. */
const MOST_PUMP_KPA = 420;

// What is wrong with a piece whatever it is joined to.
function checkPiece({ id, spec }: Gear): Finding[] {
  const at = { kind: "gear", id } as const;
  if (spec.kind === "pump" && spec.midKPa >= spec.shutOffKPa) return [createFinding(at, { code: "pumpCurveRises" })];
  // an equal one is reached with every tap shut
  if (spec.kind === "pump" && spec.cutOutKPa !== null && spec.cutOutKPa > spec.shutOffKPa) {
    const { cutOutKPa, shutOffKPa } = spec;
    return [createFinding(at, { code: "pumpNeverStops", cutOutKPa, shutOffKPa })];
  }
  if (spec.kind === "pump") {
    const pushKPa = readPushKPa(spec);
    if (pushKPa > MOST_PUMP_KPA) return [createFinding(at, { code: "pumpHard", pushKPa, mostKPa: MOST_PUMP_KPA })];
  }
  if (spec.kind === "uvLamp" && spec.transmittance === 0) return [createFinding(at, { code: "uvBlind" })];
  if (spec.kind === "sump" && spec.offMm >= spec.onMm) return [createFinding(at, { code: "floatReversed" })];
  return spec.kind === "coupling" ? checkSupply(at, spec) : [];
}

// A tap outside that presses too hard, or does not here but may at the next place.
function checkSupply(at: PartRef, spec: SpecOf<"coupling">): Finding[] {
  const supplyKPa = readSupplyKPa(spec);
  if (supplyKPa === null) return [];
  if (supplyKPa > MOST_SUPPLY_KPA)
    return [createFinding(at, { code: "supplyHard", supplyKPa, mostKPa: MOST_SUPPLY_KPA })];
  if ((spec.reducedToKPa ?? null) !== null) return [];
  return [createFinding(at, { code: "supplyUnreduced", supplyKPa, mostKPa: MOST_SUPPLY_KPA, campKPa: HARD_CAMP_KPA })];
}

// A non-return to whose inlet no water comes, while some stands at its outlet, is the wrong way round.
function checkSense(design: Design): Finding[] {
  const graph = buildGearGraph(design);
  const wet = graph.ends.filter(({ kind, isDry }) => !isDry && kind !== "air");
  const open = buildArcs(graph, ALL_OPEN);
  const isFed = (node: string, pieceId: string) => wet.some((end) => reaches(open, end.node, node, pieceId));
  return design.gear.flatMap(({ id, spec }) =>
    spec.kind === "nonReturn" && !isFed(`${id}:in`, id) && isFed(`${id}:out`, id)
      ? [createFinding({ kind: "gear", id }, { code: "nonReturnAgainst" })]
      : [],
  );
}

function toFinding(design: Design, [hazard, ...more]: readonly [Hazard, ...Hazard[]]): Finding {
  const { states, tanks, gear, lines } = design;
  const at =
    hazard.tankId !== null
      ? ({ kind: "tank", id: hazard.tankId } as const)
      : ({ kind: "gear", id: hazard.gearId! } as const);
  const stateName = states.find(({ id }) => id === hazard.stateId)?.name ?? hazard.stateId;
  const { failure } = hazard;
  const failedName = failure && nameFailed(design, failure);
  const otherId = [hazard.from, hazard.stateId, failure ? Object.values(failure).join(":") : "none"].join("~");
  const common = { otherId, stateName, failure, failedName } as const;
  switch (hazard.kind) {
    case "fouls": {
      const tankId = hazard.from.startsWith("tank:") ? hazard.from.split(":")[1] : null;
      const fromName = tanks.find(({ id }) => id === tankId)?.name ?? null;
      const { stored } = hazard;
      const storedIn = stored ? (gear.find(({ id }) => id === stored.gearId)?.name ?? null) : null;
      const chargedIn = stored ? (states.find(({ id }) => id === stored.stateId)?.name ?? null) : null;
      // what can be drunk is a must with one failure as with none
      return createFinding(at, {
        code: "waterFouled",
        water: hazard.water!,
        fromName,
        storedIn,
        chargedIn,
        ...common,
      });
    }
    case "floods":
      // a loop is cared for every year, and a seacock shut behind it
      return createGraded(failure?.kind === "airShut" ? "note" : failure ? "should" : "must", at, {
        code: "seaComesIn",
        fromName: nameOwner(gear, hazard.from),
        ...common,
      });
    case "spills": {
      const tank = tanks.find(({ id }) => id === hazard.tankId);
      const spec = gear.find(({ id }) => id === hazard.gearId)?.spec;
      const isWatched = isAttended(design, hazard.stateId);
      // as bad as the one that speaks
      const alike = [hazard, ...more].filter(
        (one) =>
          one.isDriven === hazard.isDriven &&
          one.needsFull === hazard.needsFull &&
          isAttended(design, one.stateId) === isWatched,
      );
      const hoses = new Set(alike.map(({ failure: one }) => (one?.kind === "hoseOff" ? one.lineId : "")));
      // the one hose that sits on the tank itself can only be clamped well, and nothing may be shut between a sump and its float pump
      const isOnItself = spec?.kind === "sump" || [...hoses].every((id) => isOnSource(lines, id, hazard.from));
      return createGraded(isWatched || isOnItself || hazard.needsFull ? "note" : "should", at, {
        code: "hoseComesOff",
        ...common,
        // one for each tank, whichever hose speaks
        otherId: "spill",
        hoses: hoses.size,
        hoseName: failedName ?? "",
        isDriven: hazard.isDriven,
        isAttended: isWatched,
        isOnItself,
        litres: tank
          ? measureAbovePortL(design, tank, hazard.from.split(":")[2] ?? "")
          : spec?.kind === "sump"
            ? spec.litres
            : null,
      });
    }
    case "runsOut": {
      const out = gear.find(({ id }) => hazard.to === `${id}:in` || hazard.to === `${id}:out`);
      return createGraded(failure ? "should" : "must", at, {
        code: "tankRunsOut",
        ...common,
        otherId: failure ? "failure" : "none",
        outName: out?.name ?? "",
        isDriven: hazard.isDriven,
      });
    }
    case "discharges":
      return createGraded(failure ? "should" : "must", at, {
        code: "blackOverboard",
        ...common,
        // the valve that fails speaks for every way it opens
        otherId: [hazard.stateId, failure && "gearId" in failure ? failure.gearId : (failure?.kind ?? "none")].join(
          "~",
        ),
        place: states.find(({ id }) => id === hazard.stateId)?.place ?? null,
      });
    case "overfills":
      return createGraded(failure ? "note" : "should", at, {
        code: "tankOverfills",
        ...common,
        otherId: failure ? "failure" : "none",
        fromName: nameOwner(gear, hazard.from) || null,
      });
    case "runsDry":
      return createGraded(failure ? "note" : "should", at, { code: "pumpRunsDry", ...common });
    case "deadHead":
      return createGraded(failure ? "note" : "should", at, { code: "pumpDeadHead", ...common });
  }
}

// The name of the piece a node belongs to; empty for a tank's.
const nameOwner = (gear: Design["gear"], node: string): string =>
  gear.find(({ id }) => node.startsWith(`${id}:`))?.name ?? "";

function nameFailed({ gear, lines }: Design, failure: Failure): string | null {
  if (failure.kind === "hoseOff") return lines.find(({ id }) => id === failure.lineId)?.name ?? failure.lineId;
  return "gearId" in failure ? (gear.find(({ id }) => id === failure.gearId)?.name ?? failure.gearId) : null;
}

// Whether a hose begins or ends at the node the water comes from, so that no valve can stand between.
function isOnSource(lines: Design["lines"], hoseId: string, node: string): boolean {
  const hose = lines.find(({ id }) => id === hoseId);
  if (hose?.kind !== "hose") return false;
  return [hose.from, hose.to].some((end) =>
    end.kind === "tank" ? node.startsWith(`tank:${end.tankId}:`) : node.startsWith(`${end.gearId}:`),
  );
}
