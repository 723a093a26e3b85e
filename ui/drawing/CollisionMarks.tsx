import * as WORDS from "@/words/panels/drawing/collisionMarks";
import { formatLength, type Units } from "@/words/units";
import { HaloText } from "./HaloText";

/** A spot where something runs into something, on the sheet, and the room that lacks there; null where that is not one figure. */
export type Mark = { readonly id: string; readonly x: number; readonly y: number; readonly lacksMm: number | null };
type Named = Mark & { readonly lacksMm: number };

/** Two names nearer than this would lie on one another, px. */
const NAME_PX = { across: 96, up: 17 };

/** Crosses where something runs into something; of those close together only the worst says its millimetres. */
export function CollisionMarks({ marks, units }: { readonly marks: readonly Mark[]; readonly units: Units }) {
  const worstFirst = marks.filter((mark): mark is Named => mark.lacksMm !== null).sort((a, b) => b.lacksMm - a.lacksMm);
  const named: Named[] = [];
  for (const mark of worstFirst) if (!named.some((other) => isNear(other, mark))) named.push(mark);
  return (
    // over the handles, or one would hide the millimetres; the hand goes through to it
    <g stroke="var(--signal)" fill="none" strokeWidth={2} pointerEvents="none">
      {marks.map(({ id, x, y }) => (
        <path key={id} d={`M${x - 7} ${y - 7}l14 14m0 -14l-14 14`} />
      ))}
      {named.map(({ id, x, y, lacksMm }) => (
        <HaloText key={id} x={x + 11} y={y - 6} tone="signal">
          {WORDS.lack(formatLength(Math.ceil(lacksMm), units))}
        </HaloText>
      ))}
    </g>
  );
}

const isNear = (a: Mark, b: Mark): boolean => Math.abs(a.x - b.x) < NAME_PX.across && Math.abs(a.y - b.y) < NAME_PX.up;
