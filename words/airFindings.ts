import { PUMP_OUT_LPS } from "@/core/air/pumpOut";
import type { Design } from "@/core/design/design";
import type { PartRef } from "@/core/design/part";
import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { FindingWords, Told } from "./findingWords";
import { DRAWING } from "./pumpOut";
import { formatQuantity } from "./units";

/** What is found at traps, breathers and the air of tanks, in words. */
export function describeAirFinding(
  finding: FindingOf<"air">,
  { part, length, litres, stands, limit, units, design }: Told,
): FindingWords {
  switch (finding.code) {
    case "trapInFloor":
      return {
        title: finding.endsInFloor ? `${part} ends within the floor` : `${part} goes through the floor`,
        why: finding.endsInFloor
          ? `It reaches ${length(finding.deepMm)} into it: the floor wants an opening of ${length(finding.lengthMm)} by ${length(finding.widthMm)} under the outlet.`
          : `It hangs under it: the tailpiece wants a round hole of ${length(finding.widthMm)} under the outlet.`,
        advice: finding.endsInFloor
          ? "Raise the fixture or fit a flatter trap, so that the pipe leaves it above the floor or below it."
          : "Look what is under the floor there before you cut, and seal the opening all round.",
      };
    case "ventInRoom":
      return {
        title: `${part} runs through the room`,
        why: `${length(finding.lengthMm)} of it hangs free where people move. Knocked loose, it lets the tank's gas in.`,
        advice: "Lead it along a wall or inside a cabinet, and fix it.",
      };
    case "trapMissing":
      return {
        title: `${part} has no trap`,
        why: "Gas from the tank comes up into the living space.",
        advice: "Fit a trap below the outlet. It costs height: see what is left of the fall.",
      };
    case "sealShallow":
      return {
        title: `The seal of ${part} is shallow`,
        why: `${length(finding.sealMm)} of water; ${limit} is asked for. Driving and drying take it first.`,
        advice: "Fit a deeper trap.",
      };
    case "sealSlops":
      return {
        title: `${part} slops while driving`,
        why: finding.breaks
          ? "Braking tilts its water by more than the seal: gas breaks through, and the trap can empty."
          : `Braking can push ${length(finding.lossMm)} of it out; ${length(finding.leftMm)} is left and ${limit} should be.`,
        advice: "Fit a narrower or deeper trap, or pour water in when you have parked.",
      };
    case "sealDeep":
      return {
        title: `The seal of ${part} is deep`,
        why: `${length(finding.sealMm)} of water; above ${limit} it drains slowly and fouls.`,
        advice: "A shallower trap gives fall back.",
      };
    case "sealTogether":
      return {
        title: `${part} fails when it all comes together`,
        why: `Driven to the dump, parked askew at the worst, a week unused and ${finding.by === "dump" ? "the valve opened" : "pumped out"}: together they take more than its seal of ${length(finding.sealMm)}. Each alone leaves some.`,
        advice: "Give it a deeper seal, a vent of its own, or let water run before you dump.",
      };
    case "sealSucked":
      return {
        title: `${DRAWING[finding.by]} pulls ${part} empty`,
        why: `${formatQuantity(finding.suctionPa, "pressure", units)} of suction stands against a seal of ${length(finding.sealMm)}${finding.isShared ? ": it comes from another tank, through the breather they share" : ""}.`,
        advice: finding.isShared
          ? "Widen the stretch they share, give each tank its own way out, or fit a deeper seal."
          : "Fit a wider breather, or take the trap out of the line and give each fixture its own.",
      };
    case "trapSiphons":
      return {
        title: `${part} can suck itself dry`,
        why: `From its weir to the next air the pipe falls ${length(finding.fallMm)}, more than its bore of ${length(finding.boreMm)}. Run full, it leaves ${length(finding.leftMm)} of seal.`,
        advice: "Fit an air-admittance valve just behind the trap, or let the pipe run on at its fall before it drops.",
      };
    case "ventAtTrap":
      return {
        title: `Vent of ${part} stands too close to the trap`,
        why: `It is ${length(finding.fromWeirMm)} behind the weir; ${length(finding.leastMm)} is the least. Closer, what splashes up fouls it until it is shut.`,
        advice: finding.hasRoom
          ? "Move it down the pipe, on the first run, before the pipe has fallen by its bore."
          : "Let the pipe run on at its fall before it drops, and put the vent there; until then keep it within reach and clean it.",
      };
    case "trapArmLong":
      return {
        title: `${part} is far from air`,
        why: `${formatQuantity(finding.lengthMm, "length", units)} of pipe to the next vent; ${length(finding.allowedMm)} is allowed. A full pipe can suck the trap dry.`,
        advice: "Put an air-admittance valve on the branch, upright and within reach.",
      };
    case "tankUnvented":
      return {
        title: `${part} has no breather`,
        why: describeUnvented(finding.at, design),
        advice: "Fit a breather at the top of the tank and take it up above the highest water line.",
      };
    case "ventDips":
      return {
        title: `${part} sags: water there can block it`,
        why: `${length(finding.deepMm)} of water can stand in it, ${stands(finding.attitude)}; ${length(finding.boreMm)} is enough to block it, and the tank has no air.`,
        advice: "Let the breather rise, or fall back to the tank, all the way.",
      };
    case "ventTeeLow":
      return {
        title: `${part} is a tee below the water of its tanks`,
        why: `It is ${length(finding.byMm)} below the top of one of them, ${stands(finding.attitude)}: a full tank runs over into the other's breather.`,
        advice: "Lift the tee above both tanks.",
      };
    case "ventSharesFresh":
      return {
        title: `${part} shares its air with ${finding.otherName}`,
        why: "Waste water and drinking water must never share a breather: what stands in one reaches the other.",
        advice: "Take each to the open air by itself, well apart.",
      };
    case "ventEndNear":
      return {
        title: `${part} ends near ${finding.obstacleName}`,
        why: `${length(finding.gapMm)} between them; ${limit} is wanted. ${finding.isFresh ? "An exhaust blows into the drinking water." : "Gas goes in at a window, and an exhaust blows into the tank."}`,
        advice: "Let it end further off, above the roof, or low under the floor and down wind.",
      };
    case "flapInDrain":
      return {
        title: `The flap at ${part} is not counted on`,
        why: "Water stands before it until it opens, and what is in waste water holds it open a crack: the tank comes up as if it were not there.",
        advice: "Keep the falls as if it were not there, and sit it where you can open it.",
      };
    case "trapsInSeries":
      return {
        title: `${part} stands behind another trap`,
        why: "Air shut in between two seals has no way out: the drain gurgles, runs slowly and empties one of them.",
        advice: "Keep one of them: the trap under the fixture, or the one in the line.",
      };
    case "trapUnreachable":
      return {
        title: `${part} cannot be opened where it sits`,
        why: "It is under the floor and has no cleanout. What settles in a trap has to come out some day.",
        advice: "Fit one with a cleanout that can be reached from the side.",
      };
    case "trapFreezes":
      return {
        title: `${part} freezes on a cold night`,
        why: `Under the floor its water is at freezing point after ${formatQuantity(finding.hours, "hours", units)} at ${limit}. Ice splits it.`,
        advice: "Put it inside, or pour a cup of plumber's antifreeze in before frost. Lagging the drain buys hours.",
      };
    case "sealBlown":
      return {
        title: `Filling blows ${part} out`,
        why: `${formatQuantity(finding.pressurePa, "pressure", units)} build up in the tank while it fills${finding.isShared ? ", and others through the breather they share" : ""}; that is more than ${length(finding.sealMm)} of seal hold.`,
        advice: "Widen the breather.",
      };
    case "ventPortNarrow":
      return {
        title: `${part} is narrower than its breather`,
        why: `${length(finding.portMm)} against ${length(finding.boreMm)}: all the air goes through it, and it is counted.`,
        advice: "Use a port of the breather's own bore.",
      };
    case "ventNoMesh":
      return {
        title: `${part} ends without a mesh`,
        why: "Wasps and spiders build in it, and one day the tank has no air.",
        advice: "Put one on; it is counted already.",
      };
    case "ventEndsInside":
      return {
        title: `${part} ends indoors`,
        why: finding.isFresh
          ? "Filled too full, it runs over in there."
          : "The tank breathes its gas into the room: it can kill, and the nose soon smells nothing.",
        advice: "Lead it out: through a wall, the roof, or under the floor to the edge.",
      };
    case "ventEndsLow":
      return {
        title: `${part} ends below the tank's top`,
        why: `Its highest point is at ${length(finding.endMm)}, the tank's top at ${length(finding.topMm)}, ${stands(finding.attitude)}. It spills before the tank is full.`,
        advice: "Take it up above the tank before it goes anywhere else.",
      };
    case "pumpOutSucks":
      return {
        title: finding.breaksSeal
          ? `${part} is too narrow: a pump-out sucks a trap dry`
          : `${part} is narrow for a pump-out`,
        why: `A station on the deck fitting draws ${formatQuantity(PUMP_OUT_LPS, "flow", units)}, whatever the breather lets in: ${formatQuantity(finding.suctionPa, "pressure", units)} of suction; ${limit} is the measure${finding.breaksSeal ? `, and ${length(finding.sealMm)} of seal cannot hold it` : ""}. A large flat wall is drawn in.`,
        advice: `Use a breather and a port of at least ${length(finding.leastBoreMm)} bore, or open the tank's hatch while it is pumped out.`,
      };
    case "pumpSucks":
      return {
        title: finding.breaksSeal
          ? `${part} is too narrow for ${finding.pumpNames}: a trap is sucked dry`
          : `${part} is narrow for ${finding.pumpNames}`,
        why: `Up to ${formatQuantity(finding.flowLps, "flow", units)} is drawn out of the tank, whatever the breather lets in: ${formatQuantity(finding.suctionPa, "pressure", units)} of suction; ${limit} is the measure${finding.breaksSeal ? `, and ${length(finding.sealMm)} of seal cannot hold it` : ""}. A large flat wall is drawn in.`,
        advice: `Use a breather and a port of at least ${length(finding.leastBoreMm)} bore.`,
      };
    case "ventThrottles":
      return {
        title: finding.breaksSeal
          ? `${part} is too narrow: dumping sucks a trap dry`
          : `${part} is narrow for the dump outlet`,
        why: `The moment the valve opens it leaves ${formatQuantity(finding.suctionPa, "pressure", units)} of suction; ${limit} is the measure${finding.breaksSeal ? `, and ${length(finding.sealMm)} of seal cannot hold it` : ""}.`,
        advice: `Use a breather and a port of at least ${length(finding.leastBoreMm)} bore, or open the valve slowly.`,
      };
    case "ventDrownsFirst":
      return {
        title: `${part} floods first, ${stands(finding.attitude)}`,
        why: `From ${litres(finding.litres)} on the tank cannot breathe.`,
        advice: "Move the breather to the end of the tank that stands high there, or fit a second one.",
      };
    case "fixtureDrownsFirst":
      return {
        title: `The tank comes up in ${part}, ${stands(finding.attitude)}`,
        why: `At ${litres(finding.litres)} the water stands at its outlet, before the tank is full.`,
        advice: "Lower the tank, or raise the outlet.",
      };
  }
}

const findTankOf = (at: PartRef, design: Design) =>
  design.tanks.find(({ id }) => id === (at.kind === "tank" ? at.id : at.kind === "port" ? at.tankId : null));

/** Whether a drain ends in the tank a part is or belongs to. */
export const isDrainedInto = (at: PartRef, design: Design): boolean =>
  design.lines.some((l) => l.kind === "drain" && l.to.kind === "inlet" && l.to.tankId === findTankOf(at, design)?.id);

// Without air a tank works on what is joined to it: traps, where drains end in it; else its own walls, pump and valve.
function describeUnvented(at: PartRef, design: Design): string {
  const tank = findTankOf(at, design);
  if (tank?.holds === "fresh") return "Drawing water sucks the tank in and stops the pump; filling it spits back.";
  return isDrainedInto(at, design)
    ? "Filling pushes air up through the trap, dumping sucks the trap dry."
    : "It fills only against the air shut in it, and does not run empty.";
}
