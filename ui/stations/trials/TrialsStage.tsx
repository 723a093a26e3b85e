"use client";
import { useMemo, useState } from "react";
import { type Chance, chooseTrial, countTrialsLeft, type Shown, updateChances } from "@/core/trials/findFault";
import { findHalving } from "@/core/trials/halving";
import { listSuspects, SYMPTOMS, type Symptom } from "@/core/trials/suspects";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/trials/trialsStage";
import { describeSuspect, describeTrial, SYMPTOM_NAMES } from "@/words/trials";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { StagePick } from "../../kit/StagePick";
import { useSay } from "../../kit/useSay";
import { StageHeader } from "../StageHeader";
import { CycleLeak } from "./CycleLeak";
import { ProofWaterway } from "./ProofWaterway";
import { ProposedValve } from "./ProposedValve";

const NOTHING: readonly Chance[] = [];

/** From a symptom to its cause: the trial that tells most comes next, and what is left is drawn by how likely it is. */
export function TrialsStage() {
  const say = useSay();
  const design = useWorkbench((state) => state.history!.design);
  const [symptom, setSymptom] = useState<Symptom>("wetFloor");
  const [shown, setShown] = useState<readonly Shown[]>([]);
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const { suspects, trials } = useMemo(() => listSuspects(design, symptom), [design, symptom]);
  const possible = trials.filter(({ id }) => !skipped.includes(id));
  const chances = useMemo(() => updateChances(suspects, trials, shown), [suspects, trials, shown]);
  const next = useMemo(() => chooseTrial(chances, possible, shown), [chances, possible, shown]);
  const halving = useMemo(
    () => (symptom === "pumpRuns" || symptom === "wetFloor" ? findHalving(design, chances) : null),
    [design, chances, symptom],
  );
  const restart = () => {
    setShown([]);
    setSkipped([]);
  };
  const answer = (showed: boolean) => next && setShown([...shown, { trialId: next.trial.id, showed }]);
  const top = chances[0];
  const isFound = top !== undefined && top.share > 0.8;
  const left = countTrialsLeft(chances);
  const words = next && describeTrial(next.trial, design);
  return (
    <section aria-label={WORDS.findingTheFault} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <StageHeader
        title={WORDS.trials}
        choice={
          <StagePick
            label={WORDS.whatYouSee}
            value={symptom}
            options={SYMPTOMS.map((id) => ({ id, name: say(SYMPTOM_NAMES[id]) }))}
            onPick={(id) => {
              setSymptom(id as Symptom);
              restart();
            }}
          />
        }
        text={
          suspects.length === 0
            ? say(WORDS.nothingOnThisRigCan)
            : isFound
              ? WORDS.mostLikely(describeSuspect(top.suspect, design))
              : WORDS.possibleCausesAboutToGo(suspects.length, Math.max(1, left), WORDS.trialsLeft(left))
        }
      />
      <div className="flex min-h-0 flex-1 phone:flex-col phone:overflow-y-auto">
        <div
          className="min-h-0 flex-[4] overflow-y-auto border-r border-rule px-3 pb-3 phone:flex-none phone:overflow-visible phone:border-r-0"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
          tabIndex={0}
          role="group"
          aria-label={WORDS.trialAndCauses}
        >
          {words && !isFound && (
            <div className="my-2 border border-ink p-3" data-testid="next-trial">
              <p className="text-[16px] leading-snug phone:text-[19px]">{words.what}</p>
              <p className="pt-1 font-semibold">{words.asks}</p>
              <div className="flex flex-wrap gap-2 pt-2">
                <Button look="plate" className="phone:min-h-14 phone:flex-1" onClick={() => answer(true)}>
                  {WORDS.yes}
                </Button>
                <Button look="plate" className="phone:min-h-14 phone:flex-1" onClick={() => answer(false)}>
                  {WORDS.no}
                </Button>
                <Button className="phone:min-h-14" onClick={() => setSkipped([...skipped, next!.trial.id])}>
                  {WORDS.cannotBeDoneHere}
                </Button>
              </div>
            </div>
          )}
          {!next && suspects.length > 1 && !isFound && (
            <p className="py-2">
              <Trade>{WORDS.noTrialOnThisRig}</Trade>
            </p>
          )}
          {symptom === "pumpRuns" && <CycleLeak />}
          {halving && !isFound && <ProposedValve halving={halving} />}
          <ul aria-label={WORDS.possibleCauses}>
            {chances.slice(0, 24).map(({ suspect, share }) => (
              <li key={suspect.id} className="flex items-center gap-2 border-t border-rule py-1 text-[13.5px]">
                <svg width="90" height="12" role="img" aria-label={`${Math.round(share * 100)} %`} className="shrink-0">
                  <rect x="0" y="2" width="88" height="8" fill="none" stroke="var(--edge)" />
                  <rect
                    x="0"
                    y="2"
                    width={88 * share}
                    height="8"
                    fill={share > 0.5 ? "var(--signal)" : "var(--enamel)"}
                  />
                </svg>
                <span className={share < 0.01 ? "text-faint line-through" : ""}>
                  {describeSuspect(suspect, design)}
                </span>
              </li>
            ))}
          </ul>
          {(shown.length > 0 || skipped.length > 0) && (
            <div className="flex gap-2 pt-2">
              {shown.length > 0 && (
                <Button onClick={() => setShown(shown.slice(0, -1))}>{WORDS.takeTheLastAnswerBack}</Button>
              )}
              <Button onClick={restart}>{WORDS.beginAgain}</Button>
            </div>
          )}
        </div>
        <div className="flex min-h-0 min-w-0 flex-[7] phone:h-[70vh] phone:flex-none phone:border-t phone:border-rule">
          <ProofWaterway
            chances={shown.length > 0 ? chances : NOTHING}
            asked={next && !isFound ? next.trial.at : null}
          />
        </div>
      </div>
    </section>
  );
}
