import { useEffect, useRef } from "react";
import { STATIONS } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { STATION_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/shell/stair";
import { SeverityMark } from "../kit/SeverityMark";
import { findWorst } from "../stations/stations";

/** Stations across the top of a phone, where there is no room for the stair: over their drawing and over their measures. */
export function PhoneStations() {
  const station = useWorkbench((state) => state.station);
  const shut = useWorkbench((state) => STATIONS.filter((at) => findWorst(state, at) === "must").join());
  const row = useRef<HTMLElement>(null);
  // the one that is shown stands in the row, however far along it is
  useEffect(() => {
    if (station) row.current?.querySelector("[aria-current]")?.scrollIntoView({ inline: "center", block: "nearest" });
  }, [station]);
  return (
    <nav ref={row} aria-label={WORDS.stations} className="flex shrink-0 overflow-x-auto border-b border-rule bg-paper">
      {STATIONS.map((at) => (
        <button
          key={at}
          type="button"
          aria-current={station === at ? "step" : undefined}
          onClick={() => look({ station: at })}
          className={`plate flex min-h-12 flex-auto items-center justify-center gap-1 px-2.5 text-[15px] ${station === at ? "bg-enamel text-on-enamel" : "text-faint"}`}
        >
          {STATION_NAMES[at].name}
          {shut.split(",").includes(at) && <SeverityMark severity="must" size={12} />}
        </button>
      ))}
    </nav>
  );
}
