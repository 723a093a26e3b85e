"use client";
import dynamic from "next/dynamic";
import * as WORDS from "@/words/panels/shell/pageError";

// What saves and offers the work is with the page's own scripts already; it is not shipped once more for the case of need.
const Failed = dynamic(() => import("./Boundary").then((module) => module.Failed), {
  ssr: false,
  loading: () => <p role="alert">{WORDS.thePageCouldNotBe}</p>,
});

/** The page itself failed: the work is saved and offered, in our own look. */
export function PageError({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <main className="mx-auto mt-[12vh] max-w-[34rem] border border-ink bg-sheet p-4">
      <h1 className="plate pb-3 text-[22px] text-enamel">Schleuse</h1>
      <Failed name={WORDS.thePage} error={error} onRetry={reset} />
    </main>
  );
}
