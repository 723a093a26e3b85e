"use client";
import { useEffect, useState } from "react";
import * as WORDS from "@/words/panels/kit/codes";

/** Each code stands so long, ms: a camera reads several a second. */
const CODE_MS = 350;

/** A sequence of codes shown in turn, for another device's camera. */
export function Codes({ frames, text }: { readonly frames: readonly string[]; readonly text: string }) {
  const [at, setAt] = useState(0);
  const [drawn, setDrawn] = useState<readonly { readonly path: string; readonly size: number }[] | null>(null);
  useEffect(() => {
    let isOver = false;
    void import("uqr").then(({ encode }) => {
      if (isOver) return;
      setDrawn(
        frames.map((frame) => {
          const { data, size } = encode(frame, { border: 4 });
          const path = data
            .flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : [])))
            .join("");
          return { path, size };
        }),
      );
    });
    return () => {
      isOver = true;
    };
  }, [frames]);
  useEffect(() => {
    const timer = setInterval(() => setAt((now) => (now + 1) % frames.length), CODE_MS);
    return () => clearInterval(timer);
  }, [frames.length]);
  const code = drawn?.[at];
  return (
    <div className="pt-2">
      {code && (
        // a camera reads black on white, whatever the theme
        <svg
          viewBox={`0 0 ${code.size} ${code.size}`}
          className="w-full"
          role="img"
          aria-label={WORDS.codeOf(at + 1, frames.length)}
          shapeRendering="crispEdges"
        >
          <rect width={code.size} height={code.size} fill="#fff" />
          <path d={code.path} fill="#000" />
        </svg>
      )}
      <p className="text-[12.5px] leading-snug text-faint phone:text-[17px]">
        {frames.length} {frames.length === 1 ? WORDS.code : WORDS.codesInTurn}. {text}
      </p>
    </div>
  );
}
