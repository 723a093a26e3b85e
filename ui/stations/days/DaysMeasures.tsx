"use client";
import { useWorkbench } from "@/store/useWorkbench";
import { WORK_CAUTIONS } from "@/words/cautions";
import { Trade } from "../../glossary/Trade";
import { BucketAndWatch } from "./BucketAndWatch";
import { PeopleFields } from "./PeopleFields";
import { SizeCurves } from "./SizeCurves";
import { StayFigures } from "./StayFigures";
import { StayLadder } from "./StayLadder";
import { UseList } from "./UseList";
import { VesselFields } from "./VesselFields";
import { WasteSchools } from "./WasteSchools";

/** Who lives in it and what they do with water, how long that lasts, and what would lengthen it. */
export function DaysMeasures() {
  const hasPlace = useWorkbench((state) => state.history!.design.fixtures.length > 0);
  return (
    <>
      <StayFigures />
      <StayLadder />
      <SizeCurves />
      <WasteSchools />
      <PeopleFields />
      <UseList />
      <VesselFields />
      {hasPlace && <BucketAndWatch />}
      <p className="px-3 py-2 text-[12px] leading-snug text-faint">
        <Trade>{WORK_CAUTIONS.dumping}</Trade>
      </p>
    </>
  );
}
