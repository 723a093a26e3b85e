import Papa from "papaparse";
import { listCuts } from "@/core/build/cuts";
import { listGoods } from "@/core/build/goods";
import { settleOwnWork } from "@/core/build/ownSteps";
import { listSteps, orderSteps } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import { type BuildRecord, EMPTY_BUILD } from "@/core/record/record";
import { describeStep, tellStep } from "@/words/build";
import { describeCutEnds } from "@/words/cuts";
import { listGoodsRows } from "@/words/goods";
import { describePipe } from "@/words/parts";
import "@/words/fittedFindings";
import { describeStepFigures } from "@/words/stepFigures";
import type { Units } from "@/words/units";
import { tellUnsettled } from "@/words/unsettled";

/** What to buy, cut or do, as CSV; what a spreadsheet would take for a formula is neutralised. */
export function exportTable(
  design: Design,
  kind: "parts" | "cuts" | "steps",
  units: Units,
  build: BuildRecord = EMPTY_BUILD,
): string {
  return `${Papa.unparse(listRows(design, kind, units, build), { escapeFormulae: true })}\r\n`;
}

type Row = Record<string, string | number>;

function listRows(design: Design, kind: "parts" | "cuts" | "steps", units: Units, build: BuildRecord): Row[] {
  const nameOf = (lineId: string) => design.lines.find(({ id }) => id === lineId)?.name ?? lineId;
  switch (kind) {
    case "parts":
      return listGoodsRows(listGoods(design, evaluate(design), build.saws), design, "counter", units).flatMap(
        ({ title, rows }) => rows.map(({ amount, name }): Row => ({ counter: title, amount, part: name })),
      );
    case "cuts":
      return listCuts(design).map(
        (cut): Row => ({
          mark: cut.mark,
          line: nameOf(cut.lineId),
          leg: cut.leg + 1,
          pipe: describePipe(cut.pipe, units),
          centreMm: Math.round(cut.centreMm * 10) / 10,
          cutMm: cut.cutMm === null ? "" : Math.round(cut.cutMm * 10) / 10,
          ends: describeCutEnds(cut, units),
        }),
      );
    case "steps": {
      const evaluation = evaluate(design);
      const { steps } = settleOwnWork(listSteps(design, evaluation), build);
      const order = orderSteps(steps, build.order);
      const tell = tellUnsettled(design, steps, evaluation.findings, units);
      if (!order.ok) throw new Error(order.circle.join(", "));
      return order.steps.map((step, i): Row => {
        const { tools, caution } = tellStep(step, design);
        return {
          step: i + 1,
          what: describeStep(step, design),
          tools,
          caution: caution ?? "",
          hours: step.hours,
          figures: describeStepFigures(step, { design, evaluation, units }),
          first: tell(step.id),
        };
      });
    }
  }
}
