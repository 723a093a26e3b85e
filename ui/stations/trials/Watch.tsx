"use client";
import { useEffect, useState } from "react";
import * as WORDS from "@/words/panels/trials/watch";
import { Button } from "../../kit/Button";

/** Counts the seconds while the paper, or the bucket, is watched. */
export function Watch({ onSeconds }: { readonly onSeconds: (seconds: number) => void }) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setNow(Date.now()), 1_000);
    return () => clearInterval(timer);
  }, [since]);
  const seconds = since === null ? 0 : Math.max(0, Math.floor((now - since) / 1_000));
  return (
    <div className="flex items-center gap-3 py-1">
      <Button
        className="phone:min-h-14"
        onClick={() => {
          if (since === null) {
            setNow(Date.now());
            setSince(Date.now());
          } else {
            onSeconds(Math.max(1, Math.round((Date.now() - since) / 100) / 10));
            setSince(null);
          }
        }}
      >
        {since === null ? WORDS.startTheWatch : WORDS.stop}
      </Button>
      {since !== null && (
        <span className="figures text-[20px]" role="timer">
          {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, "0")}
        </span>
      )}
    </div>
  );
}
