"use client";
import { TOILET_KINDS, type ToiletKind } from "@/core/heads/toiletKinds";
import type { Wanted } from "@/core/routes/fitWanted";
import { useWorkbench } from "@/store/useWorkbench";
import { FIXTURE_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/library/aboardStep";
import { describeToilet, TOILET_NAMES, toToiletNames } from "@/words/toilets";
import { ToldTrade, Trade } from "../glossary/Trade";
import { Pick } from "../kit/Pick";
import { Tick } from "../kit/Tick";

const FIXTURES = ["basin", "showerTray"] as const;

/** What goes aboard besides the sink. */
export type Aboard = {
  readonly fixtures: readonly (typeof FIXTURES)[number][];
  readonly toilet: ToiletKind | "none";
  readonly hasTaps: boolean;
};

export const NOTHING_ABOARD: Aboard = { fixtures: [], toilet: "none", hasTaps: false };

/** What is to be fitted for it, in the order in which it finds room. */
export function listWanted({ fixtures, toilet, hasTaps }: Aboard): Wanted[] {
  return [
    ...FIXTURES.filter((kind) => fixtures.includes(kind)).map((kind): Wanted => {
      return { what: "fixture", kind, name: FIXTURE_NAMES[kind] };
    }),
    ...(toilet === "none"
      ? []
      : [{ what: "toilet", kind: toilet, names: toToiletNames(toilet), school: "tank" } as const]),
    ...(hasTaps ? [{ what: "supply" } as const] : []),
  ];
}

type AboardProps = {
  readonly aboard: Aboard;
  readonly isBoat: boolean;
  readonly onPick: (aboard: Aboard) => void;
};

/** The last step of a new design: what else is fitted before it is drawn. */
export function AboardStep({ aboard, isBoat, onPick }: AboardProps) {
  const units = useWorkbench((state) => state.units);
  const { fixtures, toilet, hasTaps } = aboard;
  return (
    <div className="grid gap-x-8 gap-y-3 desk:grid-cols-2">
      <div className="flex flex-col gap-1">
        {FIXTURES.map((kind) => (
          <Tick
            key={kind}
            label={FIXTURE_NAMES[kind]}
            value={fixtures.includes(kind)}
            onPick={(isThere) =>
              onPick({ ...aboard, fixtures: isThere ? [...fixtures, kind] : fixtures.filter((one) => one !== kind) })
            }
          />
        ))}
        <Tick
          label={WORDS.waterPumpedToTheTaps}
          value={hasTaps}
          onPick={(isThere) => onPick({ ...aboard, hasTaps: isThere })}
        />
        <p className="pt-1 text-[12.5px] text-faint">
          <Trade>{WORDS.eachIsFittedWhole}</Trade>
        </p>
      </div>
      <div>
        <Pick<Aboard["toilet"]>
          label={WORDS.toilet}
          value={toilet}
          names={{ none: WORDS.noToilet, ...TOILET_NAMES }}
          order={["none", ...TOILET_KINDS]}
          onPick={(picked) => onPick({ ...aboard, toilet: picked })}
        />
        {toilet !== "none" && (
          <ul className="list-disc pt-1 pl-5 text-[13px] leading-snug">
            {describeToilet(toilet, isBoat, units).map((line) => (
              <li key={line} className="py-0.5">
                <ToldTrade>{line}</ToldTrade>
              </li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}
