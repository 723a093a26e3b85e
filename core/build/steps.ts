import { listPumpOutParts } from "../air/pumpOut";
import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { PartRef } from "../design/part";
import type { Drain } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import { buildNetwork, followDrain } from "../falls/network";
import { toTankBlock } from "../fit/obstacleGaps";
import { listDumpWays } from "../tanks/dumpWays";
import { listLevelGroup } from "../tanks/linkedTanks";
import { findTankJoin } from "../tanks/tankJoins";
import { type HoleEntry, listHoles } from "../through/holes";
import { type LoadKind, listLoads } from "./wiring";

export const STEP_KINDS = [
  "fitTankPorts",
  "drillHole",
  "fitFixing",
  "hangTank",
  "joinTanks",
  "layVent",
  "layDumpLine",
  "fitTrap",
  "layDrain",
  "mountGear",
  "layHose",
  "layCable",
  "trialTank",
  "trialDump",
  "trialDrain",
  "trialBack",
  "trialHoses",
  "trialLaunch",
  "closeUp",
  "own",
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

export type BuildStep = {
  readonly id: string;
  readonly kind: StepKind;
  readonly at: PartRef;
  /** What the builder called it, for a step of the own job. */
  readonly name?: string;
  /** What is drilled: a line may go through the floor and two walls. */
  readonly hole?: Pick<HoleEntry, "through" | "panelName" | "side">;
  /** What of its part a cable runs to. */
  readonly loadKind?: LoadKind;
  /** Steps that must be done before it. */
  readonly after: readonly string[];
  /** Usual hours of one who has not done it before [T]. */
  readonly hours: number;
};

const HOURS: Readonly<Record<StepKind, number>> = {
  fitTankPorts: 1.5,
  drillHole: 0.5,
  fitFixing: 2,
  hangTank: 3,
  joinTanks: 1,
  layVent: 1,
  layDumpLine: 1.5,
  fitTrap: 0.5,
  layDrain: 1.5,
  mountGear: 0.5,
  layHose: 0.25,
  layCable: 0.75,
  trialTank: 1,
  trialDump: 0.5,
  trialBack: 0.25,
  trialDrain: 0.5,
  trialHoses: 1,
  trialLaunch: 2,
  closeUp: 1,
  own: 1,
};

/** A saw that comes through wanders by so much, mm [T]. */
const SAW_PLAY_MM = 10;

/**
 * What is to be done, and what must come before what: holes over a tank before it goes up, fittings before the tank hangs,
 * breather before filling, nothing closed up before its trial. Source: geometry and common practice [C on T].
 */
export function listSteps(design: Design, evaluation: Evaluation): BuildStep[] {
  const holes = listHoles(design, evaluation);
  const steps: BuildStep[] = [];
  const push = (
    kind: StepKind,
    key: string,
    at: PartRef,
    after: readonly string[],
    more: Pick<BuildStep, "hole" | "loadKind"> = {},
  ): string => {
    const id = `${kind}:${key}`;
    steps.push({ id, kind, at, after, hours: HOURS[kind], ...more });
    return id;
  };
  const drills = new Map(
    holes.map((hole) => {
      const at: PartRef = hole.gearId ? { kind: "gear", id: hole.gearId } : { kind: "line", id: hole.lineId! };
      const { through, panelName, side } = hole;
      return [hole.id, push("drillHole", hole.id, at, [], { hole: { through, panelName, side } })];
    }),
  );
  const holesOf = (lineId: string) => holes.flatMap((hole) => (hole.lineId === lineId ? [drills.get(hole.id)!] : []));
  const hung = new Map<string, string>();
  for (const tank of design.tanks) {
    const at = { kind: "tank", id: tank.id } as const;
    const fitted = push("fitTankPorts", tank.id, at, []);
    const { min, max } = toTankBlock(tank);
    // a hole that lies over the tank is drilled while there is still air below it
    const over = holes.flatMap((hole) => {
      const [face] = hole.facesMm;
      // by its edge and the saw's: what runs through beside the middle would saw into the tank
      const reach = hole.lengthMm / 2 + SAW_PLAY_MM;
      const isOver =
        hole.through === "floor" &&
        face.x >= min.x - reach &&
        face.x <= max.x + reach &&
        face.y >= min.y - reach &&
        face.y <= max.y + reach;
      return isOver ? [drills.get(hole.id)!] : [];
    });
    // what holds it is there before it is lifted
    const fixed = tank.fixing ? [push("fitFixing", tank.id, at, [])] : [];
    hung.set(tank.id, push("hangTank", tank.id, at, [fitted, ...over, ...fixed]));
  }
  const joined = new Map<string, string>();
  for (const tank of design.tanks) {
    const { id } = tank;
    const join = findTankJoin(design, tank);
    if (join) joined.set(id, push("joinTanks", id, { kind: "tank", id }, [hung.get(id)!, hung.get(join.to.id)!]));
  }
  const vented = new Map<string, string[]>();
  for (const line of design.lines) {
    if (line.kind !== "vent") continue;
    const step = push("layVent", line.id, { kind: "line", id: line.id }, [
      ...holesOf(line.id),
      hung.get(line.fromTank)!,
    ]);
    vented.set(line.fromTank, [...(vented.get(line.fromTank) ?? []), step]);
  }
  const trials = new Map(
    design.tanks.map((tank) => {
      // what shares its level is filled with it, and all of it stands under water
      const filled = listLevelGroup(design, tank).flatMap(({ id }) => [
        hung.get(id)!,
        ...(joined.has(id) ? [joined.get(id)!] : []),
        ...(vented.get(id) ?? []),
      ]);
      return [tank.id, push("trialTank", tank.id, { kind: "tank", id: tank.id }, filled)];
    }),
  );
  // one that joins another comes after it, and its water runs through that too
  const dumpLaid = new Map<string, string[]>();
  const dumpSteps = new Map<string, string>();
  for (const { line, way } of listDumpWays(design)) {
    const mains = way.slice(1).map((one) => dumpSteps.get(one.line.id)!);
    const after = [...holesOf(line.id), hung.get(line.fromTank)!, ...mains.slice(0, 1)];
    const step = push("layDumpLine", line.id, { kind: "line", id: line.id }, after);
    dumpSteps.set(line.id, step);
    dumpLaid.set(line.fromTank, [...(dumpLaid.get(line.fromTank) ?? []), step, ...mains]);
  }
  const mounted = new Map(
    design.gear.map(({ id }) => [id, push(MOUNT, id, { kind: "gear", id }, drills.has(id) ? [drills.get(id)!] : [])]),
  );
  const cables = listLoads(design).map(({ id, kind, at }) => ({
    at,
    kind,
    step: push("layCable", id, at, [(at.kind === "gear" ? mounted : hung).get(at.id)!], { loadKind: kind }),
  }));
  // afloat it is pumped out, and what it is pumped through must be there
  const listPumpedThrough = (tankId: string): string[] => {
    if (design.rig.kind !== "boat") return [];
    const { hoseIds, pumpIds } = listPumpOutParts(design, tankId);
    return [
      ...hoseIds.map((id) => `${HOSE}:${id}`),
      ...cables.flatMap(({ at, step }) => (at.kind === "gear" && pumpIds.includes(at.id) ? [step] : [])),
    ];
  };
  // through its outlet, with dump line, breather and hose: the fullest water there is for it
  const dumps = design.tanks.flatMap((tank) =>
    tank.holds !== "fresh" && tank.ports.some(({ kind }) => kind === "outlet")
      ? [
          push("trialDump", tank.id, { kind: "tank", id: tank.id }, [
            trials.get(tank.id)!,
            ...(dumpLaid.get(tank.id) ?? []),
            // a motor valve opens by its cable
            ...cables.flatMap(({ at, kind, step }) => (kind === "dumpValve" && at.id === tank.id ? [step] : [])),
            ...listPumpedThrough(tank.id),
          ]),
        ]
      : [],
  );
  const laid = new Map<string, string>();
  const network = buildNetwork(design);
  const tankOf = (lineId: string) => evaluation.drains.find((drain) => drain.lineId === lineId)?.tankId ?? null;
  for (const line of design.lines) {
    if (line.kind !== "drain") continue;
    const at = { kind: "line", id: line.id } as const;
    const traps = findTrap(line) ? [push("fitTrap", line.id, { kind: "trap", lineId: line.id }, [])] : [];
    const tankId = tankOf(line.id);
    const tank = tankId === null ? [] : [hung.get(tankId)!];
    laid.set(line.id, push("layDrain", line.id, at, [...holesOf(line.id), ...traps, ...tank, ...listReceiver(line)]));
  }
  const drainTrials = design.lines.flatMap((line) => {
    if (line.kind !== "drain") return [];
    const tankId = tankOf(line.id);
    // water runs on through every drain that comes after it, so those must be there too
    const chain = followDrain(network, line).map(({ id }) => laid.get(id)!);
    const tank = tankId === null ? [] : [trials.get(tankId)!];
    return [push("trialDrain", line.id, { kind: "line", id: line.id }, [...chain, ...tank])];
  });
  // what holds water back is tried from behind, before it is relied on
  const backs = design.lines.flatMap((line) =>
    line.kind === "drain" && findTrap(line)?.kind === "membrane"
      ? [push("trialBack", line.id, { kind: "trap", lineId: line.id }, [laid.get(line.id)!])]
      : [],
  );
  const hoses = design.lines.flatMap((line) => {
    if (line.kind !== "hose") return [];
    const ends = [line.from, line.to].map((end) =>
      end.kind === "gear" ? mounted.get(end.gearId)! : hung.get(end.tankId)!,
    );
    return [push(HOSE, line.id, { kind: "line", id: line.id }, [...holesOf(line.id), ...ends])];
  });
  const nonReturns = design.gear.flatMap(({ id, spec }) =>
    spec.kind === "nonReturn" ? [push("trialBack", id, { kind: "gear", id }, [mounted.get(id)!])] : [],
  );
  // nothing runs before its cable is there
  const driven = cables.flatMap(({ at, step }) => (at.kind === "gear" ? [step] : []));
  const hoseTrial = hoses.length > 0 ? [push("trialHoses", "all", { kind: "rig" }, [...hoses, ...driven])] : [];
  // a fitting in her skin is proven when the water first stands over it, with the slings still round her
  const fittings = design.gear.filter(({ spec }) => spec.kind === "skinFitting");
  const launch =
    design.rig.kind === "boat" && fittings.length > 0
      ? [
          push("trialLaunch", "all", { kind: "rig" }, [
            ...fittings.map(({ id }) => mounted.get(id)!),
            ...hoseTrial,
            // a drain that ends in her skin is as open to the sea as a hose
            ...design.lines.flatMap((line) =>
              line.kind === "drain" && line.to.kind === "overboard" ? [laid.get(line.id)!] : [],
            ),
          ]),
        ]
      : [];
  // no hole is drilled through a cover, and nothing is covered before its trial
  const before = [
    ...drills.values(),
    ...joined.values(),
    ...[...vented.values()].flat(),
    ...[...dumpLaid.values()].flat(),
    ...trials.values(),
    ...dumps,
    ...drainTrials,
    ...backs,
    ...nonReturns,
    ...hoseTrial,
    ...launch,
    ...cables.map(({ step }) => step),
  ];
  if (before.length > 0) push("closeUp", "all", { kind: "rig" }, before);
  return steps;
}

const MOUNT: StepKind = "mountGear";
const HOSE: StepKind = "layHose";

/** The step in which the cable to a load is run. */
export const toCableStepId = (loadId: string | undefined): string => `layCable:${loadId}`;

// A skin fitting or a sump that a drain ends in is there before the drain is laid to it.
const listReceiver = ({ to }: Drain): string[] =>
  to.kind === "overboard" || to.kind === "sump" ? [`${MOUNT}:${to.gearId}`] : [];

export type StepOrder =
  | { readonly ok: true; readonly steps: readonly BuildStep[] }
  /** Steps that need each other. */
  | { readonly ok: false; readonly circle: readonly string[] };

/**
 * An order in which nothing comes before what it needs, otherwise as the builder wishes it and then as listed; or the steps
 * that need each other [C].
 */
export function orderSteps(given: readonly BuildStep[], wished: readonly string[] = []): StepOrder {
  const rank = new Map(wished.map((id, i) => [id, i]));
  const steps = given
    .map((step, i) => ({ step, at: rank.get(step.id) ?? wished.length + i }))
    .sort((a, b) => a.at - b.at)
    .map(({ step }) => step);
  const known = new Set(steps.map(({ id }) => id));
  const done = new Set<string>();
  const ordered: BuildStep[] = [];
  let left = [...steps];
  while (left.length > 0) {
    const next = left.find(({ after }) => after.every((id) => done.has(id) || !known.has(id)));
    if (!next) return { ok: false, circle: left.map(({ id }) => id) };
    done.add(next.id);
    ordered.push(next);
    left = left.filter((step) => step !== next);
  }
  return { ok: true, steps: ordered };
}

/** What can be done now: not done, and all it needs is. */
export const listOpenSteps = (steps: readonly BuildStep[], done: ReadonlySet<string>): BuildStep[] =>
  steps.filter(({ id, after }) => !done.has(id) && after.every((one) => done.has(one)));

export type Moved =
  | { readonly ok: true; readonly wished: readonly string[] }
  /** It cannot go there: the first needs the second. */
  | { readonly ok: false; readonly stepId: string; readonly needsId: string };

/**
 * A step put right before or right after another, in an order in which nothing comes before what it needs; refused with what stands
 * against it [C].
 */
export function moveStep(
  steps: readonly BuildStep[],
  stepId: string,
  targetId: string,
  side: "before" | "after",
): Moved {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const others = steps.filter(({ id }) => id !== stepId).map(({ id }) => id);
  const at = others.indexOf(targetId) + (side === "after" ? 1 : 0);
  const wished = [...others.slice(0, at), stepId, ...others.slice(at)];
  const place = new Map(wished.map((id, i) => [id, i]));
  for (const id of wished) {
    for (const needsId of byId.get(id)?.after ?? []) {
      const needed = place.get(needsId);
      if (needed !== undefined && needed > place.get(id)!) return { ok: false, stepId: id, needsId };
    }
  }
  return { ok: true, wished };
}

/** Steps that want dry weather or room to lie down: at something under the floor or outside; the bench and the inside do not. */
export function isUnderRig({ kind, at }: BuildStep, { tanks, lines, gear }: Design): boolean {
  switch (kind) {
    case "fitTankPorts":
    case "fitTrap":
    case "trialHoses":
    case "trialBack":
    case "own":
      return false;
    case "mountGear":
      return gear.some(({ id, atMm }) => at.kind === "gear" && id === at.id && atMm.z < 0);
    case "hangTank":
    case "joinTanks":
    case "trialTank":
      return tanks.some(({ id, atMm }) => at.kind === "tank" && id === at.id && atMm.z < 0);
    case "layHose":
      return lines.some(
        (line) =>
          at.kind === "line" && line.id === at.id && line.kind === "hose" && line.pointsMm.some(({ z }) => z < 0),
      );
    default:
      return true;
  }
}
