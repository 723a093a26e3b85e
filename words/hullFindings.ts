import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { FindingWords, Told } from "./findingWords";
import { formatQuantity } from "./units";

const SERVES = {
  intake: "draws sea water in",
  discharge: "",
  cockpit: "drains the cockpit",
  bilge: "pumps the bilge",
} as const;

/** What is found at a boat's hull and at the fittings in it, in words. */
export function describeHullFinding(finding: FindingOf<"hull">, { part, length, stands, units }: Told): FindingWords {
  switch (finding.code) {
    case "fittingOffHull":
      return {
        title: `${part} does not sit in the hull`,
        why:
          finding.offMm === null
            ? "At its place she has no side: it lies off her ends, under her keel or over her sheer."
            : `It lies ${length(Math.abs(finding.offMm))} ${finding.offMm > 0 ? "outside" : "inside"} her skin there.`,
        advice: "Put it where her sections say the skin is, or measure the sections again.",
      };
    case "fittingDomestic":
      return {
        title: `${part} is household plastic`,
        why: "It is not made for a hull: light, frost and a knock break it, and nobody rated it.",
        advice: "Use bronze, brass that keeps its zinc, or a composite that is rated for hulls.",
      };
    case "metalsMeet":
      return finding.hull === "aluminium"
        ? {
            title: `${part} eats the aluminium round it`,
            why: "Bronze and brass in an aluminium hull make a battery, and the hull is what dissolves.",
            advice: "Use a rated composite, or stainless above the waterline on an insulating pad.",
          }
        : {
            title: `${part} is another metal than the steel round it`,
            why: "Wet, the two make a battery, and the steel round the hole rusts first.",
            advice:
              "Set it on an insulating pad and sleeve, paint the hole, and bond it to its anode and to nothing else.",
          };
    case "backingMissing":
      return {
        title: `${part} wants a backing block`,
        why: finding.isCored
          ? "A core is crushed under it, and water gets in."
          : "Its load sits on the edge of the hole alone; a kick on the seacock cracks the skin.",
        advice: finding.isCored
          ? "Take the core out round the hole, fill with thickened resin, bed a block of solid laminate on the inside."
          : "Bed a block of solid laminate or marine ply on the inside, twice as wide as the flange.",
      };
    case "tailUnfit":
      return {
        title: `${finding.otherName} does not fit the tail of ${part}`,
        why: `The tail measures ${length(finding.tailMm)}, the hose ${length(finding.boreMm)} inside: ${finding.isLarge ? "it splits, or never seats" : "clamps cannot make it tight"}.`,
        advice: finding.isLarge
          ? "Use the next hose up with a reducer, or another tail."
          : "Use a tail of the hose's size; no sleeve under the waterline.",
      };
    case "handleBlocked":
      return {
        title: `The handle of ${part} has no room`,
        why: `It wants ${length(finding.longMm)} and a hand's breadth forward, aft or upward, and something stands in each way.`,
        advice:
          "Turn the valve, move what is in the way, or fit a valve with a short handle: one that cannot be shut is none.",
      };
    case "fittingShared":
      return {
        title: `${part} is shared by what must not share`,
        why: finding.isBowl
          ? "A toilet's discharge shares it: it comes up in the other."
          : finding.serves !== "discharge"
            ? `It ${SERVES[finding.serves]}, and something else uses it too.`
            : "Under water at the worst heel, what one lets go comes up in the other.",
        advice: "Give it a fitting of its own. Only sinks and an icebox may share one, by a tee above the water.",
      };
    case "partOffHull":
      return {
        title: `${part} lies outside the hull`,
        why: `Its middle is ${length(finding.byMm)} outside her skin.`,
        advice: "Move it inboard, or measure the sections again.",
      };
    case "seaInFixture":
      return finding.isOverRim
        ? {
            title: `The sea comes over the rim of ${part}`,
            why: `Its drain is open to the sea, and its rim lies ${length(finding.underMm)} under water ${stands(finding.attitude)}.`,
            advice: "Lead it into a sump with a pump instead, or into a tank. A seacock that one forgets is no cure.",
          }
        : {
            title: `The sea stands in ${part}`,
            why: `Its drain is open to the sea, and its outlet lies ${length(finding.underMm)} under water ${stands(finding.attitude)}.`,
            advice: "Shut the seacock under way, raise it, or lead it into a sump with a pump.",
          };
    case "seaAtEnd": {
      const where =
        finding.overMm < 0
          ? `${length(-finding.overMm)} under water`
          : `only ${length(finding.overMm)} over the water, and a wave is higher`;
      return finding.isVent
        ? {
            title: `The sea comes in by the end of ${part}`,
            why: `At the worst, ${stands(finding.attitude)}, it lies ${where}. It is open for good.`,
            advice: `Take its end ${length(finding.wantedMm)} and more over the worst waterline, or up to the deck.`,
          }
        : {
            title: `The end of ${part} goes under water`,
            why: `At the worst, ${stands(finding.attitude)}, it lies ${where}: its valve alone keeps the sea out of the tank.`,
            advice: "End it in a skin fitting with a seacock and a vented loop, or pump the tank out.",
          };
    }
    case "intakeNearWaste":
      return {
        title: `${part} draws in what ${finding.otherName} lets go`,
        why: `They are ${length(finding.apartMm)} apart on one side; ${length(finding.wantedMm)} is wanted.`,
        advice: "Put the intake ahead of every discharge and lower, or on the other side.",
      };
    case "iceboxOpen":
      return {
        title: `${part} loses its cold`,
        why: "Its drain is open all the way: cold air is heavy and runs out, warm air and smell come in.",
        advice: "Put a trap in its drain, or shut it by a valve.",
      };
    case "boltThroughSkin":
      return {
        title: `${finding.bolts === 1 ? "A bolt" : `${finding.bolts} bolts`} of ${part} would go through her skin`,
        why: `It is less than ${length(finding.reachMm)} under the tank's foot there: drill or bolt comes out in the water.`,
        advice:
          "Never drill there. Bolt the tank to bearers bonded to her frames, with bolts shorter than those are deep, or pull the bolts inward under Fixing.",
      };
    case "lineOffHull":
      return {
        title: `${part} runs through the hull`,
        why: `It reaches ${length(finding.byMm)} into her skin or past it.`,
        advice: "Move it inward; only a skin fitting goes through.",
      };
    case "waterOverDeck":
      return {
        title: "The water comes over her deck",
        why: `At the worst heel and trim her sheer lies ${length(finding.byMm)} under water.`,
        advice: "Check the waterline, the sections and how far she really heels at her berth.",
      };
    case "floatsNowhere":
      return {
        title: "The waterline does not cut her hull",
        why: "By her sections she lies wholly above it or wholly under it.",
        advice: "Measure both from the same height: the finished sole.",
      };
    case "weightDiffers":
      return {
        title: "Her weight and her sections differ",
        why: `At this waterline her sections displace ${formatQuantity(finding.reckonedKg, "weight", units)}; you gave ${formatQuantity(finding.saidKg, "weight", units)}.`,
        advice: "Measure the waterline once more, or take her weight from a crane's scale.",
      };
  }
}
