import type { FixtureKind } from "@/core/design/plumbing";
import type { FindingOf } from "@/core/evaluate/findingRegistry";
import { isDrainedInto } from "./airFindings";
import type { FindingWords, Told } from "./findingWords";
import { LOAD_NAMES, PORT_NAMES } from "./labels";
import { describeThroughSide } from "./throughSide";
import { formatNumber, formatQuantity } from "./units";

const WEAKEST = { bolt: "the bolts", held: "the bolts sit in", strap: "the straps" } as const;

/** Where water comes out of a tank that is filled on and on. */
const RUNS_OUT = {
  vent: "its breather's end",
  fixture: "the rim of the lowest fixture",
  filler: "its filler",
} as const;

/** What would come out of a shower again. */
const LOOP_FOULED: Readonly<Record<FixtureKind, string>> = {
  kitchenSink: "Food and grease",
  basin: "Toothpaste and what is spat out",
  showerTray: "Its water",
  bath: "Its water",
  washingMachine: "What comes out of the laundry",
  iceboxDrain: "Meltwater with food in it",
  urineDiverter: "Urine",
  outsideShower: "Its water",
  gravityToilet: "Sewage",
};

const nameBolts = (count: number): string => (count === 1 ? "A bolt" : `${count} bolts`);

/** What is found at tanks: how they hang, fill and last, in words. */
export function describeTankFinding(
  finding: FindingOf<"tank">,
  { part, length, litres, stands, limit, units, design }: Told,
): FindingWords {
  switch (finding.code) {
    case "noTankYet":
      return {
        title: "No waste tank yet",
        why: "The water has nowhere to go, so there is nothing to judge.",
        advice: "Hang a tank at the station Tanks, then give each fixture its drain.",
      };
    case "useOverfillsTank":
      return {
        title: `One use of ${part} is more than ${finding.tankName} holds`,
        why: `It sends ${litres(finding.useL)}; the empty tank takes ${litres(finding.holdsL)}${finding.severity === "must" ? "" : " where you park the worst"}. The rest stands in the drain and comes up.`,
        advice: "Use less water at a time, or hang a larger tank.",
      };
    case "urineInGrey":
      return {
        title: `${part} makes the grey tank sewage`,
        why: "Most rules count grey water with urine in it as black: where it may be dumped changes.",
        advice: "Give it a bottle or a tank of its own, or dump the tank only where sewage is taken.",
      };
    case "loopFouled":
      return {
        title: `${part} runs into the shower's loop`,
        why: `${LOOP_FOULED[finding.fixtureKind]} would come out of the shower again; filters and lamp are not made for it.`,
        advice: "Lead it to a grey tank. Nothing but the shower's own water goes round.",
      };
    case "outletOpen":
      return {
        title: `Nothing shuts ${part}`,
        why: "No valve is chosen for it. Without one all that comes in runs out under the rig, on the road too.",
        advice: "Choose a valve: Tanks, the dump outlet, Dump valve.",
      };
    case "tankUnfed":
      return {
        title: `Nothing runs into ${part}`,
        why: "It has no inlet, and no drain, hose or other tank ends in it: it stays empty, whatever is used.",
        advice: "Lead a drain there at Falls, or leave it out.",
      };
    case "portFree":
      return {
        title: `${part} stands open`,
        why: "Nothing is joined to it: smell and water come out.",
        advice: "Lead a line there, plug it, or leave the hole out.",
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
    case "fixingMissing":
      return {
        title: `How ${part} is held isn't entered`,
        why: `Full it weighs ${formatQuantity(finding.fullKg, "weight", units)}${finding.isAfloat ? ". It must stay where it is when she falls off a wave or lies on her side." : ", and in a crash many times that."}`,
        advice: "Say what holds it, how many bolts and what they sit in: Tanks, Fixing.",
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
        advice:
          "Put a plate of 3 mm or 1/8 in steel or more behind each, and say so; or type in what the sheet is rated for.",
      };
    case "fixingScrewed":
      return {
        title: `${part} hangs on self-tapping screws`,
        why: "Thin sheet holds a screw until the first rough road; then the thread is gone at once.",
        advice: "Use through bolts with plates, or rivet nuts of a known rating.",
      };
    case "boltHits":
      return {
        title: `${nameBolts(finding.bolts)} of ${part} would go into ${finding.obstacleName}`,
        why: finding.isFrame
          ? "A hole in the wrong place of a frame cracks it, and may cost the vehicle its approval."
          : "It is so close to the floor there that drill or bolt reaches it.",
        advice: `${finding.isFrame ? "Drill it only where its maker allows, never in a flange, or" : "Do not drill there:"} pull ${finding.bolts === 1 ? "it" : "them"} aside under Fixing.`,
      };
    case "boltOffFloor":
      return {
        title: `${nameBolts(finding.bolts)} of ${part} would stand outside the floor`,
        why: `By ${length(finding.byMm)} at the most: there is nothing to bolt it to.`,
        advice: "Pull it in under Fixing, or hang the tank elsewhere.",
      };
    case "portCrowded":
      return {
        title:
          finding.names.length === 2
            ? `${finding.names.join(" and ")} sit on one fitting`
            : `${finding.names.length} lines sit on one fitting`,
        why: `${finding.names.length === 2 ? "" : `${finding.names.join(", ")}. `}One fitting takes one pipe or hose.`,
        advice: "Let one join the other before it, by a wye or a tee, or cut a hole of its own for it.",
      };
    case "portOffWall":
      return {
        title: `${part} breaks through the edge of its wall`,
        why: `Its bore reaches ${length(finding.byMm)} past the edge: there is no wall to fit it in.`,
        advice: `Set it ${length(finding.byMm)} farther in, and more where a nut is to sit; or choose a smaller bore.`,
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
        title: `The fitting on ${part} hits ${finding.obstacleName}`,
        why: `It reaches ${length(-finding.gapMm)} into it.`,
        advice: "Move the tank or the port, or take shorter fittings: a bend at the wall instead of a straight tail.",
      };
    case "linkApart":
      return {
        title: `${part} cannot share a level with ${finding.otherName}`,
        why: `One lies ${length(finding.apartMm)} over the other.`,
        advice: "Hang them at one height, or pump over.",
      };
    case "nothingUsed":
      return {
        title: `Nothing is used in “${finding.wayName}”`,
        why: "So no tank fills, and how many days it lasts is not worked out.",
        advice: "Add under Days what you do with water.",
      };
    case "senderReversed":
      return {
        title: `The gauge of ${part} is upside down`,
        why: "Its lower end stands at or over its upper end: full reads empty.",
        advice: "Measure both ends again, from the bottom of the tank.",
      };
    case "senderUndrawn":
      return {
        title: `The gauge of ${part} has no hole`,
        why: "It sits in the tank, and no port is drawn for it: template, order and steps leave its hole out.",
        advice: "Put it among the ports, where it sits.",
      };
    case "senderBeside":
      return {
        title: `The gauge of ${part} is beside the tank`,
        why: `Its place lies ${length(finding.besideMm)} outside, so what it shows can't be worked out.`,
        advice: "Type where it is, from the tank's rear and right side, inside.",
      };
    case "senderLong":
      return {
        title: `The gauge of ${part} is longer than the tank`,
        why: `It reads up to ${length(finding.highMm)}; the tank is ${length(finding.heightMm)} high inside.`,
        advice: "Take a shorter one, or set its upper end lower.",
      };
    case "axleOverloaded":
      return {
        title: `${finding.axleName} carries too much`,
        why: `The tanks put up to ${formatQuantity(finding.fullKg, "weight", units)} on it; it may carry ${formatQuantity(finding.spareKg, "weight", units)} more.`,
        advice: "Hang a tank nearer to the other axle, or drive with less water in it.",
      };
    case "crashLeftOut":
      return {
        title: "What holds the tanks isn't checked for a crash",
        why: "No crash class is chosen, and people ride with them.",
        advice: "Choose it at Tanks, Fixing: M1 and N1 are vans, M3 a coach.",
      };
    case "axleUnrated":
      return {
        title: "The weight on the axles isn't checked",
        why:
          finding.axleName === null
            ? "Not all axles are measured; nor is what touches on a ramp or a ridge."
            : `The tanks put up to ${formatQuantity(finding.fullKg, "weight", units)} on ${finding.axleName}; what it may carry isn't entered.`,
        advice: "Weigh the rig, and enter at Rig what its plate leaves.",
      };
    case "couplingLifted":
      return {
        title: "Full tanks lift the coupling",
        why: `They take up to ${formatQuantity(finding.byKg, "weight", units)} off it. A trailer that is light at the nose sways.`,
        advice: "Hang them over the axle or before it, or dump before you drive; weigh the nose.",
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
    case "tankPressed":
      return {
        title: `${length(finding.overMm)} of water can stand over ${part}`,
        why: `Filled until it runs out at ${RUNS_OUT[finding.outAt]}, ${formatQuantity(finding.pressureKPa, "waterPressure", units)} presses on its top, ${formatQuantity(finding.forceKN, "force", units)} in all; above ${limit} walls bulge and seams give.`,
        advice: "Ask its maker what it bears, or let it run over lower. Never leave it filling by itself.",
      };
    case "tankBelowSill":
      return {
        title: `${part} hangs below the sill line`,
        why: `By ${length(finding.byMm)}: it hits the ground before the rig does.`,
        advice: "Raise it, or choose a flatter tank.",
      };
    case "dumpLeaves":
      return {
        title: `${litres(finding.leftL)} never leaves ${part}`,
        why: `Of ${litres(finding.capacityL)} that much lies below the outlet, dumped ${stands(finding.attitude)}. It goes on with you and rots.`,
        advice: "Set the outlet lower, or stand so that its corner is the lowest when you dump.",
      };
    case "tankHitsObstacle":
      if (finding.within !== null) return describeThroughSide(part, finding.obstacleName, length(-finding.gapMm));
      return {
        title: `${part} ${finding.gapMm < 0 ? "runs into" : "is too near to"} ${finding.obstacleName}`,
        why:
          finding.gapMm < 0
            ? `They overlap by ${length(-finding.gapMm)}.`
            : `There is ${length(finding.gapMm)} between them; ${limit} is wanted.`,
        advice: "Move the tank, or choose another size.",
      };
    case "tankInFloor":
      return {
        title: `${part} stands in the floor`,
        why: `It reaches ${length(finding.deepMm)} into it.`,
        advice:
          "Hang it lower, or stand it on the floor. Let in on purpose it needs an opening, and what carries the floor goes round it.",
      };
    case "tanksClash":
      return {
        title: `${part} stands in ${finding.otherName}`,
        why: `Wall and lagging counted, they overlap by ${length(finding.deepMm)}.`,
        advice: "Move one of them, or choose another size.",
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
        why: `One time takes ${litres(finding.takesL)}; ${litres(finding.freshL)} of fresh water is aboard.`,
        advice: "Correct the use at the station Days, or carry more.",
      };
  }
}
