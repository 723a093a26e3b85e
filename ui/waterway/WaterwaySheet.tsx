"use client";
import { Printer } from "lucide-react";
import { useMemo } from "react";
import type { Design } from "@/core/design/design";
import type { PartRef } from "@/core/design/part";
import { buildWaterway } from "@/core/waterway/buildWaterway";
import type { WorkbenchState } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/waterway/waterwaySheet";
import { showPart } from "../drawing/showPart";
import { useFrame } from "../drawing/useFrame";
import { Button } from "../kit/Button";
import { printPart } from "../kit/printPart";
import { Sheet } from "../kit/Sheet";
import { WaterwayDrawing } from "./WaterwayDrawing";
import { WaterwayPlace } from "./WaterwayPlace";

/** One sheet that shows the whole rig: press a part and its station opens. It prints on one page. */
export function WaterwaySheet({ onClose }: { readonly onClose: () => void }) {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const waterway = useMemo(() => buildWaterway(design, evaluation), [design, evaluation]);
  const frame = useFrame<HTMLDivElement>();
  const { width, height } = frame.size;
  const hasSea = design.gear.some(({ spec }) => spec.kind === "skinFitting");
  const notes = [
    ...(design.gear.length > 0 ? [WORDS.hosesShowTheFoulest] : []),
    ...(hasSea ? [WORDS.theSeaCountsAsGrey] : []),
  ];
  return (
    <Sheet
      size="full"
      title={WORDS.waterway}
      about={[WORDS.whereTheWaterComesFrom, ...notes].join(" ")}
      onClose={onClose}
    >
      <div className="flex h-full min-h-0 flex-col gap-2" data-waterway>
        <div className="flex flex-wrap items-center gap-x-5 gap-y-1 text-[12.5px] text-faint">
          <Legend />
          <span className="flex-1" />
          <Button
            onClick={(event) => printPart(event.currentTarget.closest("[data-waterway]"), [design.name, ...notes])}
          >
            <Printer size={14} aria-hidden /> {WORDS.print}
          </Button>
        </div>
        <div className="min-h-0 flex-1 bg-sheet">
          <WaterwayPlace frame={frame} label={WORDS.waterway} className="h-full">
            {width > 0 && (
              <WaterwayDrawing
                waterway={waterway}
                aspect={width / height}
                widthPx={width}
                onNode={(node) => openPart(node.part)}
                onEdge={(edge) => openPart(edge.part, edge.carries === "air")}
              />
            )}
          </WaterwayPlace>
        </div>
      </div>
    </Sheet>
  );
}

const LEGEND = [
  [WORDS.fresh, "var(--water)", 1.8, undefined],
  [WORDS.grey, "var(--water)", 3.2, "9 4"],
  [WORDS.black, "var(--ink)", 3.4, undefined],
  [WORDS.loop, "var(--enamel)", 2.6, "12 3 2 3"],
  [WORDS.air, "var(--faint)", 1.4, "1 5"],
] as const;

function Legend() {
  return (
    <>
      {LEGEND.map(([name, stroke, width, dash]) => (
        <span key={name} className="flex items-center gap-1.5">
          <svg width="30" height="8" aria-hidden>
            <path d="M0 4h30" stroke={stroke} strokeWidth={width} {...(dash ? { strokeDasharray: dash } : {})} />
          </svg>
          {name}
        </span>
      ))}
    </>
  );
}

/** Opens the station a part is worked at, with the part picked. */
function openPart(part: PartRef, isAir = false): void {
  const { design } = workbench.getState().history!;
  look({ overlay: null, pane: "section", ...findPlace(design, part, isAir), ...showPart(design, part) });
}

type Place = Pick<WorkbenchState, "station"> & Partial<Parameters<typeof look>[0]>;

function findPlace(design: Design, part: PartRef, isAir: boolean): Place {
  switch (part.kind) {
    case "tank":
    case "port":
      return { station: "tanks", selection: part };
    case "line":
    case "end": {
      const id = part.kind === "line" ? part.id : part.lineId;
      const line = design.lines.find((l) => l.id === id);
      if (line?.kind === "dumpLine") return { station: "tanks" };
      return { station: isAir || line?.kind === "vent" ? "air" : "falls" };
    }
    case "fixture":
      return { station: "falls", selection: part };
    case "gear":
    case "state":
      return { station: "loop", selection: part };
    default:
      return { station: part.kind === "store" || part.kind === "habits" ? "days" : "rig" };
  }
}
