"use client";
import dynamic from "next/dynamic";

// What saves and offers the work is with the page's own scripts already; it is not shipped once more for the case of need.
const Failed = dynamic(() => import("@/ui/shell/Boundary").then((module) => module.Failed), {
  ssr: false,
  loading: () => (
    <p role="alert">
      The page could not be shown. What was kept in this browser is still there: load the page again to go on.
    </p>
  ),
});

/** The page itself failed: the work is saved and offered, in our own look. */
export default function PageError({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <main className="mx-auto mt-[12vh] max-w-[34rem] border border-ink bg-sheet p-4">
      <h1 className="plate pb-3 text-[22px] text-enamel">Schleuse</h1>
      <Failed name="The page" error={error} onRetry={reset} />
    </main>
  );
}
