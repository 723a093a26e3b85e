import type { Design } from "../design/design";
import type { Gear, GearOf } from "../design/gear";
import { buildGearGraph } from "../gear/gearGraph";
import { findHardest, listPushes, type Push, shiftKPa } from "../gear/pushes";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

const SHUTS = new Set<Gear["spec"]["kind"]>(["valve", "diverter", "nonReturn", "pump"]);

/** Hot water that nothing lets off when it grows, and hot water that nothing cools before it is on skin. Common practice, no source. */
export function checkHeaters(design: Design): Finding[] {
  const heaters = design.gear.filter((piece): piece is GearOf<"heater"> => piece.spec.kind === "heater");
  if (heaters.length === 0) return [];
  const graph = buildGearGraph(design);
  const arcs = buildArcs(graph, ALL_OPEN);
  const pushes = listPushes(design.gear, arcs);
  const sources = graph.ends.filter(({ kind }) => kind !== "air");
  const skin = design.gear.filter(
    ({ spec }) => spec.kind === "tap" && spec.use !== "deckWash" && spec.use !== "drinking",
  );
  return heaters.flatMap((piece): Finding[] => {
    const { id, spec } = piece;
    const at = { kind: "gear", id } as const;
    const findings: Finding[] = [];
    // either side of it, with nothing between that shuts
    const near = [`${id}:in`, `${id}:out`].map((node) => listReached(arcs, node, (gear) => SHUTS.has(gear.spec.kind)));
    const isRelieved = design.gear.some(
      (piece) => piece.spec.kind === "relief" && near.some((nodes) => nodes.has(`${piece.id}:in`)),
    );
    if (spec.litres > 0 && !isRelieved)
      findings.push(createFinding(at, { code: "heaterUnrelieved", litres: spec.litres }));
    findings.push(...checkPressure(piece, design.gear, near, pushes));
    const parts = (gear: Gear): boolean => gear.id === id || gear.spec.kind === "mixer";
    // water comes out at its inlet only where something feeds it at its outlet, past itself and past any mixer
    const isFedBack = sources.some(({ node }) => listReached(arcs, node, parts).has(`${id}:out`));
    const hot = (isFedBack ? ["out", "in"] : ["out"]).map((port) => listReached(arcs, `${id}:${port}`, parts));
    const scalded = skin.find((tap) => hot.some((nodes) => nodes.has(`${tap.id}:in`)));
    if (scalded) {
      findings.push(createFinding(at, { code: "heaterUnmixed", otherId: scalded.id, otherName: scalded.name }));
    }
    return findings;
  });
}

// What can stand in it: as much as its relief valve lets come, the lowest of them, or what pushes where none is near.
function checkPressure(
  heater: GearOf<"heater">,
  gear: readonly Gear[],
  near: readonly ReadonlySet<string>[],
  pushes: readonly Push[],
): Finding[] {
  const { bearsKPa = null } = heater.spec;
  const at = { kind: "gear", id: heater.id } as const;
  if (bearsKPa === null) return [createFinding(at, { code: "heaterUnrated" })];
  const [lowest] = gear
    .flatMap((piece) =>
      piece.spec.kind === "relief" && near.some((nodes) => nodes.has(`${piece.id}:in`))
        ? [{ piece, kPa: shiftKPa(piece.spec.setKPa, [piece, "in"], [heater, "in"]), by: "relief" as const }]
        : [],
    )
    .sort((a, b) => a.kPa - b.kPa);
  const push = findHardest(pushes, heater, "in");
  const pressed = lowest ?? (push && { piece: push.piece, kPa: push.pushKPa, by: "push" as const });
  if (!pressed || pressed.kPa <= bearsKPa) return [];
  const { piece, kPa: pressKPa, by } = pressed;
  const numbers = { code: "heaterPressed", bearsKPa, pressKPa, by, otherId: piece.id, otherName: piece.name } as const;
  return [createFinding(at, numbers)];
}
