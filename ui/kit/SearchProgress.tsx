import * as WORDS from "@/words/panels/kit/searchButton";
import { Button } from "./Button";
import type { Search } from "./useSearch";

/** How far a search is, with its stop; nothing while none runs. */
export function SearchProgress({
  search,
  looking,
  onStop,
}: {
  readonly search: Search<unknown>;
  readonly looking: string;
  readonly onStop: () => void;
}) {
  if (search.status === "failed") return <p className="pt-1 text-[13px]">{WORDS.theSearchDidNotCome}</p>;
  if (search.status !== "searching") return null;
  return (
    <span className="flex items-center gap-2 text-[13px]" role="status">
      <progress value={search.share} max={1} aria-label={looking} className="h-1.5 flex-1 accent-enamel" />
      <Button onClick={onStop}>{WORDS.stop}</Button>
    </span>
  );
}
