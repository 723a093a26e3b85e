import type { ComponentType } from "react";
import { lightParts } from "../drawing/lightParts";
import { watchBuilt } from "./watchBuilt";

/** What listens to the whole page once it has come to rest; what it shows beside it is handed to `place`. Returns how to stop it. */
export function watchPage(page: Document, place: (make: () => ComponentType) => void): () => void {
  const stops = [lightParts(page), watchBuilt()];
  let isGone = false;
  // only a hand presses labels: they come with it
  const come = () => {
    page.removeEventListener("pointermove", come);
    page.removeEventListener("pointerdown", come);
    import("../glossary/labelWords")
      .then(({ openLabelWords, LabelSlip }) => {
        if (isGone) return;
        stops.push(openLabelWords(page));
        place(() => LabelSlip);
      })
      .catch(() => undefined);
  };
  page.addEventListener("pointermove", come, { passive: true });
  page.addEventListener("pointerdown", come, { passive: true });
  return () => {
    isGone = true;
    page.removeEventListener("pointermove", come);
    page.removeEventListener("pointerdown", come);
    for (const stop of stops) stop();
  };
}
