import type { Gear } from "@/core/design/gear";
import type { LoopCare } from "@/core/gear/loopCare";
import { SANITISE_HOURS, SANITISE_MG_PER_L } from "@/core/road/care";
import { formatMl, formatQuantity, type Units } from "./units";

/** One job at the loop, and what is done one after the other. */
export type CareWalk = { readonly title: string; readonly steps: readonly string[] };

const list = (pieces: readonly Gear[]): string => pieces.map(({ name }) => name).join(", then ");

/** Filling it first, changing filters, and sanitising: each as a walk with this loop's own parts and figures. */
export function describeLoopCare(care: LoopCare, units: Units): readonly CareWalk[] {
  const { tankName, pumpName, headName, filters, carbon, lamp, accumulator, highest, volumeL, bleachMl, flushL } = care;
  const volume = formatQuantity(volumeL, "volume", units);
  const flush = formatQuantity(flushL, "volume", units);
  return [
    {
      title: "First filling, and letting the air out",
      steps: [
        ...(accumulator ? [`Set the pre-charge of ${accumulator.name} while it is empty of water.`] : []),
        `Fill ${tankName} with fresh water; it holds ${volume} with its hoses.`,
        `Open ${headName}, then switch ${pumpName} on. It must draw within half a minute, or fill its hose by hand.`,
        ...(highest.length > 0
          ? [`Let air out where it stays: at ${highest.map(({ name }) => name).join(", ")}.`]
          : []),
        `Let it run until ${headName} spits no more, then feel every joint with a dry paper.`,
        ...(lamp ? [`Only now light ${lamp.name}: water has to move past it.`] : []),
      ],
    },
    ...(filters.length > 0
      ? [
          {
            title: "Changing filters",
            steps: [
              `Switch ${pumpName}${lamp ? ` and ${lamp.name}` : ""} off, and let the pressure out at ${headName}.`,
              `Put a bowl under each housing. Go the way of the water: ${list(filters)}.`,
              "Grease the ring with silicone, close by hand, not by force.",
              `Run ${flush} to the drain before anybody showers: new carbon gives off dust.`,
            ],
          },
        ]
      : []),
    {
      title: "Sanitising",
      steps: [
        `Empty the loop and fill it with fresh water. Never bleach on urine, acid or another cleaner: that makes a gas that kills.`,
        ...(carbon ? [`Take the cartridge of ${carbon.name} out: carbon eats chlorine.`] : []),
        ...(lamp ? [`${lamp.name} stays dark.`] : []),
        `${formatMl(bleachMl, 0, units)} of household bleach of 5 % in ${volume} gives ${SANITISE_MG_PER_L} mg/L. The bottle's own instructions go first.`,
        `Run it for five minutes with ${headName} into the tray, let it stand ${SANITISE_HOURS} h, let it go at a dump, rinse twice.`,
        ...(carbon ? [`Put a new cartridge into ${carbon.name}.`] : []),
      ],
    },
  ];
}
