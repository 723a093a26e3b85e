import type { Field } from "./pen";
import type { Drawn } from "./recordStrokes";

const PT_MM = 0.3528;
const ANCHORS = { left: "start", middle: "middle", right: "end" } as const;
const round = (n: number): string => String(Math.round(n * 1_000) / 1_000);

/** What was drawn as an SVG file; `scale` mm of the file for each on the sheet, so that a plan can be in full size. */
export function strokesToSvg(drawn: readonly Drawn[], { width, height }: Field, scale = 1): string {
  const mm = (n: number) => round(n * scale);
  const dashOf = (dash: readonly number[]): string =>
    dash.length > 0 ? ` stroke-dasharray="${dash.map(mm).join(" ")}"` : "";
  const toElement = (one: Drawn): string => {
    switch (one.kind) {
      case "line":
        return `<path d="M${mm(one.from[0])} ${mm(one.from[1])}L${mm(one.to[0])} ${mm(one.to[1])}" stroke-width="${mm(one.width)}"${dashOf(one.dash)}/>`;
      case "rect":
        return `<rect x="${mm(one.at[0])}" y="${mm(one.at[1])}" width="${mm(one.size[0])}" height="${mm(one.size[1])}" stroke-width="${mm(one.width)}" fill="${fillOf(one.fill)}"${one.isDrawn ? "" : ' stroke="none"'}${dashOf(one.dash)}/>`;
      case "ellipse":
        return `<ellipse cx="${mm(one.at[0])}" cy="${mm(one.at[1])}" rx="${mm(one.radii[0])}" ry="${mm(one.radii[1])}" stroke-width="${mm(one.width)}" fill="${fillOf(one.fill)}"/>`;
      case "words":
        return `<text x="${mm(one.at[0])}" y="${mm(one.at[1])}" font-size="${mm(one.size * PT_MM)}" text-anchor="${ANCHORS[one.align]}"${one.isBold ? ' font-weight="bold"' : ""} fill="black" stroke="none">${escapeXml(one.text)}</text>`;
    }
  };
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}" fill="none" stroke="black" font-family="sans-serif">\n${drawn.map(toElement).join("\n")}\n</svg>\n`;
}

const fillOf = (fill: "none" | "paper" | "ink"): string =>
  fill === "paper" ? "white" : fill === "ink" ? "black" : "none";

const escapeXml = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[sign]!);
