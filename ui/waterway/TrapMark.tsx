type Point = readonly [number, number];

/** A U with its water, where the line leaves the fixture: on the side it leaves by. */
export function TrapMark({ at: [x, y], towards: [nextX, nextY] }: { readonly at: Point; readonly towards: Point }) {
  const isAlong = Math.abs(nextX - x) >= Math.abs(nextY - y);
  const left = isAlong ? (nextX < x ? x - 14 : x + 2) : x - 6;
  const middle = isAlong ? y : nextY < y ? y - 8 : y + 9;
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={1.6}>
      <path d={`M${left} ${middle - 7}v7a6 6 0 0 0 12 0v-7`} fill="var(--sheet)" />
      <path d={`M${left + 1} ${middle - 2}h10`} stroke="var(--water)" strokeWidth={2} />
    </g>
  );
}
