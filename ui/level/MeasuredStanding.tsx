"use client";
import { useEffect, useState } from "react";
import type { RigKind } from "@/core/design/rig";
import { type MeasuredStands, readUnderStands } from "@/store/under";
import { useWorkbench } from "@/store/useWorkbench";
import { tilt } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import * as WORDS from "@/words/panels/level/measuredStanding";
import { Trade } from "../glossary/Trade";
import { Button } from "../kit/Button";

/** How the phone's level found the rig, one press from standing so here; nothing where it was never laid down. */
export function MeasuredStanding({ kind }: { readonly kind: RigKind }) {
  const designId = useWorkbench((state) => state.history?.design.id);
  const [measured, setMeasured] = useState<MeasuredStands | null>(null);
  useEffect(() => {
    if (designId === undefined) return;
    let isOver = false;
    const read = () =>
      readUnderStands(designId)
        .then((found) => !isOver && setMeasured(found))
        .catch(() => undefined);
    void read();
    // laid down on another page meanwhile
    window.addEventListener("focus", read);
    return () => {
      isOver = true;
      window.removeEventListener("focus", read);
    };
  }, [designId]);
  if (!measured) return null;
  const { pitchDeg, rollDeg, at } = measured;
  const round = (deg: number) => Math.round(deg * 10) / 10;
  return (
    <p className="flex flex-wrap items-center gap-x-2 text-[12.5px] leading-snug text-faint">
      <Trade>{WORDS.byThePhone}</Trade> {at.replace("T", " ")}:{" "}
      {describeAttitude({ pitchDeg: round(pitchDeg), rollDeg: round(rollDeg) }, kind)}.
      <Button className="phone:min-h-11" onClick={() => tilt({ pitchDeg, rollDeg })}>
        {WORDS.standSo}
      </Button>
    </p>
  );
}
