"use client";
import { X } from "lucide-react";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { keepWithin } from "../fields/keepWithin";
import { Button } from "../kit/Button";
import { FIELD_LOOK } from "../kit/FieldRow";
import { NumberField } from "../kit/NumberField";
import { findDrawn } from "./drawn";

/** What the tool over the plan wants to know, and how it is left. */
export function PlanToolBar() {
  const tool = useWorkbench((state) => state.tool);
  return (
    <section
      aria-label={tool === "draw" ? "Draw a drain" : "Measure"}
      className="flex flex-wrap items-center gap-x-3 border-b border-rule bg-paper px-3 py-1 text-[13px]"
    >
      {tool === "draw" ? (
        <DrawFields />
      ) : (
        <span className="min-w-0 flex-1 text-faint">
          Tap two places. On a part its own point is taken, with its height.
        </span>
      )}
      <Button look="bare" aria-label="Leave the tool" onClick={() => look({ tool: null })}>
        <X size={15} aria-hidden />
      </Button>
    </section>
  );
}

function DrawFields() {
  const design = useWorkbench((state) => state.history!.design);
  const drawn = useWorkbench(findDrawn);
  if (!drawn) return <span className="flex-1 text-faint">Add a fixture first, at the station Falls.</span>;
  return (
    <>
      <span className="plate text-[15px]">Draw the drain of</span>
      <select
        aria-label="Whose drain is drawn"
        value={drawn.fixtureId}
        onChange={(event) => look({ selection: { kind: "fixture", id: event.target.value } })}
        className={`text-[14px] ${FIELD_LOOK}`}
      >
        {design.fixtures.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      <div className="w-[210px]">
        <NumberField
          label="falling"
          value={drawn.fallMmPerM}
          quantity="slope"
          onCommit={(value) => keepWithin(value, [0, 200], "slope", (fall) => look({ drawFallMmPerM: fall }))}
        />
      </div>
      <span className="min-w-0 flex-1 text-faint phone:order-last phone:basis-full">
        Tap the bends, then an inlet or a drain. Backspace takes one back.
      </span>
    </>
  );
}
