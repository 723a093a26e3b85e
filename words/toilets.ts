import type { ToiletNames } from "@/core/edits/toiletEdits";
import { TOILETS, type ToiletKind } from "@/core/heads/toiletKinds";
import { formatLength, formatQuantity, type Units } from "./units";

export const TOILET_NAMES: Readonly<Record<ToiletKind, string>> = {
  handPump: "Hand pump toilet",
  macerating: "Electric macerating toilet",
  vacuum: "Vacuum toilet",
  gravity: "Gravity toilet over its tank",
  cassette: "Cassette toilet",
  diverting: "Urine-diverting dry toilet",
  bucket: "Bucket with cover material",
};

/** What each asks of the rig and of those who use it. */
const ASKS: Readonly<Record<ToiletKind, readonly string[]>> = {
  handPump: [
    "Pump on after every use until the hose is clear: so many strokes as its line holds.",
    "Afloat: a seacock on either side, and a vented loop where it discharges below the waterline.",
  ],
  macerating: ["A cable for 15 A and more, short and thick.", "Nothing goes in that was not eaten, but its own paper."],
  vacuum: [
    "All joints airtight: one that leaks air keeps the pump running.",
    "Its tank stays under suction: check its rating.",
  ],
  gravity: [
    "A straight drop into the tank, 3 in pipe, not less than 60° where it must lean.",
    "The tank right under it, its breather out over the roof.",
  ],
  cassette: [
    "A hatch in the side wall, and room to draw the cassette out level.",
    "A second cassette halves the errands. Toilet dumps only.",
  ],
  diverting: [
    "A fan that draws air out of the bin, day and night.",
    "Urine smells first: rinse its bottle with vinegar, and carry it to a toilet.",
  ],
  bucket: [
    "A lid that seals, a bag that holds, cover after every use.",
    "What may go into the bin, the place decides: ask.",
  ],
};

/** What a toilet of a kind usually is, and what it asks, in lines. */
export function describeToilet(kind: ToiletKind, isBoat: boolean, units: Units): readonly string[] {
  const { flushL, maySea, seatMm, inMm, outMm, urine, rest } = TOILETS[kind];
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const bores = [
    ...(inMm === null ? [] : [`${formatLength(inMm, units)} in`]),
    ...(outMm === null ? [] : [`${formatLength(outMm, units)} out`]),
  ];
  return [
    [
      flushL > 0 ? `${litres(flushL)} a flush, from ${maySea && isBoat ? "sea or fresh" : "fresh"}` : "No water",
      `seat ${formatLength(seatMm, units)} high`,
      ...(bores.length > 0 ? [`bore ${bores.join(", ")}`] : []),
      ...(rest ? [`${urine ? "bin" : "vessel"} of ${litres(rest.litres)}`] : []),
      ...(urine ? [`bottle of ${litres(urine.litres)}`] : []),
    ]
      .join("; ")
      .concat("."),
    ...ASKS[kind],
  ];
}

/** What comes with it, by name. */
export const toToiletNames = (kind: ToiletKind): ToiletNames => ({
  toilet: TOILET_NAMES[kind],
  urineVessel: "Urine bottle",
  restVessel: kind === "cassette" ? "Cassette" : kind === "diverting" ? "Solids bin" : "Toilet bucket",
  urineUse: "Urine",
  restUse: "Toilet",
});
