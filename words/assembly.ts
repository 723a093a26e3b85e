import type { Tank } from "@/core/design/plumbing";
import type { RigKind } from "@/core/design/rig";
import type { AssemblyStep } from "@/core/fixing/assembly";
import { findBoltTorqueNm } from "@/core/fixing/boltWork";
import { PORT_NAMES } from "./labels";
import type { Units } from "./units";

const FT_LB_PER_NM = 0.7376;

// What a strap or a rivet nut bears, only its maker knows.
function describeTorque({ fixing }: Tank): string {
  const torqueNm = fixing && findBoltTorqueNm(fixing);
  if (!torqueNm) return " to what their maker says, which is less than the bolts bear";
  const figure = `${torqueNm}\u00a0N·m, ${Math.round(torqueNm * FT_LB_PER_NM)}\u00a0ft·lb`;
  return fixing.kind === "straps"
    ? ` until the straps sit snug, ${figure} at the most: the tank must not give`
    : ` to some ${figure}, dry and in thick steel, less where sheet or tank gives`;
}

/** A step of hanging a tank, as an instruction. */
export function describeAssembly(step: AssemblyStep, tank: Tank, kind: RigKind, units: Units): string {
  const isBoat = kind === "boat";
  const names = (ids: readonly string[]) =>
    ids.map((id) => PORT_NAMES[tank.ports.find((port) => port.id === id)!.kind].toLowerCase()).join(", ");
  switch (step.kind) {
    case "dryFit":
      return "Hold the empty tank in its place with a helper; mark straps, holes and what comes near.";
    case "drillPorts":
      return `Drill it on the bench: ${names(step.ports)}. Take the chips out.`;
    case "fitBefore":
      return `Fit before it goes ${isBoat || tank.atMm.z >= 0 ? "in" : "up"}, no hand gets there later: ${names(step.ports)}.`;
    case "leakTrial":
      return `Fill it ${isBoat ? "ashore" : "on the ground"}, plug it, and leave it overnight on dry paper.`;
    case "foam":
      return "Lay closed foam, 5 mm or 3/16 in, where strap, tray or frame would touch: against rattling and chafing.";
    case "hang":
      return step.isInside
        ? `Set it on the ${isBoat ? "sole" : "floor"} in its place.`
        : isBoat
          ? "Empty, with two, onto its bed: a hand's room all round, nothing under it that chafes."
          : "Rig on axle stands, never on a jack alone. Lift the tank with two, one strap loose at a time.";
    case "tighten":
      return `Tighten evenly from both ends${describeTorque(tank)}, with locking nuts; look again after ${isBoat ? "the first day under way" : units === "metric" ? "100 km" : "60 miles"}.`;
    case "fitAfter":
      return `Then fit and join: ${names(step.ports)}.`;
    case "look":
      return "Fill it to the brim, look at every joint dry to the hand, then drain it.";
  }
}
