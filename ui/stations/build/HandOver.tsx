"use client";
import { Share2, Smartphone } from "lucide-react";
import { useEffect, useState } from "react";
import { readTicks } from "@/core/record/readTicks";
import { type Ticks, writeTicks } from "@/core/record/ticks";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeTicks } from "@/words/build";
import * as WORDS from "@/words/panels/build/handOver";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Codes } from "../../kit/Codes";
import { ReadCodes } from "../../kit/ReadCodes";
import { thisMinute, today } from "../now";
import { useRecords } from "../useRecords";

/** To the phone under the floor: on this device its own page, on another the same as codes for its camera. */
export function HandOver() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const units = useWorkbench((state) => state.units);
  const build = useRecords((state) => state.build);
  const [frames, setFrames] = useState<readonly string[] | null>(null);
  const [canShare, setCanShare] = useState(false);
  useEffect(() => {
    const probe = new File(["{}"], "a.json", { type: "application/json" });
    setCanShare(typeof navigator.canShare === "function" && navigator.canShare({ files: [probe] }));
  }, []);
  const [isReading, setReading] = useState(false);
  const [told, setTold] = useState<string | null>(null);
  const merge = async (ticks: Pick<Ticks, "on" | "stepIds" | "as">) => {
    const { records } = await import("@/store/records");
    await records.open(design.id);
    const before = records.store.getState().build.done.length;
    await records.addTicks(ticks);
    const added = records.store.getState().build.done.length - before;
    setTold(describeTicks(added, ticks.stepIds.length));
  };
  const takeHere = async () => {
    try {
      const [{ readUnderDone, readUnderSheet }, { findTickedAs }] = await Promise.all([
        import("@/store/under"),
        import("@/words/tickedAs"),
      ]);
      const [done, sheet] = await Promise.all([readUnderDone(design.id), readUnderSheet()]);
      const asOf = (stepId: string) => (sheet?.designId === design.id ? findTickedAs(sheet, stepId) : null);
      await merge(readTicks(writeTicks(design.id, today(), done, null, asOf))!);
    } catch {
      tell(WORDS.thatCouldNotBeKept, { tone: "warning" });
    }
  };
  const takeText = (text: string): string | null => {
    const ticks = readTicks(text);
    if (!ticks) return WORDS.theseCodesAreNotWhat;
    if (ticks.designId !== design.id) return WORDS.theseTicksBelongToAnother;
    setReading(false);
    const { stands } = ticks;
    merge(ticks)
      .then(() => stands && keepStands(stands))
      .catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
    return null;
  };
  // what the phone's level measured is offered beside the level here
  const keepStands = async (stands: NonNullable<Ticks["stands"]>) => {
    await (await import("@/store/under")).keepUnderStands(design.id, { ...stands, at: thisMinute() });
    setTold(WORDS.theTicksAreInHow);
  };
  const write = async () => (await import("@/words/underCards")).writeUnderCards(design, evaluation, units, build);
  const open = async () => {
    try {
      const [sheet, { keepUnderSheet }] = await Promise.all([write(), import("@/store/under")]);
      await keepUnderSheet(sheet);
      window.location.assign("/under");
    } catch {
      tell(WORDS.thatCouldNotBeKept, { tone: "warning" });
    }
  };
  const share = async () => {
    const [{ writeFileText }, { records }] = await Promise.all([
      import("@/core/record/file"),
      import("@/store/records"),
    ]);
    const text = writeFileText(design, await records.read(design.id));
    const file = new File([text], `${design.id}.json`, { type: "application/json" });
    try {
      await navigator.share({ files: [file], title: design.name });
    } catch (error) {
      // put away by the one who shares is no failure
      if (error instanceof Error && error.name !== "AbortError")
        tell(WORDS.thisDeviceCannotShareIt, { tone: "warning" });
    }
  };
  const show = async () => {
    if (frames) return setFrames(null);
    const [sheet, { splitFrames }] = await Promise.all([write(), import("@/files/frames")]);
    setFrames(splitFrames(JSON.stringify(sheet)));
  };
  return (
    <Group title={WORDS.underTheFloor}>
      <p className="text-[13px] leading-snug text-faint">
        <Trade>{WORDS.stepsHolesPipesAndDrain}</Trade>
      </p>
      <div className="flex flex-wrap gap-1.5 pt-1">
        <Button look="plate" onClick={() => void open()}>
          <Smartphone size={14} aria-hidden /> {WORDS.openOnThisDevice}
        </Button>
        {canShare && (
          <Button onClick={() => void share()}>
            <Share2 size={14} aria-hidden /> {WORDS.shareTheFile}
          </Button>
        )}
        <Button aria-pressed={frames !== null} onClick={() => void show()}>
          {frames ? WORDS.hideTheCodes : WORDS.showAsCodesForA}
        </Button>
      </div>
      {frames && <Codes frames={frames} text={WORDS.onThePhoneOpenThis} />}
      <p className="pt-2 text-[13px] leading-snug text-faint">
        <Trade>{WORDS.whatWasTickedOnThe}</Trade>
      </p>
      <div className="flex flex-wrap gap-1.5 pt-1">
        <Button onClick={() => void takeHere()}>{WORDS.tickedOnThisDevice}</Button>
        <Button aria-pressed={isReading} onClick={() => setReading(!isReading)}>
          {isReading ? WORDS.cameraOff : WORDS.readThePhonesCodes}
        </Button>
      </div>
      {isReading && <ReadCodes onText={takeText} />}
      {told && (
        <p role="status" className="pt-1 text-[13px]">
          {told}
        </p>
      )}
    </Group>
  );
}
