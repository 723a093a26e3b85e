import type { HoseWall, Pipe } from "@/core/design/plumbing";
import type { Part } from "@/core/parts/listParts";
import { findPipeSize, type PipeSize } from "@/core/parts/pipes";
import { FITTING_NAMES, INLINE_NAMES, TRAP_NAMES } from "./drainLabels";
import { HOSE_WALL_NAMES } from "./heads";
import { BRANCH_VENT_NAMES } from "./labels";
import { formatLengthToBuy } from "./lengthToBuy";
import { formatLengthFigure, lengthUnit, type Units } from "./units";

export const FAMILY_NAMES: Readonly<Record<PipeSize["family"], string>> = {
  metricWaste: "Waste pipe",
  schedule40: "Schedule 40",
  smoothHose: "Smooth hose",
  ribbedHose: "Ribbed hose",
};

/** A pipe by the name it is bought under, or by its measures. */
export function describePipe(pipe: Pipe, units: Units): string {
  const size = findPipeSize(pipe);
  if (!size)
    return `pipe ${formatLengthFigure(pipe.innerMm, units)} / ${formatLengthFigure(pipe.outerMm, units)} ${lengthUnit(units)}`;
  return describeSize(size, units);
}

/** A hose by what its wall is made of and its size: "barrier hose 38 mm"; what is ribbed inside says so. */
export function describeHose(wall: HoseWall, pipe: Pipe, units: Units): string {
  const size = findPipeSize(pipe);
  if (!size) return `${HOSE_WALL_NAMES[wall]}, ${describePipe(pipe, units)}`;
  const ribbed = size.family === "ribbedHose" ? ", ribbed" : "";
  return `${HOSE_WALL_NAMES[wall]} ${nameSize(size, units)}${ribbed}`;
}

/** Hoses by the inch sizes they are sold under. */
const HOSE_INCHES: Readonly<Record<string, string>> = {
  "13": "½ in",
  "16": "⅝ in",
  "19": "¾ in",
  "25": "1 in",
  "32": "1¼ in",
  "38": "1½ in",
  "40": "1½ in",
  "50": "2 in",
};

/** Family and size as at the counter: "Waste pipe 40 mm"; hoses in the reader's own sizes, metric pipe with what it comes to. */
export function describeSize({ family, call, pipe }: PipeSize, units: Units): string {
  const name = FAMILY_NAMES[family];
  return family === "metricWaste" && units !== "metric"
    ? `Metric ${name.toLowerCase()} ${call} mm (${formatLengthFigure(pipe.outerMm, units)} in outside)`
    : `${name} ${nameSize({ call }, units)}`;
}

function nameSize({ call }: Pick<PipeSize, "call">, units: Units): string {
  if (/in$/.test(call)) return call;
  return units === "metric" ? `${call} mm` : (HOSE_INCHES[call] ?? `${call} mm`);
}

/** How much of a part, and what it is. */
export function describePart(part: Part, units: Units): { readonly amount: string; readonly name: string } {
  if (part.kind === "pipe") {
    return { amount: formatLengthToBuy(part.lengthM, units), name: describePipe(part.pipe, units) };
  }
  return { amount: String(part.count), name: nameOf(part, units) };
}

function nameOf(part: Exclude<Part, { kind: "pipe" }>, units: Units): string {
  switch (part.kind) {
    case "bend":
      return `bend ${part.angleDeg}°, ${describePipe(part.pipe, units)}`;
    case "junction":
      return `${FITTING_NAMES[part.fitting].name.toLowerCase()}, ${describePipe(part.pipe, units)}`;
    case "reducer":
      return `reducer, ${describePipe(part.from, units)} to ${describePipe(part.to, units)}`;
    case "joint":
      return part.joint === "union"
        ? `union, ${describePipe(part.to, units)}`
        : `hose barb and clamp, ${describePipe(part.from, units)} to ${describePipe(part.to, units)}`;
    case "ventTee":
      return `tee for breathers, ${describePipe(part.pipe, units)}`;
    case "inline":
      return `${INLINE_NAMES[part.piece].name}, ${describePipe(part.pipe, units)}`;
    case "lineTrap":
      return `${TRAP_NAMES.running.name} in the line, ${describePipe(part.pipe, units)}`;
    case "trap":
      return `${TRAP_NAMES[part.trap].name}, ${describePipe(part.pipe, units)}`;
    case "admittanceValve":
      return `${BRANCH_VENT_NAMES.admittanceValve}, ${describePipe(part.pipe, units)}`;
  }
}
