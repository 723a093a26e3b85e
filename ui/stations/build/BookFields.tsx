"use client";
import { BookOpen } from "lucide-react";
import { useState } from "react";
import { PAPERS, type Paper } from "@/core/templates/tileSheet";
import type { DrawingFormat, DrawingKind } from "@/files/drawing/writeDrawing";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { BOOK_PART_NAMES, type BookPartId, DRAWING_NAMES } from "@/words/book";
import * as WORDS from "@/words/panels/build/bookFields";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { Tick } from "../../kit/Tick";
import { useRecords } from "../useRecords";

const PAPER_NAMES: Readonly<Record<Paper, string>> = { a4: "A4", letter: WORDS.letter };
const DRAWING_KINDS = Object.keys(DRAWING_NAMES) as DrawingKind[];
const PARTS = Object.keys(BOOK_PART_NAMES) as BookPartId[];

/** The whole build as one PDF for the workshop wall: chosen parts, A4 or Letter, in black. */
export function BookFields() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const build = useRecords((state) => state.build);
  const [paper, setPaper] = useState<Paper>(units === "imperial" ? "letter" : "a4");
  const [without, setWithout] = useState<readonly BookPartId[]>([]);
  const [isBusy, setBusy] = useState(false);
  const parts = PARTS.filter((part) => !without.includes(part));
  const print = async () => {
    setBusy(true);
    try {
      const [{ writeBook }, { loadLetters }, { handOut }] = await Promise.all([
        import("@/files/book/writeBook"),
        import("@/files/letters"),
        import("../../kit/handOut"),
      ]);
      const bytes = writeBook(design, { paper, units, parts, build }, await loadLetters());
      handOut(`${design.id}-book.pdf`, bytes, "application/pdf");
    } catch {
      tell(WORDS.theBookCouldNotBe, {
        tone: "warning",
      });
    }
    setBusy(false);
  };
  return (
    <Group title={WORDS.book}>
      <p className="text-[13px] leading-snug text-faint">
        <Trade>{WORDS.everythingOnPaperForThe}</Trade>
      </p>
      <details className="pt-1">
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">{WORDS.whatIsInIt}</summary>
        {PARTS.map((part) => (
          <Tick
            key={part}
            label={BOOK_PART_NAMES[part]}
            value={!without.includes(part)}
            onPick={(on) => setWithout(on ? without.filter((one) => one !== part) : [...without, part])}
          />
        ))}
      </details>
      <Pick<Paper>
        label={WORDS.paper}
        value={paper}
        names={PAPER_NAMES}
        order={Object.keys(PAPERS) as Paper[]}
        onPick={setPaper}
      />
      <Button look="plate" disabled={parts.length === 0 || isBusy} onClick={() => void print()}>
        <BookOpen size={15} aria-hidden /> {isBusy ? WORDS.makingIt : WORDS.bookAsPdf}
      </Button>
    </Group>
  );
}

/** Each drawing by itself, as a file for another program. */
export function DrawingFiles() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const draw = async (kind: DrawingKind, format: DrawingFormat) => {
    const [{ writeDrawing }, { handOut }] = await Promise.all([
      import("@/files/drawing/writeDrawing"),
      import("../../kit/handOut"),
    ]);
    const type = format === "svg" ? "image/svg+xml" : "image/vnd.dxf";
    handOut(`${design.id}-${kind}.${format}`, writeDrawing(design, kind, format, units), type);
  };
  return (
    <Group title={WORDS.drawingsAsFiles}>
      <p className="text-[13px] text-faint">
        <Trade>{WORDS.planAndHolesComeIn}</Trade>
      </p>
      {DRAWING_KINDS.map((kind) => (
        <div key={kind} className="flex items-center justify-between gap-2 py-0.5 text-[13.5px]">
          <span>{DRAWING_NAMES[kind]}</span>
          <span className="flex gap-1.5">
            {(["svg", "dxf"] as const).map((format) => (
              <Button
                key={format}
                aria-label={WORDS.as(DRAWING_NAMES[kind], format.toUpperCase())}
                onClick={() => void draw(kind, format)}
              >
                {format.toUpperCase()}
              </Button>
            ))}
          </span>
        </div>
      ))}
    </Group>
  );
}
