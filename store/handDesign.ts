import type { Design } from "@/core/design/design";
import { writeDesignText } from "@/core/design/parseDesign";
import * as WORDS from "@/words/notices/handDesign";
import type { SessionWorld } from "./sessionWorld";
import { tell } from "./workbench";

/** Hands a design out as a file, with what is kept beside it; a book that cannot be read must not hold the design back. */
export function handDesign({ records, download }: Pick<SessionWorld, "records" | "download">, design: Design): void {
  const hand = (text: string) => download(`${design.id}.schleuse.json`, text);
  if (!records) {
    hand(writeDesignText(design));
    return;
  }
  const handWhole = async () => {
    // what a file says of the building and the book is not wanted before the first one is written
    const [beside, { writeFileText }] = await Promise.all([records.read(design.id), import("@/core/record/file")]);
    hand(writeFileText(design, beside));
  };
  handWhole().catch(() => {
    hand(writeDesignText(design));
    tell(WORDS.theDesignIsSavedTo, {
      tone: "warning",
    });
  });
}
