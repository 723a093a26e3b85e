"use client";
import { useEffect, useRef, useState } from "react";
import { type Gathered, gatherFrame, joinFrames } from "@/files/frames";
import * as WORDS from "@/words/panels/kit/readCodes";

/** Reads a sequence of codes off another screen with the camera, in any order, until all are there. */
export function ReadCodes({ onText }: { readonly onText: (text: string) => string | null }) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<"asking" | "on" | "refused" | "none">("asking");
  const [gathered, setGathered] = useState<Gathered | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = useRef(onText);
  take.current = onText;
  useEffect(() => {
    let stream: MediaStream | null = null;
    let timer = 0;
    let isOver = false;
    let known: Gathered | null = null;
    const begin = async () => {
      if (!navigator.mediaDevices?.getUserMedia) return setState("none");
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } });
      } catch {
        return setState("refused");
      }
      const { default: jsQR } = await import("jsqr");
      const element = video.current;
      if (isOver || !element) return;
      element.srcObject = stream;
      await element.play();
      setState("on");
      const canvas = document.createElement("canvas");
      const look = () => {
        if (isOver) return;
        const { videoWidth: width, videoHeight: height } = element;
        const context = width > 0 ? canvas.getContext("2d", { willReadFrequently: true }) : null;
        if (context) {
          canvas.width = width;
          canvas.height = height;
          context.drawImage(element, 0, 0, width, height);
          const code = jsQR(context.getImageData(0, 0, width, height).data, width, height);
          const next = code ? gatherFrame(known, code.data) : known;
          if (next !== known && next) {
            known = next;
            setGathered(next);
            const joined = joinFrames(next);
            if (joined.ok) {
              const refused = take.current(joined.text);
              setRefusal(refused);
              known = null;
              // what was taken is not read once more while the page puts the camera away
              if (refused === null) return;
            } else if (joined.missing === 0) {
              setRefusal(WORDS.oneCodeWasReadWrongly);
              known = null;
              setGathered(null);
            }
          }
        }
        timer = window.setTimeout(look, 120);
      };
      look();
    };
    void begin();
    return () => {
      isOver = true;
      window.clearTimeout(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, []);
  return (
    <section aria-label={WORDS.readCodes} className="flex flex-1 flex-col gap-3 p-4 text-[19px] leading-snug">
      {state === "refused" && <p role="alert">{WORDS.theCameraWasRefusedAllow}</p>}
      {state === "none" && <p role="alert">{WORDS.noCameraHereOrThe}</p>}
      <video ref={video} playsInline muted className={`w-full bg-ink ${state === "on" ? "" : "hidden"}`} />
      <p data-testid="codes" aria-live="polite">
        {gathered
          ? WORDS.ofCodesRead(gathered.parts.size, gathered.count)
          : state === "on"
            ? WORDS.holdThePhoneOnThe
            : ""}
      </p>
      {refusal && <p role="alert">{refusal}</p>}
    </section>
  );
}
