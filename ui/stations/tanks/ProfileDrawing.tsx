"use client";
import { type KeyboardEvent, useRef, useState } from "react";
import type { Tank } from "@/core/design/plumbing";
import { measureSignedArea, type Vec2 } from "@/core/geometry/polygon";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/tanks/profileDrawing";
import { formatLengthFigure, formatQuantity } from "@/words/units";
import { PointHandle } from "../../drawing/PointHandle";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";

const SIZE = { width: 300, height: 190, pad: 22 };
/** A corner that is pulled takes hold at whole steps of this, mm. */
const GRID_MM = 5;
/** A double click this near to a wall puts a corner into it, px. */
const NEAR_PX = 10;

/** The profile drawn point by point: pull a corner, double click a wall for one more, Delete takes one out. */
export function ProfileDrawing({ tank, profile }: { readonly tank: Tank; readonly profile: readonly Vec2[] }) {
  const units = useWorkbench((state) => state.units);
  const { set, insert, remove } = useEdits();
  const [pulled, setPulled] = useState<{ readonly index: number; readonly to: Vec2 } | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const sheet = useRef<SVGSVGElement>(null);
  const at = { kind: "tank", id: tank.id } as const;
  const list = ["tanks", tank.id, "solid", "profileMm"];
  const drawn = profile.map((p, i) => (pulled?.index === i ? pulled.to : p));
  // the scale is that of the profile as it stands, so that the paper does not move under the hand
  const [us, vs] = [profile.map((p) => p.u), profile.map((p) => p.v)];
  const [left, low] = [Math.min(...us), Math.min(...vs)];
  const scale = Math.min(
    (SIZE.width - 2 * SIZE.pad) / Math.max(1, Math.max(...us) - left),
    (SIZE.height - 2 * SIZE.pad) / Math.max(1, Math.max(...vs) - low),
  );
  const x = (u: number) => SIZE.pad + (u - left) * scale;
  const y = (v: number) => SIZE.height - SIZE.pad - (v - low) * scale;
  const snap = (mm: number) => Math.round(mm / GRID_MM) * GRID_MM;
  const toPlace = (event: { readonly clientX: number; readonly clientY: number }): Vec2 => {
    const box = sheet.current!.getBoundingClientRect();
    const k = box.width / SIZE.width;
    return {
      u: left + ((event.clientX - box.left) / k - SIZE.pad) / scale,
      v: low + (SIZE.height - SIZE.pad - (event.clientY - box.top) / k) / scale,
    };
  };
  const move = (index: number, to: Vec2) => setRefusal(set(at, [...list, index], to));
  const onUp = (index: number) => {
    if (pulled?.index === index) move(index, pulled.to);
    setPulled(null);
  };
  const onKey = (event: KeyboardEvent, index: number) => {
    const size = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    const corner = profile[index]!;
    if (by) move(index, { u: corner.u + by[0]! * size, v: corner.v + by[1]! * size });
    else if (event.key === "Delete" && profile.length > 3) setRefusal(remove(at, [...list, index]));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const addCorner = (place: Vec2) => {
    const near = profile
      .map((p, i) => ({ i, ...findOnWall(place, p, profile[(i + 1) % profile.length]!) }))
      .reduce((a, b) => (b.away < a.away ? b : a));
    if (near.away * scale <= NEAR_PX) setRefusal(insert(at, list, near.i + 1, { u: snap(near.u), v: snap(near.v) }));
  };
  return (
    <div>
      <svg
        ref={sheet}
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="group"
        aria-label={WORDS.profileOfTheTank}
        className="my-1.5 w-full touch-none bg-sheet"
        onDoubleClick={(event) => addCorner(toPlace(event))}
      >
        <path
          d={`M${drawn.map((p) => `${x(p.u).toFixed(1)} ${y(p.v).toFixed(1)}`).join("L")}Z`}
          fill="var(--pick)"
          stroke="var(--ink)"
          strokeWidth={2}
          strokeLinejoin="round"
        />
        {drawn.map((p, i) => (
          <PointHandle
            // biome-ignore lint/suspicious/noArrayIndexKey: corners are known by their place
            key={i}
            at={[x(p.u), y(p.v)]}
            label={WORDS.moveCornerOfTheProfile(i + 1)}
            text={`${formatLengthFigure(p.u, units)}, ${formatLengthFigure(p.v, units)}`}
            isAtEdge={p.u - left < 1}
            isTextBelow={y(p.v) > SIZE.height / 2}
            onGrip={() => setPulled({ index: i, to: p })}
            onPull={(event) => {
              const to = toPlace(event);
              setPulled({ index: i, to: { u: snap(to.u), v: snap(to.v) } });
            }}
            onDrop={() => onUp(i)}
            onLeave={() => setPulled(null)}
            onKey={(event) => onKey(event, i)}
          />
        ))}
      </svg>
      <p className="text-[12px] leading-snug text-faint">
        {formatQuantity(Math.abs(measureSignedArea(drawn)), "area", units)} <Trade>{WORDS.ofSectionPullACorner}</Trade>
      </p>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
    </div>
  );
}

// The place on a wall nearest to a point, and how far off it is.
function findOnWall(p: Vec2, a: Vec2, b: Vec2): Vec2 & { readonly away: number } {
  const square = (b.u - a.u) ** 2 + (b.v - a.v) ** 2;
  const share = square === 0 ? 0 : ((p.u - a.u) * (b.u - a.u) + (p.v - a.v) * (b.v - a.v)) / square;
  const t = Math.min(1, Math.max(0, share));
  const [u, v] = [a.u + t * (b.u - a.u), a.v + t * (b.v - a.v)];
  return { u, v, away: Math.hypot(p.u - u, p.v - v) };
}
