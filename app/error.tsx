"use client";
import { Failed } from "@/ui/shell/Boundary";

/** The page itself failed: the work is saved and offered, in our own look. */
export default function PageError({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <main className="mx-auto mt-[12vh] max-w-[34rem] border border-ink bg-sheet p-4">
      <h1 className="plate pb-3 text-[22px] text-enamel">Schleuse</h1>
      <Failed name="The page" error={error} onRetry={reset} />
    </main>
  );
}
