import type { Edit } from "@/core/design/editOps";
import type { FixtureKind } from "@/core/design/plumbing";
import type { Wanted } from "@/core/routes/fitWanted";
import { change, tell, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/kit/searchButton";
import { toToiletNames } from "@/words/toilets";
import { ask } from "@/workers/client";

/** Has a worker fit a fixture with its drain, a toilet with its tank; the edit once it is done, null where it was not. */
export async function fitFixture(kind: FixtureKind, name: string): Promise<Edit | null> {
  const wanted: Wanted =
    kind === "gravityToilet"
      ? { what: "toilet", kind: "gravity", names: { ...toToiletNames("gravity"), toilet: name }, school: "tank" }
      : { what: "fixture", kind, name };
  const design = workbench.getState().history!.design;
  const asked = await ask("fit", { design, wanted }, { signal: new AbortController().signal });
  if (asked.status === "failed") tell(WORDS.theSearchDidNotCome);
  // what was found for a design that is no longer open is of no use
  if (asked.status !== "ready" || workbench.getState().history?.design !== design) return null;
  const { edit } = asked.answer;
  return edit && change(edit).ok ? edit : null;
}
