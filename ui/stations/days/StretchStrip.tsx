"use client";
import { X } from "lucide-react";
import { type KeyboardEvent, useRef } from "react";
import type { Edit } from "@/core/design/editOps";
import type { Habits } from "@/core/design/habits";
import { useWorkbench } from "@/store/useWorkbench";
import { beginDrag, change, drag, endDrag } from "@/store/workbench";
import * as WORDS from "@/words/panels/days/stretchStrip";
import { formatDays } from "@/words/units";
import { AddOne } from "../../kit/AddOne";
import { toX } from "./dayScale";

type Stretches = Habits["stretches"];

const toEdit = (value: Stretches): Edit => ({
  code: "change",
  at: { kind: "habits" },
  ops: [{ op: "set", path: ["habits", "stretches"], value }],
});

type StretchStripProps = { readonly days: number; readonly widthPx: number };

/** How the stay is lived, stretch after stretch: each ends where its edge is pulled to, the last goes on. */
export function StretchStrip({ days, widthPx }: StretchStripProps) {
  const { ways, stretches } = useWorkbench((state) => state.history!.design.habits);
  const pulled = useRef<{ readonly fromX: number; readonly fromDays: number } | null>(null);
  const names = Object.fromEntries(ways.map(({ id, name }) => [id, name]));
  const perDayPx = toX(1, days, widthPx) - toX(0, days, widthPx);
  const live = (value: Stretches) => change(toEdit(value));
  const lasting = (index: number, to: number): Stretches => {
    const wanted = Math.min(365, Math.max(1, Math.round(to)));
    return stretches.map((s, i) => (i === index ? { ...s, days: wanted } : s));
  };
  const letGo = (edit: Edit | null) => {
    if (pulled.current) endDrag(edit);
    pulled.current = null;
  };
  const onKeyDown = (index: number) => (event: KeyboardEvent) => {
    const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    live(lasting(index, stretches[index]!.days + step));
  };
  let began = 0;
  return (
    <section aria-label={WORDS.howTheStayIsLived} className="pb-2">
      <div className="relative h-9" style={{ width: widthPx }}>
        {stretches.map((stretch, i) => {
          const isLast = i === stretches.length - 1;
          const from = Math.min(days, began);
          const to = isLast ? days : Math.min(days, began + stretch.days);
          began += stretch.days;
          const left = toX(from, days, widthPx);
          const width = toX(to, days, widthPx) - left;
          const name = names[stretch.wayId] ?? stretch.wayId;
          if (width < 1) return null;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a stretch is known by its place
            <div key={i} className="absolute inset-y-0 flex" style={{ left, width }}>
              <span className="flex min-w-0 flex-1 items-center gap-1 border border-edge bg-pick px-1.5 text-[13px]">
                <span className="min-w-0 flex-1 truncate">{name}</span>
                {stretches.length > 1 && width > 60 && (
                  <button
                    type="button"
                    aria-label={WORDS.takeOutOfTheStay(name)}
                    className="inline-flex size-6 shrink-0 items-center justify-center phone:size-9"
                    onClick={() => live(stretches.filter((_, at) => at !== i))}
                  >
                    <X size={13} aria-hidden />
                  </button>
                )}
              </span>
              {!isLast && began <= days && (
                <span
                  role="slider"
                  tabIndex={0}
                  aria-label={WORDS.days(name)}
                  aria-valuemin={1}
                  aria-valuemax={365}
                  aria-valuenow={stretch.days}
                  aria-valuetext={formatDays(stretch.days)}
                  onKeyDown={onKeyDown(i)}
                  onPointerDown={(event) => {
                    event.currentTarget.setPointerCapture(event.pointerId);
                    pulled.current = { fromX: event.clientX, fromDays: stretch.days };
                    beginDrag("section");
                  }}
                  onPointerMove={(event) => {
                    const hand = pulled.current;
                    if (hand) drag(toEdit(lasting(i, hand.fromDays + (event.clientX - hand.fromX) / perDayPx)));
                  }}
                  onPointerUp={() => letGo(toEdit(stretches))}
                  onPointerCancel={() => letGo(null)}
                  className="absolute inset-y-0 -right-[11px] z-10 w-[22px] cursor-ew-resize touch-none after:absolute after:inset-y-0 after:left-[9px] after:w-[4px] after:bg-enamel"
                />
              )}
            </div>
          );
        })}
      </div>
      <div className="flex items-center gap-2 px-3 pt-1 text-[13px] text-faint">
        <span>{WORDS.thenIt}</span>
        <AddOne
          label={WORDS.thenLive}
          names={names}
          order={ways.map(({ id }) => id)}
          onAdd={(wayId) => {
            const lived = stretches.map((s, i) =>
              i === stretches.length - 1 ? { ...s, days: Math.min(s.days, 2) } : s,
            );
            live([...lived, { wayId, days: 30 }]);
          }}
        />
      </div>
    </section>
  );
}
