import type { Design } from "../design/design";
import type { GearKind } from "../design/gear";
import { findBranchVent, findTrap } from "../design/lineItems";
import type { PartRef } from "../design/part";
import type { DumpLine, Hose, Line } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork, type Network } from "../falls/network";
import { listCourse, listLineLegs } from "../fit/lineLegs";
import { listDumpWays } from "../tanks/dumpWays";
import { placeWayOut } from "../through/exits";
import { standsUnderPressure } from "./pressed";

export const SYMPTOMS = [
  "wetFloor",
  "pumpRuns",
  "smell",
  "gurgles",
  "slowDrain",
  "comesUp",
  "gaugeStuck",
  "spits",
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

export type SuspectKind =
  | "trapJoint"
  | "bendJoint"
  | "inletJoint"
  | "tankPort"
  | "drySeal"
  | "breather"
  | "hoseEnd"
  | "gearBody"
  | "trapClog"
  | "legClog"
  | "tankFull"
  | "senderFoul"
  | "senderWire"
  /** The seal of a fixture's waste, under its bowl. */
  | "wasteSeal"
  /** The sealant round a line where it goes through the floor: the road's spray comes in there. */
  | "holeSeal"
  /** The sealant where a line goes out through a side, the roof or the deck: rain comes in there. */
  | "outSeal"
  | "tankWall"
  | "skinSeal"
  | "deckSeal"
  | "membrane"
  | "admittance"
  /** A hose that lets the smell of what stands in it through its wall. */
  | "hoseWall"
  /** A pump whose own valves let the pressure back. */
  | "pumpBack"
  /** Whatever no drawing shows: no trial covers it, so it is what is left when all of them show nothing. */
  | "notDrawn";

/** Something that may be the cause, with how likely it is before anything was tried. */
export type Suspect = {
  readonly id: string;
  readonly kind: SuspectKind;
  readonly at: PartRef;
  readonly weight: number;
};

/** A trial that tells one half from the other: it shows the fault when the cause is among what it covers. */
export type Trial = {
  readonly id: string;
  readonly kind:
    | "fillDrainTo"
    | "fillTank"
    | "fillTrap"
    | "primeTrap"
    | "blowBreather"
    | "capDumpLine"
    | "pressHoses"
    | "pourPast"
    | "dipTank"
    | "cleanSender"
    | "bridgeSender"
    | "fillFixture"
    | "feelWall"
    | "lookInto"
    | "sprayHole"
    | "sprayOut"
    | "watchSkin"
    | "wetDeck"
    | "washMembrane"
    | "bagAdmittance"
    | "liftAdmittance"
    | "ragHose"
    | "shutAfterPump"
    | "runHoses";
  readonly at: PartRef;
  readonly covers: ReadonlySet<string>;
};

/** How often each is the cause, against the others [T: what builders find; no source]. */
const WEIGHTS: Readonly<Record<Symptom, Readonly<Partial<Record<SuspectKind, number>>>>> = {
  wetFloor: {
    trapJoint: 4,
    bendJoint: 2,
    inletJoint: 3,
    tankPort: 3,
    hoseEnd: 3,
    gearBody: 1,
    wasteSeal: 3,
    holeSeal: 1,
    outSeal: 2,
    tankWall: 1,
    skinSeal: 4,
    deckSeal: 2,
    notDrawn: 1,
  },
  pumpRuns: { hoseEnd: 4, gearBody: 2, pumpBack: 3, notDrawn: 1 },
  smell: {
    drySeal: 6,
    breather: 2,
    inletJoint: 1,
    tankPort: 1,
    membrane: 4,
    admittance: 2,
    hoseWall: 3,
    notDrawn: 1,
  },
  gurgles: { breather: 5, drySeal: 2, admittance: 3, notDrawn: 1 },
  slowDrain: { trapClog: 4, legClog: 2, breather: 3, admittance: 1, notDrawn: 1 },
  comesUp: { tankFull: 5, legClog: 2, breather: 1, notDrawn: 1 },
  gaugeStuck: { senderFoul: 4, senderWire: 3, notDrawn: 1 },
  spits: { tankFull: 4, breather: 3, notDrawn: 1 },
};

/** The causes of a symptom that this rig has, and the trials that part them. */
export function listSuspects(
  design: Design,
  symptom: Symptom,
): { readonly suspects: Suspect[]; readonly trials: Trial[] } {
  const weights = WEIGHTS[symptom];
  const suspects: Suspect[] = [];
  const trials: Trial[] = [];
  const add = (kind: SuspectKind, key: string, at: PartRef): string[] => {
    const weight = weights[kind];
    if (weight === undefined) return [];
    const id = `${kind}:${key}`;
    suspects.push({ id, kind, at, weight });
    return [id];
  };
  const propose = (kind: Trial["kind"], key: string, at: PartRef, covers: readonly string[]) => {
    if (covers.length > 0) trials.push({ id: `${kind}:${key}`, kind, at, covers: new Set(covers) });
  };
  const network = buildNetwork(design);
  for (const drain of network.drains.values()) {
    const path = buildDrainPath(design, drain, network);
    // filled up to a bend, every joint before it is under water
    const along: string[] = [];
    const clogs = [...(findTrap(drain) ? add("trapClog", drain.id, { kind: "trap", lineId: drain.id }) : [])];
    const fixtureAt = { kind: "fixture", id: drain.fromFixture } as const;
    propose("fillFixture", drain.id, fixtureAt, add("wasteSeal", drain.id, fixtureAt));
    const lineAt = { kind: "line", id: drain.id } as const;
    if (findTrap(drain)?.kind === "membrane")
      propose("washMembrane", drain.id, { kind: "trap", lineId: drain.id }, [
        ...add("membrane", drain.id, { kind: "trap", lineId: drain.id }),
      ]);
    if (findBranchVent(drain)?.kind === "admittanceValve")
      // shut it lets no smell out, open it lets the air in that a gurgle asks for
      propose(
        symptom === "smell" ? "bagAdmittance" : "liftAdmittance",
        drain.id,
        lineAt,
        add("admittance", drain.id, lineAt),
      );
    if (findTrap(drain)) {
      const trapAt = { kind: "trap", lineId: drain.id } as const;
      along.push(...add("trapJoint", drain.id, trapAt));
      propose("fillTrap", drain.id, trapAt, along);
      propose("primeTrap", drain.id, trapAt, add("drySeal", drain.id, trapAt));
    }
    path.ownLegs.forEach((_, index) => {
      const isLast = index === path.ownLegs.length - 1;
      const at: PartRef = isLast ? { kind: "line", id: drain.id } : { kind: "bend", lineId: drain.id, index };
      along.push(...add(isLast ? "inletJoint" : "bendJoint", `${drain.id}-${index}`, at));
      propose("fillDrainTo", `${drain.id}-${index}`, at, along);
    });
    // poured in further down, it still runs slowly when what stops it lies beyond
    path.ownLegs.forEach((_, index) => {
      clogs.push(...add("legClog", `${drain.id}-${index}`, { kind: "leg", lineId: drain.id, index }));
    });
    // the first of them is seen by opening it; every one after it shows when poured in past what lies before
    const first = clogs[0];
    if (first) {
      const at = suspects.find(({ id }) => id === first)!.at;
      propose("lookInto", drain.id, at, [first]);
    }
    clogs.slice(1).forEach((id, i) => {
      const index = Number(id.slice(id.lastIndexOf("-") + 1));
      propose("pourPast", `${drain.id}-${index}`, { kind: "leg", lineId: drain.id, index }, clogs.slice(i + 1));
    });
  }
  for (const tank of design.tanks) {
    const whole = { kind: "tank", id: tank.id } as const;
    if (tank.holds !== "fresh") propose("dipTank", tank.id, whole, add("tankFull", tank.id, whole));
    if (tank.sender) {
      propose("cleanSender", tank.id, whole, add("senderFoul", tank.id, whole));
      propose("bridgeSender", tank.id, whole, add("senderWire", tank.id, whole));
    }
    const ports = [...tank.ports].sort((a, b) => a.atMm.z - b.atMm.z);
    propose("feelWall", tank.id, whole, add("tankWall", tank.id, whole));
    const wet: string[] = [];
    for (const port of ports) {
      const at = { kind: "port", tankId: tank.id, id: port.id } as const;
      wet.push(...add("tankPort", `${tank.id}-${port.id}`, at));
      propose("fillTank", `${tank.id}-${port.id}`, at, wet);
    }
  }
  for (const line of design.lines) {
    if (line.kind !== "vent") continue;
    const at = { kind: "line", id: line.id } as const;
    propose("blowBreather", line.id, at, add("breather", line.id, at));
  }
  const dumpJoints = new Map<string, string[]>();
  for (const line of design.lines) {
    if (line.kind !== "dumpLine") continue;
    const joints = line.pointsMm.flatMap((_, index) =>
      add("bendJoint", `${line.id}-${index}`, { kind: "bend", lineId: line.id, index }),
    );
    if (line.to.kind === "wye") joints.push(...add("inletJoint", line.id, { kind: "line", id: line.id }));
    dumpJoints.set(line.id, joints);
  }
  // its cap on and the valve open, all of it stands under the tank's water, and so does what it joins
  for (const { line, way } of listDumpWays(design)) {
    const joints = way.flatMap((one) => dumpJoints.get(one.line.id)!);
    propose("capDumpLine", line.id, { kind: "line", id: line.id }, joints);
  }
  for (const line of design.lines) {
    if (design.rig.kind === "boat" || line.kind === "dumpLine" || !goesThroughFloor(design, line, network)) continue;
    const at = { kind: "line", id: line.id } as const;
    propose("sprayHole", line.id, at, add("holeSeal", line.id, at));
  }
  for (const line of design.lines) {
    const legs = line.kind === "drain" ? buildDrainPath(design, line, network).ownLegs : listLineLegs(design, line);
    if (!placeWayOut(design, line, legs)) continue;
    const at = { kind: "line", id: line.id } as const;
    propose("sprayOut", line.id, at, add("outSeal", line.id, at));
  }
  addPumped(design, symptom, add, propose);
  // what shows nothing in any trial is not on the drawing; where nothing drawn can be the cause, that is said instead
  if (suspects.length > 0) add("notDrawn", "rig", { kind: "rig" });
  return { suspects, trials };
}

type Add = (kind: SuspectKind, key: string, at: PartRef) => string[];
type Propose = (kind: Trial["kind"], key: string, at: PartRef, covers: readonly string[]) => void;

// Hoses and gear: under a pump's pressure they are pressed and soaped; what only runs now and then is run and felt; what
// sits in the skin or the deck is looked at by itself.
function addPumped(design: Design, symptom: Symptom, add: Add, propose: Propose): void {
  const pressed: string[] = [];
  const run: string[] = [];
  const foul = listFoulHoses(design);
  const isPressed = standsUnderPressure(design);
  for (const line of design.lines) {
    if (line.kind !== "hose") continue;
    const at = { kind: "line", id: line.id } as const;
    const isRun = !isPressed || isRunOnly(design, line);
    // where no pressure stands, none is lost
    if (isRun && symptom === "pumpRuns") continue;
    const along = isRun ? run : pressed;
    along.push(...add("hoseEnd", line.id, at));
    propose(isRun ? "runHoses" : "pressHoses", line.id, at, along);
    if (foul.has(line.id)) propose("ragHose", line.id, at, add("hoseWall", line.id, at));
  }
  for (const { id, spec } of design.gear) {
    const at = { kind: "gear", id } as const;
    if (spec.kind === "skinFitting") propose("watchSkin", id, at, add("skinSeal", id, at));
    else if (spec.kind === "deckFitting") propose("wetDeck", id, at, add("deckSeal", id, at));
    else {
      const isRun = !isPressed || RUN_GEAR.has(spec.kind);
      if (isRun && symptom === "pumpRuns") continue;
      const along = isRun ? run : pressed;
      along.push(...add("gearBody", id, at));
      propose(isRun ? "runHoses" : "pressHoses", `gear-${id}`, at, along);
      if (spec.kind === "pump") propose("shutAfterPump", id, at, add("pumpBack", id, at));
    }
  }
}

/** Gear on the side of the heads, the sea and the bilge, which stands under no pressure. */
const RUN_GEAR: ReadonlySet<GearKind> = new Set(["bowl", "sump", "ventedLoop", "skinFitting", "deckFitting", "airGap"]);

function isRunOnly({ gear, tanks }: Design, { from, to }: Hose): boolean {
  return [from, to].some((end) => {
    if (end.kind === "tank")
      return tanks.some(({ id, holds }) => id === end.tankId && holds !== "fresh" && holds !== "loop");
    return gear.some(({ id, spec }) => id === end.gearId && RUN_GEAR.has(spec.kind));
  });
}

// Hoses in which waste stands: from a bowl's outlet and from tanks of waste on, through everything but the skin and the deck.
function listFoulHoses({ lines, tanks, gear }: Design): ReadonlySet<string> {
  const hoses = lines.filter((line) => line.kind === "hose");
  const kindOf = new Map(gear.map(({ id, spec }) => [id, spec.kind]));
  const isWaste = (tankId: string) =>
    tanks.some(({ id, holds }) => id === tankId && (holds === "grey" || holds === "black"));
  const foul = new Set<string>();
  const through = new Set<string>();
  const isReached = (end: Hose["from"]): boolean => {
    if (end.kind === "tank") return isWaste(end.tankId);
    return kindOf.get(end.gearId) === "bowl" ? end.port === "out" : through.has(end.gearId);
  };
  for (let grown = true; grown; ) {
    grown = false;
    for (const { id, from, to } of hoses) {
      if (foul.has(id) || !(isReached(from) || isReached(to))) continue;
      foul.add(id);
      grown = true;
      for (const end of [from, to])
        if (end.kind === "gear" && !ENDS_FOUL.has(kindOf.get(end.gearId)!)) through.add(end.gearId);
    }
  }
  return foul;
}

/** Past these no waste goes on in a hose. */
const ENDS_FOUL: ReadonlySet<GearKind> = new Set(["bowl", "skinFitting", "deckFitting", "airGap"]);

function goesThroughFloor(design: Design, line: Exclude<Line, DumpLine>, network: Network): boolean {
  const points = line.kind === "drain" ? buildDrainPath(design, line, network).nodesMm : listCourse(design, line);
  return points.some(({ z }) => z > 0) && points.some(({ z }) => z < 0);
}
