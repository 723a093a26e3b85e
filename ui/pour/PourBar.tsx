"use client";
import { Pause, Play, X } from "lucide-react";
import { useEffect, useState } from "react";
import { listUsable, toUse } from "@/core/pour/usualUses";
import { ALL_AT_ONCE } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/pour/pourBar";
import { describePour, describeSeconds, describeUse } from "@/words/pour";
import { formatQuantity } from "@/words/units";
import { Button } from "../kit/Button";
import { FIELD_LOOK } from "../kit/FieldRow";
import { findFrame, listUses, usePour } from "./usePour";

/** A replay is over in about this long, s; a short one runs in its own time. */
const REPLAY_S = 14;

/** Water in motion: which use, where in time, and what came of it. */
export function PourBar() {
  const poured = usePour();
  const units = useWorkbench((state) => state.units);
  const [isPlaying, setIsPlaying] = useState(() => !window.matchMedia("(prefers-reduced-motion: reduce)").matches);
  const endS = poured?.pour.frames.at(-1)?.second ?? 0;
  useEffect(() => {
    if (!isPlaying || endS === 0) return;
    const speed = Math.max(1, endS / REPLAY_S);
    let before = performance.now();
    let frame = requestAnimationFrame(function tick(now) {
      const { pour } = workbench.getState();
      if (!pour) return;
      const second = pour.second + ((now - before) / 1000) * speed;
      before = now;
      look({ pour: { ...pour, second: Math.min(second, endS) } });
      if (second >= endS) setIsPlaying(false);
      else frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, endS]);
  if (!poured) return null;
  const { pour, design, of, second } = poured;
  const at = findFrame(pour, second);
  const uses = listUses(design, of);
  const play = () => {
    if (!isPlaying && second >= endS) look({ pour: { of, second: 0 } });
    setIsPlaying(!isPlaying);
  };
  return (
    <section aria-label={WORDS.waterInMotion} className="border-t border-ink bg-paper px-3 py-1.5">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="plate text-[15px]">{WORDS.pour}</span>
        <select
          aria-label={WORDS.whatIsPoured}
          value={of}
          onChange={(event) => {
            look({ pour: { of: event.target.value, second: 0 } });
            setIsPlaying(true);
          }}
          className={`min-w-0 max-w-[260px] text-[14px] ${FIELD_LOOK}`}
        >
          {listUsable(design).map((fixture) => (
            <option key={fixture.id} value={fixture.id}>
              {describeUse(toUse(fixture), fixture, units)}
            </option>
          ))}
          {listUsable(design).length > 1 && <option value={ALL_AT_ONCE}>{WORDS.allOfThemAtOnce}</option>}
        </select>
        <Button aria-label={isPlaying ? WORDS.pause : WORDS.play} onClick={play}>
          {isPlaying ? <Pause size={14} aria-hidden /> : <Play size={14} aria-hidden />}
        </Button>
        <input
          type="range"
          aria-label={WORDS.time}
          aria-valuetext={describeSeconds(second)}
          min={0}
          max={endS}
          step={0.5}
          value={second}
          onChange={(event) => {
            setIsPlaying(false);
            look({ pour: { of, second: Number(event.target.value) } });
          }}
          className="h-7 min-w-24 flex-1 accent-enamel"
        />
        <span className="figures min-w-36 text-right text-[15px] whitespace-nowrap" data-testid="pour-now">
          {describeSeconds(at.second)} · {formatQuantity(at.tankL, "volume", units)} {WORDS.inTheTank}
        </span>
        <Button look="bare" aria-label={WORDS.closeThePour} onClick={() => look({ pour: null })}>
          <X size={15} aria-hidden />
        </Button>
      </div>
      <p className="text-[13px] leading-snug text-faint" data-testid="pour-says">
        {describePour(pour, uses, design, units).map(({ text, isBad }) => (
          <span key={text} className={isBad ? "font-semibold text-signal" : ""}>
            {text}{" "}
          </span>
        ))}
      </p>
    </section>
  );
}
