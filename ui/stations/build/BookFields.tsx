"use client";
import { BookOpen } from "lucide-react";
import { useState } from "react";
import { PAPERS, type Paper } from "@/core/templates/tileSheet";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { BOOK_PART_NAMES, type BookPartId } from "@/words/book";
import { Group } from "../../fields/Group";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { Tick } from "../../kit/Tick";

const PAPER_NAMES: Readonly<Record<Paper, string>> = { a4: "A4", letter: "Letter" };
const PARTS = Object.keys(BOOK_PART_NAMES) as BookPartId[];

/** The whole build as one PDF for the workshop wall: chosen parts, A4 or Letter, in black. */
export function BookFields() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
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
      const bytes = writeBook(design, { paper, units, parts }, await loadLetters());
      handOut(`${design.id}-book.pdf`, bytes, "application/pdf");
    } catch {
      tell("The book could not be made. Try again; without a network open the page once with one.", {
        tone: "warning",
      });
    }
    setBusy(false);
  };
  return (
    <Group title="Book">
      <p className="text-[13px] leading-snug text-faint">
        Everything on paper for the workshop: drawings, holes in full size, cuts, parts, order, trials.
      </p>
      <details className="pt-1">
        <summary className="min-h-7 cursor-pointer text-[13.5px] leading-7 text-enamel">What is in it</summary>
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
        label="Paper"
        value={paper}
        names={PAPER_NAMES}
        order={Object.keys(PAPERS) as Paper[]}
        onPick={setPaper}
      />
      <Button look="plate" disabled={parts.length === 0 || isBusy} onClick={() => void print()}>
        <BookOpen size={15} aria-hidden /> {isBusy ? "Making it…" : "Book as PDF"}
      </Button>
    </Group>
  );
}
