"use client";
import { ArrowRightLeft, Copy } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { listDifferences } from "@/core/compare/differences";
import { summarize } from "@/core/compare/summary";
import type { Design } from "@/core/design/design";
import { isReadyFor } from "@/store/fitted";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/compare/compareSheet";
import { Trade } from "../glossary/Trade";
import { Button } from "../kit/Button";
import { FIELD_LOOK } from "../kit/FieldRow";
import { Sheet } from "../kit/Sheet";
import { findMapRange } from "../level/findMapRange";
import { session } from "../shell/browserSession";
import { DifferenceList } from "./DifferenceList";
import { FigureTable } from "./FigureTable";
import { FindingsApart } from "./FindingsApart";
import { SmallMap } from "./SmallMap";

/** The open design beside another one: what each comes to, where they differ, and what is taken over. */
export function CompareSheet({ onClose }: { readonly onClose: () => void }) {
  const here = useWorkbench((state) => state.history!.design);
  const library = useWorkbench((state) => state.library);
  const others = library.filter((entry) => entry.id !== here.id && entry.fault === null);
  const [otherId, setOtherId] = useState(() => others[0]?.id ?? "");
  const [there, setThere] = useState<Design | null>(null);
  const [isMissing, setMissing] = useState(false);
  useEffect(() => {
    let gone = false;
    setMissing(false);
    void session.read(otherId).then(async (design) => {
      // what judges the other one, and the words for it, may not be here yet
      const isReady = design !== null && (await isReadyFor(design));
      if (gone) return;
      setThere(isReady ? design : null);
      setMissing(otherId !== "" && !isReady);
    });
    return () => {
      gone = true;
    };
  }, [otherId]);
  return (
    <Sheet title={WORDS.compare} about={WORDS.theOpenDesignBesideAnother} onClose={onClose} size="wide">
      {others.length === 0 ? (
        <>
          <p className="pb-3">
            <Trade>{WORDS.thereIsNoOtherDesign}</Trade>
          </p>
          <Button
            onClick={() => {
              onClose();
              void session.duplicate(here.id);
            }}
          >
            <Copy size={14} aria-hidden /> {WORDS.duplicate(here.name)}
          </Button>
        </>
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-3">
            <span className="plate text-[18px]">{here.name}</span>
            <span className="text-faint">{WORDS.beside}</span>
            <select
              aria-label={WORDS.theOtherDesign}
              value={otherId}
              onChange={(event) => setOtherId(event.target.value)}
              className={`min-w-44 text-[15px] ${FIELD_LOOK}`}
            >
              {others.map((entry) => (
                <option key={entry.id} value={entry.id}>
                  {entry.name}
                </option>
              ))}
            </select>
            <Button
              onClick={() => {
                onClose();
                void session.open(otherId);
              }}
            >
              <ArrowRightLeft size={14} aria-hidden /> {WORDS.openItInstead}
            </Button>
          </div>
          {isMissing && (
            <p role="alert" className="pt-3 text-signal">
              {WORDS.thatDesignCannotBeRead}
            </p>
          )}
          {there && <Comparison here={here} there={there} onClose={onClose} />}
        </>
      )}
    </Sheet>
  );
}

type ComparisonProps = { readonly here: Design; readonly there: Design; readonly onClose: () => void };

function Comparison({ here, there, onClose }: ComparisonProps) {
  const mine = useMemo(() => ({ design: here, summary: summarize(here) }), [here]);
  const theirs = useMemo(() => ({ design: there, summary: summarize(there) }), [there]);
  const differences = useMemo(() => listDifferences(here, there), [here, there]);
  const rangeDeg = Math.max(findMapRange(here.rig), findMapRange(there.rig));
  return (
    <div className="mt-4 grid gap-6 desk:grid-cols-[1fr_14rem]">
      <div className="min-w-0">
        <FigureTable here={mine} there={theirs} />
        <FindingsApart here={mine} there={theirs} onClose={onClose} />
        <DifferenceList here={here} there={there} differences={differences} />
      </div>
      <div className="flex gap-4 desk:flex-col">
        <SmallMap design={here} rangeDeg={rangeDeg} />
        <SmallMap design={there} rangeDeg={rangeDeg} />
      </div>
    </div>
  );
}
