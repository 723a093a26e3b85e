"use client";
import dynamic from "next/dynamic";
import { type ComponentType, type DragEvent, startTransition, useDeferredValue, useEffect, useState } from "react";
import { loadFitted } from "@/store/fitted";
import { loadRefusals } from "@/store/refusals";
import { useWorkbench } from "@/store/useWorkbench";
import { speakFor } from "@/words/afloat";
import { CAUTION } from "@/words/cautions";
import * as WORDS from "@/words/panels/shell/workbench";
import { NoticeBar } from "../kit/NoticeBar";
import { SpeechContext } from "../kit/useSay";
import { useSettled } from "../kit/useSettled";
import { Announcer } from "./Announcer";
import { Boundary } from "./Boundary";
import { openFile, startSession } from "./browserSession";
import { TopBar } from "./TopBar";
import { useHotkeys } from "./useHotkeys";
import { useIsNarrow } from "./useIsNarrow";
import { useKeepFocus } from "./useKeepFocus";
import { WelcomeBar } from "./WelcomeBar";

const PhoneBar = dynamic(() => import("./PhoneBar").then((module) => module.PhoneBar), { ssr: false });
const Overlays = dynamic(() => import("./Overlays").then((module) => module.Overlays), { ssr: false });

/** The whole workbench: its frame comes at once, what is in it as soon as the design is open. */
export function Workbench() {
  // what there is much of is drawn in between, so that the page answers a hand while it comes up
  const opened = useDeferredValue(useWorkbench((state) => state.phase));
  const overlay = useWorkbench((state) => state.overlay);
  const say = speakFor(useWorkbench((state) => state.history?.design.rig.kind));
  const [Slip, setSlip] = useState<ComponentType | null>(null);
  const [isOver, setIsOver] = useState(false);
  const isNarrow = useIsNarrow();
  useHotkeys();
  useKeepFocus();
  // fetched while the store is opened, and drawn when both are there
  const [hasFailed, setFailed] = useState(false);
  const [Regions, setRegions] = useState<ComponentType | null>(null);
  useEffect(() => {
    void startSession();
    import("./Regions")
      .then((loaded) => startTransition(() => setRegions(() => loaded.Regions)))
      .catch(() => setFailed(true));
  }, []);
  const phase = hasFailed ? "failed" : opened === "ready" && !Regions ? "loading" : opened;
  // for the first pump or hose that is fitted: here by the time a hand comes to it
  const isSettled = useSettled(phase === "ready");
  useEffect(() => {
    if (!isSettled) return;
    loadFitted().catch(() => undefined);
    loadRefusals().catch(() => undefined);
    let stop = () => {};
    let isGone = false;
    import("./watchPage")
      .then(({ watchPage }) => {
        if (!isGone) stop = watchPage(document, setSlip);
      })
      .catch(() => undefined);
    return () => {
      isGone = true;
      stop();
    };
  }, [isSettled]);
  const onDragOver = (event: DragEvent) => {
    if (!event.dataTransfer.types.includes("Files")) return;
    event.preventDefault();
    setIsOver(true);
  };
  const onDrop = (event: DragEvent) => {
    setIsOver(false);
    if (event.dataTransfer.files.length === 0) return;
    event.preventDefault();
    void openFile(event.dataTransfer.files[0]);
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: a file may be dropped anywhere; the designs sheet opens one by keyboard
    <div
      className="flex h-dvh flex-col"
      onDragOver={onDragOver}
      onDragLeave={() => setIsOver(false)}
      onDrop={onDrop}
      data-phase={phase}
    >
      <Boundary name={WORDS.theTopLine}>
        <TopBar />
        {phase === "ready" && <WelcomeBar />}
      </Boundary>
      {phase === "ready" && Regions ? (
        <SpeechContext value={say}>
          <Regions />
        </SpeechContext>
      ) : (
        <Waiting failed={phase === "failed"} />
      )}
      {isNarrow && <PhoneBar />}
      {!overlay && <NoticeBar />}
      <Announcer />
      {Slip && <Slip />}
      {overlay && (
        <SpeechContext value={say}>
          <Boundary name={WORDS.thisSheet}>
            <Overlays />
          </Boundary>
        </SpeechContext>
      )}
      {isOver && (
        <div className="pointer-events-none fixed inset-3 z-50 flex items-center justify-center border-4 border-dashed border-enamel bg-paper/80">
          <p className="plate text-[26px] text-enamel">{WORDS.dropADesignHereTo}</p>
        </div>
      )}
    </div>
  );
}

function Waiting({ failed }: { readonly failed: boolean }) {
  return (
    <main className="flex flex-1 flex-col items-center justify-center gap-4 p-8">
      <p className="text-faint" role="status">
        {failed ? WORDS.schleuseCouldNotStartIn : WORDS.openingYourDesign}
      </p>
      {/* stands in the page as it is sent, so that there is something to read before any script has come */}
      <p className="max-w-[34rem] text-[17px] leading-relaxed">{CAUTION}</p>
    </main>
  );
}
