import type { Design } from "@/core/design/design";
import type { GearKind } from "@/core/design/gear";
import type { DrainDownStep } from "@/core/frost/drainDown";
import type { FrostPart } from "@/core/frost/frostParts";
import { describePart } from "./describePart";
import { formatQuantity, type Units } from "./units";

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
      return `${part}${much}`;
  }
}

/** A step of draining down, as an instruction. */
export function describeDrainDown(step: DrainDownStep, design: Design, units: Units): string {
  const tank = (id: string) => design.tanks.find((one) => one.id === id)?.name ?? id;
  const line = (id: string) => design.lines.find((one) => one.id === id)?.name ?? id;
  switch (step.kind) {
    case "pumpOver":
      return `Pump ${tank(step.tankId)} over into ${tank(step.toTank)} until the pump draws air.`;
    case "openOutlet":
      return `Dump ${tank(step.tankId)} standing as you dump, where that is allowed.`;
    case "mopTank":
      return `${formatQuantity(step.litres, "volume", units)} stay behind in ${tank(step.tankId)}: suck them out through the hatch or the plug.`;
    case "emptySag":
      return `${formatQuantity(step.litres, "volume", units)} lie in leg ${step.leg + 1} of ${line(step.lineId)}: lean the rig until they run, or blow them out.`;
    case "treatTrap":
      return `Pour a cup of antifreeze for drinking water systems into ${step.inLine ? "the trap in the line" : "the trap"} of ${line(step.lineId)}, or empty it.`;
    case "drainGear": {
      const piece = design.gear.find(({ id }) => id === step.gearId);
      return `Empty ${piece?.name ?? step.gearId}: ${formatQuantity(step.litres, "volume", units)} or so. ${GEAR_DRAIN[piece?.spec.kind ?? "pump"] ?? "Open its lowest joint."}`;
    }
    case "emptyHose":
      return `${formatQuantity(step.litres, "volume", units)} stand in the low places of ${line(step.lineId)}: take one end off, or blow it out.`;
    case "leaveOpen":
      return "Leave the dump valves half open, so that what runs together later has room.";
  }
}
