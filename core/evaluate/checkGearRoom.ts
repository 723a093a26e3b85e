import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Obstacle } from "../design/rig";
import { GIVES_MM } from "../fit/clashes";
import { toBlock } from "../fit/obstacleBlock";
import { findClearance, keepsAway } from "../fit/obstacleGaps";
import { hindersTanks } from "../fit/roles";
import { measureThroughSides } from "../fit/sides";
import { listTankBlocks, measureBlocksInFloorMm } from "../fit/tankBlocks";
import { isSetIn, toBelowBlock, toGearBlock } from "../gear/gearBlock";
import { type Block, measureBlockGap } from "../geometry/blocks";
import { createRecall } from "../quantity/recall";
import { isAtLeast } from "../quantity/tolerance";
import type { Limit } from "../rules/lookUpLimit";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** What may stand in the room of a piece of gear; only what is hot or moves asks for more than its own. */
type Other = {
  readonly kind: "gear" | "tank" | "obstacle";
  /** Gear alone. */
  readonly piece: Gear | null;
  readonly id: string;
  readonly name: string;
  readonly blocks: readonly Block[];
  readonly limit: Limit | null;
  /** A cabinet holds anything, and nothing stands through its sides. */
  readonly cabinet: Obstacle | null;
};

const recallRoom = createRecall<Design["gear"], readonly Finding[]>();

/**
 * What stands in the room of a piece of gear, or too near to it where it is hot or moves; and what stands under a housing
 * that is opened downward. Hoses are soft and are led past it.
 */
export const checkGearRoom = (design: Design): readonly Finding[] =>
  design.gear.length === 0
    ? []
    : recallRoom(design.gear, [design.tanks, design.obstacles, design.rules, design.rig], () => {
        const others = listOthers(design);
        return design.gear.flatMap((piece) =>
          isSetIn(piece) ? [] : [...checkInFloor(design, piece), ...checkPiece(piece, others)],
        );
      });

// A pump in a tank is where the tank is.
function checkInFloor(design: Design, piece: Gear): Finding[] {
  const body = toGearBlock(piece);
  const deepMm = measureBlocksInFloorMm(design, [body]);
  const isInTank =
    piece.spec.kind === "pump" &&
    design.tanks.some((tank) => listTankBlocks(tank).some((block) => measureBlockGap(body, block) < -GIVES_MM));
  return deepMm <= GIVES_MM || isInTank
    ? []
    : [createFinding({ kind: "gear", id: piece.id }, { code: "gearInFloor", deepMm })];
}

function listOthers({ gear, tanks, obstacles, rules }: Design): Other[] {
  return [
    ...gear.map((one): Other => {
      const blocks = isSetIn(one) ? [] : [toGearBlock(one)];
      return { kind: "gear", piece: one, id: one.id, name: one.name, blocks, limit: null, cabinet: null };
    }),
    ...tanks.map((tank): Other => {
      const { id, name } = tank;
      return { kind: "tank", piece: null, id, name, blocks: listTankBlocks(tank), limit: null, cabinet: null };
    }),
    ...obstacles.map((one): Other => {
      const limit = keepsAway(one) ? findClearance(rules, one) : null;
      const blocks = hindersTanks(one.kind) ? [toBlock(one)] : [];
      const cabinet = one.kind === "cabinet" ? one : null;
      return { kind: "obstacle", piece: null, id: one.id, name: one.name, blocks, limit, cabinet };
    }),
  ];
}

// A pump may stand in the water it draws: in a tank, or in the box of a sump.
function isMadeFor({ spec }: Gear, { kind, piece }: Other): boolean {
  const kinds = [spec.kind, piece?.spec.kind ?? kind];
  return kinds.includes("pump") && (kinds.includes("tank") || kinds.includes("sump"));
}

const measureGap = (block: Block, { blocks }: Other): number =>
  Math.min(Infinity, ...blocks.map((other) => measureBlockGap(block, other)));

function checkPiece(piece: Gear, others: readonly Other[]): Finding[] {
  const at = { kind: "gear", id: piece.id } as const;
  const body = toGearBlock(piece);
  const findings = others.flatMap((other): Finding[] => {
    // of two pieces one is told, whatever their order in the file
    if (other.kind === "gear" && other.id >= piece.id) return [];
    if (isMadeFor(piece, other)) return [];
    const throughMm = other.cabinet && measureThroughSides(body, other.cabinet);
    const gapMm = throughMm ?? measureGap(body, other);
    const isInside = gapMm < -GIVES_MM;
    const { limit } = other;
    if (!isInside && (!limit || isAtLeast(gapMm, limit.value ?? 0))) return [];
    const within = throughMm === null ? null : "side";
    const numbers = { code: "gearClashes", otherId: other.id, otherName: other.name, gapMm, within } as const;
    const severity = isInside && other.kind !== "gear" ? "must" : "should";
    return [createGraded(severity, at, numbers, isInside ? null : limit)];
  });
  return [...findings, ...checkBelow(piece, others)];
}

// A housing whose bowl is screwed off downward wants its own length under it.
function checkBelow(piece: Gear, others: readonly Other[]): Finding[] {
  const below = toBelowBlock(piece);
  if (!below) return [];
  const at = { kind: "gear", id: piece.id } as const;
  const { openBelowMm: wantedMm } = piece;
  const floorMm = piece.atMm.z >= 0 ? piece.atMm.z : Infinity;
  const [first] = others
    .filter((other) => other.id !== piece.id && measureGap(below, other) < -GIVES_MM)
    .map((other) => ({
      otherName: other.name,
      roomMm: Math.max(0, piece.atMm.z - Math.max(...other.blocks.map(({ max }) => max.z))),
    }))
    .sort((a, b) => a.roomMm - b.roomMm || (a.otherName < b.otherName ? -1 : 1));
  if (first && first.roomMm < floorMm) return [createFinding(at, { code: "gearShutIn", wantedMm, ...first })];
  return isAtLeast(floorMm, wantedMm)
    ? []
    : [createFinding(at, { code: "gearShutIn", wantedMm, otherName: null, roomMm: floorMm })];
}
