"use client";
import { Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { buildAsBuilt, judgeAsBuilt, listMeasurable, toMeasuredKey } from "@/core/build/asBuilt";
import type { MeasuredPart } from "@/core/record/record";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describePart } from "@/words/describePart";
import { describeFinding } from "@/words/findings";
import * as WORDS from "@/words/panels/build/asBuiltFields";
import { formatLength } from "@/words/units";
import { Group } from "../../fields/Group";
import { keepWithin } from "../../fields/keepWithin";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";
import { SeverityMark } from "../../kit/SeverityMark";
import { today } from "../now";
import { useRecords } from "../useRecords";

const NOTHING: readonly MeasuredPart[] = [];

/** Where parts really came to sit, and what that does to the falls before the next hole is drilled. */
export function AsBuiltFields() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const units = useWorkbench((state) => state.units);
  const measured = useRecords((state) => state.build.measured ?? NOTHING);
  const parts = useMemo(() => listMeasurable(design), [design]);
  const [picked, setPicked] = useState<string | null>(null);
  const part = parts.find((one) => toMeasuredKey(one) === picked) ?? parts[0];
  const verdict = useMemo(() => {
    if (measured.length === 0) return null;
    const built = buildAsBuilt(design, measured);
    return { ...judgeAsBuilt(design, built.design), built: built.design, lost: built.lost };
  }, [design, measured]);
  if (!part) return null;
  const key = toMeasuredKey(part);
  const offMm = measured.find((one) => toMeasuredKey(one.part) === key)?.offMm ?? { x: 0, y: 0, z: 0 };
  const keep = (given: MeasuredPart | null, at = key) =>
    void records.setMeasured(at, given).catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
  const set = (axis: "x" | "y" | "z", sign: 1 | -1) => (value: number | null) =>
    keepWithin(value, [-500, 500], "length", (off) =>
      keep({ part, offMm: { ...offMm, [axis]: sign * off }, on: today() }),
    );
  const length = (mm: number) => formatLength(Math.round(mm * 10) / 10, units);
  return (
    <Group title={WORDS.measuredAsBuilt}>
      <Pick
        label={WORDS.part}
        value={key}
        names={Object.fromEntries(parts.map((one) => [toMeasuredKey(one), describePart(one, design)]))}
        onPick={setPicked}
      />
      <NumberField label={WORDS.lowerThanDrawn} value={-offMm.z || 0} quantity="length" onCommit={set("z", -1)} />
      <NumberField label={WORDS.furtherForward} value={offMm.x} quantity="length" onCommit={set("x", 1)} />
      <NumberField label={WORDS.furtherLeft} value={offMm.y} quantity="length" onCommit={set("y", 1)} />
      {verdict && (
        <div data-testid="as-built" className="pt-1 text-[13.5px] leading-snug">
          {verdict.drains
            .filter(({ plannedMm, builtMm }) => Math.abs(plannedMm - builtMm) > 0.05)
            .map(({ lineId, plannedMm, builtMm }) => (
              <p key={lineId} className={builtMm < 0 ? "text-signal" : ""}>
                {design.lines.find(({ id }) => id === lineId)?.name}: {length(plannedMm)}{" "}
                <Trade>{WORDS.inHandAtTheWorst}</Trade> {length(builtMm)} <Trade>{WORDS.asBuilt}</Trade>
              </p>
            ))}
          {verdict.findings.length === 0 ? (
            <p>
              <Trade>{WORDS.nothingNewIsFoundAgainst}</Trade>
            </p>
          ) : (
            verdict.findings.map((finding) => {
              const { title, why, advice } = describeFinding(finding, verdict.built, units);
              return (
                <div key={finding.id} className="flex gap-2 border-t border-rule py-1">
                  <SeverityMark severity={finding.severity} />
                  <p>
                    <span className="font-semibold">{title}.</span> {why} {advice}
                  </p>
                </div>
              );
            })
          )}
          {verdict.lost.map((one) => (
            <p key={toMeasuredKey(one)} className="text-warn">
              {describePart(one, design)} <Trade>{WORDS.couldNotBePutThere}</Trade>
            </p>
          ))}
          <ul className="pt-1">
            {measured.map((one) => {
              const at = toMeasuredKey(one.part);
              return (
                <li key={at} className="flex items-center gap-2 border-t border-rule">
                  <span className="flex-1">{describePart(one.part, design)}</span>
                  <Button
                    look="bare"
                    aria-label={WORDS.forgetWhatWasMeasuredOf(describePart(one.part, design))}
                    onClick={() => keep(null, at)}
                  >
                    <Trash2 size={13} aria-hidden />
                  </Button>
                </li>
              );
            })}
          </ul>
        </div>
      )}
    </Group>
  );
}
