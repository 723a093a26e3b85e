import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Drain, Vent } from "../design/plumbing";
import { buildFitDumpValve, buildRegradeDumpLine } from "../edits/dumpLineEdits";
import { buildAddFixture } from "../edits/fixtureEdits";
import { buildAddTank } from "../edits/tankEdits";
import { evaluate } from "../evaluate/evaluate";
import type { Evaluation } from "../evaluate/evaluation";
import type { Finding } from "../evaluate/findings";
import { proposeWiderWay } from "./boreRemedies";
import { proposeLegClear, proposeVentEndClear } from "./clearRemedies";
import { proposeFallRemedies } from "./fallRemedies";
import { proposeOwnVessel } from "./ownVesselRemedy";
import {
  proposeBarrierHose,
  proposeBranchVent,
  proposeCleanout,
  proposeHigherInlet,
  proposeMoveClear,
  proposeOneTrap,
  proposeOutlet,
  proposeOwnEnd,
  proposeSeal,
  proposeTeeLift,
  proposeToiletUse,
  proposeTrap,
  proposeVent,
  proposeVentLift,
  proposeVentRise,
  proposeWiderPipe,
  proposeWiderVent,
  proposeWye,
} from "./partRemedies";
import {
  proposeAlongWall,
  proposeDrain,
  proposeInside,
  proposeLessUse,
  proposeSteadySeal,
  proposeTrapOutOfFloor,
  proposeTurnedBranch,
  proposeWiderHole,
} from "./placeRemedies";
import type { ProvenRemedy, Remedy, RemedyFigures } from "./remedy";

const MOST_REMEDIES = 4;
/** Each candidate costs an evaluation; so many are tried at most. */
const MOST_TRIES = 60;

/**
 * Remedies for a finding that have been tried on the design: each settles the finding and raises no new `must`.
 * An empty list means that nothing simple helps.
 */
export function proposeRemedies(design: Design, evaluation: Evaluation, finding: Finding): ProvenRemedy[] {
  const before = readFigures(evaluation, finding);
  const known = new Set(evaluation.findings.map((f) => f.id));
  const proven: ProvenRemedy[] = [];
  let tries = 0;
  for (const remedy of listCandidates(design, finding)) {
    if (proven.length === MOST_REMEDIES || tries === MOST_TRIES) break;
    tries += 1;
    const outcome = applyEdit(design, remedy.edit);
    if (!outcome.ok) continue;
    const tried = evaluate(outcome.design, evaluation.attitude);
    const fresh = tried.findings.filter((f) => !known.has(f.id));
    const settled = !tried.findings.some((f) => f.id === finding.id);
    // what is begun may want more: a first tank has no breather yet
    const begins = finding.code === "noTankYet" || finding.code === "noFixtureYet";
    if (!settled || (!begins && fresh.some((f) => f.severity === "must"))) continue;
    const newFindings = fresh.filter((f) => f.severity !== "note").length;
    // of ways that do the same the first, and shortest, is enough
    const isKnown = proven.some(({ edit, byMm }) => edit.code === remedy.edit.code && isAlike(byMm, remedy.byMm));
    if (!isKnown) proven.push({ ...remedy, before, after: readFigures(tried, finding), newFindings });
  }
  return proven;
}

const isAlike = (a: number | null, b: number | null): boolean => a === null || b === null || Math.abs(a - b) < 0.5;

function listCandidates(design: Design, finding: Finding): Remedy[] {
  const drain = findDrain(design, finding);
  const tank = findTank(design, finding);
  switch (finding.code) {
    case "legBackwards":
    case "legBackwardsParked":
    case "legBelowMinFall":
    case "legBarely":
      return drain ? proposeFallRemedies(design, drain) : [];
    case "noTankYet":
      return [{ byMm: null, edit: buildAddTank(design, "grey", FIRST_TANK_NAME) }];
    case "noFixtureYet":
      return [{ byMm: null, edit: buildAddFixture(design, "kitchenSink", FIRST_FIXTURE_NAME) }];
    case "trapMissing":
      return drain ? proposeTrap(design, drain) : [];
    case "sealShallow":
      return drain ? proposeSeal(design, drain) : [];
    case "teeOnTheFlat":
      return drain ? proposeWye(drain) : [];
    case "toiletUnused":
      return proposeToiletUse(design);
    case "hoseSmells":
      return finding.at.kind === "line" ? proposeBarrierHose(design, finding.at.id) : [];
    case "siphonedByOthers":
    case "trapSiphons":
    case "trapArmLong":
      return drain ? proposeBranchVent(design, drain) : [];
    case "drainSlow":
      return drain ? proposeWiderPipe(drain) : [];
    case "dumpLineHigh":
    case "dumpLineFlat":
    case "dumpLineOpen":
    case "dumpLineFull":
      return proposeForDumpLine(design, finding);
    case "tankUnvented":
      return tank ? proposeVent(design, tank) : [];
    case "tankNoOutlet":
      return tank ? proposeOutlet(tank) : [];
    case "ventDips": {
      const { at } = finding;
      return at.kind === "bend" ? proposeVentLift(design, at, finding.deepMm) : [];
    }
    case "ventTeeLow": {
      const { at } = finding;
      return at.kind === "bend" ? proposeTeeLift(design, at, finding.byMm) : [];
    }
    case "ventSharesFresh": {
      const vent = finding.at.kind === "line" ? findLine(design, finding.at.id) : undefined;
      return vent?.kind === "vent" ? proposeOwnEnd(design, vent) : [];
    }
    case "trapsInSeries":
      return drain ? proposeOneTrap(drain) : [];
    case "trapUnreachable":
      return drain ? proposeCleanout(drain, finding.at.kind === "bend") : [];
    case "ventEndsLow": {
      const vent = finding.at.kind === "line" ? findLine(design, finding.at.id) : undefined;
      return vent?.kind === "vent" ? proposeVentRise(design, vent as Vent) : [];
    }
    case "ventThrottles": {
      const vent = finding.at.kind === "line" ? findLine(design, finding.at.id) : undefined;
      return vent?.kind === "vent" ? proposeWiderVent(vent, finding.leastBoreMm) : [];
    }
    case "inletDrownsEarly":
      return tank && finding.at.kind === "port" ? proposeHigherInlet(design, tank, finding.at.id) : [];
    case "tankHitsObstacle": {
      const obstacle = design.obstacles.find((o) => o.id === finding.obstacleId);
      return tank && obstacle ? proposeMoveClear(design, tank, obstacle, finding.limit?.value ?? 0) : [];
    }
    case "legHitsObstacle":
      return finding.at.kind === "leg" ? proposeClear(design, finding.at, finding) : [];
    case "ventEndNear": {
      const vent = finding.at.kind === "bend" ? findLine(design, finding.at.lineId) : undefined;
      return vent?.kind === "vent" ? proposeVentEndClear(design, vent, finding) : [];
    }
    case "ventInRoom": {
      const vent = finding.at.kind === "line" ? findLine(design, finding.at.id) : undefined;
      return vent?.kind === "vent" ? proposeAlongWall(design, vent) : [];
    }
    case "narrowsDownstream":
      return proposeWiderWay(design, drain, finding);
    case "urineInGrey": {
      const { at } = finding;
      const own = design.lines.find(
        (l): l is Drain => l.kind === "drain" && at.kind === "fixture" && l.fromFixture === at.id,
      );
      return own ? proposeOwnVessel(design, own, OWN_VESSEL_NAME) : [];
    }
    case "holeSmall":
      return drain && finding.at.kind === "leg" ? proposeWiderHole(drain, finding.at.index, finding) : [];
    case "sealSlops":
      return drain ? proposeSteadySeal(drain, finding) : [];
    case "trapInFloor":
      return drain ? proposeTrapOutOfFloor(design, drain, finding) : [];
    case "branchAgainstFlow":
      return drain ? proposeTurnedBranch(design, drain) : [];
    case "useOverfillsTank":
      return finding.at.kind === "fixture" ? proposeLessUse(finding.at.id, finding.safeL) : [];
    case "fixtureOutside":
      return finding.at.kind === "fixture" ? proposeInside(design, finding.at.id) : [];
    case "fixtureUndrained":
      return finding.at.kind === "fixture" ? proposeDrain(design, finding.at.id) : [];
    default:
      return [];
  }
}

/** Names of our own for what a remedy puts in; the builder may give others. */
const FIRST_TANK_NAME = "Grey tank";
const FIRST_FIXTURE_NAME = "Kitchen sink";
/** A name of our own for a vessel that is hung by a remedy; the builder may give it another. */
const OWN_VESSEL_NAME = "Urine tank";

const findLine = (design: Design, id: string) => design.lines.find((line) => line.id === id);

function proposeForDumpLine(design: Design, { at, code }: Finding): Remedy[] {
  const line = findLine(design, at.kind === "line" ? at.id : at.kind === "leg" ? at.lineId : "");
  if (line?.kind !== "dumpLine") return [];
  const isFall = code === "dumpLineHigh" || code === "dumpLineFlat";
  const edit = isFall ? buildRegradeDumpLine(design, line) : buildFitDumpValve(design, line);
  return edit ? [{ byMm: null, edit }] : [];
}

function findDrain(design: Design, { at }: Finding): Drain | null {
  const id = "lineId" in at ? at.lineId : at.kind === "line" ? at.id : null;
  const line = id === null ? undefined : findLine(design, id);
  return line?.kind === "drain" ? line : null;
}

function findTank(design: Design, { at }: Finding) {
  const id = at.kind === "tank" ? at.id : at.kind === "port" ? at.tankId : null;
  return design.tanks.find((tank) => tank.id === id) ?? null;
}

function readFigures(evaluation: Evaluation, { at }: Finding): RemedyFigures {
  const id = "lineId" in at ? at.lineId : at.kind === "line" ? at.id : null;
  const drain = evaluation.drains.find((d) => d.lineId === id || (at.kind === "fixture" && d.fixtureId === at.id));
  return {
    levelMm: drain?.level.inHandMm ?? null,
    worstMm: drain?.worst.inHandMm ?? null,
    usableL: evaluation.tanks.reduce((sum, tank) => sum + tank.usableWorstL, 0),
    findings: evaluation.findings.filter((f) => f.severity !== "note").length,
  };
}

function proposeClear(
  design: Design,
  at: { readonly lineId: string; readonly index: number },
  finding: Extract<Finding, { code: "legHitsObstacle" }>,
): Remedy[] {
  const line = findLine(design, at.lineId);
  return line ? proposeLegClear(line, at, finding) : [];
}
