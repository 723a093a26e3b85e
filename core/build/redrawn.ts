import type { Design } from "../design/design";
import { FARTHEST_MM } from "../design/fields";
import type { Gear } from "../design/gear";
import { findInsulationMm } from "../design/lagging";
import { findTrap } from "../design/lineItems";
import type { Line, Tank } from "../design/plumbing";
import { isUnbuilt } from "../design/unbuilt";
import type { Evaluation } from "../evaluate/evaluation";
import { listCourse } from "../fit/lineLegs";
import { measureExtent } from "../geometry/solid";
import { measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { takeShortWord, writeSorted } from "../quantity/shortWord";
import type { BuildRecord, DrawnStep } from "../record/record";
import { listHoles } from "../through/holes";
import { listOldFingerprints, takeFingerprint } from "../trials/fingerprint";
import { findStepSpot, listStepMarks } from "./stepSpot";
import { type BuildStep, toCableStepId } from "./steps";
import { listWires } from "./wiring";

type Judged = Pick<Evaluation, "drains" | "linePassages">;

/** What a step is done by, as it is drawn now; null for steps that no drawing tells. */
export function takeDrawn(step: BuildStep, design: Design, evaluation: Judged): DrawnStep | null {
  const seen = collect(step, design, evaluation);
  return seen && write(seen);
}

/** The same of a trial. */
export const takeDrawnTrial = (design: Design, trialId: string): DrawnStep => write(collectTrial(design, trialId));

/** Whether a trial that was ticked is of the part as it is drawn now. */
export const isTickedOn = ({ word }: DrawnStep, design: Design, trialId: string): boolean =>
  listWords(collectTrial(design, trialId)).includes(word);

const write = (seen: Seen): DrawnStep => ({
  placesMm: seen.placesMm.map(({ x, y, z }) => vec(toTenth(x), toTenth(y), toTenth(z))),
  sizesMm: seen.sizesMm.map(toTenth),
  word: listWords(seen)[0]!,
});

// The word it is ticked with, and those of older records.
const listWords = ({ kinds, older = [] }: Seen): string[] =>
  [kinds, ...older].map((one) => takeShortWord(writeSorted(one)));

// to a tenth, and within what a record takes: a hole of a pipe that grazes the floor has no end
const toTenth = (mm: number): number => Math.round(Math.max(-FARTHEST_MM, Math.min(FARTHEST_MM, mm)) * 10) / 10;

/** How a part is drawn now, against what was built by an older drawing. */
export type Redrawn = {
  /** How far its farthest place lies from where it was, mm. */
  readonly movedMm: number;
  readonly sizes: readonly { readonly wasMm: number; readonly isMm: number }[];
  /** Of another kind or pipe, or with more or fewer points, holes or bolts. */
  readonly isOtherwise: boolean;
};

/** What a hand does not see: a place so far off and a size so much other are still the same, mm [T]. */
const SAME_PLACE_MM = 2;
const SAME_SIZE_MM = 1;

/**
 * What a done step's drawing differs in from the one it was done by; null where it is still the same, where the drawing tells
 * nothing of it, or where the record does not say what it was done by. Source: the drawings [C].
 */
export function findRedrawn(step: BuildStep, was: DrawnStep, design: Design, evaluation: Judged): Redrawn | null {
  const seen = collect(step, design, evaluation);
  if (!seen) return null;
  const is = write(seen);
  // older records say of some steps nothing of where
  const saysWhere = was.placesMm.length > 0;
  const isAlike =
    (!saysWhere || is.placesMm.length === was.placesMm.length) && is.sizesMm.length === was.sizesMm.length;
  const movedMm =
    isAlike && saysWhere
      ? Math.max(0, ...is.placesMm.map((place, i) => measureLength(subtract(place, was.placesMm[i]!))))
      : 0;
  const sizes = isAlike
    ? is.sizesMm.flatMap((isMm, i) => {
        const wasMm = was.sizesMm[i]!;
        return Math.abs(isMm - wasMm) > SAME_SIZE_MM ? [{ wasMm, isMm }] : [];
      })
    : [];
  const isOtherwise = !isAlike || !listWords(seen).includes(was.word);
  return movedMm > SAME_PLACE_MM || sizes.length > 0 || isOtherwise ? { movedMm, sizes, isOtherwise } : null;
}

export type RedrawnStep = { readonly step: BuildStep; readonly redrawn: Redrawn };
type Done = BuildRecord["done"][number];

/** What was built and is drawn otherwise now, and what was built and is drawn no more. */
export function listRedrawn(
  steps: readonly BuildStep[],
  done: BuildRecord["done"],
  design: Design,
  evaluation: Judged,
): { readonly redrawn: readonly RedrawnStep[]; readonly gone: readonly Done[] } {
  const byId = new Map(steps.map((step) => [step.id, step]));
  return {
    redrawn: done.flatMap(({ stepId, drawn }) => {
      const step = byId.get(stepId);
      const redrawn = step && drawn ? findRedrawn(step, drawn, design, evaluation) : null;
      return step && redrawn ? [{ step, redrawn }] : [];
    }),
    // older records did not name them; an own job that was struck off is gone and well
    gone: done.filter(({ stepId, name }) => name !== undefined && !stepId.startsWith("own:") && !byId.has(stepId)),
  };
}

type Seen = {
  readonly placesMm: readonly Vec3[];
  readonly sizesMm: readonly number[];
  /** All else it is built by: what it is of, and how many. */
  readonly kinds: unknown;
  /** The same as records of before held it, who left some of it out. */
  readonly older?: readonly unknown[];
};

const collectTrial = (design: Design, trialId: string): Seen => ({
  placesMm: [],
  sizesMm: [],
  kinds: takeFingerprint(design, trialId),
  older: listOldFingerprints(design, trialId),
});

function collect(step: BuildStep, design: Design, evaluation: Judged): Seen | null {
  const { kind, id, at } = step;
  const partId = "lineId" in at ? at.lineId : "id" in at ? at.id : null;
  const tank = design.tanks.find((one) => one.id === partId);
  const line = design.lines.find((one) => one.id === partId);
  const spot = findStepSpot(step, design, evaluation);
  switch (kind) {
    case "drillHole": {
      const hole = listHoles(design, evaluation).find((one) => id === `${kind}:${one.id}`);
      if (!hole || !spot) return null;
      return { placesMm: [spot], sizesMm: [hole.lengthMm, hole.widthMm], kinds: hole.through };
    }
    case "fitTankPorts":
      if (!tank) return null;
      return {
        placesMm: tank.ports.map(({ atMm }) => atMm),
        sizesMm: [...listSides(tank.solid), ...tank.ports.map(({ boreMm }) => boreMm)],
        kinds: [
          tank.ports.map(({ id, kind, thread, valve }) => [id, kind, thread, valve]),
          tank.sender && [tank.sender.kind, tank.sender.xMm, tank.sender.yMm],
        ],
        older: [tank.ports.map((port) => [port.id, port.kind, port.thread])],
      };
    case "joinTanks":
      return tank ? { placesMm: [], sizesMm: [], kinds: tank.link } : null;
    case "fitFixing":
      return tank?.fixing
        ? {
            // its bolts are marked out on the rig, so they go with the tank
            placesMm: listStepMarks(step, design),
            sizesMm: [],
            kinds: { ...tank.fixing, heldKN: null, heldShearKN: null, strapKN: null, heldFactor: null },
            older: [{ ...tank.fixing, heldKN: null, heldShearKN: null, strapKN: null }],
          }
        : null;
    case "hangTank":
      if (!tank || !spot) return null;
      return {
        placesMm: [spot],
        sizesMm: listSides(tank.solid),
        kinds: [
          listForm(tank.solid),
          tank.material,
          tank.wallMm,
          tank.insulationMm,
          ...((tank.padW ?? 0) > 0 ? [tank.padW] : []),
        ],
        older: [[tank.solid.shape, tank.material]],
      };
    case "mountGear": {
      const piece = design.gear.find((one) => one.id === partId);
      if (!piece) return null;
      return {
        placesMm: [piece.atMm],
        sizesMm: [],
        kinds: [listBuiltSpec(piece), piece.sizeMm],
        older: [piece.spec.kind],
      };
    }
    case "fitTrap": {
      const trap = line?.kind === "drain" ? findTrap(line) : null;
      if (!trap) return null;
      const sizesMm = [trap.sealMm, trap.dropMm, trap.spanMm];
      return { placesMm: [], sizesMm, kinds: [trap.kind, trap.hasCleanout], older: [trap.kind] };
    }
    case "layDrain":
    case "layVent":
    case "layDumpLine":
    case "layHose":
      return line ? collectLine(line, design, evaluation) : null;
    case "layCable": {
      // where it runs is the hand's; how thick it is and what guards it is not
      const wire = listWires(design).find(({ load }) => id === toCableStepId(load.id));
      return wire ? { placesMm: [], sizesMm: [], kinds: [wire.sizeMm2, wire.fuseA] } : null;
    }
    case "trialTank":
    case "trialDump":
    case "trialDrain":
    case "trialBack":
    case "trialHoses":
    case "trialLaunch":
      return collectTrial(design, id);
    case "closeUp": {
      const foams = design.lines.flatMap((one) => {
        const thickMm = findInsulationMm(one);
        return thickMm > 0 ? [`${one.id} ${thickMm}`] : [];
      });
      // in which order the file lists them is nobody's work
      return { placesMm: [], sizesMm: [], kinds: foams.sort() };
    }
    case "own":
      return null;
  }
}

const listSides = (solid: Parameters<typeof measureExtent>[0]): number[] => {
  const { min, max } = measureExtent(solid);
  const { x, y, z } = subtract(max, min);
  return [x, y, z];
};

// Which way it lies, and the corners of one that is no box; its length, width and height are told as sizes.
const listForm = (solid: Tank["solid"]): unknown =>
  solid.shape === "box"
    ? solid.shape
    : [solid.shape, solid.axis, solid.shape === "prism" ? solid.profileMm : solid.diameterMm];

const listBuiltSpec = ({ spec }: Gear): unknown =>
  Object.fromEntries(Object.entries(spec).filter(([key]) => !isUnbuilt(key)));

// The trap and the holes of a line are steps of their own.
function collectLine(line: Line, design: Design, evaluation: Judged): Seen | null {
  const { pipe } = line;
  if (line.kind !== "drain")
    return { placesMm: listCourse(design, line), sizesMm: [], kinds: [pipe, listEnds(line)], older: [pipe] };
  const drain = evaluation.drains.find(({ lineId }) => lineId === line.id);
  if (!drain) return null;
  const items = line.items.filter(({ kind }) => kind !== "trap" && kind !== "hole");
  return {
    placesMm: drain.nodesMm.slice(0, drain.ownLegs + 1),
    sizesMm: [],
    kinds: [pipe, items, listEnds(line)],
    older: [[pipe, items]],
  };
}

// What a line is joined to and by what; where that is, its places tell.
function listEnds(line: Line): unknown {
  switch (line.kind) {
    case "drain":
      return line.to.kind === "junction" ? [line.to.lineId, line.to.fitting] : line.to.kind;
    case "vent":
      return line.to.kind === "tee" ? line.to.lineId : line.to.hasMesh;
    case "hose":
      return [line.from, line.to, line.wall ?? null];
    case "dumpLine":
      return [line.to.kind === "wye" ? line.to.lineId : null, line.endValve];
  }
}
