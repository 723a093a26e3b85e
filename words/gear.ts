import type { Gear, GearKind, Position } from "@/core/design/gear";
import type { LoopSchool } from "@/core/edits/loopEdits";
import type { LoopFigures } from "@/core/gear/loopFigures";
import type { LoopRhythm, PlainSchool } from "@/core/gear/loopRhythm";
import type { Lack } from "@/core/gear/shelf";
import { formatLength, formatNumber, formatQuantity, type Units } from "./units";

export const GEAR_NAMES: Readonly<Record<GearKind, { readonly name: string; readonly plain: string }>> = {
  strainer: { name: "Strainer", plain: "A mesh that keeps hair and grit out of the pump." },
  pump: { name: "Pump", plain: "Pushes water; its curve says how much at what pressure." },
  accumulator: { name: "Accumulator", plain: "A cushion of air: the pump rests while it gives." },
  filter: { name: "Filter", plain: "Holds dirt back; finer ones behind coarser ones." },
  uvLamp: { name: "UV lamp", plain: "Light that keeps germs from growing, in clear water only." },
  nonReturn: { name: "Non-return", plain: "Lets water one way. Never alone between waste and drinking water." },
  valve: { name: "Stop valve", plain: "Open or shut, by hand or by a motor." },
  diverter: { name: "Three-way valve", plain: "Leads water one of two ways." },
  mixer: { name: "Mixer", plain: "Hot and cold to the warmth you want." },
  heater: { name: "Heater", plain: "Warms water. Hot water scalds." },
  coupling: { name: "Camp hose coupling", plain: "Where a hose from outside is put on." },
  flowMeter: { name: "Flow meter", plain: "Counts the litres." },
  gauge: { name: "Pressure gauge", plain: "Shows the pressure where it sits." },
  airGap: { name: "Air gap", plain: "Water falls through open air: nothing comes back across it." },
  ventedLoop: { name: "Vented loop", plain: "A hose led high with a valve that lets air in, so that nothing siphons." },
  relief: { name: "Relief valve", plain: "Opens before something bursts." },
  tap: { name: "Tap or shower head", plain: "Where water comes out." },
  tee: { name: "Tee", plain: "Three hoses meet." },
  skinFitting: { name: "Skin fitting", plain: "A hole through the hull with what is screwed into it." },
  bowl: { name: "Toilet bowl", plain: "Flushed from one port, let go from the other." },
  sump: { name: "Sump with float pump", plain: "Gathers what lies too low to drain, and pumps it up." },
  deckFitting: { name: "Deck fitting", plain: "Where a pump-out station puts its hose on." },
};

export const POSITION_NAMES: Readonly<Record<Position, string>> = {
  open: "open",
  shut: "shut",
  a: "way A",
  b: "way B",
};

export const SCHOOL_NAMES: Readonly<Record<LoopSchool, { readonly name: string; readonly plain: string }>> = {
  airGap: {
    name: "Filled through an air gap",
    plain: "The camp hose ends over the loop's water. Nothing can come back, whatever fails. Use this one.",
  },
  motorValve: {
    name: "Parted by one motor valve",
    plain: "The usual way: one stuck valve from loop water in the drinking tap. Shown with its failures.",
  },
};

const REASONS: Readonly<Record<LoopRhythm["because"], string>> = {
  buildUp: "what is dissolved in the water",
  filter: "the filter that is full first",
  lamp: "the age of the lamp",
  standing: "warm water kept two days at most",
};

/** The loop against larger tanks, in one line. */
export function describePlainSchool({ days, litres, kg, daysGained }: PlainSchool, units: Units): string {
  const litresText = formatQuantity(litres, "volume", units);
  return `Without it the ${formatNumber(days, 1)} days the fresh water lasts would take ${litresText} more fresh water and room for as much waste, ${formatQuantity(kg, "weight", units)} more to carry. On the same tanks the loop gains ${formatNumber(daysGained, 1)} days.`;
}

/**
 * How often the loop is changed, by the showers of the days, what it spares and what it takes; and what is to be done where the
 * rest of the stay lasts longer than its water.
 */
export function describeLoopRhythm(
  { everyDays, showersPerDay, because, whPerDay, sparedLPerDay, figures }: LoopRhythm,
  units: Units,
  stayDays: number | null = null,
): string {
  if (everyDays === null)
    return "Nobody showers on it in these days: the loop stands. Warm water that stands two days is let go.";
  const before =
    stayDays !== null && stayDays > everyDays
      ? ` The rest of the stay lasts ${formatNumber(stayDays, 1)} days. After ${formatNumber(everyDays, 1)} stop showering on it, or fill it anew: each time ${formatQuantity(figures.loopL, "volume", units)} of fresh water that is not counted in these days, and as much to let go.`
      : "";
  return `New loop water every ${formatNumber(everyDays, 1)} days at ${formatNumber(showersPerDay, 1)} showers a day: ${REASONS[because]} decides. It spares ${formatQuantity(sparedLPerDay, "volumePerDay", units)} of fresh water and takes ${formatNumber(whPerDay, 0)} Wh a day for pump and lamp. Change it where you dump.${before}`;
}

/** What a loop comes to, in one line. */
export function describeLoop({ lpm, loopL, showers, because, mostDays }: LoopFigures, units: Units): string {
  const flow = formatQuantity(lpm / 60, "flow", units);
  return `${flow} at the head, as long as you like, on ${formatQuantity(loopL, "volume", units)}. New water after ${showers} ${showers === 1 ? "shower" : "showers"} (${REASONS[because]} decides) or ${mostDays} days, whichever comes first.`;
}

export const describeLack = ({ name, along, byMm }: Lack, units: Units): string =>
  `${name} does not fit: ${formatLength(byMm, units)} too ${along === "height" ? "high" : along === "length" ? "long" : "deep"} for the cabinet.`;

/** The log steps a lamp is good for at its far wall. */
export function describeDose({ dose }: LoopFigures, units: Units): string | null {
  if (!dose) return null;
  const mean = formatQuantity(dose.meanMjPerCm2, "dose", units);
  const least = formatQuantity(dose.leastMjPerCm2, "dose", units);
  const { cryptosporidium, virus } = dose.steps;
  const good =
    cryptosporidium === 0
      ? "less than two log steps of Cryptosporidium"
      : `${cryptosporidium} log steps of Cryptosporidium, ${virus === 0 ? "less than two" : virus} of virus`;
  const clear = dose.isMeasured ? "" : " The water's clearness was not measured; a usual figure is used.";
  return `${mean} on the mean, ${least} at the far wall with the lamp at its end of life: ${good} in filtered water.${clear} It is no proof: soapy water shields.`;
}

export const LOOP_CAUTIONS: readonly string[] = [
  "Loop water is never drunk, and nothing is washed in it that is eaten from. Not for infants, open wounds or weak immunity.",
  "Warm water that stands and sprays can carry Legionella: let it go after two days, and flush before use.",
  "UV burns eyes and skin: never look into the lamp. It must not cook standing water: lamp on only while water moves.",
  "Hot loop water scalds: fit a mixer. Standards for reuse indoors are not met by this, and would not allow bathing in it. Local rules and licensed practice come first.",
];

/** How a piece stands, beside its name. */
export function describeStanding(
  { spec }: Gear,
  { isOn, position, isOpen }: { readonly isOn: boolean; readonly position: Position; readonly isOpen: boolean },
  units: Units,
): string {
  switch (spec.kind) {
    case "pump":
      return isOn ? "on" : "off";
    case "uvLamp":
      return isOn ? "lit" : "dark";
    case "heater":
      return isOn ? "on" : "off";
    case "valve":
    case "diverter":
      return POSITION_NAMES[position];
    case "tap":
    case "coupling":
      return isOpen ? "open" : "shut";
    case "filter":
      return `${formatNumber(spec.micron, spec.micron < 1 ? 1 : 0)} µm`;
    case "accumulator":
      return formatQuantity(spec.litres, "volume", units);
    default:
      return "";
  }
}
