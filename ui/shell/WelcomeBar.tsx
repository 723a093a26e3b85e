"use client";
import { FilePlus2, X } from "lucide-react";
import { useState } from "react";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/shell/welcomeBar";
import { Button } from "../kit/Button";
import { SAMPLES } from "../library/samples";

const SEEN_KEY = "schleuse-welcome";
const SAMPLE_IDS: ReadonlySet<string> = new Set(SAMPLES);

/** Says that what is open is a sample, and how to begin one's own, until it is put away: nothing moves under a hand that pulls. */
export function WelcomeBar() {
  const name = useWorkbench((state) => state.history?.design.name);
  const isSample = useWorkbench((state) => SAMPLE_IDS.has(state.history?.design.id ?? ""));
  const [isSeen, setIsSeen] = useState(readSeen);
  if (!isSample || isSeen) return null;
  return (
    <section
      aria-label={WORDS.howToBegin}
      className="flex items-center gap-2 border-b border-ink bg-sheet px-3 py-1 text-[13.5px] phone:flex-wrap"
    >
      <p className="min-w-0 flex-1 phone:flex-none phone:basis-full">
        {name} {WORDS.isASampleRigPull}
      </p>
      <Button look="plate" onClick={() => look({ overlay: "newDesign" })}>
        <FilePlus2 size={14} aria-hidden /> {WORDS.newDesign}
      </Button>
      <Button onClick={() => look({ overlay: "library" })}>{WORDS.otherSamples}</Button>
      <Button
        look="bare"
        aria-label={WORDS.doNotSayThisAgain}
        onClick={() => {
          setIsSeen(true);
          keepSeen();
        }}
      >
        <X size={15} aria-hidden />
      </Button>
    </section>
  );
}

function readSeen(): boolean {
  try {
    return localStorage.getItem(SEEN_KEY) !== null;
  } catch {
    return false;
  }
}

function keepSeen(): void {
  try {
    localStorage.setItem(SEEN_KEY, "1");
  } catch {
    // it is said again next time
  }
}
