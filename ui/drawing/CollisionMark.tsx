import { formatLength, type Units } from "@/words/units";
import { HaloText } from "./HaloText";

/** A cross where something runs into something, with the millimetres that lack. */
export function CollisionMark({
  at: [x, y],
  lacksMm,
  units,
}: {
  readonly at: readonly [number, number];
  readonly lacksMm: number;
  readonly units: Units;
}) {
  return (
    <g stroke="var(--signal)" fill="none" strokeWidth={2}>
      <path d={`M${x - 7} ${y - 7}l14 14m0 -14l-14 14`} />
      <HaloText x={x + 11} y={y - 6} tone="signal">
        {`${formatLength(Math.ceil(lacksMm), units)} lack`}
      </HaloText>
    </g>
  );
}
