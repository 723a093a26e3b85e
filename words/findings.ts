import type { Design } from "@/core/design/design";
import type { PartRef } from "@/core/design/part";
import type { Finding, Severity } from "@/core/evaluate/findings";
import { LIMITS } from "@/core/rules/limitIds";
import { describeAttitude } from "./attitudes";
import type { FindingWords } from "./findingWords";
import { describeGearFinding } from "./gearFindings";
import { describeHullFinding } from "./hullFindings";
import { LOAD_NAMES, PORT_NAMES } from "./labels";
import { formatLimit } from "./limits";
import { describePort } from "./ports";
import { describeStore } from "./stores";
import { formatLength, formatNumber, formatQuantity, type Units } from "./units";

export const SEVERITY_NAMES: Readonly<Record<Severity, { readonly name: string; readonly plain: string }>> = {
  must: { name: "Must", plain: "Do not drill or buy before this is settled." },
  should: { name: "Should", plain: "It works, but you'll regret it." },
  note: { name: "Note", plain: "Worth knowing." },
};

const WEAKEST = { bolt: "the bolts", held: "the bolts sit in", strap: "the straps" } as const;

export function describeFinding(finding: Finding, design: Design, units: Units): FindingWords {
  const told = tellFinding(finding, design, units);
  if (design.rig.kind !== "boat") return told;
  return { title: toSole(told.title), why: toSole(told.why), advice: toSole(told.advice) };
}

// A boat has a sole; what somebody has called a part stays as it is, for names bear no article.
const toSole = (text: string): string => text.replace(/\b([Tt]he) floor\b/g, "$1 sole");

function tellFinding(finding: Finding, design: Design, units: Units): FindingWords {
  const length = (mm: number) => formatLength(mm, units);
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const stands = (attitude: Parameters<typeof describeAttitude>[0]) => describeAttitude(attitude, design.rig.kind);
  const limit = finding.limit ? formatLimit(finding.limit.value, LIMITS[finding.limit.id], units) : "";
  const part = describePart(finding.at, design);
  const rigWord = design.rig.kind === "boat" ? "boat" : "rig";
  switch (finding.code) {
    case "noTankYet":
      return {
        title: "No waste tank yet",
        why: "Nothing is judged: the water has nowhere to go.",
        advice: "Hang a tank at the station Tanks, then give each fixture its drain.",
      };
    case "noFixtureYet":
      return {
        title: "No fixture yet",
        why: "Nothing is judged: there is no drain.",
        advice: "Add a sink, basin or shower at the station Falls. With a tank there, it comes with a drain.",
      };
    case "fixtureOutside":
      return {
        title: `${part} stands outside the ${rigWord}`,
        why: finding.isAbove
          ? `Its outlet is ${length(finding.byMm)} higher than any waste stands over the floor.`
          : `Its outlet is ${length(finding.byMm)} beyond the edge of the floor.`,
        advice: "Measure it again, from the rear edge, the centre line and the finished floor.",
      };
    case "useOverfillsTank":
      return {
        title: `One use of ${part} is more than ${finding.tankName} holds`,
        why: `It sends ${litres(finding.useL)}; the empty tank takes ${litres(finding.holdsL)}${finding.severity === "must" ? "" : " where you park the worst"}. The rest stands in the drain and comes up.`,
        advice: "Use less water at a time, or hang a larger tank.",
      };
    case "legBarely":
      return {
        title: `${part} is finer than a hand can lay`,
        why: `${length(finding.inHandMm)} are in hand over ${length(finding.lengthMm)} of pipe; a hand is off by ${length(finding.toleranceMm)}.`,
        advice: "Give it a little more fall, or lay it on a board and measure each clip.",
      };
    case "trapInFloor":
      return {
        title: finding.endsInFloor ? `${part} ends within the floor` : `${part} goes through the floor`,
        why: `It reaches ${length(finding.deepMm)} into it: the floor wants an opening of ${length(finding.lengthMm)} by ${length(finding.widthMm)} under the outlet.`,
        advice: finding.endsInFloor
          ? "Raise the fixture or fit a flatter trap, so that the pipe leaves it above the floor or below it."
          : "Look what is under the floor there before you cut, and seal the opening all round.",
      };
    case "ventInRoom":
      return {
        title: `${part} runs through the room`,
        why: `${length(finding.lengthMm)} of it hang free where people move. Knocked loose, it lets the tank's gas in.`,
        advice: "Lead it along a wall or inside a cabinet, and fix it.",
      };
    case "fixtureUndrained":
      return {
        title: `${part} has no drain`,
        why: "Its water goes nowhere.",
        advice: "Draw a drain from it to a tank.",
      };
    case "urineInGrey":
      return {
        title: `${part} makes the grey tank sewage`,
        why: "Most rules count grey water with urine in it as black: where it may be dumped changes.",
        advice: "Give it a bottle or a tank of its own, or dump the tank only where sewage is taken.",
      };
    case "legBackwards":
      return {
        title: `${part} runs backwards on level ground`,
        why: `It rises ${length(-finding.fallMm)} instead of falling; ${litres(finding.litres)} stay in it.`,
        advice: `It needs ${length(finding.shortMm)} more fall to run wherever you park.`,
      };
    case "legBackwardsParked":
      return {
        title: `${part} runs backwards, ${stands(finding.attitude)}`,
        why: `It is ${length(finding.shortMm)} short of fall there; ${litres(finding.litres)} stay in it and it empties slowly.`,
        advice: `Give it ${length(finding.shortMm)} more fall, or park more level.`,
      };
    case "legBelowMinFall":
      return {
        title: `${part} is too flat`,
        why: `It falls ${formatQuantity(finding.slopeMmPerM, "slope", units)}; the rules ask for ${limit}.`,
        advice: `Give it ${length(finding.shortMm)} more fall.`,
      };
    case "legTooSteep":
      return {
        title: `${part} is steep`,
        why: `It falls ${formatQuantity(finding.slopeMmPerM, "slope", units)}; above ${limit} a small branch can run full and empty its own trap.`,
        advice: "Lay it flatter and take the height in a drop, or give the trap its own vent.",
      };
    case "legHitsObstacle":
      return {
        title: `${part} ${finding.gapMm < 0 ? "runs into" : "is too near to"} ${finding.obstacleName}`,
        why:
          finding.gapMm < 0
            ? `It reaches ${length(-finding.gapMm)} into it.`
            : `There are ${length(finding.gapMm)} between them; ${limit} are wanted.`,
        advice: "Move a bend so that the pipe passes clear of it.",
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
        why: `${length(finding.sealMm)} of water; ${limit} are asked for. Driving and drying take it first.`,
        advice: "Fit a deeper trap.",
      };
    case "sealSlops":
      return {
        title: `${part} slops while driving`,
        why: finding.breaks
          ? "Braking tilts its water by more than the seal: gas breaks through, and the trap can empty."
          : `Braking can push ${length(finding.lossMm)} of it out; ${length(finding.leftMm)} are left and ${limit} should be.`,
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
        title: `${part} fails when all comes together`,
        why: `Driven to the dump, parked askew at the worst, a week unused and the valve opened: together they take more than its seal of ${length(finding.sealMm)}. Each alone leaves some.`,
        advice: "Give it a deeper seal, a vent of its own, or let water run before you dump.",
      };
    case "sealSucked":
      return {
        title: `Dumping pulls ${part} empty`,
        why: `${formatQuantity(finding.suctionPa, "pressure", units)} of suction stands against a seal of ${length(finding.sealMm)}.`,
        advice: "Fit a wider breather, or take the trap out of the line and give each fixture its own.",
      };
    case "trapSiphons":
      return {
        title: `${part} can suck itself dry`,
        why: `From its weir to the next air the pipe falls ${length(finding.fallMm)}, more than its bore of ${length(finding.boreMm)}. Run full, it leaves ${length(finding.leftMm)} of seal.`,
        advice: "Fit an air-admittance valve just behind the trap, or let the pipe run on at its fall before it drops.",
      };
    case "trapArmLong":
      return {
        title: `${part} is far from air`,
        why: `${formatQuantity(finding.lengthMm, "length", units)} of pipe to the next vent; ${length(finding.allowedMm)} are allowed. A full pipe can suck the trap dry.`,
        advice: "Put an air-admittance valve on the branch, upright and within reach.",
      };
    case "runsFull":
      return {
        title: `Let go, a bowl fills ${part}`,
        why: `${formatQuantity(finding.surgeLps, "flow", units)} come when the plug is pulled; the pipe carries ${formatQuantity(finding.capacityLps, "flow", units)} at ${limit} full. It runs full for some seconds and pulls at the trap.`,
        advice: "Keep the trap near its air, or use the next pipe size.",
      };
    case "drainSlow":
      return {
        title: `${part} cannot keep up`,
        why: `It carries ${formatQuantity(finding.capacityLps, "flow", units)} at ${limit} full; the tap gives ${formatQuantity(finding.inflowLps, "flow", units)}.`,
        advice: "Use a wider pipe, or more fall on its flattest leg.",
      };
    case "belowCleanVelocity":
      return {
        title: `${part} runs slowly`,
        why: `${formatQuantity(finding.velocityMps, "velocity", units)}; pipes clean themselves from ${limit}. Grey lines in a rig seldom reach it.`,
        advice: "Rinse it through now and then, and leave a way in to clean it.",
      };
    case "passageSlants":
      return {
        title: `${part} slants through the floor`,
        why: `It needs a hole of ${length(finding.lengthMm)} by ${length(finding.widthMm)}, or a round one of ${length(finding.lengthMm)}.`,
        advice: `Turn it down before the floor: straight through, ${length(finding.widthMm)} will do.`,
      };
    case "narrowsDownstream":
      return {
        title: `${part} narrows the way`,
        why: `From ${length(finding.fromMm)} to ${length(finding.toMm)} of bore: what passes above sticks here.`,
        advice: "Keep the bore or widen it on the way down.",
      };
    case "branchAgainstFlow":
      return {
        title: `${part} joins against the flow`,
        why: `It comes in at ${formatQuantity(finding.angleDeg, "angle", units)} to the way the water runs, so each sends water and dirt up the other.`,
        advice: "Let it join further down, or turn its last bend the way the water runs.",
      };
    case "teeOnTheFlat":
      return {
        title: `${part} joins a lying pipe by a tee`,
        why: "A square branch throws its water across the pipe: it stands there and leaves dirt. Codes keep tees for upright pipes.",
        advice: "Use a wye with a bend, so that both run the same way.",
      };
    case "siphonedByOthers":
      return {
        title: `Other water can suck ${part} empty`,
        why: `${formatQuantity(finding.othersLps, "flow", units)} from the others fill the shared pipe to ${formatQuantity(finding.fillRatio, "ratio", units)}; above ${limit} no air comes through it.`,
        advice: "Give this branch air of its own, or widen the pipe they share.",
      };
    case "floodedByOthers":
      return {
        title: `${part} fills when the others run`,
        why: `Together they bring ${formatQuantity(finding.inflowLps, "flow", units)} into a pipe that takes ${formatQuantity(finding.capacityLps, "flow", units)}; the water comes up at the lowest outlet.`,
        advice: "Widen the pipe they share, give it more fall, or take one of them to an inlet of its own.",
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
        why: `${length(finding.gapMm)} between them; ${limit} are wanted. Gas goes in at a window, and an exhaust blows into the tank.`,
        advice: "Let it end further off, above the roof, or low under the floor and down wind.",
      };
    case "sharedAirSucks":
      return {
        title: `Dumping ${finding.otherName} sucks on ${part}`,
        why: `Through the breather they share it puts ${formatQuantity(finding.suctionPa, "pressure", units)} on the traps; ${limit} are allowed.`,
        advice: "Widen the stretch they share, or give each its own way out.",
      };
    case "fixingWeak":
      return {
        title: `The fixing of ${part} does not hold`,
        why: `${LOAD_NAMES[finding.load]} takes ${formatQuantity(finding.utilisation, "ratio", units)} of what ${WEAKEST[finding.weakest ?? "bolt"]} bear.`,
        advice: "Use more bolts or larger ones, a stronger lug, or hang less water.",
      };
    case "fixingUnrated":
      return {
        title: `What holds ${part} has no rating`,
        why: "The bolt may bear it and the rivet nut, lug or strap may not. The weakest of them decides.",
        advice: "Take the rating from its data sheet and type it in, or use a through bolt with a plate.",
      };
    case "hoseKinks":
      return {
        title: `${part} bends too sharply`,
        why: `There is room for a radius of ${length(finding.radiusMm)}; hose of this bore kinks below ${length(finding.leastMm)}.`,
        advice: "Lay it in a wider curve, or use a moulded bend.",
      };
    case "hoseSmells":
      return finding.years === null
        ? {
            title: `Is ${part} made for sewage?`,
            why: "Black water can come into it, and its wall is not said. Vinyl hose smells through within a year.",
            advice: "Say at Heads, “Hoses as they lie”, what it is made of.",
          }
        : {
            title: `${part} will smell through its wall`,
            why: `Sewage comes through such hose after about ${finding.years < 1 ? "half a year" : finding.years === 1 ? "a year" : `${formatNumber(finding.years, 1)} years`}, sooner where it stands.`,
            advice: "Use a barrier hose or rigid pipe, and give it fall so that nothing stands in it.",
          };
    case "sumpNoPump":
      return {
        title: `${part} has no pump`,
        why: "What runs into it stays until it runs over.",
        advice: "Lead a hose from it to a pump and on: Loop, Gear.",
      };
    case "sumpOutrun":
      return {
        title: `${part} is outrun by the tap`,
        why: `${formatQuantity(finding.inflowLps, "flow", units)} run in; at its lift the pump sends ${formatQuantity(finding.pumpLps, "flow", units)}, not what is printed on it.`,
        advice: "A stronger pump, a wider hose, or less lift.",
      };
    case "sumpCycles":
      return {
        title: `The pump of ${part} cuts in and out`,
        why:
          finding.drainBackL >= finding.bandL
            ? `${litres(finding.drainBackL)} run back out of its hose, and the float's band holds ${litres(finding.bandL)}: it pumps the same water for ever.`
            : `It starts ${formatNumber(finding.perHour, 0)} times an hour while the tap runs.`,
        advice:
          "A wider band of the float, a larger box, a thinner or shorter rising hose, or a non-return right behind the pump.",
      };
    case "gmEaten":
      return {
        title: "Loose water takes her stability",
        why: `Part-full tanks take ${length(finding.lossMm)} off her metacentric height, ${formatQuantity(finding.share, "ratio", units)} of it.`,
        advice: "Narrower tanks athwart, a baffle along the middle, or keep them full or empty.",
      };
    case "toiletNotBlack":
      return {
        title: `${part} falls into a ${finding.holds} tank`,
        why: "What a toilet sends makes the whole tank sewage, and solids do not leave it through a small valve.",
        advice: "Give it a black tank of its own with an outlet of 75 mm or 3 in.",
      };
    case "toiletNarrow":
      return {
        title: `${part} is too narrow for a toilet`,
        why: `${length(finding.boreMm)} of bore; solids need 75 mm waste or 3 in pipe all the way.`,
        advice: "Take 75 mm or 3 in pipe from the bowl to the tank.",
      };
    case "toiletLongRun":
      return {
        title: `${part} runs too far on the flat`,
        why: `${length(finding.lengthMm)} of run: with a litre a flush the water goes on and the solids lie.`,
        advice:
          "Put the tank under the bowl, or move the bowl: a straight drop is best. Fit a cleanout at its upper end.",
      };
    case "fixingMissing":
      return {
        title: `Nothing is said of what holds ${part}`,
        why: `Full it weighs ${formatQuantity(finding.fullKg, "weight", units)}, and in a crash many times that.`,
        advice: "Say what it hangs by, how many bolts and what they sit in: Tanks, Fixing.",
      };
    case "fixingTips":
      return {
        title: `The bolts of ${part} stand in one line`,
        why: "Nothing holds it against tipping across that line.",
        advice: "Spread the bolts: at least three, not in a row.",
      };
    case "fixingSlides":
      return {
        title: `${part} can slide out of its straps`,
        why: "Along itself a strap holds by friction only, about a fifth of its weight.",
        advice: "Put something solid before and behind it: an angle, a bracket, a chassis member. Then tick End stop.",
      };
    case "fixingNoPlate":
      return {
        title: `The through bolts of ${part} have no plate`,
        why: "A bolt and washer pull through floor or thin sheet long before the bolt gives.",
        advice: "Put a plate of 3 mm steel or more behind each, and say so; or type in what the sheet is rated for.",
      };
    case "fixingScrewed":
      return {
        title: `${part} hangs on self-tapping screws`,
        why: "Thin sheet holds a screw until the first rough road; then the thread is gone at once.",
        advice: "Use through bolts with plates, or rivet nuts of a known rating.",
      };
    case "portsOverlap":
      return {
        title: `${part} runs into the ${PORT_NAMES[finding.otherKind].toLowerCase()}`,
        why: `The two holes overlap by ${length(finding.overlapMm)}.`,
        advice: "Move one of them along the wall, with room for both nuts.",
      };
    case "valveNarrow":
      return {
        title: `The valve behind ${part} is narrower than the outlet`,
        why: `${length(finding.fromMm)} goes to ${length(finding.toMm)}: it runs slower, and solids catch there.`,
        advice: "Take a valve with the bore of the outlet.",
      };
    case "fittingHitsObstacle":
      return {
        title: `What stands before ${part} hits ${finding.obstacleName}`,
        why: `It reaches ${length(-finding.gapMm)} into it.`,
        advice: "Move the tank or the port, or take shorter fittings: a bend at the wall instead of a straight tail.",
      };
    case "linkApart":
      return {
        title: `${part} cannot share a level with ${finding.otherName}`,
        why: `One lies ${length(finding.apartMm)} over the other.`,
        advice: "Hang them at one height, or pump over.",
      };
    case "senderLong":
      return {
        title: `The gauge of ${part} is longer than the tank`,
        why: `It tells up to ${length(finding.highMm)}; the tank is ${length(finding.heightMm)} high inside.`,
        advice: "Take a shorter one, or set its upper end lower.",
      };
    case "axleOverloaded":
      return {
        title: `${finding.axleName} carries too much`,
        why: `The full tanks put ${formatQuantity(finding.fullKg, "weight", units)} on it; it may carry ${formatQuantity(finding.spareKg, "weight", units)} more.`,
        advice: "Hang a tank nearer to the other axle, or drive with less water in it.",
      };
    case "obstaclesOverlap":
      return {
        title: `${part} stands in the place of ${finding.otherName}`,
        why: "More than half of one lies within the other.",
        advice: "Measure both again, or take one away.",
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
        advice: "Lag it, put it inside, or pour a cup of plumber's antifreeze in before frost.",
      };
    case "sealBlown":
      return {
        title: `Filling blows ${part} out`,
        why: `${formatQuantity(finding.pressurePa, "pressure", units)} build up in the tank while its fixtures run; that is more than ${length(finding.sealMm)} of seal hold.`,
        advice: "Widen the breather.",
      };
    case "holeSmall":
      return {
        title: `The hole for ${part} is too small`,
        why: `It is ${length(finding.drilledMm)} wide; at its slope the pipe needs ${length(finding.neededMm)}.`,
        advice: "Widen it, or let the pipe turn down before it and go straight through.",
      };
    case "holeNearEdge":
      return {
        title:
          finding.gapMm < 0
            ? `The hole for ${part} cuts into ${finding.memberName}`
            : `The hole for ${part} is near ${finding.memberName}`,
        why:
          finding.gapMm < 0
            ? `It reaches ${length(-finding.gapMm)} into it. A frame that is cut no longer carries.`
            : `${length(finding.gapMm)} stay between its edge and the frame or the panel's edge; ${limit} are wanted.`,
        advice: "Move the passage away from it.",
      };
    case "drillTowards":
      return {
        title: `${finding.obstacleName} lies behind the hole for ${part}`,
        why: `A drill that breaks through is ${length(finding.clearMm)} from it.`,
        advice: "Set a stop on the bit, hold a board before it, drill a small pilot first and look.",
      };
    case "touchesRamp":
      return {
        title: finding.where === "between" ? `${part} touches on a ridge` : `${part} touches on a ramp`,
        why: `It hangs ${length(finding.overGroundMm)} over the ground and leaves ${formatQuantity(finding.angleDeg, "angle", units)} ${finding.where === "between" ? "between the axles" : finding.where === "behind" ? "behind the last axle" : "before the first axle"}; ${limit} are wanted.`,
        advice: "Hang it higher, or nearer to an axle.",
      };
    case "ventEndsLow":
      return {
        title: `${part} ends below the tank's top`,
        why: `Its highest point is at ${length(finding.endMm)}, the tank's top at ${length(finding.topMm)}, ${stands(finding.attitude)}. It spills before the tank is full.`,
        advice: "Take it up above the tank before it goes anywhere else.",
      };
    case "ventThrottles":
      return {
        title: finding.breaksSeal
          ? `${part} is too narrow: dumping sucks a trap dry`
          : `${part} is narrow for the dump outlet`,
        why: `The moment the valve opens it leaves ${formatQuantity(finding.suctionPa, "pressure", units)} of suction; ${limit} is the measure${finding.breaksSeal ? `, and ${length(finding.sealMm)} of seal cannot hold it` : ""}.`,
        advice: `Use a breather of at least ${length(finding.leastBoreMm)} bore, or open the valve slowly.`,
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
    case "tankNoOutlet":
      return {
        title: `${part} cannot be dumped`,
        why: "It has no outlet.",
        advice: "Fit an outlet with a valve at its lowest edge.",
      };
    case "inletDrownsEarly":
      return {
        title: `${part} floods early, ${stands(finding.attitude)}`,
        why: `It is under water at ${litres(finding.litres)} of ${litres(finding.capacityL)}; ${isDrainedInto(finding.at, design) ? "then the drain stands full" : "what comes in then stands before it"}.`,
        advice: "Set the inlet higher in the tank, or at the end that stands high.",
      };
    case "tankBelowSill":
      return {
        title: `${part} hangs below the sill line`,
        why: `By ${length(finding.byMm)}: it hits the ground before the rig does.`,
        advice: "Raise it, or choose a flatter tank.",
      };
    case "tankHitsObstacle":
      return {
        title: `${part} ${finding.gapMm < 0 ? "runs into" : "is too near to"} ${finding.obstacleName}`,
        why:
          finding.gapMm < 0
            ? `They overlap by ${length(-finding.gapMm)}.`
            : `There are ${length(finding.gapMm)} between them; ${limit} are wanted.`,
        advice: "Move the tank, or choose another size.",
      };
    case "wasteEndsStay":
      return {
        title: `${part} ends the stay`,
        why:
          finding.freshDays === null
            ? `It is full after ${formatNumber(finding.wasteDays, 1)} days.`
            : `It is full after ${formatNumber(finding.wasteDays, 1)} days; the fresh water would last ${formatNumber(finding.freshDays, 1)}.`,
        advice: "More litres in it, or less water into it, would buy days; more fresh water would not.",
      };
    case "useBeyondFresh":
      return {
        title: `${finding.useName} takes more than is carried`,
        why: `One time takes ${litres(finding.takesL)}; ${litres(finding.freshL)} of fresh water are aboard.`,
        advice: "Correct the use at the station Days, or carry more.",
      };
    case "seacockMissing":
    case "metalUnfit":
    case "clampsFew":
    case "loopLow":
    case "gearPortOpen":
    case "pumpCurveRises":
    case "uvBlind":
    case "floatReversed":
    case "filterOrder":
    case "pumpsInRow":
    case "waterFouled":
    case "seaComesIn":
    case "hoseComesOff":
    case "blackOverboard":
    case "tankOverfills":
    case "tankRunsOut":
    case "nonReturnAgainst":
    case "pumpRunsDry":
    case "pumpDeadHead":
      return describeGearFinding(finding, { part, length, stands, units });
    case "fittingOffHull":
    case "fittingDomestic":
    case "metalsMeet":
    case "backingMissing":
    case "tailUnfit":
    case "handleBlocked":
    case "fittingShared":
    case "iceboxOpen":
    case "lineOffHull":
    case "waterOverDeck":
    case "floatsNowhere":
    case "weightDiffers":
      return describeHullFinding(finding, part, length, units);
    case "endsOnGround":
      return {
        title: `${part} lets waste water fall on the ground`,
        why: "It saves tank, height and weight, and smells where you stay. Many places forbid it, for grey water too.",
        advice: "Ask what the place allows. Put a canister under it, or lead it to a tank.",
      };
    case "ontoGround":
      return {
        title: "Some of the water goes on the ground",
        why: `${formatQuantity(finding.litresPerDay, "volumePerDay", units)} come down no drain and into no vessel.`,
        advice:
          "Give the use a fixture with a drain or a vessel. Dumping on the ground is forbidden in many places: ask.",
      };
  }
}

const findTankOf = (at: PartRef, design: Design) =>
  design.tanks.find(({ id }) => id === (at.kind === "tank" ? at.id : at.kind === "port" ? at.tankId : null));

const isDrainedInto = (at: PartRef, design: Design): boolean =>
  design.lines.some((l) => l.kind === "drain" && l.to.kind === "inlet" && l.to.tankId === findTankOf(at, design)?.id);

// Without air a tank works on what is joined to it: traps, where drains end in it; else its own walls, pump and valve.
function describeUnvented(at: PartRef, design: Design): string {
  const tank = findTankOf(at, design);
  if (tank?.holds === "fresh") return "Drawing water sucks the tank in and stops the pump; filling it spits back.";
  return isDrainedInto(at, design)
    ? "Filling pushes air up through the trap, dumping sucks the trap dry."
    : "It fills only against the air shut in it, and does not run empty.";
}

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
      return `${line ?? at.lineId}, ${isVent(at.lineId, design) ? "point" : "bend"} ${at.index + 1}`;
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

const isVent = (lineId: string, design: Design): boolean =>
  design.lines.some((l) => l.id === lineId && l.kind === "vent");
