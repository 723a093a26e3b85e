import type { Design } from "@/core/design/design";
import type { RouteChange, RouteOutcome, RouteProposal } from "@/core/routes/findRoutes";
import type { Wall } from "@/core/routes/routeEnds";
import { describeGoal } from "./goals";
import { quoteList } from "./quote";
import { formatLength, formatRun, type Units } from "./units";

const WALL_NAMES: Readonly<Record<Wall, string>> = {
  front: "wall toward the nose",
  rear: "wall toward the rear",
  left: "left wall",
  right: "right wall",
};

/** A way in one line: how long, how many bends, where it ends. */
export function describeRoute(route: RouteProposal, design: Design, units: Units): string {
  const bends = route.bends === 1 ? "1 bend" : `${route.bends} bends`;
  const length = formatRun(route.lengthMm / 1000, units);
  const { to } = route;
  const moved = to.kind === "inlet" && to.wall !== null ? `, with an inlet in the ${WALL_NAMES[to.wall]}` : "";
  return `${length} of pipe, ${bends}, ${to.kind === "line" ? "into" : "to"} ${describeGoal(to, design, units)}${moved}`;
}

/** What must change for the way to be possible, as an instruction. */
export function describeRouteChange(change: RouteChange, design: Design, units: Units): string {
  const by = formatLength(change.byMm, units);
  switch (change.kind) {
    case "moveForward":
      return `Set the outlet ${by} further forward`;
    case "moveAft":
      return `Set the outlet ${by} further aft`;
    case "moveLeft":
      return `Set the outlet ${by} further to the left`;
    case "moveRight":
      return `Set the outlet ${by} further to the right`;
    case "raiseOutlet":
      return `Raise the outlet by ${by}`;
    case "lowerTank":
      return `Hang ${design.tanks.find((tank) => tank.id === change.tankId)?.name ?? "the tank"} ${by} lower`;
  }
}

/** Why there is no way as things are. */
export function describeNoRoute(
  {
    shortMm,
    barredBy,
    crossed,
    changes,
    isBestAlready,
  }: Pick<RouteOutcome, "shortMm" | "barredBy" | "crossed" | "changes" | "isBestAlready">,
  design: Design,
  units: Units,
): string {
  if (isBestAlready) return "It runs as it is laid, and no way was found that keeps as much in hand. Leave it.";
  const pipes = crossed.flatMap((id) => design.lines.find((line) => line.id === id)?.name ?? []);
  if (changes.length === 0 && pipes.length > 0)
    return `Every way runs into ${quoteList(pipes)}. Move ${pipes.length === 1 ? "that pipe" : "one of them"} first, or end in it.`;
  const names = barredBy.flatMap((id) => design.obstacles.find((o) => o.id === id)?.name ?? []);
  if (shortMm === null && names.length > 0) {
    return `No way through. ${quoteList(names)} ${names.length === 1 ? "bars" : "bar"} it: ${names.length === 1 ? "with that" : "with any one of them"} out of the way there would be one.`;
  }
  return shortMm === null
    ? "No way through: what is under the floor leaves no room. Move an obstacle or the tank, or set the outlet elsewhere."
    : `No way has the height as things are: the best lacks ${formatLength(Math.ceil(shortMm), units)}.`;
}
