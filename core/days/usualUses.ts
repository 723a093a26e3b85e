import type { Use, UseKind } from "../design/habits";

type UsualUse = Pick<Use, "kind" | "from" | "takesL" | "sendsL" | "times" | "per" | "byChance">;

/**
 * What a use of each kind usually comes to: common practice, no source [T]; showers of 6.5 minutes at 2.9 L/min; urine 1.42 L a
 * person and day in five goes [P: Rose et al. 2015, from memory, 95 %]. Each is to be measured.
 */
export const USUAL_USES: Readonly<Record<UseKind, UsualUse>> = {
  drains: { kind: "drains", from: "fresh", takesL: 8, sendsL: 8, times: 1, per: "personDay", byChance: false },
  drinking: { kind: "drinking", from: "fresh", takesL: 2, sendsL: 0, times: 1, per: "personDay", byChance: false },
  cooking: { kind: "cooking", from: "fresh", takesL: 2, sendsL: 0.8, times: 1, per: "personDay", byChance: true },
  washUpBowl: { kind: "washUpBowl", from: "fresh", takesL: 5, sendsL: 5, times: 2, per: "day", byChance: true },
  washUpRunning: { kind: "washUpRunning", from: "fresh", takesL: 12, sendsL: 12, times: 2, per: "day", byChance: true },
  handsTeeth: {
    kind: "handsTeeth",
    from: "fresh",
    takesL: 0.6,
    sendsL: 0.6,
    times: 4,
    per: "personDay",
    byChance: true,
  },
  shower: { kind: "shower", from: "fresh", takesL: 18.9, sendsL: 18.9, times: 0.5, per: "personDay", byChance: true },
  laundry: { kind: "laundry", from: "fresh", takesL: 15, sendsL: 14, times: 1, per: "week", byChance: true },
  toilet: { kind: "toilet", from: "fresh", takesL: 0.8, sendsL: 1.1, times: 5, per: "personDay", byChance: true },
  urine: { kind: "urine", from: "elsewhere", takesL: 0, sendsL: 0.284, times: 5, per: "personDay", byChance: true },
  rinseOutside: { kind: "rinseOutside", from: "fresh", takesL: 4, sendsL: 0, times: 1, per: "day", byChance: true },
  other: { kind: "other", from: "fresh", takesL: 1, sendsL: 1, times: 1, per: "day", byChance: true },
};

/** Ready ways of living of our own, as kinds of use with how often each [T]; all of them are to be changed. */
export const READY_WAYS = ["wild", "site", "town", "winter"] as const;
export type ReadyWay = (typeof READY_WAYS)[number];

type Often = { readonly kind: UseKind; readonly times?: number; readonly takesL?: number };

export const READY_USES: Readonly<Record<ReadyWay, readonly Often[]>> = {
  wild: [
    { kind: "drinking" },
    { kind: "cooking" },
    { kind: "washUpBowl", times: 1.5 },
    { kind: "handsTeeth", times: 3 },
    { kind: "shower", times: 0.3, takesL: 10 },
    { kind: "rinseOutside", times: 0.5 },
  ],
  site: [{ kind: "drinking" }, { kind: "cooking" }, { kind: "washUpBowl", times: 1 }, { kind: "handsTeeth", times: 2 }],
  town: [
    { kind: "drinking", times: 0.7 },
    { kind: "cooking", times: 0.5 },
    { kind: "washUpBowl", times: 1 },
    { kind: "handsTeeth", times: 4 },
    { kind: "shower", times: 0.6, takesL: 12 },
  ],
  winter: [
    { kind: "drinking", times: 1.1 },
    { kind: "cooking", times: 1.3 },
    { kind: "washUpRunning", times: 1.5 },
    { kind: "handsTeeth" },
    { kind: "shower", times: 0.4, takesL: 14 },
  ],
};
