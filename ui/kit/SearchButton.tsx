import type { ReactNode } from "react";
import * as WORDS from "@/words/panels/kit/searchButton";
import { Button } from "./Button";
import type { Search } from "./useSearch";

/** Begins a search, shows how far it is and stops it, and says when it did not come to an end. */
export function SearchButton({
  search,
  looking,
  onLook,
  onStop,
  children,
}: {
  readonly search: Search<unknown>;
  readonly looking: string;
  readonly onLook: () => Promise<void>;
  readonly onStop: () => void;
  readonly children: ReactNode;
}) {
  if (search.status === "searching") {
    return (
      <span className="flex items-center gap-2 text-[13px]" role="status">
        <progress value={search.share} max={1} aria-label={looking} className="h-1.5 flex-1 accent-enamel" />
        <Button onClick={onStop}>{WORDS.stop}</Button>
      </span>
    );
  }
  return (
    <>
      <Button onClick={() => void onLook()}>{children}</Button>
      {search.status === "failed" && <p className="pt-1 text-[13px]">{WORDS.theSearchDidNotCome}</p>}
    </>
  );
}
