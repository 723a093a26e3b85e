import type { ReactNode } from "react";
import { Button } from "./Button";
import { SearchProgress } from "./SearchProgress";
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
  return (
    <>
      {search.status !== "searching" && <Button onClick={() => void onLook()}>{children}</Button>}
      <SearchProgress search={search} looking={looking} onStop={onStop} />
    </>
  );
}
