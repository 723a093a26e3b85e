"use client";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { Fixing, Tank } from "@/core/design/plumbing";
import { buildBoltRows, buildMoveBolt } from "@/core/edits/boltEdits";
import type { BoltPlace } from "@/core/fixing/boltGroup";
import { listInTheWay, listStruck } from "@/core/fixing/boltHits";
import { listBoltPlaces } from "@/core/fixing/boltPlaces";
import type { FixingResult } from "@/core/fixing/fixing";
import { measureExtent } from "@/core/geometry/solid";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/tanks/boltPattern";
import { formatLength, formatQuantity } from "@/words/units";
import { Disc } from "../../drawing/Stroke";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";

const SIZE = { width: 300, height: 170, pad: 40 };
const GRID_MM = 5;

type Props = { readonly tank: Tank; readonly fixing: Fixing; readonly cases: readonly FixingResult[] | null };

/** The tank from above with its bolts where they sit, each with the most it bears; pull one, or nudge it with the arrows. */
export function BoltPattern({ tank, fixing, cases }: Props) {
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  const sheet = useRef<SVGSVGElement>(null);
  const [pulled, setPulled] = useState<{ readonly index: number; readonly to: BoltPlace } | null>(null);
  const places = listBoltPlaces(tank, fixing);
  const drawn = places.map((place, i) => (pulled?.index === i ? pulled.to : place));
  const { min, max } = measureExtent(tank.solid);
  // forward is to the right; the paper holds still under the hand
  const left = Math.min(min.x, ...places.map(({ x }) => x));
  const right = Math.max(max.x, ...places.map(({ x }) => x));
  const low = Math.min(min.y, ...places.map(({ y }) => y));
  const high = Math.max(max.y, ...places.map(({ y }) => y));
  const scale = Math.min(
    (SIZE.width - 2 * SIZE.pad) / Math.max(1, right - left),
    (SIZE.height - 2 * SIZE.pad) / Math.max(1, high - low),
  );
  const toX = (x: number) => SIZE.width / 2 + (x - (left + right) / 2) * scale;
  const toY = (y: number) => SIZE.height / 2 - (y - (low + high) / 2) * scale;
  const snap = (mm: number) => Math.round(mm / GRID_MM) * GRID_MM;
  const toPlace = (event: PointerEvent): BoltPlace => {
    const box = sheet.current!.getBoundingClientRect();
    const k = box.width / SIZE.width;
    return {
      x: snap(((event.clientX - box.left) / k - SIZE.width / 2) / scale + (left + right) / 2),
      y: snap((SIZE.height / 2 - (event.clientY - box.top) / k) / scale + (low + high) / 2),
    };
  };
  const design = useWorkbench((state) => state.history!.design);
  const sheetX = (x: number) => toX(x - tank.atMm.x);
  const sheetY = (y: number) => toY(y - tank.atMm.y);
  const others = listInTheWay(design, tank).filter(
    ({ block: { min, max } }) =>
      sheetX(min.x) < SIZE.width && sheetX(max.x) > 0 && sheetY(max.y) < SIZE.height && sheetY(min.y) > 0,
  );
  const struck = new Set(listStruck(design, tank));
  const uses = places.map((_, i) => Math.max(0, ...(cases ?? []).map((one) => one.uses[i] ?? 0)));
  const onKey = (event: KeyboardEvent, index: number) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    const place = places[index];
    if (!by || !place) return;
    const size = event.shiftKey ? 10 : 1;
    apply(buildMoveBolt(tank, fixing, index, { x: place.x + by[0]! * size, y: place.y + by[1]! * size }));
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div>
      <svg
        ref={sheet}
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="group"
        aria-label={WORDS.boltsOfTheTankFrom}
        className="my-1.5 w-full touch-none bg-sheet"
      >
        <rect
          x={toX(min.x)}
          y={toY(max.y)}
          width={(max.x - min.x) * scale}
          height={(max.y - min.y) * scale}
          fill="var(--pick)"
          stroke="var(--ink)"
          strokeWidth={2}
        />
        {others.map(({ id, isFrame, block: { min, max } }) => (
          <rect
            key={id}
            x={sheetX(min.x)}
            y={sheetY(max.y)}
            width={(max.x - min.x) * scale}
            height={(max.y - min.y) * scale}
            fill="none"
            stroke={isFrame ? "var(--faint)" : "var(--signal)"}
            strokeDasharray="4 3"
          />
        ))}
        {drawn.map((place, i) => {
          const isOver = !cases || uses[i]! > 1 || struck.has(i);
          return (
            <g
              // biome-ignore lint/suspicious/noArrayIndexKey: bolts are known by their place in the list
              key={i}
              role="button"
              tabIndex={0}
              aria-label={WORDS.boltForwardLeftOfThe(
                i + 1,
                formatLength(place.x, units),
                formatLength(place.y, units),
                formatQuantity(uses[i]!, "ratio", units),
                struck.has(i),
              )}
              className="handle"
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                setPulled({ index: i, to: places[i]! });
              }}
              onPointerMove={(event) => {
                if (event.currentTarget.hasPointerCapture(event.pointerId)) setPulled({ index: i, to: toPlace(event) });
              }}
              onPointerUp={() => {
                const to = pulled?.index === i ? pulled.to : null;
                setPulled(null);
                if (to && (to.x !== places[i]!.x || to.y !== places[i]!.y)) apply(buildMoveBolt(tank, fixing, i, to));
              }}
              onPointerCancel={() => setPulled(null)}
              onKeyDown={(event) => onKey(event, i)}
            >
              <Disc className="halo" x={toX(place.x)} y={toY(place.y)} r={13} />
              <polygon
                className="grip"
                points={listHexagon(toX(place.x), toY(place.y))}
                style={isOver ? { fill: "var(--signal)" } : undefined}
              />
              <text
                x={toX(place.x) + (toX(place.x) < SIZE.width / 2 ? -10 : 10)}
                y={toY(place.y) + 4}
                fontSize={11}
                textAnchor={toX(place.x) < SIZE.width / 2 ? "end" : "start"}
                style={{
                  fill: isOver ? "var(--signal)" : "var(--faint)",
                  stroke: "var(--sheet)",
                  strokeWidth: 3,
                  paintOrder: "stroke",
                }}
              >
                {cases ? formatQuantity(uses[i]!, "ratio", units) : "?"}
              </text>
            </g>
          );
        })}
      </svg>
      <p className="text-[12px] leading-snug text-faint">
        <Trade>{WORDS.forwardIsToTheRight}</Trade>{" "}
        {others.length > 0 && `${WORDS.noBoltInto(others.map(({ name }) => name))} `}
        {fixing.placesMm && (
          <button
            type="button"
            className="cursor-pointer text-enamel underline decoration-dotted underline-offset-4"
            onClick={() => apply(buildBoltRows(tank))}
          >
            {WORDS.backInRows}
          </button>
        )}
      </p>
    </div>
  );
}

const RADIUS = 6;

// The head of a bolt.
const listHexagon = (x: number, y: number): string =>
  Array.from({ length: 6 }, (_, i) => {
    const turn = (Math.PI / 3) * i;
    return `${(x + RADIUS * Math.cos(turn)).toFixed(1)},${(y + RADIUS * Math.sin(turn)).toFixed(1)}`;
  }).join(" ");
