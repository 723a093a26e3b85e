import type { Design } from "@/core/design/design";
import type { Finding } from "@/core/evaluate/findings";
import { view as look, previewEdit } from "@/store/workbench";
import { showPart } from "../drawing/showPart";
import { toMovable, toStation } from "./stationOf";

/** Opens a finding where it is worked on, its part picked and shown; null shuts the open one. */
export function openFinding(finding: Finding | null, design: Design): void {
  previewEdit(null);
  if (!finding) {
    look({ findingId: null });
    return;
  }
  look({
    findingId: finding.id,
    selection: toMovable(finding, design),
    station: toStation(finding),
    ...showPart(design, finding.at),
  });
}
