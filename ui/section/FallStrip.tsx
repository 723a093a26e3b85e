"use client";
import { type CSSProperties, memo } from "react";
import { isLevel } from "@/core/attitude/attitude";
import type { DrainResult } from "@/core/evaluate/evaluation";
import type { FallBudget } from "@/core/falls/fallBudget";
import type { Stand } from "@/core/workings/working";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { tilt } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import * as WORDS from "@/words/panels/section/fallStrip";
import { formatLengthFigure, lengthUnit, type Units } from "@/words/units";
import { findShownResult } from "../drawing/shown";
import { Figure } from "../kit/Figure";

/** The fall budget: the height between outlet and tank inlet, and what it is spent on, level and where parked. */
export function FallStrip() {
  const result = useWorkbench(findShownResult);
  const attitude = useWorkbench((state) => state.attitude);
  const units = useWorkbench((state) => state.units);
  const kind = useWorkbench((state) => state.history?.design.rig.kind ?? "van");
  const after = useWorkbench((state) => {
    const id = findShownResult(state)?.lineId;
    return state.preview?.evaluation.drains.find((d) => d.lineId === id) ?? null;
  });
  if (!result) return null;
  const worstWhere = describeAttitude(result.worst.attitude, kind);
  return (
    <section
      aria-label={WORDS.fallBudget}
      className="strip border-t border-ink bg-paper px-3 py-2"
      style={{ "--rows": isLevel(attitude) ? 2 : 3 } as CSSProperties}
    >
      <StripRow stand="level" budget={result.level} after={after?.level} {...{ result, units }} />
      {!isLevel(attitude) && (
        <StripRow
          stand="here"
          budget={result.here}
          after={after?.here}
          where={describeAttitude(attitude, kind)}
          {...{ result, units }}
        />
      )}
      <StripRow
        stand="worst"
        budget={result.worst}
        after={after?.worst}
        where={worstWhere}
        onWhere={() => tilt(result.worst.attitude)}
        {...{ result, units }}
      />
    </section>
  );
}

const STAND_NAMES: Readonly<Record<Stand, string>> = { level: WORDS.level, here: WORDS.asItStands, worst: WORDS.worst };

type RowProps = {
  readonly stand: Stand;
  readonly budget: FallBudget;
  readonly after: FallBudget | undefined;
  readonly where?: string;
  readonly onWhere?: () => void;
  readonly result: DrainResult;
  readonly units: Units;
};

function StripRow({ stand, budget, after, where, onWhere, result, units }: RowProps) {
  const { inHandMm } = budget;
  const short = inHandMm < 0;
  const at = { kind: "line", id: result.lineId } as const;
  return (
    <div className="flex items-stretch gap-x-3 gap-y-1 py-1 desk:h-[54px] phone:flex-wrap">
      <div className="w-[118px] shrink-0 self-center phone:w-auto phone:flex-1">
        <div className="plate text-[15px] leading-tight">{STAND_NAMES[stand]}</div>
        {where &&
          (onWhere ? (
            <button
              type="button"
              onClick={onWhere}
              className="text-left text-[12px] leading-tight text-faint underline decoration-dotted underline-offset-2 hover:text-ink"
            >
              {where}
            </button>
          ) : (
            <div className="text-[12px] leading-tight text-faint">{where}</div>
          ))}
      </div>
      <Cells stand={stand} budget={budget} result={result} units={units} />
      <div className="flex w-[118px] shrink-0 flex-col items-end justify-center phone:w-auto">
        <Figure
          working={toWorkingId("fallInHand", at, stand)}
          label={WORDS.fallInHand(STAND_NAMES[stand].toLowerCase())}
          className={`px-1 text-[28px] leading-none phone:text-[34px] ${short ? "bg-signal text-on-signal" : ""}`}
        >
          <span data-testid={`in-hand-${stand}`}>{formatLengthFigure(inHandMm, units)}</span>
          <span className="ml-1 text-[15px]">{lengthUnit(units)}</span>
        </Figure>
        {after ? (
          <span className="figures text-[14px] leading-tight text-enamel">
            → {formatLengthFigure(after.inHandMm, units)}
          </span>
        ) : (
          <span className="text-[11.5px] leading-tight text-faint">{short ? WORDS.short : WORDS.inHand}</span>
        )}
      </div>
    </div>
  );
}

type CellsProps = Pick<RowProps, "stand" | "budget" | "result" | "units">;

/** A cell with less of the row, in hundredths, has no room for what is asked beside what is in hand. */
const SUM_SHARE = 26;

/** Trap and drops take a fixed width, for they are long and never in doubt; the runs share the rest by their fall. */
function Cells({ stand, budget, result, units }: CellsProps) {
  const runs = budget.legs
    .map((leg, index) => ({ leg, index, weight: Math.max(20, Math.abs(leg.fallMm) + Math.max(0, -leg.inHandMm)) }))
    .filter(({ index }) => result.legs[index]!.kind === "run");
  const whole = runs.reduce((sum, { weight }) => sum + weight, 0);
  const at = { kind: "line", id: result.lineId } as const;
  const label = (mm: number) => formatLengthFigure(mm, units);
  const where = STAND_NAMES[stand].toLowerCase();
  return (
    // no cell cuts off what it says: where the cut lies changes with its width, and the browser sorts all layers anew
    <div className="flex h-[46px] min-w-0 flex-1 border border-ink bg-sheet phone:order-last phone:basis-full phone:overflow-hidden">
      {Math.abs(budget.trapMm) > 0.05 && (
        <Fixed
          name={WORDS.trap}
          label={WORDS.heightTheTrapTakes(where)}
          working={toWorkingId("trapHeight", at, stand)}
          figure={label(budget.trapMm)}
        />
      )}
      {Math.abs(budget.dropsMm) > 0.05 && (
        <Fixed
          name={WORDS.drops}
          label={WORDS.heightSpentInDrops(where)}
          working={toWorkingId("dropsHeight", at, stand)}
          figure={label(budget.dropsMm)}
        />
      )}
      {runs.map(({ leg, index, weight }) => {
        const asked = Math.max(0, leg.neededMm);
        const hand = leg.inHandMm;
        const share = toShare(weight, whole);
        const handShare = toShare(Math.max(0.5, Math.abs(hand)), asked + Math.max(0.5, Math.abs(hand)));
        return (
          <Run
            key={index}
            working={toWorkingId("legFall", { kind: "leg", lineId: result.lineId, index }, stand)}
            part={`leg:${result.legs[index]!.lineId}:${result.legs[index]!.index}`}
            leg={index + 1}
            where={where}
            isWeakest={index === budget.weakestLeg && runs.length > 1}
            isShort={hand < 0}
            share={share}
            handShare={handShare}
            asked={asked > 0.5 && share >= SUM_SHARE ? label(asked) : null}
            hand={label(hand)}
          />
        );
      })}
    </div>
  );
}

// In whole hundredths, that a move too small to be seen lays nothing out anew.
const toShare = (part: number, whole: number): number => Math.round((part / whole) * 100);

type RunProps = {
  readonly working: string;
  readonly part: string;
  readonly leg: number;
  readonly where: string;
  readonly isWeakest: boolean;
  readonly isShort: boolean;
  readonly share: number;
  readonly handShare: number;
  readonly asked: string | null;
  readonly hand: string;
};

/** What a run asks for and has in hand, as broad as its part of the height. Drawn anew only where it reads otherwise. */
const Run = memo(function Run(props: RunProps) {
  const { working, part, leg, where, isWeakest, isShort, share, handShare, asked, hand } = props;
  return (
    <Figure
      working={working}
      part={part}
      label={WORDS.leg(leg, where, isWeakest ? WORDS.theWeakestRunItDecides : "")}
      className="flex min-w-[52px] flex-col border-l border-ink text-left first:border-l-0"
      style={{ flex: `${share} 1 0` }}
    >
      <span className="flex h-3 w-full border-b border-rule">
        <span className="strip-asked" style={{ flex: `${100 - handShare} 0 0` }} />
        <span className={isShort ? "strip-short" : "strip-hand"} style={{ flex: `${handShare} 0 0` }} />
      </span>
      <span className="flex min-h-0 w-full flex-1 flex-col justify-center px-1.5 text-[13px] leading-[1.1]">
        <span className={`whitespace-nowrap ${isWeakest ? "plate text-ink" : "text-faint"}`}>
          {WORDS.leg2} {leg}
        </span>
        <span className={`whitespace-nowrap text-[15px] ${isShort ? "text-signal" : ""}`}>
          {asked && <span className="text-faint">{asked} + </span>}
          {hand}
        </span>
      </span>
    </Figure>
  );
});

type FixedProps = {
  readonly name: string;
  readonly label: string;
  readonly working: string;
  readonly figure: string;
};

const Fixed = memo(function Fixed({ name, label, working, figure }: FixedProps) {
  return (
    <Figure
      working={working}
      label={label}
      className="flex min-w-14 shrink-0 flex-col border-l border-ink text-left whitespace-nowrap first:border-l-0 phone:min-w-12"
    >
      <span className="strip-spent h-3 w-full border-b border-rule" />
      <span className="flex w-full flex-1 flex-col justify-center px-1.5 text-[13px] leading-[1.1]">
        <span className="text-faint">{name}</span>
        <span className="text-[15px]">{figure}</span>
      </span>
    </Figure>
  );
});
