"use client";
import { buildPutHoles, listDrilledHoles } from "@/core/design/lineItems";
import type { Passage } from "@/core/fit/passages";
import { type HoleEntry, listHoles, toHoleId, toTailHoleId } from "@/core/through/holes";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { sayBeforeDrilling } from "@/words/cautions";
import { describeHolePlace, describeSize, describeWall, startSentence } from "@/words/holes";
import * as WORDS from "@/words/panels/through/passageList";
import { describeDrilling } from "@/words/passages";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { LateStepHold } from "../../findings/LateStepHold";
import { Figure } from "../../kit/Figure";
import { NumberField } from "../../kit/NumberField";

/** Every hole of the rig, line by line: where to drill, how large, from which side, and what lies behind. */
export function PassageList() {
  const evaluation = useWorkbench((state) => state.evaluation!);
  const design = useWorkbench((state) => state.history!.design);
  const { lines, rig } = design;
  const passages = [...evaluation.drains.flatMap((drain) => drain.passages), ...evaluation.linePassages];
  const outs = listHoles(design, evaluation).filter(
    ({ through, id, lineId }) => through === "side" || through === "roof" || id === toTailHoleId(lineId),
  );
  const fittings = design.gear.filter(({ spec }) => spec.kind === "skinFitting").length;
  const setIn = design.gear.filter(({ spec }) => spec.kind === "deckFitting" || spec.kind === "coupling");
  const drilled = passages.length + outs.length;
  if (drilled === 0) return null;
  const count = fittings === 0 ? WORDS.inAll(drilled) : WORDS.andForTheFittings(drilled, fittings);
  return (
    <Group title={WORDS.holesToDrill(count)}>
      {lines.map(({ id: lineId, name }) => {
        const own = passages.filter((passage) => passage.lineId === lineId);
        const out = outs.filter((hole) => hole.lineId === lineId);
        return own.length + out.length === 0 ? null : (
          <div key={lineId} className="pt-1">
            <p className="text-[13px] font-semibold">{name}</p>
            <ul className="flex flex-col gap-1.5">
              {own.map((passage) => (
                <PassageRow key={`${passage.legIndex}-${passage.nth}`} passage={passage} />
              ))}
              {out.map((hole) => (
                <OutRow key={hole.id} hole={hole} />
              ))}
            </ul>
          </div>
        );
      })}
      {setIn.length > 0 && (
        <p className="pt-1.5 text-[13px] leading-snug text-faint">
          {WORDS.byTheirTemplate(setIn.map(({ name }) => name).join(", "))}
        </p>
      )}
      <p className="pt-1.5 text-[12px] leading-snug text-faint">{sayBeforeDrilling(rig.kind)}</p>
    </Group>
  );
}

// Where a line goes out: nothing is known of what is in that wall.
function OutRow({ hole }: { readonly hole: HoleEntry }) {
  const units = useWorkbench((state) => state.units);
  const design = useWorkbench((state) => state.history!.design);
  const isVent = design.lines.some(({ id, kind }) => id === hole.lineId && kind === "vent");
  const how = [
    hole.through === "floor" ? WORDS.underTheOutlet : WORDS.lookForStruts,
    ...(hole.through === "side" ? [WORDS.downOutward] : []),
    ...(isVent ? [WORDS.bedTheCowl] : []),
  ].join(" ");
  return (
    <li className="text-[13px] text-faint">
      <span className="text-ink">{startSentence(describeWall(hole, design))}</span>,{" "}
      {describeHolePlace(hole, hole.facesMm[0], design, units)}
      {WORDS.aHoleOf} <span className="figures text-[15px] text-ink">{describeSize(hole, units)}</span>. {how}
      <LateStepHold stepId={`drillHole:${hole.id}`} />
    </li>
  );
}

function PassageRow({ passage }: { readonly passage: Passage }) {
  const units = useWorkbench((state) => state.units);
  const design = useWorkbench((state) => state.history!.design);
  const { lineId, legIndex, nth, through, panel, facesMm, hole } = passage;
  const [face, other] = facesMm;
  const isSlanted = Math.hypot(other.x - face.x, other.y - face.y, through === "floor" ? 0 : other.z - face.z) > 1;
  const { apply } = useEdits();
  const drill = (value: number | null) => {
    const line = workbench.getState().history!.design.lines.find(({ id }) => id === lineId);
    if (!line) return null;
    const others = listDrilledHoles(line).filter((h) => h.leg !== legIndex || h.nth !== nth);
    const holes = value === null ? others : [...others, { leg: legIndex, nth, diameterMm: value }];
    return apply({ code: "change", at: { kind: "line", id: lineId }, ops: [buildPutHoles(line, holes)] });
  };
  const length = (mm: number) => formatQuantity(mm, "length", units);
  const at = { lineId, index: legIndex };
  const working =
    through === "floor"
      ? toWorkingId("floorHole", { kind: "leg", ...at })
      : toWorkingId("panelHole", { kind: "panel", ...at, nth });
  return (
    <li className="text-[13px] text-faint">
      <span className="text-ink">{panel?.name ?? (design.rig.kind === "boat" ? WORDS.sole : WORDS.floor)}</span>
      {WORDS.leg} {legIndex + 1}, {describeHolePlace(passage, face, design, units)}
      {isSlanted && (
        <>
          {" "}
          {WORDS.onTheOtherFace} {describeHolePlace(passage, other, design, units)})
        </>
      )}
      {WORDS.aHoleOf}{" "}
      <Figure
        working={working}
        label={through === "floor" ? WORDS.holeInTheFloor : WORDS.holeInTheWall}
        className="text-[15px] text-ink"
      >
        {hole.lengthMm - hole.widthMm < 0.5
          ? length(hole.widthMm)
          : WORDS.by(length(hole.lengthMm), length(hole.widthMm))}
      </Figure>
      . {describeDrilling(passage, units)}
      <LateStepHold stepId={`drillHole:${toHoleId(design, passage)}`} />
      <NumberField
        label={WORDS.drilledAlreadyRound}
        value={passage.drilledMm}
        quantity="length"
        clearable
        onCommit={drill}
      />
    </li>
  );
}
