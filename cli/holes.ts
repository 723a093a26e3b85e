import { listSteps } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import { proveInterlock } from "@/core/gear/interlock";
import { listFittings } from "@/core/through/fittings";
import { listFloods } from "@/core/through/flood";
import { listHoles, measureFitting } from "@/core/through/holes";
import { sayBeforeDrilling } from "@/words/cautions";
import "@/words/fittedFindings";
import { describeHole, describeHolePlace, describeSaw, describeSize } from "@/words/holes";
import { formatLength, formatQuantity, type Units } from "@/words/units";
import { tellUnsettled } from "@/words/unsettled";

/** Every hole of a rig, for a program to read. */
export function reportHoles(design: Design) {
  return {
    design: { id: design.id, name: design.name, version: design.version },
    holes: listHoles(design, evaluate(design)),
  };
}

/** The same as lines for a terminal, with what is to be settled before each is drilled. */
export function printHoles(design: Design, units: Units): string {
  const evaluation = evaluate(design);
  const tell = tellUnsettled(design, listSteps(design, evaluation), evaluation.findings, units);
  const lines = listHoles(design, evaluation).map((hole) => {
    const [face] = hole.facesMm;
    const place = describeHolePlace(hole, face, design, units);
    const hold = tell(`drillHole:${hole.id}`);
    return `${describeHole(hole, design)}: ${describeSize(hole, units)}, ${describeSaw(hole.saw)}; ${place}${hold === "" ? "" : `. ${hold}`}`;
  });
  return `${[design.name, ...(lines.length > 0 ? lines : ["No hole."]), sayBeforeDrilling(design.rig.kind)].join("\n")}\n`;
}

/** Skin fittings with their floods, and the hazards of heads and intakes. */
export function reportHeads(design: Design) {
  return {
    design: { id: design.id, name: design.name, version: design.version },
    fittings: listFittings(design).map((piece) => ({
      id: piece.id,
      name: piece.name,
      ...piece.spec,
      ...measureFitting(design, piece),
    })),
    floods: listFloods(design),
    hazards: proveInterlock(design).filter(
      ({ kind, water }) => kind === "floods" || water === "sea" || water === "black",
    ),
  };
}

export function printHeads(design: Design, units: Units): string {
  const { fittings, hazards } = reportHeads(design);
  const lines = fittings.map(
    ({ name, worstOverMm, worstLps }) =>
      `${name}: ${formatLength(Math.abs(worstOverMm), units)} ${worstOverMm < 0 ? "under" : "over"} the water at the worst${worstLps > 0 ? `, ${formatQuantity(worstLps, "flow", units)} if its hose comes off` : ""}`,
  );
  const told =
    hazards.length === 0
      ? "No way for sea or black water is found."
      : `${hazards.length} ways for sea or black water where it must not go.`;
  return `${[design.name, ...(lines.length > 0 ? lines : ["No skin fitting."]), told, "A failed skin fitting sinks a boat. Local rules and licensed practice come first."].join("\n")}\n`;
}
