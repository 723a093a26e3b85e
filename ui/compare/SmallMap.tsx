"use client";
import { useEffect, useState } from "react";
import type { Design } from "@/core/design/design";
import type { StandingMap } from "@/core/evaluate/standingMap";
import * as WORDS from "@/words/panels/compare/smallMap";
import { ask } from "@/workers/client";
import { StandingField } from "../level/StandingField";

const SMALL_MAP = 41;

/** A design's standing map, small, out to an angle that both designs share. */
export function SmallMap({ design, rangeDeg }: { readonly design: Design; readonly rangeDeg: number }) {
  const [map, setMap] = useState<StandingMap | null>(null);
  useEffect(() => {
    const abort = new AbortController();
    const input = { design, size: SMALL_MAP, rangeDeg };
    void ask("standingMap", input, { signal: abort.signal }).then((asked) => {
      if (asked.status === "ready") setMap(asked.answer);
    });
    return () => abort.abort();
  }, [design, rangeDeg]);
  const isBoat = design.rig.kind === "boat";
  return (
    <figure className="min-w-0 flex-1 desk:flex-none">
      <div className="relative aspect-square w-full max-w-[13rem] border border-ink bg-sheet">
        <StandingField map={map} pixels={240} />
      </div>
      <figcaption className="text-[12.5px] text-faint">
        {design.name}
        {WORDS.right} {isBoat ? WORDS.bow : WORDS.nose} {WORDS.highUp} {isBoat ? WORDS.port : WORDS.left}{" "}
        {WORDS.sideHigh} {rangeDeg}
        {WORDS.atTheEdge}
      </figcaption>
    </figure>
  );
}
