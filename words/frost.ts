import type { Design } from "@/core/design/design";
import type { GearKind } from "@/core/design/gear";
import type { DrainDownStep } from "@/core/frost/drainDown";
import type { FrostPart } from "@/core/frost/frostPart";
import type { SpringStep } from "@/core/frost/springUp";
import { computeBleachMl, SANITISE_HOURS } from "@/core/road/care";
import { describePart } from "./describePart";
import { formatMl, formatQuantity, type Units } from "./units";

/** How a piece of gear is emptied. */
const GEAR_DRAIN: Readonly<Partial<Record<GearKind, string>>> = {
  filter: "Drop the housing; keep the cartridge dry and clean, or throw it away.",
  accumulator: "Open the lowest tap until no more comes.",
  heater: "Power off and cold first, then its drain.",
  pump: "Let it run until it draws air, a few seconds and no more.",
  bowl: "Pump it dry, then a cup of antifreeze for drinking water systems.",
  uvLamp: "Lamp off first; it must not be looked at.",
};

/** What it is that freezes. */
export function describeFrostPart({ kind, at, litres }: FrostPart, design: Design, units: Units): string {
  const part = describePart(at, design);
  const much = litres === null ? "" : `, ${formatQuantity(litres, "volume", units)}`;
  switch (kind) {
    case "valve":
      return `Valve at ${part}`;
    case "trap":
      return part;
    case "sag":
      return `Sag in ${part}${much}`;
    case "tank":
    case "gear":
    case "hose":
      return `${part}${much}`;
  }
}

const trapOf = (
  { lineId, inLine }: { readonly lineId: string; readonly inLine: boolean },
  line: (id: string) => string,
): string => `${inLine ? "the trap in the line" : "the trap"} of ${line(lineId)}`;

const nameAll = (gearIds: readonly string[], { gear }: Design): string =>
  gearIds.map((id) => gear.find((piece) => piece.id === id)?.name ?? id).join(", ");

/** A step of the way back after frost, as an instruction. */
export function describeSpringStep(step: SpringStep, design: Design, units: Units): string {
  const tank = (id: string) => design.tanks.find((one) => one.id === id)?.name ?? id;
  const line = (id: string) => design.lines.find((one) => one.id === id)?.name ?? id;
  switch (step.kind) {
    case "closeGear":
      return `Close ${design.gear.find(({ id }) => id === step.gearId)?.name ?? step.gearId} again, with its rings greased; look for cracks first.`;
    case "openSeacock":
      if (design.rig.kind !== "boat") return `Turn the cock of ${nameAll([step.gearId], design)} back.`;
      return `Put the hose of ${nameAll([step.gearId], design)} back with both clamps. Afloat, open its seacock and look at it for a minute.`;
    case "turnBack":
      return `Turn back to where they belong: ${nameAll(step.gearIds, design)}.`;
    case "fuseIn":
      return `Water in the tank first, then the fuse of ${nameAll(step.gearIds, design)}.`;
    case "heatLast":
      return `Only when water runs without spitting, switch on ${nameAll(step.gearIds, design)}.`;
    case "shutTaps":
      return `Shut ${nameAll(step.gearIds, design)}, hot and cold.`;
    case "shutOutlet":
      return `Shut the valve and the plug of ${tank(step.tankId)}. Work the valve twice before.`;
    case "sanitise":
      return `Fill the fresh water, ${formatQuantity(step.litres, "volume", units)}, with ${formatBleach(step.litres, units)} of plain 5 % bleach. Draw it to every tap, let it stand ${SANITISE_HOURS} hours, rinse until nothing smells. Never after urine or acid cleaner: the gas kills.`;
    case "fillTrap":
      return `Fill ${trapOf(step, line)}: ${formatQuantity(step.litres, "volume", units)} and a little more, so that the antifreeze is washed on.`;
    case "pourTrial":
      return `Pour a bucket into ${design.fixtures.find(({ id }) => id === step.fixtureId)?.name ?? step.fixtureId}, with somebody underneath who feels every joint with dry paper.`;
    case "dumpFirst":
      return "Dump the first water at a dump place: antifreeze and bleach are in it.";
  }
}

/** Bleach of 5 % for so many litres, as it is measured out. */
export const formatBleach = (litres: number, units: Units): string => formatMl(computeBleachMl(litres, 5), 0, units);

/** A step of draining down, as an instruction. */
export function describeDrainDown(step: DrainDownStep, design: Design, units: Units): string {
  const tank = (id: string) => design.tanks.find((one) => one.id === id)?.name ?? id;
  const line = (id: string) => design.lines.find((one) => one.id === id)?.name ?? id;
  switch (step.kind) {
    case "pumpOver":
      return `Pump ${tank(step.tankId)} over into ${tank(step.toTank)} until the pump draws air.`;
    case "openOutlet":
      return design.rig.kind === "boat"
        ? `Have ${tank(step.tankId)} pumped out, or let it out where that is allowed.`
        : `Dump ${tank(step.tankId)} standing as you dump, where that is allowed.`;
    case "mopTank":
      return `${formatQuantity(step.litres, "volume", units)} stays behind in ${tank(step.tankId)}: suck it out through the hatch or the plug.`;
    case "emptySag":
      return `${formatQuantity(step.litres, "volume", units)} lies in leg ${step.leg + 1} of ${line(step.lineId)}: lean the ${design.rig.kind === "boat" ? "boat" : "rig"} until it runs, or blow it out.`;
    case "treatTrap":
      return `Pour ${formatQuantity(step.litres, "volume", units)} of antifreeze for drinking water systems into ${trapOf(step, line)}, or empty it.`;
    case "heatOff":
      return `Switch off, and let cool: ${nameAll(step.gearIds, design)}. Hot it scalds, run dry it burns out.`;
    case "halfTurn":
      return `Turn half way and leave there: ${nameAll(step.gearIds, design)}. A ball that is shut, or all open, keeps water round it and splits.`;
    case "emptySeacock":
      if (design.rig.kind !== "boat")
        return `Turn the cock of ${nameAll([step.gearId], design)} half way and leave it there.`;
      return `Shut the seacock of ${nameAll([step.gearId], design)}, take the hose off above it and let it run into a bucket. Ashore leave it half open; afloat it stays shut, with antifreeze poured on it.`;
    case "fuseOut":
      return `Take the fuse out of ${nameAll(step.gearIds, design)}, so that nobody starts it dry.`;
    case "openTaps":
      return `Open ${nameAll(step.gearIds, design)}, hot and cold, and leave them half open: a mixer that is shut keeps water and splits.`;
    case "drainGear": {
      const piece = design.gear.find(({ id }) => id === step.gearId);
      return `Empty ${piece?.name ?? step.gearId}: ${formatQuantity(step.litres, "volume", units)} or so. ${GEAR_DRAIN[piece?.spec.kind ?? "pump"] ?? "Open its lowest joint."}`;
    }
    case "emptyHose":
      return `${formatQuantity(step.litres, "volume", units)} stands in the low places of ${line(step.lineId)}: take one end off, or blow it out.`;
    case "leaveOpen":
      return "Leave the dump valves half open, so that what runs together later has room.";
  }
}
