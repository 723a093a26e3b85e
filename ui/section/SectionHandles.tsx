"use client";
import { useCallback } from "react";
import type { Design } from "@/core/design/design";
import { findPlaceMm, type Movable } from "@/core/design/moves";
import type { Drain } from "@/core/design/plumbing";
import { vec } from "@/core/geometry/vec";
import type { LongSection, SectionPoint } from "@/core/section/sectionLayout";
import { computeSectionShift } from "@/core/section/sectionShift";
import { useWorkbench } from "@/store/useWorkbench";
import { describePart } from "@/words/describePart";
import * as WORDS from "@/words/panels/section/sectionHandles";
import { Handle, isSamePart, type Pull } from "../drawing/Handle";
import { findShownResult } from "../drawing/shown";
import type { View } from "../drawing/view";
import { useSay } from "../kit/useSay";

/** A leg shorter than this on the screen has no room to be taken hold of between its ends. */
const LEAST_LEG_PX = 64;

/** Everything that can be pulled in the section: tank, passages, bends, whole legs, inlet and outlet. */
export function SectionHandles({ layout, view }: { readonly layout: LongSection; readonly view: View }) {
  const say = useSay();
  const design = useWorkbench((state) => state.history!.design);
  const { lineId } = layout;
  const drain = design.lines.find((line) => line.id === lineId);
  const result = useWorkbench(findShownResult);
  const attitude = useWorkbench((state) => state.attitude);
  const picked = useWorkbench((state) => state.selection);
  const toShift = useCallback(
    (base: Design, pull: Pull, part: Movable) => {
      const line = base.lines.find((l): l is Drain => l.kind === "drain" && l.id === lineId);
      if (!line) return vec(0, 0, 0);
      return computeSectionShift(base, line, part, { alongMm: pull.across, upMm: pull.up }, attitude);
    },
    [lineId, attitude],
  );
  if (drain?.kind !== "drain" || !result) return null;
  const pxPerMm = { x: view.kx, y: view.ky };
  const bore = drain.pipe.innerMm;
  const at = (s: number, h: number) => [view.x(s), view.y(h)] as const;
  const props = (part: Movable) => ({ part, pxPerMm, toShift });
  const { tank } = layout;
  const fixturePart = { kind: "fixture", id: drain.fromFixture } as const;
  return (
    <g>
      {tank && (
        <Handle
          {...props({ kind: "tank", id: tank.id })}
          label={WORDS.move(describePart({ kind: "tank", id: tank.id }, design))}
          at={[view.x(findMiddleS(tank.outline)), view.y(Math.min(...tank.outline.map((p) => p.h))) - 9]}
          shape="wide"
        />
      )}
      {result.passages
        .filter(({ through }) => through === "floor")
        .map((passage) => {
          const from = layout.nodes[passage.legIndex]!;
          const to = layout.nodes[passage.legIndex + 1]!;
          const floor = layout.floorTop.find((p) => p.s >= from.s)?.h ?? 0;
          const share = from.h === to.h ? 0 : Math.min(1, Math.max(0, (from.h - floor) / (from.h - to.h)));
          return (
            <Handle
              key={passage.legIndex}
              {...props({ kind: "passage", lineId: drain.id, index: passage.legIndex })}
              label={WORDS.of(say(WORDS.moveTheFloorPassage), drain.name)}
              at={at(from.s + (to.s - from.s) * share, floor)}
              shape="square"
            />
          );
        })}
      {layout.nodes.map((node) =>
        node.role === "bend" ? (
          <Handle
            key={`${node.lineId}-${node.bend}`}
            {...props({ kind: "bend", lineId: node.lineId, index: node.bend })}
            label={WORDS.moveBendOf(node.bend + 1, design.lines.find((l) => l.id === node.lineId)!.name)}
            at={at(node.s, node.h + bore / 2)}
          />
        ) : null,
      )}
      {result.legs.slice(0, result.ownLegs).map((leg, i) => {
        const part = { kind: "leg", lineId: leg.lineId, index: leg.index } as const;
        const [from, to] = [layout.nodes[i]!, layout.nodes[i + 1]!];
        // one that is picked keeps its handle, however short it becomes under the hand
        const isShort = (to.s - from.s) * view.kx < LEAST_LEG_PX && !isSamePart(picked, part);
        if (leg.kind === "drop" || isShort || !findPlaceMm(design, part)) return null;
        // clear of the mark of the flow in the middle
        const share = 0.72;
        return (
          <Handle
            key={`leg-${leg.index}`}
            {...props(part)}
            label={WORDS.moveKeepingItsFall(describePart(part, design))}
            at={at(from.s + (to.s - from.s) * share, from.h + (to.h - from.h) * share + bore / 2)}
            shape="leg"
          />
        );
      })}
      {layout.nodes.slice(-1).map((node) => (
        <Handle
          key="inlet"
          {...props(tank ? { kind: "port", tankId: tank.id, id: tank.inletId } : { kind: "end", lineId: node.lineId })}
          label={
            tank
              ? WORDS.moveTheInletOf(describePart({ kind: "tank", id: tank.id }, design))
              : WORDS.moveThe(describePart({ kind: "end", lineId: node.lineId }, design).toLowerCase())
          }
          at={at(node.s, node.h + bore / 2)}
        />
      ))}
      <Handle
        {...props(fixturePart)}
        label={WORDS.moveTheOutletOf(describePart(fixturePart, design))}
        at={at(layout.outlet.s, layout.outlet.h)}
        shape="wide"
      />
    </g>
  );
}

const findMiddleS = (outline: readonly SectionPoint[]): number =>
  (Math.min(...outline.map((p) => p.s)) + Math.max(...outline.map((p) => p.s))) / 2;
