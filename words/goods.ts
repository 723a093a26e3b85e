import { type Assembly, type BoughtFor, COUNTERS, type Counter, type Good, type Ware } from "@/core/build/goods";
import { type BuildStep, type StepKind, toCableStepId } from "@/core/build/steps";
import type { ToolKind } from "@/core/build/tools";
import { findWireGauge } from "@/core/build/wireGauge";
import type { Design } from "@/core/design/design";
import type { Bedding } from "@/core/design/gear";
import type { PartRef } from "@/core/design/part";
import { MM_PER_IN } from "@/core/quantity/convert";
import type { BuildRecord, PartState } from "@/core/record/record";
import { PORT_NAMES } from "./labels";
import { formatLengthToBuy } from "./lengthToBuy";
import { describeHose, describePart, describePipe } from "./parts";
import { SENDER_NAMES, THREAD_NAMES } from "./tankLabels";
import { formatLength, formatMl, formatNumber, formatQuantity, type Units } from "./units";

export const COUNTER_NAMES: Readonly<Record<Counter, string>> = {
  pipe: "Pipe, hose and fittings",
  tank: "Tank and what sits on it",
  fixings: "Clips, clamps and bolts",
  sealing: "Sealing and joining",
  gear: "Pumps, filters, valves",
  electrics: "Electrics",
  tools: "Tools",
};

/** Tools as they are asked for, and in inches where they differ. */
const TOOL_NAMES: Readonly<Record<ToolKind, string>> = {
  pilotBit: "pilot bit 6 mm",
  deburrer: "deburrer or round file",
  level: "spirit level, 600 mm or longer",
  pipeSaw: "fine saw with a mitre box",
  torqueWrench: "torque wrench",
  rivetNutTool: "rivet nut tool",
  crimper: "crimper for cable lugs",
  screwdriver: "driver for hose clamps, 7 mm",
};

const TOOLS_IN_INCHES: Readonly<Partial<Record<ToolKind, string>>> = {
  pilotBit: "pilot bit 1/4 in",
  level: "spirit level, 24 in or longer",
  screwdriver: "driver for hose clamps, 5/16 in",
};

/** What is said where nothing that is sold bears it. */
export const NO_CABLE =
  "none that is sold is thick enough; bring the fuse box nearer or take 24 V. What runs on mains or gas is for the licensed";

/** What must not be used beside what seals: putty loosens, solvents crack. */
export const SEALING_NOTE =
  "Polyurethane or hybrid sealant on holes. No putty: it loosens in a rig that shakes, and with soap and solvent it cracks ABS. Cement only for the pipe's own plastic; polypropylene and polyethylene cannot be cemented.";

const BEDDING_NAMES: Readonly<Record<Bedding, string>> = {
  polyurethane: "polyurethane for below the waterline",
  polysulphide: "polysulphide for below the waterline",
  butyl: "butyl tape or mastic",
  none: "no bedding",
};

/** What a hose is asked for by, beside its size. */
function listBoughtFor({ bearsKPa, isDrawn, isHot, isDrunk, isSewage, isFlushed }: BoughtFor, units: Units): string[] {
  const bears = bearsKPa === undefined ? [] : [`made for ${formatQuantity(bearsKPa, "waterPressure", units)}`];
  return [
    ...(isDrunk ? ["for drinking water"] : []),
    ...(isSewage ? ["for sewage"] : []),
    ...(isHot ? ["for hot water"] : []),
    ...bears.map((words) => (isHot ? `${words} when hot` : words)),
    ...(isDrawn ? ["for suction"] : []),
    ...(isFlushed ? ["as strong as the toilet's sheet asks"] : []),
  ];
}

/** A ware by the name it is asked for. */
export function nameWare(ware: Ware, units: Units): string {
  const mm = (value: number) => formatLength(value, units);
  switch (ware.kind) {
    case "part":
      return describePart(ware.part, units).name;
    case "union":
      return `union, so that the tank can come down, ${describePipe(ware.pipe, units)}`;
    case "clip":
      return `clip, ${describePipe(ware.pipe, units)}`;
    case "hoseClamp":
      return `hose clamp, stainless, ${mm(ware.pipe.outerMm)}`;
    case "adaptor":
      return `adaptor, ${THREAD_NAMES[ware.thread]} to ${describePipe(ware.pipe, units)}`;
    case "hose": {
      const name = ware.wall === undefined ? describePipe(ware.pipe, units) : describeHose(ware.wall, ware.pipe, units);
      return [name, ...(ware.duty ? listBoughtFor(ware.duty, units) : [])].join(", ");
    }
    case "sleeve":
      return `grommet or sealed sleeve for a hole of ${mm(ware.boreMm)}`;
    case "sealant":
      return "polyurethane or hybrid sealant";
    case "edgePrimer":
      return "primer for cut edges";
    case "ringGrease":
      return "silicone grease for rings, tube";
    case "cement":
      return "solvent cement and primer for the pipe's own plastic";
    case "threadTape":
      return "thread tape for tapered threads";
    case "sealWasher":
      return `sealing washer, ${THREAD_NAMES[ware.thread ?? "none"]}`;
    case "portFitting":
      if (ware.isWelded)
        return `${PORT_NAMES[ware.port].toLowerCase()} socket to weld in, ${ware.thread === null ? mm(ware.boreMm) : THREAD_NAMES[ware.thread]}`;
      return ware.thread === null
        ? `${PORT_NAMES[ware.port].toLowerCase()} bulkhead or grommet, ${mm(ware.boreMm)}`
        : `${PORT_NAMES[ware.port].toLowerCase()} fitting, ${THREAD_NAMES[ware.thread]}`;
    case "dumpCap":
      return `cap with a strap for the dump line, ${describePipe(ware.pipe, units)}`;
    case "dumpValve":
      return `dump valve, ${ware.drive === "manual" ? "by hand" : "electric"}, ${mm(ware.boreMm)}`;
    case "sender":
      return `level sender: ${SENDER_NAMES[ware.sender].name.toLowerCase()}`;
    case "tankJoin":
      return ware.by === "communicating"
        ? `pipe at the bottom to ${ware.to}, with a fitting at each end; its bore is yours to choose`
        : `pump and hose over to ${ware.to}; not drawn`;
    case "backingBlock":
      return "backing block for a skin fitting";
    case "cowl":
      return `cowl or skin fitting for a breather, ${describePipe(ware.pipe, units)}`;
    case "reducer":
      return `pressure reducer, ${formatQuantity(ware.kPa, "waterPressure", units)} or less`;
    case "seacock":
      return `seacock, ${mm(ware.boreMm)}`;
    case "bedding":
      return BEDDING_NAMES[ware.bedding];
    case "heaterPad":
      return `heating pad for a tank, ${formatQuantity(ware.watts, "power", units)} or more`;
    case "bolt":
      return `bolt ${ware.size}, class 8.8`;
    case "lockNut":
      return `lock nut ${ware.size}`;
    case "boltWasher":
      return `large washer ${ware.size}`;
    case "rivetNut":
      return `rivet nut ${ware.size}`;
    case "screw":
      return `screw ${ware.size}`;
    case "backPlate":
      return "backing plate";
    case "strap":
      return "tank strap";
    case "endStop":
      return "end stop";
    case "mesh":
      return "insect mesh for a breather";
    case "switch":
      return "switch for 10 A";
    case "relay":
      return "relay with its socket";
    case "gland":
      return `cable gland with its nut, for a hole of ${mm(ware.holeMm)}`;
    case "sealedConnector":
      return "waterproof connector, pair";
    case "foamStrip":
      return "closed-cell foam strip";
    case "lagging":
      return `lagging ${mm(ware.thickMm)}`;
    case "pipeLagging":
      return `lagging ${mm(ware.thickMm)} for pipe ${mm(ware.outerMm)}`;
    case "gear":
      return ware.name;
    case "cable":
      return `two-core cable ${describeCable(ware.mm2, units)}`;
    case "noCable":
      return `cable to ${ware.to}: ${NO_CABLE}`;
    case "fuse":
      return `fuse ${formatNumber(ware.amps, ware.amps % 1 === 0 ? 0 : 1)} A with its holder`;
    case "holeSaw":
      return units === "imperial" && ware.inch !== null
        ? `hole saw ${mm(ware.inch * MM_PER_IN)}`
        : ware.metricMm === null
          ? "hole larger than saws are sold: jigsaw"
          : `hole saw ${ware.metricMm} mm`;
    case "tool":
      return (units === "imperial" ? TOOLS_IN_INCHES[ware.tool] : undefined) ?? TOOL_NAMES[ware.tool];
  }
}

/** Copper of a cable as it is sold: by its area, or by the next thicker gauge. */
export function describeCable(mm2: number, units: Units): string {
  const gauge = units === "imperial" ? findWireGauge(mm2) : null;
  return gauge === null ? `${mm2} mm²` : `${gauge} AWG`;
}

/** Saws and tools are bought once, whatever they are needed for. */
const ONCE = new Set<Ware["kind"]>(["holeSaw", "tool", "ringGrease", "cement"]);

function formatAmount(ware: Ware, amount: number, units: Units): string {
  const { kind } = ware;
  if (ONCE.has(kind)) return "1";
  switch (ware.kind) {
    case "part":
      return ware.part.kind === "pipe" ? formatLengthToBuy(amount, units) : formatNumber(amount, 0);
    case "hose":
    case "cable":
    case "threadTape":
    case "foamStrip":
    case "pipeLagging":
      return formatLengthToBuy(amount, units);
    case "sealant":
    case "edgePrimer":
    case "bedding":
      return formatMl(Math.ceil(amount / 10) * 10, 0, units);
    case "lagging":
      return formatQuantity(Math.ceil(amount * 10) * 1e5, "area", units);
    default:
      return formatNumber(Math.ceil(amount - 1e-9), 0);
  }
}

/** One line of the shopping list; its key is the same in any units, so that what is noted of it stays. */
export type GoodsRow = {
  readonly key: string;
  readonly amount: string;
  /** Pieces, metres or mL as reckoned, for sums of prices. */
  readonly count: number;
  readonly name: string;
};

export type GoodsBy = "all" | "counter" | "assembly";
export const GOODS_BY: readonly GoodsBy[] = ["counter", "assembly", "all"];
export const GOODS_BY_NAMES: Readonly<Record<GoodsBy, string>> = {
  counter: "by shop counter",
  assembly: "by where it goes",
  all: "all in one",
};

/** The goods as a shopping list: equal ones counted together, under the headings asked for. */
export function listGoodsRows(
  goods: readonly Good[],
  design: Design,
  by: GoodsBy,
  units: Units,
): readonly { readonly title: string; readonly rows: readonly GoodsRow[] }[] {
  const groups = new Map<string, Good[]>();
  for (const good of goods) {
    const title =
      by === "all" ? "" : by === "counter" ? COUNTER_NAMES[good.counter] : nameAssembly(good.assembly, design);
    groups.set(title, [...(groups.get(title) ?? []), good]);
  }
  const order = by === "counter" ? COUNTERS.map((counter) => COUNTER_NAMES[counter]) : [...groups.keys()];
  return order.flatMap((title) => {
    const own = groups.get(title);
    return own ? [{ title, rows: sum(own, units) }] : [];
  });
}

function nameAssembly(assembly: Assembly, { tanks, lines, gear }: Design): string {
  if (assembly.kind === "rig") return "For the whole job";
  const { id } = assembly;
  const list = assembly.kind === "tank" ? tanks : assembly.kind === "line" ? lines : gear;
  return list.find((one: { readonly id: string }) => one.id === id)?.name ?? id;
}

function sum(goods: readonly Good[], units: Units): GoodsRow[] {
  const byKey = new Map<string, { readonly ware: Ware; amount: number }>();
  for (const { ware, amount } of goods) {
    const key = nameWare(ware, "metric");
    const known = byKey.get(key);
    if (!known) byKey.set(key, { ware, amount });
    else if (!ONCE.has(ware.kind)) known.amount += amount;
  }
  return [...byKey].map(([key, { ware, amount }]) => ({
    key,
    amount: formatAmount(ware, amount, units),
    count: ONCE.has(ware.kind) ? 1 : amount,
    name: nameWare(ware, units),
  }));
}

export const PART_STATE_NAMES: Readonly<Record<PartState, string>> = {
  wanted: "Wanted",
  ordered: "Ordered",
  came: "Here",
  sorted: "Sorted",
  built: "Built in",
};

const IS_HERE: ReadonlySet<PartState> = new Set(["came", "sorted", "built"]);

/** Whether a ware is here already, as the build record has it. */
export const isHere = ({ parts }: Pick<BuildRecord, "parts">, key: string): boolean =>
  IS_HERE.has(parts[key] ?? "wanted");

const isTrap = ({ ware }: Good): boolean =>
  ware.kind === "part" && (ware.part.kind === "trap" || ware.part.kind === "lineTrap");
const isAtHole = ({ ware }: Good): boolean =>
  ware.kind === "sleeve" || ware.kind === "sealant" || ware.kind === "edgePrimer";
const isLaid = (good: Good): boolean => !isTrap(good) && !isAtHole(good) && good.ware.kind !== "pipeLagging";

/** Which of its part's goods a step takes; trials take none, and pipes are lagged when they have held. */
const TAKES: Readonly<Partial<Record<StepKind, (good: Good, step: Pick<BuildStep, "id">) => boolean>>> = {
  fitTankPorts: ({ counter, ware }) => (counter === "tank" && ware.kind !== "tankJoin") || counter === "sealing",
  joinTanks: ({ ware }) => ware.kind === "tankJoin",
  fitFixing: ({ counter }) => counter === "fixings",
  hangTank: ({ ware }) => ware.kind === "lagging" || ware.kind === "heaterPad",
  drillHole: isAtHole,
  fitTrap: isTrap,
  layDrain: isLaid,
  layVent: isLaid,
  layDumpLine: isLaid,
  layHose: isLaid,
  mountGear: (good) => !isAtHole(good) && good.counter !== "electrics",
  closeUp: ({ ware }) => ware.kind === "pipeLagging",
  layCable: ({ ware, loadId }, { id }) => id === toCableStepId(loadId) && ware.kind !== "heaterPad",
};

/** What a step waits for: names of the goods it takes that are not here. */
export function listMissing(
  goods: readonly Good[],
  step: Pick<BuildStep, "id" | "kind" | "at">,
  build: Pick<BuildRecord, "parts">,
  design: Design,
  units: Units,
): readonly string[] {
  const wanted = goods.filter((good) => isFor(good.assembly, step.at) && TAKES[step.kind]?.(good, step));
  return listGoodsRows(wanted, design, "all", units).flatMap(({ rows }) =>
    rows.flatMap(({ key, name }) => (isHere(build, key) ? [] : [name])),
  );
}

function isFor(assembly: Assembly, at: PartRef): boolean {
  if (assembly.kind === "rig") return false;
  // closing up is of every part
  if (at.kind === "rig") return true;
  if (at.kind === "trap") return assembly.kind === "line" && assembly.id === at.lineId;
  return at.kind === assembly.kind && "id" in at && at.id === assembly.id;
}
