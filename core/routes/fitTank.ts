import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import type { HeldWater } from "../design/plumbing";
import { startChain, tryChain } from "../edits/editChain";
import { hangTank } from "../edits/hangTank";
import { type Vec3, vec } from "../geometry/vec";
import { fitBest, type OnStep } from "./fitBest";

/** Where along and across the floor a tank is wanted, as shares of its length and half its width. */
const ALONG = [0.5, 0.3, 0.7, 0.15, 0.85] as const;
const ACROSS = [0, 0.5, -0.5] as const;

/** Edit that hangs a tank with its breather and its way out, where that brings the least to be settled. */
export function buildFitTank(
  design: Design,
  { holds, name }: { readonly holds: HeldWater; readonly name: string },
  onStep?: OnStep,
): Edit | null {
  const { lengthMm, widthMm } = design.rig;
  const nears: (Vec3 | null)[] = [
    null,
    ...ALONG.flatMap((x) => ACROSS.map((y) => vec(x * lengthMm, (y * widthMm) / 2, 0))),
  ];
  const ways = nears.map(
    (near) => () =>
      tryChain((): Edit => {
        const chain = startChain(design);
        const { id } = hangTank(chain, { holds, name, near });
        return { code: "addTank", at: { kind: "tank", id }, ops: chain.ops() };
      }),
  );
  return fitBest(design, ways, onStep);
}
