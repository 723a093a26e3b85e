import { findClipSpacingMm } from "@/core/build/clipSpacing";
import { findGrowthMm } from "@/core/build/pipeGrowth";
import { measureBareTank } from "@/core/build/stepSpot";
import { type BuildStep, toCableStepId } from "@/core/build/steps";
import { listLoads, listWires, type Wire } from "@/core/build/wiring";
import type { Design } from "@/core/design/design";
import { findInsulationMm } from "@/core/design/lagging";
import { findTrap } from "@/core/design/lineItems";
import type { Drain, DumpLine, Fixing, Tank } from "@/core/design/plumbing";
import type { Evaluation } from "@/core/evaluate/evaluation";
import { sumLengthMm } from "@/core/falls/drainPath";
import { listLineLegs } from "@/core/fit/lineLegs";
import { areAlike, listBoltRows } from "@/core/fixing/boltRows";
import { findBoltHoleMm } from "@/core/fixing/boltWork";
import type { Vec3 } from "@/core/geometry/vec";
import { lookUpValue } from "@/core/rules/lookUpLimit";
import { buildDumpRun } from "@/core/tanks/dumpRun";
import { listLevelGroup } from "@/core/tanks/linkedTanks";
import { computeEmptyKg, computeFullKg } from "@/core/tanks/shell";
import { isWeldedIn } from "@/core/templates/portHole";
import { liesBehind, listPortHoles } from "@/core/templates/tankFaces";
import { type HoleEntry, listHoles } from "@/core/through/holes";
import { speakFor } from "./afloat";
import { describeCable, NO_CABLE } from "./goods";
import { describeSaw, describeSize } from "./holes";
import { formatLengthToBuy } from "./lengthToBuy";
import { describePort, describePortMiddle, nameSide } from "./ports";
import { FASTENER_NAMES, FIXING_NAMES, THREAD_NAMES } from "./tankLabels";
import { formatLength, formatNumber, formatQuantity, type Units } from "./units";

/** What it is, and its figure with the unit. */
export type StepFigure = readonly [what: string, figure: string];

type Told = { readonly design: Design; readonly evaluation: Evaluation; readonly units: Units };

/** The figures a step is worked by, read off with a tape, in the words of the rig; none where it needs none. */
export function listStepFigures(step: BuildStep, told: Told): readonly StepFigure[] {
  const say = speakFor(told.design.rig.kind);
  return listFigures(step, told).map(([what, figure]) => [say(what), figure]);
}

/** The same in one line. */
export const describeStepFigures = (step: BuildStep, told: Told): string =>
  listStepFigures(step, told)
    .map(([what, figure]) => `${what} ${figure}`)
    .join("; ");

function listFigures({ kind, id, at }: BuildStep, told: Told): readonly StepFigure[] {
  const { design, evaluation, units } = told;
  const partId = "lineId" in at ? at.lineId : "id" in at ? at.id : null;
  const tank = design.tanks.find((one) => one.id === partId);
  const line = design.lines.find((one) => one.id === partId);
  const piece = design.gear.find((one) => one.id === partId);
  const length = (mm: number) => formatLength(mm, units);
  const kindOfRig = design.rig.kind;
  switch (kind) {
    case "drillHole": {
      const hole = listHoles(design, evaluation).find((one) => id === `${kind}:${one.id}`);
      return hole ? [...listHoleFigures(hole, units), ["with", describeSaw(hole.saw)]] : [];
    }
    case "fitTankPorts":
      return tank ? listPortFigures(tank, told) : [];
    case "fitFixing":
      return tank?.fixing
        ? [
            [FIXING_NAMES[tank.fixing.kind].name.toLowerCase(), `${tank.fixing.bolts} × ${tank.fixing.size}`],
            ["held in", FASTENER_NAMES[tank.fixing.fastener].toLowerCase()],
            ...listBoltHole(tank.fixing, length),
            ...listBoltFigures(tank, tank.fixing, length),
          ]
        : [];
    case "hangTank": {
      if (!tank) return [];
      const { min, max } = measureBareTank(tank);
      return [
        [`its ${nameSide("rear", kindOfRig)}, from the rear edge`, length(min.x)],
        [`its ${nameSide("right", kindOfRig)}, ${toSide(min.y)}`, length(Math.abs(min.y))],
        max.z <= 0
          ? ["the floor down to its top", length(-max.z)]
          : [`the floor ${min.z >= 0 ? "up" : "down"} to its underside`, length(Math.abs(min.z))],
        ["empty", formatQuantity(computeEmptyKg(tank), "weight", units)],
        ["full", formatQuantity(computeFullKg(tank), "weight", units)],
        ...listLoads(design)
          .filter((load) => load.kind === "pad" && load.at.id === tank.id)
          .map(
            ({ watts }): StepFigure => [
              "a heating pad, stuck on before it goes up",
              formatQuantity(watts, "power", units),
            ],
          ),
      ];
    }
    case "layCable": {
      const wire = listWires(design).find(({ load }) => id === toCableStepId(load.id));
      return wire ? listCableFigures(wire, told) : [];
    }
    case "layDrain":
      return line?.kind === "drain" ? listDrainFigures(line, told) : [];
    case "layDumpLine":
      return line?.kind === "dumpLine" ? listDumpFigures(line, told) : [];
    case "layVent":
    case "layHose":
      return line ? [["length", formatLengthToBuy(measureLineMm(design, line.id) / 1000, units)]] : [];
    case "fitTrap": {
      const trap = line?.kind === "drain" ? findTrap(line) : null;
      return trap && trap.sealMm > 0 ? [["water it holds back with", length(trap.sealMm)]] : [];
    }
    case "mountGear":
      return piece
        ? [
            ["its back, from the rear edge", length(piece.atMm.x)],
            [`its right side, ${toSide(piece.atMm.y)}`, length(Math.abs(piece.atMm.y))],
            [
              piece.atMm.z >= 0 ? "its underside, over the floor" : "its underside, below the floor",
              length(Math.abs(piece.atMm.z)),
            ],
          ]
        : [];
    case "trialTank": {
      if (!tank) return [];
      const group = listLevelGroup(design, tank);
      const litres = group.reduce((sum, { id }) => {
        return sum + (evaluation.tanks.find(({ tankId }) => tankId === id)?.capacityL ?? 0);
      }, 0);
      const others = group.filter((one) => one !== tank).map(({ name }) => name);
      const takes = others.length > 0 ? `it takes, with ${others.join(" and ")}` : "it takes";
      return [[takes, formatQuantity(litres, "volume", units)]];
    }
    case "joinTanks":
    case "trialDump":
    case "trialDrain":
    case "trialBack":
    case "trialHoses":
    case "trialLaunch":
    case "own":
      return [];
    case "closeUp":
      return design.lines.flatMap((one): StepFigure[] => {
        const thickMm = findInsulationMm(one);
        return thickMm > 0 ? [[`lag ${one.name}`, length(thickMm)]] : [];
      });
  }
}

function listBoltHole(fixing: Fixing, length: (mm: number) => string): StepFigure[] {
  const holeMm = findBoltHoleMm(fixing);
  if (holeMm === null) return [];
  return [[fixing.fastener === "rivetNut" ? "drill, if its maker says no other" : "drill", length(holeMm)]];
}

/** Nearer to the middle of the rig than this a mark is on it, mm. */
const ON_MIDDLE_MM = 0.5;
const isOnMiddle = (yMm: number): boolean => Math.abs(yMm) < ON_MIDDLE_MM;

// Where each is marked: rows that stand alike once, else row by row.
function listBoltFigures(tank: Tank, fixing: Fixing, length: (mm: number) => string): StepFigure[] {
  const rows = listBoltRows(tank, fixing);
  const from = (xMm: number) => `${xMm >= 0 ? "from" : "behind"} the rear edge`;
  const across = (ysMm: readonly number[], where: string): StepFigure[] =>
    [(y: number) => y >= ON_MIDDLE_MM, isOnMiddle, (y: number) => y <= -ON_MIDDLE_MM].flatMap(
      (isThere): StepFigure[] => {
        const side = ysMm.filter(isThere);
        if (side.length === 0) return [];
        const place = isThere === isOnMiddle ? "on the middle" : toSide(side[0]!);
        return [[`bolts${where}, ${place}`, side.map((y) => length(Math.abs(y))).join(", ")]];
      },
    );
  if (!areAlike(rows) || rows.some(({ xMm }) => xMm < 0))
    return rows.flatMap(({ xMm, ysMm }) => across(ysMm, ` ${length(Math.abs(xMm))} ${from(xMm)}`));
  return [
    [`rows of bolts, ${from(0)}`, rows.map(({ xMm }) => length(xMm)).join(", ")],
    ...across(rows[0]?.ysMm ?? [], " in each"),
  ];
}

const toSide = (yMm: number): string => `${yMm >= 0 ? "left" : "right"} of the middle`;

/** Size of a hole and where its middle is on the face that is drilled; through a wall or a hull with its height. */
export function listHoleFigures(hole: HoleEntry, units: Units): StepFigure[] {
  const [face] = hole.facesMm;
  const plan: StepFigure[] = [["hole", describeSize(hole, units)], ...listPlaceFigures(face, units)];
  if (hole.through === "floor") return plan;
  return [...plan, [face.z >= 0 ? "over the floor" : "below the floor", formatLength(Math.abs(face.z), units)]];
}

const listPlaceFigures = ({ x, y }: Vec3, units: Units): StepFigure[] => [
  [x >= 0 ? "from the rear edge" : "behind the rear edge", formatLength(Math.abs(x), units)],
  [toSide(y), formatLength(Math.abs(y), units)],
];

function listPortFigures(tank: Tank, { design, units }: Told): StepFigure[] {
  const holes = listPortHoles(tank);
  return tank.ports.map((port) => {
    const found = holes.get(port.id)!;
    const { cutMm, toEdgeMm } = found;
    const hole =
      cutMm === null
        ? `${isWeldedIn(toEdgeMm) ? "welded in, " : ""}bore ${formatLength(port.boreMm, units)}`
        : `hole ${formatLength(cutMm, units)} for ${THREAD_NAMES[port.thread ?? "none"]}`;
    const { side, middle } = describePortMiddle(tank, port, design.rig.kind, units);
    return [
      `${describePort(tank, port, design)}, ${hole}; ${side}, middle${liesBehind(found) ? " straight, not along the wall" : ""}`,
      middle,
    ];
  });
}

// The least of its runs is what a level shows; a drop has none.
function listDrainFigures({ id }: Drain, { design, evaluation, units }: Told): StepFigure[] {
  const drain = evaluation.drains.find(({ lineId }) => lineId === id);
  if (!drain) return [];
  const own = drain.legs.slice(0, drain.ownLegs);
  const runs = own.filter(({ kind }) => kind === "run");
  const slopes = runs.map(({ from, to, planLengthMm }) => (1000 * (from.z - to.z)) / planLengthMm);
  const clips = runs.map(({ index, lengthMm, pipe }) =>
    findClipSpacingMm(pipe, lengthMm > 0 ? (drain.worst.legs[index]?.fallMm ?? 0) / lengthMm : 0),
  );
  const grownMm = findGrowthMm(own, lookUpValue(design.rules, "nightAir"));
  return [
    ["length", formatLengthToBuy(sumLengthMm(own) / 1000, units)],
    ...listRunFigures(slopes, clips, units),
    ...(grownMm >= TOLD_GROWTH_MM
      ? [["grows, frost to hot; one clip tight, the others loose", formatLength(Math.round(grownMm), units)] as const]
      : []),
  ];
}

/** Less than this the play of the clips takes up, mm [T]. */
const TOLD_GROWTH_MM = 2;

function listDumpFigures(line: DumpLine, { design, units }: Told): StepFigure[] {
  const { lengthMm, legs } = buildDumpRun(design, line);
  const runs = legs.filter(({ kind }) => kind === "run");
  // as drawn, for it is laid with the rig level
  const slopes = runs.map(({ from, to, planLengthMm }) => (1000 * (from.z - to.z)) / planLengthMm);
  const clips = runs.map((leg) =>
    findClipSpacingMm(leg.pipe, leg.lengthMm > 0 ? Math.max(0, leg.fallMm) / leg.lengthMm : 0),
  );
  return [["length", formatLengthToBuy(lengthMm / 1000, units)], ...listRunFigures(slopes, clips, units)];
}

function listRunFigures(slopes: readonly number[], clips: readonly number[], units: Units): StepFigure[] {
  if (slopes.length === 0) return [];
  return [
    ["falls at the least", formatQuantity(Math.min(...slopes), "slope", units)],
    ["a clip at least every", formatLength(Math.floor(Math.min(...clips) / 10) * 10, units)],
  ];
}

function measureLineMm(design: Design, lineId: string): number {
  const line = design.lines.find(({ id }) => id === lineId);
  return line ? sumLengthMm(listLineLegs(design, line)) : 0;
}

function listCableFigures(
  { load, sizeMm2, lengthMm, fuseA, wantsRelay, glandMm }: Wire,
  { design, units }: Told,
): StepFigure[] {
  const { startedBy } = load;
  const floatOf = typeof startedBy === "object" ? design.gear.find(({ id }) => id === startedBy.floatOf)?.name : null;
  if (sizeMm2 === null || fuseA === null) return [["cable", NO_CABLE]];
  return [
    ["two cores", describeCable(sizeMm2, units)],
    ["from the fuse box, about", formatLengthToBuy(lengthMm / 1000, units)],
    ["fuse, at the box", `${formatNumber(fuseA, fuseA % 1 === 0 ? 0 : 1)}\u00a0A`],
    ...(floatOf ? ([["started by the float of", floatOf]] as const) : []),
    ...(startedBy === "switch"
      ? ([["on its way", wantsRelay ? "relay, and a switch for it" : "switch"]] as const)
      : []),
    ...(load.kind === "pad" ? ([["on only with", "water over it"]] as const) : []),
    ...(glandMm === null
      ? []
      : ([["through the floor", `hole of ${formatLength(glandMm, units)}, edge sealed, gland`]] as const)),
    ...(load.isOutside ? ([["under the floor", "waterproof connector"]] as const) : []),
  ];
}
