import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { Failure } from "@/core/gear/settings";
import type { FindingWords, Told } from "./findingWords";
import { DISCHARGE_NAMES } from "./heads";
import { describeThroughSide } from "./throughSide";
import { formatQuantity } from "./units";

/** What is found on the pumped side and at skin fittings, in words. */
export function describeGearFinding(
  finding: FindingOf<"gear">,
  { part, length, limit, stands, units }: Told,
): FindingWords {
  switch (finding.code) {
    case "seacockMissing":
      return {
        title: `${part} has no seacock`,
        why:
          finding.overMm < 0
            ? `At the worst, ${stands(finding.attitude)}, it lies ${length(-finding.overMm)} under water. If its hose comes off, ${formatQuantity(finding.lps, "flow", units)} comes in.`
            : `At the worst it lies only ${length(finding.overMm)} over the water, and a wave is higher.`,
        advice:
          "Fit a ball valve that is rated for it, with its handle where a hand reaches it, and shut it when you leave her.",
      };
    case "metalUnfit":
      return {
        title: `${part} is of the wrong metal`,
        why: finding.isBrass
          ? "Plain brass loses its zinc in water and breaks off one day."
          : "Stainless pits where it lies under water without air.",
        advice:
          "Use bronze, brass that keeps its zinc, or a rated composite, and one metal family for fitting, valve and tail.",
      };
    case "clampsFew":
      return {
        title: `${part} wants two clamps`,
        why: `There ${finding.clamps === 1 ? "is one" : "are none"}; one that breaks lets the hose off.`,
        advice: "Fit two clamps, screws on opposite sides, where the tail is long enough for both.",
      };
    case "loopLow":
      return {
        title: `${part} stands too low`,
        why:
          finding.overMm < 0
            ? `Heeled at the worst its top lies ${length(-finding.overMm)} under water: the sea runs straight over it.`
            : `Heeled at the worst its top stands ${length(finding.overMm)} over the water; ${length(finding.wantedMm)} is asked for.`,
        advice: "Lead the hose higher, near the middle of the boat, with the valve at the very top.",
      };
    case "gearPortOpen":
      return {
        title: `${part} has an open port`,
        why: `Nothing is joined to: ${finding.ports}. It is taken as shut.`,
        advice: "Put a hose on it, or take the piece out.",
      };
    case "gearClashes":
      if (finding.within !== null) return describeThroughSide(part, finding.otherName, length(-finding.gapMm));
      return finding.gapMm < 0
        ? {
            title: `${part} stands in ${finding.otherName}`,
            why: `They overlap by ${length(-finding.gapMm)}.`,
            advice: "Move it to where there is room.",
          }
        : {
            title: `${part} is too near to ${finding.otherName}`,
            why: `There is ${length(finding.gapMm)} between them; ${limit} is wanted.`,
            advice: "Move it away from there.",
          };
    case "gearInFloor":
      return {
        title: `${part} stands in the floor`,
        why: `It reaches ${length(finding.deepMm)} into it.`,
        advice: "Set it on the floor, or under it.",
      };
    case "tapWeak":
      return {
        title: `Next to nothing comes out of ${part}`,
        why: `${formatQuantity(finding.lps, "flow", units)} in the state “${finding.stateName}”; ${formatQuantity(finding.leastLps, "flow", units)} is the least one can use. Pump, hoses, filters and lift are worked out together.`,
        advice: "Use wider hose, cleaner or fewer filters, or a stronger pump. Loop shows what takes the pressure.",
      };
    case "airGapLow":
      return {
        title: `${part} is too low to keep water apart`,
        why: `The water falls ${length(finding.gapMm)}; ${length(finding.leastMm)} is needed: twice the spout's bore and at least ${limit}, and what the worst slope adds.`,
        advice: "Raise the spout. A splash over a lower one can carry what is foul into what is drunk.",
      };
    case "gearFreezes": {
      const others =
        finding.others === 0
          ? ""
          : ` ${finding.others} more out there ${finding.others === 1 ? "does" : "do"} the same: Tanks, What freezes first.`;
      const after = `its water is at freezing point after ${formatQuantity(finding.hours, "hours", units)} at ${limit}, and ice splits it.${others}`;
      return finding.isAfloat
        ? {
            title: `${part} freezes when she is laid up`,
            why: `Afloat the water round her keeps the bilge warmer. Ashore ${after}`,
            advice: "Drain her down before frost: Tanks, Drain down.",
          }
        : {
            title: `${part} freezes on a cold night`,
            why: `Under the floor ${after}`,
            advice: "Bring it inside; else drain it before frost: Tanks, Drain down. Lagging a hose buys hours.",
          };
    }
    case "gearShutIn":
      return {
        title: `${part} can't be opened`,
        why: `${length(finding.wantedMm)} is needed under it to take off its bowl; ${finding.otherName ?? "the floor"} leaves ${length(finding.roomMm)}.`,
        advice: "Set it higher, or clear what is under it.",
      };
    case "neverUsed":
      return {
        title: `No working state has ${part} ${finding.how}`,
        why: `It was judged only ${finding.how === "on" ? "switched off" : "shut"}: what happens with it ${finding.how} was not looked at.`,
        advice: "Set it at Loop, “Working states”, in the state it belongs to, or add one.",
      };
    case "noState":
      return {
        title: "How the gear is used isn't said",
        why: `${finding.pieces === 1 ? "One piece" : `${finding.pieces} pieces`} can be opened, turned or switched on, and no working state says how they stand. All was judged at rest: pumps off, valves and taps shut.`,
        advice: "Add at Loop, “Working states”, one for each way you use it.",
      };
    case "loopUntreated":
      return finding.lacks === "lamp"
        ? {
            title: `${part} lets out used water that nothing has disinfected`,
            why: `In the state “${finding.stateName}” loop water comes to it past no UV lamp that is lit. What one person washes off, the next one breathes in.`,
            advice: "Fit a UV lamp behind the filters, and switch it on in that state before the water moves.",
          }
        : {
            title: `${part} lets out used water that nothing fine has filtered`,
            why: `In the state “${finding.stateName}” loop water comes to it past no filter of 5\u00a0µm or finer: dirt shields germs from any lamp.`,
            advice: "Fit filters that step down to 5\u00a0µm or less, in front of the lamp.",
          };
    case "lampCooks":
      return {
        title: `${part} cooks water that stands`,
        why: `In the state “${finding.stateName}” it is lit, no pump is on and no tap is open. It overheats and its sleeve bakes dirt on.`,
        advice: "Switch it with the pump, or turn it off in that state.",
      };
    case "uvWeak":
      return {
        title: `${part} is too dim for the flow`,
        why: `At ${formatQuantity(finding.lpm / 60, "flow", units)} and the end of its life ${formatQuantity(finding.doseMjPerCm2, "dose", units)} reaches its far wall; ${formatQuantity(finding.wantedMjPerCm2, "dose", units)} is needed for three log steps of Cryptosporidium, in filtered water.`,
        advice: "Use a stronger lamp, less flow, or change it earlier. Measure how clear the water is at 254\u00a0nm.",
      };
    case "heaterUnrelieved":
      return {
        title: `${part} can burst`,
        why: `Its ${formatQuantity(finding.litres, "volume", units)} grow when they heat, and no relief valve stands near it with nothing that shuts between.`,
        advice: "Fit the relief valve its maker asks for, straight on it, with a pipe that lets it drip outside.",
      };
    case "heaterPressed": {
      const press = formatQuantity(finding.pressKPa, "waterPressure", units);
      const bears = formatQuantity(finding.bearsKPa, "waterPressure", units);
      return finding.by === "relief"
        ? {
            title: `${part} bursts before ${finding.otherName} opens`,
            why: `It bears ${bears}; ${press} stand in it before that lets water go.`,
            advice: `Fit a relief valve that opens at ${bears} or less.`,
          }
        : {
            title: `${finding.otherName} presses harder than ${part} bears`,
            why: `${press} can come to it; it bears ${bears}.`,
            advice:
              "Set the switch lower or put a pressure reducer before it, and fit the relief valve its maker asks for.",
          };
    }
    case "heaterUnrated":
      return {
        title: `What ${part} bears isn't said`,
        why: "Whether its relief valve opens in time, and whether a pump or a tap outside is too much for it, was not looked at.",
        advice: "Read the highest pressure on its plate and put it in at its measures.",
      };
    case "heaterUnmixed":
      return {
        title: `${finding.otherName} can scald`,
        why: `Water comes to it from ${part} with no mixer between.`,
        advice: "Fit a mixer set to 45\u00a0°C, 113\u00a0°F, or less, lower for children.",
      };
    case "pumpUnstrained":
      return {
        title: `${part} has no strainer before it`,
        why: "One grain in its valves and it no longer draws, or no longer stops.",
        advice: "Put a strainer you can open in front of its inlet.",
      };
    case "joinedWithoutGap":
      return {
        title: `Only valves keep ${WATERS_SHORT[finding.water]} water out of ${part}`,
        why: `${finding.keptApartBy.length === 0 ? "Nothing stands" : `${finding.keptApartBy.join(", ")} ${finding.keptApartBy.length === 1 ? "stands" : "stand"}`} between. Valves, pumps and non-returns all leak one day; air does not.`,
        advice:
          "Let the fresh water fall through an air gap: a hose that ends over a funnel or over the other tank's water.",
      };
    case "pumpNeverStops":
      return {
        title: `${part} never stops by itself`,
        why: `Its switch cuts out at ${formatQuantity(finding.cutOutKPa, "waterPressure", units)}; shut off it reaches ${formatQuantity(finding.shutOffKPa, "waterPressure", units)}. It runs on and gets hot.`,
        advice: "Set the switch lower, or read both figures again from its sheet.",
      };
    case "endNarrow":
      return {
        title: `${part} is narrower than ${finding.otherName}`,
        why: `${length(finding.endMm)} against ${length(finding.boreMm)}. ${finding.isFoul ? "What goes down a toilet stays there." : "All its water goes through it; the sums count the line's own bore."}`,
        advice: `Use one of ${length(finding.boreMm)} bore, or whatever size comes next.`,
      };
    case "reliefRuns":
      return {
        title: `${part} runs whenever ${finding.otherName} pushes`,
        why: `It is set to ${formatQuantity(finding.setKPa, "waterPressure", units)} and drips from nine tenths of that; up to ${formatQuantity(finding.pushKPa, "waterPressure", units)} comes to it. The water goes on running out of it.`,
        advice: `Use one that opens well over that, but under what the heater bears, or let ${finding.otherName} push less.`,
      };
    case "padWeak":
      return {
        title: `The pad on ${part} is too weak for the night`,
        why: `It gives ${formatQuantity(finding.watts, "power", units)}; ${formatQuantity(Math.ceil(finding.wantedW), "power", units)} holds the water warm in the cold that is counted with.`,
        advice: "Fit a stronger pad, lag the tank thicker, or empty it before such a night.",
      };
    case "supplyHard":
      return {
        title: `The tap at ${part} presses too hard`,
        why: `It gives ${formatQuantity(finding.supplyKPa, "waterPressure", units)}; hoses, filters and fittings for campers are made for ${formatQuantity(finding.mostKPa, "waterPressure", units)}. One joint lets go, and the tap never runs out.`,
        advice: "Put a pressure reducer at it that lets less through. Shut the tap when you leave.",
      };
    case "supplyUnreduced":
      return {
        title: `Nothing reduces the tap at ${part}`,
        why: `The tap that is counted gives ${formatQuantity(finding.supplyKPa, "waterPressure", units)}; on another pitch one may give ${formatQuantity(finding.campKPa, "waterPressure", units)}, and hoses, filters and fittings for campers are made for ${formatQuantity(finding.mostKPa, "waterPressure", units)}. One joint lets go, and the tap never runs out.`,
        advice: "Put a pressure reducer at it. Shut the tap when you leave.",
      };
    case "pumpHard":
      return {
        title: `${part} presses too hard`,
        why: `With every tap shut it brings ${formatQuantity(finding.pushKPa, "waterPressure", units)} up; hoses, filters and fittings for campers are made for some ${formatQuantity(finding.mostKPa, "waterPressure", units)}. The weakest joint lets go.`,
        advice: "Set its switch lower, or use hose, filters and fittings that are all rated for it.",
      };
    case "accumulatorHard":
      return {
        title: `${part} is charged too hard`,
        why: `Its air holds ${formatQuantity(finding.prechargeKPa, "waterPressure", units)}, the pump starts at ${formatQuantity(finding.cutInKPa, "waterPressure", units)}: it is empty before that, and the pump starts for every drop.`,
        advice: "Let air out, with no water in it, to 10 or 20 kPa, 1.5 or 3 psi, under where the pump starts.",
      };
    case "pumpCurveRises":
      return {
        title: `The curve of ${part} rises`,
        why: "It would give more pressure at more flow, which no pump does. A straight line is used instead.",
        advice: "Read the three points of its curve again: shut off is the highest pressure.",
      };
    case "uvBlind":
      return {
        title: `No light comes through at ${part}`,
        why: "A transmittance of nothing means no dose at all.",
        advice: "Measure the water at 254 nm, or leave the field empty to use a usual figure.",
      };
    case "floatReversed":
      return {
        title: `The float of ${part} is the wrong way round`,
        why: "It would switch off higher than it switches on.",
        advice: "Set the upper point over the lower one.",
      };
    case "filterOrder":
      return {
        title: `${part} is finer than ${finding.otherName} behind it`,
        why: "The fine one takes all the dirt and clogs; the coarse one has nothing left to do.",
        advice: "Put the coarser filter first.",
      };
    case "pumpsInRow":
      return {
        title: `${part} pumps into ${finding.otherName}`,
        why: "Two pumps in a row hunt: each one's switch reads the other's pressure.",
        advice: "Let one of them do it, or put a tank between.",
      };
    case "waterFouled":
      return {
        title: `${capitalise(WATERS_SHORT[finding.water])} water can get to ${part}`,
        why:
          finding.storedIn === null
            ? `${describeState(finding)} ${finding.fromName ?? "It"} has an open way to it.`
            : `${describeState(finding)} ${finding.storedIn} still holds it under pressure${finding.chargedIn === null ? "" : ` from “${finding.chargedIn}”`}, and presses it on with every pump off.`,
        advice:
          "Part the two waters by an air gap: fill the loop by a hose that ends over its water. One valve is no protection.",
      };
    case "seaComesIn":
      return {
        title: `The sea can come in through ${part}`,
        why: `It comes from ${finding.fromName}. ${describeState(finding)}`,
        advice:
          finding.failure?.kind === "airShut"
            ? `Rinse the air hole of ${finding.failedName ?? "the loop"} in fresh water every season, and blow through it; shut the seacock after every use and when you leave her.`
            : "Take the hose up over the worst heeled waterline with a vented loop at its top, and shut the seacock when you leave her.",
      };
    case "hoseComesOff": {
      const which = finding.hoses === 1 ? finding.hoseName : `${finding.hoseName}, or any of ${finding.hoses} hoses,`;
      const what =
        finding.litres === null
          ? "runs without end"
          : `runs out, ${formatQuantity(finding.litres, "volume", units)} at most`;
      return {
        title: `${part} floods the floor if a hose comes off`,
        why: `${describeWhen(finding)} if ${which} slips off, it ${what}, ${finding.isDriven ? "pushed by a pump" : "by itself, with every pump off"}.`,
        advice:
          finding.litres === null
            ? "Shut the tap outside when you leave, and fit a pressure reducer at the coupling."
            : finding.isOnItself
              ? "Two clamps where they fit, and look at it each spring: no valve can stand before it."
              : "Fit a stop valve at the tank, or a main switch for the pump, and shut it when you leave. Two clamps where they fit.",
      };
    }
    case "blackOverboard":
      return {
        title: `Black water can go overboard at ${part}`,
        why: `${describeState(finding)} ${finding.place === null ? "Where it is used is not said; taken as inland" : DISCHARGE_NAMES[finding.place]}: nothing may.`,
        advice: finding.failure
          ? "Secure that valve, locked, tied or its handle off, and tick it at the valve. Local rules decide."
          : "Turn the way into the tank and secure the valve: locked, tied, or its handle off. Local rules decide.",
      };
    case "fillPresses":
      return {
        title: `${finding.otherName} can burst ${part}`,
        why: `Full, and filled on, all of it goes up ${finding.ventName}: ${formatQuantity(finding.flowLpm / 60, "flow", units)} through ${length(finding.boreMm)} of bore, with ${formatQuantity(finding.pressureKPa, "waterPressure", units)} in the tank; above ${limit} walls bulge and seams give.`,
        advice:
          "Fit a wider breather, fill it through an air gap or by a hose one holds, or let less through by a reducer.",
      };
    case "tankOverfills":
      return {
        title: `${part} can run over from ${finding.fromName ?? "outside"}`,
        why: `${describeState(finding)} Nobody stands by and nothing shuts it: the tank runs over at its breather or an air gap, and bursts where the breather is too narrow.`,
        advice: "Fill it by a hose one holds, or fit a valve that shuts when it is full.",
      };
    case "tankRunsOut":
      return {
        title: `${part} can run out at ${finding.outName}`,
        why: `${finding.failure ? (finding.stateName ? describeState(finding) : `With everything at rest and ${describeFailure(finding.failure, finding.failedName ?? "")}:`) : "With everything at rest:"} ${finding.isDriven ? "a pump empties it" : "it empties by itself"}.`,
        advice: "Put a stop valve that shuts by itself, or a main switch for the pump, between the two.",
      };
    case "nonReturnAgainst":
      return {
        title: `${part} is the wrong way round`,
        why: "Water comes to its outlet and none to its inlet: it holds the flow back that it should let through.",
        advice: "Turn it, arrow the way the water goes.",
      };
    case "pumpRunsDry":
      return {
        title: `${part} can run dry`,
        why: `${describeState(finding)} No water comes to it.`,
        advice: "Open what is shut before it, or let its switch see the flow.",
      };
    case "pumpDeadHead":
      return {
        title: `${part} can pump against a shut line`,
        why: `${describeState(finding)} Nothing is open behind it, and nothing cuts it out.`,
        advice: "Fit a pressure switch or a relief valve.",
      };
  }
}

type InState = { readonly stateName: string; readonly failure: Failure | null; readonly failedName: string | null };

const describeWhen = ({
  stateName,
  isAttended,
}: {
  readonly stateName: string;
  readonly isAttended: boolean;
}): string =>
  stateName ? `In the state “${stateName}”${isAttended ? "" : ", with nobody by,"}` : "With everything at rest,";

// In which state, and what has to fail for it.
function describeState({ stateName, failure, failedName }: InState): string {
  const state = stateName ? `In the state “${stateName}”` : "With everything at rest";
  if (!failure) return `${state} it needs no failure.`;
  return `${state}, with ${describeFailure(failure, failedName ?? "")}.`;
}

/** What fails, in words. */
export function describeFailure(failure: Failure, name: string): string {
  switch (failure.kind) {
    case "stuck":
      // a two-way valve that stops half way lets water through as an open one does
      if (failure.at === "open") return `${name} stuck open or half way`;
      return `${name} stuck ${failure.at === "shut" ? "shut" : `on way ${failure.at.toUpperCase()}`}`;
    case "halfWay":
      return `${name} stuck half way`;
    case "airShut":
      return `the air hole of ${name} crusted shut`;
    case "leaksBack":
      return `${name} leaking back`;
    case "leftOn":
      return `${name} left on`;
    case "leftOpen":
      return `${name} left open`;
    case "powerLost":
      return "the power gone";
    case "hoseOff":
      return `${name} slipped off`;
  }
}

const WATERS_SHORT = { grey: "grey", black: "black", fresh: "fresh", loop: "loop", sea: "sea" } as const;
const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
