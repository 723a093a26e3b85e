import type { RigKind } from "@/core/design/rig";

/** What a builder says of a land rig, and what it is called on a boat; in this order. */
const AFLOAT: readonly (readonly [RegExp, string])[] = [
  [/\bas (the rig|it) stands\b/g, "as she lies"],
  [/\b(the|The) floor, wall or hull\b|\bfloor, wall or hull\b/g, "sole, bulkhead or hull"],
  [/\b(the|The|a|A) floor\b/g, "$1 sole"],
  [/\b(low|over|under) floor\b/g, "$1 sole"],
  [/\b(the|its|The|Its) rear right bottom corner\b/g, "$1 after starboard bottom corner"],
  [/\brear edge\b/g, "after edge"],
  [/\btank's rear\b/g, "tank's after end"],
  [/\bto the rear\b/g, "aft"],
  [/\b(its|Its) right side\b/g, "$1 starboard side"],
  [/\bLeft of the middle\b/g, "To port of the middle"],
  [/\bleft of the middle\b/g, "to port of the middle"],
  [/\bRight of the middle\b/g, "To starboard of the middle"],
  [/\bright of the middle\b/g, "to starboard of the middle"],
  [/\bFurther left\b/g, "Further to port"],
  [/\bBraking: it lies along the rig\b/g, "Pitching: it lies along the boat"],
  [/\bCornering: it lies across the rig\b/g, "Rolling: it lies across the boat"],
  [/\b(the|this|a|The|This|A) rig\b/g, "$1 boat"],
  [/\bNose (down|up|high)\b/g, "Bow $1"],
  [/\bnose (down|up|high)\b/g, "bow $1"],
  [/\b[Rr]ight side low\b/g, "Starboard side low"],
  [/\b(the worst standing), driven: what a hard corner leaves\b/g, "$1, rolling: what a hard roll leaves"],
  [/\bafter driving\b/g, "after a seaway"],
  [/\bwhile driving\b/g, "in a seaway"],
  [/\btail (down|up|high)\b/g, "stern $1"],
  [/\bleft side high\b/g, "port side high"],
  [/\bWhere the rig may park\b/g, "How she may lie"],
  [/\bHow it stands while it is dumped\b/g, "How she lies while it is emptied"],
  [/\bbefore you drive\b/g, "before she sails"],
  [/^driven$/g, "rolling"],
  [/\bmoving vehicle\b/g, "boat under way"],
  [/\bWet floor\b/g, "Wet sole"],
  [/\ba canister or the ground\b/g, "a canister, or letting it go,"],
  [
    /\bDumping on the ground is forbidden in many places even where it is tolerated\b/g,
    "Letting waste overboard is forbidden in many waters even where others do it",
  ],
  [/\bDumping on the ground is forbidden in many places\b/g, "Letting it overboard is forbidden in many waters"],
  [/\bdrive a while\b/g, "sail a while"],
  [/\bAn axle at the end of its travel, a shaft\b/g, "A shaft"],
  [/\bparked askew\b/g, "lying askew"],
  [/\bOnto the ground\b/g, "Into the bilge"],
  [/\bonto the ground\b/g, "into the bilge"],
  [/\bon the ground a day\b/g, "into the bilge a day"],
  [/\bgrey water run on the ground\b/g, "grey water go overboard"],
  [/\bwhere you park\b/g, "where she lies"],
  [/\bwhere parked\b/g, "at her berth"],
  [/\bis parked at\b/g, "lies at"],
];

/** A sentence or a label of ours on a rig of a kind: a boat has a sole, a bow and a port side. Names of parts are left to their builder. */
export const speakFor = (kind: RigKind | null | undefined): ((text: string) => string) =>
  kind === "boat" ? speakAfloat : speakAshore;

// labels are said again with every frame that draws them
const known = new Map<string, string>();
const MOST_KNOWN = 2_000;

function speakAfloat(text: string): string {
  const before = known.get(text);
  if (before !== undefined) return before;
  const said = AFLOAT.reduce((so, [ashore, afloat]) => so.replace(ashore, afloat), text);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(text, said);
  return said;
}

function speakAshore(text: string): string {
  return text;
}
