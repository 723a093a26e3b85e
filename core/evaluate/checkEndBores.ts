import type { Design } from "../design/design";
import { findLastPipe } from "../design/lineItems";
import type { PartRef } from "../design/part";
import type { Line } from "../design/plumbing";
import { findFoulHoses } from "../heads/permeation";
import { isAtLeast } from "../quantity/tolerance";
import { SAME_MM } from "./checkBowlHoses";
import { TAIL_SHARE } from "./checkVents";
import { createGraded } from "./createFinding";
import type { Finding } from "./findings";

type End = { readonly line: Line; readonly at: PartRef; readonly endMm: number };

/**
 * Ports of tanks and skin fittings that are narrower than the hose or drain led to them, mm: whatever comes through the line goes
 * through them too. A hose's tail may be narrower than the hose, but not where sewage goes. Breathers' ports and the inlets of drains
 * into tanks are looked at elsewhere. Common practice, no source.
 */
export function checkEndBores(design: Design): Finding[] {
  const ends = listEnds(design);
  if (ends.length === 0) return [];
  const foul = findFoulHoses(design);
  const toilets = new Set(design.fixtures.flatMap(({ id, kind }) => (kind === "gravityToilet" ? [id] : [])));
  return ends.flatMap(({ line, at, endMm }): Finding[] => {
    const boreMm = findLastPipe(line).innerMm;
    const isFoul = foul.has(line.id) || (line.kind === "drain" && toilets.has(line.fromFixture));
    const leastMm = isFoul || line.kind === "drain" ? boreMm - SAME_MM : TAIL_SHARE * boreMm;
    if (isAtLeast(endMm, leastMm)) return [];
    const numbers = { code: "endNarrow", endMm, boreMm, isFoul, otherName: line.name, otherId: line.id } as const;
    return [createGraded(isFoul ? "must" : "should", at, numbers)];
  });
}

function listEnds({ lines, tanks, gear }: Design): End[] {
  const fittings = new Map(
    gear.flatMap(({ id, spec }) => (spec.kind === "skinFitting" ? [[id, spec.boreMm] as const] : [])),
  );
  return lines.flatMap((line): End[] => {
    const gearIds =
      line.kind === "hose"
        ? [line.from, line.to].flatMap((end) => (end.kind === "gear" ? [end.gearId] : []))
        : line.kind === "drain" && line.to.kind === "overboard"
          ? [line.to.gearId]
          : [];
    const atFittings = gearIds.flatMap((id): End[] => {
      const endMm = fittings.get(id);
      return endMm === undefined ? [] : [{ line, at: { kind: "gear", id }, endMm }];
    });
    if (line.kind !== "hose") return atFittings;
    const atPorts = [line.from, line.to].flatMap((end): End[] => {
      if (end.kind !== "tank") return [];
      const port = tanks.find(({ id }) => id === end.tankId)?.ports.find(({ id }) => id === end.portId);
      return port ? [{ line, at: { kind: "port", tankId: end.tankId, id: end.portId }, endMm: port.boreMm }] : [];
    });
    return [...atFittings, ...atPorts];
  });
}
