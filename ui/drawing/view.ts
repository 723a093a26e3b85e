/** How a drawing's millimetres lie on the screen: x to the right, up is up. */
export type View = {
  readonly width: number;
  readonly height: number;
  /** Pixels per millimetre across and up. */
  readonly kx: number;
  readonly ky: number;
  readonly x: (across: number) => number;
  readonly y: (up: number) => number;
};

export type Bounds = { readonly left: number; readonly right: number; readonly low: number; readonly high: number };
export type Pad = { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number };
export type Zoom = { readonly k: number; readonly x: number; readonly y: number };

export const NO_ZOOM: Zoom = { k: 1, x: 0, y: 0 };

/** The exaggerations of height on offer; the drawing takes the largest that fits when none is chosen. */
export const EXAGGERATIONS = [1, 2, 3, 5] as const;

type FitInput = {
  readonly bounds: Bounds;
  readonly width: number;
  readonly height: number;
  readonly pad: Pad;
  readonly exaggeration: number | null;
  readonly zoom: Zoom;
};

/** Fits bounds into a frame, heights drawn `exaggeration` times as tall as lengths, then zooms. */
export function fitView({ bounds, width, height, pad, exaggeration, zoom }: FitInput): View & { ratio: number } {
  const roomX = Math.max(20, width - pad.left - pad.right);
  const roomY = Math.max(20, height - pad.top - pad.bottom);
  const spanX = Math.max(1, bounds.right - bounds.left);
  const spanY = Math.max(1, bounds.high - bounds.low);
  const widest = roomX / spanX;
  const ratio = exaggeration ?? EXAGGERATIONS.findLast((e) => e === 1 || spanY * widest * e <= roomY) ?? 1;
  const k = Math.min(widest, roomY / (spanY * ratio));
  const left = pad.left + (roomX - spanX * k) / 2 - bounds.left * k;
  const base = pad.top + (roomY - spanY * k * ratio) / 2 + bounds.high * k * ratio;
  return {
    width,
    height,
    ratio,
    kx: k * zoom.k,
    ky: k * ratio * zoom.k,
    x: (across) => (left + across * k) * zoom.k + zoom.x,
    y: (up) => (base - up * k * ratio) * zoom.k + zoom.y,
  };
}

/** To a tenth of a pixel: finer is not seen. */
export const roundPx = (px: number): number => Math.round(px * 10) / 10;

/** Corners of a line or outline, px, as SVG lists them. */
export const listPoints = (corners: readonly (readonly [number, number])[]): string =>
  corners.map(([x, y]) => toCorner(x, y)).join(" ");

/** Corners of a line or outline of the rig as SVG lists them. */
export const toPoints = (view: View, points: readonly (readonly [number, number])[]): string =>
  points.map(([a, b]) => toCorner(view.x(a), view.y(b))).join(" ");

/** Corners of a round mark, px. Its right, top, left and bottom are corners, so it is as wide as it says. */
export function listRound(x: number, y: number, r: number): string {
  let points = "";
  for (let i = 0; i < ROUND.length; i++)
    points += `${i ? " " : ""}${toCorner(x + r * ROUND[i]![0], y + r * ROUND[i]![1])}`;
  return points;
}

/** So many corners that none is seen at the size of a mark. */
const ROUND = Array.from({ length: 24 }, (_, i) => {
  const angle = (i * Math.PI) / 12;
  return [Math.cos(angle), Math.sin(angle)] as const;
});

/** Corners of an upright box from its left top, px, each cut off by so much. */
export function listBox(x: number, y: number, width: number, height: number, cut = 0): string {
  const [right, bottom] = [x + width, y + height];
  if (cut === 0) {
    return `${toCorner(x, y)} ${toCorner(right, y)} ${toCorner(right, bottom)} ${toCorner(x, bottom)}`;
  }
  // a corner rounded in two strokes
  const near = 0.3 * cut;
  return listPoints([
    [x + cut, y],
    [right - cut, y],
    [right - near, y + near],
    [right, y + cut],
    [right, bottom - cut],
    [right - near, bottom - near],
    [right - cut, bottom],
    [x + cut, bottom],
    [x + near, bottom - near],
    [x, bottom - cut],
    [x, y + cut],
    [x + near, y + near],
  ]);
}

const toCorner = (x: number, y: number): string => `${x.toFixed(1)},${y.toFixed(1)}`;

/** A polyline or outline as an SVG path. */
export function toPath(view: View, points: readonly (readonly [number, number])[], close = false): string {
  const steps = points.map(([a, b], i) => `${i === 0 ? "M" : "L"}${view.x(a).toFixed(1)} ${view.y(b).toFixed(1)}`);
  return `${steps.join("")}${close ? "Z" : ""}`;
}

/** A round distance for ticks so that they stand at least `leastPx` apart: 1, 2 or 5 times a power of ten, mm. */
export function findTickStep(pxPerMm: number, leastPx: number): number {
  const least = leastPx / pxPerMm;
  const power = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((n) => n * power).find((step) => step >= least) ?? 10 * power;
}

/** Multiples of a step within [from, to]. */
export function listTicks(from: number, to: number, step: number): number[] {
  const first = Math.ceil(from / step);
  const count = Math.max(0, Math.floor(to / step) - first + 1);
  return Array.from({ length: Math.min(count, 400) }, (_, i) => (first + i) * step);
}
