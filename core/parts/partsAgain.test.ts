import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { measureVentLengthMm } from "../air/ventPath";
import type { Design } from "../design/design";
import { findBranchVent, findLineTrap, findTrap, listInlinePieces, listPipeChanges } from "../design/lineItems";
import type { Pipe } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { listLineLegs } from "../fit/lineLegs";
import { listParts, type Part } from "./listParts";

const countOf = (parts: readonly Part[], kind: Part["kind"]): number =>
  parts.reduce((sum, part) => sum + (part.kind === kind && "count" in part ? part.count : 0), 0);

/** What is drawn of each size of pipe, m, breathers apart: those are led on through a wall. */
function sumDrawn(design: Design): Map<string, number> {
  const sums = new Map<string, number>();
  const put = (pipe: Pipe, lengthMm: number) =>
    sums.set(JSON.stringify(pipe), (sums.get(JSON.stringify(pipe)) ?? 0) + lengthMm / 1000);
  for (const line of design.lines) {
    if (line.kind === "drain") for (const leg of buildDrainPath(design, line).ownLegs) put(leg.pipe, leg.lengthMm);
    if (line.kind === "dumpLine") for (const leg of listLineLegs(design, line)) put(leg.pipe, leg.lengthMm);
    if (line.kind === "vent") put(line.pipe, measureVentLengthMm(design, line));
  }
  return sums;
}

function expectAll(design: Design): void {
  const parts = listParts(design);
  const drains = design.lines.flatMap((line) => (line.kind === "drain" ? [line] : []));
  const vents = design.lines.flatMap((line) => (line.kind === "vent" ? [line] : []));
  const airs = drains.flatMap((drain) => findBranchVent(drain) ?? []);
  expect(countOf(parts, "trap")).toBe(drains.filter((drain) => findTrap(drain)).length);
  expect(countOf(parts, "lineTrap")).toBe(drains.filter((drain) => findLineTrap(drain)).length);
  expect(countOf(parts, "inline")).toBe(drains.reduce((sum, drain) => sum + listInlinePieces(drain).length, 0));
  expect(countOf(parts, "ventTee")).toBe(airs.length + vents.filter(({ to }) => to.kind === "tee").length);
  expect(countOf(parts, "admittanceValve")).toBe(airs.filter(({ kind }) => kind === "admittanceValve").length);
  const changes = drains.reduce((sum, drain) => sum + listPipeChanges(drain).length, 0);
  expect(countOf(parts, "reducer") + countOf(parts, "joint")).toBeGreaterThanOrEqual(changes);
  const bought = new Map(
    parts.flatMap((part) => (part.kind === "pipe" ? [[JSON.stringify(part.pipe), part.lengthM] as const] : [])),
  );
  const soft = new Set(vents.map(({ pipe }) => JSON.stringify(pipe)));
  const drawn = sumDrawn(design);
  expect([...bought.keys()].sort()).toEqual([...drawn.keys()].sort());
  for (const [pipe, lengthM] of drawn) {
    // a tenth for cutting, and for each breather what leads it through a wall: 350 mm at most
    const mostM = 1.1 * (lengthM + (soft.has(pipe) ? 0.35 * vents.length : 0));
    expect(bought.get(pipe)).toBeGreaterThanOrEqual(1.1 * lengthM - 1e-9);
    expect(bought.get(pipe)).toBeLessThanOrEqual(mostM + 1e-9);
  }
}

test("all that is drawn is bought, counted again one by one, of every sample and of any network", () => {
  for (const design of ALL_DEMOS) expectAll(design);
  fc.assert(fc.property(networks, expectAll), { numRuns: 60 });
});
