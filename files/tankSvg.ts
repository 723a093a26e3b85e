import type { Vec2 } from "@/core/geometry/polygon";
import { layOutFaces } from "@/core/templates/layOutFaces";
import type { FaceDrawing } from "@/core/templates/tankFaces";
import { describeHole, FACE_NAMES } from "@/words/templates";
import type { Units } from "@/words/units";

/** Faces of a tank in full size as an SVG file: one unit is one millimetre. */
export function writeSvg(drawings: readonly FaceDrawing[], units: Units): string {
  const { widthMm, heightMm, faces } = layOutFaces(drawings);
  const body = faces.flatMap(({ drawing, leftMm, lowMm }) => {
    const x = (u: number) => (leftMm + u).toFixed(3);
    const y = (v: number) => (heightMm - lowMm - v).toFixed(3);
    const path = (points: readonly Vec2[]) => `M${points.map(({ u, v }) => `${x(u)} ${y(v)}`).join("L")}Z`;
    return [
      `<g id="${drawing.face}">`,
      `<title>${FACE_NAMES[drawing.face]}</title>`,
      `<path class="outside" d="${path(drawing.outside)}"/>`,
      `<path class="inside" d="${path(drawing.inside)}" stroke-dasharray="4 3"/>`,
      ...drawing.holes.flatMap((hole) => {
        const { u, v } = hole.at;
        const arm = (hole.cutMm ?? hole.boreMm) / 2 + 6;
        const ring = (kind: string, mm: number, more = "") =>
          `<circle class="${kind}" cx="${x(u)}" cy="${y(v)}" r="${mm / 2}"${more}/>`;
        return [
          ring("bore", hole.boreMm, ' stroke-dasharray="2 2"'),
          ...(hole.cutMm === null ? [] : [ring("hole", hole.cutMm)]),
          `<path d="M${x(u - arm)} ${y(v)}H${x(u + arm)}M${x(u)} ${y(v - arm)}V${y(v + arm)}" stroke-width="0.2"/>`,
          `<text font-size="10" font-family="sans-serif" fill="#000" stroke="none" x="${x(u + arm + 2)}" y="${y(v)}">${describeHole(hole, units)}</text>`,
        ];
      }),
      `<text font-size="10" font-family="sans-serif" fill="#000" stroke="none" x="${x(0)}" y="${y(-16)}">${FACE_NAMES[drawing.face]}, from outside</text>`,
      "</g>",
    ];
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">`,
    `<g fill="none" stroke="#000" stroke-width="0.4">`,
    ...body,
    "</g>",
    "</svg>",
  ].join("\n");
}
