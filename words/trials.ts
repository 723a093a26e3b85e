import type { Design } from "@/core/design/design";
import type { Suspect, SuspectKind, Symptom, Trial } from "@/core/trials/suspects";
import { describePart } from "./describePart";
import { formatMl, type Units } from "./units";

export const SYMPTOM_NAMES: Readonly<Record<Symptom, string>> = {
  wetFloor: "Wet floor, or a drip underneath",
  pumpRuns: "The pump starts though no tap is open",
  smell: "It smells",
  gurgles: "It gurgles when the tank is dumped",
  slowDrain: "It drains slowly",
  comesUp: "The tank comes up in a tray or sink",
  gaugeStuck: "The gauge is stuck",
  spits: "The breather spits",
};

const SUSPECTS: Readonly<Record<SuspectKind, (part: string) => string>> = {
  trapJoint: (part) => `${part}: its nuts and seals`,
  bendJoint: (part) => `${part}: the joint there`,
  inletJoint: (part) => `${part}: where it ends`,
  tankPort: (part) => `${part}: its seal`,
  drySeal: (part) => `${part}: dry, or sucked dry`,
  breather: (part) => `${part}: blocked, or with water in a sag`,
  hoseEnd: (part) => `${part}: its ends and clamps`,
  gearBody: (part) => `${part}: its body and seals`,
  trapClog: (part) => `${part}: grease or hair in it`,
  legClog: (part) => `${part}: clogged, or water standing in it`,
  tankFull: (part) => `${part}: full to its inlet`,
  senderFoul: (part) => `${part}: grease on its sender`,
  senderWire: (part) => `${part}: a wire or plug of its sender`,
  wasteSeal: (part) => `${part}: the seal under its waste`,
  holeSeal: (part) => `${part}: the sealant where it goes through the floor`,
  outSeal: (part) => `${part}: the sealant and cowl where it goes out`,
  tankWall: (part) => `${part}: a crack in its wall or seam`,
  skinSeal: (part) => `${part}: its bedding, its hose or clamps`,
  deckSeal: (part) => `${part}: its bedding in the deck`,
  membrane: (part) => `${part}: hair or grease holds its membrane open`,
  admittance: (part) => `${part}: its admittance valve sticks`,
  hoseWall: (part) => `${part}: its wall lets the smell through`,
  pumpBack: (part) => `${part}: its own valves let the pressure back`,
  notDrawn: () => "Something that is not on this drawing: rain, a window, another pipe",
};

export const describeSuspect = ({ kind, at }: Suspect, design: Design): string =>
  SUSPECTS[kind](describePart(at, design));

/** What is to be done, and what counts as an answer. */
export function describeTrial({ kind, at }: Trial, design: Design): { readonly what: string; readonly asks: string } {
  const part = describePart(at, design);
  switch (kind) {
    case "fillDrainTo":
      return {
        what: `Plug the pipe ${at.kind === "line" ? `where ${part} ends` : `just after ${part}`} and fill it from the fixture. Dry paper under each joint, 15 minutes.`,
        asks: "Did it drip, or did the water go down?",
      };
    case "fillTank":
      return {
        what: `Fill the tank until ${part} stands under water. Dry paper under it, 15 minutes.`,
        asks: "Did it drip?",
      };
    case "fillTrap":
      return {
        what: `Pour a litre into the fixture over ${part}. Dry paper under its nuts, 15 minutes.`,
        asks: "Did it drip?",
      };
    case "primeTrap":
      return {
        what: `Pour a litre into the fixture over ${part}, air the rig for 15 minutes, and try again.`,
        asks: "Is the fault gone?",
      };
    case "capDumpLine":
      return {
        what: `Put the cap on the end of ${part}, a bucket of water in the tank, open the valve at the tank and feel every joint with dry paper.`,
        asks: "Did it drip?",
      };
    case "blowBreather":
      return {
        what: `Take the mesh off ${part} and blow through it toward the tank with a pump, never by mouth.`,
        asks: "Is there resistance, or a bubbling sound?",
      };
    case "pourPast":
      return {
        what: `Open the pipe at the beginning of ${part} and pour a bowl in there.`,
        asks: "Does it still run slowly, or come up?",
      };
    case "dipTank":
      return {
        what: `Dip ${part}, or open its valve over a dump place for a moment.`,
        asks: "Does its water stand at the inlet or over it?",
      };
    case "cleanSender":
      return {
        what: `Fill ${part} with warm water and a little washing soda, drive a while, and look at the gauge again.`,
        asks: "Does it move now?",
      };
    case "bridgeSender":
      return {
        what: `Take the plug off the sender of ${part} and bridge the two wires there.`,
        asks: "Does the gauge stay where it is?",
      };
    case "fillFixture":
      return {
        what: `Plug ${part}, wipe it dry underneath and fill it to the rim. Dry paper round its waste, 15 minutes.`,
        asks: "Did it drip there?",
      };
    case "feelWall":
      return {
        what: `Fill ${part} to the brim and go along its walls and seams with dry paper, away from the ports.`,
        asks: "Is the paper wet?",
      };
    case "lookInto":
      return {
        what: `A bucket under it: open ${part} and look into it with a light. Gloves on.`,
        asks: "Is it clogged there?",
      };
    case "sprayHole":
      return {
        what: `Hose water at the underside where ${part} goes through the floor, somebody inside with a light.`,
        asks: "Does any come in?",
      };
    case "sprayOut":
      return {
        what: `Let water run over the outside where ${part} goes out, from below upward, somebody inside with a light.`,
        asks: "Does any come in?",
      };
    case "watchSkin":
      return {
        what: `Dry ${part} and its hose to the hand, lay dry paper round both, 15 minutes afloat with the seacock open.`,
        asks: "Is the paper wet?",
      };
    case "wetDeck":
      return {
        what: `Pour two buckets over ${part} from outside, its cap on, and look at it from below.`,
        asks: "Does any come through?",
      };
    case "washMembrane":
      return {
        what: `Take ${part} apart, wash its membrane and put it back. Gloves on. Air the rig, and smell again after an hour.`,
        asks: "Is the smell gone?",
      };
    case "bagAdmittance":
      return {
        what: `Tie a plastic bag tight over the admittance valve of ${part}, air the rig, and smell again after an hour.`,
        asks: "Is the smell gone?",
      };
    case "liftAdmittance":
      return {
        what: `Screw the admittance valve off ${part} for a moment, and do again what made the fault. Put it back.`,
        asks: "Is the fault gone while it is off?",
      };
    case "ragHose":
      return {
        what: `Wrap a clean cloth, wetted with warm water, round ${part} for an hour. Smell at it outside, away from the hose.`,
        asks: "Does the cloth smell?",
      };
    case "shutAfterPump":
      return {
        what: `Shut off right behind ${part}, or pinch its hose there, and wait as long as it rested before.`,
        asks: "Does it start all the same?",
      };
    case "runHoses":
      return {
        what: `Run it through as far as ${part}, a second pair of hands feeling each joint on the way with dry paper.`,
        asks: "Is the paper wet?",
      };
    case "pressHoses":
      return {
        what: `Bring the line up to pressure as far as ${part}, shut off behind it, soap on every joint before it.`,
        asks: "Did the pressure fall, or did it foam?",
      };
  }
}

export const TRIAL_CAUTIONS: readonly string[] = [
  "Try drains and tanks with water only. Never with air: 5 psi on a small tank's wall is more than a ton, and plastic shatters.",
  "Buckets in place before you fill; the pump's fuse last. Gloves: grey water carries germs.",
];

/** The size of a leak by the pump's rests. */
export function describeCycleLeak(mlPerMin: number | null, units: Units): string {
  if (mlPerMin === null) return "With a pressure switch and an accumulator the rests would tell how large the leak is.";
  const size = formatMl(mlPerMin, mlPerMin < 10 ? 1 : 0, units, "/min");
  return `Every tap shut, it loses ${size}: ${mlPerMin < 20 ? "a drip; soap and paper find it" : mlPerMin < 300 ? "a thread or clamp that weeps; feel every joint" : "that must be wet somewhere; look before you soap"}.`;
}

/** Filling the rig for the first time, in order, with its own parts: buckets first, the pump's fuse last. */
export function describeFirstFilling({ tanks, gear, fixtures }: Design): readonly string[] {
  const names = (list: readonly { readonly name: string }[]) => list.map(({ name }) => name).join(", ");
  const dumped = tanks.filter(({ ports }) => ports.some(({ kind }) => kind === "outlet"));
  const fresh = tanks.filter(({ holds }) => holds === "fresh");
  const pumps = gear.filter(({ spec }) => spec.kind === "pump");
  const taps = gear.filter(({ spec }) => spec.kind === "tap");
  const seacocks = gear.filter(({ spec }) => spec.kind === "skinFitting" && spec.hasSeacock);
  return [
    ...(dumped.length > 0 ? [`Shut the dump valve of ${names(dumped)}.`] : []),
    ...(seacocks.length > 0 ? [`Shut the seacocks: ${names(seacocks)}.`] : []),
    "Put buckets under the lowest joints, and dry paper under every other one.",
    ...(pumps.length > 0 ? [`Take the fuse of ${names(pumps)} out.`] : []),
    ...(fresh.length > 0 ? [`Ten litres into ${names(fresh)}; look at its lowest port first, then upward.`] : []),
    ...(fixtures.length > 0
      ? [`A litre into each of ${names(fixtures)}, one after the other; look under its trap before the next.`]
      : []),
    ...(taps.length > 0 ? [`Open ${names(taps)}, so that the air has a way out.`] : []),
    ...(pumps.length > 0
      ? ["Put the fuse in last, a hand on the switch: five seconds on, off, look; then until no tap spits."]
      : []),
    ...(tanks.length > 0
      ? ["Only then fill the tanks, and let them stand full for an hour before anything is closed up."]
      : []),
  ];
}
