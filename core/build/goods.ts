import type { Design } from "../design/design";
import type { Bedding, GearKind } from "../design/gear";
import type { Fixing, HoseWall, LinkKind, Pipe, PortKind, Sender, Tank, Thread } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import { toTankBlock } from "../fit/obstacleGaps";
import type { Part } from "../parts/listParts";
import { inToMm } from "../quantity/convert";
import { findTankJoin } from "../tanks/tankJoins";
import { listExits } from "../through/exits";
import { listHoles } from "../through/holes";
import { chooseOwnSaw } from "../through/saws";
import { listLineGoods } from "./lineGoods";
import { listPortGoods } from "./portGoods";
import { listSkinGoods } from "./skinGoods";
import { listTools, type ToolKind } from "./tools";
import { listWires } from "./wiring";

/** Which counter of a shop it is bought at. */
export const COUNTERS = ["pipe", "tank", "fixings", "sealing", "gear", "electrics", "tools"] as const;
export type Counter = (typeof COUNTERS)[number];

/** What is bought; how much stands beside it, in pieces unless said. */
/** What a hose is bought for: the least pressure it is made for, kPa, and what it must stand; what asks for nothing is left away. */
export type BoughtFor = {
  readonly bearsKPa?: number;
  readonly isDrawn?: true;
  readonly isHot?: true;
  readonly isDrunk?: true;
  readonly isSewage?: true;
  /** A toilet's own pump sends waste through it. */
  readonly isFlushed?: true;
};

export type Ware =
  | { readonly kind: "part"; readonly part: Part }
  | { readonly kind: "union" | "clip" | "hoseClamp"; readonly pipe: Pipe }
  /** From a thread in a tank's wall to the pipe or hose that goes on it. */
  | { readonly kind: "adaptor"; readonly thread: Thread; readonly pipe: Pipe }
  /** Hose, m. */
  | { readonly kind: "dumpCap"; readonly pipe: Pipe }
  | { readonly kind: "hose"; readonly pipe: Pipe; readonly wall?: HoseWall | undefined; readonly duty?: BoughtFor }
  | { readonly kind: "sleeve"; readonly boreMm: number }
  /** mL. */
  | { readonly kind: "sealant" | "edgePrimer" }
  /** Of a pipe's family: rings want grease, sockets cement. */
  | { readonly kind: "ringGrease" | "cement" }
  /** m. */
  | { readonly kind: "threadTape" }
  | {
      readonly kind: "sealWasher" | "portFitting";
      readonly thread: Thread | null;
      readonly boreMm: number;
      readonly port: PortKind;
      /** No nut has room there: it is welded in, or moulded. */
      readonly isWelded?: boolean;
    }
  | { readonly kind: "dumpValve"; readonly drive: "manual" | "electric"; readonly boreMm: number }
  | { readonly kind: "sender"; readonly sender: Sender["kind"] }
  /** What a tank goes on in another by, where nobody has drawn it. */
  | { readonly kind: "tankJoin"; readonly by: LinkKind; readonly to: string }
  | { readonly kind: "bolt" | "lockNut" | "boltWasher" | "rivetNut" | "screw"; readonly size: Fixing["size"] }
  /** Inside a hull, under a skin fitting; the cock on it; and mL of what it is bedded on. */
  | { readonly kind: "backingBlock" }
  /** Over the end of a breather, outside on a side or a roof. */
  | { readonly kind: "cowl"; readonly pipe: Pipe }
  /** At a tap outside; what it lets through, kPa. */
  | { readonly kind: "reducer"; readonly kPa: number }
  | { readonly kind: "seacock"; readonly boreMm: number }
  | { readonly kind: "bedding"; readonly bedding: Bedding }
  /** Under a tank that freezes, W. */
  | { readonly kind: "heaterPad"; readonly watts: number }
  | { readonly kind: "gland"; readonly holeMm: number }
  | { readonly kind: "backPlate" | "strap" | "endStop" | "mesh" | "switch" | "relay" | "sealedConnector" }
  /** m. */
  | { readonly kind: "foamStrip" }
  /** m². */
  | { readonly kind: "lagging"; readonly thickMm: number }
  /** Foam tube for pipe and hose, m. */
  | { readonly kind: "pipeLagging"; readonly thickMm: number; readonly outerMm: number }
  | { readonly kind: "gear"; readonly gear: GearKind; readonly name: string }
  /** m. */
  | { readonly kind: "cable"; readonly mm2: number }
  /** What nothing that is sold is thick enough for. */
  | { readonly kind: "noCable"; readonly to: string }
  | { readonly kind: "fuse"; readonly amps: number }
  | { readonly kind: "holeSaw"; readonly metricMm: number | null; readonly inch: number | null }
  | { readonly kind: "tool"; readonly tool: ToolKind };

/** Where it goes: a tank, a line, a piece of gear, or the rig as a whole. */
export type Assembly = { readonly kind: "tank" | "line" | "gear"; readonly id: string } | { readonly kind: "rig" };

export type Good = {
  readonly ware: Ware;
  readonly amount: number;
  readonly assembly: Assembly;
  readonly counter: Counter;
  /** Of electrics: what the current is for. */
  readonly loadId?: string;
};

/** Bead along the edge of a hole, both faces, mm² [T]; edge primer a hole, mL [T]. */
const BEAD_MM2 = 36;
const PRIMER_ML = 2;
/** Spare of foam, lagging and cable, a share [T]. */
const SPARE = 1.1;

/**
 * Everything the water side takes, by where it goes: pipe and fittings, clips at the spacing that keeps the belly under the
 * fall, what seals each hole and thread, what holds each tank, gear, hoses with clamps, cable with its fuse, and the tools.
 * Saws that the own box, mm across, has a fit one for are not bought. Source: geometry; beads, tape, spare and clips of hoses are practice [C on T].
 */
export function listGoods(design: Design, evaluation: Evaluation, ownSawsMm: readonly number[] = []): Good[] {
  const goods = [
    ...listLineGoods(design, evaluation),
    ...design.tanks.flatMap((tank) => [...listTankGoods(tank), ...listJoinGoods(design, tank)]),
    ...design.gear.map(
      ({ id, name, spec }): Good => ({
        ware: { kind: "gear", gear: spec.kind, name },
        amount: 1,
        assembly: { kind: "gear", id },
        counter: "gear",
      }),
    ),
    ...listSkinGoods(design),
    ...listHoleGoods(design, evaluation, ownSawsMm),
    ...listExits(design, evaluation).flatMap(({ line: { id, kind }, pipe }): Good[] =>
      kind === "vent"
        ? [{ ware: { kind: "cowl", pipe }, amount: 1, assembly: { kind: "line", id }, counter: "pipe" }]
        : [],
    ),
    ...listWireGoods(design),
    ...listTools(design),
  ];
  // a hose of a hand's length wants no clip
  return goods.filter(({ amount }) => amount > 0);
}

function listTankGoods(tank: Tank): Good[] {
  const assembly = { kind: "tank", id: tank.id } as const;
  const good = (ware: Ware, amount: number, counter: Counter): Good => ({ ware, amount, assembly, counter });
  const sender = tank.sender ? [good({ kind: "sender", sender: tank.sender.kind }, 1, "tank")] : [];
  const { min, max } = toTankBlock(tank);
  const [x, y, z] = [max.x - min.x, max.y - min.y, max.z - min.z].map((mm) => mm / 1000) as [number, number, number];
  const lagging =
    tank.insulationMm > 0
      ? [good({ kind: "lagging", thickMm: tank.insulationMm }, 2 * (x * y + y * z + x * z) * SPARE, "tank")]
      : [];
  return [
    ...listPortGoods(tank),
    ...sender,
    ...lagging,
    ...(tank.fixing ? listFixingGoods(tank.fixing, Math.max(x, y), good) : []),
  ];
}

function listJoinGoods(design: Design, tank: Tank): Good[] {
  const join = findTankJoin(design, tank);
  const assembly = { kind: "tank", id: tank.id } as const;
  return join
    ? [{ ware: { kind: "tankJoin", by: join.kind, to: join.to.name }, amount: 1, assembly, counter: "tank" }]
    : [];
}

function listFixingGoods(
  { kind, fastener, bolts, size, hasPlate, hasEndStop }: Fixing,
  lengthM: number,
  good: (ware: Ware, amount: number, counter: Counter) => Good,
): Good[] {
  const held: Readonly<Record<Fixing["fastener"], Good[]>> = {
    through: [
      good({ kind: "bolt", size }, bolts, "fixings"),
      good({ kind: "lockNut", size }, bolts, "fixings"),
      good({ kind: "boltWasher", size }, 2 * bolts, "fixings"),
    ],
    rivetNut: [
      good({ kind: "rivetNut", size }, bolts, "fixings"),
      good({ kind: "bolt", size }, bolts, "fixings"),
      good({ kind: "boltWasher", size }, bolts, "fixings"),
    ],
    selfTapping: [good({ kind: "screw", size }, bolts, "fixings")],
  };
  const straps = kind === "straps" ? Math.max(1, Math.floor(bolts / 2)) : 0;
  return [
    ...held[fastener],
    ...(hasPlate && fastener === "through" ? [good({ kind: "backPlate" }, bolts, "fixings")] : []),
    ...(straps > 0 ? [good({ kind: "strap" }, straps, "fixings")] : []),
    ...(hasEndStop ? [good({ kind: "endStop" }, 2, "fixings")] : []),
    // between tank and what holds it, so that neither chafes
    ...(kind === "brackets" ? [] : [good({ kind: "foamStrip" }, 2 * lengthM * SPARE, "fixings")]),
  ];
}

function listHoleGoods(design: Design, evaluation: Evaluation, ownSawsMm: readonly number[]): Good[] {
  return listHoles(design, evaluation).flatMap((hole) => {
    const { lineId, gearId, widthMm, lengthMm, through, saw } = hole;
    const own = chooseOwnSaw(hole, ownSawsMm);
    const assembly: Assembly = lineId !== null ? { kind: "line", id: lineId } : { kind: "gear", id: gearId! };
    const isOwn = own?.isFit === true;
    // a hole on the slope is sawn round too, as wide as it is long
    const sawnMm = isOwn ? own.sawMm : (saw.metricMm ?? (saw.inch === null ? Math.ceil(lengthMm) : inToMm(saw.inch)));
    const beadMl = (Math.PI * Math.max(widthMm, lengthMm) * 2 * BEAD_MM2) / 1000 + (isOwn ? own.moreSealantMl : 0);
    return [
      ...(gearId === null
        ? [{ ware: { kind: "sleeve", boreMm: Math.round(sawnMm) }, amount: 1, assembly, counter: "sealing" } as const]
        : []),
      { ware: { kind: "sealant" }, amount: beadMl, assembly, counter: "sealing" } as const,
      ...(through === "panel"
        ? []
        : [{ ware: { kind: "edgePrimer" }, amount: PRIMER_ML, assembly, counter: "sealing" } as const]),
      ...(isOwn
        ? []
        : [{ ware: { kind: "holeSaw", ...saw }, amount: 1, assembly: { kind: "rig" }, counter: "tools" } as const]),
    ];
  });
}

function listWireGoods(design: Design): Good[] {
  return listWires(design).flatMap(({ load, sizeMm2, lengthMm, fuseA, wantsRelay, glandMm }) => {
    const { id, kind, at, name, watts, isOutside, startedBy } = load;
    const good = (ware: Ware, amount: number): Good => ({
      ware,
      amount,
      assembly: at,
      counter: "electrics",
      loadId: id,
    });
    return [
      ...(kind === "pad" ? [good({ kind: "heaterPad", watts }, 1)] : []),
      sizeMm2 === null
        ? good({ kind: "noCable", to: name }, 1)
        : good({ kind: "cable", mm2: sizeMm2 }, (lengthMm / 1000) * SPARE),
      ...(fuseA === null ? [] : [good({ kind: "fuse", amps: fuseA }, 1)]),
      ...(startedBy === "switch" ? [good({ kind: "switch" }, 1)] : []),
      ...(wantsRelay ? [good({ kind: "relay" }, 1)] : []),
      ...(isOutside ? [good({ kind: "sealedConnector" }, 1)] : []),
      ...(glandMm === null ? [] : [good({ kind: "gland", holeMm: glandMm }, 1)]),
    ];
  });
}
