"use client";
import dynamic from "next/dynamic";
import { RegionContext, useWorkbench } from "@/store/useWorkbench";
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
          <Boundary name="The verdict">
            <SectionHeader />
          </Boundary>
        </RegionContext>
        <RegionContext value="section">
          <Boundary name="The long section">
            <LongSectionView />
          </Boundary>
        </RegionContext>
      </div>
      <div>
        <Boundary name="The pour">{isPouring && <PourBar />}</Boundary>
        <RegionContext value="strip">
          <Boundary name="The fall budget">
            <FallStrip />
          </Boundary>
        </RegionContext>
      </div>
    </>
  );
}
