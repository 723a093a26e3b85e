"use client";
import type { Finding } from "@/core/evaluate/findings";
import type { ProvenRemedy } from "@/core/remedies/remedy";
import { UNAIDED } from "@/core/remedies/unaided";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look, previewEdit, tell, undo } from "@/store/workbench";
import { describeEdit } from "@/words/edits";
import * as WORDS from "@/words/panels/findings/remedyList";
import { describeRemedy } from "@/words/remedies";
import { formatDays, formatLength, formatQuantity, type Units } from "@/words/units";
import { Button } from "../kit/Button";
import { useRemedies } from "./useRemedies";

/** Ways to settle a finding that have been tried; choosing one draws it, and nothing is changed until it is taken. */
export function RemedyList({ finding }: { readonly finding: Finding }) {
  const design = useWorkbench((state) => state.history?.design);
  const preview = useWorkbench((state) => state.preview);
  const units = useWorkbench((state) => state.units);
  const sought = useRemedies(finding.id);
  if (!design) return null;
  if (sought?.status !== "ready")
    return (
      <p className="mt-2 text-[13px] text-faint" aria-live="polite">
        {sought === null ? WORDS.lookingForWhatHelps : WORDS.whatHelpsIsNotKnown}
      </p>
    );
  const { remedies } = sought;
  if (remedies.length === 0)
    // a note may stay, and says itself what is done by hand
    return finding.code in UNAIDED || finding.severity === "note" ? null : (
      <p className="mt-2 text-[13px] text-faint">{WORDS.nothingTriedHelps}</p>
    );
  const take = (remedy: ProvenRemedy) => {
    if (!change(remedy.edit).ok) return;
    look({ findingId: null });
    tell(WORDS.done(describeEdit(remedy.edit, design).toLowerCase()), { action: { label: WORDS.undo, run: undo } });
  };
  return (
    <ul className="mt-2 flex flex-col border-t border-rule">
      {remedies.map((remedy) => {
        const shown = preview !== null && JSON.stringify(preview.edit) === JSON.stringify(remedy.edit);
        return (
          <li
            key={JSON.stringify([remedy.edit.code, remedy.byMm, remedy.way, remedy.edit.at])}
            className="border-b border-rule"
          >
            <button
              type="button"
              aria-pressed={shown}
              onClick={() => previewEdit(shown ? null : remedy.edit)}
              className="flex min-h-8 w-full items-center py-1 text-left text-[13.5px] leading-snug text-enamel underline decoration-dotted underline-offset-4 hover:bg-pick phone:min-h-11"
            >
              {describeRemedy(remedy, design, units)}
            </button>
            {shown && (
              <div className="pb-2">
                <RemedyFigures remedy={remedy} units={units} />
                <div className="mt-1.5 flex gap-1.5">
                  <Button look="plate" onClick={() => take(remedy)}>
                    {WORDS.doIt}
                  </Button>
                  <Button onClick={() => previewEdit(null)}>{WORDS.cancel}</Button>
                </div>
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function RemedyFigures({ remedy, units }: { readonly remedy: ProvenRemedy; readonly units: Units }) {
  const { before, after, newFindings } = remedy;
  const design = useWorkbench((state) => state.history!.design);
  const rows: [string, string, string][] = [];
  const litres = (value: number) => formatQuantity(value, "volume", units);
  // one that comes with the remedy has no name here yet
  const nameTank = (id: string) => design.tanks.find((tank) => tank.id === id)?.name ?? WORDS.newTank;
  const daysOf = (days: number | null) => (days === null ? WORDS.noEnd : formatDays(days));
  if (before.levelMm !== null && after.levelMm !== null) {
    rows.push([WORDS.inHandLevel, formatLength(before.levelMm, units), formatLength(after.levelMm, units)]);
  }
  if (before.worstMm !== null && after.worstMm !== null) {
    rows.push([WORDS.inHandWorst, formatLength(before.worstMm, units), formatLength(after.worstMm, units)]);
  }
  for (const { tankId, usableL } of after.rooms) {
    const was = before.rooms.find((room) => room.tankId === tankId)?.usableL ?? null;
    const [from, to] = [was === null ? WORDS.none : litres(was), litres(usableL)];
    if (from !== to) rows.push([WORDS.usableAtWorst(nameTank(tankId)), from, to]);
  }
  const [stay, then] = [daysOf(before.days), daysOf(after.days)];
  if (stay !== then) rows.push([WORDS.theStayLevel, stay, then]);
  return (
    <>
      <table className={rows.length > 0 ? "figures w-full text-[14px]" : "hidden"}>
        <tbody>
          {rows.map(([name, from, to]) => (
            <tr key={name}>
              <td className="text-faint">{name}</td>
              <td className="text-right">{from}</td>
              <td className="w-6 text-center text-faint">→</td>
              <td className="text-right">{to}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {newFindings > 0 && (
        <p className="text-[12.5px] text-warn">
          {WORDS.itBrings} {newFindings === 1 ? WORDS.oneNewFinding : WORDS.newFindings(newFindings)}
        </p>
      )}
    </>
  );
}
