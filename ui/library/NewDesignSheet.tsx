"use client";
import { useState } from "react";
import { createDesign, type FirstMeasures, USUAL_MEASURES } from "@/core/design/createDesign";
import { parseDesign } from "@/core/design/parseDesign";
import { RIG_KINDS, type RigKind } from "@/core/design/rig";
import type { Quantity } from "@/core/workings/working";
import { createDesignId } from "@/store/library";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeFault } from "@/words/faults";
import { RIG_NAMES } from "@/words/labels";
import { listMeasureSteps, MEASURE_WORDS } from "@/words/measuring";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/NumberField";
import { Sheet } from "../kit/Sheet";
import { session } from "../shell/browserSession";
import { TapeDrawing } from "./TapeDrawing";

/** Leads through the few measures that matter, and draws a first drain from them. */
export function NewDesignSheet({ onClose }: { readonly onClose: () => void }) {
  const [name, setName] = useState("");
  const [kind, setKind] = useState<RigKind | null>(null);
  const [measures, setMeasures] = useState<FirstMeasures>(USUAL_MEASURES.van);
  const [step, setStep] = useState(0);
  const [refusal, setRefusal] = useState<string | null>(null);
  const library = useWorkbench((state) => state.library);
  const units = useWorkbench((state) => state.units);
  const steps = kind ? listMeasureSteps(kind) : [];

  const begin = (picked: RigKind) => {
    setKind(picked);
    setMeasures(USUAL_MEASURES[picked]);
    setStep(1);
  };
  const finish = () => {
    if (!kind) return;
    const title = name.trim() || `My ${RIG_NAMES[kind].toLowerCase()}`;
    const id = createDesignId(
      title,
      library.map((entry) => entry.id),
    );
    const outcome = parseDesign(createDesign(id, title, kind, measures));
    if (!outcome.ok) {
      setRefusal(`This cannot be built: ${describeFault(outcome.faults[0]!, units)}`);
      return;
    }
    onClose();
    look({ station: "falls", pane: "section" });
    void session.adopt(outcome.design);
  };

  return (
    <Sheet
      title={step === 0 ? "A new design" : (steps[step - 1]?.title ?? "")}
      about={
        step === 0
          ? "Five minutes with a tape. Every figure can be changed later; what is filled in is only usual."
          : `Step ${step} of ${steps.length}. Pick a field to see where to hold the tape.`
      }
      onClose={onClose}
    >
      {step === 0 ? (
        <KindStep name={name} onName={setName} onKind={begin} />
      ) : (
        kind && (
          <MeasureStepFields
            key={step}
            kind={kind}
            keys={steps[step - 1]!.keys}
            measures={measures}
            onMeasure={(key, value) => setMeasures((before) => ({ ...before, [key]: value }))}
          />
        )
      )}
      {refusal && (
        <p role="alert" className="mt-3 border-l-[6px] border-signal pl-3 text-signal">
          {refusal}
        </p>
      )}
      {step > 0 && (
        <div className="mt-4 flex justify-between border-t border-rule pt-3">
          <Button onClick={() => setStep(step - 1)}>Back</Button>
          {step < steps.length ? (
            <Button look="plate" onClick={() => setStep(step + 1)}>
              Next: {steps[step]!.title.toLowerCase()}
            </Button>
          ) : (
            <Button look="plate" onClick={finish}>
              Draw it
            </Button>
          )}
        </div>
      )}
    </Sheet>
  );
}

type KindProps = {
  readonly name: string;
  readonly onName: (name: string) => void;
  readonly onKind: (kind: RigKind) => void;
};

function KindStep({ name, onName, onKind }: KindProps) {
  return (
    <>
      <label className="flex items-center gap-3 pb-4">
        <span className="text-faint">Its name</span>
        <input
          value={name}
          maxLength={80}
          onChange={(event) => onName(event.target.value)}
          className="h-9 flex-1 rounded-[2px] border border-edge bg-sheet px-2 text-[16px]"
        />
      </label>
      <p className="pb-2 text-faint">What is it?</p>
      <div className="grid grid-cols-2 gap-3 desk:grid-cols-4">
        {RIG_KINDS.map((kind) => (
          <button
            key={kind}
            type="button"
            onClick={() => onKind(kind)}
            className="flex flex-col gap-1 border border-edge bg-sheet p-1.5 hover:border-enamel hover:bg-pick"
          >
            <TapeDrawing measure="sinkHeightMm" kind={kind} />
            <span className="plate text-[17px]">{RIG_NAMES[kind]}</span>
          </button>
        ))}
      </div>
    </>
  );
}

type FieldsProps = {
  readonly kind: RigKind;
  readonly keys: readonly (keyof FirstMeasures)[];
  readonly measures: FirstMeasures;
  readonly onMeasure: (key: keyof FirstMeasures, value: number | null) => void;
};

const CLEARABLE = new Set<keyof FirstMeasures>(["sillBelowMm", "waterlineMm"]);

function MeasureStepFields({ kind, keys, measures, onMeasure }: FieldsProps) {
  const [active, setActive] = useState<keyof FirstMeasures>(keys[0]!);
  return (
    <div className="grid gap-5 desk:grid-cols-2">
      <div>
        <TapeDrawing measure={active} kind={kind} />
        <p className="mt-2 text-[13.5px]">{MEASURE_WORDS[active].tape}</p>
      </div>
      <div>
        {keys.map((key) => (
          <div key={key} onFocusCapture={() => setActive(key)}>
            <NumberField
              label={MEASURE_WORDS[key].label}
              value={measures[key]}
              quantity={toQuantity(key)}
              clearable={CLEARABLE.has(key)}
              onCommit={(value) => {
                if (key === "people" && !(Number.isInteger(value) && value! >= 1)) return "At least one person.";
                onMeasure(key, value);
                return null;
              }}
            />
          </div>
        ))}
      </div>
    </div>
  );
}

function toQuantity(key: keyof FirstMeasures): Quantity {
  if (key === "people") return "count";
  if (key === "sinkLPerPersonDay") return "volumePerDay";
  return key === "freshL" ? "volume" : "length";
}
