import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { placeGearPort } from "../gear/gearPorts";

export type BowlLoop = {
  readonly bowl: Gear;
  readonly loop: Gear;
  /** How far the loop's top stands over what it has to stand over at the bowl, mm; below 0 under it. */
  readonly overMm: number;
};

/**
 * The vented loops on the way from a bowl, up to the first tank or hole, and how high each stands over the bowl: on the side of
 * the flush over its rim, that the bowl does not fill by itself; on the side of the waste over its outlet, that nothing runs
 * out of it by itself and back into it. Common practice, no source [T].
 */
export function listBowlLoops(design: Design): BowlLoop[] {
  return design.gear.flatMap((bowl) => {
    if (bowl.spec.kind !== "bowl") return [];
    const rimZ = bowl.atMm.z + bowl.sizeMm.z;
    return [
      ...findLoops(design, bowl, "flush").map((loop) => ({ bowl, loop, overMm: topOf(loop) - rimZ })),
      ...findLoops(design, bowl, "waste").map((loop) => ({
        bowl,
        loop,
        overMm: topOf(loop) - placeGearPort(bowl, "waste").z,
      })),
    ];
  });
}

const topOf = ({ atMm, sizeMm }: Gear): number => atMm.z + sizeMm.z;

// Along hoses and through gear, but through no other bowl, and no further than a loop.
function findLoops({ gear, lines }: Design, bowl: Gear, port: "flush" | "waste"): Gear[] {
  const byId = new Map(gear.map((piece) => [piece.id, piece]));
  const seen = new Set([bowl.id]);
  const found: Gear[] = [];
  const step = (id: string, only: string | null): string[] =>
    lines.flatMap((line) => {
      if (line.kind !== "hose") return [];
      const { from, to } = line;
      return [
        [from, to],
        [to, from],
      ].flatMap(([here, there]) =>
        here?.kind === "gear" && here.gearId === id && (only === null || here.port === only) && there?.kind === "gear"
          ? [there.gearId]
          : [],
      );
    });
  const open = step(bowl.id, port);
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    const piece = byId.get(id);
    if (!piece || seen.has(id) || piece.spec.kind === "bowl") continue;
    seen.add(id);
    if (piece.spec.kind === "ventedLoop") found.push(piece);
    else open.push(...step(id, null));
  }
  return found;
}
