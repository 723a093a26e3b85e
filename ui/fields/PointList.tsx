"use client";
import { Plus, Trash2 } from "lucide-react";
import { toPartKey } from "@/core/design/part";
import type { Line } from "@/core/design/plumbing";
import { interpolate, type Vec3 } from "@/core/geometry/vec";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell } from "@/store/workbench";
import * as WORDS from "@/words/panels/fields/pointList";
import { formatLengthFigure } from "@/words/units";
import { isSamePart } from "../drawing/Handle";
import { Button } from "../kit/Button";
import { PlaceFields } from "./PlaceFields";
import { useEdits } from "./useEdits";

type PointListProps = {
  readonly line: Line;
  /** The whole route, the fixed ends with it; the free points lie between. */
  readonly routeMm: readonly Vec3[];
  readonly nameOf: (index: number) => string;
  /** A breather keeps its open end, which is its last point. */
  readonly isFixed?: (index: number) => boolean;
};

/** The free points of a line: pick one to type its place, put one in after it, take it out. */
export function PointList({ line, routeMm, nameOf, isFixed = () => false }: PointListProps) {
  const selection = useWorkbench((state) => state.selection);
  const units = useWorkbench((state) => state.units);
  const { insert, remove } = useEdits();
  const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
  const points = line.kind === "drain" ? line.bendsMm : line.pointsMm;
  const insertAt = (index: number) => {
    const [before, after] = [routeMm[index], routeMm[index + 1]];
    if (!before || !after) return;
    const part = { kind: "bend", lineId: line.id, index } as const;
    const value = interpolate(before, after, 0.5);
    const refused = insert(part, ["lines", line.id, key], index, value, "addBend");
    if (refused === null) look({ selection: part });
  };
  const takeOut = (index: number) => {
    look({ selection: null });
    const refused = remove({ kind: "line", id: line.id }, ["lines", line.id, key, index], "removeBend");
    if (refused !== null) tell(refused, { tone: "warning" });
  };
  // an end of its own is the last of the points; one that joins ends at another line's
  const beforeEnd = Math.min(points.length, routeMm.length - 2);
  return (
    <>
      <ul>
        {points.map((point, index) => {
          const part = { kind: "bend", lineId: line.id, index } as const;
          const picked = isSamePart(selection, part);
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: points are known by their place along the line
            <li key={index} data-part={toPartKey(part)}>
              <button
                type="button"
                aria-expanded={picked}
                onClick={() => look({ selection: picked ? null : part })}
                className="flex min-h-7 w-full items-center justify-between rounded-[2px] px-1 text-left text-[13.5px] hover:bg-pick phone:min-h-11"
              >
                {nameOf(index)}
                <span className="figures text-[14px] text-faint">
                  {[point.x, point.y, point.z].map((mm) => formatLengthFigure(Math.round(mm), units)).join(" · ")}
                </span>
              </button>
              {picked && (
                <div className="mb-2 border-l-2 border-enamel pl-2">
                  <PlaceFields part={part} />
                  <div className="flex gap-1.5 pt-1">
                    <Button onClick={() => insertAt(index)}>
                      <Plus size={14} aria-hidden /> {WORDS.oneBeforeIt}
                    </Button>
                    {!isFixed(index) && (
                      <Button onClick={() => takeOut(index)}>
                        <Trash2 size={14} aria-hidden /> {WORDS.takeItOut}
                      </Button>
                    )}
                  </div>
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <Button className="mt-1" onClick={() => insertAt(beforeEnd)}>
        <Plus size={14} aria-hidden /> {WORDS.oneBeforeTheEnd}
      </Button>
    </>
  );
}
