"use client";
import { type KeyboardEvent, useState } from "react";
import { buildDrawnDrain, findPlanEnd, type PlanPoint, snapToFittings } from "@/core/edits/drawnDrain";
import { tellRefusal } from "@/store/refusals";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look, tell, undo } from "@/store/workbench";
import { describeGoal } from "@/words/goals";
import * as WORDS from "@/words/panels/plan/drawTool";
import { formatLength } from "@/words/units";
import { HaloText } from "../drawing/HaloText";
import { toPath } from "../drawing/view";
import { findDrawn } from "./drawn";
import type { PlanToolProps } from "./planToolProps";
import { stepPoint, toRigPoint } from "./sheetPoint";
import { ToolSheet } from "./ToolSheet";

/** A click this near to an inlet or another drain ends there, px. */
const NEAR_PX = 16;

/** Draws a drain by its bends: each click a bend at 45° or 90°, the last one on an inlet or another drain. */
export function DrawTool({ design, view, isTurned, mmPerPx }: PlanToolProps) {
  const drawn = useWorkbench(findDrawn);
  const units = useWorkbench((state) => state.units);
  const [points, setPoints] = useState<readonly PlanPoint[]>([]);
  const [cursor, setCursor] = useState<PlanPoint | null>(null);
  const fixture = design.fixtures.find(({ id }) => id === drawn?.fixtureId);
  if (!fixture || !drawn) return null;
  const { outletMm } = fixture;
  const from = points.at(-1) ?? outletMm;
  const aim = cursor && snapToFittings(points, cursor);
  const end = cursor && findPlanEnd(design, fixture.id, cursor, NEAR_PX * mmPerPx);
  const put = (at: PlanPoint) => {
    const goal = findPlanEnd(design, fixture.id, at, NEAR_PX * mmPerPx);
    if (!goal) {
      setPoints([...points, snapToFittings(points, at)]);
      return;
    }
    const edit = buildDrawnDrain(design, fixture.id, points, goal, drawn.fallMmPerM);
    const outcome = edit && change(edit);
    if (outcome && !outcome.ok) {
      if (outcome.faults[0]) void tellRefusal(outcome.faults[0]);
      else tell(WORDS.itCannotBeLaidSo, { tone: "warning" });
      return;
    }
    setPoints([]);
    look({ tool: null, ...(edit?.at.kind === "line" ? { drainId: edit.at.id } : {}) });
    tell(WORDS.theDrainOfIsDrawn(fixture.name), { action: { label: WORDS.undo, run: undo } });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const at = cursor ?? { x: Math.round(outletMm.x), y: Math.round(outletMm.y) };
    const next = stepPoint(at, event.key, event.shiftKey, isTurned);
    if (next) setCursor(next);
    else if (event.key === "Enter") put(at);
    else if (event.key === "Backspace" && points.length > 0) setPoints(points.slice(0, -1));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const way: PlanPoint[] = [outletMm, ...points, ...(end ? [end.atMm] : aim ? [aim] : [])];
  const last = way.at(-1)!;
  const lengthMm = Math.hypot(last.x - from.x, last.y - from.y);
  return (
    <ToolSheet
      label={WORDS.drawTheDrainOfArrow(fixture.name)}
      view={view}
      onKeyDown={onKeyDown}
      onMove={(element, event) => setCursor(toRigPoint(element, event, view))}
      onPress={(element, event) => put(toRigPoint(element, event, view))}
    >
      <path
        d={toPath(
          view,
          way.map(({ x, y }) => [x, y] as const),
        )}
        fill="none"
        stroke="var(--enamel)"
        strokeWidth={3}
        strokeDasharray={end ? undefined : "8 4"}
      />
      {points.map(({ x, y }, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: bends are known by their place along the drain
        <circle key={i} cx={view.x(x)} cy={view.y(y)} r={4} fill="var(--enamel)" />
      ))}
      {end && (
        <>
          <circle
            cx={view.x(end.atMm.x)}
            cy={view.y(end.atMm.y)}
            r={11}
            fill="none"
            stroke="var(--enamel)"
            strokeWidth={2.4}
          />
          <HaloText x={view.x(end.atMm.x)} y={view.y(end.atMm.y) - 17} anchor="middle">
            {WORDS.endsIn(describeGoal(end.goal, design, units))}
          </HaloText>
        </>
      )}
      {aim && !end && (
        <>
          <path d={`M${view.x(aim.x) - 9} ${view.y(aim.y)}h18m-9 -9v18`} stroke="var(--enamel)" strokeWidth={1.6} />
          <HaloText x={view.x(aim.x) + 12} y={view.y(aim.y) - 9}>
            {formatLength(Math.round(lengthMm), units)}
          </HaloText>
        </>
      )}
    </ToolSheet>
  );
}
