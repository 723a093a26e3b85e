import "./fitted";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear, GearSpec, WorkingState } from "../design/gear";
import type { Hazard } from "../gear/hazard";
import { groupHazards, isAttended, proveInterlock } from "../gear/interlock";
import type { Failure } from "../gear/settings";
import { measureAbovePortL } from "../tanks/abovePort";
import { checkGear } from "./checkGear";
import type { Finding, Severity } from "./findings";

// Every hazard that is proven is told once, as what it is, with the names a builder knows and as bad as it is: put together
// a second time from the hazards, over the samples and over each of them with one piece gone, open or wrongly joined.

const LOOPS = ["kranich-loop", "lesesaal-loop", "otter-heads", "setzkasten"] as const;

/** What each kind is called, how bad it is by itself, and how bad with one failure. */
const TOLD: Readonly<Record<Hazard["kind"], readonly [Finding["code"], Severity | null, Severity | null]>> = {
  fouls: ["waterFouled", "must", "must"],
  floods: ["seaComesIn", "must", "should"],
  spills: ["hoseComesOff", null, null],
  runsOut: ["tankRunsOut", "must", "should"],
  discharges: ["blackOverboard", "must", "should"],
  overfills: ["tankOverfills", "should", "note"],
  runsDry: ["pumpRunsDry", "should", "note"],
  deadHead: ["pumpDeadHead", "should", "note"],
};

const passage: GearSpec = { kind: "flowMeter", dropKPa: 1, atLpm: 10 };
const through = new Set(["nonReturn", "valve", "airGap", "filter", "strainer", "ventedLoop"]);

/** The sample, and what becomes of it when a builder forgets, swaps or leaves out one thing, its tanks as they are or on the roof. */
function listBroken(given: Design): Design[] {
  const design = { ...given, gear: given.gear.map(toPlainPump) };
  const onRoof = design.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z: tank.atMm.z + 2_500 } }));
  return [given, ...leaveOut(design), ...leaveOut({ ...design, tanks: onRoof })];
}

function leaveOut(design: Design): Design[] {
  const withPiece = (id: string, to: (piece: Gear) => Gear): Design => ({
    ...design,
    gear: design.gear.map((piece) => (piece.id === id ? to(piece) : piece)),
  });
  return [
    design,
    { ...design, states: [] },
    { ...design, states: design.states.map((state) => ({ ...state, openTaps: [] })) },
    { ...design, states: design.states.map((state) => ({ ...state, place: "inland" as const })) },
    { ...design, states: [wideOpen(design)] },
    { ...design, states: [{ ...wideOpen(design), openTaps: [] }] },
    { ...design, states: design.states.map((state) => ({ ...state, positions: [], place: "inland" as const })) },
    {
      ...design,
      states: design.states.map((state) => ({ ...state, openTaps: listIds(design, "tap", "coupling") })),
    },
    ...design.gear.flatMap(({ id, spec }) => (through.has(spec.kind) ? [withPiece(id, toPassage)] : [])),
    ...design.gear.flatMap(({ id, spec }) =>
      spec.kind === "valve" || spec.kind === "diverter"
        ? [withPiece(id, (piece) => ({ ...piece, spec: { ...spec, drive: "motor", atRest: "stays" } }) as Gear)]
        : [],
    ),
    ...design.lines.flatMap((line) =>
      line.kind === "hose"
        ? [design.states, [{ ...wideOpen(design), openTaps: [] }]].map((states) => ({
            ...design,
            states,
            lines: design.lines.filter((other) => other !== line),
          }))
        : [],
    ),
  ];
}

/** Every pump on, every valve and tap open. */
const wideOpen = (design: Design): WorkingState => ({
  id: "all",
  name: "All open",
  on: listIds(design, "pump"),
  positions: listIds(design, "valve").map((gearId) => ({ gearId, at: "open" })),
  openTaps: listIds(design, "tap", "coupling"),
});
const toPassage = (piece: Gear): Gear => ({ ...piece, spec: passage });
const toPlainPump = (piece: Gear): Gear =>
  piece.spec.kind === "pump" ? { ...piece, spec: { ...piece.spec, cutOutKPa: null, mayRunDry: false } } : piece;
const listIds = ({ gear }: Design, ...kinds: GearSpec["kind"][]): string[] =>
  gear.flatMap(({ id, spec }) => (kinds.includes(spec.kind) ? [id] : []));
const nameOf = (parts: readonly { id: string; name: string }[], id: string | null): string | null =>
  parts.find((part) => part.id === id)?.name ?? null;

function toWord(failure: Failure | null): string {
  if (!failure) return "none";
  if (failure.kind === "powerLost") return "powerLost";
  if (failure.kind === "hoseOff") return `hoseOff:${failure.lineId}`;
  return failure.kind === "stuck" ? `stuck:${failure.gearId}:${failure.at}` : `${failure.kind}:${failure.gearId}`;
}

/** A node without its port. */
const ownerOf = (node: string): string => node.split(":").slice(0, -1).join(":");

function tellAgain(design: Design, group: readonly [Hazard, ...Hazard[]]): object {
  const [worst] = group;
  const { kind, failure, stateId, from, to, tankId, gearId, water, isDriven } = worst;
  const [code, alone, withFailure] = TOLD[kind];
  const { gear, tanks, lines, states } = design;
  const state = states.find(({ id }) => id === stateId);
  const failedId =
    failure === null || failure.kind === "powerLost" ? null : "gearId" in failure ? failure.gearId : null;
  const own = {
    code,
    at: tankId === null ? { kind: "gear", id: gearId } : { kind: "tank", id: tankId },
    // the air hole of a loop is cared for every season, and the seacock is shut
    severity: failure === null ? alone : kind === "floods" && failure.kind === "airShut" ? "note" : withFailure,
    stateName: state?.name ?? stateId,
    failure,
    failedName: failure?.kind === "hoseOff" ? nameOf(lines, failure.lineId) : nameOf(gear, failedId),
    otherId: `${from}~${stateId}~${toWord(failure)}`,
  };
  switch (kind) {
    case "fouls":
      return {
        ...own,
        water,
        fromName: nameOf(tanks, ownerOf(from).replace("tank:", "")),
        storedIn: worst.stored ? nameOf(gear, worst.stored.gearId) : null,
        chargedIn: worst.stored ? states.find(({ id }) => id === worst.stored!.stateId)!.name : null,
      };
    case "spills": {
      const isWatched = isAttended(design, stateId);
      const hoses = new Set<string>();
      for (const one of group)
        if (
          one.isDriven === isDriven &&
          one.needsFull === worst.needsFull &&
          isAttended(design, one.stateId) === isWatched &&
          one.failure?.kind === "hoseOff"
        )
          hoses.add(one.failure.lineId);
      const isAtTank = [...hoses].every((id) => {
        const hose = lines.find((line) => line.id === id);
        if (hose?.kind !== "hose") throw new Error(`no hose ${id}`);
        return [hose.from, hose.to].some(
          (end) => (end.kind === "tank" ? `tank:${end.tankId}` : end.gearId) === ownerOf(from),
        );
      });
      const tank = tanks.find(({ id }) => id === tankId);
      const sump = gear.find(({ id }) => id === gearId)?.spec;
      // nothing may be shut between a sump and the float pump that empties it
      const isOnTank = isAtTank || sump?.kind === "sump";
      return {
        ...own,
        otherId: "spill",
        severity: isWatched || isOnTank || worst.needsFull ? "note" : "should",
        hoses: hoses.size,
        hoseName: own.failedName,
        isDriven,
        isAttended: isWatched,
        isOnItself: isOnTank,
        litres: tank
          ? measureAbovePortL(design, tank, from.slice(from.lastIndexOf(":") + 1))
          : sump?.kind === "sump"
            ? sump.litres
            : null,
      };
    }
    case "floods":
      return { ...own, fromName: nameOf(gear, ownerOf(from)) };
    case "runsOut":
      return { ...own, otherId: failure ? "failure" : "none", outName: nameOf(gear, ownerOf(to)), isDriven };
    case "discharges":
      return {
        ...own,
        otherId: `${stateId}~${failedId ?? failure?.kind ?? "none"}`,
        place: state?.place ?? null,
      };
    case "overfills":
      return { ...own, otherId: failure ? "failure" : "none", fromName: nameOf(gear, ownerOf(from)) };
    default:
      return own;
  }
}

test("all that is proven is told once, as what it is, with its names, its litres and as bad as it is", () => {
  const codes = new Set(Object.values(TOLD).map(([code]) => code));
  const met = new Map<string, number>();
  for (const name of LOOPS) {
    for (const design of listBroken(readDemo(name))) {
      const told = checkGear(design).filter(({ code }) => codes.has(code));
      const groups = groupHazards(design, proveInterlock(design));
      const again = groups.map((group) => tellAgain(design, group));
      // neither more nor less, and nothing else about it
      expect(told.map(({ id: _, limit, ...rest }) => (limit === null ? rest : limit))).toEqual(again);
      for (const { id, code, at, ...rest } of told) {
        const where = "id" in at ? `${at.kind}:${at.id}` : "";
        expect(id).toBe(`${code}@${where}/${"otherId" in rest ? rest.otherId : ""}`);
        const key = `${code} ${rest.severity}`;
        met.set(key, (met.get(key) ?? 0) + 1);
      }
    }
  }
  // every kind was there, and as bad as it can be
  for (const [code, alone, withFailure] of Object.values(TOLD)) {
    if (alone === null) continue;
    expect([code, met.get(`${code} ${alone}`) ?? 0]).not.toEqual([code, 0]);
    if (withFailure !== alone)
      expect([code, withFailure, met.get(`${code} ${withFailure}`) ?? 0]).not.toEqual([code, withFailure, 0]);
  }
  expect(met.get("hoseComesOff should")).toBeGreaterThan(0);
  expect(met.get("hoseComesOff note")).toBeGreaterThan(0);
});
