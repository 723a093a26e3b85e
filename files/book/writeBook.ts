import { planBars } from "@/core/build/bars";
import { listCuts } from "@/core/build/cuts";
import { listGoods } from "@/core/build/goods";
import { settleOwnWork } from "@/core/build/ownSteps";
import { listSteps, orderSteps } from "@/core/build/steps";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import type { BuildRecord } from "@/core/record/record";
import type { Paper } from "@/core/templates/tileSheet";
import { type HoleEntry, listHoles } from "@/core/through/holes";
import { listTrials } from "@/core/trials/proof";
import { speakFor } from "@/words/afloat";
import { BOOK_PART_NAMES, type BookPartId } from "@/words/book";
import { describeStep, tellStep } from "@/words/build";
import { CAUTION, listWorkCautions, sayBeforeDrilling } from "@/words/cautions";
import { CUT_NOTE, describeCutEnds, describeCutLength, NO_PIPE_BETWEEN } from "@/words/cuts";
import { describeEnd } from "@/words/days";
import { describeFinding } from "@/words/findings";
import { listGoodsRows, SEALING_NOTE } from "@/words/goods";
import { DRILL_FROM, describeHole, describeHolePlace, describeSaw, describeSize, HOLE_STEPS } from "@/words/holes";
import { describePipe } from "@/words/parts";
import { describeStepFigures } from "@/words/stepFigures";
import { TRIAL_CAUTIONS } from "@/words/trials";
import { formatLength, type Units } from "@/words/units";
import { tellUnsettled } from "@/words/unsettled";
import type { Letters } from "../letters";
import { type BookPaper, openBook } from "./bookPaper";
import { drawPlan } from "./drawPlan";
import { drawSection } from "./drawSection";
import { drawWaterway } from "./drawWaterway";

export const BOOK_PARTS = Object.keys(BOOK_PART_NAMES) as BookPartId[];

export type BookOptions = {
  /** Steps, rules and order of the own job. */
  readonly build?: Partial<Pick<BuildRecord, "steps" | "rules" | "order">>;
  readonly paper: Paper;
  readonly units: Units;
  /** Which parts, in the order of the book. */
  readonly parts: readonly BookPartId[];
};

/** Height of an unrolled drain on the page, mm. */
const SECTION_MM = 86;
/** Stock pipe as it is sold, mm [T]. */
const STOCK_MM = 2_000;

/** The build on paper, in black, drawings as lines: what is drawn, drilled, cut, bought, done in which order, and tried. */
export function writeBook(
  design: Design,
  { paper, units, parts, build = {} }: BookOptions,
  letters: Letters,
): ArrayBuffer {
  const evaluation = evaluate(design);
  const say = speakFor(design.rig.kind);
  const book = openBook(`${design.name}, the book of its build`, paper, letters);
  const holes = listHoles(design, evaluation);
  const cuts = listCuts(design);
  const marks = new Map(cuts.map(({ mark, lineId, leg }) => [`${lineId} ${leg}`, mark]));
  const nameOf = (lineId: string) => design.lines.find(({ id }) => id === lineId)?.name ?? lineId;
  const length = (mm: number) => formatLength(mm, units);
  const listed = settleOwnWork(listSteps(design, evaluation), build).steps;
  const order = orderSteps(listed, build.order);
  const tell = tellUnsettled(design, listed, evaluation.findings, units);
  const holdOf = (stepId: string): string => ` ${tell(stepId)}`.trimEnd();
  const steps = order.ok ? order.steps : [];
  const write: Readonly<Record<BookPartId, () => void>> = {
    cover: () => {
      book.beginPage(design.name);
      if (design.note) book.text(design.note, 11);
      book.heading("In short");
      for (const { fixtureId, level, worst } of evaluation.drains) {
        const fixture = design.fixtures.find(({ id }) => id === fixtureId);
        book.text(
          `${fixture?.name ?? fixtureId}: ${length(level.inHandMm)} of fall in hand level, ${length(worst.inHandMm)} at the worst.`,
        );
      }
      book.text(describeEnd(design, evaluation.balance));
      book.heading(evaluation.findings.length === 0 ? "Nothing is found against it" : "To be settled first");
      for (const finding of evaluation.findings) {
        const { title, why, advice } = describeFinding(finding, design, units);
        book.text(
          `${{ must: "MUST", should: "SHOULD", note: "NOTE" }[finding.severity]}  ${title}. ${why} ${advice}`,
          9,
        );
      }
      book.text(CAUTION, 9);
    },
    waterway: () => {
      book.beginPage("Waterway");
      drawWaterway(book, design, evaluation, units, book.field(book.heightMm - 60));
    },
    plan: () => {
      book.beginPage("Plan");
      drawPlan(book, design, holes, book.field(110));
      book.text(
        say(
          "Thick: drains. Dotted: breathers. Broken: hoses. Thin broken: what is under the floor and in the rig. H: holes, by the number in their list.",
        ),
        8.5,
      );
    },
    sections: () => {
      book.beginPage("Drains unrolled");
      for (const line of design.lines) {
        if (line.kind !== "drain") continue;
        book.heading(line.name, SECTION_MM);
        drawSection(book, design, line, marks, units, book.field(SECTION_MM));
      }
      if (!design.lines.some(({ kind }) => kind === "drain")) book.text("No drain yet.");
    },
    holes: () => writeHoles(book, design, holes, units, (hole) => holdOf(`drillHole:${hole.id}`)),
    cuts: () => {
      book.beginPage("Cut list");
      book.text(CUT_NOTE, 9);
      const at = [0, 12, 106, 144, 166];
      book.row(["mark", "line, leg, and what stands at its ends", "pipe", "middles", "saw"], at);
      for (const cut of cuts) {
        const where = `${nameOf(cut.lineId)}, ${cut.leg + 1}`;
        const what = cut.ends ? `${where}: ${describeCutEnds(cut, units)}` : where;
        const sizes = [describePipe(cut.pipe, units), length(cut.centreMm), describeCutLength(cut, units)];
        book.row([cut.mark, what, ...sizes], at);
      }
      if (cuts.some(({ cutMm }) => cutMm === null)) book.text(NO_PIPE_BETWEEN, 9);
      book.heading(`From bars of ${length(STOCK_MM)}`);
      for (const { pipe, bars, tooLong } of planBars(cuts, STOCK_MM)) {
        bars.forEach((bar, i) => {
          book.text(
            `${describePipe(pipe, units)}, bar ${i + 1}: ${bar.cuts.map(({ mark }) => mark).join(", ")}; ${length(bar.restMm)} left.`,
            9,
          );
        });
        for (const { mark } of tooLong) book.text(`${mark} is longer than a bar: join two, or buy longer.`, 9);
      }
    },
    parts: () => {
      book.beginPage("Parts");
      const at = [0, 24, 150];
      book.row(["amount", "part", "here"], at);
      for (const { title, rows } of listGoodsRows(listGoods(design, evaluation), design, "counter", units)) {
        book.heading(title);
        for (const { amount, name } of rows) book.row([amount, name, "☐"], at);
      }
      book.text(say(SEALING_NOTE), 9);
    },
    order: () => {
      book.beginPage("Order of work");
      if (!order.ok) book.text("Some steps wait for one another: look at Build.");
      const at = [0, 10, 104, 160];
      book.row(["", "what", "with", "hours"], at);
      steps.forEach((step, i) => {
        const { tools, caution } = tellStep(step, design);
        const told = describeStepFigures(step, { design, evaluation, units });
        book.row(
          [
            String(i + 1),
            `${describeStep(step, design)}.${told === "" ? "" : ` ${told}.`}${caution ? ` ${caution}` : ""}${holdOf(step.id)}`,
            tools,
            String(step.hours),
          ],
          at,
        );
      });
    },
    trials: () => {
      book.beginPage("Trials");
      for (const caution of TRIAL_CAUTIONS) book.text(caution, 9);
      const at = [0, 96, 124, 152];
      book.row(["what is tried", "day", "held", "signed"], at);
      for (const step of listTrials(steps)) book.row([describeStep(step, design), "", "", ""], at, 10.5);
    },
    cautions: () => {
      book.beginPage("Cautions");
      for (const text of [CAUTION, ...listWorkCautions(design.rig.kind)]) book.text(text, 10.5);
    },
  };
  for (const part of BOOK_PARTS) if (parts.includes(part)) write[part]();
  return book.finish();
}

// Every hole with its place and size, then in full size, an ellipse where the pipe passes aslant.
function writeHoles(
  book: BookPaper,
  design: Design,
  holes: readonly HoleEntry[],
  units: Units,
  holdOf: (hole: HoleEntry) => string,
): void {
  book.beginPage("Holes");
  book.text(sayBeforeDrilling(design.rig.kind), 9);
  if (holes.length === 0) {
    book.text("No hole.");
    return;
  }
  const at = [0, 12, 66, 104, 140];
  book.row(["", "what for", "size", "saw", "place, on the face you drill from"], at);
  holes.forEach((hole, i) => {
    const [face] = hole.facesMm;
    book.row(
      [
        `H${i + 1}`,
        describeHole(hole, design),
        describeSize(hole, units),
        describeSaw(hole.saw),
        `${describeHolePlace(hole, face, design, units)}, ${DRILL_FROM[hole.drillFrom]}.${holdOf(hole)}`,
      ],
      at,
    );
  });
  HOLE_STEPS.map(speakFor(design.rig.kind)).forEach((step, i) => {
    book.text(`${i + 1}. ${step}`, 9);
  });
  book.beginPage("Holes in full size");
  book.text("Print at 100 %, not fitted to the page. The ruler must measure 100 mm.", 9);
  const ruler = book.field(8);
  book.pdf.setLineWidth(0.25);
  book.pdf.line(ruler.left, ruler.top + 4, ruler.left + 100, ruler.top + 4);
  for (let mm = 0; mm <= 100; mm += 10) book.pdf.line(ruler.left + mm, ruler.top + 4, ruler.left + mm, ruler.top + 2);
  holes.forEach((hole, i) => {
    const { lengthMm, widthMm } = hole;
    const fits = lengthMm <= book.widthMm - 40 && widthMm <= book.heightMm - 80;
    const name = `H${i + 1}  ${describeHole(hole, design)}, ${describeSize(hole, units)}${holdOf(hole)}`;
    if (!fits) {
      book.text(`${name}: too large for this paper; mark it with a string from the middle.`, 9);
      return;
    }
    const field = book.field(widthMm + 14);
    const [x, y] = [field.left + lengthMm / 2 + 6, field.top + widthMm / 2 + 8];
    book.words(name, [field.left, field.top + 3], 8.5);
    book.pdf.setLineWidth(0.25);
    book.pdf.ellipse(x, y, lengthMm / 2, widthMm / 2, "S");
    book.pdf.line(x - lengthMm / 2 - 5, y, x + lengthMm / 2 + 5, y);
    book.pdf.line(x, y - widthMm / 2 - 4, x, y + widthMm / 2 + 4);
  });
}
