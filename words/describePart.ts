import type { Design } from "@/core/design/design";
import type { PartRef } from "@/core/design/part";
import { describePort } from "./ports";
import { describeStore } from "./stores";

/** A part as its builder calls it. */
export function describePart(at: PartRef, design: Design): string {
  const line = "lineId" in at ? design.lines.find((l) => l.id === at.lineId)?.name : undefined;
  switch (at.kind) {
    case "rig":
      return design.name;
    case "axle":
      return design.rig.axles[at.index]?.name ?? `Axle ${at.index + 1}`;
    case "measure":
      return RIG_LINE_NAMES[design.rig.kind === "boat" ? "boat" : "land"][at.of];
    case "habits":
      return "Habits";
    case "store":
      return describeStore(at.id, design);
    case "obstacle":
      return design.obstacles.find((o) => o.id === at.id)?.name ?? at.id;
    case "fixture":
      return design.fixtures.find((f) => f.id === at.id)?.name ?? at.id;
    case "tank":
      return design.tanks.find((t) => t.id === at.id)?.name ?? at.id;
    case "port":
      return describeTankPort(at.tankId, at.id, design);
    case "line":
      return design.lines.find((l) => l.id === at.id)?.name ?? at.id;
    case "gear":
      return design.gear.find((g) => g.id === at.id)?.name ?? at.id;
    case "state":
      return design.states.find((s) => s.id === at.id)?.name ?? at.id;
    case "trap":
      return `Trap of ${line ?? at.lineId}`;
    case "bend":
      return `${line ?? at.lineId}, ${isDrain(at.lineId, design) ? "bend" : "point"} ${at.index + 1}`;
    case "end":
      return `End of ${lowerFirst(line ?? at.lineId)}`;
    case "leg":
      return `${line ?? at.lineId}, leg ${at.index + 1}`;
    case "panel":
      return `${line ?? at.lineId}, leg ${at.index + 1}, wall ${at.nth + 1}`;
    case "ramp":
      return design.name;
  }
}

const RIG_LINE_NAMES = {
  land: { ground: "Ground", sill: "Sill line", waterline: "Waterline", front: "Front edge of the floor" },
  boat: { ground: "Keel", sill: "Lowest line", waterline: "Waterline", front: "Front edge of the sole" },
} as const;

function describeTankPort(tankId: string, portId: string, design: Design): string {
  const tank = design.tanks.find((t) => t.id === tankId);
  const port = tank?.ports.find((p) => p.id === portId);
  return port && tank ? `${tank.name}, ${lowerFirst(describePort(tank, port, design))}` : portId;
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

const isDrain = (lineId: string, design: Design): boolean =>
  design.lines.some((l) => l.id === lineId && l.kind === "drain");
