import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { PartRef } from "../design/part";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { listDumpWays } from "../tanks/dumpWays";

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
  | "senderWire";

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
    | "blowBreather"
    | "capDumpLine"
    | "pressHoses"
    | "pourPast"
    | "dipTank"
    | "cleanSender"
    | "bridgeSender";
  readonly at: PartRef;
  readonly covers: ReadonlySet<string>;
};

/** How often each is the cause, against the others [T: what builders find; no source]. */
const WEIGHTS: Readonly<Record<Symptom, Readonly<Partial<Record<SuspectKind, number>>>>> = {
  wetFloor: { trapJoint: 4, bendJoint: 2, inletJoint: 3, tankPort: 3, hoseEnd: 3, gearBody: 1 },
  pumpRuns: { hoseEnd: 4, gearBody: 2 },
  smell: { drySeal: 6, breather: 2, inletJoint: 1, tankPort: 1 },
  gurgles: { breather: 5, drySeal: 2 },
  slowDrain: { trapClog: 4, legClog: 2, breather: 3 },
  comesUp: { tankFull: 5, legClog: 2, breather: 1 },
  gaugeStuck: { senderFoul: 4, senderWire: 3 },
  spits: { tankFull: 4, breather: 3 },
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
    if (findTrap(drain)) {
      const trapAt = { kind: "trap", lineId: drain.id } as const;
      along.push(...add("trapJoint", drain.id, trapAt));
      propose("fillTrap", drain.id, trapAt, [...along, ...add("drySeal", drain.id, trapAt)]);
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
  const pressed: string[] = [];
  for (const line of design.lines) {
    if (line.kind !== "hose") continue;
    const at = { kind: "line", id: line.id } as const;
    pressed.push(...add("hoseEnd", line.id, at));
    propose("pressHoses", line.id, at, pressed);
  }
  for (const { id } of design.gear) {
    const at = { kind: "gear", id } as const;
    pressed.push(...add("gearBody", id, at));
    propose("pressHoses", `gear-${id}`, at, pressed);
  }
  return { suspects, trials };
}
