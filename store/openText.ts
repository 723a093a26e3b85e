import { isEmptyRecords, MOST_FILE_BYTES, parseFileText } from "@/core/record/file";
import { describeFault, describeLost } from "@/words/faults";
import * as WORDS from "@/words/notices/openText";
import { canEvaluate } from "./canEvaluate";
import { isUnkept } from "./committed";
import { isReadyFor } from "./fitted";
import type { Session } from "./session";
import type { SessionWorld } from "./sessionWorld";
import { tell, tellNotFetched, workbench } from "./workbench";

/** Says so of a file that is larger than any design of ours, before its text is read; true when it is. */
export function refuseTooLarge(bytes: number, fileName: string): boolean {
  if (bytes <= MOST_FILE_BYTES) return false;
  const why = describeFault({ code: "tooLarge", path: [], bytes, most: MOST_FILE_BYTES });
  tell(WORDS.wasNotOpened(fileName, why), { tone: "warning" });
  return true;
}

/**
 * Opens a file's text as a design of its own, with what is kept beside it. Refused with a sentence, and the open design is not
 * touched.
 */
export async function openText(
  session: Pick<Session, "adopt" | "offerFile">,
  records: SessionWorld["records"],
  text: string,
  fileName: string,
): Promise<void> {
  const { design: outcome, records: beside, ...lost } = parseFileText(text);
  if (!outcome.ok) {
    const more = outcome.faults.length > 1 ? WORDS.andMore(outcome.faults.length - 1) : "";
    const { units } = workbench.getState();
    tell(WORDS.wasNotOpened2(fileName, describeFault(outcome.faults[0]!, units), more), { tone: "warning" });
    return;
  }
  if (!(await isReadyFor(outcome.design))) return tellNotFetched(outcome.design.name);
  if (!canEvaluate(outcome.design)) return session.offerFile(outcome.design);
  await session.adopt(outcome.design);
  const id = workbench.getState().history?.design.id;
  if (id !== undefined && !isEmptyRecords(beside)) await records?.adopt(id, beside);
  if (isUnkept(workbench.getState().save)) return;
  const left = describeLost(lost);
  if (left) {
    tell(WORDS.isOpenCouldNotBe(fileName, left), { tone: "warning" });
    return;
  }
  tell(outcome.cleaned ? WORDS.isOpenSignsThatCannot(fileName) : WORDS.isOpen(fileName));
}
