import type { Design } from "../design/design";
import { FARTHEST_MM } from "../design/fields";
import { findTrap } from "../design/lineItems";
import type { Line } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import { listCourse } from "../fit/lineLegs";
import { measureExtent } from "../geometry/solid";
import { measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { takeShortWord, writeSorted } from "../quantity/shortWord";
import type { BuildRecord, DrawnStep } from "../record/record";
import { listHoles } from "../through/holes";
import { takeFingerprint } from "../trials/fingerprint";
import { findStepSpot } from "./stepSpot";
import type { BuildStep } from "./steps";

type Judged = Pick<Evaluation, "drains" | "linePassages">;

/** What a step is done by, as it is drawn now; null for steps that no drawing tells. */
export function takeDrawn(step: BuildStep, design: Design, evaluation: Judged): DrawnStep | null {
  const seen = collect(step, design, evaluation);
  return seen && write(seen);
}

/** The same of a trial. */
export const takeDrawnTrial = (design: Design, trialId: string): DrawnStep =>
  write({ placesMm: [], sizesMm: [], kinds: takeFingerprint(design, trialId) });

const write = ({ placesMm, sizesMm, kinds }: Seen): DrawnStep => ({
  placesMm: placesMm.map(({ x, y, z }) => vec(toTenth(x), toTenth(y), toTenth(z))),
  sizesMm: sizesMm.map(toTenth),
  word: takeShortWord(writeSorted(kinds)),
});

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
  const is = takeDrawn(step, design, evaluation);
  if (!is) return null;
  const isAlike = is.placesMm.length === was.placesMm.length && is.sizesMm.length === was.sizesMm.length;
  const movedMm = isAlike
    ? Math.max(0, ...is.placesMm.map((place, i) => measureLength(subtract(place, was.placesMm[i]!))))
    : 0;
  const sizes = isAlike
    ? is.sizesMm.flatMap((isMm, i) => {
        const wasMm = was.sizesMm[i]!;
        return Math.abs(isMm - wasMm) > SAME_SIZE_MM ? [{ wasMm, isMm }] : [];
      })
    : [];
  const isOtherwise = !isAlike || is.word !== was.word;
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
};

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
        kinds: tank.ports.map((port) => [port.id, port.kind, port.thread]),
      };
    case "fitFixing":
      return tank?.fixing
        ? { placesMm: [], sizesMm: [], kinds: { ...tank.fixing, heldKN: null, heldShearKN: null, strapKN: null } }
        : null;
    case "hangTank":
      if (!tank || !spot) return null;
      return { placesMm: [spot], sizesMm: listSides(tank.solid), kinds: [tank.solid.shape, tank.material] };
    case "mountGear": {
      const piece = design.gear.find((one) => one.id === partId);
      if (!piece) return null;
      return { placesMm: [piece.atMm], sizesMm: [], kinds: piece.spec.kind };
    }
    case "fitTrap": {
      const trap = line?.kind === "drain" ? findTrap(line) : null;
      return trap && { placesMm: [], sizesMm: [trap.sealMm, trap.dropMm, trap.spanMm], kinds: trap.kind };
    }
    case "layDrain":
    case "layVent":
    case "layDumpLine":
    case "layHose":
      return line ? collectLine(line, design, evaluation) : null;
    case "trialTank":
    case "trialDump":
    case "trialDrain":
    case "trialBack":
    case "trialHoses":
    case "trialLaunch":
      return { placesMm: [], sizesMm: [], kinds: takeFingerprint(design, id) };
    case "closeUp":
    case "own":
      return null;
  }
}

const listSides = (solid: Parameters<typeof measureExtent>[0]): number[] => {
  const { min, max } = measureExtent(solid);
  const { x, y, z } = subtract(max, min);
  return [x, y, z];
};

// The trap and the holes of a line are steps of their own.
function collectLine(line: Line, design: Design, evaluation: Judged): Seen | null {
  const { pipe } = line;
  if (line.kind !== "drain") return { placesMm: listCourse(design, line), sizesMm: [], kinds: pipe };
  const drain = evaluation.drains.find(({ lineId }) => lineId === line.id);
  if (!drain) return null;
  const items = line.items.filter(({ kind }) => kind !== "trap" && kind !== "hole");
  return { placesMm: drain.nodesMm.slice(0, drain.ownLegs + 1), sizesMm: [], kinds: [pipe, items] };
}
