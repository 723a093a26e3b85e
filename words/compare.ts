import type { Difference, PartField } from "@/core/compare/differences";
import type { StoreSummary, Summary } from "@/core/compare/summary";
import type { Design } from "@/core/design/design";
import type { Habits } from "@/core/design/habits";
import type { Rig } from "@/core/design/rig";
import { formatLengthToBuy } from "./lengthToBuy";
import { describeStore } from "./stores";
import { formatDays, formatLength, formatQuantity, type Units } from "./units";

/** What of a part is different, as it is spoken of in the middle of a sentence. */
const FIELD_WORDS: Readonly<Record<PartField, string>> = {
  name: "name",
  kind: "kind",
  locked: "locked or not",
  atMm: "place",
  lengthMm: "length",
  widthMm: "width",
  heightMm: "height",
  bare: "heat shield",
  outletMm: "place of its waste",
  boreMm: "bore",
  rimMm: "rim",
  inflowLps: "tap",
  volumePerUseL: "water of one use",
  hasPlug: "plug",
  runsAlone: "whether it runs alone",
  holds: "water it holds",
  solid: "shape and size",
  wallMm: "wall",
  material: "material",
  insulationMm: "lagging",
  padW: "heating pad",
  sender: "sender",
  fixing: "fixing",
  link: "link to another tank",
  ports: "ports",
  pipe: "pipe",
  fromFixture: "fixture it comes from",
  to: "end",
  bendsMm: "course",
  items: "what sits on it",
  fromTank: "tank it comes from",
  fromPort: "port it comes from",
  pointsMm: "course",
  from: "beginning",
  wall: "kind of hose",
  endValve: "valve at its end",
  sizeMm: "size",
  openBelowMm: "room to open it",
  spec: "what it can do",
  isSecured: "locked handle",
  on: "what is switched on",
  positions: "how its valves stand",
  openTaps: "open taps",
  place: "where it is used",
};

const RIG_WORDS: Readonly<Record<keyof Rig, string>> = {
  kind: "Kind of rig",
  lengthMm: "Length of the floor",
  widthMm: "Width of the floor",
  floorLayers: "Layers of the floor",
  groundZMm: "Height over the ground",
  sillZMm: "Sill line",
  waterlineZMm: "Waterline",
  axles: "Axles and what they still carry",
  couplingXMm: "Coupling",
  displacementKg: "Weight afloat",
  gmMm: "How stiff she is",
  hull: "Hull",
  crashClass: "Crash class",
  envelope: "How far out of level it parks",
  standings: "Places it stands at",
  dumpAttitude: "How it stands while dumping",
  dumpHose: "Dump hose",
  supply: "Battery and fuse box",
};

const HABIT_WORDS: Readonly<Record<keyof Habits, string>> = {
  people: "People",
  ways: "Uses of water",
  stretches: "How the stay is lived",
  vessels: "Canisters and bottles",
  flows: "Taps measured by bucket",
  certainty: "How sure the days should be",
};

const HOW_WORDS = { onlyHere: "is only here", onlyThere: "is only there" } as const;

const joinWords = (words: readonly string[]): string =>
  words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;

/** A difference: what it is about, and in what it differs. */
export function describeDifference(difference: Difference): { readonly name: string; readonly how: string } {
  switch (difference.of) {
    case "rig":
      return { name: RIG_WORDS[difference.field], how: "is different" };
    case "habits":
      return { name: HABIT_WORDS[difference.field], how: "is different" };
    case "rules":
      return { name: "Rules and limits", how: "is different" };
    case "part":
      if (difference.how !== "changed") return { name: difference.name, how: HOW_WORDS[difference.how] };
      return {
        name: difference.name,
        how: `is different: ${joinWords([...new Set(difference.fields.map((field) => FIELD_WORDS[field]))])}`,
      };
  }
}

/** One figure of both designs beside each other; `isSame` where both read alike. */
export type FigureRow = {
  readonly name: string;
  readonly here: string;
  readonly there: string;
  readonly isSame: boolean;
};

/** A design with what it comes to. */
export type Compared = { readonly design: Design; readonly summary: Summary };

const NONE = "none";

/** All figures of two designs side by side: what is to settle, drains, stores of water, days, and what there is to buy. */
export function listFigureRows(here: Compared, there: Compared, units: Units): FigureRow[] {
  const row = (name: string, a: string, b: string): FigureRow => ({ name, here: a, there: b, isSame: a === b });
  const both = (name: string, format: (side: Compared) => string) => row(name, format(here), format(there));
  const count = (severity: string) => (side: Compared) =>
    String(side.summary.findings.filter((finding) => finding.severity === severity).length);
  const daysOf = (days: number | null) => (days === null ? "no end" : formatDays(days));
  return [
    both("To settle before you drill", count("must")),
    both("You'd regret", count("should")),
    both("Days, standing level", ({ summary }) => daysOf(summary.days.level)),
    both("Days, worst standing", ({ summary }) => daysOf(summary.days.worst)),
    ...listStoreRows(here, there, units),
    ...listDrainRows(here.summary, there.summary, units),
    both("Pipe to buy", ({ summary }) => formatLengthToBuy(summary.pipeM, units)),
    both("Bends, fittings, traps", ({ summary }) => String(summary.pieces)),
    both("Pumps, filters, valves", ({ summary }) => String(summary.gear)),
    both("Tanks, all full", ({ summary }) => formatQuantity(summary.fullKg, "weight", units)),
  ];
}

function listStoreRows(here: Compared, there: Compared, units: Units): FigureRow[] {
  const ids = unite(here.summary.stores, there.summary.stores, ({ storeId }) => storeId);
  return ids.flatMap((id): FigureRow[] => {
    const find = ({ summary }: Compared) => summary.stores.find(({ storeId }) => storeId === id);
    const [a, b] = [find(here), find(there)];
    const name = nameBoth(a && describeStore(id, here.design), b && describeStore(id, there.design));
    const row = (what: string, show: (store: StoreSummary) => string): FigureRow => {
      const [left, right] = [a ? show(a) : NONE, b ? show(b) : NONE];
      return { name: `${name}, ${what}`, here: left, there: right, isSame: left === right };
    };
    const days = (store: StoreSummary) => (store.days.level === null ? "no end" : formatDays(store.days.level));
    const { holds } = (a ?? b)!;
    return [
      row("usable at worst", ({ roomL }) => formatQuantity(roomL.worst, "volume", units)),
      // the loop's water goes round
      ...(holds === "loop" ? [] : [row(holds === "fresh" ? "gone after" : "full after", days)]),
    ];
  });
}

function listDrainRows(here: Summary, there: Summary, units: Units): FigureRow[] {
  return unite(here.drains, there.drains, ({ lineId }) => lineId).flatMap((id): FigureRow[] => {
    const find = ({ drains }: Summary) => drains.find(({ lineId }) => lineId === id);
    const [a, b] = [find(here), find(there)];
    const show = (mm: number | undefined) => (mm === undefined ? NONE : formatLength(mm, units));
    const row = (what: string, left: string, right: string) => ({
      name: `${nameBoth(a?.name, b?.name)}, ${what}`,
      here: left,
      there: right,
      isSame: left === right,
    });
    return [
      row("in hand level", show(a?.levelMm), show(b?.levelMm)),
      row("in hand at worst", show(a?.worstMm), show(b?.worstMm)),
    ];
  });
}

// Two rigs of their own may each have its name for what stands in the same place.
const nameBoth = (here: string | undefined, there: string | undefined): string =>
  here && there && here !== there ? `${here} / ${there}` : (here ?? there ?? "");

const unite = <T>(a: readonly T[], b: readonly T[], idOf: (entry: T) => string): string[] => [
  ...new Set([...a, ...b].map(idOf)),
];
