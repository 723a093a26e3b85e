"use client";
import { X } from "lucide-react";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/plan/planToolBar";
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
      aria-label={tool === "draw" ? WORDS.drawADrain : WORDS.measure}
      className="flex flex-wrap items-center gap-x-3 border-b border-rule bg-paper px-3 py-1 text-[13px]"
    >
      {tool === "draw" ? <DrawFields /> : <span className="min-w-0 flex-1 text-faint">{WORDS.tapTwoPlacesOnA}</span>}
      <Button look="bare" aria-label={WORDS.leaveTheTool} onClick={() => look({ tool: null })}>
        <X size={15} aria-hidden />
      </Button>
    </section>
  );
}

function DrawFields() {
  const design = useWorkbench((state) => state.history!.design);
  const drawn = useWorkbench(findDrawn);
  if (!drawn) return <span className="flex-1 text-faint">{WORDS.addAFixtureFirstAt}</span>;
  return (
    <>
      <span className="plate text-[15px]">{WORDS.drawTheDrainOf}</span>
      <select
        aria-label={WORDS.whoseDrainIsDrawn}
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
          label={WORDS.falling}
          value={drawn.fallMmPerM}
          quantity="slope"
          onCommit={(value) => keepWithin(value, [0, 200], "slope", (fall) => look({ drawFallMmPerM: fall }))}
        />
      </div>
      <span className="min-w-0 flex-1 text-faint phone:order-last phone:basis-full">{WORDS.tapTheBendsThenAn}</span>
    </>
  );
}
