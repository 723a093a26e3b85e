import { memo, type SVGProps } from "react";
import { listBox, listRound } from "./view";

// Corners are not style, a path's course is: browsers work out the style of a path anew whenever it moves, and of
// these never. Memos, because most of a drawing stands still while something in it is pulled.

type StrokeProps = Omit<SVGProps<SVGPolylineElement>, "points" | "ref"> & { readonly points: string };

/** An open line through corners. */
export const Stroke = memo(function Stroke(props: StrokeProps) {
  return <polyline fill="none" {...props} />;
});

/**
 * The paper a drawing lies on. It reaches further than all that is drawn, so that nothing that is pulled changes how far
 * the drawing reaches; where that changes, the browser sorts all layers of the page anew.
 */
export const Paper = memo(function Paper() {
  return <rect x={-PAPER_PX} y={-PAPER_PX} width={2 * PAPER_PX} height={2 * PAPER_PX} fill="var(--sheet)" />;
});

const PAPER_PX = 50_000;

type OutlineProps = Omit<SVGProps<SVGPolygonElement>, "points" | "ref"> & { readonly points: string };

/** A closed line through corners. */
export const Outline = memo(function Outline(props: OutlineProps) {
  return <polygon {...props} />;
});

type DiscProps = Omit<OutlineProps, "points" | "x" | "y" | "r"> & {
  readonly x: number;
  readonly y: number;
  readonly r: number;
};

/** A round mark, as an outline of many corners: a circle's middle is style to browsers, as a path's course is. */
export const Disc = memo(function Disc({ x, y, r, ...props }: DiscProps) {
  return <polygon points={listRound(x, y, r)} strokeLinejoin="round" {...props} />;
});

type PlateProps = Omit<OutlineProps, "points" | "x" | "y" | "width" | "height"> & {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** How far its corners are cut, px. */
  readonly cut?: number;
};

/** An upright mark with four sides, as an outline, for the same reason. */
export const Plate = memo(function Plate({ x, y, width, height, cut = 0, ...props }: PlateProps) {
  return <polygon points={listBox(x, y, width, height, cut)} {...props} />;
});
