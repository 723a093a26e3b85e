"use client";
import { useEffect, useState } from "react";
import { writeTicks } from "@/core/record/ticks";
import { splitFrames } from "@/files/frames";
import { readUnderDone, readUnderStands } from "@/store/under";
import * as WORDS from "@/words/panels/under/showTicks";
import { findTickedAs } from "@/words/tickedAs";
import type { UnderSheet } from "@/words/underCards";
import { Codes } from "../kit/Codes";
import { today } from "../stations/now";

/** What is ticked here as codes for the desk's camera. */
export function ShowTicks({ sheet }: { readonly sheet: UnderSheet }) {
  const { designId } = sheet;
  const [frames, setFrames] = useState<readonly string[] | null>(null);
  const [isFailed, setFailed] = useState(false);
  useEffect(() => {
    Promise.all([readUnderDone(designId), readUnderStands(designId)])
      .then(([done, stands]) => {
        const asOf = (stepId: string) => findTickedAs(sheet, stepId);
        setFrames(splitFrames(writeTicks(designId, today(), done, stands, asOf)));
      })
      .catch(() => setFailed(true));
  }, [designId, sheet]);
  return (
    <section aria-label={WORDS.handBack} className="flex flex-1 flex-col p-4 text-[19px] leading-snug">
      {isFailed && <p role="alert">{WORDS.whatIsTickedCouldNot}</p>}
      {frames && <Codes frames={frames} text={WORDS.onTheDeskOpenBuild} />}
    </section>
  );
}
