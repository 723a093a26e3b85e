import { buildCopyFixture } from "@/core/edits/copyFixture";
import { change, view as look, workbench } from "@/store/workbench";
import { nameCopy } from "@/words/nameCopy";
import { findShownDrain } from "../../drawing/shown";

/** Copies the fixture that is shown with its drain, and shows the copy. */
export function copyShownFixture(): void {
  const { history, drainId } = workbench.getState();
  const drain = history && findShownDrain(history.design, drainId);
  const fixture = history?.design.fixtures.find((f) => f.id === drain?.fromFixture);
  const edit = fixture && buildCopyFixture(history!.design, fixture.id, nameCopy(history!.design, fixture.name));
  if (edit?.at.kind === "line" && change(edit).ok) look({ drainId: edit.at.id, selection: null });
}
