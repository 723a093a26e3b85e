"use client";
import { type KeyboardEvent, useState } from "react";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/plan/measureTool";
import { formatLength } from "@/words/units";
import { HaloText } from "../drawing/HaloText";
import { type MeasuredPoint, measureBetween, snapToPart } from "./measurePoints";
import type { PlanToolProps } from "./planToolProps";
import { stepPoint, toRigPoint } from "./sheetPoint";
import { ToolSheet } from "./ToolSheet";

const NEAR_PX = 12;

/** Measures between two places: along, across and straight, and the height between them where both are parts. */
export function MeasureTool({ design, view, isTurned, mmPerPx }: PlanToolProps) {
  const units = useWorkbench((state) => state.units);
  const [from, setFrom] = useState<MeasuredPoint | null>(null);
  const [to, setTo] = useState<MeasuredPoint | null>(null);
  const [isSet, setIsSet] = useState(false);
  const put = (at: MeasuredPoint) => {
    // a third place begins anew
    if (!from || isSet) {
      setFrom(at);
      setTo(at);
      setIsSet(false);
    } else {
      setTo(at);
      setIsSet(true);
    }
  };
  const snap = (at: { x: number; y: number }) => snapToPart(design, at, NEAR_PX * mmPerPx);
  const onKeyDown = (event: KeyboardEvent) => {
    const at = to ?? { x: Math.round(design.rig.lengthMm / 2), y: 0, z: null };
    const next = stepPoint(at, event.key, event.shiftKey, isTurned);
    if (next) setTo({ ...next, z: null });
    else if (event.key === "Enter") put(snap(at));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const mark = (p: MeasuredPoint, key: string) => (
    <path
      key={key}
      d={`M${view.x(p.x) - 8} ${view.y(p.y)}h16m-8 -8v16`}
      stroke="var(--enamel)"
      strokeWidth={p.z === null ? 1.4 : 2.6}
    />
  );
  const length = (mm: number) => formatLength(Math.round(mm), units);
  const measured = from && to ? measureBetween(from, to) : null;
  return (
    <ToolSheet
      label={WORDS.measureArrowKeysMoveEnter}
      view={view}
      onKeyDown={onKeyDown}
      onMove={(element, event) => !isSet && setTo(snap(toRigPoint(element, event, view)))}
      onPress={(element, event) => put(snap(toRigPoint(element, event, view)))}
    >
      {from && to && (
        <path
          d={`M${view.x(from.x)} ${view.y(from.y)}L${view.x(to.x)} ${view.y(to.y)}`}
          stroke="var(--enamel)"
          strokeWidth={1.8}
          strokeDasharray="6 3"
        />
      )}
      {from && mark(from, "from")}
      {to && mark(to, "to")}
      {from && to && measured && measured.straight > 0 && (
        <g data-testid="measured">
          <HaloText
            tone="ink"
            x={(view.x(from.x) + view.x(to.x)) / 2}
            y={(view.y(from.y) + view.y(to.y)) / 2 - 8}
            anchor="middle"
          >
            {WORDS.straight(length(measured.straight))}
          </HaloText>
          <HaloText
            tone="ink"
            x={(view.x(from.x) + view.x(to.x)) / 2}
            y={(view.y(from.y) + view.y(to.y)) / 2 + 16}
            anchor="middle"
          >
            {WORDS.alongAcross(
              length(measured.along),
              length(measured.across),
              measured.up === null
                ? ""
                : `, ${length(Math.abs(measured.up))} ${measured.up < 0 ? WORDS.down : WORDS.up}`,
            )}
          </HaloText>
        </g>
      )}
    </ToolSheet>
  );
}
