"use client";
import dynamic from "next/dynamic";
import { RegionContext, useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/falls/fallsStage";
import { FallStrip } from "../../section/FallStrip";
import { LongSectionView } from "../../section/LongSectionView";
import { SectionHeader } from "../../section/SectionHeader";
import { Boundary } from "../../shell/Boundary";

const PourBar = dynamic(() => import("../../pour/PourBar").then((module) => module.PourBar), { ssr: false });

/** One drain unrolled, its verdict above it and its fall budget below. */
export function FallsStage() {
  const isPouring = useWorkbench((state) => state.pour !== null);
  return (
    <>
      <div className="flex min-h-0 flex-[7] flex-col">
        <RegionContext value="findings">
          <Boundary name={WORDS.theVerdict}>
            <SectionHeader />
          </Boundary>
        </RegionContext>
        <RegionContext value="section">
          <Boundary name={WORDS.theLongSection}>
            <LongSectionView />
          </Boundary>
        </RegionContext>
      </div>
      <div>
        <Boundary name={WORDS.thePour}>{isPouring && <PourBar />}</Boundary>
        <RegionContext value="strip">
          <Boundary name={WORDS.theFallBudget}>
            <FallStrip />
          </Boundary>
        </RegionContext>
      </div>
    </>
  );
}
