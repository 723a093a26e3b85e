import type { Line } from "./plumbing";

/** A port of a tank. */
export type PortEnd = { readonly tankId: string; readonly portId: string };

/** The ports of tanks that a line begins or ends at. */
export function listPortEnds(line: Line): readonly PortEnd[] {
  switch (line.kind) {
    case "drain":
      return line.to.kind === "inlet" ? [line.to] : [];
    case "hose":
      return [line.from, line.to].flatMap((end) => (end.kind === "tank" ? [end] : []));
    case "vent":
    case "dumpLine":
      return [{ tankId: line.fromTank, portId: line.fromPort }];
  }
}
