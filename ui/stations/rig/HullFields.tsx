"use client";
import { Plus, Trash2, Upload } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import { HULL_MATERIALS, type Hull, type HullMaterial } from "@/core/design/rig";
import {
  buildAddSection,
  buildChangeSection,
  buildRemoveSection,
  buildSetHull,
  createFirstHull,
} from "@/core/edits/hullEdits";
import { computeHydrostatics } from "@/core/hull/hydrostatics";
import { measureLoadedSinkMm } from "@/core/hull/loadedLine";
import { sectionAt } from "@/core/hull/loft";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { describeAfloat, HULL_NAMES } from "@/words/hull";
import * as WORDS from "@/words/panels/rig/hullFields";
import { formatLength } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { BodyPlan } from "./BodyPlan";

/** Her hull by half-sections: pulled into shape or read from a table of offsets; what is in the way follows from it. */
export function HullFields() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  const [picked, setPicked] = useState(1);
  const [refusal, setRefusal] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const { rig } = design;
  const hull = rig.hull ?? null;
  const sinkMm = useMemo(() => measureLoadedSinkMm(design), [design]);
  const afloat = useMemo(
    () => (hull && rig.waterlineZMm !== null ? computeHydrostatics(hull, rig.waterlineZMm) : null),
    [hull, rig.waterlineZMm],
  );
  const put = (next: Hull | null) => setRefusal(apply(buildSetHull(workbench.getState().history!.design, next)));
  const readIn = async (file: File) => {
    const { readOffsets } = await import("@/files/offsets");
    const read = readOffsets(await file.text());
    if (!read.ok) return setRefusal(`${file.name}: ${read.sentence}`);
    const base = hull ?? createFirstHull(rig);
    put({ ...base, sections: [...read.sections] });
  };
  const reader = (
    <>
      <Button onClick={() => input.current?.click()}>
        <Upload size={14} aria-hidden /> {WORDS.readOffsets}
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        aria-label={WORDS.tableOfOffsetsAsCsv}
        className="hidden"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void readIn(file);
        }}
      />
    </>
  );
  const alert = refusal && (
    <p role="alert" className="text-[12.5px] text-signal">
      {refusal}
    </p>
  );
  if (!hull) {
    return (
      <Group title={WORDS.hull}>
        <p className="pb-1 text-[13px] leading-snug text-faint">
          <Trade>{WORDS.byItsSectionsTheHull}</Trade>
        </p>
        <div className="flex flex-wrap gap-1.5">
          <Button onClick={() => put(createFirstHull(rig))}>{WORDS.beginWithARoundBilge}</Button>
          {reader}
        </div>
        {alert}
      </Group>
    );
  }
  const index = Math.min(picked, hull.sections.length - 1);
  const section = hull.sections[index]!;
  const next = hull.sections[index + 1];
  const addSection = () => {
    if (!next) return;
    const xMm = Math.round((section.xMm + next.xMm) / 2);
    const pointsMm = sectionAt(hull, xMm)!.map(({ y, z }) => ({ y: Math.round(y), z: Math.round(z) }));
    setRefusal(apply(buildAddSection(workbench.getState().history!.design, hull, index, { xMm, pointsMm })));
    setPicked(index + 1);
  };
  const removeSection = () => {
    const edit = buildRemoveSection(workbench.getState().history!.design, hull, index);
    if (edit) setRefusal(apply(edit));
  };
  return (
    <Group title={WORDS.hull}>
      <p className="pb-1 text-[13px] leading-snug" data-testid="afloat">
        {describeAfloat(afloat, rig.gmMm, units)}
      </p>
      <Pick<HullMaterial>
        label={WORDS.madeOf}
        value={hull.material}
        names={HULL_NAMES}
        order={HULL_MATERIALS}
        onPick={(material) => put({ ...hull, material })}
      />
      <NumberField
        label={WORDS.thickness}
        value={hull.thicknessMm}
        quantity="length"
        onCommit={(value) => {
          if (value !== null) put({ ...hull, thicknessMm: value });
          return null;
        }}
      />
      <Pick
        label={WORDS.section}
        value={String(index)}
        names={Object.fromEntries(
          hull.sections.map(({ xMm }, i) => [String(i), WORDS.sectionAt(i + 1, formatLength(xMm, units))]),
        )}
        onPick={(value) => setPicked(Number(value))}
      />
      <NumberField
        label={WORDS.fromTheAfterEdgeOf}
        value={section.xMm}
        quantity="length"
        onCommit={(value) =>
          value === null
            ? null
            : apply(buildChangeSection(workbench.getState().history!.design, hull, index, { ...section, xMm: value }))
        }
      />
      <BodyPlan
        hull={hull}
        index={index}
        waterlineZMm={rig.waterlineZMm}
        sinkMm={sinkMm}
        onChange={(pointsMm) =>
          setRefusal(
            apply(
              buildChangeSection(workbench.getState().history!.design, hull, index, {
                ...section,
                pointsMm: [...pointsMm],
              }),
            ),
          )
        }
      />
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={addSection} disabled={!next || hull.sections.length >= 40}>
          <Plus size={14} aria-hidden /> {WORDS.sectionBeforeIt}
        </Button>
        <Button onClick={removeSection} disabled={hull.sections.length <= 3}>
          <Trash2 size={14} aria-hidden /> {WORDS.thisSection}
        </Button>
        {reader}
        <Button onClick={() => put(null)}>{WORDS.noHull}</Button>
      </div>
      {alert}
    </Group>
  );
}
