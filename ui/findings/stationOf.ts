import type { Design } from "@/core/design/design";
import type { Movable } from "@/core/design/moves";
import { findNode } from "@/core/design/nodes";
import type { Drain } from "@/core/design/plumbing";
import { toPlace } from "@/core/evaluate/findingRegistry";
import type { Finding } from "@/core/evaluate/findings";
import type { Station } from "@/store/state";

/** The station at which a finding is worked on. */
export function toStation(finding: Finding): Station {
  const place = toPlace(finding);
  if (place) return place;
  switch (finding.at.kind) {
    case "habits":
    case "store":
      return "days";
    case "gear":
    case "state":
      return "loop";
    case "tank":
    case "port":
      return "tanks";
    case "rig":
    case "obstacle":
      return "rig";
    default:
      return "falls";
  }
}

/** What is picked in the drawings for a finding: the nearest thing that has a place. */
export function toMovable({ at }: Finding, design: Design): Movable | null {
  switch (at.kind) {
    case "leg": {
      const line = design.lines.find((l) => l.id === at.lineId);
      const bends = line?.kind === "drain" ? line.bendsMm.length : line?.kind === "dumpLine" ? line.pointsMm.length : 0;
      if (at.index < bends) return { kind: "bend", lineId: at.lineId, index: at.index };
      if (line?.kind !== "drain") return null;
      return toEnd(line, design);
    }
    case "trap":
    case "line": {
      const line = design.lines.find((l) => l.id === (at.kind === "trap" ? at.lineId : at.id));
      if (line?.kind === "dumpLine") return { kind: "port", tankId: line.fromTank, id: line.fromPort };
      return line?.kind === "drain" ? { kind: "fixture", id: line.fromFixture } : null;
    }
    case "fixture":
    case "gear":
    case "tank":
    case "port":
    case "bend":
    case "end":
    case "obstacle":
      return at;
    default:
      return null;
  }
}

function toEnd({ id, to }: Drain, { lines }: Design): Movable {
  switch (to.kind) {
    case "inlet":
      return { kind: "port", tankId: to.tankId, id: to.portId };
    case "junction":
      return {
        kind: "bend",
        lineId: to.lineId,
        index: findNode(
          lines.find((line) => line.id === to.lineId),
          to.node,
        ),
      };
    case "overboard":
    case "sump":
      return { kind: "gear", id: to.gearId };
    case "ground":
    case "vessel":
      return { kind: "end", lineId: id };
  }
}
