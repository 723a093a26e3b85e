"use client";
import { type KeyboardEvent, memo, type PointerEvent, useContext, useEffect, useRef } from "react";
import type { Design } from "@/core/design/design";
import type { Edit } from "@/core/design/editOps";
import { buildMove, findPlaceMm, type Movable } from "@/core/design/moves";
import type { PartRef } from "@/core/design/part";
import { buildMoveAll, isLocked } from "@/core/edits/groupEdits";
import { snapTank } from "@/core/fit/snapTank";
import { add, type Vec3, vec } from "@/core/geometry/vec";
import { tellRefusal } from "@/store/refusals";
import { RegionContext, useWorkbench } from "@/store/useWorkbench";
import { beginDrag, drag, endDrag, view as look, say, workbench } from "@/store/workbench";
import { describePart } from "@/words/describePart";
import * as WORDS from "@/words/panels/drawing/handle";
import { describePlaceMm } from "@/words/places";
import { formatLength } from "@/words/units";
import { Disc } from "./Stroke";
import { listBox, listRound, roundPx } from "./view";

/** A pull in a drawing, millimetres as drawn: to the right and up. */
export type Pull = { readonly across: number; readonly up: number };

export type HandleShape = "round" | "square" | "wide" | "leg";

const GRIPS: Readonly<Record<HandleShape, (x: number, y: number) => string>> = {
  round: (x, y) => listRound(x, y, 5),
  square: (x, y) => listBox(x - 5, y - 5, 10, 10),
  wide: (x, y) => listBox(x - 9, y - 4, 18, 8, 4),
  leg: (x, y) => `${x},${y - 6} ${x + 6},${y} ${x},${y + 6} ${x - 6},${y}`,
};

type HandleProps = {
  readonly part: Movable;
  readonly label: string;
  readonly at: readonly [number, number];
  readonly pxPerMm: { readonly x: number; readonly y: number };
  /** What a pull of the part means on the rig; the same function as long as it means the same. */
  readonly toShift: (design: Design, pull: Pull, part: Movable) => Vec3;
  readonly shape?: HandleShape;
};

/** So near to where it just fits a tank takes hold. */
const SNAP_PX = 5;

const STEPS: Readonly<Record<string, Pull>> = {
  ArrowLeft: { across: -1, up: 0 },
  ArrowRight: { across: 1, up: 0 },
  ArrowUp: { across: 0, up: 1 },
  ArrowDown: { across: 0, up: -1 },
};

/** A point of the rig that can be pulled, or nudged with the arrow keys: 1 mm, with Shift 10 mm. One hold is one step of undo. */
export const Handle = memo(DrawnHandle, isSameHandle);

// Most handles stand still while one is pulled: those are not drawn again.
function isSameHandle(a: HandleProps, b: HandleProps): boolean {
  return (
    a.label === b.label &&
    a.at[0] === b.at[0] &&
    a.at[1] === b.at[1] &&
    a.pxPerMm.x === b.pxPerMm.x &&
    a.pxPerMm.y === b.pxPerMm.y &&
    a.shape === b.shape &&
    a.toShift === b.toShift &&
    isSamePart(a.part, b.part)
  );
}

function DrawnHandle({ part, label, at, pxPerMm, toShift, shape = "round" }: HandleProps) {
  const picked = useWorkbench(
    (state) => isSamePart(state.selection, part) || state.group.some((other) => isSamePart(other, part)),
  );
  const region = useContext(RegionContext);
  const held = useRef<Held | null>(null);
  // placed by its own coordinates: a transform for each of a hundred handles costs every frame
  const [x, y] = [roundPx(at[0]), roundPx(at[1])];

  const begin = (): Held | null => {
    const design = workbench.getState().history?.design;
    const place = design && findPlaceMm(design, part);
    if (!design || !place) return null;
    if (isLocked(design, part)) {
      void tellRefusal({ code: "locked", path: [], name: describePart(toRef(part), design) });
      return null;
    }
    const { group } = workbench.getState();
    const isGrouped = group.some((other) => isSamePart(other, part));
    beginDrag(region);
    look({ selection: part, ...(isGrouped ? {} : { group: [] }) });
    const parts = isGrouped ? group : null;
    return {
      design,
      place,
      parts,
      edit: null,
      frame: 0,
      fromX: 0,
      fromY: 0,
      pull: { across: 0, up: 0 },
      isFree: false,
    };
  };
  const move = (hold: Held, whole: boolean) => {
    const free = toShift(hold.design, hold.pull, part);
    const even = whole ? vec(Math.round(free.x), Math.round(free.y), Math.round(free.z)) : free;
    // a tank that is pulled by itself takes hold where it just fits, unless Alt is held; the keys go where they are told
    const isSnapped = whole && part.kind === "tank" && !hold.parts && !hold.isFree;
    const nearMm = SNAP_PX / Math.min(pxPerMm.x, pxPerMm.y);
    const step = isSnapped ? snapTank(hold.design, part.id, even, nearMm) : even;
    const { design, parts, place } = hold;
    hold.edit = parts ? buildMoveAll(design, parts, step) : buildMove(design, part, add(place, step));
    drag(hold.edit);
  };
  const end = (keep: boolean) => {
    const hold = held.current;
    if (!hold) return;
    held.current = null;
    cancelAnimationFrame(hold.frame);
    if (keep && hold.frame) move(hold, true);
    endDrag(keep ? hold.edit : null);
  };

  // a handle may go while it is held, when what it stands on has no room for it any more: what was pulled so far stays
  useEffect(
    () => () => {
      const hold = held.current;
      if (!hold) return;
      held.current = null;
      cancelAnimationFrame(hold.frame);
      endDrag(hold.edit);
    },
    [],
  );

  const onPointerDown = (event: PointerEvent<SVGGElement>) => {
    if (event.button !== 0 || held.current) return;
    event.stopPropagation();
    if (event.shiftKey) {
      event.preventDefault();
      pickAlong(part);
      return;
    }
    const hold = begin();
    if (!hold) return;
    // no mouse events beside the pointer's: each would be handed down the whole page
    event.preventDefault();
    event.currentTarget.focus({ preventScroll: true });
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { ...hold, fromX: event.clientX, fromY: event.clientY };
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    const hold = held.current;
    if (!hold || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    hold.isFree = event.altKey;
    hold.pull = {
      across: (event.clientX - hold.fromX) / pxPerMm.x,
      up: (hold.fromY - event.clientY) / pxPerMm.y,
    };
    // several moves may come within one frame; only the last is worth a sum
    if (hold.frame) return;
    hold.frame = requestAnimationFrame(() => {
      hold.frame = 0;
      move(hold, true);
    });
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>) => {
    if (event.key === "Escape" && held.current) {
      event.stopPropagation();
      end(false);
      return;
    }
    if (event.key === "Enter" && event.shiftKey) {
      event.preventDefault();
      pickAlong(part);
      return;
    }
    const step = STEPS[event.key];
    if (!step || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    held.current ??= begin();
    const hold = held.current;
    if (!hold) return;
    const size = event.shiftKey ? 10 : 1;
    hold.pull = { across: hold.pull.across + step.across * size, up: hold.pull.up + step.up * size };
    move(hold, false);
  };

  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={picked}
      data-picked={picked}
      data-part={Object.values(part).join(":")}
      className="handle"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={() => end(true)}
      onPointerCancel={() => end(false)}
      // however the hand was lost, what it held is let go where it is
      onLostPointerCapture={() => end(true)}
      onKeyDown={onKeyDown}
      onKeyUp={(event) => {
        if (!(event.key in STEPS)) return;
        end(true);
        sayPlace(part);
      }}
      onFocus={() => look({ selection: part })}
      onBlur={() => end(true)}
    >
      <title>{label}</title>
      <Disc className="halo" x={x} y={y} r={15} />
      <polygon className="grip" points={GRIPS[shape](x, y)} />
    </g>
  );
}

// Where it is now and what that makes: a drawing says it to the eye only.
function sayPlace(part: Movable): void {
  const { history, units, evaluation, drainId } = workbench.getState();
  const place = history && findPlaceMm(history.design, part);
  if (!place) return;
  const drain = evaluation?.drains.find(({ lineId }) => lineId === drainId) ?? evaluation?.drains[0];
  const inHand = drain ? WORDS.inHandAtTheWorst(formatLength(drain.worst.inHandMm, units)) : "";
  say(
    `${describePart(toRef(part), history.design)}: ${describePlaceMm(place, history.design.rig.kind, units)}.${inHand}`,
  );
}

// Adds a part to those that are picked together, or takes it out again.
function pickAlong(part: Movable): void {
  const { group, selection } = workbench.getState();
  const before = group.length > 0 || !selection ? group : [selection];
  const others = before.filter((other) => !isSamePart(other, part));
  look({ group: others.length < before.length && before.length > 1 ? others : [...others, part], selection: part });
}

const toRef = (part: Movable): PartRef => (part.kind === "passage" ? { kind: "line", id: part.lineId } : part);

type Held = {
  readonly design: Design;
  /** What moves with it, itself included; null when it moves alone. */
  readonly parts: readonly Movable[] | null;
  readonly place: Vec3;
  readonly fromX: number;
  readonly fromY: number;
  pull: Pull;
  /** Alt is held: nothing takes hold. */
  isFree: boolean;
  edit: Edit | null;
  frame: number;
};

/** True when two parts, or places to pull, are the same one. Asked by every handle at every move, so it makes nothing. */
export function isSamePart(a: Movable | null, b: Movable | null): boolean {
  if (a === null || b === null || a.kind !== b.kind) return false;
  const [one, other]: readonly Readonly<Record<string, string | number>>[] = [a, b];
  for (const key in one) if (one[key] !== other?.[key]) return false;
  return true;
}
