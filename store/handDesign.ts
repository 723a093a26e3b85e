import type { Design } from "@/core/design/design";
import { writeDesignText } from "@/core/design/parseDesign";
import { writeFileText } from "@/core/record/file";
import type { SessionWorld } from "./sessionWorld";
import { tell } from "./workbench";

/** Hands a design out as a file, with what is kept beside it; a book that cannot be read must not hold the design back. */
export function handDesign({ records, download }: Pick<SessionWorld, "records" | "download">, design: Design): void {
  const hand = (text: string) => download(`${design.id}.schleuse.json`, text);
  if (!records) {
    hand(writeDesignText(design));
    return;
  }
  records.read(design.id).then(
    (beside) => hand(writeFileText(design, beside)),
    () => {
      hand(writeDesignText(design));
      tell("The design is saved to a file. What was built and the logbook could not be read and are not in it.", {
        tone: "warning",
      });
    },
  );
}
