import type { Design } from "@/core/design/design";
import type { PartRef } from "@/core/design/part";
import type { WorkbenchState } from "@/store/state";

type Shown = Partial<Pick<WorkbenchState, "drainId" | "fixtureId" | "tankId" | "ventId">>;

/** What is put on the stages so that a part can be seen there: its drain, its tank, its breather. Empty where none is its own. */
export function showPart({ lines, fixtures }: Design, part: PartRef): Shown {
  const ofTank = (tankId: string): Shown => {
    const vent = lines.find((line) => line.kind === "vent" && line.fromTank === tankId);
    return { tankId, ...(vent ? { ventId: vent.id } : {}) };
  };
  if (part.kind === "tank") return ofTank(part.id);
  if (part.kind === "port") {
    const vent = lines.find(
      (line) => line.kind === "vent" && line.fromTank === part.tankId && line.fromPort === part.id,
    );
    return { ...ofTank(part.tankId), ...(vent ? { ventId: vent.id } : {}) };
  }
  if (part.kind === "fixture") {
    const drain = lines.find((line) => line.kind === "drain" && line.fromFixture === part.id);
    if (drain) return { drainId: drain.id, fixtureId: null };
    return fixtures.some(({ id }) => id === part.id) ? { fixtureId: part.id } : {};
  }
  const lineId = part.kind === "line" ? part.id : "lineId" in part ? part.lineId : null;
  const line = lines.find(({ id }) => id === lineId);
  switch (line?.kind) {
    case "drain":
      return { drainId: line.id };
    case "vent":
      return { ventId: line.id, tankId: line.fromTank };
    case "dumpLine":
      return { tankId: line.fromTank };
    default:
      return {};
  }
}
