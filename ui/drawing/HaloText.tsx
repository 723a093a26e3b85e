type HaloTextProps = {
  readonly x: number;
  readonly y: number;
  readonly anchor?: "start" | "middle" | "end";
  readonly tone?: "faint" | "signal" | "ink";
  readonly children: string;
};

/** A name written in a drawing, with a rim of plain sheet so that no line runs through it. */
export function HaloText({ x, y, anchor = "start", tone = "faint", children }: HaloTextProps) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      fontSize={12}
      stroke="var(--sheet)"
      strokeWidth={3}
      paintOrder="stroke"
      style={{ fill: `var(--${tone})` }}
    >
      {children}
    </text>
  );
}
