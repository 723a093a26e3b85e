"use client";
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from "react";
import { isSheet, keepUnderDone, keepUnderSheet, readUnderDone, readUnderSheet } from "@/store/under";
import * as WORDS from "@/words/panels/under/underPage";
import type { UnderCard, UnderGroup, UnderSheet } from "@/words/underCards";

const ShowTicks = lazy(() => import("./ShowTicks").then((module) => ({ default: module.ShowTicks })));
const ReadCodes = lazy(() => import("../kit/ReadCodes").then((module) => ({ default: module.ReadCodes })));
// shown unasked: where it cannot be fetched under a floor, the card stands without it
const UnderWords = lazy(() =>
  import("./UnderWords").then((module) => ({ default: module.UnderWords })).catch(() => ({ default: () => null })),
);
const PhoneLevel = lazy(() => import("./PhoneLevel").then((module) => ({ default: module.PhoneLevel })));

// asked for while the page itself is still being worked out; once, for what is kept changes
let early = typeof window === "undefined" ? null : readUnderSheet();
early?.catch(() => undefined);

const GROUPS: Readonly<Record<UnderGroup, string>> = {
  steps: WORDS.steps,
  holes: WORDS.holes,
  legs: WORDS.pipes,
  frost: WORDS.frost,
  spring: WORDS.spring,
};
const BIG = "min-h-14 flex-1 rounded-[3px] border border-edge px-3 text-[19px]";
/** A finger that goes this far sideways turns the page, px. */
const SWIPE_PX = 60;

/** One thing at a time in large figures, for a phone under the floor: swipe or press, nothing to be worked out. */
export function UnderPage() {
  const [sheet, setSheet] = useState<UnderSheet | null>(null);
  const [phase, setPhase] = useState<"loading" | "ready" | "failed">("loading");
  const [tool, setTool] = useState<"cards" | "level" | "codes" | "ticks">("cards");
  useEffect(() => {
    (early ?? readUnderSheet())
      .then((found) => {
        setSheet(found);
        setPhase("ready");
      })
      .catch(() => setPhase("failed"));
    early = null;
  }, []);
  const [card, setCard] = useState<UnderCard | null>(null);
  useWakeLock();
  const take = (text: string): string | null => {
    try {
      const value: unknown = JSON.parse(text);
      if (!isSheet(value)) return WORDS.theseCodesAreNotA;
      setSheet(value);
      setTool("cards");
      void keepUnderSheet(value).catch(() => undefined);
      return null;
    } catch {
      return WORDS.theseCodesCouldNotBe;
    }
  };
  return (
    <main className="flex min-h-dvh flex-col bg-paper text-ink" data-phase={phase}>
      <header className="flex items-center gap-2 border-b border-ink px-3 py-2">
        <h1 className="plate min-w-0 flex-1 truncate text-[20px]">{sheet?.name ?? WORDS.underTheFloor}</h1>
        <button
          type="button"
          className="min-h-14 px-3 text-[17px] text-enamel"
          aria-pressed={tool === "level"}
          onClick={() => setTool(tool === "level" ? "cards" : "level")}
        >
          {WORDS.level}
        </button>
        <button
          type="button"
          className="min-h-14 px-3 text-[17px] text-enamel"
          aria-pressed={tool === "codes"}
          onClick={() => setTool(tool === "codes" ? "cards" : "codes")}
        >
          {WORDS.readCodes}
        </button>
        {sheet && (
          <button
            type="button"
            className="min-h-14 px-3 text-[17px] text-enamel"
            aria-pressed={tool === "ticks"}
            onClick={() => setTool(tool === "ticks" ? "cards" : "ticks")}
          >
            {WORDS.handBack}
          </button>
        )}
      </header>
      <Suspense fallback={null}>
        {tool === "level" && <PhoneLevel sheet={sheet} card={card} />}
        {tool === "codes" && <ReadCodes onText={take} />}
        {tool === "ticks" && sheet && <ShowTicks sheet={sheet} />}
      </Suspense>
      {tool === "cards" && phase === "failed" && (
        <p role="alert" className="p-4 text-[18px]">
          {WORDS.nothingCanBeKeptIn}
        </p>
      )}
      {/* stands in the page as it is sent, so that there is something to read before any script has come */}
      {tool === "cards" && phase !== "failed" && !sheet && (
        <div className="p-4 text-[19px] leading-snug">
          <p>{phase === "loading" ? WORDS.lookingForWhatThisPhone : WORDS.nothingLiesReadyHereYet}</p>
          <p className="pt-3">{WORDS.onThisPhoneOpenThe}</p>
          <p className="pt-3">
            <a className="inline-flex min-h-14 items-center text-enamel underline" href="/">
              {WORDS.openTheDesigns}
            </a>
          </p>
        </div>
      )}
      {sheet && (
        <div className={tool === "cards" ? "contents" : "hidden"}>
          <Cards key={sheet.designId} sheet={sheet} onCard={setCard} />
        </div>
      )}
    </main>
  );
}

function Cards({
  sheet,
  onCard,
}: {
  readonly sheet: UnderSheet;
  /** The card that is open, for the level. */
  readonly onCard: (card: UnderCard | null) => void;
}) {
  const groups = (Object.keys(GROUPS) as UnderGroup[]).filter((group) =>
    sheet.cards.some((card) => card.group === group),
  );
  const [group, setGroup] = useState<UnderGroup>(groups[0] ?? "steps");
  const [index, setIndex] = useState(0);
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const [history, setHistory] = useState<readonly string[]>([]);
  const start = useRef<number | null>(null);
  const cards = sheet.cards.filter((card) => card.group === group);
  const card = cards[Math.min(index, cards.length - 1)];
  useEffect(() => {
    readUnderDone(sheet.designId)
      .then(setDone)
      .catch(() => undefined);
  }, [sheet.designId]);
  useEffect(() => onCard(card ?? null), [onCard, card]);
  const go = useCallback(
    (by: number) => setIndex((at) => Math.max(0, Math.min(cards.length - 1, at + by))),
    [cards.length],
  );
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLInputElement) return;
      if (event.key === "ArrowRight" || event.key === "PageDown") go(1);
      else if (event.key === "ArrowLeft" || event.key === "PageUp") go(-1);
      else if (event.key.toLowerCase() === "r" && card) speak(card);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [go, card]);
  const keep = (next: ReadonlySet<string>) => {
    setDone(next);
    void keepUnderDone(sheet.designId, next).catch(() => undefined);
  };
  if (!card) return <p className="p-4 text-[19px]">{WORDS.thisDesignHasNothingTo}</p>;
  const isDone = done.has(card.id);
  const tick = () => {
    const next = new Set(done);
    if (isDone) next.delete(card.id);
    else next.add(card.id);
    keep(next);
    setHistory([...history, card.id]);
    if (!isDone) go(1);
  };
  const undo = () => {
    const last = history.at(-1);
    if (last === undefined) return;
    const next = new Set(done);
    if (next.has(last)) next.delete(last);
    else next.add(last);
    keep(next);
    setHistory(history.slice(0, -1));
    const at = cards.findIndex(({ id }) => id === last);
    if (at >= 0) setIndex(at);
  };
  return (
    <>
      <nav aria-label={WORDS.whatIsShown} className="flex border-b border-rule">
        {groups.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === group}
            className={`min-h-14 flex-1 text-[17px] ${one === group ? "bg-pick font-semibold" : "text-enamel"}`}
            onClick={() => {
              setGroup(one);
              setIndex(0);
            }}
          >
            {GROUPS[one]}
          </button>
        ))}
      </nav>
      <article
        aria-live="polite"
        data-testid="under-card"
        className="flex flex-1 touch-pan-y flex-col px-4 py-3 select-none"
        onPointerDown={(event) => {
          start.current = event.clientX;
        }}
        onPointerUp={(event) => {
          const from = start.current;
          start.current = null;
          if (from !== null && Math.abs(event.clientX - from) > SWIPE_PX) go(event.clientX < from ? 1 : -1);
        }}
      >
        <p className="text-[17px] text-faint">
          {Math.min(index, cards.length - 1) + 1} {WORDS.of} {cards.length}
          {isDone ? WORDS.done : ""}
        </p>
        <h2 className={`pt-1 text-[27px] leading-tight font-semibold ${isDone ? "line-through decoration-2" : ""}`}>
          {card.title}
        </h2>
        {card.hold && (
          <p className="mt-2 border-l-4 border-signal pl-3 text-[21px] leading-snug font-semibold text-signal">
            {card.hold}
          </p>
        )}
        <dl className="pt-3">
          {card.figures.map(([what, figure]) => (
            <div key={what} className="border-t border-rule py-2">
              <dd className="figures text-[48px] leading-none">{figure}</dd>
              <dt className="text-[17px] text-faint">{what}</dt>
            </div>
          ))}
        </dl>
        {card.text && <p className="pt-2 text-[19px] leading-snug">{card.text}</p>}
        <Suspense fallback={null}>
          <UnderWords key={card.id} text={[card.title, ...card.figures.map(([what]) => what), card.text].join(" ")} />
        </Suspense>
      </article>
      <div className="sticky bottom-0 flex flex-col gap-2 border-t border-ink bg-paper p-3">
        <div className="flex gap-2">
          <button type="button" className={BIG} onClick={() => go(-1)}>
            {WORDS.back}
          </button>
          <button type="button" className={BIG} onClick={() => speak(card)}>
            {WORDS.readOut}
          </button>
          <button type="button" className={BIG} disabled={history.length === 0} onClick={undo}>
            {WORDS.undo}
          </button>
        </div>
        <div className="flex gap-2">
          <button type="button" className={`${BIG} border-enamel bg-enamel text-paper`} onClick={tick}>
            {isDone ? WORDS.notDone : WORDS.done2}
          </button>
          <button type="button" className={BIG} onClick={() => go(1)}>
            {WORDS.next}
          </button>
        </div>
      </div>
    </>
  );
}

// Said by the browser, where it has a voice.
function speak({ title, hold, figures, text }: UnderCard): void {
  if (!("speechSynthesis" in window)) return;
  const said = [title, ...(hold ? [hold] : []), ...figures.map(([what, figure]) => `${what}: ${figure}`), text].join(
    ". ",
  );
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(said.replace(/\bmm\b/g, "millimetres")));
}

// The screen stays on while the page is looked at; where that is not possible it goes dark as ever.
function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const ask = async () => {
      try {
        if (document.visibilityState === "visible") lock = (await navigator.wakeLock?.request("screen")) ?? null;
      } catch {
        lock = null;
      }
    };
    const again = () => void ask();
    void ask();
    document.addEventListener("visibilitychange", again);
    return () => {
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, []);
}
