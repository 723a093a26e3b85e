import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { Receiver } from "@/core/evaluate/findings";
import type { FindingWords, Told } from "./findingWords";
import { formatNumber, formatQuantity } from "./units";

const SEWAGE = "What a toilet sends makes the whole tank sewage, and solids do not leave it through a small valve.";

/** Where a toilet's water falls, and what is wrong with that. */
const NOT_BLACK: Readonly<Record<Receiver, { readonly title: string; readonly why: string }>> = {
  grey: { title: "into grey water", why: SEWAGE },
  loop: { title: "into the shower's loop", why: "Sewage would come out of the shower." },
  fresh: { title: "into drinking water", why: "Sewage would come out of the tap." },
  black: { title: "into black water", why: SEWAGE },
  ground: {
    title: "onto the ground",
    why: "Sewage on the ground makes people ill, and is forbidden nearly everywhere.",
  },
  sump: {
    title: "into a sump",
    why: "Its pump and float are made for water: solids stop them, and then the bowl fills.",
  },
  overboard: {
    title: "straight overboard",
    why: "Untreated sewage may go overboard in few waters, inland in none; local rules decide.",
  },
};

/** What is found at toilets, sumps, their hoses and a boat's stability, in words. */
export function describeHeadsFinding(finding: FindingOf<"heads">, { part, length, litres, units }: Told): FindingWords {
  switch (finding.code) {
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
            why: "Black water can come into it, and what its wall is made of isn't given. Vinyl hose smells through within a year.",
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
        why: `${formatQuantity(finding.inflowLps, "flow", units)} runs in; at its lift the pump sends ${formatQuantity(finding.pumpLps, "flow", units)}, not what is printed on it.`,
        advice: "A stronger pump, a wider hose, or less lift.",
      };
    case "sumpSurges":
      return {
        title: `${finding.fixtureName} let go overfills ${part}`,
        why: `Of ${litres(finding.bowlL)} let go at once ${litres(finding.risesL)} comes faster than the pump sends, and over the float there is room for ${litres(finding.roomL)}.`,
        advice:
          "A larger box, a float that starts sooner, or a stronger pump; until then let it go a little at a time.",
      };
    case "sumpCycles":
      return {
        title: `The pump of ${part} cuts in and out`,
        why:
          finding.drainBackL >= finding.bandL
            ? `${litres(finding.drainBackL)} runs back out of its hose, and the float's band holds ${litres(finding.bandL)}: it pumps the same water for ever.`
            : `It starts ${formatNumber(finding.perHour, 0)} times an hour while the tap runs.`,
        advice:
          "A wider band of the float, a larger box, a thinner or shorter rising hose, or a non-return right behind the pump.",
      };
    case "gmEaten":
      return {
        title: "Loose water takes her stability",
        why: `Part-full tanks take ${length(finding.lossMm)} off her metacentric height, ${formatQuantity(finding.share, "ratio", units)} of it.`,
        advice: finding.isJoined
          ? "Shut the pipe between tanks that are joined across her: water running over from side to side counts as one wide tank."
          : "Narrower tanks athwart, a baffle along the middle, or keep them full or empty.",
      };
    case "toiletNotBlack":
      return {
        title: `${part} falls ${NOT_BLACK[finding.into].title}`,
        why: NOT_BLACK[finding.into].why,
        advice: "Give it a black tank of its own with an outlet of 75 mm or 3 in.",
      };
    case "toiletNarrow":
      return {
        title: `${part} is too narrow for a toilet`,
        why: finding.isPumped
          ? `${length(finding.boreMm)} of bore; a toilet of its kind sends through ${length(finding.wantedMm)}, and what leaves it clogs anything less.`
          : `${length(finding.boreMm)} of bore; solids need 75 mm waste or 3 in pipe all the way.`,
        advice: finding.isPumped
          ? `Use hose of ${length(finding.wantedMm)} all the way, or as its sheet says.`
          : "Take 75 mm or 3 in pipe from the bowl to the tank.",
      };
    case "floatOverRim":
      return {
        title: `${part} runs over before its pump starts`,
        why: `The float switches on at ${length(finding.onMm)}; full to the rim, by its litres and its floor, it stands ${length(finding.highMm)} deep.`,
        advice: "Set the upper point of the float well under the lid, or take a higher box.",
      };
    case "deckFittingBelow":
      return {
        title: `${part} is below deck`,
        why: "The pump-out hose is put on there: what drips, or comes back when it slips, goes into the boat.",
        advice: "Set it in the deck, near her side.",
      };
    case "outletInside":
      return {
        title: `${part} empties inside`,
        why: "Its outlet is over the floor and no dump line leads out: what is let go there runs over the floor.",
        advice:
          "Lay a dump line from it, out through the side or down through the floor, or hang the tank under the floor.",
      };
    case "outletIntoBilge":
      return {
        title: `${part} empties into the bilge`,
        why: "Its outlet has no line, and no pump or deck fitting draws it out.",
        advice:
          "Lead a hose from its draw to a deck fitting for pump-out, or by a pump to a skin fitting where local rules let you.",
      };
    case "tanksHeel":
      return {
        title: `Full tanks heel her ${formatQuantity(finding.heelDeg, "angle", units)} to ${finding.side === "left" ? "port" : "starboard"}`,
        why: `With those of that side full and the others empty; her drains are judged up to ${formatQuantity(finding.judgedDeg, "angle", units)} that way.`,
        advice: "Move tanks to the middle, or say at Rig that she heels so far.",
      };
    case "hullUnknown":
      return {
        title: "Her hull isn't measured",
        why: `Whether ${finding.fittings === 1 ? "her skin fitting sits" : `her ${finding.fittings} skin fittings sit`} in her side, and whether tanks, pipes and bolts reach through it, isn't checked. Nor is how much deeper she lies with her tanks full and in fresh water.`,
        advice: "Give her sections at Rig; three are enough to begin with.",
      };
    case "stabilityUnknown":
      return {
        title: "What loose water does to her isn't worked out",
        why: `${finding.wants === "weight" ? "Her displacement is" : "Her metacentric height, GM, is"} not given, so nothing is said of heel and of what part-full tanks take off her stability.`,
        advice: "Enter both on Rig, from her papers or whoever designed her.",
      };
    case "loopUnderBowl":
      return {
        title: `${part} lies under ${finding.bowlName}`,
        why: `Its top is ${length(finding.underMm)} under the rim or outlet of ${finding.bowlName}: it holds nothing back, and the bowl can fill or empty by itself.`,
        advice: "Lead the hose up over the bowl's rim, and on a boat over the worst waterline too.",
      };
    case "fixtureUncounted": {
      const { fixtureName, others, wayName } = finding;
      const rest = others === 0 ? "" : others === 1 ? " and one more" : ` and ${others} more`;
      return {
        title: `Nothing is counted for ${fixtureName}${rest}`,
        why: `In “${wayName}” no water goes down there: what fills the tank, and what it takes of the fresh water, is left out. It lasts less long than is said.`,
        advice: "Say under Days what is done there, and how often.",
      };
    }
    case "flushShort": {
      const rest = finding.others > 0 ? ` So it is with ${finding.others} more.` : "";
      return {
        title: `Less than a flush is counted for ${finding.useName}`,
        why: `“${finding.wayName}” counts ${litres(finding.countedL)} a time, the toilet takes ${litres(finding.flushL)}.${rest} Its tank, and the fresh water it draws on, last less long than is said.`,
        advice: "Count the whole flush under Days, or say at the toilet what one flush really takes.",
      };
    }
    case "loadShort":
      return {
        title: `Less than a load is counted for ${finding.useName}`,
        why: `“${finding.wayName}” counts ${litres(finding.countedL)} a time, ${part} takes ${litres(finding.loadL)}. Its tank, and the fresh water it draws on, last less long than is said.`,
        advice: "Count the whole load under Days, or say at the machine what its program really takes.",
      };
    case "toiletUnused":
      return {
        title: `Nothing is done on ${part} in “${finding.wayName}”`,
        why: `${finding.ways > 1 ? `So it is in ${finding.ways} ways of living. ` : ""}How long its tank or canister lasts is then not worked out.`,
        advice: "Add what is done on it under Days, uses.",
      };
    case "toiletLongRun":
      return {
        title: `${part} runs too far on the flat`,
        why: `${length(finding.lengthMm)} of run: with a litre a flush the water goes on and the solids lie.`,
        advice:
          "Put the tank under the bowl, or move the bowl: a straight drop is best. Fit a cleanout at its upper end.",
      };
  }
}
